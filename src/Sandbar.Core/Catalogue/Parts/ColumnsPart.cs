namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Blocks side by side in equal columns.</summary>
internal sealed class ColumnsPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "columns",
        Name = "Columns",
        Group = PartGroup.Arrangement,
        Place = 2,
        Hook = ".columns",
        HoldsBlocks = true,
        Begins = ["group", "group"],
        IsRow = true,
        Inside = ["paragraph", "paragraph", "paragraph"],
        Properties = [Properties.Columns, Properties.PlaceDown, Properties.Gap],
        Looks =
        [
            new("halves", "Halves", ("columns", "1"), ("columns@rest@820-", "2"), ("place-down", "middle"), ("gap", "space 6")),
            new("thirds", "Thirds", ("columns", "1"), ("columns@rest@600-820", "2"), ("columns@rest@820-", "3"), ("place-down", "stretch"), ("gap", "space 4")),
        ],
        Structure = [new(".columns", ("display", "grid"))],
        Write = w => w.Element("div", [], w.Blocks),
    }];
}
