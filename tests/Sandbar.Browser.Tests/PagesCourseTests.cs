using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Sandbar.Browser.Tests;

/// <summary>A page from nothing: a new site, a new page, sections that wear the site's looks, written on the stage, filled, arranged, and one block taken away.</summary>
public sealed class PagesCourseTests : CourseTest
{
    private const string Reeds = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 60 40\"><rect width=\"60\" height=\"40\" fill=\"#2f5d3a\"/></svg>";

    [Fact]
    public async Task From_an_empty_site_to_a_finished_page()
    {
        Browser.Open(Workplace.At("/"));
        Browser.Named("button", "New site").Click();
        Browser.Run<IWebElement>("const label = [...document.querySelectorAll('.ant-modal label')].find(l => l.textContent.trim() === 'Name'); return document.getElementById(label.htmlFor)").SendKeys("Tidewater Boat Club");
        Browser.Named("button", "Start").Click();
        Browser.Until(() => Browser.Driver.Url.Contains("/sites/tidewater-boat-club/", StringComparison.Ordinal), "the site");
        Slug = "tidewater-boat-club";

        // A new page, and sections from ready arrangements.
        Open("pages?view=pages");
        Browser.Named("input", "Name of the new page").SendKeys("Rowing rota" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.step-panel .empty')?.textContent ?? ''").StartsWith("Nothing on this page yet", StringComparison.Ordinal), "the empty page");
        foreach (var arrangement in new[] { "Opening", "Row of cards", "Contact" })
        {
            Browser.Named("button", "Add…").Click();
            Browser.Named("input", "Search what can be added").SendKeys(arrangement + Keys.Enter);
            Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".add-block")).Count == 0, $"{arrangement} to be there");
            Stored();
        }
        Until("three sections", "stage.querySelectorAll('main > section').length", "3");

        // Written on the stage itself; a list pasted as Markdown; a picture with its words.
        WriteOver("main .heading-1", "Who rows when");
        WriteOver("main .paragraph-lead", "Two boats, four evenings");
        Write("main section:nth-of-type(3) .paragraph-standard");
        Paste("text/plain", "Before you row:\n\n- A life jacket\n- Dry shoes\n  - Two pairs in winter\n- Your name on the board");
        Until("the list", "stage.querySelectorAll('main section:nth-of-type(3) ul > li').length >= 4", "true");
        Browser.Press(Keys.Escape);
        Stored();
        Drop("main section:nth-of-type(1) .picture", Reeds, "Reeds at dawn.svg");
        Browser.Named("input", "Reeds at dawn in words").SendKeys("Reeds at the boathouse in the morning" + Keys.Enter);
        Stored();

        // Three cards duplicated, then each changed.
        var cards = Ids("main .card");
        Assert.Equal(3, cards.Length);
        foreach (var (card, i) in cards.Select((c, i) => (c, i))) WriteOver($"[data-block=\"{card}\"] .card-title", $"Evening {i + 1}");
        Choose(cards[0]);
        new Actions(Browser.Driver).KeyDown(Keys.Shift).SendKeys(Keys.ArrowDown).SendKeys(Keys.ArrowDown).KeyUp(Keys.Shift).Perform();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.block-panel strong')?.textContent ?? ''") == "3 blocks", "three cards in hand");
        Browser.Named("button", "Duplicate").Click();
        Until("six cards", "stage.querySelectorAll('main .card').length", "6");
        Stored();
        var copies = Ids("main .card").Except(cards).ToArray();
        foreach (var (card, i) in copies.Select((c, i) => (c, i))) WriteOver($"[data-block=\"{card}\"] .card-title", $"Morning {i + 1}");

        // A section hidden on phones, one moved by key, one set aside and put back with all it had.
        var sections = Ids("main > section");
        Choose(sections[2]);
        Browser.Element(".hidden-at input[value=narrow]").Click();
        Stored();
        Choose(sections[2]);
        new Actions(Browser.Driver).KeyDown(Keys.Alt).SendKeys(Keys.ArrowUp).KeyUp(Keys.Alt).Perform();
        Until("the section to be the second", "stage.querySelectorAll('main > section')[1].dataset.block", sections[2]);
        Stored();
        Browser.Named("button", "Set aside").Click();
        Until("it to be gone", "stage.querySelectorAll('main > section').length", "2");
        Browser.Driver.FindElements(By.CssSelector(".step-panel .bar label")).First(l => l.Text == "Set aside").Click();
        Browser.Starting("button", "Put Contact back").Click();
        Until("it to be back where it was", "stage.querySelectorAll('main > section')[1].dataset.block", sections[2]);
        Assert.Contains("hidden-narrow", Browser.OnStage("stage.querySelectorAll('main > section')[1].className"), StringComparison.Ordinal);
        Stored();

        // The menu gets the page.
        Browser.Driver.FindElements(By.CssSelector(".step-panel .bar label")).First(l => l.Text == "All pages").Click();
        Browser.Named("button", "Put into a menu").Click();
        Browser.Element("[role=menuitem]").Click();
        Until("the menu to have it", "[...stage.querySelectorAll('.site-header .menu-link')].some(l => l.textContent === 'Rowing rota')", "true");
        Stored();

        // The one card that differs is found, and made like the others.
        Browser.Driver.FindElements(By.CssSelector(".step-panel .bar label")).First(l => l.Text == "Outline").Click();
        Choose(copies[1]);
        Browser.Named("input", "Setting of Card to differ in").SendKeys("Background" + Keys.Enter);
        Browser.Starting("button", "Own Background of Card:").Click();
        Browser.Press("action tint 5" + Keys.Enter);
        Browser.Until(() => Browser.Element($"[data-row='{copies[1]}']").Text.Contains("1 own value", StringComparison.Ordinal), "the outline to mark it");
        Assert.Single(Browser.Driver.FindElements(By.CssSelector(".outline-marks")), m => m.Text.Contains("own value", StringComparison.Ordinal));
        Browser.Named("button", "Drop Background: as its look").Click();
        Browser.Until(() => !Browser.Element($"[data-row='{copies[1]}']").Text.Contains("own value", StringComparison.Ordinal), "it to be like the others");
        Stored();

        // Taken away for another site.
        Browser.Named("button", "Arrange").Click();
        Browser.Run<object?>("[...document.querySelectorAll('[role=menuitem]')].find(i => i.textContent.startsWith('Take it away')).click()");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.snippet-text textarea')?.value ?? ''").Contains("Morning 2", StringComparison.Ordinal), "the snippet");

        var html = await PageAsync("rowing-rota");
        foreach (var words in new[] { "Who rows when", "Two boats, four evenings", "<li>Two pairs in winter</li>", "alt=\"Reeds at the boathouse in the morning\"", "Evening 3", "Morning 3", "hidden-narrow", "aria-current=\"page\">Rowing rota</a>" }) Assert.Contains(words, html, StringComparison.Ordinal);
        Assert.Empty(Browser.Errors());

        string[] Ids(string selector) => Browser.OnStage($"[...stage.querySelectorAll('{selector}')].map(e => e.dataset.block)").Split(',');
    }

    private void WriteOver(string selector, string text)
    {
        Write(selector);
        Browser.PressWithControl("a");
        Browser.Press(text + Keys.Escape);
        Until($"“{text}”", $"stage.querySelector('{selector}')?.textContent.trim()", text);
        Stored();
    }
}
