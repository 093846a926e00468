using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Content, looks and schemes of blocks, and menus: what they change in the pages' HTML, and what they refuse.</summary>
public class ContentEditTests
{
    private static readonly Surroundings Anywhere = new((p, _) => p.Slug, i => i.Hash, "", MarkBlocks: true);

    [Theory]
    [InlineData("header", "name", "Pellwyn *Seeds*", "<em>Seeds</em>")]
    [InlineData("header", "to", "https://pellwyn.example", "href=\"https://pellwyn.example\"")]
    [InlineData("header-action", "label", "Take seeds <home>", "Take seeds &lt;home&gt;")]
    [InlineData("header-action", "to", "contact", "href=\"contact\"")]
    [InlineData("footer", "credit", "Nothing is sold.", "Nothing is sold.")]
    [InlineData("footer-menu", "label", "All pages", "aria-label=\"All pages\"")]
    public void What_a_slot_holds_is_shown_on_every_page(string block, string slot, string text, string html)
    {
        var site = Demo.Site.After(new SetContent(block, slot, text));
        foreach (var page in site.Pages)
        {
            Assert.Contains(html, PageWriter.Write(site, page, Anywhere), StringComparison.Ordinal);
            Assert.NotEqual(PageChanges.Mark(Demo.Site, page), PageChanges.Mark(site, page));
        }
    }

    [Theory]
    [InlineData("header", "name", "", "cannot be left empty")]
    [InlineData("header", "to", "javascript:alert(1)", "leads nowhere")]
    [InlineData("header", "to", "nowhere at all", "leads nowhere")]
    [InlineData("header-menu", "menu", "gone", "no longer there")]
    [InlineData("header-action", "off", "perhaps", "takes no, yes")]
    [InlineData("header-action", "label", "a\u0007b", "cannot be shown")]
    [InlineData("header-action", "size", "x", "no such piece")]
    [InlineData("gone", "label", "x", "no longer there")]
    public void What_a_slot_cannot_hold_is_refused(string block, string slot, string text, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new SetContent(block, slot, text)).Message, StringComparison.Ordinal);

    [Fact]
    public void Only_what_changed_is_written_anew()
    {
        string[] pages = ["home", "guide"];
        var site = Demo.Site.After(new SetContent("footer", "credit", "Nothing is sold."));
        var changes = PageChanges.Between(Demo.Site, site, pages, Anywhere).ToList();
        Assert.Equal([("home", "footer"), ("guide", "footer")], changes.Select(c => (c.Page, c.Block)));
        Assert.All(changes, c => Assert.StartsWith("<footer", c.Html.Trim(), StringComparison.Ordinal));
        // A colour changes no letter of any page.
        Assert.Empty(PageChanges.Between(Demo.Site, Demo.Site.After(Do.Color("beet", "red")), pages, Anywhere));
        Assert.Same(PageChanges.Mark(Demo.Site, Demo.Site.Pages[0]), PageChanges.Mark(Demo.Site.After(Do.Color("beet", "red")), Demo.Site.Pages[0]));
    }

    [Fact]
    public void A_block_takes_another_look_and_scheme()
    {
        var site = Demo.Site.After(new SetBlockLook("header-action", "button-outlined")).After(new SetBlockScheme("header", "dusk")).After(new SetBlockScheme("footer", null));
        var html = PageWriter.Write(site, site.Pages[0], Anywhere);
        Assert.Contains("class=\"button button-outlined\" data-block=\"header-action\"", html, StringComparison.Ordinal);
        Assert.Contains("class=\"site-header\" data-scheme=\"dusk\"", html, StringComparison.Ordinal);
        Assert.Contains("class=\"site-footer\" data-block", html, StringComparison.Ordinal);
        Assert.Contains("no such look", site.Refused(new SetBlockLook("header-action", "card-standard")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", site.Refused(new SetBlockScheme("header", "gone")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_menu_is_added_to_changed_and_put_in_order()
    {
        var site = Demo.Site
            .After(new AddMenuItem("main", "again", "Find us", "contact"))
            .After(new MoveMenuItem("main", "again", 0))
            .After(new SetMenuItem("main", "main-home", "Start", Page: null))
            .After(new RemoveMenuItem("main", "main-guide"));
        Assert.Equal(["Find us", "Start", "Catalogue", "Workshops", "Membership", "Contact"], site.Menus[0].Items.Select(i => i.Label));
        var changed = PageChanges.Between(Demo.Site, site, ["home"], Anywhere).Select(c => c.Block);
        Assert.Equal(["header", "footer"], changed);
        Assert.Contains("6 places", site.Refused(new MoveMenuItem("main", "again", 6)).Message, StringComparison.Ordinal);
        Assert.Contains("leads nowhere", site.Refused(new SetMenuItem("main", "again", "Find us", "gone")).Message, StringComparison.Ordinal);
        Assert.Equal(new MenuItem("main-home", "Start", "guide"), site.After(new SetMenuItem("main", "main-home", Label: null, "guide")).Menus[0].Items.Find("main-home"));
        Assert.Contains("Give it a name", site.Refused(new AddMenuItem("main", "x", " ", "home")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer in the menu", site.Refused(new RemoveMenuItem("main", "main-guide")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Every_slot_of_every_block_of_the_demo_site_can_be_set_to_what_it_holds()
    {
        foreach (var block in Blocks.All(Demo.Site))
        {
            foreach (var slot in PartCatalogue.Get(block.Part).Slots.Where(s => block.Content.ContainsKey(s.Id)))
            {
                var held = block.Content[slot.Id];
                Assert.Equal(held, Blocks.Find(Demo.Site.After(new SetContent(block.Id, slot.Id, held)), block.Id)!.Content[slot.Id]);
                // Another text than the one it has, of a kind the slot takes, is in the page afterwards.
                if (slot.Kind == SlotKind.Text) Assert.Contains("Quince", Shown(Demo.Site.After(new SetContent(block.Id, slot.Id, "Quince"))), StringComparison.Ordinal);
            }
        }
    }

    private static string Shown(Site site) => string.Concat(site.Pages.Select(p => PageWriter.Write(site, p, Anywhere)));
}
