using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Posts: written in the panel, listed on pages, gone on with on further pages of the release.</summary>
public sealed class PostsTests : CourseTest
{
    [Fact]
    public async Task A_post_is_added_filled_in_and_listed()
    {
        Open("pages?page=home");
        // A section that lists the newest.
        Browser.Named("button", "Add…").Click();
        Browser.Named("input", "Search what can be added").SendKeys("News" + Keys.Enter);
        Until("three posts", "stage.querySelectorAll('main .post').length", "3");
        Stored();
        Assert.Equal("The first frost came early", Browser.OnStage("stage.querySelector('main .post-title').textContent.trim()"));

        View("Posts");
        Browser.Named("input", "Title of the new post").SendKeys("The press is mended" + Keys.Enter);
        Until("it on the stage, first of all", "stage.querySelector('main .post-title').textContent.trim()", "The press is mended");
        Stored();
        Version = await VersionAsync();
        Type("Day of The press is mended", "1.2.2020");
        Until("it to be too old to be shown", "[...stage.querySelectorAll('main .post-title')].some(t => t.textContent.includes('press'))", "false");
        // What is no day is said, and kept where it was typed.
        Browser.Starting("button", "Day of The press is mended:").Click();
        Browser.Press("someday" + Keys.Enter);
        Browser.Until(() => Browser.Element(".thing-editor").Text.Contains("“someday” is no day", StringComparison.Ordinal), "the refusal");
        Browser.Press(Keys.Escape);
        Type("Day of The press is mended", "30 November 2026");
        // Typing shows on the stage before it is stored.
        Browser.Starting("button", "Text of The press is mended:").Click();
        Browser.Press("Apples *welcome* again");
        Until("the text as it is typed", "stage.querySelector('main .post-text').innerHTML", "Apples <em>welcome</em> again");
        Browser.Press(Keys.Enter);
        Settled(++Version);

        Browser.Named("input", "Name of the new category").SendKeys("Machines" + Keys.Enter);
        Stored();
        Browser.Named("input", "Where category Machines leads").SendKeys("Workshops" + Keys.Enter);
        Stored();
        Browser.Named("input", "Category of The press is mended").SendKeys("Machines" + Keys.Enter);
        Until("its category", "stage.querySelector('main .post-category').textContent", "Machines");
        Stored();
        Browser.Driver.FindElement(By.CssSelector(".thing-editor input[type=file]")).SendKeys(PictureFile());
        Until("its picture", "stage.querySelectorAll('main .post')[0].querySelector('img')?.naturalWidth > 0", "true");
        Stored();
        Assert.Empty(Styles.Violations(Browser));
        var page = await PageAsync("index");
        Assert.Contains("<time class=\"post-date\" datetime=\"2026-11-30\">30 November 2026</time>", page, StringComparison.Ordinal);
        Assert.Contains("Apples <em>welcome</em> again", page, StringComparison.Ordinal);

        // The rest goes on on further pages.
        View("Outline");
        var list = Browser.OnStage("stage.querySelector('main .posts').dataset.block");
        var section = Browser.OnStage("stage.querySelector('main .posts').closest('section').dataset.block");
        Choose(list);
        Pick("At most of newest posts Newest posts", "2");
        Pick("Those beyond of newest posts Newest posts", "on further pages");
        Choose(section);
        Browser.Named("button", "Add…").Click();
        Browser.Named("input", "Search what can be added").SendKeys("Paging" + Keys.Enter);
        Until("three pages", "stage.querySelectorAll('main .paging-link').length", "3");
        Stored();
        Assert.Contains("The first frost came early", await PageAsync("index"), StringComparison.Ordinal);
        Assert.Contains("The drawers have been relabelled", await PageAsync("index_3"), StringComparison.Ordinal);

        // Taken away and back.
        View("Posts");
        Browser.Named("button", "Remove").Click();
        Browser.Until(() => Browser.Run<string>("return document.activeElement.textContent").StartsWith("The first frost", StringComparison.Ordinal), "the focus on the next");
        Until("the next to be first", "stage.querySelector('main .post-title').textContent.trim()", "The first frost came early");
        Stored();
        Browser.PressWithControl("z");
        Until("it to be back", "stage.querySelector('main .post-title').textContent.trim()", "The press is mended");
        Stored();
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public void A_site_without_posts_says_where_they_come_from()
    {
        Open("pages?view=posts");
        while (Browser.Driver.FindElements(By.CssSelector(".post-row")).Count is > 0 and var count)
        {
            Browser.Named("button", "Remove").Click();
            Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".post-row")).Count == count - 1, "one fewer");
            Stored();
        }
        Assert.StartsWith("No posts yet.", Browser.Element(".step-panel .empty").Text, StringComparison.Ordinal);
        Assert.Empty(Styles.Violations(Browser));
    }

    private void View(string name) => Browser.Driver.FindElements(By.CssSelector(".step-panel .bar label")).First(l => l.Text == name).Click();

    private void Pick(string label, string word)
    {
        // The field stands before what shows its word: the hand opens it there.
        Browser.Named("input", label).SendKeys(Keys.ArrowDown);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".ant-select-item-option")).Any(o => o.Displayed && o.Text == word), word);
        Browser.Driver.FindElements(By.CssSelector(".ant-select-item-option")).First(o => o.Displayed && o.Text == word).Click();
        Stored();
    }

    private async Task<int> VersionAsync() => (int)(await Workplace.Server.SiteAsync()).Version();

    private static string PictureFile()
    {
        var path = Path.Combine(Path.GetTempPath(), $"press-{Guid.NewGuid():N}.svg");
        File.WriteAllText(path, "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 60 40\"><rect width=\"60\" height=\"40\" fill=\"#8a2846\"/></svg>");
        return path;
    }
}
