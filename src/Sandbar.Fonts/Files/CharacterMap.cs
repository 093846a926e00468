namespace Sandbar.Fonts.Files;

/// <summary>The table <c>cmap</c>: what characters a font has letters for. Source: OpenType 1.9, cmap, formats 0, 4, 6, 12 and 13.</summary>
internal static class CharacterMap
{
    private const int MostGroups = 200_000;

    /// <summary>Of a table that knows the first plane alone: some say a character twice.</summary>
    private const int MostCodes = 2 * 65_536;

    /// <exception cref="FormatException">The table is damaged, or speaks of no Unicode.</exception>
    public static CharacterSet Read(ReadOnlySpan<byte> table)
    {
        var reader = new BigEndian(table, 2);
        var count = reader.U16();
        var best = (Rank: 0, At: 0);
        for (var i = 0; i < count; i++)
        {
            var rank = Rank(reader.U16(), reader.U16());
            var at = reader.Length32();
            if (rank > best.Rank) best = (rank, at);
        }
        if (best.Rank == 0) throw new FormatException("This font cannot be used for text: it has letters for no character of Unicode.");
        return CharacterSet.Of(Ranges(table, best.At));
    }

    /// <summary>All of Unicode before its first plane, that before symbols.</summary>
    private static int Rank(int platform, int encoding) => (platform, encoding) switch
    {
        (3, 10) or (0, 4) or (0, 6) => 3,
        (3, 1) or (0, <= 3) => 2,
        (3, 0) => 1,
        _ => 0,
    };

    private static List<(int From, int To)> Ranges(ReadOnlySpan<byte> table, int at)
    {
        var reader = new BigEndian(table, at);
        var ranges = new List<(int From, int To)>();
        switch (reader.U16())
        {
            case 0:
                reader.Take(4);
                for (var code = 0; code < 256; code++)
                    if (reader.U8() != 0) ranges.Add((code, code));
                break;
            case 4:
                Segments(table, at, ranges);
                break;
            case 6:
                reader.Take(4);
                var (first, entries) = (reader.U16(), reader.U16());
                for (var i = 0; i < entries; i++)
                    if (reader.U16() != 0) ranges.Add((first + i, first + i));
                break;
            case 12 or 13:
                reader.Take(10);
                var groups = reader.Length32();
                if (groups > MostGroups) throw new FormatException("This font is damaged: it has more characters than there are.");
                for (var i = 0; i < groups; i++)
                {
                    var (from, to, glyph) = (reader.Length32(), reader.Length32(), reader.U32());
                    if (to > 0x10FFFF || from > to) throw new FormatException("This font is damaged: a character in it is none.");
                    ranges.Add((glyph == 0 && to > from ? from + 1 : from, to));
                }
                break;
            default:
                throw new FormatException("This font keeps its characters in a way that is not read.");
        }
        return ranges;
    }

    private static void Segments(ReadOnlySpan<byte> table, int at, List<(int From, int To)> ranges)
    {
        var count = new BigEndian(table, at + 6).U16() / 2;
        var codes = 0;
        BigEndian ends = new(table, at + 14), starts = new(table, at + 16 + 2 * count), deltas = new(table, at + 16 + 4 * count);
        for (var i = 0; i < count; i++)
        {
            var (to, from, delta) = (ends.U16(), starts.U16(), deltas.U16());
            var offsetAt = at + 16 + 6 * count + 2 * i;
            var offset = new BigEndian(table, offsetAt).U16();
            if (from > to || from == 0xFFFF) continue;
            codes += to - from + 1;
            if (codes > MostCodes) throw new FormatException("This font is damaged: it has more characters than there are.");
            for (var code = from; code <= to; code++)
            {
                // A segment that leads to glyphs one by one may leave some out.
                var glyph = offset == 0 ? (code + delta) & 0xFFFF : GlyphAt(table, offsetAt + offset + 2 * (code - from));
                if (glyph != 0) ranges.Add((code, code));
                if (code == 0xFFFF) break;
            }
        }
    }

    private static int GlyphAt(ReadOnlySpan<byte> table, int at) => at + 2 <= table.Length ? new BigEndian(table, at).U16() : 0;
}
