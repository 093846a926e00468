namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Blocks that belong together, one below or beside the other.</summary>
internal static class GroupPart
{
    public static readonly Part Part = new()
    {
        Id = "group",
        Name = "Group",
        Hook = ".group",
        HoldsBlocks = true,
        Inside = ["button", "button"],
        Properties = [Properties.Background, Properties.Border, Properties.Radius, Properties.Padding, Properties.Gap, Properties.PlaceAcross],
        Looks = [new("Stack", ("gap", "space 3")), new("In line", ("gap", "space 3"), ("place-across", "start"))],
        Structure =
        [
            new(".group", ("display", "flex"), ("flex-direction", "column"), ("min-inline-size", "0")),
            new(".group-in-line", ("flex-direction", "row"), ("flex-wrap", "wrap"), ("align-items", "center")),
        ],
        Write = w => w.Element("div", [], w.Blocks),
    };
}
