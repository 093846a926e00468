using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using Sandbar.Core.Pictures;
using Sandbar.Css;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Cli.Verbs;

/// <summary><c>fill sample</c>, <c>fill contrast</c>, <c>fill focus</c>.</summary>
internal static class FillVerbs
{
    /// <summary>More than a screen of this time shows; each is looked at.</summary>
    private const int MostPixels = 40_000_000, MostPoints = 1_000_000;

    /// <summary>The picture asked for last, decoded: requests about one follow each other.</summary>
    private static (string Path, byte[] Bytes, DecodedPicture Picture)? decoded;

    public static Command Command => new("fill", "Gradients and pictures behind text.")
    {
        Verb.Create("sample", "The colours of a gradient, or of several one over the other, at points of a box.",
            [
                new("fill", "a value of background-image, such as linear-gradient(90deg, #fff, #000)"), new("width", "of the box, px", IsNumber: true), new("height", "of the box, px", IsNumber: true),
                new("points", "px from the top left, such as 10,10;20,5.5"),
            ],
            Sample),
        Verb.Create("contrast", "The contrast of a text over a gradient or picture: at its worst spot, on the mean, and the faintest veil that makes it readable.",
            [
                new("fill", "a gradient, or the path of a picture"), new("over", "the colour behind it"), new("width", "of the fill's box, px", IsNumber: true), new("height", "of the fill's box, px", IsNumber: true),
                new("text", "colour of the text"), new("box", "the text's: left,top,width,height, px"),
            ],
            ContrastOf),
        Verb.Create("focus", "Where a picture lies in a box so that its focal point stays in sight.",
            [new("picture", "its size, such as 1600,900"), new("box", "the box's size"), new("fit", "cover or contain", Required: false), new("focus", "the focal point, % from left and top, such as 30,70", Required: false)],
            Focus),
    };

    private static void Sample(JsonElement request, Utf8JsonWriter writer)
    {
        var fill = FillImage.Parse(request.Text("fill"), request.Number("width"), request.Number("height"));
        var points = Points(request);
        writer.WriteStartArray("colors");
        foreach (var point in points) writer.WriteStringValue(ColorText.Hex(Premultiplied.Color(fill.At(point[0], point[1]))));
        writer.WriteEndArray();
    }

    private static void ContrastOf(JsonElement request, Utf8JsonWriter writer)
    {
        double width = request.Number("width"), height = request.Number("height");
        Color over = ColorText.Parse(request.Text("over")), text = ColorText.Parse(request.Text("text"));
        var part = Part(request, width, height);
        var pixels = Painted(request, width, height, over, part);
        var contrast = GroundContrast.Of(pixels, part.Width, text);
        writer.WriteStartObject("worst");
        writer.WriteNumber("ratio", contrast.Worst);
        WritePair(writer, "at", part.X + contrast.X + 0.5, part.Y + contrast.Y + 0.5);
        writer.WriteEndObject();
        writer.WriteNumber("mean", contrast.Mean);
        if (GroundContrast.Faintest(pixels, text, Contrast.Text) is not { } veil)
        {
            writer.WriteNull("overlay");
            return;
        }
        writer.WriteStartObject("overlay");
        var shade = veil.Color.C1 > 0 ? 255 : 0;
        writer.WriteString("css", string.Create(CultureInfo.InvariantCulture, $"rgb({shade} {shade} {shade} / {veil.Color.Alpha:0.####})"));
        writer.WriteNumber("ratio", veil.Ratio);
        writer.WriteEndObject();
    }

    private static void Focus(JsonElement request, Utf8JsonWriter writer)
    {
        var (picture, box, focus) = (Pair(request, "picture"), Pair(request, "box"), request.TryGetProperty("focus", out _) ? Pair(request, "focus") : [50, 50]);
        var fit = FitOf(request);
        try
        {
            var placed = Placement.Of((picture[0], picture[1]), (box[0], box[1]), fit, (focus[0], focus[1]));
            WritePair(writer, "size", placed.Width, placed.Height);
            WritePair(writer, "offset", placed.Left, placed.Top);
            writer.WriteStartObject("css");
            writer.WriteString("background-size", fit == Fit.Cover ? "cover" : "contain");
            writer.WriteString("background-position", string.Create(CultureInfo.InvariantCulture, $"{placed.X:0.######}% {placed.Y:0.######}%"));
            writer.WriteEndObject();
        }
        catch (ArgumentOutOfRangeException wrong)
        {
            throw new FormatException(Said(wrong));
        }
    }

