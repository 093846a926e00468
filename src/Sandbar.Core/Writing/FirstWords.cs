using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Writing;

/// <summary>What a block is told apart by where nobody gave it a name.</summary>
public static class FirstWords
{
    private const int Longest = 80;

    /// <summary>The first words a block itself holds, without marks; empty where it holds none.</summary>
    public static string Of(Block block)
    {
        var slot = PartCatalogue.Find(block.Part)?.Slots.FirstOrDefault(s => s.Kind is SlotKind.Text or SlotKind.List && !string.IsNullOrWhiteSpace(block.Content.GetValueOrDefault(s.Id)));
        if (slot is null) return "";
        var text = block.Content[slot.Id];
        if (slot.Kind == SlotKind.List) text = BlockText.Lists(text).SelectMany(l => l.Items).FirstOrDefault()?.Text ?? "";
        var words = Runs.Plain(Runs.Of(text)).Replace('\n', ' ');
        if (words.Length <= Longest) return words;
        var end = words.LastIndexOf(' ', Longest);
        return words[..(end > 0 ? end : Longest - 1)] + "…";
    }
}
