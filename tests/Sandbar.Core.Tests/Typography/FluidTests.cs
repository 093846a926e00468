using System.Globalization;
using System.Text.RegularExpressions;
using CsCheck;
using Sandbar.Core.Typography;

namespace Sandbar.Core.Tests.Typography;

/// <summary>Fluid sizes. The expected values are the arithmetic of CSS <c>clamp()</c> itself, worked out here at both ends.</summary>
public partial class FluidTests
{
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

    private static double At(string css, double width)
    {
        var n = NumberInCss().Matches(css).Select(m => double.Parse(m.Value.Replace(" ", "", StringComparison.Ordinal), CultureInfo.InvariantCulture)).ToArray();
        if (n.Length == 1) return n[0] * 16;
        return Math.Clamp(n[1] * 16 + n[2] * width / 100, n[0] * 16, n[3] * 16);
    }

    [GeneratedRegex(@"(?:- )?-?\d+(?:\.\d+)?")]
    private static partial Regex NumberInCss();
}
