using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Families, the scale and the named text styles. The first style is the text of the page itself.</summary>
public sealed record TypeFoundation(ImmutableArray<Family> Families, TypeScale Scale, ImmutableArray<TextStyle> Styles) : INode;

/// <summary>A family and its fallbacks.</summary>
/// <param name="Stack">The CSS <c>font-family</c> list.</param>
/// <param name="Files">Its font files on the shelf.</param>
public sealed record Family(string Id, string Name, string CssName, string Stack, ImmutableArray<FontFile> Files) : Named(Id, Name, CssName);

/// <param name="Item">Id of a shelf item.</param>
/// <param name="WeightFrom">Lightest weight the file holds.</param>
/// <param name="WeightTo">Boldest weight the file holds.</param>
public sealed record FontFile(string Item, int WeightFrom, int WeightTo, bool Italic)
{
    /// <summary>The characters it is for, as CSS has them (<c>unicode-range</c>); empty for all it has.</summary>
    public string Ranges { get; init; } = "";

    /// <summary>What was read from the file when it came; null for files of the program, which are read where that is needed.</summary>
    public FontMeasures? Measures { get; init; }
}

/// <summary>What pages and figures need to know of a font file, so that a site can be released without reading its fonts again.</summary>
/// <param name="Name">The family's name as the file has it.</param>
/// <param name="UnitsPerEm">As many as the font size is; the six heights are in these.</param>
/// <param name="Widths">How wide running text is, em, at the weights it was measured at, the lightest first.</param>
/// <param name="Axes">Along which the font varies, but for weight.</param>
/// <param name="Features">Tags of its OpenType features.</param>
/// <param name="Languages">Codes of the languages it has all letters of.</param>
/// <param name="Licence">As the file says itself; empty where it says nothing.</param>
/// <param name="MayEmbed">Whether its licence field lets it be sent with pages.</param>
public sealed record FontMeasures(
    string Name,
    int UnitsPerEm,
    int Ascent,
    int Descent,
    int LineGap,
    int CapHeight,
    int XHeight,
    ImmutableArray<WidthAtWeight> Widths,
    ImmutableArray<AxisRange> Axes,
    ImmutableArray<string> Features,
    ImmutableArray<string> Languages,
    string Licence,
    bool MayEmbed)
{
    /// <summary>What kind of letters the file says it has; null where it does not say.</summary>
    public FamilyClass? Class { get; init; }
}

/// <param name="Width">Of running text, em.</param>
public sealed record WidthAtWeight(int Weight, double Width);

/// <summary>An axis along which a variable font varies.</summary>
/// <param name="Tag">Four letters, such as <c>opsz</c>.</param>
public sealed record AxisRange(string Tag, double Least, double Usual, double Most);

/// <summary>What kind of letters a family has.</summary>
public enum FamilyClass
{
    Serif,
    Sans,
    Slab,
    Mono,
    Display,
    Hand,
}

/// <summary>Sizes by base and ratio at two widths, fluid between them.</summary>
/// <param name="Ends">The narrow end, then the wide one.</param>
/// <param name="Lowest">The lowest position, for example −2.</param>
/// <param name="Highest">The highest position.</param>
public sealed record TypeScale(ImmutableArray<ScaleEnd> Ends, int Lowest, int Highest) : INode;

/// <param name="Width">Viewport width, px.</param>
/// <param name="Base">Size 0, px.</param>
/// <param name="Ratio">From one position to the next.</param>
public sealed record ScaleEnd(string Id, Value Width, Value Base, Value Ratio) : IListed;

/// <summary>A named set of type settings. What documents of earlier programs do not say is as a browser has it where nothing is set.</summary>
/// <param name="Size">A reference to the scale, or a size of its own.</param>
/// <param name="LineHeight">Times the size, or a length.</param>
public sealed record TextStyle(
    string Id, string Name, string CssName, Value Family, Value Size, Value Weight, Value LineHeight, Value LetterSpacing, Value Case, Value Slant) : Named(Id, Name, CssName)
{
    /// <summary>The word for letters that lean.</summary>
    public const string Italic = "italic";

    private static readonly WordValue None = new("none"), Normal = new("normal"), AsBrowser = new("as-browser");

    public Value SmallCaps { get; init; } = None;

    public Value WordSpacing { get; init; } = new NumberValue(0, "");

    /// <summary>The most characters a line has: a plain number, or the word for none.</summary>
    public Value Measure { get; init; } = None;

    public Value Hyphens { get; init; } = None;

    public Value Wrapping { get; init; } = Normal;

    public Value Line { get; init; } = None;

    public Value LineStyle { get; init; } = new WordValue("solid");

    public Value LineThickness { get; init; } = AsBrowser;

    public Value LineOffset { get; init; } = AsBrowser;

    public Value LineColor { get; init; } = new WordValue("as-text");

    public Value Numerals { get; init; } = Normal;

    public Value NumeralWidths { get; init; } = Normal;

    public Value Fractions { get; init; } = None;

    public Value Ligatures { get; init; } = Normal;

    /// <summary>Where the letters stand on the axes of a variable font, but for weight.</summary>
    public Value Axes { get; init; } = Normal;
}
