namespace Sandbar.Core.Rendering;

/// <summary>Tables with head and caption.</summary>
internal static class TableHtml
{
    public static void Write(BlockHtml block, string slot, string captionSlot)
    {
        var rows = BlockText.Rows(block.Plain(slot));
        if (rows.Count == 0) return;
        block.Element("div", [("role", "region"), ("aria-label", block.Plain(captionSlot)), ("tabindex", "0")], () => block.Piece("table", null, block.Page.SlotMark(slot), () =>
        {
            block.Page.Html.Element("caption", [], () => block.Text(captionSlot), isPhrase: true);
            block.Piece("thead", null, () => Row(block, rows[0], _ => ("th", [("scope", "col")])));
            block.Piece("tbody", null, () =>
            {
                foreach (var row in rows.Skip(1)) Row(block, row, i => i == 0 ? ("th", [("scope", "row")]) : ("td", []));
            });
        }));
    }

    private static void Row(BlockHtml block, IReadOnlyList<string> cells, Func<int, (string Tag, (string, string)[] Attributes)> element) => block.Piece("tr", null, () =>
    {
        for (var i = 0; i < cells.Count; i++)
        {
            var (tag, attributes) = element(i);
            var cell = cells[i];
            block.Page.Html.Element(tag, attributes, () => block.Inline(cell), isPhrase: true);
        }
    });
}
