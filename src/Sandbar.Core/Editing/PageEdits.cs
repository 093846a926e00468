using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Adds a page at the end: empty, with one arrangement, or as a copy of another.</summary>
/// <param name="Id">Its new id; the blocks on it count on from it.</param>
/// <param name="Like">Id of the page it is a copy of.</param>
/// <param name="Arrangement">Id of the arrangement it begins with, where it is no copy.</param>
public sealed record AddPage(string Id, string Name, string? Like = null, string? Arrangement = null) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Names.CheckId(Id, PageEdits.All(site).Any(p => p.Id == Id) || Id == PageIds.Specimen, "/id") is { } badId) return badId;
        if (Names.Check(Name, PageEdits.All(site).Select(p => p.Name)) is { } badName) return badName;
        if (site.Pages.Length >= PageEdits.Most) return new Problem("/id", $"A site has at most {PageEdits.Most} pages.");
        var name = Name.Trim();
        var slug = Names.FreeSlug(name, PageEdits.All(site).Select(p => p.Slug));
        if (Like is null)
        {
            var page = new Page(Id, name, slug, name, "", site.Pages.IsEmpty ? site.Palette.Schemes[0].Id : site.Pages[0].Scheme, []);
            var added = site with { Pages = site.Pages.Add(page) };
            return Arrangement is null ? added : new AddArrangement($"{Id}-0", Arrangement, Id, 0).Apply(added);
        }
        if (site.Pages.Find(Like) is not { } like) return PageEdits.Gone;
        var copy = like with { Id = Id, Name = name, Slug = slug, Title = name, Sections = [] };
        var sections = like.Sections.Select((s, i) => BlockTree.Copy(s, $"{Id}-{i}", keepShared: true)).ToList();
        return BlockEdits.Put(site with { Pages = site.Pages.Add(copy) }, new(Id, null, 0), [.. sections]);
    }

    public override string Describe(Site site) => $"Page {Name.Trim()} added{(Like is null ? "" : $", like {PageEdits.Name(site, Like)}")}";
}

/// <summary>Something of a page that is typed.</summary>
public enum PageField
{
    Name,

    /// <summary>Its address: lower-case letters, digits and hyphens.</summary>
    Address,

    /// <summary>What its tab and search results are called.</summary>
    Title,

    /// <summary>What search results and shared links say of it.</summary>
    Description,

    /// <summary>Id of its scheme.</summary>
    Scheme,
}

/// <summary>Sets what a page is called, where it is found, what is said of it, or its scheme. Links to it follow.</summary>
public sealed record SetPage(string Page, PageField Field, string Text) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Pages.Find(Page) is not { } page) return PageEdits.Gone;
        var text = Text.Trim();
        var others = PageEdits.All(site).Where(p => p.Id != Page).ToList();
        var problem = Field switch
        {
            PageField.Name => Names.Check(text, others.Select(p => p.Name), "/text"),
            PageField.Address when page == site.Pages[0] && text != PageEdits.First => new Problem("/text", $"Visitors come to the first page: it is {PageEdits.First}.html. Move another before it to give it an address of its own."),
            PageField.Address => !Names.IsSlug(text) ? new Problem("/text", "The address of a page is lower-case letters, digits and hyphens, and begins with a letter.")
                : others.FirstOrDefault(p => p.Slug.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } taken ? new Problem("/text", $"{taken.Name} has this address. Choose another.") : null,
            PageField.Scheme => site.Palette.Schemes.Find(text) is null ? new Problem("/text", "This scheme is no longer there.") : null,
            PageField.Title when text.Length == 0 => new Problem("/text", "A page has a title: browsers show it on their tabs."),
            _ => BlockCheck.Line(text) is { } line ? new Problem("/text", line) : null,
        };
        if (problem is not null) return problem;
        var changed = Field switch
        {
            PageField.Name => page with { Name = text },
            PageField.Address => page with { Slug = text },
            PageField.Title => page with { Title = text },
            PageField.Description => page with { Description = text },
            _ => page with { Scheme = text },
        };
        return site with { Pages = site.Pages.Put(changed) };
    }

    public override string Describe(Site site) => Field switch
    {
        PageField.Name => $"Page {PageEdits.Name(site, Page)} → {Text.Trim()}",
        PageField.Scheme => $"Page {PageEdits.Name(site, Page)} · scheme → {site.Palette.Schemes.Find(Text.Trim())?.Name}",
        PageField.Address => $"Page {PageEdits.Name(site, Page)} · address → {Text.Trim()}",
        _ => $"Page {PageEdits.Name(site, Page)} · {Field.ToString().ToLowerInvariant()}",
    };
}

