using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>Reads the value definition syntax. Source: CSS Values and Units Level 4, §2.</summary>
public sealed class ValueDefinitionParser
{
    private readonly string text;
    private int at;

    private ValueDefinitionParser(string text) => this.text = text;

    /// <exception cref="FormatException">It is no value definition.</exception>
    public static ValueDefinition Parse(string text)
    {
        var parser = new ValueDefinitionParser(text);
        var read = parser.Group();
        return parser.at == text.Length ? read : throw parser.Wrong();
    }

    private char Current => at < text.Length ? text[at] : '\0';

    private FormatException Wrong() => new($"“{text}” is no value definition from its {(at + 1).ToString(CultureInfo.InvariantCulture)}th character on.");

    private void SkipWhitespace()
    {
        while (char.IsWhiteSpace(Current)) at++;
    }

    private bool Take(string sign)
    {
        SkipWhitespace();
        if (!text.AsSpan(at).StartsWith(sign, StringComparison.Ordinal)) return false;
        at += sign.Length;
        return true;
    }

    /// <summary>Members with combinators between them; those that bind closer are groups of their own (§2.2: juxtaposition, then <c>&amp;&amp;</c>, <c>||</c>, <c>|</c>).</summary>
    private ValueDefinition Group() => Joined(Together.One);

    private ValueDefinition Joined(Together by)
    {
        if (by == Together.Sequence) return Sequence();
        var sign = by switch { Together.One => "|", Together.Some => "||", _ => "&&" };
        var members = ImmutableArray.CreateBuilder<ValueDefinition>();
        do members.Add(Joined(by switch { Together.One => Together.Some, Together.Some => Together.All, _ => Together.Sequence }));
        while (IsAhead(sign) && Take(sign));
        return members.Count == 1 ? members[0] : new GroupDefinition(by, members.ToImmutable());
    }

    private bool IsAhead(string sign)
    {
        SkipWhitespace();
        var rest = text.AsSpan(at);
        return rest.StartsWith(sign, StringComparison.Ordinal) && !(sign == "|" && rest.StartsWith("||", StringComparison.Ordinal));
    }

    private ValueDefinition Sequence()
    {
        var members = ImmutableArray.CreateBuilder<ValueDefinition>();
        while (true)
        {
            SkipWhitespace();
            if (at == text.Length || Current is ']' or ')' or '}' or '|' || IsAhead("&&") || IsAhead("']'")) break;
            members.Add(Multiplied(Single()));
        }
        return members.Count switch
        {
            0 => throw Wrong(),
            1 => members[0],
            _ => new GroupDefinition(Together.Sequence, members.ToImmutable()),
        };
    }

    private ValueDefinition Single()
    {
        switch (Current)
        {
            case '[':
                at++;
                var group = Group();
                if (!Take("]")) throw Wrong();
                return group;
            case '<':
                return Type();
            case '\'' when Take("'['"):
                return Block(TokenKind.OpenSquare, "']'");
            case '(':
                at++;
                return Block(TokenKind.OpenParen, ")");
            case '{':
                at++;
                return Block(TokenKind.OpenCurly, "}");
            case '\'':
                var end = text.IndexOf('\'', at + 1);
                if (end != at + 2) throw Wrong();
                at = end + 1;
                return new SignDefinition(text[end - 1]);
            case ',' or '/' or ':' or '=' or ';' or '+' or '*' or '.':
                return new SignDefinition(text[at++]);
            default:
                var name = Name();
                if (Current != '(') return new KeywordDefinition(name);
                at++;
                SkipWhitespace();
                var inner = Current == ')' ? new GroupDefinition(Together.Sequence, []) : Group();
                if (!Take(")")) throw Wrong();
                return new FunctionDefinition(name, inner);
        }
    }

    private BlockDefinition Block(TokenKind open, string close)
    {
        SkipWhitespace();
        var inner = IsAhead(close) ? new GroupDefinition(Together.Sequence, []) : Group();
        return Take(close) ? new(open, inner) : throw Wrong();
    }

    private string Name()
    {
        var from = at;
        if (Current == '@') at++;
        while (char.IsAsciiLetterOrDigit(Current) || Current is '-' or '_' || (Current == '%' && at == from)) at++;
        return at > from ? text[from..at] : throw Wrong();
    }

    private ValueDefinition Type()
    {
        var end = text.IndexOf('>', at);
        if (end < 0) throw Wrong();
        var inner = text[(at + 1)..end].Trim();
        at = end + 1;
        if (inner is ['\'', .. var property, '\'']) return new PropertyDefinition(property);
        if (inner.IndexOf('[', StringComparison.Ordinal) is var bracket and >= 0 && inner[^1] == ']')
        {
            var ends = inner[(bracket + 1)..^1].Split(',');
            return ends.Length == 2 ? new TypeDefinition(inner[..bracket].Trim(), End(ends[0]), End(ends[1])) : throw Wrong();
        }
        return new TypeDefinition(inner);
    }

    /// <summary>An end of a range, its unit left out: only zero has one.</summary>
    private double? End(string text)
    {
        var trimmed = text.Trim();
        if (trimmed.EndsWith('∞')) return null;
        var digits = trimmed.TrimEnd([.. "abcdefghijklmnopqrstuvwxyz%"]);
        return double.TryParse(digits, CultureInfo.InvariantCulture, out var number) ? number : throw Wrong();
    }

    /// <summary>Multipliers (§2.3), of which there may be two: <c>+#</c>, <c>#{1,4}</c>, <c>#?</c>.</summary>
    private ValueDefinition Multiplied(ValueDefinition of)
    {
        while (true)
        {
            switch (Current)
            {
                case '?':
                    at++;
                    of = new RepeatedDefinition(of, 0, 1, WithCommas: false);
                    break;
                case '*':
                    at++;
                    of = new RepeatedDefinition(of, 0, null, WithCommas: false);
                    break;
                case '+':
                    at++;
                    of = new RepeatedDefinition(of, 1, null, WithCommas: false);
                    break;
                case '#':
                    at++;
                    var (least, most) = Current == '{' ? Range() : (1, null);
                    of = new RepeatedDefinition(of, least, most, WithCommas: true);
                    break;
                case '{':
                    var (from, to) = Range();
                    of = new RepeatedDefinition(of, from, to, WithCommas: false);
                    break;
                case '!' when of is GroupDefinition group:
                    at++;
                    of = group with { IsRequired = true };
                    break;
                default:
                    return of;
            }
        }
    }

    private (int Least, int? Most) Range()
    {
        var end = text.IndexOf('}', at);
        if (end < 0) throw Wrong();
        var parts = text[(at + 1)..end].Split(',');
        at = end + 1;
        if (!int.TryParse(parts[0], CultureInfo.InvariantCulture, out var least)) throw Wrong();
        if (parts.Length == 1) return (least, least);
        return parts[1].Trim().Length == 0 ? (least, null) : int.TryParse(parts[1], CultureInfo.InvariantCulture, out var most) ? (least, most) : throw Wrong();
    }
}
