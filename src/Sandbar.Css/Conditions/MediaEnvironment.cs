namespace Sandbar.Css.Conditions;

/// <summary>What a page is shown on: a desktop with a mouse, one device pixel to a CSS pixel, no scrollbar.</summary>
/// <param name="Width">Of the window, in px.</param>
/// <param name="Height">Of the window, in px.</param>
/// <param name="IsDark">Whether the visitor prefers dark pages.</param>
public sealed record MediaEnvironment(double Width = 1280, double Height = 900, bool IsDark = false)
{
    /// <summary><c>screen</c> or <c>print</c>.</summary>
    public string Type { get; init; } = "screen";

    /// <summary>Whether the visitor asks that little moves.</summary>
    public bool ReducesMotion { get; init; }

    /// <summary><c>no-preference</c>, <c>more</c> or <c>less</c>.</summary>
    public string Contrast { get; init; } = "no-preference";
}
