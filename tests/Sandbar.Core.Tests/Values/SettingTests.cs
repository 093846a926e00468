using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Tests.Values;

/// <summary>What can be typed into a cell, what it is read as, and what becomes of it. The words are the product's own; no outside source.</summary>
public class SettingTests
{
    private static readonly PartProperty Padding = Properties.Padding, Background = Properties.Background;

    private static readonly Value Action = new ReferenceValue("role", "action");

    [Theory]
    [InlineData("background", "action", "action", "var(--role-action)")]
    [InlineData("background", "Action Shade 1", "action shade 1", "var(--role-action-shade-1)")]
    [InlineData("background", "quiet text tint 2", "quiet text tint 2", "var(--role-quiet-text-tint-2)")]
    [InlineData("background", "beet tint 6", "beet tint 6", "var(--color-beet-tint-6)")]
    [InlineData("background", "#123456", "#123456", "#123456")]
    [InlineData("background", "none", "none", "none")]
    [InlineData("padding", "12px 22px", "12px 22px", "12px 22px")]
    [InlineData("padding", "12 · 22", "12px 22px", "12px 22px")]
    [InlineData("padding", "space 2 space 4", "space 2 space 4", "var(--space-2) var(--space-4)")]
    [InlineData("padding", "space 3 * 2", "(space 3 * 2)", "calc(var(--space-3) * 2)")]
    [InlineData("padding", "1px 2px 3px 4px", "1px 2px 3px 4px", "1px 2px 3px 4px")]
    [InlineData("padding", "1px 2px 3px 2px", "1px 2px 3px", "1px 2px 3px")]
    [InlineData("gap", "space 3 × 2 + 1px", "(space 3 * 2) + 1px", "calc((var(--space-3) * 2) + 1px)")]
    [InlineData("gap", "(space 1 + space 2) / 2", "(space 1 + space 2) / 2", "calc((var(--space-1) + var(--space-2)) / 2)")]
    [InlineData("gap", "1.5rem", "1.5rem", "1.5rem")]
    [InlineData("gap", "0", "0", "0")]
    [InlineData("outline-offset", "-2px", "-2px", "-2px")]
    [InlineData("radius", "soft", "soft", "var(--radius-soft)")]
    [InlineData("radius", "50%", "50%", "50%")]
    [InlineData("opacity", "0.5", "0.5", "0.5")]
    public void Reads_and_writes(string property, string typed, string written, string css)
    {
        var setting = Property(property);
        var value = setting.Read(Demo.Site, typed);
        Assert.Equal(written, setting.Write(Demo.Site, value));
        Assert.Equal(css, setting.Css(new(Demo.Site), value));
        // Reading what was written gives the same again.
        Assert.Equal(value, setting.Read(Demo.Site, written));
    }

    [Theory]
    [InlineData("background", "", "is never empty")]
    [InlineData("background", "beat", "No role or colour is called “beat”")]
    [InlineData("background", "action tint 7", "6 tints and 5 shades")]
    [InlineData("background", "rest shade 1", "other states")]
    [InlineData("padding", "-4px", "cannot be negative")]
    [InlineData("padding", "1px 2px 3px 4px 5px", "one to four")]
    [InlineData("padding", "4 apples", "cannot be read")]
    [InlineData("padding", "4pc", "not a unit")]
    [InlineData("padding", "NaN", "cannot be read")]
    [InlineData("padding", "space 9", "space 1 to space 7")]
    [InlineData("padding", "space", "space 1 to space 7")]
    [InlineData("gap", "4px / 0", "divided by 0")]
    [InlineData("gap", "4px * 4px", "plain number")]
    [InlineData("gap", "(4px", "closing )")]
    [InlineData("gap", "4px +", "is not finished")]
    [InlineData("opacity", "2", "at most 1")]
    [InlineData("opacity", "50%", "plain number")]
    [InlineData("text-style", "Bold", "No text style is called “Bold”")]
    [InlineData("border", "thick", "There are none, hairline")]
    [InlineData("underline", "dashed", "takes none or line")]
    [InlineData("gap", "99999999999999999999999999999999px", "too large")]
    public void Says_what_is_wrong(string property, string typed, string said) =>
        Assert.Contains(said, Assert.Throws<FormatException>(() => Property(property).Read(Demo.Site, typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_value_relative_to_rest_follows_it()
    {
        var shade = Background.Read(Demo.Site, "rest shade 1", Action);
        Assert.Equal("var(--role-action-shade-1)", Background.Css(new(Demo.Site), shade, Action));
        Assert.Equal("var(--color-beet-tint-1)", Background.Css(new(Demo.Site), shade, new ReferenceValue("color", "beet", 2)));
        var sides = new SidesValue(new NumberValue(1, "px"), new NumberValue(2, "px"), new NumberValue(1, "px"), new NumberValue(2, "px"));
        Assert.Equal("calc(1px * 2) calc(2px * 2)", Padding.Css(new(Demo.Site), Padding.Read(Demo.Site, "rest * 2", sides), sides));
        Assert.Equal("none", Background.Css(new(Demo.Site), Background.Read(Demo.Site, "rest", new WordValue("none")), new WordValue("none")));
    }

    [Theory]
    [InlineData("background", "rest shade 1", "none", "no tints")]
    [InlineData("radius", "rest + 2px", "none", "nothing can be reckoned with it")]
    [InlineData("background", "rest shade 9", "none", "6 tints and 5 shades")]
    public void What_rest_does_not_allow_is_said(string property, string typed, string rest, string said) =>
        Assert.Contains(said, Assert.Throws<FormatException>(() => Property(property).Read(Demo.Site, typed, new WordValue(rest))).Message, StringComparison.Ordinal);

    /// <summary>Arithmetic is typed as CSS Values and Units 4, §10.2 has it: like is added to like.</summary>
    [Theory]
    [InlineData("gap", "space 2 + 4", "calc(var(--space-2) + 4px)")]
    [InlineData("gap", "12px + 2", "calc(12px + 2px)")]
    [InlineData("gap", "space 2 + 0", "calc(var(--space-2) + 0px)")]
    [InlineData("gap", "2 * space 3", "calc(2 * var(--space-3))")]
    [InlineData("radius", "soft * 2", "calc(var(--radius-soft) * 2)")]
    public void Plain_numbers_beside_lengths_are_px(string property, string typed, string css) =>
        Assert.Equal(css, Property(property).Css(new(Demo.Site), Property(property).Read(Demo.Site, typed)));

    [Theory]
    [InlineData("gap", "2 * 3", "does not take")]
    [InlineData("gap", "4px - 20px", "cannot be negative")]
    [InlineData("columns", "1.5", "whole number")]
    [InlineData("columns", "7", "one to 6 columns")]
    [InlineData("columns", "2 : 0", "a share above 0")]
    [InlineData("columns", "1 1 1 1 1 1 1", "at most 6 columns")]
    [InlineData("columns", "2px : 1", "a share above 0")]
    [InlineData("columns", "beet", "2 : 1")]
    [InlineData("padding", "4px - 20px", "cannot be negative")]
    [InlineData("opacity", "2px", "plain number")]
    public void What_comes_to_no_value_of_its_kind_is_refused(string property, string typed, string said) =>
        Assert.Contains(said, Assert.Throws<FormatException>(() => Property(property).Read(Demo.Site, typed)).Message, StringComparison.Ordinal);

    private static PartProperty Property(string id) => PartCatalogue.All.SelectMany(p => p.Properties).First(p => p.Id == id);
}
