using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Edges;

/// <summary>Named radii.</summary>
public sealed class RadiusKind : NamedKind<Radius>
{
    public const string Kind = "radius";

    public override string Code => Kind;

    public override string Name => "radius";

    public override string Plural => "radii";

    public override CssType Type => CssType.Length;

    public override FoundationStep Step => FoundationStep.Edges;

    public override string Path => "/edges/radii";

    public override ImmutableArray<Radius> List(Site site) => site.Edges.Radii;

    public override string Note(Site site, ReferenceValue reference) => ValueForms.Write(site, Get(site, reference.Id).Size);

    public override IEnumerable<Problem> Problems(Site site, IListed thing) =>
        ((Radius)thing).Size.References().Any(r => r.To == Kind) ? [new("/size", "A radius cannot be made of radii.")] : [];

    protected override Site With(Site site, ImmutableArray<Radius> things) => site with { Edges = site.Edges with { Radii = things } };

    protected override ImmutableArray<Field> Described() =>
        [Of(new() { Id = "size", Name = "Size", Kind = LengthValues.Spaces, Min = 0 }, r => r.Size, (r, value) => r with { Size = value })];

    protected override Radius Create(Site site, string id) => new(id, "", "", new NumberValue(4, "px"));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Radius thing) => [new(Token(thing), ValueForms.Css(reads, thing.Size), thing.Id)];
}
