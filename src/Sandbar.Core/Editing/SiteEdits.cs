using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Css;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Editing;

/// <summary>Renames the site. Its address stays.</summary>
public sealed record RenameSite(string Name) : Edit
{
    protected override Outcome Change(Site site) => Names.Check(Name, []) is { } problem ? problem : site with { Name = Name.Trim() };

    public override string Describe(Site site) => $"Site renamed to {Name.Trim()}";
}

/// <summary>
/// Replaces the override sheet of the site. Text that does not parse is kept as it was typed, like any text a designer is in the middle of;
/// only the rules that can be read reach the pages.
/// </summary>
public sealed record SetOverrides(string Css) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Css.Length > SiteCheck.LongestSheet) return new Problem("/css", $"The sheet is longer than {SiteCheck.LongestSheet / 1000} kB.");
        return site with { Overrides = new(Css) };
    }

    /// <summary>The sheet with what other windows have written since it was begun, edit by edit; null where they wrote in the same lines.</summary>
    /// <param name="window">The window this sheet was written in: what it stored meanwhile is in the sheet already.</param>
    /// <param name="since">All edits since, oldest first.</param>
    /// <param name="site">The site they led to.</param>
    public SetOverrides? Merged(string window, IEnumerable<JournalEntry> since, Site site)
    {
        var others = new Stack<(string Before, string After)>();
        foreach (var entry in since.Reverse())
        {
            if (!entry.Line.IsOfToday) return null;
            var before = entry.Patch.Inverse().Apply(site);
            if (entry.Line.Window != window && before.Overrides.Site != site.Overrides.Site) others.Push((before.Overrides.Site, site.Overrides.Site));
            site = before;
        }
        var css = Css;
        foreach (var (before, after) in others)
        {
            if (LineMerge.Merge(before, css, after) is not { Length: <= SiteCheck.LongestSheet } merged) return null;
            css = merged;
        }
        return new(css);
    }

    public override string Describe(Site site)
    {
        var before = site.Overrides.Site;
        var start = 0;
        while (start < before.Length && start < Css.Length && before[start] == Css[start]) start++;
        // A line that was added begins after the end of the one before it.
        if (start < Css.Length && Css[start] == '\n' && Css.Length > before.Length) start++;
        return $"Overrides · line {new TextLines(Css).At(start).Line}";
    }
}

/// <summary>Goes back to a snapshot. The change itself is a patch between the site and the snapshot.</summary>
public sealed record BringBack(string Snapshot, string Name) : Edit
{
    protected override Outcome Change(Site site) => new Problem("/kind", "Go back to a snapshot from the list of snapshots.");

    public override string Describe(Site site) => $"Back to {Quoted.Text(Name)}";
}

/// <summary>Goes back to the last state that can be shown, where the latest cannot. The change itself is a patch between the two.</summary>
/// <param name="Version">The version gone back to.</param>
public sealed record BackToGood(long Version) : Edit
{
    protected override Outcome Change(Site site) => new Problem("/kind", "A site goes back by itself, where it cannot be shown.");

    public override string Describe(Site site) => "Back to the last state that can be shown: what came after it could not be";
}

/// <summary>Takes back a gesture, or an earlier taking back. The change itself is a patch made from the journal.</summary>
/// <param name="Label">What was taken back, in words.</param>
/// <param name="Again">Whether this makes the change again (redo).</param>
public sealed record TakeBack(string Gesture, string Label, bool Again) : Edit
{
    protected override Outcome Change(Site site) => new Problem("/kind", "Use undo and redo for this.");

    public override string Describe(Site site) => Again ? $"Redone: {Label}" : $"Undone: {Label}";
}
