namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Headings, a part for each level.</summary>
internal static class HeadingPart
{
    private static readonly string[] Styles = ["Display", "Title", "Subtitle", "Label"];

    public static Part Level(int level) => new()
    {
        Id = $"heading-{level}",
        Name = $"Heading {level}",
        Hook = $".heading-{level}",
        Slots = [new("text", "Text", SlotKind.Text, Required: true, Sample: "A heading of this level")],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.TextAlign, Properties.LineAbove, Properties.LineBelow, Properties.Radius,
            Properties.Padding, Properties.Measure, Properties.SpaceBefore,
        ],
        Looks = [new("Standard", ("text-colour", "text"), ("text-style", Styles[level - 1]), ("measure", level == 1 ? "14em" : "24em"))],
        Structure = [new($".heading-{level}", ("margin", "0"), ("text-wrap", "balance"))],
        Write = w => w.Element($"h{level}", [], () => w.Text("text")),
    };
}
