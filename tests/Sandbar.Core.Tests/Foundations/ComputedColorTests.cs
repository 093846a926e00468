using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Foundations;

/// <summary>Colours computed from others, their figures, their steps given by hand, their groups and their order. Chromium is asked in <c>ComputedColorTests</c> of the browser.</summary>
public class ComputedColorTests
{
    [Theory]
    [InlineData("mix leaf, husk 30%", "mix leaf, husk 30%")]
    [InlineData("MIX leaf tint 2 ,  #fff   12.5 %  in OKLCH", "mix leaf tint 2, #fff 12.5% in oklch")]
    [InlineData("mix rgb(1, 2, 3), husk 0% in oklab", "mix rgb(1, 2, 3), husk 0%")]
    [InlineData("mix leaf, rgb(1, 2, 3) 20%", "mix leaf, rgb(1, 2, 3) 20%")]
    [InlineData("move leaf, lightness +10, chroma -2.5, hue 20", "move leaf, lightness +10, chroma −2.5, hue +20")]
    [InlineData("move leaf shade 1", "move leaf shade 1")]
    [InlineData("move #8a2846, hue −0", "move #8a2846")]
    public void What_is_typed_reads_as_it_is_written(string typed, string written)
    {
        var site = Demo.Site.After(Do.Color("beet", typed));
        var value = site.Palette.Colors.Get("beet").Color;
        Assert.Equal(written, ValueForms.Write(site, value));
        Assert.Equal(value, site.After(Do.Color("beet", written)).Palette.Colors.Get("beet").Color);
    }

