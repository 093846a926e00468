using System.Numerics;
using Sandbar.Css.Colors;

namespace Sandbar.Css.Images;

/// <summary>Colours as they are painted: red, green, blue of sRGB, each multiplied by alpha, and alpha, all from 0 to 1. Source: Compositing and Blending Level 1, §5.</summary>
public static class Premultiplied
{
    public static readonly Vector4 Clear = Vector4.Zero;

    /// <summary>A colour as it is painted: what lies outside sRGB is clipped, as browsers paint it.</summary>
    public static Vector4 Of(Color color)
    {
        var rgb = color.To(ColorSpace.Srgb);
        var alpha = (float)Channel(rgb.Alpha);
        return new Vector4((float)Channel(rgb.C1), (float)Channel(rgb.C2), (float)Channel(rgb.C3), 1) * new Vector4(alpha);

        static double Channel(double value) => double.IsNaN(value) ? 0 : Math.Clamp(value, 0, 1);
    }

    /// <summary>Source-over: one laid over another.</summary>
    public static Vector4 Over(Vector4 top, Vector4 below) => top + below * (1 - top.W);

    /// <summary>What is opaque as a colour, as exactly as it was reckoned.</summary>
    public static Color Opaque(Vector4 painted) => new(ColorSpace.Srgb, painted.X, painted.Y, painted.Z);

    /// <summary>The colour that is seen, rounded to eight bits; black and clear where there is nothing.</summary>
    public static Color Color(Vector4 painted)
    {
        if (painted.W <= 0) return new(ColorSpace.Srgb, 0, 0, 0, 0);
        return Colors.Color.FromBytes(Byte(painted.X / painted.W), Byte(painted.Y / painted.W), Byte(painted.Z / painted.W), Byte(painted.W) / 255d);
    }

    internal static byte Byte(float channel) => (byte)(Math.Clamp(channel, 0, 1) * 255 + 0.5f);
}
