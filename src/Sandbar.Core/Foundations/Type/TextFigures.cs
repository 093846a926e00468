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
}
