using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Samples.Pellwyn;

namespace Sandbar.Core.Tests;

/// <summary>The demo site, and an example value for every kind of property.</summary>
internal static class Demo
{
    public static readonly SiteWithAssets Sample = PellwynSample.Create();

    public static Site Site => Sample.Site;

    /// <summary>The site after an edit that must succeed.</summary>
    public static Site After(this Site site, Edit edit)
    {
        var outcome = edit.Apply(site);
        Assert.True(outcome.Site is not null, string.Join("; ", outcome.Problems.Select(p => p.Message)));
        return outcome.Site;
    }

    /// <summary>The only problem of an edit that must fail.</summary>
    public static Problem Refused(this Site site, Edit edit) => Assert.Single(edit.Apply(site).Problems);

    public static Look Look(this Site site, string id) => site.Looks.Get(id);

    /// <summary>Values a property can be typed as, so many that two differ from whatever is set.</summary>
    public static string[] Values(PartProperty property) => property.Kind switch
    {
        ValueKind.Color => ["attention", "#123456"],
        ValueKind.Fill => ["dawn", "attention"],
        ValueKind.TextStyle => ["Lead", "Caption"],
        ValueKind.Border => ["bright", "ring"],
        ValueKind.Radius => ["round", "3px"],
        ValueKind.Shadow => ["lift", "none"],
        ValueKind.Length => ["space 7 * 2", "13px"],
        ValueKind.Sides => ["1px 2px 3px 4px", "space 1 + 3px"],
        ValueKind.Number => property.Max == 1 ? ["0.5", "0.25"] : ["4", "5"],
        ValueKind.Word => [.. property.Words.Keys],
        _ => throw new ArgumentOutOfRangeException(nameof(property)),
    };
}
