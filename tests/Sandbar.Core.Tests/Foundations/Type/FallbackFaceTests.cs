using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Fonts;

namespace Sandbar.Core.Tests.Foundations.Type;

/// <summary>Faces that keep the place of fonts on their way. That lines and text take the same room with them is held in Chromium (<c>FallbackFaceTests</c> of the browser).</summary>
public class FallbackFaceTests
{
    /// <summary>Debian's fonts-liberation, which Chromium's package brings along.</summary>
    [Theory]
    [InlineData("Sans", "sans-serif")]
    [InlineData("Serif", "serif")]
    [InlineData("Mono", "monospace")]
    public void Local_fonts_are_as_wide_as_those_of_Debian(string name, string generic)
    {
        foreach (var (style, weight, italic) in new[] { ("Regular", 400, false), ("Bold", 700, false), ("Italic", 400, true), ("BoldItalic", 700, true) })
        {
            var file = $"/usr/share/fonts/truetype/liberation/Liberation{name}-{style}.ttf";
            Assert.SkipUnless(File.Exists(file), "fonts-liberation is not there.");
            var font = Sandbar.Fonts.FontFile.Read(File.ReadAllBytes(file));
            using var measure = new TextMeasure(font);
            var local = LocalFont.For(generic, weight, italic);
            Assert.Equal(measure.Width(FallbackFace.Sample, 1, 400), local.SampleWidth, 1e-3);
            Assert.Contains(local.Names, n => n.StartsWith($"Liberation {name}", StringComparison.Ordinal));
        }
    }

    [Fact]
    public void Every_family_of_a_site_has_one_behind_it_in_its_list()
    {
        var css = StyleSheetText.Release(StyleSheetRenderer.Render(Demo.Site), item => item.File);
        foreach (var family in Demo.Site.Type.Families)
        {
            var first = FamilyList.First(family.Stack);
            Assert.Contains($"--family-{family.CssName}: \"{first}\", \"{first} Fallback\",", css, StringComparison.Ordinal);
            Assert.Contains($"font-family: \"{first} Fallback\";", css, StringComparison.Ordinal);
        }
    }

    /// <summary>Random site files found it: weights that end before they begin.</summary>
    [Fact]
    public void Whatever_weights_a_file_says_it_holds_there_is_a_release()
    {
        var families = Demo.Site.Type.Families.Select(f => f with { Files = [.. f.Files.Select(file => file with { WeightFrom = 100, WeightTo = 0 })] });
        var site = Demo.Site with { Type = Demo.Site.Type with { Families = [.. families] } };
        Assert.All(SiteRelease.Files(site), file => Assert.True(file.Text is not null || file.Hash is not null));
    }

    [Fact]
    public void A_family_without_files_stands_for_itself()
    {
        var family = Demo.Site.Type.Families[0] with { Files = [], Stack = "Georgia, serif" };
        Assert.Empty(FallbackFace.All(Demo.Site.Type with { Families = [family] }));
        Assert.Equal("Georgia, serif", FallbackFace.Stack(family));
        Assert.Equal("\"A\", \"B\"", FamilyList.After("\"A\"", "B"));
    }
}
