using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Blocks and pages as they are added, moved, wrapped, set aside and put back.</summary>
public class BlockEditTests
{
    private static readonly Surroundings OnStage = new((p, _) => p.Slug, i => i.File, "", MarkBlocks: true) { ShowEmpty = true }, Released = new((p, _) => p.Slug, i => i.File, "", MarkBlocks: false);

    /// <summary>Every part wherever it may stand, and refused with a sentence wherever it may not.</summary>
    [Fact]
    public void Every_part_is_added_where_it_may_stand_and_nowhere_else()
    {
        var containers = PartCatalogue.All.Where(p => p.HoldsBlocks && p.Group != PartGroup.Frame).ToList();
        foreach (var outer in containers)
        {
            var site = Demo.Site.After(new AddPage("page-1", "Trial")).After(new AddBlock("outer-section", "section", "page-1", null, 0));
            var outerId = outer.IsOutermost ? "outer-section" : "outer";
            if (!outer.IsOutermost) site = site.After(new AddBlock("outer", outer.Id, "page-1", "outer-section", 0));
            foreach (var part in PartCatalogue.All.Where(p => p.Hook.StartsWith('.')))
            {
                var edit = new AddBlock("inner", part.Id, "page-1", outerId, 99);
                if (Standing.Refusal(part, outer) is { } refusal)
                {
                    Assert.Equal(refusal, site.Refused(edit).Message);
                    continue;
                }
                var after = site.After(edit);
                Assert.Equal((outerId, part.Id), (BlockTree.PlaceOf(after, "inner")!.Value.Parent, Blocks.Find(after, "inner")!.Part));
                Assert.Empty(SiteCheck.Problems(after));
                // Empty, it shows on the stage what belongs there, and nothing of it is released.
                Assert.Contains("data-block=\"inner\"", PageWriter.Write(after, after.Pages.Get("page-1"), OnStage), StringComparison.Ordinal);
                if (part.Slots.Any(s => s.Required && s.Kind != SlotKind.Menu)) Assert.Equal(PageWriter.Write(site, site.Pages.Get("page-1"), Released), PageWriter.Write(after, after.Pages.Get("page-1"), Released));
            }
        }
    }

    [Fact]
    public void Every_arrangement_is_made_of_looks_that_are_there()
    {
        foreach (var arrangement in Arrangements.All)
        {
            var site = Demo.Site.After(new AddArrangement("new", arrangement.Id, "guide", 1));
            Assert.Empty(SiteCheck.Problems(site));
            Assert.Equal(arrangement.Name, site.Pages.Get("guide").Sections[1].Name);
            foreach (var block in Blocks.WithInner(site.Pages.Get("guide").Sections[1]))
            {
                if (BlockTree.PlaceOf(site, block.Id)!.Value.Parent is { } parent) Assert.Null(Standing.Refusal(PartCatalogue.Get(block.Part), PartCatalogue.Get(Blocks.Find(site, parent)!.Part)));
            }
        }
    }

