using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>An edit that was made.</summary>
/// <param name="Version">The site's version after it, from 1.</param>
/// <param name="Label">The edit in words.</param>
/// <param name="Gesture">One drag, or a run of keys in one place: what undo takes back at once.</param>
/// <param name="Window">The window it was made in.</param>
/// <param name="Undoes">The gesture it takes back; null for an ordinary edit.</param>
public sealed record JournalEntry(long Version, DateTimeOffset At, Edit Edit, string Label, Patch Patch, string Gesture, string Window, string? Undoes);

/// <summary>What undo or redo would do: append this edit with this patch.</summary>
/// <param name="Overwrites">Paths that somebody else has changed since; empty when nothing is lost.</param>
public sealed record Reversal(TakeBack Edit, Patch Patch, IReadOnlyList<string> Overwrites);

/// <summary>
/// Undo and redo over the journal. Taking back is itself an entry, so nothing is ever lost. A window takes back its own latest gesture,
/// or one from before it was opened: that is how undo reaches through a restart.
/// </summary>
public static class History
{
    /// <param name="openedAt">The version the window found when it was opened.</param>
    public static Reversal? Undo(IReadOnlyList<JournalEntry> journal, Site site, string window, long openedAt)
    {
        var active = ActiveGestures(journal);
        var last = journal.LastOrDefault(e => e.Undoes is null && active.Contains(e.Gesture) && (e.Window == window || e.Version <= openedAt));
        return last is null ? null : Reverse(journal, site, last.Gesture, last.Label, again: false);
    }

    /// <summary>Makes again what the window took back last, unless it has edited since.</summary>
    public static Reversal? Redo(IReadOnlyList<JournalEntry> journal, Site site, string window, long openedAt)
    {
        var active = ActiveGestures(journal);
        for (var i = journal.Count - 1; i >= 0; i--)
        {
            var entry = journal[i];
            if (entry.Window != window && entry.Version > openedAt) continue;
            if (entry.Undoes is null) return null;
            if (entry.Edit is TakeBack { Again: false } undo && active.Contains(entry.Gesture)) return Reverse(journal, site, entry.Gesture, undo.Label, again: true);
        }
        return null;
    }

    /// <summary>The site as it was before the last gesture, or as it is where there was none.</summary>
    public static Site BeforeLast(IReadOnlyList<JournalEntry> journal, Site site)
    {
        for (var i = journal.Count - 1; i >= 0 && journal[i].Gesture == journal[^1].Gesture; i--) site = journal[i].Patch.Inverse().Apply(site);
        return site;
    }

    /// <summary>Gestures that hold: taken back by none that holds itself.</summary>
    private static HashSet<string> ActiveGestures(IReadOnlyList<JournalEntry> journal)
    {
        var active = new HashSet<string>(StringComparer.Ordinal);
        var undone = new HashSet<string>(StringComparer.Ordinal);
        for (var i = journal.Count - 1; i >= 0; i--)
        {
            var entry = journal[i];
            if (undone.Contains(entry.Gesture)) continue;
            active.Add(entry.Gesture);
            if (entry.Undoes is { } gesture) undone.Add(gesture);
        }
        return active;
    }

    private static Reversal Reverse(IReadOnlyList<JournalEntry> journal, Site site, string gesture, string label, bool again)
    {
        // Patch by patch from the last: each is compared with what the later ones leave when they are taken back.
        var undone = site;
        var overwrites = new HashSet<string>(StringComparer.Ordinal);
        foreach (var entry in journal.Where(e => e.Gesture == gesture).Reverse())
        {
            overwrites.UnionWith(entry.Patch.ChangedSince(undone));
            undone = entry.Patch.Inverse().Apply(undone);
        }
        return new(new(gesture, label, again), Patch.Between(site, undone), [.. overwrites]);
    }
}
