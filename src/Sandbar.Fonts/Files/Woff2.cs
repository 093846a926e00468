using System.IO.Compression;

namespace Sandbar.Fonts.Files;

/// <summary>WOFF 2.0 (W3C): all tables in one Brotli stream, outlines and advances in a form of their own that packs better.</summary>
internal static class Woff2
{
    private const int PackedSize = 20, HeaderSize = 48, OwnTag = 63;

    /// <summary>Tags by their number (WOFF2, 4.1).</summary>
    public static readonly string[] Tags =
    [
        "cmap", "head", "hhea", "hmtx", "maxp", "name", "OS/2", "post", "cvt ", "fpgm", "glyf", "loca", "prep", "CFF ", "VORG", "EBDT", "EBLC", "gasp", "hdmx", "kern", "LTSH",
        "PCLT", "VDMX", "vhea", "vmtx", "BASE", "GDEF", "GPOS", "GSUB", "EBSC", "JSTF", "MATH", "CBDT", "CBLC", "COLR", "CPAL", "SVG ", "sbix", "acnt", "avar", "bdat", "bloc",
        "bsln", "cvar", "fdsc", "feat", "fmtx", "fvar", "gvar", "hsty", "just", "lcar", "mort", "morx", "opbd", "prop", "trak", "Zapf", "Silf", "Glat", "Gloc", "Feat", "Sill",
    ];

    /// <exception cref="FormatException">It is damaged, or larger than anything that is taken.</exception>
    public static (uint Flavor, Dictionary<string, ReadOnlyMemory<byte>> Tables) Read(byte[] file)
    {
        var (flavor, count) = Woff.Head(file);
        var packed = new BigEndian(file, PackedSize).Length32();
        var reader = new BigEndian(file, HeaderSize);
        var entries = new List<(string Tag, int Length, bool Transformed)>();
        var all = 0L;
        for (var i = 0; i < count; i++)
        {
            var flags = reader.U8();
            var tag = (flags & OwnTag) == OwnTag ? reader.Tag() : Tags[flags & OwnTag];
            var original = reader.Base128();
            // Of outlines the form of their own is number 0, of all others it is any but 0.
            var transformed = tag is "glyf" or "loca" ? flags >> 6 == 0 : flags >> 6 != 0;
            var length = transformed ? reader.Base128() : original;
            all += length;
            entries.Add((tag, length, transformed));
        }
        if (all > FontTables.MostUnpacked) throw FontTables.TooLarge();
        var stream = new byte[(int)all];
        if (!BrotliDecoder.TryDecompress(reader.Take(packed), stream, out var written) || written != stream.Length) throw new FormatException("This font is damaged: it cannot be unpacked.");
        var tables = new Dictionary<string, ReadOnlyMemory<byte>>(StringComparer.Ordinal);
        var transforms = new HashSet<string>(StringComparer.Ordinal);
        var at = 0;
        foreach (var (tag, length, transformed) in entries)
        {
            tables[tag] = stream.AsMemory(at, length);
            if (transformed) transforms.Add(tag);
            at += length;
        }
        if (transforms.Contains("glyf")) Woff2Outlines.Restore(tables, transforms.Contains("hmtx"));
        else if (transforms.Contains("hmtx")) throw new FormatException("This font is damaged: its advances lack the outlines they go with.");
        return (flavor, tables);
    }
}
