using System.Collections.Concurrent;
using Microsoft.AspNetCore.SignalR;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Css;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>A site at a version with its sheet.</summary>
public sealed record Head(StoredSite Stored, StyleSheet Sheet)
{
    private readonly Lock making = new();
    private SiteView? view;

    /// <summary>The site as its windows show it, made when it is first asked for.</summary>
    public SiteView View
    {
        get
        {
            lock (making) return view ??= SiteView.Of(this);
        }
    }
}

/// <summary>Where an edit comes from.</summary>
/// <param name="Version">The version it was made on.</param>
/// <param name="Window">The window it was made in.</param>
/// <param name="OpenedAt">The version that window found when it was opened.</param>
/// <param name="Gesture">The gesture it belongs to.</param>
public sealed record EditSource(long Version, string Window, long OpenedAt, string Gesture);

/// <summary>What came of asking for an edit.</summary>
public abstract record EditResult
{
    /// <param name="Before">What it was made on.</param>
    public sealed record Made(Head Before, Head Head) : EditResult;

    public sealed record Refused(IReadOnlyList<Problem> Problems) : EditResult;

    /// <param name="Changes">What others did meanwhile to the same values, in words.</param>
    public sealed record Conflict(Head Head, IReadOnlyList<string> Changes) : EditResult;

    public sealed record NothingToDo : EditResult;

    /// <summary>The site has been put away.</summary>
    public sealed record Gone : EditResult;
}

/// <summary>
/// The sites that are open: reading never waits, edits of one site follow each other. Those that have not been asked for longest are closed when there are many.
/// What sites are called is decided by one at a time, so that names stay unique.
/// </summary>
public sealed class OpenSites(SiteStore store, IHubContext<LiveHub> windows, TimeProvider clock) : IDisposable
{
    private const int MostOpen = 24;

    private readonly ConcurrentDictionary<string, OpenSite> open = new(StringComparer.Ordinal);
    private readonly SemaphoreSlim opening = new(1, 1);
    private readonly SemaphoreSlim naming = new(1, 1);
    private long asked;

    /// <summary>The site as it is now; null where there is none of that name.</summary>
    public async ValueTask<Head?> FindAsync(string slug, CancellationToken cancel) => (await FindOpenAsync(slug, cancel))?.Head;

    /// <summary>Adds a site under a name and an address that nobody has.</summary>
    public async Task<(Site? Site, Problem? Problem)> AddAsync(Site site, IReadOnlyList<Asset> assets, CancellationToken cancel)
    {
        await naming.WaitAsync(cancel);
        try
        {
            if (Names.Check(site.Name, (await store.ListAsync(cancel)).Select(s => s.Name)) is { } problem) return (null, problem);
            var added = site with { Name = site.Name.Trim(), Slug = Names.FreeSlug(site.Name, await store.SlugsAsync(cancel)) };
            await store.AddAsync(new(added, assets), clock.GetUtcNow(), cancel);
            return (added, null);
        }
        finally
        {
            naming.Release();
        }
    }

    /// <summary>Puts a site away, be it one that can be opened or not. False where there is none.</summary>
    public async Task<bool> PutAwayAsync(string slug, CancellationToken cancel)
    {
        await opening.WaitAsync(cancel);
        try
        {
            // Nobody opens it meanwhile.
            if (!open.ContainsKey(slug)) return await store.PutAwayAsync(slug, clock.GetUtcNow(), cancel);
        }
        finally
        {
            opening.Release();
        }
        if (await FindOpenAsync(slug, cancel) is not { } site) return false;
        // What is being stored is stored before.
        await site.Lock.WaitAsync(cancel);
        try
        {
            site.IsClosed = true;
            return await store.PutAwayAsync(slug, clock.GetUtcNow(), cancel);
        }
        finally
        {
            open.TryRemove(KeyValuePair.Create(slug, site));
            site.Lock.Release();
        }
    }

    /// <summary>Brings a site back. It stays away where its name is another's by now.</summary>
    public async Task<(bool Found, Problem? Problem)> BringBackAsync(string slug, CancellationToken cancel)
    {
        await naming.WaitAsync(cancel);
        try
        {
            if (await store.NameOfAsync(slug, cancel) is not { } name) return (false, null);
            if ((await store.ListAsync(cancel)).Any(s => s.Slug != slug && s.Name.Equals(name, StringComparison.OrdinalIgnoreCase)))
                return (true, new("/name", $"Another site is called {Quoted.Text(name)} by now. Rename that one, then bring this one back."));
            return (await store.PutAwayAsync(slug, null, cancel), null);
        }
        finally
        {
            naming.Release();
        }
    }

