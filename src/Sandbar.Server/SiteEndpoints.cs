using System.ComponentModel.DataAnnotations;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>Reading sites.</summary>
internal static class SiteEndpoints
{

    private static readonly string CatalogueTag = $"\"{Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(CatalogueView.Whole)))[..16]}\"";

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites/{slug}", async Task<Results<Ok<OpenedSite>, ProblemHttpResult>> (string slug, string window, long? openedAt, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(OpenedSite.Of(head, window, openedAt ?? head.Stored.Version))
                : Missing(slug)).WithName("getSite");

        // The same for every site and for as long as the program runs.
        api.MapGet("/catalogue", (HttpResponse response) =>
        {
            response.Headers.CacheControl = "no-cache";
            response.Headers.ETag = CatalogueTag;
            return TypedResults.Ok(CatalogueView.Whole);
        }).WithName("getCatalogue").AddEndpointFilter(async (context, next) =>
            context.HttpContext.Request.Headers.IfNoneMatch == CatalogueTag ? TypedResults.StatusCode(StatusCodes.Status304NotModified) : await next(context));

        api.MapGet("/sites/{slug}/silenced", async Task<Results<Ok<IReadOnlyList<CssProblemView>>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return Missing(slug);
            var css = head.Stored.Site.Overrides.Site;
            return TypedResults.Ok(CssProblemView.Of(css, SilencedSettings.Of(head.Stored.Site, cancel)));
        }).WithName("getSilenced");

        api.MapGet("/sites/{slug}/reach", async Task<Results<Ok<Reach>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(Reach.Of(await sites.BeforeLastAsync(head, cancel), head.Stored.Site, cancel))
                : Missing(slug)).WithName("getReach");

        // How far an edit would reach, before it is made.
        api.MapPost("/sites/{slug}/reach", async Task<Results<Ok<Reach>, ProblemHttpResult>> (string slug, Edit edit, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return Missing(slug);
            var outcome = edit.Apply(head.Stored.Site);
            return outcome.Site is { } after
                ? TypedResults.Ok(Reach.Of(head.Stored.Site, after, cancel))
                : TypedResults.Problem(outcome.Problems[0].Message, statusCode: StatusCodes.Status400BadRequest, title: "This cannot be done");
        }).WithName("tryReach").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapGet("/sites/{slug}/uses/{kind}/{id}", async Task<Results<Ok<IReadOnlyList<UseView>>, ProblemHttpResult>> (string slug, string kind, string id, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok<IReadOnlyList<UseView>>([.. Core.Foundations.Uses.Of(head.Stored.Site, kind, id).OrderByDescending(u => u.Step == 0).ThenByDescending(u => u.Step).Select(UseView.From)])
                : Missing(slug)).WithName("getUses");

        api.MapGet("/colors/vision/{kind}", Results<Ok<IReadOnlyList<double>>, NotFound> (string kind, [Range(0, 1)] double severity = 1) =>
            Enum.TryParse<VisionKind>(kind, ignoreCase: true, out var known) ? TypedResults.Ok(Vision.Numbers(known, severity)) : TypedResults.NotFound()).WithName("getVision");

        api.MapGet("/sites/{slug}/sheet", async Task<Results<Ok<SheetView>, ProblemHttpResult>> (string slug, string? before, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return Missing(slug);
            if (before is null) return TypedResults.Ok(SheetView.Of(head));
            if (await sites.EarlierAsync(head, before, cancel) is not { } earlier)
                return TypedResults.Problem("No state has been named yet. Name one under Snapshots.", statusCode: StatusCodes.Status404NotFound, title: "Nothing named");
            return TypedResults.Ok(SheetView.Of(head.Stored.Version, earlier, StyleSheetRenderer.Render(earlier)));
        }).WithName("getSheet");
    }

    /// <summary>The answer where there is no such site.</summary>
    public static ProblemHttpResult Missing(string slug) =>
        TypedResults.Problem($"There is no site at {Quoted.Text(slug)}. It may have been renamed or deleted.", statusCode: StatusCodes.Status404NotFound, title: "No such site");
}

/// <summary>A site with its sheet, as a window opens it.</summary>
public sealed record OpenedSite(SiteView Site, SheetView Sheet, HistoryView History)
{
    public static OpenedSite Of(Head head, string window, long openedAt)
    {
        // Neither asks anything of the other, and of a large site both take their time.
        SheetView? sheet = null;
        Parallel.Invoke(() => _ = head.View, () => sheet = SheetView.Of(head));
        return new(head.View, sheet!, HistoryView.Of(head, window, openedAt));
    }
}

/// <param name="Undo">What undo would take back, in words; null where there is nothing.</param>
/// <param name="Last">The last edit, in words.</param>
public sealed record HistoryView(string? Undo, string? Redo, string? Last)
{
    public static HistoryView Of(Head head, string window, long openedAt)
    {
        var journal = head.Stored.Journal;
        var (undo, redo) = Core.Editing.History.Reversible(journal, window, openedAt);
        return new(undo?.Label, redo?.Label, journal.IsEmpty ? null : journal[^1].Label);
    }
}
