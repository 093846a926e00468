using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>What decided a declaration.</summary>
public enum OriginKind
{
    /// <summary>A colour of the palette.</summary>
    Color,

    /// <summary>A scheme's colour for a role.</summary>
    Role,

    /// <summary>The type scale.</summary>
    Size,

    /// <summary>The spacing scale.</summary>
    Space,

    /// <summary>A family.</summary>
    Family,

    /// <summary>A named border, radius or shadow.</summary>
    Edge,

    /// <summary>A named gradient.</summary>
    Fill,

    /// <summary>The sheet's own ground rules.</summary>
    Base,

    /// <summary>What a part needs to work, whatever its look.</summary>
    Structure,

    /// <summary>A cell of a look.</summary>
    Look,

    /// <summary>An own value of a block.</summary>
    Block,
}

/// <summary>Where a declaration comes from, so that a winning one leads back to what the designer set.</summary>
/// <param name="Id">Id of the colour, scheme, part, look or block.</param>
/// <param name="Detail">The role, step or cell within it; empty where there is none.</param>
public sealed record Origin(OriginKind Kind, string Id, string Detail = "");

public sealed record Declaration(string Name, string Value, Origin Origin);

/// <summary>A rule of the stylesheet.</summary>
/// <param name="Key">Stable from version to version: what it is about, not where it stands.</param>
/// <param name="Hover">Whether it holds only where the visitor's device can hover.</param>
/// <param name="Widths">The widths it holds at.</param>
/// <param name="Dark">Whether it holds only for visitors who prefer dark.</param>
public sealed record Rule(string Key, Layer Layer, string Selector, bool Hover, Interval Widths, ImmutableArray<Declaration> Declarations, bool Dark = false)
{
    /// <summary>The state it holds in.</summary>
    public State State { get; init; }

    /// <summary>The selector of its elements whatever their state.</summary>
    public string Elements { get; init; } = Selector;
}

/// <param name="Family">CSS name of the family.</param>
/// <param name="Item">The shelf's file.</param>
public sealed record FontFace(string Family, ShelfItem Item, int WeightFrom, int WeightTo, bool Italic);

/// <summary>All that a site's foundations, looks and own values come to, in sheet order. Overrides are kept apart: they are the designer's text.</summary>
public sealed record StyleSheet(string SiteName, ImmutableArray<FontFace> Fonts, ImmutableArray<Rule> Rules, string Overrides);

/// <summary>How the rules of a sheet differ from those of another with the same keys.</summary>
/// <param name="Set">Declarations that are new or have another value.</param>
/// <param name="Unset">Names of declarations that are gone.</param>
public sealed record RuleChange(string Key, ImmutableArray<Declaration> Set, ImmutableArray<string> Unset);

/// <summary>Comparing sheets.</summary>
public static class StyleSheetChanges
{
    /// <summary>What changed rule by rule; null where rules came or went, so that only the whole sheet will do.</summary>
    public static ImmutableArray<RuleChange>? Between(StyleSheet before, StyleSheet after)
    {
        if (before.Rules.Length != after.Rules.Length || !before.Fonts.SequenceEqual(after.Fonts)) return null;
        var changes = ImmutableArray.CreateBuilder<RuleChange>();
        foreach (var (a, b) in before.Rules.Zip(after.Rules))
        {
            if (ReferenceEquals(a, b)) continue;
            if (a.Key != b.Key || a.Selector != b.Selector || a.Widths != b.Widths) return null;
            var earlier = a.Declarations.ToDictionary(d => d.Name, d => d.Value, StringComparer.Ordinal);
            var set = b.Declarations.Where(d => !earlier.TryGetValue(d.Name, out var value) || value != d.Value).ToImmutableArray();
            var unset = earlier.Keys.Except(b.Declarations.Select(d => d.Name), StringComparer.Ordinal).ToImmutableArray();
            if (set.Length + unset.Length > 0) changes.Add(new(b.Key, set, unset));
        }
        return changes.ToImmutable();
    }
}
