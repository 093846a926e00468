using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A kind of which there are always the same things: what is set once for a site. Nothing refers to them.</summary>
public abstract class FixedKind<T> : ListedKind<T>
    where T : class, IListed
{
    /// <summary>The ids there are, in order.</summary>
    protected abstract IReadOnlyList<string> Ids { get; }

    public sealed override CssType Type => new(Code);

    public override bool HasTokens => false;

    public sealed override int Fewest => Ids.Count;

    public sealed override int Most => Ids.Count;

    public sealed override bool IsFixed => true;

    public override IEnumerable<Problem> Problems(Site site, IListed thing) =>
        List(site).Select(t => t.Id).SequenceEqual(Ids, StringComparer.Ordinal) ? [] : [new("", $"There is one {Name} of each sort, in order: {string.Join(", ", Ids)}.")];

    public sealed override string Token(Site site, ReferenceValue reference) => throw new InvalidOperationException($"The {Name} has no custom property.");

    protected sealed override T Create(Site site, string id) => throw new InvalidOperationException($"There is no other {Name}.");

    protected sealed override T Copied(T thing, string id) => throw new InvalidOperationException($"There is no other {Name}.");
}
