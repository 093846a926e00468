using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Type and frame in the real interface: the stage follows while the hand is still moving, and what is kept is in the released bytes.</summary>
public sealed class TypeAndFrameTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task A_number_is_dragged_and_the_stage_follows()
    {
        Browser.Open(workplace.At("/sites/pellwyn/type?view=scale"));
        var before = Browser.StageStyle(".heading-1", "font-size");
        var cell = Browser.Starting("button", "Base of Wide end");
        Browser.Mouse("mousePressed", cell, 0, 0);
        Browser.Mouse("mouseMoved", cell, 12, 0);
        Browser.Mouse("mouseMoved", cell, 20, 0);
        Browser.Until(() => Browser.StageStyle(".heading-1", "font-size") != before, "the stage to follow");
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
        Browser.Mouse("mouseReleased", cell, 20, 0);
        Until("1");
        Assert.StartsWith("Base of Wide end: 22px", Browser.Starting("button", "Base of Wide end").GetAttribute("aria-label"), StringComparison.Ordinal);
        Assert.Contains("--size-0: clamp(1.0625rem, 0.9256rem + 0.5618vw, 1.375rem);", await StyleSheetAsync(), StringComparison.Ordinal);

        // In the ledger a number and a position are dragged alike.
        Browser.Open(workplace.At("/sites/pellwyn/parts?part=card-row"));
        var gap = Browser.StageStyle(".card-row", "row-gap");
        cell = Browser.Starting("button", "Gap in Rest");
        Browser.Mouse("mousePressed", cell, 0, 0);
        Browser.Mouse("mouseMoved", cell, 6, 0);
        Browser.Until(() => Browser.StageStyle(".card-row", "row-gap") != gap, "the gap to follow");
        Browser.Press(Keys.Escape);
        Browser.Until(() => Browser.StageStyle(".card-row", "row-gap") == gap, "Escape");
        Browser.Mouse("mouseReleased", cell, 6, 0);
        Assert.Equal(1, (await workplace.Server.SiteAsync()).Version());
    }

    [Fact]
    public async Task A_text_style_is_changed_and_a_family_taken_from_the_shelf()
    {
        Browser.Open(workplace.At("/sites/pellwyn/type"));
        Browser.Named("button", "Title").Click();
        Browser.Starting("button", "Weight of Title").Click();
        Browser.Press("250");
        Browser.Until(() => Browser.StageStyle(".heading-2", "font-weight") == "250", "the weight to show");
        Browser.Press(Keys.Enter);
        Until("1");
        Browser.Starting("button", "Case of Title").Click();
        Browser.Press("loud" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return [...document.querySelectorAll('[role=alert]')].map(a => a.textContent).join()").Contains("Case takes", StringComparison.Ordinal), "the message");
        Browser.Press(Keys.Escape);

        Browser.Named("label", "Families").Click();
        Browser.Named("button", "Use Lora").Click();
        Browser.Named("li", "In place of Fraunces").Click();
        Until("2");
        Browser.Settle();
        Assert.Contains("Lora", Browser.StageStyle(".heading-2", "font-family"), StringComparison.Ordinal);
        Assert.True(bool.Parse(Browser.OnStage("[...stage.fonts].some(f => f.family.includes('Lora') && f.status === 'loaded')")));
        Assert.Contains("lora-latin-wght-normal.woff2", await StyleSheetAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_the_header_holds_is_typed_and_seen_on_every_page()
    {
        Browser.Open(workplace.At("/sites/pellwyn/frame?span=pages&show=hover"));
        Browser.Starting("button", "Site name of header").Click();
        Browser.Press("Seeds for all");
        Browser.Until(() => Names() == "Seeds for all", "the name on the page looked at");
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
        Browser.Press(Keys.Escape);
        Browser.Until(() => Names() == "Pellwyn Seed Library", "Escape");
        Browser.Starting("button", "Site name of header").Click();
        Browser.Press("Seeds for all" + Keys.Enter);
        Until("1");
        Browser.Settle();
        Assert.Equal("Seeds for all,Seeds for all,Seeds for all,Seeds for all,Seeds for all,Seeds for all", Names(all: true));
        // What the stage was told to show holds for what came anew.
        Assert.Equal("hover", Browser.OnStage("stage.querySelector('.site-header .button').dataset.force"));

        // Held, a key shows the content as it was, and lets it go again.
        Browser.Run<object?>("document.activeElement.blur(); window.dispatchEvent(new KeyboardEvent('keydown', { key: 'b', bubbles: true }))");
        Browser.Run<object?>("document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'b', bubbles: true }))");
        Browser.Until(() => Names() == "Pellwyn Seed Library", "the stage before");
        Browser.Run<object?>("document.body.dispatchEvent(new KeyboardEvent('keyup', { key: 'b', bubbles: true }))");
        Browser.Until(() => Names() == "Seeds for all", "the stage now");

        Browser.Starting("button", "Undo").Click();
        Browser.Until(() => Names() == "Pellwyn Seed Library", "undo");
        string Names(bool all = false) => Browser.Run<string>($"return [...document.querySelectorAll('.stage iframe')].slice(0, {(all ? 6 : 1)}).map(f => f.contentDocument.querySelector('.site-name').textContent.trim()).join()");
    }

    [Fact]
    public void The_footer_comes_into_sight_and_another_step_does_not_keep_it()
    {
        Browser.Open(workplace.At("/sites/pellwyn/frame?view=footer"));
        Browser.Until(() => Browser.OnStage("stage.querySelector('.site-footer').getBoundingClientRect().top < stage.defaultView.innerHeight") == "true", "the footer");
        Assert.Empty(Browser.Driver.FindElements(By.CssSelector(".selection-outline")));
        Browser.Named("a", "Parts").Click();
        Browser.Settle();
        Assert.DoesNotContain("reveal", Browser.Driver.Url, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_menu_is_put_in_order_and_added_to()
    {
        Browser.Open(workplace.At("/sites/pellwyn/frame?view=menus"));
        Browser.Named("button", "Move Contact up").Click();
        Until("1");
        Browser.Element("input[aria-label='What the new item says']").SendKeys("Find us" + Keys.Enter);
        Until("2");
        Browser.Named("button", "Remove Workshops").Click();
        Until("3");
        Browser.Settle();
        Assert.Equal("Home,Catalogue,Growing guide,Contact,Membership,Find us", Browser.OnStage("[...stage.querySelectorAll('.site-header .menu-link')].map(a => a.textContent.trim()).join()"));
        var zip = await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken);
        await using var released = await Released.UnpackAsync(zip);
        Assert.Contains(">Find us</a>", await File.ReadAllTextAsync(Path.Combine(released.Folder, "contact.html"), TestContext.Current.CancellationToken), StringComparison.Ordinal);
    }

    private Task<string> StyleSheetAsync() => workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/release/site.css", TestContext.Current.CancellationToken);

    private void Until(string version) => Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == version, $"version {version}");
}
