using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>The two ends of the spacing scale: the widths fluid spaces grow between, and what a scale by ratio begins with at each.</summary>
public sealed class SpaceEndKind : EndsKind
{
    public const string Kind = "spaceEnd";

    public override string Code => Kind;

    public override string Name => "end of the spacing scale";

    public override string Plural => "ends of the spacing scale";

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/ends";

    protected override (decimal Min, decimal Max) Bases => (1, 200);

    /// <summary>A ratio of 1 would make every space the same.</summary>
    protected override (decimal Min, decimal Max) Ratios => (1.05m, 4);

    public override ImmutableArray<ScaleEnd> List(Site site) => site.Space.Ends;

    public override Site Settled(Site site) => SpaceScales.Settled(site);

    protected override Site With(Site site, ImmutableArray<ScaleEnd> things) => site with { Space = site.Space with { Ends = things } };
}
