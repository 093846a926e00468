using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Selectors;

/// <summary>
/// The selectors of a rule, and of the rule it is nested in. They are never multiplied out: <c>&amp;</c> stands for what the outer ones select, so that
/// however deep rules are nested, there is as much of this as of the rules.
/// </summary>
/// <param name="List">Complete selectors, in which <see cref="Mark"/> stands for <c>&amp;</c>, also where it was left out (CSS Nesting 1, §3).</param>
/// <param name="Around">What <c>&amp;</c> stands for; null where nothing is around.</param>
public sealed record NestedSelector(ImmutableArray<string> List, NestedSelector? Around)
{
    /// <summary>Stands for <c>&amp;</c>: no character of a text (Unicode 16, §23.7).</summary>
    public const char Mark = '\uFFFF';

    /// <summary>The selectors with something in the place of <c>&amp;</c>.</summary>
    public IEnumerable<string> With(string around) => List.Select(s => s.Replace(Mark.ToString(), around, StringComparison.Ordinal));

    public bool Equals(NestedSelector? other) => other is not null && List.AsSpan().SequenceEqual(other.List.AsSpan()) && Equals(Around, other.Around);

    public override int GetHashCode() => HashCode.Combine(List.Length, List.FirstOrDefault(), Around);
}

/// <summary>A style rule without what is nested in it.</summary>
/// <param name="Selector">As written.</param>
/// <param name="Elements">The same without states and pseudo-elements: all it can come to hold for.</param>
/// <param name="Always">Those of its selectors that neither name a passing state nor stand in a condition; null where there is none.</param>
/// <param name="Heaviest">What the heaviest of its selectors weighs: what <c>&amp;</c> weighs in the rules inside (CSS Nesting 1, §3.2).</param>
public sealed record FlatRule(NestedSelector Selector, NestedSelector Elements, NestedSelector? Always, Specificity Heaviest, IReadOnlyList<DeclarationNode> Declarations);

/// <summary>The style rules of a sheet, one after the other.</summary>
public static class FlatRules
{
    /// <summary>States an element goes in and out of, as pseudo-classes and attributes.</summary>
    private static readonly HashSet<string> Passing = new(
        [
            "hover", "focus", "focus-visible", "focus-within", "active", "disabled", "enabled", "checked", "target", "visited", "link", "open", "invalid", "user-invalid",
            "valid", "user-valid", "placeholder-shown", "autofill", "indeterminate", "popover-open", "modal", "fullscreen",
        ],
        StringComparer.Ordinal);

    private static readonly HashSet<string> PassingAttributes = new(["aria-current", "aria-disabled", "aria-expanded", "aria-pressed", "open"], StringComparer.OrdinalIgnoreCase);

    /// <summary>At-rules whose rules hold wherever the sheet does.</summary>
    private static readonly HashSet<string> Plain = new(["layer", "supports"], StringComparer.OrdinalIgnoreCase);

    private static readonly HashSet<string> Conditions = new(["media", "container", "scope", "starting-style"], StringComparer.OrdinalIgnoreCase);

    /// <summary>Longest selector that is looked at, in characters: longer than anybody writes one, and as long as one can be matched in no time.</summary>
    public const int LongestSelector = 2000;

    /// <summary>Some of the sheet's own rules and those within them; what cannot be read is left out, as browsers do, and so is what no one can have written by hand.</summary>
    /// <param name="source">The text of the sheet.</param>
    /// <param name="most">How many style rules are read.</param>
    public static IEnumerable<FlatRule> Of(string source, IEnumerable<RuleNode> rules, int most)
    {
        var left = new Left(most);
        return rules.SelectMany(rule => Of(source, rule, around: null, inCondition: false, left));
    }

    /// <summary>Those of the whole sheet.</summary>
    public static IEnumerable<FlatRule> Of(StyleSheetNode sheet) => Of(sheet.Source, sheet.Rules, int.MaxValue);

    /// <summary>How many style rules there are in one, itself among them.</summary>
    public static int Count(RuleNode rule)
    {
        var count = rule is StyleRuleNode ? 1 : 0;
        foreach (var item in rule.Items)
        {
            if (item is RuleNode inner) count += Count(inner);
        }
        return count;
    }

