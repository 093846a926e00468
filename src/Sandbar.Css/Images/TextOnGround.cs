using Sandbar.Css.Colors;

namespace Sandbar.Css.Images;

/// <summary>A text with all the colours it lies on, to be asked how it reads on them under a veil.</summary>
public sealed class TextOnGround
{
    private readonly GroundContrast.Ink ink;

    private readonly int[] colors, telling;

    /// <param name="rgba">Four bytes a pixel, opaque; at least one pixel.</param>
    /// <param name="text">Its alpha is composited on each pixel.</param>
    /// <param name="target">The contrast it must reach.</param>
    public TextOnGround(ReadOnlySpan<byte> rgba, Color text, double target)
    {
        (ink, Target) = (new(text), target);
        var all = new int[rgba.Length / 4];
        for (var i = 0; i < all.Length; i++) all[i] = (rgba[4 * i] << 16) | (rgba[4 * i + 1] << 8) | rgba[4 * i + 2];
        Array.Sort(all);
        colors = [.. all.Where((color, i) => i == 0 || color != all[i - 1])];
        telling = Telling(colors);
    }

    public double Target { get; }

    /// <summary>The lowest contrast under a veil.</summary>
    /// <param name="veil">Its own alpha does not count.</param>
    /// <param name="alpha">How much of it is seen, 0 to 1.</param>
    public double Lowest(Color veil, double alpha) => Lowest(colors, veil, alpha);

    /// <summary>Whether it reads everywhere under a veil.</summary>
    public bool Reaches(Color veil, double alpha) => Lowest(telling, veil, alpha) >= Target && Lowest(veil, alpha) >= Target;

    private double Lowest(int[] among, Color veil, double alpha)
    {
        var rgb = Gamut.ToSrgb(veil);
        var (red, green, blue, lowest) = (Veiled(rgb.C1, alpha), Veiled(rgb.C2, alpha), Veiled(rgb.C3, alpha), double.PositiveInfinity);
        foreach (var color in among) lowest = Math.Min(lowest, ink.Ratio(red[color >> 16], green[(color >> 8) & byte.MaxValue], blue[color & byte.MaxValue]));
        return lowest;
    }

    /// <summary>What each value of a channel comes to under a veil.</summary>
    private static byte[] Veiled(double channel, double alpha) => [.. Enumerable.Range(0, 256).Select(v => (byte)Math.Round(v * (1 - alpha) + channel * byte.MaxValue * alpha))];

    /// <summary>Of colours that are nearly the same the lightest and the darkest: what a veil makes of the others lies between what it makes of these.</summary>
    private static int[] Telling(int[] colors)
    {
        const int Bits = 4, Cells = 1 << (3 * Bits), Rest = 8 - Bits;
        var (lightest, darkest) = (new int[Cells], new int[Cells]);
        Array.Fill(lightest, -1);
        Array.Fill(darkest, -1);
        foreach (var color in colors)
        {
            var cell = ((color >> (16 + Rest)) << (2 * Bits)) | (((color >> 8) & byte.MaxValue) >> Rest << Bits) | ((color & byte.MaxValue) >> Rest);
            if (lightest[cell] < 0 || GroundContrast.Luminance(color) > GroundContrast.Luminance(lightest[cell])) lightest[cell] = color;
            if (darkest[cell] < 0 || GroundContrast.Luminance(color) < GroundContrast.Luminance(darkest[cell])) darkest[cell] = color;
        }
        return [.. lightest.Concat(darkest).Where(c => c >= 0).Distinct()];
    }
}
