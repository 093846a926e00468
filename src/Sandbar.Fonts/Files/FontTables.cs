using System.Buffers.Binary;
using System.Collections.Immutable;
using System.Text;

namespace Sandbar.Fonts.Files;

/// <summary>The tables of a font file, whatever it is wrapped in. Sources: OpenType 1.9 (ISO/IEC 14496-22), WOFF 1.0 and WOFF 2.0 (W3C).</summary>
internal sealed class FontTables
{
    public const int MostBytes = 20_000_000;

    /// <summary>Unpacked, all tables together.</summary>
    public const int MostUnpacked = 80_000_000;

    public const int MostTables = 256;

    private const uint TrueType = 0x0001_0000, AppleTrueType = 0x7472_7565, Cff = 0x4F54_544F, Collection = 0x7474_6366, Woff1 = 0x774F_4646, Woff2Signature = 0x774F_4632;

    private readonly ImmutableSortedDictionary<string, ReadOnlyMemory<byte>> tables;

    private FontTables(uint flavor, ImmutableSortedDictionary<string, ReadOnlyMemory<byte>> tables) => (Flavor, this.tables) = (flavor, tables);

    /// <summary>What kind of outlines it has, as the first four bytes of an unwrapped file.</summary>
    private uint Flavor { get; }

    /// <summary>A table by its tag; empty where there is none.</summary>
    public ReadOnlySpan<byte> this[string tag] => tables.TryGetValue(tag, out var table) ? table.Span : default;

    /// <exception cref="FormatException">It is no font that can be read; the message says why.</exception>
    public static FontTables Read(byte[] file)
    {
        if (file.Length > MostBytes) throw new FormatException($"This font is larger than {MostBytes / 1_000_000} MB.");
        if (file.Length < 12) throw NoFont();
        var signature = BinaryPrimitives.ReadUInt32BigEndian(file);
        var (flavor, tables) = signature switch
        {
            TrueType or AppleTrueType or Cff => (signature, Plain(file)),
            Woff1 => Woff.Read(file),
            Woff2Signature => Woff2.Read(file),
            Collection => throw new FormatException("This is a collection of fonts: take one of them out of it and bring that."),
            _ => throw NoFont(),
        };
        if (flavor == Collection) throw new FormatException("This is a collection of fonts: take one of them out of it and bring that.");
        if (flavor is not (TrueType or AppleTrueType or Cff)) throw NoFont();
        foreach (var needed in new[] { "head", "hhea", "hmtx", "maxp", "cmap" })
        {
            if (!tables.ContainsKey(needed)) throw new FormatException($"This font is damaged: its table {needed} is missing.");
        }
        return new(flavor, tables.ToImmutableSortedDictionary(StringComparer.Ordinal));
    }

    /// <summary>The unwrapped file.</summary>
    public byte[] Unwrapped()
    {
        var head = 12 + 16 * tables.Count;
        var file = new byte[head + tables.Values.Sum(t => Padded(t.Length))];
        BinaryPrimitives.WriteUInt32BigEndian(file, Flavor);
        BinaryPrimitives.WriteUInt16BigEndian(file.AsSpan(4), (ushort)tables.Count);
        var (entry, at) = (12, head);
        foreach (var (tag, table) in tables)
        {
            Encoding.Latin1.GetBytes(tag, file.AsSpan(entry));
            BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(entry + 8), (uint)at);
            BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(entry + 12), (uint)table.Length);
            table.Span.CopyTo(file.AsSpan(at));
            entry += 16;
            at += Padded(table.Length);
        }
        return file;
    }

    /// <summary>Tables that a browser sets text with: outlines, advances, kerning, forms, axes, names. Pictures, signatures and what programs keep for themselves are none.</summary>
    private static readonly string[] OfText =
    [
        "head", "hhea", "hmtx", "maxp", "cmap", "name", "OS/2", "post", "cvt ", "fpgm", "prep", "gasp", "glyf", "loca", "CFF ", "CFF2", "VORG", "vhea", "vmtx", "kern", "BASE", "GDEF", "GPOS",
        "GSUB", "JSTF", "MATH", "COLR", "CPAL", "fvar", "avar", "gvar", "cvar", "HVAR", "VVAR", "MVAR", "STAT",
    ];

    /// <summary>The font as WOFF2, with the tables that text needs and no others.</summary>
    public byte[] Woff2File() => Woff2Writer.Write(Flavor, [.. OfText.Where(tables.ContainsKey).Select(tag => (tag, tables[tag]))]);

    private static int Padded(int length) => (length + 3) & ~3;

    private static Dictionary<string, ReadOnlyMemory<byte>> Plain(byte[] file)
    {
        var reader = new BigEndian(file, 4);
        var count = reader.U16();
        if (count > MostTables) throw new FormatException($"This font has more than {MostTables} tables.");
        reader.Take(6);
        var tables = new Dictionary<string, ReadOnlyMemory<byte>>(StringComparer.Ordinal);
        var all = 0L;
        for (var i = 0; i < count; i++)
        {
            var tag = reader.Tag();
            reader.U32();
            var (at, length) = (reader.Length32(), reader.Length32());
            all += length;
            // Tables may lie on each other: each is unwrapped by itself.
            if (all > MostUnpacked) throw TooLarge();
            if (at > file.Length || length > file.Length - at) throw new FormatException("This font is damaged: it ends too early, or points beyond its end.");
            tables[tag] = file.AsMemory(at, length);
        }
        return tables;
    }

    public static FormatException TooLarge() => new($"This font unpacks to more than {MostUnpacked / 1_000_000} MB.");

    private static FormatException NoFont() => new("This is no font that can be read: WOFF2, WOFF, TTF and OTF can.");
}
