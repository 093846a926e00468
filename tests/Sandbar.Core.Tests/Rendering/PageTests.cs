using AngleSharp.Html.Parser;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Rendering;

/// <summary>Pages as HTML, read back by AngleSharp.</summary>
public class PageTests
{
    private static readonly Surroundings Plain = new((p, _) => $"{p.Slug}.html", i => i.File, "", MarkBlocks: false);

    [Fact]
    public void Pages_are_semantic_and_whole()
    {
        foreach (var page in Demo.Site.Pages)
        {
            var document = new HtmlParser().ParseDocument(PageWriter.Write(Demo.Site, page, Plain));
            Assert.Equal(page.Title, document.Title);
            Assert.Single(document.QuerySelectorAll("h1"));
            Assert.Single(document.QuerySelectorAll("header"));
            Assert.Single(document.QuerySelectorAll("main"));
            Assert.Single(document.QuerySelectorAll("footer"));
            Assert.Equal("day", document.DocumentElement.GetAttribute("data-scheme"));
            Assert.All(document.Images.Where(i => i.Closest("[aria-hidden=true]") is null), i => Assert.False(string.IsNullOrWhiteSpace(i.AlternativeText)));
            Assert.DoesNotContain(document.All, e => e.HasAttribute("style") || e.HasAttribute("data-block") || (e.TagName is "SCRIPT" && page.Id != "workshops"));
            Assert.Equal("page", document.QuerySelector($".menu-link[href='{page.Slug}.html']")?.GetAttribute("aria-current"));
        }
    }

    [Fact]
    public void Every_link_and_picture_of_a_release_leads_to_a_file_of_it()
    {
        var files = SiteRelease.Files(Demo.Site).ToList();
        var paths = files.Select(f => f.Path).ToHashSet();
        Assert.Equal(files.Count, paths.Count);
        foreach (var file in files.Where(f => f.Path.EndsWith(".html", StringComparison.Ordinal)))
        {
            var document = new HtmlParser().ParseDocument(file.Text!);
            var targets = document.QuerySelectorAll("a[href], link[href]").Select(e => e.GetAttribute("href")!).Concat(document.Images.Select(i => i.GetAttribute("src")!));
            Assert.All(targets.Where(t => !t.StartsWith('#')), t => Assert.Contains(t, paths));
        }
        Assert.All(files.Where(f => f.Hash is not null), f => Assert.Contains(Demo.Sample.Assets, a => a.Hash == f.Hash));
    }

    /// <summary>Texts that were shown otherwise than they were meant once; that of the label stands in what leads somewhere itself.</summary>
    [Theory]
    [InlineData("footer", "credit", "Write to *us* at <mail@pellwyn.example>", "<a href=\"mailto:mail@pellwyn.example\">mail@pellwyn.example</a>")]
    [InlineData("footer", "credit", "1965. *A* year", "1965. <em>A</em> year")]
    [InlineData("footer", "credit", "- *not* a list", "- <em>not</em> a list")]
    [InlineData("footer", "credit", "# *no* heading", "# <em>no</em> heading")]
    [InlineData("footer", "credit", "<https://pellwyn.example> *is* it", "<a href=\"https://pellwyn.example\">https://pellwyn.example</a>")]
    [InlineData("footer", "credit", "<javascript:alert(1)> *no*", "javascript:alert(1)")]
    [InlineData("header-action", "label", "Borrow [seeds](home) *now*", "Borrow seeds <em>now</em></a>")]
    public void Text_is_shown_as_it_is_meant(string block, string slot, string text, string html) =>
        Assert.Contains(html, PageWriter.Write(Demo.Site.After(new SetContent(block, slot, text)), Demo.Site.Pages[0], Plain), StringComparison.Ordinal);

    /// <summary>Marks nested deeper than anybody writes are shown as they are, in every kind of slot.</summary>
    [Theory]
    [InlineData("[")]
    [InlineData("> ")]
    [InlineData("*")]
    [InlineData("- ")]
    [InlineData("```")]
    [InlineData("| ")]
    [InlineData(" ")]
    [InlineData("`\n")]
    public void Any_text_can_be_shown(string piece)
    {
        foreach (var times in new[] { 1, 3, 300, 20_000 / piece.Length })
        {
            var text = string.Concat(Enumerable.Repeat(piece, times));
            foreach (var block in Blocks.All(Demo.Site))
            {
                foreach (var slot in PartCatalogue.Get(block.Part).Slots.Where(s => s.Kind is SlotKind.Text or SlotKind.List or SlotKind.Table or SlotKind.Spoken).DistinctBy(s => s.Kind))
                {
                    // Of each kind of slot once is enough: one text in one slot at a time.
                    if (block != Blocks.All(Demo.Site).First(b => PartCatalogue.Get(b.Part).Slots.Any(s => s.Kind == slot.Kind))) continue;
                    if (new SetContent(block.Id, slot.Id, text).Apply(Demo.Site).Site is not { } site) continue;
                    foreach (var page in site.Pages) Assert.NotEmpty(PageWriter.Write(site, page, Plain));
                }
            }
        }
    }

