using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>What decided a declaration.</summary>
public enum OriginKind
{
    /// <summary>A thing of the foundations.</summary>
    Foundation,

    /// <summary>A scheme's colour for a role.</summary>
    Scheme,

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
/// <param name="Id">Id of the thing, scheme, part, look or block.</param>
/// <param name="Detail">The role, step or cell within it; empty where there is none.</param>
/// <param name="Of">Of a foundation's thing, the code of its kind.</param>
public sealed record Origin(OriginKind Kind, string Id, string Detail = "", string Of = "");

public sealed record Declaration(string Name, string Value, Origin Origin);

/// <summary>A rule of the stylesheet.</summary>
/// <param name="Key">Stable from version to version: what it is about, not where it stands.</param>
/// <param name="Hover">Whether it holds only where the visitor's device can hover.</param>
/// <param name="Widths">The widths it holds at.</param>
/// <param name="Dark">Whether it holds only for visitors who prefer dark.</param>
public sealed record Rule(string Key, Layer Layer, string Selector, bool Hover, Interval Widths, ImmutableArray<Declaration> Declarations, bool Dark = false)
{
    /// <summary>What a visitor's browser and screen must have for it to hold.</summary>
    public Needs Needs { get; init; }

    /// <summary>The state it holds in.</summary>
    public State State { get; init; }

    /// <summary>The selector of its elements whatever their state.</summary>
    public string Elements { get; init; } = Selector;
}

/// <param name="Family">CSS name of the family.</param>
/// <param name="Item">The shelf's file.</param>
/// <param name="Ranges">The characters it is for, as <c>unicode-range</c> has them; empty for all it has.</param>
public sealed record FontFace(string Family, ShelfItem Item, int WeightFrom, int WeightTo, bool Italic, string Ranges);

/// <summary>All that a site's foundations, looks and own values come to, in sheet order. Overrides are kept apart: they are the designer's text.</summary>
/// <param name="Fallbacks">What stands in for the fonts until they are there.</param>
public sealed record StyleSheet(string SiteName, ImmutableArray<FontFace> Fonts, ImmutableArray<FallbackFace> Fallbacks, ImmutableArray<Rule> Rules, string Overrides);
