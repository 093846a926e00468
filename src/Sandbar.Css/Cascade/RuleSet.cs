using System.Collections.Immutable;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Cascade;

/// <summary>A rule whose conditions hold, and its place in the order of things.</summary>
/// <param name="Order">Later is stronger.</param>
/// <param name="LayerRank">Later layers are greater, what is in none is greatest; among those of one origin.</param>
/// <param name="Containers">What must hold of elements around.</param>
internal sealed record ActiveRule(StyleRule Rule, long Order, int LayerRank, LayerName? Layer, ImmutableArray<RuleCondition> Containers)
{
    /// <summary>Whether its layer is told apart from that of another.</summary>
    public Origin Origin => Rule.Sheet.Origin;
}

/// <summary>What styles are reckoned by besides what is declared for their elements.</summary>
/// <param name="Registered">Custom properties that have a type.</param>
internal sealed record StyleBasis(MediaEnvironment Media, IReadOnlyDictionary<string, RegisteredProperty> Registered, IReadOnlyDictionary<string, ImmutableArray<Keyframe>> Keyframes)
{
    /// <summary>Whether another comes to the same.</summary>
    public bool IsSame(StyleBasis other) => Media == other.Media && AreSame(Registered, other.Registered) && AreSame(Keyframes, other.Keyframes);

    private static bool AreSame<T>(IReadOnlyDictionary<string, T> one, IReadOnlyDictionary<string, T> other) =>
        one.Count == other.Count && one.All(pair => other.TryGetValue(pair.Key, out var same) && EqualityComparer<T>.Default.Equals(pair.Value, same));
}

/// <summary>The rules of some sheets that hold in a window, by what they select: made once for all pages that have these sheets.</summary>
public sealed class RuleSet
{
    /// <summary>Numbers left free between two rules, so that others can come in between.</summary>
    private const long Gap = 1L << 32;

    /// <summary>Imports in each other, and all together: sheets that import each other in turn, many times over, end somewhere.</summary>
    private const int DeepestImport = 16, MostImports = 500;

    private readonly Dictionary<RuleCondition, bool> answers = [];
    private readonly List<(RuleItem Item, LayerName? Layer, ImmutableArray<RuleCondition> Containers)> found = [];
    private readonly Dictionary<Origin, LayerTree> layers = [];
    private readonly Dictionary<string, RegisteredProperty> registered = new(StringComparer.Ordinal);

    private readonly List<(ActiveRule Rule, RuleCondition Condition)> off = [];
    private RuleSet? idle;

    private int imports;

    private RuleSet(MediaEnvironment media) => (Media, Basis) = (media, new(media, registered, keyframes));

    public MediaEnvironment Media { get; }

    internal StyleBasis Basis { get; private set; }

    private readonly Dictionary<string, ImmutableArray<Keyframe>> keyframes = new(StringComparer.Ordinal);

    internal Dictionary<string, RuleIndex> ByPiece { get; } = new(StringComparer.Ordinal);

    internal IReadOnlyList<ActiveRule> Rules { get; private set; } = [];

    /// <param name="sheets">In their order on the page; the browser's own comes before them.</param>
    /// <param name="isQuirky">Whether they are for a page without a doctype.</param>
    public static RuleSet Of(IEnumerable<StyleSheet> sheets, MediaEnvironment media, bool isQuirky = false) => Of(sheets, media, isQuirky, null);

    /// <summary>The same window's with other sheets. Rules that are in both are the same objects, as long as the others leave them their place.</summary>
    public RuleSet With(IEnumerable<StyleSheet> sheets) => Of(sheets, Media, isQuirky: false, this);

