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

    public static void Map(RouteGroupBuilder api)
    {
        Taking(api.MapPost("/sites/{slug}/pictures", AddPictureAsync).WithName("addPicture"));
        Taking(api.MapPost("/sites/{slug}/pictures/{item}", ReplacePictureAsync).WithName("replacePicture"));
    }

    private static void Taking(RouteHandlerBuilder endpoint) => endpoint.Accepts<byte[]>("application/octet-stream")
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
        var spot = block is null ? null : new PictureSpot(block, page, parent, at ?? int.MaxValue);
        return await EditAsync(slug, new(version, window, openedAt, gesture), request, sites, store, picture =>
            new AddPicture(Guid.NewGuid().ToString(), name, picture.Asset.MediaType, picture.Asset.Hash, picture.Width, picture.Height, spot) { Post = post }, cancel);
    }

    /// <summary>Reads a picture, keeps it, and puts it in the place of another wherever that is shown.</summary>
    /// <param name="item">Id of the one it replaces.</param>
    /// <param name="name">Of the file.</param>
    private static Task<Results<Ok<EditAnswer>, ProblemHttpResult>> ReplacePictureAsync(
        string slug, [MaxLength(100)] string item, [MaxLength(255)] string name,
        long version, [MaxLength(64)] string window, long openedAt, [MaxLength(64)] string gesture, HttpRequest request, OpenSites sites, SiteStore store, CancellationToken cancel) =>
        EditAsync(slug, new(version, window, openedAt, gesture), request, sites, store, picture =>
            new ReplacePicture(item, name, picture.Asset.MediaType, picture.Asset.Hash, picture.Width, picture.Height), cancel);

    /// <summary>An edit with a picture that comes along: its bytes are kept before.</summary>
    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> EditAsync(
        string slug, EditSource source, HttpRequest request, OpenSites sites, SiteStore store, Func<OwnPicture, Edit> edit, CancellationToken cancel)
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
        return EditEndpoints.Answer(slug, await sites.EditAsync(slug, source, edit(picture), cancel), source.Window, source.OpenedAt);
    }
}
