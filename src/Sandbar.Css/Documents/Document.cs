using AngleSharp.Dom;
using AngleSharp.Html.Parser;

namespace Sandbar.Css.Documents;

/// <summary>A page as a tree of elements. Read as browsers read HTML; nothing is run or fetched.</summary>
public sealed class Document
{
    /// <summary>Elements in each other: what is deeper stands beside the deepest, as in Chromium.</summary>
    private const int MostDepth = 512;

    private Document(IReadOnlyList<Element> all, bool isQuirky) => (All, IsQuirky) = (all, isQuirky);

    /// <summary>Its elements in the order of the document; the first is the root.</summary>
    public IReadOnlyList<Element> All { get; }

    /// <summary>Whether it lacks a doctype: letters of either case are then the same in classes and ids (Selectors Level 4, §6.6).</summary>
    public bool IsQuirky { get; }

    public Element Root => All[0];

    /// <summary>All elements within one, in the order of the document.</summary>
    public IEnumerable<Element> Within(Element element)
    {
        for (var i = element.Index + 1; i < element.End; i++) yield return All[i];
    }

    /// <summary>All text within an element.</summary>
    public string TextOf(Element element) => element.Text + string.Concat(Within(element).Select(e => e.Text));

    /// <summary>Reads HTML; every text gives a page.</summary>
    public static Document Parse(string html)
    {
        using var tree = new HtmlParser(new() { IsScripting = false }).ParseDocument(html);
        var all = new List<Element>();
        // Not by calls within calls: pages can be nested deeper than a stack.
        var open = new Stack<(IElement Element, Element? Parent, int Depth)>();
        open.Push((tree.DocumentElement, null, 0));
        while (open.TryPop(out var next))
        {
            var isHtml = next.Element.NamespaceUri == NamespaceNames.HtmlUri;
            var attributes = new Dictionary<string, string>(StringComparer.OrdinalIgnoreCase);
            foreach (var attribute in next.Element.Attributes) attributes[attribute.LocalName] = attribute.Value;
            var element = new Element(next.Element.LocalName, isHtml, attributes, next.Parent, all.Count)
            {
                Text = string.Concat(next.Element.ChildNodes.OfType<IText>().Select(t => t.Data)),
            };
            all.Add(element);
            var depth = next.Depth < MostDepth ? next.Depth + 1 : next.Depth;
            foreach (var child in next.Element.ChildNodes.OfType<IElement>().Reverse()) open.Push((child, depth > next.Depth ? element : next.Parent, depth));
        }
        for (var i = all.Count - 1; i >= 0; i--)
        {
            all[i].End = Math.Max(all[i].End, i + 1);
            if (all[i].Parent is { } parent) parent.End = Math.Max(parent.End, all[i].End);
        }
        return new(all, tree.CompatMode == "BackCompat");
    }
}
