using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;

namespace Sandbar.Store;

/// <summary>A site as the store holds it.</summary>
/// <param name="Version">How many edits lie behind it.</param>
/// <param name="Journal">The latest of them, oldest first, without their patches: as far back as undo reaches.</param>
public sealed record StoredSite(Site Site, long Version, ImmutableList<JournalLine> Journal)
{
    /// <summary>
    /// Whether what is stored is not all that a site of today says: an edit of it is kept with the whole site, since its patch may lead through what is not there.
    /// Found out while the site is opened already.
    /// </summary>
    public Task<bool> IsOld { get; init; } = Task.FromResult(false);

    /// <summary>The version the site is of: an earlier one where what came after it cannot be read.</summary>
    public long LastGood { get; init; } = Version;

    /// <summary>Edits that are held at most; what lies further back stays in the store.</summary>
    public const int MostLines = 2000;

    /// <summary>The site after one more edit.</summary>
    public StoredSite After(Site site, JournalLine line) => new(site, line.Version, (Journal.Count < MostLines ? Journal : Journal.RemoveAt(0)).Add(line));
}

/// <summary>A named state of a whole site.</summary>
public sealed record Snapshot(string Id, string Name, long Version, DateTimeOffset At);

/// <summary>Somebody else made an edit of the same version first.</summary>
public sealed class VersionTakenException(string slug, long version) : Exception($"Version {version} of {slug} is taken.");

/// <summary>Sites, their journals and their assets in SQLite.</summary>
public sealed class SiteStore
{
    /// <summary>Edits between two checkpoints.</summary>
    public const int CheckpointEvery = 200;

    /// <summary>Characters of an edit that are kept beside its patch.</summary>
    private const int LongestEdit = 4000;

    private const int PrimaryKeyViolated = 1555, UniqueViolated = 2067;

    private readonly PooledDbContextFactory<SandbarDb> contexts;

    /// <param name="folder">Where the store lies; made when it is not there.</param>
    public SiteStore(string folder)
    {
        Directory.CreateDirectory(folder);
        var connection = new SqliteConnectionStringBuilder { DataSource = Path.Combine(folder, "sandbar.db"), ForeignKeys = true }.ToString();
        contexts = new(new DbContextOptionsBuilder<SandbarDb>().UseSqlite(connection).AddInterceptors(new ConnectionSettings()).Options);
    }

    /// <summary>Brings the tables up to date.</summary>
    public async Task MigrateAsync(CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        // Migrating where there is nothing to migrate takes most of a start (docs/architecture.md).
        if (!await IsUpToDateAsync(db, cancel)) await db.Database.MigrateAsync(cancel);
    }

    public async Task<IReadOnlyList<SiteRow>> ListAsync(CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var sites = await db.Sites.AsNoTracking().Where(s => s.Deleted == null).ToListAsync(cancel);
        return [.. sites.OrderBy(s => s.Name, StringComparer.OrdinalIgnoreCase)];
    }

    /// <summary>The sites with the time each was edited last, those that were put away left out.</summary>
    public async Task<IReadOnlyList<(SiteRow Site, DateTimeOffset Edited)>> ListEditedAsync(CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var sites = await db.Sites.AsNoTracking().Where(s => s.Deleted == null)
            .Select(s => new { Site = s, Edited = db.Journal.Where(j => j.Slug == s.Slug).OrderByDescending(j => j.Version).Select(j => (DateTimeOffset?)j.At).FirstOrDefault() })
            .ToListAsync(cancel);
        return [.. sites.OrderBy(s => s.Site.Name, StringComparer.OrdinalIgnoreCase).Select(s => (s.Site, s.Edited ?? s.Site.Created))];
    }

    /// <summary>The sites that were put away, the latest first.</summary>
    public async Task<IReadOnlyList<SiteRow>> AwayAsync(CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var sites = await db.Sites.AsNoTracking().Where(s => s.Deleted != null).ToListAsync(cancel);
        return [.. sites.OrderByDescending(s => s.Deleted)];
    }

