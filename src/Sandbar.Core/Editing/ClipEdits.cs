using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Puts a clip on the shelf: a file, or one that is elsewhere, which another stands in for on stage.</summary>
/// <param name="Item">Its new id on the shelf.</param>
/// <param name="Name">What it is called there, such as the name of its file.</param>
/// <param name="Hash">Of its bytes, or of those that stand in, which are kept before.</param>
/// <param name="Address">Where it is; empty of a file.</param>
public sealed record AddClip(string Item, string Name, string MediaType, string Hash, int Width, int Height, string Address = "") : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Names.CheckId(Item, site.Shelf.Find(Item) is not null, "/item") is { } badId) return badId;
        if (Width <= 0 || Height <= 0) return new Problem("/width", "A clip has a width and a height.");
        if (Address.Length > 0 && !OutsideAddress.Is(Address)) return new Problem("/address", "The address of a clip begins with https:// and has no spaces.");
        site = site with { Shelf = site.Shelf.Add(new(Item, ShelfNames.Free(site, Name, "Clip"), ShelfNames.FreeFile(site, "clips", Name, MediaType), MediaType, Hash, Width, Height) { Address = Address }) };
        return ShelfCheck.Problems(site).FirstOrDefault() is { } problem ? problem : site;
    }

    public override string Describe(Site site) => $"Clip {ShelfNames.Said(Name, "Clip")} added";
}
