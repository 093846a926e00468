using System.Collections.Immutable;
using System.Globalization;
using System.Numerics;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>What a stop comes to.</summary>
/// <param name="Color">As it is seen on the scheme's ground.</param>
/// <param name="Says">What it does not do as it stands, in a few words; empty where there is nothing to say.</param>
public sealed record StopFigures(string Id, Color Color, string Says);

/// <summary>A text's colour over a gradient.</summary>
/// <param name="Role">Id of the role.</param>
/// <param name="Stops">Contrast at each stop.</param>
/// <param name="Worst">The lowest along it; of a mesh anywhere on it.</param>
/// <param name="At">Where that is, % along the line; null of a mesh.</param>
public sealed record GradientReading(string Role, ImmutableArray<double> Stops, double Worst, double? At);

/// <summary>What a gradient comes to where a scheme is carried: its colours, what can be read on it, and what older browsers show. Contrast: WCAG 2.2; differences: CIEDE2000.</summary>
/// <param name="Along">Colours along its line in even steps, as they are seen on the scheme's ground; none of a mesh.</param>
/// <param name="Plain">What older browsers show; null where that is the same.</param>
public sealed record GradientFigures(ImmutableArray<StopFigures> Stops, ImmutableArray<Color> Along, ImmutableArray<GradientReading> Readings, PlainStops? Plain)
{
    /// <summary>Steps along its line at which it is looked at.</summary>
    public const int Steps = 100;

    // A mesh is looked at so many times each way.
    private const int Grid = 24;

    private static readonly ConditionalWeakTable<Gradient, Tuple<string, GradientFigures>> Known = [];

    /// <summary>The figures in a scheme; kept for as long as what they are made from comes to the same.</summary>
    public static GradientFigures Of(Site site, Gradient gradient, Scheme scheme)
    {
        var colors = PlainStops.Colors(site, gradient, scheme);
        var ground = SchemeColors.Resolve(site.Palette, scheme, RoleKind.Ground).Color;
        var texts = site.Palette.Roles.Where(r => (double)r.Target.Amount() >= Contrast.Text).Select(r => (r.Id, Color: Gamut.Rounded(SchemeColors.Resolve(site.Palette, scheme, r.Id).Color))).ToList();
        var key = string.Join(' ', colors.Append(ground).Concat(texts.Select(t => t.Color)).Select(ColorText.Css).Concat(texts.Select(t => t.Id)));
        if (Known.TryGetValue(gradient, out var known) && known.Item1 == key) return known.Item2;
        var figures = Of(gradient, colors, Premultiplied.Of(ground), texts);
        Known.AddOrUpdate(gradient, new(key, figures));
        return figures;
    }

    private static GradientFigures Of(Gradient gradient, IReadOnlyList<Color> colors, Vector4 ground, List<(string Id, Color Color)> texts)
    {
        Color OnGround(Vector4 painted) => Premultiplied.Color(Premultiplied.Over(painted, ground));
        var seen = gradient.Stops.Select((s, i) => OnGround(Premultiplied.Of(colors[i].WithAlpha(colors[i].Alpha * (double)s.Alpha.Amount() / 100)))).ToList();
        var isMesh = GradientKind.IsMesh(gradient);
        ImmutableArray<Color> along = [], everywhere;
        if (isMesh)
        {
            var byValue = gradient.Stops.Select((s, i) => (s.Color, Css: ColorText.Hex(colors[i]))).GroupBy(s => s.Color).ToDictionary(g => g.Key, g => g.First().Css);
            var image = FillImage.Parse(GradientKind.MeshCss(gradient, color => byValue[color]), Grid, Grid);
            everywhere = [.. from y in Enumerable.Range(0, Grid) from x in Enumerable.Range(0, Grid) select OnGround(image.At(x + 0.5, y + 0.5))];
        }
        else
        {
            var ramp = PlainStops.Ramp(gradient, colors);
            everywhere = along = [.. Enumerable.Range(0, Steps + 1).Select(n => OnGround(ramp.At((double)n / Steps)))];
        }
        var readings = texts.ConvertAll(text =>
        {
            var ratios = everywhere.Select(c => Contrast.Ratio(text.Color, c)).ToList();
            var worst = ratios.Min();
            return new GradientReading(text.Id, [.. seen.Select(c => Contrast.Ratio(text.Color, c))], worst, isMesh ? null : 100d * ratios.IndexOf(worst) / Steps);
        });
        return new([.. gradient.Stops.Select((s, i) => new StopFigures(s.Id, seen[i], Says(gradient, i, isMesh)))], along, [.. readings], GradientKind.IsMixed(gradient) ? PlainStops.Of(gradient, colors) : null);
    }

    /// <summary>Two of one colour are flat between them, two at one place a hard edge (common practice, no source).</summary>
    private static string Says(Gradient gradient, int at, bool isMesh)
    {
        if (isMesh) return at == gradient.Stops.Length - 1 ? "under all others" : "";
        if (at == 0) return "";
        var (before, stop) = (gradient.Stops[at - 1], gradient.Stops[at]);
        var places = GradientKind.Places(gradient);
        if (stop.Position.Amount() < places[at]) return $"counts as {places[at].ToString("0.##", CultureInfo.InvariantCulture)} %: no stop lies before the one before it";
        if (places[at] == places[at - 1]) return $"hard edge with stop {at}";
        return stop.Color == before.Color && stop.Alpha == before.Alpha ? $"flat from stop {at}" : "";
    }
}
