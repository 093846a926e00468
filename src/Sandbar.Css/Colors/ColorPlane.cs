namespace Sandbar.Css.Colors;

/// <summary>How far chroma reaches inside sRGB at a hue: the outline of the plane on which a colour is chosen.</summary>
public static class ColorPlane
{
    /// <summary>The largest OKLCH chroma inside sRGB for each of <paramref name="rows"/> lightnesses from 1 down to 0, both included.</summary>
    /// <param name="hue">OKLCH hue, degrees.</param>
    public static double[] Outline(double hue, int rows)
    {
        var outline = new double[rows];
        for (var row = 0; row < rows; row++)
        {
            var lightness = 1 - row / (rows - 1d);
            double min = 0, max = 0.4;
            while (max - min > 1e-4)
            {
                var chroma = (min + max) / 2;
                if (Gamut.InSrgb(new(ColorSpace.Oklch, lightness, chroma, hue), 1e-7)) min = chroma;
                else max = chroma;
            }
            outline[row] = Math.Round(min, 4);
        }
        return outline;
    }
}
