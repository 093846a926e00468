using System.Globalization;
using System.Text.Json.Nodes;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;
using Sandbar.Tests;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>
/// How texts read over fills, against pictures that Chromium makes of the same pages with the letters left out: the worst and the mean of all pixels under the lines, and the colour at the worst spot.
/// </summary>
public sealed class TextOverFillsTests : IAsyncLifetime
{
    private const string Beds = "evening-at-the-beds";

    /// <summary>Of 255, in any channel at the worst spot: two as for all fills, and one for each layer that Chromium rounds.</summary>
    private const int Off = 4;

    /// <summary>Tiles that are stretched or set apart by parts of a pixel Chromium draws softer than it would each by itself: threads of one pixel come out lighter.</summary>
    private const int OffSoft = 12;

    private readonly Workplace workplace = new();

    /// <summary>What of which page the browser shows; empty where it shows something else.</summary>
    private string shown = "";

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    /// <summary>The second layer is the picture.</summary>
    private static readonly (string Form, string[] Set)[] Forms =
    [
        ("as it is", []),
        ("cover, untoned, another focal point", ["toning as it is", "focus-x 20", "focus-y 80"]),
        ("wholly in the box", ["fit wholly in the box", "toning as it is"]),
        ("tiled", ["fit own size", "fill picture weave", "opacity 60"]),
        ("tiled with room between", ["fit own size", "fill picture weave", "repeat spaced", "toning as it is"]),
        ("tiled so that whole ones fit", ["fit own size", "fill picture weave", "repeat rounded", "toning as it is"]),
        ("blended", ["opacity 70", "blend multiply"]),
        ("toned in other colours", ["shadows beet shade 2", "highlights husk", "opacity 85"]),
        ("standing still", ["attachment stands still", "toning as it is"]),
        ("slower than the page", ["attachment slower than it", "slower 40"]),
    ];

    [Fact]
    public async Task What_is_reckoned_is_what_Chromium_paints()
    {
        foreach (var (form, set) in Forms)
        {
            await WithAsync([.. set.Select(s => s.Split(' ', 2)).Select(s => new { kind = "setThing", of = "background", @in = Beds, id = "layer-2", field = s[0], text = s[1] })], async () =>
            {
                var compared = 0;
                foreach (var (name, worst, place) in await TextsAsync("workshops", $"background/{Beds}"))
                {
                    // In the scheme the page has for those who prefer light.
                    if ((bool)place["dark"]! || name.EndsWith("prefers dark", StringComparison.Ordinal)) continue;
                    Compare($"{form}: {name}", place["spot"]!, worst, place, isMoving: set.Any(s => s.StartsWith("attachment", StringComparison.Ordinal)), isSoft: set.Any(s => s.StartsWith("repeat", StringComparison.Ordinal)));
                    compared++;
                }
                Assert.True(compared >= 9, $"{form}: {compared} texts compared");
            });
        }
    }

    /// <summary>A light that follows the text it lies behind, of every extent.</summary>
    [Fact]
    public async Task A_light_behind_a_text_is_reckoned_where_it_lies()
    {
        foreach (var (shape, extent) in new[] { ("ellipse", "farthest corner"), ("ellipse", "own reach"), ("circle", "closest side"), ("circle", "farthest corner") })
        {
            await WithAsync([.. new[] { ("shape", shape), ("extent", extent) }.Select(s => new { kind = "setThing", of = "gradient", id = "lamp", field = s.Item1, text = s.Item2 })], async () =>
            {
                var compared = 0;
                foreach (var (name, worst, place) in await TextsAsync("membership", "background/lamp-on-the-words"))
                {
                    if ((bool)place["dark"]! || name.EndsWith("prefers dark", StringComparison.Ordinal)) continue;
                    Compare($"{shape} {extent}: {name}", place["spot"]!, worst, place);
                    compared++;
                }
                Assert.True(compared >= 9, $"{shape} {extent}: {compared} texts compared");
            });
        }
    }