/// <summary>Moves a page among the others; the first is the one visitors come to.</summary>
/// <param name="To">The place it comes to, from 0.</param>
public sealed record MovePage(string Page, int To) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Pages.Find(Page) is not { } page) return PageEdits.Gone;
        return To < 0 || To >= site.Pages.Length ? new Problem("/to", $"There are {site.Pages.Length} places.") : PageEdits.Indexed(site with { Pages = site.Pages.Remove(page).Insert(To, page) });
    }

    public override string Describe(Site site) => $"Page {PageEdits.Name(site, Page)} moved";
}

/// <summary>Takes a page away, and the items of menus that lead to it. Links elsewhere stay, and are told of as leading nowhere.</summary>
public sealed record RemovePage(string Page) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Pages.Find(Page) is { } page)
            return site.Pages.Length == 1 ? new Problem("/page", "The last page stays.") : PageEdits.WithoutItems(PageEdits.Indexed(site with { Pages = site.Pages.Remove(page) }), Page);
        return site.Aside.Pages.Find(Page) is { } aside ? PageEdits.WithoutItems(site with { Aside = site.Aside with { Pages = site.Aside.Pages.Remove(aside) } }, Page) : PageEdits.Gone;
    }

    public override string Describe(Site site) => $"Page {PageEdits.Name(site, Page)} removed";
}

/// <summary>Takes a page off the site and keeps it, with what menus say of it.</summary>
public sealed record SetPageAside(string Page) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Pages.Find(Page) is not { } page) return PageEdits.Gone;
        if (site.Pages.Length == 1) return new Problem("/page", "The last page stays.");
        return PageEdits.Indexed(site with { Pages = site.Pages.Remove(page), Aside = site.Aside with { Pages = site.Aside.Pages.Add(page) } });
    }

    public override string Describe(Site site) => $"Page {PageEdits.Name(site, Page)} set aside";
}

/// <summary>Puts a page that was set aside back at the end.</summary>
public sealed record PutPageBack(string Page) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Aside.Pages.Find(Page) is not { } page) return new Problem("/page", "This page is not set aside any more.");
        if (site.Pages.Length >= PageEdits.Most) return new Problem("/page", $"A site has at most {PageEdits.Most} pages.");
        var after = site with { Pages = site.Pages.Add(page), Aside = site.Aside with { Pages = site.Aside.Pages.Remove(page) } };
        // The frame may have got an address meanwhile that the page has.
        return page.Sections.SelectMany(Blocks.WithInner).Where(b => b.Address.Length > 0).SelectMany(b => BlockCheck.Problems(after, b)).FirstOrDefault() is { } twice
            ? new Problem("/page", $"It brings an address along. {twice.Message}") : after;
    }

    public override string Describe(Site site) => $"Page {PageEdits.Name(site, Page)} put back";
}

internal static class PageEdits
{
    public const int Most = 400;

    /// <summary>Address of the page that visitors come to: the file a server gives where none is asked for.</summary>
    public const string First = "index";

    public static readonly Problem Gone = new("/page", "This page is no longer there.");

    /// <summary>The pages there are, and those set aside.</summary>
    public static IEnumerable<Page> All(Site site) => site.Pages.Concat(site.Aside.Pages);

    public static string Name(Site site, string page) => All(site).FirstOrDefault(p => p.Id == page)?.Name ?? "page";

    /// <summary>The site with its first page where visitors come to, and every other at an address of its own.</summary>
    public static Site Indexed(Site site)
    {
        if (site.Pages[0].Slug == First) return site;
        // Who had the address goes by its name, also where it was set aside.
        site = site with { Pages = site.Pages.Each(Elsewhere), Aside = site.Aside with { Pages = site.Aside.Pages.Each(Elsewhere) } };
        return site with { Pages = site.Pages.SetItem(0, site.Pages[0] with { Slug = First }) };

        Page Elsewhere(Page page) => page.Slug != First ? page : page with { Slug = Names.FreeSlug(page.Name, All(site).Select(p => p.Slug)) };
    }

    /// <summary>The menus without the items that lead to a page or into it. What stood under such an item takes its place.</summary>
    public static Site WithoutItems(Site site, string page)
    {
        return site with { Menus = site.Menus.Each(m => m.All().Any(Leads) ? m with { Items = [.. m.Items.SelectMany(Kept)] } : m) };

        bool Leads(MenuItem item) => ContentCheck.PageOf(item.Page) == page;
        IEnumerable<MenuItem> Kept(MenuItem item) => item.Items.Where(i => !Leads(i)) is var inner && Leads(item) ? inner : item.Items.Any(Leads) ? [item with { Items = [.. inner] }] : [item];
    }
}
