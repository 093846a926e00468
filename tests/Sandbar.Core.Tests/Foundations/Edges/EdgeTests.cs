using CsCheck;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Interchange;
using Sandbar.Core.Values;

namespace Sandbar.Core.Tests.Foundations.Edges;

/// <summary>Corners, lines and shadows: what is typed, what comes out, and what is refused. How they look is held to Chromium's pixels.</summary>
public class EdgeTests
{
    /// <summary>CSS Backgrounds and Borders 3, §4.5, and its examples: where radii add up to more than a side, all shrink by one factor.</summary>
    [Theory]
    [InlineData(100, 50, 20, 20, 20, 20, 1)]
    [InlineData(100, 50, 50, 50, 50, 50, 0.5)]
    [InlineData(100, 100, 300, 100, 0, 0, 0.25)]
    [InlineData(0, 50, 10, 10, 10, 10, 0)]
    public void Corners_shrink_by_one_factor(double width, double height, double a, double b, double c, double d, double factor)
    {
        var (radii, found) = Corners.Fit(width, height, [new(a, a), new(b, b), new(c, c), new(d, d)]);
        Assert.Equal(factor, found, 1e-9);
        Assert.Equal([a * factor, b * factor, c * factor, d * factor], radii.Select(r => r.Across));
    }

    [Fact]
    public void Fitted_corners_never_overlap_and_are_never_larger() => Gen.Select(Gen.Double[0, 1000], Gen.Double[0, 1000], Gen.Double[0, 1e9].Array[8]).Sample((width, height, r) =>
    {
        var (radii, factor) = Corners.Fit(width, height, [new(r[0], r[1]), new(r[2], r[3]), new(r[4], r[5]), new(r[6], r[7])]);
        Assert.InRange(factor, 0, 1);
        Assert.True(radii[0].Across + radii[1].Across <= width * (1 + 1e-9) && radii[1].Down + radii[2].Down <= height * (1 + 1e-9) && radii[2].Across + radii[3].Across <= width * (1 + 1e-9) && radii[3].Down + radii[0].Down <= height * (1 + 1e-9));
    });

    [Theory]
    [InlineData("border", "2px dashed action", "border: 2px dashed var(--role-action);")]
    [InlineData("border", "hairline, none", "border-top: var(--border-hairline);\n    border-right: none;\n    border-bottom: var(--border-hairline);\n    border-left: none;")]
    [InlineData("radius", "12px", "border-radius: 12px;")]
    [InlineData("radius", "soft 0 round 2px", "border-radius: var(--radius-soft) 0 var(--radius-round) 2px;")]
    [InlineData("radius", "20px by 10px", "border-radius: 20px / 10px;")]
    [InlineData("radius", "1px 20px by 50%", "border-radius: 1px 20px / 1px 50%;")]
    [InlineData("shadow", "0 2px 8px text 20%", "box-shadow: 0 2px 8px 0 color-mix(in srgb, var(--role-text) 20%, transparent);")]
    [InlineData("shadow", "inner 1px 1px 2px -1px #000, 0 1px rgb(0, 0, 0)", "box-shadow: inset 1px 1px 2px -1px #000, 0 1px 0 0 ")]
    [InlineData("change-shadow", "250ms, ease-in, 50ms", "transition: box-shadow 250ms ease-in 50ms;")]
    [InlineData("change-shadow", "quick", "transition: box-shadow var(--duration-quick) ease;")]
    public void What_is_typed_comes_out(string property, string typed, string css)
    {
        var site = Demo.Site.After(new SetCell("card-standard", property, State.Rest, null, null, typed));
        Assert.Contains(css, SiteRelease.StyleSheet(site), StringComparison.Ordinal);
        var part = Catalogue.PartCatalogue.Get("card").Property(property)!;
        var value = site.Looks.Get("card-standard").Cells[property];
        // And what is written is read again as the same.
        Assert.Equal(value, part.Read(site, part.Write(site, value)));
        Assert.Empty(SiteCheck.Problems(site));
    }