    /// <summary>Whatever wears it, on every page and at every width: on its first heading, or its first paragraph where it has none.</summary>
    [Fact]
    public async Task A_light_lies_on_the_first_heading_of_what_wears_it()
    {
        var version = 0;
        foreach (var look in new[] { "section-standard", "section-raised", "card-standard", "footer-standard" }) version = (int)(await workplace.Server.EditAsync(version, new { kind = "setCell", look, property = "background", state = "rest", from = (int?)null, below = (int?)null, text = "lamp on the words" }).OkAsync()).Version();
        var lights = 0;
        foreach (var page in new[] { "home", "guide", "membership", "contact" })
        {
            foreach (var width in new[] { 390, 1280 })
            {
                Browser.Resize(width, 800);
                Browser.Driver.Navigate().GoToUrl(workplace.At($"/stage/pellwyn/{page}"));
                foreach (var off in Browser.Json("""
                    return [...document.querySelectorAll('.fill-follows > div:first-of-type ~ div')].filter((light) => light.getClientRects().length > 0 && light.parentElement.parentElement.querySelector('h1, h2, h3, h4, h5, h6, p')).map((light) => {
                      const wearer = light.parentElement.parentElement;
                      const inner = (e) => [e.left + e.width / 2, e.top + e.height / 2];
                      const text = wearer.querySelector('h1, h2, h3, h4, h5, h6') ?? wearer.querySelector('p');
                      const [[x, y], [left, top]] = [inner(light.getBoundingClientRect()), inner(text.getBoundingClientRect())];
                      return Math.max(Math.abs(x - left), Math.abs(y - top));
                    })
                    """).EnumerateArray())
                {
                    Assert.InRange(off.GetDouble(), 0, 1);
                    lights++;
                }
            }
        }
        Assert.True(lights >= 30, $"{lights} lights");
    }

    /// <summary>A half clear panel with what is behind it blurred, and a block that fades with its letters: what is seen through both counts.</summary>
    [Fact]
    public async Task What_is_seen_through_panels_and_faded_blocks_counts()
    {
        await workplace.Server.EditAsync(0, new { kind = "setOverrides", css = "[data-block=workshops-lead] { background: rgb(255 255 255 / 0.35); backdrop-filter: blur(6px); }\n[data-block=workshops-title] { opacity: 0.75; }" }).OkAsync();
        Measured(1);
        var texts = (await TextsAsync("workshops", $"background/{Beds}")).Where(t => !(bool)t.Place["dark"]!).ToList();
        Assert.Contains(texts, t => (string?)t.Place["block"] == "workshops-lead");
        foreach (var (name, worst, place) in texts.Where(t => (string?)t.Place["block"] == "workshops-lead")) Compare(name, place["spot"]!, worst, place);
        // The letters let the ground through: at the worst spot they are seen as Chromium mixes them.
        foreach (var (_, worst, place) in texts.Where(t => (string?)t.Place["block"] == "workshops-title"))
        {
            var spot = place["spot"]!;
            using var bare = Shown(place);
            using var full = Shown(place, "[data-block=workshops-title] { background: currentcolor !important; box-shadow: 0 0 0 40px currentcolor !important; }");
            var (x, y) = ((int)(double)spot["x"]!, (int)(double)spot["y"]!);
            Assert.Equal(Contrast.Ratio(full[x, y], bare[x, y]), worst, 0.15);
        }
    }

