using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>How the spacing scale is made: each space given, or all from a base and a ratio.</summary>
public sealed class SpaceScaleKind : FixedKind<SpaceScale>
{
    public const string Kind = "spaceScale";

    public override string Code => Kind;

    public override string Name => "spacing scale";

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/scale";

    protected override IReadOnlyList<string> Ids { get; } = [SpaceScale.Usual.Id];

    public override ImmutableArray<SpaceScale> List(Site site) => site.Space.Scale;

    public override Site Settled(Site site) => SpaceScales.Settled(site);

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        foreach (var problem in base.Problems(site, thing)) yield return problem;
        if (((SpaceScale)thing).Place.Amount() > site.Space.Steps.Length) yield return new("/place", $"There is space 1 to space {site.Space.Steps.Length}.");
    }

    protected override Site With(Site site, ImmutableArray<SpaceScale> things) => site with { Space = site.Space with { Scale = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "by", Name = "Sizes", Kind = new WordValues(), Words = [new(SpaceScale.ByList, "one by one", ""), new(SpaceScale.ByRatio, "by base and ratio", "")] }, s => s.By, (s, value) => s with { By = value }),
        Of(new() { Id = "place", Name = "The base is space", Kind = new NumberValues(), Min = 1, Max = SpaceKind.MostSpaces, IsWhole = true }, s => s.Place, (s, value) => s with { Place = value }),
    ];

    protected override string NameOf(Site site, SpaceScale thing) => "Spacing scale";
}
