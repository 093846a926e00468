using Sandbar.Core.Values;

namespace Sandbar.Core.Catalogue;

/// <summary>A row of the ledger: something about a part that a look can set.</summary>
public sealed record PartProperty : Setting
{
    /// <summary>The CSS property it becomes; for text styles the properties follow from the style.</summary>
    public string CssName { get; init; } = "";

    /// <summary>What is added to the part's selector to reach the piece of it that is meant, after the state.</summary>
    public string Target { get; init; } = "";

    /// <summary>Whether it is for the part itself where the others are for the pieces inside (<see cref="Part.Inner"/>).</summary>
    public bool OnPart { get; init; }

    /// <summary>Whether it is what lies behind all that the part or its piece holds, layers with pictures among it.</summary>
    public bool IsGround => Kind.Types.Contains(CssType.Layers);

    /// <summary>What a visitor and their screen must have for it.</summary>
    public Needs Needs { get; init; }

    /// <summary>A custom property that says the last of its declarations again for what is inside, with what follows the selector to reach that; null for none.</summary>
    public (string CssName, string Target)? Again { get; init; }

    /// <summary>Whether its elements hold nothing, so that no line can be drawn inside them: pictures and fields.</summary>
    public bool IsReplaced { get; init; }

    /// <summary>The property whose change it is about; null for all others.</summary>
    public PartProperty? ChangeOf { get; init; }

    /// <summary>Whether it is the same in all states.</summary>
    public bool SameInAllStates { get; init; }

    /// <summary>The same property for a piece of the part.</summary>
    public PartProperty For(string piece, string name, string target) => this with { Id = $"{piece}-{Id}", Piece = piece, Name = name, Target = target };

    /// <summary>The piece of the part it is for; empty for the part itself. Where a slot is called the same, the piece is there when the slot holds something.</summary>
    public string Piece { get; init; } = "";
}
