using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>The colours that meet on a site's pages, and what the last edit did to them.</summary>
/// <param name="Lowest">The text that reads worst among what must be readable; null where there is none.</param>
/// <param name="Rows">One for each pair of colours and kind of use, the worst first.</param>
/// <param name="Unmeasured">How many blocks have text over a gradient, a picture or several layers of which it is not measured yet how it reads.</param>
/// <param name="ToMeasure">The pages they stand on, with the windows that are missing.</param>
/// <param name="Untold">The blocks with text of which that cannot be told.</param>
/// <param name="Broken">The rows that fail since the last edit, by name; of what is known without measuring.</param>
/// <param name="Mended">The rows that failed before it and no longer do.</param>
public sealed record PairsView(
    long Version, PairInUseView? Lowest, IReadOnlyList<PairRowView> Rows, int Unmeasured, IReadOnlyList<PageToMeasure> ToMeasure, IReadOnlyList<UntoldView> Untold, IReadOnlyList<string> Broken, IReadOnlyList<string> Mended)
{
    internal static PairsView Of(Site site, Site beforeLast, long version, SiteMeasures measures, CancellationToken cancel)
    {
        var known = ContrastPairs.Of(site, cancel);
        var pairs = measures.Among(known);
        var lowest = pairs.Where(p => p.Kind is PairKind.Text or PairKind.LargeText && p.Target > 0).MinBy(p => p.Ratio);
        var rows = PairRowView.All(site, pairs);
        var now = PairRowView.All(site, known);
        var earlier = ReferenceEquals(site, beforeLast) ? now : PairRowView.All(beforeLast, ContrastPairs.Of(beforeLast, cancel));
        HashSet<string> fails = [.. now.Where(r => !r.Passes).Select(r => r.Name)], failed = [.. earlier.Where(r => !r.Passes).Select(r => r.Name)];
        var toMeasure = TextContrasts.ToMeasure(site, cancel);
        var missing = toMeasure.Select(p => (Page: p, Widths: measures.Missing(p.Page).ToList())).Where(p => p.Widths.Count > 0).ToList();
        return new(
            version, lowest is null ? null : PairInUseView.Of(site, lowest), rows, missing.SelectMany(p => p.Page.Blocks).Distinct().Count(), [.. missing.SelectMany(p => p.Widths.Select(w => new PageToMeasure(p.Page.Page, w.Width, w.Height)))],
            [.. measures.Untold.Select(t => UntoldView.Of(site, t))], [.. fails.Except(failed)], [.. failed.Except(fails)]);
    }
}

/// <summary>A page that has to be measured.</summary>
/// <param name="Width">Of the window, px.</param>
public sealed record PageToMeasure(string Page, int Width, int Height);

/// <summary>A text of which it cannot be told how it reads over what lies behind it.</summary>
/// <param name="Name">Its part and look.</param>
/// <param name="Why">A sentence.</param>
public sealed record UntoldView(string Name, PairPlaceView Place, string Why)
{
    internal static UntoldView Of(Site site, TextContrast text) =>
        new(site.Looks.Get(text.Look) is var look ? $"{PartCatalogue.Get(look.Part).Name} · {look.Name}" : "", PairPlaceView.Of(site, text.Place), text.Why);
}

