using System.Buffers.Binary;
using System.Text;
using Sandbar.Core.Checking;

namespace Sandbar.Core.Pictures;

/// <summary>What a clip is.</summary>
/// <param name="MediaType"><c>video/webm</c> or <c>video/mp4</c>.</param>
/// <param name="Codec">Its pictures' codec, by its common name.</param>
/// <param name="HasSound">Whether it has a track of sound.</param>
public sealed record ClipFile(string MediaType, string Codec, int Width, int Height, bool HasSound)
{
    public const int MostBytes = 40_000_000;

    /// <summary>Wider or higher than screens of today are.</summary>
    private const int MostPixels = 8192;

    /// <summary>As many boxes or elements are looked at; a clip's own are few.</summary>
    private const int MostParts = 10_000;

    // Of what Debian's Chromium decodes, what browsers of today share.
    private static readonly Dictionary<string, string> Codecs = new(StringComparer.Ordinal)
    {
        ["V_VP8"] = "VP8", ["V_VP9"] = "VP9", ["V_AV1"] = "AV1", ["avc1"] = "H.264", ["avc3"] = "H.264", ["vp08"] = "VP8", ["vp09"] = "VP9", ["av01"] = "AV1",
    };

    /// <summary>Reads what a clip says of itself; its pictures are not decoded.</summary>
    /// <exception cref="FormatException">It is no clip, too large, or of a codec that not every browser plays; the message says so.</exception>
    public static ClipFile Read(byte[] bytes)
    {
        if (bytes.Length > MostBytes) throw new FormatException($"This clip is larger than {MostBytes / 1_000_000} MB: shorten it, or give the address it is at.");
        Found found;
        try
        {
            found = FileSignature.Fits("video/webm", bytes) ? WebM(bytes) : FileSignature.Fits("video/mp4", bytes) ? Mp4(bytes) : throw new FormatException("This is no clip that can be read: WebM and MP4 can.");
        }
        catch (Exception broken) when (broken is ArgumentOutOfRangeException or OverflowException or IndexOutOfRangeException)
        {
            throw Damaged;
        }
        if (found.Codec.Length == 0) throw new FormatException("This clip has no pictures.");
        if (!Codecs.TryGetValue(found.Codec, out var codec)) throw new FormatException($"The pictures of this clip are coded as {Printable(found.Codec)}, which not every browser plays: VP8, VP9, AV1 and H.264 are.");
        if (found.Width is <= 0 or > MostPixels || found.Height is <= 0 or > MostPixels) throw new FormatException($"A clip is 1 to {MostPixels} px wide and high.");
        return new(found.MediaType, codec, found.Width, found.Height, found.HasSound);
    }

    private static FormatException Damaged => new("This clip is damaged: it ends too early, or holds what no clip does.");

    private static string Printable(string codec) => new([.. codec.Where(c => c is >= ' ' and <= '~').Take(24)]);

    private sealed record Found(string MediaType)
    {
        public string Codec { get; set; } = "";

        public int Width { get; set; }

        public int Height { get; set; }

        public bool HasSound { get; set; }
    }

