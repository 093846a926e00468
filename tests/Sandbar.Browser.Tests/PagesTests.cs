using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>The outline of a page: sections added, written, moved, set aside; pages added, and put into a menu.</summary>
public sealed class PagesTests : CourseTest
{
    [Fact]
    public async Task A_page_is_begun_filled_and_put_into_the_menu()
    {
        Open("pages?view=pages");
        Browser.Named("input", "Name of the new page").SendKeys("Rota" + Keys.Enter);
        Settled(++Version);
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.step-panel .empty')?.textContent ?? ''").StartsWith("Nothing on this page yet", StringComparison.Ordinal), "the empty page");
        Browser.Named("button", "Add…").Click();
        Browser.Named("input", "Search what can be added").SendKeys("Row of" + Keys.Enter);
        Settled(++Version);
        // What belongs there is seen on the stage, and nothing of it in the release.
        Browser.Until(() => Browser.OnStage("stage.querySelectorAll('main .card').length") == "3", "three cards on the stage");
        Assert.DoesNotContain("Title of a card", await PageAsync("rota"), StringComparison.Ordinal);
        Browser.Named("li", "Card").Click();
        Type("Title of card Card", "Who opens on Saturday");
        Browser.Until(() => Browser.OnStage("stage.querySelector('.card-title').textContent.trim()") == "Who opens on Saturday", "the title on the stage");
        Browser.Named("button", "Duplicate").Click();
        Settled(++Version);
        Browser.Until(() => Browser.OnStage("stage.querySelectorAll('main .card').length") == "4", "one more card");
        Browser.PressWithControl("z");
        Settled(++Version);
        Browser.Until(() => Browser.OnStage("stage.querySelectorAll('main .card').length") == "3", "undo to take it away");
        Open("pages?view=pages&page=" + await IdAsync("Rota"));
        Browser.Named("button", "Put into a menu").Click();
        Browser.Element("[role=menuitem]").Click();
        Settled(++Version);
        Assert.Contains(">Rota</a>", await PageAsync("index"), StringComparison.Ordinal);
        Assert.Contains("Who opens on Saturday", await PageAsync("rota"), StringComparison.Ordinal);
        Assert.Empty(Styles.Violations(Browser));
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task Blocks_are_moved_by_key_and_by_hand_hidden_and_set_aside()
    {
        Open("pages?page=home");
        var second = Browser.Run<string>("return document.querySelectorAll('[role=treeitem][aria-level=\"1\"]')[1].dataset.row");
        Browser.Element($"[data-row='{second}']").Click();
        Browser.Until(() => Browser.Run<string>("return document.activeElement.dataset.row ?? ''") == second || Browser.Run<bool>($"document.querySelector('[data-row=\"{second}\"]').focus(); return true"), "the focus");
        // A section up with Alt and the arrow, seen on the stage.
        new Actions(Browser.Driver).KeyDown(Keys.Alt).SendKeys(Keys.ArrowUp).KeyUp(Keys.Alt).Perform();
        Settled(++Version);
        Browser.Until(() => Browser.OnStage("stage.querySelector('main > *').dataset.block") == second, "the section to be the first");
        Assert.Equal(second, Browser.Run<string>("return document.activeElement.dataset.row"));
        // Closed, the next section stands right below it.
        Browser.Press(Keys.ArrowLeft);
        Browser.Until(() => Browser.Run<string>("return document.activeElement.getAttribute('aria-expanded') ?? ''") == "false", "the section to be closed");
        // Dragged below the one after it: tried on the stage, then made.
        var (row, other) = (Browser.Element($"[data-row='{second}']"), Browser.Run<IWebElement>("return document.querySelectorAll('[role=treeitem][aria-level=\"1\"]')[1]"));
        var stays = Browser.Element(".outline");
        var down = other.Location.Y - row.Location.Y + 14;
        var (x, y) = (0, row.Location.Y + row.Size.Height / 2 - stays.Location.Y - stays.Size.Height / 2);
        Browser.Mouse("mousePressed", stays, x, y);
        foreach (var part in new[] { 8, down / 2, down }) Browser.Mouse("mouseMoved", stays, x, y + part);
        Browser.Until(() => Browser.OnStage("stage.querySelector('main > *').dataset.block") != second, "the stage to follow the hand");
        Browser.Mouse("mouseReleased", stays, x, y + down);
        Settled(++Version);
        Assert.NotEqual(second, Browser.OnStage("stage.querySelector('main > *').dataset.block"));

        Browser.Element($"[data-row='{second}']").Click();
        Browser.Element(".hidden-at input[value=narrow]").Click();
        Settled(++Version);
        Assert.Contains(".hidden-narrow", await StyleSheetAsync(), StringComparison.Ordinal);
        Browser.Named("button", "Set aside").Click();
        Settled(++Version);
        Browser.Until(() => Browser.OnStage($"stage.querySelector('[data-block=\"{second}\"]') === null") == "true", "the section to be gone");
        Open("pages?view=aside");
        Browser.Starting("button", "Put How lending works back").Click();
        Settled(++Version);
        Browser.Until(() => Browser.OnStage($"stage.querySelector('[data-block=\"{second}\"]') !== null") == "true", "the section to be back");
        Assert.Contains("hidden-narrow", Browser.OnStage($"stage.querySelector('[data-block=\"{second}\"]').className"), StringComparison.Ordinal);

        // What differs is marked, and becomes as the others.
        Open("pages?page=home&selected=home-step-1");
        Browser.Named("input", "Setting of Choose to differ in").SendKeys("Background" + Keys.Enter);
        Type("Own Background of Choose", "leaf tint 4");
        Assert.Contains("1 own value", Browser.Element("[data-row=home-step-1]").Text, StringComparison.Ordinal);
        Browser.Named("button", "Drop Background: as its look").Click();
        Settled(++Version);
        Assert.DoesNotContain("own value", Browser.Element("[data-row=home-step-1]").Text, StringComparison.Ordinal);
        Assert.Empty(Browser.Errors());
    }

    /// <summary>A page as it is released.</summary>
    /// <summary>A level of its own makes another element of a heading, and nothing else to see: held to Chromium, property by property.</summary>
    [Fact]
    public async Task Another_level_looks_the_same()
    {
        Open("pages?page=home");
        var eyebrow = Browser.OnStage("stage.querySelector('.paragraph-eyebrow').dataset.block");
        foreach (var (block, selector) in new[] { (eyebrow, $"[data-block={eyebrow}]"), ("home-step-1", "[data-block=home-step-1] .card-title"), (Browser.OnStage("stage.querySelector('.heading-2').dataset.block"), ".heading-2") })
        {
            var before = Seen(selector);
            foreach (var level in new[] { "1", "6", "none", "2" })
            {
                var had = Browser.OnStage($"stage.querySelector('{selector}').localName");
                await Workplace.Server.EditAsync(Version, new { kind = "setContent", block, slot = "level", text = level }).OkAsync();
                Settled(++Version);
                Browser.Until(() => Browser.OnStage($"stage.querySelector('{selector}').localName") == (level == "none" ? "p" : $"h{level}"), $"level {level} after {had}");
                Assert.Equal(before, Seen(selector));
            }
        }

        string Seen(string selector) => Browser.Run<string>("const stage = document.querySelector('.stage iframe').contentDocument; const style = stage.defaultView.getComputedStyle(stage.querySelector(arguments[0])); return [...style].filter(n => !n.startsWith('--')).map(n => n + ': ' + style.getPropertyValue(n)).join('; ')", selector);
    }

    private async Task<string> IdAsync(string page) => (await Workplace.Server.SiteAsync())["site"]!["pages"]!.AsArray().First(p => p!["name"]!.GetValue<string>() == page)!["id"]!.GetValue<string>();
}
