using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Rendering;

/// <summary>The generated sheet: origins, keys, layers, states; read back by our own parser.</summary>
public class StyleSheetTests
{
    private static readonly StyleSheet Sheet = StyleSheetRenderer.Render(Demo.Site);
    private static readonly string Text = StyleSheetText.Release(Sheet, i => i.File);

    [Fact]
    public void It_parses_without_error_and_without_force()
    {
        Assert.Empty(Parser.ParseStyleSheet(Text).Errors);
        Assert.DoesNotContain("!important", Text, StringComparison.Ordinal);
        // What filters and drawings are written in has a name that reads like an address, and is asked of nobody.
        Assert.DoesNotContain("http", Text.Replace("%3Csvg xmlns='http://www.w3.org/2000/svg'", "", StringComparison.Ordinal), StringComparison.Ordinal);
    }

    [Fact]
    public void Keys_are_unique_and_say_the_same_rule_from_version_to_version()
    {
        Assert.Equal(Sheet.Rules.Length, Sheet.Rules.Select(r => r.Key).Distinct().Count());
        var later = StyleSheetRenderer.Render(Demo.Site.After(Do.Color("beet", "red")).After(new SetCell("button-plain", "opacity", State.Off, null, null, "0.5")));
        foreach (var (before, after) in from b in Sheet.Rules join a in later.Rules on b.Key equals a.Key select (b, a)) Assert.Equal(before.Selector, after.Selector);
        Assert.Single(later.Rules, r => !Sheet.Rules.Any(b => b.Key == r.Key));
    }

    /// <summary>Every declaration leads back to something of the site or the catalogue that is really there.</summary>
    [Fact]
    public void Every_declaration_has_an_origin_that_exists()
    {
        foreach (var declaration in Sheet.Rules.SelectMany(r => r.Declarations))
        {
            var (kind, id, detail, of) = declaration.Origin;
            var exists = kind switch
            {
                OriginKind.Foundation when of == SizeKind.Kind => int.Parse(detail) >= Demo.Site.Type.Scale.Lowest && int.Parse(detail) <= Demo.Site.Type.Scale.Highest,
                OriginKind.Foundation => Kinds.Listed(of).Find(Demo.Site, id) is not null,
                OriginKind.Scheme => Demo.Site.Palette.Schemes.Get(id).Colors.ContainsKey(detail),
                OriginKind.Look => Demo.Site.Looks.Get(id).Cells.ContainsKey(detail),
                OriginKind.Structure => PartCatalogue.Find(id) is not null,
                OriginKind.Block => Blocks.Find(Demo.Site, id)!.Own.ContainsKey(detail),
                OriginKind.Base => true,
                _ => false,
            };
            Assert.True(exists, $"{declaration.Name}: {declaration.Origin}");
        }
    }

    [Fact]
    public void Every_cell_of_every_look_comes_out()
    {
        foreach (var look in Demo.Site.Looks)
        {
            foreach (var cell in look.Cells.Keys) Assert.Contains(Sheet.Rules, r => r.Declarations.Any(d => d.Origin == new Origin(OriginKind.Look, look.Id, cell)));
        }
    }

    [Fact]
    public void States_stand_in_their_order_and_hover_asks_for_a_device_that_can()
    {
        var site = Demo.Site;
        foreach (var state in Enum.GetValues<State>().Except([State.Rest])) site = site.After(new SetCell("button-filled", "opacity", state, null, null, "0.5"));
        var rules = StyleSheetRenderer.Render(site).Rules.Where(r => r.Selector.StartsWith(".button-filled", StringComparison.Ordinal)).ToList();
        Assert.Equal(
            [".button-filled", ".button-filled[aria-current]", ".button-filled:hover", ".button-filled:focus-visible", ".button-filled:active", ".button-filled:is(:disabled, [aria-disabled=\"true\"])"],
            rules.Select(r => r.Selector).Distinct());
        Assert.Contains("@media (hover: hover) {\n    .button-filled:hover", StyleSheetText.Release(StyleSheetRenderer.Render(site), i => i.File), StringComparison.Ordinal);
    }

