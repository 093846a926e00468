using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Values for the four sides of a box.</summary>
public sealed class SidesForm : ValueForm<SidesValue>
{
    /// <summary>The fewest values that say the same, as in CSS.</summary>
    public static IEnumerable<T> Shortest<T>(T top, T right, T bottom, T left)
    {
        if (!Equals(left, right)) return [top, right, bottom, left];
        if (!Equals(bottom, top)) return [top, right, bottom];
        return Equals(right, top) ? [top] : [top, right];
    }

    public static IEnumerable<Value> Shortest(SidesValue sides) => Shortest(sides.Top, sides.Right, sides.Bottom, sides.Left);

    /// <summary>Whether the sides are lines, and no lengths.</summary>
    public static bool AreLines(Site site, SidesValue sides) => sides.Inner.All(side => side is WordValue || ValueForms.TypeOf(site, side) == CssType.Line);

    protected override string Write(Site site, SidesValue value) => AreLines(site, value)
        ? string.Join(", ", Shortest(value).Select(v => ValueForms.Write(site, v)))
        : string.Join(" ", Shortest(value).Select(v => v is OperationValue ? $"({ValueForms.Write(site, v)})" : ValueForms.Write(site, v)));

    protected override string Css(SiteReads reads, SidesValue value, Value? rest)
    {
        var r = rest as SidesValue;
        return string.Join(' ', Shortest(
            ValueForms.Css(reads, value.Top, r?.Top ?? rest), ValueForms.Css(reads, value.Right, r?.Right ?? rest),
            ValueForms.Css(reads, value.Bottom, r?.Bottom ?? rest), ValueForms.Css(reads, value.Left, r?.Left ?? rest)));
    }

    protected override CssType? TypeOf(Site site, SidesValue value, Value? rest)
    {
        if (AreLines(site, value)) return CssType.Lines;
        var r = rest as SidesValue;
        return IsLength(value.Top, r?.Top) && IsLength(value.Right, r?.Right) && IsLength(value.Bottom, r?.Bottom) && IsLength(value.Left, r?.Left) ? CssType.Sides : null;
        bool IsLength(Value side, Value? atRest) => ValueForms.TypeOf(site, side, atRest ?? rest) == CssType.Length || side is NumberValue { Number: 0, Unit: "" };
    }

    protected override string? Refusal(Site site, SidesValue value, Value? rest) => TypeOf(site, value, rest) is null ? "Each side takes a length, or each a line." : null;
}
