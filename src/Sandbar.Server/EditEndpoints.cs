using System.ComponentModel.DataAnnotations;
using System.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;

namespace Sandbar.Server;

/// <summary>An edit shown on the stage and not yet made.</summary>
public sealed record TrialRequest(long Version, Edit Edit);

/// <param name="Sheet">The whole sheet, where rules come or go; else null and <paramref name="Rules"/> say what changed.</param>
/// <param name="Overrides">The overrides, where they changed.</param>
/// <param name="Problems">What does not parse in the overrides, where they changed.</param>
/// <param name="Colors">The colours that changed.</param>
public sealed record TrialAnswer(
    long Version, IReadOnlyList<RuleChangeView> Rules, SheetView? Sheet, string? Overrides, IReadOnlyList<CssProblemView>? Problems, IReadOnlyList<ColorView> Colors);

public sealed record RuleChangeView(string Key, IReadOnlyList<DeclarationView> Set, IReadOnlyList<string> Unset);

public sealed record DeclarationView(string Name, string Value);

/// <param name="Version">The version the edit was made on.</param>
/// <param name="Window">The window it was made in.</param>
/// <param name="OpenedAt">The version the window found when it was opened.</param>
/// <param name="Gesture">One drag, or a run of keys in one place.</param>
public sealed record EditRequest(long Version, [property: MaxLength(64)] string Window, long OpenedAt, [property: MaxLength(64)] string Gesture, Edit Edit);

/// <param name="Overwrite">Whether to go ahead where somebody else has changed the same values since.</param>
public sealed record ReverseRequest(long Version, [property: MaxLength(64)] string Window, long OpenedAt, [property: MaxLength(64)] string Gesture, bool Overwrite);

public sealed record EditAnswer(SiteView Site, SheetView Sheet);

/// <summary>Trying edits, making them and taking them back.</summary>
internal static class EditEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/sites/{slug}/trials", TryAsync).WithName("tryEdit").ProducesProblem(StatusCodes.Status400BadRequest);
        api.MapPost("/sites/{slug}/edits", MakeAsync).WithName("makeEdit").ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status409Conflict);
        api.MapPost("/sites/{slug}/undo", (string slug, ReverseRequest request, OpenSites sites, CancellationToken cancel) =>
            ReverseAsync(slug, request, again: false, sites, cancel)).WithName("undo").ProducesProblem(StatusCodes.Status409Conflict);
        api.MapPost("/sites/{slug}/redo", (string slug, ReverseRequest request, OpenSites sites, CancellationToken cancel) =>
            ReverseAsync(slug, request, again: true, sites, cancel)).WithName("redo").ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static async Task<Results<Ok<TrialAnswer>, ProblemHttpResult>> TryAsync(
        string slug, TrialRequest request, OpenSites sites, HttpResponse response, CancellationToken cancel)
    {
        var started = Stopwatch.GetTimestamp();
        if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
        var (site, version, _) = head.Stored;
        if (request.Version != version) return Conflict([]);
        var outcome = request.Edit.Apply(site);
        if (outcome.Site is not { } tried) return Refused(outcome.Problems);
        var sheet = StyleSheetRenderer.Render(tried);
        var changes = StyleSheetChanges.Between(head.Sheet, sheet);
        var css = tried.Overrides.Site;
        var overridesChanged = css != site.Overrides.Site;
        var answer = new TrialAnswer(
            version,
            [.. (changes ?? []).Select(c => new RuleChangeView(c.Key, [.. c.Set.Select(d => new DeclarationView(d.Name, d.Value))], c.Unset))],
            changes is null ? SheetView.Of(version, sheet) : null,
            overridesChanged ? StyleSheetText.Overrides(css, SheetUse.Stage) : null,
            overridesChanged ? OverridesView.Of(css).Problems : null,
            [.. tried.Palette.Colors.Where(c => !site.Palette.Colors.Contains(c)).Select(c => ColorView.Of(tried, c))]);
        // For the benchmark that tells the server's share of the loop.
        response.Headers["Server-Timing"] = $"core;dur={Stopwatch.GetElapsedTime(started).TotalMilliseconds:0.###}";
        return TypedResults.Ok(answer);
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> MakeAsync(string slug, EditRequest request, OpenSites sites, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is null) return SiteEndpoints.Missing(slug);
        var source = new EditSource(request.Version, request.Window, request.OpenedAt, request.Gesture);
        return Answer(await sites.EditAsync(slug, source, request.Edit, cancel), request.Window, request.OpenedAt);
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> ReverseAsync(
        string slug, ReverseRequest request, bool again, OpenSites sites, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is null) return SiteEndpoints.Missing(slug);
        var source = new EditSource(request.Version, request.Window, request.OpenedAt, request.Gesture);
        var result = await sites.ReverseAsync(slug, source, again, request.Overwrite, cancel);
        return result is EditResult.NothingToDo
            ? TypedResults.Problem(again ? "There is nothing to redo." : "There is nothing to undo.", statusCode: StatusCodes.Status409Conflict, title: "Nothing to do")
            : Answer(result, request.Window, request.OpenedAt);
    }

    public static Results<Ok<EditAnswer>, ProblemHttpResult> Answer(EditResult result, string window, long openedAt) => result switch
    {
        EditResult.Made made => TypedResults.Ok(new EditAnswer(
            SiteView.Of(made.Head, window, openedAt), SheetView.Of(made.Head.Stored.Version, made.Head.Sheet))),
        EditResult.Refused refused => Refused(refused.Problems),
        EditResult.Conflict conflict => Conflict(conflict.Changes),
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
