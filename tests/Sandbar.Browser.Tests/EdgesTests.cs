using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Things of a kind in the real interface: what is set of one is on the stage while it is typed and in the released bytes afterwards; one goes when another takes its place.</summary>
public sealed class EdgesTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task A_border_is_changed_copied_renamed_and_replaced()
    {
        Browser.Open(workplace.At("/sites/pellwyn/edges"));
        Browser.Starting("button", "Width of hairline").Click();
        Browser.Press("5px");
        Browser.Until(() => Browser.StageStyle(".card-standard", "border-top-width") == "5px", "the stage to follow");
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
        Browser.Press(Keys.Enter);
        Until("1");
        Assert.Contains("--border-hairline: 5px solid var(--role-line);", await StyleSheetAsync(), StringComparison.Ordinal);

        Browser.Named("button", "Add one like it").Click();
        Until("2");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.thing-editor .text-field input')?.value ?? ''") == "hairline copy", "the copy");
        var name = Browser.Element(".thing-editor .text-field input");
        name.SendKeys(Keys.Control + "a" + Keys.Null + "Thread" + Keys.Enter);
        Until("3");
        Browser.Starting("button", "Style of Thread").Click();
        Browser.Press("dotted" + Keys.Enter);
        Until("4");

        // What is in use is replaced: its uses go over to the other.
        Browser.Driver.FindElements(By.CssSelector(".thing-row")).First(row => row.Text.StartsWith("hairline", StringComparison.Ordinal)).Click();
        Browser.Starting("button", "Remove hairline").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).Any(i => i.Text == "Thread takes its place"), "the choice");
        Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).First(i => i.Text == "Thread takes its place").Click();
        Until("5");
        Assert.Equal("dotted", Browser.StageStyle(".card-standard", "border-top-style"));
        var sheet = await StyleSheetAsync();
        Assert.DoesNotContain("hairline", sheet, StringComparison.Ordinal);
        Assert.Contains("border: var(--border-thread);", sheet, StringComparison.Ordinal);
        Browser.PressWithControl("z");
        Until("6");
        Assert.Equal("solid", Browser.StageStyle(".card-standard", "border-top-style"));
    }

    [Fact]
    public async Task A_shadow_gets_a_layer_inside()
    {
        await workplace.Server.EditAsync(0, new { kind = "setCell", look = "card-standard", property = "shadow", state = "rest", from = (int?)null, below = (int?)null, text = "lift" }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/edges?view=shadows"));
        Browser.Named("button", "Add a layer").Click();
        Until("2");
        Browser.Starting("button", "Side of layer 2").Click();
        Browser.Press("inner" + Keys.Enter);
        Until("3");
        // How Chromium writes it: a colour first, inset last.
        Browser.Until(() => Browser.StageStyle(".card-standard", "box-shadow") is var shadow && !shadow.StartsWith("none", StringComparison.Ordinal) && shadow.EndsWith(" inset", StringComparison.Ordinal), "the stage to follow");
        Browser.Starting("button", "Move layer 2 up").Click();
        Until("4");
        Browser.Until(() => Browser.StageStyle(".card-standard", "box-shadow") is var shadow && shadow.IndexOf(" inset", StringComparison.Ordinal) is > 0 and var at && at < shadow.Length - 10, "the order on the stage");
        Assert.Contains(": inset ", await StyleSheetAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_easing_is_added_and_used_in_the_overrides()
    {
        await workplace.Server.EditAsync(0, new { kind = "setOverrides", css = ".card { transition-timing-function: var(--easing-soft, linear); }" }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/edges?view=easings"));
        Assert.Equal("linear", Browser.StageStyle(".card-standard", "transition-timing-function"));
        Browser.Named("button", "Add an easing").Click();
        UntilNameIsAsked();
        Browser.Press("soft" + Keys.Enter);
        Until("2");
        Browser.Until(() => Browser.StageStyle(".card-standard", "transition-timing-function") == "cubic-bezier(0.25, 0.1, 0.25, 1)", "the easing on the stage");
        Browser.Starting("button", "Time 2 of soft").Click();
        Browser.Press("0.8");
        Browser.Until(() => Browser.StageStyle(".card-standard", "transition-timing-function") == "cubic-bezier(0.25, 0.1, 0.8, 1)", "the stage to follow");
        Browser.Press(Keys.Enter);
        Until("3");
        Assert.Contains("--easing-soft: cubic-bezier(0.25, 0.1, 0.8, 1);", await StyleSheetAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_name_that_is_taken_is_said_at_its_place_and_nothing_is_added()
    {
        Browser.Open(workplace.At("/sites/pellwyn/edges?view=radii"));
        Browser.Named("button", "Add a radius").Click();
        UntilNameIsAsked();
        Browser.Press("ROUND" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return [...document.querySelectorAll('[role=alert]')].map(a => a.textContent).join()").Contains("“ROUND” is taken", StringComparison.Ordinal), "the message");
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
    }

    private void UntilNameIsAsked() =>
        Browser.Until(() => Browser.Run<bool>("return document.activeElement?.matches('.add-form input') ?? false"), "the field for the name");

    private void Until(string version)
    {
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version ?? ''") == version, $"version {version}");
        Browser.Settle();
    }

    private Task<string> StyleSheetAsync() => workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/release/site.css", TestContext.Current.CancellationToken);
}
