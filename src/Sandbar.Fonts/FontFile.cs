using System.Collections.Immutable;
using System.Text;
using Sandbar.Fonts.Files;

namespace Sandbar.Fonts;

/// <summary>A font file: WOFF2, WOFF, TTF or OTF. Sources: OpenType 1.9 (ISO/IEC 14496-22), WOFF 1.0 and 2.0 (W3C).</summary>
public sealed class FontFile
{
    private const int FamilyName = 1, TypographicFamily = 16, Licence = 13, LicenceUrl = 14;

    /// <summary>Bits of OS/2's fsSelection and fsType.</summary>
    private const int Italic = 1, UseTypoMetrics = 0x80, RestrictedLicence = 2;

    /// <summary>Longest text of a name that is told.</summary>
    private const int LongestName = 2_000;

    private readonly FontTables tables;

    private FontFile(FontTables tables) => (this.tables, Facts) = (tables, Read(tables));

    public FontFacts Facts { get; }

    /// <exception cref="FormatException">It is no font that can be read; the message says why in a sentence.</exception>
    public static FontFile Read(byte[] file) => new(FontTables.Read(file));

    /// <summary>The same font as WOFF2, written by us: with the tables that text needs, and nothing else that the file held.</summary>
    public byte[] AsWoff2() => tables.Woff2File();

    /// <summary>The same font as nobody wraps it.</summary>
    internal byte[] Unwrapped() => tables.Unwrapped();

    private static FontFacts Read(FontTables tables)
    {
        var os2 = tables["OS/2"];
        var metrics = Metrics(tables);
        var axes = Axes(tables["fvar"]);
        var weight = os2.Length >= 6 ? new BigEndian(os2, 4).U16() : (new BigEndian(tables["head"], 44).U16() & 1) != 0 ? 700 : 400;
        var wght = axes.FirstOrDefault(a => a.Tag == "wght");
        var selection = os2.Length >= 64 ? new BigEndian(os2, 62).U16() : 0;
        return new(
            Name(tables["name"], TypographicFamily) is { Length: > 0 } family ? family : Name(tables["name"], FamilyName), metrics,
            wght is null ? (weight, weight) : ((int)Math.Round(wght.Least), (int)Math.Round(wght.Most)),
            (selection & Italic) != 0 || (new BigEndian(tables["head"], 44).U16() & 2) != 0, Class(tables), axes,
            [.. Features(tables["GSUB"]).Concat(Features(tables["GPOS"])).Distinct().Order(StringComparer.Ordinal)], CharacterMap.Read(tables["cmap"]),
            Name(tables["name"], Licence), Name(tables["name"], LicenceUrl), os2.Length < 10 || (new BigEndian(os2, 8).U16() & 0xF) != RestrictedLicence);
    }

    private static FontMetrics Metrics(FontTables tables)
    {
        var unitsPerEm = new BigEndian(tables["head"], 18).U16();
        if (unitsPerEm is < 16 or > 16_384) throw new FormatException("This font is damaged: its letters have no size.");
        var hhea = new BigEndian(tables["hhea"], 4);
        var (ascent, descent, lineGap) = (hhea.I16(), hhea.I16(), hhea.I16());
        var os2 = tables["OS/2"];
        if (os2.Length >= 74 && (new BigEndian(os2, 62).U16() & UseTypoMetrics) != 0)
        {
            var typo = new BigEndian(os2, 68);
            (ascent, descent, lineGap) = (typo.I16(), typo.I16(), typo.I16());
        }
        var heights = os2.Length >= 90 && new BigEndian(os2).U16() >= 2;
        return new(unitsPerEm, ascent, descent, lineGap, heights ? new BigEndian(os2, 88).I16() : 0, heights ? new BigEndian(os2, 86).I16() : 0);
    }

    private static ImmutableArray<FontAxis> Axes(ReadOnlySpan<byte> fvar)
    {
        if (fvar.IsEmpty) return [];
        var reader = new BigEndian(fvar, 4);
        var at = reader.U16();
        reader.U16();
        var (count, size) = (reader.U16(), reader.U16());
        if (size < 20) throw new FormatException("This font is damaged: its axes cannot be read.");
        var axes = ImmutableArray.CreateBuilder<FontAxis>();
        for (var i = 0; i < count; i++)
        {
            var axis = new BigEndian(fvar, at + i * size);
            var read = new FontAxis(axis.Tag(), axis.Fixed(), axis.Fixed(), axis.Fixed());
            axes.Add(read.Least <= read.Usual && read.Usual <= read.Most ? read : throw new FormatException("This font is damaged: an axis of it ends before it begins."));
        }
        return axes.ToImmutable();
    }

    /// <summary>What PANOSE and the family class of OS/2 say; mono also where the font says so elsewhere.</summary>
    private static FontClass? Class(FontTables tables)
    {
        var post = tables["post"];
        var os2 = tables["OS/2"];
        if (post.Length >= 16 && new BigEndian(post, 12).U32() != 0) return FontClass.Mono;
        if (os2.Length < 42) return null;
        var (family, serifs, proportion) = (os2[32], os2[33], os2[35]);
        if (family == 2 && proportion == 9) return FontClass.Mono;
        return (family, serifs, os2[30]) switch
        {
            (3, _, _) => FontClass.Handwriting,
            (4 or 5, _, _) => FontClass.Display,
            (2, 4 or 5 or 6, _) => FontClass.Slab,
            (2, >= 11 and <= 15, _) => FontClass.Sans,
            (2, >= 2 and <= 10, _) => FontClass.Serif,
            (_, _, 5) => FontClass.Slab,
            (_, _, >= 1 and <= 7) => FontClass.Serif,
            (_, _, 8) => FontClass.Sans,
            (_, _, 9) => FontClass.Display,
            (_, _, 10) => FontClass.Handwriting,
            _ => null,
        };
    }

    private static List<string> Features(ReadOnlySpan<byte> table)
    {
        var tags = new List<string>();
        if (table.Length < 10) return tags;
        var reader = new BigEndian(table, new BigEndian(table, 6).U16());
        var count = reader.U16();
        for (var i = 0; i < count; i++)
        {
            tags.Add(reader.Tag());
            reader.U16();
        }
        return tags;
    }

    /// <summary>A name by its number, the English one for Windows before any other; empty where there is none.</summary>
    private static string Name(ReadOnlySpan<byte> table, int number)
    {
        if (table.Length < 6) return "";
        var reader = new BigEndian(table, 2);
        var (count, texts) = (reader.U16(), reader.U16());
        var best = (Rank: 0, Text: "");
        for (var i = 0; i < count; i++)
        {
            var (platform, encoding, language, id, length, at) = (reader.U16(), reader.U16(), reader.U16(), reader.U16(), reader.U16(), reader.U16());
            var rank = id != number ? 0 : (platform, encoding, language) switch
            {
                (3, 1 or 10, 0x409) => 4,
                (3, 0 or 1 or 10, _) => 3,
                (0, _, _) => 2,
                (1, 0, _) => 1,
                _ => 0,
            };
            if (rank <= best.Rank || texts + at + length > table.Length) continue;
            var bytes = table.Slice(texts + at, length);
            best = (rank, platform == 1 ? Encoding.Latin1.GetString(bytes) : Encoding.BigEndianUnicode.GetString(bytes));
        }
        var text = new string([.. best.Text.Where(c => !char.IsControl(c) || c is '\n')]).Trim();
        return text.Length <= LongestName ? text : text[..LongestName];
    }
}
