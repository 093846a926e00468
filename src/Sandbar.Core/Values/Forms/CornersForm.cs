using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Radii for the four corners of a box, after <c>border-radius</c> (CSS Backgrounds and Borders 3, §4.1).</summary>
public sealed class CornersForm : ValueForm<CornersValue>
{
    /// <summary>How far each corner goes, across and then down, from the top left one clockwise.</summary>
    public static (string Across, string Down)[] Each(SiteReads reads, Value value, Value? rest = null)
    {
        Value[] corners = value is CornersValue all ? [.. all.Inner] : [value, value, value, value];
        var atRest = rest as CornersValue;
        return [.. corners.Select((corner, i) => Corner(reads, corner, atRest?.Inner[i] ?? rest))];
    }

    /// <summary>The corners as <c>border-radius</c> has them.</summary>
    public static string Css((string Across, string Down)[] corners)
    {
        var across = Shortest(corners.Select(c => c.Across));
        var down = Shortest(corners.Select(c => c.Down));
        return across == down ? across : $"{across} / {down}";
        static string Shortest(IEnumerable<string> corners) => corners.ToArray() is [var a, var b, var c, var d] ? string.Join(' ', SidesForm.Shortest(a, b, c, d)) : "";
    }

    protected override string Write(Site site, CornersValue value) => string.Join(' ', SidesForm.Shortest(value.TopLeft, value.TopRight, value.BottomRight, value.BottomLeft).Select(corner => corner is OperationValue ? $"({ValueForms.Write(site, corner)})" : ValueForms.Write(site, corner)));

    protected override string Css(SiteReads reads, CornersValue value, Value? rest) => Css(Each(reads, value, rest));

    protected override CssType? TypeOf(Site site, CornersValue value, Value? rest) =>
        value.Inner.Select((corner, i) => (corner, rest: (rest as CornersValue)?.Inner[i] ?? rest)).All(c => IsCorner(site, c.corner, c.rest)) ? CssType.Corners : null;

    protected override string? Refusal(Site site, CornersValue value, Value? rest) => TypeOf(site, value, rest) is null ? "Each corner takes a length." : null;

    /// <summary>Whether a value is one for a single corner.</summary>
    internal static bool IsCorner(Site site, Value value, Value? rest) =>
        value is EllipseValue || value is NumberValue { Number: 0, Unit: "" } || (value is not CornersValue && ValueForms.TypeOf(site, value, rest) is { } type && (type == CssType.Length || (value is RestValue && type == CssType.Corners && rest is EllipseValue)));

    private static (string Across, string Down) Corner(SiteReads reads, Value corner, Value? rest)
    {
        var meant = corner is RestValue { Step: 0 } && rest is not null ? rest : corner;
        if (meant is EllipseValue ellipse) return (ValueForms.Css(reads, ellipse.Across, rest), ValueForms.Css(reads, ellipse.Down, rest));
        var css = ValueForms.Css(reads, meant, rest);
        return meant is ReferenceValue reference && Kinds.Of(reference).DownToken(reads, reference) is { } down ? (css, $"var({down})") : (css, css);
    }
}
