using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Values;

namespace Sandbar.Core.Checking;

/// <summary>What must hold of a thing of the foundations: its values, its items, its name, and what its kind says.</summary>
public static class ThingCheck
{
    /// <summary>What is wrong with a thing, each with its path within it.</summary>
    public static IEnumerable<Problem> Problems(Site site, ListedKind kind, IListed thing)
    {
        foreach (var (path, field, value) in kind.Values(site, thing))
        {
            if (field.Setting.Refusal(site, value) is { } refusal) yield return new(path, refusal);
        }
        if (kind.Items is { } items)
        {
            var all = items.Of(thing);
            if (all.Length < items.Fewest) yield return new($"/{items.Name}s", $"{kind.NameOf(site, thing)} has at least {items.Fewest} {items.Name}{(items.Fewest == 1 ? "" : "s")}.");
            if (all.Length > items.Most) yield return new($"/{items.Name}s", $"{kind.NameOf(site, thing)} has at most {items.Most} {items.Name}{(items.Most == 1 ? "" : "s")}.");
            foreach (var problem in Ids.Problems($"/{items.Name}s", all)) yield return problem;
        }
        foreach (var problem in kind.Problems(site, thing)) yield return problem;
    }

    /// <summary>What is wrong with the name of a thing; null where nothing is.</summary>
    public static Problem? NameProblem(Site site, ListedKind kind, INamed thing, string path = "/name") =>
        Naming.Check(site, kind, thing.Id, thing.Name, path) ?? (thing is not Named { CssName: var cssName } || Names.IsSlug(cssName) ? null : new("/cssName", "A CSS name is lower-case letters, digits and hyphens."));
}
