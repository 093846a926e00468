using System.Globalization;
using Sandbar.Fonts;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Characters as CSS has them for a font face. Source: CSS Fonts 4, §4.5 (<c>unicode-range</c>), without the question marks.</summary>
public static class UnicodeRange
{
    private const int Highest = 0x10FFFF, Longest = 2_000;

    /// <summary>The characters of a list such as <c>U+0000-00FF, U+0131</c>; null where it is none.</summary>
    public static CharacterSet? Read(string text)
    {
        if (text.Length > Longest) return null;
        var ranges = new List<(int From, int To)>();
        foreach (var range in text.Split(','))
        {
            var trimmed = range.Trim();
            if (!trimmed.StartsWith("U+", StringComparison.OrdinalIgnoreCase)) return null;
            var ends = trimmed[2..].Split('-');
            if (ends.Length > 2 || Number(ends[0]) is not { } from || Number(ends[^1]) is not { } to || from > to) return null;
            ranges.Add((from, to));
        }
        return CharacterSet.Of(ranges);
    }

    /// <summary>Characters as a list of ranges.</summary>
    public static string Write(CharacterSet characters) =>
        string.Join(", ", characters.Ranges.Select(r => r.From == r.To ? $"U+{r.From:X4}" : $"U+{r.From:X4}-{r.To:X4}"));

    private static int? Number(string hex) =>
        hex.Length is >= 1 and <= 6 && int.TryParse(hex, NumberStyles.AllowHexSpecifier, CultureInfo.InvariantCulture, out var number) && number <= Highest ? number : null;
}
