namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A band in two: a picture or a fill from edge to edge, and beside it what is said; one below the other where there is no room.</summary>
internal sealed class SplitPart : IParts
{
    private const string Side = " > .side", Content = " > .content";

    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "split",
        Name = "Split section",
        Group = PartGroup.Arrangement,
        Hook = ".split",
        HoldsBlocks = true,
        IsOutermost = true,
        HasCoveringPicture = true,
        Stack = Content,
        Inside = ["heading-2", "paragraph"],
        Slots = [new("picture", "Picture", SlotKind.Picture), new("alt", "In words", SlotKind.Spoken, Sample: "A picture of this site")],
        Properties =
        [
            Properties.Ground, Properties.TextColor, Properties.Ground.For("side", "Fill beside", Side), Properties.LineAbove, Properties.LineBelow,
            Properties.Columns with { Name = "Shares" },
            // By width it is the side, or which of both comes first where they stand one below the other.
            new()
            {
                Id = "side-order", Name = "Picture or fill", Group = Properties.Columns.Group, Kind = new Values.WordValues(), CssName = "order", Target = Side, SameInAllStates = true,
                Words = [new("first", "before the words", "-1"), new("last", "after the words", "1")],
            },
            Properties.MinHeight.For("side", "Least height beside", Side), Properties.Padding.For("content", "Padding of words", Content),
            Properties.ContentDown.For("content", "Words down", Content), Properties.StackGap.For("content", "Gap", $"{Content}{Stacks.Inside}"),
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "ground"), ("text-color", "text"), ("side-background", "raised"), ("columns", "1"), ("columns@rest@820-", "1 : 1"), ("side-order", "before the words"),
                ("side-min-height", "320px"), ("side-min-height@rest@820-", "520px"), ("content-padding", "space 6 gutter"), ("content-content-down", "middle"), ("content-gap", "gap")),
        ],
        Structure =
        [
            new(".split", ("display", "grid"), ("inline-size", "100%")),
            new($".split{Side}", ("position", "relative"), ("min-inline-size", "0")),
            // Apart from the row: what takes its height from there is no container in Chromium yet.
            new($".split{Side} > .covering", ("position", "absolute"), ("inset", "0"), ("container-type", "size")),
            new($".split{Side} > .covering > img", ("display", "block"), ("inline-size", "100%"), ("block-size", "100%"), ("max-inline-size", "none"), ("object-fit", "cover")),
            new($".split{Content}", ("display", "grid"), ("grid-template-columns", "minmax(0, 1fr)")),
        ],
        Write = w => w.Element("section", [], () =>
        {
            w.Piece("div", "side", () =>
            {
                w.CoveringPicture("picture", "alt");
                w.Fills("side");
            });
            w.Piece("div", "content", w.Blocks);
        }),
    }];
}
