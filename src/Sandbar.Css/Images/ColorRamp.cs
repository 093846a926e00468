using System.Numerics;
using Sandbar.Css.Colors;
using Sandbar.Css.Computing;

namespace Sandbar.Css.Images;

/// <summary>A colour at a place along a gradient's line; a hint where there is no colour.</summary>
/// <param name="At">Where, 1 at the line's end; null for wherever there is room.</param>
public readonly record struct RampStop(Color? Color, double? At);

/// <summary>
/// The colours along the line of a gradient. Source: CSS Images 4, §3.4 (stops, hints) and §3.1.1 (spaces); what hints come to is Chromium's, which puts nine stops in their place.
/// </summary>
public sealed class ColorRamp
{
    /// <summary>Steps of a stretch in which it is painted.</summary>
    private const int Steps = 256;

    private readonly (Color Color, double At)[] stops;

    private readonly ColorSpace space;

    private readonly HueWay way;

    private readonly bool repeats;

    private readonly Func<Color, Color, double, Color> hinted;

    private readonly Vector4[]?[] stretches;

    private readonly Vector4[] ends;

    /// <param name="stops">At least one colour; no hint first, last or beside another.</param>
    /// <param name="space">What colours are mixed in; null where none is named: OKLab, or sRGB where all are written as before CSS Color 4.</param>
    public ColorRamp(IReadOnlyList<RampStop> stops, ColorSpace? space, bool isLegacy, HueWay way, bool repeats)
    {
        (this.space, this.way, this.repeats) = (space ?? (isLegacy ? ColorSpace.Srgb : ColorSpace.Oklab), way, repeats);
        // Where no space is named, Chromium puts hints between colours of sRGB.
        hinted = space is null ? (a, b, share) => ColorMix.Mix(a, b, share, ColorSpace.Srgb) : Mixed;
        this.stops = WithoutHints(Placed(stops));
        stretches = new Vector4[]?[this.stops.Length];
        // What a stop lacks it takes from its neighbour, also where it stands alone.
        ends = [.. this.stops.Select((s, i) => Painted(this.stops.Length == 1 ? s.Color : i == 0 ? Mixed(0, 0) : Mixed(i - 1, 1)))];
    }

    /// <summary>Where its first and its last stop are.</summary>
    public (double First, double Last) Span => (stops[0].At, stops[^1].At);

    /// <summary>The colours from the first stop to the last, whatever lies between them.</summary>
    /// <param name="between">Steps from each stop to the next.</param>
    public IEnumerable<Color> Along(int between)
    {
        yield return Gamut.ToSrgb(stops[0].Color);
        for (var i = 0; i + 1 < stops.Length; i++)
        {
            for (var n = 1; n <= between; n++) yield return Gamut.ToSrgb(Mixed(i, (double)n / between));
        }
    }

    /// <summary>What is painted all over where the line has no length: the last colour, or where it repeats what all of them come to on the mean.</summary>
    public Vector4 Folded
    {
        get
        {
            var (first, last) = Span;
            if (!repeats || last <= first) return ends[^1];
            const int Samples = 512;
            var sum = Vector4.Zero;
            for (var i = 0; i < Samples; i++) sum += At(first + (last - first) * (i + 0.5) / Samples);
            return sum / Samples;
        }
    }

    /// <summary>What is painted at a place on the line.</summary>
    public Vector4 At(double place)
    {
        var (first, last) = Span;
        if (repeats)
        {
            if (last - first <= 0) return ends[^1];
            var turns = (place - first) / (last - first);
            place = first + (turns - Math.Floor(turns)) * (last - first);
        }
        if (place < first) return ends[0];
        if (place >= last) return ends[^1];
        // The last stop that does not lie beyond the place; two at one place are a hard edge.
        int low = 0, high = stops.Length - 1;
        while (low + 1 < high)
        {
            var middle = (low + high) / 2;
            if (stops[middle].At <= place) low = middle;
            else high = middle;
        }
        var length = stops[high].At - stops[low].At;
        if (length <= 0) return ends[high];
        var stretch = stretches[low] ??= Stretch(low);
        var exact = Math.Clamp((place - stops[low].At) / length, 0, 1) * Steps;
        var step = Math.Min((int)exact, Steps - 1);
        return Vector4.Lerp(stretch[step], stretch[step + 1], (float)(exact - step));
    }

    private Vector4[] Stretch(int from)
    {
        var colors = new Vector4[Steps + 1];
        for (var i = 0; i <= Steps; i++) colors[i] = Painted(Mixed(from, (double)i / Steps));
        return colors;
    }

    private static Vector4 Painted(Color color) => Premultiplied.Of(BrowserColors.To(color, ColorSpace.Srgb));

    private Color Mixed(int from, double share) => Mixed(stops[from].Color, stops[from + 1].Color, share);

