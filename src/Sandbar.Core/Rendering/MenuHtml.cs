using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>A menu as a list of links, the present page marked.</summary>
internal static class MenuHtml
{
    public static void Write(BlockHtml block, string slot, string labelSlot)
    {
        var page = block.Page;
        if (!block.Has(slot) || page.Site.Menus.Find(block.Plain(slot)) is not { } menu) return;
        var label = block.Has(labelSlot) ? block.Plain(labelSlot) : menu.Name;
        page.Html.Element("nav", [("aria-label", label)], () => block.Element("ul", [], () =>
        {
            // A page that is set aside is led to by nothing.
            foreach (var item in menu.Items.Where(i => page.Site.Pages.Find(i.Page) is not null))
            {
                var attributes = new List<(string, string)> { ("class", "menu-link"), ("href", page.Address(item.Page)) };
                if (item.Page == page.Page.Id) attributes.Add(("aria-current", "page"));
                page.Html.Element("li", [], () => page.Html.Element("a", attributes, () => page.Html.Text(item.Label), isPhrase: true), isPhrase: true);
            }
        }), isPhrase: false);
    }
}