    [Theory]
    [InlineData("mix leaf", "A mix is two colours and a share")]
    [InlineData("mix leaf 30%", "A mix is two colours and a share")]
    [InlineData("mix leaf, rose 30%", "No colour is called “rose”")]
    [InlineData("mix leaf, husk 130%", "0 to 100 %")]
    [InlineData("mix leaf, husk 30% in rec2020", "use oklab, oklch")]
    [InlineData("mix leaf, husk 30% in nothing", "use oklab, oklch")]
    [InlineData("mix leaf, husk 99999999999999999999999999999999%", "is too large")]
    [InlineData("mix leaf, husk tint 9 30%", "There are 6 tints")]
    [InlineData("mix leaf, text 30%", "No colour is called “text”")]
    [InlineData("move rose, hue 20", "No colour is called “rose”")]
    [InlineData("move leaf, weight 20", "No colour is called “leaf, weight 20”")]
    [InlineData("move leaf, lightness 200", "at most 100")]
    [InlineData("mix beet, husk 30%", "beet would be computed from itself")]
    [InlineData("move beet tint 1", "beet would be computed from itself")]
    public void What_cannot_be_is_refused_with_a_sentence(string typed, string said) =>
        Assert.Contains(said, Demo.Site.Refused(Do.Color("beet", typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_circle_by_way_of_others_is_refused_too()
    {
        var site = Demo.Site.After(Do.Color("leaf", "mix husk, soil 20%")).After(Do.Color("husk", "move rain, lightness +20"));
        Assert.Contains("computed from itself", site.Refused(Do.Color("rain", "mix leaf shade 1, white 5%")).Message, StringComparison.Ordinal);
        Assert.Contains("computed from itself", site.Refused(new RemoveThing("color", "rain", "leaf")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void It_follows_what_it_is_computed_from_through_all_that_reads_it()
    {
        var site = Demo.Site.After(Do.Color("leaf", "move beet, lightness +20")).After(Do.Color("rain", "mix leaf, white 50%"));
        Assert.Contains(new Use("rain", new InThing("color", "rain")), Uses.Of(site, "color", "leaf"));
        var before = Hexes(site);
        var after = Hexes(site.After(Do.Color("beet", "#28468a")));
        Assert.All(["leaf", "rain"], id => Assert.NotEqual(before[id], after[id]));
        Assert.Equal(before["husk"], after["husk"]);
        Assert.Equal(Hexes(site.After(Do.Color("beet", "#28468a")).After(Do.Color("beet", "#8a2846"))), before);
        // Two hundred, each computed twice from the one before: reckoned once each.
        var chain = site;
        for (var i = 0; i < 200; i++)
        {
            var last = i == 0 ? "rain" : $"chain {i - 1}";
            chain = chain.After(new AddThing("color", $"chain-{i}", $"chain {i}", Values: new Dictionary<string, string> { ["color"] = $"mix {last}, {last} 50%" }));
        }
        Assert.Equal(Hexes(chain)["rain"], Hexes(chain)["chain-199"]);
    }

    [Fact]
    public void It_is_released_as_what_it_is_after_what_it_comes_to()
    {
        var site = Demo.Site.After(Do.Color("rain", "mix leaf, husk 30%")).After(Do.Color("soil", "move leaf, chroma +40"));
        var css = StyleSheetText.Generated(StyleSheetRenderer.Render(site), SheetUse.Release, f => f.File);
        var hex = Hexes(site);
        Assert.Contains($"--color-rain: {hex["rain"]};", css, StringComparison.Ordinal);
        Assert.Contains("@supports (color: oklch(from red l c h)) {\n    :root {\n      --color-rain: color-mix(in oklab, var(--color-leaf), var(--color-husk) 30%);\n", css, StringComparison.Ordinal);
        // Outside sRGB only screens that show it get it.
        Assert.Contains("@media (color-gamut: p3) {\n    @supports (color: oklch(from red l c h)) {\n      :root {\n        --color-soil: oklch(from var(--color-leaf) clamp(0, l + 0, 1) max(0, c + 0.4) calc(h + 0));\n", css, StringComparison.Ordinal);
        Assert.True(css.IndexOf("--color-rain: #", StringComparison.Ordinal) < css.IndexOf("--color-rain: color-mix", StringComparison.Ordinal));
    }

    [Fact]
    public void A_step_given_by_hand_stays_until_it_is_let_go()
    {
        var site = Demo.Site.After(new SetColorStep("leaf", 2, " oklch(0.7 0.3 150) "));
        var row = site.Palette.Row(site.Palette.Colors.Get("leaf"));
        Assert.Equal(ReleasedColor.Of("oklch(0.7 0.3 150)"), row.At(2));
        Assert.Equal(Demo.Site.Palette.Row(Demo.Site.Palette.Colors.Get("leaf")).At(1), row.At(1));
        Assert.Equal(row.At(2), site.After(Do.Color("leaf", "#123456")).Palette.Row(site.After(Do.Color("leaf", "#123456")).Palette.Colors.Get("leaf")).At(2));
        var css = StyleSheetText.Generated(StyleSheetRenderer.Render(site), SheetUse.Release, f => f.File);
        Assert.Contains($"--color-leaf-tint-2: {ColorText.Hex(row.At(2))};", css, StringComparison.Ordinal);
        Assert.Contains("--color-leaf-tint-2: oklch(0.7 0.3 150);", css, StringComparison.Ordinal);
        Assert.Equal(Hexes(Demo.Site), Hexes(site.After(new SetColorStep("leaf", 2, null))));
        Assert.Equal("/text", Demo.Site.Refused(new SetColorStep("leaf", 2, "husk")).Path);
        Assert.Equal(StepText.Range, Demo.Site.Refused(new SetColorStep("leaf", 0, "red")).Message);
        Assert.Equal(StepText.Range, Demo.Site.Refused(new SetColorStep("leaf", 7, "red")).Message);
    }

    /// <summary>What beet is in OKLCH is culori's answer.</summary>
    [Theory]
    [InlineData(ColorFigure.Alpha, "50", "#8a284680")]
    [InlineData(ColorFigure.Alpha, "100%", "#8a2846")]
    [InlineData(ColorFigure.Hue, "20 + 10", "oklch(0.436447 0.133882 30)")]
    [InlineData(ColorFigure.Hue, "-30°", "oklch(0.436447 0.133882 330)")]
    [InlineData(ColorFigure.Lightness, "90 / 2", "oklch(0.45 0.133882 6.09945)")]
    [InlineData(ColorFigure.Chroma, "10", "oklch(0.436447 0.1 6.09945)")]
    public void A_figure_is_typed_with_arithmetic(ColorFigure figure, string typed, string css)
    {
        var (actual, expected) = (Fixed(Demo.Site.After(new SetColorFigure("beet", figure, typed))), css);
        Assert.True(Difference.Ciede2000(ColorText.Parse(actual), ColorText.Parse(expected)) < 0.01, actual);
        Assert.Equal(ColorText.Parse(expected).Space, ColorText.Parse(actual).Space);
        Assert.Equal(ColorText.Parse(expected).Alpha, ColorText.Parse(actual).Alpha, 2);
    }

    [Theory]
    [InlineData(ColorFigure.Lightness, "101", "at most 100")]
    [InlineData(ColorFigure.Chroma, "-1", "cannot be negative")]
    [InlineData(ColorFigure.Chroma, "rest", "“rest”")]
    [InlineData(ColorFigure.Hue, "1 / 0", "divided by 0")]
    [InlineData(ColorFigure.Alpha, "NaN", "cannot be read")]
    [InlineData(ColorFigure.Alpha, "", "never empty")]
    public void A_figure_that_cannot_be_is_refused(ColorFigure figure, string typed, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new SetColorFigure("beet", figure, typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_computed_colour_has_no_figures_of_its_own() =>
        Assert.Contains("computed from others", Demo.Site.After(Do.Color("beet", "move leaf")).Refused(new SetColorFigure("beet", ColorFigure.Hue, "2")).Message, StringComparison.Ordinal);

    [Fact]
    public void Colours_are_placed_and_grouped_with_one_edit()
    {
        var site = Demo.Site.After(new PlaceColor("soil", "beet", "Garden"));
        Assert.Equal(["soil", "beet"], site.Palette.Colors.Take(2).Select(c => c.Id));
        Assert.Equal("Garden", site.Palette.Colors[0].Group.Code());
        site = site.After(new PlaceColor("soil", null, "no group"));
        Assert.Equal("soil", site.Palette.Colors[^1].Id);
        Assert.Equal(BaseColor.NoGroup, site.Palette.Colors[^1].Group.Code());
        Assert.Equal("/group", site.Refused(new PlaceColor("soil", null, new string('x', 61))).Path);
        Assert.Equal("/id", site.Refused(new PlaceColor("soil", "gone", null)).Path);
    }

    private static string Fixed(Site site) => ((FixedColorValue)site.Palette.Colors.Get("beet").Color).Css;

    private static Dictionary<string, string> Hexes(Site site) => site.Palette.Colors.ToDictionary(c => c.Id, c => ColorText.Hex(site.Palette.Row(c).Base));
}
