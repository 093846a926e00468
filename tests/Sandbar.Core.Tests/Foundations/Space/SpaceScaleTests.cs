using System.Text.RegularExpressions;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Interchange;
using Sandbar.Core.Values;

namespace Sandbar.Core.Tests.Foundations.Space;

/// <summary>The spacing scale: by list, by base and ratio, fluid as utopia-core has it (fixtures/fluid.json); and the page's own measures.</summary>
public partial class SpaceScaleTests
{
    [Fact]
    public void Fluid_spaces_are_those_of_utopia()
    {
        foreach (var one in Fixture.Read("fluid.json").GetProperty("spaces").EnumerateArray())
        {
            var s = one.GetProperty("space");
            var site = Demo.Site with
            {
                Space = Demo.Site.Space with
                {
                    Ends = [.. Demo.Site.Space.Ends.Select((end, i) => end with { Width = new NumberValue(s.GetProperty(i == 0 ? "minWidth" : "maxWidth").GetDecimal(), "px") })],
                    Steps = [.. one.GetProperty("sizes").EnumerateArray().Select((size, i) => new SpaceStep($"space-{i}", new NumberValue(size.GetProperty("min").GetDecimal(), "px")) { Wide = new NumberValue(size.GetProperty("max").GetDecimal(), "px") })],
                },
            };
            foreach (var (step, size) in site.Space.Steps.Zip(one.GetProperty("sizes").EnumerateArray()))
            {
                var (expected, actual) = (Numbers(size.GetProperty("clamp").GetString()!), Numbers(SpaceScales.Css(new(site), step)));
                Assert.All(expected.Zip(actual), pair => Assert.Equal(pair.First, pair.Second, 0.00011));
                Assert.Equal(expected.Length, actual.Length);
            }
        }
    }

