using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Reviewing;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Room between text and the edge of its box at every width, and how much of a page wears a border.</summary>
public class RoomTests
{
    [Fact]
    public void The_demo_site_leaves_room_everywhere() => Assert.Empty(Demo.Site.Looks.SelectMany(look => RoomInBoxes.Of(Demo.Site, look)));

    [Theory]
    [InlineData("card-standard", "body-padding", "4px", "space 2 space 3", "4 px from its border at 390: 12 px")]
    [InlineData("card-standard", "body-padding", "24px 8px", "24px space 3", "8 px from its border at 390: 12 px")]
    [InlineData("button-filled", "padding", "2px 24px", "space 2 24px", "2 px from the edge of its ground at 390: 6 px")]
    [InlineData("button-outlined", "padding", "space 1", "space 2 space 3", "4 px from its border")]
    [InlineData("card-standard", "body-padding", "1vw", "space 2 space 3", "3.9 px from its border at 390")]
    [InlineData("card-standard", "body-padding", "1%", "space 2 space 3", "3.9 px from its border at 390")]
    public void What_is_too_tight_is_told_with_its_mend(string look, string property, string typed, string mend, string said)
    {
        var site = Demo.Site.After(Cell(look, property, typed));
        var squashed = Assert.Single(RoomInBoxes.Of(site, site.Looks.Get(look)));
        Assert.Equal((property, mend), (squashed.Cell.ToString(), squashed.Mend));
        Assert.Contains(said, squashed.Says, StringComparison.Ordinal);
        Assert.Empty(RoomInBoxes.Of(site.After(Cell(look, property, squashed.Mend)), site.After(Cell(look, property, squashed.Mend)).Looks.Get(look)));
    }

    /// <summary>On a phone alone, in the cell that decides there; where nothing is set, in the one that would.</summary>
    [Fact]
    public void It_is_told_in_the_cell_that_decides()
    {
        var phone = Demo.Site.After(new SetCell("card-standard", "body-padding", State.Rest, null, 600, "6px"));
        Assert.Equal("body-padding@rest@-600", Assert.Single(RoomInBoxes.Of(phone, phone.Looks.Get("card-standard"))).Cell.ToString());
        var bordered = Demo.Site.After(Cell("group-stack", "border", "hairline"));
        var squashed = Assert.Single(RoomInBoxes.Of(bordered, bordered.Looks.Get("group-stack")));
        Assert.Equal(("padding", "space 2 space 3"), (squashed.Cell.ToString(), squashed.Mend));
        // A line on one side keeps its distance on that side alone.
        var one = Demo.Site.After(Cell("group-stack", "border", "none, none, none, hairline")).After(Cell("group-stack", "padding", "0 0 0 space 4"));
        Assert.Empty(RoomInBoxes.Of(one, one.Looks.Get("group-stack")));
        // A state with an edge or a padding of its own is looked at for itself.
        var hovered = Demo.Site.After(new SetCell("button-filled", "padding", State.Hover, null, null, "1px"));
        Assert.Equal("padding@hover", Assert.Single(RoomInBoxes.Of(hovered, hovered.Looks.Get("button-filled"))).Cell.ToString());
        var bare = Demo.Site.After(Cell("button-outlined", "padding", "0")).After(Cell("button-outlined", "border", "none")).After(Cell("button-outlined", "background", "none"));
        // Its ground is there under the pointer alone.
        Assert.Contains("edge of its ground", Assert.Single(RoomInBoxes.Of(bare, bare.Looks.Get("button-outlined"))).Says, StringComparison.Ordinal);
        var never = PartCatalogue.Get("button").States.Aggregate(bare, (s, state) => s.After(new SetCell("button-outlined", "background", state, null, null, "none")));
        Assert.Empty(RoomInBoxes.Of(never, never.Looks.Get("button-outlined")));
        // What is wanted is the site's to say.
        var generous = Demo.Site.After(new SetThing("spaceRules", "rules", "least", "30"));
        Assert.NotEmpty(RoomInBoxes.Of(generous, generous.Looks.Get("card-standard")));
    }

    [Fact]
    public void Of_boxes_over_each_other_the_area_counts_once()
    {
        var share = BorderShare.Of(new("home", 100, 100, 10, [new(0, 0, 50, 50, true), new(25, 25, 50, 50, true), new(30, 30, 5, 5, true), new(90, 90, 50, 50, true), new(0, 0, 100, 100, false)]));
        Assert.Equal(0.5, share.Elements);
        // 2 × 2500 less the 625 they share, and what of the third lies on the page.
        Assert.Equal((5000 - 625 + 100) / 10000.0, share.Area, 1e-9);
        Assert.Equal((0.0, 0.0), BorderShare.Of(new("home", 0, 0, 0, [])) is var none ? (none.Elements, none.Area) : default);
    }

    /// <summary>What cannot show says why, until what it needs is there.</summary>
    [Theory]
    [InlineData("card-standard", "entrance-distance", "shows once there is an entrance", "entrance", "rise")]
    [InlineData("card-standard", "entrance-takes", "shows once there is an entrance", "entrance", "fade")]
    [InlineData("card-row-standard", "stagger", "shows once there is an entrance", "entrance", "grow")]
    [InlineData("button-filled", "underline-offset", "shows once there is an underline", "underline", "line")]
    public void What_cannot_show_says_why(string look, string property, string why, string needs, string text)
    {
        Assert.Equal(why, Why(Demo.Site));
        Assert.Null(Why(Demo.Site.After(Cell(look, needs, text))));
        string? Why(Site site) => IdleSettings.Of(site, site.Looks.Get(look)).FirstOrDefault(i => i.Property == property)?.Why;
    }

    [Fact]
    public void Along_a_gradient_corners_are_square()
    {
        string? Why(Site site) => IdleSettings.Of(site, site.Looks.Get("card-standard")).FirstOrDefault(i => i.Property == "radius")?.Why;
        Assert.Null(Why(Demo.Site));
        Assert.Equal("a line along a gradient has square corners", Why(Demo.Site.After(new SetThing("border", "hairline", "along", "dawn"))));
        Assert.Equal("nothing moves where blocks fade", IdleSettings.Of(Demo.Site, Demo.Site.After(Cell("card-standard", "entrance", "fade")).Looks.Get("card-standard")).First(i => i.Property == "entrance-distance").Why);
    }

    private static SetCell Cell(string look, string property, string text) => new(look, property, State.Rest, null, null, text);
}
