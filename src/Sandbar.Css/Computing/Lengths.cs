namespace Sandbar.Css.Computing;

/// <summary>What relative lengths are of, in px. Source: CSS Values and Units 4, §6.</summary>
/// <param name="FontSize">Of the element, or of its parent where its own font size is asked for; NaN where it takes the measures of a font to know.</param>
/// <param name="RootFontSize">Of the page's root.</param>
/// <param name="Width">Of the window.</param>
/// <param name="Height">Of the window.</param>
public sealed record Lengths(double FontSize, double RootFontSize, double Width, double Height)
{
    /// <summary>What browsers begin with: media queries reckon with it whatever the page says.</summary>
    public static Lengths Initial { get; } = new(16, 16, 0, 0);

    /// <summary>A line's; null where the font decides.</summary>
    public double? LineHeight { get; init; }

    /// <summary>The root's line's; null where the font decides.</summary>
    public double? RootLineHeight { get; init; }

    /// <summary>The width, or where asked the height, of the nearest container that has one of its own, or of the window; null where it takes a layout to know.</summary>
    public Func<bool, double?>? Container { get; init; }

    /// <summary>How much larger all is shown by <c>zoom</c>, its own and that of all around.</summary>
    public double Zoom { get; init; } = 1;

    /// <summary>Whether lines stand upright, so that the window's width is its block size.</summary>
    public bool IsVertical { get; init; }

    /// <summary>What 100 % are; null where they stand for themselves.</summary>
    public double? Whole { get; init; }

    /// <summary>How many px one of a unit of length is; null where that takes the font's own measures or a layout.</summary>
    public double? PxOf(string unit) => unit.ToLowerInvariant() switch
    {
        "px" => 1,
        "cm" => 96 / 2.54,
        "mm" => 96 / 25.4,
        "q" => 96 / 101.6,
        "in" => 96,
        "pt" => 96d / 72,
        "pc" => 16,
        "em" => Known(FontSize),
        "rem" => Known(RootFontSize),
        "lh" => LineHeight,
        "rlh" => RootLineHeight,
        "vw" or "svw" or "lvw" or "dvw" => Width / 100,
        "vh" or "svh" or "lvh" or "dvh" => Height / 100,
        "vi" or "svi" or "lvi" or "dvi" => (IsVertical ? Height : Width) / 100,
        "vb" or "svb" or "lvb" or "dvb" => (IsVertical ? Width : Height) / 100,
        "cqw" or "cqi" => Container?.Invoke(false) / 100,
        "cqh" or "cqb" => Container?.Invoke(true) / 100,
        "cqmin" => Both(Math.Min),
        "cqmax" => Both(Math.Max),
        "vmin" or "svmin" or "lvmin" or "dvmin" => Math.Min(Width, Height) / 100,
        "vmax" or "svmax" or "lvmax" or "dvmax" => Math.Max(Width, Height) / 100,
        _ => null,
    };

    private static double? Known(double size) => double.IsNaN(size) ? null : size;

    private double? Both(Func<double, double, double> choose) => Container?.Invoke(false) is { } width && Container(true) is { } height ? choose(width, height) / 100 : null;
}
