using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Selectors;

/// <summary>Every <paramref name="A"/>th of a row, from the <paramref name="B"/>th on: <c>2n+1</c>, <c>odd</c>, <c>3</c>. Source: CSS Syntax 3, §6.</summary>
public readonly partial record struct AnPlusB(int A, int B)
{
    /// <summary>Reads values; false where they are not of this form.</summary>
    public static bool TryParse(ReadOnlySpan<ComponentValue> values, out AnPlusB read)
    {
        read = default;
        if (Spelled(values) is not { } text) return false;
        if (text is "odd" or "even")
        {
            read = new(2, text == "odd" ? 1 : 0);
            return true;
        }
        if (Form().Match(text) is not { Success: true } match) return false;
        read = match.Groups["only"] is { Success: true } only
            ? new(0, Integer(only.Value))
            : new(match.Groups["a"].Value is "" or "+" or "-" ? Integer(match.Groups["a"].Value + "1") : Integer(match.Groups["a"].Value), match.Groups["b"].Success ? Integer(match.Groups["sign"].Value + match.Groups["b"].Value) : 0);
        return true;
    }

    /// <summary>The tokens as one text, with a space wherever there is a gap between two; null where one is of another kind.</summary>
    private static string? Spelled(ReadOnlySpan<ComponentValue> values)
    {
        var text = new StringBuilder();
        var end = values.Length > 0 ? values[0].Start : 0;
        foreach (var value in values)
        {
            if (value is not Token token) return null;
            if (token.Start > end) text.Append(' ');
            end = token.End;
            switch (token.Kind)
            {
                case TokenKind.Whitespace:
                    text.Append(' ');
                    break;
                case TokenKind.Ident:
                case TokenKind.Delim:
                    text.Append(token.Text);
                    break;
                case TokenKind.Number or TokenKind.Dimension when token.IsInteger:
                    if (token.HasSign && token.Number >= 0 && !double.IsNegative(token.Number)) text.Append('+');
                    text.Append(CultureInfo.InvariantCulture, $"{token.Number:F0}{token.Unit}");
                    break;
                default:
                    return null;
            }
        }
        return text.ToString().Trim().ToLowerInvariant();
    }

    /// <summary>Numbers out of range come to the nearest there is.</summary>
    private static int Integer(string text) => (int)Math.Clamp(double.Parse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture), int.MinValue, int.MaxValue);

    [GeneratedRegex(@"^(?:(?<only>[+-]?\d+)|(?<a>[+-]?\d*)n(?:\s*(?<sign>[+-])\s*(?<b>\d+))?)$")]
    private static partial Regex Form();
}
