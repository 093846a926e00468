using System.Collections.Immutable;
using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Which colours meet, read off the document. That axe-core finds the same on the released pages is a browser test.</summary>
public class ContrastPairsTests
{
    private static readonly IReadOnlyList<ContrastPair> Pairs = Of(Demo.Site);

    /// <summary>The colours of a gradient count wherever its stops are, also where that takes a font or a layout to know.</summary>
    [Theory]
    [InlineData("linear-gradient(#777 2ch, #767676)")]
    [InlineData("radial-gradient(circle at 3cqw 2ch, #777, #767676)")]
    [InlineData("-webkit-linear-gradient(left, #777, #767676)")]
    public void Gradients_whose_lengths_cannot_be_told_are_grounds_too(string image) =>
        Assert.Contains(Of(Demo.Site.After(new SetOverrides($".section {{ background: {image}; }} .paragraph {{ color: #777; }}"))), p => p is { Look: "paragraph-standard", Property: "text-color" } && p.Ratio < 1.1);

    [Fact]
    public void Failures_come_first_and_every_ratio_is_that_of_its_two_colours()
    {
        Assert.True(Pairs.Select(p => p.Passes).SequenceEqual(Pairs.Select(p => p.Passes).Order()));
        Assert.All(Pairs, p => Assert.Equal(Contrast.Ratio(p.Foreground, p.Ground), p.Ratio));
        Assert.Equal(Pairs.Count, Pairs.Select(p => (p.Kind, p.Look, p.Property, p.State, p.Within, p.Scheme, p.Foreground, p.Ground, p.Target)).Distinct().Count());
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

    /// <summary>A card that darkens under the pointer is behind the button in it, be the pointer over that or beside it; without the pointer on the card, none is on the button.</summary>
    [Fact]
    public void States_of_what_is_around_an_element_count()
    {
        var site = Demo.Site.After(new SetCell("card-standard", "background", State.Hover, null, null, "#101010")).After(new SetCell("button-outlined", "background", State.Rest, null, null, "none"))
            .After(new SetCell("button-outlined", "background", State.Hover, null, null, "none")).After(new SetCell("button-outlined", "text-color", State.Hover, null, null, "#fefefe"));
        var card = Blocks.All(site).First(b => b is { Part: "card", Look: "card-standard", Blocks.Length: > 0 });
        site = site.After(new SetBlockLook(Blocks.All(site).First(b => b.Part == "button" && card.Blocks.Contains(b)).Id, "button-outlined"));
        Assert.Contains("#101010", Grounds(site, "button-outlined", "text-color", State.Rest));
        Assert.Contains("#101010", Grounds(site, "button-outlined", "text-color", State.Hover));
        Assert.All(Of(site).Where(p => ColorText.Hex(p.Ground) == "#101010" && p.Look == "button-outlined"), p => Assert.Equal(new Surrounding("card-standard", State.Hover), p.Within));
        var lone = site with { Pages = [.. site.Pages.Select(p => p with { Sections = [.. p.Sections.Select(Only).OfType<Block>()] }).Where(p => p.Sections.Length > 0)], Frame = new(site.Frame.Header with { Blocks = [] }, site.Frame.Footer with { Blocks = [] }) };
        Assert.Equal(["#101010"], Grounds(lone, "button-outlined", "text-color", State.Hover));

        // What leads to the card, and nothing beside it.
        Block? Only(Block block) => block == card || block.Id == card.Id ? Blocks.Find(site, block.Id) : block with { Blocks = [.. block.Blocks.Select(Only).OfType<Block>()] } is { Blocks.Length: > 0 } held ? held : null;
    }

    /// <summary>Widths count by what they share: a ground below 700 is behind a colour from 600 to 820 between 600 and 700.</summary>
    [Fact]
    public void Widths_that_overlap_meet()
    {
        var site = Demo.Site.After(new SetCell("card-standard", "background", State.Rest, null, 700, "#101010")).After(new SetCell("card-standard", "title-text-color", State.Rest, 600, 820, "#fefefe"));
        var met = Of(site).Where(p => p is { Look: "card-standard", Property: "title-text-color", Scheme: "day", State: State.Rest }).Select(p => (ColorText.Hex(p.Foreground), ColorText.Hex(p.Ground))).ToHashSet();
        var (text, ground) = (ColorText.Hex(SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get("day"), "text").Color), "#fffdf8");
        Assert.Equal([(text, "#101010"), ("#fefefe", "#101010"), ("#fefefe", ground), (text, ground)], met);
        Assert.Contains("#101010", Grounds(site, "button-outlined", "text-color", State.Rest).Concat(Grounds(site, "link-standard", "text-color", State.Rest)));
    }

    [Fact]
    public void Visitors_who_prefer_dark_are_counted_and_a_scheme_that_stays_is_not_turned()
    {
        Assert.Contains(Pairs, p => p is { Look: "heading-1-standard", Scheme: "dusk" });
        var stays = Of(Demo.Site.After(Do.Turn("day", "stays")));
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
        Assert.Contains(Of(site), p => p is { Look: "card-standard", Property: "eyebrow-text-color" });
        var page = site.Pages[0];
        var bare = site with { Pages = [page with { Sections = [.. page.Sections.Select(Without)] }] };
        Assert.DoesNotContain(Of(bare), p => p is { Look: "card-standard", Property: "eyebrow-text-color" });

        static Block Without(Block block) => block with { Content = block.Content.Remove("eyebrow"), Blocks = [.. block.Blocks.Select(Without)] };
    }

