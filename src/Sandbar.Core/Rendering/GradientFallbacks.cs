using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Rendering;

/// <summary>What gradients are in browsers that mix no colours in spaces that are named: plain stops, written out for each scheme, since no custom property can be mixed there.</summary>
internal static class GradientFallbacks
{
    // Rules that stay the same stay the same objects.
    private static readonly ConditionalWeakTable<PaletteFoundation, Tuple<ImmutableArray<Gradient>, IReadOnlyList<Rule>>> Written = [];

    public static IReadOnlyList<Rule> Of(Site site)
    {
        if (Written.TryGetValue(site.Palette, out var written) && written.Item1 == site.Fills.Gradients) return written.Item2;
        IReadOnlyList<Rule> rules = [.. Rules(site)];
        Written.AddOrUpdate(site.Palette, new(site.Fills.Gradients, rules));
        return rules;
    }

    private static IEnumerable<Rule> Rules(Site site)
    {
        var mixed = site.Fills.Gradients.Where(GradientKind.IsMixed).ToList();
        if (mixed.Count == 0) return [];
        var reads = new SiteReads(site);
        return SchemeByScheme.Rules(site, "gradient plain", scheme => mixed.Select(gradient => new Declaration(
            GradientKind.Description.Token(gradient),
            GradientKind.Css(reads, gradient, "", PlainStops.Of(gradient, PlainStops.Colors(site, gradient, scheme)).Stops.Select(s => $"{ColorText.Hex(s.Color)} {NumberForm.Css(s.At, "%")}")),
            new(OriginKind.Foundation, gradient.Id, "plain", GradientKind.Kind))));
    }
}