    /// <summary>Rules that are in this one alone, and those that are in another of the same window alone.</summary>
    internal (List<ActiveRule> Gone, List<ActiveRule> Added) Apart(RuleSet other)
    {
        var (gone, added) = (new List<ActiveRule>(), new List<ActiveRule>());
        // What is in both stands in the same order in both.
        for (int i = 0, j = 0; i < Rules.Count || j < other.Rules.Count;)
        {
            var (mine, theirs) = (i < Rules.Count ? Rules[i] : null, j < other.Rules.Count ? other.Rules[j] : null);
            if (ReferenceEquals(mine, theirs)) (i, j) = (i + 1, j + 1);
            else if (theirs is null || (mine is not null && mine.Order <= theirs.Order)) gone.Add(Rules[i++]);
            else added.Add(other.Rules[j++]);
        }
        return (gone, added);
    }

    /// <summary>Rules that do not hold in this window, with the first condition that is not so; those of sheets that are imported under one too.</summary>
    internal IReadOnlyList<(ActiveRule Rule, RuleCondition Condition)> Off => off;

    /// <summary>The same by what they select.</summary>
    internal RuleSet Idle => idle ??= Of([.. off.Select(o => o.Rule)], Media);

    /// <summary>Some rules by what they select.</summary>
    internal static RuleSet Of(IReadOnlyList<ActiveRule> rules, MediaEnvironment media)
    {
        var set = new RuleSet(media) { Rules = rules };
        foreach (var rule in rules) set.Index(rule);
        return set;
    }

    /// <summary>The pieces of elements that the author's rules are for.</summary>
    public IReadOnlyList<string> Pieces => pieces ??= [.. Rules.Where(r => r.Origin == Origin.Author).SelectMany(r => r.Rule.Keys).Select(k => k.Piece).Where(p => p.Length > 0).Distinct()];

    private IReadOnlyList<string>? pieces;

    /// <summary>Whether one of them may hold for an element, or a piece of it, by its names.</summary>
    public bool MayReach(Element element, string piece) => ByPiece.TryGetValue(piece, out var index) && index.MayReach(element);

    /// <summary>Whether what is around decides over some of them.</summary>
    internal bool HasContainers => hasContainers ??= Rules.Any(r => !r.Containers.IsEmpty);

    private bool? hasContainers;

    /// <summary>Whether lengths inside some element may be measured by it.</summary>
    internal bool MakesContainers => makesContainers ??= Rules.Any(r => r.Rule.Asked.MakesContainer);

    private bool? makesContainers;

    private static RuleSet Of(IEnumerable<StyleSheet> sheets, MediaEnvironment media, bool isQuirky, RuleSet? before)
    {
        var set = new RuleSet(media);
        IEnumerable<StyleSheet> own = isQuirky ? StyleSheet.UserAgent.Add(StyleSheet.Quirks) : StyleSheet.UserAgent;
        foreach (var sheet in own.Concat(sheets)) set.Take(sheet, [], null, 0);
        foreach (var tree in set.layers.Values) tree.Rank();
        set.Rules = set.Placed(before);
        set.found.Clear();
        foreach (var rule in set.Rules) set.Index(rule);
        if (before is not null && before.Basis.IsSame(set.Basis)) set.Basis = before.Basis;
        return set;
    }

    /// <param name="without">The condition on an import that is not so, where the sheet does not count for it; null where it does.</param>
    private void Take(StyleSheet sheet, ImmutableArray<RuleCondition> containers, LayerName? within, int depth, RuleCondition? without = null)
    {
        foreach (var item in sheet.Items)
        {
            var failing = without ?? item.Conditions.FirstOrDefault(c => !Holds(c));
            var around = containers.AddRange(item.Conditions.Where(c => c.Kind == ConditionKind.Container));
            var layer = Within(item.Layer, within);
            if (layer is not null && failing is null) Tree(sheet.Origin).Register(layer);
            switch (item)
            {
                case ImportItem import when depth < DeepestImport && imports++ < MostImports && sheet.Import?.Invoke(import.Address) is { } imported:
                    Take(imported, around, layer, depth + 1, failing);
                    break;
                case RuleItem { Rule: var idle } when failing is not null:
                    off.Add((new(idle, off.Count, int.MaxValue, layer, around), failing));
                    break;
                case PropertyItem { Property: var property } when failing is null:
                    registered[property.Name] = property;
                    break;
                case KeyframesItem frames when failing is null:
                    keyframes[frames.Name] = frames.Frames;
                    break;
                case RuleItem rule:
                    found.Add((rule, layer, around));
                    break;
            }
        }
    }

