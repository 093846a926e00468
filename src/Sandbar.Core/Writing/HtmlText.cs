using System.Text;
using System.Text.RegularExpressions;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using INode = AngleSharp.Dom.INode;

namespace Sandbar.Core.Writing;

/// <summary>
/// Text read from HTML that a browser or another program made. Nothing of it is taken over but letters, marks and where links lead: it is read into what texts of
/// a site hold, and written anew from that.
/// </summary>
internal sealed partial class HtmlText(Dropped dropped)
{
    /// <summary>Longest HTML that is read, in characters.</summary>
    public const int Longest = 1_000_000;

    /// <summary>Elements that stand deeper in each other than anybody writes are read without their marks.</summary>
    private const int Deepest = 100;

    private static readonly HashSet<string> Unread = new(
        ["script", "style", "template", "noscript", "iframe", "object", "embed", "svg", "math", "head", "title", "meta", "link", "select", "textarea", "canvas", "audio", "video"], StringComparer.Ordinal);

    private static readonly HashSet<string> Blocks = new(
        ["p", "div", "section", "article", "main", "header", "footer", "nav", "aside", "h1", "h2", "h3", "h4", "h5", "h6", "ul", "ol", "li", "blockquote", "pre", "table", "figure", "figcaption", "hr", "dl", "dt", "dd", "form", "fieldset", "address", "details", "summary"],
        StringComparer.Ordinal);

    /// <summary>The elements of a piece of HTML, in the body of a document of their own, with the spaces it begins with: nothing of it is run or fetched.</summary>
    public static IElement Parse(string html) => new HtmlParser().ParseDocument("<body>" + Shallow(html)).Body!;

    public static bool IsBlock(INode node) => node is IElement element && Blocks.Contains(element.LocalName);

    /// <summary>Whether an element is left out with all that is in it; what there is to miss is counted.</summary>
    public bool Leaves(IElement element)
    {
        foreach (var attribute in element.Attributes)
        {
            if (attribute.Name.StartsWith("on", StringComparison.OrdinalIgnoreCase)) dropped.Add("script", "scripts");
            else if (attribute.Name is "style" or "class" or "bgcolor" or "color" or "face") dropped.Add(Styling, Styling);
        }
        if (element.LocalName is "img" or "picture" or "svg" or "canvas" or "video" or "audio") dropped.Add("picture or clip", "pictures and clips");
        else if (element.LocalName == "script") dropped.Add("script", "scripts");
        else if (element.LocalName is "iframe" or "object" or "embed") dropped.Add("page within the page", "pages within the page");
        else if (element.LocalName is "input" or "select" or "textarea") dropped.Add("form field", "form fields");
        return Unread.Contains(element.LocalName) || element.LocalName is "img" or "input";
    }

    /// <summary>The marks an element adds to those around it.</summary>
    public Run Marked(IElement element, Run marks)
    {
        var styled = Styled(element, marks);
        return element.LocalName switch
        {
            // A program of which text is copied puts all of it into one that is not strong.
            "b" or "strong" when !IsPlain(element) => styled with { IsStrong = true },
            "i" or "em" or "cite" or "dfn" or "var" => styled with { IsEmphasis = true },
            "code" or "kbd" or "samp" or "tt" => styled with { IsCode = true },
            "a" => Linked(element, styled),
            _ => styled,
        };
    }

    /// <summary>What stands in an element as runs, without the blocks in it that <paramref name="isApart"/> names.</summary>
    public void Read(INode node, Run marks, List<Run> into, Func<INode, bool>? isApart = null, int depth = 0)
    {
        if (depth > Deepest)
        {
            into.Add(marks with { Text = Letters(node).ReplaceLineEndings(" ") });
            return;
        }
        foreach (var child in node.ChildNodes)
        {
            if (isApart?.Invoke(child) == true) continue;
            if (child is IText text) into.Add(marks with { Text = text.Data.ReplaceLineEndings(" ") });
            else if (child is IElement { LocalName: "br" }) into.Add(marks with { Text = "\n" });
            else if (child is IElement element && !Leaves(element))
            {
                // What began a line of its own stays apart from what it follows.
                if (IsBlock(element)) into.Add(marks with { Text = " " });
                Read(element, Marked(element, marks), into, isApart, depth + 1);
                if (IsBlock(element)) into.Add(marks with { Text = " " });
            }
        }
    }

    public IReadOnlyList<Run> Read(INode node, Func<INode, bool>? isApart = null)
    {
        var runs = new List<Run>();
        Read(node, new(""), runs, isApart);
        return Runs.Normal(runs);
    }

    /// <summary>What stands in an item of a list or a cell of a table: one line.</summary>
    private string Line(INode node, Func<INode, bool>? isApart = null) => Runs.Marked(Read(node, isApart).Select(r => r with { Text = r.Text.Replace('\n', ' ') }));

