using System.Collections.Immutable;
using Sandbar.Core.Values;

namespace Sandbar.Core.Catalogue;

/// <summary>The level of a heading, chosen apart from how it looks: what it is for those who find their way by headings (HTML, section 4.3.6).</summary>
internal static class HeadingLevel
{
    private const string Id = "level", None = "none";

    private static readonly ImmutableArray<string> Levels = ["1", "2", "3", "4", "5", "6", None];

    /// <param name="usual">The level where nothing is chosen; null for none.</param>
    public static Slot Slot(string name, int? usual) => new(Id, name, SlotKind.Choice) { Words = [.. Ordered(usual).Select(l => new Word(l, ""))] };

    /// <summary>The element a heading becomes: a paragraph where it has no level.</summary>
    public static string Tag(BlockWriter block, int? usual) => Ordered(usual).First(level => block.Is(Id, level)) is var level && level == None ? "p" : $"h{level}";

    private static IEnumerable<string> Ordered(int? usual)
    {
        var first = usual is { } level ? Levels[level - 1] : None;
        return Levels.Remove(first).Prepend(first);
    }
}
