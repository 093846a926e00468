using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Places on axes of variable fonts, as <c>font-variation-settings</c> has them (CSS Fonts 4, §8.2).</summary>
public sealed partial class AxisForm : ValueForm<AxisValue>
{
    private const decimal Largest = 30_000;

    protected override string Write(Site site, AxisValue value) => string.Create(CultureInfo.InvariantCulture, $"{value.Tag} {value.Number:0.####}");

    protected override string Css(SiteReads reads, AxisValue value, Value? rest) => string.Create(CultureInfo.InvariantCulture, $"\"{value.Tag}\" {value.Number:0.####}");

    protected override CssType? TypeOf(Site site, AxisValue value, Value? rest) => CssType.Axis;

    protected override string? Refusal(Site site, AxisValue value, Value? rest) =>
        !Tag().IsMatch(value.Tag) ? $"{Quoted.Text(value.Tag)} is no axis: they are called by four letters or digits, such as opsz."
        : Math.Abs(value.Number) > Largest ? $"No axis goes as far as {value.Number.ToString("0.####", CultureInfo.InvariantCulture)}."
        : null;

    [GeneratedRegex(@"^[A-Za-z][A-Za-z0-9]{3}\z")]
    private static partial Regex Tag();
}
