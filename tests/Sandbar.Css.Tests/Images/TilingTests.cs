using Sandbar.Css.Images;

namespace Sandbar.Css.Tests.Images;

/// <summary>Where pictures that go on beside themselves lie; expected values read off Chromium's pixels (a tile of 10 px with a red edge in boxes of these widths, position 50 %).</summary>
public class TilingTests
{
    [Theory]
    [InlineData(93, "repeat", 1.5, 10, 10)]
    [InlineData(93.6, "repeat", 1.8, 10, 10)]
    [InlineData(93, "round", 0.1667, 10.3333, 10.3333)]
    [InlineData(97, "round", 4.7, 9.7, 9.7)]
    [InlineData(93, "space", 0, 10, 10.375)]
    [InlineData(94.5, "space", 0, 10, 10.625)]
    [InlineData(99, "space", 0, 10, 11.125)]
    [InlineData(19, "space", 4.5, 10, 0)]
    [InlineData(93, "no-repeat", 41.5, 10, 0)]
    public void They_lie_where_Chromium_paints_them(double box, string repeat, double first, double size, double step)
    {
        var tiling = Tiling.Along(10, box, 50, repeat);
        Assert.Equal(size, tiling.Size, 1e-3);
        Assert.Equal(step, tiling.Step, 1e-3);
        Assert.Equal(first, tiling.Within(0, box).First(at => at >= 0), 1e-3);
    }

    [Fact]
    public void Those_within_a_stretch_reach_into_it()
    {
        foreach (var repeat in new[] { "repeat", "round", "space", "no-repeat" })
        {
            var tiling = Tiling.Along(7, 100, 30, repeat);
            var all = tiling.Within(0, 100).ToList();
            Assert.Equal(all.Where(at => at < 40 && at + tiling.Size > 20), tiling.Within(20, 40));
        }
    }
}
