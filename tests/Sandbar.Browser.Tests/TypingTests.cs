using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>What is typed is stored or said, however slow the network (emulated by Chromium), whatever happens meanwhile.</summary>
public sealed class TypingTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task Fast_hands_on_a_slow_network_type_into_the_cells_they_mean()
    {
        Open("parts?part=card");
        Slow(400);
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("space 3" + Keys.Enter + Keys.ArrowDown + "space 1" + Keys.Enter + Keys.ArrowUp + Keys.ArrowRight + "space 2" + Keys.Tab + "5px" + Keys.Enter);
        // Each cell shows what was typed while it is on its way.
        Assert.StartsWith("Gap in Rest: 5px", Focused(), StringComparison.Ordinal);
        Assert.Equal("Saving…", State());
        Browser.Settle();
        Assert.Equal(["space 3", "5px", "space 2"], new[] { "body-padding rest", "body-gap rest", "body-padding hover" }.Select(Cell));
        Assert.StartsWith("Gap in Rest: 5px", Focused(), StringComparison.Ordinal);
        // Undone in the order it was done; the focus stays.
        Browser.PressWithControl("z");
        Browser.Until(() => Cell("body-gap rest") == "space 1", "undo");
        Assert.StartsWith("Gap in Rest", Focused(), StringComparison.Ordinal);
        Assert.Equal("space 2", Cell("body-padding hover"));

        string? Cell(string at) => workplace.Server.SiteAsync().GetAwaiter().GetResult()["site"]!["looks"]!.AsArray().First(l => l!["id"]!.GetValue<string>() == "card-standard")!["cells"]!.AsArray()
            .FirstOrDefault(c => $"{c!["property"]} {c["state"]}" == at)?["text"]!.GetValue<string>();
    }

    /// <summary>A cell, a field, several lines and a form that is not sent: what is in them is there after a reload, and stored where it was typed over something.</summary>
    [Fact]
    public async Task A_reload_in_the_middle_of_a_word_loses_nothing()
    {
        Open("parts?part=card");
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("13px");
        Assert.Equal("Being tried, not saved", State());
        Reload();
        Browser.Until(() => Browser.Starting("button", "Padding in Rest").GetAttribute("aria-label")!.Contains("13px", StringComparison.Ordinal), "the cell");

        Open("palette?color=leaf");
        Browser.Element(".color-fields .text-field:nth-of-type(3) input").SendKeys("age");
        Reload();
        Browser.Until(() => Name("leaf") == "leafage", "the name");

        Open("palette?color=new");
        Browser.Element("input[aria-label='Name of the colour']").SendKeys("moss");
        Reload();
        Assert.Equal("moss", Browser.Element("input[aria-label='Name of the colour']").GetAttribute("value"));

        // Left by the browser's own way back.
        Open("palette?color=rain");
        Browser.Named("a", "Type").Click();
        Browser.Settle();
        Browser.Named("a", "Palette").Click();
        Browser.Settle();
        Open("parts?part=card");
        Browser.Named("a", "Frame").Click();
        Browser.Settle();
        Focus("button.cell[aria-label^='Site name']");
        Browser.Press("Seeds");
        Browser.Driver.Navigate().Back();
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "what was typed");
        Assert.Equal("Seeds", Browser.OnStage("stage.querySelector('.site-name').textContent.trim()"));

        string Name(string id) => workplace.Server.SiteAsync().GetAwaiter().GetResult()["site"]!["things"]!["color"]!.AsArray().First(c => c!["id"]!.GetValue<string>() == id)!["name"]!.GetValue<string>();
    }

    /// <summary>A refusal waits where it was typed, is led to from everywhere, and can be dropped.</summary>
    [Fact]
    public void What_is_refused_is_said_until_it_is_mended_or_dropped()
    {
        Open("parts?part=card");
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("12 apples" + Keys.Enter);
        Browser.Until(() => State() == "Not everything is saved", "the refusal");
        Assert.StartsWith("Padding in Rest: 12 apples", Focused(), StringComparison.Ordinal);
        Assert.NotEqual("", Browser.Run<string>("return document.getElementById(document.activeElement.getAttribute('aria-describedby')).textContent"));
        Browser.Named("a", "Palette").Click();
        Browser.Named("button", "Look at it").Click();
        Browser.Named("a", "Go there").Click();
        Browser.Until(() => Browser.Run<bool>("return !!document.querySelector('[aria-label^=\"Padding in Rest: 12 apples\"]')"), "the way there");
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("12px" + Keys.Enter);
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "the value mended");
        Assert.Empty(Browser.Driver.FindElements(By.CssSelector(".problem")));

        Browser.Press("x" + Keys.Enter);
        Browser.Until(() => State() == "Not everything is saved", "the refusal");
        Browser.Press(Keys.Escape);
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "what is stored");
        Browser.Until(() => Focused().StartsWith("Padding in Rest: 12px", StringComparison.Ordinal), "the value as it was");
    }

    /// <summary>Two set the same value: the later one is asked, with both in sight. Enter keeps one's own, Escape takes the other's.</summary>
    [Theory]
    [InlineData(false, "9px")]
    [InlineData(true, "7px")]
    public async Task A_value_that_somebody_else_set_meanwhile_is_asked_about(bool takes, string left)
    {
        Open("parts?part=card");
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("9px");
        await workplace.Server.EditAsync(0, new { kind = "setCell", look = "card-standard", property = "body-padding", state = "rest", from = (int?)null, below = (int?)null, text = "7px" }, window: "elsewhere").OkAsync();
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == "1", "the other's edit");
        Browser.Press(Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.ledger .problem')?.textContent ?? ''").Contains("in another window", StringComparison.Ordinal), "the question");
        if (takes) Browser.Press(Keys.Escape);
        else Browser.Press(Keys.Enter + Keys.Enter);
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "an end");
        Browser.Until(() => Browser.StageStyle(Body, "padding-top") == left, left);
    }

    /// <summary>What is tried goes with what tries it, and follows what is stored meanwhile.</summary>
    [Fact]
    public async Task A_trial_never_stays_behind()
    {
        Open("parts?part=card");
        Browser.Named("a", "Frame").Click();
        Browser.Settle();
        var name = Browser.OnStage("stage.querySelector('.site-name').textContent.trim()");
        Focus("[aria-label='Menu of menu Menu'], [aria-label^='Look of menu']");
        Browser.Press(Keys.ArrowDown + Keys.ArrowDown);
        Browser.Until(() => State() == "Being tried, not saved", "a trial");
        Browser.Driver.Navigate().Back();
        Browser.Until(() => State() == "All changes saved", "the end of the trial");
        Assert.Equal(name, Browser.OnStage("stage.querySelector('.site-name').textContent.trim()"));

        // Tokens that are walked are seen, and what others store meanwhile too.
        Open("parts?part=card");
        var was = Browser.StageStyle(Body, "padding-top");
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("=" + Keys.ArrowDown + Keys.ArrowDown);
        Browser.Until(() => Browser.StageStyle(Body, "padding-top") != was, "the token on the stage");
        var tried = Browser.StageStyle(Body, "padding-top");
        await workplace.Server.EditAsync(0, LocalServer.SetColor("#336699"), window: "elsewhere").OkAsync();
        Browser.Until(() => Browser.StageStyle(".site-header .button", "background-color") == "rgb(51, 102, 153)" && Browser.StageStyle(Body, "padding-top") == tried, "both");
        Browser.Press(Keys.Escape + Keys.Escape);
        Browser.Until(() => Browser.StageStyle(Body, "padding-top") == was, "what is stored");
        Browser.Until(() => Focused().StartsWith("Padding in Rest: space 4", StringComparison.Ordinal), "the cell");
    }

    /// <summary>Without a connection there is one message, whatever the pointer does; a step that was not gone to before is there all the same.</summary>
    [Fact]
    public async Task Without_a_connection_one_thing_is_said()
    {
        Open("palette?color=beet");
        Browser.Until(() => Browser.Run<bool>("return document.documentElement.dataset.steps === 'here'"), "the steps to be fetched");
        await workplace.Server.RestartAsync(async () =>
        {
            Browser.Until(() => State().StartsWith("No connection", StringComparison.Ordinal), "the connection to be missed");
            var plane = Browser.Element(".plane");
            Browser.Mouse("mousePressed", plane, 0, 0);
            for (var x = 0; x < 60; x += 4) Browser.Mouse("mouseMoved", plane, x, 0);
            Assert.Empty(Browser.Driver.FindElements(By.CssSelector(".ant-notification-notice")));
            Browser.Press(Keys.Escape);
            Browser.Mouse("mouseReleased", plane, 60, 0);
            Browser.Named("a", "Frame").Click();
            Browser.Until(() => Browser.Run<bool>("return document.querySelector('.step-panel h1')?.textContent === 'Frame'"), "the step");
            await Task.CompletedTask;
        });
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "the connection");
        Assert.Equal("#8a2846", (await workplace.Server.SiteAsync()).Color());
    }

    /// <summary>What a card's padding is set on.</summary>
    private const string Body = ".card-body";

    private void Open(string view) => Browser.Open(workplace.At($"/sites/pellwyn/{view}"));

    private void Reload()
    {
        Browser.Driver.Navigate().Refresh();
        Browser.Settle();
    }

    private void Focus(string selector)
    {
        Browser.Element(selector);
        Browser.Run<object?>($"document.querySelector({System.Text.Json.JsonSerializer.Serialize(selector)}).focus()");
    }

    private string Focused() => Browser.Run<string>("return document.activeElement.getAttribute('aria-label') ?? ''");

    private string State() => Browser.Run<string>("return document.querySelector('.save-state').textContent");

    private void Slow(int latency)
    {
        Browser.Driver.ExecuteCdpCommand("Network.enable", []);
        Browser.Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new() { ["offline"] = false, ["latency"] = latency, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
    }
}
