namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Cards side by side, as many in a row as there is room for.</summary>
internal sealed class CardRowPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "card-row",
        Name = "Card row",
        Group = PartGroup.Card,
        Hook = ".card-row",
        HoldsBlocks = true,
        HoldsParts = ["card"],
        Begins = ["card", "card", "card"],
        IsRow = true,
        Inside = ["card", "card", "card"],
        Properties =
        [
            Properties.Background, Properties.Border, Properties.Radius, Properties.Padding, Properties.Gap, Properties.Columns, Properties.PlaceDown,
        ],
        Looks =
        [
            new("standard", "Standard",
                ("background", "none"), ("border", "none"), ("gap", "space 4"), ("columns", "1"), ("columns@rest@600-820", "2"), ("columns@rest@820-", "3"), ("place-down", "stretch")),
        ],
        Structure = [new(".card-row", ("display", "grid"))],
        Write = w => w.Element("div", [], w.Blocks),
    }];
}
