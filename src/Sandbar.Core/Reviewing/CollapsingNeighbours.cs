using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Reviewing;

/// <summary>Two neighbours that look different only to those who see all colours.</summary>
/// <param name="One">Part and look of the first, in words.</param>
/// <param name="Difference">CIEDE2000, all colours seen.</param>
/// <param name="Seen">CIEDE2000 with the deficiency.</param>
/// <param name="Places">Where they stand beside each other; each names the first of the two.</param>
public sealed record CollapsingPair(VisionKind Vision, string Scheme, string One, string Other, Color First, Color Second, double Difference, double Seen, ImmutableArray<PairPlace> Places);

/// <summary>
/// Neighbours of one part in different looks, such as two buttons in a row, that a colour-vision deficiency makes one: told apart by a hue that it takes away, and by nothing else
/// (WCAG 2.2, 1.4.1, is about what such a difference may say). What counts is a block's own ground at Rest.
/// </summary>
public static class CollapsingNeighbours
{
    /// <summary>CIEDE2000 above which two are plainly different, and below which they are hardly told apart (common practice, no source).</summary>
    public const double Plain = 10, Hardly = 5;

    /// <summary>The pairs, those that come nearest to each other first.</summary>
    /// <param name="severity">0 to 1: the cone type is missing.</param>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each page.</exception>
    public static ImmutableArray<CollapsingPair> Of(Site site, double severity, CancellationToken cancel)
    {
        var found = from met in Neighbours(site, cancel)
                    let difference = Difference.Ciede2000(met.One.Color, met.Other.Color)
                    where difference >= Plain
                    from vision in Enum.GetValues<VisionKind>()
                    let seen = Difference.Ciede2000(Vision.Simulate(met.One.Color, vision, severity), Vision.Simulate(met.Other.Color, vision, severity))
                    where seen < Hardly
                    group met.One.Place by (vision, met.One.Scheme, One: Called(site, met.One), Other: Called(site, met.Other), First: met.One.Color, Second: met.Other.Color, difference, seen);
        return
        [
            .. found.Select(g => new CollapsingPair(g.Key.vision, g.Key.Scheme, g.Key.One, g.Key.Other, g.Key.First, g.Key.Second, g.Key.difference, g.Key.seen, [.. g.DistinctBy(p => (p.Page, p.Block))]))
                .OrderBy(p => p.Seen),
        ];
    }

    private static IEnumerable<(Face One, Face Other)> Neighbours(Site site, CancellationToken cancel) =>
        from around in ContrastPairs.Faces(site, cancel).GroupBy(f => (f.Place.Page, f.Place.Dark, f.Outer))
        from two in around.Zip(around.Skip(1))
        where two.First.Part == two.Second.Part && two.First.Look != two.Second.Look
        select two;

    private static string Called(Site site, Face face) => $"{PartCatalogue.Get(face.Part).Name} · {site.Looks.Get(face.Look).Name}";
}

/// <summary>What a block looks like from afar.</summary>
/// <param name="Outer">Id of the block it stands in; empty for the outermost.</param>
internal sealed record Face(string Outer, string Part, string Look, string Scheme, Color Color, PairPlace Place);
