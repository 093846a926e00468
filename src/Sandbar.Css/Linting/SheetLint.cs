using System.Collections.Immutable;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Grammar;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Linting;

/// <summary>What of a sheet browsers leave out, and what of it does nothing.</summary>
public static class SheetLint
{
    /// <summary>What can stand in one place, of which a message names no more.</summary>
    private const int MostExpected = 6;

    /// <summary>Letters of a name that are told.</summary>
    private const int LongestName = 40;

    /// <summary>Parts of selectors held against elements before what is left is not looked up.</summary>
    private const long MostSteps = 20_000_000;

    /// <summary>All of a sheet, in the order of its text.</summary>
    /// <param name="pages">Pages on which selectors are looked up; empty for none.</param>
    public static IReadOnlyList<Diagnostic> Of(StyleSheetNode sheet, IReadOnlyList<Document> pages)
    {
        var matchings = pages.Select(page => new Matching(page) { MostSteps = MostSteps }).ToList();
        return [.. sheet.Errors.Select(e => new Diagnostic(Severity.Error, "syntax", e.Start, e.End, e.Message))
            .Concat(sheet.Rules.SelectMany(rule => In(rule, null, matchings))).OrderBy(d => d.Start)];
    }

    /// <summary>One of a sheet's own rules, and those within it.</summary>
    public static IEnumerable<Diagnostic> Of(RuleNode rule) => In(rule, null, []);

    private static IEnumerable<Diagnostic> In(RuleNode rule, NestingParent? parent, List<Matching> pages)
    {
        switch (rule)
        {
            case StyleRuleNode style:
                return InStyle(style, parent, pages);
            // What letters a sheet is written in stands before all else, and is no rule.
            case AtRuleNode { Name: var name } unknown when !name.StartsWith('-') && !name.Equals("charset", StringComparison.OrdinalIgnoreCase) && !AtRules.IsOwn(name):
                return [Unknown(unknown)];
            // Its selectors are per cents.
            case AtRuleNode { Name: var name } when name.EndsWith("keyframes", StringComparison.OrdinalIgnoreCase):
                return rule.Items.OfType<RuleNode>().SelectMany(frame => frame.Items.OfType<DeclarationNode>()).SelectMany(Of);
            case AtRuleNode at when AtRuleNode.HoldsRules(at.Name):
                return Conditions(at).Concat(rule.Items.SelectMany(item => item switch
                {
                    RuleNode inner => In(inner, parent, pages),
                    DeclarationNode declaration => Of(declaration),
                    _ => [],
                }));
            // Descriptors are no properties; those of a place to go to are.
            case AtRuleNode { Name: var name } when name.Equals("position-try", StringComparison.OrdinalIgnoreCase):
                return rule.Items.OfType<DeclarationNode>().SelectMany(Of);
            case AtRuleNode { Name: var name } when name.Equals("page", StringComparison.OrdinalIgnoreCase):
                return rule.Items.SelectMany(OfPage);
            case AtRuleNode { Name: var name } when PropertyGrammars.All.KnowsDescriptorsOf(name):
                return rule.Items.OfType<DeclarationNode>().SelectMany(d => OfDescriptor(name.ToLowerInvariant(), d));
            default:
                return [];
        }
    }

    private static IEnumerable<Diagnostic> InStyle(StyleRuleNode rule, NestingParent? parent, List<Matching> pages)
    {
        if (!SelectorParser.TryParse(rule.Prelude, isNested: parent is not null, out var selectors, out var error))
        {
            // What stands in it is left out with it: there is nothing more to say of that.
            yield return new(Severity.Error, "selector", error.Start, error.End, error.Message);
            yield break;
        }
        var own = new NestingParent(parent is null ? selectors : [.. selectors.Select(NestedSelectors.Complete)], parent);
        if (pages.Count > 0 && !pages.Exists(page => Finds(page, own)))
            yield return new(Severity.Info, "finds-nothing", rule.Start, rule.BlockStart, "No element of these pages is selected by this rule.");
        foreach (var item in rule.Items)
        {
            foreach (var diagnostic in item is RuleNode inner ? In(inner, own, pages) : Of((DeclarationNode)item)) yield return diagnostic;
        }
    }

    /// <summary>Whether there is an element that the rule is about, in whatever state; where it costs too much to know, there is.</summary>
    private static bool Finds(Matching page, NestingParent rule)
    {
        try
        {
            return rule.Selectors.Any(selector => page.Document.All.Any(element => page.HoldsWithPiece(Still(selector), element, rule.Around)));
        }
        catch (CostlySelectorException)
        {
            return true;
        }
    }

