using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Rendering;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;
using Sandbar.Tests;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>Layers with pictures in Chromium: where they lie, how they are toned, and what they do while the page scrolls.</summary>
public sealed class PictureFillTests(Sandbar.Tests.Browser browser) : IClassFixture<Sandbar.Tests.Browser>
{
    private const string Frame = "<!doctype html><style>body{margin:0;background:#fff} .box{position:absolute;overflow:clip;isolation:isolate} .fill-layer{position:absolute;inset:0;container-type:size} img{display:block;width:100%;height:100%}</style>";

    /// <summary>Boxes and pictures of every shape, focal points everywhere: Chromium reckons from the sheet what the core places.</summary>
    [Fact]
    public void Pictures_lie_where_they_are_placed()
    {
        var random = new Random(15);
        var cases = Enumerable.Range(0, RandomTimes.Of(300)).Select(_ => (
            Picture: (Width: random.Next(1, 3000), Height: random.Next(1, 3000)), Box: (Width: random.Next(1, 900), Height: random.Next(1, 900)), Fit: random.Next(2) == 0 ? Fit.Cover : Fit.Contain,
            X: random.Next(0, 101), Y: random.Next(0, 101))).ToList();
        var html = string.Concat(cases.Select(c =>
        {
            var picture = new ShelfItem("p", "p", "pictures/p.png", "image/png", "", c.Picture.Width, c.Picture.Height) { FocusX = new NumberValue(c.X, "%"), FocusY = new NumberValue(c.Y, "%") };
            var layer = new BackgroundLayer("l", new ReferenceValue("picture", "p")) { Fit = new WordValue(c.Fit == Fit.Cover ? "cover" : "contain") };
            var site = Demo.Site with { Shelf = [picture] };
            return $"<div class=\"box\" style=\"width:{c.Box.Width}px;height:{c.Box.Height}px\">{FillLayers.Drawn(site, site.Palette.Schemes[0], [layer], _ => "data:,", _ => "")}</div>";
        }));
        Show(html);
        var found = browser.Json("return [...document.querySelectorAll('img')].map(i => getComputedStyle(i).objectPosition)").EnumerateArray().Select(p => p.GetString()!.Split(' ')).ToList();
        foreach (var (c, position) in cases.Zip(found))
        {
            var placed = Placement.Of(c.Picture, c.Box, c.Fit, (c.X, c.Y));
            Same(placed.Left, position[0], c.Box.Width - placed.Width);
            Same(placed.Top, position[1], c.Box.Height - placed.Height);

            // Shares of the room say the same place as lengths.
            void Same(double offset, string said, double room)
            {
                var value = double.Parse(said.TrimEnd('%', 'p', 'x'), CultureInfo.InvariantCulture);
                var chromium = said.EndsWith('%') ? value / 100 * room : value;
                Assert.True(Math.Abs(offset - chromium) < 0.6, $"{c}: {offset:0.##} here, {chromium:0.##} in Chromium");
            }
        }
    }

