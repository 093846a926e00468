using System.Text.Json.Nodes;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
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
    [InlineData("{\"format\":2}", "of format 2, and this Sandbar reads up to 1")]
    [InlineData("{\"format\":1}", "cannot be read here")]
    public void What_is_no_site_is_refused_with_a_sentence(string text, string said) =>
        Assert.Contains(said, Assert.Throws<FormatException>(() => SiteFile.Read(text)).Message, StringComparison.Ordinal);

    /// <summary>Whatever could break out of a stylesheet, a page or a folder, or lead nowhere.</summary>
    [Theory]
    [InlineData("/slug", "\"../x\"", "/slug")]
    [InlineData("/palette/colors/0/css", "\"red; } body { display: none\"", "/palette/colors/beet/css")]
    [InlineData("/palette/colors/0/cssName", "\"a: red; --b\"", "/palette/colors/beet/cssName")]
    [InlineData("/palette/colors/1/id", "\"beet\"", "/palette/colors")]
    [InlineData("/palette/schemes/0/turnsInto", "\"noon\"", "/palette/schemes/day/turnsInto")]
    [InlineData("/palette/schemes/0/colors/link/color", "\"nothing\"", "/palette/schemes/day/colors/link")]
    [InlineData("/palette/schemes/0/colors/ground", "{\"color\":null,\"step\":0,\"readableOn\":\"ground\"}", "/palette/schemes/day/colors/ground")]
    [InlineData("/typography/families/0/stack", "\"x; } * { color: red\"", "/typography/families/fraunces/stack")]
    [InlineData("/typography/scale/from/ratio", "0", "/typography/scale")]
    [InlineData("/typography/styles/0/case", "\"none; color: red\"", "/typography/styles/body/case")]
    [InlineData("/typography/styles/0/family", "\"gone\"", "/typography/styles/body/family")]
    [InlineData("/edges/borders/0/style", "\"solid; }\"", "/edges/borders/hairline/style")]
    [InlineData("/looks/0/part", "\"marquee\"", "part")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"word\",\"word\":\"red; }\"}", "background")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"gone\",\"step\":0}", "background")]
    [InlineData("/looks/0/cells/background", "{\"kind\":\"rest\",\"step\":1}", "background")]
    [InlineData("/looks/0/cells/padding", "{\"kind\":\"number\",\"number\":1,\"unit\":\"px; }\"}", "padding")]
    [InlineData("/pages/1/slug", "\"../../etc/x\"", "/pages/catalogue/slug")]
    [InlineData("/pages/1/slug", "\"index\"", "/pages")]
    [InlineData("/pages/0/scheme", "\"gone\"", "/pages/home/scheme")]
    [InlineData("/pages/0/sections/0/look", "\"button-plain\"", "/pages/home/sections/home-banner/look")]
    [InlineData("/pages/0/sections/0/id", "\"x } body {\"", "/pages/home/sections")]
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
    }
}
