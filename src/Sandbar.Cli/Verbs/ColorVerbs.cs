using System.CommandLine;
using System.Text.Json;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Cli.Verbs;

/// <summary><c>color convert</c>, <c>contrast</c>, <c>difference</c>, <c>simulate</c>.</summary>
internal static class ColorVerbs
{
    public static Command Command => new("color", "Colours: conversion, contrast, difference, vision.")
    {
        Verb.Create("convert", "A colour in another space.", [new("color", "any CSS colour"), new("to", "a space such as oklch, or hex")], Convert),
        Verb.Create("contrast", "WCAG 2.2 contrast of a text on a ground.", [new("text", "colour of the text"), new("ground", "colour behind it")], ContrastOf),
        Verb.Create("difference", "How different two colours look.",
            [new("a", "a colour"), new("b", "another"), new("method", "ciede2000 or oklab", Required: false)], DifferenceOf),
        Verb.Create("simulate", "A colour as people with a colour-vision deficiency see it.",
            [new("color", "any CSS colour"), new("vision", "protanopia, deuteranopia or tritanopia"), new("severity", "0 to 1", IsNumber: true, Required: false)], Simulate),
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
}
