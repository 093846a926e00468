using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css;

namespace Sandbar.Core.Checking;

/// <summary>The foundations of a site, kind by kind.</summary>
internal static class FoundationCheck
{
    public static IEnumerable<Problem> Problems(Site site)
    {
        var scale = site.Type.Scale;
        if (scale.Highest is < 0 or > 20 || scale.Lowest is > 0 or < -20) yield return new("/type/scale", "The type scale goes from a position at or below 0 to one at or above it, at most 20 away.");
        foreach (var role in RoleKind.Needed.Where(r => site.Palette.Roles.Find(r) is null)) yield return new("/palette/roles", $"The role {role} is missing.");
        foreach (var problem in Kinds.AllListed.SelectMany(kind => Problems(site, kind))) yield return problem;
    }

    private static IEnumerable<Problem> Problems(Site site, ListedKind kind)
    {
        var things = kind.Things(site);
        if (things.IsDefault) yield return new(kind.Path, $"The list of {kind.Plural} is missing.");
        if (things.Length < kind.Fewest) yield return new(kind.Path, $"A site has at least {kind.Fewest} {(kind.Fewest == 1 ? kind.Name : kind.Plural)}.");
        if (things.Length > kind.Most) yield return new(kind.Path, $"A site has at most {kind.Most} {kind.Plural}.");
        foreach (var problem in Ids.Problems(kind.Path, things)) yield return problem;
        foreach (var thing in things)
        {
            var path = $"{kind.Path}/{thing.Id}";
            if (thing is INamed named && ThingCheck.NameProblem(site, kind, named) is { } wrong) yield return wrong with { Path = path + wrong.Path };
            foreach (var problem in ThingCheck.Problems(site, kind, thing)) yield return problem with { Path = path + problem.Path };
        }
        foreach (var same in things.OfType<Named>().GroupBy(t => t.CssName, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1))
            yield return new(kind.Path, $"Two have the CSS name {Quoted.Text(same.Key)}.");
        foreach (var stepped in things.OfType<Named>().Where(t => kind.HasSteps && StepText.EndsLikeStep(t.CssName)))
            yield return new($"{kind.Path}/{stepped.Id}/cssName", $"{Quoted.Text(stepped.CssName)} reads like a step of another {kind.Name}.");
    }
}
