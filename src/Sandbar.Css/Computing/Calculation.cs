using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Computing;

/// <summary>Numbers and what is reckoned with them. Source: CSS Values and Units Level 4, §10; how what is left is written is Chromium's.</summary>
public abstract record Calculation
{
    /// <summary>A number with its unit in the canonical form: px, %, deg, s, hz, dppx, fr, or none.</summary>
    public sealed record Amount(double Value, string Unit) : Calculation;

    /// <summary>Amounts of different units, or functions, to be added.</summary>
    public sealed record Sum(ImmutableArray<Calculation> Parts) : Calculation;

    /// <summary>Something that takes a layout to know, so many times.</summary>
    public sealed record Times(Calculation Part, double Factor) : Calculation;

    /// <summary>A function of what takes a layout to know.</summary>
    public sealed record Function(string Name, ImmutableArray<Calculation> Parts) : Calculation;

    /// <summary>Reckons as far as that goes; null where it is nothing that can be reckoned with, or takes a layout.</summary>
    public static Calculation? Of(ComponentValue value, Lengths lengths) => value switch
    {
        Token { Kind: TokenKind.Number } number => new Amount(number.Number, ""),
        Token { Kind: TokenKind.Percentage } percentage => lengths.Whole is not { } whole ? new Amount(percentage.Number, "%") : double.IsNaN(whole) ? null : new Amount(percentage.Number / 100 * whole, "px"),
        Token { Kind: TokenKind.Dimension } dimension => Dimension(dimension, lengths),
        Token { Kind: TokenKind.Ident } word => Constant(word.Text) is { } constant ? new Amount(constant, "") : null,
        FunctionValue function when MathType.IsMath(function.Name) => OfFunction(function, lengths),
        BlockValue { Open: TokenKind.OpenParen } block => OfSum(block.Values, lengths),
        _ => null,
    };

    /// <summary>A number of one kind that is wholly known.</summary>
    public static bool TryNumber(ComponentValue value, MathType type, Lengths lengths, out double number)
    {
        number = 0;
        if (value is Token { Kind: TokenKind.Ident } || Of(value, lengths) is not Amount amount) return false;
        number = amount.Value;
        return amount.Unit switch
        {
            "" => type == MathType.Number || (type == MathType.Of(Quantity.Length) && number == 0),
            "px" => type == MathType.Of(Quantity.Length),
            "deg" => type == MathType.Of(Quantity.Angle),
            "s" => type == MathType.Of(Quantity.Time),
            "dppx" => type == MathType.Of(Quantity.Resolution),
            "%" => type == MathType.Of(Quantity.Percentage),
            _ => false,
        };
    }

    /// <summary>As Chromium writes it.</summary>
    public sealed override string ToString() => this switch
    {
        Amount amount => NumberText.Of(amount.Value, amount.Unit),
        Function function => function.Inner(),
        _ => $"calc({Inner()})",
    };

    private string Inner() => this switch
    {
        Amount amount => NumberText.Of(amount.Value, amount.Unit),
        Sum sum => string.Concat(sum.Parts.Select((p, i) => i == 0 ? p.Inner() : p is Amount { Value: < 0 } less ? $" - {NumberText.Of(-less.Value, less.Unit)}" : p is Times { Factor: < 0 } taken ? $" - {(taken with { Factor = -taken.Factor }).Inner()}" : $" + {p.Inner()}")),
        Times times => times.Factor == 1 ? times.Part.Inner() : $"{(times.Part is Sum ? $"({times.Part.Inner()})" : times.Part.Inner())} * {NumberText.Of(times.Factor, "")}",
        Function function => $"{function.Name}({string.Join(", ", function.Parts.Select(p => p.Inner()))})",
        _ => "",
    };

    private static Amount? Dimension(Token dimension, Lengths lengths)
    {
        var number = dimension.Number;
        return Units.Of(dimension.Unit) switch
        {
            Quantity.Length => lengths.PxOf(dimension.Unit) is { } px ? new(number * px, "px") : null,
            Quantity.Angle => new(dimension.Unit.ToLowerInvariant() switch { "grad" => number * 0.9, "rad" => number * 180 / Math.PI, "turn" => number * 360, _ => number }, "deg"),
            Quantity.Time => new(dimension.Unit.Equals("ms", StringComparison.OrdinalIgnoreCase) ? number / 1000 : number, "s"),
            Quantity.Frequency => new(dimension.Unit.Equals("khz", StringComparison.OrdinalIgnoreCase) ? number * 1000 : number, "hz"),
            Quantity.Resolution => new(dimension.Unit.ToLowerInvariant() switch { "dpi" => number / 96, "dpcm" => number * 2.54 / 96, _ => number }, "dppx"),
            Quantity.Flex => new(number, "fr"),
            _ => null,
        };
    }

