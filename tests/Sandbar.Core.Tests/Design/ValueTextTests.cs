using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Design;

/// <summary>What can be typed into a cell, what it is read as, and what becomes of it. The words are the product's own; no outside source.</summary>
public class ValueTextTests
{
    private static readonly PartProperty Padding = Properties.Padding, Background = Properties.Background;

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
        var value = ValueText.Read(Demo.Site, Property(property), typed);
        Assert.Equal(written, ValueText.Write(Demo.Site, value));
        Assert.Equal(css, ValueCss.Write(Demo.Site, value));
        // Reading what was written gives the same again.
        Assert.Equal(value, ValueText.Read(Demo.Site, Property(property), written));
    }

    [Theory]
    [InlineData("background", "", "Nothing was typed")]
    [InlineData("background", "beat", "No role or colour is called “beat”")]
    [InlineData("background", "action tint 7", "6 tints and 5 shades")]
    [InlineData("background", "rest shade 1", "other states")]
    [InlineData("padding", "-4px", "cannot be negative")]
    [InlineData("padding", "1px 2px 3px 4px 5px", "one to four")]
    [InlineData("padding", "4 apples", "cannot be read")]
    [InlineData("padding", "4pt", "not a unit")]
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
    [InlineData("underline", "dashed", "takes line or none")]
    [InlineData("gap", "99999999999999999999999999999999px", "too large")]
    public void Says_what_is_wrong(string property, string typed, string said) =>
        Assert.Contains(said, Assert.Throws<FormatException>(() => ValueText.Read(Demo.Site, Property(property), typed)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_value_relative_to_rest_follows_it()
    {
        var shade = ValueText.Read(Demo.Site, Background, "rest shade 1", new ReferenceValue(ReferenceKind.Role, "action", 0));
        Assert.Equal("var(--role-action-shade-1)", ValueCss.Write(Demo.Site, shade, new ReferenceValue(ReferenceKind.Role, "action", 0)));
        Assert.Equal("var(--color-beet-tint-1)", ValueCss.Write(Demo.Site, shade, new ReferenceValue(ReferenceKind.Color, "beet", 2)));
        var doubled = ValueText.Read(Demo.Site, Padding, "rest * 2", new SidesValue(new NumberValue(1, "px"), new NumberValue(2, "px"), new NumberValue(1, "px"), new NumberValue(2, "px")));
        Assert.Equal("calc(1px * 2) calc(2px * 2)", ValueCss.Write(Demo.Site, doubled,
            new SidesValue(new NumberValue(1, "px"), new NumberValue(2, "px"), new NumberValue(1, "px"), new NumberValue(2, "px"))));
        Assert.Contains("no tints", Assert.Throws<FormatException>(() => ValueText.Read(Demo.Site, Background, "rest shade 1", new WordValue("none"))).Message, StringComparison.Ordinal);
    }

    private static PartProperty Property(string id) => PartCatalogue.All.SelectMany(p => p.Properties).First(p => p.Id == id);
}