    private static IEnumerable<FlatRule> Of(string source, RuleNode rule, FlatRule? around, bool inCondition, Left left)
    {
        if (rule is StyleRuleNode && left.Count-- <= 0) return [];
        var declarations = rule.Items.OfType<DeclarationNode>().ToList();
        switch (rule)
        {
            case AtRuleNode at when Plain.Contains(at.Name) || Conditions.Contains(at.Name):
                inCondition |= Conditions.Contains(at.Name);
                // What is declared in it directly is declared of what it stands in.
                var own = around is not null && declarations.Count > 0 ? [around with { Always = inCondition ? null : around.Always, Declarations = declarations }] : Enumerable.Empty<FlatRule>();
                return own.Concat(Inner(source, rule, around, inCondition, left));
            case StyleRuleNode style when style.BlockStart - style.Start <= LongestSelector && SelectorParser.TryParse(rule.Prelude, isNested: around is not null, out var list, out _):
                var flat = new FlatRule(
                    Selector(list, keepStates: true, around?.Selector),
                    Selector(list, keepStates: false, around?.Elements),
                    inCondition || (around is not null && around.Always is null) || list.Where(s => !Passes(s)).ToImmutableArray() is not { Length: > 0 } always ? null : Selector(always, keepStates: true, around?.Always),
                    list.Select(s => Weight(s, around)).Max(),
                    declarations);
                return Inner(source, rule, flat, inCondition, left).Prepend(flat);
            default:
                return [];
        }

        NestedSelector Selector(ImmutableArray<ComplexSelector> list, bool keepStates, NestedSelector? outer) =>
            new([.. list.Select(s => Text(source, s, isNested: around is not null, keepStates)).Distinct()], outer);
    }

    private static IEnumerable<FlatRule> Inner(string source, RuleNode rule, FlatRule? around, bool inCondition, Left left) =>
        rule.Items.OfType<RuleNode>().SelectMany(inner => Of(source, inner, around, inCondition, left));

    private static Specificity Weight(ComplexSelector selector, FlatRule? around) =>
        around is null ? Specificity.Of(selector) : Specificity.Of(selector, around.Heaviest) + (IsImplicit(selector) ? around.Heaviest : default);

    /// <summary>Whether a nested selector begins with an <c>&amp;</c> that is left out.</summary>
    private static bool IsImplicit(ComplexSelector selector) => selector.Leading is not null || !Marks(selector).Any();

    private static bool Passes(ComplexSelector selector) => selector.Compounds.SelectMany(c => c.Parts).Any(IsPassing);

    private static bool IsPassing(SimpleSelector part) => part switch
    {
        PseudoElementSelector => true,
        AttributeSelector attribute => PassingAttributes.Contains(attribute.Name),
        PseudoClassSelector pseudo => Passing.Contains(pseudo.Name) || (pseudo.Name != "not" && pseudo.Arguments.Any(Passes)),
        _ => false,
    };

    private static string Text(string source, ComplexSelector selector, bool isNested, bool keepStates)
    {
        var dropped = selector.Compounds.SelectMany(c => c.Parts.Where(p => !keepStates && IsPassing(p))
            .Select(p => (p.Start, p.End, Text: p == c.Parts[0] && c.Parts.All(IsPassing) ? "*" : ""))).ToList();
        var replaced = Marks(selector).Where(m => !dropped.Any(d => d.Start <= m.Start && m.End <= d.End)).Select(m => (m.Start, m.End, Text: NestedSelector.Mark.ToString()));
        var text = source[selector.Start..selector.End];
        foreach (var (start, end, by) in dropped.Concat(replaced).OrderByDescending(r => r.Start)) text = text[..(start - selector.Start)] + by + text[(end - selector.Start)..];
        return isNested && IsImplicit(selector) ? $"{NestedSelector.Mark} {text}" : text;
    }

    /// <summary>Every <c>&amp;</c> of a selector, those between brackets too.</summary>
    private static IEnumerable<NestingSelector> Marks(ComplexSelector selector) => selector.Compounds.SelectMany(c => c.Parts).SelectMany(part => part switch
    {
        NestingSelector mark => [mark],
        PseudoClassSelector pseudo => pseudo.Arguments.SelectMany(Marks),
        PseudoElementSelector pseudo => pseudo.Arguments.SelectMany(Marks),
        _ => Enumerable.Empty<NestingSelector>(),
    });

    /// <summary>How many style rules are still read.</summary>
    private sealed class Left(int count)
    {
        public int Count { get; set; } = count;
    }
}
