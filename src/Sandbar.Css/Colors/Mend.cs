namespace Sandbar.Css.Colors;

/// <summary>Which of a pair gives way.</summary>
public enum MendedSide
{
    Text,
    Ground,
}

/// <summary>A pair of colours that can be told apart as far as was asked.</summary>
/// <param name="Ratio">Its contrast (WCAG 2.2), between the colours as they stand here.</param>
/// <param name="Difference">CIEDE2000 between the colour that gave way and what it was; 0 where nothing had to.</param>
public sealed record MendedPair(Color Text, Color Ground, double Ratio, double Difference);

/// <summary>
/// The nearest colour that reaches a contrast: OKLCH hue as it is, lightness to either side, chroma given up, or a little more of it, where sRGB or the eye asks for it. Of each chroma the first lightness
/// that reaches the target is looked for, and of these the one that looks least different is taken. All colours are eight bits a channel: what counts is what is released.
/// </summary>
public static class Mend
{
    // Shares of the chroma there is: nearly all of it is nearly always best; dark colours that get darker look more alike with a little more.
    private static readonly double[] Shares = [1, 0.9, 0.75, 0.5, 0.25, 0, 1.15];

    private const double MostShare = 1.5;

    private const int Halvings = 12, Roundings = 24;

    // A third of an eight-bit step of a grey, in OKLCH lightness.
    private const double Nudge = 0.0012;

    /// <param name="target">The contrast it must reach, 1 to 21.</param>
    /// <returns>The pair itself where it reaches the target; null where no lightness of that hue does.</returns>
    public static MendedPair? Nearest(Color text, Color ground, double target, MendedSide change)
    {
        (text, ground) = (Gamut.Rounded(text), Gamut.Rounded(ground));
        var ratio = Contrast.Ratio(text, ground);
        if (ratio >= target) return new(text, ground, ratio, 0);
        var given = change == MendedSide.Text ? text : ground;
        var origin = given.To(ColorSpace.Oklch);
        if (double.IsNaN(origin.C3)) origin = origin with { C2 = 0, C3 = 0 };
        (Color Color, double Difference)? best = null;
        var share = 1d;
        // Neither black nor white: what no lightness in that direction reaches is not looked for again.
        double? hopeless = Reaches(Color.Black.WithAlpha(given.Alpha)) ? null : 0;
        if (!Reaches(Color.White.WithAlpha(given.Alpha)))
        {
            if (hopeless is not null) return null;
            hopeless = 1;
        }
        foreach (var each in Shares) Try(each);
        // Once more on both sides of the best.
        for (var step = 0.08; step > 0.01; step /= 2)
        {
            var around = share;
            Try(Math.Min(MostShare, around + step));
            Try(Math.Max(0, around - step));
        }
        if (best is not { } found) return null;
        return change == MendedSide.Text
            ? new(found.Color, ground, Contrast.Ratio(found.Color, ground), found.Difference)
            : new(text, found.Color, Contrast.Ratio(text, found.Color), found.Difference);

        void Try(double part)
        {
            foreach (var end in (ReadOnlySpan<double>)[0, 1])
            {
                if (hopeless == end) continue;
                if (First(origin with { C2 = origin.C2 * part }, end) is not { } color) continue;
                var difference = Difference.Ciede2000(given, color);
                if (best is { } so && so.Difference <= difference) continue;
                (best, share) = ((color, difference), part);
            }
        }

        // Towards black and towards white contrast may fall at first; once it has reached the target it only grows.
        Color? First(Color hue, double end)
        {
            double fails = hue.C1, reaches = end;
            for (var i = 0; i < Halvings; i++)
            {
                var middle = (fails + reaches) / 2;
                if (Reaches(At(hue, middle))) reaches = middle;
                else fails = middle;
            }
            for (var i = 0; i < Roundings; i++)
            {
                var color = Gamut.Rounded(At(hue, Math.Clamp(reaches + Math.Sign(end - hue.C1) * i * Nudge, 0, 1)));
                if (Reaches(color)) return color;
            }
            return null;
        }

        static Color At(Color hue, double lightness) => Gamut.ReduceChroma(hue with { C1 = lightness });

        bool Reaches(Color color) => (change == MendedSide.Text ? Contrast.Ratio(color, ground) : Contrast.Ratio(text, color)) >= target;
    }
}