    /// <summary>Makes an edit. It is on the disk when this returns.</summary>
    public async Task<EditResult> EditAsync(string slug, EditSource source, Edit edit, CancellationToken cancel)
    {
        if (edit is not RenameSite rename) return await MakeAsync(slug, source, edit, cancel);
        await naming.WaitAsync(cancel);
        try
        {
            return Names.Check(rename.Name, (await store.ListAsync(cancel)).Where(s => s.Slug != slug).Select(s => s.Name)) is { } taken
                ? new EditResult.Refused([taken])
                : await MakeAsync(slug, source, edit, cancel);
        }
        finally
        {
            naming.Release();
        }
    }

    private Task<EditResult> MakeAsync(string slug, EditSource source, Edit edit, CancellationToken cancel) => ChangeAsync(slug, async head =>
    {
        var outcome = edit.Apply(head.Stored.Site);
        if (outcome.Site is not { } changed) return new EditResult.Refused(outcome.Problems);
        var patch = Patch.Between(head.Stored.Site, changed);
        if (patch.Changes.Length == 0) return new EditResult.Made(head, head);
        // What comes onto the shelf is there already: files come by ways of their own.
        if (changed.Shelf != head.Stored.Site.Shelf)
        {
            foreach (var item in changed.Shelf.Except(head.Stored.Site.Shelf).Where(i => BundledFamilies.ItemOf(i.Hash) is null))
            {
                if (!await store.HasAssetAsync(item.Hash, cancel)) return new EditResult.Refused([new("/item", $"The file of {item.Name} has not come. Add it again.")]);
            }
        }
        // Made on an older version: it stands if nobody else has touched the same values since.
        var lines = History.Latest(head.Stored.Journal).TakeWhile(l => l.Version > source.Version).ToList();
        if (lines.Count == head.Stored.Journal.Count && source.Version < head.Stored.Version - lines.Count) return new EditResult.Conflict(head, []);
        var since = lines.Exists(l => l.Window != source.Window) ? await store.EntriesAsync(slug, source.Version, head.Stored.Version, cancel) : [];
        var meanwhile = since.Where(e => e.Line.Window != source.Window && (!e.Line.IsOfToday || e.Patch.Touches(patch))).ToList();
        if (meanwhile.Count > 0 && edit is SetOverrides mine && mine.Merged(source.Window, since, head.Stored.Site) is { } both)
        {
            // Different lines of one sheet: both stand.
            (edit, changed) = (both, both.Apply(head.Stored.Site).Site!);
            patch = Patch.Between(head.Stored.Site, changed);
            if (patch.Changes.Length == 0) return new EditResult.Made(head, head);
        }
        else if (meanwhile.Count > 0 || source.Version > head.Stored.Version)
        {
            return new EditResult.Conflict(head, [.. meanwhile.Select(e => e.Line.Label)]);
        }
        return await AppendAsync(head, changed, source, edit, patch, undoes: null, cancel);
    }, cancel);

    /// <summary>Takes back, or makes again, the window's latest gesture.</summary>
    /// <param name="overwrite">Whether to do so even where somebody else has changed the same values since.</param>
    public Task<EditResult> ReverseAsync(string slug, EditSource source, bool again, bool overwrite, CancellationToken cancel) => ChangeAsync(slug, async head =>
    {
        var (stored, window, openedAt) = (head.Stored, source.Window, source.OpenedAt);
        var (undo, redo) = History.Reversible(stored.Journal, window, openedAt);
        if ((again ? redo : undo) is not { } gesture) return new EditResult.NothingToDo();
        var first = stored.Journal.First(l => l.Gesture == gesture.Gesture && l.IsOfToday).Version;
        var reversal = History.Reverse(gesture, await store.EntriesAsync(slug, first - 1, stored.Version, cancel), stored.Site);
        if (reversal.Overwrites.Count > 0 && !overwrite) return new EditResult.Conflict(head, [reversal.Edit.Label]);
        var reversed = reversal.Patch.Apply(stored.Site);
        // What has come to depend on it since is not left hanging.
        if (SiteCheck.Problems(reversed).ToList() is { Count: > 0 } problems && problems.Except(SiteCheck.Problems(stored.Site)).FirstOrDefault() is { } broken)
            return new EditResult.Refused([broken with { Message = $"{Quoted.Text(gesture.Label)} cannot be {(again ? "made again" : "taken back")} any more. {broken.Message}" }]);
        return await AppendAsync(head, reversed, source, reversal.Edit, reversal.Patch, reversal.Edit.Gesture, cancel);
    }, cancel);

