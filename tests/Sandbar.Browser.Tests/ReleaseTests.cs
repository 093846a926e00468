using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>The unpacked release shows the same as the stage: every resolved style of every element in Chromium, every page, every width.</summary>
public sealed class ReleaseTests(Workplace workplace) : IClassFixture<Workplace>
{
    [Fact]
    public async Task The_release_shows_the_same_as_the_stage()
    {
        var cancel = TestContext.Current.CancellationToken;
        var browser = workplace.Browser;
        // Something of each kind that can be set, so that more than the untouched demo is compared.
        await workplace.Server.EditAsync(0, LocalServer.SetColor("oklch(0.45 0.12 300)")).OkAsync();
        await workplace.Server.EditAsync(1, new { kind = "setOverrides", css = ".card:nth-child(2) { rotate: 1deg }\na { color red }\n.credit { letter-spacing: 1px" }).OkAsync();
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        foreach (var (page, file) in new[] { ("home", "index.html"), ("catalogue", "catalogue.html"), ("guide", "growing-guide.html"), ("workshops", "workshops.html"), ("membership", "membership.html"), ("contact", "contact.html") })
        {
            foreach (var width in new[] { 390, 820, 1280 })
            {
                browser.Resize(1280, 800);
                browser.Open(workplace.At($"/sites/pellwyn/palette?page={page}&width={width}"));
                var stage = Styles.Read(browser, "document.querySelector('.stage iframe').contentDocument");
                // A window as high as the stage's: how far something fixed is from the bottom edge is reckoned from that.
                var height = browser.Run<long>("return document.querySelector('.stage iframe').contentWindow.innerHeight");
                browser.Resize(width, (int)height);
                browser.Driver.Navigate().GoToUrl(new Uri(released.Address, file));
                browser.Until(() => browser.Run<bool>("return document.fonts.status === 'loaded'"), "the fonts");
                var release = Styles.Read(browser, "document");
                Assert.True(stage.Count > 50, "The stage shows almost nothing.");
                var difference = Styles.Difference(stage, release);
                Assert.True(difference is null, $"{file} at {width}: {difference}");
            }
        }
        browser.Resize(1280, 800);
    }

    /// <summary>The same pixels too: every page, width and preference, as pictures of the same size.</summary>
    [Fact]
    public async Task The_release_is_pixel_for_pixel_the_stage()
    {
        var cancel = TestContext.Current.CancellationToken;
        var browser = workplace.Browser;
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        var pages = (await workplace.Server.SiteAsync())["site"]!["pages"]!.AsArray().Select(p => (Id: p!["id"]!.GetValue<string>(), File: p["slug"]!.GetValue<string>() + ".html")).ToList();
        try
        {
            foreach (var prefers in new[] { "light", "dark" })
            {
                foreach (var (width, height) in new[] { (390, 844), (820, 1180), (1280, 800) })
                {
                    foreach (var (page, file) in pages)
                    {
                        browser.Resize(1400, 1300);
                        browser.Prefer(null);
                        browser.Open(workplace.At($"/sites/pellwyn/palette?page={page}&width={width}&scale=100&whole=yes&prefers={prefers}"));
                        var place = browser.Json("const b = document.querySelector('.stage iframe').getBoundingClientRect(); return [b.x, b.y]");
                        var stage = browser.Picture(place[0].GetDouble(), place[1].GetDouble(), width, height);
                        browser.Resize(width, height);
                        browser.Prefer(prefers);
                        browser.Driver.Navigate().GoToUrl(new Uri(released.Address, file));
                        // Smaller forms of pictures are other pixels; which one is shown is the browser's choice.
                        browser.Run<object?>("for (const picture of document.images) picture.removeAttribute('srcset')");
                        browser.Until(() => browser.Run<bool>("return document.fonts.status === 'loaded' && [...document.images].every(i => i.complete)"), "fonts and pictures");
                        var release = browser.Picture(0, 0, width, height);
                        Assert.True(stage == release, $"{file} at {width}, {prefers}: the pictures differ.");
                    }
                }
            }
        }
        finally
        {
            browser.Prefer(null);
            browser.Resize(1280, 800);
        }
    }

    /// <summary>The Nu HTML checker reads every released page, lightningcss and css-tree the stylesheet, each declaration against its grammar.</summary>
    [Fact]
    public async Task Outside_checkers_find_no_error_in_the_released_bytes()
    {
        var cancel = TestContext.Current.CancellationToken;
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        var pages = Directory.GetFiles(released.Folder, "*.html");
        // Six, and one that a list of posts goes on to.
        Assert.Equal(7, pages.Length);
        Assert.Equal("", await OutsideCheck.HtmlAsync(pages, cancel));
        var (css, trouble) = await OutsideCheck.RunAsync("node", [Path.Combine(LocalServer.Root, "tests", "references", "check-css.mjs"), Path.Combine(released.Folder, "site.css")], cancel);
        Assert.True(trouble.Length == 0, trouble);
        var answer = JsonNode.Parse(css)!;
        Assert.Empty(answer["found"]!.AsArray().Select(f => f!.GetValue<string>()));
        Assert.True(answer["declarations"]!.GetValue<int>() > 300);
    }

