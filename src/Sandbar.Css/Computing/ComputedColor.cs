using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Css.Colors;
using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Computing;

/// <summary>A colour as it came out, and how it is written.</summary>
/// <param name="IsLegacy">Whether it is written by red, green and blue from 0 to 255, as before CSS Color 4.</param>
public readonly record struct ComputedColor(Color Color, bool IsLegacy)
{
    public static ComputedColor Black { get; } = new(Color.Black, true);

    /// <summary>As Chromium writes it.</summary>
    public override string ToString()
    {
        if (!IsLegacy) return Css();
        var rgb = Color.To(ColorSpace.Srgb);
        var (r, g, b) = (Byte(rgb.C1), Byte(rgb.C2), Byte(rgb.C3));
        return Color.Alpha >= 1 ? $"rgb({r}, {g}, {b})" : $"rgba({r}, {g}, {b}, {Alpha(Color.Alpha)})";
    }

    private string Css()
    {
        var (a, b, c) = (Component(Color.C1), Component(Color.C2), Component(Color.C3));
        var alpha = double.IsNaN(Color.Alpha) ? " / none" : Color.Alpha == 1 ? "" : $" / {NumberText.OfColor(Color.Alpha)}";
        return Color.Space switch
        {
            ColorSpace.Lab or ColorSpace.Lch or ColorSpace.Oklab or ColorSpace.Oklch => $"{Color.Space.CssName()}({a} {b} {c}{alpha})",
            _ => $"color({Color.Space.CssName()} {a} {b} {c}{alpha})",
        };
    }

    private static string Component(double component) => double.IsNaN(component) ? "none" : NumberText.OfColor(component);

    private static int Byte(double channel) => (int)Math.Round(Math.Clamp(double.IsNaN(channel) ? 0 : channel, 0, 1) * 255, MidpointRounding.AwayFromZero);

    /// <summary>Two digits where they come back to the same of 256 steps, else three (CSS Color 4, §16.1).</summary>
    private static string Alpha(double alpha)
    {
        var step = Math.Round(alpha * 255, MidpointRounding.AwayFromZero);
        var two = Math.Round(step / 255, 2, MidpointRounding.AwayFromZero);
        return NumberText.Of(Math.Round(two * 255, MidpointRounding.AwayFromZero) == step ? two : Math.Round(step / 255, 3, MidpointRounding.AwayFromZero));
    }
}

