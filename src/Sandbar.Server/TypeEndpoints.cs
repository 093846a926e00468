using System.Collections.Immutable;
using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Reviewing;
using Sandbar.Store;

namespace Sandbar.Server;

/// <param name="Boxes">The boxes with several lines of text that the stage measured.</param>
public sealed record MeasuredStage([property: MaxLength(2_000)] IReadOnlyList<MeasuredBox> Boxes);

/// <param name="Concerns">How many things are to be said of all styles together.</param>
public sealed record TypeFiguresView(IReadOnlyList<StyleFigures> Styles, int Concerns);

/// <param name="Edit">What it would be made by; null for as it is.</param>
public sealed record CandidateEdit(Edit? Edit);

/// <summary>Ways a family or a text style could be.</summary>
/// <param name="Of">Code of its kind: a family, or a text style.</param>
public sealed record CandidatesRequest([property: MaxLength(32)] string Of, [property: MaxLength(128)] string Id, [property: MaxLength(2)] IReadOnlyList<CandidateEdit> Candidates);

/// <summary>The letters of a candidate in figures.</summary>
/// <param name="XHeight">Of small letters, of their size; null where no file says.</param>
/// <param name="TextWidth">Of the site's own text in it, px; null where no file is known.</param>
/// <param name="Weights">Such as 300–900, or 400, 700.</param>
public sealed record CandidateView(string Face, double? XHeight, double? CapHeight, double? TextWidth, string Weights, bool HasItalics);

/// <summary>A font file that was added.</summary>
/// <param name="Edit">What that changed.</param>
/// <param name="Family">Id of the family it is in now.</param>
public sealed record AddedFont(EditAnswer Edit, string Family);

/// <summary>The shelf of families, font files of the designer's own, and figures of type.</summary>
internal static class TypeEndpoints
{
    private const double UsualWidth = 1280;

    /// <summary>More than is taken: what is too large is answered in a sentence, where a body that is cut off would only break the connection.</summary>
    private const int LargestBody = 3 * OwnFont.MostBytes;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/families", (HttpResponse response) =>
        {
            response.Headers.CacheControl = "private, max-age=60";
            return TypedResults.Ok(BundledFamilyView.All.Value);
        }).WithName("listFamilies");

        api.MapPost("/sites/{slug}/fonts", AddFontAsync).WithName("addFont").Accepts<byte[]>("application/octet-stream")
            .ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict).WithMetadata(new RequestSizeLimitAttribute(LargestBody));

        api.MapPost("/sites/{slug}/type/figures", async Task<Results<Ok<TypeFiguresView>, ProblemHttpResult>> (
            string slug, MeasuredStage measured, OpenSites sites, ReadFonts fonts, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var site = head.Stored.Site;
            var figures = TypeFigures.Of(site, [.. measured.Boxes.Where(b => b.Inline is > 0 and < 100_000 && b.Width is > 0 and < 100_000)], await fonts.OfAsync(site, cancel));
            return TypedResults.Ok(new TypeFiguresView(figures, figures.Sum(f => f.Findings.Length)));
        }).WithName("getTypeFigures").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites/{slug}/type/candidates", async Task<Results<Ok<IReadOnlyList<CandidateView>>, ProblemHttpResult>> (
            string slug, CandidatesRequest request, OpenSites sites, ReadFonts fonts, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var views = new List<CandidateView>();
            foreach (var edit in request.Candidates.Select(c => c.Edit))
            {
                var outcome = edit?.Apply(head.Stored.Site) ?? head.Stored.Site;
                if (outcome.Site is not { } site) return EditEndpoints.Refused(outcome.Problems);
                if (await CandidateAsync(site, request, fonts, cancel) is not { } view) return EditEndpoints.Refused([new("/id", "This is no longer there.")]);
                views.Add(view);
            }
            return TypedResults.Ok<IReadOnlyList<CandidateView>>(views);
        }).WithName("compareCandidates").ProducesProblem(StatusCodes.Status400BadRequest);
    }

    private static async Task<CandidateView?> CandidateAsync(Site site, CandidatesRequest request, ReadFonts fonts, CancellationToken cancel)
    {
        var styles = site.Type.Styles.Where(s => request.Of == TextStyleKind.Kind ? s.Id == request.Id : TextStyleKind.FamilyOf(site, s)?.Id == request.Id).ToImmutableArray();
        var family = request.Of == TextStyleKind.Kind ? styles is [var style, ..] ? TextStyleKind.FamilyOf(site, style) : null : site.Type.Families.Find(request.Id);
        if (family is null) return null;
        var read = await fonts.OfAsync(site, cancel);
        var widths = styles.Select(s => TypeFigures.TextWidth(site, s, UsualWidth, read)).ToList();
        var measures = styles is [var first, ..] ? Faces.Measures(family, first.Weight.Amount(), first.Slant.Code() == TextStyle.Italic) : Faces.Measures(family);
        return new(
            FamilyList.First(family.Stack), Share(measures?.XHeight), Share(measures?.CapHeight), widths.Contains(null) || widths.Count == 0 ? null : Math.Round(widths.Sum(w => w!.Value.Width), 1),
            FamilyView.WeightsOf(family.Files), family.Files.Any(f => f.Italic));

        double? Share(int? height) => height is > 0 ? Math.Round((double)height.Value / measures!.UnitsPerEm, 3) : null;
    }

    /// <summary>Reads a font file, keeps it as we write it, and adds it to a family: the one that is named, the one of its own name, or a new one.</summary>
    /// <param name="family">Id of a family; null for the one that fits.</param>
    /// <param name="replaces">Id of a file of that family it takes the place of.</param>
    private static async Task<Results<Ok<AddedFont>, ProblemHttpResult>> AddFontAsync(
        string slug, string? family, string? replaces, long version, [MaxLength(64)] string window, long openedAt, [MaxLength(64)] string gesture, HttpRequest request, OpenSites sites, SiteStore store, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
        OwnFont font;
        try
        {
            font = await GivenFiles.ReadAsync(request, OwnFont.Read, cancel);
        }
        catch (FormatException broken)
        {
            return TypedResults.Problem(broken.Message, statusCode: StatusCodes.Status400BadRequest, title: "The font cannot be read");
        }
        await store.KeepAsync([font.Asset], cancel);
        var edit = AddFontFile.Of(head.Stored.Site, font, family, replaces, Guid.NewGuid().ToString());
        var result = await sites.EditAsync(slug, new(version, window, openedAt, gesture), edit, cancel);
        return result is EditResult.Made made ? TypedResults.Ok(new AddedFont(EditAnswer.Of(made.Before, made.Head, window, openedAt), edit.Family)) : (ProblemHttpResult)EditEndpoints.Answer(slug, result, window, openedAt).Result;
    }
}