    /// <summary>Adds a site with its assets, as version 0.</summary>
    public async Task AddAsync(SiteWithAssets sample, DateTimeOffset now, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        await KeepAsync(db, sample.Assets, cancel);
        db.Sites.Add(new() { Slug = sample.Site.Slug, Name = sample.Site.Name, Created = now });
        db.Checkpoints.Add(Checkpoint(sample.Site, 0));
        await db.SaveChangesAsync(cancel);
    }

    /// <summary>Keeps the bytes of files; those that are there already stay as they are.</summary>
    public async Task KeepAsync(IEnumerable<Asset> assets, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        await KeepAsync(db, assets, cancel);
        await db.SaveChangesAsync(cancel);
    }

    /// <summary>The slugs that are taken, those of deleted sites among them.</summary>
    public async Task<IReadOnlyList<string>> SlugsAsync(CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        return await db.Sites.Select(s => s.Slug).ToListAsync(cancel);
    }

    /// <summary>What a site is called, be it put away or not; null where there is none.</summary>
    public async Task<string?> NameOfAsync(string slug, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        return await db.Sites.Where(s => s.Slug == slug).Select(s => s.Name).FirstOrDefaultAsync(cancel);
    }

    /// <summary>Puts a site away, or brings it back; nothing of it is lost.</summary>
    /// <param name="deleted">When it is put away, or null to bring it back.</param>
    /// <returns>Whether there is such a site to put away or to bring back.</returns>
    public async Task<bool> PutAwayAsync(string slug, DateTimeOffset? deleted, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        return await db.Sites.Where(s => s.Slug == slug && (deleted == null || s.Deleted == null)).ExecuteUpdateAsync(set => set.SetProperty(s => s.Deleted, deleted), cancel) > 0;
    }

    /// <summary>Opens a site: its last checkpoint and the patches since. Null where there is none of that name.</summary>
    public async Task<StoredSite?> OpenAsync(string slug, CancellationToken cancel = default)
    {
        // Side by side: with many edits behind a site, its history takes as long as itself.
        var lines = Task.Run(() => LinesAsync(slug, cancel), cancel);
        var found = await DocumentAsync(slug, cancel);
        var journal = await lines;
        if (found is not { } stored) return null;
        // Another program may have written between the two.
        if (stored.Version > 0 && (journal is not [.., var last] || last.Version < stored.Version)) journal = await LinesAsync(slug, cancel);
        return new(stored.Site, stored.Version, [.. journal.Where(l => l.Version <= stored.Version)]) { IsOld = stored.IsOld, LastGood = stored.LastGood };
    }

    /// <summary>Edits with their patches, oldest first.</summary>
    /// <param name="after">The version they begin after.</param>
    /// <param name="upTo">The last version.</param>
    public async Task<IReadOnlyList<JournalEntry>> EntriesAsync(string slug, long after, long upTo, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var rows = await db.Journal.AsNoTracking().Where(j => j.Slug == slug && j.Version > after && j.Version <= upTo).OrderBy(j => j.Version).ToListAsync(cancel);
        return [.. rows.Select(Entry)];
    }

    /// <summary>Keeps the site as it is under a name. False where the name is taken.</summary>
    public async Task<bool> NameAsync(Site site, Snapshot snapshot, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        db.Snapshots.Add(new()
        {
            Slug = site.Slug, Id = snapshot.Id, Name = snapshot.Name, Key = snapshot.Name.ToUpperInvariant(), Version = snapshot.Version, At = snapshot.At,
            Document = JsonSerializer.Serialize(site, SiteJson.Options),
        });
        try
        {
            await db.SaveChangesAsync(cancel);
            return true;
        }
        catch (DbUpdateException failed) when (IsTaken(failed))
        {
            return false;
        }
    }

