using System.Net;
using System.Net.Http.Json;
using System.Text;
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

    private Task<HttpResponseMessage> PictureAsync(string text)
    {
        var content = new ByteArrayContent(Encoding.UTF8.GetBytes(text));
        content.Headers.ContentType = new("application/octet-stream");
        return server.Client.PostAsync("/api/sites/pellwyn/colors/picture", content, Cancel);
    }
}