    [Fact]
    public void A_link_that_is_off_leads_nowhere_and_says_so()
    {
        var html = PageWriter.Write(Demo.Site.After(new SetContent("header-action", "off", "yes")), Demo.Site.Pages[0], Plain);
        Assert.Contains("role=\"link\" aria-disabled=\"true\">", html, StringComparison.Ordinal);
    }

    /// <summary>Every part, by enumeration: its hook and the selectors of its looks find elements of a block that wears them.</summary>
    [Fact]
    public void Every_look_reaches_its_block()
    {
        foreach (var part in PartCatalogue.All)
        {
            foreach (var look in Demo.Site.Looks.Where(l => l.Part == part.Id))
            {
                var content = part.Slots.ToDictionary(s => s.Id, s => s.Kind switch { SlotKind.Picture => "bean", SlotKind.Menu => "main", SlotKind.Category => "seeds", SlotKind.Link => "home", SlotKind.List => "- Words\n  - More", SlotKind.Table => "A | B\nC | D", SlotKind.Choice => s.Words[0].Code, _ => "Words" });
                var block = Demo.Site.Frame.Header with { Id = "x", Part = part.Id, Look = look.Id, Blocks = part.HoldsBlocks ? [.. Demo.Site.Frame.Header.Blocks.Select(b => b with { Id = $"{b.Id}-inside" })] : [], Content = Demo.Site.Frame.Header.Content.Clear().AddRange(content) };
                var page = Demo.Site.Pages[0] with { Sections = [block, block with { Id = "y" }, Blocks.Find(Demo.Site, "workshops-posts")!] };
                var site = Demo.Site.After(new AddMenuItem("main", "inner", "Inner", "guide") { Parent = "main-home" }) with { Frame = new(Demo.Site.Frame.Header with { Content = Demo.Site.Frame.Header.Content.Clear() }, Demo.Site.Frame.Footer with { Blocks = [], Content = Demo.Site.Frame.Footer.Content.Clear() }) };
                var document = new HtmlParser().ParseDocument(PageWriter.Write(site, page, Plain));
                Assert.NotEmpty(document.QuerySelectorAll(LookSelectors.Of(site, part, look)));
                foreach (var (target, onPart) in part.Properties.Select(p => (p.Target.Replace("::marker", "", StringComparison.Ordinal), p.OnPart)).Distinct())
                    Assert.True(document.QuerySelector("main " + (onPart ? LookSelectors.OnPart(site, part, look) : LookSelectors.Of(site, part, look)).Replace(":where(a", ":where(main a", StringComparison.Ordinal) + target) is not null || part.Hook.StartsWith(':'), $"{part.Name} · {look.Name}{target}");
            }
        }
    }

    [Theory]
    [InlineData("plain & <b>simple</b>", "plain &amp; &lt;b&gt;simple&lt;/b&gt;")]
    [InlineData("*soft* and **loud** `code`", "<em>soft</em> and <strong>loud</strong> <code>code</code>")]
    [InlineData("[a](catalogue) [b](https://example.org) [c](#top)", "<a href=\"catalogue.html\">a</a> <a href=\"https://example.org\">b</a> <a href=\"#top\">c</a>")]
    [InlineData("[bad](javascript:alert(1)) *x*", "bad <em>x</em>")]
    [InlineData("<script>alert(1)</script> *x*", "&lt;script&gt;alert(1)&lt;/script&gt; <em>x</em>")]
    [InlineData("![picture](x.png) *x*", "picture <em>x</em>")]
    [InlineData("[one and [two](guide)", "[one and <a href=\"growing-guide.html\">two</a>")]
    [InlineData("one\n---", "one ---")]
    public void Inline_marks_become_html_and_markup_stays_text(string text, string expected)
    {
        var html = new Html();
        html.Element("p", [], () => InlineText.Write(html, text, to => [("href", Demo.Site.Pages.Find(to) is { } page ? $"{page.Slug}.html" : to)]), isPhrase: true);
        Assert.Equal($"<p>{expected}</p>\n", html.ToString());
    }

