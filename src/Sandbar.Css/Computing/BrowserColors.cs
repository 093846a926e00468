using Sandbar.Css.Colors;

namespace Sandbar.Css.Computing;

/// <summary>
/// Colours from space to space with the numbers that Chromium reckons with: its matrices are rounded otherwise than the standard's, which shows in the fifth digit. Found by asking
/// Debian's Chromium for <c>color(from … xyz-d65 x y z)</c> and its like, and held to it by ComputedValueTests.
/// </summary>
internal static class BrowserColors
{
    // To XYZ on D50, as ICC profiles keep it: in steps of 1/65536.
    private static readonly Matrix SrgbToXyz = new(0.436065674, 0.385147095, 0.143066406, 0.222488403, 0.716873169, 0.060607910, 0.013916016, 0.097076416, 0.714096069);

    private static readonly Matrix P3ToXyz = new(0.515102, 0.291965, 0.157153, 0.241182, 0.692236, 0.0665819, -0.00104941, 0.0418818, 0.784378);

    // Bradford's adaptation from x, y = 0.3127, 0.3290 to 0.96422, 1, 0.82521.
    private static readonly Matrix D65ToD50 = new(1.0478572906, 0.0229074518, -0.0501622841, 0.0295704931, 0.9904754999, -0.0170614922, -0.0092404545, 0.0150529681, 0.7519708445);

    private static readonly Matrix XyzToLms = new(0.8190224432164319, 0.3619062562801221, -0.12887378261216414, 0.0329836671980271, 0.9292868468965546, 0.03614466816999844, 0.048177199566046255, 0.26423952494422764, 0.6335478258136937);

    private static readonly Matrix LmsToOklab = new(0.2104542553, 0.7936177850, -0.0040720468, 1.9779984951, -2.4285922050, 0.4505937099, 0.0259040371, 0.7827717662, -0.8086757660);

    private static readonly Matrix XyzToSrgb = SrgbToXyz.Inverse(), XyzToP3 = P3ToXyz.Inverse(), D50ToD65 = D65ToD50.Inverse(), LmsToXyz = XyzToLms.Inverse(), OklabToLms = LmsToOklab.Inverse();

    /// <summary>The same colour in another space; nothing is clipped.</summary>
    public static Color To(Color color, ColorSpace space)
    {
        if (color.Space == space || (IsOfSrgb(color.Space) && IsOfSrgb(space)) || (IsPolarTwin(color.Space, space))) return color.To(space);
        var xyz = ToXyz(color);
        return space switch
        {
            ColorSpace.XyzD50 => Of(ColorSpace.XyzD50, xyz, color.Alpha),
            ColorSpace.XyzD65 => Of(ColorSpace.XyzD65, D50ToD65 * xyz, color.Alpha),
            ColorSpace.Oklab or ColorSpace.Oklch => Of(ColorSpace.Oklab, LmsToOklab * (XyzToLms * (D50ToD65 * xyz)).Map(Math.Cbrt), color.Alpha).To(space),
            ColorSpace.Lab or ColorSpace.Lch => Of(ColorSpace.Lab, ToLab(xyz), color.Alpha).To(space),
            ColorSpace.DisplayP3 => Of(space, (XyzToP3 * xyz).Map(ColorConversion.Gamma), color.Alpha),
            ColorSpace.Rec2020 => Of(space, (Matrix.XyzToRec2020 * (D50ToD65 * xyz)).Map(FromLight), color.Alpha),
            _ when IsOfSrgb(space) => Of(ColorSpace.Srgb, (XyzToSrgb * xyz).Map(ColorConversion.Gamma), color.Alpha).To(space),
            _ => Of(ColorSpace.XyzD50, xyz, color.Alpha).To(space),
        };
    }

