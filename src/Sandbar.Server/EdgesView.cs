using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Foundations.Motion;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Reviewing;

namespace Sandbar.Server;

/// <summary>What edges and motion come to, to be drawn large: in the first scheme of the site.</summary>
public sealed record EdgesView(IReadOnlyList<RadiusView> Radii, IReadOnlyList<ShadowView> Shadows, IReadOnlyList<EasingView> Easings)
{
    /// <summary>The width of the window it is drawn for, px.</summary>
    private const int Width = 1280;

    public static EdgesView Of(Site site) => new(
        [.. site.Edges.Radii.Select(r => new RadiusView(r.Id, Px(site, r.Size), r.Down is WordValue ? Px(site, r.Size) : Px(site, r.Down)))],
        [.. site.Edges.Shadows.Select(s => new ShadowView(s.Id, Elevation.Of(s), Elevation.Opacity(s), [.. s.Layers.Select(l => LayerView.Of(site, l))]))],
        [.. site.Motion.Easings.Select(EasingView.Of)]);

    internal static double? Px(Site site, Value length) => Lengths.At(site, length, Width) is { } px ? Math.Round(px, 2) : null;
}

/// <param name="Across">px at 1280; null where it depends on the box.</param>
/// <param name="Down">px at 1280; null where it depends on the box.</param>
public sealed record RadiusView(string Id, double? Across, double? Down);

/// <param name="Height">The figure that gives its layers; null where they are of another kind.</param>
/// <param name="Opacity">Of its layers together, %.</param>
public sealed record ShadowView(string Id, decimal? Height, decimal Opacity, IReadOnlyList<LayerView> Layers);

/// <summary>A layer as it is drawn: px at 1280, null where that is not known.</summary>
/// <param name="Color">CSS, in the first scheme.</param>
/// <param name="Opacity">%.</param>
public sealed record LayerView(string Id, bool IsInner, double? X, double? Y, double? Blur, double? Spread, string Color, decimal Opacity)
{
    public static LayerView Of(Site site, ShadowLayer layer) => new(
        layer.Id, layer.Side.Code() == "inner", EdgesView.Px(site, layer.X), EdgesView.Px(site, layer.Y), EdgesView.Px(site, layer.Blur), EdgesView.Px(site, layer.Spread),
        Swatches.Of(site, layer.Color) ?? "transparent", layer.Opacity.Amount());
}

/// <param name="Css">What it becomes.</param>
/// <param name="Points">How far along a change is, from its beginning to its end in even steps of time.</param>
public sealed record EasingView(string Id, string Css, IReadOnlyList<double> Points)
{
    private const int Count = 100;

    private static readonly ConditionalWeakTable<Easing, EasingView> Known = [];

    public static EasingView Of(Easing easing) => Known.GetValue(easing, Drawn);

    private static EasingView Drawn(Easing easing) => new(easing.Id, EasingKind.Css(easing), [.. Enumerable.Range(0, Count + 1).Select(i => Math.Round(Easings.At(easing, (double)i / Count), 4))]);
}

/// <summary>Pages as the stage measured them.</summary>
public sealed record MeasuredPages(IReadOnlyList<MeasuredPage> Pages);

/// <param name="Practice">What the shares are held against.</param>
public sealed record BorderSharesView(IReadOnlyList<BorderShare> Pages, string Practice);
