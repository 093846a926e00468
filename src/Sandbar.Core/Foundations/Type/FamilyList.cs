using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Lists of families as CSS has them (CSS Fonts 4, §2.1): strings, or names of one or more words, with commas between them.</summary>
public static class FamilyList
{
    private const int Longest = 400;

    public static bool IsReadable(string css) => css.Length is > 0 and < Longest && Names(css) is not null;

    /// <summary>The list as it is released.</summary>
    public static string Css(string css) => Serializer.Values(Parser.ParseValues(css));

    /// <summary>The family that a list asks for first, without quotes; empty where it cannot be read.</summary>
    public static string First(string css) => Names(css) is [var first, ..] ? first : "";

    /// <summary>The family that a list asks for last; empty where it cannot be read.</summary>
    public static string Last(string css) => Names(css) is [.., var last] ? last : "";

    /// <summary>The list as it is released, with one more family after the first.</summary>
    public static string After(string css, string family)
    {
        var values = Parser.ParseValues(css);
        var first = values.TakeWhile(v => v is not Token { Kind: TokenKind.Comma }).ToImmutableArray();
        var rest = values[first.Length..];
        return $"{Serializer.Values(first)}, {Serializer.String(family)}{Serializer.Values(rest)}";
    }

    /// <summary>The families of a list in order; null where it is none.</summary>
    private static ImmutableArray<string>? Names(string css)
    {
        var names = ImmutableArray.CreateBuilder<string>();
        var words = new List<Token>();
        foreach (var value in Parser.ParseValues(css).Append(new Token(TokenKind.Comma, css.Length, css.Length)))
        {
            if (value is not Token token) return null;
            if (token.Kind == TokenKind.Comma)
            {
                if (words.Count == 0 || (words.Count > 1 && words.Exists(w => w.Kind == TokenKind.String))) return null;
                names.Add(string.Join(' ', words.Select(w => w.Text)));
                words.Clear();
            }
            else if (token.Kind is TokenKind.Ident or TokenKind.String)
            {
                if (token.Text.Length == 0 || token.Text.Any(char.IsControl)) return null;
                // CSS closes what is left open at the end; whoever typed it meant otherwise.
                if (token.Kind == TokenKind.String && (token.End - token.Start < 2 || css[token.End - 1] != css[token.Start])) return null;
                words.Add(token);
            }
            else if (token.Kind != TokenKind.Whitespace)
            {
                return null;
            }
        }
        return names.ToImmutable();
    }
}
