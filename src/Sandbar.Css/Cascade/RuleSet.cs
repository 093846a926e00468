using System.Collections.Immutable;
using Sandbar.Css.Conditions;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>A rule whose conditions hold, and its place in the order of things.</summary>
/// <param name="Order">Later is stronger.</param>
/// <param name="LayerRank">Later layers are greater, what is in none is greatest; among those of one origin.</param>
/// <param name="Containers">What must hold of elements around.</param>
internal sealed record ActiveRule(StyleRule Rule, int Order, int LayerRank, LayerName? Layer, ImmutableArray<RuleCondition> Containers)
{
    /// <summary>Whether its layer is told apart from that of another.</summary>
    public Origin Origin => Rule.Sheet.Origin;
}

/// <summary>The rules of some sheets that hold in a window, by what they select: made once for all pages that have these sheets.</summary>
public sealed class RuleSet
{
    /// <summary>Imports in each other, and all together: sheets that import each other in turn, many times over, end somewhere.</summary>
    private const int DeepestImport = 16, MostImports = 500;

    private readonly Dictionary<RuleCondition, bool> answers = [];
    private readonly List<(RuleItem Item, LayerName? Layer, ImmutableArray<RuleCondition> Containers)> found = [];
    private readonly Dictionary<Origin, LayerTree> layers = [];
    private readonly Dictionary<string, RegisteredProperty> registered = new(StringComparer.Ordinal);

    private int imports;

    private RuleSet(MediaEnvironment media) => Media = media;

    public MediaEnvironment Media { get; }

    internal Dictionary<string, ImmutableArray<Keyframe>> Keyframes { get; } = new(StringComparer.Ordinal);

    internal Dictionary<string, RuleIndex> ByPiece { get; } = new(StringComparer.Ordinal);

    internal IReadOnlyList<ActiveRule> Rules { get; private set; } = [];

    /// <summary>Custom properties that have a type.</summary>
    public IReadOnlyDictionary<string, RegisteredProperty> Registered => registered;

    /// <param name="sheets">In their order on the page; the browser's own comes before them.</param>
    /// <param name="isQuirky">Whether they are for a page without a doctype.</param>
    public static RuleSet Of(IEnumerable<StyleSheet> sheets, MediaEnvironment media, bool isQuirky = false)
    {
        var set = new RuleSet(media);
        IEnumerable<StyleSheet> own = isQuirky ? StyleSheet.UserAgent.Add(StyleSheet.Quirks) : StyleSheet.UserAgent;
        foreach (var sheet in own.Concat(sheets)) set.Take(sheet, [], null, 0);
        set.Index();
        return set;
    }

    private void Take(StyleSheet sheet, ImmutableArray<RuleCondition> containers, LayerName? within, int depth)
    {
        foreach (var item in sheet.Items)
        {
            if (!item.Conditions.All(Holds)) continue;
            var around = containers.AddRange(item.Conditions.Where(c => c.Kind == ConditionKind.Container));
            var layer = Within(item.Layer, within);
            if (layer is not null) Tree(sheet.Origin).Register(layer);
            switch (item)
            {
                case ImportItem import when depth < DeepestImport && imports++ < MostImports && sheet.Import?.Invoke(import.Address) is { } imported:
                    Take(imported, around, layer, depth + 1);
                    break;
                case PropertyItem { Property: var property }:
                    registered[property.Name] = property;
                    break;
                case KeyframesItem keyframes:
                    Keyframes[keyframes.Name] = keyframes.Frames;
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

    private void Index()
    {
        foreach (var tree in layers.Values) tree.Rank();
        var rules = new List<ActiveRule>(found.Count);
        foreach (var (item, layer, containers) in found)
        {
            var rule = new ActiveRule(item.Rule, rules.Count, layer is null ? int.MaxValue : Tree(item.Rule.Sheet.Origin).RankOf(layer), layer, containers);
            rules.Add(rule);
            for (var i = 0; i < item.Rule.Selectors.Length; i++)
            {
                var piece = PseudoElements.Of(item.Rule.Selectors[i])?.Name ?? "";
                if (!ByPiece.TryGetValue(piece, out var index)) ByPiece[piece] = index = new();
                index.Add(rule, i);
            }
        }
        Rules = rules;
        found.Clear();
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