    [Fact]
    public void On_a_gradient_the_worst_place_counts()
    {
        var site = Demo.Site.After(new SetCell("button-filled", "background", State.Rest, null, null, "dawn"));
        var pair = Of(site).First(p => p is { Look: "button-filled", Property: "text-color", State: State.Focus, Scheme: "day" });
        var stops = new[] { "raised", "ground" }.Select(r => Contrast.Ratio(pair.Foreground, SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get("day"), r).Color));
        Assert.Equal(stops.Min(), pair.Ratio, 0.05);
    }

    [Fact]
    public void Opacity_lets_what_lies_behind_through()
    {
        // Source: Compositing and Blending Level 1, §9: both colours are mixed with the ground by hand.
        var site = Demo.Site.After(new SetCell("paragraph-standard", "text-color", State.Rest, null, null, "#000000")).After(new SetCell("button-filled", "opacity", State.Rest, null, null, "0.5"));
        var (ground, fill) = (ColorText.Parse("#f6efe2"), ColorText.Parse("#8a2846"));
        var pair = Of(site).First(p => p is { Look: "button-filled", Property: "text-color", State: State.Rest, Scheme: "day" } && p.Places.Any(place => place.Page == "home"));
        var mixed = new Color(ColorSpace.Srgb, (ground.C1 + fill.C1) / 2, (ground.C2 + fill.C2) / 2, (ground.C3 + fill.C3) / 2, 1);
        Assert.Equal(ColorText.Hex(mixed), ColorText.Hex(pair.Ground));
    }

    /// <summary>What the designer wrote counts where it wins, and says in which line it stands.</summary>
    [Fact]
    public void Overrides_are_counted()
    {
        var site = Demo.Site.After(new SetOverrides(".nothing { top: 0 }\n.button-filled { color: #767676 }\n@media (width < 500px) { .heading-1 { color: #aaa } }"));
        var pair = Of(site).First(p => p is { Look: "button-filled", Property: "text-color", State: State.Rest, Scheme: "day" });
        Assert.Equal(("#767676", 2, null, "#8a2846"), (ColorText.Hex(pair.Foreground), pair.ForegroundFrom.Line, pair.ForegroundFrom.Cell, ColorText.Hex(pair.Ground)));
        Assert.Equal((0, "background"), (pair.GroundFrom.Line, pair.GroundFrom.Cell?.Cell));
        Assert.Contains(Of(site), p => p is { Look: "heading-1-standard", ForegroundFrom.Line: 3 } && p.Places.All(place => place.Width == 0));
        Assert.Contains(Of(site), p => p is { Look: "heading-1-standard", ForegroundFrom.Line: 0 } && p.Places.All(place => place.Width == 500));
        // Only in a state.
        var hover = Of(Demo.Site.After(new SetOverrides(".button:hover { background: var(--role-text) }"))).First(p => p is { Look: "button-filled", State: State.Hover, Scheme: "day", Property: "text-color" });
        Assert.Equal((1, "text"), (hover.GroundFrom.Line, hover.GroundFrom.Choice?.Role));
        // A role that is written over.
        Assert.Contains(Of(Demo.Site.After(new SetOverrides("[data-scheme] { --role-text: #123456 }"))), p => p is { Look: "paragraph-standard", ForegroundFrom.Line: 1 } && ColorText.Hex(p.Foreground) == "#123456");
    }

    [Theory]
    [InlineData(".paragraph { background: linear-gradient(#000, #fff) }", "#2b221b")]
    [InlineData(".section { opacity: .6 }", "#7c746b")]
    [InlineData(".paragraph { display: none }", null)]
    [InlineData(".paragraph { visibility: hidden }", null)]
    public void What_changes_a_pixel_counts_whoever_says_it(string css, string? text)
    {
        var pairs = Of(Demo.Site.After(new SetOverrides(css))).Where(p => p is { Look: "paragraph-standard", Property: "text-color", Scheme: "day", State: State.Rest }).ToList();
        Assert.Equal(text is null ? [] : new[] { text }, pairs.Select(p => ColorText.Hex(p.Foreground)).Distinct().Take(1));
    }

    /// <summary>What is taken over from before an edit is what would be found anew.</summary>
    [Fact]
    public void After_any_edits_the_pairs_are_those_found_anew()
    {
        RandomEdits.Any.Array[1, 12].Sample(
            edits =>
            {
                var site = Demo.Site.After(new SetOverrides(".button { color: #767676 }\np + p { color: teal }"));
                foreach (var edit in edits)
                {
                    site = edit.Apply(site).Site ?? site;
                    _ = Of(site);
                }
                return ContrastPairs.Anew(site).Select(Told).SequenceEqual(Of(site).Select(Told));
            },
            iter: RandomTimes.Of(4),
            threads: 1);

        static string Told(ContrastPair pair) => $"{pair with { Places = [] }} {string.Join(' ', pair.Places)}";
    }

    private static ImmutableArray<ContrastPair> Of(Site site) => ContrastPairs.Of(site, TestContext.Current.CancellationToken);

    private static string Ground(string look, string property, string scheme) => Assert.Single(Grounds(look, property, scheme));

    private static List<string> Grounds(Site site, string look, string property, State state) =>
        [.. Of(site).Where(p => p.Look == look && p.Property == property && p.State == state && p.Scheme == "day").Select(p => ColorText.Hex(p.Ground)).Distinct()];

    private static List<string> Grounds(string look, string property, string scheme) =>
        [.. Pairs.Where(p => p.Look == look && p.Property == property && p.Scheme == scheme && p.State == State.Rest).Select(p => ColorText.Hex(p.Ground)).Distinct()];
}
