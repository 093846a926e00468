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
        var name = Browser.Driver.FindElement(By.CssSelector(".thing-editor .text-field input"));
        Browser.Until(() => name.GetAttribute("value") == "hairline copy", "the copy");
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
    public async Task A_name_that_is_taken_is_said_at_its_place_and_nothing_is_added()
    {
        Browser.Open(workplace.At("/sites/pellwyn/edges?view=radii"));
        Browser.Named("button", "Add a radius").Click();
        Browser.Press("ROUND" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return [...document.querySelectorAll('[role=alert]')].map(a => a.textContent).join()").Contains("“ROUND” is taken", StringComparison.Ordinal), "the message");
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
    }

    private void Until(string version)
    {
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version ?? ''") == version, $"version {version}");
        Browser.Settle();
    }

    private Task<string> StyleSheetAsync() => workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/release/site.css", TestContext.Current.CancellationToken);
}
