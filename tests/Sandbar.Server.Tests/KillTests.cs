using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>A server killed in the middle of edits from two windows: every answered edit is found again, in order.</summary>
public class KillTests
{
    private const int Rounds = 3, AnswersPerRound = 24;

    [Fact]
    public async Task Nothing_that_was_answered_is_lost()
    {
        var cancel = TestContext.Current.CancellationToken;
        var store = Directory.CreateTempSubdirectory("sandbar-kill-").FullName;
        var answered = new ConcurrentDictionary<string, string>();
        try
        {
            for (var round = 0; round < Rounds; round++)
            {
                using var process = Start(store);
                using var client = await ReadyAsync(process, cancel);
                var windows = Enumerable.Range(0, 2).Select(w => EditUntilKilledAsync(client, $"r{round}w{w}", w == 0 ? "beet" : "leaf", answered, cancel)).ToArray();
                while (answered.Count < (round + 1) * AnswersPerRound && !windows.Any(w => w.IsCompleted)) await Task.Delay(20, cancel);
                process.Kill();
                await process.WaitForExitAsync(cancel);
                await Task.WhenAll(windows);
            }
            using var last = Start(store);
            using var reader = await ReadyAsync(last, cancel);
            var site = await reader.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn?window=w", cancel);
            last.Kill();
            // Each answered edit is in the journal under the version it was told, so the site stands at least there.
            Assert.True(site!.Version() >= answered.Keys.Max(long.Parse));
            var journal = await new Store.SiteStore(store).OpenAsync("pellwyn", cancel);
            foreach (var (version, css) in answered) Assert.EndsWith(css, journal!.Journal[int.Parse(version) - 1].Label, StringComparison.Ordinal);
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(store, recursive: true);
        }
    }

    private static async Task EditUntilKilledAsync(HttpClient client, string window, string color, ConcurrentDictionary<string, string> answered, CancellationToken cancel)
    {
        var version = (await client.GetFromJsonAsync<JsonObject>($"/api/sites/pellwyn?window={window}", cancel))!.Version();
        for (var i = 0; ; i++)
        {
            var css = $"#{(Math.Abs(window.GetHashCode(StringComparison.Ordinal)) + i) % 0xFFFFFF:x6}";
            try
            {
                var request = new { version, window, openedAt = 0, gesture = $"{window} {i}", edit = LocalServer.SetColor(css, color) };
                using var response = await client.PostAsJsonAsync("/api/sites/pellwyn/edits", request, cancel);
                version = (await response.JsonAsync()).Version();
                answered[version.ToString()] = css;
            }
            catch (Exception failed) when (failed is HttpRequestException or IOException)
            {
                return;
            }
        }
    }

    private static Process Start(string store)
    {
        // The same configuration as the tests run in.
        var configuration = new DirectoryInfo(AppContext.BaseDirectory).Name;
        var program = Path.Combine(LocalServer.Root, "artifacts", "bin", "Sandbar.Server", configuration, "Sandbar.Server.dll");
        var info = new ProcessStartInfo("dotnet", [program]) { RedirectStandardOutput = true };
        info.Environment["SANDBAR_DATA"] = store;
        info.Environment["SANDBAR_PORT"] = FreePort().ToString();
        var process = Process.Start(info)!;
        return process;
    }

    private static int FreePort()
    {
        using var listener = new System.Net.Sockets.TcpListener(System.Net.IPAddress.Loopback, 0);
        listener.Start();
        return ((System.Net.IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static async Task<HttpClient> ReadyAsync(Process process, CancellationToken cancel)
    {
        var client = new HttpClient { BaseAddress = new($"http://127.0.0.1:{process.StartInfo.Environment["SANDBAR_PORT"]}") };
        for (var waited = Stopwatch.StartNew(); ;)
        {
            try
            {
                await client.GetStringAsync("/api/sites", cancel);
                return client;
            }
            catch (HttpRequestException) when (waited.Elapsed < TimeSpan.FromSeconds(60))
            {
                await Task.Delay(50, cancel);
            }
        }
    }
}
