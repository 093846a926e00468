using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>What came, went and changed from some rules to others of the same window.</summary>
internal sealed class RuleChange
{
    /// <summary>Properties that no other one of the same element, and none of those inside but itself, is reckoned from.</summary>
    private static readonly PropertySet Apart = new(CssProperties.All.Where(p => IsApart(p.Name)));

    private static readonly Property Image = CssProperties.Of("background-image");

    /// <summary>What has as many layers as there are pictures.</summary>
    private static readonly PropertySet Layered = new(CssProperties.All.Where(p => p.Name.StartsWith("background-", StringComparison.Ordinal)));

    private readonly HashSet<ActiveRule> gone;

    // Rules that say something else than before, with what they became.
    private readonly Dictionary<ActiveRule, ActiveRule> restated = new(ReferenceEqualityComparer.Instance);

    // What came, went or changed in rules that did.
    private readonly Dictionary<ActiveRule, IReadOnlyList<Declared>> changed = new(ReferenceEqualityComparer.Instance);
    private readonly HashSet<string> customs = new(StringComparer.Ordinal);
    private readonly Dictionary<(ActiveRule, Flow), PropertySet> touched = [];
    private readonly bool isEverywhere;

    private RuleChange(RuleSet before, RuleSet after)
    {
        var (removed, added) = before.Apart(after);
        gone = removed.ToHashSet<ActiveRule>(ReferenceEqualityComparer.Instance);
        Added = RuleSet.Of(added, after.Media);
        var free = added.GroupBy(r => (r.Rule.Sheet.Name, r.Rule.Asks, r.LayerRank, r.Rule.IsConditional)).ToDictionary(g => g.Key, g => new Queue<ActiveRule>(g));
        foreach (var rule in removed)
        {
            if (free.GetValueOrDefault((rule.Rule.Sheet.Name, rule.Rule.Asks, rule.LayerRank, rule.Rule.IsConditional)) is { } same && same.TryDequeue(out var now))
            {
                restated[rule] = now;
                (changed[rule], changed[now]) = Differing(rule.Rule.Declarations, now.Rule.Declarations);
            }
            else
            {
                changed[rule] = rule.Rule.Declarations;
            }
        }
        foreach (var rule in added) changed.TryAdd(rule, rule.Rule.Declarations);
        customs.UnionWith(changed.Values.SelectMany(d => d).Where(d => d.IsCustom).Select(d => d.Name));
        // What reads a custom property that changed changes with it.
        var readers = customs.Count == 0 ? [] : before.Rules.Concat(after.Rules).SelectMany(r => r.Rule.Declarations).Where(d => d.IsCustom && d.HoldsVariables).ToList();
        for (var count = -1; count != customs.Count;)
        {
            count = customs.Count;
            customs.UnionWith(readers.Where(d => d.Reads.Any(customs.Contains)).Select(d => d.Name));
        }
        isEverywhere = after.MakesContainers || before.MakesContainers || after.Basis.Keyframes.Values.SelectMany(frames => frames).SelectMany(f => f.Declarations).SelectMany(d => d.Reads).Any(customs.Contains);
    }

    /// <summary>The rules that were not there, by what they select.</summary>
    public RuleSet Added { get; }

    public static RuleChange Of(RuleSet before, RuleSet after) => new(before, after);

    public bool IsGone(ActiveRule rule) => gone.Contains(rule);

    /// <summary>Whether one of an element's rules is gone.</summary>
    public bool Reaches(ElementCascade cascade)
    {
        if (gone.Count == 0) return false;
        foreach (var rule in cascade.Rules)
        {
            if (gone.Contains(rule.Active)) return true;
        }
        return false;
    }

