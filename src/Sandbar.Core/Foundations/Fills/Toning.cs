using System.Collections.Immutable;
using System.Globalization;
using System.Numerics;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>
/// Pictures in two colours: how light a pixel is decides where between them it lies. Lightness is the weighted sum of the coded channels, with the weights of
/// luminance (Filter Effects 1, §9.6, <c>feColorMatrix</c>, luminanceToAlpha, in sRGB).
/// </summary>
public static class Toning
{
    /// <summary>How many pairs are proposed at most.</summary>
    private const int MostPairs = 6;

    /// <summary>The least difference in lightness of a pair that is proposed, OKLab.</summary>
    private const double LeastSpan = 0.35;

    private const double Red = 0.2126, Green = 0.7152, Blue = 0.0722;

    /// <summary>A pixel as it is toned; its alpha stays.</summary>
    /// <param name="pixel">As it is painted (<see cref="Premultiplied"/>).</param>
    /// <param name="shadows">Opaque.</param>
    /// <param name="highlights">Opaque.</param>
    public static Vector4 Of(Vector4 pixel, Vector4 shadows, Vector4 highlights)
    {
        var toned = shadows * pixel.W + Vector4.Dot(pixel, new((float)Red, (float)Green, (float)Blue, 0)) * (highlights - shadows);
        return toned with { W = pixel.W };
    }

    /// <summary>The filter that does so, as an address of its own: a file of filters beside the sheet is not taken from a folder.</summary>
    public static string Css(Color shadows, Color highlights)
    {
        var (dark, bright) = (Gamut.Rounded(shadows), Gamut.Rounded(highlights));
        var weights = string.Create(CultureInfo.InvariantCulture, $"{Red} {Green} {Blue} 0 0 ");
        string Channel(char name, double from, double to) => string.Create(CultureInfo.InvariantCulture, $"%3CfeFunc{name} type='table' tableValues='{from:0.####} {to:0.####}'/%3E");
        return "url(\"data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg'%3E%3Cfilter id='tone' color-interpolation-filters='sRGB'%3E"
            + $"%3CfeColorMatrix values='{weights}{weights}{weights}0 0 0 1 0'/%3E%3CfeComponentTransfer%3E{Channel('R', dark.C1, bright.C1)}{Channel('G', dark.C2, bright.C2)}{Channel('B', dark.C3, bright.C3)}"
            + "%3C/feComponentTransfer%3E%3C/filter%3E%3C/svg%3E#tone\")";
    }

    /// <summary>Pairs of the palette's own colours that tone a picture so that it can still be read: dark and light, the most colourful first, of those the ones furthest apart in lightness.</summary>
    public static ImmutableArray<(BaseColor Shadows, BaseColor Highlights)> Pairs(Site site)
    {
        var colors = site.Palette.Colors.Select(c => (Color: c, Lch: site.Palette.Row(c).Base.To(ColorSpace.Oklch))).ToList();
        var pairs = from dark in colors
                    from light in colors
                    where light.Lch.C1 - dark.Lch.C1 >= LeastSpan
                    orderby dark.Lch.C2 + light.Lch.C2 + (light.Lch.C1 - dark.Lch.C1) / 4 descending
                    select (dark.Color, light.Color);
        return [.. pairs.Take(MostPairs)];
    }
}
