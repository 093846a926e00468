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
    /// <summary>How far the nearest weight it holds is from another; 0 where it holds that.</summary>
    public decimal From(decimal weight) => Math.Max(0, Math.Max(WeightFrom - weight, weight - WeightTo));
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

/// <summary>A named set of type settings.</summary>
/// <param name="Size">A reference to the scale, or a size of its own.</param>
/// <param name="LineHeight">Times the size, or a length.</param>
public sealed record TextStyle(
    string Id, string Name, string CssName, Value Family, Value Size, Value Weight, Value LineHeight, Value LetterSpacing, Value Case, Value Slant) : Named(Id, Name, CssName);
