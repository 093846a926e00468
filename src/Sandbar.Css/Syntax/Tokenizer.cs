using System.Globalization;
using System.Text;

namespace Sandbar.Css.Syntax;

/// <summary>
/// Source text to tokens, with positions in the text as it was given. Source: CSS Syntax Module Level 3, §4.
/// The preprocessing of §3.3 (line ends, NUL) is done in passing, so that positions stay true.
/// </summary>
public sealed class Tokenizer
{
    /// <summary>How many errors are told: more than anybody reads, and few enough for the worst text.</summary>
    public const int MostErrors = 5000;

    private const int Eof = -1;
    private const char Replacement = '\uFFFD';

    // Most names of a sheet stand in it again and again.
    private readonly HashSet<string> names = new(StringComparer.Ordinal);
    private readonly HashSet<string>.AlternateLookup<ReadOnlySpan<char>> known;
    private readonly string source;
    private readonly List<SyntaxError> errors;
    private int at;

    private Tokenizer(string source, List<SyntaxError> errors) => (this.source, this.errors, known) = (source, errors, names.GetAlternateLookup<ReadOnlySpan<char>>());

    /// <summary>All tokens, comments included, closed by one <see cref="TokenKind.End"/>.</summary>
    public static List<Token> Read(string source, List<SyntaxError>? errors = null)
    {
        var tokenizer = new Tokenizer(source, errors ?? []);
        var tokens = new List<Token>(source.Length / 3 + 8);
        Token token;
        do
        {
            token = tokenizer.Next();
            tokens.Add(token);
        }
        while (token.Kind != TokenKind.End);
        return tokens;
    }

    private string Text(int start, int end)
    {
        var piece = source.AsSpan(start, end - start);
        if (known.TryGetValue(piece, out var before)) return before;
        var text = piece.ToString();
        names.Add(text);
        return text;
    }

    private void Error(int start, int end, string message)
    {
        if (errors.Count < MostErrors) errors.Add(new(start, end, message));
    }

    private int Peek(int ahead = 0)
    {
        var index = at + ahead;
        if (index >= source.Length) return Eof;
        var c = source[index];
        return c == '\0' ? Replacement : c;
    }

    // §4.3.1
    private Token Next()
    {
        var start = at;
        var c = Peek();
        if (c == Eof) return new(TokenKind.End, at, at);
        if (c == '/' && Peek(1) == '*') return Comment(start);
        if (IsWhitespace(c))
        {
            while (IsWhitespace(Peek())) at++;
            return new(TokenKind.Whitespace, start, at, source.AsSpan(start, at - start).ContainsAny("\n\r\f") ? "\n" : "");
        }
        switch (c)
        {
            case '"' or '\'':
                at++;
                return QuotedString((char)c, start);
            case '#':
                if (!IsNameChar(Peek(1)) && !IsEscape(1)) return Delim(start);
                at++;
                var isId = StartsIdent(0);
                var hash = Name();
                return new(TokenKind.Hash, start, at, hash, IsId: isId);
            case '(': return Single(TokenKind.OpenParen);
            case ')': return Single(TokenKind.CloseParen);
            case '[': return Single(TokenKind.OpenSquare);
            case ']': return Single(TokenKind.CloseSquare);
            case '{': return Single(TokenKind.OpenCurly);
            case '}': return Single(TokenKind.CloseCurly);
            case ',': return Single(TokenKind.Comma);
            case ':': return Single(TokenKind.Colon);
            case ';': return Single(TokenKind.Semicolon);
            case '+' or '.':
                return StartsNumber() ? Numeric(start) : Delim(start);
            case '-':
                if (StartsNumber()) return Numeric(start);
                if (Peek(1) == '-' && Peek(2) == '>')
                {
                    at += 3;
                    return new(TokenKind.Cdc, start, at);
                }
                return StartsIdent(0) ? IdentLike(start) : Delim(start);
            case '<':
                if (Peek(1) != '!' || Peek(2) != '-' || Peek(3) != '-') return Delim(start);
                at += 4;
                return new(TokenKind.Cdo, start, at);
            case '@':
                if (!StartsIdent(1)) return Delim(start);
                at++;
                var keyword = Name();
                return new(TokenKind.AtKeyword, start, at, keyword);
            case '\\':
                if (IsEscape(0)) return IdentLike(start);
                Error(start, start + 1, "A backslash stands at the end of a line.");
                return Delim(start);
        }
        if (IsDigit(c)) return Numeric(start);
        return IsNameStart(c) ? IdentLike(start) : Delim(start);

        Token Single(TokenKind kind) => new(kind, start, ++at);
    }

