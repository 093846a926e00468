namespace Sandbar.Css.Colors;

/// <summary>Colours mixed with what lies below them. Source: Compositing and Blending Level 1, §5.8 and §10.</summary>
public static class Blending
{
    /// <summary>One laid over another in a blend mode, in gamma-encoded sRGB, as browsers do.</summary>
    /// <param name="mode">As CSS calls it; what is none is <c>normal</c>.</param>
    public static Color Over(Color top, Color ground, string mode)
    {
        if (mode == "normal" || top.Alpha <= 0 || ground.Alpha <= 0) return Compositing.Over(top, ground);
        Color t = top.To(ColorSpace.Srgb), g = ground.To(ColorSpace.Srgb);
        var source = (t.C1, t.C2, t.C3);
        var backdrop = (g.C1, g.C2, g.C3);
        var blended = mode switch
        {
            "hue" => WithLuminosity(WithSaturation(source, Saturation(backdrop)), Luminosity(backdrop)),
            "saturation" => WithLuminosity(WithSaturation(backdrop, Saturation(source)), Luminosity(backdrop)),
            "color" => WithLuminosity(source, Luminosity(backdrop)),
            "luminosity" => WithLuminosity(backdrop, Luminosity(source)),
            _ => (Channel(mode, t.C1, g.C1), Channel(mode, t.C2, g.C2), Channel(mode, t.C3, g.C3)),
        };
        // Where the ground is clear the colour stays as it is (§5.8).
        double Mixed(double own, double mixed) => (1 - g.Alpha) * own + g.Alpha * mixed;
        return Compositing.Over(t with { C1 = Mixed(t.C1, blended.Item1), C2 = Mixed(t.C2, blended.Item2), C3 = Mixed(t.C3, blended.Item3) }, g);
    }

    private static double Channel(string mode, double s, double b) => mode switch
    {
        "multiply" => s * b,
        "screen" => b + s - b * s,
        "overlay" => Channel("hard-light", b, s),
        "darken" => Math.Min(s, b),
        "lighten" => Math.Max(s, b),
        "color-dodge" => b <= 0 ? 0 : s >= 1 ? 1 : Math.Min(1, b / (1 - s)),
        "color-burn" => b >= 1 ? 1 : s <= 0 ? 0 : 1 - Math.Min(1, (1 - b) / s),
        "hard-light" => s <= 0.5 ? b * 2 * s : b + (2 * s - 1) - b * (2 * s - 1),
        "soft-light" => s <= 0.5 ? b - (1 - 2 * s) * b * (1 - b) : b + (2 * s - 1) * ((b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.Sqrt(b)) - b),
        "difference" => Math.Abs(b - s),
        "exclusion" => b + s - 2 * b * s,
        _ => s,
    };

    private static double Luminosity((double R, double G, double B) c) => 0.3 * c.R + 0.59 * c.G + 0.11 * c.B;

    private static double Saturation((double R, double G, double B) c) => Math.Max(c.R, Math.Max(c.G, c.B)) - Math.Min(c.R, Math.Min(c.G, c.B));

    private static (double R, double G, double B) WithLuminosity((double R, double G, double B) c, double luminosity)
    {
        var d = luminosity - Luminosity(c);
        (double R, double G, double B) moved = (c.R + d, c.G + d, c.B + d);
        var l = Luminosity(moved);
        var (n, x) = (Math.Min(moved.R, Math.Min(moved.G, moved.B)), Math.Max(moved.R, Math.Max(moved.G, moved.B)));
        double Clipped(double v)
        {
            if (n < 0) v = l + (v - l) * l / (l - n);
            return x > 1 ? l + (v - l) * (1 - l) / (x - l) : v;
        }
        return (Clipped(moved.R), Clipped(moved.G), Clipped(moved.B));
    }

    private static (double R, double G, double B) WithSaturation((double R, double G, double B) c, double saturation)
    {
        var (least, range) = (Math.Min(c.R, Math.Min(c.G, c.B)), Saturation(c));
        double Scaled(double v) => range <= 0 ? 0 : (v - least) * saturation / range;
        return (Scaled(c.R), Scaled(c.G), Scaled(c.B));
    }
}