    private LayerTree Tree(Origin origin) => layers.TryGetValue(origin, out var tree) ? tree : layers[origin] = new();

    private static LayerName? Within(LayerName? layer, LayerName? around) => around is null ? layer : layer is null ? around : layer with { Around = Within(layer.Around, around) };

    private bool Holds(RuleCondition condition)
    {
        if (condition.Kind == ConditionKind.Container) return true;
        if (!answers.TryGetValue(condition, out var holds))
        {
            holds = condition.Kind switch
            {
                ConditionKind.Media => MediaQueries.Hold(condition.Values, Media),
                ConditionKind.Supports => SupportsConditions.Hold(condition.Values, condition.IsBare),
                _ => false,
            };
            answers[condition] = holds;
        }
        return holds;
    }

    /// <summary>The rules in their order: those from before where they stand as they did, and between them the others.</summary>
    private ActiveRule[] Placed(RuleSet? before)
    {
        var known = new Dictionary<StyleRule, ActiveRule>(ReferenceEqualityComparer.Instance);
        foreach (var rule in before?.Rules ?? []) known[rule.Rule] = rule;
        var rules = new ActiveRule[found.Count];
        var last = -1L;
        for (var i = 0; i < found.Count; i++)
        {
            var (item, layer, containers) = found[i];
            if (!known.TryGetValue(item.Rule, out var kept) || kept.Order <= last || kept.LayerRank != RankOf(item, layer) || kept.Layer != layer || !kept.Containers.SequenceEqual(containers)) continue;
            rules[i] = kept;
            last = kept.Order;
        }
        for (var i = 0; i < rules.Length;)
        {
            if (rules[i] is not null)
            {
                i++;
                continue;
            }
            var end = i;
            while (end < rules.Length && rules[end] is null) end++;
            var from = i == 0 ? 0 : rules[i - 1].Order;
            var step = end == rules.Length ? Gap : (rules[end].Order - from) / (end - i + 1);
            // Where no number is left between two rules, all get new ones.
            if (step == 0) return Placed(null);
            for (; i < end; i++)
            {
                var (item, layer, containers) = found[i];
                from += step;
                rules[i] = new(item.Rule, from, RankOf(item, layer), layer, containers);
            }
        }
        return rules;
    }

    private int RankOf(RuleItem item, LayerName? layer) => layer is null ? int.MaxValue : Tree(item.Rule.Sheet.Origin).RankOf(layer);

    private void Index(ActiveRule rule)
    {
        for (var i = 0; i < rule.Rule.Keys.Length; i++)
        {
            var piece = rule.Rule.Keys[i].Piece;
            if (!ByPiece.TryGetValue(piece, out var index)) ByPiece[piece] = index = new();
            index.Add(rule, i);
        }
    }
}

/// <summary>Layers in the order they are first named, those within others before what these say themselves (CSS Cascade 5, §6.4).</summary>
internal sealed class LayerTree
{
    private readonly Dictionary<LayerName, int> ranks = [];
    private readonly Dictionary<LayerName, List<LayerName>> inner = [];
    private readonly List<LayerName> top = [];

    public int RankOf(LayerName layer) => ranks[layer];

    public void Register(LayerName layer)
    {
        if (inner.ContainsKey(layer)) return;
        inner[layer] = [];
        if (layer.Around is null)
        {
            top.Add(layer);
            return;
        }
        Register(layer.Around);
        inner[layer.Around].Add(layer);
    }

    public void Rank()
    {
        foreach (var layer in top) Rank(layer);
    }

    private void Rank(LayerName layer)
    {
        foreach (var one in inner[layer]) Rank(one);
        ranks[layer] = ranks.Count;
    }
}
