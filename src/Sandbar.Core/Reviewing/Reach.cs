using System.Collections.Immutable;
using AngleSharp.Dom;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Reviewing;

/// <summary>How far a change reaches: on how many pages, and how many of their elements get other declarations or other content. What they inherit is not counted.</summary>
/// <param name="IsWhole">Whether all of it was looked up; else it reaches at least so far.</param>
public sealed record Reach(int Pages, int Elements, bool IsWhole = true)
{
    /// <summary>How far the change from one site to another reaches, on the pages of the later one.</summary>
    /// <param name="cancel">Looked at between pages and selectors.</param>
    public static Reach Of(Site before, Site after, CancellationToken cancel)
    {
        var (earlier, later) = (StyleSheetRenderer.Render(before), StyleSheetRenderer.Render(after));
        var changed = new Changed();
        changed.Compare(earlier, later);
        changed.Follow(later);
        var blocks = ChangedBlocks(before, after);
        if (changed.Selectors.Count == 0 && blocks.Count == 0) return new(0, 0, changed.IsWhole);
        int pages = 0, elements = 0;
        var isWhole = changed.IsWhole;
        foreach (var page in after.Pages)
        {
            using var document = PageDocument.Of(after, page);
            var reached = document.Find("[data-block]").Where(e => blocks.Contains(e.GetAttribute("data-block")!)).ToHashSet();
            foreach (var (selector, through) in changed.Selectors)
            {
                cancel.ThrowIfCancellationRequested();
                reached.UnionWith(document.Find(selector).Where(e => changed.Comes(document, e, through)));
            }
            isWhole &= !document.IsSpent;
            if (reached.Count > 0) pages++;
            elements += reached.Count;
        }
        return new(pages, elements, isWhole);
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

    /// <summary>A custom property that changed where a rule says it.</summary>
    /// <param name="Scope">The elements that rule is for; null for the whole page.</param>
    /// <param name="From">What that rule reads it from, where that holds only somewhere.</param>
    private sealed record Through(string Name, string? Scope, Through? From);

    /// <summary>What changed in a sheet: selectors, and the custom properties through which more is reached.</summary>
    private sealed class Changed
    {
        private readonly HashSet<Through> properties = [];

        // By the name of a custom property the elements that say it themselves.
        private readonly Dictionary<string, HashSet<string>> scopes = new(StringComparer.Ordinal);

        /// <summary>Selectors of elements with other declarations, and what these come from; null where they changed themselves.</summary>
        public HashSet<(NestedSelector Selector, Through? Through)> Selectors { get; } = [];

        /// <summary>Whether all that changed was looked at.</summary>
        public bool IsWhole { get; private set; } = true;

        /// <summary>Whether what changed comes as far as an element: what it inherits is what the nearest around it says.</summary>
        public bool Comes(PageDocument document, IElement element, Through? through)
        {
            if (through is null) return true;
            if (through.Scope is null) return Comes(document, element, through.From);
            var said = scopes[through.Name];
            for (var e = element; e is not null; e = e.ParentElement)
            {
                if (said.Any(s => document.Finds(s, e))) return document.Finds(through.Scope, e) && Comes(document, e, through.From);
            }
            return false;
        }

        public void Compare(StyleSheet earlier, StyleSheet later)
        {
            foreach (var rule in earlier.Rules.Concat(later.Rules))
            {
                if (ScopeOf(rule) is not { } scope) continue;
                foreach (var declaration in rule.Declarations.Where(d => IsProperty(d.Name)))
                {
                    if (!scopes.TryGetValue(declaration.Name, out var said)) scopes[declaration.Name] = said = new(StringComparer.Ordinal);
                    said.Add(scope);
                }
            }
            var known = earlier.Rules.ToDictionary(r => r.Key, StringComparer.Ordinal);
            foreach (var rule in later.Rules)
            {
                if (known.Remove(rule.Key, out var was) && ReferenceEquals(was, rule)) continue;
                Note(rule, was is null ? rule.Declarations : [.. rule.Declarations.Except(was.Declarations).Concat(was.Declarations.Except(rule.Declarations))]);
            }
            foreach (var gone in known.Values) Note(gone, gone.Declarations);
            if (earlier.Overrides == later.Overrides) return;
            var (a, b) = (OverrideText.Of(earlier.Overrides), OverrideText.Of(later.Overrides));
            var (fewer, more) = (Written(a, Texts(b)), Written(b, Texts(a)));
            foreach (var rule in fewer.Except(more).Concat(more.Except(fewer))) Selectors.Add((rule.Elements, null));
        }

        /// <summary>Follows what changed through <c>var()</c> to whatever reads it.</summary>
        public void Follow(StyleSheet sheet)
        {
            if (properties.Count == 0) return;
            var overrides = OverrideText.Of(sheet.Overrides);
            var written = LookedUp.Of(overrides, r => overrides.Text(r).Contains("var(", StringComparison.OrdinalIgnoreCase));
            IsWhole &= written.IsWhole;
            var readers = sheet.Rules.SelectMany(r => r.Declarations.Select(d => (Elements: Elements(r), Scope: ScopeOf(r), d.Name, d.Value)))
                .Concat(written.Rules.SelectMany(r => r.Declarations.Select(d => (r.Elements, Scope: (string?)null, d.Name, Value: overrides.Text(d)))))
                .Where(d => d.Value.Contains("var(", StringComparison.OrdinalIgnoreCase)).Distinct().ToList();
            var next = new Queue<Through>(properties);
            while (next.TryDequeue(out var property))
            {
                var from = property.Scope is null ? property.From : property;
                foreach (var reader in readers.Where(r => Reads(r.Value, property.Name)))
                {
                    if (!IsProperty(reader.Name)) Selectors.Add((reader.Elements, from));
                    else if (new Through(reader.Name, reader.Scope, from) is var read && properties.Add(read)) next.Enqueue(read);
                }
            }
        }

        private void Note(Rule rule, ImmutableArray<Declaration> declarations)
        {
            foreach (var declaration in declarations)
            {
                // What keyframes read is read by no rule.
                if (!IsProperty(declaration.Name) || declaration.Name == Entrances.DistanceProperty) Selectors.Add((Elements(rule), null));
                else properties.Add(new(declaration.Name, ScopeOf(rule), null));
            }
        }

        private static bool IsProperty(string name) => name.StartsWith("--", StringComparison.Ordinal);

        private static string? ScopeOf(Rule rule) => rule.Elements == ":root" ? null : rule.Elements;

        private static NestedSelector Elements(Rule rule) => new([rule.Elements], null);

        /// <summary>The rules of a sheet as written, to tell those of another that are the same.</summary>
        private static HashSet<string>.AlternateLookup<ReadOnlySpan<char>> Texts(OverrideText sheet) =>
            sheet.Rules.Select(r => sheet.Text(r).ToString()).ToHashSet(StringComparer.Ordinal).GetAlternateLookup<ReadOnlySpan<char>>();

        /// <summary>What the rules say that are not in another sheet.</summary>
        private List<(NestedSelector Elements, NestedSelector Selector, NestedSelector? Always, string Text)> Written(OverrideText sheet, HashSet<string>.AlternateLookup<ReadOnlySpan<char>> others)
        {
            var rules = LookedUp.Of(sheet, r => !others.Contains(sheet.Text(r)));
            IsWhole &= rules.IsWhole;
            return [.. rules.Rules.Where(r => r.Declarations.Count > 0).Select(r => (r.Elements, r.Selector, r.Always, string.Join(';', r.Declarations.Select(sheet.Text))))];
        }

        private static bool Reads(string value, string name)
        {
            for (var at = value.IndexOf(name, StringComparison.Ordinal); at >= 0; at = value.IndexOf(name, at + 1, StringComparison.Ordinal))
            {
                var end = at + name.Length;
                if (end == value.Length || !(char.IsAsciiLetterOrDigit(value[end]) || value[end] is '-' or '_')) return true;
            }
            return false;
        }
    }
}
