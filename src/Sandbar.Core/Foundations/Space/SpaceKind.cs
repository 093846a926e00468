using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>Positions on the spacing scale, named by their place: space 1 and so on.</summary>
public sealed class SpaceKind : ListedKind<SpaceStep>
{
    public const string Kind = "space";

    /// <summary>As many as a scale has at most.</summary>
    public const int MostSpaces = 40;

    public override string Code => Kind;

    public override string Name => "space";

    public override CssType Type => CssType.Length;

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/steps";

    public override int Fewest => 1;

    public override int Most => MostSpaces;

    public override ImmutableArray<SpaceStep> List(Site site) => site.Space.Steps;

    public override ReferenceValue? Read(Site site, string text)
    {
        if (base.Read(site, text) is { } reference) return reference;
        var isPosition = text.StartsWith("space ", StringComparison.OrdinalIgnoreCase) && int.TryParse(text.AsSpan(6), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out _);
        if (!isPosition && !text.Equals("space", StringComparison.OrdinalIgnoreCase)) return null;
        throw new FormatException($"There is space 1 to space {site.Space.Steps.Length}.");
    }

    public override string Note(Site site, ReferenceValue reference) => Get(site, reference.Id) is var space && space.Wide is NumberValue wide
        ? $"{space.Size.Amount():0.##}–{wide.Number:0.##}px"
        : ValueForms.Write(site, space.Size);

    public override string Token(Site site, ReferenceValue reference) => Token(site, Get(site, reference.Id));

    public override IEnumerable<Token> Tokens(SiteReads reads)
    {
        // Fluid ones are made of the two ends too: these are read as the facts they are.
        reads.Fact(Ends);
        return List(reads.Site).Select(s => new Token(Token(reads.Site, s), SpaceScales.Css(reads, s), s.Id));
    }

    public override Site Settled(Site site) => SpaceScales.WithBase(site);

    public override string? Refuses(Site site, IListed thing, Field field) => SpaceScales.IsByRatio(site) ? "The scale gives the sizes, by base and ratio. Give them one by one to change them here." : null;

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        var step = (SpaceStep)thing;
        if (step.Size.WithInner().Any(v => v is ReferenceValue)) yield return new("/size", "A space is made of no other: type a length.");
        if (step.Wide is NumberValue wide && !(step.Size is NumberValue { Unit: "px" or "rem", Number: > 0 } && wide.Number > 0))
            yield return new("/wide", "A fluid space is a length of px or rem above 0 at either end.");
    }

    private static readonly Func<Site, string> Ends = site => string.Join(' ', site.Space.Ends.Select(e => e.Width.Amount().ToString(CultureInfo.InvariantCulture)));

    protected override Site With(Site site, ImmutableArray<SpaceStep> things) => site with { Space = site.Space with { Steps = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "size", Name = "Size", Kind = new LengthValues([]), Min = 0, Max = 10_000 }, s => s.Size, (s, value) => s with { Size = value }),
        Of(new() { Id = "wide", Name = "At the wide end", Kind = new NumberValues("px"), Words = [new(SpaceStep.Same.Word, "")], Min = 0, Max = 10_000 }, s => s.Wide, (s, value) => s with { Wide = value }),
    ];

    protected override SpaceStep Create(Site site, string id) => site.Space.Steps[^1] with { Id = id };

    protected override SpaceStep Copied(SpaceStep thing, string id) => thing with { Id = id };

    protected override string NameOf(Site site, SpaceStep thing) => $"space {Place(site, thing)}";

    private static string Token(Site site, SpaceStep space) => $"--space-{Place(site, space)}";

    private static int Place(Site site, SpaceStep space) => site.Space.Steps.IndexOf(space) + 1;
}
