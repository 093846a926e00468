using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Reviewing;

namespace Sandbar.Server;

/// <summary>The colours that meet, and how those that cannot be told apart are mended.</summary>
internal static class PairEndpoints
{
    /// <summary>An id for what a mend adds.</summary>
    public static string NewId() => Guid.NewGuid().ToString();

    private static ProblemHttpResult Changed => TypedResults.Problem("The pairs have changed meanwhile: look at them again.", statusCode: StatusCodes.Status409Conflict, title: "The pairs have changed");

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites/{slug}/pairs", async Task<Results<Ok<PairsView>, ProblemHttpResult>> (string slug, OpenSites sites, Measures measures, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(PairsView.Of(head.Stored.Site, await sites.BeforeLastAsync(head, cancel), head.Stored.Version, measures.Of(head), cancel))
                : SiteEndpoints.Missing(slug)).WithName("getPairs");

        api.MapPost("/sites/{slug}/pairs/mends", async Task<Results<Ok<IReadOnlyList<PairMendView>>, ProblemHttpResult>> (string slug, MendRequest asked, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var site = head.Stored.Site;
            if (head.Stored.Version != asked.Version || ContrastPairs.Of(site, cancel).FirstOrDefault(p => PairMends.Key(p) == asked.Key) is not { } pair)
                return Changed;
            return TypedResults.Ok<IReadOnlyList<PairMendView>>([.. PairMends.Of(site, pair, NewId, cancel).Select(PairMendView.Of)]);
        }).WithName("findMends").ProducesProblem(StatusCodes.Status409Conflict);

        api.MapPost("/sites/{slug}/pairs/veil", async Task<Results<Ok<VeilView>, ProblemHttpResult>> (string slug, MendRequest asked, OpenSites sites, Measures measures, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var known = measures.Of(head);
            if (head.Stored.Version != asked.Version || known.Among([]).FirstOrDefault(p => PairMends.Key(p) == asked.Key) is not { } pair) return Changed;
            var (mend, why) = VeilMend.Of(head.Stored.Site, pair, known.Pages, await measures.PicturesAsync(head.Stored.Site, known.Pages.Select(p => p.Page), cancel), NewId, cancel);
            return TypedResults.Ok(new VeilView(mend is null ? null : VeilMendView.Of(mend), why));
        }).WithName("findVeil").ProducesProblem(StatusCodes.Status409Conflict);

        // A page as a window of the stage measured it: how its texts read is reckoned now, and kept as long as it holds.
        api.MapPost("/sites/{slug}/pairs/measured", async Task<Results<Ok<int>, ProblemHttpResult>> (string slug, MeasuredRequest given, OpenSites sites, Measures measures, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            if (given.Texts.Check() is { } wrong) return TypedResults.Problem(wrong, statusCode: StatusCodes.Status400BadRequest, title: "This page could not be measured");
            if (head.Stored.Version != given.Version) return Changed;
            return TypedResults.Ok(await measures.TakeAsync(head, given.Texts, cancel));
        }).WithName("takeMeasured").ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict);

        api.MapGet("/sites/{slug}/pairs/collapsing", async Task<Results<Ok<IReadOnlyList<CollapsingPairView>>, ProblemHttpResult>> (
            string slug, [Range(0, 1)] double severity, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok<IReadOnlyList<CollapsingPairView>>([.. CollapsingNeighbours.Of(head.Stored.Site, severity, cancel).Select(p => CollapsingPairView.Of(head.Stored.Site, p, severity))])
                : SiteEndpoints.Missing(slug)).WithName("getCollapsing").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites/{slug}/pairs/mended", async Task<Results<Ok<MendedPairsView>, ProblemHttpResult>> (string slug, OpenSites sites, Measures measures, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head ? TypedResults.Ok(MendedPairsView.Of(head.Stored.Site, measures.Of(head), cancel)) : SiteEndpoints.Missing(slug)).WithName("mendPairs");
    }
}

/// <summary>A page as it was measured, with the version of the site that it showed.</summary>
public sealed record MeasuredRequest(long Version, MeasuredTexts Texts);
