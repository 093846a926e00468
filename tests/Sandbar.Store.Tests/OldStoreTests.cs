using System.IO.Compression;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;

namespace Sandbar.Store.Tests;

/// <summary>A store that the program of format 1 wrote (tests/samples/format-1/store.db.gz): two sites, one put away, 259 edits, a checkpoint, two named states.</summary>
public sealed class OldStoreTests : IAsyncLifetime
{
    private readonly string folder = Directory.CreateTempSubdirectory("sandbar-old-store-").FullName;
    private SiteStore store = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public async ValueTask InitializeAsync()
    {
        await using (var packed = new GZipStream(File.OpenRead(Path.Combine(AppContext.BaseDirectory, "samples", "format-1", "store.db.gz")), CompressionMode.Decompress))
        await using (var unpacked = File.Create(Path.Combine(folder, "sandbar.db")))
            await packed.CopyToAsync(unpacked, Cancel);
        store = new(folder);
        await store.MigrateAsync(Cancel);
    }

    public ValueTask DisposeAsync()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
        return ValueTask.CompletedTask;
    }

    [Fact]
    public async Task Its_sites_open_with_everything_in_them()
    {
        Assert.Equal(["grn-shne", "pellwyn"], (await store.ListAsync(Cancel)).Select(s => s.Slug));
        var stored = (await store.OpenAsync("pellwyn", Cancel))!;
        Assert.Equal((259L, 259, Site.CurrentFormat), (stored.Version, stored.Journal.Count, stored.Site.Format));
        // Of the last edits: patches of format 1, applied to its last checkpoint before it was brought up.
        Assert.Equal(new FixedColorValue("hsl(42 75% 56%)"), stored.Site.Palette.Colors.Get("pollen").Color);
        Assert.Equal(new RestValue(-3), stored.Site.Looks.Get("button-plain").Cells["text-color@hover"]);
        foreach (var item in stored.Site.Shelf) Assert.Equal(item.MediaType, (await store.AssetAsync(item.Hash, Cancel))!.MediaType);
        Assert.Equal("pollen → hsl(42 75% 56%)", stored.Journal[^1].Label);
        Assert.True(await store.PutAwayAsync("pellwyn-put-away", null, Cancel));
        Assert.Equal("Pellwyn put away", (await store.OpenAsync("pellwyn-put-away", Cancel))!.Site.Name);
    }

    [Fact]
    public async Task Its_undo_ends_there_and_goes_on_with_what_is_done_now()
    {
        var stored = (await store.OpenAsync("pellwyn", Cancel))!;
        Assert.Equal((null, null), History.Reversible(stored.Journal, "one", stored.Version));
        Assert.NotEmpty(History.Read(stored.Journal));

        var edit = new SetThing("color", "beet", "color", "#123456");
        var after = edit.Apply(stored.Site).Site!;
        var line = new JournalLine(stored.Version + 1, DateTimeOffset.UnixEpoch, edit.Describe(stored.Site), "g", "one");
        await store.AppendAsync(after, edit, new(line, Patch.Between(stored.Site, after)), whole: await stored.IsOld, Cancel);
        var again = (await new SiteStore(folder).OpenAsync("pellwyn", Cancel))!;
        Assert.Equal((true, false), (await stored.IsOld, await again.IsOld));
        Assert.Empty(Patch.Between(after, again.Site).Changes);
        Assert.Equal("g", History.Reversible(again.Journal, "one", again.Version).Undo?.Gesture);
    }

    [Fact]
    public async Task Its_named_states_can_be_gone_back_to()
    {
        var named = await store.SnapshotsAsync("pellwyn", Cancel);
        Assert.Equal(["Rain settled", "Before the makeover"], named.Select(s => s.Name));
        foreach (var snapshot in named)
        {
            var kept = (await store.SnapshotAsync("pellwyn", snapshot.Id, Cancel))!.Value.Site;
            Assert.Equal(Site.CurrentFormat, kept.Format);
            var now = (await store.OpenAsync("pellwyn", Cancel))!.Site;
            Assert.Empty(Patch.Between(kept, Patch.Between(now, kept).Apply(now)).Changes);
        }
    }
}
