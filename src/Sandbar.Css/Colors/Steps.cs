using System.Collections.Immutable;

namespace Sandbar.Css.Colors;

/// <summary>A base colour with its computed tints (lighter) and shades (darker), nearest first.</summary>
public sealed record StepRow(Color Base, ImmutableArray<Color> Tints, ImmutableArray<Color> Shades)
{
    /// <summary>The base as it is painted, in whole bytes.</summary>
    public Color Painted { get; } = Gamut.Rounded(Base);

    /// <summary>The colour at a step: 0 is the base, 1… tints, −1… shades.</summary>
    public Color At(int step) => step == 0 ? Base : step > 0 ? Tints[step - 1] : Shades[-step - 1];
}

/// <summary>
/// Tints and shades in equal steps of OKLCH lightness, hue kept. The last tint lies at max(0.98, (L+1)/2),
/// the last shade at min(0.15, L/2). Chroma eases off towards both ends (common practice, no source) and then gives way to sRGB.
/// </summary>
public static class Steps
{
    public const int TintCount = 6, ShadeCount = 5;

    // At the far end this share of the base's chroma is left.
    private const double TintChromaAtEnd = 0.18, ShadeChromaAtEnd = 0.35;

    // Below this chroma a colour is grey and its hue is noise.
    private const double Grey = 1e-4;

    public static StepRow Of(Color color, int tints = TintCount, int shades = ShadeCount)
    {
        var given = Gamut.ToSrgb(color);
        var origin = given.To(ColorSpace.Oklch);
        if (origin.C2 < Grey) origin = origin with { C2 = 0 };
        double lightest = Math.Max(0.98, (origin.C1 + 1) / 2), darkest = Math.Min(0.15, origin.C1 / 2);
        return new(
            given,
            [.. Enumerable.Range(1, tints).Select(i => Step(lightest, (double)i / tints, TintChromaAtEnd))],
            [.. Enumerable.Range(1, shades).Select(i => Step(darkest, (double)i / shades, ShadeChromaAtEnd))]);

        Color Step(double end, double way, double chromaAtEnd)
        {
            var lightness = origin.C1 + (end - origin.C1) * way;
            if (origin.C2 == 0) return GreyOf(lightness).WithAlpha(given.Alpha);
            return Gamut.ReduceChroma(origin with { C1 = lightness, C2 = origin.C2 * (1 - (1 - chromaAtEnd) * way * way) });
        }
    }

    /// <summary>A grey has three equal channels, whatever the last digits of a matrix say. OKLab's lightness of a grey is the cube root of its light.</summary>
    private static Color GreyOf(double lightness)
    {
        var channel = ColorConversion.Gamma(lightness * lightness * lightness);
        return new(ColorSpace.Srgb, channel, channel, channel);
    }
}
