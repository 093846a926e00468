using System.Globalization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Shadows that have no name: layers with commas between them.</summary>
public sealed class ShadowForm : ValueForm<ShadowValue>
{
    /// <summary>As many layers as a shadow has at most.</summary>
    public const int Most = 20;

    protected override string Write(Site site, ShadowValue value) => string.Join(", ", value.Layers.Select(layer => ValueForms.Write(site, layer)));

    protected override string Css(SiteReads reads, ShadowValue value, Value? rest) => string.Join(", ", value.Layers.Select(layer => ValueForms.Css(reads, layer)));

    protected override CssType? TypeOf(Site site, ShadowValue value, Value? rest) => CssType.Shadow;

    protected override string? Refusal(Site site, ShadowValue value, Value? rest) =>
        value.Layers.Length is 0 or > Most ? $"A shadow has 1 to {Most} layers." : value.Layers.All(l => l is ShadowLayerValue) ? null : "A shadow is made of layers.";
}

/// <summary>A layer: across, down, blur and spread, a colour and how much of it; <c>inner</c> before it where it falls inside the box.</summary>
public sealed class ShadowLayerForm : ValueForm<ShadowLayerValue>
{
    /// <summary>The furthest a layer goes, px or any other unit.</summary>
    public const decimal Furthest = 500;

    /// <summary>A layer as <c>box-shadow</c> has it (CSS Backgrounds and Borders 3, §7.1).</summary>
    /// <param name="opacity">Of the colour, as CSS.</param>
    public static string Css(bool isInner, IEnumerable<string> lengths, string color, string opacity) =>
        $"{(isInner ? "inset " : "")}{string.Join(' ', lengths)} {Faded(color, opacity)}";

    /// <summary>A colour with only so much of it.</summary>
    public static string Faded(string color, string opacity) => opacity == "100%" ? color : $"color-mix(in srgb, {color} {opacity}, transparent)";

    protected override string Write(Site site, ShadowLayerValue value) =>
        $"{(value.IsInner ? "inner " : "")}{string.Join(' ', Lengths(value).Select(l => ValueForms.Write(site, l)))} {ValueForms.Write(site, value.Color)} {value.Opacity.ToString("0.####", CultureInfo.InvariantCulture)}%";

    protected override string Css(SiteReads reads, ShadowLayerValue value, Value? rest) =>
        Css(value.IsInner, Lengths(value).Select(l => ValueForms.Css(reads, l)), ValueForms.Css(reads, value.Color), NumberForm.Css(value.Opacity, "%"));

    /// <summary>Only a shadow is made of layers.</summary>
    protected override CssType? TypeOf(Site site, ShadowLayerValue value, Value? rest) => null;

    protected override string? Refusal(Site site, ShadowLayerValue value, Value? rest) =>
        value.DependsOnRest() ? "A shadow that is typed does not refer to Rest."
        : Lengths(value).Any(l => !IsLength(site, l)) ? "A shadow goes across and down, is blurred and spread by lengths."
        : ValueForms.TypeOf(site, value.Color) != CssType.Color ? "The colour of a shadow is a role or a colour."
        : Lengths(value).Any(l => Ranges.Fold(l) is { } number && Math.Abs(number.Number) > Furthest) ? $"A shadow goes at most {Furthest} far."
        : Ranges.Fold(value.Blur) is { Number: < 0 } ? "Blur cannot be negative."
        : value.Opacity is < 0 or > 100 ? "Opacity lies between 0 and 100 %."
        : null;

    private static Value[] Lengths(ShadowLayerValue value) => [value.X, value.Y, value.Blur, value.Spread];

    private static bool IsLength(Site site, Value value) => value is NumberValue { Number: 0, Unit: "" } || (ValueForms.TypeOf(site, value) == CssType.Length && !value.WithInner().Any(v => v is NumberValue { Unit: "%" }));
}
