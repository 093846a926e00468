using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;
using Sandbar.Core.Values;

namespace Sandbar.Core.Tests.Foundations.Type;

/// <summary>Text styles down to numerals, lines and axes, as they come out in the stylesheet.</summary>
public class TextStyleTests
{
    private static string Rule(Site site, string selector)
    {
        var css = SiteRelease.StyleSheet(site);
        var rule = css[css.IndexOf($"{selector} {{", StringComparison.Ordinal)..];
        return rule[..rule.IndexOf('}')];
    }

    [Fact]
    public void What_no_style_sets_is_not_said_and_what_one_sets_is_said_by_all_that_could_take_it_over()
    {
        Assert.DoesNotContain("font-variant-numeric", SiteRelease.StyleSheet(Demo.Site), StringComparison.Ordinal);
        var site = Demo.Site.After(Do.Style("lead", "numerals", "old-style")).After(Do.Style("lead", "fractions", "diagonal"));
        Assert.Contains("font-variant-numeric: oldstyle-nums diagonal-fractions;", Rule(site, ".paragraph-lead"), StringComparison.Ordinal);
        Assert.Contains("font-variant-numeric: normal;", Rule(site, "body"), StringComparison.Ordinal);
        Assert.Contains("font-variant-numeric: normal;", Rule(site, ".paragraph-standard"), StringComparison.Ordinal);
        // What is the element's own is said where it is set.
        site = Demo.Site.After(Do.Style("body", "line", "under")).After(Do.Style("body", "line-thickness", "0.1em")).After(Do.Style("body", "line-color", "attention"));
        Assert.Contains("text-decoration-line: underline;\n    text-decoration-style: solid;\n    text-decoration-thickness: 0.1em;\n    text-underline-offset: auto;\n    text-decoration-color: var(--role-attention);", Rule(site, ".paragraph-standard"), StringComparison.Ordinal);
        Assert.DoesNotContain("text-decoration", Rule(site, ".paragraph-lead"), StringComparison.Ordinal);
        // The page is not underlined, nor made as narrow as its text.
        Assert.DoesNotContain("text-decoration", Rule(site, "body"), StringComparison.Ordinal);
    }

    /// <summary>Another style in a state, or at a width, holds all that it is: what the first one set is taken back there.</summary>
    [Fact]
    public void A_style_of_a_state_takes_back_what_rest_sets()
    {
        var site = Demo.Site.After(Do.Style("label", "line", "through"));
        Assert.DoesNotContain("line-through", SiteRelease.StyleSheet(Demo.Site), StringComparison.Ordinal);
        site = site.After(new SetCell("menu-bar", "text-style", State.Rest, null, null, "Label")).After(new SetCell("menu-bar", "text-style", State.Hover, null, null, "Caption")).After(new SetCell("menu-bar", "underline", State.Hover, null, null, null));
        var css = SiteRelease.StyleSheet(site);
        var hover = css[css.IndexOf(".menu-bar .menu-link:hover", StringComparison.Ordinal)..];
        Assert.Contains("text-decoration-line: none;", hover[..hover.IndexOf('}')], StringComparison.Ordinal);
    }

    [Fact]
    public void A_measure_is_as_wide_as_so_many_characters_of_the_family()
    {
        var site = Demo.Site.After(Do.Style("body", "measure", "60")).After(new SetCell("paragraph-standard", "measure", State.Rest, null, null, null));
        var advance = TextFigures.Advance(site, site.Type.Styles.Get("body"))!.Value;
        Assert.InRange(advance, 0.4, 0.55);
        Assert.Contains($"max-inline-size: {NumberForm.Css((decimal)(60 * advance), "em")};", Rule(site, ".paragraph-standard"), StringComparison.Ordinal);
        Assert.DoesNotContain("max-inline-size", Rule(site, "body"), StringComparison.Ordinal);
        // Other letters are of another width.
        var other = site.After(new SetThing("family", "figtree", "letters", "Martian Mono"));
        Assert.NotEqual(Rule(site, ".paragraph-standard"), Rule(other, ".paragraph-standard"));
        Assert.Equal("List · Standard has a width of its own", Note(site, "body", "measure"));
        Assert.Equal("", Note(site.After(Do.Style("eyebrow", "measure", "30")), "eyebrow", "measure"));
        // Of fonts that devices bring along nothing is known.
        var system = site.After(new AddThing("family", "system", "System", null, new Dictionary<string, string> { ["stack"] = "Georgia, serif" })).After(Do.Style("body", "family", "System"));
        Assert.Contains("max-inline-size: 60ch;", Rule(system, ".paragraph-standard"), StringComparison.Ordinal);
        Assert.Contains(" + 60 * 0.02em);", Rule(site.After(Do.Style("body", "letter-spacing", "0.02em")), ".paragraph-standard"), StringComparison.Ordinal);
    }

