using AngleSharp.Css.Parser;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Design;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>
/// A page as a tree in which selectors can be looked up. Nothing is run or fetched. Elements are asked by what the end of a selector demands of them, so that a
/// rule costs what it may reach; what looking up has cost is counted, since a selector can be written that asks every element about every other.
/// </summary>
public sealed class PageDocument : IDisposable
{
    /// <summary>How many times a part of a selector is held against an element before no more is looked up: some 40 ms.</summary>
    private const long MostMatches = 300_000;

    private static readonly Surroundings Anywhere = new((page, _) => page.Slug, item => item.File, Head: "", MarkBlocks: true);

    private readonly IDocument tree;
    private readonly ICssSelectorParser parser;
    private readonly IElement[] all;
    private readonly ILookup<string, IElement> byClass, byName, byId;
    private readonly Dictionary<NestedSelector, string> marks = [];
    private readonly Dictionary<string, IReadOnlyList<IElement>> known = new(StringComparer.Ordinal);
    private readonly Dictionary<string, HashSet<IElement>> sets = new(StringComparer.Ordinal);
    private long matches;

    private PageDocument(IDocument tree)
    {
        this.tree = tree;
        parser = tree.Context.GetService<ICssSelectorParser>()!;
        all = [.. tree.All];
        byClass = all.SelectMany(e => e.ClassList.Select(name => (name, e))).ToLookup(p => p.name, p => p.e, StringComparer.Ordinal);
        byName = all.ToLookup(e => e.LocalName, StringComparer.OrdinalIgnoreCase);
        byId = all.Where(e => e.Id is { Length: > 0 }).ToLookup(e => e.Id!, StringComparer.Ordinal);
    }

    /// <summary>Whether so much has been looked up that nothing more is found.</summary>
    public bool IsSpent => matches > MostMatches;

    public static PageDocument Of(Site site, Page page) => new(new HtmlParser().ParseDocument(PageWriter.Write(site, page, Anywhere)));

    /// <summary>The elements a selector finds; none where AngleSharp does not know it.</summary>
    public IReadOnlyList<IElement> Find(string selector)
    {
        if (known.TryGetValue(selector, out var found)) return found;
        if (IsSpent || parser.ParseSelector(selector) is not { } asked) return [];
        var (candidates, weight) = Candidates(selector);
        matches += candidates.Count * weight;
        return known[selector] = IsSpent ? [] : [.. candidates.Where(e => asked.Match(e, null))];
    }

    /// <summary>Whether a selector finds an element.</summary>
    public bool Finds(string selector, IElement element)
    {
        if (!sets.TryGetValue(selector, out var found)) sets[selector] = found = [.. Find(selector)];
        return found.Contains(element);
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

    /// <summary>The elements that can be what a selector ends with, and how many conditions each is held against.</summary>
    private (IReadOnlyCollection<IElement> Elements, long Weight) Candidates(string selector)
    {
        if (!SelectorParser.TryParse(Parser.ParseValues(selector), isNested: false, out var list, out _)) return (all, selector.Length);
        var weight = list.Sum(Weight);
        if (list is not [{ Compounds: [.., var last] }]) return (all, weight);
        IReadOnlyCollection<IElement> fewest = all;
        foreach (var part in last.Parts)
        {
            var with = part switch
            {
                ClassSelector { Name: var name } => byClass[name],
                IdSelector { Name: var name } => byId[name],
                TypeSelector { Name: not "*" } type => byName[type.Name],
                _ => null,
            };
            if (with?.ToList() is { } elements && elements.Count < fewest.Count) fewest = elements;
        }
        return (fewest, weight);
    }

    private long Weight(ComplexSelector selector) => selector.Compounds.SelectMany(c => c.Parts).Sum(part => part switch
    {
        // It is asked of everything around.
        PseudoClassSelector { Name: "has" } has => 1 + has.Arguments.Sum(Weight) * all.Length,
        PseudoClassSelector { Nth: not null } nth => 1 + (1 + nth.Arguments.Sum(Weight)) * all.Length / 8,
        PseudoClassSelector pseudo => 1 + pseudo.Arguments.Sum(Weight),
        _ => 1,
    });
}
