using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Rendering;

/// <summary>A site's stylesheet as rules.</summary>
public static class StyleSheetRenderer
{
    public static StyleSheet Render(Site site)
    {
        var rules = ImmutableArray.CreateBuilder<Rule>();
        var roleSteps = new RoleSteps(site);
        foreach (var layer in new[] { Layer.Parts, Layer.Frame })
        {
            foreach (var part in PartCatalogue.All.Where(p => p.Layer == layer))
            {
                rules.AddRange(Structure(part));
                foreach (var look in site.Looks.Where(l => l.Part == part.Id)) rules.AddRange(roleSteps.Noting(LookRules.Of(site, part, look)));
            }
        }
        foreach (var block in Blocks.WithOwnValues(site)) rules.AddRange(roleSteps.Noting(LookRules.OfOwn(site, block)));
        return new(site.Name, Fonts(site), [.. site.Type.Families.Select(FallbackFace.Of).OfType<FallbackFace>().DistinctBy(f => f.Family)], [.. FoundationRules.Of(site, roleSteps), .. rules], site.Overrides.Site);
    }

    private static ImmutableArray<FontFace> Fonts(Site site) =>
    [
        .. from family in site.Type.Families
           from file in family.Files
           let item = site.Shelf.Find(file.Item)
           where item is not null
           select new FontFace(FamilyList.First(family.Stack), item, file.WeightFrom, file.WeightTo, file.Italic),
    ];

    private static IEnumerable<Rule> Structure(Part part) => part.Structure.Select((s, i) => new Rule(
        $"structure {part.Id} {i}", part.Layer, s.Selector, false, Interval.All,
        [.. s.Declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Structure, part.Id)))]));
}
