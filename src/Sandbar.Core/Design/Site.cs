using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>A record that is part of the site's tree: comparing and patching go down into it. What is not a node is a leaf.</summary>
public interface INode;

/// <summary>A node that stands in a list, found by a stable, hidden id.</summary>
public interface IListed : INode
{
    string Id { get; }
}

/// <summary>The whole of a site, immutable. Unchanged branches are shared between versions.</summary>
/// <param name="Format">The form of the document; see <see cref="CurrentFormat"/>.</param>
/// <param name="Slug">What the site is called in addresses and on the command line.</param>
public sealed record Site(
    int Format,
    string Name,
    string Slug,
    Palette Palette,
    Typography Typography,
    Spacing Spacing,
    Edges Edges,
    Fills Fills,
    ImmutableArray<Look> Looks,
    Frame Frame,
    ImmutableArray<Page> Pages,
    ImmutableArray<Menu> Menus,
    ImmutableArray<ShelfItem> Shelf,
    Overrides Overrides) : INode
{
    public const int CurrentFormat = 1;
}

/// <summary>Colours, what they are for, and which is for what.</summary>
public sealed record Palette(ImmutableArray<BaseColor> Colors, ImmutableArray<Role> Roles, ImmutableArray<Scheme> Schemes) : INode;

/// <summary>A colour the designer gave. Its tints and shades are computed.</summary>
/// <param name="CssName">Its part of the custom property's name: <c>--color-beet</c>.</param>
/// <param name="Css">The colour as typed: any CSS colour.</param>
public sealed record BaseColor(string Id, string Name, string CssName, string Css) : IListed;

/// <summary>What a colour is for.</summary>
/// <param name="On">Ids of the roles it must be readable on.</param>
/// <param name="Target">The contrast it needs there: 4.5 for text, 3 for lines and marks (WCAG 2.2), 0 for none.</param>
public sealed record Role(string Id, string Name, string CssName, ImmutableArray<string> On, decimal Target) : IListed;

/// <summary>One full assignment of colours to roles, by role id.</summary>
/// <param name="TurnsInto">Id of the scheme it turns into when the visitor prefers dark; null where it stays.</param>
public sealed record Scheme(string Id, string Name, string CssName, ImmutableSortedDictionary<string, RoleColor> Colors, string? TurnsInto) : IListed;

/// <summary>The colour a scheme gives to a role: a colour of the palette at a step, or whatever reads best on another role.</summary>
/// <param name="Color">Id of a colour; null when <paramref name="ReadableOn"/> is set.</param>
/// <param name="Step">0 the base, 1… tints, −1… shades.</param>
/// <param name="ReadableOn">Id of a role.</param>
public sealed record RoleColor(string? Color, int Step, string? ReadableOn);

/// <summary>Families, the scale and the named text styles.</summary>
public sealed record Typography(ImmutableArray<Family> Families, TypeScale Scale, ImmutableArray<TextStyle> Styles) : INode;

/// <summary>A family and its fallbacks.</summary>
/// <param name="Stack">The CSS <c>font-family</c> list.</param>
/// <param name="Files">Its font files on the shelf.</param>
public sealed record Family(string Id, string Name, string CssName, string Stack, ImmutableArray<FontFile> Files) : IListed;

/// <param name="Item">Id of a shelf item.</param>
/// <param name="WeightFrom">Lightest weight the file holds.</param>
/// <param name="WeightTo">Boldest weight the file holds.</param>
public sealed record FontFile(string Item, int WeightFrom, int WeightTo, bool Italic);

/// <summary>Sizes by base and ratio at two widths, fluid between them (px).</summary>
/// <param name="Lowest">The lowest position, for example −2.</param>
/// <param name="Highest">The highest position.</param>
public sealed record TypeScale(ScaleEnd From, ScaleEnd To, int Lowest, int Highest) : INode;

/// <param name="Width">Viewport width, px.</param>
/// <param name="Base">Size 0, px.</param>
public sealed record ScaleEnd(decimal Width, decimal Base, decimal Ratio);

