using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>The two ends of a scale that is fluid between them.</summary>
public abstract class EndsKind : FixedKind<ScaleEnd>
{
    /// <summary>Their ids.</summary>
    public const string Narrow = "narrow", Wide = "wide";

    protected sealed override IReadOnlyList<string> Ids { get; } = [Narrow, Wide];

    /// <summary>The smallest and the largest base, px.</summary>
    protected abstract (decimal Min, decimal Max) Bases { get; }

    /// <summary>The smallest and the largest ratio.</summary>
    protected abstract (decimal Min, decimal Max) Ratios { get; }

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        if (base.Problems(site, thing).ToList() is { Count: > 0 } problems) return problems;
        var (narrow, wide) = (List(site)[0].Width.Amount(), List(site)[1].Width.Amount());
        if (narrow < wide) return [];
        return [new("/width", thing.Id == Narrow ? $"The narrow width lies below the wide one, {wide:0.####}px." : $"The wide width lies above the narrow one, {narrow:0.####}px.")];
    }

    public override string Note(Site site, IListed thing, Field field) => field.Id == "ratio" ? RatioValues.NameOf(((ScaleEnd)thing).Ratio.Amount()) : "";

    protected sealed override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "width", Name = "Width", Kind = new NumberValues("px"), Min = 200, Max = 4000 }, e => e.Width, (e, value) => e with { Width = value }),
        Of(new() { Id = "base", Name = "Base", Kind = new NumberValues("px"), Min = Bases.Min, Max = Bases.Max }, e => e.Base, (e, value) => e with { Base = value }),
        Of(new() { Id = "ratio", Name = "Ratio", Kind = new RatioValues(), Min = Ratios.Min, Max = Ratios.Max }, e => e.Ratio, (e, value) => e with { Ratio = value }),
    ];

    protected sealed override string NameOf(Site site, ScaleEnd thing) => thing.Id == Narrow ? "Narrow end" : "Wide end";
}