    [Fact]
    public void A_link_that_would_run_something_leads_nowhere()
    {
        var block = Demo.Site.Frame.Header.Blocks[1];
        var page = Demo.Site.Pages[0] with { Sections = [block with { Content = block.Content.SetItem("to", "javascript:alert(1)") }] };
        Assert.DoesNotContain("javascript:", PageWriter.Write(Demo.Site, page, Plain), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("- a\n- b", "<ul class=\"list\"><li>a</li><li>b</li></ul>")]
    [InlineData("1. a\n   - *b*\n2. c", "<ol class=\"list\"><li>a<ul><li><em>b</em></li></ul></li><li>c</li></ol>")]
    [InlineData("no mark\n", "<ul class=\"list\"><li>no mark</li></ul>")]
    [InlineData("- <b>x</b>", "<ul class=\"list\"><li>&lt;b&gt;x&lt;/b&gt;</li></ul>")]
    public void Lists_are_nested_as_they_are_indented(string typed, string html) => Assert.Equal(html, Written("list", ("items", typed)));

    [Fact]
    public void A_short_row_of_a_table_is_filled_up()
    {
        var html = Written("table", ("caption", "c"), ("rows", "a | b\n| 1 |"));
        Assert.Contains("<tr><th scope=\"row\">1</th><td></td></tr>", html, StringComparison.Ordinal);
        Assert.Contains("<th scope=\"col\">b</th>", html, StringComparison.Ordinal);
    }

    [Fact]
    public void A_field_belongs_to_its_label_and_hint()
    {
        var html = Written("form-field", ("label", "Your name"), ("kind", "choice"), ("choices", "- a\n- b"), ("hint", "h"), ("off", "yes"));
        Assert.Contains("<label for=\"field-x\">Your name</label>", html, StringComparison.Ordinal);
        Assert.Contains("<select class=\"form-control\" id=\"field-x\" name=\"your-name\" aria-describedby=\"field-x-hint\" disabled=\"\"><option>a</option><option>b</option></select>", html, StringComparison.Ordinal);
        Assert.Contains("<p class=\"form-hint\" id=\"field-x-hint\">h</p>", html, StringComparison.Ordinal);
    }

    [Fact]
    public void A_button_that_leads_nowhere_is_a_button() =>
        Assert.Equal("<button class=\"button button-filled\" type=\"submit\" disabled=\"\">Go</button>", Written("button", ("label", "Go"), ("off", "yes")));

    /// <summary>A block of a part's first look as it is written, without the white space between elements.</summary>
    private static string Written(string part, params (string Slot, string Content)[] content)
    {
        var block = Demo.Site.Frame.Header with
        {
            Id = "x",
            Part = part,
            Look = Demo.Site.Looks.First(l => l.Part == part).Id,
            Blocks = [],
            Content = Demo.Site.Frame.Header.Content.Clear().AddRange(content.ToDictionary(c => c.Slot, c => c.Content)),
        };
        var html = PageWriter.Write(Demo.Site, Demo.Site.Pages[0] with { Sections = [block] }, Plain);
        var main = html[(html.IndexOf("<main>", StringComparison.Ordinal) + 6)..html.IndexOf("</main>", StringComparison.Ordinal)];
        return string.Concat(main.Split('\n').Select(l => l.Trim()));
    }

    /// <summary>What is shown where a page is shared, by the names of the Open Graph protocol.</summary>
    [Fact]
    public void Title_and_description_are_told_to_searches_and_to_those_who_share()
    {
        var site = Demo.Site.After(new SetPage("guide", PageField.Title, "Growing & keeping")).After(new SetPage("guide", PageField.Description, ""));
        var around = new Surroundings((p, _) => p.Slug, i => i.File, "", MarkBlocks: false);
        var (with, without) = (PageWriter.Write(site, site.Pages[0], around), PageWriter.Write(site, site.Pages.Get("guide"), around));
        Assert.Contains($"<meta property=\"og:description\" content=\"{site.Pages[0].Description}\">", with, StringComparison.Ordinal);
        Assert.Contains("<meta property=\"og:title\" content=\"Growing &amp; keeping\">", without, StringComparison.Ordinal);
        Assert.DoesNotContain("description", without, StringComparison.Ordinal);
    }

    /// <summary>A level is chosen apart from the look: every heading, a card's and an eyebrow's too, at every level and none.</summary>
    [Fact]
    public void A_heading_has_any_level_whatever_it_looks_like()
    {
        foreach (var part in PartCatalogue.All.Where(p => p.Slots.Any(s => s.Id == "level")))
        {
            var block = Blocks.All(Demo.Site).First(b => b.Part == part.Id);
            foreach (var word in part.Slots.First(s => s.Id == "level").Words)
            {
                var site = Demo.Site.After(new SetContent(block.Id, "level", word.Code));
                var html = PageWriter.Write(site, site.Pages[0], Blocks.Find(site, block.Id)!, new((p, _) => p.Slug, i => i.File, "", MarkBlocks: false));
                var text = InlineTextOf(block.Content.GetValueOrDefault("title") ?? block.Content.GetValueOrDefault("text") ?? Demo.Site.Posts[0].Title);
                Assert.Matches($"<{(word.Code == "none" ? "p" : $"h{word.Code}")} class=\"[^\"]+\">(<a [^>]*>)?{System.Text.RegularExpressions.Regex.Escape(text)}", html);
            }
        }

        static string InlineTextOf(string text)
        {
            var html = new Html();
            html.Element("p", [], () => InlineText.Write(html, text, to => [("href", to)]), isPhrase: true);
            return html.ToString()[3..^5].Split('<')[0];
        }
    }
}
