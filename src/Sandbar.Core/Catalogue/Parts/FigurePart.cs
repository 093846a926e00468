namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A picture with its caption.</summary>
internal static class FigurePart
{
    public static readonly Part Part = new()
    {
        Id = "figure",
        Name = "Figure",
        Hook = ".figure",
        Slots =
        [
            new("picture", "Picture", SlotKind.Picture, Required: true), new("alt", "In words", SlotKind.Spoken, Sample: "A picture of this site"),
            new("caption", "Caption", SlotKind.Text, Sample: "What the picture tells"),
        ],
        Properties =
        [
            Properties.TextColor, Properties.TextStyle, Properties.Border.For("image", "Border", " > img"), Properties.Radius.For("image", "Radius", " > img"),
            Properties.Shadow.For("image", "Shadow", " > img"), Properties.Gap,
        ],
        Looks = [new("Standard", ("text-colour", "quiet text"), ("text-style", "Caption"), ("image-border", "none"), ("image-radius", "round"), ("gap", "space 2"))],
        Structure =
        [
            new(".figure", ("display", "grid"), ("margin", "0")),
            new(".figure > img", ("display", "block"), ("inline-size", "100%"), ("block-size", "auto")),
        ],
        Write = w => w.Element("figure", [], () =>
        {
            w.Picture("picture", "alt", cssClass: null);
            if (w.Has("caption")) w.Piece("figcaption", null, () => w.Text("caption"));
        }),
    };
}
