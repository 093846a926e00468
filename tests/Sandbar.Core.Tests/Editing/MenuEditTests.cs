using AngleSharp.Html.Parser;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Menus: items under items, and where they lead.</summary>
public class MenuEditTests
{
    private static readonly Menu Main = Demo.Site.Menus[0];

    private static readonly Site Nested = Demo.Site
        .After(new AddMenuItem("main", "sowing", "Sowing", "guide#sowing") { Parent = Main.Items[2].Id })
        .After(new AddMenuItem("main", "seeds", "Seeds elsewhere", "https://seeds.example/swap") { Parent = Main.Items[2].Id })
        .After(new AddMenuItem("main", "mail", "Write to us", "mailto:seeds@pellwyn.example"));

    private static IEnumerable<string> Hrefs(Site site, string selector) =>
        new HtmlParser().ParseDocument(PageWriter.Write(site, site.Pages[0], new(SiteRelease.PathOf, i => i.File, "", MarkBlocks: false))).QuerySelectorAll($".site-header {selector}").Select(a => a.GetAttribute("href")!);

    [Fact]
    public void Items_stand_under_items_and_lead_to_pages_places_and_elsewhere()
    {
        Assert.Equal(["growing-guide.html#sowing", "https://seeds.example/swap"], Hrefs(Nested, ".menu > li:nth-child(3) > .menu-inner > li > a"));
        Assert.Equal("mailto:seeds@pellwyn.example", Hrefs(Nested, ".menu > li > a").Last());
        // Out from under it, to the front; then under another.
        var moved = Nested.After(new MoveMenuItem("main", "sowing", 0)).After(new MoveMenuItem("main", "seeds", 0) { Parent = Main.Items[0].Id });
        Assert.Equal("sowing", moved.Menus[0].Items[0].Id);
        Assert.Equal(["seeds"], moved.Menus[0].Items.Get(Main.Items[0].Id).Items.Select(i => i.Id));
        Assert.Empty(moved.Menus[0].Items.Get(Main.Items[2].Id).Items);
        Assert.Equal("Sowing, early", Nested.After(new SetMenuItem("main", "sowing", "Sowing, early", null)).Menus[0].All().First(i => i.Id == "sowing").Label);
        Assert.DoesNotContain(Nested.After(new RemoveMenuItem("main", "sowing")).Menus[0].All(), i => i.Id == "sowing");
    }

    [Fact]
    public void Menus_go_one_level_deep_and_every_item_leads_somewhere()
    {
        Assert.Contains("one level deep", Nested.Refused(new AddMenuItem("main", "deep", "Deep", "home") { Parent = "sowing" }).Message, StringComparison.Ordinal);
        Assert.Contains("one level deep", Nested.Refused(new MoveMenuItem("main", Main.Items[2].Id, 0) { Parent = Main.Items[0].Id }).Message, StringComparison.Ordinal);
        Assert.Contains("under itself", Nested.Refused(new MoveMenuItem("main", "mail", 0) { Parent = "mail" }).Message, StringComparison.Ordinal);
        Assert.Contains("places", Nested.Refused(new MoveMenuItem("main", "mail", 7) { Parent = Main.Items[0].Id }).Message, StringComparison.Ordinal);
        foreach (var to in new[] { "", "javascript:x()", "nowhere at all", "data:text/html,x" }) Assert.Contains("leads nowhere", Nested.Refused(new SetMenuItem("main", "mail", null, to)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_stands_under_an_item_whose_page_goes_takes_its_place()
    {
        var without = Nested.After(new RemovePage(Main.Items[2].Page));
        Assert.Equal("seeds", without.Menus[0].Items[2].Id);
        var aside = Nested.After(new SetPageAside(Main.Items[2].Page));
        Assert.Equal(Nested.Menus, aside.Menus);
        // What leads into the page that is away leads nowhere meanwhile; what leads elsewhere stands in the row.
        Assert.Contains("https://seeds.example/swap", Hrefs(aside, ".menu > li > a"));
        Assert.Equal(2, DeadLinks.Of(aside).Count(d => d.Page is null && d.Says.Contains("set aside", StringComparison.Ordinal)));
    }

    [Fact]
    public void A_dead_item_is_told_of_at_the_place_that_shows_its_menu()
    {
        // A menu of its own, shown on one page alone; words that only happen to be called like it show nothing.
        var site = Demo.Site with { Menus = Demo.Site.Menus.Add(new("side", "Side", [new("dead", "Beds", "guide#no-such-place")])) };
        Assert.DoesNotContain(DeadLinks.Of(site.After(new SetContent(Blocks.All(site).First(b => b.Part == "paragraph").Id, "text", "side"))), d => d.Says.Contains("Beds", StringComparison.Ordinal));
        var section = site.Pages.Get("contact").Sections[0].Id;
        var shown = site.After(new AddBlock("side-menu", "menu", "contact", section, 0)).After(new SetContent("side-menu", "menu", "side"));
        var dead = Assert.Single(DeadLinks.Of(shown), d => d.Says.Contains("Beds", StringComparison.Ordinal));
        Assert.Equal(("contact", "side-menu"), (dead.Page, dead.Block));
    }

    [Fact]
    public void A_menu_that_is_not_nested_says_nothing_of_inner_lists()
    {
        Assert.DoesNotContain(MenuRules.Of(Demo.Site), _ => true);
        var opens = SiteRelease.StyleSheet(Nested);
        Assert.Contains("@media (hover: hover)", opens, StringComparison.Ordinal);
        Assert.Contains(":focus-within) > .menu-inner", opens, StringComparison.Ordinal);
    }
}
