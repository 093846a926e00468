using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Reviewing;

/// <summary>What has to be told from its ground.</summary>
public enum PairKind
{
    /// <summary>Text: 4.5 (WCAG 2.2, 1.4.3).</summary>
    Text,

    /// <summary>Text of 24 px, or of 18.66 px and bold: 3 (WCAG 2.2, 1.4.3).</summary>
    LargeText,

    /// <summary>A line or mark: 3 where something is only known by it (WCAG 2.2, 1.4.11), else nothing.</summary>
    Line,

    /// <summary>The ring around what has the focus: 3 (WCAG 2.2, 1.4.11).</summary>
    FocusRing,
}

/// <summary>What is around an element, where it is not at Rest.</summary>
public sealed record Surrounding(string Look, State State);

/// <summary>What decides a colour on the pages.</summary>
/// <param name="Name">What a designer calls it: a colour of the palette with its step, a gradient, or the colour itself.</param>
/// <param name="Color">Id of the colour of the palette it is a step of; null where it is none.</param>
/// <param name="Choice">Whose choice of a scheme it is; null where none of them has a say.</param>
/// <param name="Cell">The cell it stands in; null where it is what the page itself has, or what the designer wrote.</param>
/// <param name="Line">The line of the overrides that decides it, from 1; 0 where none does.</param>
/// <param name="Fill">Kind and id of the gradient or background it is of; null where it is of none.</param>
public sealed record ColorSource(string Name, string? Color, RoleChoice? Choice, CellPlace? Cell, int Line = 0, (string Kind, string Id)? Fill = null);

/// <summary>What a scheme gives a role.</summary>
/// <param name="Step">How far a cell moves it along its row.</param>
public sealed record RoleChoice(string Scheme, string Role, int Step);

/// <summary>A cell of a look, or an own value of a block that wears it.</summary>
/// <param name="Block">Id of the block; null for the look's.</param>
public sealed record CellPlace(string Look, string? Block, string Cell);

/// <summary>Where a pair is met.</summary>
/// <param name="Width">A width at which it is, px; 0 for the narrowest.</param>
/// <param name="Dark">Whether it is met where the visitor prefers dark.</param>
/// <param name="Spot">Where it reads worst there, of what was measured; null of what was not.</param>
public sealed record PairPlace(string Page, string Block, int Width, bool Dark, WorstSpot? Spot = null);

/// <summary>Where a text reads worst on a ground that differs from place to place.</summary>
/// <param name="Ratio">There.</param>
/// <param name="Mean">Of all pixels under the text, wherever the page is scrolled to.</param>
/// <param name="Ground">The colour there.</param>
/// <param name="X">px from the page's left.</param>
/// <param name="Y">px from its top.</param>
/// <param name="Scroll">How far the page is scrolled then, px; null where that does not matter, or where nothing moves for those who ask for less motion.</param>
public sealed record WorstSpot(double Ratio, double Mean, Color Ground, double X, double Y, double? Scroll);

/// <summary>A colour and the ground it lies on, as they meet on the site's pages.</summary>
/// <param name="Look">Id of the look that brings them together.</param>
/// <param name="Property">Id of the property that sets the colour.</param>
/// <param name="Within">What is around and shows another ground or text in a state; null where everything around is at Rest.</param>
/// <param name="Scheme">Id of the scheme whose colours count.</param>
/// <param name="Ground">The ground; of a gradient the place where it reads worst.</param>
/// <param name="Ratio">WCAG 2.2, from 1 to 21.</param>
/// <param name="Target">What it must reach; 0 where nothing is asked.</param>
/// <param name="ForegroundFrom">What decides the colour.</param>
/// <param name="GroundFrom">What decides the ground.</param>
/// <param name="Places">Where it is met, each block of a page once; of what was measured, the worst first.</param>
/// <param name="IsAlong">Whether the ground is a gradient of which the worst place anywhere was taken, until it is measured where the text lies.</param>
public sealed record ContrastPair(
    PairKind Kind, string Look, string Property, State State, Surrounding? Within, string Scheme, Color Foreground, Color Ground, double Ratio, double Target,
    ColorSource ForegroundFrom, ColorSource GroundFrom, ImmutableArray<PairPlace> Places, bool IsAlong = false)
{
    /// <summary>Kind and id of the gradients and backgrounds behind it, of what was measured.</summary>
    public ImmutableArray<(string Kind, string Id)> Fills { get; init; } = [];

    public bool Passes => Ratio >= Target;

    /// <summary>Whether it was measured where the text lies.</summary>
    public bool IsMeasured => Places is [{ Spot: not null }, ..];

    /// <summary>The two colours and their kind of use, such as <c>pollen on leaf · text</c>.</summary>
    public string Name => $"{ForegroundFrom.Name} on {GroundFrom.Name} · {KindName}";

    private string KindName => Kind switch
    {
        PairKind.LargeText => "large text",
        PairKind.FocusRing => "focus ring",
        _ => Kind.ToString().ToLowerInvariant(),
    };
}
