using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>The rules of looks and of blocks that differ from theirs, kept for as long as they and what they read stay the same.</summary>
internal static class LookRules
{
    private static readonly ConditionalWeakTable<Look, Kept> OfLooks = [];

    private static readonly ConditionalWeakTable<Block, Kept> OfBlocks = [];

    public static WrittenRules Of(Site site, Part part, Look look)
    {
        var selectors = new CellSelectors(LookSelectors.Of(site, part, look), LookSelectors.OnPart(site, part, look));
        if (OfLooks.TryGetValue(look, out var kept) && kept.Selectors == selectors && kept.Written.AreFor(site)) return kept.Written;
        var reads = new SiteReads(site);
        var rules = new CellRules(reads, part, look.Cells, $"look {look.Id}", part.Layer, selectors, cell => new(OriginKind.Look, look.Id, cell)).Write();
        return Keep(OfLooks, look, new(new(reads, rules), selectors, look.Cells));
    }

    public static WrittenRules OfOwn(Site site, Block block)
    {
        if (PartCatalogue.Find(block.Part) is not { } part) return new(new(site), []);
        var look = site.Looks.Find(block.Look)?.Cells ?? ImmutableSortedDictionary<string, Value>.Empty;
        var selectors = new CellSelectors($".own-{block.Id}{part.Inner}", $".own-{block.Id}");
        if (OfBlocks.TryGetValue(block, out var kept) && kept.Cells == look && kept.Written.AreFor(site)) return kept.Written;
        // A state's value may be relative to a Rest that only the look sets.
        var cells = look.Where(c => CellKey.Parse(c.Key).State == State.Rest).ToImmutableSortedDictionary(StringComparer.Ordinal).SetItems(block.Own);
        var reads = new SiteReads(site);
        var rules = new CellRules(reads, part, cells, $"block {block.Id}", Layer.Blocks, selectors, cell => new(OriginKind.Block, block.Id, cell)) { Wanted = block.Own.ContainsKey }.Write();
        return Keep(OfBlocks, block, new(new(reads, rules), selectors, look));
    }

    private static WrittenRules Keep<T>(ConditionalWeakTable<T, Kept> table, T key, Kept kept)
        where T : class
    {
        table.AddOrUpdate(key, kept);
        return kept.Written;
    }

    private sealed record Kept(WrittenRules Written, CellSelectors Selectors, ImmutableSortedDictionary<string, Value> Cells);
}
