using System.Diagnostics;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Core.Styling;
using Sandbar.Css.Colors;
using Sandbar.Css.Documents;
using Sandbar.Css.Images;
using Sandbar.Store;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>What fills cost: contrast over a picture of 12 million pixels once it is decoded, over gradients, and a stop that is dragged where there are forty of them.</summary>
internal static class FillsBench
{
    private const int Width = 1280, Height = 800;

    private const int Pictures = 60, Openings = 15;

    public static async Task RunAsync()
    {
        var jpeg = Photograph.Jpeg(4000, 3000);
        Times.Print("a JPEG of 4000×3000 decoded", _ => Decoded(jpeg));
        using var picture = DecodedPicture.Of(jpeg);
        var placed = Placement.Of((picture.Width, picture.Height), (Width, Height), Fit.Cover, (50, 50));
        var ink = ColorText.Parse("#f6efe2");
        var part = (X: 100, Y: 200, Width: 700, Height: 300);
        Times.Print("contrast over it under a text of 700×300", _ => GroundContrast.Of(picture.Painted(placed, Color.White, part), part.Width, ink).X);
        Times.Print("contrast over all of it at 1280×800", _ => GroundContrast.Of(picture.Painted(placed, Color.White, (0, 0, Width, Height)), Width, ink).X);
        var pixels = picture.Painted(placed, Color.White, part);
        Times.Print("the faintest veil over 700×300", _ => (int)(GroundContrast.Faintest(pixels, ink, Contrast.Text)?.Ratio ?? 0));
        var fill = FillImage.Parse("radial-gradient(circle at 30% 40%, oklch(0.7 0.2 30), #00f8 80%), linear-gradient(70deg in oklch, #f6efe2, #2f5d3a)", Width, Height);
        Times.Print("contrast over two gradients under a text of 700×300", _ => GroundContrast.Of(fill.Painted(Color.White, part), part.Width, ink).X);

        MeasuredPage();

        var site = LargeSite.Create().Site;
        var gradient = Made(site, new SetThing("gradient", "dawn", "space", "OKLCH"));
        Console.WriteLine($"{gradient.Fills.Gradients.Length} gradients");
        _ = StyleSheetRenderer.Render(gradient);
        Times.Print("a stop dragged: the edit and the sheet", n => StyleSheetRenderer.Render(Dragged(gradient, n)).Rules.Length);
        var demo = PellwynSample.Create().Site;
        _ = StyleSheetRenderer.Render(demo);
        Times.Print("a focal point dragged: the edit and the sheet", n => StyleSheetRenderer.Render(Made(demo, new SetThing("background", "layer-2", "focus-x", $"{n % 100}%", "evening-at-the-beds"))).Rules.Length);
        Times.Print("what can be read on it", n => GradientFigures.Of(gradient, Dragged(gradient, n).Fills.Gradients.Get("dawn"), gradient.Palette.Schemes[0]).Readings.Length);

        await OpenedAsync();
    }

    /// <summary>A site of forty gradients and sixty pictures.</summary>
    public static SiteWithAssets ManyFills()
    {
        var (site, assets) = LargeSite.Create();
        // No two have the same bytes: a browser would fetch and decode them once.
        var jpeg = Photograph.Jpeg(1600, 1200);
        var pictures = Enumerable.Range(1, Pictures).Select(n => Asset.Of("image/jpeg", [.. jpeg, (byte)n])).ToList();
        var items = pictures.Select((p, n) => new ShelfItem($"photograph-{n}", $"Photograph {n}", $"pictures/photograph-{n}.jpg", p.MediaType, p.Hash, 1600, 1200));
        return new(site with { Shelf = [.. site.Shelf, .. items] }, [.. assets, .. pictures]);
    }

    /// <summary>From the address to where the window has settled: on the gradients, and on the pictures.</summary>
    private static async Task OpenedAsync()
    {
        var many = ManyFills();
        var site = many.Site;
        await using var server = await LocalServer.StartAsync();
        await new SiteStore(server.Store).AddAsync(many, DateTimeOffset.UnixEpoch);
        using var browser = new Browser();
        foreach (var view in new[] { "gradients", "pictures" })
        {
            var took = new List<double>();
            for (var i = 0; i < Openings; i++)
            {
                var started = Stopwatch.GetTimestamp();
                browser.Open(new Uri(server.Client.BaseAddress!, $"/sites/{site.Slug}/fills?view={view}"));
                took.Add(Stopwatch.GetElapsedTime(started).TotalMilliseconds);
            }
            Console.WriteLine($"{site.Fills.Gradients.Length} gradients and {Pictures} pictures, {view} opened: {took.Order().ToArray().Said()}, the first time {took[0]:0} ms");
        }
    }

    /// <summary>The workshops' banner as the stage would measure it on a laptop: three texts over a toned picture and a veil, in both schemes.</summary>
    private static void MeasuredPage()
    {
        var sample = PellwynSample.Create();
        var site = sample.Site;
        var page = SiteStyles.Of(site)[site.Pages.Get("workshops")];
        string[] texts = ["workshops-eyebrow", "workshops-title", "workshops-lead"];
        var elements = new List<MeasuredElement>();
        var known = new Dictionary<Element, int>();
        foreach (var own in page.Document.All.Where(e => texts.Contains(e["data-block"])))
        {
            foreach (var element in own.Ancestors().Reverse().Append(own))
            {
                if (!known.TryAdd(element, elements.Count)) continue;
                var box = element.Ancestors().Append(element).Any(e => e["data-block"] == "workshops-head") ? new MeasuredBoxOnPage(0, 70, Width, 345) : new(0, 0, Width, 3000);
                elements.Add(new(element.Parent is { } around ? known[around] : -1, element["data-block"] ?? "", 0, box, box, element == own ? [new(80, 150 + 50 * known.Count % 200, 720, 60)] : []));
            }
        }
        var measured = new MeasuredTexts("workshops", Width, Height, 3000, [.. elements]);
        var pictures = TextContrasts.PicturesBehind(site, ["workshops"]).ToDictionary(p => p.Hash, p => DecodedPicture.Of(sample.Assets.First(a => a.Hash == p.Hash).Bytes));
        Times.Print("how texts read on a page that was measured", _ => TextContrasts.Of(site, measured, p => pictures[p.Hash], default).Length);
        var moving = Made(site, new SetThing("background", "layer-2", "attachment", "slower than it", "evening-at-the-beds"));
        Times.Print("the same where the picture goes slower", _ => TextContrasts.Of(moving, measured, p => pictures[p.Hash], default).Length);
        foreach (var picture in pictures.Values) picture.Dispose();
    }

    private static Site Dragged(Site site, int n) => Made(site, new SetThing("gradient", "stop-2", "position", $"{60 + n}%", "dawn"));

    private static Site Made(Site site, Edit edit) => edit.Apply(site).Site ?? throw new InvalidOperationException(edit.ToString());

    private static int Decoded(byte[] jpeg)
    {
        using var picture = DecodedPicture.Of(jpeg);
        return picture.Width;
    }
}
