using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Type;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Editing;

/// <summary>Adds a font file of the designer's own to a family. One of the same weights and slant makes way for it.</summary>
/// <param name="Family">Id of the family; where there is none, a new one begins.</param>
/// <param name="Name">What a new one is called.</param>
/// <param name="Item">Id of the file on the shelf.</param>
/// <param name="Hash">Of its bytes, which are kept before.</param>
/// <param name="Replaces">Id of a file it takes the place of, whatever that holds.</param>
public sealed record AddFontFile(
    string Family, string? Name, string Item, string Hash, int WeightFrom, int WeightTo, bool Italic, FontMeasures Measures, string? Replaces = null) : Edit
{
    private const int MostTries = 500;

    protected override Outcome Change(Site site)
    {
        if (Names.CheckId(Item, site.Shelf.Find(Item) is not null, "/item") is { } badItem) return badItem;
        var family = site.Type.Families.Find(Family);
        if (family is null)
        {
            if (Name is null) return ThingPlace.Gone;
            if (Names.CheckId(Family, false, "/family") is { } badId) return badId;
            if (Naming.Check(site, FamilyKind.Description, Family, Name) is { } badName) return badName;
            family = (Family)FamilyKind.Description.Called(site, new Family(Family, "", "", "", []), Name);
            site = site with { Type = site.Type with { Families = site.Type.Families.Add(family) } };
        }
        var replaced = family.Files.Where(f => f.Item == Replaces || (f.Ranges.Length == 0 && (f.WeightFrom, f.WeightTo, f.Italic) == (WeightFrom, WeightTo, Italic))).ToList();
        var changed = family with { Files = [.. family.Files.Except(replaced), new FontFile(Item, WeightFrom, WeightTo, Italic) { Measures = Measures }], Stack = StackOf(site, family) };
        var item = new ShelfItem(Item, family.Name, FreeFile(site, family), FamilyKind.FontType, Hash, 0, 0);
        site = FamilyKind.Description.Settled(site with { Type = site.Type with { Families = site.Type.Families.Put(changed) }, Shelf = site.Shelf.Add(item) });
        var problem = FamilyKind.Description.Problems(site, changed).FirstOrDefault() ?? ShelfCheck.Problems(site).FirstOrDefault();
        return problem is null ? site : problem;
    }

    public override string Describe(Site site) => $"{site.Type.Families.Find(Family)?.Name ?? Name?.Trim() ?? "Family"} · font file added";

    /// <summary>The edit that adds a file to a family: the one that is named, the one whose own files bear its name, or a new one.</summary>
    /// <param name="item">Id of the file on the shelf; of a new family too.</param>
    public static AddFontFile Of(Site site, OwnFont font, string? family, string? replaces, string item)
    {
        var fitting = family ?? site.Type.Families.FirstOrDefault(f => f.Files.Any(file => file.Measures is { } known && known.Name.Length > 0 && known.Name == font.Measures.Name))?.Id;
        return new(fitting ?? item, fitting is null ? FreeName(site, font) : null, item, font.Asset.Hash, font.WeightFrom, font.WeightTo, font.Italic, font.Measures, replaces);
    }

    /// <summary>What a new family is called: as the file says where that can be a name, and nothing else is called so.</summary>
    private static string FreeName(Site site, OwnFont font)
    {
        var said = Names.Cut(font.Measures.Name);
        if (said.Length == 0) said = "Own font";
        for (var n = 1; ; n++)
        {
            var name = n == 1 ? said : $"{said} {n}";
            if (Naming.Check(site, FamilyKind.Description, "", name) is null) return name;
            if (n > MostTries) return $"Own font {site.Type.Families.Length + 1}";
        }
    }

    /// <summary>The family's list, led by a name that no other family's letters go by.</summary>
    private string StackOf(Site site, Family family)
    {
        if (!family.Files.IsEmpty) return family.Stack;
        var taken = site.Type.Families.Where(f => f.Id != family.Id).Select(f => FamilyList.First(f.Stack)).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var face = family.Name;
        for (var n = 2; taken.Contains(face); n++) face = $"{family.Name} {n}";
        return $"{Serializer.String(face)}, {(family.Stack.Length > 0 ? family.Stack : BundledFamily.FallbackOf(Measures.Class ?? FamilyClass.Sans))}";
    }

    private string FreeFile(Site site, Family family)
    {
        var taken = site.Shelf.Select(i => i.File).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var plain = $"{family.CssName}-{(WeightFrom == WeightTo ? $"{WeightFrom}" : $"{WeightFrom}-{WeightTo}")}{(Italic ? "-italic" : "")}";
        var free = plain;
        for (var n = 2; taken.Contains($"fonts/{free}.woff2"); n++) free = $"{plain}-{n}";
        return $"fonts/{free}.woff2";
    }
}

/// <summary>Takes a font file out of a family.</summary>
/// <param name="Item">Id of the file on the shelf.</param>
public sealed record RemoveFontFile(string Family, string Item) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Type.Families.Find(Family) is not { } family || !family.Files.Any(f => f.Item == Item)) return ThingPlace.Gone;
        return FamilyKind.Description.Settled(site with { Type = site.Type with { Families = site.Type.Families.Put(family with { Files = [.. family.Files.Where(f => f.Item != Item)] }) } });
    }

    public override string Describe(Site site) => $"{site.Type.Families.Find(Family)?.Name ?? "Family"} · font file removed";
}
