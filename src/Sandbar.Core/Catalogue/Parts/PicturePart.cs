namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A picture, perhaps with a caption.</summary>
internal static class PicturePart
{
    public static readonly Part Part = new()
    {
        Id = "picture",
        Name = "Picture",
        Hook = ".picture",
        Slots =
        [
            new("picture", "Picture", SlotKind.Picture, Required: true), new("alt", "In words", SlotKind.Text), new("caption", "Caption", SlotKind.Text),
        ],
        Properties =
        [
            Properties.TextColor, Properties.TextStyle, Properties.Radius.For("image", "Radius", " > img"),
            Properties.Shadow.For("image", "Shadow", " > img"), Properties.Gap,
        ],
        Looks = [new("Standard", ("text-colour", "quiet text"), ("text-style", "Caption"), ("image-radius", "round"), ("gap", "space 2"))],
        Structure =
        [
            new(".picture", ("display", "grid"), ("margin", "0")),
            new(".picture > img", ("display", "block"), ("inline-size", "100%"), ("block-size", "auto")),
        ],
        Write = w => w.Element("figure", [], () =>
        {
            w.Picture("picture", "alt", cssClass: null);
            if (w.Has("caption")) w.Piece("figcaption", null, () => w.Text("caption"));
        }),
    };
}
