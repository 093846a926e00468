using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Adds an item at the end of a menu.</summary>
/// <param name="Item">Its new id.</param>
/// <param name="Page">Id of the page it leads to.</param>
public sealed record AddMenuItem(string Menu, string Item, string Label, string Page) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        if (Names.CheckId(Item, menu.Items.Find(Item) is not null, "/item") is { } badId) return badId;
        return MenuEdits.Check(site, Label, Page) is { } problem ? problem : MenuEdits.Put(site, menu, menu.Items.Add(new(Item, Label.Trim(), Page)));
    }

    public override string Describe(Site site) => $"{site.Menus.Find(Menu)?.Name ?? "Menu"} · {Label.Trim()} added";
}

/// <summary>Sets what an item of a menu says, where it leads, or both; what is null stays as it is.</summary>
public sealed record SetMenuItem(string Menu, string Item, string? Label, string? Page) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        if (menu.Items.Find(Item) is not { } item) return MenuEdits.GoneItem;
        var set = item with { Label = Label?.Trim() ?? item.Label, Page = Page ?? item.Page };
        return MenuEdits.Check(site, set.Label, set.Page) is { } problem ? problem : MenuEdits.Put(site, menu, menu.Items.Put(set));
    }

    public override string Describe(Site site) =>
        $"{MenuEdits.Name(site, Menu, Item)} → {string.Join(", ", new[] { Label?.Trim(), Page is null ? null : site.Pages.Find(Page)?.Name }.Where(said => said is not null))}";
}

/// <summary>Moves an item within its menu.</summary>
/// <param name="To">The place it comes to, from 0.</param>
public sealed record MoveMenuItem(string Menu, string Item, int To) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        if (menu.Items.Find(Item) is not { } item) return MenuEdits.GoneItem;
        return To < 0 || To >= menu.Items.Length
            ? new Problem("/to", $"{menu.Name} has {menu.Items.Length} places.")
            : MenuEdits.Put(site, menu, menu.Items.Remove(item).Insert(To, item));
    }

    public override string Describe(Site site) => $"{MenuEdits.Name(site, Menu, Item)} moved";
}

/// <summary>Takes an item out of a menu.</summary>
public sealed record RemoveMenuItem(string Menu, string Item) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        return menu.Items.Find(Item) is { } item ? MenuEdits.Put(site, menu, menu.Items.Remove(item)) : MenuEdits.GoneItem;
    }

    public override string Describe(Site site) => $"{MenuEdits.Name(site, Menu, Item)} removed";
}

internal static class MenuEdits
{
    public static readonly Problem GoneMenu = new("/menu", "This menu is no longer there.");

    public static readonly Problem GoneItem = new("/item", "This item is no longer in the menu.");

    /// <summary>Labels may be alike: two items may be called the same and lead to different pages.</summary>
    public static Problem? Check(Site site, string label, string page) =>
        Names.Check(label, [], "/label") ?? (site.Pages.Find(page) is null ? new("/page", "This page is no longer there.") : null);

    public static Site Put(Site site, Menu menu, ImmutableArray<MenuItem> items) => site with { Menus = site.Menus.Put(menu with { Items = items }) };

    public static string Name(Site site, string menu, string item) =>
        $"{site.Menus.Find(menu)?.Name ?? "Menu"} · {site.Menus.Find(menu)?.Items.Find(item)?.Label ?? "item"}";
}
