using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Posts, their categories, and the lists that are made from them.</summary>
public class PostEditTests
{
    /// <summary>The demo site without its own lists.</summary>
    private static readonly Site Bare = Demo.Site.After(new RemoveBlock("workshops-news"));

    /// <summary>It with a list of posts, its paging list and a list of categories on the first page.</summary>
    private static readonly Site Listed = Bare
        .After(new AddBlock("news", "section", "home", null, 0))
        .After(new AddBlock("list", "posts", "home", "news", 0))
        .After(new AddBlock("paging", "paging", "home", "news", 1))
        .After(new AddBlock("kinds", "categories", "home", "news", 2));

    private static readonly Site OnFurtherPages = Listed.After(new SetContent("list", "most", "2")).After(new SetContent("list", "beyond", "further"))
        .After(new SetContent("paging", "newer", "Newer")).After(new SetContent("paging", "older", "Older"));

    private static IDocument File(Site site, string path) => new HtmlParser().ParseDocument(SiteRelease.Files(site).First(f => f.Path == path).Text!);

    private static IEnumerable<string> Titles(IDocument page) => page.QuerySelectorAll(".post-title").Select(t => t.TextContent);

    [Fact]
    public void The_newest_posts_come_first_as_many_as_are_wanted()
    {
        var page = File(Listed, "index.html");
        Assert.Equal(["The first frost came early", "Forty people at the autumn swap", "A crimson-podded pea, back after thirty years"], Titles(page));
        var first = page.QuerySelector(".post")!;
        Assert.Equal(("2026-10-29", "29 October 2026"), (first.QuerySelector("time")!.GetAttribute("datetime"), first.QuerySelector("time")!.TextContent));
        Assert.Equal("Season", first.QuerySelector(".post-category")!.TextContent);
        Assert.Equal("below zero", first.QuerySelector(".post-text em")!.TextContent);
        Assert.Equal(("pictures/squash.svg", "A ribbed squash on a shelf"), (first.QuerySelector("img")!.GetAttribute("src"), first.QuerySelector("img")!.GetAttribute("alt")));
        Assert.Equal("growing-guide.html", first.QuerySelector("h3 a")!.GetAttribute("href"));

        var older = Listed.After(new SetPost("frost", PostField.Date, "1.2.2020"));
        Assert.Equal("Forty people at the autumn swap", Titles(File(older, "index.html")).First());
        var seeds = Listed.After(new SetContent("list", "category", "seeds")).After(new SetContent("list", "level", "2")).After(new SetContent("list", "date", "hidden")).After(new SetContent("list", "text", "hidden"));
        Assert.Equal(2, File(seeds, "index.html").QuerySelectorAll("h2.post-title").Length);
        Assert.Empty(File(seeds, "index.html").QuerySelectorAll("time, .post-text"));
        Assert.NotEmpty(File(seeds, "index.html").QuerySelectorAll(".post img, .post-category"));
        Assert.Empty(File(seeds.After(new SetContent("list", "picture", "hidden")).After(new SetContent("list", "label", "hidden")), "index.html").QuerySelectorAll(".post img, .post-category"));
    }

    [Fact]
    public void What_is_beyond_stands_on_further_pages_which_lead_to_each_other()
    {
        Assert.DoesNotContain(SiteRelease.Files(Listed), f => f.Path.Contains('_', StringComparison.Ordinal) && f.Path.EndsWith(".html", StringComparison.Ordinal));
        Assert.Null(File(Listed, "index.html").QuerySelector(".paging"));
        Assert.Equal(["index.html", "index_2.html", "index_3.html"], SiteRelease.Files(OnFurtherPages).Select(f => f.Path).Where(p => p.StartsWith("index", StringComparison.Ordinal)));
        Assert.Equal(Demo.Site.Posts.Select(p => p.Title), new[] { "index.html", "index_2.html", "index_3.html" }.SelectMany(p => Titles(File(OnFurtherPages, p))));
        var links = File(OnFurtherPages, "index_2.html").QuerySelectorAll("nav .paging-link");
        Assert.Equal([("Newer", "index.html"), ("1", "index.html"), ("2", "index_2.html"), ("3", "index_3.html"), ("Older", "index_3.html")], links.Select(l => (l.TextContent, l.GetAttribute("href")!)));
        Assert.Equal("2", Assert.Single(links, l => l.HasAttribute("aria-current")).TextContent);
        Assert.Equal("Pellwyn Seed Library · page 2", File(OnFurtherPages, "index_2.html").Title);

        // Of many only the first, the last and those beside are named.
        var many = Enumerable.Range(0, 40).Aggregate(OnFurtherPages, (site, n) => site.After(new AddPost($"more-{n}", $"More {n}", "2026-11-01")));
        Assert.Equal(["Newer", "1", "…", "9", "10", "11", "…", "23", "Older"], File(many, "index_10.html").QuerySelectorAll(".paging > li").Select(l => l.TextContent.Trim()));
    }

