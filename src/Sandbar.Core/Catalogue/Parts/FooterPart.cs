namespace Sandbar.Core.Catalogue.Parts;

/// <summary>The foot of every page: columns of text and menus, and a credit line.</summary>
internal sealed class FooterPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "footer",
        Name = "Footer",
        Group = PartGroup.Frame,
        Place = 2,
        Hook = ".site-footer",
        Layer = Layer.Frame,
        HoldsBlocks = true,
        Stack = " > .content",
        Inside = ["menu"],
        Slots = [new("credit", "Credit line", SlotKind.Text, Sample: "A line of credit")],
        Properties =
        [
            Properties.Ground, Properties.LineAbove, Properties.Padding,
            Properties.TextColor.For("credit", "Credit colour", " .credit"), Properties.TextStyle.For("credit", "Credit style", " .credit"),
            Properties.ContentWidth.For("content", "Content width", " > .content"), Properties.StackGap.For("content", "Gap", $" > .content{Stacks.Inside}"),
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "ground"), ("line-above", "hairline"), ("padding", "rhythm gutter"),
                ("credit-text-color", "quiet text"), ("credit-text-style", "Caption"), ("content-content-width", "content width"), ("content-gap", "gap")),
        ],
        Structure =
        [
            new(".site-footer > .content", ("display", "grid"), ("margin-inline", "auto")),
        ],
        Write = w => w.Element("footer", [], () => w.Piece("div", "content", () =>
        {
            w.Blocks();
            if (w.Has("credit")) w.Piece("p", "credit", () => w.Text("credit"));
        })),
    }];
}
