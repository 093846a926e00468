using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Starting;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>The fills of Pellwyn: lights, a bed, a frost, a garden, veils; and backgrounds of them.</summary>
internal static class PellwynFills
{
    public static FillFoundation Fills { get; } = new(
    [
        .. Starter.Fills.Gradients,
        Of("lamplight", GradientKind.Radial, "oklab", "lights", Stop(("husk", 2), 0), Stop(("husk", 0), 34), Stop(("leaf", 6), 72), Stop(("leaf", 4), 100)) with { X = Share(38), Y = Share(52) },
        Of("lamp", GradientKind.Radial, "oklab", "lights", Stop(("pollen", 0), 0) with { Alpha = Share(38) }, Stop(("pollen", 0), 45) with { Alpha = Share(14) }, Stop(("pollen", 0), 100) with { Alpha = Share(0) }) with { X = Share(38), Y = Share(52) },
        Of("furrow", GradientKind.Linear, "oklch", "grounds", Stop(("leaf", 2), 0), Stop(("leaf", 0), 45), Stop(("leaf", -3), 100)) with { Angle = new NumberValue(165, "deg") },
        Of("first frost", GradientKind.Conic, "oklab", "lights", Stop(("husk", 0), 0), Stop(("rain", 5), 50), Stop(("husk", 0), 100)),
        Of("allotment", Gradient.Mesh, Gradient.Unsaid, "grounds",
            Stop(("pollen", 0), 0) with { X = Share(14), Y = Share(20), Reach = Share(70) }, Stop(("beet", 1), 0) with { X = Share(86), Y = Share(24), Reach = Share(64) },
            Stop(("leaf", 0), 0) with { X = Share(52), Y = Share(104), Reach = Share(72) }, Stop(("husk", 0), 0)),
        Of("mist", GradientKind.Linear, "oklab", "veils", Ground(0, 96), Ground(45, 84), Ground(100, 12)) with { Toward = new WordValue("right") },
        Of("dusk veil", GradientKind.Linear, Gradient.Unsaid, "veils", Stop(("soil", 0), 0) with { Alpha = Share(0) }, Stop(("soil", 0), 100) with { Alpha = Share(85) }) with { Toward = new WordValue("bottom") },
    ])
    {
        Backgrounds =
        [
            new("bed-at-dusk", "bed at dusk", "bed-at-dusk",
            [
                Layer("layer-1", "dusk-veil"), Layer("layer-2", "first-frost") with { Opacity = Share(40), Blend = new WordValue("soft-light") }, Layer("layer-3", "furrow"),
            ]) { Group = new WordValue("grounds") },
            new("evening-at-the-beds", "evening at the beds", "evening-at-the-beds",
            [
                Layer("layer-1", "mist"),
                Picture("layer-2", "evening-beds") with { Toning = new WordValue(BackgroundKind.TwoColors), Shadows = Starter.ToColor("leaf", -4), Highlights = Starter.ToColor("pollen", 4) },
            ]) { Group = new WordValue("pictures") },
            new("rain-on-leaves", "rain on leaves", "rain-on-leaves",
            [
                new("layer-1", new ReferenceValue(RoleKind.Kind, RoleKind.Ground)) { Opacity = Share(62) },
                new("layer-2", new ReferenceValue(ClipKind.Kind, "rain")),
            ]) { Group = new WordValue("pictures") },
            new("lamp-on-the-words", "lamp on the words", "lamp-on-the-words", [Layer("layer-1", "lamp") with { Centre = new WordValue(BackgroundKind.OnText) }, new("layer-2", new ReferenceValue(RoleKind.Kind, RoleKind.Ground))]) { Group = new WordValue("grounds") },
            new("linen", "linen", "linen",
            [
                Layer("layer-1", "dawn") with { Opacity = Share(35) },
                Picture("layer-2", "weave") with { Fit = new WordValue(BackgroundKind.OwnSize), Opacity = Share(9) },
                new("layer-3", new ReferenceValue(RoleKind.Kind, "raised")),
            ]) { Group = new WordValue("pictures") },
        ],
    };

    private static BackgroundLayer Layer(string id, string gradient) => new(id, new ReferenceValue(GradientKind.Kind, gradient));

    private static BackgroundLayer Picture(string id, string picture) => new(id, new ReferenceValue(PictureKind.Kind, picture));

    private static Gradient Of(string name, string kind, string space, string group, params ImmutableArray<GradientStop> stops)
    {
        var id = name.Replace(' ', '-');
        return GradientKind.Between(id, name, id, 180, stops[0].Color, stops[^1].Color) with
        {
            Kind = new WordValue(kind),
            Space = new WordValue(space),
            Group = new WordValue(group),
            Stops = [.. stops.Select((s, i) => s with { Id = $"stop-{i + 1}" })],
        };
    }

    private static GradientStop Stop((string Name, int Step) color, int at) => new("", Starter.ToColor(color.Name, color.Step), Share(at));

    /// <summary>The ground of whatever scheme it lies in, of which so much is seen.</summary>
    private static GradientStop Ground(int at, int alpha) => new("", new ReferenceValue(RoleKind.Kind, RoleKind.Ground), Share(at)) { Alpha = Share(alpha) };

    private static NumberValue Share(int share) => new(share, "%");
}
