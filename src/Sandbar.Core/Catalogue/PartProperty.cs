using System.Collections.Immutable;

namespace Sandbar.Core.Catalogue;

/// <summary>What kind of value a property takes; decides how it is read, shown, and written as CSS.</summary>
public enum ValueKind
{
    /// <summary>A role, a colour of the palette, or a fixed colour.</summary>
    Color,

    /// <summary>What <see cref="Color"/> takes, or a named gradient.</summary>
    Fill,

    /// <summary>A text style.</summary>
    TextStyle,

    /// <summary>A named border, or none.</summary>
    Border,

    /// <summary>A named radius, or a length.</summary>
    Radius,

    /// <summary>A named shadow, or none.</summary>
    Shadow,

    /// <summary>One length.</summary>
    Length,

    /// <summary>A length for each side.</summary>
    Sides,

    /// <summary>A plain number.</summary>
    Number,

    /// <summary>One of the property's own words.</summary>
    Word,
}

/// <summary>A row of the ledger: something about a part that a look can set.</summary>
public sealed record PartProperty
{
    public required string Id { get; init; }

    /// <summary>What the designer reads.</summary>
    public required string Name { get; init; }

    /// <summary>The heading of the ledger it stands under.</summary>
    public required string Group { get; init; }

    public required ValueKind Kind { get; init; }

    /// <summary>The CSS property it becomes; for text styles the properties follow from the style.</summary>
    public string Css { get; init; } = "";

    /// <summary>What the value is put into, with <c>$</c> for it; empty where it stands alone.</summary>
    public string Form { get; init; } = "";

    /// <summary>The CSS for each of the property's own words; for <see cref="ValueKind.Word"/> these are all it takes, elsewhere they may be given beside values.</summary>
    public ImmutableSortedDictionary<string, string> Words { get; init; } = ImmutableSortedDictionary<string, string>.Empty;

    /// <summary>What is added to the part's selector to reach the piece of it that is meant, after the state.</summary>
    public string Target { get; init; } = "";

    /// <summary>Whether it is the same in all states.</summary>
    public bool SameInAllStates { get; init; }

    /// <summary>Smallest number allowed.</summary>
    public decimal Min { get; init; } = -10_000;

    /// <summary>Largest number allowed.</summary>
    public decimal Max { get; init; } = 10_000;

    /// <summary>The same property for a piece of the part.</summary>
    public PartProperty For(string piece, string name, string target) => this with { Id = $"{piece}-{Id}", Piece = piece, Name = name, Target = target };

    /// <summary>The piece of the part it is for; empty for the part itself. Where a slot is called the same, the piece is there when the slot holds something.</summary>
    public string Piece { get; init; } = "";
}
