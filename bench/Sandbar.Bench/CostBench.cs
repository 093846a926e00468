using System.Diagnostics;
using Microsoft.Data.Sqlite;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Server;
using Sandbar.Store;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>What a trial costs in the core at 6 and at 200 pages, and what opening costs with 10,000 edits behind a site.</summary>
internal static class CostBench
{
    private const int Trials = 400, Pages = 200, Edits = 10_000;

    public static async Task RunAsync()
    {
        var small = PellwynSample.Create().Site;
        var large = small with { Pages = [.. Enumerable.Range(0, Pages).Select(i => small.Pages[i % small.Pages.Length] with { Id = $"p{i}", Name = $"Page {i}", Slug = $"page-{i}" })] };
        (string What, Func<int, Edit> Make)[] edits =
        [
            ("colour", i => Do.Color("beet", $"#{(0x8a2846 + i) & 0xFFFFFF:x6}")),
            ("space", i => new SetThing("space", "space-4", "size", $"{20 + i % 30}px")),
            ("cell", i => new SetCell("button-filled", "radius", State.Rest, null, null, $"{i % 30}px")),
        ];
        // Everything once before anything is timed: the first runs are those of the compiler.
        foreach (var site in new[] { small, large })
        {
            foreach (var (_, make) in edits) _ = (Times(site, make), Times(site, make, Answer));
        }
        foreach (var (what, make) in edits)
        {
            foreach (var site in new[] { small, large })
            {
                var times = Times(site, make);
                Console.WriteLine($"trial of a {what}, {site.Pages.Length,3} pages   median {times[Trials / 2],5:0.00} ms   p95 {times[Trials * 95 / 100],5:0.00} ms");
                times = Times(site, make, Answer);
                Console.WriteLine($"edit of a {what} with its answer, {site.Pages.Length,3} pages, without the disk   median {times[Trials / 2],5:0.00} ms   p95 {times[Trials * 95 / 100],5:0.00} ms");
            }
        }
        await OpeningAsync(small);
    }

    /// <summary>All that an edit asks of the server but for writing it down: the patch, the sheet, and what the window is told.</summary>
    private static object Answer(Head before, Site after)
    {
        var patch = Patch.Between(before.Stored.Site, after);
        var head = new Head(new(after, before.Stored.Version + patch.Changes.Length, []), StyleSheetRenderer.Render(after));
        return EditAnswer.Of(before, head, "w", 0);
    }

    private static double[] Times(Site site, Func<int, Edit> make, Func<Head, Site, object>? answer = null)
    {
        var sheet = StyleSheetRenderer.Render(site);
        var head = new Head(new(site, 0, []), sheet);
        _ = head.View;
        var times = new double[Trials];
        for (var i = -50; i < Trials; i++)
        {
            var started = Stopwatch.GetTimestamp();
            var after = make(i + 50).Apply(site).Site!;
            _ = answer is null ? StyleSheetChanges.Between(sheet, StyleSheetRenderer.Render(after)) : answer(head, after);
            if (i >= 0) times[i] = Stopwatch.GetElapsedTime(started).TotalMilliseconds;
        }
        Array.Sort(times);
        return times;
    }

    private static async Task OpeningAsync(Site site)
    {
        var folder = Directory.CreateTempSubdirectory("sandbar-bench-").FullName;
        try
        {
            var store = new SiteStore(folder);
            await store.MigrateAsync();
            await store.AddAsync(PellwynSample.Create(), DateTimeOffset.UnixEpoch);
            // Just before a checkpoint, where opening costs most.
            for (var version = 1; version < Edits + SiteStore.CheckpointEvery; version++)
            {
                var edit = Do.Color("beet", $"#{version:x6}");
                var after = edit.Apply(site).Site!;
                await store.AppendAsync(after, edit, new(new(version, DateTimeOffset.UnixEpoch, edit.Describe(site), $"g{version}", "w"), Patch.Between(site, after)));
                site = after;
            }
            // What a server has asked of its store before it answers.
            var reopened = new SiteStore(folder);
            await reopened.MigrateAsync();
            _ = await reopened.SlugsAsync();
            var started = Stopwatch.GetTimestamp();
            var opened = (await reopened.OpenAsync(site.Slug))!;
            _ = History.Reversible(opened.Journal, "w", opened.Version);
            Console.WriteLine($"opening with {opened.Version} edits behind it   {Stopwatch.GetElapsedTime(started).TotalMilliseconds:0} ms");
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }
}