/// <summary>Two colours that meet in one kind of use.</summary>
/// <param name="Name">Such as <c>pollen on leaf · text</c>.</param>
/// <param name="Ratio">The least of all its places. Cut off, not rounded up: 4.49 is no 4.5.</param>
/// <param name="Places">How many there are.</param>
/// <param name="Colors">Ids of the colours of the palette in it.</param>
/// <param name="Schemes">Names of the schemes it is met in.</param>
/// <param name="At">Where it is met, the worst first.</param>
public sealed record PairRowView(
    string Name, string ForegroundName, string Foreground, string GroundName, string Ground, PairKind Kind, double Ratio, double Target, bool Passes, int Places,
    IReadOnlyList<string> Colors, IReadOnlyList<string> Schemes, IReadOnlyList<State> States, IReadOnlyList<PairInUseView> At)
{
    public static IReadOnlyList<PairRowView> All(Site site, IReadOnlyList<ContrastPair> pairs) =>
    [
        .. from pair in pairs
           // Over a fill the ground is another one at every spot: the worst is shown.
           group pair by (Foreground: pair.ForegroundFrom.Name, Ground: pair.GroundFrom.Name, pair.Kind, pair.Target, On: pair.IsMeasured ? "" : ColorText.Hex(pair.Ground), Of: ColorText.Hex(pair.Foreground)) into same
           let worst = same.First()
           let k = same.Key
           select new PairRowView(
               worst.Name, k.Foreground, k.Of, k.Ground, ColorText.Hex(worst.Ground), k.Kind, PairInUseView.Cut(same.Min(p => p.Ratio)), k.Target, same.All(p => p.Passes),
               same.Sum(p => p.Places.Length), [.. new[] { worst.ForegroundFrom.Color, worst.GroundFrom.Color }.OfType<string>().Distinct()],
               [.. same.Select(p => site.Palette.Schemes.Get(p.Scheme).Name).Distinct()], [.. same.Select(p => p.State).Distinct().Order()],
               [.. same.Select(p => PairInUseView.Of(site, p))]),
    ];
}

/// <param name="Key">What asks for its mends.</param>
/// <param name="Where">Part, look, property and state, in words, and what is around it in a state.</param>
/// <param name="Ratio">Cut off, not rounded up: 4.49 is no 4.5.</param>
/// <param name="Lines">The lines of the overrides that decide one of the two colours, from 1.</param>
/// <param name="Fills">Kind and id, with a slash between, of the gradients and backgrounds behind it, of what was measured.</param>
/// <param name="Places">Where on the pages.</param>
public sealed record PairInUseView(
    string Key, PairKind Kind, string Part, string Look, string Property, State State, string Where, string Scheme, string Foreground, string Ground, double Ratio, double Target, bool Passes,
    IReadOnlyList<int> Lines, IReadOnlyList<string> Fills, IReadOnlyList<PairPlaceView> Places)
{
    /// <summary>As many places as are told.</summary>
    private const int Told = 40;

    public static PairInUseView Of(Site site, ContrastPair pair)
    {
        var look = site.Looks.Get(pair.Look);
        return new(
            PairMends.Key(pair), pair.Kind, look.Part, look.Id, pair.Property, pair.State, PartCatalogue.CellName(look, new CellKey(pair.Property, pair.State, Interval.All)) + On(site, pair.Within),
            site.Palette.Schemes.Get(pair.Scheme).Name, ColorText.Hex(pair.Foreground), ColorText.Hex(pair.Ground), Cut(pair.Ratio), pair.Target, pair.Passes,
            [.. new[] { pair.ForegroundFrom.Line, pair.GroundFrom.Line }.Where(line => line > 0).Distinct()], [.. pair.Fills.Select(f => $"{f.Kind}/{f.Id}")], [.. pair.Places.Take(Told).Select(p => PairPlaceView.Of(site, p))]);
    }

    public static double Cut(double ratio) => Math.Floor(ratio * 100) / 100;

    private static string On(Site site, Surrounding? within) => within is null ? "" : $", on {PartCatalogue.Get(site.Looks.Get(within.Look).Part).Name} in {within.State}";
}

/// <param name="Width">A width at which it is met, px; 0 for the narrowest.</param>
/// <param name="Dark">Whether it is met where the visitor prefers dark.</param>
/// <param name="Spot">Where it reads worst there, of what was measured.</param>
public sealed record PairPlaceView(string Page, string PageName, string Block, int Width, bool Dark, SpotView? Spot)
{
    public static PairPlaceView Of(Site site, PairPlace place) => new(place.Page, site.Pages.Get(place.Page).Name, place.Block, place.Width, place.Dark, place.Spot is { } spot ? SpotView.Of(spot) : null);
}

