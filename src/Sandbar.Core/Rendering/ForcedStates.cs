using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>States that the stage can force: in its form of a sheet each is said a second time, for elements that are marked with it.</summary>
internal static class ForcedStates
{
    private static readonly (string PseudoClass, string Force)[] Forced = [("hover", "hover"), ("focus-visible", "focus"), ("active", "pressed"), ("disabled", "off")];

    /// <summary>The selector with its states forceable: <c>:hover</c> becomes <c>:is(:hover, [data-force~="hover"])</c>.</summary>
    public static string In(string selector)
    {
        foreach (var (pseudoClass, force) in Forced)
            selector = selector.Replace($":{pseudoClass}", State(pseudoClass, force), StringComparison.Ordinal);
        return selector.Replace("[aria-current]", ":is([aria-current], [data-force~=\"current\"])", StringComparison.Ordinal);
    }

    private static string State(string pseudoClass, string force) => $":is(:{pseudoClass}, [data-force~=\"{force}\"])";

    /// <summary>A written rule with the states in its selectors, and in those of the rules inside it, forceable. Only selectors are touched.</summary>
    public static string In(StyleSheetNode sheet, RuleNode rule)
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
                    if (name.IsIdent(pseudoClass)) edits.Add((colon.Start, name.End, State(pseudoClass, force)));
                }
            }
        }
    }
}
