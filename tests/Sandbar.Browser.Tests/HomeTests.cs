using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>The sites as things, and named states, in the real interface.</summary>
public sealed class HomeTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public void A_site_is_duplicated_renamed_deleted_and_brought_back()
    {
        Browser.Open(workplace.At("/"));
        Browser.Named("button", "Duplicate Pellwyn Seed Library").Click();
        Name("Winter" + Keys.Enter);
        Browser.Named("a", "Winter");
        Browser.Named("button", "Rename Winter").Click();
        Name("Pellwyn Seed Library" + Keys.Enter);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector("[role=alert]")).Any(a => a.Text.Contains("taken", StringComparison.Ordinal)), "the answer");
        Name("Deep winter" + Keys.Enter);
        Browser.Named("a", "Deep winter");
        Browser.Named("button", "Delete Pellwyn Seed Library").Click();
        Browser.Until(() => !Sites().Contains("Pellwyn Seed Library"), "the site to go");
        Browser.Named("button", "Undo").Click();
        Browser.Until(() => Sites().Contains("Pellwyn Seed Library"), "the site to come back");
    }

    /// <summary>Each site shows its first page, live, its colours, and when it was edited last; what was deleted is listed, and comes back at any time.</summary>
    [Fact]
    public async Task Sites_are_known_at_sight()
    {
        await workplace.Server.EditAsync(0, LocalServer.SetColor("#336699")).OkAsync();
        Browser.Open(workplace.At("/"));
        Browser.Until(() => Browser.Run<string>("const f = document.querySelector('iframe[title=\"First page of Pellwyn Seed Library\"]'); return f?.contentDocument?.querySelector('.button-filled') ? f.contentWindow.getComputedStyle(f.contentDocument.querySelector('.button-filled')).backgroundColor : ''") == "rgb(51, 102, 153)", "the page as it is now");
        Assert.Equal(7, Browser.Run<long>("return [...document.querySelectorAll('.site-list li')].find(l => l.textContent.includes('Pellwyn Seed Library')).querySelectorAll('.front-colors span').length"));
        var edited = Browser.Run<string>("return [...document.querySelectorAll('.site-list li')].find(l => l.textContent.includes('Pellwyn Seed Library')).querySelector('time').dateTime");
        Assert.InRange(DateTimeOffset.Parse(edited, System.Globalization.CultureInfo.InvariantCulture), DateTimeOffset.UtcNow.AddMinutes(-5), DateTimeOffset.UtcNow);

        Browser.Named("button", "Delete Pellwyn Seed Library").Click();
        Browser.Until(() => !Sites().Contains("Pellwyn Seed Library"), "the site to go");
        Browser.Open(workplace.At("/"));
        Browser.Named("summary", "1 deleted site").Click();
        Browser.Named("button", "Bring Pellwyn Seed Library back").Click();
        Browser.Until(() => Sites().Contains("Pellwyn Seed Library"), "the site to come back");
    }

    /// <summary>A site file of a site that is there already asks for another name.</summary>
    [Fact]
    public async Task A_site_file_whose_name_is_taken_asks_for_another()
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("sandbar-file-").FullName, "pellwyn.zip");
        await File.WriteAllBytesAsync(file, await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/site-file.zip", TestContext.Current.CancellationToken), TestContext.Current.CancellationToken);
        Browser.Open(workplace.At("/"));
        Browser.Element("input[type=file]").SendKeys(file);
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.ant-modal .problem')?.textContent ?? ''").Contains("taken", StringComparison.Ordinal), "the question");
        Name("Spring" + Keys.Enter);
        Browser.Named("a", "Spring");
        File.Delete(file);
    }

    [Fact]
    public async Task A_state_is_named_left_and_gone_back_to()
    {
        Browser.Open(workplace.At("/sites/pellwyn/snapshots"));
        var before = Browser.StageStyle(".card", "border-radius");
        Browser.Element("input[aria-label='Name for the present state']").SendKeys("Before the sale" + Keys.Enter);
        Browser.Named("button", "Go back to Before the sale");
        await workplace.Server.EditAsync(0, new { kind = "setCell", look = "card-standard", property = "radius", state = "rest", from = (int?)null, below = (int?)null, text = "40px" }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/snapshots"));
        Assert.Equal("40px", Browser.StageStyle(".card", "border-radius"));
        Browser.Named("button", "Go back to Before the sale").Click();
        Browser.Until(() => Browser.StageStyle(".card", "border-radius") == before, "the state");
        Browser.Settle();
        Browser.Until(() => Browser.Element("ol.past-rows").Text.StartsWith("Back to “Before the sale”", StringComparison.Ordinal), "the history");
        Browser.Starting("button", "Undo").Click();
        Browser.Until(() => Browser.StageStyle(".card", "border-radius") == "40px", "undo");
    }

    // Read in one go: the list may be drawn anew meanwhile.
    private List<string> Sites() => [.. Browser.Json("return [...document.querySelectorAll('.site-list li > a')].map(a => a.textContent)").EnumerateArray().Select(a => a.GetString()!)];

    private void Name(string keys)
    {
        var field = Browser.Element(".ant-modal input[aria-label=Name]");
        Browser.Until(() => field.Displayed, "the dialog");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(keys);
    }
}
