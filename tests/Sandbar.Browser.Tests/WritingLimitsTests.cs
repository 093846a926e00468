using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Writing on the stage where it cannot go on: too much pasted, too long, and a page that goes meanwhile. Nothing is lost without a word.</summary>
public sealed class WritingLimitsTests : CourseTest
{
    private const string Lead = "[data-block=guide-lead]";

    [Fact]
    public async Task What_is_pasted_is_bounded_and_said()
    {
        Open("pages?page=guide");
        var before = await PageAsync("growing-guide");
        Write(Lead);
        End();
        // As many elements as no page has, and more letters than one place holds.
        foreach (var (form, text) in new[] { ("text/html", string.Concat(Enumerable.Repeat("<p>a</p>", 50_000))), ("text/plain", new string('x', 1_000_000)) })
        {
            Paste(form, text);
            Browser.Until(() => Said().Length > 0, "what is wrong with it");
            Assert.DoesNotContain("  at ", Said(), StringComparison.Ordinal);
            Browser.Press("!" + Keys.Backspace);
            Browser.Until(() => Said().Length == 0, "writing to go on");
        }
        Browser.Press(Keys.Escape);
        Stored();
        Assert.Equal(before, await PageAsync("growing-guide"));
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task A_page_that_is_deleted_elsewhere_while_it_is_written_is_told_of_and_comes_back()
    {
        Open("pages?page=guide");
        Write(Lead);
        End();
        Browser.Press(" and more");
        Stored();
        await Workplace.Server.EditAsync((await Workplace.Server.SiteAsync()).Version(), new { kind = "removePage", page = "guide" }, window: "elsewhere").OkAsync();
        // The stage shows another page, and the window works on.
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.stage-bar')?.textContent ?? ''").StartsWith("Home", StringComparison.Ordinal), "another page on the stage");
        Browser.Until(() => Browser.OnStage("stage.querySelector('[data-block=home-title]') !== null") == "true", "its page");
        await Workplace.Server.ReverseAsync("undo", (await Workplace.Server.SiteAsync()).Version(), window: "elsewhere").OkAsync();
        Stored();
        Assert.Contains("and more", await PageAsync("growing-guide"), StringComparison.Ordinal);
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task What_was_typed_into_a_page_that_is_gone_waits_until_it_is_back()
    {
        Open("pages?page=guide");
        Write(Lead);
        End();
        Browser.Press(" unsaved");
        await Workplace.Server.EditAsync(0, new { kind = "removePage", page = "guide" }, window: "elsewhere").OkAsync();
        Browser.Until(() => !Browser.Run<string>("return document.querySelector('.save-state')?.textContent ?? ''").StartsWith("All changes saved", StringComparison.Ordinal), "what cannot be stored to be told of");
        await Workplace.Server.ReverseAsync("undo", (await Workplace.Server.SiteAsync()).Version(), window: "elsewhere").OkAsync();
        Until("the page to be back", "stage.querySelector('[data-block=guide-lead]') !== null", "true");
        // It waits, and can be stored now.
        Browser.Named("button", "Look at it").Click();
        Browser.Starting("button", "Save what was typed into").Click();
        Stored();
        Assert.Contains("unsaved", await PageAsync("growing-guide"), StringComparison.Ordinal);
        Assert.Empty(Browser.Errors());
    }

    private string Said() => Browser.Run<string>("return document.querySelector('.writing-said')?.textContent ?? ''");
}
