using Sandbar.Core.Values;

namespace Sandbar.Core.Catalogue;

/// <summary>The properties that parts share.</summary>
public static class Properties
{
    private const string Fill = "Fill and text", Edge = "Edges", Space = "Space and size", Arrangement = "Arrangement", Motion = "Motion";

    private static readonly ValueKind Colors = new ColorValues(), Fills = new ColorValues(CssType.Image, CssType.Background), Line = new LineValues(), Changes = new ChangeValues(), Lines = new LineValues(sides: true), OwnWords = new WordValues();

    public static readonly PartProperty Background = new()
    {
        Id = "background", Name = "Background", Group = Fill, Kind = Fills, CssName = "background", Words = [new("none", "none")],
    };

    /// <summary>The same of what has room for pictures behind what it holds.</summary>
    public static readonly PartProperty Ground = Background with { Kind = ColorValues.Grounds };

    public static readonly PartProperty TextColor = new() { Id = "text-color", Name = "Text colour", Group = Fill, Kind = Colors, CssName = "color" };

    public static readonly PartProperty TextStyle = new() { Id = "text-style", Name = "Text style", Group = Fill, Kind = new ReferenceValues(CssType.TextStyle) };

    public static readonly PartProperty Underline = new()
    {
        Id = "underline", Name = "Underline", Group = Fill, Kind = OwnWords, CssName = "text-decoration-line",
        Words = [new("none", "none"), new("line", "underline")],
    };

    public static readonly PartProperty UnderlineThickness = new()
    {
        Id = "underline-thickness", Name = "Line thickness", Group = Fill, Kind = LengthValues.Spaces, CssName = "text-decoration-thickness", Min = 0, Max = 20,
    };

    public static readonly PartProperty UnderlineOffset = new()
    {
        Id = "underline-offset", Name = "Line offset", Group = Fill, Kind = LengthValues.Spaces, CssName = "text-underline-offset", Min = -20, Max = 40,
    };

    public static readonly PartProperty TextAlign = new()
    {
        Id = "text-align", Name = "Text align", Group = Fill, Kind = OwnWords, CssName = "text-align",
        Words = [new("start", "start"), new("center", "centre", "center"), new("end", "end")],
    };

    public static readonly PartProperty Opacity = new()
    {
        Id = "opacity", Name = "Opacity", Group = Fill, Kind = new NumberValues(), CssName = "opacity", Min = 0, Max = 1,
    };

    public static readonly PartProperty Border = new()
    {
        Id = "border", Name = "Border", Group = Edge, Kind = Lines, CssName = "border", Words = [new("none", "none")],
    };

    public static readonly PartProperty LineAbove = new()
    {
        Id = "line-above", Name = "Line above", Group = Edge, Kind = Line, CssName = "border-top", Words = [new("none", "none")],
    };

    public static readonly PartProperty LineBelow = new()
    {
        Id = "line-below", Name = "Line below", Group = Edge, Kind = Line, CssName = "border-bottom", Words = [new("none", "none")],
    };

    public static readonly PartProperty LineBeside = new()
    {
        Id = "line-beside", Name = "Line at the start", Group = Edge, Kind = Line, CssName = "border-inline-start", Words = [new("none", "none")],
    };

    public static readonly PartProperty Radius = new()
    {
        Id = "radius", Name = "Radius", Group = Edge, Kind = new RadiusValues(), CssName = "border-radius",
        Words = [new("none", "0"), new(RadiusValues.Inner, "inner", $"var({RadiusValues.InnerToken}, 0)")], Min = 0,
    };

    public static readonly PartProperty Outline = new()
    {
        Id = "outline", Name = "Outline", Group = Edge, Kind = Line, CssName = "outline", Words = [new("none", "none")],
    };

    public static readonly PartProperty OutlineOffset = new()
    {
        Id = "outline-offset", Name = "Outline offset", Group = Edge, Kind = LengthValues.Lengths, CssName = "outline-offset", Min = -40, Max = 40,
    };

    public static readonly PartProperty Shadow = new()
    {
        Id = "shadow", Name = "Shadow", Group = Edge, Kind = new ShadowValues(), CssName = "box-shadow", Words = [new("none", "none")],
    };

    public static readonly PartProperty Padding = new() { Id = "padding", Name = "Padding", Group = Space, Kind = new SidesValues(), CssName = "padding", Min = 0 };

    /// <summary>What is between two elements of a stack follows from both of these by the site's rule (<see cref="Stacks"/>).</summary>
    public static readonly PartProperty SpaceBefore = new()
    {
        Id = "space-before", Name = "Space before", Group = Space, Kind = LengthValues.OfPages, CssName = Stacks.Before, SameInAllStates = true, Min = 0,
    };

    public static readonly PartProperty SpaceAfter = new()
    {
        Id = "space-after", Name = "Space after", Group = Space, Kind = LengthValues.OfPages, CssName = Stacks.Above, Target = " + *", SameInAllStates = true, Min = 0,
    };

    public static readonly PartProperty Indent = new()
    {
        Id = "indent", Name = "Indent", Group = Space, Kind = LengthValues.Spaces, CssName = "padding-inline-start", Min = 0,
    };

    public static readonly PartProperty Measure = new()
    {
        Id = "measure", Name = "Measure", Group = Space, Kind = LengthValues.Spaces, CssName = "max-inline-size", Words = [new("none", "none")], Min = 0,
    };

