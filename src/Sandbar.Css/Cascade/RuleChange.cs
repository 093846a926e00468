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

    // Rules that changed in custom properties alone, with what they became: those of one name are one rule that changed.
    private readonly Dictionary<ActiveRule, ActiveRule> restated = new(ReferenceEqualityComparer.Instance);
    private readonly HashSet<ActiveRule> changed = new(ReferenceEqualityComparer.Instance);
    private readonly HashSet<string> customs = new(StringComparer.Ordinal);
    private readonly Dictionary<(ActiveRule, Flow), PropertySet> touched = [];
    private readonly bool isEverywhere;

    private RuleChange(RuleSet before, RuleSet after)
    {
        var (removed, added) = before.Apart(after);
        gone = removed.ToHashSet<ActiveRule>(ReferenceEqualityComparer.Instance);
        Added = RuleSet.Of(added, after.Media);
        var free = added.Where(r => r.Rule.Sheet.Name is not null).ToLookup(r => (r.Rule.Sheet.Name, r.Rule.Asks));
        var taken = new HashSet<ActiveRule>(ReferenceEqualityComparer.Instance);
        foreach (var rule in removed)
        {
            if (free[(rule.Rule.Sheet.Name, rule.Rule.Asks)].FirstOrDefault(r => !taken.Contains(r) && IsRestated(rule, r)) is not { } same) continue;
            taken.Add(same);
            restated[rule] = same;
            customs.UnionWith(Customs(rule).Except(Customs(same)).Concat(Customs(same).Except(Customs(rule))).Select(c => c.Name));
        }
        foreach (var rule in removed.Where(r => !restated.ContainsKey(r)).Concat(added.Where(r => !taken.Contains(r))))
        {
            changed.Add(rule);
            customs.UnionWith(Customs(rule).Select(c => c.Name));
        }
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
        if (around is null || isEverywhere || style.Cascade.OfElement != after.OfElement) return null;
        var flow = style.Flow;
        var own = after.OfElement.Any(ReadsChanged) ? new PropertySet(after.OfElement.Where(ReadsChanged).SelectMany(d => d.Sets).Select(p => LogicalSides.Physical(p, flow))) : PropertySet.Empty;
        foreach (var rule in style.Cascade.Rules) own |= TouchedBy(rule.Active, flow);
        if (after != style.Cascade)
        {
            foreach (var rule in after.Rules) own |= TouchedBy(rule.Active, flow);
        }
        if (own.Contains(Image)) own |= Layered;
        if (!own.IsWithin(Apart)) return null;
        // What is around is taken over where nothing is declared, or where that is.
        return around.IsEmpty ? own : own | new PropertySet(around.Properties.Where(p => p.IsInherited || after.Winner(p, flow) is not null));
    }

    /// <summary>What a rule sets to something else than before.</summary>
    private PropertySet TouchedBy(ActiveRule rule, Flow flow)
    {
        if (touched.TryGetValue((rule, flow), out var known)) return known;
        var declared = changed.Contains(rule) ? rule.Rule.Declarations : rule.Rule.Declarations.Where(ReadsChanged);
        var set = PropertySet.Empty;
        foreach (var one in declared) set |= new PropertySet(one.Sets.Select(p => LogicalSides.Physical(p, flow)));
        return touched[(rule, flow)] = set;
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

    private static bool IsRestated(ActiveRule one, ActiveRule other) =>
        one.LayerRank == other.LayerRank && one.Rule.IsConditional == other.Rule.IsConditional && Plain(one).SequenceEqual(Plain(other));

    private static IEnumerable<(string Name, string Value, bool IsImportant)> Plain(ActiveRule rule) => rule.Rule.Declarations.Where(d => !d.IsCustom).Select(Text);

    private static IEnumerable<(string Name, string Value, bool IsImportant)> Customs(ActiveRule rule) => rule.Rule.Declarations.Where(d => d.IsCustom).Select(Text);

    private static (string, string, bool) Text(Declared declared) => (declared.Name, Serializer.Values(declared.Node.Value), declared.IsImportant);
}
