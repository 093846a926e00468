namespace Sandbar.Css.Colors;

/// <summary>How different two colours look.</summary>
public static class Difference
{
    /// <summary>Euclidean distance in OKLab (ΔEOK); about 0.02 is just noticeable.</summary>
    public static double Oklab(Color a, Color b)
    {
        Color x = a.To(ColorSpace.Oklab), y = b.To(ColorSpace.Oklab);
        double l = x.C1 - y.C1, m = x.C2 - y.C2, n = x.C3 - y.C3;
        return Math.Sqrt(l * l + m * m + n * n);
    }

    /// <summary>CIEDE2000 on D50 Lab; about 1 is just noticeable. Source: Sharma, Wu, Dalal, Color Res. Appl. 30(1), 2005.</summary>
    public static double Ciede2000(Color a, Color b)
    {
        Color x = a.To(ColorSpace.Lab), y = b.To(ColorSpace.Lab);
        double meanC = (Math.Sqrt(x.C2 * x.C2 + x.C3 * x.C3) + Math.Sqrt(y.C2 * y.C2 + y.C3 * y.C3)) / 2;
        var g = 0.5 * (1 - Math.Sqrt(Seventh(meanC)));
        double a1 = (1 + g) * x.C2, a2 = (1 + g) * y.C2;
        double c1 = Math.Sqrt(a1 * a1 + x.C3 * x.C3), c2 = Math.Sqrt(a2 * a2 + y.C3 * y.C3);
        double h1 = Hue(x.C3, a1), h2 = Hue(y.C3, a2);

        double dL = y.C1 - x.C1, dC = c2 - c1;
        var grey = c1 * c2 == 0;
        var turn = h2 - h1;
        var dh = grey ? 0 : turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
        var dH = 2 * Math.Sqrt(c1 * c2) * Sin(dh / 2);

        double l = (x.C1 + y.C1) / 2, c = (c1 + c2) / 2, sum = h1 + h2;
        var h = grey ? sum : Math.Abs(h1 - h2) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
        var t = 1 - 0.17 * Cos(h - 30) + 0.24 * Cos(2 * h) + 0.32 * Cos(3 * h + 6) - 0.20 * Cos(4 * h - 63);
        var bend = (h - 275) / 25;
        var turning = 30 * Math.Exp(-bend * bend);
        var squared = (l - 50) * (l - 50);
        var sL = 1 + 0.015 * squared / Math.Sqrt(20 + squared);
        double sC = 1 + 0.045 * c, sH = 1 + 0.015 * c * t;
        var rT = -Sin(2 * turning) * 2 * Math.Sqrt(Seventh(c));
        double p = dL / sL, q = dC / sC, r = dH / sH;
        return Math.Sqrt(p * p + q * q + r * r + rT * q * r);
    }

    private static double Seventh(double chroma)
    {
        var power = Math.Pow(chroma, 7);
        return power / (power + 6103515625); // 25⁷
    }

    private static double Hue(double b, double a)
    {
        if (a == 0 && b == 0) return 0;
        var hue = Math.Atan2(b, a) * (180 / Math.PI);
        return hue < 0 ? hue + 360 : hue;
    }

    private static double Sin(double degrees) => Math.Sin(degrees * (Math.PI / 180));

    private static double Cos(double degrees) => Math.Cos(degrees * (Math.PI / 180));
}