    /// <summary>The snapshots of a site, latest first.</summary>
    public async Task<IReadOnlyList<Snapshot>> SnapshotsAsync(string slug, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var all = await db.Snapshots.AsNoTracking().Where(s => s.Slug == slug).Select(s => new Snapshot(s.Id, s.Name, s.Version, s.At)).ToListAsync(cancel);
        // By what they keep before the clock, which may have been set back.
        return [.. all.OrderByDescending(s => s.Version).ThenByDescending(s => s.At)];
    }

    /// <summary>A snapshot with the site it keeps; null where there is none.</summary>
    public async Task<(Snapshot Snapshot, Site Site)?> SnapshotAsync(string slug, string id, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var row = await db.Snapshots.AsNoTracking().FirstOrDefaultAsync(s => s.Slug == slug && s.Id == id, cancel);
        return row is null ? null : (new(row.Id, row.Name, row.Version, row.At), StoredDocument.Parse(row.Document).Read());
    }

    /// <summary>Appends an edit; when this returns, it is on the disk.</summary>
    /// <param name="site">The site after it.</param>
    /// <param name="edit">What was done, for people to look at.</param>
    /// <param name="whole">Whether to keep the whole site with it, as is done every so often.</param>
    /// <exception cref="VersionTakenException">The journal has this version already.</exception>
    public async Task AppendAsync(Site site, Edit edit, JournalEntry entry, bool whole = false, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        db.Journal.Add(Row(site.Slug, edit, entry));
        if (whole || entry.Line.Version % CheckpointEvery == 0) db.Checkpoints.Add(Checkpoint(site, entry.Line.Version));
        var row = await db.Sites.FindAsync([site.Slug], cancel);
        if (row is not null) row.Name = site.Name;
        try
        {
            await db.SaveChangesAsync(cancel);
        }
        catch (DbUpdateException failed) when (IsTaken(failed))
        {
            throw new VersionTakenException(site.Slug, entry.Line.Version);
        }
    }

    public async Task<Asset?> AssetAsync(string hash, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        return await db.Assets.AsNoTracking().FirstOrDefaultAsync(a => a.Hash == hash, cancel) is { } row ? new(row.Hash, row.MediaType, row.Bytes) : null;
    }

