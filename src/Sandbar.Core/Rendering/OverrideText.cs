using System.Collections.Immutable;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>What the designer wrote, as it reaches the pages.</summary>
public static class OverrideText
{
    private static readonly HashSet<string> HoldsRules =
        new(["media", "supports", "layer", "container", "scope", "starting-style", "keyframes"], StringComparer.OrdinalIgnoreCase);

    /// <summary>The rules that can be read, and the comments between them, written anew: what does not parse is left out, as browsers do.</summary>
    public static string Readable(string source, SheetUse use) => new OverrideWriter(Parser.ParseStyleSheet(source), use).Text;

    /// <summary>What the designer is told of an override sheet: what does not parse, and what is left out.</summary>
    public static ImmutableArray<SyntaxError> Problems(string source)
    {
        var sheet = Parser.ParseStyleSheet(source);
        var refused = sheet.Rules.Where(IsRefused).Select(r => new SyntaxError(r.Start, r.End, Refusal(r)));
        return [.. sheet.Errors.Concat(refused).Concat(sheet.Rules.SelectMany(UnknownProperties)).Concat(sheet.Rules.SelectMany(r => UnreadableSelectors(r, isNested: false))).OrderBy(e => e.Start)];
    }

    /// <summary>Declarations whose name is no property; browsers leave them out. At-rules with descriptors of their own are passed over.</summary>
    private static IEnumerable<SyntaxError> UnknownProperties(RuleNode rule)
    {
        if (rule is AtRuleNode at && !HoldsRules.Contains(at.Name)) yield break;
        foreach (var item in rule.Items)
        {
            if (item is RuleNode inner)
            {
                foreach (var problem in UnknownProperties(inner)) yield return problem;
            }
            else if (item is DeclarationNode declaration && !PropertyNames.IsKnown(declaration.Name))
            {
                var meant = PropertyNames.Nearest(declaration.Name) is { } nearest ? $" Did you mean {nearest}?" : "";
                yield return new(declaration.Start, declaration.Start + declaration.Name.Length, $"“{declaration.Name}” is not a property: browsers leave the line out.{meant}");
            }
        }
    }

    /// <summary>Selectors that cannot be read; browsers leave out the whole rule.</summary>
    private static IEnumerable<SyntaxError> UnreadableSelectors(RuleNode rule, bool isNested)
    {
        if (rule is AtRuleNode at && (!HoldsRules.Contains(at.Name) || at.Name.Equals("keyframes", StringComparison.OrdinalIgnoreCase))) yield break;
        if (rule is StyleRuleNode && !SelectorParser.TryParse(rule.Prelude, isNested, out _, out var error)) yield return error;
        foreach (var problem in rule.Items.OfType<RuleNode>().SelectMany(inner => UnreadableSelectors(inner, isNested || rule is StyleRuleNode))) yield return problem;
    }

    internal static bool IsRefused(RuleNode rule) =>
        rule is AtRuleNode at && (at.Name.Equals("import", StringComparison.OrdinalIgnoreCase) || at.Name.Equals("charset", StringComparison.OrdinalIgnoreCase)
            || at.Name.Equals("namespace", StringComparison.OrdinalIgnoreCase));

    private static string Refusal(RuleNode rule) => ((AtRuleNode)rule).Name.Equals("import", StringComparison.OrdinalIgnoreCase)
        ? "@import is left out: nothing is fetched from elsewhere. Paste the sheet's rules here instead."
        : $"@{((AtRuleNode)rule).Name} is left out: it only counts at the very top of a file.";
}