    [Fact]
    public void A_block_is_moved_within_its_page_and_to_another()
    {
        var cards = Blocks.All(Demo.Site).First(b => b.Part == "card-row");
        var (first, last) = (cards.Blocks[0].Id, cards.Blocks[^1].Id);
        var page = BlockTree.PlaceOf(Demo.Site, cards.Id)!.Value.Page!;
        Assert.Equal(last, Blocks.Find(Demo.Site.After(new MoveBlocks([last], page, cards.Id, 0)), cards.Id)!.Blocks[0].Id);
        Assert.Equal(first, Blocks.Find(Demo.Site.After(new MoveBlocks([first], page, cards.Id, 99)), cards.Id)!.Blocks[^1].Id);
        Assert.Contains("holds cards, no card row", Demo.Site.Refused(new MoveBlocks([cards.Id], page, Blocks.All(Demo.Site).Last(b => b.Part == "card-row").Id, 0)).Message, StringComparison.Ordinal);
        Assert.Contains("cannot stand in itself", Demo.Site.Refused(new MoveBlocks([cards.Id], page, first, 0)).Message, StringComparison.Ordinal);
        var section = Demo.Site.Pages[0].Sections[1];
        // Several come together, in the order they had; what stands in one of them goes with it.
        var several = Demo.Site.After(new MoveBlocks([cards.Blocks[2].Id, cards.Blocks[0].Id, cards.Id], page, BlockTree.PlaceOf(Demo.Site, cards.Id)!.Value.Parent, 0));
        Assert.Equal(cards.Blocks.Select(b => b.Id), Blocks.Find(several, cards.Id)!.Blocks.Select(b => b.Id));
        var turned = Demo.Site.After(new MoveBlocks([cards.Blocks[2].Id, cards.Blocks[1].Id], page, cards.Id, 0));
        Assert.Equal([cards.Blocks[1].Id, cards.Blocks[2].Id, cards.Blocks[0].Id], Blocks.Find(turned, cards.Id)!.Blocks.Select(b => b.Id));
        var moved = Demo.Site.After(new MoveBlocks([section.Id], "guide", null, 0));
        Assert.Equal((section, false), (moved.Pages.Get("guide").Sections[0], moved.Pages[0].Sections.Contains(section)));
        Assert.Contains("stand sections", Demo.Site.Refused(new MoveBlocks([first], page, null, 0)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_copy_is_like_it_and_has_ids_of_its_own()
    {
        var section = Demo.Site.Pages[0].Sections[1];
        var site = Demo.Site.After(new SetBlock(section.Id, BlockField.Address, "steps")).After(new DuplicateBlock(section.Id, "copy"));
        Assert.Empty(SiteCheck.Problems(site));
        var (one, other) = (site.Pages[0].Sections[1], site.Pages[0].Sections[2]);
        Assert.Equal(("copy", "steps", ""), (other.Id, one.Address, other.Address));
        Assert.Equal(Blocks.WithInner(one).Select(b => (b.Part, b.Look, b.Name)), Blocks.WithInner(other).Select(b => (b.Part, b.Look, b.Name)));
    }

    [Fact]
    public void Blocks_are_wrapped_and_unwrapped()
    {
        var cards = Blocks.All(Demo.Site).First(b => b.Part == "card-row");
        var inner = Blocks.All(Demo.Site).First(b => b.Part == "section" && b.Blocks.Length > 1);
        string[] ids = [inner.Blocks[0].Id, inner.Blocks[1].Id];
        var wrapped = Demo.Site.After(new WrapBlocks(ids, "group", "group-stack", "around"));
        Assert.Equal(ids, Blocks.Find(wrapped, "around")!.Blocks.Select(b => b.Id));
        Assert.Empty(SiteCheck.Problems(wrapped));
        Assert.Equal(SiteFile.Write(Demo.Site), SiteFile.Write(wrapped.After(new UnwrapBlock("around"))));
        Assert.Contains("holds cards", Demo.Site.Refused(new WrapBlocks([cards.Id], "card-row", null, "around")).Message, StringComparison.Ordinal);
        // Sections become one: what they hold comes into it.
        var (section, next) = (Demo.Site.Pages[0].Sections[1], Demo.Site.Pages[0].Sections[2]);
        var one = Demo.Site.After(new WrapBlocks([next.Id, section.Id], "section", "section-raised", "around"));
        Assert.Equal(section.Blocks.Concat(next.Blocks), Blocks.Find(one, "around")!.Blocks);
        Assert.Contains("is a section already", Demo.Site.Refused(new WrapBlocks([section.Id], "section", null, "around")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_set_aside_keeps_everything_and_comes_back()
    {
        var card = Blocks.All(Demo.Site).First(b => b.Part == "card" && b.Look == "card-standard");
        var site = Demo.Site.After(Do.NewColor("moss", "moss", "olive")).After(new SetOwn(card.Id, "background", State.Rest, null, null, "moss")).After(new SetBlockAside(card.Id));
        Assert.Null(Blocks.Find(site, card.Id));
        Assert.DoesNotContain(card.Content["title"], PageWriter.Write(site, site.Pages[0], Released), StringComparison.Ordinal);
        Assert.DoesNotContain($"own-{card.Id}", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
        Assert.Empty(SiteCheck.Problems(site));
        // It uses what it names, and follows when that goes.
        Assert.Contains("set aside", site.Refused(Do.RemoveColor("moss")).Message, StringComparison.Ordinal);
        var after = site.After(new RemoveThing("color", "moss", "beet")).After(new PutBlockBack(card.Id, null));
        Assert.Equal(BlockTree.PlaceOf(Demo.Site, card.Id), BlockTree.PlaceOf(after, card.Id));
        Assert.Equal("beet", (Blocks.Find(after, card.Id)!.Own["background"] as ReferenceValue)?.Id);
        // Where its page is gone it comes to another.
        var page = BlockTree.PlaceOf(Demo.Site, card.Id)!.Value.Page!;
        var gone = site.After(new RemovePage(page));
        Assert.Contains("choose another", gone.Refused(new PutBlockBack(card.Id, null)).Message, StringComparison.Ordinal);
        Assert.NotNull(Blocks.Find(gone.After(new PutBlockBack(card.Id, "guide")), card.Id));
    }

    [Fact]
    public void A_block_is_hidden_at_chosen_widths_and_found_by_its_address()
    {
        var section = Demo.Site.Pages[0].Sections[1];
        var site = Demo.Site.After(new SetBlock(section.Id, BlockField.HiddenAt, "wide narrow")).After(new SetBlock(section.Id, BlockField.Address, "#steps")).After(new SetBlock(section.Id, BlockField.Classes, ".one two"));
        var sheet = SiteRelease.StyleSheet(site);
        Assert.Contains("@media (width < 600px)", sheet[..sheet.IndexOf(".hidden-narrow", StringComparison.Ordinal)][^200..], StringComparison.Ordinal);
        Assert.Contains(".hidden-wide", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain(".hidden-", SiteRelease.StyleSheet(Demo.Site), StringComparison.Ordinal);
        Assert.Contains("<section id=\"steps\" class=\"section section-raised hidden-narrow hidden-wide one two\">", PageWriter.Write(site, site.Pages[0], Released).Replace("section-standard", "section-raised", StringComparison.Ordinal), StringComparison.Ordinal);
        Assert.Contains("has this address", site.Refused(new SetBlock(site.Pages[0].Sections[2].Id, BlockField.Address, "steps")).Message, StringComparison.Ordinal);
        site.After(new SetBlock(site.Pages[1].Sections[0].Id, BlockField.Address, "steps"));
        foreach (var wrong in new[] { "1a", "a(b", "button", "own-x" }) Assert.Contains("class", site.Refused(new SetBlock(section.Id, BlockField.Classes, wrong)).Message, StringComparison.Ordinal);
        Assert.Contains("lower-case", site.Refused(new SetBlock(section.Id, BlockField.Address, "Steps here")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Wearers_of_a_look_are_counted_in_the_frame_too()
    {
        var site = Demo.Site.After(new DuplicateBlock(Demo.Site.Pages[0].Sections[1].Id, "copy"));
        Assert.Equal(Blocks.All(site).GroupBy(b => b.Look).Select(g => (g.Key, g.Count())).Order(), Blocks.CountByLook(site).Select(c => (c.Key, c.Value)).Order());
        var own = site.After(new SetOwn("header", "background", State.Rest, null, null, "leaf"));
        Assert.Contains("no other block", own.Refused(new CopyOwn("header", [])).Message, StringComparison.Ordinal);
    }

    /// <summary>What moves, comes back or wears another look is held against what is there by then.</summary>
    [Fact]
    public void What_does_not_fit_any_more_is_refused_and_stays_as_it_is()
    {
        var (one, other) = (Demo.Site.Pages[0].Sections[1].Id, Demo.Site.Pages.Get("guide").Sections[1].Id);
        var addressed = Demo.Site.After(new SetBlock(one, BlockField.Address, "here")).After(new SetBlock(other, BlockField.Address, "here"));
        Assert.Contains("has this address", addressed.Refused(new MoveBlocks([one], "guide", null, 0)).Message, StringComparison.Ordinal);
        var aside = Demo.Site.After(new SetBlock(one, BlockField.Address, "here")).After(new SetBlockAside(one)).After(new SetBlock(Demo.Site.Pages[0].Sections[0].Id, BlockField.Address, "here"));
        Assert.Contains("has this address", aside.Refused(new PutBlockBack(one, null)).Message, StringComparison.Ordinal);
        var page = Demo.Site.After(new SetBlock(other, BlockField.Address, "here")).After(new SetPageAside("guide")).After(new SetBlock("header", BlockField.Address, "here"));
        Assert.Contains("has this address", page.Refused(new PutPageBack("guide")).Message, StringComparison.Ordinal);
        Assert.Contains("no such look", Demo.Site.Refused(new WrapBlocks([Demo.Site.Pages[0].Sections[1].Blocks[0].Id], "group", "card-standard", "around")).Message, StringComparison.Ordinal);

        var cards = Blocks.All(Demo.Site).Where(b => b.Look == "card-standard").ToList();
        var relative = Demo.Site.After(new SetOwn(cards[0].Id, "radius", State.Hover, null, null, "rest + 2px"));
        Assert.Contains("of its own would not fit", relative.After(new SetOwn(cards[1].Id, "radius", State.Rest, null, null, "none")).Refused(new PromoteOwn(cards[1].Id, null)).Message, StringComparison.Ordinal);
        var bare = relative.After(new SetCell("card-featured", "radius", State.Rest, null, null, "none"));
        Assert.NotNull(bare.Refused(new SetBlockLook(cards[0].Id, "card-featured")));
    }

    /// <summary>Every part as every other that may stand in its place: what fits goes along, and what does not is kept.</summary>
    [Fact]
    public void A_block_becomes_one_of_another_part_and_nothing_is_lost()
    {
        var seen = new HashSet<(string, string)>();
        foreach (var block in Demo.Site.Pages.SelectMany(p => p.Sections).SelectMany(Blocks.WithInner))
        {
            var outer = BlockTree.PlaceOf(Demo.Site, block.Id)!.Value.Parent is { } parent ? PartCatalogue.Get(Blocks.Find(Demo.Site, parent)!.Part) : null;
            foreach (var part in Standing.In(outer).Where(p => p.Id != block.Part && seen.Add((block.Part, p.Id))))
            {
                var site = Demo.Site.After(new ChangePart(block.Id, part.Id, "kept"));
                Assert.Empty(SiteCheck.Problems(site));
                var (made, left) = PartChange.Of(Demo.Site, block, part);
                Assert.Equal(part.Id, Blocks.Find(site, block.Id)!.Part);
                Assert.Equal(left.Count > 0, site.Aside.Blocks.Length == 1);
                var texts = block.Content.Values.ToHashSet();
                if (left.Count > 0) Assert.Equal(texts, site.Aside.Blocks[0].Block.Content.Values.ToHashSet());
                else Assert.All(PartCatalogue.Get(block.Part).Slots.Where(s => s.Kind is SlotKind.Text && block.Content.ContainsKey(s.Id)), s => Assert.Contains(made.Content.Values, v => v.Contains(block.Content[s.Id], StringComparison.Ordinal)));
            }
        }
        Assert.True(seen.Count > 100, $"{seen.Count}");
        var card = Blocks.All(Demo.Site).First(b => b.Part == "card" && b.Content.ContainsKey("eyebrow"));
        var quote = PartChange.Of(Demo.Site.After(new SetOwn(card.Id, "body-gap", State.Rest, null, null, "space 1")), Blocks.Find(Demo.Site.After(new SetOwn(card.Id, "body-gap", State.Rest, null, null, "space 1")), card.Id)!, PartCatalogue.Get("paragraph"));
        Assert.Contains("title", quote.Left);
        Assert.Contains(quote.Left, l => l.StartsWith("its own ", StringComparison.Ordinal));
    }

    [Fact]
    public void Twelve_deep_is_the_deepest()
    {
        var site = Demo.Site;
        var parent = site.Pages[0].Sections[0].Id;
        for (var depth = 2; depth <= Standing.Deepest; depth++)
        {
            site = site.After(new AddBlock($"deep-{depth}", "group", site.Pages[0].Id, parent, 0));
            parent = $"deep-{depth}";
        }
        Assert.Contains("at most 12 deep", site.Refused(new AddBlock("deeper", "group", site.Pages[0].Id, parent, 0)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Pages_are_added_renamed_moved_set_aside_and_removed_and_links_follow()
    {
        var site = Demo.Site.After(new AddPage("rota", "Rota", null, "opening"));
        Assert.Equal(("rota", "Rota", 1), (site.Pages[^1].Slug, site.Pages[^1].Title, site.Pages[^1].Sections.Length));
        var copy = site.After(new AddPage("guide-2", "Second guide", "guide"));
        Assert.Empty(SiteCheck.Problems(copy));
        Assert.Equal(copy.Pages.Get("guide").Sections.Length, copy.Pages.Get("guide-2").Sections.Length);
        Assert.Contains("is taken", site.Refused(new AddPage("x", "rota")).Message, StringComparison.Ordinal);
        Assert.Contains("has this address", site.Refused(new SetPage("rota", PageField.Address, "growing-guide")).Message, StringComparison.Ordinal);

        var renamed = site.After(new SetPage("guide", PageField.Address, "growing"));
        Assert.Contains("href=\"growing.html\"", Html(renamed), StringComparison.Ordinal);
        Assert.DoesNotContain("href=\"growing-guide.html\"", Html(renamed), StringComparison.Ordinal);
        Assert.Empty(DeadLinks.Of(renamed));

        var aside = site.After(new SetPageAside("guide"));
        Assert.Empty(SiteCheck.Problems(aside));
        Assert.DoesNotContain("Growing guide</a>", Html(aside), StringComparison.Ordinal);
        Assert.Equal(SiteRelease.StyleSheet(site), SiteRelease.StyleSheet(aside.After(new PutPageBack("guide"))));

        var removed = site.After(new RemovePage("guide"));
        Assert.Empty(SiteCheck.Problems(removed));
        Assert.DoesNotContain(removed.Menus.SelectMany(m => m.Items), i => i.Page == "guide");
        var linked = Blocks.All(Demo.Site).FirstOrDefault(b => b.Content.GetValueOrDefault("to") == "guide");
        if (linked is not null) Assert.Contains(DeadLinks.Of(removed), d => d.Block == linked.Id && d.Says.Contains("a page that is gone", StringComparison.Ordinal));
        Assert.DoesNotContain("href=\"growing-guide", Html(removed), StringComparison.Ordinal);
        Assert.Contains("last page stays", removed.Pages.Skip(1).Aggregate(removed, (s, p) => s.After(new RemovePage(p.Id))).Refused(new RemovePage(removed.Pages[0].Id)).Message, StringComparison.Ordinal);

        static string Html(Site site) => string.Concat(site.Pages.Select(p => PageWriter.Write(site, p, new(Sandbar.Core.Interchange.SiteRelease.PathOf, i => i.File, "", MarkBlocks: false))));
    }

    [Fact]
    public void A_link_to_an_address_within_a_page_is_told_of_where_nothing_has_it()
    {
        var block = Blocks.All(Demo.Site).First(b => b.Part == "button");
        var site = Demo.Site.After(new SetContent(block.Id, "to", "guide#sowing"));
        Assert.Contains("nothing on Growing guide has this address", Assert.Single(DeadLinks.Of(site)).Says, StringComparison.Ordinal);
        Assert.Empty(DeadLinks.Of(site.After(new SetBlock(site.Pages.Get("guide").Sections[1].Id, BlockField.Address, "sowing"))));
    }

    [Fact]
    public void Own_values_are_set_given_to_the_look_copied_and_dropped()
    {
        var cards = Blocks.All(Demo.Site).Where(b => b.Look == "card-standard").ToList();
        var (card, other) = (cards[0].Id, cards[1].Id);
        var own = new SetOwn(card, "background", State.Rest, null, null, "leaf tint 4");
        var site = Demo.Site.After(own);
        Assert.Contains($".own-{card} {{", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
        Assert.Contains("cannot be negative", site.Refused(new SetOwn(card, "body-padding", State.Rest, null, null, "-1px")).Message, StringComparison.Ordinal);
        Assert.Equal(SiteFile.Write(Demo.Site), SiteFile.Write(site.After(new DropOwn(card, "background"))));

        var promoted = site.After(new PromoteOwn(card, null));
        Assert.Equal(("leaf", true), ((promoted.Looks.Get("card-standard").Cells["background"] as ReferenceValue)?.Id, Blocks.Find(promoted, card)!.Own.IsEmpty));
        var looked = site.After(new OwnToLook(card, "leafy", "Leafy"));
        Assert.Equal(("leafy", "Leafy"), (Blocks.Find(looked, card)!.Look, looked.Looks.Get("leafy").Name));
        Assert.Contains(".card-leafy {", SiteRelease.StyleSheet(looked), StringComparison.Ordinal);
        Assert.Empty(SiteCheck.Problems(looked));

        var copied = site.After(new CopyOwn(card, []));
        Assert.All(cards, c => Assert.True(Blocks.Find(copied, c.Id)!.Own.ContainsKey("background")));
        Assert.Single(Blocks.WithOwnValues(site.After(new CopyOwn(card, [other]))), b => b.Id == other);
        Assert.DoesNotContain(Blocks.WithOwnValues(copied.After(new DropOwnEverywhere("card", "background"))), b => b.Part == "card");
        Assert.Contains("nothing of its own", Demo.Site.Refused(new DropOwn(card, null)).Message, StringComparison.Ordinal);
    }
}
