using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Css;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Reviewing;

/// <summary>
/// Overrides that win over what looks and blocks set for states and widths: overrides are unlayered, so a plain rule holds in every state and at every
/// width, and the states set in the ledger no longer show. Rules that name a state or stand in a condition say when they hold and are passed over.
/// </summary>
public static class SilencedSettings
{
    /// <summary>A note for each declaration that silences something, at its name.</summary>
    /// <param name="cancel">Looked at between rules.</param>
    public static ImmutableArray<SyntaxError> Of(Site site, StyleSheet sheet, CancellationToken cancel)
    {
        var rules = LookedUp.Of(OverrideText.Of(site.Overrides.Site), _ => true);
        var varied = sheet.Rules.Where(r => r.State != State.Rest || r.Widths != Interval.All).ToList();
        // What of the sheet a property meets, worked out once for each property.
        var meets = varied.SelectMany(r => r.Declarations.SelectMany(d => PropertyNames.SetBy(d.Name).Select(set => (Set: set, Over: (Rule: r, Declaration: d)))))
            .ToLookup(m => m.Set, m => m.Over, StringComparer.OrdinalIgnoreCase);
        var written = rules.Rules.Where(r => r.Always is not null).Select(r => (Rule: r, Met: Met(r))).Where(r => r.Met.Count > 0).ToList();
        if (written.Count == 0) return rules.Note;
        var silenced = new Dictionary<DeclarationNode, HashSet<(Rule Rule, Declaration Declaration)>>();
        var unasked = int.MaxValue;
        foreach (var page in site.Pages)
        {
            using var document = PageDocument.Of(site, page);
            var elements = varied.Select(r => r.Elements).Distinct().ToDictionary(s => s, s => document.Find(s).ToHashSet(), StringComparer.Ordinal);
            foreach (var (rule, met) in written)
            {
                cancel.ThrowIfCancellationRequested();
                var found = document.Find(rule.Always!);
                if (document.IsSpent)
                {
                    unasked = Math.Min(unasked, rule.Declarations[0].Start);
                    break;
                }
                if (found.Count == 0) continue;
                foreach (var (declaration, over) in met)
                {
                    var shown = over.Where(o => found.Any(elements[o.Rule.Elements].Contains)).ToList();
                    if (shown.Count == 0) continue;
                    if (!silenced.TryGetValue(declaration, out var set)) silenced[declaration] = set = [];
                    set.UnionWith(shown);
                }
            }
        }
        var notes = silenced.Select(s => new SyntaxError(s.Key.Start, s.Key.Start + s.Key.Name.Length, Message(site, s.Key.Name, s.Value))).Concat(rules.Note);
        if (unasked < int.MaxValue) notes = notes.Append(new(unasked, unasked + 1, "From here on it is not looked up what rules match on every page: that would take too long."));
        return [.. notes.OrderBy(n => n.Start)];

        // Of declarations of one property in a rule the last counts.
        List<(DeclarationNode, List<(Rule Rule, Declaration Declaration)>)> Met(FlatRule rule) =>
        [
            .. from same in rule.Declarations.GroupBy(d => d.Name, StringComparer.OrdinalIgnoreCase)
               let over = same.Key.Equals("all", StringComparison.OrdinalIgnoreCase) ? meets.SelectMany(m => m) : PropertyNames.SetBy(same.Key).SelectMany(set => meets[set])
               let each = over.Distinct().ToList()
               where each.Count > 0
               select (same.Last(), each),
        ];
    }

    private static string Message(Site site, string property, HashSet<(Rule Rule, Declaration Declaration)> over)
    {
        var cells = over.Select(o => Cell(site, o.Declaration.Origin, o.Rule)).Distinct().ToList();
        var (states, widths) = (over.Any(o => o.Rule.State != State.Rest), over.Any(o => o.Rule.Widths != Interval.All));
        var where = (states, widths) switch { (true, true) => "in every state and at every width", (true, false) => "in every state", _ => "at every width" };
        return $"{Quoted.Text(property)} holds {where} here. Silenced: {string.Join(", ", cells.Take(3))}{(cells.Count > 3 ? string.Create(CultureInfo.InvariantCulture, $" and {cells.Count - 3} more") : "")}.";
    }

    private static string Cell(Site site, Origin origin, Rule rule)
    {
        var key = CellKey.Parse(origin.Detail);
        var widths = rule.Widths == Interval.All ? "" : rule.Widths is { From: { } from } ? $" from {from}px" : $" below {rule.Widths.Below}px";
        if (origin.Kind == OriginKind.Look) return PartCatalogue.CellName(site.Looks.Get(origin.Id), key) + widths;
        var block = Blocks.Find(site, origin.Id);
        var name = block is null ? key.Property : $"{block.Name} · {PartCatalogue.Find(block.Part)?.Property(key.Property)?.Name.ToLowerInvariant()}";
        return (key.State == State.Rest ? name : $"{name} in {key.State}") + widths;
    }
}
