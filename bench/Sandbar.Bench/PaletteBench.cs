using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Pictures;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Css.Colors;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>What the palette's figures cost: pairs at 30 colours and 3 schemes, at first and after an edit, their mends, the plane at a hue, and eight colours out of a photograph of 12 million pixels.</summary>
internal static class PaletteBench
{
    private const int Colors = 30, Width = 4000, Height = 3000;

    public static void Run()
    {
        var site = PellwynSample.Create().Site;
        for (var n = site.Palette.Colors.Length; n < Colors; n++) site = Made(site, Do.NewColor($"color-{n}", $"colour {n}", $"oklch({0.2 + n * 0.02:0.00} 0.1 {n * 37 % 360})"));
        site = Made(site, new TurnScheme("turned", "Turned", "day"));
        var pairs = ContrastPairs.Of(site, default);
        Console.WriteLine($"{site.Palette.Colors.Length} colours, {site.Palette.Schemes.Length} schemes, {site.Pages.Length} pages: {pairs.Length} pairs");
        Times.Print("pairs", n => ContrastPairs.Of(site, default).Length + n);
        Times.Print("pairs after an edit of a colour", n => ContrastPairs.Of(Made(site, Do.Color("beet", $"#8a28{n:x2}")), default).Length);
        var failing = pairs.First(p => !p.Passes);
        Times.Print("mends of a pair", _ => PairMends.Of(site, failing, () => "new", default).Count);
        Times.Print("mending all", n => PairMends.All(site, (_, _) => false, () => $"new-{n}", default).Mended);
        Times.Print("plane at a hue", n => PlanePicture.Png(n * 20).Length + ColorPlane.Lines(n * 20, Color.White).Length + ColorPlane.Outline(n * 20, 101, ColorSpace.DisplayP3).Length);
        var jpeg = Photograph.Jpeg(Width, Height);
        Times.Print($"eight colours of a JPEG of {Width}×{Height}", _ => PictureColors.Of(PictureFile.Read(jpeg), 8).Length);
    }

    private static Site Made(Site site, Edit edit) => edit.Apply(site).Site ?? throw new InvalidOperationException(edit.ToString());
}
