using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Colours, what they are for, and which is for what.</summary>
public sealed record PaletteFoundation(ImmutableArray<BaseColor> Colors, ImmutableArray<Role> Roles, ImmutableArray<Scheme> Schemes) : INode;

/// <summary>A colour of the palette. Its tints and shades are computed, but for those given by hand.</summary>
/// <param name="Color">Any CSS colour as typed, a mix of two others, or another one moved.</param>
public sealed record BaseColor(string Id, string Name, string CssName, Value Color) : Named(Id, Name, CssName)
{
    /// <summary>The group it is listed in: a name, or the word for none.</summary>
    public Value Group { get; init; } = new WordValue(NoGroup);

    /// <summary>Steps given by hand, by number: 1… tints, −1… shades; CSS colours as typed.</summary>
    public ImmutableSortedDictionary<string, Value> Steps { get; init; } = ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal);

    public const string NoGroup = "none";
}

/// <summary>What a colour is for.</summary>
/// <param name="On">The roles it must be readable on.</param>
/// <param name="Target">The contrast it needs there: 4.5 for text, 3 for lines and marks (WCAG 2.2), 0 for none.</param>
public sealed record Role(string Id, string Name, string CssName, Value On, Value Target) : Named(Id, Name, CssName);

/// <summary>One full assignment of colours to roles, by role id: a colour of the palette at a step, or whatever reads best on another role.</summary>
/// <param name="TurnsInto">The scheme it turns into when the visitor prefers dark, or that it stays.</param>
public sealed record Scheme(string Id, string Name, string CssName, ImmutableSortedDictionary<string, Value> Colors, Value TurnsInto) : Named(Id, Name, CssName);
