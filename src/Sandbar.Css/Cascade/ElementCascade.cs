using System.Collections.Immutable;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>A rule that holds for an element.</summary>
/// <param name="Specificity">Of the heaviest of its selectors that holds.</param>
/// <param name="Proximity">Steps from the root of its scope; none is the farthest.</param>
internal readonly record struct MatchedRule(ActiveRule Active, Specificity Specificity, int Proximity) : IComparable<MatchedRule>
{
    /// <summary>By strength among what is not important (CSS Cascade 6, §2.1).</summary>
    public int CompareTo(MatchedRule other)
    {
        if (Active.Origin != other.Active.Origin) return Active.Origin.CompareTo(other.Active.Origin);
        if (Active.LayerRank != other.Active.LayerRank) return Active.LayerRank.CompareTo(other.Active.LayerRank);
        return WithinLayer(other);
    }

    public int WithinLayer(MatchedRule other)
    {
        if (Specificity != other.Specificity) return Specificity.CompareTo(other.Specificity);
        if (Proximity != other.Proximity) return other.Proximity.CompareTo(Proximity);
        return Active.Order.CompareTo(other.Active.Order);
    }
}

/// <summary>Why a declaration lost: the first of these in which it differs from the one that won.</summary>
public enum LossReason
{
    Importance,
    Origin,
    Inline,
    Layer,
    Specificity,
    Proximity,
    Order,
}

/// <summary>A declaration that counts for a property of an element.</summary>
public sealed class Candidate
{
    internal Candidate(Declared declared, MatchedRule? matched, int at) => (Declared, Matched, At) = (declared, matched, at);

    public Declared Declared { get; }

    internal MatchedRule? Matched { get; }

    /// <summary>Its place in its rule, from 0.</summary>
    public int At { get; }

    /// <summary>Whether it stands on the element itself.</summary>
    public bool IsInline => Matched is null;

    public Origin Origin => Matched?.Active.Origin ?? Origin.Author;

    /// <summary>The weight of what selected the element; nothing where it stands on it.</summary>
    public Specificity Specificity => Matched?.Specificity ?? default;

    public LayerName? Layer => Matched?.Active.Layer;

    internal int LayerRank => Matched?.Active.LayerRank ?? int.MaxValue;

    /// <summary>Weaker first (CSS Cascade 6, §2.1).</summary>
    public int CompareStrength(Candidate other)
    {
        if (Level != other.Level) return Level.CompareTo(other.Level);
        if (IsInline != other.IsInline) return IsInline.CompareTo(other.IsInline);
        // What is important in an early layer is stronger.
        if (LayerRank != other.LayerRank) return Declared.IsImportant ? other.LayerRank.CompareTo(LayerRank) : LayerRank.CompareTo(other.LayerRank);
        var rules = Matched is { } one && other.Matched is { } another ? one.WithinLayer(another) : 0;
        return rules != 0 ? rules : At.CompareTo(other.At);
    }

    /// <summary>Why another one won against it.</summary>
    public LossReason ReasonAgainst(Candidate winner)
    {
        if (Declared.IsImportant != winner.Declared.IsImportant) return LossReason.Importance;
        if (Origin == Origin.UserAgent != (winner.Origin == Origin.UserAgent)) return LossReason.Origin;
        if (IsInline != winner.IsInline) return LossReason.Inline;
        if (LayerRank != winner.LayerRank) return LossReason.Layer;
        if (Specificity != winner.Specificity) return LossReason.Specificity;
        return Matched?.Proximity != winner.Matched?.Proximity ? LossReason.Proximity : LossReason.Order;
    }

    private int Level => (Declared.IsImportant, Origin) switch
    {
        (false, Origin.UserAgent) => 0,
        (false, Origin.Hint) => 1,
        (false, _) => 2,
        (true, Origin.UserAgent) => 4,
        _ => 3,
    };
}

/// <summary>All that is declared for an element, or a piece of one: the same for all elements that the same rules hold for.</summary>
public sealed class ElementCascade
{
    private readonly ImmutableArray<MatchedRule> rules;
    private readonly ImmutableArray<Declared> inline;
    private readonly Dictionary<Flow, Dictionary<int, Winning>> winners = [];
    private Dictionary<string, Candidate>? customs;
    private bool? asksAttributes;

    /// <param name="rules">Weakest first.</param>
    internal ElementCascade(ImmutableArray<MatchedRule> rules, ImmutableArray<Declared> inline) => (this.rules, this.inline) = (rules, inline);

    internal ImmutableArray<MatchedRule> Rules => rules;

    /// <summary>What stands on the element itself.</summary>
    internal ImmutableArray<Declared> OfElement => inline;

