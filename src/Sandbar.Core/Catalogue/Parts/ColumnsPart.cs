namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Blocks side by side in equal columns.</summary>
internal static class ColumnsPart
{
    public static readonly Part Part = new()
    {
        Id = "columns",
        Name = "Columns",
        Hook = ".columns",
        HoldsBlocks = true,
        Inside = ["paragraph", "paragraph", "paragraph"],
        Properties = [Properties.Columns, Properties.PlaceDown, Properties.Gap],
        Looks =
        [
            new("Halves", ("columns", "1"), ("columns@rest@820-", "2"), ("place-down", "middle"), ("gap", "space 6")),
            new("Thirds", ("columns", "1"), ("columns@rest@600-820", "2"), ("columns@rest@820-", "3"), ("place-down", "stretch"), ("gap", "space 4")),
        ],
        Structure = [new(".columns", ("display", "grid"))],
        Write = w => w.Element("div", [], w.Blocks),
    };
}
