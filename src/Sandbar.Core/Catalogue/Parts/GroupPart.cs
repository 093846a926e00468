namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Blocks that belong together, one below or beside the other.</summary>
internal sealed class GroupPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "group",
        Name = "Group",
        Group = PartGroup.Arrangement,
        Place = 1,
        Hook = ".group",
        HoldsBlocks = true,
        Stack = "",
        IsRow = true,
        Inside = ["button", "button"],
        Properties = [Properties.Ground, Properties.Border, Properties.Radius, Properties.Shadow, Properties.Padding, Properties.OwnGap, Properties.StackDirection, Properties.PlaceAcross, Properties.PlaceDown],
        Looks =
        [
            new("stack", "One below another", ("gap", "space 4"), ("direction", "one below another")),
            new("in-line", "Side by side", ("gap", "space 3"), ("direction", "side by side"), ("place-across", "start"), ("place-down", "middle")),
            new("box", "Box",
                ("background", "raised"), ("border", "hairline"), ("radius", "round"), ("padding", "space 4"), ("gap", "space 3"), ("direction", "one below another")),
            new("featured", "Featured box",
                ("background", "raised"), ("border", "bright"), ("radius", "round"), ("shadow", "lift"), ("padding", "space 4"), ("gap", "space 3"), ("direction", "one below another")),
        ],
        Structure = [new(".group", ("display", "flex"), ("min-inline-size", "0"), (Stacks.OwnGap, "0px"), (Stacks.OwnStacked, "1"), ("gap", $"calc((1 - var({Stacks.OwnStacked})) * var({Stacks.OwnGap})) var({Stacks.OwnGap})"))],
        Write = w => w.Element("div", [], w.Blocks),
    }];
}
