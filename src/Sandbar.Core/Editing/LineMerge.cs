namespace Sandbar.Core.Editing;

/// <summary>Two texts that were made from one, line by line in one again.</summary>
public static class LineMerge
{
    /// <summary>Pairs of lines that are compared at most; beyond, what differs counts as one change.</summary>
    private const long MostPairs = 4_000_000;

    /// <summary>The text with both changes; null where they change the same lines in different ways.</summary>
    /// <param name="before">What both began with.</param>
    public static string? Merge(string before, string mine, string theirs)
    {
        if (mine == theirs || theirs == before) return mine;
        if (mine == before) return theirs;
        var lines = before.Split('\n');
        var (a, b) = (Changes(lines, mine.Split('\n')), Changes(lines, theirs.Split('\n')));
        var merged = new List<string>();
        int at = 0, i = 0, j = 0;
        while (i < a.Count || j < b.Count)
        {
            var isBoth = i < a.Count && j < b.Count && a[i].Meets(b[j]);
            if (isBoth && !a[i].Equals(b[j])) return null;
            var next = i < a.Count && (j == b.Count || a[i].Start <= b[j].Start) ? a[i] : b[j];
            merged.AddRange(lines[at..next.Start]);
            merged.AddRange(next.Lines);
            at = next.End;
            if (isBoth || ReferenceEquals(next, i < a.Count ? a[i] : null)) i++;
            if (isBoth || ReferenceEquals(next, j < b.Count ? b[j] : null)) j++;
        }
        merged.AddRange(lines[at..]);
        return string.Join('\n', merged);
    }

    /// <summary>What turns one list of lines into another.</summary>
    private static List<LineChange> Changes(string[] before, string[] after)
    {
        var start = 0;
        while (start < before.Length && start < after.Length && before[start] == after[start]) start++;
        var end = 0;
        while (end < before.Length - start && end < after.Length - start && before[^(end + 1)] == after[^(end + 1)]) end++;
        string[] from = before[start..^end], to = after[start..^end];
        if ((long)from.Length * to.Length > MostPairs || from.Length == 0 || to.Length == 0) return [new(start, start + from.Length, to)];

        // The longest run of lines that both have, from the end (Hirschberg and Hunt call it the longest common subsequence).
        var longest = new int[from.Length + 1, to.Length + 1];
        for (var i = from.Length - 1; i >= 0; i--)
        {
            for (var j = to.Length - 1; j >= 0; j--) longest[i, j] = from[i] == to[j] ? longest[i + 1, j + 1] + 1 : Math.Max(longest[i + 1, j], longest[i, j + 1]);
        }
        var changes = new List<LineChange>();
        int x = 0, y = 0;
        while (x < from.Length || y < to.Length)
        {
            int fromX = x, fromY = y;
            while ((x < from.Length || y < to.Length) && !(x < from.Length && y < to.Length && from[x] == to[y]))
            {
                if (y == to.Length || (x < from.Length && longest[x + 1, y] >= longest[x, y + 1])) x++;
                else y++;
            }
            if (x > fromX || y > fromY) changes.Add(new(start + fromX, start + x, to[fromY..y]));
            while (x < from.Length && y < to.Length && from[x] == to[y]) (x, y) = (x + 1, y + 1);
        }
        return changes;
    }

    /// <summary>Lines that are replaced: none where some are put in, replaced by none where they are taken out.</summary>
    private sealed record LineChange(int Start, int End, string[] Lines)
    {
        /// <summary>Whether the two are about the same place: lines side by side are not, lines put in at one place are.</summary>
        public bool Meets(LineChange other) => Start == other.Start || (Start < other.End && other.Start < End);

        public bool Equals(LineChange? other) => other is not null && Start == other.Start && End == other.End && Lines.AsSpan().SequenceEqual(other.Lines);

        public override int GetHashCode() => HashCode.Combine(Start, End);
    }
}
