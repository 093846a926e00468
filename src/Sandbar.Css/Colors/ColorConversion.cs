using System.Runtime.Intrinsics;

namespace Sandbar.Css.Colors;

/// <summary>Conversion between colour spaces. Source: CSS Color Module Level 4, §11 to §17 and its sample code.</summary>
public static class ColorConversion
{
    // CSS Color 4: below these a hue says nothing (is "powerless").
    private const double LchPowerless = 0.0015, OklchPowerless = 0.000004, HslPowerless = 1e-9;

    private static readonly double[] LinearOfByte = [.. Enumerable.Range(0, 256).Select(i => Linear(i / 255d))];

    /// <summary>Converts without clipping; missing components count as 0.</summary>
    public static Color Convert(Color color, ColorSpace to)
    {
        var c = new Vector(Known(color.C1), Known(color.C2), Known(color.C3));
        var result = color.Space == to ? c : Direct(c, color.Space, to) ?? FromXyz(ToXyz(c, color.Space), to);
        if (HasPowerlessHue(result, to))
            result = to is ColorSpace.Hsl or ColorSpace.Hwb ? result with { X = double.NaN } : result with { Z = double.NaN };
        return new Color(to, result.X, result.Y, result.Z, color.Alpha);
    }

    /// <summary>One sRGB or display-p3 channel to linear light, odd about 0.</summary>
    public static double Linear(double value)
    {
        var abs = Math.Abs(value);
        return abs <= 0.04045 ? value / 12.92 : Math.CopySign(Math.Pow((abs + 0.055) / 1.055, 2.4), value);
    }

    /// <summary>One linear channel to sRGB or display-p3, odd about 0.</summary>
    public static double Gamma(double value)
    {
        var abs = Math.Abs(value);
        return abs <= 0.0031308 ? value * 12.92 : Math.CopySign(1.055 * Math.Pow(abs, 1 / 2.4) - 0.055, value);
    }

    private static double Known(double component) => double.IsNaN(component) ? 0 : component;

    /// <summary>The short ways that need no XYZ; null where there is none.</summary>
    private static Vector? Direct(Vector c, ColorSpace from, ColorSpace to) => (from, to) switch
    {
        (ColorSpace.Srgb, ColorSpace.Oklch) => Polar(LinearSrgbToOklab(LinearSrgb(c))),
        (ColorSpace.Srgb, ColorSpace.Oklab) => LinearSrgbToOklab(LinearSrgb(c)),
        (ColorSpace.Srgb, ColorSpace.SrgbLinear) => LinearSrgb(c),
        (ColorSpace.Srgb, ColorSpace.Hsl) => SrgbToHsl(c),
        (ColorSpace.Srgb, ColorSpace.Hwb) => SrgbToHwb(c),
        (ColorSpace.Hsl, ColorSpace.Srgb) => HslToSrgb(c),
        (ColorSpace.Hwb, ColorSpace.Srgb) => HwbToSrgb(c),
        (ColorSpace.SrgbLinear, ColorSpace.Srgb) => c.Map(Gamma),
        (ColorSpace.Oklab, ColorSpace.Oklch) or (ColorSpace.Lab, ColorSpace.Lch) => Polar(c),
        (ColorSpace.Oklch, ColorSpace.Oklab) or (ColorSpace.Lch, ColorSpace.Lab) => Rectangular(c),
        (ColorSpace.Oklch, ColorSpace.Srgb) => OklabToLinearSrgb(Rectangular(c)).Map(Gamma),
        (ColorSpace.Oklab, ColorSpace.Srgb) => OklabToLinearSrgb(c).Map(Gamma),
        (ColorSpace.Oklch, ColorSpace.SrgbLinear) => OklabToLinearSrgb(Rectangular(c)),
        _ => null,
    };

    private static Vector ToXyz(Vector c, ColorSpace space) => space switch
    {
        ColorSpace.Srgb => Matrix.SrgbToXyz * LinearSrgb(c),
        ColorSpace.SrgbLinear => Matrix.SrgbToXyz * c,
        ColorSpace.Hsl => Matrix.SrgbToXyz * HslToSrgb(c).Map(Linear),
        ColorSpace.Hwb => Matrix.SrgbToXyz * HwbToSrgb(c).Map(Linear),
        ColorSpace.Lab => Matrix.D50ToD65 * LabToXyz(c),
        ColorSpace.Lch => Matrix.D50ToD65 * LabToXyz(Rectangular(c)),
        ColorSpace.Oklab => OklabToXyz(c),
        ColorSpace.Oklch => OklabToXyz(Rectangular(c)),
        ColorSpace.XyzD65 => c,
        ColorSpace.XyzD50 => Matrix.D50ToD65 * c,
        ColorSpace.DisplayP3 => Matrix.P3ToXyz * c.Map(Linear),
        ColorSpace.A98Rgb => Matrix.A98ToXyz * c.Map(v => Power(v, 563 / 256d)),
        ColorSpace.ProphotoRgb => Matrix.D50ToD65 * (Matrix.ProphotoToXyz * c.Map(v => Math.Abs(v) <= 16 / 512d ? v / 16 : Power(v, 1.8))),
        ColorSpace.Rec2020 => Matrix.Rec2020ToXyz * c.Map(v => Power(v, 2.4)),
        _ => throw new ArgumentOutOfRangeException(nameof(space)),
    };

