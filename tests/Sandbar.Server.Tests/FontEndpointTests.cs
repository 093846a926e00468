using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>Font files of the designer's own over HTTP, what is said of type, and two candidates in figures.</summary>
public sealed class FontEndpointTests : IAsyncLifetime
{
    private LocalServer server = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    private Task<HttpResponseMessage> AddAsync(byte[] bytes, long version, string more = "") =>
        server.Client.PostAsync($"/api/sites/pellwyn/fonts?version={version}&window=w&openedAt=0&gesture=g{version}{more}", new ByteArrayContent(bytes) { Headers = { ContentType = new MediaTypeHeaderValue("application/octet-stream") } }, Cancel);

    private async Task<JsonObject> FamilyAsync() =>
        (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn?window=w", Cancel))!["site"]!["type"]!["families"]!.AsArray()[^1]!.AsObject();

    [Fact]
    public async Task A_font_is_added_replaced_released_opened_again_and_taken_back()
    {
        var added = await AddAsync(Fixture.Bytes("fonts/caveat.ttf"), 0).OkAsync();
        var family = await FamilyAsync();
        Assert.Equal(added["family"]!.GetValue<string>(), family["id"]!.GetValue<string>());
        Assert.Equal("Caveat", family["name"]!.GetValue<string>());
        var file = Assert.Single(family["files"]!.AsArray())!;
        Assert.True(file["isOwn"]!.GetValue<bool>());
        Assert.NotEmpty(family["languages"]!.AsArray());
        var bytes = await server.Client.GetByteArrayAsync(file["address"]!.GetValue<string>(), Cancel);
        Assert.Equal("wOF2"u8.ToArray(), bytes[..4]);

        var replaced = await AddAsync(Fixture.Bytes("fonts/square.otf"), 1, $"&family={family["id"]}&replaces={file["item"]}").OkAsync();
        Assert.Equal(family["id"]!.GetValue<string>(), replaced["family"]!.GetValue<string>());
        Assert.Single((await FamilyAsync())["files"]!.AsArray());
        await server.EditAsync(2, new { kind = "setThing", of = "textStyle", id = "lead", field = "family", text = "Caveat" }).OkAsync();

        // Saved as a file and opened again it is the same, measured anew.
        var zip = await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/site-file.zip", Cancel);
        var opened = await server.Client.PostAsync("/api/sites?name=Opened", new ByteArrayContent(zip) { Headers = { ContentType = new MediaTypeHeaderValue("application/zip") } }, Cancel).OkAsync();
        var again = (await server.Client.GetFromJsonAsync<JsonObject>($"/api/sites/{opened["slug"]}?window=w", Cancel))!["site"]!["type"]!["families"]!.AsArray()[^1]!;
        Assert.Equal((await FamilyAsync())["files"]!.ToJsonString(), again["files"]!.ToJsonString());

        var undone = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/undo", new { version = 3, window = "w", openedAt = 0, gesture = "u", overwrite = false }, Cancel).OkAsync();
        Assert.Equal(4, undone["version"]!.GetValue<long>());
    }

    [Fact]
    public async Task What_is_no_font_changes_nothing_and_what_has_not_come_is_not_taken()
    {
        foreach (var bytes in new[] { "These are words."u8.ToArray(), [], Fixture.Bytes("fonts/caveat.ttf")[..5_000] })
        {
            using var refused = await AddAsync(bytes, 0);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Equal("The font cannot be read", (await refused.JsonAsync())["title"]!.GetValue<string>());
        }
        using var huge = await AddAsync(new byte[40_000_000], 0);
        Assert.Contains("larger than 20 MB", (await huge.JsonAsync())["detail"]!.GetValue<string>(), StringComparison.Ordinal);
        var measures = new { name = "Forged", unitsPerEm = 1000, ascent = 900, descent = -200, lineGap = 0, capHeight = 700, xHeight = 500, widths = new[] { new { weight = 400, width = 80.0 } }, axes = Array.Empty<object>(), features = Array.Empty<string>(), languages = Array.Empty<string>(), licence = "", mayEmbed = true };
        using var forged = await server.EditAsync(0, new { kind = "addFontFile", family = "own", name = "Forged", item = "own-1", hash = new string('a', 64), weightFrom = 400, weightTo = 400, italic = false, measures, replaces = (string?)null });
        Assert.Equal(HttpStatusCode.BadRequest, forged.StatusCode);
        Assert.Contains("has not come", (await forged.JsonAsync())["detail"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.Equal(0, (await server.SiteAsync()).Version());
    }

    [Fact]
    public async Task Figures_of_type_and_of_candidates_are_computed_from_what_the_stage_measured()
    {
        var figures = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/type/figures", new { boxes = new[] { new { style = "body", width = 1280, inline = 900.0, block = "a" }, new { style = "gone", width = 1280, inline = 900.0, block = "a" } } }, Cancel).OkAsync();
        var body = figures["styles"]!.AsArray().Single(s => s!["style"]!.GetValue<string>() == "body")!;
        Assert.True(body["lines"]![0]!["characters"]!.GetValue<int>() > 80);
        Assert.Equal("longLines", body["findings"]![0]!["concern"]!.GetValue<string>());
        Assert.Equal(figures["styles"]!.AsArray().Sum(s => s!["findings"]!.AsArray().Count), figures["concerns"]!.GetValue<int>());

        object Letters(string? text) => new { edit = text is null ? null : new { kind = "setThing", of = "family", id = "figtree", field = "letters", text } };
        var candidates = (await (await server.Client.PostAsJsonAsync("/api/sites/pellwyn/type/candidates", new { of = "family", id = "figtree", candidates = new[] { Letters(null), Letters("Martian Mono") } }, Cancel)).Content.ReadFromJsonAsync<JsonArray>(Cancel))!;
        Assert.Equal(["Figtree", "Martian Mono"], candidates.Select(c => c!["face"]!.GetValue<string>()));
        Assert.True(candidates[1]!["textWidth"]!.GetValue<double>() > candidates[0]!["textWidth"]!.GetValue<double>() * 1.1);
        Assert.Equal(0, (await server.SiteAsync()).Version());
        using var refused = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/type/candidates", new { of = "family", id = "figtree", candidates = new[] { Letters("No such family") } }, Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
    }
}
