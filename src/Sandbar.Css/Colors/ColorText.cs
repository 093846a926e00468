using System.Buffers;
using System.Globalization;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Colors;

/// <summary>Colours as CSS text: reading and writing. Source: CSS Color Module Level 4, §4 to §10 and §15.</summary>
public static class ColorText
{
    private const int LongestInput = 500;

    /// <summary>Reads any CSS colour that stands for itself (not <c>currentcolor</c> or system colours).</summary>
    /// <exception cref="FormatException">The text is no such colour; the message says so in a sentence.</exception>
    public static Color Parse(string text) =>
        TryParse(text, out var color) ? color : throw new FormatException(Unreadable(text));

    /// <summary>The sentence for a text that is no colour.</summary>
    public static string Unreadable(string text) =>
        $"{Quoted.Text(text)} is not a colour. Try #8a2846, a name such as teal, or rgb(), hsl(), oklch().";

    public static bool TryParse(string text, out Color color)
    {
        color = default;
        if (text.Length > LongestInput) return false;
        var trimmed = text.AsSpan().Trim();
        if (trimmed.Length > 0 && trimmed[0] == '#') return TryHex(trimmed[1..], out color);
        return Parser.ParseValues(text) is [var value] && TryRead(value, out color);
    }

    /// <summary>Reads a colour from a parsed component value.</summary>
    public static bool TryRead(ComponentValue value, out Color color)
    {
        color = default;
        return value switch
        {
            Token { Kind: TokenKind.Hash } hash => TryHex(hash.Text, out color),
            Token { Kind: TokenKind.Ident } name => TryName(name.Text, out color),
            FunctionValue function => TryFunction(function, out color),
            _ => false,
        };
    }

    /// <summary><c>#rrggbb</c>, with two digits more when not opaque. The colour is gamut-mapped first.</summary>
    public static string Hex(Color color)
    {
        var rgb = Gamut.ToSrgb(color);
        var digits = Convert.ToHexStringLower([Byte(rgb.C1), Byte(rgb.C2), Byte(rgb.C3), Byte(rgb.Alpha)]);
        return string.Concat("#", digits.EndsWith("ff", StringComparison.Ordinal) ? digits.AsSpan(0, 6) : digits);
        static byte Byte(double channel) => (byte)Math.Round(Math.Clamp(channel, 0, 1) * 255, MidpointRounding.AwayFromZero);
    }

    /// <summary>CSS text of the colour in its own space, components rounded to six significant digits.</summary>
    public static string Css(Color color)
    {
        string a = Number(color.C1), b = Number(color.C2), c = Number(color.C3);
        var alpha = color.Alpha == 1 ? "" : $" / {Number(color.Alpha)}";
        return color.Space switch
        {
            ColorSpace.Hsl or ColorSpace.Hwb => $"{color.Space.CssName()}({a} {b}% {c}%{alpha})",
            ColorSpace.Lab or ColorSpace.Lch or ColorSpace.Oklab or ColorSpace.Oklch => $"{color.Space.CssName()}({a} {b} {c}{alpha})",
            _ => $"color({color.Space.CssName()} {a} {b} {c}{alpha})",
        };
    }

    private static string Number(double value)
    {
        if (double.IsNaN(value)) return "none";
        if (value == 0 || Math.Abs(value) < 1e-9) return "0";
        var digits = Math.Clamp(5 - (int)Math.Floor(Math.Log10(Math.Abs(value))), 0, 12);
        return Math.Round(value, digits).ToString("0.############", CultureInfo.InvariantCulture);
    }

    private static bool TryHex(scoped ReadOnlySpan<char> digits, out Color color)
    {
        color = default;
        if (digits.Length is not (3 or 4 or 6 or 8)) return false;
        // Each of the short form's digits stands for two.
        Span<char> doubled = stackalloc char[8];
        if (digits.Length <= 4)
        {
            for (var i = 0; i < digits.Length; i++) doubled[2 * i] = doubled[2 * i + 1] = digits[i];
            digits = doubled[..(2 * digits.Length)];
        }
        Span<byte> bytes = [0, 0, 0, 255];
        if (Convert.FromHexString(digits, bytes, out _, out _) != OperationStatus.Done) return false;
        color = Color.FromBytes(bytes[0], bytes[1], bytes[2], bytes[3] / 255d);
        return true;
    }

    private static bool TryName(string name, out Color color)
    {
        if (name.Equals("transparent", StringComparison.OrdinalIgnoreCase))
        {
            color = new(ColorSpace.Srgb, 0, 0, 0, 0);
            return true;
        }
        var known = NamedColors.Values.TryGetValue(name, out var rgb);
        color = known ? Color.FromBytes((byte)(rgb >> 16), (byte)(rgb >> 8), (byte)rgb) : default;
        return known;
    }

