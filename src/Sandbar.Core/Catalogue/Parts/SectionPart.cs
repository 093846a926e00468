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
        IsOutermost = true,
        Stack = " > .content",
        Inside = ["heading-2", "paragraph"],
        Properties =
        [
            Properties.Ground, Properties.TextColor, Properties.LineAbove, Properties.LineBelow, Properties.Padding, Properties.MinHeight, Properties.GroundWidth,
            Properties.ContentWidth.For("content", "Content width", " > .content"), Properties.ContentAcross with { Target = " > .content" }, Properties.ContentDown,
            Properties.StackGap.For("content", "Gap", $" > .content{Stacks.Inside}"),
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "ground"), ("text-color", "text"), ("padding", "rhythm gutter"),
                ("content-content-width", "content width"), ("content-gap", "gap")),
            new("banner", "Banner",
                ("background", "ground"), ("text-color", "text"), ("padding", "rhythm gutter"), ("padding@rest@820-", "space 7 gutter"),
                ("line-below", "hairline"), ("content-content-width", "content width"), ("content-gap", "gap")),
            new("raised", "Raised",
                ("background", "raised"), ("text-color", "text"), ("padding", "rhythm gutter"),
                ("content-content-width", "content width"), ("content-gap", "gap")),
        ],
        Structure =
        [
            new(".section", ("display", "grid"), ("inline-size", "100%"), ("margin-inline", "auto"), ("align-content", "center")),
            new(".section > .content", ("display", "grid"), ("inline-size", "100%"), ("margin-inline", "auto"), ("grid-template-columns", "minmax(0, 1fr)")),
        ],
        Write = w => w.Element("section", [], () => w.Piece("div", "content", w.Blocks)),
    }];
}
