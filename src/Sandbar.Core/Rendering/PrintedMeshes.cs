using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Rendering;

/// <summary>What meshes are on paper: one drawing each (SVG 2, §14.2), sharp at any size, where layers that fade out come to be pictures; written out for each scheme, since no custom property can stand within an address.</summary>
public static class PrintedMeshes
{
    /// <summary>Side of the drawing's own units: shares of the box.</summary>
    private const int Side = 100;

    /// <summary>Where along its reach how much of a point is seen, %: as its layer has it.</summary>
    private static readonly (int At, double Seen)[] Hill = [(0, 1), (50, 0.4), (80, 0.1), (100, 0)];

    // Rules that stay the same stay the same objects.
    private static readonly ConditionalWeakTable<PaletteFoundation, Tuple<ImmutableArray<Gradient>, IReadOnlyList<Rule>>> Written = [];

    private const string Key = "mesh print";

    /// <summary>Whether a rule, by its key, is for paper alone: it shows on no screen.</summary>
    public static bool Has(string key) => key.StartsWith(Key, StringComparison.Ordinal);

    internal static IReadOnlyList<Rule> Of(Site site)
    {
        if (Written.TryGetValue(site.Palette, out var written) && written.Item1 == site.Fills.Gradients) return written.Item2;
        var meshes = site.Fills.Gradients.Where(GradientKind.IsMesh).ToList();
        // As many images as it has layers elsewhere: how they are blended is said for each.
        IReadOnlyList<Rule> rules = meshes.Count == 0 ? [] :
        [
            .. SchemeByScheme.Rules(site, Key, scheme => meshes.Select(mesh => new Declaration(
                GradientKind.Description.Token(mesh), string.Join(", ", Enumerable.Repeat("none", mesh.Stops.Length - 1).Append($"url(\"data:image/svg+xml,{Svg(site, mesh, scheme)}\")")),
                new(OriginKind.Foundation, mesh.Id, "print", GradientKind.Kind)))).Select(rule => rule with { Needs = Needs.Print }),
        ];
        Written.AddOrUpdate(site.Palette, new(site.Fills.Gradients, rules));
        return rules;
    }

    /// <summary>A mesh as a drawing that is stretched over its box, escaped as an address.</summary>
    internal static string Svg(Site site, Gradient mesh, Scheme scheme)
    {
        var svg = new StringBuilder($"<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 {Side} {Side}' preserveAspectRatio='none'>");
        var ground = Painted(mesh.Stops[^1]);
        svg.Append(CultureInfo.InvariantCulture, $"<rect width='{Side}' height='{Side}' fill='{Rgb(ground)}' fill-opacity='{ground.Alpha:0.###}'/>");
        foreach (var (n, point) in mesh.Stops[..^1].Index().Reverse())
        {
            var color = Painted(point);
            svg.Append(CultureInfo.InvariantCulture, $"<radialGradient id='p{n}' gradientUnits='userSpaceOnUse' cx='{Number(point.X)}' cy='{Number(point.Y)}' r='{Number(point.Reach)}'>");
            foreach (var (at, seen) in Hill) svg.Append(CultureInfo.InvariantCulture, $"<stop offset='{at}%' stop-color='{Rgb(color)}' stop-opacity='{seen * color.Alpha:0.###}'/>");
            svg.Append("</radialGradient>");
            svg.Append(CultureInfo.InvariantCulture, $"<rect width='{Side}' height='{Side}' fill='url(#p{n})'/>");
        }
        return svg.Append("</svg>").ToString().Replace("%", "%25", StringComparison.Ordinal).Replace("#", "%23", StringComparison.Ordinal).Replace("<", "%3C", StringComparison.Ordinal).Replace(">", "%3E", StringComparison.Ordinal);

        Color Painted(GradientStop stop) => (SchemeColors.Of(site, scheme, stop.Color) ?? Color.Black) is var color ? Gamut.Rounded(color).WithAlpha(color.Alpha * (double)stop.Alpha.Amount() / 100) : default;
    }

    private static string Rgb(Color color) => string.Create(CultureInfo.InvariantCulture, $"rgb({Math.Round(color.C1 * 255)},{Math.Round(color.C2 * 255)},{Math.Round(color.C3 * 255)})");

    private static string Number(Value value) => value.Amount().ToString("0.####", CultureInfo.InvariantCulture);
}
