namespace Sandbar.Core.Values;

/// <summary>What a value is in CSS, after the types of CSS Values and Units 4 and of the modules that define more.</summary>
public sealed record CssType(string Name)
{
    public static readonly CssType Color = new("color");

    public static readonly CssType Image = new("image");

    /// <summary>Images one over the other, with how each is blended; no type of CSS.</summary>
    public static readonly CssType Background = new("background");

    /// <summary>Layers that are elements of the page, behind what a box holds; no type of CSS.</summary>
    public static readonly CssType Layers = new("layers");

    /// <summary>A picture of the shelf; in CSS an image by its address.</summary>
    public static readonly CssType Picture = new("picture");

    /// <summary>A clip of the shelf; in CSS nothing.</summary>
    public static readonly CssType Clip = new("clip");

    public static readonly CssType Number = new("number");

    /// <summary>A length or a percentage of one.</summary>
    public static readonly CssType Length = new("length-percentage");

    public static readonly CssType Angle = new("angle");

    public static readonly CssType Time = new("time");

    /// <summary>A length for each side of a box.</summary>
    public static readonly CssType Sides = new("sides");

    /// <summary>A radius for each corner of a box.</summary>
    public static readonly CssType Corners = new("corners");

    /// <summary>A line for each side of a box.</summary>
    public static readonly CssType Lines = new("lines");

    /// <summary>How long something takes and at what pace.</summary>
    public static readonly CssType Change = new("change");

    public static readonly CssType Easing = new("easing-function");

    public static readonly CssType Keyword = new("keyword");

    /// <summary>Width, style and colour of a border or outline.</summary>
    public static readonly CssType Line = new("line");

    public static readonly CssType Shadow = new("shadow");

    public static readonly CssType Family = new("family");

    /// <summary>Several declarations of type at once; no type of CSS.</summary>
    public static readonly CssType TextStyle = new("text-style");

    /// <summary>An assignment of colours to roles; no type of CSS.</summary>
    public static readonly CssType Scheme = new("scheme");

    /// <summary>A place on an axis of a variable font.</summary>
    public static readonly CssType Axis = new("axis");

    /// <summary>The tracks of a grid.</summary>
    public static readonly CssType Tracks = new("track-list");

    public static readonly CssType List = new("list");

    /// <summary>What a number is by its unit; null where there is no such unit here.</summary>
    public static CssType? OfUnit(string unit) => unit switch
    {
        "" => Number,
        "px" or "pt" or "rem" or "em" or "%" or "vw" or "vh" or "ch" => Length,
        "deg" => Angle,
        "ms" or "s" => Time,
        _ => null,
    };

    /// <summary>The units of lengths, as they are offered.</summary>
    public static readonly string[] LengthUnits = ["px", "rem", "em", "%", "vw", "vh", "ch", "pt"];
}
