using Sandbar.Css.Colors;

namespace Sandbar.Core.Pictures;

/// <summary>What a picture shows, in sRGB.</summary>
/// <param name="Rgba">Row by row from the top left, four bytes a pixel: red, green, blue, alpha, not multiplied by it.</param>
public sealed record Pixels(int Width, int Height, byte[] Rgba)
{
    /// <summary>The colour of a point.</summary>
    /// <param name="x">From the left, a share of the width, 0 to 1.</param>
    /// <param name="y">From the top, a share of the height.</param>
    /// <exception cref="FormatException">There is no such point.</exception>
    public Color At(double x, double y)
    {
        if (x is not (>= 0 and <= 1) || y is not (>= 0 and <= 1)) throw new FormatException("That point lies outside the picture.");
        var at = (Math.Min((int)(y * Height), Height - 1) * Width + Math.Min((int)(x * Width), Width - 1)) * 4;
        return Color.FromBytes(Rgba[at], Rgba[at + 1], Rgba[at + 2], Rgba[at + 3] / 255d);
    }
}
