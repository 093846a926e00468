using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Writing;

namespace Sandbar.Server;

/// <param name="Slug">Its address: SLUG.html.</param>
/// <param name="Title">What its tab and search results are called.</param>
/// <param name="Scheme">Id of the scheme it carries.</param>
public sealed record PageView(string Id, string Name, string Slug, string Title, string Description, string Scheme, IReadOnlyList<BlockView> Sections)
{
    // Of pages without own values: these name things, which may be called otherwise.
    private static readonly ConditionalWeakTable<Page, PageView> Kept = [];

    public static PageView Of(Site site, Page page) => page.Sections.Any(Blocks.HaveOwnValues) ? Made(site, page) : Kept.GetValue(page, p => Made(site, p));

    private static PageView Made(Site site, Page page) => new(page.Id, page.Name, page.Slug, page.Title, page.Description, page.Scheme, [.. page.Sections.Select(s => BlockView.Of(site, s))]);
}

/// <param name="Scheme">Id of the scheme it carries; null for the one around it.</param>
/// <param name="Address">Its address within the page; empty for none.</param>
/// <param name="Classes">Classes of the designer's own, with spaces between.</param>
/// <param name="HiddenAt">At which widths it is not shown: narrow, middle, wide.</param>
/// <param name="Content">What its slots hold, by slot id.</param>
/// <param name="Shared">What all blocks have in common that are one block shown in several places; null where it is shown here alone.</param>
/// <param name="Says">The first words it holds, without marks; empty where it holds none.</param>
/// <param name="Own">Values in which it differs from its look.</param>
public sealed record BlockView(
    string Id, string Part, string Look, string Name, string? Scheme, string Address, string Classes, IReadOnlyList<string> HiddenAt,
    IReadOnlyDictionary<string, string> Content, string? Shared, string Says, IReadOnlyList<CellView> Own, IReadOnlyList<BlockView> Blocks)
{
    // Of blocks without own values: these name things, which may be called otherwise.
    private static readonly ConditionalWeakTable<Block, BlockView> Kept = [];

    public static BlockView Of(Site site, Block block) => Core.Design.Blocks.HaveOwnValues(block) ? Made(site, block) : Kept.GetValue(block, b => Made(site, b));

    private static BlockView Made(Site site, Block block) => new(
        block.Id, block.Part, block.Look, block.Name, block.Scheme, block.Address, block.Classes, block.HiddenAt.Split(' ', StringSplitOptions.RemoveEmptyEntries), block.Content, block.Shared, FirstWords.Of(block),
        PartCatalogue.Find(block.Part) is { } part && site.Looks.Find(block.Look) is { } look ? [.. block.Own.Select(c => CellView.Of(site, part, look, CellKey.Parse(c.Key), c.Value)).OfType<CellView>()] : [],
        [.. block.Blocks.Select(b => Of(site, b))]);
}

/// <summary>What was set aside.</summary>
public sealed record AsideView(IReadOnlyList<AsideBlockView> Blocks, IReadOnlyList<AsidePageView> Pages)
{
    public static AsideView Of(Site site) => new(
        [.. site.Aside.Blocks.Select(a => new AsideBlockView(a.Id, a.Block.Name, PartCatalogue.Find(a.Block.Part)?.Name ?? "", a.Page, site.Pages.Find(a.Page)?.Name ?? site.Aside.Pages.Find(a.Page)?.Name))],
        [.. site.Aside.Pages.Select(p => new AsidePageView(p.Id, p.Name))]);
}

/// <param name="Part">Name of its part.</param>
/// <param name="Page">Id of the page it stood on.</param>
/// <param name="PageName">What that is called; null where it is gone.</param>
public sealed record AsideBlockView(string Id, string Name, string Part, string Page, string? PageName);

public sealed record AsidePageView(string Id, string Name);
