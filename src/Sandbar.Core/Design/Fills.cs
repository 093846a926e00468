using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Named fills.</summary>
public sealed record FillFoundation(ImmutableArray<Gradient> Gradients) : INode
{
    public ImmutableArray<Background> Backgrounds { get; init; } = [];
}

/// <summary>A stack of layers under what a box holds.</summary>
/// <param name="Layers">At least one, the first on top.</param>
public sealed record Background(string Id, string Name, string CssName, ImmutableArray<BackgroundLayer> Layers) : Named(Id, Name, CssName)
{
    /// <summary>The heading it is listed under.</summary>
    public Value Group { get; init; } = new WordValue(BaseColor.NoGroup);

    /// <summary>How far what lies behind the box is blurred where it shows through, px.</summary>
    public Value Blur { get; init; } = new NumberValue(0, "px");
}

/// <param name="Fill">A colour, a gradient, a picture or a clip; of the rest each reads what it has.</param>
public sealed record BackgroundLayer(string Id, Value Fill) : IListed
{
    /// <summary>How much of it is seen, %.</summary>
    public Value Opacity { get; init; } = new NumberValue(100, "%");

    /// <summary>How it is mixed with what lies below it in the stack: a blend mode of CSS.</summary>
    public Value Blend { get; init; } = new WordValue("normal");

    /// <summary>Whether it is painted.</summary>
    public Value Shown { get; init; } = new WordValue("on");

    /// <summary>Whether a radial gradient has its centre where it says itself, or on the text it lies behind.</summary>
    public Value Centre { get; init; } = new WordValue(AsGradient);

    /// <summary>Whether a picture covers the box, is wholly in it, or has its own size.</summary>
    public Value Fit { get; init; } = new WordValue("cover");

    /// <summary>How one of its own size goes on beside itself.</summary>
    public Value Repeat { get; init; } = new WordValue("both");

    /// <summary>The point kept in sight, % from the left of the picture; or where the picture itself has it.</summary>
    public Value FocusX { get; init; } = new WordValue(AsPicture);

    /// <summary>% from the top.</summary>
    public Value FocusY { get; init; } = new WordValue(AsPicture);

    /// <summary>What it does while the page scrolls.</summary>
    public Value Attachment { get; init; } = new WordValue("scrolls");

    /// <summary>By how much slower than the page one moves that moves slower, %: 100 would stand still.</summary>
    public Value Slower { get; init; } = new NumberValue(30, "%");

    /// <summary>Whether its lightness runs between two colours.</summary>
    public Value Toning { get; init; } = new WordValue("none");

    /// <summary>The colour its darkest parts come to.</summary>
    public Value Shadows { get; init; } = new ReferenceValue("role", "text");

    /// <summary>The colour its lightest parts come to.</summary>
    public Value Highlights { get; init; } = new ReferenceValue("role", "ground");

    /// <summary>Whether a clip begins anew where it ends.</summary>
    public Value Loop { get; init; } = new WordValue("on");

    /// <summary>Where in a clip it begins, seconds.</summary>
    public Value From { get; init; } = new NumberValue(0, "s");

    /// <summary>Where it ends; or with the clip.</summary>
    public Value Until { get; init; } = new WordValue("end");

    /// <summary>Whether visitors may ask to hear it; of itself it is never heard.</summary>
    public Value Sound { get; init; } = new WordValue("none");

    /// <summary>Stands where the picture's own focal point counts.</summary>
    public const string AsPicture = "picture";

    /// <summary>Stands where the gradient's own centre counts.</summary>
    public const string AsGradient = "gradient";
}

/// <summary>A gradient. Of the geometry each kind reads what it has.</summary>
/// <param name="Kind">Linear, radial, conic or mesh.</param>
/// <param name="Angle">Degrees: where a linear one points (0 up, clockwise) or a conic one starts (CSS Images 3 and 4).</param>
/// <param name="Shape">Circle or ellipse, of a radial one.</param>
/// <param name="Extent">Up to which side or corner a radial one goes, or as far as its reach says.</param>
/// <param name="X">Centre of a radial or conic one, % from the left.</param>
/// <param name="Y">Centre, % from the top.</param>
/// <param name="Stops">At least two, in order; of a mesh its points, the first on top, the last all over the box.</param>
public sealed record Gradient(
    string Id, string Name, string CssName, Value Kind, Value Angle, Value Shape, Value Extent, Value X, Value Y, ImmutableArray<GradientStop> Stops) : Named(Id, Name, CssName)
{
    /// <summary>The kind that is several images: points of colour, each with its reach.</summary>
    public const string Mesh = "mesh";

    /// <summary>Where colours are mixed as browsers do where nothing is said.</summary>
    public const string Unsaid = "unsaid";

    /// <summary>Stands in place of a side or corner where the angle says where to.</summary>
    public const string ByAngle = "angle";

    /// <summary>The heading it is listed under.</summary>
    public Value Group { get; init; } = new WordValue(BaseColor.NoGroup);

    /// <summary>The side or corner a linear one runs to; or by its angle.</summary>
    public Value Toward { get; init; } = new WordValue(ByAngle);

    /// <summary>Whether it is painted once or begins anew where it ends.</summary>
    public Value Repeats { get; init; } = new WordValue("once");

    /// <summary>How far a radial one goes that says so itself: % of the box across.</summary>
    public Value ReachX { get; init; } = new NumberValue(50, "%");

    /// <summary>% of the box down; of a circle nothing.</summary>
    public Value ReachY { get; init; } = new NumberValue(50, "%");

    /// <summary>The colour space its colours are mixed in, by its CSS name.</summary>
    public Value Space { get; init; } = new WordValue(Unsaid);

    /// <summary>Which way round hues go, in spaces that have them.</summary>
    public Value Hue { get; init; } = new WordValue("shorter");
}

/// <param name="Position">Where along the gradient's line, %.</param>
public sealed record GradientStop(string Id, Value Color, Value Position) : IListed
{
    /// <summary>How much of the colour is seen, %.</summary>
    public Value Alpha { get; init; } = new NumberValue(100, "%");

    /// <summary>Where between this stop and the next the colours are half mixed, %.</summary>
    public Value Middle { get; init; } = new NumberValue(50, "%");

    /// <summary>Of a point of a mesh: % from the left.</summary>
    public Value X { get; init; } = new NumberValue(50, "%");

    /// <summary>% from the top.</summary>
    public Value Y { get; init; } = new NumberValue(50, "%");

    /// <summary>How far its colour reaches, % of the box each way.</summary>
    public Value Reach { get; init; } = new NumberValue(60, "%");
}
