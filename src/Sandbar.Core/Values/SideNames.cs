using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>What sides and corners are called in CSS: where they are on the screen, or by the direction of writing (CSS Logical Properties 1).</summary>
public static class SideNames
{
    // One delegate: what was read is compared by it.
    private static readonly Func<Site, string> Fact = site => site.Space.Rules[0].Sides.Code();

    /// <summary>Whether a site says its sides by the direction of writing.</summary>
    public static bool AreByWriting(SiteReads reads) => reads.Fact(Fact) == SpaceRules.ByWriting;

    /// <summary>Top, right, bottom and left.</summary>
    public static ImmutableArray<string> Sides(bool byWriting) => byWriting ? ["block-start", "inline-end", "block-end", "inline-start"] : ["top", "right", "bottom", "left"];

    /// <summary>Top left, top right, bottom right and bottom left.</summary>
    public static ImmutableArray<string> Corners(bool byWriting) => byWriting ? ["start-start", "start-end", "end-end", "end-start"] : ["top-left", "top-right", "bottom-right", "bottom-left"];
}
