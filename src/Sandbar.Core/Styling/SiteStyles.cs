using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Styling;

/// <summary>
/// How the pages of a site are styled, overrides counted. Whatever a change does not reach is taken over from the sites looked at last. Its answers are for one thread
/// at a time: <see cref="Hold"/> it while asking.
/// </summary>
public sealed class SiteStyles
{
    /// <summary>As many versions of a site are kept as are compared with each other: the one at hand, the one before the last edit, and one that is tried.</summary>
    private const int MostKept = 3;

    /// <summary>As many sites as are likely to be worked on at a time: with one more, each would throw out what the next is asked about.</summary>
    private const int MostSites = 3;

    /// <summary>Windows that are taken over, those asked about last before others: with each width that is typed one comes and one goes.</summary>
    private const int MostWindows = 32;

    /// <summary>How often a part of a selector is held against elements of one page before the overrides are left out.</summary>
    internal const long MostSteps = 1_000_000;

    /// <summary>Those asked about last first.</summary>
    private static readonly List<SiteStyles> Recent = [];

    /// <summary>Held while a site is read that is like none: who asks about it meanwhile waits for that instead of reading it once more.</summary>
    private static readonly Gate First = new();

    private readonly Gate gate;
    private readonly SiteSheets sheets;
    private readonly Dictionary<string, StyledPage> pages = new(StringComparer.Ordinal);
    private readonly Dictionary<MediaEnvironment, PlaceStyles> windows = [];
    private readonly IReadOnlyDictionary<MediaEnvironment, PlaceStyles> earlier;

    private SiteStyles(Site site, SiteStyles? before, CountedOverrides counted)
    {
        Site = site;
        IsNothingCounted = counted == CountedOverrides.None;
        gate = before?.gate ?? new();
        sheets = SiteSheets.Of(site, before?.sheets, counted);
        Places = Places.Of(sheets.All, before?.Places);
        var isSame = ReferenceEquals(Places, before?.Places);
        foreach (var page in site.Pages)
        {
            var mark = PageChanges.Mark(site, page);
            pages[page.Id] = isSame && before!.pages.TryGetValue(page.Id, out var known) && known.Mark == mark ? known : new(site, page, mark, Places, MostSteps);
        }
        earlier = isSame ? before!.windows.Concat(before.earlier.Where(e => !before.windows.ContainsKey(e.Key))).Take(MostWindows).ToDictionary(e => e.Key, e => e.Value) : ImmutableDictionary<MediaEnvironment, PlaceStyles>.Empty;
    }

    public Site Site { get; }

    /// <summary>Where the first rule of the overrides stands that is not counted, since together they ask so much that nobody would wait for the answer; -1 where all are.</summary>
    public int LeftOut => sheets.LeftOut;

    /// <summary>Whether none of the overrides are.</summary>
    public bool IsNothingCounted { get; }

    /// <summary>Where the elements of its pages stand.</summary>
    public Places Places { get; }

    public StyledPage this[Page page] => pages[page.Id];

    internal SiteSheets Written => sheets;

    internal ImmutableArray<Css.Cascade.StyleSheet> Sheets => sheets.All;

    public static SiteStyles Of(Site site)
    {
        while (true)
        {
            var nearest = Nearest(site);
            if (nearest is not null && ReferenceEquals(nearest.Site, site)) return nearest;
            var gate = nearest?.gate ?? First;
            lock (gate)
            {
                // While this waited, another may have had it.
                nearest = Nearest(site);
                if (nearest is not null && ReferenceEquals(nearest.Site, site)) return nearest;
                if ((nearest?.gate ?? First) == gate) return Kept(Found(site, nearest));
            }
        }
    }

    /// <summary>The same where asking turned out to cost too much: without the overrides.</summary>
    public static SiteStyles WithoutOverrides(Site site) => Kept(new SiteStyles(site, null, CountedOverrides.None));

    /// <summary>What is kept of a site, or of the one most like it; null where there is none.</summary>
    private static SiteStyles? Nearest(Site site)
    {
        lock (Recent)
        {
            if (Recent.Find(r => ReferenceEquals(r.Site, site)) is not { } known) return Recent.Where(r => Likeness(r.Site, site) > 0).MaxBy(r => Likeness(r.Site, site));
            Recent.Remove(known);
            Recent.Insert(0, known);
            return known;
        }
    }

    private static SiteStyles Kept(SiteStyles found)
    {
        lock (Recent)
        {
            Recent.RemoveAll(r => ReferenceEquals(r.Site, found.Site));
            Recent.Insert(0, found);
            var kept = Recent.GroupBy(r => r.gate).Take(MostSites).SelectMany(g => g.Take(MostKept)).ToHashSet();
            Recent.RemoveAll(r => !kept.Contains(r));
        }
        return found;
    }

    /// <summary>With nothing taken over from before, and kept by nobody.</summary>
    internal static SiteStyles Anew(Site site) => Found(site, null);

    /// <summary>Holds all that sites share with those before and after them, as long as they are asked.</summary>
    public static IDisposable Hold(params ReadOnlySpan<SiteStyles> sites)
    {
        // Always in one order, so that nobody waits for each other.
        var gates = sites.ToArray().Select(s => s.gate).Distinct().OrderBy(g => g.Number).ToArray();
        foreach (var gate in gates) Monitor.Enter(gate);
        return new Held(gates);
    }

    private sealed class Held(Gate[] gates) : IDisposable
    {
        public void Dispose()
        {
            foreach (var gate in gates) Monitor.Exit(gate);
        }
    }

    private sealed class Gate
    {
        private static long last;

        public long Number { get; } = Interlocked.Increment(ref last);
    }

    /// <summary>A page by other places than its own.</summary>
    internal StyledPage With(Page page, Places places) => new(Site, page, "", places, MostSteps);

    /// <summary>How its pages are styled in a window.</summary>
    public PlaceStyles In(MediaEnvironment window)
    {
        if (windows.TryGetValue(window, out var known)) return known;
        return windows[window] = earlier.TryGetValue(window, out var before) ? before.After(before.Rules.With(sheets.All), Places) : new(RuleSet.Of(sheets.All, window), MostSteps);
    }

    /// <summary>What made a declaration; null of what browsers begin with.</summary>
    public Decided? DecidedBy(Candidate candidate) => sheets.Of(candidate.Declared, candidate.At);

    /// <summary>What made a declaration of the generated sheet; null of all others.</summary>
    internal Rendering.Origin? OriginOf(Declared declared) => sheets.Of(declared, declared.Rule?.Declarations.ToList().IndexOf(declared) ?? 0)?.Generated;

    private static SiteStyles Found(Site site, SiteStyles? before)
    {
        try
        {
            return new(site, before, CountedOverrides.All);
        }
        catch (CostlySelectorException)
        {
            return new(site, before, CountedOverrides.Near);
        }
    }

    /// <summary>How many branches two sites share.</summary>
    private static int Likeness(Site one, Site other) => new[]
    {
        ReferenceEquals(one.Palette, other.Palette), ReferenceEquals(one.Type, other.Type), ReferenceEquals(one.Space, other.Space), ReferenceEquals(one.Edges, other.Edges), ReferenceEquals(one.Fills, other.Fills),
        one.Looks == other.Looks, ReferenceEquals(one.Frame, other.Frame), one.Pages == other.Pages, ReferenceEquals(one.Overrides, other.Overrides),
    }.Count(same => same);
}
