namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A band of the page, over its whole width, with its content in the middle.</summary>
internal sealed class SectionPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "section",
        Name = "Section",
        Group = PartGroup.Arrangement,
        Hook = ".section",
        HoldsBlocks = true,
        Inside = ["heading-2", "paragraph"],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.LineAbove, Properties.LineBelow, Properties.Padding, Properties.MinHeight,
            Properties.ContentWidth.For("content", "Content width", " > .content"), Properties.Gap.For("content", "Gap", " > .content"),
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "ground"), ("text-color", "text"), ("padding", "space 6 space 4"),
                ("content-content-width", "1120px"), ("content-gap", "space 5")),
            new("banner", "Banner",
                ("background", "ground"), ("text-color", "text"), ("padding", "space 6 space 4"), ("padding@rest@820-", "space 7 space 4"),
                ("line-below", "hairline"), ("content-content-width", "1120px"), ("content-gap", "space 5")),
            new("raised", "Raised",
                ("background", "raised"), ("text-color", "text"), ("padding", "space 6 space 4"),
                ("content-content-width", "1120px"), ("content-gap", "space 5")),
        ],
        Structure =
        [
            new(".section", ("display", "grid"), ("align-content", "center")),
            new(".section > .content", ("display", "grid"), ("inline-size", "100%"), ("margin-inline", "auto"), ("grid-template-columns", "minmax(0, 1fr)")),
        ],
        Write = w => w.Element("section", [], () => w.Piece("div", "content", w.Blocks)),
    }];
}
