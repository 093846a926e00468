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
            // A page that is set aside is led to by nothing; what stands under it takes its place.
            foreach (var item in menu.Items.SelectMany(i => page.Leads(i.Page) is null ? i.Items : [i])) Item(page, item);
        }), isPhrase: false);
    }

    private static void Item(PageWriter page, MenuItem item)
    {
        if (page.Leads(item.Page) is not { } to) return;
        var attributes = new List<(string, string)> { ("class", "menu-link"), ("href", to) };
        if (item.Page == page.Page.Id) attributes.Add(("aria-current", "page"));
        page.Html.Element("li", [], () =>
        {
            page.Html.Element("a", attributes, () => page.Html.Text(item.Label), isPhrase: true);
            if (item.Items.Any(i => page.Leads(i.Page) is not null)) page.Html.Element("ul", [("class", MenuRules.Inner)], () => { foreach (var inner in item.Items) Item(page, inner); }, isPhrase: false);
        }, isPhrase: item.Items.IsEmpty);
    }
}
