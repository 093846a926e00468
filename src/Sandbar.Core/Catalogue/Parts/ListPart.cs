namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A list, with marks or numbers, nested as deep as it is indented.</summary>
internal sealed class ListPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "list",
        Name = "List",
        Group = PartGroup.Text,
        Place = 3,
        Hook = ".list",
        Running = "items",
        Slots = [new("items", "Items", SlotKind.List, Required: true, Sample: "- The first thing\n  - a part of it\n  - another part\n- The second thing")],
        Properties =
        [
            Properties.TextColor, Properties.TextStyle, Properties.TextColor.For("marker", "Marker colour", " li::marker"),
            Properties.Gap, Properties.Indent, Properties.Measure, Properties.SpaceBefore, Properties.SpaceAfter,
        ],
        Looks =
        [
            new("standard", "Standard",
                ("text-color", "text"), ("text-style", "Body"), ("marker-text-color", "action"), ("gap", "space 1"), ("indent", "space 4"), ("measure", "38em"), ("space-before", "space 2"), ("space-after", "space 3")),
        ],
        Structure =
        [
            new(".list, .list :is(ul, ol)", ("display", "grid")),
            new(".list :is(li, ul, ol)", ("gap", "inherit")),
            new(".list :is(ul, ol)", ("padding-inline-start", "1.5em"), ("margin-block-start", "0.25em")),
        ],
        Write = w => w.List("items"),
    }];
}
