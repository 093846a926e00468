using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
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
    public static ImmutableArray<SyntaxError> Of(Site site, StyleSheet sheet)
    {
        var written = FlatRules.Of(Parser.ParseStyleSheet(site.Overrides.Site)).Where(r => r.Always is not null && r.Declarations.Count > 0).ToList();
        if (written.Count == 0) return [];
        var varied = sheet.Rules.Where(r => r.State != State.Rest || r.Widths != Interval.All).ToList();
        var silenced = new Dictionary<DeclarationNode, HashSet<(Rule Rule, Declaration Declaration)>>();
        foreach (var page in site.Pages)
        {
            using var document = PageDocument.Of(site, page);
            var elements = varied.Select(r => r.Elements).Distinct().ToDictionary(s => s, s => document.Find(s).ToHashSet(), StringComparer.Ordinal);
            foreach (var rule in written)
            {
                var found = document.Find(rule.Always!);
                if (found.Count == 0) continue;
                foreach (var generated in varied.Where(v => found.Any(elements[v.Elements].Contains)))
                {
                    foreach (var declaration in rule.Declarations)
                    {
                        foreach (var over in generated.Declarations.Where(d => PropertyNames.Overlap(declaration.Name, d.Name)))
                        {
                            if (!silenced.TryGetValue(declaration, out var set)) silenced[declaration] = set = [];
                            set.Add((generated, over));
                        }
                    }
                }
            }
        }
        return [.. silenced.Select(s => new SyntaxError(s.Key.Start, s.Key.Start + s.Key.Name.Length, Message(site, s.Key.Name, s.Value))).OrderBy(n => n.Start)];
    }

    private static string Message(Site site, string property, HashSet<(Rule Rule, Declaration Declaration)> over)
    {
        var cells = over.Select(o => Cell(site, o.Declaration.Origin, o.Rule)).Distinct().ToList();
        var (states, widths) = (over.Any(o => o.Rule.State != State.Rest), over.Any(o => o.Rule.Widths != Interval.All));
        var where = (states, widths) switch { (true, true) => "in every state and at every width", (true, false) => "in every state", _ => "at every width" };
        return $"“{property}” holds {where} here. Silenced: {string.Join(", ", cells.Take(3))}{(cells.Count > 3 ? string.Create(CultureInfo.InvariantCulture, $" and {cells.Count - 3} more") : "")}.";
    }

    private static string Cell(Site site, Origin origin, Rule rule)
    {
        var key = CellKey.Parse(origin.Detail);
        var widths = rule.Widths == Interval.All ? "" : rule.Widths is { From: { } from } ? $" from {from} px" : $" below {rule.Widths.Below} px";
        if (origin.Kind == OriginKind.Look) return PartCatalogue.CellName(site.Looks.Get(origin.Id), key) + widths;
        var block = Blocks.Find(site, origin.Id);
        var name = block is null ? key.Property : $"{block.Name} · {PartCatalogue.Find(block.Part)?.Property(key.Property)?.Name.ToLowerInvariant()}";
        return (key.State == State.Rest ? name : $"{name} in {key.State}") + widths;
    }
}
