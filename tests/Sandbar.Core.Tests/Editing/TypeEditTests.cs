using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Scale, text styles and families: each setting comes out again in the released stylesheet, and what cannot be is refused at its place.</summary>
public class TypeEditTests
{
    // The sizes are those of utopia-core 1.6.0 for the same numbers.
    [Theory]
    [InlineData("narrow", "width", "400", "--size-1: clamp(1.275rem, 1.2153rem + 0.2386vw, 1.4063rem)")]
    [InlineData("narrow", "base", "16px", "--size-0: clamp(1rem, 0.9452rem + 0.2247vw, 1.125rem)")]
    [InlineData("narrow", "ratio", "1.5", "--size-1: clamp(1.4063rem, 1.6759rem - 0.3371vw, 1.5938rem)")]
    [InlineData("wide", "width", "1400 px", "--size-0: clamp(1.0625rem, 1.0384rem + 0.099vw, 1.125rem)")]
    [InlineData("wide", "base", "20", "--size-0: clamp(1.0625rem, 0.9803rem + 0.3371vw, 1.25rem)")]
    [InlineData("wide", "ratio", "1.2", "--size-1: clamp(1.275rem, 1.2421rem + 0.1348vw, 1.35rem)")]
    public void Every_number_of_the_scale_is_released(string end, string field, string text, string css)
    {
        var sheet = SiteRelease.StyleSheet(Demo.Site.After(Do.Scale(end, field, text)));
        Assert.Contains(css, sheet, StringComparison.Ordinal);
        Assert.DoesNotContain(css, SiteRelease.StyleSheet(Demo.Site), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("narrow", "base", "-4", "at least 8px")]
    [InlineData("narrow", "base", "NaN", "cannot be read")]
    [InlineData("narrow", "base", "1e999", "too large")]
    [InlineData("wide", "ratio", "1,25", "was not expected")]
    [InlineData("wide", "ratio", "9", "at most 2.")]
    [InlineData("narrow", "width", "1280", "below the wide one, 1280px")]
    [InlineData("wide", "width", "390", "above the narrow one, 390px")]
    public void A_scale_that_cannot_be_is_refused(string end, string field, string text, string said)
    {
        var problem = Demo.Site.Refused(Do.Scale(end, field, text));
        Assert.Equal("/text", problem.Path);
        Assert.Contains(said, problem.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("family", "fraunces", "font-family: var(--family-heading);", "Fraunces")]
    [InlineData("size", "size +2", "font-size: var(--size-2);", "size +2")]
    [InlineData("size", "21px", "font-size: 21px;", "21px")]
    [InlineData("weight", "350", "font-weight: 350;", "350")]
    [InlineData("line-height", "1.75", "line-height: 1.75;", "1.75")]
    [InlineData("line-height", "29px", "line-height: 29px;", "29px")]
    [InlineData("letter-spacing", "0.03em", "letter-spacing: 0.03em;", "0.03em")]
    [InlineData("case", "capitals", "text-transform: uppercase;", "capitals")]
    [InlineData("slant", "Italic", "font-style: italic;", "italic")]
    public void Every_setting_of_a_text_style_is_released_and_read_again(string field, string typed, string css, string read)
    {
        var site = Demo.Site.After(Do.Style("lead", field, typed));
        var rule = SiteRelease.StyleSheet(site);
        var lead = rule[rule.IndexOf(".paragraph-lead {", StringComparison.Ordinal)..];
        Assert.Contains(css, lead[..lead.IndexOf('}')], StringComparison.Ordinal);
        Assert.Equal(read, Read(site, field));
    }

    [Fact]
    public void Every_name_that_is_offered_can_be_typed()
    {
        var kind = TextStyleKind.Description;
        var style = Demo.Site.Type.Styles.Get("lead");
        foreach (var field in kind.Fields(Demo.Site))
        {
            var names = (kind.Suggested(Demo.Site, style, field) ?? field.Setting.Names(Demo.Site)).ToList();
            Assert.NotEmpty(names);
            foreach (var name in names) Demo.Site.After(Do.Style("lead", field.Id, name));
        }
    }

    [Theory]
    [InlineData("family", "Elsewhere", "No family is called")]
    [InlineData("size", "-3px", "at least 1")]
    [InlineData("size", "size 9", "There is size −2 to size +5")]
    [InlineData("weight", "bold", "cannot be read")]
    [InlineData("line-height", "0", "between 0.5 and 5")]
    [InlineData("line-height", "NaN", "cannot be read")]
    [InlineData("case", "wavy", "Case takes")]
    [InlineData("slant", "sideways", "upright or italic")]
    public void A_setting_that_cannot_be_is_refused(string field, string typed, string said) =>
        Assert.Contains(said, Demo.Site.Refused(Do.Style("lead", field, typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void Text_styles_come_and_go_and_stay_while_they_are_used()
    {
        var site = Demo.Site.After(Do.NewStyle("small-print", "Small print", "caption"));
        Assert.Equal(Demo.Site.Type.Styles.Get("caption").Size, site.Type.Styles.Get("small-print").Size);
        Assert.Equal("Fine print", site.After(new RenameThing("textStyle", "small-print", "Fine print")).Type.Styles.Get("small-print").Name);
        Assert.Null(site.After(new RemoveThing("textStyle", "small-print")).Type.Styles.Find("small-print"));
        Assert.Contains("is taken", site.Refused(new RenameThing("textStyle", "small-print", "LEAD")).Message, StringComparison.Ordinal);
        Assert.Contains("is in use: Paragraph · Lead · text style", site.Refused(new RemoveThing("textStyle", "lead")).Message, StringComparison.Ordinal);
        Assert.Contains("text of the page itself", site.Refused(new RemoveThing("textStyle", "body")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_family_of_the_shelf_takes_the_place_of_another_with_its_files()
    {
        var site = Demo.Site.After(Do.Letters("fraunces", "Literata"));
        var sheet = SiteRelease.StyleSheet(site);
        Assert.Contains("--family-heading: \"Literata\", \"Literata Fallback\", Georgia, serif;", sheet, StringComparison.Ordinal);
        Assert.Contains("literata-latin-wght-normal.woff2\") format(\"woff2\");\n  font-weight: 200 900;", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain("Fraunces", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain(site.Shelf, i => i.Name == "Fraunces");
        Assert.Empty(SiteCheck.Problems(site));
        Assert.Contains("is taken", site.Refused(Do.Letters("fraunces", "Figtree")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Every_family_of_the_shelf_can_be_taken_and_has_letters_and_a_licence()
    {
        var site = Demo.Site;
        foreach (var family in BundledFamilies.All)
        {
            // "wOF2", the signature of the WOFF File Format 2.0 (W3C).
            Assert.All(family.Assets, a => Assert.Equal("wOF2"u8.ToArray(), a.Bytes[..4]));
            if (site.Type.Families.Any(f => f.Name == family.Name)) continue;
            site = site.After(Do.NewFamily($"new-{family.Id}", family.Name));
            Assert.Empty(SiteCheck.Problems(site));
            Assert.DoesNotContain(site.After(Do.RemoveFamily($"new-{family.Id}")).Shelf, i => i.Name == family.Name);
        }
        Assert.Equal(Enum.GetValues<FamilyClass>(), BundledFamilies.All.Select(f => f.Class).Distinct().Order());
        Assert.Contains("in use", site.Refused(Do.RemoveFamily("figtree")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_weight_the_family_lacks_is_said()
    {
        var site = Demo.Site.After(Do.Style("lead", "weight", "200"));
        var kind = TextStyleKind.Description;
        Assert.Equal("Figtree has 300–900", kind.Note(site, site.Type.Styles.Get("lead"), kind.Field(site, "weight")!));
    }

    private static string Read(Site site, string field)
    {
        var found = TextStyleKind.Description.Field(site, field)!;
        return found.Setting.Write(site, found.Get(site.Type.Styles.Get("lead")));
    }
}
