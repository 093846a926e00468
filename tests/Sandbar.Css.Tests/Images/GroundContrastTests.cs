using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Css.Tests.Images;

/// <summary>Contrast over grounds that differ from place to place, against WCAG's formula pixel by pixel (<see cref="Contrast"/>, held to WCAG 2.2's examples).</summary>
public class GroundContrastTests
{
    private static readonly Color Text = ColorText.Parse("#5a5a5a");

    [Theory]
    [InlineData("#222")]
    [InlineData("#5a5a5a")]
    [InlineData("rgb(250 240 200 / 0.7)")]
    public void The_worst_and_the_mean_are_those_of_every_pixel(string text)
    {
        var ink = ColorText.Parse(text);
        var pixels = Random(11, 60 * 40);
        var ratios = Colors(pixels).Select(c => Contrast.Ratio(Eighth(Compositing.Over(ink, c)), c)).ToList();
        var found = GroundContrast.Of(pixels, 60, ink);
        // Half a step of a channel may be rounded either way where the text has alpha.
        Assert.Equal(ratios.Min(), found.Worst, 1e-3);
        Assert.Equal(ratios.Average(), found.Mean, 1e-3);
        Assert.Equal(found.Worst, ratios[found.Y * 60 + found.X], 1e-3);
    }

    [Theory]
    [InlineData("#111", "#ffffff", "#333333")]
    [InlineData("#f5f5f5", "#ffffff", "#102030")]
    [InlineData("#777", "#ffffff", "#000000")]
    [InlineData("#0b5d63", "#80b0c0", "#e0d0c0")]
    public void The_faintest_veil_is_within_two_hundredths_of_the_least(string text, string from, string to)
    {
        var ink = ColorText.Parse(text);
        var pixels = FillImage.Parse($"linear-gradient(70deg, {from}, {to})", 80, 30).Painted(Color.White, (0, 0, 80, 30));
        var colors = Colors(pixels).Distinct().ToList();
        var least = Enumerable.Range(0, 1001).Select(n => n / 1000d).First(alpha => new[] { Color.Black, Color.White }.Any(shade => colors.Min(c => Contrast.Ratio(ink, Eighth(Compositing.Over(shade.WithAlpha(alpha), c)))) >= 4.5));
        var veil = GroundContrast.Faintest(pixels, ink, 4.5);
        if (least == 0) Assert.Null(veil);
        else
        {
            Assert.InRange(veil!.Color.Alpha, least - 0.002, least + 0.02);
            Assert.Equal(colors.Min(c => Contrast.Ratio(ink, Eighth(Compositing.Over(veil.Color, c)))), veil.Ratio, 0.02);
        }
    }

    /// <summary>A text that cannot be read on anything: the better of black and white, opaque, with what it comes to.</summary>
    [Fact]
    public void Where_no_veil_is_enough_the_better_one_is_given()
    {
        var veil = GroundContrast.Faintest(Random(3, 50), Text.WithAlpha(0.2), 4.5);
        Assert.Equal(1, veil!.Color.Alpha);
        Assert.InRange(veil.Ratio, 1, 4.5);
    }

    private static byte[] Random(int seed, int count)
    {
        var random = new Random(seed);
        var pixels = new byte[count * 4];
        random.NextBytes(pixels);
        for (var i = 3; i < pixels.Length; i += 4) pixels[i] = 255;
        return pixels;
    }

    private static IEnumerable<Color> Colors(byte[] pixels) => pixels.Chunk(4).Select(p => Color.FromBytes(p[0], p[1], p[2]));

    private static Color Eighth(Color color) => Color.FromBytes((byte)Math.Round(color.C1 * 255), (byte)Math.Round(color.C2 * 255), (byte)Math.Round(color.C3 * 255));
}
