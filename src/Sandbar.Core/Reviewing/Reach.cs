using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Reviewing;

/// <summary>How far a change reaches: on how many pages, and how many of their elements get other declarations or other content. What they inherit is not counted.</summary>
/// <param name="IsWhole">Whether all rules were looked up; else it reaches at least so far.</param>
public sealed record Reach(int Pages, int Elements, bool IsWhole = true)
{
    /// <summary>How far the change from one site to another reaches, on the pages of the later one.</summary>
    /// <param name="cancel">Looked at between pages.</param>
    public static Reach Of(Site before, Site after, CancellationToken cancel)
    {
        var blocks = ChangedBlocks(before, after);
        try
        {
            return Of(SiteStyles.Of(before), SiteStyles.Of(after), blocks, cancel);
        }
        catch (CostlySelectorException)
        {
            return Of(SiteStyles.WithoutOverrides(before), SiteStyles.WithoutOverrides(after), blocks, cancel);
        }
    }

    private static Reach Of(SiteStyles earlier, SiteStyles later, HashSet<string> blocks, CancellationToken cancel)
    {
        using var held = SiteStyles.Hold(earlier, later);
        if (blocks.Count == 0 && earlier.Sheets.SequenceEqual(later.Sheets)) return new(0, 0, later.LeftOut < 0);
        var change = SheetChange.Of(earlier.Sheets, later.Sheets);
        var declarations = new Declarations(earlier, later, change);
        int pages = 0, elements = 0;
        foreach (var page in later.Site.Pages)
        {
            cancel.ThrowIfCancellationRequested();
            var document = later[page].Document;
            var reached = document.All.Where(e => e["data-block"] is { } block && blocks.Contains(block)).ToHashSet();
            if (change.Reached(document) is { Count: > 0 } mayDiffer)
            {
                var styled = declarations.On(page);
                reached.UnionWith(mayDiffer.Where(e => declarations.Differ(styled, styled.Document.All[e.Index])));
            }
            if (reached.Count > 0) pages++;
            elements += reached.Count;
        }
        return new(pages, elements, later.LeftOut < 0);
    }

    /// <summary>Ids of the blocks that hold something else, wear another look or scheme, or show a menu or posts that changed.</summary>
    private static HashSet<string> ChangedBlocks(Site before, Site after)
    {
        var changed = new HashSet<string>(StringComparer.Ordinal);
        var arePostsSame = before.Posts == after.Posts && before.Categories == after.Categories;
        if (before.Frame == after.Frame && before.Pages == after.Pages && before.Menus == after.Menus && arePostsSame) return changed;
        var menus = after.Menus.Where(m => before.Menus.Find(m.Id) != m).Select(m => m.Id).ToHashSet(StringComparer.Ordinal);
        var known = Blocks.All(before).ToDictionary(b => b.Id, StringComparer.Ordinal);
        changed.UnionWith(Moved(Lists(before), Lists(after)));
        foreach (var block in Blocks.All(after))
        {
            if (!known.TryGetValue(block.Id, out var was) || was with { Blocks = block.Blocks } != block || ShowsOne(block, menus) || (!arePostsSame && PartCatalogue.Find(block.Part)?.Group == PartGroup.Posts)) changed.Add(block.Id);
        }
        return changed;
    }

    /// <summary>The ids of the blocks that stand together, by what they stand in.</summary>
    private static Dictionary<string, List<string>> Lists(Site site)
    {
        var lists = site.Pages.ToDictionary(p => $"/{p.Id}", p => p.Sections.Select(s => s.Id).ToList(), StringComparer.Ordinal);
        foreach (var block in Blocks.All(site).Where(b => !b.Blocks.IsEmpty)) lists[block.Id] = [.. block.Blocks.Select(b => b.Id)];
        return lists;
    }

    /// <summary>The blocks that stand in something else than before, or in another order: of those that changed places the fewest.</summary>
    private static IEnumerable<string> Moved(Dictionary<string, List<string>> before, Dictionary<string, List<string>> after)
    {
        foreach (var (around, ids) in after)
        {
            var earlier = before.GetValueOrDefault(around) ?? [];
            if (earlier.SequenceEqual(ids, StringComparer.Ordinal)) continue;
            var at = earlier.Select((id, i) => (id, i)).ToDictionary(p => p.id, p => p.i, StringComparer.Ordinal);
            var stayed = Rising([.. ids.Where(at.ContainsKey).Select(id => at[id])]);
            foreach (var id in ids.Where(id => !at.TryGetValue(id, out var i) || !stayed.Contains(i))) yield return id;
        }
    }