    /// <summary>Goes back to a snapshot, as one edit.</summary>
    public Task<EditResult> BringBackAsync(string slug, EditSource source, Snapshot snapshot, Site kept, CancellationToken cancel) => ChangeAsync(slug, async head =>
    {
        // It reaches everything: it is only made on what the window has seen.
        if (source.Version != head.Stored.Version) return new EditResult.Conflict(head, []);
        // One that was kept before the catalogue gained a look would be without it.
        kept = TakeLooks.For(kept)?.Apply(kept).Site ?? kept;
        var patch = Patch.Between(head.Stored.Site, kept);
        if (patch.Changes.Length == 0) return new EditResult.Made(head, head);
        return await AppendAsync(head, kept, source, new BringBack(snapshot.Id, snapshot.Name), patch, undoes: null, cancel);
    }, cancel);

    /// <summary>The site as it was earlier; null where nothing has been named yet.</summary>
    /// <param name="since"><c>edit</c>: before the last edit. <c>name</c>: when a state was named last.</param>
    public async Task<Site?> EarlierAsync(Head head, string since, CancellationToken cancel)
    {
        if (since != "name") return await BeforeLastAsync(head, cancel);
        var slug = head.Stored.Site.Slug;
        return await store.SnapshotsAsync(slug, cancel) is [var named, ..] ? (await store.SnapshotAsync(slug, named.Id, cancel))?.Site : null;
    }

    /// <summary>The site as it was before the last gesture.</summary>
    public async Task<Site> BeforeLastAsync(Head head, CancellationToken cancel)
    {
        var stored = head.Stored;
        if (stored.Journal is not [.., { IsOfToday: true }]) return stored.Site;
        var gesture = stored.Journal[^1].Gesture;
        var first = History.Latest(stored.Journal).TakeWhile(l => l.Gesture == gesture).Last().Version;
        return (await store.EntriesAsync(stored.Site.Slug, first - 1, stored.Version, cancel)).Reverse().Aggregate(stored.Site, (site, entry) => entry.Patch.Inverse().Apply(site));
    }

    public void Dispose()
    {
        opening.Dispose();
        naming.Dispose();
    }

    private async ValueTask<OpenSite?> FindOpenAsync(string slug, CancellationToken cancel)
    {
        if (Known() is { } known) return known;
        await opening.WaitAsync(cancel);
        try
        {
            if (Known() is { } opened) return opened;
            if (await OpenAsync(slug, cancel) is not { } head) return null;
            CloseOldest();
            return open[slug] = new(head) { LastAsked = Interlocked.Increment(ref asked) };
        }
        finally
        {
            opening.Release();
        }

        OpenSite? Known()
        {
            if (!open.TryGetValue(slug, out var site)) return null;
            site.LastAsked = Interlocked.Increment(ref asked);
            return site;
        }
    }

    /// <summary>Closes the site that has not been asked for longest, where there are many open and nothing is being done to it.</summary>
    private void CloseOldest()
    {
        if (open.Count < MostOpen) return;
        foreach (var (slug, site) in open.OrderBy(s => s.Value.LastAsked))
        {
            if (!site.Lock.Wait(0)) continue;
            site.IsClosed = true;
            open.TryRemove(KeyValuePair.Create(slug, site));
            site.Lock.Release();
            return;
        }
    }

    /// <summary>Reads a site from the store. What the catalogue has gained since is taken into it, as an edit that its history shows.</summary>
    private async Task<Head?> OpenAsync(string slug, CancellationToken cancel)
    {
        while (await store.OpenAsync(slug, cancel) is { } stored)
        {
            // The window that asked will want its pages' marks, which stay where they are found: of a large site they take as long as its sheet. Nothing is lost where they cannot be made.
            _ = Task.Run(() => SheetView.Marks(stored.Site), cancel);
            (Edit? edit, Site taken) = stored.LastGood < stored.Version ? (new BackToGood(stored.LastGood), stored.Site)
                : Rendered(stored.Site) is null ? await BackToGoodAsync(stored, cancel)
                : TakeLooks.For(stored.Site) is { } take ? (take, take.Apply(stored.Site).Site!)
                : (null, stored.Site);
            var head = new Head(stored, Rendered(taken) ?? throw new InvalidDataException($"The last state of {slug} that can be read cannot be shown."));
            if (edit is null) return head;
            var source = new EditSource(stored.Version, Window: "", OpenedAt: stored.Version, Gesture: $"taken-{stored.Version + 1}");
            try
            {
                // No patch leads out of what cannot be read: of no format, it is kept with the whole site, and undo ends there.
                var patch = stored.LastGood < stored.Version ? new Patch(0, []) : Patch.Between(stored.Site, taken);
                if (await AppendAsync(head, taken, source, edit, patch, undoes: null, cancel) is EditResult.Made made) return made.Head;
            }
            catch (VersionTakenException)
            {
                // Another process was faster: what it left is read.
            }
        }
        return null;
    }

