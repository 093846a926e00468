using System.Collections.Immutable;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Cascade;

/// <summary>
/// Where sheets and others that took their place may declare something else: the sheets that came or went, with those that read or set the custom properties these set.
/// What none of them may hold for is declared as it was, whatever the window and the states of the page. Custom properties that elements set by an attribute are not followed.
/// </summary>
public sealed class SheetChange
{
    private readonly RuleSet? rules;

    private SheetChange(ImmutableArray<StyleSheet> before, ImmutableArray<StyleSheet> after, RuleSet? rules) => (Before, After, this.rules) = (before, after, rules);

    /// <summary>Of the earlier sheets, in their order, those it takes to tell what came of it: with them, all that set what is read there. All of them where they cannot be told apart.</summary>
    public ImmutableArray<StyleSheet> Before { get; }

    /// <summary>The same of the later ones.</summary>
    public ImmutableArray<StyleSheet> After { get; }

    /// <summary>Compares sheets; those that are in both are the same objects.</summary>
    public static SheetChange Of(ImmutableArray<StyleSheet> before, ImmutableArray<StyleSheet> after)
    {
        var (was, now) = (Set(before), Set(after));
        // A sheet in another place counts otherwise; what is around, imported or given a type may count anywhere.
        if (!before.Where(now.Contains).SequenceEqual(after.Where(was.Contains)) || before.Concat(after).Any(IsEntangled)) return new(before, after, null);
        var apart = before.Where(s => !now.Contains(s)).Concat(after.Where(s => !was.Contains(s))).ToHashSet<StyleSheet>(ReferenceEqualityComparer.Instance);
        var all = before.Concat(after.Where(s => !was.Contains(s))).ToList();
        var customs = Customs(apart).Select(d => d.Name).ToHashSet(StringComparer.Ordinal);
        var passedOn = customs.Count == 0 ? [] : Customs(all).Where(d => d.HoldsVariables).ToList();
        // What is reckoned from one that changed changes with it; what it takes to reckon them is known.
        Spread(customs, names => passedOn.Where(d => d.Reads.Any(names.Contains)).Select(d => d.Name));
        var needed = customs.ToHashSet(StringComparer.Ordinal);
        Spread(needed, names => passedOn.Where(d => names.Contains(d.Name)).SelectMany(d => d.Reads));
        var bearing = customs.Count == 0 ? apart : [.. apart, .. all.Where(s => s.Rules.Any(r => r.Declarations.Any(d => (d.IsCustom && customs.Contains(d.Name)) || d.Reads.Any(customs.Contains))))];
        var reaching = bearing.SelectMany(s => s.Rules).Select((rule, n) => new ActiveRule(rule, n, int.MaxValue, null, [])).ToList();
        var known = needed.Count == 0 ? bearing : [.. bearing, .. all.Where(s => Customs([s]).Any(d => needed.Contains(d.Name)))];
        return new(Of(before, known), Of(after, known), RuleSet.Of(reaching, new(0, 0)));

        static IEnumerable<Declared> Customs(IEnumerable<StyleSheet> sheets) => sheets.SelectMany(s => s.Rules).SelectMany(r => r.Declarations).Where(d => d.IsCustom);

        static HashSet<StyleSheet> Set(ImmutableArray<StyleSheet> sheets) => sheets.ToHashSet<StyleSheet>(ReferenceEqualityComparer.Instance);
    }

    /// <summary>The elements of a page that, or pieces of which, may be declared otherwise.</summary>
    public IReadOnlyList<Element> Reached(Document page)
    {
        if (rules is null) return page.All;
        var around = new UInt128[page.All.Count];
        var found = new List<IndexedSelector>();
        var reached = new List<Element>();
        foreach (var element in page.All)
        {
            if (element.Parent is { } parent) around[element.Index] = around[parent.Index] | NameMarks.Of(parent);
            found.Clear();
            foreach (var index in rules.ByPiece.Values) index.Candidates(element, around[element.Index], found);
            if (found.Count > 0 || element.Has("style")) reached.Add(element);
        }
        return reached;
    }

    private static void Spread(HashSet<string> names, Func<HashSet<string>, IEnumerable<string>> further)
    {
        for (var count = -1; count != names.Count;)
        {
            count = names.Count;
            names.UnionWith(further(names).ToList());
        }
    }

    /// <summary>Some of the sheets, and those that name a layer first: layers count in that order.</summary>
    private static ImmutableArray<StyleSheet> Of(ImmutableArray<StyleSheet> sheets, HashSet<StyleSheet> some)
    {
        var named = new HashSet<LayerName>();
        var kept = ImmutableArray.CreateBuilder<StyleSheet>();
        foreach (var sheet in sheets)
        {
            var isFirst = false;
            foreach (var item in sheet.Items)
            {
                if (item.Layer is not { } layer || named.Contains(layer)) continue;
                isFirst = true;
                if (item.Conditions.IsEmpty) named.Add(layer);
            }
            if (isFirst || some.Contains(sheet)) kept.Add(sheet);
        }
        return kept.ToImmutable();
    }

    private static bool IsEntangled(StyleSheet sheet) => sheet.Items.Any(i => i is ImportItem or PropertyItem || i.Conditions.Any(c => c.Kind == ConditionKind.Container));
}
