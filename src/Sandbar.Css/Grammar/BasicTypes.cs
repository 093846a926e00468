using System.Collections.Frozen;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>The types that are told from the tokens themselves. Source: CSS Values and Units Level 4.</summary>
internal static class BasicTypes
{
    /// <summary>Words that stand for a whole value and so can name nothing (CSS Values 4, §4.2).</summary>
    private static readonly FrozenSet<string> Wide = FrozenSet.Create(StringComparer.OrdinalIgnoreCase, "initial", "inherit", "unset", "revert", "revert-layer", "default");

    /// <summary>Numbers: which quantities each type takes beside plain numbers, and what percentages in them are of.</summary>
    private static readonly FrozenDictionary<string, Numeric> Numbers = new Dictionary<string, Numeric>(StringComparer.Ordinal)
    {
        ["number"] = new([], TakesNumber: true),
        ["integer"] = new([], TakesNumber: true) { IsWhole = true },
        ["zero"] = new([], TakesNumber: true) { IsZero = true },
        ["length"] = new([Quantity.Length]),
        ["percentage"] = new([Quantity.Percentage]),
        ["length-percentage"] = new([Quantity.Length, Quantity.Percentage], PercentageOf: Quantity.Length),
        ["angle"] = new([Quantity.Angle]),
        ["angle-percentage"] = new([Quantity.Angle, Quantity.Percentage], PercentageOf: Quantity.Angle),
        ["time"] = new([Quantity.Time]),
        ["time-percentage"] = new([Quantity.Time, Quantity.Percentage], PercentageOf: Quantity.Time),
        ["frequency"] = new([Quantity.Frequency]),
        ["frequency-percentage"] = new([Quantity.Frequency, Quantity.Percentage], PercentageOf: Quantity.Frequency),
        ["resolution"] = new([Quantity.Resolution]),
        ["flex"] = new([Quantity.Flex]),
    }.ToFrozenDictionary(StringComparer.Ordinal);

    /// <summary>Whether a value is of a type that is told so; null where the type is another.</summary>
    public static bool? Takes(TypeDefinition type, ComponentValue value) => Numbers.TryGetValue(type.Name, out var numeric) ? IsNumber(numeric, type, value) : type.Name switch
    {
        "ident" => value is Token { Kind: TokenKind.Ident },
        "custom-ident" => value is Token { Kind: TokenKind.Ident } word && !Wide.Contains(word.Text),
        "dashed-ident" or "custom-property-name" => value is Token { Kind: TokenKind.Ident, Text: ['-', '-', ..] },
        "string" or "string-token" => value is Token { Kind: TokenKind.String },
        "url" => value is Token { Kind: TokenKind.Url } or FunctionValue { Values: [Token { Kind: TokenKind.String }] } && (value is not FunctionValue function || function.Name.Equals("url", StringComparison.OrdinalIgnoreCase)),
        "hex-color" => value is Token { Kind: TokenKind.Hash, Text.Length: 3 or 4 or 6 or 8 } hash && hash.Text.All(char.IsAsciiHexDigit),
        "id-selector" => value is Token { Kind: TokenKind.Hash, IsId: true },
        "dimension" => value is Token { Kind: TokenKind.Dimension },
        "ident-token" => value is Token { Kind: TokenKind.Ident },
        "url-token" => value is Token { Kind: TokenKind.Url },
        "hash-token" => value is Token { Kind: TokenKind.Hash },
        "number-token" => value is Token { Kind: TokenKind.Number },
        "percentage-token" => value is Token { Kind: TokenKind.Percentage },
        "dimension-token" => value is Token { Kind: TokenKind.Dimension },
        "an-plus-b" => AnPlusB.TryParse([value], out _),
        _ => null,
    };

    private static bool IsNumber(Numeric numeric, TypeDefinition type, ComponentValue value)
    {
        switch (value)
        {
            case Token { Kind: TokenKind.Number } number:
                if (numeric.TakesNumber) return (!numeric.IsWhole || number.IsInteger) && (!numeric.IsZero || number.Number == 0) && InRange(type, number.Number);
                // Zero needs no unit where lengths stand.
                return number.Number == 0 && numeric.Quantities.Contains(Quantity.Length) && InRange(type, 0);
            case Token { Kind: TokenKind.Percentage } percentage:
                return numeric.Quantities.Contains(Quantity.Percentage) && InRange(type, percentage.Number);
            case Token { Kind: TokenKind.Dimension } dimension:
                return Units.Of(dimension.Unit) is { } quantity && numeric.Quantities.Contains(quantity) && InRange(type, dimension.Number);
            // What a calculation comes to is brought into the range (CSS Values 4, §10.12).
            case FunctionValue function when MathType.IsMath(function.Name) && !numeric.IsZero:
                return MathType.Of(function, numeric.PercentageOf) is { } comes && (numeric.TakesNumber ? comes == MathType.Number : numeric.Quantities.Any(q => comes == MathType.Of(q)));
            default:
                return false;
        }
    }

    private static bool InRange(TypeDefinition type, double number) => !(number < type.Min) && !(number > type.Max);

    private sealed record Numeric(Quantity[] Quantities, bool TakesNumber = false, Quantity? PercentageOf = null)
    {
        public bool IsWhole { get; init; }

        public bool IsZero { get; init; }
    }
}