    /// <summary>A site's sheet; null where something in the site does not fit together, which older programs let through.</summary>
    private static StyleSheet? Rendered(Site site)
    {
        try
        {
            return StyleSheetRenderer.Render(site);
        }
        catch (Exception broken) when (broken is InvalidOperationException or KeyNotFoundException or FormatException or ArgumentException or NullReferenceException)
        {
            return null;
        }
    }

    /// <summary>What brings a site that cannot be shown back to the last state that can.</summary>
    /// <exception cref="InvalidDataException">There is no such state in its journal.</exception>
    private async Task<(Edit? Edit, Site Site)> BackToGoodAsync(StoredSite stored, CancellationToken cancel)
    {
        var site = stored.Site;
        for (var last = stored.Version; stored.Journal.Find(l => l.Version == last) is { IsOfToday: true }; last -= 50)
        {
            foreach (var entry in (await store.EntriesAsync(site.Slug, last - 50, last, cancel)).Reverse().TakeWhile(e => e.Line.IsOfToday))
            {
                site = entry.Patch.Inverse().Apply(site);
                if (Rendered(site) is not null) return (new BackToGood(entry.Line.Version - 1), site with { TakenLooks = stored.Site.TakenLooks });
            }
        }
        throw new InvalidDataException($"No state of {stored.Site.Slug} can be shown.");
    }

    private async Task<EditResult> ChangeAsync(string slug, Func<Head, Task<EditResult>> change, CancellationToken cancel)
    {
        while (await FindOpenAsync(slug, cancel) is { } site)
        {
            await site.Lock.WaitAsync(cancel);
            try
            {
                // Closed or put away while this waited.
                if (site.IsClosed) continue;
                var result = await change(site.Head);
                if (result is not EditResult.Made made || made.Head == site.Head) return result;
                site.Head = made.Head;
                await windows.Clients.Group(slug).SendAsync(LiveHub.Changed, new SiteChanged(made.Head.Stored.Version, made.Head.Stored.Journal[^1].Window), CancellationToken.None);
                return result;
            }
            catch (VersionTakenException)
            {
                // Another process writes to the same store: read the site anew, and let the window try again on it.
                site.IsClosed = true;
                open.TryRemove(KeyValuePair.Create(slug, site));
                return await FindAsync(slug, cancel) is { } head ? new EditResult.Conflict(head, ["Another program changed this site."]) : new EditResult.Gone();
            }
            finally
            {
                site.Lock.Release();
            }
        }
        return new EditResult.Gone();
    }

    private async Task<EditResult> AppendAsync(
        Head head, Site changed, EditSource source, Edit edit, Patch patch, string? undoes, CancellationToken cancel)
    {
        var stored = head.Stored;
        var line = new JournalLine(
            stored.Version + 1, clock.GetUtcNow(), edit.Describe(stored.Site), History.GestureOf(stored.Journal, source.Window, source.Gesture), source.Window, undoes, edit is TakeBack { Again: true }, patch.Format);
        // Nothing is stored that cannot be shown.
        if (Rendered(changed) is not { } sheet) return new EditResult.Refused([new("/", "After that the site could not be shown any more: nothing was changed.")]);
        // The files of a family that is taken from the shelf are the site's from now on, whatever a later program brings.
        if (changed.Shelf != stored.Site.Shelf) await store.KeepAsync(changed.Shelf.Except(stored.Site.Shelf).Select(i => BundledFamilies.Asset(i.Hash)).OfType<Asset>(), cancel);
        await store.AppendAsync(changed, edit, new(line, patch), whole: await stored.IsOld || patch.Format != Site.CurrentFormat, cancel);
        return new EditResult.Made(head, new(stored.After(changed, line), sheet));
    }

    private sealed class OpenSite(Head head)
    {
        public SemaphoreSlim Lock { get; } = new(1, 1);

        public Head Head { get; set; } = head;

        /// <summary>Whether it is to be found anew by those who still hold it. Set under its lock.</summary>
        public bool IsClosed { get; set; }

        /// <summary>When it was asked for last, counted in askings.</summary>
        public long LastAsked { get; set; }
    }
}
