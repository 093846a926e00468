using System.Collections.Immutable;

namespace Sandbar.Core.Catalogue;

/// <summary>The properties that parts share.</summary>
public static class Properties
{
    private const string Fill = "Fill and text", Edge = "Edges", Space = "Space and size", Arrangement = "Arrangement";

    public static readonly PartProperty Background = new()
    {
        Id = "background", Name = "Background", Group = Fill, Kind = ValueKind.Fill, Css = "background", Words = Words(("none", "none")),
    };

    public static readonly PartProperty TextColor = new() { Id = "text-colour", Name = "Text colour", Group = Fill, Kind = ValueKind.Color, Css = "color" };

    public static readonly PartProperty TextStyle = new() { Id = "text-style", Name = "Text style", Group = Fill, Kind = ValueKind.TextStyle };

    public static readonly PartProperty Underline = new()
    {
        Id = "underline", Name = "Underline", Group = Fill, Kind = ValueKind.Word, Css = "text-decoration-line",
        Words = Words(("none", "none"), ("line", "underline")),
    };

    public static readonly PartProperty UnderlineThickness = new()
    {
        Id = "underline-thickness", Name = "Line thickness", Group = Fill, Kind = ValueKind.Length, Css = "text-decoration-thickness", Min = 0, Max = 20,
    };

    public static readonly PartProperty UnderlineOffset = new()
    {
        Id = "underline-offset", Name = "Line offset", Group = Fill, Kind = ValueKind.Length, Css = "text-underline-offset", Min = -20, Max = 40,
    };

    public static readonly PartProperty TextAlign = new()
    {
        Id = "text-align", Name = "Text align", Group = Fill, Kind = ValueKind.Word, Css = "text-align",
        Words = Words(("start", "start"), ("centre", "center"), ("end", "end")),
    };

    public static readonly PartProperty Opacity = new()
    {
        Id = "opacity", Name = "Opacity", Group = Fill, Kind = ValueKind.Number, Css = "opacity", Min = 0, Max = 1,
    };

    public static readonly PartProperty Border = new()
    {
        Id = "border", Name = "Border", Group = Edge, Kind = ValueKind.Border, Css = "border", Words = Words(("none", "none")),
    };

    public static readonly PartProperty LineAbove = new()
    {
        Id = "line-above", Name = "Line above", Group = Edge, Kind = ValueKind.Border, Css = "border-top", Words = Words(("none", "none")),
    };

    public static readonly PartProperty LineBelow = new()
    {
        Id = "line-below", Name = "Line below", Group = Edge, Kind = ValueKind.Border, Css = "border-bottom", Words = Words(("none", "none")),
    };

    public static readonly PartProperty LineBeside = new()
    {
        Id = "line-beside", Name = "Line at the start", Group = Edge, Kind = ValueKind.Border, Css = "border-inline-start", Words = Words(("none", "none")),
    };

    public static readonly PartProperty Radius = new()
    {
        Id = "radius", Name = "Radius", Group = Edge, Kind = ValueKind.Radius, Css = "border-radius", Words = Words(("none", "0")), Min = 0,
    };

    public static readonly PartProperty Outline = new()
    {
        Id = "outline", Name = "Outline", Group = Edge, Kind = ValueKind.Border, Css = "outline", Words = Words(("none", "none")),
    };

    public static readonly PartProperty OutlineOffset = new()
    {
        Id = "outline-offset", Name = "Outline offset", Group = Edge, Kind = ValueKind.Length, Css = "outline-offset", Min = -40, Max = 40,
    };

    public static readonly PartProperty Shadow = new()
    {
        Id = "shadow", Name = "Shadow", Group = Edge, Kind = ValueKind.Shadow, Css = "box-shadow", Words = Words(("none", "none")),
    };

    public static readonly PartProperty Padding = new() { Id = "padding", Name = "Padding", Group = Space, Kind = ValueKind.Sides, Css = "padding", Min = 0 };

    public static readonly PartProperty SpaceBefore = new()
    {
        Id = "space-before", Name = "Space before", Group = Space, Kind = ValueKind.Length, Css = "margin-block-start",
    };

    public static readonly PartProperty Indent = new()
    {
        Id = "indent", Name = "Indent", Group = Space, Kind = ValueKind.Length, Css = "padding-inline-start", Min = 0,
    };

    public static readonly PartProperty Measure = new()
    {
        Id = "measure", Name = "Measure", Group = Space, Kind = ValueKind.Length, Css = "max-inline-size", Words = Words(("none", "none")), Min = 0,
    };

    public static readonly PartProperty ContentWidth = new()
    {
        Id = "content-width", Name = "Content width", Group = Space, Kind = ValueKind.Length, Css = "max-inline-size", Words = Words(("full", "none")), Min = 0,
    };

    public static readonly PartProperty MinHeight = new()
    {
        Id = "min-height", Name = "Least height", Group = Space, Kind = ValueKind.Length, Css = "min-block-size", Words = Words(("content", "auto"), ("window", "100svh")), Min = 0,
    };

    public static readonly PartProperty Width = new()
    {
        Id = "width", Name = "Width", Group = Space, Kind = ValueKind.Word, Css = "inline-size", SameInAllStates = true,
        Words = Words(("fit", "fit-content"), ("full", "100%")),
    };

    public static readonly PartProperty Gap = new() { Id = "gap", Name = "Gap", Group = Space, Kind = ValueKind.Length, Css = "gap", Min = 0 };

    public static readonly PartProperty Columns = new()
    {
        Id = "columns", Name = "Columns", Group = Arrangement, Kind = ValueKind.Number, Css = "grid-template-columns", Form = "repeat($, minmax(0, 1fr))",
        Min = 1, Max = 6, SameInAllStates = true,
    };

    public static readonly PartProperty PlaceAcross = new()
    {
        Id = "place-across", Name = "Place across", Group = Arrangement, Kind = ValueKind.Word, Css = "justify-content", SameInAllStates = true,
        Words = Words(("start", "flex-start"), ("centre", "center"), ("end", "flex-end"), ("apart", "space-between")),
    };

    public static readonly PartProperty PlaceDown = new()
    {
        Id = "place-down", Name = "Place down", Group = Arrangement, Kind = ValueKind.Word, Css = "align-items", SameInAllStates = true,
        Words = Words(("top", "start"), ("middle", "center"), ("bottom", "end"), ("stretch", "stretch")),
    };

    private static ImmutableSortedDictionary<string, string> Words(params (string Word, string Css)[] words) =>
        words.ToImmutableSortedDictionary(w => w.Word, w => w.Css, StringComparer.Ordinal);
}