    private static Vector FromXyz(Vector xyz, ColorSpace space) => space switch
    {
        ColorSpace.Srgb => (Matrix.XyzToSrgb * xyz).Map(Gamma),
        ColorSpace.SrgbLinear => Matrix.XyzToSrgb * xyz,
        ColorSpace.Hsl => SrgbToHsl((Matrix.XyzToSrgb * xyz).Map(Gamma)),
        ColorSpace.Hwb => SrgbToHwb((Matrix.XyzToSrgb * xyz).Map(Gamma)),
        ColorSpace.Lab => XyzToLab(Matrix.D65ToD50 * xyz),
        ColorSpace.Lch => Polar(XyzToLab(Matrix.D65ToD50 * xyz)),
        ColorSpace.Oklab => XyzToOklab(xyz),
        ColorSpace.Oklch => Polar(XyzToOklab(xyz)),
        ColorSpace.XyzD65 => xyz,
        ColorSpace.XyzD50 => Matrix.D65ToD50 * xyz,
        ColorSpace.DisplayP3 => (Matrix.XyzToP3 * xyz).Map(Gamma),
        ColorSpace.A98Rgb => (Matrix.XyzToA98 * xyz).Map(v => Power(v, 256 / 563d)),
        ColorSpace.ProphotoRgb => (Matrix.XyzToProphoto * (Matrix.D65ToD50 * xyz)).Map(v => Math.Abs(v) < 1 / 512d ? v * 16 : Power(v, 1 / 1.8)),
        // Display-referred gamma 2.4 (ITU-R BT.1886), as CSS Color 4 has had it since 2025; before, it took the camera curve of BT.2020.
        ColorSpace.Rec2020 => (Matrix.XyzToRec2020 * xyz).Map(v => Power(v, 1 / 2.4)),
        _ => throw new ArgumentOutOfRangeException(nameof(space)),
    };

    private static bool HasPowerlessHue(Vector c, ColorSpace space) => space switch
    {
        ColorSpace.Hsl => c.Y <= HslPowerless,
        ColorSpace.Hwb => c.Y + c.Z >= 100 - HslPowerless,
        ColorSpace.Lch => c.Y <= LchPowerless,
        ColorSpace.Oklch => c.Y <= OklchPowerless,
        _ => false,
    };

    /// <summary>sRGB to linear light; whole 8-bit channels, which most colours are, come from a table.</summary>
    private static Vector LinearSrgb(Vector c) => new(LinearChannel(c.X), LinearChannel(c.Y), LinearChannel(c.Z));

    private static double LinearChannel(double value)
    {
        var scaled = value * 255;
        var index = (int)scaled;
        return scaled == index && index is >= 0 and < 256 ? LinearOfByte[index] : Linear(value);
    }

    private static double Power(double value, double exponent) => Math.CopySign(Math.Pow(Math.Abs(value), exponent), value);

    private static Vector Polar(Vector c)
    {
        var hue = Math.Atan2(c.Z, c.Y) * (180 / Math.PI);
        return new(c.X, Math.Sqrt(c.Y * c.Y + c.Z * c.Z), hue < 0 ? hue + 360 : hue);
    }

    private static Vector Rectangular(Vector c)
    {
        var (sin, cos) = Math.SinCos(c.Z * (Math.PI / 180));
        return new(c.X, c.Y * cos, c.Y * sin);
    }

    private static Vector LinearSrgbToOklab(Vector rgb) => Matrix.LmsToOklab * CubeRoots(Matrix.SrgbToLms * rgb);