    // §4.3.2
    private Token Comment(int start)
    {
        var end = source.IndexOf("*/", at + 2, StringComparison.Ordinal);
        if (end < 0) Error(start, source.Length, "This comment is never closed: */ is missing.");
        at = end < 0 ? source.Length : end + 2;
        return new(TokenKind.Comment, start, at);
    }

    private Token Delim(int start) => new(TokenKind.Delim, start, ++at, Text(start, start + 1));

    // §4.3.3
    private Token Numeric(int start)
    {
        var hasSign = Peek() is '+' or '-';
        var (number, isInteger) = Number();
        var written = Text(start, at);
        if (StartsIdent(0))
        {
            var unit = Name();
            return new(TokenKind.Dimension, start, at, written, number, unit, isInteger, hasSign);
        }
        if (Peek() != '%') return new(TokenKind.Number, start, at, written, number, IsInteger: isInteger, HasSign: hasSign);
        at++;
        return new(TokenKind.Percentage, start, at, written, number, IsInteger: isInteger, HasSign: hasSign);
    }

    // §4.3.4
    private Token IdentLike(int start)
    {
        var name = Name();
        if (Peek() != '(') return new(TokenKind.Ident, start, at, name);
        at++;
        if (!name.Equals("url", StringComparison.OrdinalIgnoreCase)) return new(TokenKind.Function, start, at, name);
        var ahead = 0;
        while (IsWhitespace(Peek(ahead))) ahead++;
        // A quoted address is an ordinary function; white space before the quote belongs to its content.
        return Peek(ahead) is '"' or '\'' ? new(TokenKind.Function, start, at, name) : Url(start);
    }

    // §4.3.5
    private Token QuotedString(char quote, int start)
    {
        var text = new StringBuilder();
        while (true)
        {
            var c = Peek();
            if (c == Eof)
            {
                Error(start, at, "This string is never closed.");
                return new(TokenKind.String, start, at, text.ToString());
            }
            if (c == quote)
            {
                at++;
                return new(TokenKind.String, start, at, text.ToString());
            }
            if (IsNewline(c))
            {
                Error(start, at, "This string is not closed before the line ends.");
                return new(TokenKind.BadString, start, at);
            }
            at++;
            if (c != '\\')
            {
                text.Append((char)c);
                continue;
            }
            if (Peek() == Eof) continue;
            if (IsNewline(Peek())) SkipNewline();
            else Escape(text);
        }
    }

    // §4.3.6
    private Token Url(int start)
    {
        var text = new StringBuilder();
        while (IsWhitespace(Peek())) at++;
        while (true)
        {
            var c = Peek();
            if (c == ')' || c == Eof || IsWhitespace(c))
            {
                while (IsWhitespace(Peek())) at++;
                if (Peek() == Eof) Error(start, at, "This url( is never closed.");
                else if (Peek() == ')') at++;
                else return BadUrl(start);
                return new(TokenKind.Url, start, at, text.ToString());
            }
            if (c is '"' or '\'' or '(' || IsNonPrintable(c)) return BadUrl(start);
            if (c == '\\')
            {
                if (!IsEscape(0)) return BadUrl(start);
                at++;
                Escape(text);
                continue;
            }
            text.Append((char)c);
            at++;
        }
    }

    // §4.3.14
    private Token BadUrl(int start)
    {
        while (Peek() != Eof && Peek() != ')')
        {
            if (IsEscape(0)) at++;
            at++;
        }
        at = Math.Min(at + 1, source.Length);
        Error(start, at, "This address cannot be read: put it in quotes.");
        return new(TokenKind.BadUrl, start, at);
    }

