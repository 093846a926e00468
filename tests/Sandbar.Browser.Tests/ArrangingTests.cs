using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Sandbar.Browser.Tests;

/// <summary>Pictures dropped on the stage, heights dragged, several blocks at once, one block in several places, menus in menus.</summary>
public sealed class ArrangingTests : CourseTest
{
    private const string Card = "home-step-1";

    private const string Sun = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 60 40\"><rect width=\"60\" height=\"40\" fill=\"#2f5d3a\"/></svg>";

    [Fact]
    public async Task A_picture_is_dropped_said_in_words_and_taken_back()
    {
        Open("pages?page=home");
        Assert.Equal(Card, Drop($"[data-block={Card}]", Sun, "Sun over reeds.svg"));
        // In the card that has a place for one; then its words are asked for.
        Browser.Named("input", "Sun over reeds in words").SendKeys("A green field" + Keys.Enter);
        Version++;
        Settled(++Version);
        Assert.Contains("alt=\"A green field\"", await PageAsync("index"), StringComparison.Ordinal);
        // Where there is no place for one, it stands by itself.
        var paragraph = Browser.OnStage("stage.querySelector('.paragraph-lead').dataset.block");
        Drop($"[data-block={paragraph}]", Sun, "again.svg");
        Browser.Named("button", "It only decorates").Click();
        Settled(++Version);
        Assert.Equal("picture", Browser.OnStage($"stage.querySelector('[data-block={paragraph}]').nextElementSibling.className.split(' ')[0]"));
        // What is no picture is said, and nothing comes of it.
        Drop($"[data-block={Card}]", "words", "words.svg");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.ant-notification')?.textContent ?? ''").Contains("no picture that can be read", StringComparison.Ordinal), "the refusal");
        Browser.PressWithControl("z");
        Settled(++Version);
        Assert.Equal("1,false", Browser.OnStage($"[stage.querySelectorAll('[data-block={Card}] img').length, stage.querySelector('[data-block={paragraph}]').nextElementSibling.matches('.picture')]"));
        Assert.DoesNotContain(Browser.Errors(), e => !e.Contains("400", StringComparison.Ordinal));
    }

