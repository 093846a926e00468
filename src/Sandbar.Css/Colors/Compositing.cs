namespace Sandbar.Css.Colors;

/// <summary>Laying one colour over another.</summary>
public static class Compositing
{
    /// <summary>
    /// Source-over in gamma-encoded sRGB, as browsers composite. Source: Compositing and Blending Level 1, §9.
    /// </summary>
    public static Color Over(Color top, Color ground)
    {
        if (top.Alpha >= 1) return top;
        Color t = top.To(ColorSpace.Srgb), g = ground.To(ColorSpace.Srgb);
        var alpha = t.Alpha + g.Alpha * (1 - t.Alpha);
        if (alpha <= 0) return new(ColorSpace.Srgb, 0, 0, 0, 0);
        return new(ColorSpace.Srgb, Mix(t.C1, g.C1), Mix(t.C2, g.C2), Mix(t.C3, g.C3), alpha);
        double Mix(double over, double under) => (over * t.Alpha + under * g.Alpha * (1 - t.Alpha)) / alpha;
    }
}
