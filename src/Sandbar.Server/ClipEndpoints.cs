using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Sandbar.Core.Pictures;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Samples;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>Clips of the designer's own, and those that are elsewhere.</summary>
internal static class ClipEndpoints
{
    /// <summary>More than is taken: what is too large is answered in a sentence, where a body that is cut off would only break the connection.</summary>
    private const int LargestBody = 2 * ClipFile.MostBytes;

    public static void Map(RouteGroupBuilder api) =>
        api.MapPost("/sites/{slug}/clips", AddClipAsync).WithName("addClip").Accepts<byte[]>("application/octet-stream")
            .ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict).WithMetadata(new RequestSizeLimitAttribute(LargestBody));

    /// <summary>Reads a clip and keeps it; of one that is elsewhere only the address, with a clip that stands in for it.</summary>
    /// <param name="name">Of the file, or what it is called.</param>
    /// <param name="address">Where it is; null of a file. It is asked for by nobody here.</param>
    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> AddClipAsync(
        string slug, [MaxLength(255)] string name, [MaxLength(2000)] string? address,
        long version, [MaxLength(64)] string window, long openedAt, [MaxLength(64)] string gesture, HttpRequest request, OpenSites sites, SiteStore store, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is null) return SiteEndpoints.Missing(slug);
        (ClipFile Clip, Asset Asset) read;
        try
        {
            read = address is null ? await GivenFiles.ReadAsync(request, bytes => ClipFile.Read(bytes) is var clip ? (clip, Asset.Of(clip.MediaType, bytes)) : default, cancel) : StandIn.Clip;
        }
        catch (FormatException broken)
        {
            return TypedResults.Problem(broken.Message, statusCode: StatusCodes.Status400BadRequest, title: "The clip cannot be read");
        }
        await store.KeepAsync([read.Asset], cancel);
        var edit = new AddClip(Guid.NewGuid().ToString(), name, read.Asset.MediaType, read.Asset.Hash, read.Clip.Width, read.Clip.Height, address ?? "");
        return EditEndpoints.Answer(slug, await sites.EditAsync(slug, new(version, window, openedAt, gesture), edit, cancel), window, openedAt);
    }
}
