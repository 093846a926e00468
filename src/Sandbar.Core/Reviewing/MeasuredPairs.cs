using System.Collections.Immutable;

namespace Sandbar.Core.Reviewing;

/// <summary>The pairs of a site with what was measured on its pages among them.</summary>
public static class MeasuredPairs
{
    /// <summary>The pairs, those that fail first. What was measured takes the place of the worst place anywhere on a gradient.</summary>
    /// <param name="pairs">What the site's colours come to by themselves.</param>
    /// <param name="texts">What was measured.</param>
    /// <param name="isMeasured">Whether it is known of a block of a page how its texts read, at every width; by their ids.</param>
    public static ImmutableArray<ContrastPair> Of(ImmutableArray<ContrastPair> pairs, IEnumerable<TextContrast> texts, Func<string, string, bool> isMeasured)
    {
        var measured = from text in texts
                       where text.Place.Spot is not null
                       group text by (text.Kind, text.Look, text.Property, text.State, text.Within, text.Scheme, text.Foreground, Ground: text.GroundFrom.Name, text.Target) into same
                       let worst = same.MinBy(t => t.Place.Spot!.Ratio)!
                       select new ContrastPair(
                           worst.Kind, worst.Look, worst.Property, worst.State, worst.Within, worst.Scheme, worst.Foreground, worst.Place.Spot!.Ground, worst.Place.Spot.Ratio, worst.Target, worst.ForegroundFrom, worst.GroundFrom,
                           [.. same.Select(t => t.Place).OrderBy(p => p.Spot!.Ratio)])
                       {
                           Fills = [.. same.SelectMany(t => t.Fills).Distinct()],
                       };
        return [.. WithoutKnown(pairs, isMeasured).Concat(measured).OrderBy(p => p.Passes).ThenBy(p => p.Target == 0).ThenBy(p => p.Ratio / Math.Max(p.Target, 1))];
    }

    /// <summary>The pairs without those of gradients' worst places, on pages where it is known how texts read on them.</summary>
    internal static ImmutableArray<ContrastPair> WithoutKnown(ImmutableArray<ContrastPair> pairs, Func<string, string, bool> isMeasured) =>
    [
        .. pairs.Select(p => !p.IsAlong || !p.Places.Any(at => isMeasured(at.Page, at.Block)) ? p : p with { Places = [.. p.Places.Where(at => !isMeasured(at.Page, at.Block))] }).Where(p => !p.Places.IsEmpty),
    ];
}