    public static readonly PartProperty ContentWidth = new()
    {
        Id = "content-width", Name = "Content width", Group = Space, Kind = LengthValues.OfPages, CssName = "max-inline-size", Words = [new("full", "none")], Min = 0,
    };

    /// <summary>How wide the ground of a band is, where it does not reach from edge to edge.</summary>
    public static readonly PartProperty GroundWidth = ContentWidth with { Id = "ground-width", Name = "Ground width" };

    public static readonly PartProperty MinHeight = new()
    {
        Id = "min-height", Name = "Least height", Group = Space, Kind = LengthValues.OfPages, CssName = "min-block-size", Words = [new("content", "auto"), new("window", "100svh")], Min = 0,
    };

    public static readonly PartProperty Width = new()
    {
        Id = "width", Name = "Width", Group = Space, Kind = OwnWords, CssName = "inline-size", SameInAllStates = true,
        Words = [new("fit", "fit-content"), new("full", "100%")],
    };

    public static readonly PartProperty Gap = new() { Id = "gap", Name = "Gap", Group = Space, Kind = LengthValues.OfPages, CssName = "gap", Min = 0 };

    /// <summary>The gap of a stack, whose elements may say their own space.</summary>
    public static readonly PartProperty StackGap = Gap with { CssName = Stacks.Gap, Target = Stacks.Inside };

    /// <summary>The gap of a stack that may turn into a row.</summary>
    public static readonly PartProperty OwnGap = Gap with { CssName = Stacks.OwnGap, Again = (Stacks.Gap, Stacks.Inside) };

    public static readonly PartProperty Columns = new()
    {
        Id = "columns", Name = "Columns", Group = Arrangement, Kind = new ColumnsValues(), CssName = "grid-template-columns", SameInAllStates = true,
    };

    public static readonly PartProperty PlaceAcross = new()
    {
        Id = "place-across", Name = "Place across", Group = Arrangement, Kind = OwnWords, CssName = "justify-content", SameInAllStates = true,
        Words = [new("start", "flex-start"), new("center", "centre", "center"), new("end", "flex-end"), new("apart", "space-between")],
    };

    public static readonly PartProperty PlaceDown = new()
    {
        Id = "place-down", Name = "Place down", Group = Arrangement, Kind = OwnWords, CssName = "align-items", SameInAllStates = true,
        Words = [new("top", "start"), new("middle", "center"), new("bottom", "end"), new("stretch", "stretch")],
    };

    /// <summary>Where the whole content of a band lies that is higher than it.</summary>
    public static readonly PartProperty ContentDown = new()
    {
        Id = "content-down", Name = "Content down", Group = Arrangement, Kind = OwnWords, CssName = "align-content", SameInAllStates = true,
        Words = [new("top", "start"), new("middle", "center"), new("bottom", "end")],
    };

    /// <summary>Where the content of a band lies that is wider than it.</summary>
    public static readonly PartProperty ContentAcross = new()
    {
        Id = "content-across", Name = "Content across", Group = Arrangement, Kind = OwnWords, CssName = "margin-inline", SameInAllStates = true,
        Words = [new("start", "0 auto"), new("center", "centre", "auto"), new("end", "auto 0")],
    };

    public static readonly PartProperty Direction = new()
    {
        Id = "direction", Name = "Direction", Group = Arrangement, Kind = OwnWords, CssName = "flex-flow", SameInAllStates = true, OnPart = true,
        Words = [new("below", "one below another", "column nowrap"), new("beside", "side by side", "row wrap")],
    };

    /// <summary>The same of a stack, which is none where blocks stand side by side.</summary>
    public static readonly PartProperty StackDirection = Direction with { Kind = new WordValues((Stacks.OwnStacked, word => word == "below" ? "1" : "0")), Again = (Stacks.Stacked, Stacks.Inside) };

    /// <summary>How a block comes in, once, when the page opens: never in print, and never for visitors who ask for less motion.</summary>
    public static readonly PartProperty Entrance = new()
    {
        Id = "entrance", Name = "Entrance", Group = Motion, Kind = new EntranceValues(), CssName = "animation-name", SameInAllStates = true, Needs = Needs.Motion,
        Words = [new("none", "none"), new("fade", "enter-fade"), new("rise", "enter-rise"), new("slide", "enter-slide"), new("grow", "enter-grow")],
    };

    public static readonly PartProperty EntranceDistance = new()
    {
        Id = "entrance-distance", Name = "Comes from", Group = Motion, Kind = LengthValues.Spaces, CssName = "--enter-distance", SameInAllStates = true, Needs = Needs.Motion, Min = -2000, Max = 2000,
    };

    public static readonly PartProperty EntranceTakes = new()
    {
        Id = "entrance-takes", Name = "Entrance takes", Group = Motion, Kind = new ChangeValues("animation"), CssName = "animation", SameInAllStates = true, Needs = Needs.Motion,
    };

    public static readonly PartProperty Stagger = new()
    {
        Id = "stagger", Name = "Stagger", Group = Motion, Kind = new NumberValues("ms"), CssName = "--stagger", SameInAllStates = true, Needs = Needs.Motion, Min = 0, Max = 2000,
    };

    /// <summary>What the change of another property takes where states differ in it.</summary>
    public static PartProperty ChangeOf(PartProperty property) => new()
    {
        Id = $"change-{property.Id}", Name = $"{property.Name} takes", Group = Motion, Kind = Changes, CssName = "transition", Target = property.Target, OnPart = property.OnPart, Piece = property.Piece, ChangeOf = property,
    };
}
