using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Sandbar.Core.Design;

/// <summary>A record that is part of the site's tree: comparing and patching go down into it. What is not a node is a leaf.</summary>
public interface INode;

/// <summary>A node that stands in a list, found by a stable, hidden id.</summary>
public interface IListed : INode
{
    string Id { get; }
}

/// <summary>Something with a name of its own among its kind.</summary>
public interface INamed : IListed
{
    string Name { get; }
}

/// <summary>Something whose name is part of the stylesheet.</summary>
/// <param name="CssName">The name as CSS has it: a slug, part of custom properties and classes.</param>
public abstract record Named(string Id, string Name, string CssName) : INamed;

/// <summary>The whole of a site, immutable. Unchanged branches are shared between versions.</summary>
/// <param name="Format">The form of the document; see <see cref="CurrentFormat"/>.</param>
/// <param name="Slug">What the site is called in addresses and on the command line.</param>
/// <param name="TakenLooks">Ids of the catalogue's looks that have come into the site, also those that were taken out again.</param>
public sealed record Site(
    int Format,
    string Name,
    string Slug,
    PaletteFoundation Palette,
    TypeFoundation Type,
    SpaceFoundation Space,
    EdgeFoundation Edges,
    FillFoundation Fills,
    ImmutableArray<Look> Looks,
    ImmutableSortedSet<string> TakenLooks,
    Frame Frame,
    ImmutableArray<Page> Pages,
    ImmutableArray<Menu> Menus,
    ImmutableArray<ShelfItem> Shelf,
    Overrides Overrides) : INode
{
    public const int CurrentFormat = 2;

    public MotionFoundation Motion { get; init; } = new([]);

    public Aside Aside { get; init; } = Aside.Nothing;

    /// <summary>In the order they were added, the newest first; lists sort them by their day.</summary>
    public ImmutableArray<Post> Posts { get; init; } = [];

    public ImmutableArray<Category> Categories { get; init; } = [];
}

/// <summary>One look of a part: values by property, state and break.</summary>
/// <param name="Part">Id of the part in the catalogue.</param>
/// <param name="Cells">Values by <see cref="CellKey"/> in its text form.</param>
public sealed record Look(string Id, string Name, string CssName, string Part, ImmutableSortedDictionary<string, Value> Cells) : Named(Id, Name, CssName);

/// <summary>A picture, clip or font of the site; its bytes are kept by their hash.</summary>
/// <param name="File">File name in the release, unique.</param>
/// <param name="Hash">SHA-256 of the bytes, lower-case hex; of a clip that is elsewhere those of what stands in for it on stage.</param>
/// <param name="Width">Pixels of a picture or clip; 0 for a font.</param>
public sealed record ShelfItem(string Id, string Name, string File, string MediaType, string Hash, int Width, int Height) : INamed
{
    /// <summary>What a picture shows, in words, for those who do not see it; none where it only adorns.</summary>
    public Value Alt { get; init; } = new WordValue("");

    /// <summary>Where in a picture lies what is to be seen, % from the left.</summary>
    public Value FocusX { get; init; } = new NumberValue(50, "%");

    /// <summary>% from the top.</summary>
    public Value FocusY { get; init; } = new NumberValue(50, "%");

    /// <summary>Where a clip is that is none of the site's own files; empty of all others.</summary>
    public string Address { get; init; } = "";

    /// <summary>The picture that is shown in place of a clip until it plays, and to those who ask for less motion; or none.</summary>
    public Value Poster { get; init; } = new WordValue(NoPoster);

    /// <summary>Stands where a clip has no poster.</summary>
    public const string NoPoster = "none";

    [JsonIgnore]
    public bool IsPicture => MediaType.StartsWith("image/", StringComparison.Ordinal);

    [JsonIgnore]
    public bool IsClip => MediaType.StartsWith("video/", StringComparison.Ordinal);
}

/// <summary>CSS the designer wrote.</summary>
/// <param name="Site">The sheet for the whole site.</param>
public sealed record Overrides(string Site) : INode
{
    /// <summary>Where the sheet stands in a site, as patches name it.</summary>
    public const string Path = "/overrides/site";
}
