using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Core.Starting;

namespace Sandbar.Tests;

/// <summary>A site for looking and testing: 20 colours, 40 gradients, 12 pages, 16 text styles, 24 borders, 18 radii, shadows, durations and easings each, and names of 40 letters.</summary>
public static class LargeSite
{
    public const string Slug = "everything-in-plenty";

    public const string ManyPagesSlug = "many-pages";

    private const int Colors = 20, Gradients = 40, Pages = 12, ExtraStyles = 7, ExtraBorders = 19, ExtraEdges = 16, NameLength = 40;

    public static SiteWithAssets Create()
    {
        var (made, _) = NewSite.Create(new(Named("Everything in plenty", 0), "#7a4b1e", "bitter", "figtree", null), Slug);
        var site = made!.Site;
        var home = site.Pages[0];
        var body = site.Type.Styles[0];
        return made with
        {
            Site = site with
            {
                Palette = site.Palette with { Colors = [.. site.Palette.Colors, .. Enumerable.Range(1, Colors - site.Palette.Colors.Length).Select(Color)] },
                Type = site.Type with
                {
                    Styles = [.. site.Type.Styles, .. Enumerable.Range(1, ExtraStyles).Select(n => body with { Id = $"style-{n}", Name = Named("Text for a purpose", n), CssName = $"style-{n}" })],
                },
                Edges = new(
                    [.. site.Edges.Borders, .. Enumerable.Range(1, ExtraBorders).Select(n => site.Edges.Borders[n % 5] with { Id = $"border-{n}", Name = Named("A line around a box", n), CssName = $"border-{n}" })],
                    [.. site.Edges.Radii, .. Enumerable.Range(1, ExtraEdges).Select(n => site.Edges.Radii[0] with { Id = $"radius-{n}", Name = Named("A corner of a box", n), CssName = $"radius-{n}", Size = new NumberValue(n, "px") })],
                    [.. site.Edges.Shadows, .. Enumerable.Range(1, ExtraEdges + 1).Select(n => site.Edges.Shadows[0] with { Id = $"shadow-{n}", Name = Named("A shadow under a box", n), CssName = $"shadow-{n}" })]),
                Motion = new([.. site.Motion.Easings, .. Enumerable.Range(1, ExtraEdges + 1).Select(n => site.Motion.Easings[0] with { Id = $"easing-{n}", Name = Named("A pace of a change", n), CssName = $"easing-{n}" })])
                {
                    Durations = [.. site.Motion.Durations, .. Enumerable.Range(1, ExtraEdges).Select(n => site.Motion.Durations[0] with { Id = $"duration-{n}", Name = Named("A time of a change", n), CssName = $"duration-{n}" })],
                },
                Fills = new([.. site.Fills.Gradients, .. Enumerable.Range(1, Gradients - site.Fills.Gradients.Length).Select(Gradient)]) { Backgrounds = site.Fills.Backgrounds },
                Pages = [home, .. Enumerable.Range(2, Pages - 1).Select(n => Page(home, n))],
                Menus = [site.Menus[0] with { Items = [.. site.Menus[0].Items, .. Enumerable.Range(2, Pages - 1).Select(n => new MenuItem($"item-{n}", Named("A page", n), $"page-{n}"))] }],
            },
        };
    }

    /// <summary>The demo site with many pages, each of the sections of its first one over and over.</summary>
    /// <param name="blocks">As many as stand on a page at least.</param>
    public static SiteWithAssets ManyPages(int pages, int blocks)
    {
        var demo = PellwynSample.Create();
        var home = demo.Site.Pages[0];
        return demo with { Site = demo.Site with { Name = "Many pages", Slug = ManyPagesSlug, Pages = [.. demo.Site.Pages, .. Enumerable.Range(0, pages - demo.Site.Pages.Length).Select(Page)] } };

        Page Page(int n)
        {
            var sections = new List<Block>();
            for (var count = 0; count < blocks; count += Blocks.WithInner(sections[^1]).Count())
                sections.Add(BlockTree.Copy(home.Sections[sections.Count % home.Sections.Length], $"page-{n}-{sections.Count}"));
            return home with { Id = $"page-{n}", Name = $"Page {n}", Slug = $"page-{n}", Title = $"Page {n}", Sections = [.. sections] };
        }
    }

    private static BaseColor Color(int n) => new($"color-{n}", Named("A colour between others", n), $"color-{n}", new FixedColorValue($"oklch({0.3 + n * 0.03:0.00} 0.1 {n * 23 % 360})"));

    private static Gradient Gradient(int n) => GradientKind.Between(
        $"gradient-{n}", Named("From one to another", n), $"gradient-{n}", n * 9,
        new ReferenceValue(ColorKind.Kind, "paper"), new ReferenceValue(ColorKind.Kind, $"color-{n % 15 + 1}", 3));

    private static Page Page(Page like, int n) => like with { Id = $"page-{n}", Name = Named("A page", n), Slug = $"page-{n}", Sections = [.. like.Sections.Select(s => Renamed(s, n))] };

    private static Block Renamed(Block block, int n) => block with { Id = $"{block.Id}-{n}", Blocks = [.. block.Blocks.Select(b => Renamed(b, n))] };

    /// <summary>A name of just 40 letters.</summary>
    private static string Named(string begin, int n) => $"{begin} ".PadRight(NameLength - 3, 'a') + $" {n:00}";
}
