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
