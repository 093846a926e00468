using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>What came, went and changed from some rules to others of the same window.</summary>
internal sealed class RuleChange
{
    private readonly HashSet<ActiveRule> gone;

    // Rules that changed in custom properties alone, with what they became: those of one name are one rule that changed.
    private readonly Dictionary<ActiveRule, ActiveRule> restated = new(ReferenceEqualityComparer.Instance);
    private readonly HashSet<string> customs = new(StringComparer.Ordinal);
    private readonly bool isAnimated;

    private RuleChange(RuleSet before, RuleSet after)
    {
        gone = before.Without(after).ToHashSet<ActiveRule>(ReferenceEqualityComparer.Instance);
        var added = after.Without(before);
        Added = RuleSet.Of(added, after.Media);
        var free = added.Where(r => r.Rule.Sheet.Name is not null).ToLookup(r => (r.Rule.Sheet.Name, r.Rule.Asks));
        var taken = new HashSet<ActiveRule>(ReferenceEqualityComparer.Instance);
        foreach (var rule in gone)
        {
            if (free[(rule.Rule.Sheet.Name, rule.Rule.Asks)].FirstOrDefault(r => !taken.Contains(r) && IsRestated(rule, r)) is not { } same) continue;
            taken.Add(same);
            restated[rule] = same;
            customs.UnionWith(Customs(rule).Except(Customs(same)).Concat(Customs(same).Except(Customs(rule))).Select(c => c.Name));
        }
        // What reads a custom property that changed changes with it.
        var readers = customs.Count == 0 ? [] : before.Rules.Concat(after.Rules).SelectMany(r => r.Rule.Declarations).Where(d => d.IsCustom && d.HoldsVariables).ToList();
        for (var count = -1; count != customs.Count;)
        {
            count = customs.Count;
            customs.UnionWith(readers.Where(d => d.Reads.Any(customs.Contains)).Select(d => d.Name));
        }
        isAnimated = after.Basis.Keyframes.Values.SelectMany(frames => frames).SelectMany(f => f.Declarations).SelectMany(d => d.Reads).Any(customs.Contains);
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

    /// <summary>Whether what was declared of an element and what is differ in nothing but custom properties, none of which it reads.</summary>
    public bool Keeps(ElementCascade before, ElementCascade after)
    {
        if (isAnimated || before.OfElement != after.OfElement || before.Rules.Length != after.Rules.Length || after.Reads.Overlaps(customs)) return false;
        for (var i = 0; i < before.Rules.Length; i++)
        {
            var (was, now) = (before.Rules[i], after.Rules[i]);
            if (was.Specificity != now.Specificity || was.Proximity != now.Proximity || (!ReferenceEquals(was.Active, now.Active) && !ReferenceEquals(restated.GetValueOrDefault(was.Active), now.Active))) return false;
        }
        return true;
    }

    private static bool IsRestated(ActiveRule one, ActiveRule other) =>
        one.LayerRank == other.LayerRank && one.Rule.IsConditional == other.Rule.IsConditional && Plain(one).SequenceEqual(Plain(other));

    private static IEnumerable<(string Name, string Value, bool IsImportant)> Plain(ActiveRule rule) => rule.Rule.Declarations.Where(d => !d.IsCustom).Select(Text);

    private static IEnumerable<(string Name, string Value, bool IsImportant)> Customs(ActiveRule rule) => rule.Rule.Declarations.Where(d => d.IsCustom).Select(Text);

    private static (string, string, bool) Text(Declared declared) => (declared.Name, Serializer.Values(declared.Node.Value), declared.IsImportant);
}
