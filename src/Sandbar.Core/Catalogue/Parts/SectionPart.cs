namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A band of the page, over its whole width, with its content in the middle.</summary>
internal static class SectionPart
{
    public static readonly Part Part = new()
    {
        Id = "section",
        Name = "Section",
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
            new("Standard",
                ("background", "ground"), ("text-colour", "text"), ("padding", "space 6 space 4"),
                ("content-content-width", "1120px"), ("content-gap", "space 5")),
            new("Banner",
                ("background", "ground"), ("text-colour", "text"), ("padding", "space 6 space 4"), ("padding@rest@820-", "space 7 space 4"),
                ("line-below", "hairline"), ("content-content-width", "1120px"), ("content-gap", "space 5")),
            new("Raised",
                ("background", "raised"), ("text-colour", "text"), ("padding", "space 6 space 4"),
                ("content-content-width", "1120px"), ("content-gap", "space 5")),
        ],
        Structure =
        [
            new(".section", ("display", "grid"), ("align-content", "center")),
            new(".section > .content", ("display", "grid"), ("inline-size", "100%"), ("margin-inline", "auto"), ("grid-template-columns", "minmax(0, 1fr)")),
        ],
        Write = w => w.Element("section", [], () => w.Piece("div", "content", w.Blocks)),
    };
}
