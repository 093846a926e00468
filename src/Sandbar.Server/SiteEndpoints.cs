using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Colors;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Typography;

namespace Sandbar.Server;

/// <summary>Reading sites.</summary>
internal static class SiteEndpoints
{
    private const int PlaneRows = 51;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites/{slug}", async Task<Results<Ok<SiteView>, ProblemHttpResult>> (string slug, string window, long? openedAt, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(SiteView.Of(head, window, openedAt ?? head.Stored.Version))
                : Missing(slug)).WithName("getSite");

        api.MapGet("/colors/plane", ([Range(0, 360)] double hue) => TypedResults.Ok(new PlaneView(hue, ColorPlane.Outline(hue, PlaneRows)))).WithName("getPlane");

        api.MapGet("/families", () => TypedResults.Ok(BundledFamilies.All.Select(BundledFamilyView.Of).ToList())).WithName("listFamilies");

        api.MapGet("/sites/{slug}/pairs", async Task<Results<Ok<PairsView>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head ? TypedResults.Ok(PairsView.Of(head.Stored.Site, head.Stored.Version)) : Missing(slug)).WithName("getPairs");

        api.MapGet("/sites/{slug}/silenced", async Task<Results<Ok<List<CssProblemView>>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return Missing(slug);
            var css = head.Stored.Site.Overrides.Site;
            return TypedResults.Ok(SilencedSettings.Of(head.Stored.Site, head.Sheet).Select(n => CssProblemView.Of(css, n)).ToList());
        }).WithName("getSilenced");

        api.MapGet("/sites/{slug}/reach", async Task<Results<Ok<Reach>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(Reach.Of(await sites.BeforeLastAsync(head, cancel), head.Stored.Site))
                : Missing(slug)).WithName("getReach");

        api.MapGet("/colors/vision/{kind}", Results<Ok<IReadOnlyList<double>>, NotFound> (string kind) =>
            Enum.TryParse<VisionKind>(kind, ignoreCase: true, out var known) ? TypedResults.Ok(Vision.Numbers(known)) : TypedResults.NotFound()).WithName("getVision");

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
        TypedResults.Problem($"There is no site at “{slug}”. It may have been renamed or deleted.", statusCode: StatusCodes.Status404NotFound, title: "No such site");
}

/// <param name="Chroma">The largest OKLCH chroma inside sRGB, for lightness 1 down to 0 in even steps.</param>
public sealed record PlaneView(double Hue, IReadOnlyList<double> Chroma);
