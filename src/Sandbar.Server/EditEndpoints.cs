using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;

namespace Sandbar.Server;

/// <param name="Version">The version the edit was made on.</param>
/// <param name="Window">The window it was made in.</param>
/// <param name="OpenedAt">The version the window found when it was opened.</param>
/// <param name="Gesture">One drag, or a run of keys in one place.</param>
public sealed record EditRequest(long Version, [property: MaxLength(64)] string Window, long OpenedAt, [property: MaxLength(64)] string Gesture, Edit Edit);

/// <param name="Overwrite">Whether to go ahead where somebody else has changed the same values since.</param>
public sealed record ReverseRequest(long Version, [property: MaxLength(64)] string Window, long OpenedAt, [property: MaxLength(64)] string Gesture, bool Overwrite);

/// <summary>What an edit led to: what of the site and its sheet is another than before.</summary>
/// <param name="From">The version it changed.</param>
/// <param name="Changes">What changed of the site as the window shows it.</param>
public sealed record EditAnswer(long From, long Version, IReadOnlyList<ViewChange> Changes, SheetChange Sheet, HistoryView History)
{
    public static EditAnswer Of(Head before, Head after, string window, long openedAt)
    {
        // Neither asks anything of the other, and of a large site both take their time.
        IReadOnlyList<ViewChange> changes = [];
        SheetChange? sheet = null;
        Parallel.Invoke(() => changes = ViewChanges.Between(before, after), () => sheet = SheetChange.Between(before, after));
        return new(before.Stored.Version, after.Stored.Version, changes, sheet!, HistoryView.Of(after, window, openedAt));
    }
}

/// <summary>Trying edits, making them and taking them back.</summary>
internal static class EditEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/sites/{slug}/trials", TryAsync).WithName("tryEdit").ProducesProblem(StatusCodes.Status400BadRequest);
        api.MapPost("/sites/{slug}/edits", MakeAsync).WithName("makeEdit").ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict);
        api.MapPost("/sites/{slug}/undo", (string slug, ReverseRequest request, OpenSites sites, CancellationToken cancel) =>
            ReverseAsync(slug, request, again: false, sites, cancel)).WithName("undo").ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict);
        api.MapPost("/sites/{slug}/redo", (string slug, ReverseRequest request, OpenSites sites, CancellationToken cancel) =>
            ReverseAsync(slug, request, again: true, sites, cancel)).WithName("redo").ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static async Task<Results<Ok<TrialResult>, ProblemHttpResult>> TryAsync(
        string slug, TrialRequest request, OpenSites sites, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
        return Trial.Of(head, request) switch
        {
            { Answer: not null } answered => TypedResults.Ok(answered),
            { IsOutdated: true } => Conflict([]),
            var refused => Refused(refused.Problems),
        };
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> MakeAsync(string slug, EditRequest request, OpenSites sites, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is null) return SiteEndpoints.Missing(slug);
        var source = new EditSource(request.Version, request.Window, request.OpenedAt, request.Gesture);
        return Answer(slug, await sites.EditAsync(slug, source, request.Edit, cancel), request.Window, request.OpenedAt);
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> ReverseAsync(
        string slug, ReverseRequest request, bool again, OpenSites sites, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is null) return SiteEndpoints.Missing(slug);
        var source = new EditSource(request.Version, request.Window, request.OpenedAt, request.Gesture);
        var result = await sites.ReverseAsync(slug, source, again, request.Overwrite, cancel);
        return result is EditResult.NothingToDo
            ? TypedResults.Problem(again ? "There is nothing to redo." : "There is nothing to undo.", statusCode: StatusCodes.Status400BadRequest, title: "Nothing to do")
            : Answer(slug, result, request.Window, request.OpenedAt);
    }

    public static Results<Ok<EditAnswer>, ProblemHttpResult> Answer(string slug, EditResult result, string window, long openedAt) => result switch
    {
        EditResult.Made made => TypedResults.Ok(EditAnswer.Of(made.Before, made.Head, window, openedAt)),
        EditResult.Refused refused => Refused(refused.Problems),
        EditResult.Conflict conflict => Conflict(conflict.Changes),
        EditResult.Gone => SiteEndpoints.Missing(slug),
        _ => throw new InvalidOperationException("An edit always leads to something."),
    };

    public static ProblemHttpResult Refused(IReadOnlyList<Problem> problems) => TypedResults.Problem(
        problems[0].Message,
        statusCode: StatusCodes.Status400BadRequest,
        title: "The change cannot be made",
        extensions: new Dictionary<string, object?> { ["problems"] = problems });

    private static ProblemHttpResult Conflict(IReadOnlyList<string> changes) => TypedResults.Problem(
        changes.Count == 0 ? "The site has changed meanwhile. It is shown as it is now; nothing was lost." : $"Meanwhile, in another window: {string.Join("; ", changes)}.",
        statusCode: StatusCodes.Status409Conflict,
        title: "Changed meanwhile",
        extensions: new Dictionary<string, object?> { ["changes"] = changes });
}
