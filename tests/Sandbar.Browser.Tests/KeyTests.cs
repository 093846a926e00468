using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>
/// Everything by key, after the tables of the ARIA Authoring Practices Guide (W3C): grid, combobox, menu button, menu, dialog, slider.
/// What is around the stage is a group and not a toolbar: its lists and radios take the arrow keys themselves, which the guide advises against within toolbars.
/// </summary>
public sealed class KeyTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    /// <summary>Grid: one tab stop, arrows, Home and End with and without Ctrl, Page Up and Down; Enter edits, Escape leaves it, Tab goes on.</summary>
    [Fact]
    public void The_ledger_is_a_grid()
    {
        Open("parts?part=button");
        Assert.Equal(1, Browser.Run<long>("return [...document.querySelectorAll('[role=grid] button')].filter(b => b.tabIndex === 0).length"));
        Focus("[role=grid] button[tabindex='0']");
        Assert.StartsWith("Background in Rest", Focused(), StringComparison.Ordinal);
        Walk((Keys.ArrowRight, "Background in Hover"), (Keys.ArrowDown, "Text colour in Hover"), (Keys.ArrowLeft, "Text colour in Rest"), (Keys.ArrowUp, "Background in Rest"),
            (Keys.End, "Background in Focus"), (Keys.Home, "Background in Rest"), (Keys.PageDown, "Outline offset in Rest"), (Keys.PageUp, "Background in Rest"));
        WithControl(Keys.End, "Entrance takes in Rest");
        WithControl(Keys.Home, "Show Current");
        // Unfolding leads into the column, and folding back to its head.
        Browser.Press(Keys.Enter);
        Until("Background in Current");
        Walk((Keys.ArrowUp, "Fold Current"), (Keys.Enter, "Show Current"));
        Focus("[aria-label^='Padding in Rest']");
        Browser.Press("x" + Keys.Escape);
        Until("Padding in Rest: space 2 space 4");
        Browser.Press(Keys.Enter + Keys.Tab);
        Until("Padding in Hover");
        Assert.Equal("true", Browser.Run<string>("return String([...document.querySelectorAll('[role=grid] button')].filter(b => b.tabIndex === 0).length === 1)"));
    }

    /// <summary>Letters and digits type in a cell, whatever they do elsewhere; the key that finds finds.</summary>
    [Fact]
    public void In_a_cell_letters_type_and_with_Alt_they_do_what_they_do_elsewhere()
    {
        Open("parts?part=card");
        Focus("[aria-label^='Padding in Rest']");
        foreach (var key in new[] { "b", "n", "w", "4", "-" })
        {
            Browser.Press(key);
            Until("Padding in Rest");
            Assert.Equal(key, Browser.Run<string>("return document.activeElement.value"));
            Browser.Press(Keys.Escape);
            Until("Padding in Rest: space 4");
        }
        Browser.Press("/");
        Until("Find a step, part, setting, colour or page");
        Browser.Press(Keys.Escape);
        Until("Padding in Rest: space 4");
        WithAlt("w");
        Browser.Until(() => Address().Contains("whole=yes", StringComparison.Ordinal), "the stage alone");
        WithAlt("w");
        Browser.Until(() => !Address().Contains("whole", StringComparison.Ordinal), "the panel");
        Browser.Press("5");
        WithAlt("/");
        Until("Find a step, part, setting, colour or page");
    }

    /// <summary>Undo, and the keys that stand alone, work whatever has the focus.</summary>
    [Theory]
    [InlineData("palette", ".hue-slider")]
    [InlineData("palette", ".plane")]
    [InlineData("palette", ".step-panel .ant-segmented input:checked")]
    [InlineData("parts", ".part-choice input")]
    [InlineData("palette", ".stage-room")]
    [InlineData("palette", "iframe")]
    public async Task Keys_work_whatever_has_the_focus(string step, string selector)
    {
        await workplace.Server.EditAsync(0, LocalServer.SetColor("#336699"), window: "before").OkAsync();
        Open(step);
        Focus(selector);
        if (selector == "iframe") Browser.Run<object?>("const a = document.querySelector('iframe').contentDocument.querySelector('a'); a.focus()");
        Browser.PressWithControl("z");
        Browser.Until(() => Browser.StageStyle(".site-header .button", "background-color") == "rgb(138, 40, 70)", "undo");
        Browser.PressWithControl("y");
        Browser.Until(() => Browser.StageStyle(".site-header .button", "background-color") == "rgb(51, 102, 153)", "redo");
        new Actions(Browser.Driver).KeyDown("b").Perform();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".earlier")).Count == 1 && Browser.StageStyle(".site-header .button", "background-color") == "rgb(138, 40, 70)", "the stage before the last edit, and that it is said");
        new Actions(Browser.Driver).KeyUp("b").Perform();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".earlier")).Count == 0, "the stage as it is");
        Browser.Press("w");
        Browser.Until(() => Address().Contains("whole=yes", StringComparison.Ordinal), "the stage alone");
        Browser.Press(Keys.Escape);
        Browser.Until(() => !Address().Contains("whole", StringComparison.Ordinal), "the panel");
        Browser.Press("/");
        Until("Find a step, part, setting, colour or page");
    }

    /// <summary>Combobox with a list below, and dialog: what was opened by a key gives the focus back, or on to where it led.</summary>
    [Fact]
    public void Find_leads_and_gives_the_focus_on()
    {
        Open("parts?part=button&whole=yes");
        Focus(".stage-room");
        Browser.Press("/" + "radius");
        Browser.Until(() => Active()?.StartsWith("Radius", StringComparison.Ordinal) == true, "what is found");
        // What belongs to the part in hand comes first.
        Assert.Contains("Setting · Button", Active()!, StringComparison.Ordinal);
        var first = Active();
        Browser.Press(Keys.ArrowDown);
        Browser.Until(() => Active() != first, "the next");
        Browser.Press(Keys.ArrowUp + Keys.Enter);
        Until("Radius in Rest");
        Assert.DoesNotContain("whole", Address(), StringComparison.Ordinal);
        Browser.Until(() => !Address().Contains("setting", StringComparison.Ordinal), "the address to be clean");
        // The same again, from elsewhere.
        Focus(".stage-room");
        Browser.Press("/" + "radius" + Keys.Enter);
        Until("Radius in Rest");
        Browser.Press("/" + "schemes" + Keys.Escape);
        Until("Radius in Rest");
        Browser.Press("/" + "single keys" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return localStorage.getItem('sandbar-single-keys')") == "off", "single keys off");
        Focus(".stage-room");
        Browser.Press("w");
        WithAlt("/");
        Until("Find a step, part, setting, colour or page");
        Assert.DoesNotContain("whole", Address(), StringComparison.Ordinal);
        Browser.Press("single keys" + Keys.Enter);

        string? Active() => Browser.Run<string?>("return document.getElementById(document.activeElement.getAttribute('aria-activedescendant'))?.textContent ?? null");
    }

    /// <summary>Menu button and menu: Enter and Down open on the first item, arrows lead round, Escape gives the focus back; Enter and Space take.</summary>
    [Fact]
    public void Releases_are_downloaded_by_key()
    {
        var folder = Directory.CreateTempSubdirectory("sandbar-released-").FullName;
        Browser.Driver.ExecuteCdpCommand("Browser.setDownloadBehavior", new() { ["behavior"] = "allow", ["downloadPath"] = folder });
        Open("palette");
        Focus("button.release");
        Assert.Equal("menu", Browser.Run<string>("return document.activeElement.getAttribute('aria-haspopup')"));
        Browser.Press(Keys.ArrowDown);
        UntilText("Stylesheet (site.css)");
        Browser.Press(Keys.Escape);
        UntilText("Release");
        Browser.Press(Keys.Enter);
        UntilText("Stylesheet (site.css)");
        Browser.Press(Keys.Enter);
        Browser.Until(() => File.Exists(Path.Combine(folder, "site.css")), "the stylesheet");
        UntilText("Release");
        Browser.Press(Keys.Enter);
        UntilText("Stylesheet (site.css)");
        Browser.Press(Keys.ArrowDown);
        UntilText("Pages, fonts and pictures (zip)");
        Browser.Press(Keys.Space);
        Browser.Until(() => Directory.GetFiles(folder, "*.zip").Length == 1, "the pages");
        UntilText("Release");

        // A press on the stage closes what is open.
        Focus("button.release");
        Browser.Press(Keys.Enter);
        UntilText("Stylesheet (site.css)");
        new Actions(Browser.Driver).MoveToElement(Browser.Element("iframe")).Click().Perform();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('button.release').getAttribute('aria-expanded')") == "false", "the menu to close");
        Directory.Delete(folder, recursive: true);
    }

    /// <summary>Slider: arrows step, Home and End lead to the ends; ten fast presses are ten steps; a press without a move is none.</summary>
    [Fact]
    public async Task Sliders_step_by_key()
    {
        Open("palette?color=rain");
        Focus(".hue-slider");
        var hue = Hue();
        Browser.Press(string.Concat(Enumerable.Repeat(Keys.ArrowRight, 10)));
        Browser.Until(() => Hue() == hue + 10, "ten steps");
        Browser.Settle();
        var stored = (await workplace.Server.SiteAsync()).Color("rain");
        Assert.EndsWith($" {hue + 10}.0)", stored, StringComparison.Ordinal);
        Browser.Press(Keys.Home);
        Browser.Until(() => Hue() == 0, "the least");
        Browser.Press(Keys.End);
        Browser.Until(() => Hue() == 359, "the most");
        Browser.Settle();

        Focus(".plane");
        var light = Light();
        Browser.Press(string.Concat(Enumerable.Repeat(Keys.ArrowUp, 10)));
        Browser.Until(() => Light() == light + 10, $"ten steps from {light}, not {Light()}");
        Browser.Press(Keys.Home);
        Browser.Until(() => Chroma() == "chroma 0", "no chroma");
        Browser.Press(Keys.PageDown);
        Browser.Until(() => Light() == light, "ten down");
        Browser.Settle();

        // A press without a move, one with the right button, and one that is given up on the way.
        Browser.Open(workplace.At("/sites/pellwyn/palette?color=beet"));
        var version = (await workplace.Server.SiteAsync()).Version();
        var slider = Browser.Element(".hue-slider");
        const int ThumbWidth = 10;
        var thumb = (int)Math.Round((slider.Size.Width - ThumbWidth) * (Hue() / 359.0 - 0.5));
        Browser.Mouse("mousePressed", slider, thumb, 0);
        Browser.Mouse("mouseReleased", slider, thumb, 0);
        Browser.Mouse("mousePressed", slider, thumb, 0);
        Browser.Mouse("mouseMoved", slider, 40, 0);
        Browser.Press(Keys.Escape);
        Browser.Mouse("mouseMoved", slider, 60, 0);
        Browser.Mouse("mouseReleased", slider, 60, 0);
        Browser.Settle();
        Assert.Equal(version, (await workplace.Server.SiteAsync()).Version());
        Assert.Equal("#8a2846", (await workplace.Server.SiteAsync()).Color());

        long Hue() => Browser.Run<long>("return Number(document.querySelector('.hue-slider').value)");
        long Light() => Browser.Run<long>("return Number(document.querySelector('.plane').getAttribute('aria-valuenow'))");
        string Chroma() => Browser.Run<string>("return document.querySelector('.plane').getAttribute('aria-valuetext').split(', ')[1]");
    }

    /// <summary>The stage is walked by arrow keys: to the next element, to the one around it, and into it.</summary>
    [Fact]
    public void The_stage_is_walked_by_key()
    {
        Open("parts");
        Focus(".stage-room");
        Browser.Press(Keys.ArrowRight);
        UntilSaid("Header");
        Browser.Press(Keys.ArrowDown);
        UntilSaid("Menu");
        Browser.Press(Keys.ArrowUp);
        UntilSaid("Header");
        Browser.Until(() => Address().Contains("part=header", StringComparison.Ordinal), "the ledger to follow");
        Browser.Press(Keys.ArrowLeft);
        Assert.Equal("Stage", Browser.Run<string>("return document.activeElement.closest('section').getAttribute('aria-label')"));

        void UntilSaid(string part) => Browser.Until(() => Browser.Run<string>("return document.querySelector('.stage > [role=status]').textContent").StartsWith(part + " ·", StringComparison.Ordinal), part);
    }

    /// <summary>What is added is worked on next, and where something is gone the list is gone on from.</summary>
    [Fact]
    public void The_focus_goes_to_where_work_goes_on()
    {
        Open("palette");
        Browser.Named("button", "Add a colour").Click();
        Until("Name of the colour");
        Browser.Press("moss" + Keys.Tab + "#5f7a3a" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.activeElement.closest('section')?.getAttribute('aria-label') ?? ''") == "Colour moss", "the editor of the new colour");
        Browser.Named("button", "Remove moss").SendKeys(Keys.Enter);
        Browser.Until(() => Browser.Run<bool>("return document.activeElement.getAttribute('aria-pressed') === 'true'"), "the list");
        Browser.Named("button", "Add a colour").SendKeys(Keys.Enter);
        Until("Name of the colour");
        Browser.Press(Keys.Escape);
        UntilText("Add a colour");

        Open("edges?view=shadows");
        Browser.Named("button", "Add one like it").SendKeys(Keys.Enter);
        Browser.Until(() => Focused().Contains("lift copy", StringComparison.Ordinal), "the copy");
        Browser.Named("button", "Remove lift copy").SendKeys(Keys.Enter);
        Browser.Until(() => Browser.Run<bool>("return document.activeElement.getAttribute('aria-pressed') === 'true'"), "the list");

        Open("frame?view=menus");
        Browser.Named("button", "Move Contact up").SendKeys(Keys.Enter + Keys.Enter);
        Browser.Settle();
        Assert.Equal("Move Contact up", Focused());
        Browser.Named("button", "Remove Contact").SendKeys(Keys.Enter);
        Browser.Until(() => Focused().StartsWith("Remove ", StringComparison.Ordinal) && Focused() != "Remove Contact", "the next item");
    }

    private void Open(string view) => Browser.Open(workplace.At($"/sites/pellwyn/{view}"));

    private void Focus(string selector)
    {
        Browser.Element(selector);
        Browser.Run<object?>($"document.querySelector({System.Text.Json.JsonSerializer.Serialize(selector)}).focus()");
    }

    private string Address() => Browser.Driver.Url;

    /// <summary>What has the focus is called so.</summary>
    private string Focused() => Browser.Run<string>("const e = document.activeElement; return e.getAttribute('aria-label') ?? e.querySelector('.unseen')?.textContent ?? ''");

    private void Until(string focused) => Browser.Until(() => Focused().StartsWith(focused, StringComparison.Ordinal), $"the focus on “{focused}”, not on “{Focused()}”");

    private void UntilText(string text) => Browser.Until(() => Browser.Run<string>("return document.activeElement.textContent.trim()") == text, $"the focus on “{text}”");

    private void Walk(params (string Key, string Focused)[] steps)
    {
        foreach (var (key, focused) in steps)
        {
            Browser.Press(key);
            Until(focused);
        }
    }

    private void WithControl(string key, string focused)
    {
        Browser.PressWithControl(key);
        Until(focused);
    }

    private void WithAlt(string key) => new Actions(Browser.Driver).KeyDown(Keys.Alt).SendKeys(key).KeyUp(Keys.Alt).Perform();
}
