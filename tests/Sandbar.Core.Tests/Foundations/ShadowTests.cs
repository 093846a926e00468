using System.Text.Json.Nodes;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Interchange;

namespace Sandbar.Core.Tests.Foundations;

/// <summary>Shadows of several layers. Source: CSS Backgrounds and Borders 3, §4.6: layers with commas between them, the first on top, <c>inset</c> for those inside.</summary>
public class ShadowTests
{
    private static readonly string Shadow = Demo.Site.Edges.Shadows[0].Id;

    [Fact]
    public void Layers_are_written_in_their_order_and_may_fall_inside()
    {
        var first = Demo.Site.Edges.Shadows[0].Layers[0].Id;
        var site = Demo.Site
            .After(new AddThing(ShadowKind.Kind, "second", Like: first, In: Shadow))
            .After(new SetThing(ShadowKind.Kind, "second", "side", "inner", Shadow))
            .After(new SetThing(ShadowKind.Kind, "second", "blur", "3px", Shadow))
            .After(new MoveThing(ShadowKind.Kind, "second", 0, Shadow));
        var css = new ShadowKind().Tokens(new(site)).First().Css;
        Assert.StartsWith("inset ", css, StringComparison.Ordinal);
        Assert.Contains($"), {new ShadowKind().Tokens(new(Demo.Site)).First().Css}", css, StringComparison.Ordinal);
        Assert.Contains($"{css};", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
    }

    [Fact]
    public void There_is_always_a_layer_and_never_more_than_twenty()
    {
        var layers = Demo.Site.Edges.Shadows[0].Layers;
        Assert.Contains("at least", Demo.Site.Refused(new RemoveThing(ShadowKind.Kind, layers[0].Id, In: Shadow)).Message, StringComparison.Ordinal);
        var full = Enumerable.Range(2, 19).Aggregate(Demo.Site, (site, n) => site.After(new AddThing(ShadowKind.Kind, $"l{n}", In: Shadow)));
        Assert.Contains("20", full.Refused(new AddThing(ShadowKind.Kind, "one-more", In: Shadow)).Message, StringComparison.Ordinal);
    }

    /// <summary>A document from before layers had a side.</summary>
    [Fact]
    public void Layers_that_say_no_side_fall_outside()
    {
        var root = JsonNode.Parse(SiteFile.Write(Demo.Site))!;
        foreach (var layer in root["edges"]!["shadows"]!.AsArray().SelectMany(s => s!["layers"]!.AsArray())) layer!.AsObject().Remove("side");
        Assert.Empty(Patch.Between(Demo.Site, SiteFile.Read(root.ToJsonString())).Changes);
    }
}
