using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
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
    /// <summary>What stands between a gesture's name and the version at which it began anew.</summary>
    private const char Again = '@';

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
            // No patch leads further back than here.
            if (!line.IsOfToday) break;
            // Taken back by what holds itself: it no longer holds.
            var isActive = !undone.Contains(line.Gesture);
            if (isActive && line.Undoes is { } gesture) undone.Add(gesture);
            if (line.Window != window && line.Version > openedAt) continue;
            if (isActive && line.Undoes is null) undo ??= line;
            if (!mayRedo) continue;
            if (line.Undoes is null) mayRedo = false;
            else if (isActive && !line.Again) (redo, mayRedo) = (line, false);
        }
        // What is made again is the taking back that is taken back: its words are those of the gesture it undid.
        return (
            undo is null ? null : new(undo.Gesture, undo.Label, Again: false),
            redo is null ? null : new(redo.Gesture, Latest(journal).FirstOrDefault(l => l.Gesture == redo.Undoes)?.Label ?? redo.Label, Again: true));
    }

    /// <summary>
    /// The gesture that an edit of a window belongs to. One goes on for as long as the window does nothing else; named again after that, or after it was taken back, it
    /// is another, so that undo never takes back what lies between.
    /// </summary>
    /// <param name="named">What the window calls it.</param>
    public static string GestureOf(ImmutableList<JournalLine> journal, string window, string named)
    {
        if (Latest(journal).FirstOrDefault(l => l.Window == window)?.Gesture is { } own && (own == named || own.StartsWith(named + Again, StringComparison.Ordinal))) return own;
        return journal.Exists(l => l.Gesture == named) ? string.Create(CultureInfo.InvariantCulture, $"{named}{Again}{journal[^1].Version + 1}") : named;
    }

    /// <summary>The journal from its end.</summary>
    public static IEnumerable<JournalLine> Latest(IReadOnlyList<JournalLine> journal)
    {
        for (var i = journal.Count - 1; i >= 0; i--) yield return journal[i];
    }

    /// <summary>What taking a gesture back does to the site as it is now. What others have done since stays, lines they wrote in the same text among it.</summary>
    /// <param name="since">All edits since it began, those of others among them, oldest first.</param>
    public static Reversal Reverse(ReversibleGesture gesture, IEnumerable<JournalEntry> since, Site site)
    {
        // Two walks back to where it began: one takes everything back, which says what each edit found and left, the other the gesture alone.
        var (now, undone) = (site, site);
        var overwrites = new HashSet<string>(StringComparer.Ordinal);
        foreach (var entry in since.Reverse())
        {
            var inverse = entry.Patch.Inverse();
            var before = inverse.Apply(now);
            if (entry.Line.Gesture == gesture.Gesture) undone = ReferenceEquals(undone, now) ? before : TakenBack(undone, inverse, now, before, overwrites);
            now = before;
        }
        // Looks of the catalogue that are taken out are not brought again.
        undone = undone with { TakenLooks = site.TakenLooks };
        return new(new(gesture.Gesture, gesture.Label, gesture.Again), Patch.Between(site, undone), [.. overwrites]);
    }

    /// <summary>An edit taken back where others have made theirs since.</summary>
    /// <param name="after">The site the edit left.</param>
    /// <param name="before">The site it found.</param>
    private static Site TakenBack(Site site, Patch inverse, Site after, Site before, HashSet<string> overwrites)
    {
        var undone = site;
        foreach (var change in inverse.Changes)
        {
            JsonElement? left = SiteTree.At(after, change), held = SiteTree.At(site, change), found = SiteTree.At(before, change);
            if (SiteTree.Same(left, held))
            {
                undone = SiteTree.Apply(undone, change);
                continue;
            }
            var merged = (Text(left), Text(found), Text(held)) is ({ } l, { } f, { } h) ? LineMerge.Merge(l, f, h) : null;
            if (merged is null) overwrites.Add(change.Path);
            undone = SiteTree.Apply(undone, new(change.Path, held, merged is null ? found : JsonSerializer.SerializeToElement(merged, SiteJson.Options)));
        }
        return undone;

        static string? Text(JsonElement? json) => json is { ValueKind: JsonValueKind.String } text ? text.GetString() : null;
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
