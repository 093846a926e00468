using System.Collections.Immutable;

namespace Sandbar.Css.Colors;

/// <summary>Colours that are nearly the same.</summary>
public static class Alike
{
    /// <summary>About what is seen beside each other and not from memory (common practice, no source).</summary>
    public const double Within = 2.5;

    // Alpha that differs by less cannot be told in eight bits.
    private const double SameAlpha = 0.5 / 255;

    // The most a difference of lightness counts for less in CIEDE2000: S_L at its largest, with a mean lightness of 0 or 100.
    private const double LightnessWeight = 1.75;

    /// <summary>
    /// Groups of two or more, each colour within <paramref name="within"/> (CIEDE2000) of another of its group, with the same alpha. Colours by their places in the list, both in its order.
    /// </summary>
    public static ImmutableArray<ImmutableArray<int>> Groups(IReadOnlyList<Color> colors, double within = Within)
    {
        var labs = colors.Select(c => c.To(ColorSpace.Lab)).ToArray();
        var byLightness = Enumerable.Range(0, labs.Length).OrderBy(i => labs[i].C1).ToArray();
        var group = Enumerable.Range(0, labs.Length).ToArray();
        for (var a = 0; a < byLightness.Length; a++)
        {
            var one = byLightness[a];
            for (var b = a + 1; b < byLightness.Length; b++)
            {
                var other = byLightness[b];
                if (labs[other].C1 - labs[one].C1 > within * LightnessWeight) break;
                if (Math.Abs(labs[one].Alpha - labs[other].Alpha) > SameAlpha || Root(one) == Root(other)) continue;
                if (Difference.Ciede2000(labs[one], labs[other]) <= within) group[Math.Max(Root(one), Root(other))] = Math.Min(Root(one), Root(other));
            }
        }
        return [.. Enumerable.Range(0, labs.Length).GroupBy(Root).Where(g => g.Count() > 1).Select(g => g.ToImmutableArray())];

        int Root(int i)
        {
            while (group[i] != i) i = group[i] = group[group[i]];
            return i;
        }
    }
}
