using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;

namespace Sandbar.Core.Tests.Rendering;

/// <summary>Of fonts just those are released that pages can need.</summary>
public class UsedFontsTests
{
    private static string[] Fonts(Site site) => [.. SiteRelease.Files(site).Where(f => f.Path.EndsWith(".woff2", StringComparison.Ordinal)).Select(f => Path.GetFileNameWithoutExtension(f.Path)).Order(StringComparer.Ordinal)];

    private static Site Plain => Demo.Site with { Pages = [Demo.Site.Pages[0] with { Sections = [] }], Overrides = new("") };

    [Fact]
    public void Letters_of_other_languages_come_when_they_are_written()
    {
        Assert.DoesNotContain(Fonts(Plain), f => f.Contains("latin-ext", StringComparison.Ordinal));
        Site Labelled(string label) => Plain with { Menus = [Plain.Menus[0] with { Items = [Plain.Menus[0].Items[0] with { Label = label }] }] };
        // Also by its number, as a capital, and as overrides may write it.
        Assert.Contains("figtree-latin-ext-wght-normal", Fonts(Labelled("&#321;")));
        Assert.Contains("figtree-latin-ext-wght-normal", Fonts(Labelled("ÿ")));
        Assert.DoesNotContain("figtree-latin-ext-wght-normal", Fonts(Labelled("é")));
        Assert.Contains("figtree-latin-ext-wght-normal", Fonts(Plain with { Overrides = new("p::after { content: \"\\141\" }") }));
        var named = Plain with { Menus = [Plain.Menus[0] with { Items = [Plain.Menus[0].Items[0] with { Label = "Łódź" }] }] };
        Assert.Contains("figtree-latin-ext-wght-normal", Fonts(named));
        Assert.Contains("unicode-range: U+0100-02BA,", SiteRelease.StyleSheet(named), StringComparison.Ordinal);
    }

    [Fact]
    public void Italics_come_when_a_style_or_a_phrase_leans()
    {
        Assert.DoesNotContain(Fonts(Plain), f => f.EndsWith("figtree-latin-wght-italic", StringComparison.Ordinal));
        Assert.Contains("figtree-latin-wght-italic", Fonts(Plain.After(Do.Style("body", "slant", "italic"))));
        Assert.Contains("figtree-latin-wght-italic", Fonts(Plain with { Menus = [Plain.Menus[0] with { Items = [Plain.Menus[0].Items[0] with { Label = "*Home*" }] }] }));
    }

    [Fact]
    public void Of_single_weights_those_that_are_asked_for_come_and_that_of_strong_phrases()
    {
        var site = Plain.After(new SetThing("family", "figtree", "letters", "Zilla Slab"));
        Assert.Equal(["zilla-slab-latin-400-normal", "zilla-slab-latin-600-normal", "zilla-slab-latin-700-normal"], Fonts(site).Where(f => f.StartsWith("zilla", StringComparison.Ordinal)));
        // What overrides ask for is not followed up.
        Assert.Contains("zilla-slab-latin-300-normal", Fonts(site with { Overrides = new("p { font-weight: 300 }") }));
    }

    [Fact]
    public void A_family_that_nothing_wears_is_not_sent()
    {
        var site = Plain.After(new AddThing("family", "own", "Spare", null, new Dictionary<string, string> { ["letters"] = "Lora" }));
        Assert.DoesNotContain(Fonts(site), f => f.StartsWith("lora", StringComparison.Ordinal));
        Assert.DoesNotContain(SiteRelease.Files(site), f => f.Path == "fonts/licences/lora.txt");
        var overridden = site with { Overrides = new("p { font-family: var(--family-spare) }") };
        Assert.Contains("lora-latin-wght-normal", Fonts(overridden));
        Assert.Contains(SiteRelease.Files(overridden), f => f.Path == "fonts/licences/lora.txt");
    }

    [Theory]
    [InlineData("U+0000-00FF, U+0131", true)]
    [InlineData("u+41", true)]
    [InlineData("U+110000", false)]
    [InlineData("U+0-", false)]
    [InlineData("U+FF-00", false)]
    [InlineData("U+00; } body", false)]
    public void Ranges_of_characters_are_read_as_css_has_them(string text, bool taken) => Assert.Equal(taken, UnicodeRange.Read(text) is not null);
}
