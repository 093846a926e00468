using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Rendering;

/// <summary>What gradients are in browsers that mix no colours in spaces that are named: plain stops, written out for each scheme, since no custom property can be mixed there.</summary>
internal static class GradientFallbacks
{
    // Rules that stay the same stay the same objects.
    private static readonly ConditionalWeakTable<PaletteFoundation, Tuple<FillFoundation, IReadOnlyList<Rule>>> Written = [];

    public static IReadOnlyList<Rule> Of(Site site)
    {
        if (Written.TryGetValue(site.Palette, out var written) && ReferenceEquals(written.Item1, site.Fills)) return written.Item2;
        IReadOnlyList<Rule> rules = [.. Rules(site)];
        Written.AddOrUpdate(site.Palette, new(site.Fills, rules));
        return rules;
    }

    private static IEnumerable<Rule> Rules(Site site)
    {
        var mixed = site.Fills.Gradients.Where(GradientKind.IsMixed).ToList();
        if (mixed.Count == 0) yield break;
        foreach (var scheme in site.Palette.Schemes) yield return Of(site, mixed, scheme, scheme);
        foreach (var scheme in site.Palette.Schemes)
        {
            if (scheme.Dark(site) is { } dark) yield return Of(site, mixed, scheme, dark);
        }
    }

    private static Rule Of(Site site, List<Gradient> gradients, Scheme carried, Scheme scheme)
    {
        var reads = new SiteReads(site);
        var declarations = gradients.Select(gradient => new Declaration(
            GradientKind.Description.Token(gradient),
            GradientKind.Css(reads, gradient, "", PlainStops.Of(gradient, PlainStops.Colors(site, gradient, scheme)).Stops.Select(s => $"{ColorText.Hex(s.Color)} {NumberForm.Css(s.At, "%")}")),
            new(OriginKind.Foundation, gradient.Id, "plain", GradientKind.Kind)));
        var turned = carried.Id != scheme.Id;
        return new($"gradient plain {carried.Id}{(turned ? " dark" : "")}", Layer.Foundations, $"[data-scheme=\"{carried.CssName}\"]", false, Interval.All, [.. declarations], turned);
    }
}
