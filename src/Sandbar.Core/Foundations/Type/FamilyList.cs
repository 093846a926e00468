using Sandbar.Css.Syntax;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Lists of families as CSS has them.</summary>
public static class FamilyList
{
    private const int Longest = 400;

    /// <summary>Whether a list holds just names, strings that are closed, and commas: nothing that could break out of a declaration.</summary>
    public static bool IsReadable(string css) => css.Length is > 0 and < Longest && Tokenizer.Read(css).All(t => t.Kind switch
    {
        TokenKind.Ident => IsPlain(css[t.Start..t.End]),
        TokenKind.String => t.End - t.Start > 1 && css[t.End - 1] == css[t.Start] && IsPlain(css[t.Start..t.End]),
        TokenKind.Comma or TokenKind.Whitespace or TokenKind.End => true,
        _ => false,
    });

    /// <summary>The family that a list asks for first, without quotes.</summary>
    public static string First(string css) => css.Split(',', 2)[0].Trim().Trim('"', '\'');

    private static bool IsPlain(string text) => !text.Contains('\\', StringComparison.Ordinal) && !text.Any(char.IsControl);
}
