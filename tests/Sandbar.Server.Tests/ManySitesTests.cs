using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Store;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>Sites as things, by several at once: names stay unique, nothing answered is lost, nothing answers with a fault.</summary>
public sealed class ManySitesTests : IAsyncLifetime
{
    private LocalServer server = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    [Fact]
    public async Task Of_many_that_want_one_name_one_gets_it()
    {
        var answers = await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => server.Client.PostAsJsonAsync("/api/sites/pellwyn/copies", new { name = "Quince" }, Cancel)));
        Assert.Single(answers, a => a.StatusCode == HttpStatusCode.OK);
        Assert.All(answers, a => Assert.True(a.StatusCode is HttpStatusCode.OK or HttpStatusCode.BadRequest));
        Assert.Equal(["Pellwyn Seed Library", "Quince"], await NamesAsync());
    }

    [Fact]
    public async Task A_site_that_is_put_away_while_it_is_edited_loses_nothing_that_was_answered()
    {
        for (var round = 0; round < 5; round++)
        {
            var before = (await server.SiteAsync()).Version();
            var edits = Enumerable.Range(0, 12).Select(i => server.EditAsync(before + i, LocalServer.SetColor($"#0000{round}{i:x1}"), window: $"w{i}")).ToList();
            using var away = await server.Client.DeleteAsync("/api/sites/pellwyn", Cancel);
            var answers = await Task.WhenAll(edits);
            Assert.All(answers, a => Assert.True((int)a.StatusCode < 500, $"{a.StatusCode}"));
            using (var gone = await server.Client.GetAsync("/api/sites/pellwyn?window=w", Cancel)) Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
            using (var stage = await server.Client.GetAsync("/stage/pellwyn/home", Cancel)) Assert.Equal(HttpStatusCode.NotFound, stage.StatusCode);
            using (await server.Client.PostAsync("/api/sites/pellwyn/restored", null, Cancel)) Assert.Equal(before + answers.Count(a => a.StatusCode == HttpStatusCode.OK), (await server.SiteAsync()).Version());
        }
    }

    [Fact]
    public async Task A_site_whose_name_was_taken_meanwhile_stays_away_and_says_so()
    {
        using (await server.Client.DeleteAsync("/api/sites/pellwyn", Cancel))
        {
        }
        await server.Client.PostAsJsonAsync("/api/sites/new", new { name = "pellwyn seed LIBRARY", color = (string?)null, heading = (string?)null, text = (string?)null, @base = (string?)null }, Cancel).OkAsync();
        using var back = await server.Client.PostAsync("/api/sites/pellwyn/restored", null, Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, back.StatusCode);
        Assert.Contains("by now", await back.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        Assert.Equal(["pellwyn seed LIBRARY"], await NamesAsync());
    }

    /// <summary>What an older program let through and nothing can show: the site opens to its last good state, its history says so, and the way back into it is closed.</summary>
    [Fact]
    public async Task A_site_that_cannot_be_shown_opens_to_its_last_good_state()
    {
        await server.EditAsync(0, LocalServer.SetColor("#123456")).OkAsync();
        await server.RestartAsync(async () =>
        {
            var store = new SiteStore(server.Store);
            var stored = (await store.OpenAsync("pellwyn", Cancel))!;
            var look = stored.Site.Looks.Get("button-filled");
            var broken = stored.Site with { Looks = stored.Site.Looks.Put(look with { Cells = look.Cells.SetItem("background", new RestValue(1)) }) };
            await store.AppendAsync(broken, new RenameSite("x"), new(new(2, DateTimeOffset.UnixEpoch, "Broken", "g", "w"), Patch.Between(stored.Site, broken)), cancel: Cancel);
        });
        var site = await server.SiteAsync();
        Assert.Equal((3L, "#123456"), (site.Version(), site.Color()));
        Assert.Contains("Back to the last state that can be shown", site["history"]!["last"]!.GetValue<string>(), StringComparison.Ordinal);
        using (var page = await server.Client.GetAsync("/stage/pellwyn/home", Cancel)) Assert.Equal(HttpStatusCode.OK, page.StatusCode);
        using (var undo = await server.ReverseAsync("undo", 3, window: "w", openedAt: 3)) Assert.Equal(HttpStatusCode.BadRequest, undo.StatusCode);
        await server.EditAsync(3, LocalServer.SetColor("#654321")).OkAsync();
    }

    /// <summary>What is stored last cannot be read at all: the site opens as it was before, keeps that, and undo goes no further.</summary>
    [Fact]
    public async Task A_site_that_cannot_be_read_opens_to_what_can_be()
    {
        await server.EditAsync(0, LocalServer.SetColor("#123456")).OkAsync();
        await server.EditAsync(1, LocalServer.SetColor("#abcdef")).OkAsync();
        await server.RestartAsync(() => SqlAsync("UPDATE Journal SET Patch = replace(Patch, '#abcdef', '\"}{') WHERE Version = 2"));
        var site = await server.SiteAsync(openedAt: 3);
        Assert.Equal((3L, "#123456"), (site.Version(), site.Color()));
        Assert.Null(site["history"]!["undo"]);
        await server.EditAsync(3, LocalServer.SetColor("#654321"), openedAt: 3).OkAsync();
        await server.RestartAsync();
        Assert.Equal("#123456", (await server.ReverseAsync("undo", 4, openedAt: 3).OkAsync()).Color());
    }

    /// <summary>Nothing of it can be read, or only a newer program can: it says so, stays as it is, and can be put away.</summary>
    [Theory]
    [InlineData("'{'", HttpStatusCode.InternalServerError, "cannot be read")]
    [InlineData("replace(Document, '\"format\":2', '\"format\":99')", HttpStatusCode.ServiceUnavailable, "newer")]
    public async Task A_site_that_cannot_be_opened_can_be_put_away(string document, HttpStatusCode status, string said)
    {
        await server.RestartAsync(() => SqlAsync($"UPDATE Checkpoints SET Document = {document}"));
        using (var opened = await server.Client.GetAsync("/api/sites/pellwyn?window=w", Cancel))
        {
            Assert.Equal(status, opened.StatusCode);
            Assert.Contains(said, (await opened.JsonAsync())["detail"]!.GetValue<string>(), StringComparison.Ordinal);
        }
        using (var away = await server.Client.DeleteAsync("/api/sites/pellwyn", Cancel)) Assert.True(away.IsSuccessStatusCode);
        using (var again = await server.Client.DeleteAsync("/api/sites/pellwyn", Cancel)) Assert.Equal(HttpStatusCode.NotFound, again.StatusCode);
        Assert.Empty(await NamesAsync());
    }

    /// <summary>A store that is damaged while it is in use says so, edit by edit; nothing is taken for stored.</summary>
    [Fact]
    public async Task A_damaged_store_is_said_to_be()
    {
        await server.EditAsync(0, LocalServer.SetColor("#123456")).OkAsync();
        SqliteConnection.ClearAllPools();
        await using (var file = File.OpenWrite(Path.Combine(server.Store, "sandbar.db"))) await file.WriteAsync(new byte[8192], Cancel);
        using var answer = await server.EditAsync(1, LocalServer.SetColor("#654321"));
        Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
        Assert.Contains("damaged", (await answer.JsonAsync())["detail"]!.GetValue<string>(), StringComparison.Ordinal);
    }

    /// <summary>More sites than are held open: those that were closed are there again when they are asked for.</summary>
    [Fact]
    public async Task Many_sites_are_opened_closed_and_opened_again()
    {
        for (var i = 0; i < 30; i++)
        {
            await server.Client.PostAsJsonAsync("/api/sites/pellwyn/copies", new { name = $"Copy {i}" }, Cancel).OkAsync();
            await server.Client.GetFromJsonAsync<JsonObject>($"/api/sites/copy-{i}?window=w", Cancel);
        }
        await server.EditAsync(0, LocalServer.SetColor("#123456")).OkAsync();
        Assert.Equal("#123456", (await server.SiteAsync()).Color());
        Assert.Equal(31, (await NamesAsync()).Count);
    }

    private async Task SqlAsync(string sql)
    {
        await using var connection = new SqliteConnection($"Data Source={Path.Combine(server.Store, "sandbar.db")}");
        await connection.OpenAsync(Cancel);
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        Assert.True(await command.ExecuteNonQueryAsync(Cancel) > 0);
    }

    private async Task<List<string>> NamesAsync() => [.. (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites", Cancel))!.Select(s => s!["name"]!.GetValue<string>())];
}
