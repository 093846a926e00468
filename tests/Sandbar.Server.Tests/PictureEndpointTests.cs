using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>Pictures of the designer's own over HTTP.</summary>
public sealed class PictureEndpointTests : IAsyncLifetime
{
    private const string Svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 40 30\"><script>x()</script><rect width=\"40\" height=\"30\" fill=\"#8a2846\"/></svg>";

    private LocalServer server = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    private Task<HttpResponseMessage> AddAsync(byte[] bytes, long version, string more = "") =>
        server.Client.PostAsync($"/api/sites/pellwyn/pictures?version={version}&window=w&openedAt=0&gesture=g{version}&name=Reeds.svg{more}", new ByteArrayContent(bytes) { Headers = { ContentType = new MediaTypeHeaderValue("application/octet-stream") } }, Cancel);

    private async Task<JsonNode> PictureAsync() => (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn?window=w", Cancel))!["site"]!["pictures"]!.AsArray()[^1]!;

    [Fact]
    public async Task A_picture_comes_to_its_place_cleaned_and_goes_with_one_undo()
    {
        await AddAsync(System.Text.Encoding.UTF8.GetBytes(Svg), 0, "&block=new-picture&page=guide&parent=" + await SectionAsync() + "&at=0").OkAsync();
        var picture = await PictureAsync();
        Assert.Equal("Reeds", picture["name"]!.GetValue<string>());
        var kept = await server.Client.GetStringAsync(picture["address"]!.GetValue<string>(), Cancel);
        Assert.DoesNotContain("script", kept, StringComparison.Ordinal);
        Assert.Contains(picture["address"]!.GetValue<string>(), await server.Client.GetStringAsync("/stage/pellwyn/guide", Cancel), StringComparison.Ordinal);
        await server.Client.PostAsJsonAsync("/api/sites/pellwyn/undo", new { version = 1, window = "w", openedAt = 0, gesture = "u", overwrite = false }, Cancel).OkAsync();
        Assert.NotEqual("Reeds", (await PictureAsync())["name"]!.GetValue<string>());
        Assert.DoesNotContain("new-picture", await server.Client.GetStringAsync("/stage/pellwyn/guide", Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_is_no_picture_changes_nothing_and_what_has_not_come_is_not_taken()
    {
        foreach (var bytes in new[] { "These are words."u8.ToArray(), [], "GIF89a"u8.ToArray(), [0x89, .. "PNG\r\n\u001a\n"u8] })
        {
            using var refused = await AddAsync(bytes, 0);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            var said = (await refused.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["detail"]!.GetValue<string>();
            Assert.EndsWith(".", said, StringComparison.Ordinal);
        }
        using var without = await server.EditAsync(0, new { kind = "addPicture", item = "own", name = "a.png", mediaType = "image/png", hash = new string('a', 64), width = 3, height = 2, spot = (object?)null });
        Assert.Contains("has not come", await without.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        Assert.Equal(0, (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn?window=w", Cancel))!["site"]!["version"]!.GetValue<long>());
    }

    private async Task<string> SectionAsync() =>
        (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn?window=w", Cancel))!["site"]!["pages"]!.AsArray().Single(p => p!["id"]!.GetValue<string>() == "guide")!["sections"]![0]!["id"]!.GetValue<string>();
}
