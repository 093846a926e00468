using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Typography;

/// <summary>What can be set about a text style.</summary>
public enum TextStyleSetting
{
    Family,
    Size,
    Weight,
    LineHeight,
    LetterSpacing,
    Case,
    Slant,
}

/// <summary>The settings of a text style as they are typed and read.</summary>
public static class TextStyleSettings
{
    private static readonly PartProperty Size = new() { Id = "size", Name = "Size", Group = "", Kind = ValueKind.Length, Min = 1, Max = 400 };

    private static readonly PartProperty LineHeight = new() { Id = "line-height", Name = "Line height", Group = "", Kind = ValueKind.Length, Min = 0.5m, Max = 400 };

    private static readonly PartProperty LetterSpacing = new() { Id = "letter-spacing", Name = "Letter spacing", Group = "", Kind = ValueKind.Length, Min = -20, Max = 100 };

    /// <summary>Words of the interface and what they are in CSS.</summary>
    private static readonly ImmutableArray<(string Word, string Css)> Cases =
        [("as typed", "none"), ("capitals", "uppercase"), ("small letters", "lowercase"), ("first letters capital", "capitalize")];

    private static readonly ImmutableArray<string> Slants = ["upright", "italic"];

    /// <summary>A setting as the designer reads it.</summary>
    public static string Write(Site site, TextStyle style, TextStyleSetting setting) => setting switch
    {
        TextStyleSetting.Family => site.Typography.Families.Get(style.Family).Name,
        TextStyleSetting.Size => ValueText.Write(site, style.Size),
        TextStyleSetting.Weight => style.Weight.ToString(CultureInfo.InvariantCulture),
        TextStyleSetting.LineHeight => ValueText.Write(site, style.LineHeight),
        TextStyleSetting.LetterSpacing => ValueText.Write(site, style.LetterSpacing),
        TextStyleSetting.Case => Cases.First(c => c.Css == style.Case).Word,
        TextStyleSetting.Slant => Slants[style.Italic ? 1 : 0],
        _ => throw new ArgumentOutOfRangeException(nameof(setting)),
    };

    /// <summary>The style with a setting as typed.</summary>
    /// <exception cref="FormatException">It cannot be read or is out of range; the message says why and what would do.</exception>
    public static TextStyle Read(Site site, TextStyle style, TextStyleSetting setting, string text)
    {
        var typed = text.Trim();
        return setting switch
        {
            TextStyleSetting.Family => style with { Family = Family(site, typed).Id },
            TextStyleSetting.Size => style with { Size = ValueText.Read(site, Size, typed) },
            TextStyleSetting.Weight => style with { Weight = Weight(typed) },
            TextStyleSetting.LineHeight => style with { LineHeight = Lines(site, typed) },
            TextStyleSetting.LetterSpacing => style with { LetterSpacing = ValueText.Read(site, LetterSpacing, typed) },
            TextStyleSetting.Case => style with { Case = Case(typed) },
            TextStyleSetting.Slant => style with { Italic = Slant(typed) },
            _ => throw new ArgumentOutOfRangeException(nameof(setting)),
        };
    }

    /// <summary>What can be named in a setting, most fitting first.</summary>
    public static IEnumerable<string> Names(Site site, TextStyle style, TextStyleSetting setting) => setting switch
    {
        TextStyleSetting.Family => site.Typography.Families.Select(f => f.Name),
        TextStyleSetting.Size => Scale.Steps(site.Typography.Scale).Reverse().Select(step => $"size {Scale.Label(step)}"),
        TextStyleSetting.Weight => Weights(site, style).Select(w => w.ToString(CultureInfo.InvariantCulture)),
        TextStyleSetting.LineHeight => ["1.1", "1.25", "1.4", "1.5", "1.6"],
        TextStyleSetting.LetterSpacing => ["0", "-0.01em", "0.04em", "0.08em"],
        TextStyleSetting.Case => Cases.Select(c => c.Word),
        TextStyleSetting.Slant => Slants,
        _ => [],
    };

    /// <summary>What a designer should know of a setting; empty where there is nothing to say.</summary>
    public static string Note(Site site, TextStyle style, TextStyleSetting setting)
    {
        var family = site.Typography.Families.Get(style.Family);
        switch (setting)
        {
            case TextStyleSetting.Weight when family.Files.Length > 0 && !family.Files.Any(f => f.WeightFrom <= style.Weight && style.Weight <= f.WeightTo):
                return $"{family.Name} has {Range(family.Files)}";
            case TextStyleSetting.Slant when style.Italic && family.Files.Length > 0 && !family.Files.Any(f => f.Italic):
                return "slanted by the browser";
            case TextStyleSetting.Size when style.Size is ReferenceValue { To: ReferenceKind.Size } size:
                var (from, to) = Scale.Sizes(site.Typography.Scale, size.Step);
                return from == to ? $"{Px(from)}" : $"{Px(from)}–{Px(to)}";
            default:
                return "";
        }
    }

    private static string Px(double px) => Math.Round(px, 1).ToString("0.#", CultureInfo.InvariantCulture);

    private static string Range(ImmutableArray<FontFile> files) => string.Join(", ", files.Select(f => f.WeightFrom == f.WeightTo ? $"{f.WeightFrom}" : $"{f.WeightFrom}–{f.WeightTo}"));

    private static IEnumerable<int> Weights(Site site, TextStyle style)
    {
        var files = site.Typography.Families.Get(style.Family).Files;
        return Enumerable.Range(1, 9).Select(n => n * 100).Where(w => files.IsEmpty || files.Any(f => f.WeightFrom <= w && w <= f.WeightTo));
    }

    private static Family Family(Site site, string name) =>
        site.Typography.Families.FirstOrDefault(f => f.Name.Equals(name, StringComparison.OrdinalIgnoreCase))
        ?? throw new FormatException($"This site has no family “{name}”. It has {string.Join(", ", site.Typography.Families.Select(f => f.Name))}; others can be taken from the shelf.");

    private static int Weight(string typed) =>
        int.TryParse(typed, NumberStyles.None, CultureInfo.InvariantCulture, out var weight) && weight is >= 1 and <= 1000
            ? weight
            : throw new FormatException("A weight is a whole number from 1 to 1000; most families have some of 100 to 900.");

    /// <summary>A plain number is times the size; ValueText would make pixels of it.</summary>
    private static Value Lines(Site site, string typed)
    {
        if (!decimal.TryParse(typed, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var times)) return ValueText.Read(site, LineHeight, typed);
        return times is >= 0.5m and <= 5 ? new NumberValue(times, "") : throw new FormatException("A line height without a unit lies between 0.5 and 5 times the size.");
    }

    private static string Case(string typed) =>
        Cases.FirstOrDefault(c => c.Word.Equals(typed, StringComparison.OrdinalIgnoreCase) || c.Css.Equals(typed, StringComparison.OrdinalIgnoreCase)).Css
        ?? throw new FormatException($"Case takes {string.Join(", ", Cases.Select(c => c.Word))}.");

    private static bool Slant(string typed) =>
        Slants.IndexOf(typed.ToLowerInvariant()) is var at && at >= 0 ? at == 1 : throw new FormatException($"Slant takes {string.Join(" or ", Slants)}.");
}
