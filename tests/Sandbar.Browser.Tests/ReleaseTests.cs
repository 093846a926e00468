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
        var sizes = new[] { (390, 844), (820, 1180), (1280, 800) };
        foreach (var (page, file) in new[] { ("home", "index.html"), ("catalogue", "catalogue.html"), ("guide", "growing-guide.html"), ("workshops", "workshops.html"), ("membership", "membership.html"), ("contact", "contact.html") })
        {
            foreach (var (width, height) in sizes)
            {
                browser.Resize(1280, 800);
                browser.Open(workplace.At($"/sites/pellwyn/palette?page={page}&width={width}"));
                var stage = Styles.Read(browser, "document.querySelector('.stage iframe').contentDocument");
                browser.Resize(width, height);
                browser.Driver.Navigate().GoToUrl(new Uri(released.Address, file));
                browser.Until(() => browser.Run<bool>("return document.fonts.status === 'loaded'"), "the fonts");
                var release = Styles.Read(browser, "document");
                Assert.True(stage.Count > 50, "The stage shows almost nothing.");
                Assert.Null(Styles.Difference(stage, release));
            }
        }
        browser.Resize(1280, 800);
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
}
