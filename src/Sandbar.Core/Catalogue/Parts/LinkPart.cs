using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A link in running text: every link that is nothing else.</summary>
internal sealed class LinkPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "link",
        Name = "Link",
        Group = PartGroup.Text,
        Place = 2,
        Hook = ":where(a:not([class]))",
        Slots = [new("text", "Text", SlotKind.Text, Required: true, Sample: "A link in a sentence"), new("to", "Leads to", SlotKind.Link, Sample: "#")],
        Properties =
        [
            Properties.TextColor, Properties.Background, Properties.Underline, Properties.UnderlineThickness, Properties.UnderlineOffset,
            Properties.Radius, Properties.Outline, Properties.OutlineOffset,
        ],
        States = [State.Rest, State.Current, State.Hover, State.Focus, State.Pressed],
        Looks =
        [
            new("standard", "Standard",
                ("text-color", "link"), ("text-color@hover", "rest shade 2"),
                ("underline", "line"), ("underline-thickness", "1px"), ("underline-thickness@hover", "2px"), ("underline-offset", "0.2em"),
                ("radius", "2px"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px")),
        ],
        Write = w => w.Element("a", w.Link("to"), () => w.Text("text")),
    }];
}
