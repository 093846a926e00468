using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>The two ends of the type scale. Nothing refers to them.</summary>
public sealed class ScaleEndKind : ListedKind<ScaleEnd>
{
    public const string Kind = "scaleEnd";

    /// <summary>Their ids.</summary>
    public const string Narrow = "narrow", Wide = "wide";

    public override string Code => Kind;

    public override string Name => "end of the scale";

    public override string Plural => "ends of the scale";

    public override CssType Type { get; } = new("scale-end");

    public override bool HasTokens => false;

    public override FoundationStep Step => FoundationStep.Type;

    public override string Path => "/type/scale/ends";

    public override int Fewest => 2;

    public override int Most => 2;

    public override bool IsFixed => true;

    public override ImmutableArray<ScaleEnd> List(Site site) => site.Type.Scale.Ends;

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        if (site.Type.Scale.Ends is [{ Id: Narrow } narrow, { Id: Wide } wide])
        {
            if (narrow.Width.Amount() >= wide.Width.Amount())
                yield return new("/width", thing.Id == Narrow ? $"The narrow width lies below the wide one, {wide.Width.Amount():0.####}px." : $"The wide width lies above the narrow one, {narrow.Width.Amount():0.####}px.");
        }
        else
        {
            yield return new("", "The type scale has a narrow end and a wide one.");
        }
    }

    public override string Note(Site site, IListed thing, Field field) => field.Id == "ratio" ? RatioValues.NameOf(((ScaleEnd)thing).Ratio.Amount()) : "";

    public override string Token(Site site, ReferenceValue reference) => throw new InvalidOperationException("An end of the scale has no custom property.");

    protected override Site With(Site site, ImmutableArray<ScaleEnd> things) => site with { Type = site.Type with { Scale = site.Type.Scale with { Ends = things } } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "width", Name = "Width", Kind = new NumberValues("px"), Min = 200, Max = 4000 }, e => e.Width, (e, value) => e with { Width = value }),
        Of(new() { Id = "base", Name = "Base", Kind = new NumberValues("px"), Min = 8, Max = 48 }, e => e.Base, (e, value) => e with { Base = value }),
        Of(new() { Id = "ratio", Name = "Ratio", Kind = new RatioValues(), Min = 1, Max = 2 }, e => e.Ratio, (e, value) => e with { Ratio = value }),
    ];

    protected override ScaleEnd Create(Site site, string id) => throw new InvalidOperationException("The scale has two ends.");

    protected override ScaleEnd Copied(ScaleEnd thing, string id) => throw new InvalidOperationException("The scale has two ends.");

    protected override string NameOf(Site site, ScaleEnd thing) => thing.Id == Narrow ? "Narrow end" : "Wide end";
}
