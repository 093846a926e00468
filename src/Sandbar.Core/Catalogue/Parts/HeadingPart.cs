namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Headings, a part for each level.</summary>
internal sealed class HeadingPart : IParts
{
    private static readonly string[] Styles = ["Display", "Title", "Subtitle", "Label"], Before = ["space 2", "space 5", "space 5", "space 4"];

    public static IEnumerable<Part> Parts { get; } = Styles.Select((_, i) => Level(i + 1));

    private static Part Level(int level) => new()
    {
        Id = $"heading-{level}",
        Name = $"Heading {level}",
        Group = PartGroup.Text,
        Hook = $".heading-{level}",
        Running = "text",
        Slots = [new("text", "Text", SlotKind.Text, Required: true, Sample: "A heading of this level"), HeadingLevel.Slot("Level", level)],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.TextAlign, Properties.LineAbove, Properties.LineBelow, Properties.Radius,
            Properties.Padding, Properties.Measure, Properties.SpaceBefore, Properties.SpaceAfter,
        ],
        Looks = [new("standard", "Standard", ("text-color", "text"), ("text-style", Styles[level - 1]), ("measure", level == 1 ? "14em" : "24em"), ("space-before", Before[level - 1]), ("space-after", level == 1 ? "space 3" : "space 2"))],
        Structure = [new($".heading-{level}", ("text-wrap", "balance"))],
        Write = w => w.Element(HeadingLevel.Tag(w, level), [], () => w.Text("text")),
    };
}