    [Fact]
    public async Task Axe_finds_nothing_on_the_released_pages()
    {
        var cancel = TestContext.Current.CancellationToken;
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        foreach (var file in Directory.GetFiles(released.Folder, "*.html"))
        {
            workplace.Browser.Driver.Navigate().GoToUrl(new Uri(released.Address, Path.GetFileName(file)));
            Assert.Empty(Styles.Violations(workplace.Browser));
        }
    }

    /// <summary>What axe-core measures on the released pages is what our own pairs say: colour by colour, ratio by ratio, none missing.</summary>
    [Fact]
    public async Task Pairs_in_use_are_those_that_axe_finds()
    {
        var cancel = TestContext.Current.CancellationToken;
        // Overrides are counted: the demo's own, and some that change colours, grounds and what lets them through.
        var site = await workplace.Server.SiteAsync();
        var css = site["site"]!["overrides"]!["css"]!.GetValue<string>() + ".card-title { color: #8a6f5c }\n.quote { background: rgb(227 178 60 / .4) }\n.figure { opacity: .9 }\nmain section:nth-of-type(2) { --role-text: #5b4636 }";
        await workplace.Server.EditAsync(site.Version(), new { kind = "setOverrides", css }).OkAsync();
        var pairs = (await workplace.Server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn/pairs", cancel))!;
        var inUse = pairs["rows"]!.AsArray().SelectMany(r => r!["at"]!.AsArray()).ToList();
        var ours = inUse.Where(p => p!["kind"]!.GetValue<string>() is "text" or "largeText" && p["state"]!.GetValue<string>() is "rest" or "current")
            .ToLookup(p => (p!["foreground"]!.GetValue<string>(), p["ground"]!.GetValue<string>()), p => p!["ratio"]!.GetValue<double>());
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        await workplace.Server.EditAsync((await workplace.Server.SiteAsync()).Version(), new { kind = "setOverrides", css = "" }).OkAsync();
        var seen = new HashSet<(string, string)>();
        foreach (var scheme in new[] { "light", "dark" })
        {
            workplace.Browser.Prefer(scheme);
            foreach (var file in Directory.GetFiles(released.Folder, "*.html"))
            {
                workplace.Browser.Driver.Navigate().GoToUrl(new Uri(released.Address, Path.GetFileName(file)));
                foreach (var (foreground, ground, ratio) in Styles.Contrasts(workplace.Browser))
                {
                    Assert.True(ours.Contains((foreground, ground)), $"{Path.GetFileName(file)} ({scheme}): axe finds {foreground} on {ground}, the pairs do not.");
                    // axe-core cuts off after two decimals, as we do, but computes from rounded channels.
                    Assert.All(ours[(foreground, ground)], r => Assert.Equal(ratio, r, 0.011));
                    seen.Add((foreground, ground));
                }
            }
        }
        workplace.Browser.Prefer(null);
        var missed = ours.Select(o => o.Key).Except(seen).ToList();
        // What axe-core does not measure: what a visitor types into a field.
        Assert.All(missed, m => Assert.Contains(inUse, p => p!["property"]!.GetValue<string>() == "control-text-color" && p["foreground"]!.GetValue<string>() == m.Item1 && p["ground"]!.GetValue<string>() == m.Item2));
    }

    /// <summary>Chromium's own layout-shift entries (Layout Instability, WICG), while every font comes half a second after the page.</summary>
    [Theory]
    [InlineData(390)]
    [InlineData(1280)]
    public async Task Text_keeps_its_place_when_fonts_arrive(int width)
    {
        var zip = await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken);
        await using var released = await Released.UnpackAsync(zip, fontsAfter: TimeSpan.FromSeconds(0.5));
        var browser = workplace.Browser;
        browser.Resize(width, 800);
        foreach (var page in Directory.GetFiles(released.Folder, "*.html").Select(f => Path.GetFileName(f)))
        {
            browser.Driver.Navigate().GoToUrl(new Uri(released.Address, page));
            browser.Until(() => browser.Run<bool>("return document.fonts.status === 'loaded' && [...document.fonts].some(f => f.status === 'loaded' && !f.family.includes('Fallback'))"), "the fonts");
            var shift = Convert.ToDouble(browser.Driver.ExecuteAsyncScript("""
                const done = arguments[0];
                let sum = 0;
                const add = (entries) => entries.forEach((e) => (sum += e.value));
                const observer = new PerformanceObserver((list) => add(list.getEntries()));
                observer.observe({ type: 'layout-shift', buffered: true });
                requestAnimationFrame(() => requestAnimationFrame(() => {
                  add(observer.takeRecords());
                  done(sum);
                }));
                """), System.Globalization.CultureInfo.InvariantCulture);
            Assert.True(shift < 0.01, $"{page} at {width}: {shift:0.0000}");
        }
    }
}