    private static double? Constant(string word) => word.ToLowerInvariant() switch
    {
        "e" => Math.E,
        "pi" => Math.PI,
        "infinity" => double.PositiveInfinity,
        "-infinity" => double.NegativeInfinity,
        "nan" => double.NaN,
        _ => null,
    };

    private static Calculation? OfFunction(FunctionValue function, Lengths lengths)
    {
        var name = function.Name.ToLowerInvariant();
        var arguments = function.Values.BetweenCommas();
        if (name is "calc" or "-webkit-calc") return arguments.Count == 1 ? OfSum(arguments[0], lengths) : null;
        var way = "nearest";
        if (name == "round" && arguments is [[Token { Kind: TokenKind.Ident } word], ..] && Constant(word.Text) is null)
        {
            way = word.Text.ToLowerInvariant();
            arguments.RemoveAt(0);
        }
        var isOpen = new bool[arguments.Count];
        var parts = new Calculation[arguments.Count];
        for (var i = 0; i < parts.Length; i++)
        {
            isOpen[i] = name == "clamp" && i != 1 && arguments[i] is [Token token] && token.IsIdent("none");
            if ((isOpen[i] ? new Amount(i == 0 ? double.NegativeInfinity : double.PositiveInfinity, "") : OfSum(arguments[i], lengths)) is not { } part) return null;
            parts[i] = part;
        }
        if (parts.Length == 0) return null;
        var units = parts.Where((_, i) => !isOpen[i]).OfType<Amount>().Select(a => a.Unit).Distinct().ToList();
        if (!parts.All(p => p is Amount) || units.Count > 1)
        {
            // What needs no layout is brought together (Chromium: min(10px, 20px, 5%) stays as it stands).
            return name is "min" or "max" or "clamp" or "round" or "mod" or "rem" or "hypot" or "abs" or "sign" ? new Function(name, [.. parts]) : null;
        }
        var numbers = parts.Select(p => ((Amount)p).Value).ToArray();
        var unit = units.Count == 0 ? "" : units[0];
        // Percentages may be of something negative: only what keeps their order is reckoned (CSS Values 4, §10.2).
        if (unit == "%" && name is "sign" or "abs") return new Function(name, [.. parts]);
        return Reckoned(name, numbers, unit, way);
    }

    private static Amount? Reckoned(string name, double[] n, string unit, string way)
    {
        double Radians() => unit == "deg" ? n[0] * Math.PI / 180 : n[0];
        static double Degrees(double radians) => radians * 180 / Math.PI;
        return name switch
        {
            "min" => new(n.Any(double.IsNaN) ? double.NaN : n.Min(), unit),
            "max" => new(n.Any(double.IsNaN) ? double.NaN : n.Max(), unit),
            "clamp" when n.Length == 3 => new(Math.Max(n[0], Math.Min(n[1], n[2])), unit),
            "round" => new(Rounded(n[0], n.Length > 1 ? n[1] : 1, way), unit),
            "mod" when n.Length == 2 => new(Mod(n[0], n[1]), unit),
            "rem" when n.Length == 2 => new(n[0] % n[1], unit),
            "sin" => new(Math.Sin(Radians()), ""),
            "cos" => new(Math.Cos(Radians()), ""),
            "tan" => new(Math.Tan(Radians()), ""),
            "asin" => new(Degrees(Math.Asin(n[0])), "deg"),
            "acos" => new(Degrees(Math.Acos(n[0])), "deg"),
            "atan" => new(Degrees(Math.Atan(n[0])), "deg"),
            "atan2" when n.Length == 2 => new(Degrees(Math.Atan2(n[0], n[1])), "deg"),
            "pow" when n.Length == 2 => new(Math.Pow(n[0], n[1]), ""),
            "sqrt" => new(Math.Sqrt(n[0]), ""),
            "hypot" => new(Math.Sqrt(n.Sum(x => x * x)), unit),
            "log" => new(n.Length > 1 ? Math.Log(n[0]) / Math.Log(n[1]) : Math.Log(n[0]), ""),
            "exp" => new(Math.Exp(n[0]), ""),
            "abs" => new(Math.Abs(n[0]), unit),
            "sign" => new(double.IsNaN(n[0]) ? double.NaN : Math.Sign(n[0]), ""),
            "progress" when n.Length == 3 => new(n[1] == n[2] ? 0 : Math.Clamp((n[0] - n[1]) / (n[2] - n[1]), 0, 1), ""),
            _ => null,
        };
    }

    private static double Mod(double a, double b) => b == 0 || double.IsInfinity(a) ? double.NaN : a - b * Math.Floor(a / b);

