using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Css;
using Sandbar.Store;

namespace Sandbar.Server;

/// <param name="Name">What the state is called; unique in its site without case.</param>
public sealed record NameStateRequest([property: MaxLength(60)] string Name);

public sealed record BringBackRequest(long Version, [property: MaxLength(64)] string Window, long OpenedAt, [property: MaxLength(64)] string Gesture);

/// <param name="Version">The version it keeps.</param>
public sealed record SnapshotView(string Id, string Name, long Version, DateTimeOffset At);

public sealed record HistoryItemView(long Version, DateTimeOffset At, string Label, bool IsUndone);

/// <param name="Items">The latest gestures, latest first.</param>
/// <param name="IsAll">Whether there are no more.</param>
public sealed record PastView(IReadOnlyList<SnapshotView> Snapshots, IReadOnlyList<HistoryItemView> Items, bool IsAll);

/// <summary>Named states, and the history that is read.</summary>
internal static class SnapshotEndpoints
{
    /// <summary>Gestures of the history that are listed.</summary>
    private const int MostItems = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites/{slug}/past", async Task<Results<Ok<PastView>, ProblemHttpResult>> (string slug, OpenSites sites, SiteStore store, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var items = History.Read(head.Stored.Journal).ToList();
            return TypedResults.Ok(new PastView(
                [.. (await store.SnapshotsAsync(slug, cancel)).Select(Of)],
                [.. items.Take(MostItems).Select(i => new HistoryItemView(i.Version, i.At, i.Label, i.IsUndone))],
                items.Count <= MostItems && head.Stored.Journal.Count == head.Stored.Version));
        }).WithName("getPast");

        api.MapPost("/sites/{slug}/snapshots", async Task<Results<Ok<SnapshotView>, ProblemHttpResult>> (
            string slug, NameStateRequest request, OpenSites sites, SiteStore store, TimeProvider clock, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            if (Names.Check(request.Name, []) is { } problem) return EditEndpoints.Refused([problem]);
            var snapshot = new Snapshot(Guid.NewGuid().ToString("n"), request.Name.Trim(), head.Stored.Version, clock.GetUtcNow());
            return await store.NameAsync(head.Stored.Site, snapshot, cancel)
                ? TypedResults.Ok(Of(snapshot))
                : EditEndpoints.Refused([new("/name", $"{Quoted.Text(snapshot.Name)} is taken. Choose another name.")]);
        }).WithName("nameState").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites/{slug}/snapshots/{id}/back", async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> (
            string slug, string id, BringBackRequest request, OpenSites sites, SiteStore store, CancellationToken cancel) =>
        {
            if (await store.SnapshotAsync(slug, id, cancel) is not { } kept)
                return TypedResults.Problem("This snapshot is no longer there.", statusCode: StatusCodes.Status404NotFound, title: "No such snapshot");
            var source = new EditSource(request.Version, request.Window, request.OpenedAt, request.Gesture);
            return EditEndpoints.Answer(slug, await sites.BringBackAsync(slug, source, kept.Snapshot, kept.Site, cancel), request.Window, request.OpenedAt);
        }).WithName("bringBack").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static SnapshotView Of(Snapshot s) => new(s.Id, s.Name, s.Version, s.At);
}
