using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Checking;

/// <summary>Pages, their blocks, and menus.</summary>
internal sealed class PageCheck(Site site)
{
    /// <summary>As many blocks as a site holds, those set aside among them.</summary>
    public const int MostBlocks = 20_000;

    public const int MostItems = 1000;

    private const int Deepest = 24;

    private readonly HashSet<string> ids = new(StringComparer.Ordinal);

    public IEnumerable<Problem> Problems()
    {
        foreach (var problem in Ids.Problems("/pages", site.Pages.AddRange(site.Aside.Pages)).Concat(Ids.Problems("/menus", site.Menus))) yield return problem;
        if (site.Pages.Select(p => p.Slug).Distinct(StringComparer.OrdinalIgnoreCase).Count() < site.Pages.Length) yield return new("/pages", "Two pages have the same address.");
        foreach (var page in site.Pages.AddRange(site.Aside.Pages))
        {
            if (!Names.IsSlug(page.Slug)) yield return new($"/pages/{page.Id}/slug", "The address of a page is lower-case letters, digits and hyphens.");
            if (Names.Check(page.Name, [], $"/pages/{page.Id}/name") is { } name) yield return name;
            if (BlockCheck.Line(page.Title) is { } title) yield return new($"/pages/{page.Id}/title", title);
            if (BlockCheck.Line(page.Description) is { } description) yield return new($"/pages/{page.Id}/description", description);
            if (page.Id == PageIds.Specimen) yield return new($"/pages/{page.Id}", "This id is the specimen page's.");
            if (site.Palette.Schemes.Find(page.Scheme) is null) yield return new($"/pages/{page.Id}/scheme", $"The scheme of {page.Name} is not there.");
        }
        foreach (var menu in site.Menus)
        {
            if (Names.Check(menu.Name, [], $"/menus/{menu.Id}/name") is { } name) yield return name;
            var items = menu.All().Take(MostItems + 1).ToImmutableArray();
            foreach (var item in items)
            {
                if (Names.Check(item.Label, [], $"/menus/{menu.Id}/items/{item.Id}/label") is { } label) yield return label;
                if (!ContentCheck.Leads(site, item.Page) && site.Aside.Pages.Find(ContentCheck.PageOf(item.Page)) is null) yield return new($"/menus/{menu.Id}/items/{item.Id}/page", $"The page that {Quoted.Text(item.Label)} leads to is not there.");
            }
            if (items.Length > MostItems) yield return new($"/menus/{menu.Id}/items", $"A menu has at most {MostItems} items.");
            else foreach (var problem in Ids.Problems($"/menus/{menu.Id}/items", items)) yield return problem;
            if (menu.Items.Any(i => i.Items.Any(inner => !inner.Items.IsEmpty))) yield return new($"/menus/{menu.Id}/items", "Menus go one level deep.");
        }
        foreach (var problem in Blocks("/frame", site.Frame.Header, 0).Concat(Blocks("/frame", site.Frame.Footer, 0))) yield return problem;
        foreach (var problem in site.Pages.SelectMany(p => p.Sections.SelectMany(s => Blocks($"/pages/{p.Id}/sections", s, 0)))) yield return problem;
        foreach (var aside in site.Aside.Blocks)
        {
            if (aside.Id != aside.Block.Id) yield return new($"/aside/blocks/{aside.Id}", "What is set aside goes by the id of its block.");
            foreach (var problem in Blocks($"/aside/blocks/{aside.Id}/block", aside.Block, 0)) yield return problem;
        }
        foreach (var problem in site.Aside.Pages.SelectMany(p => p.Sections.SelectMany(s => Blocks($"/aside/pages/{p.Id}/sections", s, 0)))) yield return problem;
        foreach (var page in site.Pages)
        {
            var addresses = Design.Blocks.OnPage(site, page).SelectMany(Design.Blocks.WithInner).Where(b => b.Address.Length > 0).Select(b => b.Address).ToList();
            if (addresses.Distinct(StringComparer.Ordinal).Count() < addresses.Count) yield return new($"/pages/{page.Id}", $"Two blocks of {page.Name} have the same address.");
        }
    }

    private IEnumerable<Problem> Blocks(string path, Block block, int depth)
    {
        var here = $"{path}/{block.Id}";
        if (!Names.IsId(block.Id) || (block.Shared is { } shared && !Names.IsId(shared)) || (block.Twin is { } twin && !Names.IsId(twin))) yield return new(here, "An id is letters, digits and hyphens.");
        else if (!ids.Add(block.Id)) yield return new(here, $"The id {block.Id} is there twice.");
        if (ids.Count > MostBlocks || depth > Deepest) yield return new(here, $"A site holds at most {MostBlocks} blocks, {Deepest} deep.");
        else if (PartCatalogue.Find(block.Part) is not { } part) yield return new($"{here}/part", $"There is no part {Quoted.Text(block.Part)}.");
        else if (site.Looks.Find(block.Look) is not { } look || look.Part != block.Part) yield return new($"{here}/look", $"{block.Name} wears a look that is not there.");
        else
        {
            foreach (var problem in BlockCheck.Alone(block)) yield return problem with { Path = here + problem.Path };
            foreach (var slot in part.Slots.Where(s => !string.IsNullOrWhiteSpace(block.Content.GetValueOrDefault(s.Id))))
            {
                if (ContentCheck.Broken(site, slot, block.Content[slot.Id]) is { } refusal) yield return new($"{here}/content/{slot.Id}", refusal);
            }
            if (block.Scheme is { } scheme && site.Palette.Schemes.Find(scheme) is null) yield return new($"{here}/scheme", $"The scheme of {block.Name} is not there.");
            foreach (var problem in LookCheck.Cells(site, $"{here}/own", part, block.Own, look.Cells).Concat(block.Blocks.SelectMany(b => Blocks(here, b, depth + 1)))) yield return problem;
        }
    }
}
