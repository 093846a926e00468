using System.Text;
using Sandbar.Core.Pictures;
using Sandbar.Core.Samples;

namespace Sandbar.Core.Tests.Pictures;

/// <summary>What clips say of themselves. The WebM is one that Chromium recorded; the MP4 is put together by ISO/IEC 14496-12.</summary>
public class ClipFileTests
{
    private static readonly byte[] Recorded = StandIn.Clip.Asset.Bytes;

    [Fact]
    public void A_clip_that_a_browser_recorded_is_read() => Assert.Equal(new ClipFile("video/webm", "VP8", 960, 540, HasSound: false), ClipFile.Read(Recorded));

    [Theory]
    [InlineData("avc1", "H.264")]
    [InlineData("av01", "AV1")]
    public void Boxes_of_a_clip_are_read(string entry, string codec) => Assert.Equal(new ClipFile("video/mp4", codec, 640, 360, HasSound: true), ClipFile.Read(Mp4(entry)));

    [Theory]
    [InlineData("hvc1")]
    [InlineData("mp4v")]
    public void A_codec_that_not_every_browser_plays_is_named(string entry) => Assert.Contains($"coded as {entry}", Refusal(Mp4(entry)), StringComparison.Ordinal);

    [Fact]
    public void What_is_no_clip_is_told_and_what_is_damaged_is_never_worse_than_refused()
    {
        Assert.Contains("no clip", Refusal("GIF89a"u8.ToArray()), StringComparison.Ordinal);
        Assert.Contains("no clip", Refusal([]), StringComparison.Ordinal);
        Assert.Contains("larger than", Refusal(new byte[ClipFile.MostBytes + 1]), StringComparison.Ordinal);
        Assert.Contains("no pictures", Refusal(Box("ftyp", "isom"u8.ToArray(), new byte[4])), StringComparison.Ordinal);
        var random = new Random(3);
        foreach (var whole in new[] { Recorded[..600], Mp4("avc1") })
        {
            for (var n = 0; n < RandomTimes.Of(3000); n++)
            {
                var bytes = whole[..random.Next(1, whole.Length + 1)];
                for (var k = random.Next(6); k > 0; k--) bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
                try
                {
                    var clip = ClipFile.Read(bytes);
                    Assert.InRange(clip.Width, 1, 8192);
                }
                catch (FormatException refused)
                {
                    Assert.NotEmpty(refused.Message);
                }
            }
        }
    }

    private static string Refusal(byte[] bytes) => Assert.Throws<FormatException>(() => ClipFile.Read(bytes)).Message;

    private static byte[] Mp4(string entry)
    {
        // A sample entry of pictures: 6 reserved bytes, an index, 16 more, then width and height.
        byte[] sample = [.. new byte[8], .. new byte[16], 0x02, 0x80, 0x01, 0x68, .. new byte[50]];
        byte[] Track(string handler, byte[] stsd) => Box("trak", Box("mdia", Box("hdlr", [.. new byte[8], .. Encoding.ASCII.GetBytes(handler), .. new byte[12]]), Box("minf", Box("stbl", Box("stsd", [0, 0, 0, 0, 0, 0, 0, 1, .. stsd])))));
        return [.. Box("ftyp", "isom"u8.ToArray(), new byte[4]), .. Box("moov", Track("vide", Box(entry, sample)), Track("soun", Box("mp4a", new byte[28])))];
    }

    private static byte[] Box(string name, params byte[][] inner)
    {
        var content = inner.SelectMany(b => b).ToArray();
        var size = content.Length + 8;
        return [(byte)(size >> 24), (byte)(size >> 16), (byte)(size >> 8), (byte)size, .. Encoding.ASCII.GetBytes(name), .. content];
    }
}
