using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>New sites, their specimen, and the figures that are computed apart from edits.</summary>
public sealed class NewSiteEndpointTests : IAsyncLifetime
{
    private LocalServer server = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    [Fact]
    public async Task A_new_site_is_there_with_its_fonts_and_can_be_released()
    {
        var made = await StartAsync("Harbour Walks", "#1f4e79", "lora", "work-sans", "19").OkAsync();
        Assert.Equal("harbour-walks", made["slug"]!.GetValue<string>());
        var site = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/harbour-walks?window=w", Cancel))!["site"]!;
        Assert.Equal(["Lora", "Work Sans"], site["type"]!["families"]!.AsArray().Select(f => f!["name"]!.GetValue<string>()));
        foreach (var file in site["type"]!["families"]!.AsArray().SelectMany(f => f!["files"]!.AsArray()))
            Assert.Equal("font/woff2", (await server.Client.GetAsync(file!["address"]!.GetValue<string>(), Cancel)).Content.Headers.ContentType!.MediaType);
        Assert.Equal(HttpStatusCode.OK, (await server.Client.GetAsync("/api/sites/harbour-walks/release/pages.zip", Cancel)).StatusCode);
        var pairs = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/harbour-walks/pairs", Cancel))!;
        Assert.All(pairs["rows"]!.AsArray(), p => Assert.True(p!["passes"]!.GetValue<bool>()));
    }

    [Fact]
    public async Task What_is_wrong_with_the_wishes_is_said_at_its_place_and_nothing_is_made()
    {
        foreach (var (name, color, path) in new[] { ("", "red", "/name"), ("A", "#12", "/color"), ("PELLWYN seed library", "red", "/name") })
        {
            using var refused = await StartAsync(name, color, null, null, null);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Equal(path, (await refused.JsonAsync())["problems"]![0]!["path"]!.GetValue<string>());
        }
        Assert.Single((await server.Client.GetFromJsonAsync<JsonArray>("/api/sites", Cancel))!);
    }

