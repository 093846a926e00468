using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Rendering;

/// <summary>A site's stylesheet as rules.</summary>
public static class StyleSheetRenderer
{
    // What no site changes is written once.
    private static readonly Dictionary<string, ImmutableArray<Rule>> Structures = PartCatalogue.All.ToDictionary(p => p.Id, p => Structure(p), StringComparer.Ordinal);

    public static StyleSheet Render(Site site)
    {
        var rules = ImmutableArray.CreateBuilder<Rule>();
        var roleSteps = new RoleSteps(site);
        rules.AddRange(StackRules.Of(site));
        rules.AddRange(FillLayers.Rules(site, roleSteps));
        rules.AddRange(FocalPoints.Rules(site));
        foreach (var layer in new[] { Layer.Parts, Layer.Frame })
        {
            foreach (var part in PartCatalogue.All.Where(p => p.Layer == layer))
            {
                rules.AddRange(Structures[part.Id]);
                if (part.Id == "menu") rules.AddRange(MenuRules.Of(site));
                foreach (var look in site.Looks.Where(l => l.Part == part.Id)) rules.AddRange(roleSteps.Noting(LookRules.Of(site, part, look)));
            }
        }
        foreach (var block in Blocks.WithOwnValues(site)) rules.AddRange(roleSteps.Noting(LookRules.OfOwn(site, block)));
        rules.AddRange(HiddenRules.Of(site));
        return new(site.Name, UsedFonts.Of(site), FallbackFace.All(site.Type), [.. FoundationRules.Of(site, roleSteps), .. rules], site.Overrides.Site);
    }

    private static ImmutableArray<Rule> Structure(Part part) => [.. part.Structure.Select((s, i) => new Rule(
        $"structure {part.Id} {i}", part.Layer, s.Selector, false, Interval.All,
        [.. s.Declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Structure, part.Id)))]))];
}
