using System.Globalization;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Sizes that grow with the viewport between two widths and stand still outside.</summary>
public static class Fluid
{
    /// <summary>What 1rem is where nobody has changed it, px.</summary>
    public const double Root = 16;

    /// <summary>Wider no window is, px; and what is written with four decimals stays right to a hundredth of a pixel.</summary>
    private const double Largest = 100_000;

    /// <summary>The CSS of a size that is <paramref name="fromSize"/> px at <paramref name="fromWidth"/> and <paramref name="toSize"/> px at <paramref name="toWidth"/>: rem and vw, four decimals.</summary>
    /// <exception cref="ArgumentException">Equal widths, or a width or size that is not above 0.</exception>
    public static string Css(double fromWidth, double fromSize, double toWidth, double toSize)
    {
        var clamp = Clamp(fromWidth, fromSize, toWidth, toSize);
        return fromSize == toSize ? $"{Number(fromSize / Root)}rem" : clamp;
    }

    /// <summary>The same as <c>clamp()</c>, also where both sizes are one.</summary>
    /// <exception cref="ArgumentException">Equal widths, or a width or size that is not above 0.</exception>
    public static string Clamp(double fromWidth, double fromSize, double toWidth, double toSize)
    {
        if (!(fromWidth > 0 && toWidth > 0 && fromSize > 0 && toSize > 0)) throw new ArgumentException("Widths and sizes must be above 0.");
        if (!(fromWidth <= Largest && toWidth <= Largest && fromSize <= Largest && toSize <= Largest)) throw new ArgumentException("Widths and sizes go up to 100000 px.");
        if (fromWidth == toWidth) throw new ArgumentException("The two widths must differ.");
        var slope = (toSize - fromSize) / (toWidth - fromWidth);
        var intercept = fromSize - slope * fromWidth;
        var (smaller, larger) = fromSize < toSize ? (fromSize, toSize) : (toSize, fromSize);
        var sign = slope < 0 ? "-" : "+";
        return $"clamp({Number(smaller / Root)}rem, {Number(intercept / Root)}rem {sign} {Number(Math.Abs(slope) * 100)}vw, {Number(larger / Root)}rem)";
    }

    /// <summary>Whether text of these sizes can still be made twice as large by zoom: the larger is at most 2.5 times the smaller (common practice, after WCAG 2.2, 1.4.4).</summary>
    public static bool IsZoomSafe(double fromSize, double toSize) => Math.Max(fromSize, toSize) <= 2.5 * Math.Min(fromSize, toSize);

    /// <summary>The size in px at a viewport width.</summary>
    public static double At(double width, double fromWidth, double fromSize, double toWidth, double toSize)
    {
        var way = Math.Clamp((width - fromWidth) / (toWidth - fromWidth), 0, 1);
        return fromSize + (toSize - fromSize) * way;
    }

    private static string Number(double value) => Math.Round(value, 4, MidpointRounding.AwayFromZero).ToString("0.####", CultureInfo.InvariantCulture);
}
