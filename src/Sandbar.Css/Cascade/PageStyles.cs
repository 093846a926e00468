using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>
/// How the elements of a page are styled by some sheets in a window. What nobody asks about is not reckoned; what was is kept. For one thread at a time.
/// </summary>
public sealed class PageStyles
{
    private readonly ElementMatching matching;
    private readonly ElementStyle?[] elements;
    private readonly Dictionary<(int Element, string Piece), ElementStyle> pieces = [];
    private readonly KnownStyles known = new();

    /// <param name="forced">The states elements are in, by element.</param>
    /// <param name="mostSteps">Parts of selectors held against elements before a <see cref="CostlySelectorException"/>.</param>
    public PageStyles(Document document, RuleSet rules, IReadOnlyDictionary<Element, ElementStates>? forced = null, long mostSteps = long.MaxValue)
    {
        (Document, Rules) = (document, rules);
        matching = new(new Matching(document, forced) { MostSteps = mostSteps }, rules, known);
        elements = new ElementStyle?[document.All.Count];
    }

    public Document Document { get; }

    public RuleSet Rules { get; }

    public ElementStyle Root => Of(Document.Root);

    /// <summary>The style of an element.</summary>
    public ElementStyle Of(Element element)
    {
        if (elements[element.Index] is { } found) return found;
        // Pages can be nested deeper than a stack: those around come first.
        var waiting = new Stack<Element>();
        for (var at = element; at is not null && elements[at.Index] is null; at = at.Parent) waiting.Push(at);
        while (waiting.TryPop(out var next))
        {
            var parent = next.Parent is null ? null : elements[next.Parent.Index];
            elements[next.Index] = Styled(next, parent, "");
        }
        return elements[element.Index]!;
    }

    /// <summary>The style of a piece of an element, such as <c>before</c>.</summary>
    public ElementStyle Of(Element element, string piece)
    {
        if (pieces.TryGetValue((element.Index, piece), out var found)) return found;
        return pieces[(element.Index, piece)] = Styled(element, Of(element), piece);
    }

    private ElementStyle Styled(Element element, ElementStyle? parent, string piece)
    {
        var cascade = matching.Of(element, piece, condition => ContainerQueries.Ask(condition.Values, element, parent));
        return known.Style(Rules.Basis, element, parent, cascade, piece, IsWords(element));
    }

    /// <summary>What is declared of an element that stands in a condition which is not so, with that condition; in the order of the sheets.</summary>
    internal IEnumerable<(Candidate Declaration, RuleCondition Condition)> Off(Element element)
    {
        var parent = element.Parent is null ? null : Of(element.Parent);
        Answer Contained(RuleCondition condition) => ContainerQueries.Ask(condition.Values, element, parent);
        var reasons = Rules.Off.ToDictionary(o => o.Rule, o => o.Condition);
        foreach (var matched in matching.Off(element, "", Contained).OrderBy(m => m.Active.Order))
        {
            var condition = reasons.GetValueOrDefault(matched.Active) ?? matched.Active.Containers.First(c => Contained(c) != Answer.Yes);
            var declarations = matched.Active.Rule.Declarations;
            for (var at = 0; at < declarations.Count; at++) yield return (new(declarations[at], matched, at), condition);
        }
    }

    /// <summary>Whether an element is a picture that is not there, so that its words stand in its place.</summary>
    private bool IsWords(Element element) => element is { IsHtml: true, Name: "img" } && IsMissing is { } isMissing && (element["alt"] ?? element["title"]) is { Length: > 0 } && isMissing(element);

    /// <summary>Tells which pictures cannot be shown; null where all can.</summary>
    public Func<Element, bool>? IsMissing { get; init; }
}
