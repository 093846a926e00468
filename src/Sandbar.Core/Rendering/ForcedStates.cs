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

    /// <summary>A written selector with its states forceable, wherever in it they stand.</summary>
    public static ImmutableArray<ComponentValue> In(ImmutableArray<ComponentValue> selector)
    {
        if (!selector.Any(v => v is FunctionValue or TokenValue { Token.Kind: TokenKind.Colon })) return selector;
        var values = ImmutableArray.CreateBuilder<ComponentValue>(selector.Length);
        foreach (var value in selector)
        {
            if (value is TokenValue { Token: { Kind: TokenKind.Ident } name } && values is [.., TokenValue { Token.Kind: TokenKind.Colon }]
                && Array.Find(Written, f => name.IsIdent(f.PseudoClass)) is { PseudoClass: not null } forced)
            {
                values.RemoveAt(values.Count - 1);
                values.AddRange(forced.Values);
            }
            else
            {
                values.Add(value is FunctionValue function ? function with { Values = In(function.Values) } : value);
            }
        }
        return values.ToImmutable();
    }
}
