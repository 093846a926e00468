using Sandbar.Core.Design;

namespace Sandbar.Server;

/// <summary>The header and footer every page wears.</summary>
public sealed record FrameView(BlockView Header, BlockView Footer)
{
    public static FrameView Of(Site site) => new(BlockView.Of(site, site.Frame.Header), BlockView.Of(site, site.Frame.Footer));
}

public sealed record MenuView(string Id, string Name, IReadOnlyList<MenuItemView> Items)
{
    public static MenuView Of(Site site, Menu menu) => new(menu.Id, menu.Name, [.. menu.Items.Select(i => new MenuItemView(i.Id, i.Label, i.Page, site.Aside.Pages.Find(i.Page)?.Name))]);
}

/// <param name="Page">Id of the page it leads to.</param>
/// <param name="Aside">Name of that page where it is set aside: the item is shown nowhere until it is back.</param>
public sealed record MenuItemView(string Id, string Label, string Page, string? Aside);

/// <summary>A picture of the shelf.</summary>
/// <param name="Address">Where its bytes are.</param>
public sealed record PictureView(string Id, string Name, string Address);
