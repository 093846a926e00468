using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Puts a picture on the shelf, and shows it. One that lies there already is not put there twice.</summary>
/// <param name="Item">Its new id on the shelf.</param>
/// <param name="Name">What it is called there, such as the name of its file.</param>
/// <param name="Hash">Of its bytes, which are kept before.</param>
/// <param name="Spot">Where it is shown; null for nowhere yet.</param>
public sealed record AddPicture(string Item, string Name, string MediaType, string Hash, int Width, int Height, PictureSpot? Spot) : Edit
{
    /// <summary>Id of the post it is the picture of; null for none.</summary>
    public string? Post { get; init; }

    private const string Otherwise = "Picture";

    protected override Outcome Change(Site site)
    {
        var item = site.Shelf.FirstOrDefault(i => i.Hash == Hash && i.IsPicture);
        if (item is null)
        {
            if (Names.CheckId(Item, site.Shelf.Find(Item) is not null, "/item") is { } badId) return badId;
            if (Width <= 0 || Height <= 0) return new Problem("/width", "A picture has a width and a height.");
            item = new(Item, ShelfNames.Free(site, Name, Otherwise), ShelfNames.FreeFile(site, "pictures", Name, MediaType), MediaType, Hash, Width, Height);
            site = site with { Shelf = site.Shelf.Add(item) };
            if (ShelfCheck.Problems(site).FirstOrDefault() is { } problem) return problem;
        }
        if (Post is not null) return new SetPost(Post, PostField.Picture, item.Id).Apply(site);
        return Spot is null ? site : Spot.Show(site, item);
    }

    public override string Describe(Site site) =>
        Spot is not null && Blocks.Find(site, Spot.Block) is { } block ? $"{block.Name} · picture {ShelfNames.Said(Name, Otherwise)}" : $"Picture {ShelfNames.Said(Name, Otherwise)} added{(Spot?.Page is { } page ? BlockEdits.On(site, page) : "")}";
}

/// <summary>Gives a picture of the shelf another file: it is another picture wherever it is shown, with the same name, words and focal point.</summary>
/// <param name="Item">Its id on the shelf.</param>
/// <param name="Name">Of the new file.</param>
/// <param name="Hash">Of its bytes, which are kept before.</param>
public sealed record ReplacePicture(string Item, string Name, string MediaType, string Hash, int Width, int Height) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Shelf.Find(Item) is not { IsPicture: true } item) return new Problem("/item", "This picture is no longer on the shelf.");
        if (Width <= 0 || Height <= 0) return new Problem("/width", "A picture has a width and a height.");
        // Under a name of its own: no visitor is shown the old one in its place.
        site = site with { Shelf = site.Shelf.Put(item with { File = ShelfNames.FreeFile(site, "pictures", Name, MediaType), MediaType = MediaType, Hash = Hash, Width = Width, Height = Height }) };
        return ShelfCheck.Problems(site).FirstOrDefault() is { } problem ? problem : site;
    }

    public override string Describe(Site site) => $"Picture {site.Shelf.Find(Item)?.Name} replaced by {Names.Cut(Path.GetFileName(Name))}";
}

/// <summary>Where a picture is shown.</summary>
/// <param name="Block">Id of the block: one that has a place for a picture, or a new one that is nothing else.</param>
/// <param name="Page">Id of the page a new one comes to.</param>
/// <param name="Parent">Id of the block it comes into.</param>
/// <param name="At">Its place there, from 0.</param>
public sealed record PictureSpot(string Block, string? Page, string? Parent, int At)
{
    private const string Alone = "picture";

    internal Outcome Show(Site site, ShelfItem item)
    {
        if (Blocks.Find(site, Block) is not { } block)
        {
            if (Page is null) return ContentEdits.GoneBlock;
            var alone = NewBlock.Of(site, PartCatalogue.Get(Alone), Block);
            return BlockEdits.Put(site, new(Page, Parent, At), alone with { Content = alone.Content.SetItem(Alone, item.Id) });
        }
        return PartCatalogue.Find(block.Part)?.Slots.FirstOrDefault(s => s.Kind == SlotKind.Picture) is { } slot
            ? Blocks.Put(site, block with { Content = block.Content.SetItem(slot.Id, item.Id) })
            : new Problem("/spot", $"{block.Name} has no place for a picture.");
    }
}