    /// <summary>
    /// Cube roots to the last digit or two, three at once. A first guess from the exponent bits and three of Halley's steps, each of which triples the digits,
    /// take less time than the library's, and most conversions take three roots.
    /// </summary>
    private static Vector CubeRoots(Vector v)
    {
        if (!(IsPlain(v.X) && IsPlain(v.Y) && IsPlain(v.Z))) return v.Map(Math.Cbrt);
        var given = Vector256.Create(v.X, v.Y, v.Z, 1);
        var abs = Vector256.Abs(given);
        var y = Vector256.Create(Guess(v.X), Guess(v.Y), Guess(v.Z), 1);
        for (var step = 0; step < 3; step++)
        {
            var cube = y * y * y;
            y *= (cube + abs + abs) / (cube + cube + abs);
        }
        y = Vector256.CopySign(y, given);
        return new(y[0], y[1], y[2]);

        static bool IsPlain(double value) => Math.Abs(value) is > 1e-300 and < double.PositiveInfinity;

        static double Guess(double value) => BitConverter.UInt64BitsToDouble((BitConverter.DoubleToUInt64Bits(value) & long.MaxValue) / 3 + 0x2A9F_7893_0000_0000);
    }

    private static Vector OklabToLinearSrgb(Vector lab) => Matrix.LmsToSrgb * (Matrix.OklabToLms * lab).Map(v => v * v * v);

    private static Vector XyzToOklab(Vector xyz) => Matrix.LmsToOklab * (Matrix.XyzToLms * xyz).Map(Math.Cbrt);

    private static Vector OklabToXyz(Vector lab) => Matrix.LmsToXyz * (Matrix.OklabToLms * lab).Map(v => v * v * v);

    // CIE 15:2004, 8.2.1.1 with the exact fractions, relative to D50.
    private const double Kappa = 24389 / 27d, Epsilon = 216 / 24389d;
    private static readonly Vector D50 = new(0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585);

    private static Vector XyzToLab(Vector xyz)
    {
        var f = new Vector(xyz.X / D50.X, xyz.Y / D50.Y, xyz.Z / D50.Z).Map(v => v > Epsilon ? Math.Cbrt(v) : (Kappa * v + 16) / 116);
        return new(116 * f.Y - 16, 500 * (f.X - f.Y), 200 * (f.Y - f.Z));
    }

    private static Vector LabToXyz(Vector lab)
    {
        var fy = (lab.X + 16) / 116;
        var fx = lab.Y / 500 + fy;
        var fz = fy - lab.Z / 200;
        return new(
            Cube(fx) * D50.X,
            lab.X > Kappa * Epsilon ? fy * fy * fy : lab.X / Kappa,
            Cube(fz) * D50.Z);
        static double Cube(double f) => f * f * f > Epsilon ? f * f * f : (116 * f - 16) / Kappa;
    }

    private static Vector SrgbToHsl(Vector c)
    {
        double max = Math.Max(c.X, Math.Max(c.Y, c.Z)), min = Math.Min(c.X, Math.Min(c.Y, c.Z));
        double light = (min + max) / 2, span = max - min;
        if (span <= 1e-12) return new(0, 0, light * 100);
        var saturation = light is 0 or 1 ? 0 : (max - light) / Math.Min(light, 1 - light);
        var hue = SectorHue(c, max, span);
        // Far outside sRGB the saturation turns negative: the opposite hue says the same (CSS Color 4, §7).
        return saturation < 0 ? new((hue + 180) % 360, -saturation * 100, light * 100) : new(hue, saturation * 100, light * 100);
    }

    private static Vector SrgbToHwb(Vector c)
    {
        double max = Math.Max(c.X, Math.Max(c.Y, c.Z)), min = Math.Min(c.X, Math.Min(c.Y, c.Z));
        return new(max - min <= 1e-12 ? 0 : SectorHue(c, max, max - min), min * 100, (1 - max) * 100);
    }

    private static double SectorHue(Vector c, double max, double span)
    {
        var hue = max == c.X ? (c.Y - c.Z) / span + (c.Y < c.Z ? 6 : 0)
            : max == c.Y ? (c.Z - c.X) / span + 2
            : (c.X - c.Y) / span + 4;
        return hue * 60 % 360;
    }

    private static Vector HslToSrgb(Vector hsl)
    {
        double hue = (hsl.X % 360 + 360) % 360, saturation = hsl.Y / 100, light = hsl.Z / 100;
        return new(Channel(0), Channel(8), Channel(4));
        double Channel(int n)
        {
            var k = (n + hue / 30) % 12;
            return light - saturation * Math.Min(light, 1 - light) * Math.Max(-1, Math.Min(Math.Min(k - 3, 9 - k), 1));
        }
    }

    private static Vector HwbToSrgb(Vector hwb)
    {
        double white = hwb.Y / 100, black = hwb.Z / 100;
        if (white + black >= 1) return new(white / (white + black), white / (white + black), white / (white + black));
        return HslToSrgb(new(hwb.X, 100, 50)).Map(v => v * (1 - white - black) + white);
    }
}
