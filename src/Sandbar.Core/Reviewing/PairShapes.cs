using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Core.Values;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Reviewing;

/// <summary>An element that a block is made of.</summary>
/// <param name="Around">Its place in the list of the one it stands in; -1 for what is outside.</param>
internal readonly record struct ShapeElement(Element Element, int Kind, int Around);

/// <summary>Something in a block that has to be told from its ground.</summary>
/// <param name="At">Its place in the list.</param>
/// <param name="Piece">A piece of it, such as <c>marker</c>; empty for itself.</param>
internal sealed record ShapeTarget(PairKind Kind, int At, string Piece, PartProperty Property);

/// <summary>What a block is made of, without the blocks inside. Blocks of one shape in one surrounding make the same pairs, whatever they say.</summary>
internal sealed class PairShape
{
    public required Document Page { get; init; }

    public required Part Part { get; init; }

    /// <summary>Id of the look.</summary>
    public required string Look { get; init; }

    /// <summary>From what stands in the element of the block around down to its own element; then the elements inside.</summary>
    public required ImmutableArray<ShapeElement> Elements { get; init; }

    /// <summary>The place of its own element in the list.</summary>
    public required int Own { get; init; }

    public required ImmutableArray<ShapeTarget> Targets { get; init; }

    /// <summary>The elements whose states it takes.</summary>
    public required ImmutableArray<int> Stateful { get; init; }

    /// <summary>Links in its texts, which wear a look of their own.</summary>
    public required ImmutableArray<int> Links { get; init; }

    /// <summary>Elements inside and their states, as selectors that look into the block see them, by state.</summary>
    private readonly ConcurrentDictionary<State, InnerStates> inside = new();

    /// <summary>The states of its elements in a state of it, by their places in the list; and those inside, for selectors that look into it.</summary>
    public (ElementStates[] Of, InnerStates? Inside) In(State state)
    {
        var of = new ElementStates[Elements.Length];
        var own = Scenes.Of(state);
        // The pointer and the focus are within whatever is around the element, up to the block.
        var around = own & (ElementStates.Hover | ElementStates.FocusWithin | ElementStates.Active);
        foreach (var at in Stateful)
        {
            for (var outer = Elements[at].Around; outer >= Own; outer = Elements[outer].Around) of[outer] |= around;
            of[at] = own;
        }
        if (own == ElementStates.None || Stateful.Contains(Own)) return (of, null);
        return (of, inside.GetOrAdd(state, _ => new(Enumerable.Range(Own + 1, Elements.Length - Own - 1).Where(i => of[i] != ElementStates.None).ToDictionary(i => Elements[i].Element, i => of[i]))));
    }
}

/// <summary>A block on a page, and those inside.</summary>
internal sealed record ShapedBlock(string Id, PairShape Shape, ImmutableArray<ShapedBlock> Inner);

/// <summary>The shapes of the blocks on a site's pages.</summary>
internal sealed class PairShapes
{
    private static readonly ConditionalWeakTable<Places, PairShapes> Kept = [];

    /// <summary>As many are remembered: with each width that is typed in a condition one comes and one goes.</summary>
    private const int MostWindows = 32;

    private readonly Dictionary<string, PairShape> known = new(StringComparer.Ordinal);
    private readonly Dictionary<MediaEnvironment, Remembered> windows = [];
    private readonly ConditionalWeakTable<StyledPage, KeptBlocks> pages = [];

    /// <summary>Those told apart by what these places tell apart.</summary>
    public static PairShapes Of(Places places) => Kept.GetValue(places, _ => new());

    /// <summary>The blocks of a page that are shown, the outermost first.</summary>
    public ImmutableArray<ShapedBlock> On(StyledPage styled, Site site, Page page)
    {
        ImmutableArray<Block> blocks = [.. Blocks.OnPage(site, page)];
        if (pages.TryGetValue(styled, out var kept) && kept.Blocks.AsSpan().SequenceEqual(blocks.AsSpan(), ReferenceEqualityComparer.Instance)) return kept.Shaped;
        ImmutableArray<ShapedBlock> shaped = [.. blocks.SelectMany(b => Shaped(styled, b, null))];
        pages.AddOrUpdate(styled, new(blocks, shaped));
        return shaped;
    }

    /// <summary>What was found in a window, for a site that has the same schemes and lines: all else shows in the styles.</summary>
    public (IReadOnlyDictionary<(Arounds, PairShape), BlockPairs> Pairs, IReadOnlyDictionary<object, Seen> Seen) Known(MediaEnvironment window, Site site) =>
        windows.TryGetValue(window, out var found) && found.Site.Palette.Schemes == site.Palette.Schemes && ReferenceEquals(found.Site.Edges, site.Edges) && LinkOf(found.Site) == LinkOf(site)
            ? (found.Pairs, found.Seen) : (ImmutableDictionary<(Arounds, PairShape), BlockPairs>.Empty, ImmutableDictionary<object, Seen>.Empty);

    public void Remember(MediaEnvironment window, Site site, PairWalk walk, SeenColors seen)
    {
        if (windows.Count > MostWindows) windows.Clear();
        windows[window] = new(site, walk.Known, seen.Known);
    }

    /// <summary>Id of the look that links in texts wear; null where there is none.</summary>
    public static string? LinkOf(Site site) => site.Looks.FirstOrDefault(l => l.Part == "link")?.Id;

    private sealed record Remembered(Site Site, IReadOnlyDictionary<(Arounds, PairShape), BlockPairs> Pairs, IReadOnlyDictionary<object, Seen> Seen);

    private sealed record KeptBlocks(ImmutableArray<Block> Blocks, ImmutableArray<ShapedBlock> Shaped);

