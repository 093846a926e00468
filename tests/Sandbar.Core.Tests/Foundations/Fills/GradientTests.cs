using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;
using Sandbar.Css.Grammar;
using Sandbar.Css.Images;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Foundations.Fills;

/// <summary>Named gradients as CSS. What they look like is held against Chromium in FillPixelTests.</summary>
public class GradientTests
{
    private static readonly string[] Spaces = ["unsaid", "oklab", "oklch", "srgb-linear", "hsl", "hwb", "lab", "lch", "display-p3", "rec2020"];

    private static readonly Gen<string> Hex = Gen.Int[0, 0xffffff].Select(n => $"#{n:x6}");

    private static readonly Gen<GradientStop> Stop = Gen.Select(Hex, Gen.Int[-20, 120], One(100, 100, 40, 0), One(50, 50, 20, 90), Gen.Int[0, 100]).Select((color, at, alpha, middle, place) =>
        new GradientStop("", new FixedColorValue(color), Per(at))
        {
            Alpha = Per(alpha),
            Middle = Per(middle),
            X = Per(place),
            Y = Per(100 - place),
            Reach = Per(place + 10),
        });

    private static readonly Gen<Gradient> Any = Gen.Select(One("linear", "radial", "conic", "mesh"), One(Spaces), One("shorter", "longer", "increasing"), One("angle", "top-left", "right"), One("own", "closest-side"), One("once", "repeating"), Stop.List[2, 6])
        .Select((kind, space, hue, toward, extent, repeats, stops) => GradientKind.Between("g", "g", "g", 70, Red, Red) with
        {
            Kind = new WordValue(kind),
            Space = new WordValue(space),
            Hue = new WordValue(hue),
            Toward = new WordValue(toward),
            Extent = new WordValue(extent),
            Repeats = new WordValue(repeats),
            Stops = [.. stops.Select((s, i) => s with { Id = $"s{i}" })],
        });

    private static Gen<T> One<T>(params T[] of) => Gen.Int[0, of.Length - 1].Select(i => of[i]);

    private static FixedColorValue Red => new("#f00");

    /// <summary>Whatever is set, what comes out is a value of background-image.</summary>
    [Fact]
    public void Every_gradient_comes_to_CSS_that_is_one() => Any.Sample(gradient =>
    {
        var css = GradientKind.Css(new(Demo.Site), gradient, color => ((FixedColorValue)color).Css);
        Assert.True(PropertyGrammars.All.Check("background-image", Parser.ParseValues(css)) is Verdict.Valid, css);
    });

    /// <summary>What it is mixed to here is what its CSS is painted as.</summary>
    [Fact]
    public void Its_colours_are_those_of_its_CSS() => Any.Where(g => !GradientKind.IsMesh(g)).Sample(gradient =>
    {
        var straight = gradient with { Kind = new WordValue("linear"), Toward = new WordValue("right"), Repeats = new WordValue("once") };
        var image = FillImage.Parse(GradientKind.Css(new(Demo.Site), straight, color => ((FixedColorValue)color).Css), 1000, 10);
        var ramp = PlainStops.Ramp(straight, Colors(straight));
        for (var x = 0.5; x < 1000; x += 50) Assert.InRange((image.At(x, 5) - ramp.At(x / 1000)).Length(), 0, 0.01);
    });

    /// <summary>Plain stops differ from what they stand for by no more than they say, looked at anew at other places; and by little where colours do not run round the circle.</summary>
    [Fact]
    public void Plain_stops_are_as_near_as_they_say() => Any.Where(g => !GradientKind.IsMesh(g)).Sample(gradient =>
    {
        var plain = PlainStops.Of(gradient, Colors(gradient));
        var ramp = PlainStops.Ramp(gradient, Colors(gradient));
        var css = $"linear-gradient(90deg, {string.Join(", ", plain.Stops.Select(s => $"{ColorText.Hex(s.Color)} {NumberForm.Css(s.At, "%")}"))})";
        var image = FillImage.Parse(css, 1000, 10);
        var edges = gradient.Stops.Select(s => s.Position.Amount() / 100).ToList();
        for (var x = 7.5; x < 1000; x += 31)
        {
            // At a hard edge both are right.
            if (edges.Any(e => Math.Abs((double)e - x / 1000) < 0.002)) continue;
            foreach (var ground in new[] { System.Numerics.Vector4.One, new(0, 0, 0, 1) })
            {
                var off = Difference.Ciede2000(Seen(image.At(x, 5), ground), Seen(ramp.At(x / 1000), ground));
                Assert.True(off <= plain.Difference + 1.5, $"{off} where {plain.Difference} is said, at {x / 10}%: {css}");
            }
        }
        if (gradient.Hue.Code() == "shorter" && gradient.Space.Code() is "oklab" or "lab" or "srgb-linear" && gradient.Stops.All(s => s.Middle.Amount() == 50)) Assert.InRange(plain.Difference, 0, 4);
    });

    [Fact]
    public void What_names_a_space_is_said_in_plain_stops_for_every_scheme_and_then_as_it_is()
    {
        var alone = Demo.WithoutOwnFills with { Fills = new([Demo.Site.Fills.Gradients.Get("dawn")]) };
        var sheet = SiteRelease.StyleSheet(alone.After(new SetThing("gradient", "dawn", "space", "OKLCH")));
        foreach (var scheme in Demo.Site.Palette.Schemes) Assert.Matches($"data-scheme=\"{scheme.CssName}\"\\] {{\\s+--gradient-dawn: linear-gradient\\(160deg, #[0-9a-f]{{6}} 0%", sheet);
        Assert.Matches(@"@supports \(background: linear-gradient\(in oklab, red, red\)\) \{\s+\[data-scheme\] \{\s+--gradient-dawn: linear-gradient\(160deg in oklch, var\(--role-raised\) 0%", sheet);
        Assert.DoesNotContain("@supports (background", SiteRelease.StyleSheet(alone), StringComparison.Ordinal);
    }

    /// <summary>Several images in one name: each of them goes from edge to edge, and a line does not run along them.</summary>
    [Fact]
    public void A_mesh_lies_under_the_edge_and_not_along_it()
    {
        var site = Demo.Site.After(new SetThing("gradient", "dawn", "kind", "mesh")).After(new SetThing("border", "hairline", "along", "dawn")).After(new SetCell("card-standard", "background", State.Rest, null, null, "dawn"));
        var rules = StyleSheetRenderer.Render(site).Rules;
        Assert.Contains(rules, r => r.Key == "look card-standard rest" && r.Declarations.Any(d => d is { Name: "background", Value: "border-box" }));
        Assert.DoesNotContain(rules, r => r.Declarations.Any(d => d.Name == "border-image"));
        Assert.Equal("a mesh cannot run along a line", Kinds.Listed("border").Note(site, site.Edges.Borders.Get("hairline"), Kinds.Listed("border").Field(site, "along")!));
    }

    private static Color Seen(System.Numerics.Vector4 painted, System.Numerics.Vector4 ground) => Premultiplied.Opaque(Premultiplied.Over(painted, ground));

    private static IReadOnlyList<Color> Colors(Gradient gradient) => [.. gradient.Stops.Select(s => ColorText.Parse(((FixedColorValue)s.Color).Css))];

    private static NumberValue Per(int share) => new(share, "%");
}
