namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A picture alone.</summary>
internal sealed class PicturePart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "picture",
        Name = "Picture",
        Group = PartGroup.Media,
        Hook = ".picture",
        Slots = [new("picture", "Picture", SlotKind.Picture, Required: true), new("alt", "In words", SlotKind.Spoken, Sample: "A picture of this site")],
        Properties = [Properties.Border, Properties.Radius, Properties.Shadow],
        Looks = [new("standard", "Standard", ("border", "none"), ("radius", "round"))],
        Structure =
        [
            new(".picture", ("overflow", "clip")),
            new(".picture > img", ("display", "block"), ("inline-size", "100%"), ("block-size", "auto")),
        ],
        Write = w => w.Element("div", [], () => w.Picture("picture", "alt", cssClass: null)),
    }];
}
