using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using Sandbar.Core.Pictures;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Cli.Verbs;

/// <summary><c>color convert</c>, <c>contrast</c>, <c>difference</c>, <c>simulate</c>, <c>steps</c>, <c>mend</c>, <c>near</c>, <c>extract</c>.</summary>
internal static class ColorVerbs
{
    /// <summary>More steps than that are nearer to each other than eight bits.</summary>
    private const int MostSteps = 256;

    public static Command Command => new("color", "Colours: conversion, contrast, difference, vision.")
    {
        Verb.Create("convert", "A colour in another space.", [new("color", "any CSS colour"), new("to", "a space such as oklch, or hex")], Convert),
        Verb.Create("contrast", "WCAG 2.2 contrast of a text on a ground.", [new("text", "colour of the text"), new("ground", "colour behind it")], ContrastOf),
        Verb.Create("difference", "How different two colours look.",
            [new("a", "a colour"), new("b", "another"), new("method", "ciede2000 or oklab", Required: false)], DifferenceOf),
        Verb.Create("simulate", "A colour as people with a colour-vision deficiency see it.",
            [new("color", "any CSS colour"), new("vision", "protanopia, deuteranopia or tritanopia"), new("severity", "0 to 1", IsNumber: true, Required: false)], Simulate),
        Verb.Create("steps", "Tints and shades of a colour, nearest first.",
            [new("color", "any CSS colour"), new("tints", "how many lighter ones", IsNumber: true, Required: false), new("shades", "how many darker ones", IsNumber: true, Required: false)], StepsOf),
        Verb.Create("mend", "The nearest colour of its hue with which a pair reaches a contrast.",
            [new("text", "colour of the text"), new("ground", "colour behind it"), new("target", "contrast to reach, 4.5 unless named", IsNumber: true, Required: false), new("change", "text or ground", Required: false)], MendOf),
        Verb.Create("near", "Groups of colours that are nearly the same.",
            [new("colors", "colours with semicolons between them"), new("within", "CIEDE2000 within which they are, 2.5 unless named", IsNumber: true, Required: false)], Near),
        Verb.Create("extract", "The colours of a picture, by their share of it.", [new("file", "a PNG, JPEG, WebP or SVG"), new("count", "how many at most, 8 unless named", IsNumber: true, Required: false)], Extract),
    };

    private static void Convert(JsonElement request, Utf8JsonWriter writer)
    {
        var color = ColorText.Parse(request.Text("color"));
        var to = request.Text("to");
        if (to.Equals("hex", StringComparison.OrdinalIgnoreCase))
        {
            writer.WriteString("space", "hex");
            writer.WriteString("css", ColorText.Hex(color));
            writer.WriteNumber("alpha", color.Alpha);
            return;
        }
        if (!ColorSpaceNames.TryParse(to, out var space)) throw new FormatException($"{Quoted.Text(to)} is not a colour space. Try oklch, lab, hsl, display-p3 or hex.");
        var converted = color.To(space);
        writer.WriteString("space", space.CssName());
        writer.WriteStartArray("components");
        foreach (var component in new[] { converted.C1, converted.C2, converted.C3 })
        {
            if (double.IsNaN(component)) writer.WriteNullValue();
            else writer.WriteNumberValue(component);
        }
        writer.WriteEndArray();
        writer.WriteNumber("alpha", converted.Alpha);
        writer.WriteString("css", ColorText.Css(converted));
    }

    private static void ContrastOf(JsonElement request, Utf8JsonWriter writer) =>
        writer.WriteNumber("ratio", Contrast.Ratio(ColorText.Parse(request.Text("text")), ColorText.Parse(request.Text("ground"))));

    private static void DifferenceOf(JsonElement request, Utf8JsonWriter writer)
    {
        Color a = ColorText.Parse(request.Text("a")), b = ColorText.Parse(request.Text("b"));
        writer.WriteNumber("difference", request.Text("method", "ciede2000").ToLowerInvariant() switch
        {
            "ciede2000" => Difference.Ciede2000(a, b),
            "oklab" => Difference.Oklab(a, b),
            var other => throw new FormatException($"{Quoted.Text(other)} is not a method: use ciede2000 or oklab."),
        });
    }

