using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A kind whose things have names of their own.</summary>
public interface INamedKind
{
    /// <summary>The thing under another name.</summary>
    INamed Called(Site site, INamed thing, string name);
}

/// <summary>A kind of named things: colours, text styles, borders.</summary>
public abstract class NamedKind<T> : ListedKind<T>, INamedKind
    where T : Named
{
    /// <summary>What its custom properties begin with, without dashes; it is the kind's code where nothing else is said.</summary>
    protected virtual string Prefix => Code;

    public sealed override string Token(Site site, ReferenceValue reference) => Token(Get(site, reference.Id), reference.Step);

    /// <summary>The custom property of a thing at a step.</summary>
    public string Token(T thing, int step = 0) => $"--{Prefix}-{thing.CssName}{StepText.Suffix(step)}";

    public sealed override IEnumerable<Token> Tokens(SiteReads reads) => List(reads.Site).SelectMany(thing => Tokens(reads, thing));

    public INamed Called(Site site, INamed thing, string name) => (T)thing with { Name = name.Trim(), CssName = FreeCssName(name, List(site).Where(t => t.Id != thing.Id).Select(t => t.CssName)) };

    /// <summary>A slug that none of the others has and that no step of another could be taken for.</summary>
    public string FreeCssName(string name, IEnumerable<string> others)
    {
        var used = others.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var slug = Design.Names.Slug(name);
        for (var n = 2; used.Contains(slug) || (HasSteps && StepText.EndsLikeStep(slug)); n++) slug = $"{Design.Names.Slug(name)}-{n}";
        return slug;
    }

    /// <summary>The custom properties a thing comes to.</summary>
    protected virtual IEnumerable<Token> Tokens(SiteReads reads, T thing) => [];

    protected override string NameOf(Site site, T thing) => thing.Name;

    protected override T Copied(T thing, string id) => thing with { Id = id };
}
