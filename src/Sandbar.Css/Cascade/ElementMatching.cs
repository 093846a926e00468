using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>Finds what is declared for the elements of a page.</summary>
internal sealed class ElementMatching(Matching matching, RuleSet rules, KnownStyles known)
{
    private readonly List<IndexedSelector> candidates = [];
    private readonly List<MatchedRule> matched = [];

    /// <param name="piece">A pseudo-element without its colons; empty for the element itself.</param>
    /// <param name="asksContainer">Whether a condition about elements around holds; unknown where it takes a layout to know.</param>
    public ElementCascade Of(Element element, string piece, Func<RuleCondition, Answer> asksContainer)
    {
        matched.Clear();
        Take(rules, element, piece, asksContainer);
        if (piece.Length == 0 && PresentationalHints.Of(element, matching.Document) is { Length: > 0 } hint && known.Hint(hint) is { } hinted) matched.Add(new(hinted, default, int.MaxValue));
        return known.Cascade(matched, piece.Length == 0 && element["style"] is { Length: > 0 } style ? known.Inline(style) : []);
    }

    /// <summary>Those of some rules that hold for an element, or for a piece of it; none of them stands in a condition on what is around.</summary>
    public IReadOnlyList<MatchedRule> Among(RuleSet some, Element element, string piece)
    {
        matched.Clear();
        Take(some, element, piece, _ => Answer.Unknown);
        return matched;
    }

    /// <summary>Numbers of the rules that hold for an element, or for a piece of it, wherever they stand.</summary>
    public IEnumerable<long> Holding(Element element)
    {
        candidates.Clear();
        foreach (var index in rules.ByPiece.Values) index.Candidates(element, MarksOf(element.Parent), candidates);
        return candidates.Where(c => (c.Rule.Rule.Sheet.IsForHtml ?? element.IsHtml) == element.IsHtml && Holds(c.Rule, c.Selector, element) is not null).Select(c => c.Rule.Order);
    }

    /// <summary>The rules that would hold for an element, whatever they stand in: those of other windows, and those that what is around decides against.</summary>
    public IReadOnlyList<MatchedRule> Off(Element element, string piece, Func<RuleCondition, Answer> asksContainer)
    {
        matched.Clear();
        Take(rules.Idle, element, piece, _ => Answer.Yes);
        var idle = matched.ToList();
        matched.Clear();
        Take(rules, element, piece, _ => Answer.Yes);
        return [.. idle, .. matched.Where(m => m.Active.Containers.Any(c => asksContainer(c) != Answer.Yes))];
    }

    private void Take(RuleSet from, Element element, string piece, Func<RuleCondition, Answer> asksContainer)
    {
        if (!from.ByPiece.TryGetValue(piece, out var index)) return;
        candidates.Clear();
        index.Candidates(element, MarksOf(element.Parent), candidates);
        foreach (var (rule, selector, _) in candidates)
        {
            // What browsers begin with is for HTML, or for drawings and formulas.
            if (rule.Rule.Sheet.IsForHtml is { } isForHtml && isForHtml != element.IsHtml) continue;
            if (Holds(rule, selector, element) is not { } weight) continue;
            if (!rule.Containers.IsEmpty && rule.Containers.Any(c => asksContainer(c) != Answer.Yes)) continue;
            Add(new(rule, weight.Specificity, weight.Proximity));
        }
    }

    /// <summary>The marks of an element and of all around it.</summary>
    private static UInt128 MarksOf(Element? element) => element is null ? UInt128.Zero : element.Marks ??= NameMarks.Of(element) | MarksOf(element.Parent);

    /// <summary>A rule once, by the strongest of its selectors.</summary>
    private void Add(MatchedRule rule)
    {
        for (var i = 0; i < matched.Count; i++)
        {
            if (!ReferenceEquals(matched[i].Active, rule.Active)) continue;
            if (rule.WithinLayer(matched[i]) > 0) matched[i] = rule;
            return;
        }
        matched.Add(rule);
    }

    private (Specificity Specificity, int Proximity)? Holds(ActiveRule active, int at, Element element)
    {
        var rule = active.Rule;
        var selector = rule.Selectors[at];
        if (rule.Scope is not { } scope) return matching.HoldsWithPiece(selector, element, rule.Parent) ? (rule.Weights[at], int.MaxValue) : null;
        var steps = 0;
        for (var root = element; root is not null; root = root.Parent, steps++)
        {
            if (IsIn(scope, root, element, rule.Sheet) && matching.HoldsWithPiece(selector, element, rule.Parent, root)) return (rule.Weights[at], steps);
        }
        return null;
    }

    /// <summary>Whether an element is in the part of the page that begins at another (CSS Cascade 6, §2.5.1).</summary>
    private bool IsIn(RuleScope scope, Element root, Element element, StyleSheet sheet)
    {
        if (scope.Start is not { } start)
        {
            if ((sheet.Around ?? matching.Document.Root) != root) return false;
        }
        else if (!start.Any(s => HoldsAround(s, root)))
        {
            return false;
        }
        if (scope.Limits.IsEmpty) return true;
        for (var at = element; at is not null; at = at.Parent)
        {
            var one = at;
            if (scope.Limits.Any(limit => matching.Holds(limit.Leading is null ? limit : limit, one, null, root))) return false;
            if (at == root) break;
        }
        return true;

        // What a scope begins at is itself looked for in the scope around.
        bool HoldsAround(ComplexSelector selector, Element candidate)
        {
            if (scope.Around is not { } around) return matching.Holds(selector, candidate);
            for (var outer = candidate; outer is not null; outer = outer.Parent)
            {
                if (IsIn(around, outer, candidate, sheet) && matching.Holds(selector, candidate, null, outer)) return true;
            }
            return false;
        }
    }
}