    [Fact]
    public void Axes_are_those_of_the_family_within_their_ranges()
    {
        var site = Demo.Site.After(new SetThing("family", "figtree", "letters", "Martian Mono"));
        Assert.Contains("font-variation-settings: \"wdth\" 87.5;", Rule(site.After(Do.Style("body", "axes", "wdth 87.5")), ".paragraph-standard"), StringComparison.Ordinal);
        Assert.Contains("goes from 75 to 112.5", site.Refused(Do.Style("body", "axes", "wdth 130")).Message, StringComparison.Ordinal);
        Assert.Contains("has no axis SOFT: it has wdth", site.Refused(Do.Style("body", "axes", "SOFT 50")).Message, StringComparison.Ordinal);
        Assert.Contains("a setting of its own", site.Refused(Do.Style("body", "axes", "wght 500")).Message, StringComparison.Ordinal);
        Assert.Contains("set twice", site.Refused(Do.Style("body", "axes", "wdth 80, wdth 90")).Message, StringComparison.Ordinal);
        Assert.Contains("try", site.Refused(Do.Style("body", "axes", "wide 3px")).Message, StringComparison.Ordinal);
        Assert.Contains("has no axis", Demo.Site.Refused(Do.Style("body", "axes", "opsz 20")).Message, StringComparison.Ordinal);
        // Other letters may come later: what they lack is said, not refused.
        var other = site.After(Do.Style("body", "axes", "wdth 87.5")).After(new SetThing("family", "figtree", "letters", "Lora"));
        Assert.EndsWith("has no wdth", Note(other, "body", "axes"), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("weight", "1100", "at most 1000")]
    [InlineData("size", "0", "at least 1")]
    [InlineData("size", "-5px", "at least 1")]
    [InlineData("size", "1000000000px", "too large")]
    [InlineData("measure", "-1", "at least 10")]
    [InlineData("line-thickness", "-1px", "cannot be negative")]
    public void Numbers_that_no_letters_have_are_refused(string field, string typed, string said) =>
        Assert.Contains(said, Demo.Site.Refused(Do.Style("body", field, typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void Points_are_kept_as_typed()
    {
        var site = Demo.Site.After(Do.Style("body", "size", "13.5pt")).After(Do.Style("body", "line-height", "20pt"));
        Assert.Contains("font-size: 13.5pt;", Rule(site, ".paragraph-standard"), StringComparison.Ordinal);
        Assert.Equal(18, TextFigures.Size(site, site.Type.Styles.Get("body"), 390)!.Value, 1e-9);
        Assert.Equal(20.0 / 13.5, TextFigures.Spacing(site, site.Type.Styles.Get("body"))!.Value, 1e-9);
    }

    [Fact]
    public void What_a_family_lacks_is_noted()
    {
        Assert.Equal("", Note(Demo.Site, "body", "weight"));
        Assert.Contains("has 300–900", Note(Demo.Site.After(Do.Style("body", "weight", "950")), "body", "weight"), StringComparison.Ordinal);
        var abril = Demo.Site.After(new SetThing("family", "figtree", "letters", "Abril Fatface"));
        Assert.Equal("slanted by the browser", Note(abril.After(Do.Style("body", "slant", "italic")), "body", "slant"));
        Assert.Equal("made by the browser", Note(abril.After(Do.Style("body", "small-caps", "for small letters")), "body", "small-caps"));
        Assert.Equal("there is no line", Note(Demo.Site, "body", "line-offset"));
    }

    [Theory]
    [InlineData("\"Open, serif")]
    [InlineData("Georgia,, serif")]
    [InlineData("Georgia; } body { color: red")]
    [InlineData("url(x)")]
    public void A_list_that_css_does_not_take_is_refused(string typed) =>
        Assert.Contains("not a list of families", Demo.Site.Refused(new AddThing("family", "own", "Own", null, new Dictionary<string, string> { ["stack"] = typed })).Message, StringComparison.Ordinal);

    [Fact]
    public void A_list_begins_with_the_letters_of_its_files()
    {
        Assert.Contains("begins with \"Figtree\"", Demo.Site.Refused(new SetThing("family", "figtree", "stack", "Georgia, serif")).Message, StringComparison.Ordinal);
        var site = Demo.Site.After(new SetThing("family", "figtree", "stack", "Figtree, Verdana, sans-serif"));
        Assert.Contains("--family-text: Figtree, \"Figtree Fallback\", Verdana, sans-serif;", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
    }

    private static string Note(Site site, string style, string field) =>
        TextStyleKind.Description.Note(site, site.Type.Styles.Get(style), TextStyleKind.Description.Field(site, field)!);
}
