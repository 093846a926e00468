using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Edges;

/// <summary>
/// How high a box seems to lie over its ground: one figure gives a stack of soft layers, each half as far and half as blurred as the one below it, so that
/// the shadow is dense near the box and fades out far from it. Common practice of the trade, no published source.
/// </summary>
public static class Elevation
{
    /// <summary>The highest there is, px: how far down the lowest layer falls.</summary>
    public const decimal Highest = 64;

    /// <summary>How much darker all layers together make the ground, %, where nothing else is said.</summary>
    private const decimal UsualOpacity = 24;

    private const int MostLayers = 5;

    /// <summary>The layers of a height, the nearest first.</summary>
    /// <param name="height">px, from 0 on; at 0 there is a shadow that cannot be seen.</param>
    /// <param name="opacity">Of all layers together, %.</param>
    public static ImmutableArray<ShadowLayer> Layers(decimal height, Value color, decimal opacity = UsualOpacity)
    {
        var count = 1;
        while (count < MostLayers && height / (1 << count) >= 1) count++;
        var share = Math.Round(opacity / count, 2);
        return [.. Enumerable.Range(0, count).Select(i =>
        {
            var down = Math.Round(height / (1 << (count - 1 - i)), 2);
            return new ShadowLayer($"layer-{i + 1}", Px(0), Px(down), Px(down * 2), Px(0), color, new NumberValue(height == 0 ? 0 : share, "%"));
        })];
    }

    /// <summary>The height that gives just these layers; null where they are no such stack.</summary>
    public static decimal? Of(Shadow shadow)
    {
        if (shadow.Layers is not [.., { Y: NumberValue { Unit: "px" } far, Color: var color }] || far.Number is < 0 or > Highest) return null;
        var made = Layers(far.Number, color, Opacity(shadow));
        return made.Length == shadow.Layers.Length && made.Zip(shadow.Layers).All(l => l.First with { Id = l.Second.Id } == l.Second) ? far.Number : null;
    }

    /// <summary>What its layers come to together, %.</summary>
    public static decimal Opacity(Shadow shadow) => shadow.Layers.Sum(l => l.Opacity.Amount()) is > 0 and <= 100 and var sum ? Math.Round(sum) : UsualOpacity;

    private static NumberValue Px(decimal px) => new(px, "px");
}
