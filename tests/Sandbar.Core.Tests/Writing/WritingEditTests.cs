using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;
using Sandbar.Core.Writing;

namespace Sandbar.Core.Tests.Writing;

/// <summary>What is written on the stage: in place, split, joined, pasted, and turned into lists and back.</summary>
public class WritingEditTests
{
    private static readonly Surroundings OnStage = new((p, _) => $"/stage/{p.Id}", i => i.File, "", MarkBlocks: true) { ShowEmpty = true };

    private static readonly Block Paragraph = Blocks.All(Demo.Site).First(b => b.Part == "paragraph" && b.Look == "paragraph-standard");

    private static readonly Block List = Blocks.All(Demo.Site).First(b => b.Part == "list");

    /// <summary>Every slot that is written shows on the stage where, and reads again what it holds: nothing changes by writing nothing.</summary>
    [Fact]
    public void Whatever_is_on_the_stage_reads_again_as_it_was()
    {
        foreach (var page in Demo.Site.Pages)
        {
            var html = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(PageWriter.Write(Demo.Site, page, OnStage));
            var written = Blocks.OnPage(Demo.Site, page).SelectMany(Blocks.WithInner).SelectMany(b => PartCatalogue.Get(b.Part).Slots.Where(s => s.Kind is SlotKind.Text or SlotKind.List or SlotKind.Table && b.Content.ContainsKey(s.Id)).Select(s => (Block: b, Slot: s))).ToList();
            Assert.NotEmpty(written);
            foreach (var (block, slot) in written)
            {
                // A field's choices are its own.
                if (slot.Id == "choices") continue;
                var elements = html.QuerySelectorAll($"[data-block='{block.Id}'] [data-slot='{slot.Id}'], [data-block='{block.Id}'][data-slot='{slot.Id}']").Where(e => e.Closest("[data-block]")!.GetAttribute("data-block") == block.Id).ToList();
                Assert.NotEmpty(elements);
                var read = SlotHtml.Read(slot, slot.Kind == SlotKind.Text ? elements[0].InnerHtml : string.Concat(elements.Select(e => e.OuterHtml)));
                var site = Demo.Site.After(new WriteContent(block.Id, slot.Id, slot.Kind == SlotKind.Text ? elements[0].InnerHtml : string.Concat(elements.Select(e => e.OuterHtml))));
                Assert.Equal(PageWriter.Write(Demo.Site, page, OnStage), PageWriter.Write(site, page with { Sections = site.Pages.Get(page.Id).Sections }, OnStage));
                Assert.Equal(Blocks.Find(site, block.Id)!.Content[slot.Id], read);
            }
        }
    }

