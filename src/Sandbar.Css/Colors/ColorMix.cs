namespace Sandbar.Css.Colors;

/// <summary>Which way round a hue goes. Source: CSS Color Module Level 4, §12.4.</summary>
public enum HueWay
{
    Shorter,
    Longer,
    Increasing,
    Decreasing,
}

/// <summary>Colours computed from others, as CSS computes them.</summary>
public static class ColorMix
{
    /// <summary>
    /// A mix of two colours, as <c>color-mix()</c> has it: alpha premultiplied, a missing component taken from the other.
    /// Sources: CSS Color Module Level 4, §12, and Level 5, §3.
    /// </summary>
    /// <param name="share">Of <paramref name="other"/>, 0 to 1.</param>
    /// <param name="convert">How to come to another space; null for as the standard has it.</param>
    /// <returns>A colour in <paramref name="space"/>, not brought into sRGB.</returns>
    public static Color Mix(Color one, Color other, double share, ColorSpace space, HueWay way = HueWay.Shorter, Func<Color, ColorSpace, Color>? convert = null)
    {
        Color a = In(one, space, convert), b = In(other, space, convert);
        var alpha = Between(a.Alpha, b.Alpha);
        return new(space, Component(0, a.C1, b.C1), Component(1, a.C2, b.C2), Component(2, a.C3, b.C3), alpha);

        double Component(int at, double from, double to)
        {
            if (double.IsNaN(from) || double.IsNaN(to)) return double.IsNaN(from) ? to : from;
            if (at == HueAt(space)) return ((from + share * Turned(from, to, way)) % 360 + 360) % 360;
            return alpha == 0 ? 0 : Between(from * a.Alpha, to * b.Alpha) / alpha;
        }

        double Between(double from, double to) => from + (to - from) * share;
    }

    /// <summary>Below this OKLCH chroma the hue of a colour that is moved is noise, and counts as 0.</summary>
    public const double Grey = 0.001;

    /// <summary>
    /// A colour moved in OKLCH, as a relative colour has it; of a grey the hue is what it is moved by. Lightness stays within 0 and 1, chroma above 0.
    /// Source: CSS Color Module Level 5, §4.
    /// </summary>
    /// <param name="lightness">0.1 is a tenth of the way from black to white.</param>
    /// <param name="hue">Degrees.</param>
    public static Color Move(Color color, double lightness, double chroma, double hue)
    {
        var from = In(color, ColorSpace.Oklch);
        var own = IsGrey(color) ? 0 : Known(from.C3);
        return new(ColorSpace.Oklch, Math.Clamp(Known(from.C1) + lightness, 0, 1), Math.Max(0, Known(from.C2) + chroma), (own + hue) % 360, from.Alpha);
    }

    /// <summary>Whether a colour has no hue to move.</summary>
    public static bool IsGrey(Color color) => Known(In(color, ColorSpace.Oklch).C2) < Grey;

    /// <summary>The colour in another space. What is missing stays missing there, or in the component that says the same (CSS Color 4, §12.2).</summary>
    internal static Color In(Color color, ColorSpace space, Func<Color, ColorSpace, Color>? convert = null)
    {
        if (color.Space == space) return color;
        var converted = convert is null ? color.To(space) : convert(color, space);
        string given = Says(color.Space), wanted = Says(space);
        return converted with { C1 = Kept(0, converted.C1), C2 = Kept(1, converted.C2), C3 = Kept(2, converted.C3) };

        double Kept(int at, double component) => wanted[at] != '-' && given.IndexOf(wanted[at], StringComparison.Ordinal) is var from && from >= 0 && double.IsNaN(At(from)) ? double.NaN : component;
        double At(int at) => at == 0 ? color.C1 : at == 1 ? color.C2 : color.C3;
    }

    /// <summary>What the components of a space say that those of others say too: lightness, colourfulness, hue; red, green, blue.</summary>
    private static string Says(ColorSpace space) => space switch
    {
        ColorSpace.Hsl => "hcl",
        ColorSpace.Hwb => "h--",
        ColorSpace.Lab or ColorSpace.Oklab => "lxy",
        ColorSpace.Lch or ColorSpace.Oklch => "lch",
        _ => "rgb",
    };

    private static double Known(double component) => double.IsNaN(component) ? 0 : component;

    private static int HueAt(ColorSpace space) => space switch
    {
        ColorSpace.Hsl or ColorSpace.Hwb => 0,
        ColorSpace.Lch or ColorSpace.Oklch => 2,
        _ => -1,
    };

    private static double Turned(double from, double to, HueWay way)
    {
        var turn = (to - from) % 360;
        return way switch
        {
            HueWay.Longer when turn is > 0 and < 180 => turn - 360,
            HueWay.Longer when turn is > -180 and <= 0 => turn + 360,
            HueWay.Longer => turn,
            HueWay.Increasing => turn < 0 ? turn + 360 : turn,
            HueWay.Decreasing => turn > 0 ? turn - 360 : turn,
            _ => turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn,
        };
    }
}
