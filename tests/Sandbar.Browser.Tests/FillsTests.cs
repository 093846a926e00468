using System.Collections.ObjectModel;
using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Gradients in the real interface: their stops, their course, what is read on them; on the stage while the hand moves, and in the released bytes.</summary>
public sealed class FillsTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    /// <summary>The banner of the home page wears a gradient.</summary>
    public async ValueTask InitializeAsync()
    {
        await workplace.InitializeAsync();
        await workplace.Server.EditAsync(0, new { kind = "setCell", look = "section-banner", property = "background", state = "rest", from = (int?)null, below = (int?)null, text = "dawn" }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/fills?gradient=dawn"));
    }

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task Stops_are_added_dragged_moved_by_keys_and_taken_out()
    {
        Assert.DoesNotContain("50%", OnBanner(), StringComparison.Ordinal);
        // A press on the line adds one in the colour that is there.
        Browser.Mouse("mousePressed", Line, 0, 0);
        Browser.Mouse("mouseReleased", Line, 0, 0);
        Until("2");
        Assert.Matches(@"rgb\(\d+, \d+, \d+\) 50%", OnBanner());
        Assert.Equal(3, Handles.Count);

        // While it is dragged the stage follows and nothing is stored; Escape puts it back.
        Browser.Mouse("mousePressed", Handles[1], 0, 0);
        Browser.Mouse("mouseMoved", Line, 60, 0);
        Browser.Until(() => !OnBanner().Contains(" 50%", StringComparison.Ordinal), "the stage to follow");
        Assert.Equal(2, (await workplace.Server.SiteAsync()).Version());
        Browser.Press(Keys.Escape);
        Browser.Until(() => OnBanner().Contains(" 50%", StringComparison.Ordinal), "what is stored");
        Browser.Mouse("mouseReleased", Line, 60, 0);
        Browser.Mouse("mousePressed", Handles[1], 0, 0);
        Browser.Mouse("mouseMoved", Line, -100, 0);
        Browser.Mouse("mouseReleased", Line, -100, 0);
        Until("3");
        Assert.DoesNotContain(" 50%", OnBanner(), StringComparison.Ordinal);

        Handles[1].SendKeys(Keys.Home);
        Until("4");
        Browser.Until(() => Browser.Element(".stops").Text.Contains("hard edge with stop 1", StringComparison.Ordinal), "what two stops at one place are");
        Handles[1].SendKeys(Keys.Shift + Keys.ArrowRight);
        Until("5");
        Assert.Contains(" 10%", OnBanner(), StringComparison.Ordinal);
        Assert.Matches(@"--gradient-dawn: linear-gradient\(160deg, var\(--role-raised\) 0%, #[0-9a-f]{6} 10%, var\(--role-ground\) 100%\)", await StyleSheetAsync());
        Handles[1].SendKeys(Keys.Delete);
        Until("6");
        Assert.Equal(2, Handles.Count);
        Browser.PressWithControl("z");
        Until("7");
        Assert.Equal(3, Handles.Count);
    }

    [Fact]
    public async Task Its_course_and_its_colours_are_changed_and_the_text_on_it_is_told()
    {
        Assert.Contains("stays above", Browser.Element(".reading").Text, StringComparison.Ordinal);
        Browser.Starting("button", "Colour of stop 2").Click();
        Browser.Press("text" + Keys.Enter);
        Until("2");
        Browser.Until(() => Browser.Element(".reading").Text.Contains("falls to 1.", StringComparison.Ordinal), "text that cannot be read");
        Browser.Named("button", "Reverse").Click();
        Until("3");
        Assert.Contains("linear-gradient(160deg, var(--role-text) 0%, var(--role-raised) 100%)", await StyleSheetAsync(), StringComparison.Ordinal);
        Browser.Starting("span", "Angle of dawn").SendKeys(Keys.Shift + Keys.ArrowRight);
        Until("4");
        Assert.StartsWith("linear-gradient(175deg", OnBanner(), StringComparison.Ordinal);
        Browser.Named("button", "Turn").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).Any(i => i.Text == "90° to the right"), "the menu");
        Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).First(i => i.Text == "90° to the right").Click();
        Until("5");
        Assert.StartsWith("linear-gradient(265deg", OnBanner(), StringComparison.Ordinal);
        Browser.Starting("button", "Mixed in of dawn").Click();
        Browser.Press("OKLCH" + Keys.Enter);
        Until("6");
        Assert.StartsWith("linear-gradient(265deg in oklch", OnBanner(), StringComparison.Ordinal);
        Browser.Until(() => Browser.Element(".plain-note").Text.StartsWith("older browsers: ", StringComparison.Ordinal), "what older browsers show");
        Assert.Contains("@supports (background: linear-gradient(in oklab, red, red))", await StyleSheetAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_mesh_has_points_in_its_box()
    {
        Browser.Driver.FindElements(By.CssSelector(".gradient-drawing .ant-segmented-item")).First(i => i.Text == "mesh").Click();
        Until("2");
        Assert.StartsWith("radial-gradient(60% 60% in srgb", OnBanner(), StringComparison.Ordinal);
        var point = Browser.Element(".mesh-point");
        point.SendKeys(Keys.Shift + Keys.ArrowLeft);
        Until("3");
        Assert.StartsWith("radial-gradient(60% 60% at 40% 50%", OnBanner(), StringComparison.Ordinal);
        Browser.Mouse("mousePressed", Browser.Element(".mesh-point"), 0, 0);
        Browser.Mouse("mouseMoved", Browser.Element(".mesh-box"), 0, 30);
        Browser.Mouse("mouseReleased", Browser.Element(".mesh-box"), 0, 30);
        Until("4");
        Assert.Matches(@"^radial-gradient\(60% 60% at 50% [67]", OnBanner());
        Assert.Matches(@"--gradient-dawn: radial-gradient\(60% 60% at 50% [67]\S*% in srgb, var\(--role-raised\)", await StyleSheetAsync());
    }

    [Fact]
    public async Task The_centre_and_the_reach_are_dragged_on_the_stage()
    {
        Browser.Driver.FindElements(By.CssSelector(".gradient-drawing .ant-segmented-item")).First(i => i.Text == "radial").Click();
        Until("2");
        Drag(".centre-grip", -80, release: false);
        Browser.Until(() => !OnBanner().StartsWith("radial-gradient(rgb", StringComparison.Ordinal), "the stage to follow");
        Assert.Equal(2, (await workplace.Server.SiteAsync()).Version());
        Browser.Press(Keys.Escape);
        Browser.Until(() => OnBanner().StartsWith("radial-gradient(rgb", StringComparison.Ordinal), "what is stored");
        Browser.Mouse("mouseReleased", Browser.Element(".stage-paper"), 0, 0);
        Drag(".centre-grip", -80, release: true);
        Until("3");
        // The banner is as wide as the window: so many px of the fitted stage are so much of it.
        var width = Browser.Run<double>("return document.querySelector('.stage-paper').getBoundingClientRect().width");
        Assert.Matches(@"ellipse farthest-corner at (\d\d(\.\d)?)% 50%", await StyleSheetAsync());
        var at = double.Parse(System.Text.RegularExpressions.Regex.Match(await StyleSheetAsync(), @"--gradient-dawn: radial-gradient\(ellipse farthest-corner at ([\d.]+)%").Groups[1].Value);
        Assert.Equal(50 - 80 / width * 100, at, 0.6);
        await workplace.Server.EditAsync(3, new { kind = "setThing", of = "gradient", id = "dawn", field = "extent", text = "own reach", @in = (string?)null }).OkAsync();
        Until("4");
        Drag(".reach-grip", 30, release: true);
        Until("5");
        Assert.Matches(@"radial-gradient\(5[3-6](\.\d)?% 50% at", await StyleSheetAsync());
    }

    [Fact]
    public async Task A_background_is_made_of_layers_and_worn()
    {
        Browser.Open(workplace.At("/sites/pellwyn/fills?view=backgrounds"));
        await workplace.Server.EditAsync(1, new { kind = "setCell", look = "section-banner", property = "background", state = "rest", from = (int?)null, below = (int?)null, text = "bed at dusk" }).OkAsync();
        Until("2");
        Assert.Equal("normal, soft-light, normal", Browser.StageStyle(".section-banner", "background-blend-mode"));
        Browser.Starting("button", "Blend of layer 2").Click();
        Browser.Press("multiply" + Keys.Enter);
        Until("3");
        Assert.Equal("normal, multiply, normal", Browser.StageStyle(".section-banner", "background-blend-mode"));
        Browser.Starting("button", "Shown of layer 1").Click();
        Browser.Press("off" + Keys.Enter);
        Until("4");
        Assert.Equal("multiply, normal", Browser.StageStyle(".section-banner", "background-blend-mode"));
        Browser.Starting("button", "Move layer 2 down").Click();
        Until("5");
        Assert.Equal("normal, multiply", Browser.StageStyle(".section-banner", "background-blend-mode"));
        Assert.Contains("--background-bed-at-dusk-blend: normal, multiply;", await StyleSheetAsync(), StringComparison.Ordinal);
        Browser.PressWithControl("z");
        Until("6");
        Assert.Equal("multiply, normal", Browser.StageStyle(".section-banner", "background-blend-mode"));
    }

    /// <summary>Drags something that follows the hand: places are counted from what stays.</summary>
    private void Drag(string selector, int right, bool release)
    {
        var (grip, paper) = (Browser.Element(selector), Browser.Element(".stage-paper"));
        var (x, y) = (grip.Location.X + grip.Size.Width / 2 - paper.Location.X - paper.Size.Width / 2, grip.Location.Y + grip.Size.Height / 2 - paper.Location.Y - paper.Size.Height / 2);
        Browser.Mouse("mousePressed", paper, x, y);
        Browser.Mouse("mouseMoved", paper, x + right, y);
        if (release) Browser.Mouse("mouseReleased", paper, x + right, y);
    }

    private IWebElement Line => Browser.Element(".gradient-line");

    private ReadOnlyCollection<IWebElement> Handles => Browser.Driver.FindElements(By.CssSelector(".stop-handle"));

    private string OnBanner() => Browser.StageStyle(".section-banner", "background-image");

    private void Until(string version)
    {
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version ?? ''") == version, $"version {version}");
        Browser.Settle();
    }

    private Task<string> StyleSheetAsync() => workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/release/site.css", TestContext.Current.CancellationToken);
}
