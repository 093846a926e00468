using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Figures of text styles.</summary>
public static class TextFigures
{
    /// <summary>How wide a character of running text is in a style's letters, em, without its letter spacing; null where no file of its family is known.</summary>
    public static double? Advance(Site site, TextStyle style) =>
        TextStyleKind.FamilyOf(site, style) is { } family && Faces.Measures(family, style.Weight.Amount(), style.Slant.Code() == TextStyle.Italic) is { } measures
            ? FontMeasuring.WidthAt(measures, style.Weight.Amount()) / FallbackFace.Sample.Length : null;

    /// <summary>The size of a style's letters at a viewport width, px; null where it depends on what is around them.</summary>
    public static double? Size(Site site, TextStyle style, double width) => style.Size switch
    {
        ReferenceValue { To: SizeKind.Kind } size => Scale.At(site.Type.Scale, size.Step, width),
        NumberValue { Unit: "vw" } share => (double)share.Number / 100 * width,
        NumberValue number => Pixels(number),
        _ => null,
    };

    /// <summary>A length in px that is the same everywhere; null for one that is not. A point is 4/3 px (CSS Values 4, §6.2).</summary>
    public static double? Pixels(NumberValue length) => length.Unit switch
    {
        "px" => (double)length.Number,
        "pt" => (double)length.Number * 4 / 3,
        "rem" => (double)length.Number * Fluid.Root,
        _ => null,
    };

    /// <summary>A length in px within letters of a size; 0 where it depends on more than that.</summary>
    public static double Pixels(Value length, double size) => length switch
    {
        NumberValue { Unit: "em" } em => (double)em.Number * size,
        NumberValue number => Pixels(number) ?? 0,
        _ => 0,
    };

    /// <summary>The line height in times of the letters' size, where they are largest; null where that depends on more.</summary>
    public static double? Spacing(Site site, TextStyle style) => style.LineHeight switch
    {
        NumberValue { Unit: "" or "em" } times => (double)times.Number,
        NumberValue { Unit: "%" } share => (double)share.Number / 100,
        NumberValue length when Pixels(length) is { } height && Ends(site).Max(width => Size(site, style, width)) is { } size => height / size,
        _ => null,
    };

    /// <summary>The smallest zoom, per cent, at which letters are twice as large as without, whatever the window's width; null where zoom never does it (WCAG 2.2, SC 1.4.4).</summary>
    public static int? DoubledAt(Site site, TextStyle style) => DoubledAt(site.Type.Scale.Ends, width => Size(site, style, width) ?? double.NaN);

    /// <summary>The same of a size by the window's width, px.</summary>
    public static int? DoubledAt(ImmutableArray<ScaleEnd> ends, Func<double, double> size)
    {
        var windows = Windows(ends).ToList();
        // Zooming in makes the window narrower: sizes that grow with it shrink meanwhile.
        for (var zoom = 200; zoom <= MostZoom; zoom += 5)
        {
            if (windows.TrueForAll(width => size(width * 100 / zoom) * zoom / 100 >= 2 * size(width) - 1e-9)) return zoom;
        }
        return null;
    }

    /// <summary>As far as browsers zoom, per cent.</summary>
    private const int MostZoom = 500;

    /// <summary>Windows between a phone and twice what the scale ends at, px.</summary>
    private static IEnumerable<double> Windows(ImmutableArray<ScaleEnd> ends)
    {
        var widths = ends.Select(e => (double)e.Width.Amount()).ToList();
        return Enumerable.Range(0, 21).Select(i => 320 + (Math.Max(widths.Max(), 640) * 2 - 320) * i / 20).Concat(widths);
    }

    private static IEnumerable<double> Ends(Site site) => site.Type.Scale.Ends.Select(e => (double)e.Width.Amount());
}
