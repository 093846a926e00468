using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Motion;

/// <summary>Named easings, after the cubic Bézier functions of CSS Easing Functions 1, §2.2.</summary>
public sealed class EasingKind : NamedKind<Easing>
{
    public const string Kind = "easing";

    public override string Code => Kind;

    public override string Name => "easing";

    public override CssType Type { get; } = new("easing-function");

    public override FoundationStep Step => FoundationStep.Motion;

    public override string Path => "/motion/easings";

    public override ImmutableArray<Easing> List(Site site) => site.Motion.Easings;

    protected override Site With(Site site, ImmutableArray<Easing> things) => site with { Motion = site.Motion with { Easings = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(Time("x1", "First point, time"), e => e.X1, (e, value) => e with { X1 = value }),
        Of(Progress("y1", "First point, progress"), e => e.Y1, (e, value) => e with { Y1 = value }),
        Of(Time("x2", "Second point, time"), e => e.X2, (e, value) => e with { X2 = value }),
        Of(Progress("y2", "Second point, progress"), e => e.Y2, (e, value) => e with { Y2 = value }),
    ];

    /// <summary>The curve that <c>ease</c> stands for (CSS Easing Functions 1, §2.2).</summary>
    protected override Easing Create(Site site, string id) => new(id, "", "", new NumberValue(0.25m, ""), new NumberValue(0.1m, ""), new NumberValue(0.25m, ""), new NumberValue(1, ""));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Easing thing) =>
        [new(Token(thing), $"cubic-bezier({string.Join(", ", Fields(reads.Site).Select(f => f.Setting.Css(reads, f.Get(thing))))})", thing.Id)];

    /// <summary>Browsers refuse a curve whose points lie outside the time it has.</summary>
    private static Setting Time(string id, string name) => new() { Id = id, Name = name, Kind = new NumberValues(), Min = 0, Max = 1 };

    private static Setting Progress(string id, string name) => new() { Id = id, Name = name, Kind = new NumberValues(), Min = -10, Max = 10 };
}