    private Color Mixed(Color one, Color other, double share)
    {
        Color a = ColorMix.In(one, space, BrowserColors.To), b = ColorMix.In(other, space, BrowserColors.To);
        var isLch = space is ColorSpace.Lch or ColorSpace.Oklch;
        if (isLch) (a, b) = (WithHue(one, a, b.C3), WithHue(other, b, a.C3));
        // A hue taken over is not quite the same in Chromium: where there is one way to go, it goes all the way round.
        if (isLch && way is (HueWay.Increasing or HueWay.Decreasing))
        {
            var less = way == HueWay.Increasing ? -Unlike : Unlike;
            if (double.IsNaN(a.C3) && !IsPolar(one.Space)) a = a with { C3 = b.C3 - less };
            else if (double.IsNaN(b.C3) && !IsPolar(other.Space)) b = b with { C3 = a.C3 + less };
        }
        return ColorMix.Mix(a, b, share, space, way);
    }

    private const double Unlike = 1e-4;

    private static bool IsPolar(ColorSpace space) => space is ColorSpace.Hsl or ColorSpace.Hwb or ColorSpace.Lch or ColorSpace.Oklch;

    /// <summary>
    /// The hue of a grey that comes from another space. The standard takes it from the other colour, and of what is nearly grey so does Chromium; of what is wholly grey and not black it
    /// goes half the way to one that its arithmetic leaves there, and of a grey of the space itself all the way. Found by asking, to within 4 degrees.
    /// </summary>
    private Color WithHue(Color given, Color converted, double other)
    {
        const double Wholly = 1e-4, Nearly = 0.02;
        var left = space == ColorSpace.Oklch ? 204 : 178;
        if (given.Space == space) return converted.C2 < Wholly && !double.IsNaN(converted.C3) ? converted with { C3 = left } : converted;
        if (converted.C2 > Nearly || double.IsNaN(given.C3)) return converted;
        if (converted.C2 > Wholly || converted.C1 < Wholly || double.IsNaN(other)) return converted with { C3 = double.NaN };
        var turn = ((left - other) % 360 + 540) % 360 - 180;
        return converted with { C3 = (other + turn / 2 + 360) % 360 };
    }

    /// <summary>Every stop with its place: the ends are the line's, none lies before one before it, and what has none is spread evenly (CSS Images 4, §3.4.3).</summary>
    private List<(Color? Color, double At)> Placed(IReadOnlyList<RampStop> stops)
    {
        var places = stops.Select(s => s.At).ToArray();
        places[0] ??= 0;
        places[^1] ??= 1;
        var furthest = double.NegativeInfinity;
        for (var i = 0; i < places.Length; i++)
        {
            if (places[i] is not { } place) continue;
            furthest = Math.Max(furthest, place);
            places[i] = furthest;
        }
        for (var i = 0; i < places.Length; i++)
        {
            if (places[i] is not null) continue;
            var next = Array.FindIndex(places, i, p => p is not null);
            var (from, to) = (places[i - 1]!.Value, places[next]!.Value);
            var count = next - i + 1;
            for (var n = i; n < next; n++) places[n] = from + (to - from) * (n - i + 1) / count;
        }
        List<(Color? Color, double At)> placed = [.. stops.Select((s, i) => (s.Color, places[i]!.Value))];
        // What is missing in the first is nothing at the line's beginning, as Chromium has it.
        if (!repeats && placed[0] is { At: > 0, Color: { } first } && double.IsNaN(first.C1 + first.C2 + first.C3))
        {
            placed[0] = (Mixed(first, placed.Skip(1).First(s => s.Color is not null).Color!.Value, 0), placed[0].At);
            placed.Insert(0, (first with { C1 = Known(first.C1), C2 = Known(first.C2), C3 = Known(first.C3) }, 0));
        }
        return placed;
    }

    private static double Known(double component) => double.IsNaN(component) ? 0 : component;

    /// <summary>Hints as stops: in the middle it says nothing, at an end it is a hard edge, else the curve goes through nine stops.</summary>
    private (Color Color, double At)[] WithoutHints(List<(Color? Color, double At)> placed)
    {
        var all = new List<(Color Color, double At)>();
        for (var i = 0; i < placed.Count; i++)
        {
            if (placed[i].Color is { } color)
            {
                all.Add((color, placed[i].At));
                continue;
            }
            var (left, right) = (placed[i - 1], placed[i + 1]);
            double before = placed[i].At - left.At, after = right.At - placed[i].At, whole = right.At - left.At;
            const double Same = 1e-6;
            if (Math.Abs(before - after) < Same) continue;
            if (before < Same) all.Add((right.Color!.Value, placed[i].At));
            else if (after < Same) all.Add((left.Color!.Value, placed[i].At));
            else
            {
                var exponent = Math.Log(0.5) / Math.Log(before / whole);
                // More of them on the longer side.
                var places = before > after
                    ? Enumerable.Range(0, 7).Select(n => left.At + before * (7 + n) / 13).Concat([placed[i].At + after / 3, placed[i].At + after * 2 / 3])
                    : new[] { left.At + before / 3, left.At + before * 2 / 3 }.Concat(Enumerable.Range(0, 7).Select(n => placed[i].At + after * n / 13));
                foreach (var place in places)
                    all.Add((hinted(left.Color!.Value, right.Color!.Value, Math.Pow((place - left.At) / whole, exponent)), place));
            }
        }
        return [.. all];
    }
}
