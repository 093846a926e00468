using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>What a number is of.</summary>
public enum Quantity
{
    Length,
    Angle,
    Time,
    Frequency,
    Resolution,
    Flex,
    Percentage,
}

/// <summary>What a calculation comes to: how often each quantity is multiplied with itself; a plain number has none. Source: CSS Values and Units Level 4, §10.2 and §10.9.</summary>
public readonly record struct MathType(int Length, int Angle, int Time, int Frequency, int Resolution, int Flex, int Percentage)
{
    private static readonly HashSet<string> Constants = new(["e", "pi", "infinity", "-infinity", "nan"], StringComparer.OrdinalIgnoreCase);

    private static readonly HashSet<string> Roundings = new(["nearest", "up", "down", "to-zero"], StringComparer.OrdinalIgnoreCase);

    private static readonly HashSet<string> Names = new(
        ["calc", "-webkit-calc", "min", "max", "clamp", "round", "mod", "rem", "sin", "cos", "tan", "asin", "acos", "atan", "atan2", "pow", "sqrt", "hypot", "log", "exp", "abs", "sign", "progress", "sibling-index", "sibling-count"],
        StringComparer.OrdinalIgnoreCase);

    public static MathType Number => default;

    /// <summary>Whether a function of that name is a calculation.</summary>
    public static bool IsMath(string function) => Names.Contains(function);

    public static MathType Of(Quantity quantity) => quantity switch
    {
        Quantity.Length => new(1, 0, 0, 0, 0, 0, 0),
        Quantity.Angle => new(0, 1, 0, 0, 0, 0, 0),
        Quantity.Time => new(0, 0, 1, 0, 0, 0, 0),
        Quantity.Frequency => new(0, 0, 0, 1, 0, 0, 0),
        Quantity.Resolution => new(0, 0, 0, 0, 1, 0, 0),
        Quantity.Flex => new(0, 0, 0, 0, 0, 1, 0),
        _ => new(0, 0, 0, 0, 0, 0, 1),
    };

    /// <summary>What a calculation comes to; null where it is none, or adds what cannot be added.</summary>
    /// <param name="percentage">What percentages are of where it stands; null where they stand for themselves.</param>
    public static MathType? Of(FunctionValue function, Quantity? percentage)
    {
        var arguments = function.Values.BetweenCommas();
        var types = new MathType?[arguments.Count];
        for (var i = 0; i < types.Length; i++) types[i] = Sum(arguments[i], percentage);
        var name = function.Name.ToLowerInvariant();
        switch (name)
        {
            case "calc" or "-webkit-calc":
                return types.Length == 1 ? types[0] : null;
            case "min" or "max" or "hypot":
                return types.Length > 0 ? Same(types) : null;
            case "clamp":
                // An end may be left open.
                return types.Length == 3 ? Same([.. types.Where((_, i) => i == 1 || !IsWord(arguments[i], "none"))]) : null;
            case "round":
                var isNamed = arguments.Count > 0 && arguments[0] is [Token { Kind: TokenKind.Ident } way] && Roundings.Contains(way.Text);
                var rounded = isNamed ? types[1..] : types;
                return rounded.Length is 1 or 2 ? Same(rounded) : null;
            case "mod" or "rem":
                return types.Length == 2 ? Same(types) : null;
            case "sin" or "cos" or "tan":
                return types is [{ } turned] && (turned == Number || turned == Of(Quantity.Angle)) ? Number : null;
            case "asin" or "acos" or "atan":
                return types is [{ } ratio] && ratio == Number ? Of(Quantity.Angle) : null;
            case "atan2":
                return types.Length == 2 && Same(types) is not null ? Of(Quantity.Angle) : null;
            case "pow":
                return types.Length == 2 && Array.TrueForAll(types, t => t == Number) ? Number : null;
            case "log":
                return types.Length is 1 or 2 && Array.TrueForAll(types, t => t == Number) ? Number : null;
            case "sqrt" or "exp":
                return types is [{ } plain] && plain == Number ? Number : null;
            case "abs":
                return types.Length == 1 ? types[0] : null;
            case "sign":
                return types is [not null] ? Number : null;
            case "progress":
                return types.Length == 3 && Same(types) is not null ? Number : null;
            case "sibling-index" or "sibling-count":
                return arguments is [[]] ? Number : null;
            default:
                return null;
        }
    }

    private static bool IsWord(ImmutableArray<ComponentValue> values, string word) => values is [Token token] && token.IsIdent(word);

    private static MathType? Same(ReadOnlySpan<MathType?> types)
    {
        foreach (var type in types)
        {
            if (type is null || type != types[0]) return null;
        }
        return types[0];
    }

    /// <summary>Products with plus and minus between them, which need white space on both sides (§10.7.1).</summary>
    private static MathType? Sum(ImmutableArray<ComponentValue> values, Quantity? percentage)
    {
        var from = 0;
        MathType? sum = null;
        for (var i = 0; i <= values.Length; i++)
        {
            var isEnd = i == values.Length;
            if (!isEnd && !(values[i] is Token sign && (sign.IsDelim('+') || sign.IsDelim('-')) && i > 0 && values[i - 1].IsSpace() && i + 1 < values.Length && values[i + 1].IsSpace())) continue;
            var product = Product(values[from..i], percentage);
            if (product is null || (sum is not null && sum != product)) return null;
            sum = product;
            from = i + 1;
        }
        return sum;
    }

    private static MathType? Product(ImmutableArray<ComponentValue> values, Quantity? percentage)
    {
        MathType? product = null;
        var by = '*';
        var wantsFactor = true;
        foreach (var value in values)
        {
            if (value.IsSpace()) continue;
            if (!wantsFactor)
            {
                if (value is not Token { Kind: TokenKind.Delim, Text: "*" or "/" } sign) return null;
                (by, wantsFactor) = (sign.Text[0], true);
                continue;
            }
            if (Factor(value, percentage) is not { } factor) return null;
            product = product is { } before ? before.Times(factor, by == '/' ? -1 : 1) : factor;
            wantsFactor = false;
        }
        return wantsFactor ? null : product;
    }

    private MathType Times(MathType other, int power) => new(
        Length + power * other.Length, Angle + power * other.Angle, Time + power * other.Time, Frequency + power * other.Frequency,
        Resolution + power * other.Resolution, Flex + power * other.Flex, Percentage + power * other.Percentage);

    private static MathType? Factor(ComponentValue value, Quantity? percentage) => value switch
    {
        Token { Kind: TokenKind.Number } => Number,
        Token { Kind: TokenKind.Percentage } => Of(percentage ?? Quantity.Percentage),
        Token { Kind: TokenKind.Dimension } dimension => Units.Of(dimension.Unit) is { } quantity ? Of(quantity) : null,
        Token { Kind: TokenKind.Ident } word => Constants.Contains(word.Text) ? Number : null,
        FunctionValue function => IsMath(function.Name) ? Of(function, percentage) : null,
        BlockValue { Open: TokenKind.OpenParen } block => Sum(block.Values.Trimmed(), percentage),
        _ => null,
    };
}
