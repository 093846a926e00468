using AngleSharp.Dom;
using Sandbar.Core.Catalogue;

namespace Sandbar.Core.Writing;

/// <summary>What is written on the stage itself: the HTML of the element that holds a slot, as a browser left it, as the text of the slot.</summary>
public static class SlotHtml
{
    /// <summary>Longest HTML that is read, in characters.</summary>
    public const int Longest = HtmlText.Longest;

    /// <summary>What stands in a piece of a text, with the spaces at its ends.</summary>
    public static IReadOnlyList<Run> Runs(string html)
    {
        var runs = new List<Run>();
        new HtmlText(new()).Read(HtmlText.Parse(html), new(""), runs);
        return runs;
    }

    /// <summary>The text of a slot.</summary>
    /// <param name="html">Of a text what is in its element; of a list or a table the elements themselves.</param>
    public static string Read(Slot slot, string html)
    {
        var (body, text) = (HtmlText.Parse(html), new HtmlText(new()));
        switch (slot.Kind)
        {
            case SlotKind.List:
                // A line that stands in no list is an item of its own.
                var outside = text.Read(body, node => node is IElement { LocalName: "ul" or "ol" });
                return string.Join('\n', new[] { ListText.Of([.. body.Children.Where(e => e.LocalName is "ul" or "ol").Select(l => text.List(l))]), Writing.Runs.Marked(outside) }.Where(t => t.Length > 0));
            case SlotKind.Table:
                return ListText.Rows([.. HtmlText.Within(body, "table").SelectMany(text.Rows)]);
            default:
                return Writing.Runs.Marked(text.Read(body));
        }
    }
}
