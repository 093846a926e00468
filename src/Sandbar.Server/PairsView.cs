using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>The colours that meet on a site's pages.</summary>
/// <param name="OverridesNotCounted">Whether an override sheet is on that these figures know nothing of.</param>
/// <param name="Lowest">The text that reads worst among what must be readable; null where there is none.</param>
public sealed record PairsView(long Version, bool OverridesNotCounted, PairInUseView? Lowest, IReadOnlyList<PairInUseView> Pairs)
{
    public static PairsView Of(Site site, long version, CancellationToken cancel)
    {
        var pairs = ContrastPairs.Of(site, cancel);
        var lowest = pairs.Where(p => p.Kind is PairKind.Text or PairKind.LargeText && p.Target > 0).MinBy(p => p.Ratio);
        return new(version, site.Overrides.Site.Trim().Length > 0, lowest is null ? null : PairInUseView.Of(site, lowest), [.. pairs.Select(p => PairInUseView.Of(site, p))]);
    }
}

/// <param name="Where">Part, look, property and state, in words, and what is around it in a state.</param>
/// <param name="Ratio">Cut off, not rounded up: 4.49 is no 4.5.</param>
/// <param name="Pages">Names of the pages it is met on.</param>
public sealed record PairInUseView(
    PairKind Kind, string Part, string Look, string Property, State State, string Where, string Scheme, string Foreground, string Ground, double Ratio, double Target, bool Passes,
    IReadOnlyList<string> Pages, int Places)
{
    public static PairInUseView Of(Site site, ContrastPair pair)
    {
        var look = site.Looks.Get(pair.Look);
        return new(
            pair.Kind, look.Part, look.Id, pair.Property, pair.State, PartCatalogue.CellName(look, new CellKey(pair.Property, pair.State, Interval.All)) + On(site, pair.Within), site.Palette.Schemes.Get(pair.Scheme).Name,
            ColorText.Hex(pair.Foreground), ColorText.Hex(pair.Ground), Math.Floor(pair.Ratio * 100) / 100, pair.Target, pair.Passes,
            [.. pair.Pages.Select(p => site.Pages.Get(p).Name)], pair.Places);
    }

    private static string On(Site site, Surrounding? within) => within is null ? "" : $", on {PartCatalogue.Get(site.Looks.Get(within.Look).Part).Name} in {within.State}";
}
