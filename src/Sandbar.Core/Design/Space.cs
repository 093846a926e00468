using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>The spacing scale, and how the space of a page is dealt out. A space is named by its place, from 1.</summary>
public sealed record SpaceFoundation(ImmutableArray<SpaceStep> Steps) : INode
{
    /// <summary>How the scale is made; one alone.</summary>
    public ImmutableArray<SpaceScale> Scale { get; init; } = [SpaceScale.Usual];

    /// <summary>The narrow end, then the wide one: where fluid spaces begin and stop to grow, and what a scale by ratio begins with.</summary>
    public ImmutableArray<ScaleEnd> Ends { get; init; } =
    [
        new("narrow", new NumberValue(390, "px"), new NumberValue(16, "px"), new NumberValue(1.5m, "")), new("wide", new NumberValue(1280, "px"), new NumberValue(16, "px"), new NumberValue(1.5m, "")),
    ];

    /// <summary>Content width, gutter, rhythm and gap below the first break, from it, and from the second.</summary>
    public ImmutableArray<PageSpacing> Pages { get; init; } = PageSpacing.Usual;

    /// <summary>What holds of all spaces; one alone.</summary>
    public ImmutableArray<SpaceRules> Rules { get; init; } = [SpaceRules.Usual];

    /// <summary>The page's own surface; one alone.</summary>
    public ImmutableArray<Paper> Paper { get; init; } = [Design.Paper.Usual];
}

/// <param name="Size">A length; px where it is fluid.</param>
public sealed record SpaceStep(string Id, Value Size) : IListed
{
    /// <summary>px at the wide end; the word for one that is the same everywhere.</summary>
    public Value Wide { get; init; } = Same;

    /// <summary>The word of a space that does not grow.</summary>
    public static readonly WordValue Same = new("same");
}

/// <param name="By">Whether sizes are given one by one or follow from a ratio.</param>
/// <param name="Place">Which space, from 1, is as large as the base where they follow from a ratio.</param>
public sealed record SpaceScale(string Id, Value By, Value Place) : IListed
{
    public const string ByList = "list", ByRatio = "ratio";

    public static readonly SpaceScale Usual = new("scale", new WordValue(ByList), new NumberValue(3, ""));
}

/// <summary>Where values of pages may change, px.</summary>
public static class Breaks
{
    public const int Middle = 600, Wide = 820;

    /// <summary>The widths from one break to the next, the narrow ones first.</summary>
    public static readonly ImmutableArray<Interval> Between = [new(null, Middle), new(Middle, Wide), new(Wide, null)];

    /// <summary>What these are called.</summary>
    public static readonly ImmutableArray<string> Names = ["narrow", "middle", "wide"];
}

/// <summary>The space of a page between two breaks.</summary>
/// <param name="ContentWidth">How wide content runs at most; a word for as wide as there is room, or for as at narrower windows.</param>
/// <param name="Gutter">Between content and the edge of the window.</param>
/// <param name="Rhythm">Above and below the content of a section.</param>
/// <param name="Gap">Between blocks that follow each other.</param>
public sealed record PageSpacing(string Id, Value ContentWidth, Value Gutter, Value Rhythm, Value Gap) : IListed
{
    /// <summary>The word for a value that is what it is at narrower windows.</summary>
    public const string AsNarrower = "as-narrower";

    private static readonly WordValue Narrower = new(AsNarrower);

    public static readonly ImmutableArray<PageSpacing> Usual =
    [
        new("narrow", new NumberValue(1120, "px"), new NumberValue(24, "px"), new NumberValue(56, "px"), new NumberValue(32, "px")),
        new("middle", Narrower, Narrower, Narrower, Narrower),
        new("wide", Narrower, Narrower, Narrower, Narrower),
    ];
}

/// <param name="Meeting">What counts where the space after one text element meets the space before the next.</param>
/// <param name="Sides">Whether sides that differ are said as top, right, bottom and left, or by the direction of writing.</param>
/// <param name="Least">The least room, px, between text and the edge of the box it stands in.</param>
public sealed record SpaceRules(string Id, Value Meeting, Value Sides, Value Least) : IListed
{
    public const string Larger = "larger", Sum = "sum", Above = "above", Below = "below", Physical = "physical", ByWriting = "by-writing";

    /// <summary>As sites had it before they could choose.</summary>
    public static readonly SpaceRules Usual = new("rules", new WordValue(Sum), new WordValue(Physical), new NumberValue(12, "px"));
}

/// <summary>The page's own surface, where it is narrower than the window, and the column beside its content.</summary>
/// <param name="Width">How wide it is at most; a word for the whole window.</param>
/// <param name="Fill">Of the paper itself.</param>
/// <param name="Around">Of the ground it lies on.</param>
/// <param name="Sidebar">On which side a column stands beside the content, if any.</param>
/// <param name="FoldsBelow">The width of the window, px, below which the column stands under the content.</param>
public sealed record Paper(string Id, Value Width, Value Fill, Value Around, Value Border, Value Radius, Value Shadow, Value Margin, Value Sidebar, Value SidebarWidth, Value SidebarGap, Value FoldsBelow) : IListed
{
    public const string Full = "full", Left = "left", Right = "right";

    private static readonly WordValue None = new("none");

    public static readonly Paper Usual = new(
        "paper", new WordValue(Full), None, new ReferenceValue("role", "ground"), None, None, None, new NumberValue(0, "px"),
        None, new NumberValue(280, "px"), new NumberValue(32, "px"), new NumberValue(Breaks.Wide, "px"));
}