    /// <summary>Wherever axe-core says that it cannot tell how a text reads over what is behind it, there is an answer; and nothing is left unmeasured.</summary>
    [Fact]
    public async Task Where_axe_cannot_tell_there_is_an_answer()
    {
        Measured(0);
        var pairs = await PairsAsync();
        Assert.Equal(0, (int)pairs["unmeasured"]!);
        Assert.Empty(pairs["untold"]!.AsArray());
        Assert.True(pairs["rows"]!.AsArray().SelectMany(r => r!["at"]!.AsArray()).SelectMany(a => a!["places"]!.AsArray()).Count(p => p!["spot"] is not null) >= 20);
        var told = pairs["rows"]!.AsArray().SelectMany(r => r!["at"]!.AsArray()).SelectMany(a => a!["places"]!.AsArray()).Select(p => (Page: (string)p!["page"]!, Block: (string)p["block"]!)).Distinct().ToList();
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken));
        var asked = 0;
        foreach (var page in new[] { "workshops", "membership" })
        {
            // Released pages name no blocks: they are known by what they say.
            Browser.Driver.Navigate().GoToUrl(workplace.At($"/stage/pellwyn/{page}"));
            var texts = told.Where(t => t.Page == page).Select(t => Browser.Run<string>("return document.querySelector(`[data-block=${arguments[0]}]`).textContent.trim()", t.Block)).ToList();
            Browser.Driver.Navigate().GoToUrl(new Uri(released.Address, $"{page}.html"));
            foreach (var text in Unsure())
            {
                Assert.True(texts.Exists(t => t.Contains(text, StringComparison.Ordinal)), $"“{text}” on {page}");
                asked++;
            }
        }
        Assert.True(asked >= 5, $"{asked} texts axe is not sure of");
    }

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    private void Compare(string name, JsonNode spot, double worst, JsonNode place, bool isMoving = false, bool isSoft = false)
    {
        using var picture = Shown(place);
        var (x, y) = ((int)(double)spot["x"]!, (int)(double)spot["y"]!);
        var (there, here) = (picture[x, y], ColorText.Parse((string)spot["ground"]!));
        var off = 255 * new[] { Math.Abs(here.C1 - there.C1), Math.Abs(here.C2 - there.C2), Math.Abs(here.C3 - there.C3) }.Max();
        Assert.True(off <= (isSoft ? OffSoft : Off), $"{name} at {place["width"]}: {ColorText.Hex(there)} in Chromium at {x},{y}, {ColorText.Hex(here)} here");

        var ink = ColorText.Parse(Browser.Run<string>("return arguments[0].style.getPropertyValue('--ink')", Browser.Element($"[data-block={place["block"]}]")));
        var lines = Browser.Json("const r = document.createRange(); r.selectNodeContents(arguments[0]); return [...r.getClientRects()].map(b => [b.left + scrollX, b.top + scrollY, b.right + scrollX, b.bottom + scrollY])", Browser.Element($"[data-block={place["block"]}]"))
            .EnumerateArray().Select(l => l.EnumerateArray().Select(n => n.GetDouble()).ToArray()).ToList();
        double lowest = double.PositiveInfinity, sum = 0;
        var count = 0;
        foreach (var line in lines)
        {
            for (var py = (int)Math.Ceiling(line[1]); py < (int)line[3]; py++)
            {
                if (!picture.Shows(py)) continue;
                for (var px = (int)Math.Ceiling(line[0]); px < (int)line[2]; px++)
                {
                    var ratio = Contrast.Ratio(ink, picture[px, py]);
                    lowest = Math.Min(lowest, ratio);
                    sum += ratio;
                    count++;
                }
            }
        }
        // At the place the page was scrolled to for the spot there is no worse one.
        Assert.True(Math.Abs(lowest - worst) <= (isSoft ? 0.1 : 0.05) * worst, $"{name}: {lowest:0.00} in Chromium, {worst:0.00} here");
        if (!isMoving) Assert.True(Math.Abs(sum / count - (double)spot["mean"]!) <= 0.03 * sum / count, $"{name}: on the mean {sum / count:0.00} in Chromium, {spot["mean"]} here");
    }

    /// <summary>Measures the pages with some edits made, and takes these back.</summary>
    private async Task WithAsync(IReadOnlyList<object> edits, Func<Task> then)
    {
        var version = (await workplace.Server.SiteAsync()).Version();
        var made = 0;
        foreach (var edit in edits)
        {
            var now = (await workplace.Server.EditAsync(version, edit).OkAsync()).Version();
            if (now > version) made++;
            version = now;
        }
        Measured(version);
        await then();
        for (; made > 0; made--) version = (await workplace.Server.ReverseAsync("undo", version).OkAsync()).Version();
    }

    /// <summary>The page as Chromium shows it where a text reads worst, without letters.</summary>
    private PagePicture Shown(JsonNode place, string sheet = "")
    {
        // What reads worst wherever the page is scrolled to is the form that stands still.
        var motion = place["spot"]!["scroll"] is null ? "reduce" : "no-preference";
        var width = (int)place["width"]!;
        var (_, height) = Viewports.All.First(v => v.Width == width);
        var shows = $"{place["page"]} {width} {motion} {sheet}";
        if (shown != shows)
        {
            Browser.Emulate("", ("prefers-reduced-motion", motion));
            Browser.Resize(width, height);
            Browser.Driver.Navigate().GoToUrl(workplace.At($"/stage/pellwyn/{place["page"]}"));
            Browser.Until(() => Browser.Run<bool>("return document.readyState === 'complete' && document.fonts.status === 'loaded' && [...document.images].every(i => i.complete)"), "the page");
            Browser.Run<object?>("for (const b of document.querySelectorAll('[data-block]')) b.style.setProperty('--ink', getComputedStyle(b).color); const s = document.createElement('style'); s.textContent = `[data-block], [data-block] *:not(.fill, .fill *) { -webkit-text-fill-color: transparent !important; } ${arguments[0]}`; document.head.append(s)", sheet);
            shown = shows;
        }
        Browser.Run<object?>("scrollTo(0, arguments[0])", place["spot"]!["scroll"] is { } at ? (double)at : Math.Max(0, (double)place["spot"]!["y"]! - height / 2));
        var top = Convert.ToInt32(Browser.Run<object>("return scrollY"), CultureInfo.InvariantCulture);
        return new(Browser.Pixels(0, top, width, height), top);
    }

    private List<string> Unsure()
    {
        Browser.Driver.ExecuteScript(Styles.Axe);
        return [.. JsonNode.Parse((string)Browser.Driver.ExecuteAsyncScript("""
            const done = arguments[arguments.length - 1];
            axe.run(document, { runOnly: ['color-contrast'] }).then((r) => done(JSON.stringify(r.incomplete.flatMap((i) => i.nodes)
              .filter((n) => n.any.some((c) => ['bgGradient', 'bgImage', 'imgNode', 'bgOverlap', 'elmPartiallyObscured', 'elmPartiallyObscuring', 'pseudoContent'].includes(c.data?.messageKey)))
              .map((n) => document.querySelector(n.target[0])?.textContent.trim() ?? n.html))), (e) => done(JSON.stringify([`axe failed: ${e}`])));
            """)!)!.AsArray().Select(b => (string)b!)];
    }

    /// <summary>What a window shows of a page.</summary>
    /// <param name="top">How far the page is scrolled, px.</param>
    private sealed class PagePicture(SKBitmap pixels, int top) : IDisposable
    {
        public Color this[int x, int y] => pixels.GetPixel(x, y - top) is var c ? Color.FromBytes(c.Red, c.Green, c.Blue) : default;

        public bool Shows(int y) => y >= top && y < top + pixels.Height;

        public void Dispose() => pixels.Dispose();
    }

    private void Measured(long version)
    {
        shown = "";
        Browser.Open(workplace.At("/sites/pellwyn/palette?view=pairs"));
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.measured ?? ''") == version.ToString(CultureInfo.InvariantCulture), "every page to be measured");
    }

    private async Task<JsonNode> PairsAsync() => JsonNode.Parse(await workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/pairs", TestContext.Current.CancellationToken))!;

    private async Task<List<(string Name, double Worst, JsonNode Place)>> TextsAsync(string page, string fill) =>
    [
        .. from row in (await PairsAsync())["rows"]!.AsArray()
           from at in row!["at"]!.AsArray()
           where at!["fills"]!.AsArray().Any(f => (string)f! == fill) && (string)at["state"]! == "rest"
           from place in at["places"]!.AsArray()
           where (string)place!["page"]! == page
           // One after the other what is seen in one window.
           orderby (int)place["width"]!, place["spot"]?["scroll"] is null
           select ((string)at["where"]!, (double)place["spot"]!["ratio"]!, place),
    ];
}
