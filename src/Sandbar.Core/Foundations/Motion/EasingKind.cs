using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Motion;

/// <summary>Named easings: cubic Bézier curves (CSS Easing Functions 2, §2.2), steps (§2.3), and springs, written as the points of a <c>linear()</c> (§2.1).</summary>
public sealed class EasingKind : NamedKind<Easing>
{
    public const string Kind = "easing";

    private const string OfCurve = "Curve", OfSteps = "Steps", OfSpring = "Spring";

    public override string Code => Kind;

    public override string Name => "easing";

    public override CssType Type => CssType.Easing;

    public override FoundationStep Step => FoundationStep.Motion;

    public override string Path => "/motion/easings";

    public override ImmutableArray<Easing> List(Site site) => site.Motion.Easings;

    public override string Note(Site site, IListed thing, Field field)
    {
        var shape = ((Easing)thing).Shape.Code();
        return field.Setting.Group switch
        {
            OfCurve when shape != Easing.Curve => "shows once it is a curve",
            OfSteps when shape != Easing.InSteps => "shows once it goes in steps",
            OfSpring when shape != Easing.Spring => "shows once it is a spring",
            _ => "",
        };
    }

    /// <summary>An easing as CSS.</summary>
    public static string Css(Easing easing) => easing.Shape.Code() switch
    {
        Easing.InSteps => $"steps({Number(easing.Steps.Amount())}, jump-{easing.Jump.Code()})",
        Easing.Spring => Springs.Css((double)easing.Bounce.Amount() / 100),
        _ => $"cubic-bezier({string.Join(", ", new[] { easing.X1, easing.Y1, easing.X2, easing.Y2 }.Select(v => Number(v.Amount())))})",
    };

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        var easing = (Easing)thing;
        // A pause at either end leaves one step fewer between (§2.3).
        if (easing.Jump.Code() == "none" && easing.Steps.Amount() < 2) yield return new("/steps", "Without a jump at either end there are at least 2 steps.");
    }

    protected override Site With(Site site, ImmutableArray<Easing> things) => site with { Motion = site.Motion with { Easings = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "shape", Name = "Shape", Kind = new WordValues(), Words = [new(Easing.Curve, ""), new(Easing.InSteps, ""), new(Easing.Spring, "")] }, e => e.Shape, (e, value) => e with { Shape = value }),
        Of(new() { Id = "reduced", Name = "Less motion", Kind = new WordValues(), Words = [new(Easing.Even, ""), new(Easing.Same, "the same", "")] }, e => e.Reduced, (e, value) => e with { Reduced = value }),
        Of(Time("x1", "Time 1"), e => e.X1, (e, value) => e with { X1 = value }),
        Of(Progress("y1", "Progress 1"), e => e.Y1, (e, value) => e with { Y1 = value }),
        Of(Time("x2", "Time 2"), e => e.X2, (e, value) => e with { X2 = value }),
        Of(Progress("y2", "Progress 2"), e => e.Y2, (e, value) => e with { Y2 = value }),
        Of(new() { Id = "steps", Name = "Steps", Group = OfSteps, Kind = new NumberValues(), Min = 1, Max = 100, IsWhole = true }, e => e.Steps, (e, value) => e with { Steps = value }),
        Of(new() { Id = "jump", Name = "Jumps at", Group = OfSteps, Kind = new WordValues(), Words = [new("end", ""), new("start", ""), new("both", ""), new("none", "neither", "")] }, e => e.Jump, (e, value) => e with { Jump = value }),
        Of(new() { Id = "bounce", Name = "Bounce", Group = OfSpring, Kind = new NumberValues("%"), Min = 0, Max = 90 }, e => e.Bounce, (e, value) => e with { Bounce = value }),
    ];

    /// <summary>The curve that <c>ease</c> stands for (CSS Easing Functions 2, §2.2.1).</summary>
    protected override Easing Create(Site site, string id) => new(id, "", "", new NumberValue(0.25m, ""), new NumberValue(0.1m, ""), new NumberValue(0.25m, ""), new NumberValue(1, ""));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Easing thing)
    {
        yield return new(Token(thing), Css(thing), thing.Id);
        if (thing.Reduced.Code() == Easing.Even) yield return new(Token(thing), "linear", thing.Id, "reduced", Needs.LessMotion);
    }

    private static string Number(decimal number) => number.ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>Browsers refuse a curve whose points lie outside the time it has.</summary>
    private static Setting Time(string id, string name) => new() { Id = id, Name = name, Group = OfCurve, Kind = new NumberValues(), Min = 0, Max = 1 };

    private static Setting Progress(string id, string name) => new() { Id = id, Name = name, Group = OfCurve, Kind = new NumberValues(), Min = -10, Max = 10 };
}
