using System.Collections.Immutable;
using System.Globalization;
using System.Text;

namespace Sandbar.Css.Syntax;

/// <summary>
/// Parsed CSS back to text. Whatever the source was, what is written closes all that it opens, says the same when it is read again, and holds nothing
/// that could end the style element it stands in. Sources: CSS Syntax Module Level 3, §9; CSSOM, §2.1 (identifiers and strings).
/// </summary>
public sealed class Serializer
{
    private readonly StringBuilder text;

    // The token written last, where nothing has been written after it.
    private Token? last;

    private Serializer(StringBuilder text) => this.text = text;

    /// <summary>Component values, such as the value of a property.</summary>
    /// <param name="indent">What stands before the lines after the first, where there are more.</param>
    public static string Values(ImmutableArray<ComponentValue> values, string indent = "")
    {
        var text = new StringBuilder();
        Append(text, values, indent);
        return text.ToString();
    }

    /// <summary>The same, at the end of a text.</summary>
    public static void Append(StringBuilder text, ImmutableArray<ComponentValue> values, string indent = "") => new Serializer(text).Write(values, indent);

    /// <summary>An identifier (CSSOM, §2.1). Characters above ASCII that drafts of 2022 no longer take in names are escaped, so that every reader takes them.</summary>
    public static string Identifier(string name)
    {
        if (IsPlain(name)) return name;
        if (name == "-") return "\\-";
        var digitAt = name.Length > 1 && name[0] == '-' ? 1 : 0;
        var text = new StringBuilder(name.Length);
        for (var i = 0; i < name.Length; i++)
        {
            if (char.IsAsciiDigit(name[i]) && (i == 0 || i == digitAt)) AppendCode(text, name[i]);
            else AppendNameCharacter(text, name[i]);
        }
        return text.ToString();
    }

    /// <summary>A string in double quotes (CSSOM, §2.1).</summary>
    public static string String(string content)
    {
        var text = new StringBuilder("\"", content.Length + 2);
        foreach (var c in content)
        {
            if (c == '\0') text.Append('\uFFFD');
            else if (char.IsControl(c) || c == '<') AppendCode(text, c);
            else if (c is '"' or '\\') text.Append('\\').Append(c);
            else text.Append(c);
        }
        return text.Append('"').ToString();
    }

    /// <summary>The text of a comment, marks included, which nothing in it can end early.</summary>
    public static string Comment(string content) =>
        $"/*{content.Replace("*/", "* /", StringComparison.Ordinal).Replace("</", "< /", StringComparison.Ordinal)}*/";

    private void Write(ImmutableArray<ComponentValue> values, string indent)
    {
        foreach (var value in values)
        {
            switch (value)
            {
                case Token token:
                    Write(token, indent);
                    break;
                case FunctionValue function:
                    Write(new Token(TokenKind.Function, function.Start, function.Start, function.Name), indent);
                    Write(function.Values, indent);
                    Close(')', TokenKind.CloseParen);
                    break;
                case BlockValue block:
                    Write(new Token(block.Open, block.Start, block.Start), indent);
                    Write(block.Values, indent);
                    var (mark, kind) = block.Open switch
                    {
                        TokenKind.OpenCurly => ('}', TokenKind.CloseCurly),
                        TokenKind.OpenSquare => (']', TokenKind.CloseSquare),
                        _ => (')', TokenKind.CloseParen),
                    };
                    Close(mark, kind);
                    break;
            }
        }
    }

    private void Close(char mark, TokenKind kind)
    {
        text.Append(mark);
        last = new(kind, 0, 0);
    }

    private void Write(Token token, string indent)
    {
        // After a backslash the line has ended already.
        if (token.Kind == TokenKind.Whitespace && (last is { Kind: TokenKind.Whitespace } || last?.IsDelim('\\') == true))
        {
            last = token;
            return;
        }
        if (last is { } before && (Merges(before, token) || OpensComment(token))) text.Append("/**/");
        text.Append(token.Kind switch
        {
            TokenKind.Ident => Identifier(token.Text),
            TokenKind.Function => Identifier(token.Text) + "(",
            TokenKind.AtKeyword => "@" + Identifier(token.Text),
            TokenKind.Hash => "#" + (token.IsId ? Identifier(token.Text) : Name(token.Text)),
            TokenKind.String => String(token.Text),
            TokenKind.Url => $"url({String(token.Text)})",
            TokenKind.Delim => token.IsDelim('\\') ? "\\\n" : token.Text,
            TokenKind.Number => token.Text,
            TokenKind.Percentage => token.Text + "%",
            TokenKind.Dimension => token.Text + Unit(token.Unit),
            TokenKind.Whitespace => token.Text.Length == 0 ? " " : "\n" + indent,
            TokenKind.Cdo => "<!--",
            TokenKind.Cdc => "-->",
            TokenKind.Colon => ":",
            TokenKind.Semicolon => ";",
            TokenKind.Comma => ",",
            TokenKind.OpenSquare => "[",
            TokenKind.CloseSquare => "]",
            TokenKind.OpenParen => "(",
            TokenKind.CloseParen => ")",
            TokenKind.OpenCurly => "{",
            TokenKind.CloseCurly => "}",
            // What could not be read says nothing.
            _ => "",
        });
        last = token;
    }

