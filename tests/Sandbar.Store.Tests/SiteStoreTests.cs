using Microsoft.Data.Sqlite;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Samples.Pellwyn;

namespace Sandbar.Store.Tests;

/// <summary>Sites, journals and assets in SQLite.</summary>
public sealed class SiteStoreTests : IAsyncLifetime
{
    private readonly string folder = Directory.CreateTempSubdirectory("sandbar-store-").FullName;
    private SiteStore store = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync()
    {
        store = new(folder);
        await store.MigrateAsync(Cancel);
        await store.AddAsync(PellwynSample.Create(), DateTimeOffset.UnixEpoch, Cancel);
    }

    public ValueTask DisposeAsync()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
        return ValueTask.CompletedTask;
    }

    [Fact]
    public async Task A_site_is_found_again_with_its_assets()
    {
        var stored = await new SiteStore(folder).OpenAsync("pellwyn", Cancel);
        Assert.Equal(("Pellwyn Seed Library", 0L), (stored!.Site.Name, stored.Version));
        Assert.Empty(Patch.Between(PellwynSample.Create().Site, stored.Site).Changes);
        foreach (var item in stored.Site.Shelf)
        {
            var asset = await store.AssetAsync(item.Hash, Cancel);
            Assert.Equal(item.MediaType, asset!.MediaType);
            Assert.Equal(item.Hash, Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(asset.Bytes)));
        }
        Assert.Null(await store.OpenAsync("nowhere", Cancel));
        Assert.Null(await store.AssetAsync("nothing", Cancel));
    }

    [Fact]
    public async Task Edits_are_found_again_across_checkpoints()
    {
        const int count = SiteStore.CheckpointEvery + 30;
        var site = (await store.OpenAsync("pellwyn", Cancel))!.Site;
        for (var version = 1; version <= count; version++)
        {
            var edit = Do.Color("beet", $"#{version:x6}");
            var (after, entry) = Make(site, version, edit);
            await store.AppendAsync(after, edit, entry, cancel: Cancel);
            site = after;
        }
        var stored = await new SiteStore(folder).OpenAsync("pellwyn", Cancel);
        Assert.Equal((count, count, false), (stored!.Version, stored.Journal.Count, await stored.IsOld));
        Assert.Equal(new FixedColorValue($"#{count:x6}"), stored.Site.Palette.Colors.Get("beet").Color);
        var entries = await store.EntriesAsync("pellwyn", 1, 3, Cancel);
        Assert.Equal(["beet → #000002", "beet → #000003"], entries.Select(e => e.Line.Label));
        Assert.Equal("/palette/colors/beet/color", Assert.Single(entries[0].Patch.Changes).Path);
    }

    /// <summary>A store from before sites had easings: what is done to them now is found again.</summary>
    [Fact]
    public async Task An_edit_of_what_the_stored_document_does_not_have_is_found_again()
    {
        await using (var connection = new SqliteConnection($"Data Source={Path.Combine(folder, "sandbar.db")}"))
        {
            await connection.OpenAsync(Cancel);
            await using var command = connection.CreateCommand();
            command.CommandText = "UPDATE Checkpoints SET Document = json_remove(Document, '$.motion')";
            Assert.Equal(1, await command.ExecuteNonQueryAsync(Cancel));
        }
        var stored = (await store.OpenAsync("pellwyn", Cancel))!;
        Assert.True(await stored.IsOld);
        var edit = new AddThing("easing", "soft", "soft");
        var (after, entry) = Make(stored.Site, 1, edit);
        await store.AppendAsync(after, edit, entry, whole: await stored.IsOld, Cancel);
        Assert.Equal("soft", Assert.Single((await new SiteStore(folder).OpenAsync("pellwyn", Cancel))!.Site.Motion.Easings).Name);
    }

    [Fact]
    public async Task Of_many_writers_of_a_version_exactly_one_wins()
    {
        var site = (await store.OpenAsync("pellwyn", Cancel))!.Site;
        var outcomes = await Task.WhenAll(Enumerable.Range(0, 8).Select(async i =>
        {
            var edit = Do.Color("beet", $"#00000{i}");
            var (after, entry) = Make(site, 1, edit);
            try
            {
                await new SiteStore(folder).AppendAsync(after, edit, entry, cancel: Cancel);
                return true;
            }
            catch (VersionTakenException)
            {
                return false;
            }
        }));
        Assert.Single(outcomes, won => won);
        Assert.Single((await store.OpenAsync("pellwyn", Cancel))!.Journal);
    }

    [Fact]
    public async Task Renaming_shows_in_the_list()
    {
        var site = (await store.OpenAsync("pellwyn", Cancel))!.Site;
        var edit = new RenameSite("Pellwyn Seeds");
        var (after, entry) = Make(site, 1, edit);
        await store.AppendAsync(after, edit, entry, cancel: Cancel);
        Assert.Equal("Pellwyn Seeds", Assert.Single(await store.ListAsync(Cancel)).Name);
    }

    [Fact]
    public async Task A_state_is_kept_under_its_name_and_a_name_is_given_once()
    {
        var site = (await store.OpenAsync("pellwyn", Cancel))!.Site;
        Assert.True(await store.NameAsync(site, new("s1", "Before the sale", 0, DateTimeOffset.UnixEpoch), Cancel));
        Assert.False(await store.NameAsync(site, new("s2", "before THE sale", 0, DateTimeOffset.UnixEpoch), Cancel));
        var later = Do.Color("beet", "red").Apply(site).Site!;
        Assert.True(await store.NameAsync(later, new("s3", "Red", 1, DateTimeOffset.UnixEpoch.AddDays(1)), Cancel));
        Assert.Equal(["Red", "Before the sale"], (await store.SnapshotsAsync("pellwyn", Cancel)).Select(s => s.Name));
        var kept = (await store.SnapshotAsync("pellwyn", "s1", Cancel))!.Value;
        Assert.Empty(Patch.Between(site, kept.Site).Changes);
        Assert.Null(await store.SnapshotAsync("pellwyn", "s2", Cancel));
    }

    /// <summary>A keystroke in a long sheet is kept as the keystroke, not as the sheet.</summary>
    [Fact]
    public async Task Keystrokes_in_a_long_sheet_cost_what_they_say()
    {
        const int keys = 200;
        var sheet = string.Concat(Enumerable.Range(0, 17_000).Select(n => $".rule-{n} {{ top: {n}px }}\n"))[..459_000];
        var site = (await store.OpenAsync("pellwyn", Cancel))!.Site;
        for (var version = 1; version <= keys; version++)
        {
            var edit = new SetOverrides(sheet.Insert(200_000, new string('x', version)));
            var (after, entry) = Make(site, version, edit);
            await store.AppendAsync(after, edit, entry, cancel: Cancel);
            site = after;
        }
        var bytes = Directory.GetFiles(folder).Sum(f => new FileInfo(f).Length);
        Assert.InRange(bytes, 1, 10_000_000);
        Assert.Empty(Patch.Between(site, (await store.OpenAsync("pellwyn", Cancel))!.Site).Changes);
        // Without the checkpoint that comes after so many: from patches alone.
        var entries = await store.EntriesAsync("pellwyn", 100, keys, Cancel);
        Assert.Equal(sheet.Insert(200_000, new string('x', 100)), entries.Reverse().Aggregate(site, (s, e) => e.Patch.Inverse().Apply(s)).Overrides.Site);
    }

    /// <summary>However many edits lie behind a site, as many of them are held as undo reaches back.</summary>
    [Fact]
    public async Task The_latest_edits_are_held()
    {
        var site = (await store.OpenAsync("pellwyn", Cancel))!.Site;
        await using (var connection = new SqliteConnection($"Data Source={Path.Combine(folder, "sandbar.db")}"))
        {
            await connection.OpenAsync(Cancel);
            await using var command = connection.CreateCommand();
            command.CommandText = $"""
                WITH RECURSIVE n(v) AS (SELECT 1 UNION ALL SELECT v + 1 FROM n WHERE v < 5000)
                INSERT INTO Journal (Slug, Version, At, Edit, Label, Patch, Gesture, Window, Again, Format)
                SELECT 'pellwyn', v, '1970-01-01 00:00:00+00:00', '', 'edit ' || v, '', 'g' || v, 'w', 0, {Site.CurrentFormat} FROM n
                """;
            await command.ExecuteNonQueryAsync(Cancel);
            command.CommandText = "UPDATE Checkpoints SET Version = 5000";
            await command.ExecuteNonQueryAsync(Cancel);
        }
        var stored = (await store.OpenAsync("pellwyn", Cancel))!;
        Assert.Equal((5000L, StoredSite.MostLines, "edit 5000"), (stored.Version, stored.Journal.Count, stored.Journal[^1].Label));
        var later = stored.After(site, stored.Journal[^1] with { Version = 5001, Label = "another" });
        Assert.Equal((5001L, StoredSite.MostLines, "another", "edit 3002"), (later.Version, later.Journal.Count, later.Journal[^1].Label, later.Journal[0].Label));
    }

    private static (Site After, JournalEntry Entry) Make(Site site, long version, Edit edit)
    {
        var after = edit.Apply(site).Site!;
        return (after, new(new(version, DateTimeOffset.UnixEpoch, edit.Describe(site), $"g{version}", "w"), Patch.Between(site, after)));
    }
}
