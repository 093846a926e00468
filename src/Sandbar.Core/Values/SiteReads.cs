using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A site that remembers what of it was read: what was written from these reads stays right for as long as they give the same.</summary>
public sealed class SiteReads(Site site)
{
    private readonly Dictionary<ReferenceValue, string> tokens = [];
    private readonly Dictionary<ReferenceValue, IListed> things = [];
    private readonly Dictionary<Func<Site, string>, string> facts = [];

    public Site Site => site;

    /// <summary>The references whose custom properties were named.</summary>
    public IEnumerable<ReferenceValue> Tokens => tokens.Keys;

    /// <summary>The custom property a reference reads.</summary>
    public string Token(ReferenceValue reference)
    {
        if (!tokens.TryGetValue(reference, out var token)) tokens[reference] = token = Kinds.Of(reference).Token(site, reference);
        return token;
    }

    /// <summary>What a reference leads to, whole.</summary>
    public T Thing<T>(ReferenceValue reference)
        where T : class, IListed
    {
        var thing = Kinds.Listed(reference.To).Get(site, reference.Id);
        things[reference] = thing;
        return (T)thing;
    }

    /// <summary>Something that is so of the site as a whole, in words.</summary>
    /// <param name="fact">Always the same delegate for the same fact.</param>
    public string Fact(Func<Site, string> fact) => facts[fact] = fact(site);

    /// <summary>Whether another site gives the same to every read.</summary>
    public bool HoldFor(Site other) =>
        ReferenceEquals(site, other)
        || (tokens.All(t => Kinds.Of(t.Key) is var kind && kind.Leads(other, t.Key) && kind.Token(other, t.Key) == t.Value)
            && things.All(t => ReferenceEquals(Kinds.Listed(t.Key.To).Find(other, t.Key.Id), t.Value))
            && facts.All(f => f.Key(other) == f.Value));
}
