namespace Sandbar.Css.Colors;

/// <summary>The colour spaces of CSS Color Module Level 4.</summary>
/// <remarks>
/// Components: RGB spaces 0–1; HSL and HWB hue in degrees, the rest 0–100; Lab and LCH lightness 0–100 (D50);
/// OKLab and OKLCH lightness 0–1; XYZ with Y of white = 1. A powerless or missing hue is <see cref="double.NaN"/>.
/// </remarks>
public enum ColorSpace
{
    Srgb,
    SrgbLinear,
    Hsl,
    Hwb,
    Lab,
    Lch,
    Oklab,
    Oklch,
    XyzD65,
    XyzD50,
    DisplayP3,
    A98Rgb,
    ProphotoRgb,
    Rec2020,
}

/// <summary>The names CSS gives to colour spaces.</summary>
public static class ColorSpaceNames
{
    private static readonly string[] Names =
    [
        "srgb", "srgb-linear", "hsl", "hwb", "lab", "lch", "oklab", "oklch",
        "xyz-d65", "xyz-d50", "display-p3", "a98-rgb", "prophoto-rgb", "rec2020",
    ];

    public static string CssName(this ColorSpace space) => Names[(int)space];

    /// <summary>Finds a space by its CSS name, without case; <c>xyz</c> is <c>xyz-d65</c>.</summary>
    public static bool TryParse(string name, out ColorSpace space)
    {
        var index = Array.FindIndex(Names, n => n.Equals(name, StringComparison.OrdinalIgnoreCase));
        if (index < 0 && name.Equals("xyz", StringComparison.OrdinalIgnoreCase)) index = (int)ColorSpace.XyzD65;
        space = (ColorSpace)Math.Max(index, 0);
        return index >= 0;
    }
}
