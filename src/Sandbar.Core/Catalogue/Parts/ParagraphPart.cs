namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A paragraph of running text.</summary>
internal sealed class ParagraphPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "paragraph",
        Name = "Paragraph",
        Group = PartGroup.Text,
        Place = 1,
        Hook = ".paragraph",
        Running = "text",
        Slots = [new("text", "Text", SlotKind.Text, Required: true, Sample: "Running text, as long as the thought needs and no longer. What it stands on, how wide it runs and how its lines are set decide whether it is read."), HeadingLevel.Slot("Heading level", usual: null)],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.TextAlign, Properties.LineAbove, Properties.LineBelow,
            Properties.Padding, Properties.Measure, Properties.SpaceBefore, Properties.SpaceAfter,
        ],
        Looks =
        [
            new("standard", "Standard", ("text-color", "text"), ("text-style", "Body"), ("measure", "38em"), ("space-before", "space 2"), ("space-after", "space 3")),
            new("lead", "Lead", ("text-color", "text"), ("text-style", "Lead"), ("measure", "34em"), ("space-before", "space 2"), ("space-after", "space 4")),
            new("eyebrow", "Eyebrow", ("text-color", "quiet text"), ("text-style", "Eyebrow"), ("space-after", "space 2")),
            new("quiet", "Quiet", ("text-color", "quiet text"), ("text-style", "Caption"), ("measure", "38em"), ("space-before", "space 2"), ("space-after", "space 2")),
        ],
        Structure = [new(".paragraph", ("text-wrap", "pretty"))],
        Write = w => w.Element(HeadingLevel.Tag(w, usual: null), [], () => w.Text("text")),
    }];
}
