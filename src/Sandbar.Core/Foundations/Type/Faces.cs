using Sandbar.Core.Design;
using Sandbar.Fonts;
using FontFile = Sandbar.Core.Design.FontFile;

namespace Sandbar.Core.Foundations.Type;

/// <summary>What is known of the font files of a site.</summary>
public static class Faces
{
    /// <summary>What was read from a file: kept with the site, or of a file of the program; null where neither is.</summary>
    public static FontMeasures? Measures(FontFile file) => file.Measures ?? BundledFamilies.Measures(file.Item);

    /// <summary>What was read from the file that stands for a family's usual text; null where nothing was.</summary>
    public static FontMeasures? Measures(Family family, decimal weight = 400, bool italic = false) =>
        FontMatching.Files(family, weight, italic) is [var file, ..] ? Measures(file) : null;

    /// <summary>The characters that a browser takes from a file: those it has, of those it is said to be for.</summary>
    public static CharacterSet Characters(FontFile file, Fonts.FontFile font) => UnicodeRange.Read(file.Ranges) is { } told ? font.Facts.Characters.Within(told) : font.Facts.Characters;

    /// <summary>The axes along which a family can be varied, but for weight, which has a setting of its own.</summary>
    public static IEnumerable<AxisRange> Axes(Family family, bool italic = false) => Measures(family, italic: italic)?.Axes ?? [];
}
