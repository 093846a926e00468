using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Reviewing;

namespace Sandbar.Server;

/// <summary>Figures of edges.</summary>
internal static class EdgeEndpoints
{
    private const int MostPages = 400;

    public static void Map(RouteGroupBuilder api) =>
        api.MapPost("/edges/figures", Results<Ok<BorderSharesView>, ProblemHttpResult> (MeasuredPages measured) =>
            measured.Pages.Count > MostPages || measured.Pages.Any(p => p.Bordered.IsDefault || p.Bordered.Length > BorderShare.MostBoxes || p.Bordered.Any(b => b is null))
                ? EditEndpoints.Refused([new("/pages", $"At most {MostPages} pages of {BorderShare.MostBoxes} boxes each are looked at at once.")])
                : TypedResults.Ok(new BorderSharesView([.. measured.Pages.Select(BorderShare.Of)], BorderShare.Practice)))
            .WithName("getBorderShares").ProducesProblem(StatusCodes.Status400BadRequest);
}