/// <summary>Colours of declarations. Sources: CSS Color 4 and 5; colours of the system are those of Chromium on Debian.</summary>
public static class ColorComputation
{
    private static readonly FrozenDictionary<string, (string Light, string Dark)> SystemColors = new Dictionary<string, (string, string)>(StringComparer.OrdinalIgnoreCase)
    {
        ["accentcolor"] = ("#0075ff", "#0075ff"),
        ["accentcolortext"] = ("#fff", "#fff"),
        ["activetext"] = ("#f00", "#f00"),
        ["buttonborder"] = ("#000", "#fff"),
        ["buttonface"] = ("#efefef", "#6b6b6b"),
        ["buttontext"] = ("#000", "#fff"),
        ["canvas"] = ("#fff", "#121212"),
        ["canvastext"] = ("#000", "#fff"),
        ["field"] = ("#fff", "#3b3b3b"),
        ["fieldtext"] = ("#000", "#fff"),
        ["graytext"] = ("#808080", "#808080"),
        ["highlight"] = ("rgb(0 65 198 / .8)", "rgb(0 65 198 / .8)"),
        ["highlighttext"] = ("#fff", "#fff"),
        ["linktext"] = ("#00e", "#9e9eff"),
        ["mark"] = ("#ff0", "#ff0"),
        ["marktext"] = ("#000", "#000"),
        ["selecteditem"] = ("#1967d2", "#99c8ff"),
        ["selecteditemtext"] = ("#fff", "#3b3b3b"),
        ["visitedtext"] = ("#551a8b", "#d0adf0"),
        ["activeborder"] = ("#000", "#fff"),
        ["activecaption"] = ("#fff", "#121212"),
        ["appworkspace"] = ("#fff", "#121212"),
        ["background"] = ("#fff", "#121212"),
        ["buttonhighlight"] = ("#efefef", "#6b6b6b"),
        ["buttonshadow"] = ("#efefef", "#6b6b6b"),
        ["captiontext"] = ("#000", "#fff"),
        ["inactiveborder"] = ("#000", "#fff"),
        ["inactivecaption"] = ("#fff", "#121212"),
        ["inactivecaptiontext"] = ("#808080", "#808080"),
        ["infobackground"] = ("#fff", "#121212"),
        ["infotext"] = ("#000", "#fff"),
        ["menu"] = ("#fff", "#121212"),
        ["menutext"] = ("#000", "#fff"),
        ["scrollbar"] = ("#fff", "#121212"),
        ["threeddarkshadow"] = ("#000", "#fff"),
        ["threedface"] = ("#efefef", "#6b6b6b"),
        ["threedhighlight"] = ("#000", "#fff"),
        ["threedlightshadow"] = ("#000", "#fff"),
        ["threedshadow"] = ("#000", "#fff"),
        ["window"] = ("#fff", "#121212"),
        ["windowframe"] = ("#000", "#fff"),
        ["windowtext"] = ("#000", "#fff"),
        ["-webkit-link"] = ("#00e", "#9e9eff"),
        ["-webkit-activelink"] = ("#f00", "#ff9e9e"),
        ["-webkit-focus-ring-color"] = ("#101010", "#eee"),
    }.ToFrozenDictionary(StringComparer.OrdinalIgnoreCase);

    private static readonly FrozenDictionary<string, (ColorSpace Space, string Channels)> Functions = new Dictionary<string, (ColorSpace, string)>(StringComparer.OrdinalIgnoreCase)
    {
        ["rgb"] = (ColorSpace.Srgb, "r g b"),
        ["rgba"] = (ColorSpace.Srgb, "r g b"),
        ["hsl"] = (ColorSpace.Hsl, "h s l"),
        ["hsla"] = (ColorSpace.Hsl, "h s l"),
        ["hwb"] = (ColorSpace.Hwb, "h w b"),
        ["lab"] = (ColorSpace.Lab, "l a b"),
        ["lch"] = (ColorSpace.Lch, "l c h"),
        ["oklab"] = (ColorSpace.Oklab, "l a b"),
        ["oklch"] = (ColorSpace.Oklch, "l c h"),
    }.ToFrozenDictionary(StringComparer.OrdinalIgnoreCase);

    /// <summary>Whether a function makes a colour.</summary>
    public static bool IsColorFunction(string name) => Functions.ContainsKey(name) || name.ToLowerInvariant() is "color" or "color-mix" or "light-dark" or "device-cmyk" or "contrast-color";

    /// <summary>Whether a word names a colour of the system.</summary>
    public static bool IsSystem(string word) => SystemColors.ContainsKey(word);

    /// <summary>What a colour comes to; null where it is none.</summary>
    /// <param name="current">What <c>currentcolor</c> is.</param>
    /// <param name="isDark">Whether the element is on a dark ground by its <c>color-scheme</c>.</param>
    public static ComputedColor? Of(ComponentValue value, ComputedColor current, bool isDark, Lengths lengths)
    {
        switch (value)
        {
            case Token word when word.IsIdent("currentcolor"):
                return current;
            case Token { Kind: TokenKind.Ident } word when SystemColors.TryGetValue(word.Text, out var system):
                return new(ColorText.Parse(isDark ? system.Dark : system.Light), true);
            case Token:
                return ColorText.TryRead(value, out var plain) ? new(plain, true) : null;
            case FunctionValue function:
                return OfFunction(function, current, isDark, lengths);
            default:
                return null;
        }
    }

