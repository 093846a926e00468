using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>What holds of all spaces of a site.</summary>
public sealed class SpaceRulesKind : FixedKind<SpaceRules>
{
    public const string Kind = "spaceRules";

    public override string Code => Kind;

    public override string Name => "rule of spaces";

    public override string Plural => "rules of spaces";

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/rules";

    protected override IReadOnlyList<string> Ids { get; } = [SpaceRules.Usual.Id];

    public override ImmutableArray<SpaceRules> List(Site site) => site.Space.Rules;

    /// <summary>The margin before an element of a stack, as CSS: from the space after the one above it, the space before itself, and the gap of the stack.</summary>
    /// <param name="above">The custom property that holds the first; it and <paramref name="before"/> may hold nothing.</param>
    public static string Margin(Value meeting, string above, string before, string gap)
    {
        // What says nothing says the gap.
        var (aboveElse, beforeElse) = ($"var({above}, var({gap}))", $"var({before}, var({gap}))");
        return meeting.Code() switch
        {
            SpaceRules.Sum => $"calc(var({gap}) + var({above}, 0px) + var({before}, 0px))",
            SpaceRules.Above => aboveElse,
            SpaceRules.Below => beforeElse,
            _ => $"max({aboveElse}, {beforeElse})",
        };
    }

    protected override Site With(Site site, ImmutableArray<SpaceRules> things) => site with { Space = site.Space with { Rules = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new()
        {
            Id = "meeting", Name = "Where two meet", Kind = new WordValues(),
            Words = [new(SpaceRules.Larger, "the larger counts", ""), new(SpaceRules.Above, "the one above counts", ""), new(SpaceRules.Below, "the one below counts", ""), new(SpaceRules.Sum, "both add to the gap", "")],
        }, r => r.Meeting, (r, value) => r with { Meeting = value }),
        Of(new()
        {
            Id = "sides", Name = "Sides that differ", Kind = new WordValues(), Words = [new(SpaceRules.Physical, "top right bottom left", ""), new(SpaceRules.ByWriting, "by direction of writing", "")],
        }, r => r.Sides, (r, value) => r with { Sides = value }),
        Of(new() { Id = "least", Name = "Least room in a box", Kind = new NumberValues("px"), Min = 0, Max = 100 }, r => r.Least, (r, value) => r with { Least = value }),
    ];

    protected override string NameOf(Site site, SpaceRules thing) => "Rules of spaces";
}