    /// <summary>Whether something declared takes up what an attribute says, so that no two elements need be styled alike.</summary>
    internal bool AsksAttributes => asksAttributes ??= rules.Any(r => r.Active.Rule.Asked.PutsInAttributes) || inline.Any(d => d.AsksAttributes);

    /// <summary>Every declaration in the rules that hold, valid or not.</summary>
    public IEnumerable<Candidate> Declarations
    {
        get
        {
            foreach (var rule in rules)
            {
                var declarations = rule.Active.Rule.Declarations;
                for (var i = 0; i < declarations.Count; i++) yield return new(declarations[i], rule, i);
            }
            for (var i = 0; i < inline.Length; i++) yield return new(inline[i], null, i);
        }
    }

    /// <summary>The one that counts for a property; null where nothing is declared.</summary>
    internal Candidate? Winner(Property property, Flow flow)
    {
        if (!winners.TryGetValue(flow, out var map)) winners[flow] = map = Winners(flow);
        return map.TryGetValue(property.Id, out var winning) ? CandidateOf(winning) : null;
    }

    /// <summary>The one that counts for a custom property; null where nothing is declared.</summary>
    internal Candidate? Winner(string custom) => (customs ??= Customs()).GetValueOrDefault(custom);

    /// <summary>All valid declarations of a property, the strongest first.</summary>
    public IReadOnlyList<Candidate> Of(Property property, Flow flow)
    {
        var physical = LogicalSides.Physical(property, flow);
        var all = Declarations.Where(c => Sets(c.Declared, physical, flow) && c.Declared.IsValid).ToList();
        all.Sort((a, b) => b.CompareStrength(a));
        return all;
    }

    /// <summary>The same of a custom one.</summary>
    public IReadOnlyList<Candidate> Of(string custom)
    {
        var all = Declarations.Where(c => c.Declared.Name == custom && c.Declared.IsValid).ToList();
        all.Sort((a, b) => b.CompareStrength(a));
        return all;
    }

    private static bool Sets(Declared declared, Property physical, Flow flow)
    {
        foreach (var property in declared.Sets)
        {
            if (property == physical || (property.IsLogical && LogicalSides.Physical(property, flow) == physical)) return true;
        }
        return false;
    }

    private Dictionary<int, Winning> Winners(Flow flow)
    {
        var map = new Dictionary<int, Winning>();
        // Weakest first: of what is not important the last one counts.
        for (var i = 0; i < rules.Length; i++)
        {
            foreach (var (property, at) in rules[i].Active.Rule.Plain(flow)) map[property] = new(i, at);
        }
        for (var at = 0; at < inline.Length; at++)
        {
            if (!inline[at].IsImportant && inline[at].IsValid) Put(inline[at], new(rules.Length, at));
        }
        // What is important wins over all that, and among itself by an order of its own.
        var important = new Dictionary<int, Candidate>();
        for (var i = 0; i < rules.Length; i++)
        {
            if (rules[i].Active.Rule.HasImportant) Important(i, rules[i].Active.Rule.Declarations);
        }
        Important(rules.Length, inline);
        return map;

        void Put(Declared declared, Winning winning)
        {
            foreach (var property in declared.Sets) map[LogicalSides.Physical(property, flow).Id] = winning;
        }

        void Important(int rule, IReadOnlyList<Declared> declarations)
        {
            for (var at = 0; at < declarations.Count; at++)
            {
                if (!declarations[at].IsImportant || !declarations[at].IsValid) continue;
                var candidate = CandidateOf(new(rule, at));
                foreach (var property in declarations[at].Sets)
                {
                    var id = LogicalSides.Physical(property, flow).Id;
                    if (important.TryGetValue(id, out var before) && candidate.CompareStrength(before) < 0) continue;
                    important[id] = candidate;
                    map[id] = new(rule, at);
                }
            }
        }
    }

    /// <summary>Where the declaration that counts stands: which rule, the one behind the last being the element itself, and which of its declarations.</summary>
    private readonly record struct Winning(int Rule, int At);

    private Candidate CandidateOf(Winning winning) =>
        winning.Rule == rules.Length ? new(inline[winning.At], null, winning.At) : new(rules[winning.Rule].Active.Rule.Declarations[winning.At], rules[winning.Rule], winning.At);

    private Dictionary<string, Candidate> Customs()
    {
        var map = new Dictionary<string, Candidate>(StringComparer.Ordinal);
        foreach (var candidate in Declarations)
        {
            if (candidate.Declared.IsCustom && candidate.Declared.IsValid && (!map.TryGetValue(candidate.Declared.Name, out var before) || candidate.CompareStrength(before) >= 0)) map[candidate.Declared.Name] = candidate;
        }
        return map;
    }
}
