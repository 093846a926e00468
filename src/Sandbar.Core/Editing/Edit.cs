using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>What an edit led to: a site, or problems and nothing changed.</summary>
public sealed record Outcome
{
    private Outcome(Site? site, IReadOnlyList<Problem> problems) => (Site, Problems) = (site, problems);

    /// <summary>The site afterwards; null when there are problems.</summary>
    public Site? Site { get; }

    public IReadOnlyList<Problem> Problems { get; }

    public static implicit operator Outcome(Site site) => new(site, []);

    public static implicit operator Outcome(Problem problem) => new(null, [problem]);
}

/// <summary>
/// A change to a site. Nothing changes a site by another way. In JSON <c>kind</c> is the record's name; journals keep what an edit did as a patch,
/// and never read the edit itself again.
/// </summary>
public abstract record Edit
{
    /// <summary>The site with the change made, or why it cannot be. What is shown in several places follows.</summary>
    public Outcome Apply(Site site)
    {
        var outcome = Change(site);
        return outcome.Site is { } changed ? SharedBlocks.Follow(site, changed) : outcome;
    }

    /// <summary>The change itself.</summary>
    protected abstract Outcome Change(Site site);

    /// <summary>The change in a designer's words, said of the site before it.</summary>
    public abstract string Describe(Site site);
}
