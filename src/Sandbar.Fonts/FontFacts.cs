using System.Collections.Immutable;

namespace Sandbar.Fonts;

/// <summary>What kind of letters a font says it has.</summary>
public enum FontClass
{
    Serif,
    Sans,
    Slab,
    Mono,
    Display,
    Handwriting,
}

/// <summary>An axis along which a variable font varies.</summary>
/// <param name="Tag">Four letters, such as <c>wght</c>.</param>
public sealed record FontAxis(string Tag, double Least, double Usual, double Most)
{
    /// <summary>Where text of normal width stands on the axis of widths, whatever the font calls usual (CSS Fonts 4, §2.3).</summary>
    public const double NormalWidth = 100;
}

/// <summary>How a font stands on its line, in its own units. Source: OpenType 1.9, tables head, hhea and OS/2.</summary>
/// <param name="UnitsPerEm">As many as the font size is.</param>
/// <param name="Ascent">Above the baseline, as browsers take it.</param>
/// <param name="Descent">Below it, mostly negative.</param>
/// <param name="LineGap">Between lines at normal line height.</param>
/// <param name="CapHeight">0 where the font does not say.</param>
/// <param name="XHeight">0 where the font does not say.</param>
public sealed record FontMetrics(int UnitsPerEm, int Ascent, int Descent, int LineGap, int CapHeight, int XHeight);

/// <summary>What a font says of itself.</summary>
/// <param name="Family">Its name among designers.</param>
/// <param name="Metrics">How it stands on its line.</param>
/// <param name="Weights">The lightest and the boldest it can be.</param>
/// <param name="Class">Null where it does not say.</param>
/// <param name="Features">Tags of its OpenType features, such as <c>onum</c>.</param>
/// <param name="Characters">What it has letters for.</param>
/// <param name="Licence">As it says itself; empty where it says nothing.</param>
/// <param name="LicenceUrl">Where that can be read; empty where it does not say.</param>
/// <param name="MayEmbed">Whether its licence field lets it be embedded (OS/2, fsType).</param>
public sealed record FontFacts(
    string Family, FontMetrics Metrics, (int From, int To) Weights, bool IsItalic, FontClass? Class, ImmutableArray<FontAxis> Axes, ImmutableArray<string> Features, CharacterSet Characters,
    string Licence, string LicenceUrl, bool MayEmbed);
