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
        Slots = [new("text", "Text", SlotKind.Text, Required: true, Sample: "Running text, as long as the thought needs and no longer. What it stands on, how wide it runs and how its lines are set decide whether it is read.")],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.TextAlign, Properties.LineAbove, Properties.LineBelow,
            Properties.Padding, Properties.Measure, Properties.SpaceBefore,
        ],
        Looks =
        [
            new("standard", "Standard", ("text-color", "text"), ("text-style", "Body"), ("measure", "38em")),
            new("lead", "Lead", ("text-color", "text"), ("text-style", "Lead"), ("measure", "34em")),
            new("eyebrow", "Eyebrow", ("text-color", "quiet text"), ("text-style", "Eyebrow")),
            new("quiet", "Quiet", ("text-color", "quiet text"), ("text-style", "Caption"), ("measure", "38em")),
        ],
        Structure = [new(".paragraph", ("margin", "0"), ("text-wrap", "pretty"))],
        Write = w => w.Element("p", [], () => w.Text("text")),
    }];
}
