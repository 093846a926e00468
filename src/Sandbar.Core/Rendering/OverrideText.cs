using System.Collections.Immutable;
using System.Text;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>What the designer wrote, as it reaches the pages.</summary>
public static class OverrideText
{
    private static readonly HashSet<string> HoldsRules =
        new(["media", "supports", "layer", "container", "scope", "starting-style", "keyframes"], StringComparer.OrdinalIgnoreCase);

    /// <summary>The rules that can be read, as they were written; what does not parse is left out, as browsers do.</summary>
    public static string Readable(string source, SheetUse use)
    {
        var sheet = Parser.ParseStyleSheet(source);
        var rules = sheet.Rules.Where(r => !IsRefused(r)).Select(r => Closed(r, use == SheetUse.Stage ? ForcedStates.In(sheet, r) : sheet.Text(r)));
        return string.Join("\n\n", rules);
    }

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

    private static bool IsRefused(RuleNode rule) =>
        rule is AtRuleNode at && (at.Name.Equals("import", StringComparison.OrdinalIgnoreCase) || at.Name.Equals("charset", StringComparison.OrdinalIgnoreCase)
            || at.Name.Equals("namespace", StringComparison.OrdinalIgnoreCase));

    private static string Refusal(RuleNode rule) => ((AtRuleNode)rule).Name.Equals("import", StringComparison.OrdinalIgnoreCase)
        ? "@import is left out: nothing is fetched from elsewhere. Paste the sheet's rules here instead."
        : $"@{((AtRuleNode)rule).Name} is left out: it only counts at the very top of a file.";

    /// <summary>A rule that runs to the end of the source may lack its closing marks: what follows it must not fall into it.</summary>
    private static string Closed(RuleNode node, string rule)
    {
        var closed = Closed(rule);
        return node is AtRuleNode { BlockStart: < 0 } && !closed.EndsWith(';') ? closed + ";" : closed;
    }

    private static string Closed(string rule)
    {
        var open = new Stack<char>();
        var text = new StringBuilder(rule);
        var tokens = Tokenizer.Read(rule);
        foreach (var token in tokens)
        {
            switch (token.Kind)
            {
                case TokenKind.OpenCurly: open.Push('}'); break;
                case TokenKind.OpenSquare: open.Push(']'); break;
                case TokenKind.OpenParen or TokenKind.Function: open.Push(')'); break;
                case TokenKind.CloseCurly or TokenKind.CloseSquare or TokenKind.CloseParen when open.Count > 0 && open.Peek() == rule[token.Start]: open.Pop(); break;
            }
        }
        var last = tokens[^2];
        if (last.Kind != TokenKind.Comment && rule.Length - rule.AsSpan().TrimEnd('\\').Length is var slashes && slashes % 2 == 1)
        {
            // A backslash at the very end stands for U+FFFD, or for nothing in a string (CSS Syntax 3, §4.3.7 and §4.3.5).
            text.Length--;
            if (last.Kind != TokenKind.String) text.Append('\uFFFD');
        }
        if (last.Kind == TokenKind.Comment && !rule.EndsWith("*/", StringComparison.Ordinal)) text.Append("*/");
        if (last.Kind == TokenKind.String && (last.End - last.Start < 2 || rule[last.End - 1] != rule[last.Start])) text.Append(rule[last.Start]);
        if (last.Kind == TokenKind.Url && rule[^1] != ')') text.Append(')');
        foreach (var mark in open) text.Append(mark);
        return text.ToString();
    }
}
