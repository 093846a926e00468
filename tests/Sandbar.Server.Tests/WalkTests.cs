using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Css.Syntax;
using Sandbar.Store;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>
/// Two windows that edit one site by chance: edits of every kind on what they have seen, undo, redo, snapshots, reloads, a server that starts again. After each
/// step everything about the site answers, and the store holds what was answered.
/// </summary>
public sealed class WalkTests : IAsyncLifetime
{
    private LocalServer server = null!;
    private int walks;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static readonly Gen<Edit> Edits = Gen.Frequency(
        (8, RandomEdits.Any),
        (1, OverrideSheets.Any.Select(css => (Edit)new SetOverrides(css))),
        (1, Gen.Select(Gen.Int[0, 40], OverrideSheets.Any, (line, css) => (Edit)new SetOverrides(Sheet(line, css)))));

    private static readonly Gen<Step> Steps = Gen.Select(Gen.Frequency((12, Gen.Const("edit")), (4, Gen.Const("undo")), (3, Gen.Const("redo")), (2, Gen.Const("reload")), (1, Gen.Const("name")), (1, Gen.Const("back")), (1, Gen.Const("restart"))),
        Gen.Int[0, 1], Gen.Int[0, 3], Gen.Bool, Edits, (what, window, gesture, overwrite, edit) => new Step(what, window, gesture, overwrite, edit));

    public async ValueTask InitializeAsync() => server = await LocalServer.StartAsync();

    public ValueTask DisposeAsync() => server.DisposeAsync();

    [Fact]
    public Task Whatever_two_windows_do_everything_answers() => Steps.Array[1, 30].SampleAsync(WalkAsync, iter: RandomTimes.Of(8), threads: 1);

    /// <summary>A sheet of many lines with one of them replaced: windows that write in different lines are put together.</summary>
    private static string Sheet(int line, string css) => string.Join('\n', Enumerable.Range(0, 40).Select(n => n == line ? css.ReplaceLineEndings(" ") : $".line-{n} {{ top: {n}px }}"));

    private async Task WalkAsync(Step[] steps)
    {
        var walk = new Walk(server, await CopyAsync($"Walk {++walks}"));
        foreach (var step in steps)
        {
            if (step.What == "restart")
            {
                await server.RestartAsync();
            }
            else
            {
                await walk.GoAsync(step);
            }
            await walk.LookAsync();
        }
        using var away = await server.Client.DeleteAsync($"/api/sites/{walk.Slug}", Cancel);
        Assert.True(away.IsSuccessStatusCode);
    }

    private async Task<string> CopyAsync(string name)
    {
        var copy = await server.Client.PostAsJsonAsync("/api/sites/pellwyn/copies", new { name }, Cancel).OkAsync();
        return copy["slug"]!.GetValue<string>();
    }

    /// <param name="What">What is done.</param>
    /// <param name="Window">Which window does it.</param>
    /// <param name="Gesture">Which gesture it says it belongs to: 0 is one of its own, others are used again and again.</param>
    /// <param name="Overwrite">Whether undo goes ahead where another window has changed the same.</param>
    private sealed record Step(string What, int Window, int Gesture, bool Overwrite, Edit Edit);

    /// <summary>A site that two windows are at.</summary>
    private sealed class Walk(LocalServer server, string slug)
    {
        private readonly long[] seen = [0, 0];
        private readonly List<string> snapshots = [];
        private long version;
        private int steps;

        public string Slug => slug;

        public async Task GoAsync(Step step)
        {
            steps++;
            var (window, seenVersion) = ($"w{step.Window}", seen[step.Window]);
            var gesture = step.Gesture == 0 ? $"{window}-{steps}" : $"{window}-{step.Gesture}-again";
            switch (step.What)
            {
                case "edit":
                    await AnsweredAsync(step.Window, "edits", new { version = seenVersion, window, openedAt = 0, gesture, edit = JsonSerializer.SerializeToNode(step.Edit, SiteJson.Options) });
                    break;
                case "undo" or "redo":
                    await AnsweredAsync(step.Window, step.What, new { version = seenVersion, window, openedAt = 0, gesture, overwrite = step.Overwrite });
                    break;
                case "name":
                    var named = await server.Client.PostAsJsonAsync($"/api/sites/{slug}/snapshots", new { name = $"State {steps}" }, Cancel).OkAsync();
                    snapshots.Add(named["id"]!.GetValue<string>());
                    break;
                case "back" when snapshots.Count > 0:
                    await AnsweredAsync(step.Window, $"snapshots/{snapshots[step.Gesture % snapshots.Count]}/back", new { version = seenVersion, window, openedAt = 0, gesture });
                    break;
                default:
                    seen[step.Window] = version;
                    break;
            }
        }

        /// <summary>Everything about the site answers, and is what the store holds.</summary>
        public async Task LookAsync()
        {
            var site = await server.Client.GetFromJsonAsync<JsonObject>($"/api/sites/{slug}?window=w0&openedAt=0", Cancel);
            Assert.Equal(version, site!.Version());
            var stored = (await new SiteStore(server.Store).OpenAsync(slug, Cancel))!;
            Assert.Equal(version, stored.Version);
            foreach (var page in stored.Site.Pages.Select(p => p.Id).Append(Specimen.PageId)) await HereAsync($"/stage/{slug}/{page}");
            foreach (var what in new[] { "pairs", "silenced", "reach?since=edit", "sheet?since=edit", "past", "release/pages.zip" }) await HereAsync($"/api/sites/{slug}/{what}");
            var released = await server.Client.GetStringAsync($"/api/sites/{slug}/release/site.css", Cancel);
            Assert.Equal(SiteRelease.StyleSheet(stored.Site), released);
            var sheet = StyleSheetRenderer.Render(stored.Site);
            var read = Parser.ParseStyleSheet(StyleSheetText.Generated(sheet, SheetUse.Release, i => i.File));
            Assert.Empty(read.Errors);
            Assert.Equal(sheet.Rules.Length, Count(read.Rules.OfType<AtRuleNode>().Where(r => r.Name == "layer")));
        }

        private async Task AnsweredAsync(int window, string what, object body)
        {
            using var response = await server.Client.PostAsJsonAsync($"/api/sites/{slug}/{what}", body, SiteJson.Options, Cancel);
            var answer = await response.JsonAsync();
            switch (response.StatusCode)
            {
                case HttpStatusCode.OK:
                    version = seen[window] = answer.Version();
                    break;
                case HttpStatusCode.Conflict:
                    // It is shown as it is now.
                    seen[window] = version;
                    Assert.Matches(@"\w.*\.\z", answer["detail"]!.GetValue<string>());
                    break;
                default:
                    Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
                    Assert.Matches(@"\w.*\.\z", answer["detail"]!.GetValue<string>());
                    break;
            }
        }

        private async Task HereAsync(string path)
        {
            using var response = await server.Client.GetAsync(path, Cancel);
            Assert.True(response.StatusCode == HttpStatusCode.OK, $"{path}: {(int)response.StatusCode} {await response.Content.ReadAsStringAsync(Cancel)}");
        }

        private static int Count(IEnumerable<RuleNode> rules) => rules.Sum(r => (r is StyleRuleNode ? 1 : 0) + Count(r.Items.OfType<RuleNode>()));
    }
}
