using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations;
using Sandbar.Core.Values;

namespace Sandbar.Core.Interchange.Upgrades;

/// <summary>A site whose things are called like something that has come to mean another thing where they are typed, such as a radius called gap: each gets a name of its own.</summary>
internal static class NamesThatMeanOneThing
{
    public static Site In(Site site)
    {
        foreach (var kind in Kinds.AllListed.Where(k => k is INamedKind))
        {
            foreach (var thing in kind.Things(site).OfType<INamed>().Where(t => Naming.IsReserved(site, kind, kind.Typed(t.Name.Trim()))).ToList())
            {
                var name = $"{thing.Name.Trim()} {kind.Name}";
                site = Enumerable.Range(1, 100).Select(n => new RenameThing(kind.Code, thing.Id, n == 1 ? name : $"{name} {n}").Apply(site).Site).FirstOrDefault(s => s is not null) ?? site;
            }
        }
        return site;
    }
}
