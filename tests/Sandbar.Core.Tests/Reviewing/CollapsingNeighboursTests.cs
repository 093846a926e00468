using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Neighbours that a colour-vision deficiency makes one. What is seen with it is held to colorspacious (Machado et al. 2009) in <c>ReferenceTests</c>.</summary>
public class CollapsingNeighboursTests
{
    private static readonly CancellationToken Cancel = TestContext.Current.CancellationToken;

    [Fact]
    public void Two_buttons_told_apart_by_red_and_green_alone_are_found_where_they_stand()
    {
        Assert.Empty(CollapsingNeighbours.Of(Demo.Site, 1, Cancel));
        // A red and the green that deuteranopes take for it.
        var site = Demo.Site.After(Button("button-filled", "#a05a3c")).After(Button("button-outlined", "#76682f"));
        var found = CollapsingNeighbours.Of(site, 1, Cancel);
        Assert.Contains(found, p => p.Vision == VisionKind.Deuteranopia);
        Assert.All(found, p =>
        {
            Assert.Equal(("Button · Filled", "Button · Outlined"), (p.One, p.Other));
            Assert.True(p is { Difference: >= CollapsingNeighbours.Plain, Seen: < CollapsingNeighbours.Hardly });
            Assert.All(p.Places, place => Assert.Contains(Blocks.All(site), b => b.Id == place.Block && b.Look == "button-filled"));
        });
        // With little of the deficiency they are told apart.
        Assert.Empty(CollapsingNeighbours.Of(site, 0.1, Cancel));
        // So they are where they differ in lightness too.
        Assert.Empty(CollapsingNeighbours.Of(site.After(Button("button-outlined", "#c8b67a")), 1, Cancel));
    }

    private static SetCell Button(string look, string color) => new(look, "background", State.Rest, null, null, color);
}