    [Fact]
    public void Categories_say_how_many_there_are_and_lead_where_their_posts_stand()
    {
        var list = File(Listed, "index.html").QuerySelectorAll("nav .categories .category");
        Assert.Equal([("Season (1)", "growing-guide.html"), ("Evenings (2)", "workshops.html"), ("New seeds (2)", "catalogue.html")], list.Select(c => (c.TextContent, c.GetAttribute("href")!)));
        var moved = Listed.After(new MoveCategory("seeds", 0)).After(new SetCategory("seeds", "Seeds", "")).After(new SetContent("kinds", "count", "hidden"));
        var first = File(moved, "index.html").QuerySelector(".category")!;
        Assert.Equal(("SPAN", "Seeds"), (first.TagName, first.TextContent));
        // It is gone from its posts and from the lists of it.
        var gone = Listed.After(new SetContent("list", "category", "season")).After(new RemoveCategory("season"));
        Assert.Equal(3, Titles(File(gone, "index.html")).Count());
        Assert.Null(gone.Posts.Get("frost").Category);
        Assert.Empty(SiteCheck.Problems(gone));
    }

    [Theory]
    [InlineData("2026-11-26")]
    [InlineData("26 November 2026")]
    [InlineData(" 26 Nov 2026 ")]
    [InlineData("26.11.2026")]
    public void Days_are_typed_in_several_ways(string typed) => Assert.Equal("2026-11-26", Demo.Site.After(new AddPost("new", "New", typed)).Posts[0].Date);

