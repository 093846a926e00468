using System.Net;
using System.Net.Sockets;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>What a designer does from the first minute to taking the site away, in the real interface.</summary>
public sealed class CourseTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task Decide_apply_hold_and_release()
    {
        var cancel = TestContext.Current.CancellationToken;
        Browser.Open(workplace.At("/"));
        Browser.Named("a", "Pellwyn Seed Library").Click();
        Browser.Settle();

        // Dragging the main colour: header, button and link follow before the hand lets go, and nothing is stored yet.
        const string header = ".site-header .button-filled", outlined = ".button-outlined", link = "a:not([class])";
        var before = (Browser.StageStyle(header, "background-color"), Browser.StageStyle(outlined, "color"), Browser.StageStyle(link, "color"));
        var slider = Browser.Named("input", "Hue");
        var left = 8 - slider.Size.Width / 2;
        Browser.Mouse("mousePressed", slider, left, 0);
        Browser.Mouse("mouseMoved", slider, left + 80, 0);
        Browser.Mouse("mouseMoved", slider, left + 120, 0);
        Browser.Until(() => Browser.StageStyle(header, "background-color") != before.Item1, "the header's button to follow");
        Assert.NotEqual(before.Item2, Browser.StageStyle(outlined, "color"));
        Assert.NotEqual(before.Item3, Browser.StageStyle(link, "color"));
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
        Browser.Mouse("mouseReleased", slider, left + 120, 0);
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == "1", "the drag to be stored");
        Browser.Settle();
        var dragged = Browser.StageStyle(header, "background-color");
        Assert.NotEqual(before.Item1, dragged);

        // A hover colour in the ledger, seen with the state shown.
        Browser.Named("a", "Parts").Click();
        Browser.Starting("button", "Background in Hover").Click();
        Browser.Press("rain shade 1");
        Browser.Press(Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == "2", "the cell to be stored");
        Browser.Open(workplace.At("/sites/pellwyn/parts?show=hover"));
        Assert.Equal("rgb(42, 87, 112)", Browser.StageStyle(header, "background-color"));

        // One line of custom CSS, on the stage while typing.
        Browser.Open(workplace.At("/sites/pellwyn/overrides"));
        Browser.Element(".cm-content").Click();
        new Actions(Browser.Driver).KeyDown(Keys.Control).SendKeys(Keys.End).KeyUp(Keys.Control).Perform();
        Browser.Press("\n.heading-1 { text-transform: uppercase }");
        Browser.Until(() => Browser.StageStyle(".heading-1", "text-transform") == "uppercase", "the rule to show");
        Browser.PressWithControl("s");
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") != "2", "the rule to be stored");
        Browser.Settle();

        // Undo and redo, by key outside the editor.
        Browser.Named("a", "Palette").Click();
        Browser.Settle();
        Browser.PressWithControl("z");
        Browser.Until(() => Browser.StageStyle(".heading-1", "text-transform") == "none", "undo");
        Browser.Settle();
        Browser.PressWithControl("y");
        Browser.Until(() => Browser.StageStyle(".heading-1", "text-transform") == "uppercase", "redo");
        Browser.Settle();

        // Stopped and started again, in a new window: everything is there.
        await workplace.Server.RestartAsync();
        Browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
        Browser.Resize(1280, 800);
        Browser.Open(workplace.At("/sites/pellwyn/parts?show=hover"));
        Assert.Equal("uppercase", Browser.StageStyle(".heading-1", "text-transform"));
        Assert.Equal("rgb(42, 87, 112)", Browser.StageStyle(header, "background-color"));
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Assert.Equal(dragged, Browser.StageStyle(header, "background-color"));

        // Taken away, the pages show the same.
        var stage = Styles.Read(Browser, "document.querySelector('.stage iframe').contentDocument");
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        Browser.Driver.Navigate().GoToUrl(new Uri(released.Address, "index.html"));
        Browser.Until(() => Browser.Run<bool>("return document.fonts.status === 'loaded'"), "the fonts");
        Assert.Null(Styles.Difference(stage, Styles.Read(Browser, "document")));
    }

    [Fact]
    public async Task A_drag_is_one_undo_and_escape_brings_back_what_is_stored()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        var plane = Browser.Named("div", "Lightness and chroma");
        var before = Browser.StageStyle(".button-filled", "background-color");
        Browser.Mouse("mousePressed", plane, 0, 0);
        Browser.Mouse("mouseMoved", plane, -40, -40);
        Browser.Until(() => Browser.StageStyle(".button-filled", "background-color") != before, "the stage to follow");
        Browser.Press(Keys.Escape);
        Browser.Until(() => Browser.StageStyle(".button-filled", "background-color") == before, "Escape");
        Browser.Mouse("mouseReleased", plane, -40, -40);
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());

        Browser.Mouse("mousePressed", plane, 0, 0);
        Browser.Mouse("mouseMoved", plane, -20, -20);
        Browser.Mouse("mouseMoved", plane, -40, -40);
        Browser.Mouse("mouseReleased", plane, -40, -40);
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == "1", "the drag to be stored");
        Browser.Settle();
        Browser.Starting("button", "Undo").Click();
        Browser.Until(() => Browser.StageStyle(".button-filled", "background-color") == before, "undo");
    }

    [Fact]
    public async Task What_cannot_be_read_is_said_at_its_place_and_changes_nothing()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        var field = Browser.Element(".color-fields input.mono");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("reddish" + Keys.Enter);
        Browser.Until(() => Alert().Contains("“reddish” is not a colour", StringComparison.Ordinal), "the message");
        field.SendKeys(Keys.Escape);
        Browser.Until(() => field.GetAttribute("value") == "#8a2846", "Escape");

        Browser.Open(workplace.At("/sites/pellwyn/parts"));
        Browser.Starting("button", "Padding in Rest").Click();
        Browser.Press("-4px" + Keys.Enter);
        Browser.Until(() => Alert().Contains("cannot be negative", StringComparison.Ordinal), "the message");

        Browser.Open(workplace.At("/sites/pellwyn/overrides"));
        Browser.Element(".cm-content").Click();
        Browser.Press("a { colr red }\n");
        Browser.Until(() => Browser.Element(".css-problems").Text.Contains("A colon is missing", StringComparison.Ordinal), "the problem");
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".cm-lintRange-error")).Count > 0, "the mark in the editor");
        Assert.Equal("#8a2846", (await workplace.Server.SiteAsync()).Color());
        string Alert() => Browser.Run<string>("return [...document.querySelectorAll('[role=alert]')].map(a => a.textContent).join(' ')");
    }

    /// <summary>What is stored comes back while more is being typed: it is older, and takes nothing of it away.</summary>
    [Fact]
    public async Task Typing_goes_on_while_what_was_typed_is_being_stored()
    {
        Browser.Open(workplace.At("/sites/pellwyn/overrides"));
        Browser.Element(".cm-content").Click();
        new Actions(Browser.Driver).KeyDown(Keys.Control).SendKeys("a").KeyUp(Keys.Control).Perform();
        Browser.Press(Keys.Delete);
        for (var i = 0; i < 12; i++)
        {
            Browser.Press($".a{i} top");
            Browser.PressWithControl("s");
        }
        Browser.Settle();
        Browser.Until(() => Browser.Element(".save-state").Text.StartsWith("All changes saved", StringComparison.Ordinal), "the last of it to be stored");
        var expected = string.Concat(Enumerable.Range(0, 12).Select(i => $".a{i} top"));
        Assert.Equal(expected, Browser.Run<string>("return document.querySelector('.cm-content').textContent"));
        Assert.Equal(expected, (await workplace.Server.SiteAsync())["site"]!["overrides"]!["css"]!.GetValue<string>());

        // What another window writes, or undo brings back, is shown once nothing waits.
        Browser.Starting("button", "Undo").Click();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.cm-content').textContent") != expected, "undo in the editor");
    }

    [Fact]
    public void The_ledger_can_be_worked_by_key()
    {
        Browser.Open(workplace.At("/sites/pellwyn/parts"));
        Browser.Run<object?>("document.querySelector('button.cell').focus()");
        Browser.Press(Keys.ArrowDown + Keys.ArrowRight);
        Assert.StartsWith("Text colour in Hover", Focused(), StringComparison.Ordinal);
        Browser.Press(Keys.Enter);
        Browser.Until(() => Focused() == "Text colour in Hover", "the cell to open");
        Browser.Press("attention" + Keys.Enter);
        Browser.Until(() => Focused() == "Text colour in Hover: attention", "the cell to close with its value");
        Browser.Press(Keys.Delete);
        Browser.Until(() => Focused() == "Text colour in Hover: as rest", "the value to go");
        string Focused() => Browser.Run<string>("return document.activeElement.getAttribute('aria-label') ?? ''");
    }

    /// <summary>Whatever an override says, the stage asks nothing of anybody outside: a listener waits in vain.</summary>
    [Fact]
    public async Task The_stage_asks_for_nothing_outside()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        var outside = $"http://127.0.0.1:{((IPEndPoint)listener.LocalEndpoint).Port}";
        await workplace.Server.EditAsync(0, new
        {
            kind = "setOverrides",
            css = $"@import url({outside}/a.css); body {{ background: url({outside}/b.png) }} @font-face {{ font-family: x; src: url({outside}/c.woff2) }} h1 {{ font-family: x }} a {{ cursor: url({outside}/d.cur), auto }}",
        }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/overrides"));
        Assert.Contains(outside, Browser.StageStyle("body", "background-image"), StringComparison.Ordinal);
        Assert.False(listener.Pending());
    }
}
