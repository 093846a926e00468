namespace Sandbar.Css.Syntax;

/// <summary>The token types of CSS Syntax Module Level 3, §4.</summary>
public enum TokenKind
{
    Ident,
    Function,
    AtKeyword,
    Hash,
    String,
    BadString,
    Url,
    BadUrl,
    Delim,
    Number,
    Percentage,
    Dimension,
    Whitespace,
    Cdo,
    Cdc,
    Colon,
    Semicolon,
    Comma,
    OpenSquare,
    CloseSquare,
    OpenParen,
    CloseParen,
    OpenCurly,
    CloseCurly,
    Comment,
    End,
}

/// <summary>A token and where it stands in the source, from <paramref name="Start"/> up to <paramref name="End"/> (UTF-16 offsets).</summary>
/// <param name="Text">
/// The name, string, URL, or delimiter with escapes resolved; of a number, percentage or dimension the number as written; of white space a line end where it holds one;
/// empty for the rest.
/// </param>
/// <param name="Number">The value of a number, percentage or dimension.</param>
/// <param name="Unit">The unit of a dimension, escapes resolved.</param>
/// <param name="IsInteger">Whether a number was written without fraction and exponent.</param>
/// <param name="HasSign">Whether a number was written with its sign.</param>
/// <param name="IsId">Whether a hash would be a valid ID selector.</param>
public readonly record struct Token(
    TokenKind Kind, int Start, int End, string Text = "", double Number = 0, string Unit = "", bool IsInteger = false, bool HasSign = false, bool IsId = false)
{
    public bool IsDelim(char c) => Kind == TokenKind.Delim && Text.Length == 1 && Text[0] == c;

    public bool IsIdent(string name) => Kind == TokenKind.Ident && Text.Equals(name, StringComparison.OrdinalIgnoreCase);
}
