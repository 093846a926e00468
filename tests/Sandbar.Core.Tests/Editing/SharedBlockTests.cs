using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;
using State = Sandbar.Core.Design.State;

namespace Sandbar.Core.Tests.Editing;

/// <summary>One block shown in several places.</summary>
public class SharedBlockTests
{
    private static readonly Block Section = Demo.Site.Pages.Get("home").Sections[1];

    private static readonly Site Shown = Demo.Site.After(new ShareBlock(Section.Id, "there", "guide", null, 0)).After(new ShareBlock(Section.Id, "third", "contact", null, 99));

    private static Block[] Places(Site site) => [.. Blocks.All(site).Where(b => b.Shared == Section.Id)];

    private static Block Find(Site site, string id) => Blocks.Find(site, id)!;

    [Fact]
    public void Whatever_is_edited_in_one_place_is_so_in_all()
    {
        Assert.Equal(3, Places(Shown).Length);
        var inside = Find(Shown, "third").Blocks[0];
        var site = Shown
            .After(new SetContent(inside.Id, "text", "Words of all three"))
            .After(new SetOwn("there", "padding", State.Rest, null, null, "12px"))
            .After(new SetBlockScheme(Section.Id, "dusk"))
            .After(new AddBlock("added", "paragraph", "guide", "there", 0))
            .After(new SetContent("added", "text", "Added in the second place"));
        Assert.All(Places(site), place =>
        {
            Assert.Equal(("dusk", "Added in the second place", "Words of all three"), (place.Scheme, place.Blocks[0].Content["text"], place.Blocks[1].Content["text"]));
            Assert.Single(place.Own);
            Assert.True(SharedBlocks.IsLike(place, Places(site)[0]));
        });
        Assert.Equal(Blocks.All(site).Count(), Blocks.All(site).Select(b => b.Id).Distinct().Count());
        // What was there keeps its id, so that the stage and other windows still know it.
        Assert.Equal(inside.Id, Find(site, "third").Blocks[1].Id);
        foreach (var page in new[] { "home", "guide", "contact" }) Assert.Contains("Added in the second place", PageWriter.Write(site, site.Pages.Get(page), new((p, _) => p.Slug, i => i.File, "", MarkBlocks: false)), StringComparison.Ordinal);
    }

    [Fact]
    public void Order_and_parts_inside_follow_and_addresses_stay_with_their_place()
    {
        var site = Shown.After(new SetBlock("there", BlockField.Address, "steps"));
        site = site.After(new MoveBlocks([Find(site, "there").Blocks[1].Id], "guide", "there", 0));
        Assert.Equal(Find(site, "there").Blocks.Select(b => b.Part), Find(site, "third").Blocks.Select(b => b.Part));
        Assert.NotEqual(Section.Blocks[0].Part, Find(site, "third").Blocks[0].Part);
        Assert.Equal(["steps"], Places(site).Select(p => p.Address).Where(a => a.Length > 0));
        // Another address takes none from the others.
        Assert.Equal(["home", "steps"], Places(site.After(new SetBlock(Section.Id, BlockField.Address, "home"))).Select(p => p.Address).Where(a => a.Length > 0).Order());
    }

    [Fact]
    public void Cut_loose_it_is_one_of_its_own_and_taken_away_it_is_so_there_alone()
    {
        var loose = Shown.After(new CutLoose("third"));
        Assert.Equal(2, Places(loose).Length);
        var site = loose.After(new SetContent(Find(loose, "there").Blocks[0].Id, "text", "Of two"));
        Assert.NotEqual("Of two", Find(site, "third").Blocks[0].Content["text"]);
        Assert.Contains("here alone", loose.Refused(new CutLoose("third")).Message, StringComparison.Ordinal);
        Assert.Equal(2, Places(Shown.After(new RemoveBlock("there"))).Length);
    }

    [Fact]
    public void Set_aside_and_put_back_it_is_as_the_others_are_by_then()
    {
        var aside = Shown.After(new SetBlockAside("third"));
        var changed = aside.After(new SetContent(Section.Blocks[0].Id, "text", "Meanwhile"));
        Assert.Equal("Meanwhile", Find(changed.After(new PutBlockBack("third", null)), "third").Blocks[0].Content["text"]);
    }

    [Fact]
    public void Copies_of_it_are_their_own_and_copies_of_its_page_show_it()
    {
        var site = Shown.After(new DuplicateBlock("there", "copy")).After(new AddPage("again", "Again", "contact"));
        Assert.Null(Find(site, "copy").Shared);
        Assert.Equal(4, Places(site).Length);
        var edited = site.After(new SetContent(Section.Blocks[0].Id, "text", "In four places"));
        Assert.All(Places(edited), p => Assert.Equal("In four places", p.Blocks[0].Content["text"]));
        Assert.NotEqual("In four places", Find(edited, "copy").Blocks[0].Content["text"]);
    }

    [Fact]
    public void What_cannot_be_in_all_its_places_is_refused_and_named()
    {
        var card = Blocks.All(Demo.Site).First(b => b.Part == "card");
        var group = Blocks.All(Demo.Site).First(b => b.Part == "group" && BlockTree.PlaceOf(Demo.Site, b.Id)!.Value.Page == "home");
        var site = Demo.Site.After(new ShareBlock(card.Id, "card-2", "home", group.Id, 0));
        // In the group it might be a paragraph, in the row of cards not.
        Assert.Contains("Cut it loose first", site.Refused(new ChangePart("card-2", "paragraph", "kept")).Message, StringComparison.Ordinal);
        Assert.Contains("cannot stand in itself", Demo.Site.Refused(new ShareBlock(group.Id, "self", "home", group.Id, 0)).Message, StringComparison.Ordinal);
        Assert.Contains("on every page", Demo.Site.Refused(new ShareBlock("header", "again", "home", null, 0)).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", Demo.Site.Refused(new ShareBlock(card.Id, "x", "gone", null, 0)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void After_any_edits_all_places_are_alike() => RandomEdits.Any.Array[1, 40].Sample(edits =>
    {
        var site = Shown;
        foreach (var edit in edits)
        {
            site = edit.Apply(site).Site ?? site;
            foreach (var places in Blocks.All(site).Where(b => b.Shared is not null).GroupBy(b => b.Shared))
            {
                var first = places.First();
                Assert.All(places, p => Assert.True(SharedBlocks.IsLike(first, p), $"{edit}: {p.Id} is not as {first.Id}"));
            }
        }
    }, iter: RandomTimes.Of(150));
}
