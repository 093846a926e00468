using System.Globalization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Colours moved from another. Only the palette holds them, and resolves them for screens of sRGB.</summary>
public sealed class MovedColorForm : ValueForm<MovedColorValue>
{
    /// <summary>How one begins when it is typed.</summary>
    public const string Begin = "move ";

    protected override string Write(Site site, MovedColorValue value) =>
        Begin + string.Join(", ", new[] { ValueForms.Write(site, value.Of), Move("lightness", value.Lightness), Move("chroma", value.Chroma), Move("hue", value.Hue) }.Where(t => t.Length > 0));

    protected override string Css(SiteReads reads, MovedColorValue value, Value? rest) => throw new InvalidOperationException("Only the palette releases a colour that is moved.");

    /// <summary>Outside the palette it is no value of CSS.</summary>
    protected override CssType? TypeOf(Site site, MovedColorValue value, Value? rest) => null;

    protected override string? Refusal(Site site, MovedColorValue value, Value? rest) =>
        value.Lightness is < -100 or > 100 ? "Lightness moves by at most 100."
        : value.Chroma is < -50 or > 50 ? "Chroma moves by at most 50."
        : value.Hue is < -360 or > 360 ? "Hue moves by at most 360°."
        : null;

    private static string Move(string what, decimal by) => by == 0 ? "" : by.ToString($"'{what} '+0.####;'{what} '−0.####", CultureInfo.InvariantCulture);
}
