namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Somebody's words, and whose they are.</summary>
internal sealed class QuotePart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "quote",
        Name = "Quote",
        Group = PartGroup.Text,
        Place = 5,
        Hook = ".quote",
        Slots =
        [
            new("text", "Words", SlotKind.Text, Required: true, Sample: "Somebody's words, set apart from the rest."),
            new("source", "Whose", SlotKind.Text, Sample: "Whose they are"),
        ],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle,
            Properties.TextColor.For("source", "Source colour", " figcaption"), Properties.TextStyle.For("source", "Source style", " figcaption"),
            Properties.LineBeside, Properties.Radius, Properties.Padding, Properties.Gap, Properties.Measure, Properties.SpaceBefore, Properties.SpaceAfter,
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "none"), ("text-color", "text"), ("text-style", "Subtitle"), ("source-text-color", "quiet text"), ("source-text-style", "Caption"),
                ("line-beside", "bright"), ("padding", "space 1 0 space 1 space 4"), ("gap", "space 2"), ("measure", "34em"), ("space-before", "space 4"), ("space-after", "space 4")),
        ],
        Structure = [new(".quote", ("display", "grid"))],
        Write = w => w.Element("figure", [], () =>
        {
            w.Piece("blockquote", null, () => w.Piece("p", null, () => w.Text("text")));
            if (w.Has("source")) w.Piece("figcaption", null, () => w.Text("source"));
        }),
    }];
}
