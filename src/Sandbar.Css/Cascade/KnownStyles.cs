using System.Collections.Immutable;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>What has been found out of elements, so that those for which the same is declared share it. For one thread at a time.</summary>
internal sealed class KnownStyles(KnownStyles? before = null)
{
    private readonly Dictionary<Key, ElementCascade> cascades = [];
    private readonly Dictionary<string, ImmutableArray<Declared>> inline = before?.inline ?? new(StringComparer.Ordinal);
    private readonly Dictionary<string, ActiveRule?> hints = before?.hints ?? new(StringComparer.Ordinal);
    private readonly Dictionary<(ElementStyle? Parent, ElementCascade Cascade, string Name, bool IsRoot, bool IsWords), ElementStyle> styles = [];

    /// <summary>All that is declared by some rules, in whatever order they come.</summary>
    public ElementCascade Cascade(List<MatchedRule> rules, ImmutableArray<Declared> ofElement)
    {
        rules.Sort();
        var key = new Key([.. rules], ofElement);
        return cascades.TryGetValue(key, out var same) ? same : cascades[key] = new(key.Rules, ofElement);
    }

    /// <summary>The style of an element, or of a piece of one.</summary>
    public ElementStyle Style(StyleBasis basis, Element element, ElementStyle? parent, ElementCascade cascade, string piece, bool isWords)
    {
        var key = (parent, cascade, piece.Length > 0 ? piece : element.Name, element.Parent is null, isWords);
        if (!cascade.AsksAttributes && styles.TryGetValue(key, out var same)) return same;
        return styles[key] = new(basis, element, parent, cascade, piece, isWords);
    }

    /// <summary>What becomes of a style from before.</summary>
    /// <param name="touched">The properties that may come to something else; null where it comes to the same.</param>
    public ElementStyle After(ElementStyle before, ElementStyle? parent, ElementCascade cascade, PropertySet? touched)
    {
        var key = (parent, cascade, before.Piece.Length > 0 ? before.Piece : before.Element.Name, parent is null, false);
        if (!cascade.AsksAttributes && styles.TryGetValue(key, out var same)) return same;
        return styles[key] = before.After(parent, cascade, touched);
    }

    /// <summary>What the <c>style</c> attribute declares.</summary>
    public ImmutableArray<Declared> Inline(string style)
    {
        if (inline.TryGetValue(style, out var known)) return known;
        // The attribute takes declarations only: a brace that closes ends nothing there, so they are read as a rule's.
        var sheet = Parser.ParseDeclarations(style);
        return inline[style] = [.. sheet.Select(d => new Declared(d, null))];
    }

    /// <summary>The rule that attributes of old come to.</summary>
    public ActiveRule? Hint(string css)
    {
        if (hints.TryGetValue(css, out var known)) return known;
        var sheet = new StyleSheet(Parser.ParseStyleSheet($"*{{{css}}}"), null, Origin.Hint);
        var rule = sheet.Items.OfType<RuleItem>().FirstOrDefault()?.Rule;
        return hints[css] = rule is null ? null : new(rule, -1, int.MaxValue, null, []);
    }

    /// <summary>The same rules with the same weights: what is declared is the same.</summary>
    private readonly struct Key(ImmutableArray<MatchedRule> rules, ImmutableArray<Declared> inline) : IEquatable<Key>
    {
        public ImmutableArray<MatchedRule> Rules { get; } = rules;

        private readonly ImmutableArray<Declared> inline = inline;
        private readonly int hash = Hash(rules);

        private static int Hash(ImmutableArray<MatchedRule> rules)
        {
            var hash = new HashCode();
            foreach (var rule in rules) hash.Add(rule.Active.Order * 31L + rule.Specificity.GetHashCode() + rule.Proximity);
            return hash.ToHashCode();
        }

        public bool Equals(Key other)
        {
            if (Rules.Length != other.Rules.Length || inline != other.inline) return false;
            for (var i = 0; i < Rules.Length; i++)
            {
                if (!ReferenceEquals(Rules[i].Active, other.Rules[i].Active) || Rules[i].Specificity != other.Rules[i].Specificity || Rules[i].Proximity != other.Rules[i].Proximity) return false;
            }
            return true;
        }

        public override bool Equals(object? obj) => obj is Key other && Equals(other);

        public override int GetHashCode() => hash;
    }
}
