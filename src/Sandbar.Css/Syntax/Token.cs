using System.Globalization;

namespace Sandbar.Css.Syntax;

/// <summary>The token types of CSS Syntax Module Level 3, §4.</summary>
public enum TokenKind : byte
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

/// <summary>A token and where it stands in the source, from its start up to its end (UTF-16 offsets).</summary>
/// <param name="Text">
/// The name, string, URL, or delimiter with escapes resolved; of a number, percentage or dimension the number as written; of white space a line end where it holds one;
/// empty for the rest.
/// </param>
/// <param name="Unit">The unit of a dimension, escapes resolved.</param>
/// <param name="IsId">Whether a hash would be a valid ID selector.</param>
public sealed record Token(TokenKind Kind, int Start, int End, string Text = "", string Unit = "", bool IsId = false) : ComponentValue(Start, End)
{
    /// <summary>The value of a number, percentage or dimension; NaN of anything else.</summary>
    public double Number => double.TryParse(Text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) ? number : double.NaN;

    /// <summary>Whether a number was written without fraction and exponent.</summary>
    public bool IsInteger => !Text.AsSpan().ContainsAny('.', 'e', 'E');

    /// <summary>Whether a number was written with its sign.</summary>
    public bool HasSign => Text is ['+' or '-', ..];

    public bool IsDelim(char c) => Kind == TokenKind.Delim && Text.Length == 1 && Text[0] == c;

    public bool IsIdent(string name) => Kind == TokenKind.Ident && Text.Equals(name, StringComparison.OrdinalIgnoreCase);
}
