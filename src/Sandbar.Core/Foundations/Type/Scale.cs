using System.Globalization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Type;

/// <summary>The type scale's sizes: base × ratio to the power of the position.</summary>
public static class Scale
{
    /// <summary>A position's size at both ends, px.</summary>
    public static (double From, double To) Sizes(TypeScale scale, int step) => (At(scale.Ends[0], step), At(scale.Ends[1], step));

    /// <summary>The positions of a scale, smallest first.</summary>
    public static IEnumerable<int> Steps(TypeScale scale) => Enumerable.Range(scale.Lowest, scale.Highest - scale.Lowest + 1);

    /// <summary>A position's size in px at a viewport width.</summary>
    public static double At(TypeScale scale, int step, double width)
    {
        var (from, to) = Sizes(scale, step);
        return Fluid.At(width, Width(scale, 0), from, Width(scale, 1), to);
    }

    /// <summary>A position as CSS.</summary>
    public static string Css(TypeScale scale, int step)
    {
        var (from, to) = Sizes(scale, step);
        return Fluid.Css(Width(scale, 0), from, Width(scale, 1), to);
    }

    /// <summary>How a position is written: +4, 0, −1.</summary>
    public static string Label(int step) => step > 0 ? $"+{step}" : step.ToString(CultureInfo.InvariantCulture).Replace('-', '−');

    private static double Width(TypeScale scale, int end) => (double)scale.Ends[end].Width.Amount();

    /// <summary>A position's size where the base and the ratio are known.</summary>
    public static double At(double size, double ratio, int step) => size * Math.Pow(ratio, step);

    private static double At(ScaleEnd end, int step) => At((double)end.Base.Amount(), (double)end.Ratio.Amount(), step);
}
