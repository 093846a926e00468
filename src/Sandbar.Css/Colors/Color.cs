namespace Sandbar.Css.Colors;

/// <summary>A colour: three components in a colour space, and alpha from 0 to 1.</summary>
/// <param name="Space">The space the components belong to; ranges are those of <see cref="ColorSpace"/>.</param>
/// <param name="C1">First component (red, lightness, hue of HSL and HWB, X).</param>
/// <param name="C2">Second component.</param>
/// <param name="C3">Third component (hue of LCH and OKLCH).</param>
/// <param name="Alpha">Opacity, 0 to 1.</param>
public readonly record struct Color(ColorSpace Space, double C1, double C2, double C3, double Alpha = 1)
{
    public static readonly Color White = FromBytes(255, 255, 255);
    public static readonly Color Black = FromBytes(0, 0, 0);

    /// <summary>An sRGB colour from 8-bit channels.</summary>
    public static Color FromBytes(byte r, byte g, byte b, double alpha = 1) => new(ColorSpace.Srgb, r / 255d, g / 255d, b / 255d, alpha);

    /// <summary>The same colour in another space. Hue is NaN where it is powerless; nothing is clipped.</summary>
    public Color To(ColorSpace space) => ColorConversion.Convert(this, space);

    public Color WithAlpha(double alpha) => this with { Alpha = alpha };

    public override string ToString() => ColorText.Css(this);
}
