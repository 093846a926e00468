namespace Sandbar.Css.Colors;

/// <summary>Contrast of text or lines against what is behind them. Source: WCAG 2.2, "relative luminance" and "contrast ratio".</summary>
public static class Contrast
{
    /// <summary>What text needs (WCAG 2.2, 1.4.3).</summary>
    public const double Text = 4.5;

    /// <summary>Relative luminance, 0 (black) to 1 (white) inside sRGB.</summary>
    public static double Luminance(Color color)
    {
        var linear = color.To(ColorSpace.SrgbLinear);
        return 0.2126 * linear.C1 + 0.7152 * linear.C2 + 0.0722 * linear.C3;
    }

    /// <summary>Contrast ratio, 1 to 21, not rounded. Text with alpha is composited on the ground, a ground with alpha on white.</summary>
    public static double Ratio(Color text, Color ground)
    {
        var below = Compositing.Over(ground, Color.White);
        double a = Luminance(Compositing.Over(text, below)), b = Luminance(below);
        return (Math.Max(a, b) + 0.05) / (Math.Min(a, b) + 0.05);
    }
}
