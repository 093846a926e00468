using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Sandbar.Browser.Tests;

/// <summary>A small real job from nothing to a release: a new site, decided, applied, held, named, tried, gone back to and taken away.</summary>
public sealed class WholeCourseTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task From_nothing_to_a_release()
    {
        var cancel = TestContext.Current.CancellationToken;

        // A new site from a colour, two families and a base size.
        Browser.Open(workplace.At("/"));
        Browser.Named("button", "New site").Click();
        Wish("Name", "Harbour Lantern Walks");
        Wish("Main colour", "#12");
        Browser.Named("button", "Start").Click();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.ant-modal [role=alert]')?.textContent ?? ''").Contains("is not a colour", StringComparison.Ordinal), "what is wrong");
        Wish("Main colour", "#1f4e79");
        Pick("Family of headings", "Lora");
        Pick("Family of text", "Work Sans");
        Wish("Base size, px", "19");
        Browser.Named("button", "Start").Click();
        Browser.Until(() => Browser.Driver.Url.Contains("/sites/harbour-lantern-walks/palette", StringComparison.Ordinal), "the site");
        Browser.Settle();
        Assert.Equal("Harbour Lantern Walks", Browser.OnStage("stage.querySelector('h1').textContent.trim()"));
        Assert.Equal("19px", Browser.StageStyle(".paragraph-standard", "font-size"));
        Browser.Until(() => Status().Contains("meets AA", StringComparison.Ordinal), "the lowest contrast");

        // Colours, schemes, text styles.
        var field = Browser.Element(".color-fields input.mono");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("#7a2e5d" + Keys.Enter);
        Version(1);
        Browser.Named("label", "Schemes").Click();
        Browser.Named("input", "Colour of line").Click();
        Browser.Press("ink tint 4" + Keys.Enter);
        Version(2);
        Step("Type");
        Browser.Named("button", "Display").Click();
        Browser.Starting("button", "Weight of Display").Click();
        Browser.Press("500" + Keys.Enter);
        Version(3);

        // Looks of header, buttons, cards and headings out of these.
        Step("Frame");
        Browser.Starting("button", "Background in Rest").Click();
        Browser.Press("raised" + Keys.Enter);
        Version(4);
        foreach (var (part, look, setting, value) in new[]
        {
            ("button", "button-filled", "Radius in Rest", "round"), ("card", "card-standard", "Shadow in Rest", "lift"), ("heading-2", "heading-2-standard", "Text colour in Rest", "action"),
        })
        {
            Browser.Open(workplace.At($"/sites/harbour-lantern-walks/parts?part={part}&look={look}"));
            Browser.Starting("button", setting).Click();
            Browser.Press(value + Keys.Enter);
            Browser.Until(() => Browser.Starting("button", setting).GetAttribute("aria-label")!.StartsWith($"{setting}: {value}", StringComparison.Ordinal), value);
        }
        Version(7);
        Assert.Equal("14px", Browser.StageStyle(".button-filled", "border-radius"));

        // Custom CSS; what it silences is said beside it.
        Step("Overrides");
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".cm-content")).Count > 0, "the editor");
        Browser.Element(".cm-content").Click();
        Browser.Press(".button { background: var(--role-attention); }");
        Browser.PressWithControl("s");
        Version(8);
        Browser.Until(() => Browser.Element(".css-problems").Text.Contains("Button · Filled · background in Hover", StringComparison.Ordinal), "what it silences");
        Browser.Until(() => Status().Contains("reaches 1 page, 3 elements", StringComparison.Ordinal), "its reach");

        // All of it at once: every width, every state, and for visitors who prefer dark.
        Browser.Open(workplace.At("/sites/harbour-lantern-walks/parts?span=widths&prefers=dark"));
        Assert.Equal("true,true,true", Browser.Run<string>("return [...document.querySelectorAll('.stage iframe')].map(f => f.contentWindow.matchMedia('(prefers-color-scheme: dark)').matches).join()"));
        Browser.Open(workplace.At("/sites/harbour-lantern-walks/parts?page=specimen"));
        Assert.Equal("current,focus,hover,off,pressed", Browser.OnStage("[...new Set([...stage.querySelectorAll('[data-force]')].map(e => e.dataset.force))].filter(f => f !== 'rest').sort().join()"));

        // Named, tried, gone back to.
        Step("Snapshots");
        Browser.Element("input[aria-label='Name for the present state']").SendKeys("Calm" + Keys.Enter);
        Browser.Named("button", "Go back to Calm");
        var calm = Browser.StageStyle("body", "background-color");
        Browser.Open(workplace.At("/sites/harbour-lantern-walks/palette?color=paper"));
        field = Browser.Element(".color-fields input.mono");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("hotpink" + Keys.Enter);
        Version(9);
        Assert.Equal("rgb(255, 105, 180)", Browser.StageStyle("body", "background-color"));
        Step("Snapshots");
        Browser.Run<object?>("document.activeElement.blur(); document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', bubbles: true }))");
        Browser.Until(() => Browser.StageStyle("body", "background-color") == calm, "the named state, while the key is held");
        Browser.Run<object?>("document.body.dispatchEvent(new KeyboardEvent('keyup', { key: 'n', bubbles: true }))");
        Browser.Until(() => Browser.StageStyle("body", "background-color") == "rgb(255, 105, 180)", "the stage now");
        Browser.Named("button", "Go back to Calm").Click();
        Version(10);
        Assert.Equal(calm, Browser.StageStyle("body", "background-color"));

        // Taken away: the same in a browser.
        Browser.Open(workplace.At("/sites/harbour-lantern-walks/palette?width=820"));
        var stage = Styles.Read(Browser, "document.querySelector('.stage iframe').contentDocument");
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/harbour-lantern-walks/release/pages.zip", cancel));
        Browser.Resize(820, 1180);
        Browser.Driver.Navigate().GoToUrl(new Uri(released.Address, "index.html"));
        Browser.Until(() => Browser.Run<bool>("return document.fonts.status === 'loaded'"), "the fonts");
        Assert.Null(Styles.Difference(stage, Styles.Read(Browser, "document")));
        Assert.DoesNotContain(Styles.Violations(Browser), v => !v.StartsWith("color-contrast", StringComparison.Ordinal));
    }

    private string Status() => Browser.Run<string>("return document.querySelector('.status-line').textContent");

    private void Step(string name)
    {
        Browser.Named("a", name).Click();
        Browser.Settle();
    }

    private void Version(int version)
    {
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == $"{version}", $"edit {version}");
        Browser.Settle();
    }

    private IWebElement Labelled(string label)
    {
        IWebElement? found = null;
        Browser.Until(
            () => (found = Browser.Driver.FindElements(By.CssSelector(".ant-modal label")).FirstOrDefault(l => l.Text == label)) is not null, label);
        return Browser.Driver.FindElement(By.Id(found!.GetAttribute("for")!));
    }

    private void Wish(string label, string text)
    {
        var field = Labelled(label);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text);
    }

    private void Pick(string label, string option)
    {
        new Actions(Browser.Driver).Click(Labelled(label)).Perform();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".ant-select-item-option")).Any(o => o.Displayed && o.Text == option), option);
        Browser.Driver.FindElements(By.CssSelector(".ant-select-item-option")).First(o => o.Displayed && o.Text == option).Click();
    }
}
