using CsCheck;
using Sandbar.Css.Images;

namespace Sandbar.Css.Tests.Images;

/// <summary>Placing by focal points, against what CSS Backgrounds 3 says of sizes and positions; Chromium's pixels in FillPixelTests.</summary>
public class PlacementTests
{
    private static readonly Gen<double> Side = Gen.Double[1, 5000], Share = Gen.Double[0, 100];

    [Fact]
    public void Covering_leaves_no_gap_and_brings_the_focal_point_as_near_the_middle_as_that_allows() =>
        Gen.Select(Side, Side, Side, Side, Share, Share).Sample((pw, ph, bw, bh, fx, fy) =>
        {
            var placed = Placement.Of((pw, ph), (bw, bh), Fit.Cover, (fx, fy));
            Assert.Equal(pw / ph, placed.Width / placed.Height, pw / ph * 1e-9);
            Along(placed.Left, placed.Width, bw, fx, placed.X);
            Along(placed.Top, placed.Height, bh, fy, placed.Y);

            static void Along(double offset, double size, double box, double focus, double share)
            {
                Assert.True(offset <= 1e-6 * box && offset + size >= box * (1 - 1e-6));
                // Nearer to the middle would leave a gap on that side.
                var away = offset + size * focus / 100 - box / 2;
                if (away > 1e-6 * box) Assert.Equal(box, offset + size, box * 1e-6);
                if (away < -1e-6 * box) Assert.Equal(0, offset, box * 1e-6);
                Assert.Equal(offset, (box - size) * share / 100, box * 1e-6);
            }
        });

    [Fact]
    public void Containing_shows_the_whole_picture() =>
        Gen.Select(Side, Side, Side, Side, Share, Share).Sample((pw, ph, bw, bh, fx, fy) =>
        {
            var placed = Placement.Of((pw, ph), (bw, bh), Fit.Contain, (fx, fy));
            Assert.InRange(placed.Left, -1e-6 * bw, bw - placed.Width + 1e-6 * bw);
            Assert.InRange(placed.Top, -1e-6 * bh, bh - placed.Height + 1e-6 * bh);
            Assert.True(Math.Abs(placed.Width - bw) < 1e-6 * bw || Math.Abs(placed.Height - bh) < 1e-6 * bh);
        });

    [Theory]
    [InlineData(0, 10, 50, 50)]
    [InlineData(10, double.NaN, 50, 50)]
    [InlineData(10, 10, 101, 50)]
    [InlineData(10, 10, 50, double.NaN)]
    public void What_is_no_size_or_no_share_is_refused(double width, double height, double x, double y) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Placement.Of((width, height), (100, 100), Fit.Cover, (x, y)));
}
