using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.Extensions.DependencyInjection;
using Sandbar.Server;

namespace Sandbar.Tests;

/// <summary>A server of its own: a fresh store and a free port, the demo site inside.</summary>
public sealed class LocalServer : IAsyncDisposable
{
    private WebApplication app;

    private LocalServer(WebApplication app, string store) => (this.app, Store, Client) = (app, store, NewClient(app));

    public static string Root { get; } = FindRoot();

    public string Store { get; }

    public HttpClient Client { get; private set; }

    public static async Task<LocalServer> StartAsync()
    {
        var store = Directory.CreateTempSubdirectory("sandbar-test-").FullName;
        return new(await OpenAsync(store, 0), store);
    }

    /// <summary>Stops the server and starts it again on the same store and port.</summary>
    /// <param name="meanwhile">What is done while it is away.</param>
    public async Task RestartAsync(Func<Task>? meanwhile = null)
    {
        var port = Client.BaseAddress!.Port;
        await app.StopAsync();
        await app.DisposeAsync();
        Client.Dispose();
        if (meanwhile is not null) await meanwhile();
        app = await OpenAsync(Store, port);
        Client = NewClient(app);
    }

    public Task<JsonObject> SiteAsync(string window = "test", long? openedAt = null, string slug = "pellwyn") =>
        Client.GetFromJsonAsync<JsonObject>($"/api/sites/{slug}?window={window}{(openedAt is { } v ? $"&openedAt={v}" : "")}")!;

    public Task<HttpResponseMessage> EditAsync(long version, object edit, string window = "test", string? gesture = null, long openedAt = 0, string slug = "pellwyn") =>
        Client.PostAsJsonAsync($"/api/sites/{slug}/edits", new { version, window, openedAt, gesture = gesture ?? Guid.NewGuid().ToString(), edit });

    public Task<HttpResponseMessage> TryAsync(long version, object edit, params string[] pages) =>
        Client.PostAsJsonAsync("/api/sites/pellwyn/trials", new { version, edit, pages });

    public Task<HttpResponseMessage> ReverseAsync(string way, long version, string window = "test", bool overwrite = false, long openedAt = 0) =>
        Client.PostAsJsonAsync($"/api/sites/pellwyn/{way}", new { version, window, openedAt, gesture = Guid.NewGuid().ToString(), overwrite });

    public static object SetColor(string css, string color = "beet") => new { kind = "setThing", of = "color", id = color, field = "color", text = css };

    public async ValueTask DisposeAsync()
    {
        Client.Dispose();
        await app.StopAsync();
        await app.DisposeAsync();
        try
        {
            Directory.Delete(Store, recursive: true);
        }
        catch (IOException)
        {
            // A pooled connection may still hold the file; the folder lies among temporary ones.
        }
    }

    private static async Task<WebApplication> OpenAsync(string store, int port)
    {
        var app = SandbarServer.Create(new(store, Path.Combine(Root, "client", "dist"), port));
        await SandbarServer.PrepareAsync(app);
        await app.StartAsync();
        return app;
    }

    private static HttpClient NewClient(WebApplication app) =>
        new() { BaseAddress = new(app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses.First()) };

    private static string FindRoot()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (folder is not null && !File.Exists(Path.Combine(folder.FullName, "Sandbar.slnx"))) folder = folder.Parent;
        return folder?.FullName ?? throw new DirectoryNotFoundException("The root of the repository is not above the tests.");
    }
}

/// <summary>Reading answers.</summary>
public static class Answers
{
    public static async Task<JsonObject> JsonAsync(this HttpResponseMessage response) =>
        JsonNode.Parse(await response.Content.ReadAsStringAsync())?.AsObject() ?? throw new JsonException("An empty answer.");

    public static async Task<JsonObject> OkAsync(this Task<HttpResponseMessage> asked)
    {
        using var response = await asked;
        var json = await response.JsonAsync();
        return response.IsSuccessStatusCode ? json : throw new HttpRequestException($"{(int)response.StatusCode}: {json}");
    }

    public static long Version(this JsonObject answer) => (answer["site"] ?? answer)["version"]!.GetValue<long>();

    /// <summary>The value of a colour, in an opened site or in what an edit changed.</summary>
    public static string Color(this JsonObject answer, string id = "beet") => answer["changes"] is JsonArray changes
        ? changes.First(c => c!["path"]!.GetValue<string>() == $"/colors/{id}/css")!["value"]!.GetValue<string>()
        : answer["site"]!["colors"]!.AsArray().First(c => c!["id"]!.GetValue<string>() == id)!["css"]!.GetValue<string>();
}
