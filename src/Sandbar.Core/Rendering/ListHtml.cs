namespace Sandbar.Core.Rendering;

/// <summary>Lists, nested as deep as they are indented.</summary>
internal static class ListHtml
{
    public static void Write(BlockHtml block, string slot)
    {
        foreach (var (isOrdered, items) in BlockText.Lists(block.Plain(slot))) block.Element(isOrdered ? "ol" : "ul", block.Page.SlotMark(slot), () => Items(block, items));
    }

    private static void Items(BlockHtml block, IEnumerable<ListItem> items)
    {
        var html = block.Page.Html;
        foreach (var item in items)
        {
            html.Element("li", [], () =>
            {
                block.Inline(item.Text);
                foreach (var (isOrdered, inner) in item.Lists) html.Element(isOrdered ? "ol" : "ul", [], () => Items(block, inner), isPhrase: false);
            }, isPhrase: item.Lists.Count == 0);
        }
    }
}
