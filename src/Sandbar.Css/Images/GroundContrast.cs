using Sandbar.Css.Colors;

namespace Sandbar.Css.Images;

/// <summary>Black or white laid over a ground, so that text can be read on it.</summary>
/// <param name="Color">With alpha.</param>
/// <param name="Ratio">The lowest contrast with it.</param>
public sealed record Veil(Color Color, double Ratio);

/// <summary>Contrast of a text over a ground that differs from place to place. Source: WCAG 2.2, "contrast ratio", pixel by pixel, as a screen paints them: eight bits a channel.</summary>
/// <param name="Worst">The lowest ratio.</param>
/// <param name="X">Of the pixel where it is, in the ground.</param>
/// <param name="Mean">Of the ratios of all pixels.</param>
public sealed record GroundContrast(double Worst, int X, int Y, double Mean)
{
    private static readonly double[] LinearOfByte = [.. Enumerable.Range(0, 256).Select(i => ColorConversion.Linear(i / 255d))];

    // Alpha goes up by as much as an eighth bit can show.
    private const int AlphaSteps = 250;

    private const int Opaque = 255;

    /// <summary>Measures a ground.</summary>
    /// <param name="rgba">Row by row, four bytes a pixel, opaque; at least one pixel.</param>
    /// <param name="width">Pixels of a row.</param>
    /// <param name="text">Its alpha is composited on each pixel.</param>
    public static GroundContrast Of(ReadOnlySpan<byte> rgba, int width, Color text)
    {
        var ink = new Ink(text);
        double worst = double.PositiveInfinity, sum = 0;
        var at = 0;
        // Of most pictures many pixels that follow each other are the same.
        int last = -1, count = rgba.Length / 4;
        double ratio = 0;
        for (var i = 0; i < count; i++)
        {
            var (r, g, b) = (rgba[4 * i], rgba[4 * i + 1], rgba[4 * i + 2]);
            var packed = (r << 16) | (g << 8) | b;
            if (packed != last)
            {
                last = packed;
                ratio = ink.Ratio(r, g, b);
                if (ratio < worst) (worst, at) = (ratio, i);
            }
            sum += ratio;
        }
        return new(worst, at % width, at / width, sum / count);
    }

    /// <summary>The faintest black or white over a ground with which text on it reaches a contrast everywhere; null where it does already. Where none does, the better of both, opaque.</summary>
    /// <param name="rgba">As in <see cref="Of"/>.</param>
    public static Veil? Faintest(ReadOnlySpan<byte> rgba, Color text, double target)
    {
        var colors = Telling(rgba);
        var ink = new Ink(text);
        if (Lowest(ink, colors, 0, 0) >= target) return null;
        // It may take more where it darkens what the text is darker than: every step is looked at.
        for (var step = 1; step <= AlphaSteps; step++)
        {
            var alpha = (double)step / AlphaSteps;
            foreach (var shade in new[] { 0, Opaque })
            {
                if (Lowest(ink, colors, shade, alpha) < target) continue;
                // What was left out of the telling colours counts too.
                var ratio = LowestOfAll(ink, rgba, shade, alpha);
                if (ratio >= target) return new(Shade(shade, alpha), ratio);
            }
        }
        var best = new[] { 0, Opaque }.MaxBy(shade => Lowest(ink, colors, shade, 1));
        return new(Shade(best, 1), LowestOfAll(ink, rgba, best, 1));

        static Color Shade(int shade, double alpha) => Color.FromBytes((byte)shade, (byte)shade, (byte)shade, alpha);
    }

    private static double Lowest(Ink ink, List<int> colors, int shade, double alpha)
    {
        var (table, lowest) = (Veiled(shade, alpha), double.PositiveInfinity);
        foreach (var color in colors) lowest = Math.Min(lowest, ink.Ratio(table[color >> 16], table[(color >> 8) & Opaque], table[color & Opaque]));
        return lowest;
    }

    private static double LowestOfAll(Ink ink, ReadOnlySpan<byte> rgba, int shade, double alpha)
    {
        var (table, lowest, last) = (Veiled(shade, alpha), double.PositiveInfinity, -1);
        for (var i = 0; i + 3 < rgba.Length; i += 4)
        {
            var packed = (rgba[i] << 16) | (rgba[i + 1] << 8) | rgba[i + 2];
            if (packed == last) continue;
            last = packed;
            lowest = Math.Min(lowest, ink.Ratio(table[rgba[i]], table[rgba[i + 1]], table[rgba[i + 2]]));
        }
        return lowest;
    }

    /// <summary>What each value of a channel comes to under a veil.</summary>
    private static byte[] Veiled(int shade, double alpha) => [.. Enumerable.Range(0, 256).Select(v => (byte)Math.Round(v * (1 - alpha) + shade * alpha))];

    /// <summary>Of colours that are nearly the same the lightest and the darkest: what a veil makes of the others lies between what it makes of these.</summary>
    private static List<int> Telling(ReadOnlySpan<byte> rgba)
    {
        const int Bits = 4, Cells = 1 << (3 * Bits);
        var (lightest, darkest) = (new int[Cells], new int[Cells]);
        Array.Fill(lightest, -1);
        Array.Fill(darkest, -1);
        for (var i = 0; i + 3 < rgba.Length; i += 4)
        {
            var color = (rgba[i] << 16) | (rgba[i + 1] << 8) | rgba[i + 2];
            var cell = ((rgba[i] >> (8 - Bits)) << (2 * Bits)) | ((rgba[i + 1] >> (8 - Bits)) << Bits) | (rgba[i + 2] >> (8 - Bits));
            if (lightest[cell] < 0 || Luminance(color) > Luminance(lightest[cell])) lightest[cell] = color;
            if (darkest[cell] < 0 || Luminance(color) < Luminance(darkest[cell])) darkest[cell] = color;
        }
        return [.. lightest.Concat(darkest).Where(c => c >= 0).Distinct()];
    }

    private static double Luminance(int color) => Luminance((byte)(color >> 16), (byte)(color >> 8), (byte)color);

    private static double Luminance(byte r, byte g, byte b) => 0.2126 * LinearOfByte[r] + 0.7152 * LinearOfByte[g] + 0.0722 * LinearOfByte[b];

    /// <summary>A text's colour, over whatever it lies on.</summary>
    private readonly struct Ink
    {
        private readonly double red, green, blue, alpha, luminance;

        public Ink(Color text)
        {
            var rgb = Gamut.ToSrgb(text);
            (red, green, blue, alpha) = (rgb.C1 * Opaque, rgb.C2 * Opaque, rgb.C3 * Opaque, rgb.Alpha);
            luminance = Contrast.Luminance(rgb);
        }

        public double Ratio(byte r, byte g, byte b)
        {
            var ground = Luminance(r, g, b);
            var own = alpha >= 1 ? luminance : Luminance(Mixed(red, r), Mixed(green, g), Mixed(blue, b));
            return own > ground ? (own + 0.05) / (ground + 0.05) : (ground + 0.05) / (own + 0.05);
        }

        private byte Mixed(double own, byte below) => (byte)Math.Round(own * alpha + below * (1 - alpha));
    }
}