    private static ComputedColor? OfFunction(FunctionValue function, ComputedColor current, bool isDark, Lengths lengths)
    {
        var name = function.Name.ToLowerInvariant();
        switch (name)
        {
            case "light-dark":
                return function.Values.BetweenCommas() is [[var light], [var dark]] ? Of(isDark ? dark : light, current, isDark, lengths) : null;
            case "color-mix":
                return Mix(function, current, isDark, lengths);
            case "contrast-color":
                return function.Values is [var ground] && Of(ground, current, isDark, lengths) is { } on ? new(Contrast.Ratio(on.Color, Color.White) >= Contrast.Ratio(on.Color, Color.Black) ? Color.White : Color.Black, true) : null;
        }
        var row = function.Values.Where(v => v is not Token { Kind: TokenKind.Whitespace }).ToList();
        if (row is [Token from, ..] && from.IsIdent("from")) return row.Count > 1 && Of(row[1], current, isDark, lengths) is { } origin ? Relative(name, row[2..], origin.Color, lengths) : null;
        // Calculations come to numbers first.
        var read = row.Exists(v => v is FunctionValue) ? function with { Values = [.. function.Values.Select(v => v is FunctionValue inner && Calculation.Of(inner, lengths) is Calculation.Amount amount ? NumberToken(amount) : v)] } : function;
        return ColorText.TryRead(read, out var color) ? new(color, name != "color" && color.Space is ColorSpace.Srgb or ColorSpace.Hsl or ColorSpace.Hwb) : null;
    }

    private static Token NumberToken(Calculation.Amount amount) => new(amount.Unit switch { "" => TokenKind.Number, "%" => TokenKind.Percentage, _ => TokenKind.Dimension }, 0, 0, amount.Value.ToString("R", CultureInfo.InvariantCulture), amount.Unit);

    /// <summary><c>color-mix()</c> (CSS Color 5, §3).</summary>
    private static ComputedColor? Mix(FunctionValue function, ComputedColor current, bool isDark, Lengths lengths)
    {
        var arguments = function.Values.BetweenCommas();
        var space = ColorSpace.Oklab;
        var longer = HueWay.Shorter;
        if (arguments.Count > 0 && arguments[0] is [Token @in, ..] && @in.IsIdent("in"))
        {
            var words = arguments[0].OfType<Token>().Where(t => t.Kind == TokenKind.Ident).Select(t => t.Text.ToLowerInvariant()).ToList();
            if (words.Count < 2 || !ColorSpaceNames.TryParse(words[1], out space)) return null;
            if (words.Count > 2) longer = words[2] switch { "longer" => HueWay.Longer, "increasing" => HueWay.Increasing, "decreasing" => HueWay.Decreasing, _ => HueWay.Shorter };
            arguments.RemoveAt(0);
        }
        if (arguments.Count != 2 || Part(arguments[0]) is not { } one || Part(arguments[1]) is not { } other) return null;
        double first = one.Share ?? (other.Share is { } o ? 100 - o : 50), second = other.Share ?? 100 - first;
        var sum = first + second;
        if (sum <= 0) return null;
        var mixed = ColorMix.Mix(one.Color.Color, other.Color.Color, second / sum, space, longer, BrowserColors.ToMix);
        if (sum < 100) mixed = mixed with { Alpha = mixed.Alpha * sum / 100 };
        return new(space is ColorSpace.Hsl or ColorSpace.Hwb ? mixed.To(ColorSpace.Srgb) : mixed, false);

        (ComputedColor Color, double? Share)? Part(ImmutableArray<ComponentValue> values)
        {
            ComputedColor? color = null;
            double? share = null;
            foreach (var value in values)
            {
                if (value is Token { Kind: TokenKind.Whitespace }) continue;
                if (value is not Token { Kind: TokenKind.Ident } && Calculation.TryNumber(value, MathType.Of(Quantity.Percentage), lengths, out var percent)) share = Math.Clamp(percent, 0, 100);
                else color = Of(value, current, isDark, lengths);
            }
            return color is { } found ? (found, share) : null;
        }
    }

