using CsCheck;
using Sandbar.Css.Colors;

namespace Sandbar.Css.Tests.Colors;

/// <summary>Mended pairs against brute force over every colour of sRGB at the hue: contrast by WCAG 2.2, hue by CSS Color 4, difference by CIEDE2000, each tested by itself elsewhere.</summary>
public class MendTests
{
    private static readonly Gen<Color> AnySrgb = Gen.Byte.Array[3].Select(c => Color.FromBytes(c[0], c[1], c[2]));
    private static readonly Gen<double> Targets = Gen.Int[0, 2].Select(i => new[] { 3, 4.5, 7 }[i]);
    private static readonly Gen<MendedSide> Sides = Gen.Enum<MendedSide>();

    [Fact]
    public void Nothing_nearer_of_its_hue_reaches_the_target() => Gen.Select(AnySrgb, AnySrgb, Targets, Sides).Sample(IsNearest, iter: RandomTimes.Of(12));

    /// <summary>What random colours once came to: of a dark red a darker one with a little more chroma looks more like it.</summary>
    [Fact]
    public void Nor_of_what_was_found_by_chance() => IsNearest(Color.FromBytes(43, 18, 25), Color.FromBytes(146, 71, 105), 3, MendedSide.Text);

    private static void IsNearest(Color text, Color ground, double target, MendedSide side)
    {
        var mended = Mend.Nearest(text, ground, target, side);
        var best = Best(text, ground, target, side);
        Assert.Equal(best is null, mended is null);
        if (mended is not null) Assert.True(mended.Difference <= best * 1.05 + 0.3, $"{mended} but {best}");
    }

    [Fact]
    public void What_is_mended_is_as_it_says() => Gen.Select(AnySrgb, AnySrgb, Targets, Sides).Sample(IsAsItSays, iter: RandomTimes.Of(2000));

    /// <summary>What random colours once came to: of so dark a red one step of a channel is nearly all the hue there is.</summary>
    [Fact]
    public void So_is_what_was_found_by_chance() => IsAsItSays(Color.FromBytes(128, 153, 164), Color.FromBytes(235, 39, 219), 7, MendedSide.Ground);

    private static void IsAsItSays(Color text, Color ground, double target, MendedSide side)
    {
        if (Mend.Nearest(text, ground, target, side) is not { } mended) return;
        Color a = ColorText.Parse(ColorText.Hex(mended.Text)), b = ColorText.Parse(ColorText.Hex(mended.Ground));
        Assert.True(mended.Ratio >= target);
        Assert.Equal(Contrast.Ratio(a, b), mended.Ratio, 1e-9);
        var (was, now, kept, other) = side == MendedSide.Text ? (text, a, ground, b) : (ground, b, text, a);
        Assert.Equal(ColorText.Hex(kept), ColorText.Hex(other));
        Assert.Equal(Difference.Ciede2000(was, now), mended.Difference, 1e-9);
        Color before = was.To(ColorSpace.Oklch), after = now.To(ColorSpace.Oklch);
        if (double.IsNaN(before.C3) || double.IsNaN(after.C3)) return;
        Assert.True(Math.Abs(2 * after.C2 * Math.Sin((after.C3 - before.C3) * Math.PI / 360)) <= 0.005 + 2 * Rounding(now), $"{before} → {after}");
    }

    /// <summary>How far in OKLab, lightness left out, a colour can lie from one that comes to the same eight bits a channel.</summary>
    private static double Rounding(Color color)
    {
        var lab = color.To(ColorSpace.Oklab);
        return Enumerable.Range(0, 8).Max(corner =>
        {
            double Moved(double channel, int bit) => Math.Clamp(channel + ((corner >> bit & 1) == 0 ? -0.5 : 0.5) / 255, 0, 1);
            var other = new Color(ColorSpace.Srgb, Moved(color.C1, 0), Moved(color.C2, 1), Moved(color.C3, 2)).To(ColorSpace.Oklab);
            return Math.Sqrt(Math.Pow(other.C2 - lab.C2, 2) + Math.Pow(other.C3 - lab.C3, 2));
        });
    }

    [Fact]
    public void A_pair_that_passes_stays_as_it_is()
    {
        var pair = Mend.Nearest(Color.Black, Color.White, 21, MendedSide.Text);
        Assert.Equal(new(Color.Black, Color.White, 21, 0), pair);
    }

    [Theory]
    [InlineData("#888", "#777", 7, MendedSide.Text)]
    [InlineData("rgb(255 0 0 / 0.1)", "white", 4.5, MendedSide.Text)]
    public void None_is_none(string text, string ground, double target, MendedSide side) => Assert.Null(Mend.Nearest(ColorText.Parse(text), ColorText.Parse(ground), target, side));

    [Fact]
    public void A_translucent_text_keeps_its_alpha()
    {
        var mended = Mend.Nearest(ColorText.Parse("rgb(200 40 90 / 0.8)"), Color.White, 4.5, MendedSide.Text)!;
        Assert.Equal(0.8, mended.Text.Alpha, 1e-9);
        Assert.True(mended.Ratio >= 4.5);
    }

    /// <summary>The least difference at which a colour of the hue reaches the target; null where none does.</summary>
    private static double? Best(Color text, Color ground, double target, MendedSide side)
    {
        if (Contrast.Ratio(text, ground) >= target) return 0;
        var (given, kept) = side == MendedSide.Text ? (text, ground) : (ground, text);
        var origin = given.To(ColorSpace.Oklch);
        var hue = double.IsNaN(origin.C3) ? 0 : origin.C3;
        double? best = null;
        for (var l = 0; l <= 500; l++)
        {
            for (var c = 0; c <= (double.IsNaN(origin.C3) ? 0 : 110); c++)
            {
                var exact = new Color(ColorSpace.Oklch, l / 500d, c * 0.003, hue);
                if (!Gamut.InSrgb(exact, 1e-3)) break;
                var color = Gamut.Rounded(exact);
                if (Contrast.Ratio(color, kept) < target) continue;
                best = Math.Min(best ?? double.MaxValue, Difference.Ciede2000(given, color));
            }
        }
        return best;
    }
}
