namespace Sandbar.Core.Catalogue.Parts;

/// <summary>The head of every page: the site's name, the menu, an action.</summary>
internal sealed class HeaderPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "header",
        Name = "Header",
        Group = PartGroup.Frame,
        Hook = ".site-header",
        Layer = Layer.Frame,
        HoldsBlocks = true,
        HoldsGroups = [PartGroup.Action],
        HoldsParts = ["menu", "picture", "paragraph"],
        Inside = ["menu", "button"],
        Slots = [new("name", "Site name", SlotKind.Text, Required: true, Sample: "Name of the site"), new("to", "Leads to", SlotKind.Link, Sample: "#")],
        Properties =
        [
            Properties.Ground, Properties.TextColor.For("name", "Name colour", " .site-name"), Properties.TextStyle.For("name", "Name style", " .site-name"),
            Properties.LineBelow, Properties.Shadow, Properties.Padding,
            Properties.ContentWidth.For("content", "Content width", " > .content"), Properties.Gap.For("content", "Gap", " > .content"),
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "ground"), ("name-text-color", "text"), ("name-text-style", "Name"), ("line-below", "hairline"), ("shadow", "none"),
                ("padding", "space 3 gutter"), ("content-content-width", "content width"), ("content-gap", "space 2 * 1.5")),
        ],
        Structure =
        [
            new(".site-header > .content", ("display", "flex"), ("flex-wrap", "wrap"), ("align-items", "center"), ("margin-inline", "auto")),
            new(".site-name", ("margin-inline-end", "auto"), ("text-decoration-line", "none")),
        ],
        Write = w => w.Element("header", [], () => w.Piece("div", "content", () =>
        {
            w.Piece("a", "site-name", w.Link("to"), () => w.Text("name"));
            w.Blocks();
        })),
    }];
}
