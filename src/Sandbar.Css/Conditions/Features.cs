using System.Collections.Immutable;
using Sandbar.Css.Computing;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Conditions;

/// <summary>What a number of a feature is of.</summary>
internal enum FeatureUnit
{
    Number,
    Length,
    Ratio,
    Resolution,
}

/// <summary>What a feature is: a word, or a number of a unit.</summary>
/// <param name="None">The word that counts as not there where only its name is asked for.</param>
internal sealed record Feature(string Word, string? None = null)
{
    public Feature(double number, FeatureUnit unit) : this("") => (Number, Unit) = (number, unit);

    public double? Number { get; }

    public FeatureUnit Unit { get; }
}

/// <summary>Questions about one feature: its name, its name and a value, or a range. Source: Media Queries 4, §2.4.</summary>
internal static class Features
{
    /// <param name="values">What stands between the brackets.</param>
    /// <param name="find">What a feature of a name is; null where there is none.</param>
    public static Answer? Ask(ImmutableArray<ComponentValue> values, Func<string, Feature?> find)
    {
        var row = values.WithoutSpace();
        switch (row)
        {
            case [Token { Kind: TokenKind.Ident } alone]:
                return find(alone.Text.ToLowerInvariant()) is not { } feature ? Answer.Unknown : Is(feature.Number is { } number ? number != 0 : feature.Word != feature.None);
            case [Token { Kind: TokenKind.Ident } name, Token { Kind: TokenKind.Colon }, ..]:
                return Equal(name.Text.ToLowerInvariant(), row[2..], find);
            default:
                return Range(row, find);
        }
    }

    private static Answer Is(bool holds) => holds ? Answer.Yes : Answer.No;

    private static Answer Equal(string name, ImmutableArray<ComponentValue> value, Func<string, Feature?> find)
    {
        var sign = '=';
        foreach (var (prefix, comparison) in new[] { ("min-", '>'), ("max-", '<') })
        {
            var at = name.IndexOf(prefix, StringComparison.Ordinal);
            if (at != 0 && !(at > 0 && name.StartsWith("-webkit-", StringComparison.Ordinal) && at == "-webkit-".Length)) continue;
            (name, sign) = (name.Remove(at, prefix.Length), comparison);
        }
        if (find(name) is not { } feature) return Answer.Unknown;
        if (feature.Number is null) return sign == '=' && value is [Token { Kind: TokenKind.Ident } word] ? Is(word.Text.Equals(feature.Word, StringComparison.OrdinalIgnoreCase)) : Answer.Unknown;
        return Compare(feature, sign, sign != '=', value);
    }

    private static Answer Range(ImmutableArray<ComponentValue> row, Func<string, Feature?> find)
    {
        // Value and signs from left to right: a < name < b, name < b, a < name.
        var parts = new List<(ImmutableArray<ComponentValue> Values, char Sign, bool OrEqual)>();
        var from = 0;
        for (var i = 0; i < row.Length; i++)
        {
            if (row[i] is not Token { Kind: TokenKind.Delim, Text: "<" or ">" or "=" } sign) continue;
            var orEqual = sign.Text != "=" && i + 1 < row.Length && row[i + 1] is Token { Kind: TokenKind.Delim, Text: "=" } equals && equals.Start == sign.End;
            parts.Add((row[from..i], sign.Text[0], orEqual));
            if (orEqual) i++;
            from = i + 1;
        }
        var last = row[from..];
        if (parts.Count is 0 or > 2) return Answer.Unknown;
        if (parts.Count == 2)
        {
            if (parts[0].Sign != parts[1].Sign || parts[0].Sign == '=' || NameOf(parts[1].Values) is not { } between) return Answer.Unknown;
            var left = find(between) is { } f ? Compare(f, Turned(parts[0].Sign), parts[0].OrEqual, parts[0].Values) : Answer.Unknown;
            var right = find(between) is { } g ? Compare(g, parts[1].Sign, parts[1].OrEqual, last) : Answer.Unknown;
            return Condition.And(left, right) ?? Answer.Unknown;
        }
        if (NameOf(parts[0].Values) is { } name && find(name) is { } feature) return Compare(feature, parts[0].Sign, parts[0].OrEqual, last);
        return NameOf(last) is { } behind && find(behind) is { } other ? Compare(other, Turned(parts[0].Sign), parts[0].OrEqual, parts[0].Values) : Answer.Unknown;
    }

    private static string? NameOf(ImmutableArray<ComponentValue> values) => values is [Token { Kind: TokenKind.Ident } name] ? name.Text.ToLowerInvariant() : null;

    private static char Turned(char sign) => sign == '<' ? '>' : sign == '>' ? '<' : sign;

    private static Answer Compare(Feature feature, char sign, bool orEqual, ImmutableArray<ComponentValue> value)
    {
        if (feature.Number is not { } number || Amount(feature.Unit, value) is not { } amount) return Answer.Unknown;
        var comparison = Math.Abs(number - amount) < 1e-9 ? 0 : number.CompareTo(amount);
        return Is(sign switch
        {
            '<' => comparison < 0 || (orEqual && comparison == 0),
            '>' => comparison > 0 || (orEqual && comparison == 0),
            _ => comparison == 0,
        });
    }

    private static double? Amount(FeatureUnit unit, ImmutableArray<ComponentValue> value)
    {
        if (unit == FeatureUnit.Ratio)
        {
            var slash = value.ToList().FindIndex(v => v is Token token && token.IsDelim('/'));
            if (slash < 0) return value is [var one] ? Single(one, Grammar.MathType.Number) : null;
            return slash == 1 && value.Length == 3 && Single(value[0], Grammar.MathType.Number) is { } over && Single(value[2], Grammar.MathType.Number) is { } under ? over / under : null;
        }
        if (value is not [var single]) return null;
        return unit switch
        {
            FeatureUnit.Length => Single(single, Grammar.MathType.Of(Grammar.Quantity.Length)),
            FeatureUnit.Resolution => Single(single, Grammar.MathType.Of(Grammar.Quantity.Resolution)),
            _ => Single(single, Grammar.MathType.Number),
        };
    }

    /// <summary>Lengths in media queries are of the initial font size, not the page's own (Media Queries 4, §1.3).</summary>
    private static double? Single(ComponentValue value, Grammar.MathType type) => Calculation.TryNumber(value, type, Lengths.Initial, out var number) ? number : null;
}
