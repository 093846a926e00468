using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Design;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Rendering;

/// <summary>A page as a tree in which selectors can be looked up. Nothing is run or fetched.</summary>
public sealed class PageDocument : IDisposable
{
    private static readonly Surroundings Anywhere = new(page => page.Slug, item => item.File, Head: "", MarkBlocks: true);

    private readonly IDocument tree;

    private readonly Dictionary<NestedSelector, string> marks = [];

    private PageDocument(IDocument tree) => this.tree = tree;

    public static PageDocument Of(Site site, Page page) => new(new HtmlParser().ParseDocument(PageWriter.Write(site, page, Anywhere)));

    /// <summary>The elements a selector finds; none where AngleSharp does not know it.</summary>
    public IReadOnlyList<IElement> Find(string selector)
    {
        try
        {
            return [.. tree.QuerySelectorAll(selector)];
        }
        catch (DomException)
        {
            return [];
        }
    }

    /// <summary>The elements that a rule's selectors find. What is around it is looked up once and marked, whatever is nested in it.</summary>
    public IReadOnlyCollection<IElement> Find(NestedSelector selector)
    {
        var found = new HashSet<IElement>();
        foreach (var text in selector.With(selector.Around is { } around ? Mark(around) : ":root")) found.UnionWith(Find(text));
        return found;
    }

    public void Dispose() => tree.Dispose();

    /// <summary>A selector for what another one finds: an attribute that is set on each.</summary>
    private string Mark(NestedSelector selector)
    {
        if (marks.TryGetValue(selector, out var known)) return known;
        var attribute = $"data-nested-{marks.Count}";
        var mark = marks[selector] = $"[{attribute}]";
        foreach (var element in Find(selector)) element.SetAttribute(attribute, "");
        return mark;
    }
}
