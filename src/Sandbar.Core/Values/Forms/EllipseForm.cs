using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A corner that goes another way across than down: <c>20px by 10px</c>.</summary>
public sealed class EllipseForm : ValueForm<EllipseValue>
{
    protected override string Write(Site site, EllipseValue value) => $"{ValueForms.Write(site, value.Across)} by {ValueForms.Write(site, value.Down)}";

    protected override string Css(SiteReads reads, EllipseValue value, Value? rest) => $"{ValueForms.Css(reads, value.Across, rest)} / {ValueForms.Css(reads, value.Down, rest)}";

    protected override CssType? TypeOf(Site site, EllipseValue value, Value? rest) => value.Inner.All(radius => IsLength(site, radius, rest)) ? CssType.Corners : null;

    protected override string? Refusal(Site site, EllipseValue value, Value? rest) => TypeOf(site, value, rest) is null ? "A corner takes a length across and one down." : null;

    private static bool IsLength(Site site, Value value, Value? rest) => value is NumberValue { Number: 0, Unit: "" } || ValueForms.TypeOf(site, value, rest) == CssType.Length;
}
