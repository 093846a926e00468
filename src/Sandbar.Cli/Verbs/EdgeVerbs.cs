using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using Sandbar.Core.Foundations.Edges;

namespace Sandbar.Cli.Verbs;

/// <summary><c>edge corners</c>.</summary>
internal static class EdgeVerbs
{
    public static Command Command => new("edge", "Edges of boxes.")
    {
        Verb.Create("corners", "Radii as a browser draws them: where they would overlap, all are made smaller by one factor.",
            [
                new("width", "of the border box, px", IsNumber: true), new("height", "of the border box, px", IsNumber: true),
                new("radii", "px, from the top left one clockwise, such as 20;20;0;0, or 20x10;20;0;0 where a corner goes another way across than down"),
            ],
            CornersOf),
    };

    private static void CornersOf(JsonElement request, Utf8JsonWriter writer)
    {
        var (width, height, radii) = (request.Number("width"), request.Number("height"), Radii(request));
        try
        {
            var (fitted, factor) = Corners.Fit(width, height, radii);
            writer.WriteStartArray("radii");
            foreach (var corner in fitted)
            {
                writer.WriteStartArray();
                writer.WriteNumberValue(corner.Across);
                writer.WriteNumberValue(corner.Down);
                writer.WriteEndArray();
            }
            writer.WriteEndArray();
            writer.WriteNumber("factor", factor);
        }
        catch (ArgumentException wrong)
        {
            throw new FormatException(wrong.Message);
        }
    }

    private static List<Corner> Radii(JsonElement request)
    {
        if (!request.TryGetProperty("radii", out var radii)) throw new FormatException("“radii” is missing.");
        if (radii.ValueKind == JsonValueKind.String) return [.. request.Texts("radii").Select(Typed)];
        return radii.ValueKind == JsonValueKind.Array ? [.. radii.EnumerateArray().Select(Given)] : throw Wrong();
    }

    private static Corner Given(JsonElement corner) => corner.ValueKind switch
    {
        JsonValueKind.Number => new(corner.GetDouble(), corner.GetDouble()),
        JsonValueKind.Array when corner.GetArrayLength() == 2 && corner.EnumerateArray().All(r => r.ValueKind == JsonValueKind.Number) => new(corner[0].GetDouble(), corner[1].GetDouble()),
        _ => throw Wrong(),
    };

    private static Corner Typed(string corner) => corner.Split('x').Select(r => double.TryParse(r, NumberStyles.Float, CultureInfo.InvariantCulture, out var px) ? px : throw Wrong()).ToList() switch
    {
        [var all] => new(all, all),
        [var across, var down] => new(across, down),
        _ => throw Wrong(),
    };

    private static FormatException Wrong() => new("“radii” are four corners from the top left one clockwise, each a number of px or two: across and down.");
}
