using System.Text.RegularExpressions;
using Sandbar.Core.Rendering;
using Sandbar.Core.Writing;

namespace Sandbar.Core.Tests.Writing;

/// <summary>Text from elsewhere, against the examples of the CommonMark specification (tests/references/make-commonmark-fixtures.mjs).</summary>
public partial class ReadTextTests
{
    /// <summary>What is not read as the specification has it: HTML is shown as text, titles and pictures are left out, and what a link is called elsewhere in a text is of no use in a slot.</summary>
    private static readonly HashSet<string> OtherSections = ["HTML blocks", "Raw HTML", "Images", "Link reference definitions"];

    /// <summary>Markdig does not find a name in which ẞ stands for SS.</summary>
    private const int CapitalSharpS = 540;

    public static TheoryData<int> Blocks => [.. Examples.Where(e => !OtherSections.Contains(e.Section) && !Html().IsMatch(e.Html) && !e.Html.Contains("<img", StringComparison.Ordinal) && !HasHtml(e.Markdown) && e.Number != CapitalSharpS).Select(e => e.Number)];

    public static TheoryData<int> Inlines => [.. Examples.Where(e => e.Section is "Code spans" or "Emphasis and strong emphasis" or "Hard line breaks" or "Soft line breaks" or "Textual content" or "Backslash escapes" or "Entity and numeric character references" or "Links" or "Autolinks" or "Inlines" or "Precedence"
        && Single().IsMatch(e.Html) && !e.Html.Contains("<img", StringComparison.Ordinal) && !HasHtml(e.Markdown) && !e.Markdown.Contains("]: ", StringComparison.Ordinal) && !OtherAddress().IsMatch(e.Html)).Select(e => e.Number)];

    private static IReadOnlyList<(int Number, string Section, string Markdown, string Html)> Examples { get; } =
        [.. Fixture.Read("commonmark.json").GetProperty("examples").EnumerateArray().Select(e => (e.GetProperty("number").GetInt32(), e.String("section"), e.String("markdown").Replace('→', '\t'), e.String("html").Replace('→', '\t')))];

    [Theory]
    [MemberData(nameof(Blocks))]
    public void Markdown_is_read_as_the_specification_has_it(int number)
    {
        var (_, _, markdown, html) = Examples[number - 1];
        Assert.Equal(Said(ReadText.Of(TextForm.Html, html)), Said(ReadText.Of(TextForm.Markdown, markdown)));
    }

    [Theory]
    [MemberData(nameof(Inlines))]
    public void Marks_in_a_text_are_shown_as_the_specification_has_it(int number)
    {
        var (_, _, markdown, html) = Examples[number - 1];
        var written = new Html();
        written.Element("p", [], () => InlineText.Write(written, markdown.TrimEnd('\n'), to => [("href", to)]), isPhrase: true);
        Assert.Equal(Plainly(html), Plainly(written.ToString()));
    }

    [Fact]
    public void Most_of_the_examples_are_held_to() => Assert.True(Blocks.Count > 400 && Inlines.Count > 200, $"{Blocks.Count} and {Inlines.Count}");

    [Fact]
    public void What_a_word_processor_leaves_behind_is_dropped_and_told()
    {
        var read = ReadText.Of(TextForm.Html, """
            <html><head><style>p.x { color: red }</style></head><body lang=EN-US>
            <p class=x style='margin:0'><o:p>&nbsp;</o:p></p>
            <h2 style="color:#2E74B5"><span>Sowing</span></h2>
            <p class=x><b style="font-weight:normal"><span style="font-weight:700">Early</span> peas, <i>late</i> beans<br></b></p>
            <p><a href="javascript:alert(1)" onclick="x()">here</a> <a href="https://seeds.example/x">there</a> <a href="data:text/html,x">nowhere</a></p>
            <ul><li>one<ul><li>two</li></ul></li><li><p>three</p></li></ul>
            <img src="https://seeds.example/p.png"><script>alert(1)</script><iframe src="x"></iframe>
            <table><tr><td>Kind</td><td>Month</td></tr><tr><td>Peas | beans</td><td>May</td></tr></table>
            <blockquote><p>Keep them dry.</p></blockquote></body></html>
            """);
        Assert.Equal(
            ["heading-2 text=Sowing", "paragraph text=**Early** peas, *late* beans", "paragraph text=here [there](https://seeds.example/x) nowhere", "list items=- one\n  - two\n- three", "table rows=Kind | Month\nPeas \\| beans | May", "quote text=Keep them dry."],
            read.Pieces.Select(p => $"{p.Part} {string.Join(' ', p.Content.Select(c => $"{c.Key}={c.Value}"))}"));
        Assert.Equal(["2 links that lead nowhere here", "1 page within the page", "1 picture or clip", "2 scripts", "styling of its own"], read.Dropped);
        Assert.Equal(["Sowing", "Early peas, late beans", "here there nowhere", "one", "two", "three", "Kind Month", "Peas | beans May", "Keep them dry."], read.Lines.Select(Runs.Plain));
    }

