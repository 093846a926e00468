using System.Collections.Immutable;
using System.Text.Json;

namespace Sandbar.Core.Design;

/// <summary>One value that changed.</summary>
/// <param name="Path">Names, ids and keys from the site down, each after a slash; <c>#</c> stands for the order of a list.</param>
/// <param name="Before">The value before; null where there was none.</param>
/// <param name="After">The value after; null where there is none.</param>
/// <param name="At">Where only a piece of a long text changed: the character it stands at. Before and after are the piece then.</param>
public sealed record Change(string Path, JsonElement? Before = null, JsonElement? After = null, int? At = null)
{
    /// <summary>The change that takes this one back.</summary>
    public Change Inverse() => this with { Before = After, After = Before };
}

/// <summary>What an edit did to a site, by paths: enough to do it again or take it back under any later code.</summary>
/// <param name="Format">Of the documents its paths lead through.</param>
public sealed record Patch(int Format, ImmutableArray<Change> Changes)
{
    /// <summary>What differs between two sites. Shared branches are passed over, so the cost is that of the change.</summary>
    public static Patch Between(Site before, Site after)
    {
        var changes = ImmutableArray.CreateBuilder<Change>();
        SiteTree.Compare("", before, after, typeof(Site), changes);
        return new(Site.CurrentFormat, changes.ToImmutable());
    }

    /// <summary>The patch that takes this one back. What comes back into a list is there before the list is put in its old order.</summary>
    public Patch Inverse() => this with { Changes = [.. Changes.Reverse().Select(c => c.Inverse()).OrderBy(c => c.Path.EndsWith("/#", StringComparison.Ordinal))] };

    /// <summary>The site with the changes made; branches they do not reach stay the same objects. A change within something that is gone is passed over.</summary>
    /// <exception cref="InvalidDataException">A path leads nowhere, or a text is another than the one that was changed: the patch belongs to another site.</exception>
    public Site Apply(Site site) => Changes.Aggregate(site, SiteTree.Apply);

    /// <summary>Whether the two touch the same values, or one touches what holds the other's.</summary>
    public bool Touches(Patch other) => Changes.Any(a => other.Changes.Any(b => Within(a.Path, b.Path) || Within(b.Path, a.Path)));

    private static bool Within(string path, string outer) =>
        path.StartsWith(outer, StringComparison.Ordinal) && (path.Length == outer.Length || path[outer.Length] == '/');
}