    /// <summary>Of all pages on the stage it comes to the one that is looked at, and there once.</summary>
    [Fact]
    public async Task A_picture_is_pasted_once_however_many_pages_are_on_the_stage()
    {
        Open($"pages?page=home&span=pages&selected={Card}");
        Browser.Until(() => Browser.Run<long>("return document.querySelectorAll('.stage iframe').length") == 6, "every page");
        Browser.Run<object?>("const held = new DataTransfer(); held.items.add(new File([arguments[0]], 'Sun.svg', { type: 'image/svg+xml' })); const room = document.querySelector('.stage-room'); room.focus(); room.dispatchEvent(new ClipboardEvent('paste', { clipboardData: held, bubbles: true, cancelable: true }))", Sun);
        Browser.Named("button", "It only decorates").Click();
        Settled(++Version);
        var shown = (await Workplace.Server.SiteAsync())["site"]!["pictures"]!.AsArray().Single(p => p!["name"]!.GetValue<string>() == "Sun")!["id"]!.GetValue<string>();
        // In the list of pictures, among the things of the foundations, and once on a page.
        Assert.Equal(3, (await Workplace.Server.SiteAsync()).ToJsonString().Split($"\"{shown}\"").Length - 1);
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task A_section_is_made_higher_by_its_lower_edge()
    {
        Open("pages?page=home");
        Browser.Element("[role=treeitem]").Click();
        var section = Browser.Run<string>("return document.querySelector('[role=treeitem]').dataset.row");
        var before = Height();
        var grip = Browser.Element(".height-grip");
        new Actions(Browser.Driver).MoveToElement(grip).ClickAndHold().MoveByOffset(0, 30).MoveByOffset(0, 30).Perform();
        Browser.Until(() => Height() > before + 60, "the section to follow the hand");
        new Actions(Browser.Driver).Release().Perform();
        Settled(++Version);
        Assert.Matches($@"\.own-{section} \{{\s+min-block-size: ", await StyleSheetAsync());
        // Back to what it holds.
        new Actions(Browser.Driver).MoveToElement(Browser.Element(".height-grip")).ClickAndHold().MoveByOffset(0, -60).MoveByOffset(0, -60).Release().Perform();
        Settled(++Version);
        Assert.Equal(before, Height(), 1.0);
        Assert.Empty(Browser.Errors());

        double Height() => double.Parse(Browser.OnStage($"stage.querySelector('[data-block=\"{section}\"]').getBoundingClientRect().height"), System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public async Task Several_blocks_are_moved_at_once_and_one_is_shown_in_two_places()
    {
        Open("pages?page=home");
        Choose(Card);
        new Actions(Browser.Driver).KeyDown(Keys.Shift).SendKeys(Keys.ArrowDown).KeyUp(Keys.Shift).Perform();
        Browser.Until(() => Browser.Run<long>("return document.querySelectorAll('[role=treeitem][aria-selected=true]').length") == 2, "two to be chosen");
        new Actions(Browser.Driver).KeyDown(Keys.Alt).SendKeys(Keys.ArrowDown).KeyUp(Keys.Alt).Perform();
        Settled(++Version);
        Assert.Equal("home-step-3,home-step-1,home-step-2", Browser.OnStage("[...stage.querySelectorAll('[data-block^=home-step-]')].map(e => e.dataset.block)"));
        Browser.Named("button", "Arrange").Click();
        Browser.Run<object?>("[...document.querySelectorAll('[role=menuitem]')].find(i => i.textContent.startsWith('Move them')).click()");
        Browser.Named("button", "Move them").Click();
        Settled(++Version);
        Assert.Equal("home-step-3", Browser.OnStage("[...stage.querySelectorAll('[data-block^=home-step-]')].map(e => e.dataset.block)"));
        Browser.PressWithControl("z");
        Settled(++Version);

        // Shown on another page, then written in one of both.
        Choose("home-step-3");
        Browser.Named("button", "Arrange").Click();
        Browser.Run<object?>("[...document.querySelectorAll('[role=menuitem]')].find(i => i.textContent.startsWith('Show it in')).click()");
        Browser.Named("button", "Show it there").Click();
        Settled(++Version);
        Assert.Contains("in 2 places", Browser.Element("[data-row=home-step-3]").Text, StringComparison.Ordinal);
        Type("Title of card Return", "Bring back twice as much");
        Assert.Equal("2", Browser.OnStage("[...stage.querySelectorAll('.card-title')].filter(t => t.textContent.trim() === 'Bring back twice as much').length"));
        Browser.Named("button", "Cut loose").Click();
        Settled(++Version);
        Assert.DoesNotContain("places", Browser.Element("[data-row=home-step-3]").Text, StringComparison.Ordinal);
        Assert.Empty(Styles.Violations(Browser));
        Assert.Empty(Browser.Errors());
        Assert.Equal(2, (await PageAsync("index")).Split("Bring back twice as much").Length - 1);
    }

    /// <summary>Held to Chromium: in its small specimen a part has the colours and letters it has on the page.</summary>
    [Fact]
    public void What_can_be_added_is_shown_as_it_would_look()
    {
        Open("pages?page=home");
        Browser.Run<object?>("document.querySelectorAll('[role=treeitem][aria-level=\"1\"]')[1].click()");
        Browser.Named("button", "Add…").Click();
        foreach (var (part, selector) in new[] { ("Button", ".button"), ("Heading 2", ".heading-2"), ("Card row", ".card"), ("Quote", ".quote") })
        {
            const string specimen = "const root = [...document.querySelectorAll('.add-offers button')].filter(b => b.querySelector('strong').textContent === arguments[0]).at(-1).querySelector('.offer-specimen').shadowRoot; const found = root?.querySelector(arguments[1])";
            Browser.Until(() => Browser.Run<bool>($"{specimen}; return !!found", part, selector), $"the specimen of {part}");
            foreach (var property in new[] { "background-color", "color", "font-family", "font-size", "border-top-color", "padding-left", "border-radius" })
                Assert.Equal(
                    Browser.Run<string>($"const stage = document.querySelector('.stage iframe').contentDocument; stage.body.insertAdjacentHTML('beforeend', arguments[0]); const style = stage.defaultView.getComputedStyle(stage.body.lastElementChild).getPropertyValue('{property}'); stage.body.lastElementChild.remove(); return style",
                        Browser.Run<string>($"{specimen}; return found.cloneNode().outerHTML", part, selector)),
                    Browser.Run<string>($"{specimen}; return getComputedStyle(found).getPropertyValue('{property}')", part, selector));
        }
        Assert.Empty(Styles.Violations(Browser));
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task An_item_stands_under_another_and_leads_elsewhere()
    {
        Open("frame?view=menus&page=home");
        Browser.Named("button", "Put Workshops under Growing guide").Click();
        Settled(++Version);
        Browser.Named("input", "What the new item says").SendKeys("Seed swap");
        var leads = Browser.Named("input", "Where the new item leads");
        leads.Click();
        leads.SendKeys(Keys.Control + "a");
        leads.SendKeys("seeds.example/swap" + Keys.Enter);
        Browser.Until(() => leads.GetAttribute("value") == "https://seeds.example/swap", "the address to be completed");
        leads.SendKeys(Keys.Enter);
        Settled(++Version);
        var html = await PageAsync("index");
        Assert.Contains("href=\"https://seeds.example/swap\">Seed swap</a>", html, StringComparison.Ordinal);
        // Closed until its item has the pointer or the focus, here as in the release.
        Assert.Equal("hidden", Browser.StageStyle(".site-header .menu-inner", "visibility"));
        Browser.Run<object?>("document.querySelector('.stage iframe').contentDocument.querySelector('.site-header .menu > li:nth-child(3) > a').focus()");
        Assert.Equal("visible", Browser.StageStyle(".site-header .menu-inner", "visibility"));
        Assert.Empty(Styles.Violations(Browser));
        Assert.Empty(Browser.Errors());
        Browser.Named("button", "Take Workshops out from under Growing guide").Click();
        Settled(++Version);
        Assert.Equal("0", Browser.OnStage("stage.querySelectorAll('.menu-inner').length"));
    }
}
