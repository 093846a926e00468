using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Css;
using Sandbar.Core.Css.Selectors;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>What a sheet is written for.</summary>
public enum SheetUse
{
    /// <summary>To be published.</summary>
    Release,

    /// <summary>For the stage: states can be forced with <c>data-force</c>, and hold on devices that cannot hover.</summary>
    Stage,
}

/// <summary>A stylesheet as text a person can read.</summary>
public static class StyleSheetText
{
    private static readonly HashSet<string> HoldsRules =
        new(["media", "supports", "layer", "container", "scope", "starting-style", "keyframes"], StringComparer.OrdinalIgnoreCase);

    private static readonly (string PseudoClass, string Force)[] Forced = [("hover", "hover"), ("focus-visible", "focus"), ("active", "pressed"), ("disabled", "off")];

    /// <summary>The generated sheet, without the overrides.</summary>
    /// <param name="address">Where a font of the shelf is found, seen from the sheet.</param>
    public static string Generated(StyleSheet sheet, SheetUse use, Func<ShelfItem, string> address)
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"/* {sheet.SiteName.Replace("*/", "* /", StringComparison.Ordinal)} */\n@layer foundations, parts, frame, blocks;\n");
        foreach (var font in sheet.Fonts)
        {
            text.Append(CultureInfo.InvariantCulture, $$"""

                @font-face {
                  font-family: {{QuoteName(font.Family)}};
                  src: url("{{address(font.Item)}}") format("woff2");
                  font-weight: {{font.WeightFrom}} {{font.WeightTo}};
                  font-style: {{(font.Italic ? "italic" : "normal")}};
                  font-display: swap;
                }

                """);
        }
        foreach (var layer in Enum.GetValues<Layer>())
        {
            var rules = sheet.Rules.Where(r => r.Layer == layer).ToList();
            if (rules.Count == 0) continue;
            text.Append(CultureInfo.InvariantCulture, $"\n@layer {layer.ToString().ToLowerInvariant()} {{");
            foreach (var rule in rules) Append(text, rule, use);
            text.Append("}\n");
        }
        return text.ToString();
    }

    /// <summary>The keys of the rules in the order they stand in the text.</summary>
    public static IEnumerable<string> Keys(StyleSheet sheet) => sheet.Rules.OrderBy(r => r.Layer).Select(r => r.Key);

    /// <summary>The whole sheet as it is published: generated rules, then the overrides, unlayered so that they win without force.</summary>
    public static string Release(StyleSheet sheet, Func<ShelfItem, string> address)
    {
        var overrides = Overrides(sheet.Overrides, SheetUse.Release);
        return Generated(sheet, SheetUse.Release, address) + (overrides.Length == 0 ? "" : $"\n/* Overrides */\n{overrides}\n");
    }

    /// <summary>The rules that can be read, as they were written; what does not parse is left out, as browsers do.</summary>
    public static string Overrides(string source, SheetUse use)
    {
        var sheet = Parser.ParseStyleSheet(source);
        var rules = sheet.Rules.Where(r => !IsRefused(r)).Select(r => Closed(r, use == SheetUse.Stage ? Forceable(sheet, r) : sheet.Text(r)));
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

    private static void Append(StringBuilder text, Rule rule, SheetUse use)
    {
        var media = Media(rule, use);
        var indent = media.Length == 0 ? "  " : "    ";
        if (media.Length > 0) text.Append(CultureInfo.InvariantCulture, $"\n  @media {media} {{");
        text.Append(CultureInfo.InvariantCulture, $"\n{indent}{(use == SheetUse.Stage ? Forceable(rule.Selector) : rule.Selector)} {{\n");
        foreach (var d in rule.Declarations) text.Append(CultureInfo.InvariantCulture, $"{indent}  {d.Name}: {d.Value};\n");
        text.Append(CultureInfo.InvariantCulture, $"{indent}}}\n");
        if (media.Length > 0) text.Append("  }\n");
    }

    private static string Media(Rule rule, SheetUse use)
    {
        var widths = rule.Widths switch
        {
            { From: { } from, Below: { } below } => $"({from}px <= width < {below}px)",
            { From: { } from } => $"(width >= {from}px)",
            { Below: { } below } => $"(width < {below}px)",
            _ => "",
        };
        var hover = rule.Hover && use == SheetUse.Release ? "(hover: hover)" : "";
        var dark = rule.Dark ? "(prefers-color-scheme: dark)" : "";
        return string.Join(" and ", new[] { dark, hover, widths }.Where(c => c.Length > 0));
    }

    private static string QuoteName(string family) => $"\"{family.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("\"", "\\\"", StringComparison.Ordinal)}\"";

    /// <summary>The selector with its states forceable: <c>:hover</c> becomes <c>:is(:hover, [data-force~="hover"])</c>.</summary>
    private static string Forceable(string selector)
    {
        foreach (var (pseudoClass, force) in Forced)
            selector = selector.Replace($":{pseudoClass}", ForceableState(pseudoClass, force), StringComparison.Ordinal);
        return selector.Replace("[aria-current]", ":is([aria-current], [data-force~=\"current\"])", StringComparison.Ordinal);
    }

    private static string ForceableState(string pseudoClass, string force) => $":is(:{pseudoClass}, [data-force~=\"{force}\"])";

    /// <summary>A written rule with the states in its selectors, and in those of the rules inside it, forceable. Only selectors are touched.</summary>
    private static string Forceable(StyleSheetNode sheet, RuleNode rule)
    {
        var edits = new List<(int Start, int End, string Text)>();
        Collect(rule);
        var text = sheet.Text(rule);
        foreach (var (start, end, replacement) in edits.OrderByDescending(e => e.Start))
            text = string.Concat(text.AsSpan(0, start - rule.Start), replacement, text.AsSpan(end - rule.Start));
        return text;

        void Collect(RuleNode node)
        {
            if (node is StyleRuleNode) CollectStates(node.Prelude);
            foreach (var inner in node.Items.OfType<RuleNode>()) Collect(inner);
        }

        void CollectStates(ImmutableArray<ComponentValue> values)
        {
            for (var i = 0; i < values.Length; i++)
            {
                if (values[i] is FunctionValue function) CollectStates(function.Values);
                if (i == 0 || values[i] is not TokenValue { Token: { Kind: TokenKind.Ident } name } || values[i - 1] is not TokenValue { Token.Kind: TokenKind.Colon } colon) continue;
                foreach (var (pseudoClass, force) in Forced)
                {
                    if (name.IsIdent(pseudoClass)) edits.Add((colon.Start, name.End, ForceableState(pseudoClass, force)));
                }
            }
        }
    }
}
