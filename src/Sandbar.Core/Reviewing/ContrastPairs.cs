using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Reviewing;

/// <summary>
/// Every pair of colours that meet on the site's pages: text, lines and focus rings, in every state of an element and of what is around it, at every width that some rule
/// tells apart, in every scheme and for visitors who prefer dark. They are what the cascade makes of the stylesheet, overrides counted.
/// </summary>
public static class ContrastPairs
{
    private static readonly ConditionalWeakTable<SiteStyles, Found> Known = [];

    /// <summary>The pairs, those that fail first, then by how near they come to what they must reach.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each page.</exception>
    public static ImmutableArray<ContrastPair> Of(Site site, CancellationToken cancel) => Look(site, cancel).Pairs;

    /// <summary>What each block with a ground of its own looks like at Rest at the narrowest width, outer before inner, for visitors who prefer light and for those who prefer dark.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each page.</exception>
    internal static IEnumerable<Face> Faces(Site site, CancellationToken cancel) => Look(site, cancel).Faces;

    /// <summary>The same with nothing taken over from before.</summary>
    internal static ImmutableArray<ContrastPair> Anew(Site site) => Look(SiteStyles.Anew(site), CancellationToken.None).Pairs;

    /// <summary>The blocks with text whose ground differs from place to place, in the windows of the pairs.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each page.</exception>
    internal static (SiteStyles Styles, ImmutableArray<UnevenBlock> Blocks) Uneven(Site site, CancellationToken cancel) => Look(site, cancel) is var found ? (found.Styles, found.Uneven) : default;

    private sealed record Found(SiteStyles Styles, ImmutableArray<ContrastPair> Pairs, ImmutableArray<Face> Faces, ImmutableArray<UnevenBlock> Uneven);

    private static Found Look(Site site, CancellationToken cancel)
    {
        try
        {
            return Held(SiteStyles.Of(site), cancel);
        }
        catch (CostlySelectorException)
        {
            return Held(SiteStyles.WithoutOverrides(site), cancel);
        }
    }

    private static Found Held(SiteStyles styles, CancellationToken cancel)
    {
        using var held = SiteStyles.Hold(styles);
        if (Known.TryGetValue(styles, out var known)) return known;
        var found = Look(styles, cancel);
        Known.AddOrUpdate(styles, found);
        return found;
    }

    /// <summary>Goes through every page in every window.</summary>
    private static Found Look(SiteStyles styles, CancellationToken cancel)
    {
        var site = styles.Site;
        var shapes = PairShapes.Of(styles.Places);
        var sources = new ColorSources(styles);
        var meetings = new Meetings();
        var faces = new List<Face>();
        foreach (var window in WindowsOf(styles).All)
        {
            var (pairs, colors) = shapes.Known(window, site);
            var seen = new SeenColors(styles, styles.In(window), sources, colors);
            var walk = new PairWalk(site, seen, styles.Places, meetings, pairs);
            foreach (var page in site.Pages)
            {
                cancel.ThrowIfCancellationRequested();
                var at = new Visit(page.Id, (int)window.Width, window.IsDark);
                foreach (var block in shapes.On(styles[page], site, page)) walk.Visit(block, "", PairWalk.Start, at, window.Width == 0 ? faces : null);
            }
            shapes.Remember(window, site, walk, seen);
        }
        return new(styles, [.. meetings.Pairs().OrderBy(p => p.Passes).ThenBy(p => p.Target == 0).ThenBy(p => p.Ratio / Math.Max(p.Target, 1))], [.. faces], [.. meetings.Uneven]);
    }

    /// <summary>Windows that stand for all: between them no value that matters here changes.</summary>
    internal static Windows WindowsOf(SiteStyles styles)
    {
        var asksDark = styles.Site.Overrides.Site is var written && (written.Contains("light-dark", StringComparison.OrdinalIgnoreCase) || written.Contains("color-scheme", StringComparison.OrdinalIgnoreCase));
        return Windows.Of(styles.Sheets, declared => Matters(styles, declared), asksDark);
    }

    /// <summary>Whether a declaration has a say in what meets what.</summary>
    private static bool Matters(SiteStyles styles, Declared declared)
    {
        if (declared.IsCustom) return styles.OriginOf(declared) is null or { Kind: OriginKind.Scheme } or { Of: ColorKind.Kind or GradientKind.Kind or BorderKind.Kind };
        return declared.Name is "color" or "opacity" or "display" or "visibility" or "all" || declared.Name == FillLayers.Holds.Property || declared.Name.StartsWith("background", StringComparison.Ordinal) || declared.Name.StartsWith("outline", StringComparison.Ordinal)
            || declared.Name.StartsWith("font", StringComparison.Ordinal) || (declared.Name.StartsWith("border", StringComparison.Ordinal) && !declared.Name.EndsWith("radius", StringComparison.Ordinal));
    }
}

/// <summary>Where a page is looked at.</summary>
/// <param name="Page">Id of the page.</param>
internal readonly record struct Visit(string Page, int Width, bool Dark);

/// <summary>A pair as it is met, wherever.</summary>
internal sealed record Met(
    PairKind Kind, string Look, string Property, State State, Surrounding? Within, string Scheme, Color Foreground, Color Ground, double Target, bool IsAlong);

/// <summary>A block as it is met in a window, with its texts whose ground differs from place to place.</summary>
internal sealed record UnevenBlock(string Block, Visit At, ImmutableArray<UnevenText> Texts);

/// <summary>A text that lies on what differs from place to place, or on a picture: only a look at its page tells how it reads.</summary>
/// <param name="At">The number of its element among those of its block (<see cref="BlockElements"/>).</param>
/// <param name="Place">Where it stands, in the state that it is in.</param>
internal sealed record UnevenText(PairKind Kind, string Look, string Property, State State, Surrounding? Within, double Target, int At, Place Place, Tone Color, Scheme Scheme);

/// <summary>All that is met, each pair with its places.</summary>
internal sealed class Meetings
{
    private readonly Dictionary<Met, Meeting> all = [];

    /// <param name="seen">Tells what decides the two.</param>
    public Meeting Of(Met met, SeenColors seen, Tone foreground, Tone ground)
    {
        if (!all.TryGetValue(met, out var meeting)) all[met] = meeting = new(met, seen.SourceOf(foreground), seen.SourceOf(ground));
        return meeting;
    }

    public List<UnevenBlock> Uneven { get; } = [];

    public IEnumerable<ContrastPair> Pairs() => all.Values.Select(m => m.Pair());
}

/// <summary>A pair and where it is met.</summary>
internal sealed class Meeting(Met met, ColorSource foreground, ColorSource ground)
{
    private readonly HashSet<ShapedBlock> blocks = new(ReferenceEqualityComparer.Instance);
    private readonly ImmutableArray<PairPlace>.Builder places = ImmutableArray.CreateBuilder<PairPlace>();

    public void Add(ShapedBlock block, Visit at)
    {
        if (blocks.Add(block)) places.Add(new(at.Page, block.Id, at.Width, at.Dark));
    }

    public ContrastPair Pair() => new(
        met.Kind, met.Look, met.Property, met.State, met.Within, met.Scheme, met.Foreground, met.Ground, Contrast.Ratio(met.Foreground, met.Ground), met.Target, foreground, ground, places.ToImmutable(), met.IsAlong);
}