    private IEnumerable<ShapedBlock> Shaped(StyledPage page, Block block, Element? outer)
    {
        if (PartCatalogue.Find(block.Part) is not { } part || page.Blocks[block.Id].FirstOrDefault() is not { } element) yield break;
        yield return new(block.Id, ShapeOf(page, part, block.Look, element, outer), [.. block.Blocks.SelectMany(b => Shaped(page, b, element))]);
    }

    private PairShape ShapeOf(StyledPage page, Part part, string look, Element element, Element? outer)
    {
        var elements = new List<ShapeElement>();
        var places = new Dictionary<Element, int>();
        foreach (var around in element.Ancestors().TakeWhile(e => e != outer).Reverse()) Add(around);
        var own = elements.Count;
        foreach (var inner in BlockElements.Of(page.Document, element)) Add(inner);
        var key = new StringBuilder($"{part.Id} {look} {own}");
        foreach (var (at, kind, around) in elements) key.Append(CultureInfo.InvariantCulture, $" {kind}:{around}{(ShowsText(at) ? "t" : "")}");
        var text = key.ToString();
        if (known.TryGetValue(text, out var shape)) return shape;
        var hooks = PartHooks.Of(part);
        var links = Enumerable.Range(own + 1, elements.Count - own - 1).Where(i => Holds(PartHooks.Link, i)).ToImmutableArray();
        return known[text] = new()
        {
            Page = page.Document,
            Part = part,
            Look = look,
            Elements = [.. elements],
            Own = own,
            Stateful = [.. Enumerable.Range(own, elements.Count - own).Where(i => Holds(hooks.States, i))],
            Links = links,
            Targets = [.. Targets(hooks)],
        };

        void Add(Element one)
        {
            places[one] = elements.Count;
            elements.Add(new(one, page.KindOf(one), one.Parent is not null && places.TryGetValue(one.Parent, out var at) ? at : -1));
        }

        bool Holds(ImmutableArray<ComplexSelector> selectors, int at) => selectors.Any(s => new Matching(page.Document).HoldsWithPiece(s, elements[at].Element));

        IEnumerable<ShapeTarget> Targets(PartHooks hooks)
        {
            for (var at = own; at < elements.Count; at++)
            {
                if (!ShowsText(elements[at].Element) || links.Any(l => IsWithin(at, l))) continue;
                // The nearest around that has a colour of its own gives it.
                for (var around = at; around >= own; around = elements[around].Around)
                {
                    if (hooks.Colors.LastOrDefault(c => c.Piece.Length == 0 && Holds(c.Selectors, around)) is not { Property: { } property }) continue;
                    yield return new(PairKind.Text, at, "", property);
                    break;
                }
            }
            foreach (var target in hooks.Colors.Where(c => c.Piece.Length > 0).Select(c => (c, Kind: PairKind.Line)).Concat(hooks.Lines.Select(l => (l, Kind: PairKind.Line))).Concat(hooks.Rings.Select(r => (r, Kind: PairKind.FocusRing))))
            {
                for (var at = own; at < elements.Count; at++)
                {
                    if (Holds(target.Item1.Selectors, at)) yield return new(target.Kind, at, target.Item1.Piece, target.Item1.Property);
                }
            }
        }

        bool IsWithin(int at, int around)
        {
            for (; at >= around; at = elements[at].Around)
            {
                if (at == around) return true;
            }
            return false;
        }
    }

    private static bool ShowsText(Element element) => !string.IsNullOrWhiteSpace(element.Text) || element is { IsHtml: true, Name: "input" or "textarea" or "select" };
}

/// <summary>The elements that a block is made of: its own, and those inside that are no other block's, in the order of the page.</summary>
internal static class BlockElements
{
    public static IEnumerable<Element> Of(Document page, Element own)
    {
        yield return own;
        for (var i = own.Index + 1; i < own.End;)
        {
            var inner = page.All[i];
            if (inner.Has("data-block"))
            {
                i = inner.End;
                continue;
            }
            yield return inner;
            i++;
        }
    }
}

/// <summary>The elements of a part that its properties are for, as selectors.</summary>
internal sealed class PartHooks
{
    private static readonly ConcurrentDictionary<string, PartHooks> Known = new(StringComparer.Ordinal);

    private PartHooks(Part part)
    {
        States = Read(LookSelectors.StateHook(part));
        var all = part.Properties.Select(p => new Hooked(p, Read((p.OnPart ? part.Hook : part.Hook + part.Inner) + p.Target))).ToList();
        Colors = [.. all.Where(h => h.Property.CssName == "color")];
        Rings = [.. all.Where(h => h.Property.CssName == "outline")];
        Lines = [.. all.Where(h => h.Property.CssName != "outline" && h.Property.Kind.Types.Contains(CssType.Line))];
    }

    public static ImmutableArray<ComplexSelector> Link { get; } = Read(PartCatalogue.Get("link").Hook);

    public ImmutableArray<ComplexSelector> States { get; }

    public ImmutableArray<Hooked> Colors { get; }

    public ImmutableArray<Hooked> Lines { get; }

    public ImmutableArray<Hooked> Rings { get; }

    public static PartHooks Of(Part part) => Known.GetOrAdd(part.Id, _ => new(part));

    private static ImmutableArray<ComplexSelector> Read(string selector) => SelectorParser.TryParse(Parser.ParseValues(selector), isNested: false, out var list, out _) ? list : [];

    /// <summary>A property with the selector of its elements.</summary>
    internal sealed record Hooked(PartProperty Property, ImmutableArray<ComplexSelector> Selectors)
    {
        /// <summary>The piece of the element it is for; empty for the element itself.</summary>
        public string Piece { get; } = Selectors.Select(PseudoElements.Of).OfType<PseudoElementSelector>().FirstOrDefault()?.Name ?? "";
    }
}