    /// <summary>However much and however deep: bounded, and every letter there.</summary>
    [Theory]
    [InlineData("<div>", 50_000)]
    [InlineData("<b>", 50_000)]
    [InlineData("<ul><li>", 25_000)]
    [InlineData("<table><tr><td>", 16_000)]
    [InlineData("<blockquote>", 50_000)]
    [InlineData("<a href=x>", 50_000)]
    public void Fifty_thousand_elements_in_each_other_are_read(string open, int times)
    {
        var read = ReadText.Of(TextForm.Html, string.Concat(Enumerable.Repeat(open, times)) + "the end");
        Assert.Contains("the end", string.Concat(read.Lines.Select(Runs.Plain)), StringComparison.Ordinal);
    }

    [Fact]
    public void What_no_page_holds_is_said()
    {
        Assert.Contains("50000 blocks", ReadText.Of(TextForm.Html, string.Concat(Enumerable.Repeat("<p>a", 50_000))).Refusal(), StringComparison.Ordinal);
        Assert.Contains("longer than the 20000 characters", ReadText.Of(TextForm.Markdown, new string('x', 1_000_000)).Refusal(), StringComparison.Ordinal);
        Assert.Null(ReadText.Of(TextForm.Markdown, new string('x', 20_000)).Refusal());
    }

    [Fact]
    public void Markdown_nested_deeper_than_anybody_writes_is_read_as_it_is()
    {
        var text = new string('>', 20_000) + " the end";
        Assert.Contains("the end", string.Concat(ReadText.Of(TextForm.Markdown, text).Lines.Select(Runs.Plain)), StringComparison.Ordinal);
    }

    private static string Said(ReadText read) => string.Join('\n', read.Pieces.Select(p => $"{p.Part}: {string.Join(" / ", p.Content.Select(c => $"{c.Key}={c.Value}"))}"));

    private static string Plainly(string html) => Address().Replace(Title().Replace(html, ""), a => Uri.UnescapeDataString(a.Value)).Replace("<br />\n", "<br>", StringComparison.Ordinal).Replace("<br />", "<br>", StringComparison.Ordinal).Replace('\n', ' ').Replace("  </p>", "</p>", StringComparison.Ordinal).Replace("&quot;", "\"", StringComparison.Ordinal).Trim();

    private static bool HasHtml(string markdown) => Tag().IsMatch(markdown);

    [GeneratedRegex(@"\A<p>(?<inner>(?:(?!</?p>).)*)</p>\n?\z", RegexOptions.Singleline)]
    private static partial Regex Single();

    [GeneratedRegex(" title=\"[^\"]*\"")]
    private static partial Regex Title();

    /// <summary>Browsers write the same letters of an address by themselves.</summary>
    [GeneratedRegex("href=\"[^\"]*\"")]
    private static partial Regex Address();

    [GeneratedRegex("<(?!/?(?:p|a|em|strong|code|br|ul|ol|li|h[1-6]|blockquote|pre|hr)\\b)")]
    private static partial Regex Html();

    /// <summary>A link of a kind that a site does not lead to.</summary>
    [GeneratedRegex("href=\"(?!https?:|mailto:)[^\"]*:", RegexOptions.IgnoreCase)]
    private static partial Regex OtherAddress();

    [GeneratedRegex("<[a-zA-Z/!?](?![a-zA-Z0-9+.-]*[:@])")]
    private static partial Regex Tag();
}
