using System.Text.Json.Nodes;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;

namespace Sandbar.Core.Tests.Interchange;

/// <summary>Sites as files: what is written is read again, and what is broken is refused with its place.</summary>
public class SiteFileTests
{
    private static readonly string Text = SiteFile.Write(Demo.Site);

    [Fact]
    public void What_is_written_is_read_again()
    {
        Assert.Empty(SiteCheck.Problems(Demo.Site));
        var read = SiteFile.Read(Text);
        Assert.Empty(Patch.Between(Demo.Site, read).Changes);
        Assert.Equal(Text, SiteFile.Write(read));
        Assert.Equal(SiteRelease.Files(Demo.Site).Select(f => f.Text), SiteRelease.Files(read).Select(f => f.Text));
    }

    [Theory]
    [InlineData("", "line 1, column 1")]
    [InlineData("{\n  \"format\": 1,\n  \"name\": oops\n}", "line 3")]
    [InlineData("[]", "not a site file")]
    [InlineData("{\"name\":\"x\"}", "not a site file")]
    [InlineData("{\"format\":\"one\"}", "whole number")]
    [InlineData("{\"format\":0}", "no format 0")]
    [InlineData("{\"format\":3}", "of format 3, and this Sandbar reads up to 2")]
    [InlineData("{\"format\":1}", "lacks something")]
    public void What_is_no_site_is_refused_with_a_sentence(string text, string said) =>
        Assert.Contains(said, Assert.ThrowsAny<FormatException>(() => SiteFile.Read(text)).Message, StringComparison.Ordinal);

    /// <summary>A name that was free when the file was saved, and has come to mean something where it is typed.</summary>
    [Theory]
    [InlineData("gap")]
    [InlineData("Gutter")]
    [InlineData("inner")]
    [InlineData("content width")]
    public void What_is_called_like_something_new_gets_a_name_of_its_own(string name)
    {
        var site = Demo.Site with
        {
            Edges = Demo.Site.Edges with { Radii = [.. Demo.Site.Edges.Radii.Select(r => r.Id == "round" ? r with { Name = name, CssName = "round" } : r)] },
            Overrides = new("a { border-radius: var(--radius-round) }"),
        };
        var read = SiteFile.Read(SiteFile.Write(site));
        Assert.Equal($"{name} radius", read.Edges.Radii.Get("round").Name);
        Assert.Contains($"var(--radius-{Names.Slug(name)}-radius)", read.Overrides.Site, StringComparison.Ordinal);
        Assert.Equal(site.Looks.Get("card-standard").Cells["radius"], read.Looks.Get("card-standard").Cells["radius"]);
    }

    [Fact]
    public void A_file_of_more_values_than_can_be_held_is_refused_before_they_are()
    {
        var refused = Assert.Throws<FormatException>(() => SiteFile.Read($"{{\"format\":2,\"x\":[{string.Concat(Enumerable.Repeat("[],", 1_000_000))}[]]}}"));
        Assert.Contains("2 million values", refused.Message, StringComparison.Ordinal);
    }

    /// <summary>Whatever could break out of a stylesheet, a page or a folder, or lead nowhere.</summary>
    [Theory]
    [InlineData("/slug", "\"../x\"", "/slug")]
    [InlineData("/palette/colors/0/color/css", "\"red; } body { display: none\"", "/palette/colors/beet/color")]
    [InlineData("/palette/colors/0/cssName", "\"a: red; --b\"", "/palette/colors/beet/cssName")]
    [InlineData("/palette/colors/1/id", "\"beet\"", "/palette/colors")]
    [InlineData("/palette/schemes/0/turnsInto/id", "\"noon\"", "/palette/schemes/day/turns-into")]
    [InlineData("/palette/schemes/0/colors/link/id", "\"nothing\"", "/palette/schemes/day/colors/link")]
    [InlineData("/palette/schemes/0/colors/ground", "{\"kind\":\"readable\",\"on\":{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"ground\",\"step\":0}}", "/palette/schemes/day/colors/ground")]
    [InlineData("/type/families/0/stack", "\"x; } * { color: red\"", "/type/families/fraunces/stack")]
    [InlineData("/type/scale/ends/0/ratio/number", "0", "/type/scale/ends/narrow/ratio")]
    [InlineData("/type/styles/0/case/word", "\"none; color: red\"", "/type/styles/body/case")]
    [InlineData("/type/styles/0/case/word", "\"pictures/a.svg\\n\"", "/type/styles/body/case: Case does not take “pictures/a.svg”.")]
    [InlineData("/type/styles/0/family/id", "\"gone\"", "/type/styles/body/family")]
    [InlineData("/edges/borders/0/style/word", "\"solid; }\"", "/edges/borders/hairline/style")]
    [InlineData("/looks/0/part", "\"marquee\"", "part")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"word\",\"word\":\"red; }\"}", "background")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"gone\",\"step\":0}", "background")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"rest\",\"step\":1}", "background")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"readable\",\"on\":{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"ground\",\"step\":0}}", "does not take readable on ground.")]
    [InlineData("/looks/0/cells/padding", "{\"kind\":\"number\",\"number\":1,\"unit\":\"px; }\"}", "padding")]
    [InlineData("/pages/1/slug", "\"../../etc/x\"", "/pages/catalogue/slug")]
    [InlineData("/pages/1/slug", "\"index\"", "/pages")]
    [InlineData("/pages/0/scheme", "\"gone\"", "/pages/home/scheme")]
    [InlineData("/pages/0/sections/0/look", "\"button-plain\"", "/pages/home/sections/home-banner/look")]
    [InlineData("/pages/0/sections/0/id", "\"x } body {\"", "/pages/home/sections")]
    [InlineData("/type/styles/0/size", "{\"kind\":\"word\",\"word\":\"red;background:url(http://127.0.0.1)\"}", "/type/styles/body/size")]
    [InlineData("/edges/borders/0/color", "{\"kind\":\"reference\",\"to\":\"textStyle\",\"id\":\"body\",\"step\":0}", "/edges/borders/hairline/color")]
    [InlineData("/fills/gradients/0/stops/0/color", "{\"kind\":\"reference\",\"to\":\"gradient\",\"id\":\"dawn\",\"step\":0}", "/fills/gradients/dawn/stops/stop-1/color")]
    [InlineData("/pages/0/id", "\"specimen\"", "/pages/specimen")]
    [InlineData("/palette/colors/0/name", "\"action\"", "/palette/colors/beet/name")]
    [InlineData("/palette/colors/0/cssName", "\"leaf-tint-2\"", "/palette/colors/beet/cssName")]
    [InlineData("/shelf/0/file", "\"../../run\"", "/shelf/")]
    [InlineData("/shelf/0/mediaType", "\"text/html\"", "/shelf/")]
    [InlineData("/shelf/0/hash", "\"../secret\"", "/shelf/")]
    public void What_could_break_out_or_leads_nowhere_is_refused_with_its_place(string path, string value, string place)
    {
        var site = JsonNode.Parse(Text)!;
        var names = path.Split('/')[1..];
        var holder = names[..^1].Aggregate(site, (node, name) => node is JsonArray list ? list[int.Parse(name)]! : node[name]!);
        if (holder is JsonArray array) array[int.Parse(names[^1])] = JsonNode.Parse(value);
        else holder[names[^1]] = JsonNode.Parse(value);
        var refused = Assert.Throws<FormatException>(() => SiteFile.Read(site.ToJsonString()));
        Assert.Contains(place, refused.Message, StringComparison.Ordinal);
        Assert.DoesNotContain('\n', refused.Message);
    }
}
