using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Motion;

/// <summary>Named durations, each with how long it is for visitors who ask for less motion.</summary>
public sealed class DurationKind : NamedKind<Duration>
{
    public const string Kind = "duration";

    public override string Code => Kind;

    public override string Name => "duration";

    public override CssType Type => CssType.Time;

    public override FoundationStep Step => FoundationStep.Motion;

    public override string Path => "/motion/durations";

    public override ImmutableArray<Duration> List(Site site) => site.Motion.Durations;

    public override string Note(Site site, ReferenceValue reference) => ValueForms.Write(site, Get(site, reference.Id).Time);

    protected override Site With(Site site, ImmutableArray<Duration> things) => site with { Motion = site.Motion with { Durations = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(Time("time", "Time"), d => d.Time, (d, value) => d with { Time = value }),
        Of(Time("reduced", "Less motion"), d => d.Reduced, (d, value) => d with { Reduced = value }),
    ];

    protected override Duration Create(Site site, string id) => new(id, "", "", new NumberValue(200, "ms"), new NumberValue(0, "ms"));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Duration thing)
    {
        yield return new(Token(thing), ValueForms.Css(reads, thing.Time), thing.Id);
        if (thing.Reduced != thing.Time) yield return new(Token(thing), ValueForms.Css(reads, thing.Reduced), thing.Id, "reduced", Needs.LessMotion);
    }

    private static Setting Time(string id, string name) => new() { Id = id, Name = name, Kind = new NumberValues("ms"), Min = 0, Max = ChangeForm.Longest };
}