    [Fact]
    public void By_base_and_ratio_every_space_follows_and_a_list_goes_on_from_there()
    {
        var site = Demo.Site.After(Scale("by", "by base and ratio")).After(Scale("place", "3")).After(End("narrow", "base", "12")).After(End("wide", "base", "16")).After(End("narrow", "ratio", "1.5")).After(End("wide", "ratio", "2"));
        Assert.Equal([5.3333m, 8, 12, 18, 27, 40.5m, 60.75m], site.Space.Steps.Select(s => s.Size.Amount()));
        Assert.Equal([4, 8, 16, 32, 64, 128, 256], site.Space.Steps.Select(s => s.Wide is NumberValue wide ? wide.Number : s.Size.Amount()));
        Assert.Equal(SpaceStep.Same, site.Space.Steps[1].Wide);
        Assert.Contains("--space-2: 0.5rem;", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
        Assert.Contains("--space-4: clamp(1.125rem,", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
        Assert.Contains("one by one", site.Refused(new SetThing("space", "space-1", "size", "5px")).Message, StringComparison.Ordinal);
        // One that is added goes on with the scale; the base stays one of the spaces when the last ones go.
        var added = site.After(new AddThing("space", "space-8", null));
        Assert.Equal((91.125m, 512m), (added.Space.Steps[7].Size.Amount(), added.Space.Steps[7].Wide.Amount()));
        var few = site.After(Scale("by", "one by one")).After(new RemoveThing("space", "space-7", "space-6")).After(new SetThing("space", "space-1", "size", "5px"));
        Assert.Equal(5, few.Space.Steps[0].Size.Amount());
        Assert.Equal(40.5m, few.Space.Steps[5].Size.Amount());
        Assert.Empty(SiteCheck.Problems(few));
    }

    [Theory]
    [InlineData("spaceEnd", "narrow", "ratio", "0", "at least 1.05")]
    [InlineData("spaceEnd", "narrow", "ratio", "1", "at least 1.05")]
    [InlineData("spaceEnd", "narrow", "width", "1280", "lies below the wide one")]
    [InlineData("spaceEnd", "wide", "width", "300", "lies above the narrow one")]
    [InlineData("spaceEnd", "narrow", "base", "1e3", "at most 200")]
    [InlineData("space", "space-1", "size", "-4px", "cannot be negative")]
    [InlineData("space", "space-1", "size", "1e9px", "too large")]
    [InlineData("space", "space-1", "size", "space 2", "made of no other")]
    [InlineData("space", "space-1", "wide", "12em", "px")]
    [InlineData("spaceScale", "scale", "place", "9", "space 1 to space 7")]
    [InlineData("pageSpacing", "narrow", "gap", "as narrower", "Nothing is narrower")]
    [InlineData("pageSpacing", "wide", "gap", "gutter", "spaces and lengths")]
    [InlineData("pageSpacing", "wide", "content-width", "-1px", "cannot be negative")]
    [InlineData("paper", "paper", "width", "0", "at least 1")]
    [InlineData("paper", "paper", "folds-below", "10", "at least 300")]
    public void What_cannot_be_is_said_at_its_place(string kind, string id, string field, string text, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new SetThing(kind, id, field, text)).Message, StringComparison.Ordinal);

    [Theory]
    [InlineData("2vw", 1000.0, 20.0)]
    [InlineData("1.5rem", 1000.0, 24.0)]
    [InlineData("40ch", 1000.0, null)]
    [InlineData("5%", 1000.0, null)]
    [InlineData("2em", 1000.0, null)]
    public void Spaces_take_every_unit_and_say_what_is_known_of_them(string text, double width, double? px)
    {
        var site = Demo.Site.After(new SetThing("space", "space-2", "size", text));
        Assert.Equal(px, SpaceScales.At(site, site.Space.Steps[1], width));
        Assert.Contains($"--space-2: {text};", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
    }

    [Fact]
    public void A_space_that_is_not_px_at_both_ends_is_not_fluid() =>
        Assert.Contains("px or rem", Demo.Site.After(new SetThing("space", "space-2", "size", "2em")).Refused(new SetThing("space", "space-2", "wide", "12")).Message, StringComparison.Ordinal);

    [Fact]
    public void Measures_of_the_page_hold_from_one_break_to_the_next()
    {
        var site = Demo.Site.After(new SetThing("pageSpacing", "middle", "gutter", "space 5")).After(new SetThing("pageSpacing", "wide", "gutter", "40px"));
        Assert.Equal([24, 24, 32, 32, 40, 40], new[] { 390.0, 599, 600, 819, 820, 1280 }.Select(w => Lengths.At(site, new ReferenceValue(PageMeasureKind.Kind, "gutter"), w)!.Value));
        var css = SiteRelease.StyleSheet(site);
        Assert.Contains("--page-gutter: var(--space-4);", css, StringComparison.Ordinal);
        Assert.Matches(@"\(width >= 600px\) \{\s+:root \{\s+--page-gutter: var\(--space-5\);", css);
        Assert.Matches(@"\(width >= 820px\) \{\s+:root \{\s+--page-gutter: 40px;", css);
        // Names of several words stand in sums and beside others.
        var padded = site.After(new SetCell("section-standard", "padding", State.Rest, null, null, "rhythm / 2 content width * 0.1"));
        Assert.Equal("(rhythm / 2) (content width * 0.1)", ValueForms.Write(padded, padded.Looks.Get("section-standard").Cells["padding"]));
    }

    [Theory]
    [InlineData("space 3 * 2", 32.0)]
    [InlineData("(space 2 + 4px) / 2", 6.0)]
    [InlineData("10vw - space 1", 96.0)]
    [InlineData("round * 2", 28.0)]
    [InlineData("2em", 40.0)]
    public void Lengths_are_reckoned_where_they_can_be(string text, double px)
    {
        var site = Demo.Site.After(new SetCell("card-row-standard", "gap", State.Rest, null, null, text));
        Assert.Equal(px, Lengths.At(site, site.Looks.Get("card-row-standard").Cells["gap"], 1000, letters: 20)!.Value, 0.001);
    }

    private static SetThing Scale(string field, string text) => new("spaceScale", "scale", field, text);

    private static SetThing End(string end, string field, string text) => new("spaceEnd", end, field, text);

    private static double[] Numbers(string css) => [.. Number().Matches(css).Select(m => double.Parse(m.Value.Replace(" ", "", StringComparison.Ordinal)))];

    [GeneratedRegex(@"[-+]?\s?\d+(\.\d+)?")]
    private static partial Regex Number();
}
