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

    /// <summary>So many pixels are worth a thread of their own.</summary>
    private const int LeastPiece = 100_000, MostPieces = 16;

    /// <summary>Measures a ground.</summary>
    /// <param name="rgba">Row by row, four bytes a pixel, opaque; at least one pixel.</param>
    /// <param name="width">Pixels of a row.</param>
    /// <param name="text">Its alpha is composited on each pixel.</param>
    public static GroundContrast Of(ReadOnlyMemory<byte> rgba, int width, Color text)
    {
        var ink = new Ink(text);
        var count = rgba.Length / 4;
        var pieces = Math.Clamp(count / LeastPiece, 1, MostPieces);
        var found = new (double Worst, int At, double Sum)[pieces];
        // Each piece is looked at by itself; of what is alike the first is told, as if they followed each other.
        if (pieces == 1) Look(0);
        else Parallel.For(0, pieces, Look);
        var worst = found.MinBy(p => p.Worst);
        return new(worst.Worst, worst.At % width, worst.At / width, found.Sum(p => p.Sum) / count);

        void Look(int n)
        {
            var (from, to) = ((int)((long)count * n / pieces), (int)((long)count * (n + 1) / pieces));
            var (low, at, sum) = OfPiece(rgba.Span[(4 * from)..(4 * to)], ink);
            found[n] = (low, from + at, sum);
        }
    }

    private static (double Worst, int At, double Sum) OfPiece(ReadOnlySpan<byte> rgba, Ink ink)
    {
        double worst = double.PositiveInfinity, sum = 0;
        var at = 0;
        // Of most pictures many pixels that follow each other are the same.
        var last = -1;
        double ratio = 0;
        for (var i = 0; 4 * i < rgba.Length; i++)
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
        return (worst, at, sum);
    }

    /// <summary>Measures a text that lets what lies behind through together with its ground, so that both differ from place to place.</summary>
    /// <param name="text">As it is seen at each pixel, opaque; row by row, four bytes a pixel.</param>
    /// <param name="ground">As it is seen there.</param>
    public static GroundContrast Between(ReadOnlySpan<byte> text, ReadOnlySpan<byte> ground, int width)
    {
        double worst = double.PositiveInfinity, sum = 0;
        int at = 0, count = ground.Length / 4;
        for (var i = 0; i < count; i++)
        {
            double one = Luminance(text[4 * i], text[4 * i + 1], text[4 * i + 2]) + 0.05, other = Luminance(ground[4 * i], ground[4 * i + 1], ground[4 * i + 2]) + 0.05;
            var ratio = one > other ? one / other : other / one;
            if (ratio < worst) (worst, at) = (ratio, i);
            sum += ratio;
        }
        return new(worst, at % width, at / width, sum / count);
    }

    /// <summary>The faintest black or white over a ground with which text on it reaches a contrast everywhere; null where it does already. Where none does, the better of both, opaque.</summary>
    /// <param name="rgba">As in <see cref="Of"/>.</param>
    public static Veil? Faintest(ReadOnlySpan<byte> rgba, Color text, double target)
    {
        TextOnGround[] texts = [new(rgba, text, target)];
        if (texts[0].Reaches(Color.Black, 0)) return null;
        var shades = new[] { Color.Black, Color.White };
        return Faintest(texts, [.. shades.Select(s => new[] { s })]) is var (veil, alpha)
            ? new(shades[veil].WithAlpha(alpha), texts[0].Lowest(shades[veil], alpha))
            : shades.Select(s => new Veil(s, texts[0].Lowest(s, 1))).MaxBy(v => v.Ratio);
    }

    /// <summary>The faintest of several veils under which all of several texts read, each on what lies under it.</summary>
    /// <param name="veils">Each as it is over each of the texts.</param>
    /// <returns>Its place among them and how much of it is seen, above 0 to 1; null where none is enough.</returns>
    public static (int Veil, double Alpha)? Faintest(IReadOnlyList<TextOnGround> texts, IReadOnlyList<IReadOnlyList<Color>> veils)
    {
        // It may take more where it darkens what the text is darker than: every step is looked at.
        for (var step = 1; step <= AlphaSteps; step++)
        {
            var alpha = (double)step / AlphaSteps;
            for (var veil = 0; veil < veils.Count; veil++)
            {
                if (Enumerable.Range(0, texts.Count).All(t => texts[t].Reaches(veils[veil][t], alpha))) return (veil, alpha);
            }
        }
        return null;
    }

    internal static double Luminance(int color) => Luminance((byte)(color >> 16), (byte)(color >> 8), (byte)color);

    private static double Luminance(byte r, byte g, byte b) => 0.2126 * LinearOfByte[r] + 0.7152 * LinearOfByte[g] + 0.0722 * LinearOfByte[b];

    /// <summary>A text's colour, over whatever it lies on.</summary>
    internal readonly struct Ink
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
