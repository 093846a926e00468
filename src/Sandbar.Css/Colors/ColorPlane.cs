using System.Collections.Immutable;

namespace Sandbar.Css.Colors;

/// <summary>A place on the plane.</summary>
/// <param name="Lightness">OKLCH, 0 to 1.</param>
/// <param name="Chroma">OKLCH.</param>
public sealed record PlanePoint(double Lightness, double Chroma);

/// <summary>Where contrast against a ground comes to a target: to one side of the line it is more.</summary>
/// <param name="Points">From no chroma outwards, inside sRGB.</param>
public sealed record ContrastLine(double Target, ImmutableArray<PlanePoint> Points);

/// <summary>The plane of OKLCH lightness and chroma at one hue, on which a colour is chosen.</summary>
public static class ColorPlane
{
    /// <summary>The chroma at its far edge: beyond the widest that Display P3 reaches at any hue (0.368, seen by going through all of them).</summary>
    public const double Widest = 0.37;

    /// <summary>WCAG 2.2: lines and large text; text, AA; text, AAA.</summary>
    private static readonly double[] Targets = [3, 4.5, 7];

    private const int Columns = 40;

    /// <summary>The largest OKLCH chroma inside a gamut for each of <paramref name="rows"/> lightnesses from 1 down to 0, both included.</summary>
    /// <param name="hue">OKLCH hue, degrees.</param>
    /// <param name="gamut">An RGB space of CSS Color 4.</param>
    public static double[] Outline(double hue, int rows, ColorSpace gamut)
    {
        var outline = new double[rows];
        for (var row = 0; row < rows; row++) outline[row] = Math.Round(MostChroma(1 - row / (rows - 1d), hue, gamut), 4);
        return outline;
    }

    /// <summary>The lines along which contrast against a ground is 3, 4.5 and 7 (WCAG 2.2), lighter than it and darker; none where no colour of this hue comes to it.</summary>
    public static ImmutableArray<ContrastLine> Lines(double hue, Color ground)
    {
        var lines = ImmutableArray.CreateBuilder<ContrastLine>();
        var own = Contrast.Luminance(Compositing.Over(ground, Color.White));
        foreach (var target in Targets)
        {
            foreach (var luminance in new[] { (own + 0.05) * target - 0.05, (own + 0.05) / target - 0.05 })
            {
                if (luminance is < 0 or > 1) continue;
                var points = Enumerable.Range(0, Columns + 1).Select(i => Widest * i / Columns).Select(chroma => At(luminance, chroma)).TakeWhile(p => p is not null).OfType<PlanePoint>().ToImmutableArray();
                if (points.Length > 1) lines.Add(new(target, points));
            }
        }
        return lines.ToImmutable();

        // With chroma and hue as they are, more lightness is more luminance.
        PlanePoint? At(double luminance, double chroma)
        {
            double low = 0, high = 1;
            while (high - low > 1e-4)
            {
                var middle = (low + high) / 2;
                if (Contrast.Luminance(new(ColorSpace.Oklch, middle, chroma, hue)) < luminance) low = middle;
                else high = middle;
            }
            return chroma <= MostChroma(low, hue, ColorSpace.Srgb) + 1e-3 ? new(Math.Round(low, 4), Math.Round(chroma, 4)) : null;
        }
    }

    /// <summary>The plane as it is painted: rows from light to dark, chroma to the right up to <see cref="Widest"/>; what sRGB cannot show is clear, with a soft edge.</summary>
    /// <returns>Red, green, blue and alpha, a byte each, row by row.</returns>
    public static byte[] Paint(double hue, int width, int height)
    {
        var pixels = new byte[width * height * 4];
        for (var y = 0; y < height; y++)
        {
            var lightness = 1 - (y + 0.5) / height;
            var edge = MostChroma(lightness, hue, ColorSpace.Srgb) / Widest * width;
            for (var x = 0; x < Math.Min(width, edge + 1); x++)
            {
                var color = new Color(ColorSpace.Oklch, lightness, Math.Min((x + 0.5) / width, edge / width) * Widest, hue).To(ColorSpace.Srgb);
                var at = (y * width + x) * 4;
                (pixels[at], pixels[at + 1], pixels[at + 2], pixels[at + 3]) = (Byte(color.C1), Byte(color.C2), Byte(color.C3), Byte(Math.Clamp(edge - x, 0, 1)));
            }
        }
        return pixels;
        static byte Byte(double channel) => (byte)Math.Round(Math.Clamp(channel, 0, 1) * 255);
    }

    private static double MostChroma(double lightness, double hue, ColorSpace gamut)
    {
        double min = 0, max = 0.5;
        while (max - min > 1e-4)
        {
            var chroma = (min + max) / 2;
            if (IsInside(new Color(ColorSpace.Oklch, lightness, chroma, hue).To(gamut))) min = chroma;
            else max = chroma;
        }
        return min;
        static bool IsInside(Color rgb) => Inside(rgb.C1) && Inside(rgb.C2) && Inside(rgb.C3);
        static bool Inside(double channel) => channel is >= -1e-7 and <= 1 + 1e-7;
    }
}