    /// <summary>Within 2 of 255, as all fills.</summary>
    [Fact]
    public void Pictures_are_toned_as_they_are_reckoned()
    {
        string[] pixels = ["#000000", "#ffffff", "#ff0000", "#00ff00", "#0000ff", "#808080", "#c0392b", "#2e8b57", "#e3b23c", "#3d6b86"];
        (Color Dark, Color Light)[] pairs = [(ColorText.Parse("#2b221b"), ColorText.Parse("#f6efe2")), (ColorText.Parse("#8a2846"), ColorText.Parse("#e3b23c")), (ColorText.Parse("#f6efe2"), ColorText.Parse("#0b5d63"))];
        using var bitmap = new SKBitmap(pixels.Length, 1);
        for (var i = 0; i < pixels.Length; i++) bitmap.SetPixel(i, 0, SKColor.Parse(pixels[i]));
        var address = $"data:image/png;base64,{Convert.ToBase64String(bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray())}";
        const int Side = 16;
        Show(string.Concat(pairs.Select((p, n) => $"<img src=\"{address}\" style=\"position:absolute;top:{n * Side}px;width:{pixels.Length * Side}px;height:{Side}px;image-rendering:pixelated;filter:{Toning.Css(p.Dark, p.Light).Replace("\"", "&quot;", StringComparison.Ordinal)}\">")));
        using var seen = browser.Pixels(0, 0, pixels.Length * Side, pairs.Length * Side);
        foreach (var (n, pair) in pairs.Index())
        {
            foreach (var (i, pixel) in pixels.Index())
            {
                var (mine, there) = (Premultiplied.Color(Toning.Of(Premultiplied.Of(ColorText.Parse(pixel)), Premultiplied.Of(pair.Dark), Premultiplied.Of(pair.Light))), seen.GetPixel(i * Side + Side / 2, n * Side + Side / 2));
                var off = new[] { Math.Abs(mine.C1 * 255 - there.Red), Math.Abs(mine.C2 * 255 - there.Green), Math.Abs(mine.C3 * 255 - there.Blue) }.Max();
                Assert.True(off <= 2, $"{pixel} toned {n}: {there} in Chromium, {ColorText.Hex(mine)} here");
            }
        }
    }

    /// <summary>A layer that moves slower is where its share of the way puts it, never leaves a gap, and stays with the page for who asks for less motion.</summary>
    [Theory]
    [InlineData("30%", 0.3)]
    [InlineData("80%", 0.8)]
    public async Task What_moves_slower_lags_behind_by_its_share(string slower, double share)
    {
        await using var server = await LocalServer.StartAsync();
        await using var released = await ReleasedAsync(server, "evening-at-the-beds", ("attachment", "slower than it"), ("slower", slower));
        using var tab = new Sandbar.Tests.Browser();
        tab.Driver.Navigate().GoToUrl(new Uri(released.Address, "workshops.html"));
        foreach (var y in new[] { 0, 120, 300 })
        {
            tab.Run<object?>("scrollTo(0, arguments[0])", y);
            tab.Until(() => Math.Abs(Lag() - share * Passed()) < 1, $"the layer at {y}");
            var (top, bottom) = (Number("layer.top - box.top"), Number("layer.bottom - box.bottom"));
            Assert.True(top <= 0.5 && bottom >= -0.5, $"a gap at {y}: {top} {bottom}");
        }
        tab.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["features"] = new[] { new Dictionary<string, object> { ["name"] = "prefers-reduced-motion", ["value"] = "reduce" } } });
        tab.Until(() => Number("layer.height - box.height") == 0 && Lag() == 0, "the still form");

        // How far the middle of the box is past the middle of the window, and how far its layer has stayed behind.
        double Passed() => Number("innerHeight / 2 - (box.top + box.height / 2)");
        double Lag() => Number("(layer.top + layer.height / 2) - (box.top + box.height / 2)");
        double Number(string of) => Convert.ToDouble(tab.Run<object>($"const fill = document.querySelector('.fill'), box = fill.getBoundingClientRect(), layer = fill.firstElementChild.getBoundingClientRect(); return {of}"), CultureInfo.InvariantCulture);
    }

    /// <summary>What stands still shows the same pixels wherever the page is, cut off by its box alone.</summary>
    [Fact]
    public async Task What_stands_still_stays_in_the_window()
    {
        await using var server = await LocalServer.StartAsync();
        await using var released = await ReleasedAsync(server, "evening-at-the-beds", ("attachment", "stands still"));
        using var tab = new Sandbar.Tests.Browser();
        tab.Driver.Navigate().GoToUrl(new Uri(released.Address, "workshops.html"));
        tab.Run<object?>("document.querySelector('.fill').lastElementChild.style.display = 'none'");
        tab.Until(() => tab.Run<bool>("return [...document.images].every(i => i.complete)"), "the picture");
        string At(int y)
        {
            tab.Run<object?>("scrollTo(0, arguments[0])", y);
            return tab.Picture(900, 200 + y, 300, 60);
        }
        var first = At(0);
        Assert.Equal(first, At(70));
        Assert.NotEqual(first, At(400));
    }

    /// <summary>A clip plays where it is seen, its part alone and without sound; it is stopped and heard when asked, and stands still for who asks for less motion.</summary>
    [Fact]
    public async Task Clips_play_where_they_are_seen_until_they_are_stopped()
    {
        await using var server = await LocalServer.StartAsync();
        await using var released = await ReleasedAsync(server, "rain-on-leaves", ("from", "1"), ("until", "2"), ("sound", "when asked for"));
        using var tab = new Sandbar.Tests.Browser();
        var page = new Uri(released.Address, "workshops.html");
        tab.Driver.Navigate().GoToUrl(page);
        const string Clip = "const clip = document.querySelector('.fill video'); ";
        Assert.True(tab.Run<bool>(Clip + "return clip.paused && clip.muted"));
        ToIt();
        tab.Until(() => tab.Run<bool>(Clip + "return !clip.paused && clip.currentTime >= 1"), "the clip to play");
        tab.Run<object?>(Clip + "window.turns = 0; clip.addEventListener('seeked', () => window.turns++)");
        tab.Until(() => tab.Run<long>("return window.turns") > 0, "it to begin anew");
        Assert.InRange(Convert.ToDouble(tab.Run<object>(Clip + "return clip.currentTime"), CultureInfo.InvariantCulture), 0.9, 2.5);
        tab.Named("button", "Sound on").Click();
        Assert.False(tab.Run<bool>(Clip + "return clip.muted"));
        tab.Named("button", "Pause").Click();
        tab.Until(() => tab.Run<bool>(Clip + "return clip.paused"), "it to stop");
        tab.Named("button", "Play");
        Assert.Empty(tab.Errors());

        tab.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["features"] = new[] { new Dictionary<string, object> { ["name"] = "prefers-reduced-motion", ["value"] = "reduce" } } });
        tab.Driver.Navigate().GoToUrl(page);
        ToIt();
        Assert.True(tab.Named("button", "Play").Displayed);
        Assert.True(tab.Run<bool>(Clip + "return clip.paused && clip.readyState === 0"));

        void ToIt() => tab.Run<object?>(Clip + "clip.closest('section').scrollIntoView({ block: 'center' })");
    }

    /// <summary>The demo as it is released, with the second layer of a background set otherwise.</summary>
    private static async Task<Released> ReleasedAsync(LocalServer server, string background, params (string Field, string Text)[] set)
    {
        foreach (var (version, (field, text)) in set.Index())
            await server.EditAsync(version, new { kind = "setThing", of = "background", @in = background, id = "layer-2", field, text }).OkAsync();
        return await Released.UnpackAsync(await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken));
    }

    private void Show(string html)
    {
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Run<object?>("document.open(); document.write(arguments[0]); document.close()", Frame + html);
        browser.Until(() => browser.Run<bool>("return [...document.images].every(i => i.complete)"), "the pictures");
    }
}
