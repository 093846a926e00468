using Microsoft.EntityFrameworkCore;

namespace Sandbar.Store;

/// <summary>The tables of the store.</summary>
public sealed class SandbarDb(DbContextOptions<SandbarDb> options) : DbContext(options)
{
    public DbSet<SiteRow> Sites => Set<SiteRow>();

    public DbSet<CheckpointRow> Checkpoints => Set<CheckpointRow>();

    public DbSet<JournalRow> Journal => Set<JournalRow>();

    public DbSet<SnapshotRow> Snapshots => Set<SnapshotRow>();

    public DbSet<AssetRow> Assets => Set<AssetRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<SiteRow>().HasKey(s => s.Slug);
        modelBuilder.Entity<CheckpointRow>(checkpoint =>
        {
            checkpoint.HasKey(c => new { c.Slug, c.Version });
            checkpoint.HasOne<SiteRow>().WithMany().HasForeignKey(c => c.Slug);
        });
        modelBuilder.Entity<JournalRow>(journal =>
        {
            // Two writers of the same version: the second one's insert fails, and it learns that somebody was first.
            journal.HasKey(j => new { j.Slug, j.Version });
            journal.HasOne<SiteRow>().WithMany().HasForeignKey(j => j.Slug);
            // What was written before rows said it is of the first.
            journal.Property(j => j.Format).HasDefaultValue(1).ValueGeneratedNever();
        });
        modelBuilder.Entity<SnapshotRow>(snapshot =>
        {
            snapshot.HasKey(s => new { s.Slug, s.Id });
            snapshot.HasIndex(s => new { s.Slug, s.Key }).IsUnique();
            snapshot.HasOne<SiteRow>().WithMany().HasForeignKey(s => s.Slug);
        });
        modelBuilder.Entity<AssetRow>().HasKey(a => a.Hash);
    }
}

/// <summary>A site of the store.</summary>
public sealed class SiteRow
{
    public required string Slug { get; set; }

    public required string Name { get; set; }

    public DateTimeOffset Created { get; set; }

    /// <summary>When it was put away; null where it was not. What was put away can be brought back.</summary>
    public DateTimeOffset? Deleted { get; set; }
}

/// <summary>A whole site at a version, so that opening need not replay everything.</summary>
public sealed class CheckpointRow
{
    public required string Slug { get; set; }

    public long Version { get; set; }

    public required string Document { get; set; }
}

/// <summary>An edit that was made: its words and the patch it made. The edit itself is kept for people to look at, and never read.</summary>
public sealed class JournalRow
{
    public required string Slug { get; set; }

    /// <summary>The site's version after it, from 1.</summary>
    public long Version { get; set; }

    public DateTimeOffset At { get; set; }

    public required string Edit { get; set; }

    public required string Label { get; set; }

    public required string Patch { get; set; }

    public required string Gesture { get; set; }

    public required string Window { get; set; }

    public string? Undoes { get; set; }

    public bool Again { get; set; }

    /// <summary>The format of the documents that the patch leads through.</summary>
    public int Format { get; set; }
}

/// <summary>A named state of a whole site, kept for good.</summary>
public sealed class SnapshotRow
{
    public required string Slug { get; set; }

    public required string Id { get; set; }

    public required string Name { get; set; }

    /// <summary>The name without case: unique in its site.</summary>
    public required string Key { get; set; }

    public long Version { get; set; }

    public DateTimeOffset At { get; set; }

    public required string Document { get; set; }
}

/// <summary>Bytes by their hash; never changed.</summary>
public sealed class AssetRow
{
    public required string Hash { get; set; }

    public required string MediaType { get; set; }

    public required byte[] Bytes { get; set; }
}
