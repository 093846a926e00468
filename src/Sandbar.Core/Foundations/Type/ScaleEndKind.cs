using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>The two ends of the type scale.</summary>
public sealed class ScaleEndKind : EndsKind
{
    public const string Kind = "scaleEnd";

    public override string Code => Kind;

    public override string Name => "end of the scale";

    public override string Plural => "ends of the scale";

    public override FoundationStep Step => FoundationStep.Type;

    public override string Path => "/type/scale/ends";

    protected override (decimal Min, decimal Max) Bases => (8, 48);

    protected override (decimal Min, decimal Max) Ratios => (1, 2);

    public override ImmutableArray<ScaleEnd> List(Site site) => site.Type.Scale.Ends;

    protected override Site With(Site site, ImmutableArray<ScaleEnd> things) => site with { Type = site.Type with { Scale = site.Type.Scale with { Ends = things } } };
}
