using System.Collections.Immutable;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>Finds what is declared for the elements of a page.</summary>
internal sealed class ElementMatching(Matching matching, RuleSet rules)
{
    private readonly Dictionary<Key, ElementCascade> known = [];
    private readonly Dictionary<string, ImmutableArray<Declared>> inline = new(StringComparer.Ordinal);
    private readonly Dictionary<string, ActiveRule?> hints = new(StringComparer.Ordinal);
    private readonly List<IndexedSelector> candidates = [];
    private readonly UInt128?[] marks = new UInt128?[matching.Document.All.Count];
    private readonly List<MatchedRule> matched = [];

    /// <summary>The same rules with the same weights: what is declared is the same.</summary>
    private readonly struct Key(ImmutableArray<MatchedRule> rules, ImmutableArray<Declared> inline) : IEquatable<Key>
    {
        private readonly ImmutableArray<MatchedRule> rules = rules;
        private readonly ImmutableArray<Declared> inline = inline;
        private readonly int hash = Hash(rules);

        private static int Hash(ImmutableArray<MatchedRule> rules)
        {
            var hash = new HashCode();
            foreach (var rule in rules) hash.Add(rule.Active.Order * 31 + rule.Specificity.GetHashCode() + rule.Proximity);
            return hash.ToHashCode();
        }

        public bool Equals(Key other)
        {
            if (rules.Length != other.rules.Length || inline != other.inline) return false;
            for (var i = 0; i < rules.Length; i++)
            {
                if (!ReferenceEquals(rules[i].Active, other.rules[i].Active) || rules[i].Specificity != other.rules[i].Specificity || rules[i].Proximity != other.rules[i].Proximity) return false;
            }
            return true;
        }

        public override bool Equals(object? obj) => obj is Key other && Equals(other);

        public override int GetHashCode() => hash;
    }

    /// <param name="piece">A pseudo-element without its colons; empty for the element itself.</param>
    /// <param name="asksContainer">Whether a condition about elements around holds; null where it takes a layout to know.</param>
    public ElementCascade Of(Element element, string piece, Func<RuleCondition, Answer> asksContainer)
    {
        candidates.Clear();
        matched.Clear();
        if (rules.ByPiece.TryGetValue(piece, out var index)) index.Candidates(element, MarksOf(element.Parent), candidates);
        foreach (var (rule, selector, _) in candidates)
        {
            // What browsers begin with is for HTML, or for drawings and formulas.
            if (rule.Rule.Sheet.IsForHtml is { } isForHtml && isForHtml != element.IsHtml) continue;
            if (Holds(rule, selector, element) is not { } weight) continue;
            if (!rule.Containers.IsEmpty && rule.Containers.Any(c => asksContainer(c) != Answer.Yes)) continue;
            Add(new(rule, weight.Specificity, weight.Proximity));
        }
        if (piece.Length == 0 && PresentationalHints.Of(element, matching.Document) is { Length: > 0 } hint && HintRule(hint) is { } hinted) matched.Add(new(hinted, default, int.MaxValue));
        matched.Sort();
        ImmutableArray<MatchedRule> found = [.. matched];
        var own = piece.Length == 0 && element["style"] is { Length: > 0 } style ? Inline(style) : [];
        var key = new Key(found, own);
        return known.TryGetValue(key, out var same) ? same : known[key] = new(found, own);
    }

    /// <summary>The marks of an element and of all around it.</summary>
    private UInt128 MarksOf(Element? element) => element is null ? UInt128.Zero : marks[element.Index] ??= NameMarks.Of(element) | MarksOf(element.Parent);

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

    private ImmutableArray<Declared> Inline(string style)
    {
        if (inline.TryGetValue(style, out var known)) return known;
        // The attribute takes declarations only: a brace that closes ends nothing there, so they are read as a rule's.
        var sheet = Parser.ParseDeclarations(style);
        return inline[style] = [.. sheet.Select(d => new Declared(d, null))];
    }

    private ActiveRule? HintRule(string css)
    {
        if (hints.TryGetValue(css, out var known)) return known;
        var sheet = new StyleSheet(Parser.ParseStyleSheet($"*{{{css}}}"), null, Origin.Hint);
        var rule = sheet.Items.OfType<RuleItem>().FirstOrDefault()?.Rule;
        return hints[css] = rule is null ? null : new(rule, -1, int.MaxValue, null, []);
    }
}
