namespace Sandbar.Css.Syntax;

/// <summary>
/// Finds the tokens of a source text, with positions in the text as it was given. Source: CSS Syntax Module Level 3, §4.
/// The preprocessing of §3.3 (line ends, NUL) is done in passing, so that positions stay true. What they say is for <see cref="TokenReader"/>.
/// </summary>
public sealed class Tokenizer
{
    /// <summary>How many errors are told: more than anybody reads, and few enough for the worst text.</summary>
    public const int MostErrors = 5000;

    private const int Eof = -1;
    internal const char Replacement = '\uFFFD';

    private readonly string source;
    private readonly List<SyntaxError>? errors;
    private int at;

    private Tokenizer(string source, List<SyntaxError>? errors) => (this.source, this.errors) = (source, errors);

    /// <summary>All tokens, comments included, closed by one <see cref="TokenKind.End"/>.</summary>
    public static IEnumerable<Token> Read(string source)
    {
        var reader = new TokenReader(source);
        return Find(source).Select(reader.Token);
    }

    /// <summary>Where they stand.</summary>
    internal static List<FoundToken> Find(string source, List<SyntaxError>? errors = null)
    {
        var tokenizer = new Tokenizer(source, errors);
        var tokens = new List<FoundToken>(source.Length / 2 + 8);
        FoundToken token;
        do
        {
            token = tokenizer.Next();
            tokens.Add(token);
        }
        while (token.Kind != TokenKind.End);
        return tokens;
    }

    private void Error(int start, int end, string message)
    {
        if (errors?.Count < MostErrors) errors.Add(new(start, end, message));
    }

    private int Peek(int ahead = 0)
    {
        var index = at + ahead;
        if (index >= source.Length) return Eof;
        var c = source[index];
        return c == '\0' ? Replacement : c;
    }

    // §4.3.1
    private FoundToken Next()
    {
        var start = at;
        var c = Peek();
        if (c == Eof) return new(TokenKind.End, at, at);
        if (c == '/' && Peek(1) == '*') return Comment(start);
        if (IsWhitespace(c))
        {
            while (IsWhitespace(Peek())) at++;
            return new(TokenKind.Whitespace, start, at);
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
                SkipName();
                return new(TokenKind.Hash, start, at, IsId: isId);
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
                SkipName();
                return new(TokenKind.AtKeyword, start, at);
            case '\\':
                if (IsEscape(0)) return IdentLike(start);
                Error(start, start + 1, "A backslash stands at the end of a line.");
                return Delim(start);
        }
        if (IsDigit(c)) return Numeric(start);
        return IsNameStart(c) ? IdentLike(start) : Delim(start);

        FoundToken Single(TokenKind kind) => new(kind, start, ++at);
    }

    // §4.3.2
    private FoundToken Comment(int start)
    {
        var end = source.IndexOf("*/", at + 2, StringComparison.Ordinal);
        if (end < 0) Error(start, source.Length, "This comment is never closed: */ is missing.");
        at = end < 0 ? source.Length : end + 2;
        return new(TokenKind.Comment, start, at);
    }

    private FoundToken Delim(int start) => new(TokenKind.Delim, start, ++at);

    // §4.3.3
    private FoundToken Numeric(int start)
    {
        SkipNumber();
        var unit = at;
        if (StartsIdent(0))
        {
            SkipName();
            return new(TokenKind.Dimension, start, at, unit);
        }
        if (Peek() != '%') return new(TokenKind.Number, start, at, unit);
        at++;
        return new(TokenKind.Percentage, start, at, unit);
    }

    // §4.3.4
    private FoundToken IdentLike(int start)
    {
        SkipName();
        if (Peek() != '(') return new(TokenKind.Ident, start, at);
        at++;
        if (!TokenReader.Name(source.AsSpan(start, at - 1 - start)).Equals("url", StringComparison.OrdinalIgnoreCase)) return new(TokenKind.Function, start, at);
        var ahead = 0;
        while (IsWhitespace(Peek(ahead))) ahead++;
        // A quoted address is an ordinary function; white space before the quote belongs to its content.
        return Peek(ahead) is '"' or '\'' ? new(TokenKind.Function, start, at) : Url(start);
    }

    // §4.3.5
    private FoundToken QuotedString(char quote, int start)
    {
        while (true)
        {
            var c = Peek();
            if (c == Eof)
            {
                Error(start, at, "This string is never closed.");
                return new(TokenKind.String, start, at);
            }
            if (c == quote)
            {
                at++;
                return new(TokenKind.String, start, at);
            }
            if (IsNewline(c))
            {
                Error(start, at, "This string is not closed before the line ends.");
                return new(TokenKind.BadString, start, at);
            }
            at++;
            if (c != '\\' || Peek() == Eof) continue;
            if (IsNewline(Peek())) SkipNewline();
            else SkipEscape();
        }
    }

    // §4.3.6
    private FoundToken Url(int start)
    {
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
                return new(TokenKind.Url, start, at);
            }
            if (c is '"' or '\'' or '(' || IsNonPrintable(c)) return BadUrl(start);
            if (c == '\\')
            {
                if (!IsEscape(0)) return BadUrl(start);
                at++;
                SkipEscape();
                continue;
            }
            at++;
        }
    }

    // §4.3.14
    private FoundToken BadUrl(int start)
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
    private void SkipEscape()
    {
        if (!IsHex(Peek()))
        {
            at = Math.Min(at + 1, source.Length);
            return;
        }
        for (var digits = 0; digits < 6 && IsHex(Peek()); digits++) at++;
        if (IsNewline(Peek())) SkipNewline();
        else if (IsWhitespace(Peek())) at++;
    }

    private void SkipNewline() => at += Peek() == '\r' && Peek(1) == '\n' ? 2 : 1;

    // §4.3.12
    private void SkipName()
    {
        while (true)
        {
            if (IsNameChar(Peek()))
            {
                at++;
            }
            else if (IsEscape(0))
            {
                at++;
                SkipEscape();
            }
            else
            {
                return;
            }
        }
    }

    // §4.3.13
    private void SkipNumber()
    {
        if (Peek() is '+' or '-') at++;
        while (IsDigit(Peek())) at++;
        if (Peek() == '.' && IsDigit(Peek(1)))
        {
            at++;
            while (IsDigit(Peek())) at++;
        }
        if (Peek() is 'e' or 'E' && (IsDigit(Peek(1)) || (Peek(1) is '+' or '-' && IsDigit(Peek(2)))))
        {
            at += 2;
            while (IsDigit(Peek())) at++;
        }
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

    internal static bool IsHex(int c) => IsDigit(c) || c is (>= 'a' and <= 'f') or (>= 'A' and <= 'F');

    internal static bool IsNewline(int c) => c is '\n' or '\r' or '\f';

    internal static bool IsWhitespace(int c) => c is ' ' or '\t' || IsNewline(c);

    private static bool IsNonPrintable(int c) => c is (>= 0 and <= 8) or 0xB or (>= 0xE and <= 0x1F) or 0x7F;

    private static bool IsNameChar(int c) => IsNameStart(c) || IsDigit(c) || c == '-';

    // §4.2 in the form browsers have: every character above ASCII is a letter of a name. The drafts since 2022 leave some out, which no browser does.
    private static bool IsNameStart(int c) => c is (>= 'a' and <= 'z') or (>= 'A' and <= 'Z') or '_' or >= 0x80;
}