    /// <summary>
    /// Whether two tokens would be read as one, or as others, if they touched. Where they touched in the source they do not, unless a comment stood between them
    /// or the end of one is written in another way.
    /// </summary>
    private static bool Merges(Token a, Token b)
    {
        if (EndsItself(a.Kind) || StartsItself(b.Kind)) return false;
        if (b.Kind == TokenKind.OpenParen) return a.Kind == TokenKind.Ident;
        // "</" begins an end tag, and "-->" is a token of its own.
        return a.End != b.Start || (a.IsDelim('<') && b.IsDelim('/')) || (a.IsIdent("--") && b.IsDelim('>'));
    }

    /// <summary>Whether a name that was written with an escape would make <c>&lt;!</c> a token of its own, <c>&lt;!--</c>.</summary>
    private bool OpensComment(Token token) =>
        token.Kind is TokenKind.Ident or TokenKind.Function && token.Text.StartsWith("--", StringComparison.Ordinal) && text is [.., '<', '!'];

    private static bool StartsItself(TokenKind kind) => kind is TokenKind.Whitespace or TokenKind.String or TokenKind.Colon or TokenKind.Semicolon or TokenKind.Comma
        or TokenKind.OpenSquare or TokenKind.CloseSquare or TokenKind.CloseParen or TokenKind.OpenCurly or TokenKind.CloseCurly;

    private static bool EndsItself(TokenKind kind) => StartsItself(kind) || kind is TokenKind.OpenParen or TokenKind.Function or TokenKind.Url or TokenKind.Percentage;

    /// <summary>A unit as it can stand after a number: one that begins like an exponent is escaped.</summary>
    private static string Unit(string unit)
    {
        var isExponent = unit[0] is 'e' or 'E' && unit.Length > 1 && (char.IsAsciiDigit(unit[1]) || (unit[1] == '-' && unit.Length > 2 && char.IsAsciiDigit(unit[2])));
        if (!isExponent) return Identifier(unit);
        var text = new StringBuilder();
        AppendCode(text, unit[0]);
        return text.Append(Name(unit[1..])).ToString();
    }

    /// <summary>Whether nothing of an identifier needs escaping, which nothing does in most.</summary>
    private static bool IsPlain(string name) => name.Length > 0 && (char.IsAsciiLetter(name[0]) || name[0] == '_' || (name.Length > 1 && name[0] == '-' && !char.IsAsciiDigit(name[1]))) && IsPlainName(name);

    private static bool IsPlainName(string name)
    {
        foreach (var c in name)
        {
            if (!char.IsAsciiLetterOrDigit(c) && c is not ('-' or '_')) return false;
        }
        return true;
    }

    private static string Name(string name)
    {
        if (IsPlainName(name)) return name;
        var text = new StringBuilder(name.Length);
        foreach (var c in name) AppendNameCharacter(text, c);
        return text.ToString();
    }

    private static void AppendNameCharacter(StringBuilder text, char c)
    {
        if (c == '\0') text.Append('\uFFFD');
        else if (char.IsAsciiLetterOrDigit(c) || c is '-' or '_' || IsLetterOfDrafts(c)) text.Append(c);
        // An end tag would close the style element around it.
        else if (char.IsControl(c) || c >= 0x80 || c == '<') AppendCode(text, c);
        else text.Append('\\').Append(c);
    }

    private static void AppendCode(StringBuilder text, char c) => text.Append(CultureInfo.InvariantCulture, $"\\{(int)c:x} ");

    // CSS Syntax Module Level 3 as of 2022, §4.2. Surrogates stand for what they form.
    private static bool IsLetterOfDrafts(char c) => (int)c is 0xB7 or (>= 0xC0 and <= 0xD6) or (>= 0xD8 and <= 0xF6) or (>= 0xF8 and <= 0x37D) or (>= 0x37F and <= 0x1FFF)
        or 0x200C or 0x200D or 0x203F or 0x2040 or (>= 0x2070 and <= 0x218F) or (>= 0x2C00 and <= 0x2FEF)
        or (>= 0x3001 and <= 0xDFFF) or (>= 0xF900 and <= 0xFDCF) or (>= 0xFDF0 and <= 0xFFFD);
}
