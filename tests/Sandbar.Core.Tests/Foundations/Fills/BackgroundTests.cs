using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Foundations.Fills;

/// <summary>Backgrounds as CSS. How layers are blended is held against Chromium in FillPixelTests.</summary>
public class BackgroundTests
{
    private static readonly Site Site = Demo.WithoutOwnFills with
    {
        Fills = new([Demo.Site.Fills.Gradients.Get("dawn"), Demo.Site.Fills.Gradients.Get("allotment")])
        {
            Backgrounds = [new("b", "wall", "wall", [new("one", new ReferenceValue("gradient", "dawn")), new("two", new ReferenceValue("role", "action")) { Blend = new WordValue("multiply") }])],
        },
    };

    [Fact]
    public void Layers_are_images_in_order_with_how_they_are_blended()
    {
        Assert.Equal(("var(--gradient-dawn), linear-gradient(var(--role-action), var(--role-action))", "normal, multiply"), Written(Site));
        // Of what is less than whole every colour is fainter; what is off is not painted.
        var faint = Site.After(new SetThing("background", "one", "opacity", "30%", "b"));
        Assert.StartsWith("linear-gradient(160deg in srgb, color-mix(in srgb, var(--role-raised) 30%, transparent) 0%", Written(faint).Images, StringComparison.Ordinal);
        Assert.Equal(("var(--gradient-dawn)", "normal"), Written(Site.After(new SetThing("background", "two", "shown", "off", "b"))));
        Assert.Equal(("none", "normal"), Written(Site.After(new SetThing("background", "two", "shown", "off", "b")).After(new SetThing("background", "one", "shown", "off", "b"))));
        // A mesh is as many images as it has points, each blended alike.
        var mesh = Site.After(new SetThing("background", "one", "fill", "allotment", "b")).After(new SetThing("background", "one", "blend", "screen", "b"));
        Assert.Equal("screen, screen, screen, screen, multiply", Written(mesh).Blends);
    }

    [Fact]
    public void A_part_wears_one_with_its_blends()
    {
        var worn = Site.After(new SetCell("card-standard", "background", State.Rest, null, null, "wall"));
        var rule = StyleSheetRenderer.Render(worn).Rules.Single(r => r.Key == "look card-standard rest");
        Assert.Equal(["border-box", "var(--background-wall)", "var(--background-wall-blend)"], rule.Declarations.Where(d => d.Name.StartsWith("background", StringComparison.Ordinal)).Select(d => d.Value));
        // It does not run along a line.
        Assert.Contains("No gradient is called", worn.Refused(new SetThing("border", "hairline", "along", "wall")).Message, StringComparison.Ordinal);
        Assert.Equal("card · standard · background", Uses.Of(worn, "background", "b").Single().Words, ignoreCase: true);
        Assert.Contains("wall", Uses.Of(worn, "gradient", "dawn").Single().Words, StringComparison.Ordinal);
    }

    private static (string Images, string Blends) Written(Site site)
    {
        var sheet = SiteRelease.StyleSheet(site);
        string Value(string name) => sheet.Split($"--{name}: ")[1].Split(";\n")[0];
        return (Value("background-wall"), Value("background-wall-blend"));
    }
}
