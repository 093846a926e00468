using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Pictures;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>A list of colours, as it was pasted.</summary>
public sealed record PastedColors([property: MaxLength(ColorList.Longest)] string Text);

/// <summary>A colour that can be taken into the palette.</summary>
/// <param name="Name">What it can be called there.</param>
/// <param name="Css">As it was given.</param>
/// <param name="Hex">As it is painted.</param>
/// <param name="Share">Of the picture it was found in, 0 to 1; null where it was found in none.</param>
/// <param name="Paints">What it paints in an SVG; else empty.</param>
/// <param name="Known">Name of a colour of the palette that is the same; null where there is none.</param>
public sealed record FoundColor(string Name, string Css, string Hex, double? Share, IReadOnlyList<PaintKind> Paints, string? Known);

/// <summary>Colours that can be taken into the palette, what no colour was found in, and how many there were besides.</summary>
public sealed record FoundColors(IReadOnlyList<FoundColor> Colors, IReadOnlyList<UnreadLine> Unread, int Left);

/// <summary>The plane on which a colour is chosen.</summary>
/// <param name="Widest">The OKLCH chroma at its far edge.</param>
/// <param name="Srgb">The largest chroma inside sRGB, for lightness 1 down to 0 in even steps.</param>
/// <param name="P3">The largest inside Display P3.</param>
/// <param name="Lines">Where contrast against the ground that was asked for crosses 3, 4.5 and 7; none where none was.</param>
public sealed record PlaneView(double Hue, double Widest, IReadOnlyList<double> Srgb, IReadOnlyList<double> P3, IReadOnlyList<ContrastLine> Lines);

/// <summary>A colour that another one is near to.</summary>
/// <param name="IsOwn">Whether it is one of the palette; else it is a name of CSS.</param>
/// <param name="Difference">CIEDE2000.</param>
public sealed record NeighbourView(string Name, string Hex, bool IsOwn, double Difference);

/// <summary>Colours: how they are chosen, what they are like, and their way into a palette from lists and from pictures.</summary>
internal static class ColorEndpoints
{
    /// <summary>As many as are looked for in a picture.</summary>
    private const int OfPicture = 8;

    private const int PlaneRows = 101;