    private static byte[] Painted(JsonElement request, double width, double height, Color over, (int X, int Y, int Width, int Height) part)
    {
        if (!request.TryGetProperty("fill", out var fill)) throw new FormatException("“fill” is missing.");
        var text = fill.ValueKind == JsonValueKind.String ? fill.GetString()! : "";
        if (fill.ValueKind == JsonValueKind.Object || (text.Length > 0 && !text.Contains('(', StringComparison.Ordinal)))
        {
            var path = text.Length > 0 ? text : fill.Text("file");
            var focus = fill.ValueKind == JsonValueKind.Object && fill.TryGetProperty("focus", out _) ? Pair(fill, "focus") : [50, 50];
            var fit = fill.ValueKind == JsonValueKind.Object ? FitOf(fill) : Fit.Cover;
            var picture = Decoded(path, fill.ValueKind == JsonValueKind.Object ? fill.FileBytes("file") : request.FileBytes("fill"));
            try
            {
                return picture.Painted(Placement.Of((picture.Width, picture.Height), (width, height), fit, (focus[0], focus[1])), over, part);
            }
            catch (ArgumentOutOfRangeException wrong)
            {
                throw new FormatException(Said(wrong));
            }
        }
        return FillImage.Parse(request.Text("fill"), width, height).Painted(over, part);
    }

    private static DecodedPicture Decoded(string path, byte[] bytes)
    {
        if (decoded is { } known && known.Path == path && known.Bytes.AsSpan().SequenceEqual(bytes)) return known.Picture;
        decoded?.Picture.Dispose();
        decoded = null;
        var picture = DecodedPicture.Of(bytes);
        decoded = (path, bytes, picture);
        return picture;
    }

    /// <summary>The whole pixels of the text's box that lie in the fill; where there is none, those it touches.</summary>
    private static (int X, int Y, int Width, int Height) Part(JsonElement request, double width, double height)
    {
        var box = Numbers(request, "box", 4);
        if (!(box[2] > 0 && box[3] > 0)) throw new FormatException("The text's box is wider and higher than 0.");
        if (!(width > 0 && height > 0 && width * height <= MostPixels)) throw new FormatException($"A box has a width and a height above 0, and up to {MostPixels / 1_000_000} million pixels.");
        var (left, right) = Along(box[0], box[2], width);
        var (top, bottom) = Along(box[1], box[3], height);
        return right > left && bottom > top ? (left, top, right - left, bottom - top) : throw new FormatException("The text's box lies outside the fill.");

        static (int From, int To) Along(double from, double length, double room)
        {
            var (start, end) = (Math.Max(0, from), Math.Min(Math.Ceiling(room), from + length));
            return Math.Floor(end) > Math.Ceiling(start) ? ((int)Math.Ceiling(start), (int)Math.Floor(end)) : ((int)Math.Floor(start), (int)Math.Ceiling(end));
        }
    }

    private static List<double[]> Points(JsonElement request)
    {
        if (!request.TryGetProperty("points", out var given)) throw new FormatException("“points” is missing.");
        if (given.ValueKind == JsonValueKind.String) return [.. given.GetString()!.Split(';', StringSplitOptions.RemoveEmptyEntries).Select(text => Typed(text, "points", 2))];
        if (given.ValueKind != JsonValueKind.Array || given.GetArrayLength() > MostPoints) throw new FormatException($"“points” are up to {MostPoints} pairs of px from the top left.");
        return [.. given.EnumerateArray().Select(point => Given(point, "points", 2))];
    }

    private static double[] Pair(JsonElement request, string name) => Numbers(request, name, 2);

    private static double[] Numbers(JsonElement request, string name, int count) =>
        !request.TryGetProperty(name, out var given) ? throw new FormatException($"{Quoted.Text(name)} is missing.")
        : given.ValueKind == JsonValueKind.String ? Typed(given.GetString()!, name, count)
        : Given(given, name, count);

    private static double[] Given(JsonElement given, string name, int count) =>
        given.ValueKind == JsonValueKind.Array && given.GetArrayLength() == count && given.EnumerateArray().All(n => n.ValueKind == JsonValueKind.Number) && given.EnumerateArray().Select(n => n.GetDouble()).ToArray() is var numbers && numbers.All(double.IsFinite)
            ? numbers : throw Wrong(name, count);

    private static double[] Typed(string text, string name, int count) =>
        text.Split(',').Select(n => double.TryParse(n, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number) ? number : throw Wrong(name, count)).ToArray() is var numbers && numbers.Length == count ? numbers : throw Wrong(name, count);

    private static FormatException Wrong(string name, int count) => new($"{Quoted.Text(name)} {(name == "points" ? "are pairs of" : $"is {(count == 2 ? "two" : "four")}")} numbers.");

    private static Fit FitOf(JsonElement request) => !request.TryGetProperty("fit", out _) ? Fit.Cover : request.Text("fit") switch
    {
        "cover" => Fit.Cover,
        "contain" => Fit.Contain,
        var other => throw new FormatException($"{Quoted.Text(other)} is no fit: cover and contain are."),
    };

    private static string Said(ArgumentException wrong) => wrong.Message.Split(" (Parameter", 2)[0];

    private static void WritePair(Utf8JsonWriter writer, string name, double first, double second)
    {
        writer.WriteStartArray(name);
        writer.WriteNumberValue(first);
        writer.WriteNumberValue(second);
        writer.WriteEndArray();
    }
}
