using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>The header and footer every page wears.</summary>
public sealed record Frame(Block Header, Block Footer) : INode;

/// <param name="Slug">Its address: <c>SLUG.html</c>; that of the first page is <c>index</c>.</param>
/// <param name="Scheme">Id of the scheme it carries.</param>
public sealed record Page(string Id, string Name, string Slug, string Title, string Description, string Scheme, ImmutableArray<Block> Sections) : IListed;

/// <summary>An instance of a part with content.</summary>
/// <param name="Look">Id of the look it wears.</param>
/// <param name="Name">What the designer calls it.</param>
/// <param name="Content">What its slots hold, by slot id.</param>
/// <param name="Own">Values in which it differs from its look, by <see cref="CellKey"/>.</param>
/// <param name="Blocks">The blocks inside it.</param>
/// <param name="Scheme">Id of the scheme it carries; null for the one around it.</param>
public sealed record Block(
    string Id,
    string Part,
    string Look,
    string Name,
    ImmutableSortedDictionary<string, string> Content,
    ImmutableSortedDictionary<string, Value> Own,
    ImmutableArray<Block> Blocks,
    string? Scheme = null) : IListed
{
    /// <summary>Its address within the page, as links have it after the <c>#</c>; empty for none.</summary>
    public string Address { get; init; } = "";

    /// <summary>Classes of the designer's own, with spaces between.</summary>
    public string Classes { get; init; } = "";

    /// <summary>At which widths it is not shown: words of <see cref="Breaks.Names"/>, with spaces between.</summary>
    public string HiddenAt { get; init; } = "";

    /// <summary>What all blocks have in common that are one block shown in several places; null where it is shown in this one.</summary>
    public string? Shared { get; init; }

    /// <summary>Within a block that is shown in several places, what corresponds in all of them: the id of the first; null where that is its own.</summary>
    public string? Twin { get; init; }
}

/// <summary>What was set aside: kept with all its settings, shown nowhere.</summary>
public sealed record Aside(ImmutableArray<AsideBlock> Blocks, ImmutableArray<Page> Pages) : INode
{
    public static readonly Aside Nothing = new([], []);
}

/// <param name="Id">That of the block.</param>
/// <param name="Page">Id of the page it stood on.</param>
/// <param name="At">Its place among the blocks it stood with, from 0.</param>
public sealed record AsideBlock(string Id, Block Block, string Page, int At) : IListed
{
    /// <summary>Id of the block it stood in; null where it stood on the page itself.</summary>
    public string? Parent { get; init; }
}

public sealed record Menu(string Id, string Name, ImmutableArray<MenuItem> Items) : IListed
{
    /// <summary>Every item, each followed by those under it.</summary>
    public IEnumerable<MenuItem> All() => Items.SelectMany(i => i.Items.Prepend(i));
}

/// <param name="Page">Where it leads: a page's id, a place within one, or an address elsewhere, as links have it.</param>
public sealed record MenuItem(string Id, string Label, string Page) : IListed
{
    /// <summary>The items under it, one level deep.</summary>
    public ImmutableArray<MenuItem> Items { get; init; } = [];
}
