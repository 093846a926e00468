using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Edges;

/// <summary>Named radii; one may go another way down than across.</summary>
public sealed class RadiusKind : NamedKind<Radius>
{
    public const string Kind = "radius";

    private static readonly Word Same = new("same", "as across", "");

    public override string Code => Kind;

    public override string Name => "radius";

    public override string Plural => "radii";

    public override CssType Type => CssType.Length;

    public override FoundationStep Step => FoundationStep.Edges;

    public override string Path => "/edges/radii";

    public override ImmutableArray<Radius> List(Site site) => site.Edges.Radii;

    public override string Note(Site site, ReferenceValue reference) => Get(site, reference.Id) is var radius && IsEllipse(radius)
        ? $"{ValueForms.Write(site, radius.Size)} by {ValueForms.Write(site, radius.Down)}"
        : ValueForms.Write(site, radius.Size);

    public override string? DownToken(SiteReads reads, ReferenceValue reference) => reads.Thing<Radius>(reference) is var radius && IsEllipse(radius) ? Down(radius) : null;

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        var radius = (Radius)thing;
        if (radius.Size.References().Any(r => r.To == Kind)) yield return new("/size", "A radius cannot be made of radii.");
        if (radius.Down.References().Any(r => r.To == Kind)) yield return new("/down", "A radius cannot be made of radii.");
    }

    protected override Site With(Site site, ImmutableArray<Radius> things) => site with { Edges = site.Edges with { Radii = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "size", Name = "Size", Kind = LengthValues.Spaces, Min = 0 }, r => r.Size, (r, value) => r with { Size = value }),
        Of(new() { Id = "down", Name = "Down", Kind = LengthValues.Spaces, Words = [Same], Min = 0 }, r => r.Down, (r, value) => r with { Down = value }),
    ];

    protected override Radius Create(Site site, string id) => new(id, "", "", new NumberValue(4, "px"));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Radius thing)
    {
        yield return new(Token(thing), ValueForms.Css(reads, thing.Size), thing.Id);
        if (IsEllipse(thing)) yield return new(Down(thing), ValueForms.Css(reads, thing.Down), thing.Id, "down");
    }

    private static bool IsEllipse(Radius radius) => radius.Down is not WordValue;

    private static string Down(Radius radius) => $"--radius-down-{radius.CssName}";
}
