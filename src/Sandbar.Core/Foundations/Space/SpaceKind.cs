using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>Positions on the spacing scale, named by their place: space 1 and so on.</summary>
public sealed class SpaceKind : ListedKind<SpaceStep>
{
    public const string Kind = "space";

    public override string Code => Kind;

    public override string Name => "space";

    public override CssType Type => CssType.Length;

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/steps";

    public override int Fewest => 1;

    public override int Most => 40;

    public override ImmutableArray<SpaceStep> List(Site site) => site.Space.Steps;

    public override ReferenceValue? Read(Site site, string text)
    {
        if (base.Read(site, text) is { } reference) return reference;
        var isPosition = text.StartsWith("space ", StringComparison.OrdinalIgnoreCase) && int.TryParse(text.AsSpan(6), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out _);
        if (!isPosition && !text.Equals("space", StringComparison.OrdinalIgnoreCase)) return null;
        throw new FormatException($"There is space 1 to space {site.Space.Steps.Length}.");
    }

    public override string Note(Site site, ReferenceValue reference) => $"{Get(site, reference.Id).Size.Amount():0.####}px";

    public override string Token(Site site, ReferenceValue reference) => Token(site, Get(site, reference.Id));

    public override IEnumerable<Token> Tokens(SiteReads reads) => List(reads.Site).Select(s => new Token(Token(reads.Site, s), NumberForm.Css(s.Size.Amount() / (decimal)Fluid.Root, "rem"), s.Id));

    protected override Site With(Site site, ImmutableArray<SpaceStep> things) => site with { Space = new(things) };

    protected override ImmutableArray<Field> Described() =>
        [Of(new() { Id = "size", Name = "Size", Kind = new NumberValues("px"), Min = 0, Max = 10_000 }, s => s.Size, (s, value) => s with { Size = value })];

    protected override SpaceStep Create(Site site, string id) => new(id, site.Space.Steps[^1].Size);

    protected override SpaceStep Copied(SpaceStep thing, string id) => thing with { Id = id };

    protected override string NameOf(Site site, SpaceStep thing) => $"space {Place(site, thing)}";

    private static string Token(Site site, SpaceStep space) => $"--space-{Place(site, space)}";

    private static int Place(Site site, SpaceStep space) => site.Space.Steps.IndexOf(space) + 1;
}
