using System.Globalization;
using System.Text;

namespace Sandbar.Css.Syntax;

/// <summary>Where a token was found. A text has far more of them than are ever asked what they say, so they hold nothing else.</summary>
/// <param name="NumberEnd">Of a number, percentage or dimension, where its number ends.</param>
/// <param name="IsId">Whether a hash would be a valid ID selector.</param>
internal readonly record struct FoundToken(TokenKind Kind, int Start, int End, int NumberEnd = 0, bool IsId = false);

/// <summary>What found tokens say, escapes resolved. Source: CSS Syntax Module Level 3, §4.3.</summary>
internal sealed class TokenReader
{
    // Most names of a sheet stand in it again and again.
    private readonly HashSet<string> names = new(StringComparer.Ordinal);
    private readonly HashSet<string>.AlternateLookup<ReadOnlySpan<char>> known;
    private readonly string source;

    public TokenReader(string source) => (this.source, known) = (source, names.GetAlternateLookup<ReadOnlySpan<char>>());

    public Token Token(FoundToken found)
    {
        var (kind, start, end, numberEnd, isId) = found;
        return kind switch
        {
            TokenKind.Ident => new(kind, start, end, Kept(start, end)),
            TokenKind.Function => new(kind, start, end, Kept(start, end - 1)),
            TokenKind.AtKeyword or TokenKind.Hash => new(kind, start, end, Kept(start + 1, end), IsId: isId),
            TokenKind.String => new(kind, start, end, String(source.AsSpan(start, end - start))),
            TokenKind.Url => new(kind, start, end, Url(source.AsSpan(start, end - start))),
            TokenKind.Delim => new(kind, start, end, Kept(start, end, isName: false)),
            TokenKind.Number or TokenKind.Percentage => new(kind, start, end, Kept(start, numberEnd)),
            TokenKind.Dimension => new(kind, start, end, Kept(start, numberEnd), Kept(numberEnd, end)),
            TokenKind.Whitespace => new(kind, start, end, source.AsSpan(start, end - start).ContainsAny("\n\r\f") ? "\n" : ""),
            _ => new(kind, start, end),
        };
    }

    /// <summary>A name, or any text without strings, as it is meant.</summary>
    public static string Name(ReadOnlySpan<char> written) => written.ContainsAny('\\', '\0') ? Unescaped(written) : written.ToString();

    private string Kept(int start, int end, bool isName = true)
    {
        var written = source.AsSpan(start, end - start);
        if (known.TryGetValue(written, out var before)) return before;
        if (isName && written.ContainsAny('\\', '\0')) return Unescaped(written);
        var name = written.ToString();
        names.Add(name);
        return name;
    }

    /// <param name="written">With its quotes; the last is missing where the text ends first.</param>
    private static string String(ReadOnlySpan<char> written)
    {
        var isPlain = !written.ContainsAny('\\', '\0');
        var isClosed = written.Length > 1 && written[^1] == written[0] && (isPlain || !EndsInEscape(written[1..]));
        var content = isClosed ? written[1..^1] : written[1..];
        return isPlain ? content.ToString() : Unescaped(content, isString: true);
    }

    /// <summary>Whether the last character belongs to a backslash before it.</summary>
    private static bool EndsInEscape(ReadOnlySpan<char> content)
    {
        var backslashes = 0;
        while (backslashes < content.Length - 1 && content[^(2 + backslashes)] == '\\') backslashes++;
        return backslashes % 2 == 1;
    }

    private static string Url(ReadOnlySpan<char> written)
    {
        var content = written[(written.IndexOf('(') + 1)..].TrimStart(" \t\n\r\f");
        var end = 0;
        while (end < content.Length && content[end] != ')' && !Tokenizer.IsWhitespace(content[end])) end += content[end] == '\\' ? 1 + EscapeLength(content[(end + 1)..]) : 1;
        return Name(content[..Math.Min(end, content.Length)]);
    }

    private static string Unescaped(ReadOnlySpan<char> written, bool isString = false)
    {
        var text = new StringBuilder(written.Length);
        while (!written.IsEmpty)
        {
            var c = written[0];
            written = written[1..];
            if (c != '\\')
            {
                text.Append(c == '\0' ? Tokenizer.Replacement : c);
                continue;
            }
            // Nothing stands behind it only where the text ends: in a string it means nothing (§4.3.5), elsewhere a character that is missing (§4.3.7).
            if (written.IsEmpty)
            {
                if (!isString) text.Append(Tokenizer.Replacement);
                break;
            }
            var length = EscapeLength(written);
            if (!isString || !Tokenizer.IsNewline(written[0])) AppendEscape(text, written[..length]);
            written = written[length..];
        }
        return text.ToString();
    }

    /// <summary>How many characters after a backslash belong to it: one line end or other character, or up to six digits and one white space after them.</summary>
    private static int EscapeLength(ReadOnlySpan<char> after)
    {
        var length = 0;
        while (length < 6 && length < after.Length && Tokenizer.IsHex(after[length])) length++;
        if (length == 0) return Space(after, 0) is var line and > 0 && Tokenizer.IsNewline(after[0]) ? line : 1;
        return length + Space(after, length);

        static int Space(ReadOnlySpan<char> text, int at) =>
            at >= text.Length || !Tokenizer.IsWhitespace(text[at]) ? 0 : text[at] == '\r' && at + 1 < text.Length && text[at + 1] == '\n' ? 2 : 1;
    }

    // §4.3.7
    private static void AppendEscape(StringBuilder text, ReadOnlySpan<char> escape)
    {
        if (!Tokenizer.IsHex(escape[0]))
        {
            text.Append(escape[0] == '\0' ? Tokenizer.Replacement : escape[0]);
            return;
        }
        var value = int.Parse(escape.TrimEnd(" \t\n\r\f"), NumberStyles.AllowHexSpecifier, CultureInfo.InvariantCulture);
        if (value is 0 or > 0x10FFFF or (>= 0xD800 and <= 0xDFFF)) text.Append(Tokenizer.Replacement);
        else text.Append(char.ConvertFromUtf32(value));
    }
}
