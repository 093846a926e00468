using System.Collections.Immutable;
using System.Runtime.InteropServices;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>What looks refer to of the page's space: it is what it is at each width.</summary>
public sealed class PageMeasureKind : ReferenceKind
{
    public const string Kind = "pageMeasure";

    /// <summary>Each with how it is called.</summary>
    private static readonly ImmutableArray<(string Id, string Name)> Measures = [("content-width", "content width"), ("gutter", "gutter"), ("rhythm", "rhythm"), ("gap", "gap")];

    public override string Code => Kind;

    public override string Name => "measure of the page";

    public override string Plural => "measures of the page";

    public override CssType Type => CssType.Length;

    public override FoundationStep Step => FoundationStep.Space;

    public override bool Leads(Site site, ReferenceValue reference) => reference.Step == 0 && Measures.Any(m => m.Id == reference.Id);

    public override string NameOf(Site site, ReferenceValue reference) => Measures.First(m => m.Id == reference.Id).Name;

    public override ReferenceValue? Read(Site site, string text) =>
        Measures.FirstOrDefault(m => m.Name.Equals(text, StringComparison.OrdinalIgnoreCase)) is { Id: { } id } ? new(Kind, id) : null;

    public override IEnumerable<string> Names(Site site) => Measures.Select(m => m.Name);

    public override string Token(Site site, ReferenceValue reference) => Token(reference.Id);

    public override object Source(Site site) => ImmutableCollectionsMarshal.AsArray(site.Space.Pages) ?? [];

    public override string DecidedBy => PageSpacingKind.Kind;

    public override string Note(Site site, ReferenceValue reference) =>
        string.Join(" · ", site.Space.Pages.Select(page => (Field(reference.Id), page)).Where(p => p.Item1.Get(p.page).Code() != PageSpacing.AsNarrower).Select(p => p.Item1.Setting.Write(site, p.Item1.Get(p.page))));

    public override IEnumerable<Token> Tokens(SiteReads reads) =>
        from page in reads.Site.Space.Pages
        from measure in Measures
        let value = Field(measure.Id).Get(page)
        where value.Code() != PageSpacing.AsNarrower
        let widths = PageSpacingKind.Widths(page)
        select new Token(Token(measure.Id), Css(reads, measure.Id, value), page.Id, measure.Id) { Widths = widths.From is null ? Interval.All : new(widths.From, null) };

    /// <summary>What a measure is at a width of the window, px.</summary>
    /// <param name="id">Of the measure.</param>
    public static Value Of(Site site, string id, double width)
    {
        var field = Field(id);
        return site.Space.Pages.Where(p => (PageSpacingKind.Widths(p).From ?? 0) <= width).Select(field.Get).Last(value => value.Code() != PageSpacing.AsNarrower);
    }

    /// <summary>The measure that a setting is called like, where it is so many px at every width; null where there is none.</summary>
    /// <param name="setting">Id of the setting: of a piece it ends with that of the measure.</param>
    public static string? Same(Site site, string setting, double px) => Measures.Select(m => m.Id).FirstOrDefault(id =>
        setting.EndsWith(id, StringComparison.Ordinal) && Breaks.Between.All(widths => Lengths.At(site, Of(site, id, widths.From ?? 0), widths.From ?? 0) is { } its && Math.Abs(its - px) < 0.005));

    private static string Token(string id) => $"--page-{id}";

    /// <summary>Nothing with its unit: it stands in sums.</summary>
    private static string Css(SiteReads reads, string id, Value value) => Field(id).Setting.Css(reads, value) is var css && css == "0" ? "0px" : css;

    private static Field Field(string id) => Kinds.Listed(PageSpacingKind.Kind).OwnField(id);
}
