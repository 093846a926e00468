using System.Globalization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Typography;

/// <summary>The type scale's sizes: base × ratio to the power of the position.</summary>
public static class Scale
{
    /// <summary>A position's size at both ends, px.</summary>
    public static (double From, double To) Sizes(TypeScale scale, int step) => (At(scale.From, step), At(scale.To, step));

    /// <summary>The positions of a scale, smallest first.</summary>
    public static IEnumerable<int> Steps(TypeScale scale) => Enumerable.Range(scale.Lowest, scale.Highest - scale.Lowest + 1);

    /// <summary>A position's size in px at a viewport width.</summary>
    public static double At(TypeScale scale, int step, double width)
    {
        var (from, to) = Sizes(scale, step);
        return Fluid.At(width, (double)scale.From.Width, from, (double)scale.To.Width, to);
    }

    /// <summary>A position as CSS.</summary>
    public static string Css(TypeScale scale, int step)
    {
        var (from, to) = Sizes(scale, step);
        return Fluid.Css((double)scale.From.Width, from, (double)scale.To.Width, to);
    }

    /// <summary>How a position is written: +4, 0, −1.</summary>
    public static string Label(int step) => step > 0 ? $"+{step}" : step.ToString(CultureInfo.InvariantCulture).Replace('-', '−');

    /// <summary>The custom property of a position.</summary>
    public static string CssName(int step) => step < 0 ? $"--size-minus-{-step}" : $"--size-{step}";

    private static double At(ScaleEnd end, int step) => (double)end.Base * Math.Pow((double)end.Ratio, step);
}
