using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Css.Cascade;
using CssSheet = Sandbar.Css.Cascade.StyleSheet;

namespace Sandbar.Core.Styling;

/// <summary>Where a declaration of a site's stylesheet stands.</summary>
/// <param name="Generated">What decided it; null where the designer wrote it.</param>
/// <param name="Line">The line of the overrides, from 1; 0 where it is none of these.</param>
public sealed record Decided(Rendering.Origin? Generated, int Line);

/// <summary>Which rules of the overrides are counted: fewer where they ask so much that nobody would wait for the answer.</summary>
internal enum CountedOverrides
{
    None,

    /// <summary>Not those that ask what stands beside or inside an element.</summary>
    Near,

    All,
}

/// <summary>
/// The stylesheet of a site as the cascade takes it: a sheet for each rule, so that what did not change is the same object. Rules and their declarations lead back to
/// what made them.
/// </summary>
internal sealed class SiteSheets
{
    // By the key of the rule.
    private readonly Dictionary<string, (Rule Rule, CssSheet Sheet)> generated = new(StringComparer.Ordinal);
    private readonly Dictionary<(string Text, int Nth), CssSheet> written = [];
    private readonly Dictionary<CssSheet, int> starts = new(ReferenceEqualityComparer.Instance);
    private readonly (string Text, CssSheet Sheet) head;
    private readonly string overrides;

    private SiteSheets(Rendering.StyleSheet sheet, SiteSheets? before, CountedOverrides counted)
    {
        Sheet = sheet;
        overrides = sheet.Overrides;
        var text = $"@layer {string.Join(", ", Enum.GetValues<Catalogue.Layer>().Select(StyleSheetText.Name))};\n{Keyframes.Of(sheet.Rules)}";
        head = before is not null && before.head.Text == text ? before.head : (text, CssSheet.Parse(text, null));
        var all = ImmutableArray.CreateBuilder<CssSheet>();
        all.Add(head.Sheet);
        foreach (var rule in sheet.Rules.OrderBy(r => r.Layer))
        {
            var one = before is not null && before.generated.TryGetValue(rule.Key, out var known) && IsSame(known.Rule, rule) ? known.Sheet : CssSheet.Parse(TextOf(rule), rule.Key);
            generated[rule.Key] = (rule, one);
            all.Add(one);
        }
        var times = new Dictionary<string, int>(StringComparer.Ordinal);
        var read = OverrideText.Of(overrides);
        foreach (var rule in read.Rules)
        {
            var own = read.Text(rule).ToString();
            var nth = times[own] = times.GetValueOrDefault(own) + 1;
            var one = written[(own, nth)] = before is not null && before.written.TryGetValue((own, nth), out var same) ? same : CssSheet.Parse(own, null);
            starts[one] = rule.Start;
            if (counted == CountedOverrides.All || (counted == CountedOverrides.Near && !one.Rules.Any(r => r.IsFar))) all.Add(one);
            else if (LeftOut < 0) LeftOut = rule.Start;
        }
        All = all.ToImmutable();
    }

    public Rendering.StyleSheet Sheet { get; }

    /// <summary>Where the first rule of the overrides stands that is not counted; -1 where all are.</summary>
    public int LeftOut { get; private set; } = -1;

    /// <summary>In their order: that of the release.</summary>
    public ImmutableArray<CssSheet> All { get; }

    public static SiteSheets Of(Site site, SiteSheets? before, CountedOverrides counted) => new(StyleSheetRenderer.Render(site), before, counted);

    /// <summary>The rule of the generated sheet that a rule is; null where it is none of these.</summary>
    public Rule? RuleOf(StyleRule rule) => rule.Sheet.Name is { } key && generated.TryGetValue(key, out var made) ? made.Rule : null;

    /// <summary>Where a sheet of the overrides begins in their text; null where it is none of these.</summary>
    public int? StartOf(CssSheet sheet) => starts.TryGetValue(sheet, out var start) ? start : null;

    /// <summary>What made a declaration; null of what browsers begin with.</summary>
    /// <param name="at">Its place in its rule, from 0.</param>
    public Decided? Of(Declared declared, int at)
    {
        if (declared.Rule is not { } rule) return null;
        if (rule.Sheet.Name is { } key && generated.TryGetValue(key, out var made))
        {
            // A style may have been taken over from before the rule was written anew.
            var declaration = ReferenceEquals(made.Sheet, rule.Sheet) ? made.Rule.Declarations.ElementAtOrDefault(at) : made.Rule.Declarations.FirstOrDefault(d => d.Name == declared.Name);
            return declaration is null ? null : new(declaration.Origin, 0);
        }
        return starts.TryGetValue(rule.Sheet, out var start) ? new(null, 1 + overrides.AsSpan(0, Math.Min(overrides.Length, start + declared.Node.Start)).Count('\n')) : null;
    }

    /// <summary>What a rule says may come to the same where it is written anew.</summary>
    private static bool IsSame(Rule one, Rule other) => ReferenceEquals(one, other) || (one.Layer == other.Layer && StyleSheetText.Rule(one, SheetUse.Release) == StyleSheetText.Rule(other, SheetUse.Release));

    private static string TextOf(Rule rule) => $"@layer {StyleSheetText.Name(rule.Layer)} {{{StyleSheetText.Rule(rule, SheetUse.Release)}}}";
}
