using System.CommandLine;
using System.Text.Json;
using Sandbar.Fonts;

namespace Sandbar.Cli.Verbs;

/// <summary><c>font metrics</c>, <c>font measure</c>.</summary>
internal static class FontVerbs
{
    private const double MostSize = 10_000;

    private const int LongestText = 100_000;

    // Many lines ask about the same file: the last one stays open for as long as it is as it was.
    private static (string Path, DateTime Written, FontFile File, TextMeasure Measure)? last;

    public static Command Command => new("font", "Font files: what they are, and how wide text is in them.")
    {
        Verb.Create("metrics", "What a font file says of itself, in font units.", [new("file", "a WOFF2, WOFF, TTF or OTF")], Metrics),
        Verb.Create("measure", "How wide a text is, as a browser sets it.",
            [new("file", "a WOFF2, WOFF, TTF or OTF"), new("text", "what is set"), new("size", "px, 16 unless named", IsNumber: true, Required: false), new("weight", "of a variable font, 400 unless named", IsNumber: true, Required: false)], Measure),
    };

    private static void Metrics(JsonElement request, Utf8JsonWriter writer)
    {
        var facts = Open(request).File.Facts;
        writer.WriteString("family", facts.Family);
        writer.WriteNumber("unitsPerEm", facts.Metrics.UnitsPerEm);
        writer.WriteNumber("ascent", facts.Metrics.Ascent);
        writer.WriteNumber("descent", facts.Metrics.Descent);
        writer.WriteNumber("lineGap", facts.Metrics.LineGap);
        writer.WriteNumber("capHeight", facts.Metrics.CapHeight);
        writer.WriteNumber("xHeight", facts.Metrics.XHeight);
        writer.WriteStartArray("weights");
        writer.WriteNumberValue(facts.Weights.From);
        writer.WriteNumberValue(facts.Weights.To);
        writer.WriteEndArray();
        writer.WriteBoolean("italic", facts.IsItalic);
        if (facts.Class is { } kind) writer.WriteString("class", kind.ToString().ToLowerInvariant());
        else writer.WriteNull("class");
    }

    private static void Measure(JsonElement request, Utf8JsonWriter writer)
    {
        var (text, size, weight) = (request.Text("text"), request.Number("size", 16), request.Number("weight", 400));
        if (size is not (> 0 and <= MostSize)) throw new FormatException($"“size” is above 0 and up to {MostSize} px.");
        if (weight is < 1 or > 1000) throw new FormatException("“weight” runs from 1 to 1000.");
        if (text.Length > LongestText) throw new FormatException($"“text” has up to {LongestText} letters.");
        writer.WriteNumber("width", Open(request).Measure.Width(text, size, weight));
    }

    private static (FontFile File, TextMeasure Measure) Open(JsonElement request)
    {
        var path = request.Text("file");
        if (last is { } open && open.Path == path && open.Written == JsonLines.WrittenAt(path)) return (open.File, open.Measure);
        var file = FontFile.Read(request.FileBytes("file"));
        last?.Measure.Dispose();
        last = (path, JsonLines.WrittenAt(path), file, new(file));
        return (last.Value.File, last.Value.Measure);
    }
}