    // §4.3.7, the backslash already consumed
    private void Escape(StringBuilder text)
    {
        if (!IsHex(Peek()))
        {
            text.Append(Peek() == Eof ? Replacement : (char)Peek());
            at = Math.Min(at + 1, source.Length);
            return;
        }
        var value = 0;
        for (var digits = 0; digits < 6 && IsHex(Peek()); digits++, at++)
            value = value * 16 + Convert.ToInt32(source.Substring(at, 1), 16);
        if (IsNewline(Peek())) SkipNewline();
        else if (IsWhitespace(Peek())) at++;
        if (value is 0 or > 0x10FFFF or (>= 0xD800 and <= 0xDFFF)) text.Append(Replacement);
        else text.Append(char.ConvertFromUtf32(value));
    }

    private void SkipNewline() => at += Peek() == '\r' && Peek(1) == '\n' ? 2 : 1;

    // §4.3.12
    private string Name()
    {
        var end = at;
        while (end < source.Length && source[end] != '\0' && IsNameChar(source[end])) end++;
        if (end >= source.Length || (source[end] != '\\' && source[end] != '\0'))
        {
            var plain = Text(at, end);
            at = end;
            return plain;
        }
        var text = new StringBuilder();
        while (true)
        {
            if (IsNameChar(Peek()))
            {
                text.Append((char)Peek());
                at++;
            }
            else if (IsEscape(0))
            {
                at++;
                Escape(text);
            }
            else
            {
                return text.ToString();
            }
        }
    }

    // §4.3.13
    private (double Value, bool IsInteger) Number()
    {
        var start = at;
        var isInteger = true;
        if (Peek() is '+' or '-') at++;
        while (IsDigit(Peek())) at++;
        if (Peek() == '.' && IsDigit(Peek(1)))
        {
            isInteger = false;
            at++;
            while (IsDigit(Peek())) at++;
        }
        if (Peek() is 'e' or 'E' && (IsDigit(Peek(1)) || (Peek(1) is '+' or '-' && IsDigit(Peek(2)))))
        {
            isInteger = false;
            at += 2;
            while (IsDigit(Peek())) at++;
        }
        return (double.Parse(source.AsSpan(start, at - start), NumberStyles.Float, CultureInfo.InvariantCulture), isInteger);
    }

    // §4.3.8
    private bool IsEscape(int ahead) => Peek(ahead) == '\\' && !IsNewline(Peek(ahead + 1)) && (Peek(ahead + 1) != Eof || ahead > 0 || at + 1 >= source.Length);

    // §4.3.9
    private bool StartsIdent(int ahead)
    {
        var c = Peek(ahead);
        if (c == '-') return IsNameStart(Peek(ahead + 1)) || Peek(ahead + 1) == '-' || IsEscape(ahead + 1);
        return IsNameStart(c) || IsEscape(ahead);
    }

    // §4.3.10
    private bool StartsNumber()
    {
        var ahead = Peek() is '+' or '-' ? 1 : 0;
        return IsDigit(Peek(ahead)) || (Peek(ahead) == '.' && IsDigit(Peek(ahead + 1)));
    }

    private static bool IsDigit(int c) => c is >= '0' and <= '9';

    private static bool IsHex(int c) => IsDigit(c) || c is (>= 'a' and <= 'f') or (>= 'A' and <= 'F');

    private static bool IsNewline(int c) => c is '\n' or '\r' or '\f';

    private static bool IsWhitespace(int c) => c is ' ' or '\t' || IsNewline(c);

    private static bool IsNonPrintable(int c) => c is (>= 0 and <= 8) or 0xB or (>= 0xE and <= 0x1F) or 0x7F;

    private static bool IsNameChar(int c) => IsNameStart(c) || IsDigit(c) || c == '-';

    // §4.2 in the form browsers have: every character above ASCII is a letter of a name. The drafts since 2022 leave some out, which no browser does.
    private static bool IsNameStart(int c) => c is (>= 'a' and <= 'z') or (>= 'A' and <= 'Z') or '_' or >= 0x80;
}
