using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>A line of the journal: what is read of an edit without its patch.</summary>
/// <param name="Version">The site's version after it, from 1.</param>
/// <param name="Label">The edit in words.</param>
/// <param name="Gesture">One drag, or a run of keys in one place: what undo takes back at once.</param>
/// <param name="Window">The window it was made in.</param>
/// <param name="Undoes">The gesture it takes back, or makes again; null for an ordinary edit.</param>
/// <param name="Again">Whether it makes that gesture again.</param>
/// <param name="Format">Of the documents its patch leads through: undo ends where another format begins.</param>
public sealed record JournalLine(
    long Version, DateTimeOffset At, string Label, string Gesture, string Window, string? Undoes = null, bool Again = false, int Format = Site.CurrentFormat)
{
    /// <summary>Whether its patch can be applied to a site of today.</summary>
    public bool IsOfToday => Format == Site.CurrentFormat;
}

/// <summary>A line of the journal with the patch that was made. What edit it was is kept beside it and never read again.</summary>
public sealed record JournalEntry(JournalLine Line, Patch Patch);

/// <summary>A gesture that can be taken back, or made again.</summary>
public sealed record ReversibleGesture(string Gesture, string Label, bool Again);

/// <summary>What undo or redo would do: append this edit with this patch.</summary>
/// <param name="Overwrites">Paths that somebody else has changed since; empty when nothing is lost.</param>
public sealed record Reversal(TakeBack Edit, Patch Patch, IReadOnlyList<string> Overwrites);

/// <summary>A gesture as it is read in the history.</summary>
/// <param name="Version">The version it led to.</param>
/// <param name="IsUndone">Whether it has been taken back.</param>
public sealed record HistoryItem(long Version, DateTimeOffset At, string Label, bool IsUndone);

/// <summary>
/// Undo and redo over the journal. Taking back is itself an entry, so nothing is ever lost. A window takes back its own latest gesture,
/// or one from before it was opened: that is how undo reaches through a restart.
/// </summary>
public static class History
{
    /// <summary>
    /// What the window can take back, and what it can make again unless it has edited since; null where there is nothing. The journal is read from its end and no
    /// further than need be: however many edits lie behind a site, the next costs the same.
    /// </summary>
    /// <param name="openedAt">The version the window found when it was opened.</param>
    public static (ReversibleGesture? Undo, ReversibleGesture? Redo) Reversible(IReadOnlyList<JournalLine> journal, string window, long openedAt)
    {
        var undone = new HashSet<string>(StringComparer.Ordinal);
        JournalLine? undo = null, redo = null;
        var mayRedo = true;
        for (var i = journal.Count - 1; i >= 0 && (undo is null || mayRedo); i--)
        {
            var line = journal[i];
            // Taken back by what holds itself: it no longer holds.
            var isActive = !undone.Contains(line.Gesture);
            if (isActive && line.Undoes is { } gesture) undone.Add(gesture);
            if (line.Window != window && line.Version > openedAt) continue;
            if (isActive && line is { Undoes: null, IsOfToday: true }) undo ??= line;
            if (!mayRedo) continue;
            if (line.Undoes is null || !line.IsOfToday) mayRedo = false;
            else if (isActive && !line.Again) (redo, mayRedo) = (line, false);
        }
        // What is made again is the taking back that is taken back: its words are those of the gesture it undid.
        return (
            undo is null ? null : new(undo.Gesture, undo.Label, Again: false),
            redo is null ? null : new(redo.Gesture, Latest(journal).FirstOrDefault(l => l.Gesture == redo.Undoes)?.Label ?? redo.Label, Again: true));
    }

    /// <summary>The journal from its end.</summary>
    public static IEnumerable<JournalLine> Latest(IReadOnlyList<JournalLine> journal)
    {
        for (var i = journal.Count - 1; i >= 0; i--) yield return journal[i];
    }

    /// <summary>What taking a gesture back does to the site as it is now.</summary>
    /// <param name="entries">The gesture's edits, oldest first.</param>
    public static Reversal Reverse(ReversibleGesture gesture, IEnumerable<JournalEntry> entries, Site site)
    {
        // Patch by patch from the last: each is compared with what the later ones leave when they are taken back.
        var undone = site;
        var overwrites = new HashSet<string>(StringComparer.Ordinal);
        foreach (var entry in entries.Reverse())
        {
            overwrites.UnionWith(entry.Patch.ChangedSince(undone));
            undone = entry.Patch.Inverse().Apply(undone);
        }
        // Looks of the catalogue that are taken out are not brought again.
        undone = undone with { TakenLooks = site.TakenLooks };
        return new(new(gesture.Gesture, gesture.Label, gesture.Again), Patch.Between(site, undone), [.. overwrites]);
    }

    /// <summary>The history a person reads: gestures, latest first; undo and redo are not told apart from what they did to them.</summary>
    public static IEnumerable<HistoryItem> Read(IEnumerable<JournalLine> journal)
    {
        var lines = journal.ToArray();
        var active = ActiveGestures(lines);
        return lines.Where(l => l.Undoes is null).GroupBy(l => l.Gesture, StringComparer.Ordinal)
            .Select(g => g.Last()).OrderByDescending(l => l.Version)
            .Select(l => new HistoryItem(l.Version, l.At, l.Label, !active.Contains(l.Gesture)));
    }

    /// <summary>Gestures that hold: taken back by none that holds itself.</summary>
    private static HashSet<string> ActiveGestures(JournalLine[] journal)
    {
        var active = new HashSet<string>(StringComparer.Ordinal);
        var undone = new HashSet<string>(StringComparer.Ordinal);
        for (var i = journal.Length - 1; i >= 0; i--)
        {
            var line = journal[i];
            if (undone.Contains(line.Gesture)) continue;
            active.Add(line.Gesture);
            if (line.Undoes is { } gesture) undone.Add(gesture);
        }
        return active;
    }
}
