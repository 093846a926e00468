using Sandbar.Css.Colors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Computing;

/// <summary>The colours of computed gradients. Sources: CSS Images 4, §3.4; CSS Color 4, §12.</summary>
public static class GradientColors
{
    /// <summary>The colours along a gradient, whatever its shape and wherever its stops are; none where it is no gradient.</summary>
    /// <param name="gradient">As it is computed.</param>
    /// <param name="between">Steps from each stop to the next.</param>
    public static IReadOnlyList<Color> Along(ComponentValue gradient, int between)
    {
        if (gradient is not FunctionValue function || !function.Name.EndsWith("gradient", StringComparison.OrdinalIgnoreCase)) return [];
        var entries = ComputedText.Entries(function.Values);
        var stops = entries.SelectMany(e => e).Where(v => ColorText.TryRead(v, out _)).ToList();
        if (stops.Count == 0) return [];
        // Where all are written as of old they are mixed as of old.
        var space = stops.All(s => s is FunctionValue { Name: "rgb" or "rgba" }) ? ColorSpace.Srgb : ColorSpace.Oklab;
        var way = HueWay.Shorter;
        var head = entries[0].WithoutSpace();
        for (var i = 0; i + 1 < head.Length; i++)
        {
            if (head[i] is not Token word || !word.IsIdent("in") || head[i + 1] is not Token named || !ColorSpaceNames.TryParse(named.Text, out var given)) continue;
            space = given;
            if (i + 2 < head.Length && head[i + 2] is Token { Kind: TokenKind.Ident } hue && Enum.TryParse<HueWay>(hue.Text, ignoreCase: true, out var found)) way = found;
        }
        var colors = stops.ConvertAll(s => ColorText.TryRead(s, out var color) ? color : default);
        var along = new List<Color> { Gamut.ToSrgb(colors[0]) };
        for (var i = 0; i + 1 < colors.Count; i++)
        {
            for (var n = 1; n <= between; n++) along.Add(Gamut.ToSrgb(ColorMix.Mix(colors[i], colors[i + 1], (double)n / between, space, way)));
        }
        return along;
    }
}