    /// <summary>A colour made from the components of another (CSS Color 5, §4).</summary>
    private static ComputedColor? Relative(string name, List<ComponentValue> row, Color origin, Lengths lengths)
    {
        string[] channels;
        ColorSpace space;
        if (name == "color")
        {
            if (row is not [Token { Kind: TokenKind.Ident } named, ..] || !ColorSpaceNames.TryParse(named.Text, out space)) return null;
            channels = space is ColorSpace.XyzD50 or ColorSpace.XyzD65 ? ["x", "y", "z"] : ["r", "g", "b"];
            row = row[1..];
        }
        else
        {
            if (!Functions.TryGetValue(name, out var known)) return null;
            (space, channels) = (known.Space, known.Channels.Split(' '));
        }
        var converted = origin.Space == space ? origin : BrowserColors.To(origin, space);
        var scale = name is "rgb" or "rgba" ? 255d : 1;
        var values = new Dictionary<string, double>(StringComparer.OrdinalIgnoreCase)
        {
            [channels[0]] = Known(converted.C1) * scale,
            [channels[1]] = Known(converted.C2) * scale,
            [channels[2]] = Known(converted.C3) * scale,
            ["alpha"] = origin.Alpha,
        };
        if (row.Count is not (3 or 5) || (row.Count == 5 && !(row[3] is Token slash && slash.IsDelim('/')))) return null;
        Span<double> c = stackalloc double[4];
        for (var i = 0; i < 4; i++)
        {
            if (i == 3 && row.Count == 3)
            {
                c[3] = origin.Alpha;
                break;
            }
            var value = row[i == 3 ? 4 : i];
            // A channel that is missing and taken over by its name alone stays missing.
            if (value is Token { Kind: TokenKind.Ident } none && none.IsIdent("none")) c[i] = double.NaN;
            else if (Calculation.Of(Named(value, values), lengths) is Calculation.Amount amount) c[i] = amount.Unit == "%" ? amount.Value / 100 * (i == 3 ? 1 : Whole(space, i, scale)) : amount.Value;
            else return null;
        }
        var made = new Color(space, c[0] / scale, c[1] / scale, c[2] / scale, double.IsNaN(c[3]) ? 0 : Math.Clamp(c[3], 0, 1));
        made = space switch
        {
            ColorSpace.Hsl or ColorSpace.Hwb => made.To(ColorSpace.Srgb),
            ColorSpace.Lab or ColorSpace.Lch => made with { C1 = Math.Clamp(made.C1, 0, 100) },
            ColorSpace.Oklab or ColorSpace.Oklch => made with { C1 = Math.Clamp(made.C1, 0, 1) },
            _ => made,
        };
        if (space is ColorSpace.Lch or ColorSpace.Oklch) made = made with { C2 = Math.Max(0, made.C2), C3 = double.IsNaN(made.C3) ? made.C3 : (made.C3 % 360 + 360) % 360 };
        return new(made, false);
    }

    private static double Known(double component) => double.IsNaN(component) ? 0 : component;

    private static double Whole(ColorSpace space, int at, double scale) => space switch
    {
        ColorSpace.Hsl or ColorSpace.Hwb => 100,
        ColorSpace.Lab => at == 0 ? 100 : 125,
        ColorSpace.Lch => at == 0 ? 100 : 150,
        ColorSpace.Oklab or ColorSpace.Oklch => at == 0 ? 1 : 0.4,
        _ => scale,
    };

    /// <summary>Values with numbers in the place of the channels' names.</summary>
    private static ComponentValue Named(ComponentValue value, Dictionary<string, double> channels) => value switch
    {
        Token { Kind: TokenKind.Ident } word when channels.TryGetValue(word.Text, out var number) => NumberToken(new(number, "")),
        FunctionValue function => function with { Values = [.. function.Values.Select(v => Named(v, channels))] },
        BlockValue block => block with { Values = [.. block.Values.Select(v => Named(v, channels))] },
        _ => value,
    };
}
