using System.Collections.Immutable;

namespace Sandbar.Core.Reviewing;

/// <summary>A page as the stage measured it.</summary>
/// <param name="Page">Its id.</param>
/// <param name="Width">Of the viewport, px.</param>
/// <param name="Height">Of the page, px.</param>
/// <param name="Elements">How many elements have a box of their own.</param>
/// <param name="Bordered">The boxes of those that wear a border.</param>
public sealed record MeasuredPage(string Page, int Width, double Height, int Elements, ImmutableArray<MeasuredRectangle> Bordered);

/// <summary>A box, px from the page's top left.</summary>
/// <param name="IsClosed">Whether it has a line on every side.</param>
public sealed record MeasuredRectangle(double Left, double Top, double Width, double Height, bool IsClosed);

/// <summary>How much of a page wears a border.</summary>
/// <param name="Elements">Of all elements, 0 to 1.</param>
/// <param name="Area">Of the page, what lines enclose on every side, 0 to 1: boxes that lie over each other count once.</param>
public sealed record BorderShare(string Page, int Width, int Count, double Elements, double Area)
{
    /// <summary>What it is held against.</summary>
    public const string Practice = "Borders work when used sparingly: white space and grounds separate first (common practice, no published source).";

    /// <summary>The most boxes that are looked at.</summary>
    public const int MostBoxes = 5000;

    public static BorderShare Of(MeasuredPage page) => new(
        page.Page, page.Width, page.Bordered.Length, page.Elements > 0 ? (double)page.Bordered.Length / page.Elements : 0,
        page is { Width: > 0, Height: > 0 } ? Covered(page) / (page.Width * page.Height) : 0);

    /// <summary>The area under at least one of the boxes, px²: strip by strip between their tops and bottoms.</summary>
    private static double Covered(MeasuredPage page)
    {
        var boxes = page.Bordered.Where(b => b.IsClosed).Select(b => (
            Left: Math.Clamp(b.Left, 0, page.Width), Right: Math.Clamp(b.Left + b.Width, 0, page.Width), Top: Math.Clamp(b.Top, 0, page.Height), Bottom: Math.Clamp(b.Top + b.Height, 0, page.Height)))
            .Where(b => b.Right > b.Left && b.Bottom > b.Top).OrderBy(b => b.Left).ToList();
        var edges = boxes.SelectMany(b => new[] { b.Top, b.Bottom }).Distinct().Order().ToList();
        var area = 0.0;
        foreach (var (top, bottom) in edges.Zip(edges.Skip(1)))
        {
            var (covered, until) = (0.0, 0.0);
            foreach (var box in boxes.Where(b => b.Top <= top && b.Bottom >= bottom))
            {
                covered += Math.Max(0, box.Right - Math.Max(until, box.Left));
                until = Math.Max(until, box.Right);
            }
            area += covered * (bottom - top);
        }
        return area;
    }
}
