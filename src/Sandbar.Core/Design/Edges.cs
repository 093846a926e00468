using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Named edges.</summary>
public sealed record EdgeFoundation(ImmutableArray<Border> Borders, ImmutableArray<Radius> Radii, ImmutableArray<Shadow> Shadows) : INode;

public sealed record Border(string Id, string Name, string CssName, Value Width, Value Style, Value Color) : Named(Id, Name, CssName);

public sealed record Radius(string Id, string Name, string CssName, Value Size) : Named(Id, Name, CssName);

/// <param name="Layers">The first lies on top.</param>
public sealed record Shadow(string Id, string Name, string CssName, ImmutableArray<ShadowLayer> Layers) : Named(Id, Name, CssName);

/// <param name="Opacity">%.</param>
public sealed record ShadowLayer(string Id, Value X, Value Y, Value Blur, Value Spread, Value Color, Value Opacity) : IListed
{
    /// <summary>Whether it falls outside the box or inside.</summary>
    public Value Side { get; init; } = new WordValue("outer");
}