    private static void Simulate(JsonElement request, Utf8JsonWriter writer)
    {
        var color = ColorText.Parse(request.Text("color"));
        if (!Enum.TryParse<VisionKind>(request.Text("vision"), ignoreCase: true, out var kind) || !Enum.IsDefined(kind))
            throw new FormatException($"{Quoted.Text(request.Text("vision"))} is not known: use protanopia, deuteranopia or tritanopia.");
        var severity = request.Number("severity", 1);
        if (severity is < 0 or > 1) throw new FormatException("“severity” runs from 0 to 1.");
        writer.WriteString("hex", ColorText.Hex(Vision.Simulate(color, kind, severity)));
    }

    private static void StepsOf(JsonElement request, Utf8JsonWriter writer)
    {
        var row = Steps.Of(ColorText.Parse(request.Text("color")), Count(request, "tints", Steps.TintCount), Count(request, "shades", Steps.ShadeCount));
        writer.WriteString("base", ColorText.Hex(row.Base));
        WriteHexes(writer, "tints", row.Tints);
        WriteHexes(writer, "shades", row.Shades);
    }

    private static void MendOf(JsonElement request, Utf8JsonWriter writer)
    {
        Color text = ColorText.Parse(request.Text("text")), ground = ColorText.Parse(request.Text("ground"));
        var target = request.Number("target", Contrast.Text);
        if (target is < 1 or > 21) throw new FormatException("“target” runs from 1 to 21.");
        if (!Enum.TryParse<MendedSide>(request.Text("change", "text"), ignoreCase: true, out var change) || !Enum.IsDefined(change)) throw new FormatException("“change” is text or ground.");
        var mended = Mend.Nearest(text, ground, target, change) ?? throw new FormatException(string.Create(CultureInfo.InvariantCulture,
            $"No {(change == MendedSide.Text ? "text of this hue is readable on this ground" : "ground of this hue carries this text")} at {target:0.##} : 1."));
        writer.WriteString("text", ColorText.Hex(mended.Text));
        writer.WriteString("ground", ColorText.Hex(mended.Ground));
        writer.WriteNumber("ratio", mended.Ratio);
        writer.WriteNumber("difference", mended.Difference);
    }

    private static void Near(JsonElement request, Utf8JsonWriter writer)
    {
        var within = request.Number("within", Alike.Within);
        if (within < 0) throw new FormatException("“within” is not below 0.");
        writer.WriteStartArray("groups");
        foreach (var group in Alike.Groups([.. request.Texts("colors").Select(ColorText.Parse)], within))
        {
            writer.WriteStartArray();
            foreach (var index in group) writer.WriteNumberValue(index);
            writer.WriteEndArray();
        }
        writer.WriteEndArray();
    }

    private static void Extract(JsonElement request, Utf8JsonWriter writer)
    {
        var count = Count(request, "count", 8, least: 1, PictureColors.Most);
        var bytes = request.FileBytes("file");
        writer.WriteStartArray("colors");
        foreach (var color in PictureColors.Of(PictureFile.Read(bytes), count))
        {
            writer.WriteStartObject();
            writer.WriteString("hex", ColorText.Hex(color.Color));
            writer.WriteNumber("share", color.Share);
            writer.WriteEndObject();
        }
        writer.WriteEndArray();
    }

    private static int Count(JsonElement request, string name, int otherwise, int least = 0, int most = MostSteps)
    {
        var count = request.Number(name, otherwise);
        return count == Math.Floor(count) && count >= least && count <= most ? (int)count : throw new FormatException($"{Quoted.Text(name)} is a whole number from {least} to {most}.");
    }

    private static void WriteHexes(Utf8JsonWriter writer, string name, IEnumerable<Color> colors)
    {
        writer.WriteStartArray(name);
        foreach (var color in colors) writer.WriteStringValue(ColorText.Hex(color));
        writer.WriteEndArray();
    }
}