    /// <summary>As many neighbours as are told of each sort.</summary>
    private const int Neighbours = 2;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/colors/plane", Results<Ok<PlaneView>, ProblemHttpResult> ([Range(0, 360)] double hue, [MaxLength(100)] string? ground) =>
            ground is not null && !ColorText.TryParse(ground, out _)
                ? TypedResults.Problem(ColorText.Unreadable(ground), statusCode: StatusCodes.Status400BadRequest, title: "The ground is no colour")
                : TypedResults.Ok(new PlaneView(
                    hue, ColorPlane.Widest, ColorPlane.Outline(hue, PlaneRows, ColorSpace.Srgb), ColorPlane.Outline(hue, PlaneRows, ColorSpace.DisplayP3),
                    ground is null ? [] : ColorPlane.Lines(hue, ReleasedColor.Of(ground))))).WithName("getPlane").ProducesProblem(StatusCodes.Status400BadRequest);

        // The same for as long as the program runs.
        api.MapGet("/colors/plane/{hue:int:range(0,360)}.png", (int hue, HttpResponse response) =>
        {
            response.Headers.CacheControl = "public, max-age=3600";
            return TypedResults.File(PlanePicture.Png(hue), "image/png");
        }).ExcludeFromDescription();

        api.MapGet("/sites/{slug}/colors/{id}/near", async Task<Results<Ok<IReadOnlyList<NeighbourView>>, ProblemHttpResult>> (string slug, string id, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var palette = head.Stored.Site.Palette;
            if (palette.Colors.Find(id) is not { } color) return TypedResults.Ok<IReadOnlyList<NeighbourView>>([]);
            var own = palette.Row(color).Base;
            var others = palette.Colors.Where(c => c.Id != id).Select(c => (c.Name, palette.Row(c).Base, Difference: Difference.Ciede2000(own, palette.Row(c).Base))).OrderBy(c => c.Difference);
            return TypedResults.Ok<IReadOnlyList<NeighbourView>>([.. View(others, true), .. View(ColorNames.Near(own), false)]);

            static IEnumerable<NeighbourView> View(IEnumerable<(string Name, Color Color, double Difference)> near, bool isOwn) =>
                near.Take(Neighbours).Select(n => new NeighbourView(n.Name, ColorText.Hex(n.Color), isOwn, Math.Round(n.Difference, 1)));
        }).WithName("getNeighbours");

        api.MapPost("/sites/{slug}/colors/pasted", async Task<Results<Ok<FoundColors>, ProblemHttpResult>> (string slug, PastedColors pasted, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var list = ColorList.Read(pasted.Text);
            return TypedResults.Ok(new FoundColors(Found(head.Stored.Site, [.. list.Colors.Select(c => new Given(c.Name, c.Css, null, []))]), list.Unread, list.Left));
        }).WithName("readColors").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapGet("/sites/{slug}/colors/alike", async Task<Results<Ok<IReadOnlyList<IReadOnlyList<string>>>, ProblemHttpResult>> (
            string slug, [Range(0, 20)] double within, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var palette = head.Stored.Site.Palette;
            var groups = Alike.Groups([.. palette.Colors.Select(c => palette.Row(c).Base)], within);
            return TypedResults.Ok<IReadOnlyList<IReadOnlyList<string>>>([.. groups.Select(g => g.Select(i => palette.Colors[i].Id).ToList())]);
        }).WithName("getAlike").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites/{slug}/colors/picture", (string slug, HttpRequest request, OpenSites sites, CancellationToken cancel) =>
            OfPictureAsync(slug, request, sites, bytes => PictureColors.InFile(bytes, OfPicture).Select(c => new Given("", ColorText.Hex(c.Color), c.Share, c.Paints)), cancel))
            .WithName("readPicture").Accepts<byte[]>("application/octet-stream").ProducesProblem(StatusCodes.Status400BadRequest).WithMetadata(new RequestSizeLimitAttribute(PictureFile.MostBytes));

        // One point of it, by its shares of width and height.
        api.MapPost("/sites/{slug}/colors/picture/point", (string slug, double x, double y, HttpRequest request, OpenSites sites, CancellationToken cancel) =>
            OfPictureAsync(slug, request, sites, bytes => [new("", ColorText.Hex(PictureFile.Read(bytes).At(x, y)), null, [])], cancel))
            .WithName("readPoint").Accepts<byte[]>("application/octet-stream").ProducesProblem(StatusCodes.Status400BadRequest).WithMetadata(new RequestSizeLimitAttribute(PictureFile.MostBytes));
    }

    /// <summary>Reads the picture of a request.</summary>
    private static async Task<Results<Ok<FoundColors>, ProblemHttpResult>> OfPictureAsync(string slug, HttpRequest request, OpenSites sites, Func<byte[], IEnumerable<Given>> look, CancellationToken cancel)
    {
        if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
        try
        {
            return TypedResults.Ok(new FoundColors(Found(head.Stored.Site, await GivenFiles.ReadAsync<IReadOnlyList<Given>>(request, bytes => [.. look(bytes)], cancel)), [], 0));
        }
        catch (FormatException broken)
        {
            return TypedResults.Problem(broken.Message, statusCode: StatusCodes.Status400BadRequest, title: "The picture cannot be read");
        }
    }

    private static List<FoundColor> Found(Site site, IReadOnlyList<Given> colors)
    {
        var hexes = colors.Select(c => ColorText.Hex(ReleasedColor.Of(c.Css))).ToList();
        var known = site.Palette.Colors.GroupBy(c => ColorText.Hex(site.Palette.Row(c).Base)).ToDictionary(g => g.Key, g => g.First().Name, StringComparer.Ordinal);
        var names = ProposedNames.For(site, colors.Select(c => (c.Name, ReleasedColor.Of(c.Css))));
        return [.. colors.Zip(hexes, names).Select(c => new FoundColor(c.Third, c.First.Css, c.Second, c.First.Share, c.First.Paints, known.GetValueOrDefault(c.Second)))];
    }

    /// <summary>A colour as it was found.</summary>
    private sealed record Given(string Name, string Css, double? Share, IReadOnlyList<PaintKind> Paints);
}
