using Sandbar.Core.Design;

namespace Sandbar.Server;

/// <summary>The header and footer every page wears.</summary>
public sealed record FrameView(BlockView Header, BlockView Footer)
{
    public static FrameView Of(Site site) => new(BlockView.Of(site.Frame.Header), BlockView.Of(site.Frame.Footer));
}

/// <param name="Scheme">Id of the scheme it carries; null for the one around it.</param>
/// <param name="Content">What its slots hold, by slot id.</param>
public sealed record BlockView(string Id, string Part, string Look, string Name, string? Scheme, IReadOnlyDictionary<string, string> Content, IReadOnlyList<BlockView> Blocks)
{
    public static BlockView Of(Block block) => new(block.Id, block.Part, block.Look, block.Name, block.Scheme, block.Content, [.. block.Blocks.Select(Of)]);
}

public sealed record MenuView(string Id, string Name, IReadOnlyList<MenuItemView> Items)
{
    public static MenuView Of(Menu menu) => new(menu.Id, menu.Name, [.. menu.Items.Select(i => new MenuItemView(i.Id, i.Label, i.Page))]);
}

/// <param name="Page">Id of the page it leads to.</param>
public sealed record MenuItemView(string Id, string Label, string Page);

/// <summary>A picture of the shelf.</summary>
/// <param name="Address">Where its bytes are.</param>
public sealed record PictureView(string Id, string Name, string Address);
