using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>Mixes of two colours. Only the palette holds them, and resolves them for screens of sRGB.</summary>
public sealed class MixForm : ValueForm<MixValue>
{
    /// <summary>How one begins when it is typed.</summary>
    public const string Begin = "mix ";

    /// <summary>The space that is meant where none is named.</summary>
    public const string UsualSpace = "oklab";

    /// <summary>The spaces <c>color-mix()</c> takes that mean something to a designer.</summary>
    public static readonly IReadOnlyList<string> Spaces = [UsualSpace, "oklch", "lab", "lch", "srgb", "srgb-linear", "hsl"];

    private static string Number(decimal number) => number.ToString("0.####", CultureInfo.InvariantCulture);

    protected override string Write(Site site, MixValue value) =>
        $"{Begin}{ValueForms.Write(site, value.One)}, {ValueForms.Write(site, value.Other)} {Number(value.Share)}%{(value.Space == UsualSpace ? "" : $" in {value.Space}")}";

    protected override string Css(SiteReads reads, MixValue value, Value? rest) => throw new InvalidOperationException("Only the palette releases a mix.");

    /// <summary>Outside the palette it is no value of CSS.</summary>
    protected override CssType? TypeOf(Site site, MixValue value, Value? rest) => null;

    protected override string? Refusal(Site site, MixValue value, Value? rest) =>
        value.Share is < 0 or > 100 ? "A mix takes 0 to 100 % of the other colour."
        : !ColorSpaceNames.TryParse(value.Space, out _) || !Spaces.Contains(value.Space) ? $"Nothing is mixed in {Quoted.Text(value.Space)} here: use {Sentence.OneOf(Spaces)}."
        : null;
}
