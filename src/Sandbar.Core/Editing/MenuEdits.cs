using System.Collections.Immutable;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Writing;
using Sandbar.Css;

namespace Sandbar.Core.Editing;

/// <summary>Adds an item at the end of a menu, or of those under one of its items.</summary>
/// <param name="Item">Its new id.</param>
/// <param name="Page">Where it leads, as links have it.</param>
public sealed record AddMenuItem(string Menu, string Item, string Label, string Page) : Edit
{
    /// <summary>Id of the item it comes under; null for the menu itself.</summary>
    public string? Parent { get; init; }

    protected override Outcome Change(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        if (Names.CheckId(Item, menu.All().Any(i => i.Id == Item), "/item") is { } badId) return badId;
        if (MenuEdits.Check(site, Label, Page) is { } problem) return problem;
        return MenuEdits.Insert(site, menu, new(Item, Label.Trim(), Page), Parent, int.MaxValue);
    }

    public override string Describe(Site site) => $"{site.Menus.Find(Menu)?.Name ?? "Menu"} · {Label.Trim()} added";
}

/// <summary>Sets what an item of a menu says, where it leads, or both; what is null stays as it is.</summary>
public sealed record SetMenuItem(string Menu, string Item, string? Label, string? Page) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        if (MenuEdits.Find(menu, Item) is not { } item) return MenuEdits.GoneItem;
        var set = item with { Label = Label?.Trim() ?? item.Label, Page = Page ?? item.Page };
        // What leads to a page that is set aside keeps leading there.
        if (MenuEdits.Check(site, set.Label, Page is null ? null : set.Page) is { } problem) return problem;
        return MenuEdits.Put(site, menu, menu.Items.Each(i => i.Id == Item ? set : i.Items.Find(Item) is null ? i : i with { Items = i.Items.Put(set) }));
    }

    public override string Describe(Site site) =>
        $"{MenuEdits.Name(site, Menu, Item)} → {string.Join(", ", new[] { Label?.Trim(), Page is null ? null : LinkOffers.Say(site, "", Page) }.Where(said => said is not null))}";
}

/// <summary>Moves an item within its menu: among those it stands with, under another item, or out from under it.</summary>
/// <param name="To">The place it comes to once it is gone from where it was, from 0.</param>
public sealed record MoveMenuItem(string Menu, string Item, int To) : Edit
{
    /// <summary>Id of the item it comes under; null for the menu itself.</summary>
    public string? Parent { get; init; }

    protected override Outcome Change(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        if (MenuEdits.Find(menu, Item) is not { } item) return MenuEdits.GoneItem;
        if (Parent == Item) return new Problem("/parent", "An item cannot stand under itself.");
        var without = menu with { Items = MenuEdits.Without(menu, Item) };
        var places = 1 + (Parent is null ? without.Items.Length : without.Items.Find(Parent)?.Items.Length ?? 0);
        return To < 0 || To >= places ? new Problem("/to", $"{menu.Name} has {places} places.") : MenuEdits.Insert(site, without, item, Parent, To);
    }

    public override string Describe(Site site) => $"{MenuEdits.Name(site, Menu, Item)} moved";
}

/// <summary>Takes an item out of a menu, with those under it.</summary>
public sealed record RemoveMenuItem(string Menu, string Item) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Menus.Find(Menu) is not { } menu) return MenuEdits.GoneMenu;
        return MenuEdits.Find(menu, Item) is null ? MenuEdits.GoneItem : MenuEdits.Put(site, menu, MenuEdits.Without(menu, Item));
    }

    public override string Describe(Site site) => $"{MenuEdits.Name(site, Menu, Item)} removed";
}

internal static class MenuEdits
{
    public static readonly Problem GoneMenu = new("/menu", "This menu is no longer there.");

    public static readonly Problem GoneItem = new("/item", "This item is no longer in the menu.");

    /// <summary>Labels may be alike: two items may be called the same and lead to different pages.</summary>
    /// <param name="to">Where it leads; null where that stays as it is.</param>
    public static Problem? Check(Site site, string label, string? to)
    {
        if (Names.Check(label, [], "/label") is { } badLabel) return badLabel;
        return to is not null && (to.Length == 0 || !ContentCheck.Leads(site, to)) ? new("/page", ContentCheck.LeadsNowhere(to)) : null;
    }

    public static MenuItem? Find(Menu menu, string id) => menu.All().FirstOrDefault(i => i.Id == id);

    public static ImmutableArray<MenuItem> Without(Menu menu, string id) =>
        [.. menu.Items.Where(i => i.Id != id).Select(i => i.Items.Find(id) is { } inner ? i with { Items = i.Items.Remove(inner) } : i)];

    /// <summary>The site with an item put into a menu; a place beyond the end is the end.</summary>
    public static Outcome Insert(Site site, Menu menu, MenuItem item, string? parent, int at)
    {
        if (menu.All().Count() + 1 + item.Items.Length > PageCheck.MostItems) return new Problem("/item", $"A menu has at most {PageCheck.MostItems} items.");
        if (parent is null) return Put(site, menu, menu.Items.Insert(Math.Min(at, menu.Items.Length), item));
        if (menu.Items.Find(parent) is not { } outer) return new Problem("/parent", "Items stand at most one level deep: choose one of the menu itself.");
        if (!item.Items.IsEmpty) return new Problem("/parent", $"Others stand under {Quoted.Text(item.Label)}: menus go one level deep.");
        return Put(site, menu, menu.Items.Put(outer with { Items = outer.Items.Insert(Math.Min(at, outer.Items.Length), item) }));
    }

    public static Site Put(Site site, Menu menu, ImmutableArray<MenuItem> items) => site with { Menus = site.Menus.Put(menu with { Items = items }) };

    public static string Name(Site site, string menu, string item) =>
        $"{site.Menus.Find(menu)?.Name ?? "Menu"} · {(site.Menus.Find(menu) is { } there ? Find(there, item)?.Label : null) ?? "item"}";
}
