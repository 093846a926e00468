using System.Globalization;
using System.Text.RegularExpressions;
using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Tests.Foundations.Type;

/// <summary>Fluid sizes: against utopia-core (fixtures/fluid.json), and against the arithmetic of CSS <c>clamp()</c> itself, worked out here at both ends.</summary>
public partial class FluidTests
{
    [Fact]
    public void Clamps_are_those_of_utopia()
    {
        foreach (var c in Fixture.Read("fluid.json").GetProperty("clamps").EnumerateArray())
            AssertSame(c.String("css"), Fluid.Css(Px(c, "minWidth"), Px(c, "minSize"), Px(c, "maxWidth"), Px(c, "maxSize")));
    }

    [Fact]
    public void Scales_are_those_of_utopia()
    {
        foreach (var one in Fixture.Read("fluid.json").GetProperty("scales").EnumerateArray())
        {
            var s = one.GetProperty("scale");
            var scale = new TypeScale(
                [End("narrow", Px(s, "minWidth"), Px(s, "minFontSize"), Px(s, "minTypeScale")), End("wide", Px(s, "maxWidth"), Px(s, "maxFontSize"), Px(s, "maxTypeScale"))], -2, 5);
            foreach (var step in one.GetProperty("steps").EnumerateArray())
            {
                var (from, to) = Scale.Sizes(scale, step.GetProperty("step").GetInt32());
                Assert.Equal(Px(step, "min"), from, 0.001);
                Assert.Equal(Px(step, "max"), to, 0.001);
                AssertSame(step.String("clamp"), Scale.Css(scale, step.GetProperty("step").GetInt32()));
            }
        }
    }

    [Fact]
    public void Is_exact_at_both_ends_and_flat_outside() => Gen.Select(Gen.Double[200, 800], Gen.Double[8, 60], Gen.Double[801, 2000], Gen.Double[8, 60]).Sample((w1, s1, w2, s2) =>
    {
        var css = Fluid.Css(w1, s1, w2, s2);
        Assert.Equal(s1, At(css, w1), 0.01);
        Assert.Equal(s2, At(css, w2), 0.01);
        Assert.Equal(s1, At(css, w1 / 2), 0.01);
        Assert.Equal(s2, At(css, w2 * 2), 0.01);
        Assert.Equal(At(css, (w1 + w2) / 2), Fluid.At((w1 + w2) / 2, w1, s1, w2, s2), 0.01);
    });

    [Fact]
    public void Equal_sizes_need_no_clamp() => Assert.Equal("1.125rem", Fluid.Css(390, 18, 1280, 18));

    [Theory]
    [InlineData(390, 17, 390, 18)]
    [InlineData(0, 17, 1280, 18)]
    [InlineData(390, -1, 1280, 18)]
    [InlineData(390, double.NaN, 1280, 18)]
    public void Refuses_what_cannot_be(double w1, double s1, double w2, double s2) => Assert.Throws<ArgumentException>(() => Fluid.Css(w1, s1, w2, s2));

    private static ScaleEnd End(string id, double width, double size, double ratio) =>
        new(id, new NumberValue((decimal)width, "px"), new NumberValue((decimal)size, "px"), new NumberValue((decimal)ratio, ""));

    private static double Px(System.Text.Json.JsonElement element, string name) => element.GetProperty(name).GetDouble();

    /// <summary>The same numbers; how a falling size's sign is written may differ, and so may the fourth decimal.</summary>
    private static void AssertSame(string expected, string actual)
    {
        var (a, b) = (Numbers(expected), Numbers(actual));
        Assert.Equal(a.Length, b.Length);
        foreach (var (x, y) in a.Zip(b)) Assert.Equal(x, y, 0.00011);
    }

    private static double[] Numbers(string css) =>
        [.. NumberInCss().Matches(css).Select(m => double.Parse(m.Value.Replace(" ", "", StringComparison.Ordinal), CultureInfo.InvariantCulture))];

    private static double At(string css, double width)
    {
        var n = Numbers(css);
        if (n.Length == 1) return n[0] * 16;
        return Math.Clamp(n[1] * 16 + n[2] * width / 100, n[0] * 16, n[3] * 16);
    }

    [GeneratedRegex(@"(?:- )?-?\d+(?:\.\d+)?")]
    private static partial Regex NumberInCss();
}
