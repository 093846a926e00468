using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Selectors;

/// <summary>What stands between the brackets of a state or a piece of an element and is no selector, as Chromium takes it. Source: Selectors Level 4, §7.2, CSS Pseudo-Elements 4, CSS Shadow 1, CSS View Transitions 2.</summary>
internal static class SelectorWords
{
    /// <summary>The words of a pseudo-class; null where browsers know none of that name with these words.</summary>
    public static ImmutableArray<string>? OfState(string name, FunctionValue function) => name switch
    {
        "active-view-transition-type" => Several(function),
        // Chromium takes one language, and no text.
        "lang" or "dir" or "state" => Several(function) is [var one] ? [one] : null,
        _ => OfVendor(name, function),
    };

    /// <summary>The words of a pseudo-element; null where browsers know none of that name with these words.</summary>
    public static ImmutableArray<string>? OfPiece(string name, FunctionValue function) => name switch
    {
        "slotted" or "cue" => [],
        "part" => Tokens(function) is { Count: > 0 } parts && parts.TrueForAll(t => t.Kind == TokenKind.Ident) ? [.. parts.Select(t => t.Text)] : null,
        "highlight" or "picker" => Several(function) is [var one] ? [one] : null,
        _ when name.StartsWith("view-transition-", StringComparison.Ordinal) || name == "scroll-button" => Tokens(function) is { Count: > 0 } all ? [.. all.Select(t => t.Text)] : null,
        _ => OfVendor(name, function),
    };

    private static ImmutableArray<string>? OfVendor(string name, FunctionValue function) => name.StartsWith('-') ? [.. Tokens(function)?.Select(t => t.Text) ?? []] : null;

    /// <summary>One or more with commas between them.</summary>
    private static ImmutableArray<string>? Several(FunctionValue function)
    {
        if (Tokens(function) is not { } tokens || tokens.Count % 2 == 0) return null;
        for (var i = 0; i < tokens.Count; i++)
        {
            var token = tokens[i];
            if (i % 2 == 0 ? token.Kind != TokenKind.Ident : token.Kind != TokenKind.Comma) return null;
        }
        return [.. tokens.Where((_, i) => i % 2 == 0).Select(t => t.Text)];
    }

    /// <summary>Its tokens without white space; null where there is more than tokens.</summary>
    private static List<Token>? Tokens(FunctionValue function)
    {
        var values = function.Values.Where(v => v is not Token { Kind: TokenKind.Whitespace }).ToList();
        return values.TrueForAll(v => v is Token) ? [.. values.Cast<Token>()] : null;
    }
}