    /// <summary>The properties of a style that may come to something else, custom ones aside; null where that may be any.</summary>
    /// <param name="style">The style before.</param>
    /// <param name="after">What is declared now.</param>
    /// <param name="around">The same of the style around; empty of a root.</param>
    public PropertySet? Touched(ElementStyle style, ElementCascade after, PropertySet? around)
    {
        var before = style.Cascade;
        if (around is null || isEverywhere || before.OfElement != after.OfElement || (before != after && !AreInOrder(before, after))) return null;
        var flow = style.Flow;
        var own = after.OfElement.Any(ReadsChanged) ? Set(after.OfElement.Where(ReadsChanged), flow) : PropertySet.Empty;
        foreach (var rule in before.Rules) own |= TouchedBy(rule.Active, flow);
        if (before != after)
        {
            foreach (var rule in after.Rules) own |= TouchedBy(rule.Active, flow);
        }
        if (own.Contains(Image)) own |= Layered;
        if (!own.IsWithin(Apart)) return null;
        // What is around is taken over where nothing is declared, or where that is.
        return around.IsEmpty ? own : own | new PropertySet(around.Properties.Where(p => p.IsInherited || after.Winner(p, flow) is not null));
    }

    /// <summary>Whether all that did not come or go stands as it did.</summary>
    private bool AreInOrder(ElementCascade before, ElementCascade after)
    {
        var next = 0;
        foreach (var was in before.Rules)
        {
            var twin = gone.Contains(was.Active) ? restated.GetValueOrDefault(was.Active) : was.Active;
            if (twin is null) continue;
            while (next < after.Rules.Length && after.Rules[next].Active != twin && IsNew(after.Rules[next].Active)) next++;
            if (next == after.Rules.Length || after.Rules[next] is var now && (now.Active != twin || now.Specificity != was.Specificity || now.Proximity != was.Proximity)) return false;
            next++;
        }
        while (next < after.Rules.Length && IsNew(after.Rules[next].Active)) next++;
        return next == after.Rules.Length;

        bool IsNew(ActiveRule rule) => changed.TryGetValue(rule, out var all) && all == rule.Rule.Declarations;
    }

    /// <summary>What a rule sets to something else than before.</summary>
    private PropertySet TouchedBy(ActiveRule rule, Flow flow)
    {
        if (touched.TryGetValue((rule, flow), out var known)) return known;
        return touched[(rule, flow)] = Set(rule.Rule.Declarations.Where(ReadsChanged).Concat(changed.GetValueOrDefault(rule, [])), flow);
    }

    private static PropertySet Set(IEnumerable<Declared> declared, Flow flow)
    {
        var set = PropertySet.Empty;
        foreach (var one in declared) set |= new PropertySet(one.Sets.Select(p => LogicalSides.Physical(p, flow)));
        return set;
    }

    /// <summary>What two lists do not begin and end with alike.</summary>
    private static (IReadOnlyList<Declared> One, IReadOnlyList<Declared> Other) Differing(IReadOnlyList<Declared> one, IReadOnlyList<Declared> other)
    {
        var (from, end) = (0, 0);
        while (from < one.Count && from < other.Count && Says(one[from], other[from])) from++;
        while (end < one.Count - from && end < other.Count - from && Says(one[^(end + 1)], other[^(end + 1)])) end++;
        return ([.. one.Skip(from).SkipLast(end)], [.. other.Skip(from).SkipLast(end)]);

        static bool Says(Declared a, Declared b) => a.Name == b.Name && a.IsImportant == b.IsImportant && Serializer.Values(a.Node.Value) == Serializer.Values(b.Node.Value);
    }

    private bool ReadsChanged(Declared declared)
    {
        foreach (var name in declared.Reads)
        {
            if (customs.Contains(name)) return true;
        }
        return false;
    }

    private static bool IsApart(string name) => name is "color" or "opacity" or "visibility" or "box-shadow" or "text-shadow" or "transform" or "filter" or "cursor" or "text-decoration-color" or "text-decoration-thickness"
        || name.StartsWith("background-", StringComparison.Ordinal) || name.StartsWith("outline-", StringComparison.Ordinal) || name.StartsWith("margin-", StringComparison.Ordinal) || name.StartsWith("padding-", StringComparison.Ordinal)
        || (name.StartsWith("border-", StringComparison.Ordinal) && (name.EndsWith("-color", StringComparison.Ordinal) || name.EndsWith("-style", StringComparison.Ordinal) || name.EndsWith("-width", StringComparison.Ordinal) || name.EndsWith("-radius", StringComparison.Ordinal)));
}
