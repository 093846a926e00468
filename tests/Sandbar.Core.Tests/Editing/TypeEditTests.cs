using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Typography;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Scale, text styles and families: each setting comes out again in the released stylesheet, and what cannot be is refused at its place.</summary>
public class TypeEditTests
{
    // The sizes are those of utopia-core 1.6.0 for the same numbers.
    [Theory]
    [InlineData(ScaleSetting.NarrowWidth, "400", "--size-1: clamp(1.275rem, 1.2153rem + 0.2386vw, 1.4063rem)")]
    [InlineData(ScaleSetting.NarrowBase, "16px", "--size-0: clamp(1rem, 0.9452rem + 0.2247vw, 1.125rem)")]
    [InlineData(ScaleSetting.NarrowRatio, "1.5", "--size-1: clamp(1.4063rem, 1.6759rem - 0.3371vw, 1.5938rem)")]
    [InlineData(ScaleSetting.WideWidth, "1400 px", "--size-0: clamp(1.0625rem, 1.0384rem + 0.099vw, 1.125rem)")]
    [InlineData(ScaleSetting.WideBase, "20", "--size-0: clamp(1.0625rem, 0.9803rem + 0.3371vw, 1.25rem)")]
    [InlineData(ScaleSetting.WideRatio, "1.2", "--size-1: clamp(1.275rem, 1.2421rem + 0.1348vw, 1.35rem)")]
    public void Every_number_of_the_scale_is_released(ScaleSetting setting, string text, string css)
    {
        var sheet = SiteRelease.StyleSheet(Demo.Site.After(new SetScale(setting, text)));
        Assert.Contains(css, sheet, StringComparison.Ordinal);
        Assert.DoesNotContain(css, SiteRelease.StyleSheet(Demo.Site), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(ScaleSetting.NarrowBase, "-4", "between 8 and 48 px")]
    [InlineData(ScaleSetting.NarrowBase, "NaN", "not a number")]
    [InlineData(ScaleSetting.NarrowBase, "1e999", "not a number")]
    [InlineData(ScaleSetting.WideRatio, "1,25", "not a ratio")]
    [InlineData(ScaleSetting.WideRatio, "9", "between 1 and 2.")]
    [InlineData(ScaleSetting.NarrowWidth, "1280", "between 200 and 1279 px")]
    [InlineData(ScaleSetting.WideWidth, "390", "between 391 and 4000 px")]
    public void A_scale_that_cannot_be_is_refused(ScaleSetting setting, string text, string said)
    {
        var problem = Demo.Site.Refused(new SetScale(setting, text));
        Assert.Equal("/text", problem.Path);
        Assert.Contains(said, problem.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(TextStyleSetting.Family, "fraunces", "font-family: var(--family-heading);", "Fraunces")]
    [InlineData(TextStyleSetting.Size, "size +2", "font-size: var(--size-2);", "size +2")]
    [InlineData(TextStyleSetting.Size, "21px", "font-size: 21px;", "21px")]
    [InlineData(TextStyleSetting.Weight, "350", "font-weight: 350;", "350")]
    [InlineData(TextStyleSetting.LineHeight, "1.75", "line-height: 1.75;", "1.75")]
    [InlineData(TextStyleSetting.LineHeight, "29px", "line-height: 29px;", "29px")]
    [InlineData(TextStyleSetting.LetterSpacing, "0.03em", "letter-spacing: 0.03em;", "0.03em")]
    [InlineData(TextStyleSetting.Case, "capitals", "text-transform: uppercase;", "capitals")]
    [InlineData(TextStyleSetting.Slant, "Italic", "font-style: italic;", "italic")]
    public void Every_setting_of_a_text_style_is_released_and_read_again(TextStyleSetting setting, string typed, string css, string read)
    {
        var site = Demo.Site.After(new SetTextStyle("lead", setting, typed));
        var rule = SiteRelease.StyleSheet(site);
        var lead = rule[rule.IndexOf(".paragraph-lead {", StringComparison.Ordinal)..];
        Assert.Contains(css, lead[..lead.IndexOf('}')], StringComparison.Ordinal);
        Assert.Equal(read, TextStyleSettings.Write(site, site.Typography.Styles.Get("lead"), setting));
    }

    [Fact]
    public void Every_name_that_is_offered_can_be_typed()
    {
        var style = Demo.Site.Typography.Styles.Get("lead");
        foreach (var setting in Enum.GetValues<TextStyleSetting>())
        {
            Assert.NotEmpty(TextStyleSettings.Names(Demo.Site, style, setting));
            foreach (var name in TextStyleSettings.Names(Demo.Site, style, setting)) Demo.Site.After(new SetTextStyle("lead", setting, name));
        }
    }

    [Theory]
    [InlineData(TextStyleSetting.Family, "Elsewhere", "has no family")]
    [InlineData(TextStyleSetting.Size, "-3px", "at least 1")]
    [InlineData(TextStyleSetting.Size, "size 9", "There is size -2 to size 5")]
    [InlineData(TextStyleSetting.Weight, "bold", "whole number")]
    [InlineData(TextStyleSetting.LineHeight, "0", "between 0.5 and 5")]
    [InlineData(TextStyleSetting.LineHeight, "NaN", "cannot be read")]
    [InlineData(TextStyleSetting.Case, "wavy", "Case takes")]
    [InlineData(TextStyleSetting.Slant, "sideways", "upright or italic")]
    public void A_setting_that_cannot_be_is_refused(TextStyleSetting setting, string typed, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new SetTextStyle("lead", setting, typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void Text_styles_come_and_go_and_stay_while_they_are_used()
    {
        var site = Demo.Site.After(new AddTextStyle("small-print", "Small print", "caption"));
        Assert.Equal(Demo.Site.Typography.Styles.Get("caption").Size, site.Typography.Styles.Get("small-print").Size);
        Assert.Equal("Fine print", site.After(new RenameTextStyle("small-print", "Fine print")).Typography.Styles.Get("small-print").Name);
        Assert.Null(site.After(new RemoveTextStyle("small-print")).Typography.Styles.Find("small-print"));
        Assert.Contains("is taken", site.Refused(new RenameTextStyle("small-print", "LEAD")).Message, StringComparison.Ordinal);
        Assert.Contains("is in use: Paragraph · Lead · text style", site.Refused(new RemoveTextStyle("lead")).Message, StringComparison.Ordinal);
        Assert.Contains("text of the page itself", site.Refused(new RemoveTextStyle("body")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_family_of_the_shelf_takes_the_place_of_another_with_its_files()
    {
        var site = Demo.Site.After(new SetFamily("fraunces", "literata"));
        var sheet = SiteRelease.StyleSheet(site);
        Assert.Contains("--family-heading: \"Literata\", Georgia, serif;", sheet, StringComparison.Ordinal);
        Assert.Contains("literata-latin-wght-normal.woff2\") format(\"woff2\");\n  font-weight: 200 900;", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain("Fraunces", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain(site.Shelf, i => i.Name == "Fraunces");
        Assert.Empty(SiteCheck.Problems(site));
        Assert.Contains("part of the site already", site.Refused(new SetFamily("fraunces", "figtree")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Every_family_of_the_shelf_can_be_taken_and_has_letters_and_a_licence()
    {
        var site = Demo.Site;
        foreach (var family in BundledFamilies.All)
        {
            // "wOF2", the signature of the WOFF File Format 2.0 (W3C).
            Assert.All(family.Assets, a => Assert.Equal("wOF2"u8.ToArray(), a.Bytes[..4]));
            if (site.Typography.Families.Any(f => f.Name == family.Name)) continue;
            site = site.After(new AddFamily($"new-{family.Id}", family.Id));
            Assert.Empty(SiteCheck.Problems(site));
            Assert.DoesNotContain(site.After(new RemoveFamily($"new-{family.Id}")).Shelf, i => i.Name == family.Name);
        }
        Assert.Equal(Enum.GetValues<FamilyClass>(), BundledFamilies.All.Select(f => f.Class).Distinct().Order());
        Assert.Contains("in use", site.Refused(new RemoveFamily("figtree")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_weight_the_family_lacks_is_said()
    {
        var site = Demo.Site.After(new SetTextStyle("lead", TextStyleSetting.Weight, "200"));
        Assert.Equal("Figtree has 300–900", TextStyleSettings.Note(site, site.Typography.Styles.Get("lead"), TextStyleSetting.Weight));
    }
}
