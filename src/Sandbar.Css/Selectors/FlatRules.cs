using Sandbar.Css.Syntax;

namespace Sandbar.Css.Selectors;

/// <summary>A selector of a style rule with what it is nested in worked in, and what the rule declares.</summary>
/// <param name="Selector">Complete: <c>&amp;</c> is replaced by what it stands for (CSS Nesting 1, §3).</param>
/// <param name="Elements">The same without states and pseudo-elements: all it can come to hold for.</param>
/// <param name="HoldsAlways">Whether it neither names a passing state nor stands in a condition.</param>
public sealed record FlatRule(string Selector, string Elements, bool HoldsAlways, IReadOnlyList<DeclarationNode> Declarations);

/// <summary>The style rules of a sheet as if nothing were nested.</summary>
public static class FlatRules
{
    /// <summary>States an element goes in and out of, as pseudo-classes and attributes.</summary>
    private static readonly HashSet<string> Passing = new(
        [
            "hover", "focus", "focus-visible", "focus-within", "active", "disabled", "enabled", "checked", "target", "visited", "link", "open", "invalid", "user-invalid",
            "valid", "user-valid", "placeholder-shown", "autofill", "indeterminate", "popover-open", "modal", "fullscreen", "playing", "paused",
        ],
        StringComparer.Ordinal);

    private static readonly HashSet<string> PassingAttributes = new(["aria-current", "aria-disabled", "aria-expanded", "aria-pressed", "open"], StringComparer.OrdinalIgnoreCase);

    /// <summary>At-rules whose rules hold wherever the sheet does.</summary>
    private static readonly HashSet<string> Plain = new(["layer", "supports"], StringComparer.OrdinalIgnoreCase);

    private static readonly HashSet<string> Conditions = new(["media", "container", "scope", "starting-style"], StringComparer.OrdinalIgnoreCase);

    /// <summary>A rule for each selector; what cannot be read is left out, as browsers do.</summary>
    public static IEnumerable<FlatRule> Of(StyleSheetNode sheet) => sheet.Rules.SelectMany(rule => Of(sheet, rule, around: null, holdsAlways: true));

    private static IEnumerable<FlatRule> Of(StyleSheetNode sheet, RuleNode rule, (string Selector, string Elements)? around, bool holdsAlways)
    {
        switch (rule)
        {
            case AtRuleNode at when Plain.Contains(at.Name) || Conditions.Contains(at.Name):
                var inCondition = holdsAlways && Plain.Contains(at.Name);
                return Inner(sheet, rule, around, inCondition);
            case StyleRuleNode when SelectorParser.TryParse(rule.Prelude, isNested: around is not null, out var list, out _):
                var declarations = rule.Items.OfType<DeclarationNode>().ToList();
                return list.SelectMany(selector =>
                {
                    var holds = holdsAlways && !selector.Compounds.SelectMany(c => c.Parts).Any(IsPassing);
                    var (text, elements) = (Resolved(sheet.Source, selector, around?.Selector, keepStates: true), Resolved(sheet.Source, selector, around?.Elements, keepStates: false));
                    return Inner(sheet, rule, ($":is({text})", $":is({elements})"), holds).Prepend(new(text, elements, holds, declarations));
                });
            default:
                return [];
        }
    }

    private static IEnumerable<FlatRule> Inner(StyleSheetNode sheet, RuleNode rule, (string Selector, string Elements)? around, bool holdsAlways) =>
        rule.Items.OfType<RuleNode>().SelectMany(inner => Of(sheet, inner, around, holdsAlways));

    private static bool IsPassing(SimpleSelector part) => part switch
    {
        PseudoElementSelector => true,
        AttributeSelector attribute => PassingAttributes.Contains(attribute.Name),
        PseudoClassSelector pseudo => Passing.Contains(pseudo.Name) || (pseudo.Name != "not" && pseudo.Arguments.Any(a => a.Compounds.SelectMany(c => c.Parts).Any(IsPassing))),
        _ => false,
    };

    private static string Resolved(string source, ComplexSelector selector, string? around, bool keepStates)
    {
        var dropped = selector.Compounds.SelectMany(c => c.Parts.Where(p => !keepStates && IsPassing(p))
            .Select(p => (p.Start, p.End, Text: p == c.Parts[0] && c.Parts.All(IsPassing) ? "*" : ""))).ToList();
        var marks = Marks(selector).Where(m => !dropped.Any(d => d.Start <= m.Start && m.End <= d.End)).Select(m => (m.Start, m.End, Text: around ?? "&"));
        var text = source[selector.Start..selector.End];
        foreach (var (start, end, by) in dropped.Concat(marks).OrderByDescending(r => r.Start)) text = text[..(start - selector.Start)] + by + text[(end - selector.Start)..];
        return around is null || (selector.Leading is null && Marks(selector).Any()) ? text : $"{around} {text}";
    }

    /// <summary>Every <c>&amp;</c> of a selector, those between brackets too.</summary>
    private static IEnumerable<NestingSelector> Marks(ComplexSelector selector) => selector.Compounds.SelectMany(c => c.Parts).SelectMany(part => part switch
    {
        NestingSelector mark => [mark],
        PseudoClassSelector pseudo => pseudo.Arguments.SelectMany(Marks),
        PseudoElementSelector pseudo => pseudo.Arguments.SelectMany(Marks),
        _ => Enumerable.Empty<NestingSelector>(),
    });
}
