using System.Collections.Immutable;

namespace Sandbar.Core.Reviewing;

/// <summary>Where the texts of a page lie, as the stage measured it, scrolled to its top.</summary>
/// <param name="Page">Its id.</param>
/// <param name="Width">Of the viewport, px.</param>
/// <param name="Height">Of the viewport, px.</param>
/// <param name="Length">Of the page from top to bottom, px.</param>
/// <param name="Elements">Those that texts lie in and those around them, the outer before the inner.</param>
public sealed record MeasuredTexts(string Page, int Width, int Height, double Length, ImmutableArray<MeasuredElement> Elements)
{
    /// <summary>More are not looked at.</summary>
    public const int MostElements = 10_000, MostLines = 100, MostLights = 100;

    private const double Furthest = 1e6;

    /// <summary>What of it cannot be, as a sentence; null where all can.</summary>
    public string? Check() =>
        Width is < 1 or > 10_000 || Height is < 1 or > 10_000 || !(Length is >= 0 and <= Furthest) || Elements.Length > MostElements ? "A page is measured in a window of up to 10,000 px, with up to 10,000 elements."
        : Elements.Index().Any(e => e.Item.Around >= e.Index || e.Item.Around < -1 || e.Item.Lines.Length > MostLines || e.Item.Lights.Length > MostLights || !e.Item.Lines.Concat(e.Item.Lights.Select(l => l.Box)).Append(e.Item.Box).Append(e.Item.Inner).All(IsOne)) ? "A box of this page cannot be: it is measured again."
        : null;

    private static bool IsOne(MeasuredBoxOnPage box) => new[] { box.Left, box.Top, box.Width, box.Height }.All(px => px is >= -Furthest and <= Furthest) && box is { Width: >= 0, Height: >= 0 };
}

/// <summary>An element as it was measured.</summary>
/// <param name="Around">The place of the one it stands in among the elements; -1 of the root.</param>
/// <param name="Block">Id of the block it is of; empty outside of blocks.</param>
/// <param name="At">Its number among the elements of its block, 0 the block's own.</param>
/// <param name="Box">With its borders.</param>
/// <param name="Inner">Within its borders.</param>
/// <param name="Lines">Its own text, line by line.</param>
public sealed record MeasuredElement(int Around, string Block, int At, MeasuredBoxOnPage Box, MeasuredBoxOnPage Inner, ImmutableArray<MeasuredBoxOnPage> Lines)
{
    /// <summary>Where the layers behind it that follow a text lie.</summary>
    public ImmutableArray<MeasuredLight> Lights { get; init; } = [];
}

/// <summary>A layer of a background that lies where a text is.</summary>
/// <param name="Fill">The class of its background's element.</param>
/// <param name="At">Its number from the lowest, among those painted.</param>
/// <param name="Box">All of it, however little of that is in the box it shows in.</param>
public sealed record MeasuredLight(string Fill, int At, MeasuredBoxOnPage Box);

/// <summary>A box, px from the page's top left.</summary>
public sealed record MeasuredBoxOnPage(double Left, double Top, double Width, double Height);
