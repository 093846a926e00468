using OpenQA.Selenium;
using Sandbar.Css.Colors;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>What the stage can show at once and as whom, and how it leads to the rest of the application.</summary>
public sealed class StageTests(Workplace workplace) : IClassFixture<Workplace>
{
    private const string Frames = "[...document.querySelectorAll('.stage iframe')]";

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    [Fact]
    public async Task Every_page_and_every_width_follow_an_edit()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette?color=beet&span=pages"));
        Assert.Equal(6, Browser.Run<long>($"return {Frames}.length"));
        var field = Browser.Element(".color-fields input.mono");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("#224466" + Keys.Enter);
        var version = (await workplace.Server.SiteAsync()).Version();
        Browser.Until(() => Browser.Run<bool>($"return {Frames}.every(f => getComputedStyle(f.contentDocument.querySelector('.site-header .button')).backgroundColor === 'rgb(34, 68, 102)')"), $"all pages at {version}");
        Browser.Settle();

        Browser.Open(workplace.At("/sites/pellwyn/palette?span=widths"));
        Assert.Equal("390,820,1280", Browser.Run<string>($"return {Frames}.map(f => f.contentWindow.innerWidth).join()"));
        AssertFills();
        Assert.Equal("1,3,3", Browser.Run<string>($"return {Frames}.map(f => f.contentWindow.getComputedStyle(f.contentDocument.querySelector('.card-row')).gridTemplateColumns.split(' ').length).join()"));
    }

    /// <summary>At Fit frames take the height the stage has, and are never shorter than the screen of their device; where that ends is marked.</summary>
    [Theory]
    [InlineData("", 1)]
    [InlineData("?span=pages", 6)]
    [InlineData("?span=pages&width=390", 6)]
    [InlineData("?width=390", 1)]
    public void Frames_fill_the_stage(string view, int frames)
    {
        Browser.Open(workplace.At($"/sites/pellwyn/palette{view}"));
        Assert.Equal(frames, Browser.Run<long>($"return {Frames}.length"));
        AssertFills();
    }

    private void AssertFills()
    {
        Assert.Equal("", Browser.Run<string>($$"""
            const devices = { 390: 844, 820: 1180, 1280: 800 };
            const room = document.querySelector('.stage-room').getBoundingClientRect();
            const last = {{Frames}}.at(-1).closest('.stage-frame').getBoundingClientRect();
            const wrong = {{Frames}}.filter(f => f.contentWindow.innerHeight < devices[f.contentWindow.innerWidth]
                || (f.contentWindow.innerHeight > devices[f.contentWindow.innerWidth]) !== (f.parentElement.querySelector('.fold') !== null));
            const taller = {{Frames}}.some(f => f.contentWindow.innerHeight > devices[f.contentWindow.innerWidth]);
            const left = room.bottom - 14 - last.bottom;
            return wrong.map(f => f.title + ' ' + f.contentWindow.innerHeight).join() + (taller && (left < -1 || left > 4) ? ` ${left} px are left` : '');
            """));
    }

    [Fact]
    public void A_visitor_who_prefers_dark_sees_what_the_scheme_turns_into()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        var day = Browser.StageStyle("body", "background-color");
        var footer = Browser.StageStyle(".site-footer", "background-color");
        Browser.Open(workplace.At("/sites/pellwyn/palette?prefers=dark"));
        Assert.NotEqual(day, Browser.StageStyle("body", "background-color"));
        // The footer carries the dark scheme anyway.
        Assert.Equal(footer, Browser.StageStyle(".site-footer", "background-color"));
        Assert.Equal(footer, Browser.StageStyle("body", "background-color"));
    }

    [Fact]
    public void Every_state_can_be_shown()
    {
        foreach (var (state, expected) in new[] { ("current", "0.11"), ("hover", "0.12"), ("focus", "0.13"), ("pressed", "0.14"), ("off", "0.15") })
        {
            Browser.Open(workplace.At("/sites/pellwyn/parts?part=button&look=button-outlined"));
            if (Browser.Driver.FindElements(By.CssSelector("td.folded")).Count > 0)
            {
                foreach (var unfold in Browser.Driver.FindElements(By.CssSelector(".folded button.fold-button")).Select(b => b.GetAttribute("title")!).ToList())
                    Browser.Element($"button.fold-button[title='{unfold}']").Click();
            }
            // By key: the driver would scroll the cell under the columns that stay in place.
            Browser.Run<object?>($"document.querySelector('[aria-label^=\"Opacity in {char.ToUpperInvariant(state[0])}{state[1..]}\"]').focus()");
            Browser.Press(expected + Keys.Enter);
            Browser.Settle();
            Browser.Open(workplace.At($"/sites/pellwyn/parts?show={state}"));
            Assert.Equal(expected, Browser.StageStyle(".button-outlined", "opacity"));
        }
    }

    /// <summary>The filter's numbers are those of the core, which tests hold to the published matrices.</summary>
    [Fact]
    public void Vision_is_shown_with_the_numbers_of_the_core()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette?vision=tritanopia"));
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector("#vision feColorMatrix")).Count > 0, "the filter");
        var values = Browser.Run<string>("return document.querySelector('#vision feColorMatrix').getAttribute('values')").Split(' ').Select(double.Parse).ToArray();
        var m = Vision.Numbers(VisionKind.Tritanopia);
        Assert.Equal([m[0], m[1], m[2], 0, 0, m[3], m[4], m[5], 0, 0, m[6], m[7], m[8], 0, 0, 0, 0, 0, 1, 0], values);
        Assert.Contains("vision", Browser.Run<string>("return getComputedStyle(document.querySelector('.stage-room')).filter"), StringComparison.Ordinal);
    }

    [Fact]
    public void A_click_selects_the_part_and_shows_its_padding()
    {
        Browser.Open(workplace.At("/sites/pellwyn/parts?part=card"));
        Browser.OnStage("stage.querySelector('.site-header .button').click()");
        Browser.Until(() => Browser.Driver.Url.Contains("look=button-filled", StringComparison.Ordinal), "the part");
        var bands = "[...document.querySelectorAll('.band.padding')].map(b => Math.round(parseFloat(b.style.width)) + 'x' + Math.round(parseFloat(b.style.height)))";
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".band.padding")).Count == 4, "the bands");
        // space 2 is 8 px above and below, space 4 is 24 px at the sides.
        Assert.Equal("8,24,8,24", Browser.Run<string>($"return {bands}.map((b, i) => b.split('x')[i % 2 === 0 ? 1 : 0]).join()"));
        Browser.OnStage("stage.querySelector('.paragraph a, .menu-link').click()");
        Browser.Until(() => Browser.Driver.Url.Contains("part=menu", StringComparison.Ordinal), "the piece inside");
    }

    [Fact]
    public async Task Keys_find_show_before_and_give_the_stage_the_window()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Browser.Press("/");
        Browser.Until(() => Browser.Run<string>("return document.activeElement.getAttribute('role') ?? ''") == "combobox", "Find");
        Browser.Press("radius card" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.activeElement.getAttribute('aria-label') ?? ''").StartsWith("Radius in Rest", StringComparison.Ordinal), "the setting");

        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        var before = Browser.StageStyle(".card", "border-radius");
        var version = (await workplace.Server.SiteAsync()).Version();
        await workplace.Server.EditAsync(version, new { kind = "setCell", look = "card-standard", property = "radius", state = "rest", from = (int?)null, below = (int?)null, text = "31px" }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Assert.Equal("31px", Browser.StageStyle(".card", "border-radius"));
        Key("keyDown");
        Browser.Until(() => Browser.StageStyle(".card", "border-radius") == before, "the stage before");
        Key("keyUp");
        Browser.Until(() => Browser.StageStyle(".card", "border-radius") == "31px", "the stage now");

        Browser.Press("w");
        Browser.Until(() => !Browser.Element(".top-bar").Displayed, "the stage alone");
        Assert.Equal(1280, Browser.Element(".stage").Size.Width);
        Browser.Press(Keys.Escape);
        Browser.Until(() => Browser.Element(".top-bar").Displayed, "the panel");

        Browser.Named("button", "Keys").Click();
        Browser.Named("button", "Single keys").Click();
        Browser.Press(Keys.Escape);
        Browser.Run<object?>("document.activeElement.blur()");
        Browser.Press("w");
        Assert.True(Browser.Element(".top-bar").Displayed);
        Browser.Run<object?>("localStorage.clear()");

        void Key(string type) => Browser.Driver.ExecuteCdpCommand("Input.dispatchKeyEvent", new Dictionary<string, object?> { ["type"] = type, ["key"] = "b", ["code"] = "KeyB", ["windowsVirtualKeyCode"] = 66 });
    }
}