/// <summary>Where a text reads worst.</summary>
/// <param name="Ratio">There. Cut off, not rounded up.</param>
/// <param name="Mean">Of all it lies on.</param>
/// <param name="X">px from the page's left.</param>
/// <param name="Y">px from its top.</param>
/// <param name="Scroll">How far the page is scrolled then, px; null where that does not matter.</param>
public sealed record SpotView(double Ratio, double Mean, string Ground, double X, double Y, double? Scroll)
{
    public static SpotView Of(WorstSpot spot) => new(PairInUseView.Cut(spot.Ratio), PairInUseView.Cut(spot.Mean), ColorText.Hex(spot.Ground), spot.X, spot.Y, spot.Scroll);
}

/// <summary>Two neighbours that a colour-vision deficiency makes one.</summary>
/// <param name="Name">What they are, such as <c>Button · Filled and Outlined</c>.</param>
/// <param name="Seen">Hex of both as they are seen with it.</param>
/// <param name="Difference">CIEDE2000, all colours seen, and with the deficiency.</param>
public sealed record CollapsingPairView(VisionKind Kind, string Name, string Scheme, IReadOnlyList<string> Hexes, IReadOnlyList<string> Seen, double Difference, double SeenDifference, IReadOnlyList<PairPlaceView> Places)
{
    public static CollapsingPairView Of(Site site, CollapsingPair pair, double severity) => new(
        pair.Vision, $"{pair.One} and {pair.Other}", site.Palette.Schemes.Get(pair.Scheme).Name, [ColorText.Hex(pair.First), ColorText.Hex(pair.Second)],
        [.. new[] { pair.First, pair.Second }.Select(c => ColorText.Hex(Vision.Simulate(c, pair.Vision, severity)))],
        Math.Round(pair.Difference, 1), Math.Round(pair.Seen, 1), [.. pair.Places.Select(p => PairPlaceView.Of(site, p))]);
}

/// <summary>The pair that is to be mended, at the version it was seen in.</summary>
public sealed record MendRequest(long Version, string Key);

/// <summary>The faintest veil with which a text over a fill can be read.</summary>
/// <param name="Mend">Null where there is none.</param>
/// <param name="Why">Why not, as a sentence.</param>
public sealed record VeilView(VeilMendView? Mend, string Why);

/// <param name="Color">The veil, with alpha.</param>
/// <param name="Mended">How many texts it lets be read that cannot be now.</param>
/// <param name="Broken">How many that can be now could not be then.</param>
public sealed record VeilMendView(string Words, string Color, double Ratio, int Mended, int Broken, Edit Edit)
{
    internal static VeilMendView Of(VeilMend mend) => new(mend.Words, ColorText.Hex(mend.Veil), PairInUseView.Cut(mend.Ratio), mend.Mended, mend.Broken, mend.Edit);
}

/// <param name="Changes">What gives way: text or ground.</param>
/// <param name="Hex">What it becomes.</param>
/// <param name="Difference">CIEDE2000 from what it is.</param>
/// <param name="Mended">How many pairs it mends, this one among them.</param>
/// <param name="Broken">How many pairs that pass now would fail.</param>
public sealed record PairMendView(MendedSide Changes, string Words, string Hex, bool IsNew, double Ratio, double Difference, int Mended, int Broken, Edit Edit)
{
    public static PairMendView Of(PairMend mend) => new(
        mend.Side, mend.Words, ColorText.Hex(mend.Color), mend.IsNew, PairInUseView.Cut(mend.Ratio), Math.Round(mend.Difference, 1), mend.Mended, mend.Broken, mend.Edit);
}

/// <param name="Edit">All of it as one edit; null where nothing can be mended.</param>
/// <param name="Left">Names of the pairs that still fail then.</param>
public sealed record MendedPairsView(Edit? Edit, int Mended, IReadOnlyList<string> Left)
{
    internal static MendedPairsView Of(Site site, SiteMeasures measures, CancellationToken cancel)
    {
        var mended = PairMends.All(site, measures.Knows, PairEndpoints.NewId, cancel);
        var after = mended.Edit?.Apply(site).Site ?? site;
        return new(mended.Edit, mended.Mended, [.. PairRowView.All(after, mended.Left).Select(r => string.Create(CultureInfo.InvariantCulture, $"{r.Name}: {r.Ratio:0.00} needs {r.Target}"))]);
    }
}
