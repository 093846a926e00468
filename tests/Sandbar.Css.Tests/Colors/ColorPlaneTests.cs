using Sandbar.Css.Colors;

namespace Sandbar.Css.Tests.Colors;

/// <summary>The plane: its edges and lines hold for each of their points, by conversion and contrast, which are held to colorjs.io and culori in <see cref="ReferenceTests"/>.</summary>
public class ColorPlaneTests
{
    [Theory]
    [InlineData(ColorSpace.Srgb)]
    [InlineData(ColorSpace.DisplayP3)]
    public void Inside_the_edge_colours_are_in_the_gamut_and_just_outside_they_are_not(ColorSpace gamut)
    {
        foreach (var hue in new[] { 0, 29, 110, 142, 264, 328 })
        {
            var edge = ColorPlane.Outline(hue, 21, gamut);
            for (var row = 1; row < 20; row++)
            {
                var lightness = 1 - row / 20d;
                Assert.True(Inside(edge[row] - 0.0005), $"{gamut} {hue} {lightness}");
                Assert.False(Inside(edge[row] + 0.001), $"{gamut} {hue} {lightness}");
                bool Inside(double chroma) => new Color(ColorSpace.Oklch, lightness, Math.Max(0, chroma), hue).To(gamut) is { C1: >= -1e-6 and <= 1.000001, C2: >= -1e-6 and <= 1.000001, C3: >= -1e-6 and <= 1.000001 };
            }
        }
    }

    [Fact]
    public void Nothing_that_display_p3_shows_lies_beyond_the_plane() =>
        Assert.True(Enumerable.Range(0, 360).Max(hue => ColorPlane.Outline(hue, 51, ColorSpace.DisplayP3).Max()) is > 0.36 and < ColorPlane.Widest);

    [Theory]
    [InlineData("#f6efe2")]
    [InlineData("#2b221b")]
    [InlineData("#777777")]
    public void Along_a_line_contrast_is_what_it_says(string ground)
    {
        var on = ColorText.Parse(ground);
        foreach (var hue in new[] { 5, 130, 250 })
        {
            var lines = ColorPlane.Lines(hue, on);
            Assert.NotEmpty(lines);
            foreach (var line in lines)
            {
                Assert.True(line.Points.Length > 1);
                Assert.All(line.Points, p => Assert.Equal(line.Target, Contrast.Ratio(new(ColorSpace.Oklch, p.Lightness, p.Chroma, hue), on), 0.03));
            }
        }
        // Of a mid-grey 7 is reached by nothing.
        Assert.Equal(ground == "#777777", ColorPlane.Lines(5, on).All(l => l.Target < 7));
    }

    [Fact]
    public void What_is_painted_is_the_colour_that_stands_there()
    {
        var pixels = ColorPlane.Paint(30, 60, 40);
        foreach (var (x, y) in new[] { (0, 0), (5, 10), (12, 20), (2, 39), (59, 20) })
        {
            var meant = new Color(ColorSpace.Oklch, 1 - (y + 0.5) / 40, (x + 0.5) / 60 * ColorPlane.Widest, 30);
            var at = (y * 60 + x) * 4;
            if (!Gamut.InSrgb(meant)) Assert.True(pixels[at + 3] < 255);
            else Assert.Equal(ColorText.Hex(meant), ColorText.Hex(Color.FromBytes(pixels[at], pixels[at + 1], pixels[at + 2])));
        }
    }
}