    /// <summary>A list with the lists in it.</summary>
    public TextList List(IElement list, int depth = 0)
    {
        var items = new List<ListItem>();
        foreach (var child in list.Children)
        {
            if (child.LocalName == "li")
            {
                var isTooDeep = depth > Standing;
                List<TextList> inner = isTooDeep ? [] : [.. InnerLists(child).Select(l => List(l, depth + 1))];
                items.Add(new(Line(child, isTooDeep ? null : IsList), inner));
            }
            // A list beside the item it belongs to, as browsers and old programs make them.
            else if (IsList(child) && depth <= Standing)
            {
                var inner = List(child, depth + 1);
                if (items is [.., var last]) items[^1] = last with { Lists = [.. last.Lists, inner] };
                else items.AddRange(inner.Items);
            }
            else if (!Leaves(child)) items.Add(new(Line(child), []));
        }
        return new(list.LocalName == "ol", items);
    }

    /// <summary>The rows of a table.</summary>
    public IReadOnlyList<IReadOnlyList<string>> Rows(IElement table) =>
        [.. Within(table, "tr").Select(row => row.Children.Where(c => c.LocalName is "td" or "th").Select(c => Line(c)).ToArray()).Where(cells => cells.Length > 0)];

    /// <summary>The elements of a name in a tree that may be deep, without those in one of their own.</summary>
    public static IEnumerable<IElement> Within(IElement root, string name)
    {
        for (var node = Next(root, root, into: true); node is not null; node = Next(node, root, into: !(node is IElement { LocalName: var n } && n == name)))
        {
            if (node is IElement element && element.LocalName == name) yield return element;
        }
    }

    /// <summary>
    /// The HTML without the tags that stand deeper in others than anybody writes: what a parser does for each grows with how many are open. Elements that end by
    /// themselves are not counted.
    /// </summary>
    private static string Shallow(string html)
    {
        var depth = 0;
        return Tag().Replace(html, tag =>
        {
            if (Unnested.Contains(tag.Groups["name"].Value.ToLowerInvariant())) return tag.Value;
            var isTooDeep = tag.Groups["end"].Length > 0 ? depth > MostOpen : depth >= MostOpen;
            depth = Math.Max(0, depth + (tag.Groups["end"].Length > 0 ? -1 : 1));
            return isTooDeep ? "" : tag.Value;
        });
    }

    private const int MostOpen = 250, Standing = 8;

    private static readonly HashSet<string> Unnested = new(
        ["p", "li", "td", "th", "tr", "tbody", "thead", "tfoot", "dt", "dd", "option", "optgroup", "html", "head", "body", "colgroup", "col", "br", "img", "hr", "input", "meta", "link", "area", "base", "embed", "source", "track", "wbr", "param"],
        StringComparer.Ordinal);

    [GeneratedRegex("<(?<end>/?)(?<name>[a-zA-Z][^\\s/>]*)[^>]*>")]
    private static partial Regex Tag();

    private const string Styling = "styling of its own";

    private static bool IsList(INode node) => node is IElement { LocalName: "ul" or "ol" };

    private static IEnumerable<IElement> InnerLists(IElement item) => item.Children.SelectMany(c => IsList(c) ? [c] : c.LocalName is "p" or "div" ? InnerLists(c) : []);

    /// <summary>The letters of a tree with its lines, however deep it is: nothing calls itself.</summary>
    public static string Letters(INode root)
    {
        var letters = new StringBuilder();
        for (var node = Next(root, root, into: true); node is not null; node = Next(node, root, into: !(node is IElement element && Unread.Contains(element.LocalName))))
        {
            if (node is IText text && !(text.Parent is IElement around && Unread.Contains(around.LocalName))) letters.Append(text.Data);
        }
        return letters.ToString();
    }

    private static INode? Next(INode node, INode root, bool into)
    {
        if (into && node.FirstChild is { } first) return first;
        for (INode? at = node; at is not null && at != root; at = at.Parent)
        {
            if (at.NextSibling is { } next) return next;
        }
        return null;
    }

    private Run Linked(IElement element, Run marks)
    {
        // A page of the site, by its id, is told by a stage alone.
        var page = element.GetAttribute("data-to")?.Trim();
        if (page is not null && ContentCheck.IsSafe(page) && Names.IsId(ContentCheck.PageOf(page))) return marks with { Link = page };
        if ((page ?? element.GetAttribute("href")?.Trim()) is not { } to) return marks;
        if (ContentCheck.IsAddress(to) && !to.AsSpan().ContainsAny('<', '>')) return marks with { Link = to };
        dropped.Add("link that leads nowhere here", "links that lead nowhere here");
        return marks;
    }

    private static Run Styled(IElement element, Run marks)
    {
        if (element.GetAttribute("style") is not { Length: > 0 and < 2000 } style) return marks;
        if (Says(style, "font-weight") is { } weight) marks = marks with { IsStrong = weight is "bold" or "bolder" || (int.TryParse(weight, out var number) && number >= 600) };
        if (Says(style, "font-style") is { } slant) marks = marks with { IsEmphasis = slant is "italic" or "oblique" };
        return marks;
    }

    private static bool IsPlain(IElement element) => Says(element.GetAttribute("style") ?? "", "font-weight") is "normal" or "400";

    private static string? Says(string style, string property) =>
        style.Split(';').Select(d => d.Split(':', 2)).Where(d => d.Length == 2 && d[0].Trim().Equals(property, StringComparison.OrdinalIgnoreCase)).Select(d => d[1].Trim().ToLowerInvariant()).LastOrDefault();
}