    /// <summary>The longest of a list's parts that rises.</summary>
    private static HashSet<int> Rising(IReadOnlyList<int> numbers)
    {
        var (lengths, from, best) = (new int[numbers.Count], new int[numbers.Count], -1);
        for (var i = 0; i < numbers.Count; i++)
        {
            (lengths[i], from[i]) = (1, -1);
            for (var j = 0; j < i; j++)
            {
                if (numbers[j] < numbers[i] && lengths[j] + 1 > lengths[i]) (lengths[i], from[i]) = (lengths[j] + 1, j);
            }
            if (best < 0 || lengths[i] > lengths[best]) best = i;
        }
        var rising = new HashSet<int>();
        for (; best >= 0; best = from[best]) rising.Add(numbers[best]);
        return rising;
    }

    private static bool ShowsOne(Block block, HashSet<string> menus) =>
        menus.Count > 0 && PartCatalogue.Find(block.Part) is { } part && part.Slots.Any(s => s.Kind == SlotKind.Menu && menus.Contains(block.Content.GetValueOrDefault(s.Id, "")));

    /// <summary>Tells how elements are declared before and after.</summary>
    private sealed class Declarations
    {
        private readonly List<(PlaceStyles Before, PlaceStyles After)> windows = [];
        private readonly Dictionary<Place, bool> known = [];
        private readonly Func<Page, StyledPage> find;

        public Declarations(SiteStyles before, SiteStyles after, SheetChange change)
        {
            var sheets = change.Before.Concat(change.After).Distinct().ToList();
            // Where the two ask other things of elements, the pages are looked at by what both ask.
            var areSame = ReferenceEquals(before.Places, after.Places);
            var places = areSame ? after.Places : Places.Of(sheets);
            find = areSame ? page => after[page] : page => after.With(page, places);
            // What is found of all rules is kept, and for many of them quicker to take over than to find anew.
            var isKept = areSame && 4 * change.After.Length > after.Sheets.Length;
            foreach (var window in Windows.Of(sheets, _ => true, isDarkAsked: false).All)
                windows.Add(isKept ? (before.In(window), after.In(window)) : (new(RuleSet.Of(change.Before, window), SiteStyles.MostSteps), new(RuleSet.Of(change.After, window), SiteStyles.MostSteps)));
        }

        /// <summary>A page as both ask about it.</summary>
        public StyledPage On(Page page) => find(page);

        public bool Differ(StyledPage page, Element element)
        {
            var place = page.PlaceOf(element);
            if (!known.TryGetValue(place, out var differs)) known[place] = differs = Scenes.Of(page, element).Any(at => windows.Any(w => Differ(w.Before, w.After, at)));
            return differs;
        }

        private static bool Differ(PlaceStyles before, PlaceStyles after, Place place)
        {
            if (Differ(before.Of(place), after.Of(place))) return true;
            // What is selected is painted by the browser, wherever that is.
            return before.Rules.Pieces.Union(after.Rules.Pieces).Where(p => p != "selection").Any(piece =>
                (before.Rules.MayReach(place.Element, piece) || after.Rules.MayReach(place.Element, piece)) && Differ(before.Of(place, piece), after.Of(place, piece)));
        }

        private static bool Differ(ElementStyle before, ElementStyle after)
        {
            if (before.Identity == after.Identity && before.Cascade == after.Cascade) return false;
            if (before.Cascade != after.Cascade && !Said(before).SetEquals(Said(after))) return true;
            return after.Cascade.Declarations.Any(c => !c.Declared.IsCustom && c.Declared.Reads.Any(name => !IsSame(before.Custom(name), after.Custom(name))));
        }

        /// <summary>What is declared of it, custom properties aside: what reads them decides. What keyframes read is read by no rule.</summary>
        private static HashSet<string> Said(ElementStyle style) => style.Cascade.Declarations.Where(c => !c.Declared.IsCustom || c.Declared.Name == Entrances.DistanceProperty)
            .Select(c => $"{c.Declared.Name}:{Serializer.Values(c.Declared.Node.Value)}{(c.Declared.IsImportant ? "!" : "")} {c.Layer}").ToHashSet(StringComparer.Ordinal);

        private static bool IsSame(ImmutableArray<ComponentValue>? one, ImmutableArray<ComponentValue>? other) => one is { } a && other is { } b ? a == b || Serializer.Values(a) == Serializer.Values(b) : one is null == other is null;
    }
}
