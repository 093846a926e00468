namespace Sandbar.Css.Colors;

/// <summary>Bringing colours into sRGB.</summary>
public static class Gamut
{
    private const double JustNoticeable = 0.02, Precision = 0.0001;

    /// <summary>Whether all sRGB channels lie within 0 and 1, give or take <paramref name="tolerance"/>.</summary>
    public static bool InSrgb(Color color, double tolerance = 0)
    {
        var rgb = color.To(ColorSpace.Srgb);
        return Inside(rgb.C1) && Inside(rgb.C2) && Inside(rgb.C3);
        bool Inside(double channel) => channel >= -tolerance && channel <= 1 + tolerance;
    }

    /// <summary>
    /// The colour in sRGB, by reducing OKLCH chroma until clipping makes no noticeable difference.
    /// Source: CSS Color Module Level 4, §13.2 (binary search with local MINDE).
    /// </summary>
    public static Color ToSrgb(Color color)
    {
        var srgb = color.To(ColorSpace.Srgb);
        // 1e-7 forgives the rounding of a conversion there and back, far below half an 8-bit step.
        if (InSrgb(srgb, 1e-7)) return Clip(srgb);
        var origin = color.To(ColorSpace.Oklch);
        if (origin.C1 >= 1) return Color.White.WithAlpha(color.Alpha);
        if (origin.C1 <= 0) return Color.Black.WithAlpha(color.Alpha);

        var clipped = Clip(srgb);
        if (Difference.Oklab(clipped, origin) < JustNoticeable) return clipped;

        double min = 0, max = origin.C2;
        var minInGamut = true;
        while (max - min > Precision)
        {
            var chroma = (min + max) / 2;
            var current = origin with { C2 = chroma };
            if (minInGamut && InSrgb(current))
            {
                min = chroma;
                continue;
            }
            clipped = Clip(current.To(ColorSpace.Srgb));
            var error = Difference.Oklab(clipped, current);
            if (error >= JustNoticeable)
            {
                max = chroma;
                continue;
            }
            if (JustNoticeable - error < Precision) break;
            minInGamut = false;
            min = chroma;
        }
        return clipped;
    }

    /// <summary>The colour in sRGB with lightness and hue as they are: only OKLCH chroma is given up, nothing is clipped.</summary>
    public static Color ReduceChroma(Color color)
    {
        var origin = color.To(ColorSpace.Oklch);
        var lightness = Math.Clamp(origin.C1, 0, 1);
        origin = origin with { C1 = lightness };
        if (IsInside(origin)) return origin.To(ColorSpace.Srgb);
        double min = 0, max = origin.C2;
        while (max - min > 1e-6)
        {
            var chroma = (min + max) / 2;
            if (IsInside(origin with { C2 = chroma })) min = chroma;
            else max = chroma;
        }
        return Clip((origin with { C2 = min }).To(ColorSpace.Srgb));

        // Gamma keeps 0 and 1 where they are: linear light says the same, in a third of the time.
        static bool IsInside(Color color) => color.To(ColorSpace.SrgbLinear) is { C1: >= 0 and <= 1, C2: >= 0 and <= 1, C3: >= 0 and <= 1 };
    }

    /// <summary>The colour as it is released and painted: inside sRGB, eight bits for each channel and for alpha.</summary>
    public static Color Rounded(Color color)
    {
        var c = ToSrgb(color);
        return new(ColorSpace.Srgb, Eighth(c.C1), Eighth(c.C2), Eighth(c.C3), Eighth(c.Alpha));
        static double Eighth(double channel) => Math.Round(channel * 255) / 255;
    }

    private static Color Clip(Color srgb) => srgb with
    {
        C1 = Math.Clamp(srgb.C1, 0, 1),
        C2 = Math.Clamp(srgb.C2, 0, 1),
        C3 = Math.Clamp(srgb.C3, 0, 1),
    };
}
