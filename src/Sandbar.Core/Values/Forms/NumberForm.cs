using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Numbers with a unit, or without.</summary>
public sealed class NumberForm : ValueForm<NumberValue>
{
    /// <summary>Largest number there is, either way: more than any length of a page, and far from what a decimal can hold.</summary>
    private const decimal Largest = 1_000_000;

    /// <summary>A number with its unit as released: invariant, at most four decimals, nothing after 0.</summary>
    public static string Css(decimal number, string unit)
    {
        var rounded = Math.Round(number, 4, MidpointRounding.AwayFromZero);
        return rounded == 0 && unit is not ("%" or "deg" or "ms" or "s") ? "0" : rounded.ToString("0.####", CultureInfo.InvariantCulture) + unit;
    }

    protected override string Write(Site site, NumberValue value) => value.Number.ToString("0.####", CultureInfo.InvariantCulture) + value.Unit;

    protected override string Css(SiteReads reads, NumberValue value, Value? rest) => Css(value.Number, value.Unit);

    protected override CssType? TypeOf(Site site, NumberValue value, Value? rest) => CssType.OfUnit(value.Unit);

    protected override string? Refusal(Site site, NumberValue value, Value? rest) =>
        CssType.OfUnit(value.Unit) is null ? $"{Quoted.Text(value.Unit)} is not a unit here: use {Sentence.OneOf(CssType.LengthUnits)}."
        : Math.Abs(value.Number) > Largest ? $"{value.Number.ToString("0.####", CultureInfo.InvariantCulture)} is too large."
        : null;
}
