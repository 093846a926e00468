using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>What windows of the stage measure: kept as long as it holds, refused where it cannot be, counted where it is missing.</summary>
public sealed class MeasuringTests
{
    private static readonly (int Width, int Height)[] Windows = [(390, 844), (820, 1180), (1280, 800)];

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_was_measured_is_kept_as_long_as_page_and_sheet_are_the_same()
    {
        await using var server = await LocalServer.StartAsync();
        var pairs = await PairsAsync(server);
        var pages = pairs["toMeasure"]!.AsArray().Select(p => (string)p!["page"]!).Distinct().ToList();
        Assert.Equal(["membership", "workshops"], pages.Order());
        Assert.Equal(6, pairs["toMeasure"]!.AsArray().Count);
        var unmeasured = (int)pairs["unmeasured"]!;
        Assert.True(unmeasured > 4);
        foreach (var page in pages)
        {
            foreach (var (width, height) in Windows) Assert.Equal(HttpStatusCode.OK, (await MeasureAsync(server, 0, Of(page, width, height))).StatusCode);
        }
        pairs = await PairsAsync(server);
        Assert.Equal((0, 0), ((int)pairs["unmeasured"]!, pairs["toMeasure"]!.AsArray().Count));
        // Words on another page change nothing that was measured; words here one page; a colour all.
        await server.EditAsync(0, new { kind = "setContent", block = "home-lead", slot = "text", text = "Other words." }).OkAsync();
        Assert.Equal(0, (int)(await PairsAsync(server))["unmeasured"]!);
        await server.EditAsync(1, new { kind = "setContent", block = "workshops-lead", slot = "text", text = "Other words." }).OkAsync();
        Assert.Equal(["workshops"], (await PairsAsync(server))["toMeasure"]!.AsArray().Select(p => (string)p!["page"]!).Distinct());
        await server.EditAsync(2, new { kind = "setThing", of = "color", id = "leaf", field = "color", text = "#2f6d3a" }).OkAsync();
        Assert.Equal(unmeasured, (int)(await PairsAsync(server))["unmeasured"]!);
    }

    [Fact]
    public async Task What_cannot_be_is_refused_and_what_is_old_too()
    {
        await using var server = await LocalServer.StartAsync();
        var bad = Of("workshops", 390, 844);
        bad["elements"]![1]!["around"] = 7;
        var refused = await MeasureAsync(server, 0, bad);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Contains("measured again", await refused.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.Conflict, (await MeasureAsync(server, 5, Of("workshops", 390, 844))).StatusCode);
        // A page that is gone, and a window that nobody asked for, are nothing.
        Assert.Equal(HttpStatusCode.OK, (await MeasureAsync(server, 0, Of("nowhere", 390, 844))).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await MeasureAsync(server, 0, Of("workshops", 391, 844))).StatusCode);
        Assert.Equal(6, (await PairsAsync(server))["toMeasure"]!.AsArray().Count);
        Assert.Equal(HttpStatusCode.Conflict, (await server.Client.PostAsJsonAsync("/api/sites/pellwyn/pairs/veil", new { version = 0, key = "nothing" }, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.PostAsJsonAsync("/api/sites/nowhere/pairs/veil", new { version = 0, key = "nothing" }, Cancel)).StatusCode);
    }

    private static async Task<JsonNode> PairsAsync(LocalServer server) => JsonNode.Parse(await server.Client.GetStringAsync("/api/sites/pellwyn/pairs", Cancel))!;

    private static Task<HttpResponseMessage> MeasureAsync(LocalServer server, int version, JsonObject texts) =>
        server.Client.PostAsJsonAsync("/api/sites/pellwyn/pairs/measured", new JsonObject { ["version"] = version, ["texts"] = texts }, Cancel);

    /// <summary>A page with two boxes and no text.</summary>
    private static JsonObject Of(string page, int width, int height) => new()
    {
        ["page"] = page,
        ["width"] = width,
        ["height"] = height,
        ["length"] = 3000,
        ["elements"] = new JsonArray(Element(-1, width), Element(0, width)),
    };

    private static JsonObject Element(int around, int width) => new() { ["around"] = around, ["block"] = "", ["at"] = 0, ["box"] = Box(width), ["inner"] = Box(width), ["lines"] = new JsonArray() };

    private static JsonObject Box(int width) => new() { ["left"] = 0, ["top"] = 0, ["width"] = width, ["height"] = 3000 };
}
