using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Sandbar.Core.Editing;
using Sandbar.Core.Pictures;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>Pictures of the designer's own.</summary>
internal static class PictureEndpoints
{
    /// <summary>More than is taken: what is too large is answered in a sentence, where a body that is cut off would only break the connection.</summary>
    private const int LargestBody = 2 * PictureFile.MostBytes;

    public static void Map(RouteGroupBuilder api) =>
        api.MapPost("/sites/{slug}/pictures", AddPictureAsync).WithName("addPicture").Accepts<byte[]>("application/octet-stream")
            .ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict).WithMetadata(new RequestSizeLimitAttribute(LargestBody));

    /// <summary>Reads a picture, keeps it, and shows it where it is wanted.</summary>
    /// <param name="name">Of the file.</param>
    /// <param name="block">Id of the block that shows it: one that is there, or a new one; null for none.</param>
    /// <param name="post">Id of the post it is the picture of; null for none.</param>
    /// <param name="page">Id of the page a new one comes to.</param>
    /// <param name="parent">Id of the block a new one comes into.</param>
    /// <param name="at">Its place there.</param>
    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> AddPictureAsync(
        string slug, [MaxLength(255)] string name, [MaxLength(100)] string? block, [MaxLength(100)] string? post, [MaxLength(100)] string? page, [MaxLength(100)] string? parent, int? at,
        long version, [MaxLength(64)] string window, long openedAt, [MaxLength(64)] string gesture, HttpRequest request, OpenSites sites, SiteStore store, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is null) return SiteEndpoints.Missing(slug);
        OwnPicture picture;
        try
        {
            picture = await GivenFiles.ReadAsync(request, OwnPicture.Read, cancel);
        }
        catch (FormatException broken)
        {
            return TypedResults.Problem(broken.Message, statusCode: StatusCodes.Status400BadRequest, title: "The picture cannot be read");
        }
        await store.KeepAsync([picture.Asset], cancel);
        var spot = block is null ? null : new PictureSpot(block, page, parent, at ?? int.MaxValue);
        var edit = new AddPicture(Guid.NewGuid().ToString(), name, picture.Asset.MediaType, picture.Asset.Hash, picture.Width, picture.Height, spot) { Post = post };
        return EditEndpoints.Answer(slug, await sites.EditAsync(slug, new(version, window, openedAt, gesture), edit, cancel), window, openedAt);
    }
}
