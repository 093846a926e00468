using CsCheck;
using Sandbar.Core.Checking;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Starting;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Starting;

/// <summary>A new site: whatever it is made from, it passes its own checks (WCAG 2.2, 1.4.3 and 1.4.11) in both schemes, on its page and on its specimen.</summary>
public class NewSiteTests
{
    [Fact]
    public void Whatever_the_colour_every_pair_can_be_read() => Gen.Select(Gen.Double[0, 1], Gen.Double[0, 0.37], Gen.Double[0, 360]).Sample((l, c, h) =>
        AssertReadable(new Color(ColorSpace.Oklch, l, c, h)), iter: 150);

    [Theory]
    [InlineData("#000000")]
    [InlineData("#ffffff")]
    [InlineData("#808080")]
    [InlineData("#ffff00")]
    [InlineData("#ff0000")]
    [InlineData("#0000ff")]
    [InlineData("#00ff00")]
    public void The_corners_of_srgb_can_be_read(string hex) => AssertReadable(ColorText.Parse(hex));

    [Fact]
    public void What_is_asked_for_is_in_it_and_the_rest_is_chosen()
    {
        var (made, problems) = NewSite.Create(new("Harbour Walks", "oklch(0.5 0.1 200)", "lora", "work-sans", "20 px"), "harbour-walks");
        Assert.Empty(problems);
        var sheet = SiteRelease.StyleSheet(made!.Site);
        Assert.Contains("--color-main: oklch(0.5 0.1 200);", sheet, StringComparison.Ordinal);
        Assert.Contains("--family-heading: \"Lora\"", sheet, StringComparison.Ordinal);
        Assert.Contains("--family-text: \"Work Sans\"", sheet, StringComparison.Ordinal);
        Assert.Contains("--size-0: clamp(1.1875rem, ", sheet, StringComparison.Ordinal);
        Assert.Equal(made.Site.Shelf.Select(i => i.Hash).Order(), made.Assets.Select(a => a.Hash).Order());

        var (plain, none) = NewSite.Create(new("Plain", null, "", " ", null), "plain");
        Assert.Empty(none);
        Assert.Empty(SiteCheck.Problems(plain!.Site));
        Assert.Equal(2, plain.Site.Type.Families.Length);
    }

    [Fact]
    public void One_family_for_all_is_one_family()
    {
        var (made, _) = NewSite.Create(new("One", null, "bitter", "bitter", null), "one");
        Assert.Equal("Bitter", Assert.Single(made!.Site.Type.Families).Name);
        Assert.Empty(SiteCheck.Problems(made.Site));
    }

    [Theory]
    [InlineData("", null, null, "/name", "Give it a name")]
    [InlineData("A", "#12", null, "/color", "“#12” is not a colour")]
    [InlineData("A", null, "NaN", "/base", "between 12 and 28")]
    [InlineData("A", null, "-18", "/base", "between 12 and 28")]
    [InlineData("A", null, "200px", "/base", "between 12 and 28")]
    public void What_cannot_be_is_refused_at_its_place(string name, string? color, string? size, string path, string said)
    {
        var (made, problems) = NewSite.Create(new(name, color, null, null, size), "a");
        Assert.Null(made);
        var problem = Assert.Single(problems);
        Assert.Equal(path, problem.Path);
        Assert.Contains(said, problem.Message, StringComparison.Ordinal);
        Assert.Equal(2, NewSite.Create(new("A", null, "gone", "gone", null), "a").Problems.Count);
    }

    private static void AssertReadable(Color color)
    {
        var (made, problems) = NewSite.Create(new("Any", ColorText.Hex(color), null, null, null), "any");
        Assert.Empty(problems);
        Assert.Empty(SiteCheck.Problems(made!.Site));
        var pairs = ContrastPairs.Of(made.Site, TestContext.Current.CancellationToken).Concat(ContrastPairs.Of(Specimen.AsOnlyPage(made.Site), TestContext.Current.CancellationToken)).ToList();
        Assert.Contains(pairs, p => p.Scheme == "dusk");
        Assert.All(pairs, p => Assert.True(p.Passes, $"{ColorText.Hex(color)}: {p.Look} {p.Property} {p.State} in {p.Scheme}: {ColorText.Hex(p.Foreground)} on {ColorText.Hex(p.Ground)} is {p.Ratio:0.00}"));
    }
}