    [Fact]
    public void What_is_written_holds_letters_marks_and_links_and_nothing_else()
    {
        var site = Demo.Site.After(new WriteContent(Paragraph.Id, "text", "Sow&nbsp;early <b onclick=\"x()\">peas</b> in the <a href=\"/stage/pellwyn/guide\" data-to=\"guide\">guide</a>, not <a href=\"javascript:x()\">there</a>.<br><script>alert(1)</script><br>"));
        Assert.Equal("Sow\u00a0early **peas** in the [guide](guide), not there.", Blocks.Find(site, Paragraph.Id)!.Content["text"]);
        Assert.Empty(Blocks.Find(Demo.Site.After(new WriteContent(Paragraph.Id, "text", " <br>")), Paragraph.Id)!.Content);
        Assert.Contains("cannot be left empty", Demo.Site.Refused(new WriteContent("header", "name", "")).Message, StringComparison.Ordinal);
        Assert.Contains("at most 20000", Demo.Site.Refused(new WriteContent(Paragraph.Id, "text", new string('a', 20_001))).Message, StringComparison.Ordinal);
        Assert.Contains("at most 20000", Demo.Site.Refused(new WriteContent(Paragraph.Id, "text", new string('a', 1_000_001))).Message, StringComparison.Ordinal);
        Assert.Contains("chosen, not written", Demo.Site.Refused(new WriteContent("header", "to", "x")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", Demo.Site.Refused(new WriteContent("gone", "text", "x")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_paragraph_is_split_and_joined_again()
    {
        var site = Demo.Site.After(new SetBlock(Paragraph.Id, BlockField.Address, "here")).After(new WriteContent(Paragraph.Id, "text", "One <em>two three</em> four"))
            .After(new SplitContent(Paragraph.Id, "text", "One <em>two</em>", "<em> three</em> four", "new"));
        var (first, next) = (Blocks.Find(site, Paragraph.Id)!, Blocks.Find(site, "new")!);
        Assert.Equal(("One *two*", "here", "*three* four", ""), (first.Content["text"], first.Address, next.Content["text"], next.Address));
        Assert.Equal((first.Part, first.Look), (next.Part, next.Look));
        Assert.Equal(BlockTree.PlaceOf(site, Paragraph.Id)!.Value with { At = BlockTree.PlaceOf(site, Paragraph.Id)!.Value.At + 1 }, BlockTree.PlaceOf(site, "new"));
        var joined = site.After(new JoinContent("new", "text", "<em>three</em> four"));
        Assert.Equal("One *twothree* four", Blocks.Find(joined, Paragraph.Id)!.Content["text"]);
        Assert.Null(Blocks.Find(joined, "new"));
        Assert.Empty(SiteCheck.Problems(site));
        // After a heading goes on what is written under it.
        var heading = Blocks.All(Demo.Site).First(b => b.Part == "heading-2");
        var after = Demo.Site.After(new SplitContent(heading.Id, "text", "Sowing", "", "new"));
        Assert.Equal(("paragraph", 0), (Blocks.Find(after, "new")!.Part, Blocks.Find(after, "new")!.Content.Count));
        Assert.Equal("heading-2", Blocks.Find(Demo.Site.After(new SplitContent(heading.Id, "text", "Sow", "ing", "new")), "new")!.Part);
        var card = Blocks.All(Demo.Site).First(b => b.Part == "card");
        Assert.Contains("one line of text", Demo.Site.Refused(new SplitContent(card.Id, "title", "a", "b", "new")).Message, StringComparison.Ordinal);
        var alone = Demo.Site.After(new AddBlock("s", "section", "guide", null, 0)).After(new AddBlock("p", "paragraph", "guide", "s", 0));
        Assert.Contains("Nothing stands before it", alone.Refused(new JoinContent("p", "text", "x")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_list_is_left_and_joined_and_becomes_lines_and_a_list_again()
    {
        var site = Demo.Site.After(new WriteContent(List.Id, "items", "<ul><li>One</li><li><strong>Two</strong><ul><li>a</li></ul></li><li>Three</li></ul>"));
        Assert.Equal("- One\n- **Two**\n  - a\n- Three", Blocks.Find(site, List.Id)!.Content["items"]);
        var left = site.After(new SplitContent(List.Id, "items", "<ul><li>One</li></ul>", "<ul><li>Three</li></ul>", "new"));
        Assert.Equal(("- One", "paragraph", "- Three"), (Blocks.Find(left, List.Id)!.Content["items"], Blocks.Find(left, "new")!.Part, Blocks.Find(left, "new-1")!.Content["items"]));
        var back = left.After(new JoinContent("new", "text", "more")).After(new JoinContent("new-1", "items", "<ul><li>Three</li></ul>"));
        Assert.Equal("- One more\n- Three", Blocks.Find(back, List.Id)!.Content["items"].Replace("Onemore", "One more", StringComparison.Ordinal));
        var lines = site.After(new ListToLines(List.Id, "new"));
        Assert.Equal(["One", "**Two**", "a", "Three"], new[] { List.Id, "new", "new-1", "new-2" }.Select(id => Blocks.Find(lines, id)!.Content["text"]));
        var list = lines.After(new LinesToList([List.Id, "new", "new-1", "new-2"]));
        Assert.Equal(("list", "- One\n- **Two**\n- a\n- Three"), (Blocks.Find(list, List.Id)!.Part, Blocks.Find(list, List.Id)!.Content["items"]));
        Assert.Equal(BlockTree.PlaceOf(site, List.Id), BlockTree.PlaceOf(list, List.Id));
        // The lines of one paragraph are items too.
        var one = Demo.Site.After(new WriteContent(Paragraph.Id, "text", "<em>One<br>two</em>")).After(new LinesToList([Paragraph.Id]));
        Assert.Equal("- *One*\n- *two*", Blocks.Find(one, Paragraph.Id)!.Content["items"]);
        Assert.Contains("one after another", lines.Refused(new LinesToList([List.Id, "new-1"])).Message, StringComparison.Ordinal);
        Assert.Contains("no list", Demo.Site.Refused(new ListToLines(Paragraph.Id, "x")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Text_from_elsewhere_goes_on_where_the_caret_stands()
    {
        var read = ReadText.Of(TextForm.Markdown, "first\n\n## Title\n\n- a\n- b\n\n> said\n\nlast ");
        var site = Demo.Site.After(new PasteContent(Paragraph.Id, "text", "Before ", " after", [.. read.Pieces], "new"));
        Assert.Empty(SiteCheck.Problems(site));
        Assert.Equal("Before first", Blocks.Find(site, Paragraph.Id)!.Content["text"]);
        Assert.Equal(["heading-2", "list", "quote", "paragraph"], new[] { "new", "new-1", "new-2", "new-3" }.Select(id => Blocks.Find(site, id)!.Part));
        Assert.Equal("last after", Blocks.Find(site, "new-3")!.Content["text"]);
        // In an empty paragraph it takes its place.
        var empty = Demo.Site.After(new PasteContent(Paragraph.Id, "text", "", "", [new("heading-2", read.Pieces[1].Content)], "new"));
        Assert.Null(Blocks.Find(empty, Paragraph.Id));
        Assert.Equal(BlockTree.PlaceOf(Demo.Site, Paragraph.Id), BlockTree.PlaceOf(empty, "new"));
        Assert.Contains("headings, paragraphs", Demo.Site.Refused(new PasteContent(Paragraph.Id, "text", "", "", [new("section", read.Pieces[1].Content)], "new")).Message, StringComparison.Ordinal);
        Assert.Contains("at most 500", Demo.Site.Refused(new PasteContent(Paragraph.Id, "text", "", "", [.. Enumerable.Repeat(read.Pieces[1], 501)], "new")).Message, StringComparison.Ordinal);
        Assert.Contains("at most 20000", Demo.Site.Refused(new PasteContent(Paragraph.Id, "text", "", "", [read.Pieces[1], read.Pieces[0] with { Content = read.Pieces[0].Content.SetItem("text", new string('a', 20_001)) }, read.Pieces[1]], "new")).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("guide", "guide", "Growing guide")]
    [InlineData("growing", "guide", "Growing guide")]
    [InlineData("#sowing", "#sowing", "Sowing on this page")]
    [InlineData("ana@seeds.example", "mailto:ana@seeds.example", "Mail to ana@seeds.example")]
    [InlineData("+43 1 234-56 (7)", "tel:+431234567", "Call +43 1 234-56 (7)")]
    [InlineData("seeds.example/peas", "https://seeds.example/peas", "https://seeds.example/peas")]
    [InlineData("http://seeds.example", "http://seeds.example", "http://seeds.example")]
    [InlineData("javascript:alert(1)", null, null)]
    [InlineData("data:text/html,x", null, null)]
    [InlineData("1234", null, null)]
    public void Where_a_link_leads_is_completed(string typed, string? to, string? says)
    {
        var section = Demo.Site.Pages.Get("guide").Sections.First(s => s.Name == "Sowing");
        var site = Demo.Site.After(new SetBlock(section.Id, BlockField.Address, "sowing"));
        var offer = LinkOffers.For(site, "guide", typed) is [var first, ..] ? first : null;
        Assert.Equal((to, says), (offer?.To, offer?.Says));
        if (to is not null) Assert.True(ContentCheck.IsSafe(to));
        Assert.Equal("Sowing on Growing guide", LinkOffers.Say(site, "home", "guide#sowing"));
        Assert.Equal("a page that is gone", LinkOffers.Say(site, "home", "gone"));
    }
}