    [Fact]
    public void A_value_relative_to_rest_is_said_again_where_rest_has_another()
    {
        var site = Demo.Site.After(new SetCell("button-filled", "background", State.Rest, 820, null, "attention"));
        var hover = StyleSheetRenderer.Render(site).Rules.Where(r => r.Selector == ".button-filled:hover").ToList();
        Assert.Equal(["var(--role-action-shade-1)", "var(--role-attention-shade-1)"], hover.Select(r => r.Declarations.Single(d => d.Name == "background").Value));
        Assert.Contains("--role-attention-shade-1: var(--color-pollen-shade-1)", StyleSheetText.Release(StyleSheetRenderer.Render(site), i => i.File), StringComparison.Ordinal);
    }

    [Fact]
    public void What_depends_on_a_role_is_declared_on_carriers_only()
    {
        foreach (var rule in Sheet.Rules.Where(r => r.Selector == ":root"))
            Assert.DoesNotContain(rule.Declarations, d => d.Name.StartsWith("--", StringComparison.Ordinal) && d.Value.Contains("--role-", StringComparison.Ordinal));
        Assert.Contains(Sheet.Rules, r => r.Selector == "[data-scheme]" && r.Declarations.Any(d => d.Name == "color"));
    }

    [Fact]
    public void Own_values_of_a_block_stand_in_the_last_layer_and_beat_the_look()
    {
        var block = Demo.Site.Frame.Header.Blocks.First(b => b.Part == "button");
        var own = block with { Own = block.Own.Add("radius", new NumberValue(0, "")) };
        var site = Demo.Site with { Frame = Demo.Site.Frame with { Header = Demo.Site.Frame.Header with { Blocks = Demo.Site.Frame.Header.Blocks.Put(own) } } };
        var rule = Assert.Single(StyleSheetRenderer.Render(site).Rules, r => r.Layer == Layer.Blocks && !StyleSheetRenderer.Render(Demo.Site).Rules.Contains(r));
        Assert.Equal((".own-header-action", "border-radius", "0"), (rule.Selector, rule.Declarations.Single().Name, rule.Declarations.Single().Value));
        Assert.Equal(new Origin(OriginKind.Block, "header-action", "radius"), rule.Declarations.Single().Origin);
        Assert.Contains("class=\"button button-filled own-header-action\"", PageWriter.Write(site, site.Pages[0], new((p, _) => p.Slug, i => i.File, "", false)), StringComparison.Ordinal);
    }

    [Fact]
    public void A_colour_in_motion_touches_the_colours_alone()
    {
        // Looks of its own: rules are kept by look, and other tests render the demo site's at the same time.
        var site = Demo.Site with { Looks = [.. Demo.Site.Looks.Select(l => l with { })] };
        var sheet = StyleSheetRenderer.Render(site);
        var later = StyleSheetRenderer.Render(site.After(Do.Color("beet", "#336699")));
        var changes = StyleSheetChanges.Between(sheet, later)!.Value;
        // And of the one mesh that has it the drawing on paper, in each scheme, where no custom property can stand.
        var change = Assert.Single(changes, c => !PrintedMeshes.Has(c.Key));
        Assert.All(changes.Where(c => c != change), c => Assert.Equal("--gradient-allotment", Assert.Single(c.Set).Name));
        Assert.Equal("color", change.Key);
        Assert.Equal(12, change.Set.Length);
        Assert.All(change.Set, d => Assert.StartsWith("--color-beet", d.Name, StringComparison.Ordinal));
        // Rules of looks are kept from before, not made again.
        Assert.Same(sheet.Rules.Single(r => r.Key == "look button-filled rest"), later.Rules.Single(r => r.Key == "look button-filled rest"));
    }

    [Fact]
    public void Rules_that_come_or_go_ask_for_the_whole_sheet()
    {
        Assert.Null(StyleSheetChanges.Between(Sheet, StyleSheetRenderer.Render(Demo.Site.After(new SetCell("button-filled", "opacity", State.Off, null, null, "0.5")))));
    }

