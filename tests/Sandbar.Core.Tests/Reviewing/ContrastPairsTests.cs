using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Which colours meet, read off the document. That axe-core finds the same on the released pages is a browser test.</summary>
public class ContrastPairsTests
{
    private static readonly IReadOnlyList<ContrastPair> Pairs = ContrastPairs.Of(Demo.Site);

    [Fact]
    public void Failures_come_first_and_every_ratio_is_that_of_its_two_colours()
    {
        Assert.True(Pairs.Select(p => p.Passes).SequenceEqual(Pairs.Select(p => p.Passes).Order()));
        Assert.All(Pairs, p => Assert.Equal(Contrast.Ratio(p.Foreground, p.Ground), p.Ratio));
        Assert.Equal(Pairs.Count, Pairs.Select(p => (p.Kind, p.Look, p.Property, p.State, p.Scheme, p.Foreground, p.Ground, p.Target)).Distinct().Count());
    }

    [Fact]
    public void Text_is_measured_on_the_ground_it_lies_on()
    {
        // A quiet caption in the dark footer, a card's title on the card and not on the section behind it.
        Assert.Equal("#204d2c", Ground("footer-standard", "credit-text-color", "dusk"));
        Assert.Equal("#fffdf8", Ground("card-standard", "title-text-color", "day"));
        Assert.Equal("#8a2846", Ground("button-filled", "text-color", "day"));
        // A button without a fill shows what lies behind it.
        Assert.Contains("#f6efe2", Grounds("button-outlined", "text-color", "day"));
    }

    [Fact]
    public void A_state_that_changes_a_ground_makes_a_pair_of_its_own()
    {
        var hover = Assert.Single(Pairs, p => p is { Look: "button-filled", Property: "text-color", State: State.Hover, Scheme: "day" });
        Assert.Equal(ColorText.Hex(SchemeColors.Resolve(Demo.Site.Palette, Demo.Site.Palette.Schemes.Get("day"), "action", -1).Color), ColorText.Hex(hover.Ground));
        Assert.DoesNotContain(Pairs, p => p.Look == "button-filled" && p.State == State.Pressed);
    }

    [Fact]
    public void Visitors_who_prefer_dark_are_counted_and_a_scheme_that_stays_is_not_turned()
    {
        Assert.Contains(Pairs, p => p is { Look: "heading-1-standard", Scheme: "dusk" });
        var stays = ContrastPairs.Of(Demo.Site.After(Do.Turn("day", "stays")));
        Assert.DoesNotContain(stays, p => p is { Look: "heading-1-standard", Scheme: "dusk" });
        Assert.Contains(stays, p => p is { Look: "footer-standard", Scheme: "dusk" });
    }

    [Fact]
    public void Large_text_needs_less_and_what_is_off_needs_nothing()
    {
        Assert.All(Pairs.Where(p => p.Look == "heading-1-standard"), p => Assert.Equal((PairKind.LargeText, 3), (p.Kind, p.Target)));
        Assert.All(Pairs.Where(p => p is { Look: "paragraph-standard", Property: "text-color" }), p => Assert.Equal((PairKind.Text, 4.5), (p.Kind, p.Target)));
        Assert.All(Pairs.Where(p => p is { Look: "form-field-standard", State: State.Off }), p => Assert.Equal(0, p.Target));
        Assert.Contains(Pairs, p => p is { Look: "form-field-standard", State: State.Off });
    }

    [Fact]
    public void Focus_rings_and_the_lines_of_fields_must_be_told_from_what_is_around_them()
    {
        Assert.All(Pairs.Where(p => p.Kind == PairKind.FocusRing), p => Assert.Equal((State.Focus, 3), (p.State, p.Target)));
        Assert.Contains(Pairs, p => p is { Kind: PairKind.FocusRing, Look: "button-filled" });
        Assert.Contains(Pairs, p => p is { Kind: PairKind.Line, Look: "form-field-standard", Target: 3 });
        Assert.All(Pairs.Where(p => p is { Kind: PairKind.Line, Look: "card-standard" }), p => Assert.Equal(0, p.Target));
    }

    [Fact]
    public void What_a_slot_does_not_hold_makes_no_pair()
    {
        var site = Demo.Site with { Pages = [Demo.Site.Pages.Get("workshops")] };
        Assert.Contains(ContrastPairs.Of(site), p => p is { Look: "card-standard", Property: "eyebrow-text-color" });
        var page = site.Pages[0];
        var bare = site with { Pages = [page with { Sections = [.. page.Sections.Select(Without)] }] };
        Assert.DoesNotContain(ContrastPairs.Of(bare), p => p is { Look: "card-standard", Property: "eyebrow-text-color" });

        static Block Without(Block block) => block with { Content = block.Content.Remove("eyebrow"), Blocks = [.. block.Blocks.Select(Without)] };
    }

    [Fact]
    public void On_a_gradient_the_worst_place_counts()
    {
        var site = Demo.Site.After(new SetCell("button-filled", "background", State.Rest, null, null, "dawn"));
        var pair = ContrastPairs.Of(site).First(p => p is { Look: "button-filled", Property: "text-color", State: State.Focus, Scheme: "day" });
        var stops = new[] { "raised", "ground" }.Select(r => Contrast.Ratio(pair.Foreground, SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get("day"), r).Color));
        Assert.Equal(stops.Min(), pair.Ratio, 0.05);
    }

    [Fact]
    public void Opacity_lets_what_lies_behind_through()
    {
        // Source: Compositing and Blending Level 1, §9: both colours are mixed with the ground by hand.
        var site = Demo.Site.After(new SetCell("paragraph-standard", "text-color", State.Rest, null, null, "#000000")).After(new SetCell("button-filled", "opacity", State.Rest, null, null, "0.5"));
        var (ground, fill) = (ColorText.Parse("#f6efe2"), ColorText.Parse("#8a2846"));
        var pair = ContrastPairs.Of(site).First(p => p is { Look: "button-filled", Property: "text-color", State: State.Rest, Scheme: "day" } && p.Pages.Contains("home"));
        var mixed = new Color(ColorSpace.Srgb, (ground.C1 + fill.C1) / 2, (ground.C2 + fill.C2) / 2, (ground.C3 + fill.C3) / 2, 1);
        Assert.Equal(ColorText.Hex(mixed), ColorText.Hex(pair.Ground));
    }

    private static string Ground(string look, string property, string scheme) => Assert.Single(Grounds(look, property, scheme));

    private static List<string> Grounds(string look, string property, string scheme) =>
        [.. Pairs.Where(p => p.Look == look && p.Property == property && p.Scheme == scheme && p.State == State.Rest).Select(p => ColorText.Hex(p.Ground)).Distinct()];
}