    private static bool TryFunction(FunctionValue function, out Color color)
    {
        color = default;
        var name = function.Name.ToLowerInvariant();
        var space = ColorSpace.Srgb;
        var values = function.Values.Where(v => v is not Token { Kind: TokenKind.Whitespace }).ToList();
        if (name == "color")
        {
            if (values is not [Token { Kind: TokenKind.Ident } ident, ..] || !ColorSpaceNames.TryParse(ident.Text, out space)) return false;
            if (space is ColorSpace.Hsl or ColorSpace.Hwb or ColorSpace.Lab or ColorSpace.Lch or ColorSpace.Oklab or ColorSpace.Oklch) return false;
            values.RemoveAt(0);
        }
        else if (name is "rgb" or "rgba")
        {
            space = ColorSpace.Srgb;
        }
        else if (name is "hsl" or "hsla")
        {
            space = ColorSpace.Hsl;
        }
        else if (name is not ("hwb" or "lab" or "lch" or "oklab" or "oklch") || !ColorSpaceNames.TryParse(name, out space))
        {
            return false;
        }

        var legacy = values.Any(v => v is Token { Kind: TokenKind.Comma });
        if (legacy && space is not (ColorSpace.Srgb or ColorSpace.Hsl) || legacy && name == "color") return false;
        if (Components(values, legacy) is not var (parts, alphaPart)) return false;
        if (legacy && !LegacyUnits(parts, space)) return false;

        Span<double> c = stackalloc double[3];
        for (var i = 0; i < 3; i++)
        {
            if (Component(parts[i], Reference(space, i, name == "color"), IsHue(space, i), legacy) is not { } number) return false;
            c[i] = number;
        }
        var alpha = alphaPart is null ? 1 : Component(alphaPart, 1, isHue: false, legacy);
        if (alpha is null) return false;
        color = Clamped(space, c, double.IsNaN(alpha.Value) ? 0 : Math.Clamp(alpha.Value, 0, 1), name == "color");
        return true;
    }

    /// <summary>Three components and perhaps alpha, from either the comma or the slash form; null where it is neither.</summary>
    private static (Token[] Parts, Token? Alpha)? Components(List<ComponentValue> values, bool legacy)
    {
        if (values.Any(v => v is not Token)) return null;
        var tokens = values.Cast<Token>().ToList();
        if (legacy)
        {
            if (tokens.Count is not (5 or 7) || tokens.Where((_, i) => i % 2 == 1).Any(t => t.Kind != TokenKind.Comma)) return null;
            return ([tokens[0], tokens[2], tokens[4]], tokens.Count == 7 ? tokens[6] : null);
        }
        if (tokens.Count == 3) return ([.. tokens], null);
        return tokens.Count == 5 && tokens[3].IsDelim('/') ? ([.. tokens.Take(3)], tokens[4]) : null;
    }

    /// <summary>The comma form takes numbers only or percentages only for rgb(), and percentages for hsl().</summary>
    private static bool LegacyUnits(Token[] parts, ColorSpace space) => space == ColorSpace.Srgb
        ? parts.All(p => p.Kind == TokenKind.Number) || parts.All(p => p.Kind == TokenKind.Percentage)
        : parts[1].Kind == TokenKind.Percentage && parts[2].Kind == TokenKind.Percentage;

    private static bool IsHue(ColorSpace space, int index) =>
        (space is ColorSpace.Hsl or ColorSpace.Hwb && index == 0) || (space is ColorSpace.Lch or ColorSpace.Oklch && index == 2);

    /// <summary>What 100 % stands for.</summary>
    private static double Reference(ColorSpace space, int index, bool isColorFunction) => space switch
    {
        ColorSpace.Srgb when !isColorFunction => 255,
        ColorSpace.Hsl or ColorSpace.Hwb => 100,
        ColorSpace.Lab => index == 0 ? 100 : 125,
        ColorSpace.Lch => index == 0 ? 100 : 150,
        ColorSpace.Oklab or ColorSpace.Oklch => index == 0 ? 1 : 0.4,
        _ => 1,
    };

    /// <summary>A number, percentage, angle or <c>none</c> (as NaN); null where it is none of them.</summary>
    private static double? Component(Token token, double reference, bool isHue, bool legacy) => token.Kind switch
    {
        TokenKind.Number => Finite(token.Number),
        TokenKind.Percentage when !isHue => Finite(token.Number / 100 * reference),
        TokenKind.Dimension when isHue => Finite(Degrees(token)),
        TokenKind.Ident when !legacy && token.IsIdent("none") => double.NaN,
        _ => null,
    };

    /// <summary>Numbers are kept as far as browsers keep them, so that reckoning with them stays finite.</summary>
    private static double? Finite(double? value) => value is { } number && !double.IsNaN(number) ? Math.Clamp(number, -float.MaxValue, float.MaxValue) : null;

    private static double? Degrees(Token token) => token.Unit.ToLowerInvariant() switch
    {
        "deg" => token.Number,
        "grad" => token.Number * 0.9,
        "rad" => token.Number * (180 / Math.PI),
        "turn" => token.Number * 360,
        _ => null,
    };

    /// <summary>The clamping that CSS does while parsing.</summary>
    private static Color Clamped(ColorSpace space, Span<double> c, double alpha, bool isColorFunction) => space switch
    {
        ColorSpace.Srgb when !isColorFunction => new(space, Between(c[0], 0, 255) / 255, Between(c[1], 0, 255) / 255, Between(c[2], 0, 255) / 255, alpha),
        ColorSpace.Hsl => new(space, Turn(c[0]), AtLeast0(c[1]), c[2], alpha),
        ColorSpace.Hwb => new(space, Turn(c[0]), c[1], c[2], alpha),
        ColorSpace.Lab => new(space, Between(c[0], 0, 100), c[1], c[2], alpha),
        ColorSpace.Lch => new(space, Between(c[0], 0, 100), AtLeast0(c[1]), Turn(c[2]), alpha),
        ColorSpace.Oklab => new(space, Between(c[0], 0, 1), c[1], c[2], alpha),
        ColorSpace.Oklch => new(space, Between(c[0], 0, 1), AtLeast0(c[1]), Turn(c[2]), alpha),
        _ => new(space, c[0], c[1], c[2], alpha),
    };

    private static double Between(double value, double min, double max) => double.IsNaN(value) ? value : Math.Clamp(value, min, max);

    private static double AtLeast0(double value) => double.IsNaN(value) ? value : Math.Max(value, 0);

    private static double Turn(double degrees) => double.IsNaN(degrees) ? degrees : (degrees % 360 + 360) % 360;
}
