using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>Colours on their way into a palette: names that can be given, what the palette has already, and sentences for what cannot be read.</summary>
public sealed class ColorEndpointTests : IAsyncLifetime
{
    private LocalServer server = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    [Fact]
    public async Task A_list_is_read_with_names_that_are_free()
    {
        var found = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/colors/pasted", new { text = "beet #123456\n#8a2846\nnothing" }, Cancel).OkAsync();
        Assert.Equal([("beet 2", "#123456", null), ("brown", "#8a2846", "beet")], found["colors"]!.AsArray().Select(c => (c!["name"]!.GetValue<string>(), c["hex"]!.GetValue<string>(), c["known"]?.GetValue<string>())));
        Assert.Equal(3, found["unread"]![0]!["line"]!.GetValue<int>());
        using var missing = await server.Client.PostAsJsonAsync("/api/sites/nowhere/colors/pasted", new { text = "" }, Cancel);
        Assert.Equal(HttpStatusCode.NotFound, missing.StatusCode);
        using var long_ = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/colors/pasted", new { text = new string('#', 200_001) }, Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, long_.StatusCode);
    }

    [Fact]
    public async Task A_picture_gives_its_colours_by_share_or_a_sentence()
    {
        var found = await PictureAsync("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><rect width='10' height='7' fill='#224466'/><rect y='7' width='10' height='3' fill='#8a2846'/></svg>").OkAsync();
        Assert.Equal([("#224466", 0.7), ("#8a2846", 0.3)], found["colors"]!.AsArray().Select(c => (c!["hex"]!.GetValue<string>(), c["share"]!.GetValue<double>())));
        using var refused = await PictureAsync("no picture");
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Contains("no picture that can be read", (await refused.JsonAsync())["detail"]!.GetValue<string>(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("x=0.1&y=0.1", "#224466")]
    [InlineData("x=1&y=1", "#8a2846")]
    [InlineData("x=0&y=0", "#224466")]
    [InlineData("x=1.1&y=0", null)]
    [InlineData("x=NaN&y=0", null)]
    public async Task A_point_of_a_picture_is_its_pixel(string at, string? hex)
    {
        using var answer = await PictureAsync("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><rect width='10' height='7' fill='#224466'/><rect y='7' width='10' height='3' fill='#8a2846'/></svg>", $"/point?{at}");
        if (hex is null) Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        else Assert.Equal(hex, Assert.Single((await answer.JsonAsync())["colors"]!.AsArray())!["hex"]!.GetValue<string>());
    }

    [Fact]
    public async Task The_plane_has_its_edges_and_its_lines_against_a_ground()
    {
        var plane = await server.Client.GetAsync("/api/colors/plane?hue=150&ground=%23f6efe2", Cancel).OkAsync();
        Assert.Equal((101, 101), (plane["srgb"]!.AsArray().Count, plane["p3"]!.AsArray().Count));
        Assert.Equal([3, 4.5, 7], plane["lines"]!.AsArray().Select(l => l!["target"]!.GetValue<double>()));
        Assert.Empty((await server.Client.GetAsync("/api/colors/plane?hue=150", Cancel).OkAsync())["lines"]!.AsArray());
        foreach (var bad in new[] { "hue=150&ground=nothing", "hue=361", "hue=NaN", "hue=x" })
        {
            using var refused = await server.Client.GetAsync($"/api/colors/plane?{bad}", Cancel);
            Assert.Equal((bad, HttpStatusCode.BadRequest), (bad, refused.StatusCode));
        }
        using var picture = await server.Client.GetAsync("/api/colors/plane/150.png", Cancel);
        Assert.Equal("image/png", picture.Content.Headers.ContentType?.MediaType);
        using var none = await server.Client.GetAsync("/api/colors/plane/361.png", Cancel);
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
    }

    [Fact]
    public async Task What_is_alike_near_and_used_is_told()
    {
        await server.EditAsync(0, new { kind = "addColors", colors = new[] { new { id = "beetle", name = "beetle", color = "#8b2947" } } }).OkAsync();
        var alike = (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites/pellwyn/colors/alike?within=2.5", Cancel))!;
        Assert.Equal(["beet", "beetle"], Assert.Single(alike)!.AsArray().Select(id => id!.GetValue<string>()));
        using var far = await server.Client.GetAsync("/api/sites/pellwyn/colors/alike?within=21", Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, far.StatusCode);
        var near = (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites/pellwyn/colors/beet/near", Cancel))!;
        Assert.Equal("beetle", near[0]!["name"]!.GetValue<string>());
        Assert.Equal([true, true, false, false], near.Select(n => n!["isOwn"]!.GetValue<bool>()));
        var uses = (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites/pellwyn/uses/color/beet", Cancel))!;
        Assert.Contains(uses, u => u!["kind"]!.GetValue<string>() == "thing" && u["of"]!.GetValue<string>() == "scheme" && u["words"]!.GetValue<string>() == "link in Day");
        // By step, itself first: a designer who changes one by hand sees what it reaches.
        var ofLeaf = (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites/pellwyn/uses/color/leaf", Cancel))!;
        Assert.Equal(["", "tint 6", "tint 5", "tint 4", "tint 2", "tint 1", "shade 1", "shade 2", "shade 3", "shade 4"], ofLeaf.Select(u => u!["step"]!.GetValue<string>()).Distinct());
        var reach = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/reach", new { kind = "removeThing", of = "color", id = "beet", by = "leaf", @in = (string?)null }, Cancel).OkAsync();
        Assert.True(reach["pages"]!.GetValue<int>() > 0);
        using var cannot = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/reach", new { kind = "removeThing", of = "color", id = "beet", by = (string?)null, @in = (string?)null }, Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, cannot.StatusCode);
    }

    [Fact]
    public async Task Mends_are_of_the_version_that_was_looked_at()
    {
        var pairs = await server.Client.GetAsync("/api/sites/pellwyn/pairs", Cancel).OkAsync();
        var key = pairs["rows"]![0]!["at"]![0]!["key"]!.GetValue<string>();
        using var mends = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/pairs/mends", new { version = 0, key }, Cancel);
        Assert.NotEmpty((JsonArray)JsonNode.Parse(await mends.Content.ReadAsStringAsync(Cancel))!);
        foreach (var (version, asked) in new[] { (1, key), (0, "no such pair") })
        {
            using var refused = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/pairs/mends", new { version, key = asked }, Cancel);
            Assert.Equal(HttpStatusCode.Conflict, refused.StatusCode);
        }
        var all = await server.Client.PostAsync("/api/sites/pellwyn/pairs/mended", null, Cancel).OkAsync();
        await server.EditAsync(0, all["edit"]!).OkAsync();
        var after = await server.Client.GetAsync("/api/sites/pellwyn/pairs", Cancel).OkAsync();
        Assert.All(after["rows"]!.AsArray(), r => Assert.True(r!["passes"]!.GetValue<bool>()));
        Assert.NotEmpty(after["mended"]!.AsArray());
        Assert.Empty(after["broken"]!.AsArray());
    }

    private Task<HttpResponseMessage> PictureAsync(string text, string point = "")
    {
        var content = new ByteArrayContent(Encoding.UTF8.GetBytes(text));
        content.Headers.ContentType = new("application/octet-stream");
        return server.Client.PostAsync($"/api/sites/pellwyn/colors/picture{point}", content, Cancel);
    }
}
