using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>Content width, gutter, rhythm and gap between two breaks.</summary>
public sealed class PageSpacingKind : FixedKind<PageSpacing>
{
    public const string Kind = "pageSpacing";

    private static readonly Word Narrower = new(PageSpacing.AsNarrower, "as narrower", ""), Full = new("full", "none");

    public override string Code => Kind;

    public override string Name => "page spacing";

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/pages";

    protected override IReadOnlyList<string> Ids { get; } = [.. PageSpacing.Usual.Select(p => p.Id)];

    public override ImmutableArray<PageSpacing> List(Site site) => site.Space.Pages;

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        foreach (var problem in base.Problems(site, thing)) yield return problem;
        foreach (var field in Fields(site))
        {
            var value = field.Get(thing);
            if (thing.Id == PageSpacing.Usual[0].Id && value.Code() == PageSpacing.AsNarrower) yield return new($"/{field.Id}", "Nothing is narrower than this: type a length.");
            if (value.References().Any(r => r.To == PageMeasureKind.Kind)) yield return new($"/{field.Id}", "This is made of spaces and lengths, not of the page's own.");
        }
    }

    /// <summary>The widths one holds at.</summary>
    public static Interval Widths(PageSpacing spacing) => Breaks.Between[Math.Max(0, PageSpacing.Usual.ToList().FindIndex(p => p.Id == spacing.Id))];

    protected override Site With(Site site, ImmutableArray<PageSpacing> things) => site with { Space = site.Space with { Pages = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "content-width", Name = "Content width", Kind = LengthValues.Spaces, Words = [Full, Narrower], Min = 0 }, p => p.ContentWidth, (p, value) => p with { ContentWidth = value }),
        Of(Length("gutter", "Gutter"), p => p.Gutter, (p, value) => p with { Gutter = value }),
        Of(Length("rhythm", "Section rhythm"), p => p.Rhythm, (p, value) => p with { Rhythm = value }),
        Of(Length("gap", "Gap"), p => p.Gap, (p, value) => p with { Gap = value }),
    ];

    protected override string NameOf(Site site, PageSpacing thing) => Widths(thing) switch
    {
        { From: null, Below: { } below } => $"Below {below}",
        { From: { } from, Below: { } below } => $"{from} to {below}",
        { From: var from } => $"From {from}",
    };

    private static Setting Length(string id, string name) => new() { Id = id, Name = name, Kind = LengthValues.Spaces, Words = [Narrower], Min = 0 };
}