    /// <summary>A selector without what a visitor does.</summary>
    private static ComplexSelector Still(ComplexSelector selector) => selector with { Compounds = [.. selector.Compounds.Select(c => c with { Parts = [.. c.Parts.Where(p => !ElementStateNames.IsOne(p)).Select(Still)] })] };

    private static SimpleSelector Still(SimpleSelector condition) =>
        condition is PseudoClassSelector { Name: "is" or "where" or "has" } any ? any with { Arguments = [.. any.Arguments.Select(Still)] } : condition;

    /// <summary>Conditions that browsers cannot tell, whatever the window and the page.</summary>
    private static IEnumerable<Diagnostic> Conditions(AtRuleNode rule) => (rule.Name.ToLowerInvariant() switch
    {
        "media" => MediaQueries.NotUnderstood(rule.Prelude),
        "supports" => SupportsConditions.NotUnderstood(rule.Prelude) is { } at ? [at] : [],
        "container" => ContainerQueries.NotUnderstood(rule.Prelude),
        _ => Enumerable.Empty<int>(),
    }).Select(at => new Diagnostic(Severity.Warning, "unknown-condition", at, at + 1, rule.Name.Equals("supports", StringComparison.OrdinalIgnoreCase)
        ? "Browsers do not know what this asks, and take it for no." : "Browsers cannot tell whether this is so, and leave out what stands in it."));

    /// <summary>What a page of paper is like, and what stands in its margins (CSS Paged Media 3): properties, and descriptors of its own.</summary>
    private static IEnumerable<Diagnostic> OfPage(BlockItem item) => item switch
    {
        AtRuleNode margin when AtRules.IsPageMargin(margin.Name) => margin.Items.SelectMany(OfPage),
        AtRuleNode other => [Unknown(other)],
        DeclarationNode declaration when declaration.Name.StartsWith("--", StringComparison.Ordinal) || PropertyGrammars.All.DescriptorsOf("page").Contains(declaration.Name, StringComparer.OrdinalIgnoreCase) => OfDescriptor("page", declaration),
        DeclarationNode declaration => Of(declaration),
        _ => [],
    };

    private static Diagnostic Unknown(AtRuleNode rule) =>
        new(Severity.Warning, "unknown-at-rule", rule.Start, rule.Start + 1 + rule.Name.Length, $"{Quoted.Text("@" + rule.Name)} is none that browsers know: they leave it out with all that stands in it.");

    private static IEnumerable<Diagnostic> OfDescriptor(string rule, DeclarationNode declaration)
    {
        if (declaration.Value.IsEmpty) return [];
        return PropertyGrammars.All.CheckDescriptor(rule, declaration.Name, declaration.Value) switch
        {
            Verdict.Unknown unknown => [new(Severity.Error, "unknown-descriptor", declaration.Start, NameEnd(declaration), $"{Named(declaration)} says nothing in @{rule}: browsers leave the line out.{(unknown.Nearest is { } nearest ? $" Did you mean {nearest}?" : "")}")],
            Verdict.Invalid invalid => [Invalid(declaration, invalid)],
            _ => [],
        };
    }

    private static Diagnostic Invalid(DeclarationNode declaration, Verdict.Invalid invalid) =>
        new(Severity.Error, "invalid-value", Math.Max(invalid.At, declaration.Start), declaration.End, $"{declaration.Name} does not take this: browsers leave the line out.{Expected(invalid.Expected)}");

    private static int NameEnd(DeclarationNode declaration) => declaration.Start + declaration.Name.Length;

    private static string Named(DeclarationNode declaration) => Quoted.Text(declaration.Name.Length > LongestName ? declaration.Name[..(LongestName - 1)] + "…" : declaration.Name);

    private static IEnumerable<Diagnostic> Of(DeclarationNode declaration)
    {
        // The parser has told of it.
        if (declaration.Value.IsEmpty) return [];
        return PropertyGrammars.All.Check(declaration.Name, declaration.Value) switch
        {
            Verdict.Unknown unknown => [new(Severity.Error, "unknown-property", declaration.Start, NameEnd(declaration), $"{Named(declaration)} is not a property: browsers leave the line out.{(unknown.Nearest is { } nearest ? $" Did you mean {nearest}?" : "")}")],
            Verdict.Invalid invalid => [Invalid(declaration, invalid)],
            _ => [],
        };
    }

    private static string Expected(ImmutableArray<string> expected) => expected.Length switch
    {
        0 => "",
        <= MostExpected => $" Here could stand {string.Join(", ", expected)}.",
        _ => $" Here could stand {string.Join(", ", expected.Take(MostExpected))} and {expected.Length - MostExpected} more.",
    };
}
