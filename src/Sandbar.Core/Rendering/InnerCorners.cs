using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>Corners of boxes inside others, so that the two curves have one centre: inner = outer − border − padding, never below 0.</summary>
internal static class InnerCorners
{
    // Of cells that do not change it is found out once.
    private static readonly ConditionalWeakTable<object, string> OfCells = [];

    private static readonly ConditionalWeakTable<Site, string> OfSites = [];

    // One delegate: what was read is compared by it.
    private static readonly Func<Site, string> Fact = site => OfSites.GetValue(site, s => s.Looks.Any(l => IsFollowing(l.Cells)) || Blocks.WithOwnValues(s).Any(b => IsFollowing(b.Own)) ? "yes" : "");

    /// <summary>Whether anything on the site follows the corners of the box around it: else nothing is said of them.</summary>
    public static bool AreFollowed(SiteReads reads) => reads.Fact(Fact).Length > 0;

    /// <summary>The corners that follow, as <c>border-radius</c> has them.</summary>
    /// <param name="padding">Of the outer box; null where nothing is said of it.</param>
    /// <param name="border">Of the outer box; null where nothing is said of it.</param>
    public static string Css(SiteReads reads, Value outer, Value? padding, Value? border)
    {
        var paddings = padding is SidesValue sides ? sides.Inner.Select(side => (Value?)side).ToArray() : [padding, padding, padding, padding];
        var lines = border is SidesValue each ? each.Inner.Select(side => (Value?)side).ToArray() : [border, border, border, border];
        return RadiusValues.Within(reads, outer, rest: null, [.. paddings.Zip(lines).Select(p => $"{Length(reads, p.First)} - {Width(reads, p.Second)}")]);
    }

    private static bool IsFollowing(ImmutableSortedDictionary<string, Value> cells) =>
        OfCells.GetValue(cells, _ => cells.Values.Any(value => value is WordValue { Word: RadiusValues.Inner }) ? "yes" : "").Length > 0;

    private static string Length(SiteReads reads, Value? value) => value is null or WordValue ? "0px" : ValueForms.Css(reads, value) is var css && css == "0" ? "0px" : css;

    private static string Width(SiteReads reads, Value? line) => line switch
    {
        LineValue { Style: not ("none" or "hidden") } typed => Length(reads, typed.Width),
        ReferenceValue named => reads.Thing<Border>(named) is { } border && border.Style.Code() is not ("none" or "hidden") ? Length(reads, border.Width) : "0px",
        _ => "0px",
    };
}
