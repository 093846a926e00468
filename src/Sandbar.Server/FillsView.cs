using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>What fills come to, to be drawn large: in the first scheme of the site.</summary>
/// <param name="Tonings">Pairs of colours that are proposed to tone pictures in.</param>
public sealed record FillsView(IReadOnlyList<GradientView> Gradients, IReadOnlyList<BackgroundView> Backgrounds, IReadOnlyList<ToningView> Tonings)
{
    public static FillsView Of(Site site) => new(
        [.. site.Fills.Gradients.Select(g => GradientView.Of(site, g))], [.. site.Fills.Backgrounds.Select(b => BackgroundView.Of(site, b))],
        [.. Toning.Pairs(site).Select(p => new ToningView(p.Shadows.Name, p.Highlights.Name, ColorText.Hex(site.Palette.Row(p.Shadows).Base), ColorText.Hex(site.Palette.Row(p.Highlights).Base)))]);
}

/// <param name="Html">As it is painted: its layers as elements over each other, the lowest first, to be blended within what holds them.</param>
/// <param name="IsElements">Whether it is elements on the pages, too, for which only some things have room.</param>
/// <param name="Class">The class of its elements on the pages.</param>
public sealed record BackgroundView(string Id, string Class, string Html, bool IsElements, IReadOnlyList<FillLayerView> Layers)
{
    public static BackgroundView Of(Site site, Background background) => new(background.Id, FillLayers.ClassOf(background), Drawn(site, background.Layers), BackgroundKind.NeedsElement(background), [.. background.Layers.Select(l => FillLayerView.Of(site, l))]);

    internal static string Drawn(Site site, IEnumerable<BackgroundLayer> layers) =>
        FillLayers.Drawn(site, site.Palette.Schemes[0], layers, StageEndpoints.AssetAddress, fill => Swatches.Of(site, fill) ?? "transparent");
}

/// <param name="Html">What it is by itself; nothing where it is off.</param>
/// <param name="Placed">Id of the picture or clip it is; null of a colour or gradient.</param>
/// <param name="FocusX">Where its focal point lies, % of the picture from the left.</param>
/// <param name="FocusY">% from the top.</param>
public sealed record FillLayerView(string Id, string Html, string? Placed, decimal FocusX, decimal FocusY)
{
    public static FillLayerView Of(Site site, BackgroundLayer layer)
    {
        var (x, y) = FillLayers.FocusOf(site, layer);
        return new(layer.Id, BackgroundView.Drawn(site, [layer]), BackgroundKind.IsPlaced(layer) ? ((ReferenceValue)layer.Fill).Id : null, x, y);
    }
}

/// <param name="Shadows">The darker colour, as it is typed.</param>
/// <param name="Dark">The same as hex.</param>
public sealed record ToningView(string Shadows, string Highlights, string Dark, string Light);

/// <param name="Css">As it is painted.</param>
/// <param name="Line">The same colours from left to right; null of a mesh.</param>
/// <param name="Along">Colours along its line in even steps, as hex, on the scheme's ground; none of a mesh.</param>
/// <param name="Plain">What older browsers show; null where that is the same.</param>
public sealed record GradientView(string Id, string Css, string? Line, IReadOnlyList<string> Along, IReadOnlyList<StopView> Stops, IReadOnlyList<ReadingView> Readings, PlainView? Plain)
{
    public static GradientView Of(Site site, Gradient gradient)
    {
        var figures = GradientFigures.Of(site, gradient, site.Palette.Schemes[0]);
        string Painted(Gradient one) => GradientKind.Css(new(site), one, color => Swatches.Of(site, color) ?? "transparent");
        return new(
            gradient.Id, Painted(gradient), GradientKind.IsMesh(gradient) ? null : Painted(GradientKind.Straight(gradient)), [.. figures.Along.Select(ColorText.Hex)],
            [.. figures.Stops.Select(s => new StopView(s.Id, ColorText.Hex(s.Color), s.Says))],
            [.. figures.Readings.Select(r => new ReadingView(r.Role, site.Palette.Roles.Get(r.Role).Name, [.. r.Stops.Select(Cut)], Cut(r.Worst), r.At))],
            figures.Plain is { } plain ? new(plain.Stops.Length, Math.Round(plain.Difference, 1)) : null);
    }

    /// <summary>Cut off, not rounded up: 4.49 is no 4.5.</summary>
    private static double Cut(double ratio) => Math.Floor(ratio * 100) / 100;
}

/// <param name="Color">As it is seen on the scheme's ground, hex.</param>
/// <param name="Says">What it does not do as it stands; empty where there is nothing to say.</param>
public sealed record StopView(string Id, string Color, string Says);

/// <summary>A text's colour over a gradient.</summary>
/// <param name="Stops">Contrast at each stop.</param>
/// <param name="Worst">The lowest along it.</param>
/// <param name="At">Where, % along it; null of a mesh.</param>
public sealed record ReadingView(string Role, string Name, IReadOnlyList<double> Stops, double Worst, double? At);

/// <param name="Stops">How many plain stops there are instead.</param>
/// <param name="Difference">CIEDE2000 where they differ most.</param>
public sealed record PlainView(int Stops, double Difference);
