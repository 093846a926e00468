using Sandbar.Css.Syntax;

namespace Sandbar.Css.Colors;

/// <summary>
/// A colour that somebody typed, as it goes into a stylesheet and as browsers paint it there: what sRGB cannot show is mapped into it, so that a swatch, a contrast
/// and the page are of one colour; screens that show more get it as it was typed.
/// </summary>
public static class ReleasedColor
{
    /// <summary>What is painted on a screen of sRGB. Source of the mapping: CSS Color Module Level 4, §13.2.</summary>
    /// <exception cref="FormatException">The text is no colour.</exception>
    public static Color Of(string css) => Gamut.ToSrgb(Meant(css));

    /// <summary>Whether sRGB cannot show it.</summary>
    public static bool IsWide(string css) => IsWide(Meant(css));

    /// <inheritdoc cref="IsWide(string)"/>
    public static bool IsWide(Color color) => !Gamut.InSrgb(color, 1e-6);

    /// <summary>As CSS, for any screen.</summary>
    public static string Css(string css) => IsWide(css) ? ColorText.Hex(Of(css)) : AsTyped(css);

    /// <summary>As CSS, for screens that show more than sRGB.</summary>
    public static string AsTyped(string css) => Serializer.Values(Parser.ParseValues(css));

    /// <summary>
    /// What a stylesheet means by it, whatever the screen. HSL and HWB are ways to write sRGB there: browsers clamp what lies outside (seen in Chromium; CSS Color 4 leaves saturation open upwards).
    /// </summary>
    /// <exception cref="FormatException">The text is no colour.</exception>
    public static Color Meant(string css)
    {
        var color = ColorText.Parse(css);
        return color.Space is ColorSpace.Hsl or ColorSpace.Hwb ? color with { C2 = Percent(color.C2), C3 = Percent(color.C3) } : color;
    }

    private static double Percent(double value) => double.IsNaN(value) ? value : Math.Clamp(value, 0, 100);
}