    /// <summary>Whether the bytes of a file are kept.</summary>
    public async Task<bool> HasAssetAsync(string hash, CancellationToken cancel = default)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        return await db.Assets.AnyAsync(a => a.Hash == hash, cancel);
    }

    private async Task<(Site Site, long Version, Task<bool> IsOld, long LastGood)?> DocumentAsync(string slug, CancellationToken cancel)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var checkpoints = db.Checkpoints.AsNoTracking().Where(c => c.Slug == slug && db.Sites.Any(s => s.Slug == slug && s.Deleted == null)).OrderByDescending(c => c.Version);
        long? version = null;
        // The latest, and an earlier one only where nothing since can be read.
        await foreach (var checkpoint in checkpoints.AsAsyncEnumerable().WithCancellation(cancel))
        {
            var since = await db.Journal.AsNoTracking().Where(j => j.Slug == slug && j.Version > checkpoint.Version).OrderBy(j => j.Version).Take(version is null ? int.MaxValue : CheckpointEvery).Select(j => j.Patch).ToListAsync(cancel);
            version ??= checkpoint.Version + since.Count;
            for (var count = since.Count; count >= 0; count--)
            {
                if (Read(checkpoint.Document, since.Take(count)) is var (site, isOld)) return (site, version.Value, isOld, checkpoint.Version + count);
            }
        }
        return version is null ? null : throw new InvalidDataException($"Nothing that is stored of {slug} can be read.");
    }

    /// <summary>A document with patches; null where it cannot be read.</summary>
    /// <exception cref="NewerFormatException">A later program wrote it.</exception>
    private static (Site Site, Task<bool> IsOld)? Read(string checkpoint, IEnumerable<string> patches)
    {
        try
        {
            var document = StoredDocument.Parse(checkpoint);
            foreach (var patch in patches) document.Apply(patch);
            var site = document.Read();
            return (site, Task.Run(() => !document.Says(site)));
        }
        catch (Exception broken) when (broken is not NewerFormatException and (JsonException or FormatException or InvalidDataException or InvalidOperationException or NotSupportedException or ArgumentException or NullReferenceException))
        {
            return null;
        }
    }

    /// <summary>What undo and history tell of the latest edits, without their patches.</summary>
    private async Task<List<JournalLine>> LinesAsync(string slug, CancellationToken cancel)
    {
        await using var db = await contexts.CreateDbContextAsync(cancel);
        var latest = await db.Journal.AsNoTracking().Where(j => j.Slug == slug).OrderByDescending(j => j.Version).Take(StoredSite.MostLines)
            .Select(j => new JournalLine(j.Version, j.At, j.Label, j.Gesture, j.Window, j.Undoes, j.Again, j.Format)).ToListAsync(cancel);
        latest.Reverse();
        return latest;
    }

    private static async Task<bool> IsUpToDateAsync(SandbarDb db, CancellationToken cancel)
    {
        await db.Database.OpenConnectionAsync(cancel);
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = "SELECT count(*) FROM sqlite_master WHERE name = '__EFMigrationsHistory'";
        if (await command.ExecuteScalarAsync(cancel) is not 1L) return false;
        command.CommandText = "SELECT max(MigrationId) FROM __EFMigrationsHistory";
        return await command.ExecuteScalarAsync(cancel) as string == db.Database.GetMigrations().Last();
    }

    private static async Task KeepAsync(SandbarDb db, IEnumerable<Asset> assets, CancellationToken cancel)
    {
        var fresh = assets.DistinctBy(a => a.Hash).ToList();
        var hashes = fresh.Select(a => a.Hash).ToList();
        var known = (await db.Assets.Where(a => hashes.Contains(a.Hash)).Select(a => a.Hash).ToListAsync(cancel)).ToHashSet(StringComparer.Ordinal);
        db.Assets.AddRange(fresh.Where(a => !known.Contains(a.Hash)).Select(a => new AssetRow { Hash = a.Hash, MediaType = a.MediaType, Bytes = a.Bytes }));
    }

    private static bool IsTaken(DbUpdateException failed) => failed.InnerException is SqliteException { SqliteExtendedErrorCode: PrimaryKeyViolated or UniqueViolated };

    private static CheckpointRow Checkpoint(Site site, long version) =>
        new() { Slug = site.Slug, Version = version, Document = JsonSerializer.Serialize(site, SiteJson.Options) };

    /// <summary>An edit as people may look at it; of one that is long, its kind: what it wrote is in the patch.</summary>
    private static string Told(Edit edit)
    {
        var json = JsonSerializer.Serialize(edit, SiteJson.Options);
        return json.Length <= LongestEdit ? json : new JsonObject { ["kind"] = JsonNode.Parse(json)!["kind"]!.DeepClone() }.ToJsonString();
    }

    private static JournalRow Row(string slug, Edit edit, JournalEntry entry) => new()
    {
        Slug = slug,
        Version = entry.Line.Version,
        At = entry.Line.At,
        Edit = Told(edit),
        Label = entry.Line.Label,
        Patch = JsonSerializer.Serialize(entry.Patch, SiteJson.Options),
        Gesture = entry.Line.Gesture,
        Window = entry.Line.Window,
        Undoes = entry.Line.Undoes,
        Again = entry.Line.Again,
        Format = entry.Patch.Format,
    };

    private static JournalEntry Entry(JournalRow row) => new(
        new(row.Version, row.At, row.Label, row.Gesture, row.Window, row.Undoes, row.Again, row.Format),
        JsonSerializer.Deserialize<Patch>(row.Patch, SiteJson.Options)!);
}
