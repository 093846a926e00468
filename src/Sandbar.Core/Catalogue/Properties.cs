using Sandbar.Core.Values;

namespace Sandbar.Core.Catalogue;

/// <summary>The properties that parts share.</summary>
public static class Properties
{
    private const string Fill = "Fill and text", Edge = "Edges", Space = "Space and size", Arrangement = "Arrangement";

    private static readonly ValueKind Colors = new ColorValues(), Fills = new ColorValues(fills: true), Lines = new ReferenceValues(CssType.Line), OwnWords = new WordValues();

    public static readonly PartProperty Background = new()
    {
        Id = "background", Name = "Background", Group = Fill, Kind = Fills, CssName = "background", Words = [new("none", "none")],
    };

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
        Id = "line-above", Name = "Line above", Group = Edge, Kind = Lines, CssName = "border-top", Words = [new("none", "none")],
    };

    public static readonly PartProperty LineBelow = new()
    {
        Id = "line-below", Name = "Line below", Group = Edge, Kind = Lines, CssName = "border-bottom", Words = [new("none", "none")],
    };

    public static readonly PartProperty LineBeside = new()
    {
        Id = "line-beside", Name = "Line at the start", Group = Edge, Kind = Lines, CssName = "border-inline-start", Words = [new("none", "none")],
    };

    public static readonly PartProperty Radius = new()
    {
        Id = "radius", Name = "Radius", Group = Edge, Kind = new LengthValues(["radius"]), CssName = "border-radius", Words = [new("none", "0")], Min = 0,
    };

    public static readonly PartProperty Outline = new()
    {
        Id = "outline", Name = "Outline", Group = Edge, Kind = Lines, CssName = "outline", Words = [new("none", "none")],
    };

    public static readonly PartProperty OutlineOffset = new()
    {
        Id = "outline-offset", Name = "Outline offset", Group = Edge, Kind = LengthValues.Lengths, CssName = "outline-offset", Min = -40, Max = 40,
    };

    public static readonly PartProperty Shadow = new()
    {
        Id = "shadow", Name = "Shadow", Group = Edge, Kind = new ReferenceValues(CssType.Shadow), CssName = "box-shadow", Words = [new("none", "none")],
    };

    public static readonly PartProperty Padding = new() { Id = "padding", Name = "Padding", Group = Space, Kind = new SidesValues(), CssName = "padding", Min = 0 };

    public static readonly PartProperty SpaceBefore = new()
    {
        Id = "space-before", Name = "Space before", Group = Space, Kind = LengthValues.Spaces, CssName = "margin-block-start",
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
        Id = "content-width", Name = "Content width", Group = Space, Kind = LengthValues.Spaces, CssName = "max-inline-size", Words = [new("full", "none")], Min = 0,
    };

    public static readonly PartProperty MinHeight = new()
    {
        Id = "min-height", Name = "Least height", Group = Space, Kind = LengthValues.Spaces, CssName = "min-block-size", Words = [new("content", "auto"), new("window", "100svh")], Min = 0,
    };

    public static readonly PartProperty Width = new()
    {
        Id = "width", Name = "Width", Group = Space, Kind = OwnWords, CssName = "inline-size", SameInAllStates = true,
        Words = [new("fit", "fit-content"), new("full", "100%")],
    };

    public static readonly PartProperty Gap = new() { Id = "gap", Name = "Gap", Group = Space, Kind = LengthValues.Spaces, CssName = "gap", Min = 0 };

    public static readonly PartProperty Columns = new()
    {
        Id = "columns", Name = "Columns", Group = Arrangement, Kind = new NumberValues(), CssName = "grid-template-columns", Form = "repeat($, minmax(0, 1fr))",
        Min = 1, Max = 6, IsWhole = true, SameInAllStates = true,
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

    public static readonly PartProperty Direction = new()
    {
        Id = "direction", Name = "Direction", Group = Arrangement, Kind = OwnWords, CssName = "flex-flow", SameInAllStates = true, OnPart = true,
        Words = [new("below", "one below another", "column nowrap"), new("beside", "side by side", "row wrap")],
    };
}
