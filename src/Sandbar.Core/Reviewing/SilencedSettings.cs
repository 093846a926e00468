using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Css;
using Sandbar.Css.Cascade;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;
using Origin = Sandbar.Core.Rendering.Origin;

namespace Sandbar.Core.Reviewing;

/// <summary>
/// Overrides that win over what looks and blocks set for states and widths: overrides are unlayered, so a plain rule holds in every state and at every
/// width, and the states set in the ledger no longer show. Rules that name a state or stand in a condition say when they hold and are passed over.
/// </summary>
public static class SilencedSettings
{
    /// <summary>A note for each declaration that silences something, at its name.</summary>
    /// <param name="cancel">Looked at between pages.</param>
    public static ImmutableArray<SyntaxError> Of(Site site, CancellationToken cancel)
    {
        if (string.IsNullOrWhiteSpace(site.Overrides.Site)) return [];
        try
        {
            return Of(SiteStyles.Of(site), cancel);
        }
        catch (CostlySelectorException)
        {
            return Of(SiteStyles.WithoutOverrides(site), cancel);
        }
    }

    private static ImmutableArray<SyntaxError> Of(SiteStyles styles, CancellationToken cancel)
    {
        var site = styles.Site;
        using var held = SiteStyles.Hold(styles);
        var windows = Windows.Of(styles.Sheets, _ => true, isDarkAsked: false).All.Select(styles.In).ToList();
        var order = styles.Written.Sheet.Rules.Select((rule, at) => (rule, at)).ToDictionary(r => r.rule, r => r.at);
        var silenced = new Dictionary<Declared, HashSet<(Rule Rule, Declaration Declaration)>>();
        var seen = new HashSet<Place>();
        foreach (var page in site.Pages)
        {
            cancel.ThrowIfCancellationRequested();
            var styled = styles[page];
            foreach (var element in styled.Document.All)
            {
                if (!seen.Add(styled.PlaceOf(element))) continue;
                var atRest = windows[0].Of(styled.PlaceOf(element)).Cascade.Declarations.Where(c => IsPlain(styles, c)).Select(c => c.Declared).ToHashSet();
                if (atRest.Count == 0) continue;
                foreach (var (place, window) in Scenes.Of(styled, element).SelectMany(place => windows.Select(w => (place, w)))) Take(styles, window.Of(place), atRest, silenced);
            }
        }
        var notes = silenced.Select(s => Note(styles, s.Key, [.. s.Value.OrderBy(v => order[v.Rule])]));
        if (styles.LeftOut is >= 0 and var leftOut)
            notes = notes.Append(new(leftOut, leftOut + 1, styles.IsNothingCounted
                ? "These rules are not counted, in contrast and reach neither: together they ask so much of every element that nobody would wait for the answer."
                : "From here on rules that ask what stands beside or inside an element are not counted, in contrast and reach neither: together they ask so much that nobody would wait for the answer."));
        return [.. notes.OrderBy(n => n.Start)];
    }

    /// <summary>Whether a declaration is the designer's and says of no state and of no condition.</summary>
    private static bool IsPlain(SiteStyles styles, Candidate candidate) =>
        candidate.Declared is { IsValid: true, Rule: { IsConditional: false, NamesState: false } rule } && styles.Written.StartOf(rule.Sheet) is not null;

    /// <summary>Takes down what of the sheet's states and widths loses to the designer's plain rules.</summary>
    private static void Take(SiteStyles styles, ElementStyle style, HashSet<Declared> plain, Dictionary<Declared, HashSet<(Rule, Declaration)>> silenced)
    {
        foreach (var candidate in style.Cascade.Declarations)
        {
            if (candidate.Declared.Rule is not { } at || styles.Written.RuleOf(at) is not { } rule || (rule.State == State.Rest && rule.Widths == Interval.All)) continue;
            foreach (var property in candidate.Declared.Sets)
            {
                if (style.Winner(property) is not { } winner || !plain.Contains(winner.Declared)) continue;
                if (!silenced.TryGetValue(winner.Declared, out var over)) silenced[winner.Declared] = over = [];
                over.Add((rule, rule.Declarations[candidate.At]));
            }
        }
    }

    private static SyntaxError Note(SiteStyles styles, Declared declared, IReadOnlyList<(Rule Rule, Declaration Declaration)> over)
    {
        var start = styles.Written.StartOf(declared.Rule!.Sheet)!.Value + declared.Node.Start;
        return new(start, start + declared.Node.Name.Length, Message(styles.Site, declared.Node.Name, over));
    }

    private static string Message(Site site, string property, IReadOnlyList<(Rule Rule, Declaration Declaration)> over)
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