    [Fact]
    public void A_scheme_is_dark_where_its_ground_is()
    {
        Assert.Contains(Sheet.Rules, r => r.Key == "scheme day" && r.Declarations.Any(d => d is { Name: "color-scheme", Value: "light" }));
        Assert.Contains(Sheet.Rules, r => r.Key == "scheme dusk" && r.Declarations.Any(d => d is { Name: "color-scheme", Value: "dark" }));
    }

    [Fact]
    public void A_name_cannot_break_out_of_the_sheet()
    {
        var site = Demo.Site.After(new RenameSite("*/ body { display: none } /*"));
        Assert.Empty(Parser.ParseStyleSheet(StyleSheetText.Release(StyleSheetRenderer.Render(site), i => i.File)).Errors);
        Assert.DoesNotContain(Parser.ParseStyleSheet(StyleSheetText.Release(StyleSheetRenderer.Render(site), i => i.File)).Rules, r => r is StyleRuleNode rule && rule.Items.Any(i => i is DeclarationNode { Name: "display" }));
    }

    [Fact]
    public void A_scheme_turns_for_visitors_who_prefer_dark()
    {
        var turned = Assert.Single(Sheet.Rules, r => r.Dark && r.Key.StartsWith("scheme", StringComparison.Ordinal));
        // What is written out for each scheme turns with it.
        Assert.Contains(Sheet.Rules, r => r is { Dark: true, Key: "gradient plain day dark" });
        var dusk = Sheet.Rules.Single(r => r.Key == "scheme dusk");
        Assert.Equal("[data-scheme=\"day\"]", turned.Selector);
        Assert.Equal(dusk.Declarations.Select(d => (d.Name, d.Value)), turned.Declarations.Select(d => (d.Name, d.Value)));
        Assert.Contains("@media (prefers-color-scheme: dark) {\n    [data-scheme=\"day\"]", Text, StringComparison.Ordinal);
    }

    /// <summary>In a browser's sheet a shorthand that is set sets its longhands, and one that is taken away takes them along.</summary>
    [Fact]
    public void Shorthands_and_their_longhands_change_together()
    {
        var along = Demo.Site.After(new SetThing("border", "hairline", "along", "dawn"));
        SetCell Border(string text) => new("card-standard", "border", State.Rest, null, null, text);
        ImmutableArray<RuleChange>? Between(Site before, Site after) => StyleSheetChanges.Between(StyleSheetRenderer.Render(before), StyleSheetRenderer.Render(after));
        // Another line along the same gradient: the gradient is said again after it.
        var two = along.After(new AddThing("border", "thick", "thick", "hairline")).After(new SetThing("border", "thick", "width", "4px"));
        Assert.Equal(["border", "border-image"], Assert.Single(Between(two, two.After(Border("thick")))!.Value).Set.Select(d => d.Name));
        // Linked and unlinked are other declarations: the whole sheet.
        Assert.Null(Between(Demo.Site, Demo.Site.After(Border("hairline, none"))));
        // What only begins alike goes by itself.
        Assert.Equal(["border-radius"], Assert.Single(Between(Demo.Site.After(new SetCell("card-standard", "radius", State.Rest, null, null, null)), Demo.Site)!.Value).Set.Select(d => d.Name));
    }

    [Fact]
    public void A_gradient_is_a_fill_like_any_other()
    {
        var site = Demo.Site.After(new SetCell("section-banner", "background", State.Rest, null, null, "dawn"));
        Assert.Contains(StyleSheetRenderer.Render(site).Rules, r => r.Key == "look section-banner rest" && r.Declarations.Any(d => d is { Name: "background-image", Value: "var(--gradient-dawn)" }));
        Assert.Contains("--gradient-dawn: linear-gradient(160deg, var(--role-raised) 0%, var(--role-ground) 100%);", Text, StringComparison.Ordinal);
        Assert.Equal("dawn", site.Looks.Get("section-banner").Cells["background"] is ReferenceValue { To: GradientKind.Kind } value ? ValueForms.Write(site, value) : "");
    }
}
