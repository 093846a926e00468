using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>What is asked about one block before something is done with it.</summary>
internal static class BlockEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites/{slug}/offers", async Task<Results<Ok<IReadOnlyList<SpecimenOffer>>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { Stored.Site: var site } ? TypedResults.Ok<IReadOnlyList<SpecimenOffer>>([.. Specimen.Offers(site, StageEndpoints.Around(site))]) : SiteEndpoints.Missing(slug)).WithName("getOffers").ProducesProblem(StatusCodes.Status404NotFound);
        api.MapGet("/sites/{slug}/blocks/{block}/as/{part}", async Task<Results<Ok<PartChangeView>, ProblemHttpResult>> (string slug, string block, string part, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var site = head.Stored.Site;
            return Blocks.Find(site, block) is { } found && PartCatalogue.Find(part) is { } to ? TypedResults.Ok(new PartChangeView(PartChange.Of(site, found, to).Left)) : Gone;
        }).WithName("getPartChange").ProducesProblem(StatusCodes.Status404NotFound);

        api.MapGet("/sites/{slug}/blocks/{block}/snippet", async Task<Results<Ok<SnippetView>, ProblemHttpResult>> (string slug, string block, bool resolved, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            if (Blocks.Find(head.Stored.Site, block) is not { } found) return Gone;
            var snippet = Snippet.Of(head.Stored.Site, found, resolved);
            return TypedResults.Ok(new SnippetView(snippet.Html, snippet.Css, snippet.IsResolved, snippet.HasClips));
        }).WithName("getSnippet").ProducesProblem(StatusCodes.Status404NotFound);

        api.MapGet("/sites/{slug}/blocks/{block}/snippet.zip", async Task<Results<FileContentHttpResult, ProblemHttpResult>> (string slug, string block, bool resolved, OpenSites sites, SiteStore store, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            if (Blocks.Find(head.Stored.Site, block) is not { } found) return Gone;
            var name = Names.Slug(found.Name);
            return await ReleaseEndpoints.ZipAsync(name, Snippet.Of(head.Stored.Site, found, resolved).Files(head.Stored.Site, name), store, cancel);
        }).ExcludeFromDescription();
    }

    private static ProblemHttpResult Gone => TypedResults.Problem("This block is no longer there.", statusCode: StatusCodes.Status404NotFound);
}

/// <param name="IsResolved">Whether tokens are written as what they come to: a block that holds several schemes keeps them.</param>
/// <param name="HasClips">Whether it takes the script of a release to play all of it.</param>
public sealed record SnippetView(string Html, string Css, bool IsResolved, bool HasClips);

/// <param name="Left">What would have no place, in words.</param>
public sealed record PartChangeView(IReadOnlyList<string> Left);
