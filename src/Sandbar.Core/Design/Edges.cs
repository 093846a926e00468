using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Named edges.</summary>
public sealed record EdgeFoundation(ImmutableArray<Border> Borders, ImmutableArray<Radius> Radii, ImmutableArray<Shadow> Shadows) : INode;

/// <summary>A line, and a second one inside it where there is one.</summary>
public sealed record Border(string Id, string Name, string CssName, Value Width, Value Style, Value Color) : Named(Id, Name, CssName)
{
    public const string NoSecond = "none", OwnColor = "own", PressedIn = "pressed", Raised = "raised";

    private static readonly WordValue None = new("none");

    /// <summary>%.</summary>
    public Value Opacity { get; init; } = new NumberValue(100, "%");

    /// <summary>A gradient the line runs along; the word for none.</summary>
    public Value Along { get; init; } = None;

    /// <summary>Whether there is a second line: of its own colour, or both tones taken from the ground they lie on.</summary>
    public Value Second { get; init; } = new WordValue(NoSecond);

    /// <summary>Between the two lines.</summary>
    public Value Distance { get; init; } = new NumberValue(0, "px");

    public Value SecondWidth { get; init; } = new NumberValue(1, "px");

    public Value SecondStyle { get; init; } = new WordValue("solid");

    public Value SecondColor { get; init; } = new ReferenceValue("role", "raised");

    /// <summary>How much lighter and darker than the ground the two tones are, %.</summary>
    public Value Strength { get; init; } = new NumberValue(30, "%");
}

public sealed record Radius(string Id, string Name, string CssName, Value Size) : Named(Id, Name, CssName)
{
    /// <summary>How far down the curve goes, where that is not as far as across; the word for the same.</summary>
    public Value Down { get; init; } = new WordValue("same");
}

/// <param name="Layers">The first lies on top.</param>
public sealed record Shadow(string Id, string Name, string CssName, ImmutableArray<ShadowLayer> Layers) : Named(Id, Name, CssName);

/// <param name="Opacity">%.</param>
public sealed record ShadowLayer(string Id, Value X, Value Y, Value Blur, Value Spread, Value Color, Value Opacity) : IListed
{
    /// <summary>Whether it falls outside the box or inside.</summary>
    public Value Side { get; init; } = new WordValue("outer");
}
