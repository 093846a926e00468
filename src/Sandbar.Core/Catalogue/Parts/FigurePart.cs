namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A picture with its caption.</summary>
internal sealed class FigurePart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "figure",
        Name = "Figure",
        Group = PartGroup.Media,
        Place = 1,
        Hook = ".figure",
        Slots =
        [
            new("picture", "Picture", SlotKind.Picture, Required: true), new("alt", "In words", SlotKind.Spoken, Sample: "A picture of this site"),
            new("caption", "Caption", SlotKind.Text, Sample: "What the picture tells"),
        ],
        Properties =
        [
            Properties.TextColor, Properties.TextStyle, Properties.Border.For("image", "Border", " > img") with { IsReplaced = true }, Properties.Radius.For("image", "Radius", " > img"),
            Properties.Shadow.For("image", "Shadow", " > img"), Properties.Gap, Properties.SpaceBefore, Properties.SpaceAfter,
        ],
        Looks = [new("standard", "Standard", ("text-color", "quiet text"), ("text-style", "Caption"), ("image-border", "none"), ("image-radius", "round"), ("gap", "space 2"), ("space-before", "space 4"), ("space-after", "space 4"))],
        Structure =
        [
            new(".figure", ("display", "grid")),
            new(".figure > img", ("display", "block"), ("inline-size", "100%"), ("block-size", "auto")),
        ],
        Write = w => w.Element("figure", [], () =>
        {
            w.Picture("picture", "alt", cssClass: null);
            if (w.Has("caption")) w.Piece("figcaption", null, () => w.Text("caption"));
        }),
    }];
}
