using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A list of links to pages.</summary>
internal sealed class MenuPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "menu",
        Name = "Menu",
        Group = PartGroup.Frame,
        Place = 1,
        Hook = ".menu",
        Inner = " .menu-link",
        Layer = Layer.Frame,
        Slots = [new("menu", "Menu", SlotKind.Menu, Required: true), new("label", "Name for screen readers", SlotKind.Spoken)],
        Properties =
        [
            Properties.TextColor, Properties.TextStyle, Properties.Background, Properties.Underline, Properties.UnderlineThickness, Properties.UnderlineOffset,
            Properties.Radius, Properties.Outline, Properties.OutlineOffset, Properties.Padding, Properties.Direction,
            OfInner(Properties.Background, "Ground of inner list"), OfInner(Properties.Border, "Border of inner list"), OfInner(Properties.Radius, "Radius of inner list"),
            OfInner(Properties.Shadow, "Shadow of inner list"), OfInner(Properties.Padding, "Padding of inner list"),
        ],
        States = [State.Rest, State.Current, State.Hover, State.Focus],
        Looks =
        [
            new("bar", "Bar",
                ("text-color", "text"), ("text-style", "Label"), ("underline", "none"), ("underline@current", "line"), ("underline@hover", "line"),
                ("underline-thickness", "1px"), ("underline-thickness@current", "2px"), ("underline-offset", "6px"), ("radius", "2px"),
                ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"), ("padding", "space 1"), ("direction", "side by side"),
                ("inner-background", "raised"), ("inner-border", "hairline"), ("inner-radius", "round"), ("inner-shadow", "lift"), ("inner-padding", "space 2 space 3")),
            new("column", "Column",
                ("text-color", "text"), ("text-style", "Caption"), ("underline", "none"), ("underline@current", "line"), ("underline@hover", "line"),
                ("underline-thickness", "1px"), ("underline-offset", "4px"), ("radius", "2px"),
                ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"), ("padding", "space 1 0"), ("direction", "one below another")),
        ],
        Structure =
        [
            new(".menu", ("display", "flex"), ("gap", "0 1rem"), ("list-style-type", "none"), ("margin", "0"), ("padding", "0")),
            new(".menu-link", ("display", "inline-block")),
        ],
        Write = w => w.MenuList("menu", "label"),
    }];

    /// <summary>A setting of the lists under items.</summary>
    private static PartProperty OfInner(PartProperty property, string name) => property.For("inner", name, " .menu-inner") with { OnPart = true, SameInAllStates = true };
}
