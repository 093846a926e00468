using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>Form fields with their labels.</summary>
internal static class FieldHtml
{
    public static void Write(BlockHtml block, string label, string kind, string hint, string choices, string off)
    {
        var html = block.Page.Html;
        var id = $"field-{block.Block.Id}";
        var attributes = new List<(string, string)> { ("class", "form-control"), ("id", id), ("name", Names.Slug(block.Plain(label))) };
        if (block.Has(hint)) attributes.Add(("aria-describedby", id + "-hint"));
        if (block.Is(off, "yes")) attributes.Add(("disabled", ""));
        html.Element("label", [("for", id)], () => block.Text(label), isPhrase: true);
        switch (block.Chosen(kind))
        {
            case "lines":
                html.Element("textarea", attributes.Append(("rows", "4")), () => { }, isPhrase: true);
                break;
            case "choice":
                html.Element("select", attributes, () =>
                {
                    foreach (var item in BlockText.Lists(block.Plain(choices)).SelectMany(l => l.Items)) html.Element("option", [], () => html.Text(item.Text), isPhrase: true);
                }, isPhrase: false);
                break;
            case var type:
                html.Void("input", attributes.Append(("type", type)));
                break;
        }
        if (block.Has(hint)) block.Piece("p", "form-hint", [("id", id + "-hint")], () => block.Text(hint));
    }
}