    [Fact]
    public async Task A_family_taken_from_the_shelf_is_kept_with_the_site_and_released()
    {
        await server.EditAsync(0, new { kind = "setThing", of = "family", id = "fraunces", field = "letters", text = "Lora" }).OkAsync();
        using var zip = new System.IO.Compression.ZipArchive(new MemoryStream(await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", Cancel)));
        Assert.True(zip.GetEntry("fonts/lora-latin-wght-normal.woff2")!.Length > 10_000);
        Assert.Null(zip.GetEntry("fonts/fraunces-latin-wght-normal.woff2"));
        var shelf = Sandbar.Core.Foundations.Type.BundledFamilies.Find("lora")!;
        Assert.NotNull(await new Sandbar.Store.SiteStore(server.Store).AssetAsync(shelf.Assets[0].Hash, Cancel));
    }

    /// <summary>A site of a program whose catalogue had one look less.</summary>
    [Fact]
    public async Task A_look_that_has_come_is_taken_into_the_site_once_as_an_edit_of_its_history()
    {
        var older = Sandbar.Core.Samples.Pellwyn.PellwynSample.Create();
        var site = older.Site with { Slug = "older", Name = "Older", Looks = older.Site.Looks.RemoveAll(l => l.Id == "table-standard"), TakenLooks = older.Site.TakenLooks.Remove("table-standard") };
        await server.RestartAsync(() => new Sandbar.Store.SiteStore(server.Store).AddAsync(older with { Site = site }, DateTimeOffset.UnixEpoch, Cancel));
        // Two windows at once, and again after a restart.
        await Task.WhenAll(OpenAsync(), OpenAsync());
        await server.RestartAsync();
        var opened = await OpenAsync();
        Assert.Equal(1, opened.Version());
        Assert.Contains(opened["site"]!["looks"]!.AsArray(), l => l!["id"]!.GetValue<string>() == "table-standard");
        // A state that was named without it comes back with it.
        await new Sandbar.Store.SiteStore(server.Store).NameAsync(site, new("before", "Before", 0, DateTimeOffset.UnixEpoch), Cancel);
        await server.Client.PostAsJsonAsync("/api/sites/older/edits", new { version = 1, window = "w", openedAt = 1, gesture = "g", edit = LocalServer.SetColor("#111111") }, Cancel).OkAsync();
        await server.Client.PostAsJsonAsync("/api/sites/older/snapshots/before/back", new { version = 2, window = "w", openedAt = 1, gesture = "h" }, Cancel).OkAsync();
        var back = await OpenAsync();
        Assert.Equal("#8a2846", back.Color());
        Assert.Contains(back["site"]!["looks"]!.AsArray(), l => l!["id"]!.GetValue<string>() == "table-standard");
        Assert.StartsWith("New with this Sandbar: ", opened["history"]!["last"]!.GetValue<string>(), StringComparison.Ordinal);

        async Task<JsonObject> OpenAsync() => (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/older?window=w", Cancel))!;
    }

    [Fact]
    public async Task The_specimen_is_on_the_stage_and_not_in_the_release()
    {
        var specimen = await server.Client.GetAsync("/stage/pellwyn/specimen", Cancel);
        Assert.Contains("sandbox allow-same-origin", specimen.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
        Assert.Contains("data-state=\"pressed\"", await specimen.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        var release = await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", Cancel);
        using var zip = new System.IO.Compression.ZipArchive(new MemoryStream(release));
        Assert.DoesNotContain(zip.Entries, e => e.FullName.Contains("specimen", StringComparison.OrdinalIgnoreCase));
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync("/stage/pellwyn/nowhere", Cancel)).StatusCode);
    }

    [Fact]
    public async Task The_reach_is_that_of_the_last_gesture_and_silenced_lines_have_their_place()
    {
        await server.EditAsync(0, new { kind = "setCell", look = "button-outlined", property = "radius", state = "rest", from = (int?)null, below = (int?)null, text = "1px" }, gesture: "a").OkAsync();
        await server.EditAsync(1, new { kind = "setCell", look = "button-outlined", property = "radius", state = "rest", from = (int?)null, below = (int?)null, text = "2px" }, gesture: "a").OkAsync();
        var reach = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn/reach", Cancel))!;
        Assert.True(reach["elements"]!.GetValue<int>() >= reach["pages"]!.GetValue<int>() && reach["pages"]!.GetValue<int>() > 0);
        await server.EditAsync(2, new { kind = "setOverrides", css = "a { color: teal }\n.button {\n  background: teal;\n}" }).OkAsync();
        var note = (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites/pellwyn/silenced", Cancel))!.Single(n => n!["message"]!.GetValue<string>().Contains("background", StringComparison.Ordinal));
        Assert.Equal((3, 3), (note!["line"]!.GetValue<int>(), note["column"]!.GetValue<int>()));
    }

    [Fact]
    public async Task The_stage_can_be_seen_as_it_was_before_the_last_edit_and_when_it_was_named()
    {
        using (var none = await server.Client.GetAsync("/api/sites/pellwyn/sheet?before=name", Cancel)) Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
        await server.Client.PostAsJsonAsync("/api/sites/pellwyn/snapshots", new { name = "First" }, Cancel).OkAsync();
        await server.EditAsync(0, new { kind = "setContent", block = "header", slot = "name", text = "Second" }).OkAsync();
        await server.EditAsync(1, new { kind = "setContent", block = "header", slot = "name", text = "Third" }).OkAsync();
        foreach (var (query, name) in new[] { ("", "Third"), ("?before=edit", "Second"), ("?before=name", "Pellwyn Seed Library") })
            Assert.Contains($">{name}</a>", await server.Client.GetStringAsync($"/stage/pellwyn/home{query}", Cancel), StringComparison.Ordinal);
        var sheet = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn/sheet?before=name", Cancel))!;
        var now = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn/sheet", Cancel))!;
        Assert.NotEqual(now["pages"]!["home"]!.GetValue<string>(), sheet["pages"]!["home"]!.GetValue<string>());
        Assert.Equal(now["rules"]!.ToJsonString(), sheet["rules"]!.ToJsonString());
    }

    private Task<HttpResponseMessage> StartAsync(string name, string? color, string? heading, string? text, string? size) =>
        server.Client.PostAsJsonAsync("/api/sites/new", new { name, color, heading, text, @base = size }, Cancel);
}