    private static double Rounded(double value, double step, string way)
    {
        if (step == 0 || double.IsNaN(value) || double.IsNaN(step)) return double.NaN;
        step = Math.Abs(step);
        var (lower, upper) = (Math.Floor(value / step) * step, Math.Ceiling(value / step) * step);
        return way switch
        {
            "up" => upper,
            "down" => lower,
            "to-zero" => Math.Abs(lower) < Math.Abs(upper) ? lower : upper,
            _ => value - lower < upper - value ? lower : upper,
        };
    }

    private static Calculation? OfSum(ImmutableArray<ComponentValue> values, Lengths lengths)
    {
        var terms = new List<(Calculation Term, double Sign)>();
        var from = 0;
        var sign = 1d;
        for (var i = 0; i <= values.Length; i++)
        {
            if (i < values.Length && !(values[i] is Token { Kind: TokenKind.Delim, Text: "+" or "-" } && i > 0 && values[i - 1].IsSpace())) continue;
            if (OfProduct(values[from..i], lengths) is not { } term) return null;
            terms.Add((term, sign));
            if (i < values.Length) sign = ((Token)values[i]).Text == "-" ? -1 : 1;
            from = i + 1;
        }
        return Added(terms.SelectMany(t => Scaled(t.Term, t.Sign) is Sum sum ? sum.Parts : [Scaled(t.Term, t.Sign)]));
    }

    private static Calculation Added(IEnumerable<Calculation> terms)
    {
        var parts = new List<Calculation>();
        foreach (var term in terms)
        {
            var same = term is Amount amount ? parts.FindIndex(p => p is Amount other && other.Unit == amount.Unit) : -1;
            if (same < 0) parts.Add(term);
            else parts[same] = (Amount)parts[same] with { Value = ((Amount)parts[same]).Value + ((Amount)term).Value };
        }
        // Percentages before lengths: '%' sorts before letters. What cannot be added up stays as it was written.
        if (parts.TrueForAll(p => p is Amount)) parts.Sort((a, b) => string.CompareOrdinal(((Amount)a).Unit, ((Amount)b).Unit));
        return parts.Count == 1 ? parts[0] : new Sum([.. parts]);
    }

    private static Calculation Scaled(Calculation of, double factor) => of switch
    {
        _ when factor == 1 => of,
        Amount amount => amount with { Value = amount.Value * factor },
        Sum sum => new Sum([.. sum.Parts.Select(p => Scaled(p, factor))]),
        Times times => times with { Factor = times.Factor * factor },
        _ => new Times(of, factor),
    };

    private static Calculation? OfProduct(ImmutableArray<ComponentValue> values, Lengths lengths)
    {
        Calculation? product = null;
        var divides = false;
        var wantsFactor = true;
        foreach (var value in values)
        {
            if (value.IsSpace()) continue;
            if (!wantsFactor)
            {
                if (value is not Token { Kind: TokenKind.Delim, Text: "*" or "/" } sign) return null;
                (divides, wantsFactor) = (sign.Text == "/", true);
                continue;
            }
            if (Of(value, lengths) is not { } factor) return null;
            product = product is null ? factor : Multiplied(product, factor, divides);
            if (product is null) return null;
            wantsFactor = false;
        }
        return wantsFactor ? null : product;
    }

    private static Calculation? Multiplied(Calculation a, Calculation b, bool divides)
    {
        if (divides)
        {
            // The same unit over and under the line is a number (CSS Values 4, §10.9).
            if (b is not Amount under) return null;
            if (under.Unit.Length == 0) return Scaled(a, 1 / under.Value);
            return a is Amount over && over.Unit == under.Unit ? new Amount(over.Value / under.Value, "") : null;
        }
        return b is Amount { Unit: "" } number ? Scaled(a, number.Value) : a is Amount { Unit: "" } other ? Scaled(b, other.Value) : null;
    }
}

/// <summary>Numbers as Chromium writes them: six digits that count.</summary>
public static class NumberText
{
    private const double LongestLength = 33_554_428;

    /// <summary>Of a colour: what is small is written out.</summary>
    public static string OfColor(double value)
    {
        var text = Of(value);
        return text.Contains("e-", StringComparison.Ordinal) && Math.Abs(value) >= 1e-6 ? decimal.Parse(text, NumberStyles.Float, CultureInfo.InvariantCulture).ToString("0.############", CultureInfo.InvariantCulture) : text.Replace("e-0", "e-", StringComparison.Ordinal);
    }

    public static string Of(double value, string unit = "")
    {
        if (double.IsNaN(value)) value = 0;
        if (double.IsInfinity(value)) value = value > 0 ? float.MaxValue : float.MinValue;
        // Lengths are kept as far as layout reaches.
        if (unit == "px") value = Math.Clamp(value, -LongestLength, LongestLength);
        // What browsers keep has 24 binary digits.
        var text = ((double)(float)value).ToString("G6", CultureInfo.InvariantCulture);
        if (text == "-0") text = "0";
        return string.Concat(text.ToLowerInvariant(), unit);
    }
}
