using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Cli.Verbs;

/// <summary><c>type fluid</c>, <c>type scale</c>.</summary>
internal static class TypeVerbs
{
    /// <summary>Farther from the base no size is one.</summary>
    private const int MostSteps = 100;

    public static Command Command => new("type", "Sizes of text that grow with the window.")
    {
        Verb.Create("fluid", "The CSS of a size that is one at a width and another at another.",
            [
                new("from.width", "px", IsNumber: true), new("from.size", "px there", IsNumber: true), new("to.width", "another width, px", IsNumber: true), new("to.size", "px there", IsNumber: true),
            ],
            FluidOf),
        Verb.Create("scale", "Sizes by base and ratio at two widths.",
            [
                new("from.width", "px", IsNumber: true), new("from.base", "size 0 there, px", IsNumber: true), new("from.ratio", "from one size to the next", IsNumber: true),
                new("to.width", "another width, px", IsNumber: true), new("to.base", "size 0 there, px", IsNumber: true), new("to.ratio", "from one size to the next", IsNumber: true),
                new("steps", "the lowest and the highest position, such as -2;5"),
            ],
            ScaleOf),
    };

    private static void FluidOf(JsonElement request, Utf8JsonWriter writer)
    {
        JsonElement from = request.Object("from"), to = request.Object("to");
        var (small, large) = (from.Number("size"), to.Number("size"));
        writer.WriteString("css", Clamp(from.Number("width"), small, to.Number("width"), large));
        writer.WriteBoolean("zoomSafe", Fluid.IsZoomSafe(small, large));
    }

    private static void ScaleOf(JsonElement request, Utf8JsonWriter writer)
    {
        JsonElement from = request.Object("from"), to = request.Object("to");
        var (lowest, highest) = Steps(request);
        writer.WriteStartArray("steps");
        for (var step = lowest; step <= highest; step++)
        {
            var (small, large) = (At(from, step), At(to, step));
            var css = Clamp(from.Number("width"), small, to.Number("width"), large);
            writer.WriteStartObject();
            writer.WriteNumber("step", step);
            writer.WriteNumber("from", small);
            writer.WriteNumber("to", large);
            writer.WriteString("css", css);
            writer.WriteEndObject();
        }
        writer.WriteEndArray();

        static double At(JsonElement end, int step) => end.Number("ratio") is > 0 and var ratio ? Scale.At(end.Number("base"), ratio, step) : throw new FormatException("A ratio is above 0.");
    }

    private static (int Lowest, int Highest) Steps(JsonElement request)
    {
        if (!request.TryGetProperty("steps", out var steps)) throw new FormatException("“steps” is missing.");
        double[] ends = steps.ValueKind switch
        {
            JsonValueKind.Array when steps.EnumerateArray().All(s => s.ValueKind == JsonValueKind.Number) => [.. steps.EnumerateArray().Select(s => s.GetDouble())],
            JsonValueKind.String => [.. request.Texts("steps").Select(t => double.TryParse(t, CultureInfo.InvariantCulture, out var end) ? end : double.NaN)],
            _ => [],
        };
        return ends is [var lowest, var highest] && IsStep(lowest) && IsStep(highest) && lowest <= highest
            ? ((int)lowest, (int)highest)
            : throw new FormatException($"“steps” are the lowest and the highest position: two whole numbers from {-MostSteps} to {MostSteps}.");

        static bool IsStep(double step) => step == Math.Floor(step) && Math.Abs(step) <= MostSteps;
    }

    private static string Clamp(double fromWidth, double fromSize, double toWidth, double toSize)
    {
        try
        {
            return Fluid.Clamp(fromWidth, fromSize, toWidth, toSize);
        }
        catch (ArgumentException wrong)
        {
            throw new FormatException(wrong.Message);
        }
    }
}