    [Theory]
    [InlineData("border", "2px wavy action", "No border is called")]
    [InlineData("border", "-2px solid action", "between 0 and 1000")]
    [InlineData("border", "10% solid action", "cannot be a percentage")]
    [InlineData("border", "1e9px solid action", "too large")]
    [InlineData("border", "hairline, bright, hairline, none, none", "No border is called")]
    [InlineData("radius", "-3px", "cannot be negative")]
    [InlineData("radius", "1px 2px 3px 4px 5px", "one to four values")]
    [InlineData("radius", "1e9px", "too large")]
    [InlineData("radius", "20px by", "“by” cannot be read")]
    [InlineData("shadow", "0 2px -8px text", "Blur cannot be negative")]
    [InlineData("shadow", "0 2px 8px text 200%", "between 0 and 100")]
    [InlineData("shadow", "0 900px 8px text", "at most 500 far")]
    [InlineData("shadow", "2px text", "No shadow is called")]
    [InlineData("body-padding", "-4px", "cannot be negative")]
    [InlineData("body-padding", "1e9px", "too large")]
    [InlineData("change-shadow", "-200ms", "less than no time")]
    [InlineData("change-shadow", "200s", "at most a minute")]
    [InlineData("change-shadow", "quick, swiftly", "no easing")]
    [InlineData("change-shadow", "12px", "How long a change takes")]
    public void What_cannot_be_is_said(string property, string typed, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new SetCell("card-standard", property, State.Rest, null, null, typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_thousand_layers_are_too_many()
    {
        var layers = string.Join(", ", Enumerable.Repeat("0 1px 0 text", 1000));
        Assert.Contains("longer than", Demo.Site.Refused(new SetCell("card-standard", "shadow", State.Rest, null, null, layers)).Message, StringComparison.Ordinal);
        var site = Demo.Site;
        for (var i = 0; i < ShadowForm.Most - 1; i++) site = site.After(new AddThing("shadow", $"more-{i}", In: "lift"));
        Assert.Contains("at most 20 layers", site.Refused(new AddThing("shadow", "more", In: "lift")).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("x1", "1.2", "at most 1")]
    [InlineData("x2", "-0.1", "cannot be negative")]
    [InlineData("y1", "11", "at most 10")]
    [InlineData("steps", "0", "at least 1")]
    [InlineData("steps", "2.5", "whole number")]
    [InlineData("bounce", "95", "at most 90")]
    public void A_curve_stays_within_its_time(string field, string text, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new SetThing("easing", "soft", field, text)).Message, StringComparison.Ordinal);

    [Fact]
    public void One_side_is_set_and_the_others_stay()
    {
        var site = Demo.Site.After(Side("border", 3, "none"));
        Assert.Equal("hairline, hairline, hairline, none", Written(site, "border"));
        // Alike again, they are linked again.
        Assert.Equal("hairline", Written(site.After(Side("border", 3, "hairline")), "border"));
        Assert.Equal("round 2px round round", Written(Demo.Site.After(Side("radius", 1, "2px")), "radius"));
        Assert.Equal("space 4 space 4 20px", Written(Demo.Site.After(Side("body-padding", 2, "20px")), "body-padding"));
        Assert.Contains("One side takes one value", Demo.Site.Refused(Side("body-padding", 2, "20px 3px")).Message, StringComparison.Ordinal);
        Assert.Contains("no such side", Demo.Site.Refused(Side("border", 4, "none")).Message, StringComparison.Ordinal);
        Assert.Contains("no such side", Demo.Site.Refused(Side("shadow", 0, "none")).Message, StringComparison.Ordinal);
        Assert.Equal("Card · Standard · border, left → none", Side("border", 3, "none").Describe(Demo.Site));
    }

    /// <summary>A typed value that is the same as something named says so, whatever it is; one that is not says nothing.</summary>
    [Theory]
    [InlineData("border", "1px solid line", "hairline")]
    [InlineData("border", "1px solid text", null)]
    [InlineData("radius", "14px", "round")]
    [InlineData("radius", "13px", null)]
    [InlineData("shadow", "0 6px 18px -4px text 22%", "lift")]
    [InlineData("shadow", "0 6px 18px -4px text 23%", null)]
    [InlineData("body-gap", "16px", "space 3")]
    [InlineData("body-gap", "1rem", "space 3")]
    [InlineData("body-gap", "17px", null)]
    [InlineData("title-text-color", "#8a2846", "beet")]
    [InlineData("title-text-color", "#8a2847", null)]
    [InlineData("body-gap", "space 3", null)]
    [InlineData("body-padding", "16px 24px", "space 3 space 4")]
    [InlineData("body-padding", "16px 25px", "space 3 25px")]
    [InlineData("radius", "14px 3px", "round 3px")]
    [InlineData("border", "1px solid line, none, 1px solid text, none", "hairline, none, 1px solid text")]
    [InlineData("change-shadow", "0.15s, gentle", "quick, gentle")]
    [InlineData("change-shadow", "151ms", null)]
    public void A_literal_that_equals_a_preset_is_told(string property, string typed, string? preset)
    {
        var site = Demo.Site.After(new SetCell("card-standard", property, State.Rest, null, null, typed));
        var described = Catalogue.PartCatalogue.Get("card").Property(property)!;
        Assert.Equal(preset, Presets.Same(site, described, site.Looks.Get("card-standard").Cells[property]) is { } same ? described.Write(site, same) : null);
    }

    [Fact]
    public void A_length_that_is_a_measure_of_the_page_is_told()
    {
        var site = Demo.Site.After(new SetCell("section-standard", "content-content-width", State.Rest, null, null, "1120px"));
        Is("content width", site);
        Is(null, site.After(new SetThing("pageSpacing", "wide", "content-width", "1000px")));
        static void Is(string? name, Site site)
        {
            var described = Catalogue.PartCatalogue.Get("section").Property("content-content-width")!;
            Assert.Equal(name, Presets.Same(site, described, site.Looks.Get("section-standard").Cells["content-content-width"]) is { } same ? described.Write(site, same) : null);
        }
    }

    /// <summary>One figure gives the layers, the figure is found again in them, and colour and darkness stay.</summary>
    [Fact]
    public void A_height_is_a_stack_of_layers()
    {
        for (var height = 0; height <= Elevation.Highest; height++)
        {
            var site = Demo.Site.After(new RaiseShadow("lift", $"{height}"));
            var shadow = site.Edges.Shadows.Get("lift");
            Assert.Equal(height, Elevation.Of(shadow));
            Assert.All(shadow.Layers, l => Assert.Equal(new ReferenceValue("role", "text"), l.Color));
            Assert.InRange(shadow.Layers.Length, 1, 5);
            if (height > 0) Assert.Equal(22, (double)shadow.Layers.Sum(l => l.Opacity.Amount()), 0.1);
            // Soft: each layer twice as blurred as it is far, and twice as far as the one above it.
            Assert.All(shadow.Layers, l => Assert.Equal((double)l.Y.Amount() * 2, (double)l.Blur.Amount(), 0.02));
            Assert.Empty(SiteCheck.Problems(site));
        }
        Assert.Null(Elevation.Of(Demo.Site.Edges.Shadows.Get("lift")));
        Assert.Contains("at most 64", Demo.Site.Refused(new RaiseShadow("lift", "1e3")).Message, StringComparison.Ordinal);
        Assert.Contains("negative", Demo.Site.Refused(new RaiseShadow("lift", "-1")).Message, StringComparison.Ordinal);
    }

    private static SetCell Side(string property, int side, string text) => new("card-standard", property, State.Rest, null, null, text) { Side = side };

    private static string Written(Site site, string property) => Catalogue.PartCatalogue.Get("card").Property(property)!.Write(site, site.Looks.Get("card-standard").Cells[property]);
}
