using System.Globalization;
using CsCheck;
using Sandbar.Core.Foundations.Motion;

namespace Sandbar.Core.Tests.Foundations.Motion;

/// <summary>Springs: they begin, swing as far as is said, and come to rest; the points they are released as never stray far from them. Curves and steps are held to Chromium.</summary>
public class SpringTests
{
    [Fact]
    public void It_begins_at_rest_swings_as_far_as_is_said_and_ends() => Gen.Double[0, 0.9].Sample(bounce =>
    {
        Assert.Equal(0, Springs.At(bounce, 0), 1e-9);
        Assert.Equal(1, Springs.At(bounce, 1), 0.0011);
        var highest = Enumerable.Range(0, 2001).Max(i => Springs.At(bounce, i / 2000.0));
        Assert.Equal(1 + bounce, Math.Max(highest, 1), 0.003);
    });

    /// <summary>One that swings so fast that its turns were missed.</summary>
    [Fact]
    public void The_turns_of_the_fastest_are_met() => Assert.Equal(Springs.At(0.8923031054747563, 0.05117211193342097), Easings.Between(Springs.Stops(0.8923031054747563), 0.05117211193342097), 0.01);

    [Fact]
    public void Its_points_are_never_further_from_it_than_a_hundredth() => Gen.Select(Gen.Double[0, 0.9], Gen.Double[0, 1].Array[1000]).Sample((bounce, times) =>
    {
        var stops = Springs.Stops(bounce);
        Assert.All(times, time => Assert.Equal(Springs.At(bounce, time), Easings.Between(stops, time), 0.01));
        var css = Springs.Css(bounce);
        Assert.StartsWith("linear(0, ", css, StringComparison.Ordinal);
        Assert.EndsWith(", 1)", css, StringComparison.Ordinal);
        Assert.All(css["linear(".Length..^1].Split(", ").SelectMany(s => s.TrimEnd('%').Split(' ')), n => Assert.True(double.TryParse(n, CultureInfo.InvariantCulture, out _), n));
    }, iter: RandomTimes.Of(100));
}