/// <summary>A named set of type settings.</summary>
/// <param name="Size">A reference to the scale, or a size of its own.</param>
/// <param name="LineHeight">Unitless, or a length.</param>
/// <param name="Case">CSS <c>text-transform</c>.</param>
public sealed record TextStyle(
    string Id, string Name, string CssName, string Family, Value Size, int Weight, Value LineHeight, Value LetterSpacing, string Case, bool Italic) : IListed;

/// <summary>The spacing scale, space 1 first (px).</summary>
public sealed record Spacing(ImmutableArray<decimal> Steps) : INode;

/// <summary>Named edges.</summary>
public sealed record Edges(ImmutableArray<Border> Borders, ImmutableArray<Radius> Radii, ImmutableArray<Shadow> Shadows) : INode;

public sealed record Border(string Id, string Name, string CssName, Value Width, string Style, Value Color) : IListed;

public sealed record Radius(string Id, string Name, string CssName, Value Size) : IListed;

/// <summary>A shadow of one layer; lengths in px, alpha 0 to 1.</summary>
public sealed record Shadow(string Id, string Name, string CssName, decimal X, decimal Y, decimal Blur, decimal Spread, Value Color, decimal Alpha) : IListed;

/// <summary>Named fills.</summary>
public sealed record Fills(ImmutableArray<Gradient> Gradients) : INode;

/// <summary>A linear gradient.</summary>
/// <param name="Angle">Degrees: 0 points up, clockwise (CSS Images 3).</param>
/// <param name="Stops">At least two, in order.</param>
public sealed record Gradient(string Id, string Name, string CssName, decimal Angle, ImmutableArray<GradientStop> Stops) : IListed;

/// <param name="Position">Where along the gradient's line, %.</param>
public sealed record GradientStop(Value Color, decimal Position);

/// <summary>One look of a part: values by property, state and break.</summary>
/// <param name="Part">Id of the part in the catalogue.</param>
/// <param name="Cells">Values by <see cref="CellKey"/> in its text form.</param>
public sealed record Look(string Id, string Part, string Name, string CssName, ImmutableSortedDictionary<string, Value> Cells) : IListed;

/// <summary>The header and footer every page wears.</summary>
public sealed record Frame(Block Header, Block Footer) : INode;

/// <param name="Slug">Its address: <c>SLUG.html</c>; the first page is <c>index.html</c>.</param>
public sealed record Page(string Id, string Name, string Slug, string Title, string Description, string Scheme, ImmutableArray<Block> Sections) : IListed;

/// <summary>An instance of a part with content.</summary>
/// <param name="Look">Id of the look it wears.</param>
/// <param name="Name">What the designer calls it.</param>
/// <param name="Scheme">Id of the scheme it carries; null for the one around it.</param>
/// <param name="Content">What its slots hold, by slot id.</param>
/// <param name="Own">Values in which it differs from its look, by <see cref="CellKey"/>.</param>
/// <param name="Blocks">The blocks inside it.</param>
public sealed record Block(
    string Id,
    string Part,
    string Look,
    string Name,
    string? Scheme,
    ImmutableSortedDictionary<string, string> Content,
    ImmutableSortedDictionary<string, Value> Own,
    ImmutableArray<Block> Blocks) : IListed;

public sealed record Menu(string Id, string Name, ImmutableArray<MenuItem> Items) : IListed;

/// <param name="Page">Id of the page it leads to.</param>
public sealed record MenuItem(string Id, string Label, string Page) : IListed;

/// <summary>A picture or font of the site; its bytes are kept by their hash.</summary>
/// <param name="File">File name in the release, unique.</param>
/// <param name="Hash">SHA-256 of the bytes, lower-case hex.</param>
/// <param name="Width">Pixels of a picture; 0 for a font.</param>
public sealed record ShelfItem(string Id, string Name, string File, string MediaType, string Hash, int Width, int Height) : IListed;

/// <summary>CSS the designer wrote.</summary>
/// <param name="Site">The sheet for the whole site.</param>
public sealed record Overrides(string Site) : INode;
