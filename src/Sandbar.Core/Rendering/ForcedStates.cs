using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>States that the stage can force: in its form of a sheet each is said a second time, for elements that are marked with it.</summary>
internal static class ForcedStates
{
    private static readonly (string PseudoClass, string Force)[] Forced = [("hover", "hover"), ("focus-visible", "focus"), ("active", "pressed"), ("disabled", "off")];

    private static readonly (string PseudoClass, ImmutableArray<ComponentValue> Values)[] Written = [.. Forced.Select(f => (f.PseudoClass, Parser.ParseValues(State(f.PseudoClass, f.Force))))];

    /// <summary>The selector with its states forceable: <c>:hover</c> becomes <c>:is(:hover, [data-force~="hover"])</c>.</summary>
    public static string In(string selector)
    {
        foreach (var (pseudoClass, force) in Forced)
            selector = selector.Replace($":{pseudoClass}", State(pseudoClass, force), StringComparison.Ordinal);
        return selector.Replace("[aria-current]", ":is([aria-current], [data-force~=\"current\"])", StringComparison.Ordinal);
    }

    private static string State(string pseudoClass, string force) => $":is(:{pseudoClass}, [data-force~=\"{force}\"])";

    /// <summary>A written selector with its states forceable, wherever in it they stand; the same where there are none.</summary>
    public static ImmutableArray<ComponentValue> In(ImmutableArray<ComponentValue> selector)
    {
        List<ComponentValue>? values = null;
        for (var i = 0; i < selector.Length; i++)
        {
            if (i > 0 && selector[i] is Token { Kind: TokenKind.Ident } name && selector[i - 1] is Token { Kind: TokenKind.Colon }
                && Array.Find(Written, f => name.IsIdent(f.PseudoClass)) is { PseudoClass: not null } forced)
            {
                values ??= [.. selector[..i]];
                values.RemoveAt(values.Count - 1);
                values.AddRange(forced.Values);
            }
            else if (selector[i] is FunctionValue function && In(function.Values) is var inner && inner != function.Values)
            {
                values ??= [.. selector[..i]];
                values.Add(function with { Values = inner });
            }
            else
            {
                values?.Add(selector[i]);
            }
        }
        return values is null ? selector : [.. values];
    }
}
