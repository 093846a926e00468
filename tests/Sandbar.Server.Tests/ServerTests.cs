using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>The API over HTTP: trials, edits, undo, conflicts, bad input, release, safety.</summary>
public sealed class ServerTests : IAsyncLifetime
{
    private LocalServer server = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    [Fact]
    public async Task Overrides_of_two_windows_are_put_together_line_by_line()
    {
        await server.EditAsync(0, new { kind = "setOverrides", css = "a\nb\nc" }, window: "one").OkAsync();
        await server.EditAsync(1, new { kind = "setOverrides", css = "A\nb\nc" }, window: "one").OkAsync();
        await server.EditAsync(1, new { kind = "setOverrides", css = "a\nb\nC" }, window: "two").OkAsync();
        Assert.Equal("A\nb\nC", await CssAsync());
        // It goes on writing over what it began with, line after line, without having seen what the other wrote.
        await server.EditAsync(1, new { kind = "setOverrides", css = "a\nb\nC\nd" }, window: "two").OkAsync();
        await server.EditAsync(1, new { kind = "setOverrides", css = "a\nb\nC\nd more\ne" }, window: "two").OkAsync();
        Assert.Equal("A\nb\nC\nd more\ne", await CssAsync());
        await server.EditAsync(1, new { kind = "setOverrides", css = "a\nb\nC" }, window: "two").OkAsync();
        using var clash = await server.EditAsync(2, new { kind = "setOverrides", css = "A\nb\nX" }, window: "one");
        Assert.Equal(HttpStatusCode.Conflict, clash.StatusCode);
        Assert.Contains("in another window", await clash.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        Assert.Equal("A\nb\nC", await CssAsync());

        async Task<string> CssAsync() => (await server.SiteAsync())["site"]!["overrides"]!["css"]!.GetValue<string>();
    }

    [Fact]
    public async Task A_trial_shows_what_would_change_and_stores_nothing()
    {
        var trial = (await server.TryAsync(0, LocalServer.SetColor("#336699")).OkAsync())["answer"]!;
        var rule = Assert.Single(trial["rules"]!.AsArray())!;
        Assert.Equal("color", rule["key"]!.GetValue<string>());
        Assert.Contains(rule["set"]!.AsArray(), d => d!["name"]!.GetValue<string>() == "--color-beet" && d["value"]!.GetValue<string>() == "#336699");
        Assert.Equal("#336699", Assert.Single(trial["colors"]!.AsArray())!["hex"]!.GetValue<string>());
        Assert.Null(trial["sheet"]);
        var site = await server.SiteAsync();
        Assert.Equal((0L, "#8a2846"), (site.Version(), site.Color()));
    }

    [Fact]
    public async Task A_trial_of_a_new_rule_brings_the_whole_sheet()
    {
        var trial = (await server.TryAsync(0, new { kind = "setCell", look = "button-filled", property = "opacity", state = "pressed", from = (int?)null, below = (int?)null, text = "0.5" }).OkAsync())["answer"]!;
        var rule = Assert.Single(trial["sheet"]!["rules"]!.AsArray())!;
        Assert.Equal("look button-filled pressed", rule["key"]!.GetValue<string>());
        Assert.Contains(".button-filled:is(:active", rule["css"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.Contains(trial["sheet"]!["order"]!.AsArray(), k => k!.GetValue<string>() == "look button-filled pressed");
    }

    [Fact]
    public async Task A_trial_of_overrides_brings_rules_and_problems()
    {
        var trial = (await server.TryAsync(0, new { kind = "setOverrides", css = "a { color: red }\nb { colr red }" }).OkAsync())["answer"]!;
        Assert.Equal("a {\n  color: red;\n}\n\nb {\n}\n", trial["overrides"]!.GetValue<string>());
        Assert.Equal(2, Assert.Single(trial["problems"]!.AsArray())!["line"]!.GetValue<int>());
    }

    [Fact]
    public async Task Edits_undo_redo_and_a_restart()
    {
        Assert.Equal(1, (await server.EditAsync(0, LocalServer.SetColor("#111111")).OkAsync()).Version());
        Assert.Equal(2, (await server.EditAsync(1, LocalServer.SetColor("#222222")).OkAsync()).Version());
        Assert.Equal("#111111", (await server.ReverseAsync("undo", 2).OkAsync()).Color());
        await server.RestartAsync();
        var site = await server.SiteAsync();
        Assert.Equal((3L, "#111111"), (site.Version(), site.Color()));
        Assert.Equal("Undone: beet → #222222", site["history"]!["last"]!.GetValue<string>());
        // The same window goes on; another one, opened later, takes back what was there before it.
        Assert.Equal("#222222", (await server.ReverseAsync("redo", 3).OkAsync()).Color());
        Assert.Equal("#111111", (await server.ReverseAsync("undo", 4, "other", openedAt: 4).OkAsync()).Color());
        Assert.Equal("#8a2846", (await server.ReverseAsync("undo", 5, "other", openedAt: 4).OkAsync()).Color());
        using var nothing = await server.ReverseAsync("undo", 6, "other", openedAt: 4);
        Assert.Equal(HttpStatusCode.BadRequest, nothing.StatusCode);
        Assert.Contains("nothing to undo", await nothing.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    /// <summary>The answer grows with what an edit reaches: marks of pages whose HTML changed, and of no others.</summary>
    [Fact]
    public async Task An_edit_answers_the_marks_of_the_pages_it_changed()
    {
        await server.SiteAsync();
        Assert.Empty(Marked(await server.EditAsync(0, LocalServer.SetColor("#111111")).OkAsync()));
        var content = await server.EditAsync(1, new { kind = "setContent", block = "catalogue-title", slot = "text", text = "Seeds" }).OkAsync();
        Assert.Equal(["catalogue"], Marked(content));
        // The header is on every page; the specimen has words of its own.
        Assert.Equal(6, Marked(await server.EditAsync(2, new { kind = "setContent", block = "header", slot = "name", text = "Seeds" }).OkAsync()).Count());

        static IEnumerable<string> Marked(JsonObject answer) => answer["sheet"]!["pages"]!.AsObject().Select(p => p.Key);
    }

    [Fact]
    public async Task What_others_have_come_to_use_is_not_taken_back_under_them()
    {
        await server.EditAsync(0, new { kind = "addThing", of = "color", id = "quince", name = "quince", like = "beet", values = (object?)null, @in = (string?)null }, "a").OkAsync();
        await server.EditAsync(1, new { kind = "setThing", of = "scheme", id = "day", field = "colors/link", text = "quince", @in = (string?)null }, "b").OkAsync();
        using var refused = await server.ReverseAsync("undo", 2, "a", overwrite: true);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        var said = (await refused.JsonAsync())["detail"]!.GetValue<string>();
        Assert.StartsWith("“quince added” cannot be taken back any more. ", said, StringComparison.Ordinal);
        Assert.Equal(2, (await server.SiteAsync()).Version());
        // Once the other is back, so can it be.
        await server.ReverseAsync("undo", 2, "b", openedAt: 0).OkAsync();
        await server.ReverseAsync("undo", 3, "a").OkAsync();
    }

    [Fact]
    public async Task An_edit_on_an_old_version_stands_where_nobody_else_touched_the_same_values()
    {
        await server.EditAsync(0, LocalServer.SetColor("#111111"), "a").OkAsync();
        Assert.Equal(2, (await server.EditAsync(0, new { kind = "setOverrides", css = "" }, "b").OkAsync()).Version());
        using var conflict = await server.EditAsync(0, LocalServer.SetColor("#222222"), "b");
        Assert.Equal(HttpStatusCode.Conflict, conflict.StatusCode);
        Assert.Contains("beet → #111111", (await conflict.JsonAsync())["detail"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.Equal("#111111", (await server.SiteAsync()).Color());
    }

    [Fact]
    public async Task Undo_asks_before_it_overwrites_another_window()
    {
        await server.EditAsync(0, LocalServer.SetColor("#111111"), "a").OkAsync();
        await server.EditAsync(1, LocalServer.SetColor("#222222"), "b").OkAsync();
        using var asked = await server.ReverseAsync("undo", 2, "a");
        Assert.Equal(HttpStatusCode.Conflict, asked.StatusCode);
        Assert.Equal("#8a2846", (await server.ReverseAsync("undo", 2, "a", overwrite: true).OkAsync()).Color());
    }

    /// <summary>Somebody types on in a line after undo: what was taken back is not taken back once more, and a window never clashes with itself.</summary>
    [Fact]
    public async Task A_gesture_that_goes_on_after_undo_is_another()
    {
        await server.EditAsync(0, LocalServer.SetColor("#111111"), "a", gesture: "keys").OkAsync();
        await server.ReverseAsync("undo", 1, "a").OkAsync();
        await server.EditAsync(2, LocalServer.SetColor("#222222"), "a", gesture: "keys").OkAsync();
        await server.EditAsync(3, LocalServer.SetColor("#333333"), "a", gesture: "keys").OkAsync();
        Assert.Equal("#8a2846", (await server.ReverseAsync("undo", 4, "a").OkAsync()).Color());
        Assert.Equal("#333333", (await server.ReverseAsync("redo", 5, "a").OkAsync()).Color());
    }

    [Theory]
    [InlineData("""{"kind":"setThing","of":"color","id":"beet","field":"color","text":"#12"}""", "/text", "“#12” is not a colour")]
    [InlineData("""{"kind":"setThing","of":"color","id":"gone","field":"color","text":"red"}""", "/id", "no longer there")]
    [InlineData("""{"kind":"setCell","look":"button-filled","property":"padding","state":"rest","from":null,"below":null,"text":"-4px"}""", "/text", "cannot be negative")]
    [InlineData("""{"kind":"setCell","look":"button-filled","property":"padding","state":"rest","from":null,"below":null,"text":"NaN"}""", "/text", "cannot be read")]
    [InlineData("""{"kind":"addThing","of":"color","id":"x","name":"LEAF","values":{"color":"red"}}""", "/name", "is taken")]
    [InlineData("""{"kind":"takeBack","gesture":"x","label":"x","again":false}""", "/kind", "Use undo")]
    public async Task A_bad_value_is_answered_at_its_place(string edit, string path, string said)
    {
        foreach (var asked in new[] { "trials", "edits" })
        {
            var source = asked == "trials" ? "\"pages\":[]" : "\"window\":\"w\",\"openedAt\":0,\"gesture\":\"g\"";
            using var response = await PostAsync(asked, $$"""{"version":0,{{source}},"edit":{{edit}}}""");
            var problem = await response.JsonAsync();
            Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
            Assert.Contains(said, problem["detail"]!.GetValue<string>(), StringComparison.Ordinal);
            Assert.Equal(path, problem["problems"]![0]!["path"]!.GetValue<string>());
        }
        Assert.Equal(0, (await server.SiteAsync()).Version());
    }

    [Theory]
    [InlineData("")]
    [InlineData("{")]
    [InlineData("""{"version":0}""")]
    [InlineData("""{"version":NaN,"edit":{"kind":"setThing","of":"color","id":"beet","field":"color","text":"red"}}""")]
    [InlineData("""{"version":"0","edit":{"kind":"setThing","of":"color","id":"beet","field":"color","text":"red"}}""")]
    [InlineData("""{"version":0,"edit":{"kind":"nothing"}}""")]
    [InlineData("""{"version":0,"edit":{"kind":"setThing","of":"color","id":"beet","field":"color","text":null}}""")]
    [InlineData("""{"version":0,"edit":{"kind":"setThing","of":"color","id":"beet","field":"color","text":"red","more":1}}""")]
    public async Task A_body_that_cannot_be_read_is_refused_in_words(string body)
    {
        using var response = await PostAsync("trials", body);
        var text = await response.Content.ReadAsStringAsync(Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
        Assert.DoesNotContain("Sandbar.", text, StringComparison.Ordinal);
        Assert.DoesNotContain("Exception", text, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_body_of_100_MB_is_refused_and_the_server_goes_on()
    {
        using var content = new ByteArrayContent(new byte[100 * 1024 * 1024]);
        content.Headers.ContentType = new("application/json");
        try
        {
            using var response = await server.Client.PostAsync("/api/sites/pellwyn/edits", content, Cancel);
            Assert.Equal(HttpStatusCode.RequestEntityTooLarge, response.StatusCode);
            Assert.Contains("larger than 4 MB", await response.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        }
        catch (HttpRequestException)
        {
            // The server may close the connection before the whole body is sent, and the answer is lost with it.
        }
        Assert.Equal(0, (await server.SiteAsync()).Version());
    }

    [Fact]
    public async Task What_is_not_there_is_said()
    {
        foreach (var path in new[] { "/api/sites/nowhere?window=w", "/api/sites/nowhere/sheet", "/stage/nowhere/home", "/stage/pellwyn/nothing", "/assets/nothing", "/api/nothing" })
        {
            using var response = await server.Client.GetAsync(path, Cancel);
            Assert.Equal(HttpStatusCode.NotFound, response.StatusCode);
        }
    }

    [Fact]
    public async Task The_stage_may_run_nothing_and_ask_for_nothing_outside()
    {
        await server.EditAsync(0, new { kind = "setOverrides", css = "a::after { content: \"</style><script>alert(1)</script>\" } b { background: url(https://example.org/x.png) }" }).OkAsync();
        using var response = await server.Client.GetAsync("/stage/pellwyn/home", Cancel);
        var policy = response.Headers.GetValues("Content-Security-Policy").Single();
        Assert.StartsWith("default-src 'none'", policy, StringComparison.Ordinal);
        Assert.Contains("sandbox allow-same-origin", policy, StringComparison.Ordinal);
        Assert.DoesNotContain("allow-scripts", policy, StringComparison.Ordinal);
        var html = await response.Content.ReadAsStringAsync(Cancel);
        Assert.DoesNotContain("<script", html, StringComparison.Ordinal);
        // The stage's own, the generated sheet and the overrides: nothing typed closes one.
        Assert.Equal(3, html.Split("</style>").Length - 1);
    }

    [Fact]
    public async Task Foreign_hosts_and_origins_are_refused()
    {
        using var foreignHost = new HttpRequestMessage(HttpMethod.Get, "/api/sites") { Headers = { Host = "evil.example" } };
        Assert.Equal(HttpStatusCode.Forbidden, (await server.Client.SendAsync(foreignHost, Cancel)).StatusCode);
        using var foreignOrigin = new HttpRequestMessage(HttpMethod.Post, "/api/sites/pellwyn/edits") { Headers = { { "Origin", "https://evil.example" } } };
        Assert.Equal(HttpStatusCode.Forbidden, (await server.Client.SendAsync(foreignOrigin, Cancel)).StatusCode);
    }

    [Fact]
    public async Task Every_answer_carries_its_safety_headers()
    {
        foreach (var path in new[] { "/", "/api/sites", "/api/nothing", "/stage/pellwyn/home" })
        {
            using var response = await server.Client.GetAsync(path, Cancel);
            Assert.Equal("nosniff", response.Headers.GetValues("X-Content-Type-Options").Single());
            Assert.Contains("default-src 'none'", response.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
        }
        var asset = (await server.Client.GetStringAsync("/stage/pellwyn/home", Cancel)).Split("/assets/")[1].Split('"')[0];
        using var file = await server.Client.GetAsync($"/assets/{asset}", Cancel);
        Assert.Contains("sandbox", file.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_release_is_the_same_each_time_and_holds_every_file()
    {
        var first = await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", Cancel);
        Assert.Equal(first, await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", Cancel));
        using var zip = new ZipArchive(new MemoryStream(first));
        Assert.Contains(zip.Entries, e => e.FullName == "index.html");
        Assert.Contains(zip.Entries, e => e.FullName == "fonts/figtree-latin-wght-normal.woff2");
        Assert.Contains(zip.Entries, e => e.FullName == "pictures/hero.svg");
        var css = await server.Client.GetStringAsync("/api/sites/pellwyn/release/site.css", Cancel);
        using var reader = new StreamReader(zip.GetEntry("site.css")!.Open());
        Assert.Equal(css, await reader.ReadToEndAsync(Cancel));
        Assert.Equal((await server.SiteAsync())["site"]!["figures"]!["stylesheetBytes"]!.GetValue<int>(), Encoding.UTF8.GetByteCount(css));
    }

    private Task<HttpResponseMessage> PostAsync(string what, string body)
    {
        var content = new StringContent(body, Encoding.UTF8, new MediaTypeHeaderValue("application/json"));
        return server.Client.PostAsync($"/api/sites/pellwyn/{what}", content, Cancel);
    }

    [Fact]
    public async Task A_named_state_is_gone_back_to_as_one_edit()
    {
        await server.EditAsync(0, LocalServer.SetColor("#111111")).OkAsync();
        var kept = await NameAsync("Before the sale").OkAsync();
        Assert.Equal(1, kept["version"]!.GetValue<long>());
        await server.EditAsync(1, LocalServer.SetColor("#222222")).OkAsync();
        await server.EditAsync(2, new { kind = "setOverrides", css = "a { color: red }" }).OkAsync();
        Assert.Equal("#222222", (await server.SiteAsync()).Color());

        // Going back reaches everything, so it is only made on what the window has seen.
        using (var late = await BackAsync(kept, 2)) Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        var back = await BackAsync(kept, 3).OkAsync();
        Assert.Equal((4L, "#111111"), (back.Version(), back.Color()));
        Assert.Equal("#222222", (await server.ReverseAsync("undo", 4).OkAsync()).Color());
        var past = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn/past", Cancel))!;
        Assert.Equal("Back to “Before the sale”", past["items"]![0]!["label"]!.GetValue<string>());
        Assert.True(past["items"]![0]!["isUndone"]!.GetValue<bool>());
        Assert.Equal((4, true), (past["items"]!.AsArray().Count, past["isAll"]!.GetValue<bool>()));
    }

    [Fact]
    public async Task A_name_is_given_once_and_a_snapshot_that_is_gone_is_said_to_be()
    {
        await NameAsync("Winter").OkAsync();
        foreach (var (name, said) in new[] { ("winter", "taken"), ("  ", "name"), (new string('x', 61), "") })
        {
            using var refused = await NameAsync(name);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Contains(said, await refused.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        }
        using var gone = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/snapshots/none/back", new { version = 0, window = "test", openedAt = 0, gesture = "g" }, Cancel);
        Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
    }

    [Fact]
    public async Task The_sheet_before_the_last_gesture_can_be_seen()
    {
        await server.EditAsync(0, LocalServer.SetColor("#111111"), gesture: "first").OkAsync();
        await server.EditAsync(1, LocalServer.SetColor("#222222"), gesture: "drag").OkAsync();
        await server.EditAsync(2, LocalServer.SetColor("#333333"), gesture: "drag").OkAsync();
        var before = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn/sheet?before=edit", Cancel))!;
        Assert.Contains("--color-beet: #111111;", before["rules"]!.ToJsonString(), StringComparison.Ordinal);
        Assert.Equal("#333333", (await server.SiteAsync()).Color());
    }

    [Fact]
    public async Task Sites_are_duplicated_put_away_and_brought_back()
    {
        await server.EditAsync(0, LocalServer.SetColor("#111111")).OkAsync();
        var copy = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/copies", new { name = "Pellwyn in winter" }, Cancel).OkAsync();
        Assert.Equal("pellwyn-in-winter", copy["slug"]!.GetValue<string>());
        using (var taken = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/copies", new { name = "PELLWYN in winter" }, Cancel)) Assert.Equal(HttpStatusCode.BadRequest, taken.StatusCode);
        var site = (await server.Client.GetFromJsonAsync<JsonObject>("/api/sites/pellwyn-in-winter?window=w", Cancel))!;
        Assert.Equal((0L, "#111111", "Pellwyn in winter"), (site.Version(), site.Color(), site["site"]!["name"]!.GetValue<string>()));

        Assert.Equal(HttpStatusCode.NoContent, (await server.Client.DeleteAsync("/api/sites/pellwyn", Cancel)).StatusCode);
        Assert.Equal(["pellwyn-in-winter"], await SlugsAsync());
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync("/api/sites/pellwyn?window=w", Cancel)).StatusCode);
        using (var edit = await server.EditAsync(1, LocalServer.SetColor("#222222"))) Assert.Equal(HttpStatusCode.NotFound, edit.StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await server.Client.PostAsync("/api/sites/pellwyn/restored", null, Cancel)).StatusCode);
        Assert.Equal((1L, "#111111"), ((await server.SiteAsync()).Version(), (await server.SiteAsync()).Color()));
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.DeleteAsync("/api/sites/nowhere", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_saved_site_is_opened_as_a_new_one_that_is_released_alike()
    {
        var zip = await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/site-file.zip", Cancel);
        using (var taken = await OpenAsync(zip)) Assert.Contains("is taken", await taken.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        await server.EditAsync(0, new { kind = "renameSite", name = "The old one" }).OkAsync();
        var opened = await OpenAsync(zip).OkAsync();
        Assert.Equal("pellwyn-seed-library", opened["slug"]!.GetValue<string>());
        await server.EditAsync(1, new { kind = "renameSite", name = "Pellwyn Seed Library 2" }).OkAsync();
        var (before, after) = (await PagesAsync("pellwyn"), await PagesAsync("pellwyn-seed-library"));
        Assert.Equal(before.Keys, after.Keys);
        Assert.All(before.Keys.Where(k => k != "site.css"), k => Assert.Equal(before[k], after[k]));
    }

    [Fact]
    public async Task A_zip_that_is_not_what_it_says_is_refused_and_leaves_nothing()
    {
        var zip = await server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/site-file.zip", Cancel);
        (byte[] Zip, string Said)[] bad =
        [
            ([1, 2, 3], "not a zip"),
            (Changed(zip, (name, bytes) => name.EndsWith(".json", StringComparison.Ordinal) ? null : bytes), "There is no .sandbar.json file"),
            (Changed(zip, (name, bytes) => name.EndsWith(".svg", StringComparison.Ordinal) ? null : bytes), "is missing"),
            (Changed(zip, (name, bytes) => name.EndsWith(".svg", StringComparison.Ordinal) ? [.. bytes, 32] : bytes), "its bytes have changed"),
            (Changed(zip, (name, bytes) => name.EndsWith(".json", StringComparison.Ordinal) ? Encoding.UTF8.GetBytes("{\"format\":7}") : bytes), "of format 7"),
            (Changed(zip, (name, bytes) => name.EndsWith(".json", StringComparison.Ordinal) ? new byte[100 * 1024 * 1024] : bytes), "larger than"),
        ];
        foreach (var (bytes, said) in bad)
        {
            using var refused = await OpenAsync(bytes);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Contains(said, await refused.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        }
        Assert.Equal(["pellwyn"], await SlugsAsync());
    }

    private static byte[] Changed(byte[] zip, Func<string, byte[], byte[]?> change)
    {
        using var target = new MemoryStream();
        using (var from = new ZipArchive(new MemoryStream(zip)))
        using (var to = new ZipArchive(target, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var entry in from.Entries)
            {
                using var content = new MemoryStream();
                using (var stream = entry.Open()) stream.CopyTo(content);
                if (change(entry.FullName, content.ToArray()) is not { } bytes) continue;
                using var into = to.CreateEntry(entry.FullName).Open();
                into.Write(bytes);
            }
        }
        return target.ToArray();
    }

    private async Task<Dictionary<string, string>> PagesAsync(string slug)
    {
        using var zip = new ZipArchive(new MemoryStream(await server.Client.GetByteArrayAsync($"/api/sites/{slug}/release/pages.zip", Cancel)));
        return zip.Entries.ToDictionary(e => e.FullName, e =>
        {
            using var reader = new StreamReader(e.Open());
            return reader.ReadToEnd();
        });
    }

    private async Task<List<string>> SlugsAsync() =>
        [.. (await server.Client.GetFromJsonAsync<JsonArray>("/api/sites", Cancel))!.Select(s => s!["slug"]!.GetValue<string>())];

    private Task<HttpResponseMessage> OpenAsync(byte[] zip)
    {
        var content = new ByteArrayContent(zip);
        content.Headers.ContentType = new("application/zip");
        return server.Client.PostAsync("/api/sites", content, Cancel);
    }

    private Task<HttpResponseMessage> NameAsync(string name) => server.Client.PostAsJsonAsync("/api/sites/pellwyn/snapshots", new { name }, Cancel);

    private Task<HttpResponseMessage> BackAsync(JsonObject snapshot, long version) => server.Client.PostAsJsonAsync(
        $"/api/sites/pellwyn/snapshots/{snapshot["id"]!.GetValue<string>()}/back", new { version, window = "test", openedAt = 0, gesture = Guid.NewGuid().ToString() }, Cancel);
}
