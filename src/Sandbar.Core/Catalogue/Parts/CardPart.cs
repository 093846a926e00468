using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A card: one thing of several alike, with a title that may lead further.</summary>
internal sealed class CardPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "card",
        Name = "Card",
        Group = PartGroup.Card,
        Place = 1,
        Hook = ".card",
        HoldsBlocks = true,
        HoldsGroups = [PartGroup.Text, PartGroup.Action, PartGroup.Media],
        Slots =
        [
            new("picture", "Picture", SlotKind.Picture), new("alt", "Picture in words", SlotKind.Spoken),
            new("eyebrow", "Eyebrow", SlotKind.Text, Sample: "Eyebrow"), new("title", "Title", SlotKind.Text, Required: true, Sample: "Title of a card"), HeadingLevel.Slot("Level of the title", usual: 3),
            new("text", "Text", SlotKind.Text, Sample: "A card says one thing, in two lines at most."), new("to", "Leads to", SlotKind.Link, Sample: "#"),
        ],
        Properties =
        [
            Properties.Ground,
            Properties.TextColor.For("title", "Title colour", " .card-title"), Properties.TextStyle.For("title", "Title style", " .card-title"),
            Properties.TextColor.For("text", "Text colour", " .card-text"), Properties.TextStyle.For("text", "Text style", " .card-text"),
            Properties.TextColor.For("eyebrow", "Eyebrow colour", " .card-eyebrow"), Properties.TextStyle.For("eyebrow", "Eyebrow style", " .card-eyebrow"),
            Properties.Border, Properties.Radius, Properties.Shadow,
            Properties.Padding.For("body", "Padding", " .card-body"), Properties.Gap.For("body", "Gap", " .card-body"),
        ],
        States = [State.Rest, State.Hover],
        Looks =
        [
            new("standard", "Standard",
                ("background", "raised"), ("title-text-color", "text"), ("title-text-style", "Subtitle"),
                ("text-text-color", "text"), ("text-text-style", "Body"), ("eyebrow-text-color", "quiet text"), ("eyebrow-text-style", "Eyebrow"),
                ("border", "hairline"), ("radius", "round"), ("shadow", "none"), ("shadow@hover", "lift"), ("change-shadow", "quick, gentle"),
                ("body-padding", "space 4"), ("body-gap", "space 2")),
            new("featured", "Featured",
                ("background", "raised"), ("title-text-color", "text"), ("title-text-style", "Subtitle"),
                ("text-text-color", "text"), ("text-text-style", "Body"), ("eyebrow-text-color", "quiet text"), ("eyebrow-text-style", "Eyebrow"),
                ("border", "bright"), ("radius", "round"), ("shadow", "none"), ("shadow@hover", "lift"), ("change-shadow", "quick, gentle"),
                ("body-padding", "space 4"), ("body-gap", "space 2")),
        ],
        Structure =
        [
            new(".card", ("position", "relative"), ("display", "flex"), ("flex-direction", "column"), ("overflow", "clip")),
            new(".card-picture", ("display", "block"), ("inline-size", "100%"), ("block-size", "auto"), ("aspect-ratio", "3 / 2"), ("object-fit", "cover")),
            new(".card-body", ("display", "flex"), ("flex-direction", "column"), ("flex", "1")),
            // What a card ends with stands at its foot, so that the buttons of a row line up.
            new(".card-body > a:last-child", ("margin-block-start", "auto")),
            new(".card-link", ("color", "inherit"), ("text-decoration-line", "none")),
            // The title's link covers the card, so that the whole card can be clicked and is still read once.
            new(".card-link::after", ("content", "\"\""), ("position", "absolute"), ("inset", "0")),
        ],
        Write = w => w.Element("article", [], () =>
        {
            w.Picture("picture", "alt", "card-picture");
            w.Piece("div", "card-body", () =>
            {
                if (w.Has("eyebrow")) w.Piece("p", "card-eyebrow", () => w.Text("eyebrow"));
                w.Piece(HeadingLevel.Tag(w, usual: 3), "card-title", () =>
                {
                    if (w.Has("to")) w.Piece("a", "card-link", w.Link("to"), () => w.Text("title"));
                    else w.Text("title");
                });
                if (w.Has("text")) w.Piece("p", "card-text", () => w.Text("text"));
                w.Blocks();
            });
        }),
    }];
}
