using Sandbar.Core.Design;

namespace Sandbar.Core.Checking;

/// <summary>What must hold of a site that comes from elsewhere: every reference leads somewhere, and nothing can break out of the bytes it is written into.</summary>
public static class SiteCheck
{
    /// <summary>Longest override sheet, in characters.</summary>
    public const int LongestSheet = 500_000;

    private const int Most = 20;

    /// <summary>What is wrong, each with its place in the document; empty when nothing is.</summary>
    public static IEnumerable<Problem> Problems(Site site)
    {
        try
        {
            // What holds nothing where something must be cannot be looked at any further.
            var holes = SiteTree.Holes(site).Select(path => new Problem(path, "There is nothing here, and something has to be.")).Take(Most).ToList();
            return holes.Count > 0 ? holes : [.. All(site).Take(Most)];
        }
        catch (Exception broken) when (broken is NullReferenceException or InvalidOperationException or ArgumentNullException)
        {
            // A list that is missing reads as one that was never made.
            return [new("/", "A list or value that every site has is missing.")];
        }
    }

    private static IEnumerable<Problem> All(Site site)
    {
        if (Names.Check(site.Name, []) is { } name) yield return name;
        if (!Names.IsSlug(site.Slug)) yield return new("/slug", "The address of a site is lower-case letters, digits and hyphens.");
        if (site.Overrides.Site.Length > LongestSheet) yield return new("/overrides/site", $"The sheet is longer than {LongestSheet / 1000} kB.");
        foreach (var problem in FoundationCheck.Problems(site)) yield return problem;
        foreach (var problem in LookCheck.Problems(site)) yield return problem;
        foreach (var problem in new PageCheck(site).Problems()) yield return problem;
        foreach (var problem in PostCheck.Problems(site)) yield return problem;
        foreach (var problem in ShelfCheck.Problems(site)) yield return problem;
    }
}
