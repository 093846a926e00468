namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A table of rows and columns, its first row the head.</summary>
internal sealed class TablePart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "table",
        Name = "Table",
        Group = PartGroup.Text,
        Place = 4,
        Hook = ".table",
        Slots =
        [
            new("caption", "Caption", SlotKind.Text, Required: true, Sample: "A table"),
            new("rows", "Rows", SlotKind.Table, Required: true, Sample: "Kind | Early | Late\nFirst | April | May\nSecond | February | March"),
        ],
        Properties =
        [
            Properties.TextColor, Properties.TextStyle,
            Properties.Background.For("head", "Head background", " thead"), Properties.TextColor.For("head", "Head colour", " th"), Properties.TextStyle.For("head", "Head style", " th"),
            Properties.TextColor.For("caption", "Caption colour", " caption"), Properties.TextStyle.For("caption", "Caption style", " caption"),
            Properties.Border, Properties.LineBelow.For("row", "Line below rows", " tr"), Properties.Radius, Properties.Padding.For("cell", "Padding", " :is(th, td)"), Properties.SpaceBefore, Properties.SpaceAfter,
        ],
        Looks =
        [
            new("standard", "Standard",
                ("text-color", "text"), ("text-style", "Body"), ("head-background", "none"), ("head-text-color", "text"), ("head-text-style", "Label"),
                ("caption-text-color", "quiet text"), ("caption-text-style", "Caption"), ("border", "none"), ("row-line-below", "hairline"), ("cell-padding", "space 2 space 3 space 2 0"), ("space-before", "space 4"), ("space-after", "space 4")),
        ],
        Structure =
        [
            // A wide table scrolls in its own box, not the page.
            new(".table", ("overflow-x", "auto")),
            new(".table table", ("inline-size", "100%"), ("border-collapse", "collapse"), ("font", "inherit"), ("color", "inherit")),
            new(".table :is(th, td)", ("text-align", "start"), ("vertical-align", "baseline")),
            new(".table caption", ("text-align", "start"), ("padding-block-end", "0.5em")),
        ],
        Write = w => w.Table("rows", "caption"),
    }];
}