    /// <summary>Elements of EBML (RFC 8794) as WebM has them: the tracks stand before the pictures.</summary>
    private static Found WebM(byte[] bytes)
    {
        const ulong Segment = 0x18538067, Tracks = 0x1654AE6B, Entry = 0xAE, Type = 0x83, CodecId = 0x86, Video = 0xE0, PixelWidth = 0xB0, PixelHeight = 0xBA, Cluster = 0x1F43B675;
        var found = new Found("video/webm");
        var parts = 0;
        In(0, bytes.Length, new());
        return found;

        bool In(int from, int to, Track track)
        {
            for (var at = from; at < to;)
            {
                if (++parts > MostParts) throw Damaged;
                var (id, afterId) = Number(at, keepsLength: true);
                var (size, start) = Number(afterId, keepsLength: false);
                // A size that is not known yet goes on to the end.
                var end = size == ulong.MaxValue ? to : checked((int)Math.Min((ulong)to, (ulong)start + size));
                if (id == Cluster) return false;
                switch (id)
                {
                    case Segment or Tracks:
                        if (!In(start, end, track)) return false;
                        break;
                    case Entry:
                        var one = new Track();
                        In(start, end, one);
                        if (one.Type == 2) found.HasSound = true;
                        if (one.Type == 1 && found.Codec.Length == 0) (found.Codec, found.Width, found.Height) = (one.Codec, one.Width, one.Height);
                        break;
                    case Video:
                        In(start, end, track);
                        break;
                    case Type:
                        track.Type = Value(start, end);
                        break;
                    case CodecId:
                        track.Codec = Encoding.ASCII.GetString(bytes, start, Math.Min(64, end - start)).TrimEnd('\0');
                        break;
                    case PixelWidth:
                        track.Width = Value(start, end);
                        break;
                    case PixelHeight:
                        track.Height = Value(start, end);
                        break;
                }
                at = end;
            }
            return true;
        }

        (ulong Value, int Next) Number(int at, bool keepsLength)
        {
            var length = System.Numerics.BitOperations.LeadingZeroCount((uint)bytes[at] << 24) + 1;
            if (length > 8) throw Damaged;
            ulong value = keepsLength ? bytes[at] : (ulong)(bytes[at] & ((1 << (8 - length)) - 1));
            var isUnknown = !keepsLength && value == (ulong)((1 << (8 - length)) - 1);
            for (var i = 1; i < length; i++)
            {
                value = (value << 8) | bytes[at + i];
                isUnknown &= bytes[at + i] == 0xFF;
            }
            return (isUnknown ? ulong.MaxValue : value, at + length);
        }

        int Value(int start, int end)
        {
            if (end - start is < 1 or > 4) throw Damaged;
            var value = 0u;
            for (var i = start; i < end; i++) value = (value << 8) | bytes[i];
            return checked((int)value);
        }
    }

    private sealed class Track
    {
        public int Type { get; set; }

        public string Codec { get; set; } = "";

        public int Width { get; set; }

        public int Height { get; set; }
    }

    /// <summary>Boxes of the ISO base media file format (ISO/IEC 14496-12): of each track its handler and its first sample entry.</summary>
    private static Found Mp4(byte[] bytes)
    {
        var found = new Found("video/mp4");
        var parts = 0;
        In(0, bytes.Length, "");
        return found;

        string In(int from, int to, string handler)
        {
            for (var at = from; at + 8 <= to;)
            {
                if (++parts > MostParts) throw Damaged;
                long size = BinaryPrimitives.ReadUInt32BigEndian(bytes.AsSpan(at));
                var name = Encoding.ASCII.GetString(bytes, at + 4, 4);
                var start = at + 8;
                if (size == 1)
                {
                    size = checked((long)BinaryPrimitives.ReadUInt64BigEndian(bytes.AsSpan(start)));
                    start += 8;
                }
                var end = size == 0 ? to : checked((int)Math.Min(to, at + size));
                if (end < start) throw Damaged;
                switch (name)
                {
                    case "moov" or "minf" or "stbl" or "mdia":
                        handler = In(start, end, handler);
                        break;
                    case "trak":
                        In(start, end, "");
                        break;
                    case "hdlr":
                        handler = Encoding.ASCII.GetString(bytes, start + 8, 4);
                        if (handler == "soun") found.HasSound = true;
                        break;
                    // Version and flags, the count, then the first entry: its size and name, and of pictures their size (§12.1.3).
                    case "stsd" when handler == "vide" && found.Codec.Length == 0:
                        found.Codec = Encoding.ASCII.GetString(bytes, start + 12, 4);
                        found.Width = BinaryPrimitives.ReadUInt16BigEndian(bytes.AsSpan(start + 40));
                        found.Height = BinaryPrimitives.ReadUInt16BigEndian(bytes.AsSpan(start + 42));
                        break;
                }
                at = end;
            }
            return handler;
        }
    }
}