    [Fact]
    public void What_cannot_be_is_said()
    {
        Assert.Contains("is no day", Demo.Site.Refused(new AddPost("new", "New", "yesterday")).Message, StringComparison.Ordinal);
        Assert.Contains("is no day", Demo.Site.Refused(new SetPost("frost", PostField.Date, "30 February 2026")).Message, StringComparison.Ordinal);
        Assert.Contains("title", Demo.Site.Refused(new SetPost("frost", PostField.Title, " ")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", Demo.Site.Refused(new SetPost("frost", PostField.Category, "gone")).Message, StringComparison.Ordinal);
        Assert.Contains("leads nowhere", Demo.Site.Refused(new SetPost("frost", PostField.To, "javascript:x")).Message, StringComparison.Ordinal);
        Assert.Contains("not on the shelf", Demo.Site.Refused(new SetPost("frost", PostField.Picture, "gone")).Message, StringComparison.Ordinal);
        Assert.Contains("characters", Demo.Site.Refused(new SetPost("frost", PostField.Text, new string('x', 1_000_000))).Message, StringComparison.Ordinal);
        Assert.Contains("is taken", Demo.Site.Refused(new AddCategory("new", "season")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", Demo.Site.Refused(new RemovePost("gone")).Message, StringComparison.Ordinal);
        var full = Demo.Site with { Posts = [.. Enumerable.Range(0, 500).Select(n => new Post($"p-{n}", "P", "2026-01-01"))] };
        Assert.Contains("at most 500", full.Refused(new AddPost("new", "New", "2026-11-26")).Message, StringComparison.Ordinal);
    }

    /// <summary>Names of categories and numbers of pages stand in no slot, and must be readable all the same.</summary>
    [Fact]
    public void What_parts_write_of_themselves_is_among_the_pairs_and_the_text_in_use()
    {
        var bare = Listed.After(new SetContent("list", "most", "2")).After(new SetContent("list", "beyond", "further"));
        var pairs = ContrastPairs.Of(bare, TestContext.Current.CancellationToken);
        foreach (var look in new[] { "categories-column", "paging-standard" }) Assert.Contains(pairs, p => p.Look == look && p.Property == "text-color");
        var tags = bare.After(new SetBlockLook("kinds", "categories-tags"));
        Assert.Contains(TextInUse.Of(tags, tags.Type.Styles.First(s => s.Name == "Caption")), t => t.Contains("New seeds", StringComparison.Ordinal));
        Assert.DoesNotContain(ContrastPairs.Of(bare.After(new SetContent("list", "date", "hidden")), TestContext.Current.CancellationToken), p => p.Look == "posts-list" && p.Property == "date-text-color");
    }

    [Fact]
    public void A_post_that_leads_nowhere_any_more_is_told_of_where_posts_are_shown()
    {
        Assert.DoesNotContain(DeadLinks.Of(Bare.After(new RemovePage("guide"))), d => d.Says.Contains("first frost", StringComparison.Ordinal));
        Assert.Contains(DeadLinks.Of(Listed.After(new RemovePage("guide"))), d => (d.Page, d.Block, d.Says) == ("home", "list", "“The first frost came early” leads to a page that is gone."));
        Assert.Contains(DeadLinks.Of(Listed.After(new RemovePage("guide"))), d => (d.Page, d.Block, d.Says) == ("home", "kinds", "“Season” leads to a page that is gone."));
        Assert.Null(File(Listed.After(new RemovePage("guide")), "index.html").QuerySelector(".post a[href^=growing-guide]"));
    }

    /// <summary>Pages that show no posts are not written anew, and those that do are.</summary>
    [Fact]
    public void The_stage_follows_where_posts_are_shown()
    {
        var typed = OnFurtherPages.After(new SetPost("frost", PostField.Title, "Frost"));
        var around = new Surroundings((p, _) => p.Slug, i => i.Hash, "", MarkBlocks: true) { ShowEmpty = true };
        Assert.Equal([("home", "news")], PageChanges.Between(OnFurtherPages, typed, ["home", "guide"], around).Select(c => (c.Page, c.Block)));
        Assert.NotEqual(PageChanges.Mark(OnFurtherPages, OnFurtherPages.Pages[0]), PageChanges.Mark(typed, typed.Pages[0]));
        Assert.Equal(PageChanges.Mark(OnFurtherPages, OnFurtherPages.Pages.Get("guide")), PageChanges.Mark(typed, typed.Pages.Get("guide")));
        // A list says how many pages there are to another block.
        var apart = OnFurtherPages.After(new AddBlock("foot", "section", "home", null, 9)).After(new MoveBlocks(["paging"], "home", "foot", 0));
        Assert.Contains(PageChanges.Between(apart, apart.After(new SetContent("list", "most", "4")), ["home"], around), c => c.Block == "foot");
    }

    [Fact]
    public void The_first_page_is_where_visitors_come_to()
    {
        var moved = Demo.Site.After(new MovePage("guide", 0));
        Assert.Equal([("guide", "index"), ("home", "home")], moved.Pages.Take(2).Select(p => (p.Id, p.Slug)));
        Assert.Contains(SiteRelease.Files(moved), f => f.Path == "index.html");
        Assert.Equal([("catalogue", "index")], Demo.Site.After(new SetPageAside("home")).Pages.Take(1).Select(p => (p.Id, p.Slug)));
        Assert.Equal("home", Demo.Site.After(new SetPageAside("home")).After(new PutPageBack("home")).Pages[^1].Slug);
        Assert.Equal("index", Demo.Site.After(new RemovePage("home")).Pages[0].Slug);
        Assert.Contains("index.html", Demo.Site.Refused(new SetPage("home", PageField.Address, "start")).Message, StringComparison.Ordinal);
    }
}
