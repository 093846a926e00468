using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Writing;

namespace Sandbar.Server;

/// <param name="Text">As it was pasted: HTML or Markdown.</param>
public sealed record ReadTextRequest(TextForm Form, string Text);

/// <summary>What writing on the stage asks for: what a pasted text comes to, and where a link can lead.</summary>
internal static class WritingEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/texts/read", Results<Ok<ReadText>, ProblemHttpResult> (ReadTextRequest request) =>
        {
            if (request.Text.Length > ReadText.Longest) return EditEndpoints.Refused([new("/text", "That is more than a million letters and marks: paste it in parts.")]);
            var read = ReadText.Of(request.Form, request.Text);
            return read.Refusal() is { } refusal ? EditEndpoints.Refused([new("/text", refusal)]) : TypedResults.Ok(read);
        }).WithName("readText").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapGet("/sites/{slug}/links", async Task<Results<Ok<LinkOffersView>, ProblemHttpResult>> (string slug, string page, string typed, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(new LinkOffersView(LinkOffers.Say(head.Stored.Site, page, typed), LinkOffers.For(head.Stored.Site, page, typed)))
                : SiteEndpoints.Missing(slug)).WithName("getLinkOffers").ProducesProblem(StatusCodes.Status404NotFound);
    }
}

/// <param name="Says">Where the text leads as it stands, in words.</param>
/// <param name="Offers">What it can mean, the likeliest first.</param>
public sealed record LinkOffersView(string Says, IReadOnlyList<LinkOffer> Offers);
