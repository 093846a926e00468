using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Several edits that are one: all are made, or none.</summary>
/// <param name="Words">What they come to, in a designer's words.</param>
/// <param name="Edits">In the order in which they are made; none of them is such a list itself.</param>
public sealed record Together(string Words, ImmutableArray<Edit> Edits) : Edit
{
    private const int Most = 500, LongestWords = 200;

    protected override Outcome Change(Site site)
    {
        if (Edits.IsDefaultOrEmpty) return new Problem("/edits", "There is nothing to change.");
        if (Edits.Length > Most) return new Problem("/edits", $"At most {Most} changes are made at once.");
        if (Words.Length > LongestWords || Words.Any(char.IsControl)) return new Problem("/words", "What they come to is a short line.");
        for (var i = 0; i < Edits.Length; i++)
        {
            if (Edits[i] is null or Together) return new Problem(string.Create(CultureInfo.InvariantCulture, $"/edits/{i}"), "This cannot be part of several changes.");
            var outcome = Edits[i].Apply(site);
            if (outcome.Site is null) return new Problem(string.Create(CultureInfo.InvariantCulture, $"/edits/{i}{outcome.Problems[0].Path}"), outcome.Problems[0].Message);
            site = outcome.Site;
        }
        return site;
    }

    public override string Describe(Site site) => Words;
}
