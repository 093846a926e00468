using System.Runtime.CompilerServices;
using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue;

/// <summary>Where blocks show pictures.</summary>
public static class PictureSlots
{
    // What is found in a block is kept for as long as it stays as it is.
    private static readonly ConditionalWeakTable<Block, Block[]> Showing = [];

    /// <summary>The slots of a block that hold a picture.</summary>
    public static IEnumerable<Slot> Of(Block block) => PartCatalogue.Find(block.Part)?.Slots.Where(s => s.Kind == SlotKind.Picture && block.Content.GetValueOrDefault(s.Id, "").Length > 0) ?? [];

    /// <summary>Those of a block and of what is inside it that show a picture.</summary>
    public static IReadOnlyList<Block> Within(Block outermost) => Showing.GetValue(outermost, o => [.. Blocks.WithInner(o).Where(b => Of(b).Any())]);
}