    /// <summary>The same for mixing: of what is nearly grey the hue says nothing (found by asking; the standard's bounds are narrower).</summary>
    public static Color ToMix(Color color, ColorSpace space)
    {
        var converted = To(color, space);
        return space is ColorSpace.Lch or ColorSpace.Oklch && converted.C2 <= Grey ? converted with { C3 = double.NaN } : converted;
    }

    private const double Grey = 0.02;

    private static bool IsOfSrgb(ColorSpace space) => space is ColorSpace.Srgb or ColorSpace.SrgbLinear or ColorSpace.Hsl or ColorSpace.Hwb;

    private static bool IsPolarTwin(ColorSpace a, ColorSpace b) => (a, b) is (ColorSpace.Lab, ColorSpace.Lch) or (ColorSpace.Lch, ColorSpace.Lab) or (ColorSpace.Oklab, ColorSpace.Oklch) or (ColorSpace.Oklch, ColorSpace.Oklab);

    private static Vector ToXyz(Color color)
    {
        switch (color.Space)
        {
            case ColorSpace.XyzD65:
                return D65ToD50 * VectorOf(color);
            case ColorSpace.Oklab or ColorSpace.Oklch:
                return D65ToD50 * (LmsToXyz * (OklabToLms * VectorOf(color.To(ColorSpace.Oklab))).Map(v => v * v * v));
            case ColorSpace.Lab or ColorSpace.Lch:
                return FromLab(VectorOf(color.To(ColorSpace.Lab)));
            case ColorSpace.Rec2020:
                return D65ToD50 * (Matrix.Rec2020ToXyz * VectorOf(color).Map(ToLight));
            case ColorSpace.DisplayP3:
                return P3ToXyz * VectorOf(color).Map(ColorConversion.Linear);
            case var space when IsOfSrgb(space):
                return SrgbToXyz * VectorOf(color.To(ColorSpace.SrgbLinear));
            default:
                return VectorOf(color.To(ColorSpace.XyzD50));
        }
    }

    // The curve of cameras (ITU-R BT.2020-2, table 4), where CSS Color 4 by now has that of screens.
    private const double CameraAlpha = 1.09929682680944, CameraBeta = 0.018053968510807;

    private static double FromLight(double light) => Math.Abs(light) < CameraBeta ? 4.5 * light : Math.CopySign(CameraAlpha * Math.Pow(Math.Abs(light), 0.45) - (CameraAlpha - 1), light);

    private static double ToLight(double value) => Math.Abs(value) < 4.5 * CameraBeta ? value / 4.5 : Math.CopySign(Math.Pow((Math.Abs(value) + CameraAlpha - 1) / CameraAlpha, 1 / 0.45), value);

    // CIE Lab on a D50 of 0.9642, 1, 0.8251.
    private const double WhiteX = 0.9642, WhiteZ = 0.8251, Kappa = 24389d / 27, Epsilon = 216d / 24389;

    private static Vector ToLab(Vector xyz)
    {
        var f = new Vector(xyz.X / WhiteX, xyz.Y, xyz.Z / WhiteZ).Map(v => v > Epsilon ? Math.Cbrt(v) : (Kappa * v + 16) / 116);
        return new(116 * f.Y - 16, 500 * (f.X - f.Y), 200 * (f.Y - f.Z));
    }

    private static Vector FromLab(Vector lab)
    {
        var y = (lab.X + 16) / 116;
        var xyz = new Vector(lab.Y / 500 + y, y, y - lab.Z / 200).Map(f => f * f * f > Epsilon ? f * f * f : (116 * f - 16) / Kappa);
        return new(xyz.X * WhiteX, lab.X > Kappa * Epsilon ? y * y * y : lab.X / Kappa, xyz.Z * WhiteZ);
    }

    private static Vector VectorOf(Color color) => new(Known(color.C1), Known(color.C2), Known(color.C3));

    private static double Known(double component) => double.IsNaN(component) ? 0 : component;

    private static Color Of(ColorSpace space, Vector v, double alpha) => new(space, v.X, v.Y, v.Z, alpha);
}
