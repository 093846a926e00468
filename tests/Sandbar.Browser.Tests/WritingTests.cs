using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Text written on the stage itself: marks, lists, links, what is pasted, and what undo, another window and a lost connection make of it.</summary>
public sealed class WritingTests : CourseTest
{
    private const string Lead = "[data-block=guide-lead]", List = "[data-block=guide-sowing-list]", Title = "[data-block=guide-sowing-title]";

    [Fact]
    public async Task Text_is_written_marked_split_and_joined_where_it_stands()
    {
        Open("pages?page=guide");
        Write(Lead);
        Assert.Equal("true", Browser.OnStage($"stage.querySelector('{Lead}').isContentEditable"));
        // The word under the double click is taken: marked by key, then written over.
        Browser.PressWithControl("b");
        Until("strong within", $"stage.querySelector('{Lead} strong')?.textContent.trim()", Word(Lead));
        Browser.Press(Keys.ArrowRight + Keys.ArrowLeft + "Yes ");
        Until("the panel to have it", "parent.document.querySelector('.block-panel')?.textContent.includes('Yes')", "true");
        Stored();
        Assert.Contains("<strong>", await PageAsync("growing-guide"), StringComparison.Ordinal);
        // One run of typing, one step back; the caret stays in the text.
        Browser.PressWithControl("z");
        Stored();
        Until("the words to be as they were", $"stage.querySelector('{Lead}').textContent.includes('Yes')", "false");
        Assert.Equal("guide-lead", Browser.OnStage("stage.activeElement.dataset.block"));
        End();
        // What is typed before the page shows the new paragraph comes into it, letter for letter.
        Browser.Press(" And more" + Keys.Enter + "Another one");
        Until("the second paragraph", "stage.activeElement.textContent", "Another one");
        Stored();
        Assert.Contains(">Another one</p>", await PageAsync("growing-guide"), StringComparison.Ordinal);
        Browser.Press(Keys.Home + Keys.Backspace);
        Until("one paragraph again", "stage.activeElement.dataset.block", "guide-lead");
        Browser.Press("+");
        Until("the caret where they were joined", "stage.activeElement.textContent.includes('more+Another one')", "true");
        Browser.Press(Keys.Escape);
        Stored();
        Until("writing to be over", "stage.querySelector('[contenteditable]') === null", "true");
        // The stage has the focus again: arrow keys lead on, and Enter writes.
        Assert.Contains("stage-room", Browser.Run<string>("return document.activeElement.className"), StringComparison.Ordinal);
        Browser.Press(Keys.Enter);
        Until("writing again", "stage.activeElement?.isContentEditable", "true");
        Browser.Press(Keys.Escape);
        Assert.False(Browser.Run<bool>("return document.querySelector('.writing-bar') !== null"));
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task Lists_are_indented_left_and_turned_into_lines_and_back()
    {
        Open("pages?page=guide");
        Write($"{List} > li");
        Browser.Press(Keys.End + Keys.Enter + "New item" + Keys.Tab);
        Until("the item within the first", $"stage.querySelector('{List} > li li')?.textContent", "New item");
        new Actions(Browser.Driver).KeyDown(Keys.Shift).SendKeys(Keys.Tab).KeyUp(Keys.Shift).Perform();
        Until("the item out again", $"stage.querySelectorAll('{List} > li')[1].textContent", "New item");
        Stored();
        Assert.Contains("<li>New item</li>", await PageAsync("growing-guide"), StringComparison.Ordinal);
        // Enter in an empty item leaves the list: a paragraph between two lists.
        Browser.Press(Keys.Enter + Keys.Enter);
        Until("a paragraph", "stage.activeElement.localName", "p");
        Browser.Press("Between");
        Stored();
        Until("two lists around it", "stage.activeElement.previousElementSibling?.localName + stage.activeElement.nextElementSibling?.localName", "ulul");
        Browser.Named("button", "Make a list").Click();
        Until("it to be a list", "stage.activeElement.localName + stage.activeElement.textContent.trim()", "ulBetween");
        Browser.Named("button", "Make lines").Click();
        Until("it to be a line", "stage.activeElement.localName + stage.activeElement.textContent.trim()", "pBetween");
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task What_is_pasted_keeps_its_structure_and_links_are_completed()
    {
        Open("pages?page=guide");
        Write(Lead);
        End();
        Paste("text/html", "<h2 style='color:red'>Pasted</h2><p>A <b>bold</b> one<img src=x><script>1</script></p><ul><li>a<ul><li>b</ul></ul>");
        Until("the caret in the list", "stage.activeElement.localName", "ul");
        Until("what was left out to be told", "parent.document.querySelector('.writing-said')?.textContent", "Left out: 1 picture or clip, 1 script, styling of its own.");
        Browser.Press(Keys.Escape);
        Write(Title);
        End();
        Paste("text/plain", " *and* more");
        Until("marks of Markdown", $"stage.querySelector('{Title} em')?.textContent", "and");
        Stored();
        // A link by key, typed plainly.
        new Actions(Browser.Driver).KeyDown(Keys.Shift).SendKeys(Keys.Home).KeyUp(Keys.Shift).Perform();
        // Given up by Escape, whatever was typed: no link.
        Browser.PressWithControl("k");
        Browser.Named("input", "Where the link leads").SendKeys("work" + Keys.Escape);
        Browser.Until(() => Browser.Run<bool>("return document.querySelector('.writing-link') === null"), "the field to be gone");
        Assert.Equal("true", Browser.OnStage($"stage.querySelector('{Title} a') === null && stage.activeElement.isContentEditable"));
        Browser.PressWithControl("k");
        Browser.Named("input", "Where the link leads").SendKeys("ana@seeds.example");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.ant-select-item-option')?.textContent ?? ''") == "Mail to ana@seeds.example", "the mail address offered");
        Browser.Press(Keys.Enter);
        Until("the link", $"stage.querySelector('{Title} a')?.dataset.to", "mailto:ana@seeds.example");
        Browser.Press(Keys.Escape);
        Stored();
        var page = await PageAsync("growing-guide");
        Assert.Contains("<a href=\"mailto:ana@seeds.example\">Sowing <em>and</em> more</a>", page, StringComparison.Ordinal);
        Assert.Contains("<p class=\"paragraph paragraph-standard\">A <strong>bold</strong> one</p>", page, StringComparison.Ordinal);
        Assert.Empty(Styles.Violations(Browser));
        Assert.Empty(Browser.Errors());
    }

    /// <summary>Cell by cell, and a row more after the last; the caption is a place of its own.</summary>
    [Fact]
    public async Task A_table_is_written_cell_by_cell()
    {
        Open("pages?page=contact");
        Write(".table td");
        var rows = int.Parse(Browser.OnStage("stage.querySelectorAll('.table tr').length"), System.Globalization.CultureInfo.InvariantCulture);
        // All of a cell is all that is taken; then on to the end, and one row further.
        Browser.PressWithControl("a");
        Browser.Press("Now");
        for (var more = int.Parse(Browser.OnStage("stage.querySelectorAll('.table td, .table th').length - [...stage.querySelectorAll('.table td, .table th')].indexOf(stage.activeElement)"), System.Globalization.CultureInfo.InvariantCulture); more > 0; more--) Browser.Press(Keys.Tab);
        Browser.Press("First | of all");
        Until("a row more", "stage.querySelectorAll('.table tr').length", $"{rows + 1}");
        Stored();
        Assert.Contains(">Now</td>", await PageAsync("contact"), StringComparison.Ordinal);
        Assert.Contains("First | of all</th>", await PageAsync("contact"), StringComparison.Ordinal);
        Assert.Equal("false", Browser.OnStage("stage.querySelector('.table caption').isContentEditable"));
        Browser.Press(Keys.Escape);
        Write(".table caption");
        Browser.Press("Fees");
        Browser.Press(Keys.Escape);
        Stored();
        Assert.Contains("Fees", Browser.OnStage("stage.querySelector('.table caption').textContent"), StringComparison.Ordinal);
        // From one place straight to another far below: the page stays where it was scrolled to.
        Open("pages?page=guide");
        Write(Lead);
        Write("[data-block=guide-year-table] td");
        Assert.Equal("guide-year-table", Browser.OnStage("stage.activeElement.closest('[data-block]').dataset.block"));
        Assert.Empty(Browser.Errors());
    }

    /// <summary>What somebody else writes in the same place meanwhile is asked about, and what was written on a page that is removed is kept.</summary>
    [Fact]
    public async Task Another_window_writes_the_same_or_removes_the_page()
    {
        Open("pages?page=guide");
        Write(Title);
        Browser.PressWithControl("a");
        Browser.Press("Mine");
        await Workplace.Server.EditAsync(0, new { kind = "setContent", block = "guide-sowing-title", slot = "text", text = "Theirs" }, window: "other").OkAsync();
        Browser.Named("button", "Take theirs").Click();
        Until("theirs", $"stage.querySelector('{Title}').textContent", "Theirs");
        Stored();
        Write(Title);
        Browser.PressWithControl("a");
        Browser.Press("Mine again");
        await Workplace.Server.EditAsync(1, new { kind = "setContent", block = "guide-sowing-title", slot = "text", text = "Theirs again" }, window: "other").OkAsync();
        Browser.Named("button", "Keep mine").Click();
        Stored();
        Assert.Contains(">Mine again</h2>", await PageAsync("growing-guide"), StringComparison.Ordinal);
        Browser.Press(" and more");
        await Workplace.Server.EditAsync(3, new { kind = "removePage", page = "guide" }, window: "other").OkAsync();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.save-state')?.textContent ?? ''") == "Not everything is saved", "the refusal");
        Browser.Named("button", "Look at it").Click();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.unsaved')?.textContent ?? ''").Contains("Mine again and more", StringComparison.Ordinal), "what was written");
    }

    /// <summary>The same in the panel: typed plainly, completed, and said in words.</summary>
    [Fact]
    public async Task A_slot_leads_where_it_is_typed_to()
    {
        Open("pages?page=home&selected=home-step-1");
        var field = Browser.Named("input", "Leads to of card Choose");
        field.SendKeys("work");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.ant-select-item-option')?.textContent ?? ''") == "Workshops", "the page offered");
        field.SendKeys(Keys.Enter);
        Settled(++Version);
        Assert.Equal("Workshops", field.GetAttribute("value"));
        Assert.Contains("<a class=\"card-link\" href=\"workshops.html\">", await PageAsync("index"), StringComparison.Ordinal);
        // What leads nowhere is said, and stays to be mended.
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("nowhere at all" + Keys.Tab);
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.block-panel .problem')?.textContent ?? ''").Contains("“nowhere at all” leads nowhere", StringComparison.Ordinal), "the refusal");
        Assert.Equal("nowhere at all", field.GetAttribute("value"));
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(Keys.Delete + Keys.Tab);
        Settled(++Version);
        Assert.DoesNotContain("href=\"workshops.html\">Choose", await PageAsync("index"), StringComparison.Ordinal);
        Assert.Empty(Browser.Errors());
    }

    /// <summary>What is written while the connection is away is kept and stored, and a place left empty shows what belongs there.</summary>
    [Fact]
    public async Task Nothing_written_is_lost()
    {
        Open("pages?page=guide");
        Write(Title);
        End();
        Browser.Press(" kept");
        Stored();
        Browser.Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string, object?> { ["offline"] = true, ["latency"] = 0, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
        Browser.Press(" away");
        Browser.Until(() => Browser.Run<bool>("return Object.values(sessionStorage).some(v => v.includes('kept away'))"), "the words to be kept in the window");
        Browser.Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string, object?> { ["offline"] = false, ["latency"] = 0, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
        Browser.Until(() => PageAsync("growing-guide").Result.Contains("Sowing kept away", StringComparison.Ordinal), "the words to be stored");
        // Left empty, it shows what belongs there, and nothing of it is released.
        Browser.PressWithControl("a");
        Browser.Press(Keys.Backspace);
        Browser.Press(Keys.Escape);
        Until("what belongs there", $"stage.querySelector('{Title}')?.hasAttribute('data-empty')", "true");
        Assert.DoesNotContain("A heading of this level", await PageAsync("growing-guide"), StringComparison.Ordinal);
        Write(Title);
        Browser.Press("Sowing");
        Until("only what was written", $"stage.querySelector('{Title}').textContent", "Sowing");
        Browser.Press(Keys.Escape);
        Until("stored", $"stage.querySelector('{Title}')?.hasAttribute('contenteditable')", "false");
    }

    private string Word(string selector) => Browser.OnStage($"stage.querySelector('{selector}').textContent.trim().split(' ')[0]");
}
