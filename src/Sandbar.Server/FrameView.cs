using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>The header and footer every page wears.</summary>
public sealed record FrameView(BlockView Header, BlockView Footer)
{
    public static FrameView Of(Site site) => new(BlockView.Of(site, site.Frame.Header), BlockView.Of(site, site.Frame.Footer));
}

public sealed record MenuView(string Id, string Name, IReadOnlyList<MenuItemView> Items)
{
    public static MenuView Of(Site site, Menu menu) => new(menu.Id, menu.Name, [.. menu.Items.Select(i => MenuItemView.Of(site, i))]);
}

/// <param name="To">Where it leads, as links have it.</param>
/// <param name="Aside">Name of the page it leads to where that is set aside: the item is shown nowhere until it is back.</param>
/// <param name="Items">Those under it.</param>
public sealed record MenuItemView(string Id, string Label, string To, string? Aside, IReadOnlyList<MenuItemView> Items)
{
    public static MenuItemView Of(Site site, MenuItem item) =>
        new(item.Id, item.Label, item.Page, site.Aside.Pages.Find(ContentCheck.PageOf(item.Page))?.Name, [.. item.Items.Select(i => Of(site, i))]);
}

/// <summary>A picture of the shelf.</summary>
/// <param name="Address">Where its bytes are.</param>
/// <param name="Class">The class of its elements where it covers a place of a block.</param>
/// <param name="Html">As it covers a box, its focal point in sight.</param>
/// <param name="InValues">What it is called in values.</param>
public sealed record PictureView(string Id, string Name, string Address, int Width, int Height, string File, string Class, string Html, string InValues)
{
    public static PictureView Of(Site site, ShelfItem picture) => new(
        picture.Id, picture.Name, StageEndpoints.AssetAddress(picture), picture.Width, picture.Height, picture.File, FocalPoints.ClassOf(picture),
        BackgroundView.Drawn(site, [new("picture", new ReferenceValue(PictureKind.Kind, picture.Id))]), Kinds.Listed(PictureKind.Kind).NameOf(site, new ReferenceValue(PictureKind.Kind, picture.Id)));
}

/// <summary>A clip of the shelf.</summary>
/// <param name="Address">Where its bytes are, or those of what stands in for it.</param>
/// <param name="File">Its file in a release, or where it is.</param>
/// <param name="IsOutside">Whether it is elsewhere: what is shown here only stands in for it.</param>
public sealed record ClipView(string Id, string Name, string Address, int Width, int Height, string File, bool IsOutside);
