using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Numerics;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>A gradient that names a space or hints, as plain stops of sRGB that every browser mixes the same way.</summary>
/// <param name="Stops">Colours, and where they lie, %.</param>
/// <param name="Difference">How much it differs from what it stands for where it differs most: CIEDE2000, over white and over black.</param>
public sealed record PlainStops(ImmutableArray<(Color Color, decimal At)> Stops, double Difference)
{
    /// <summary>So near each stretch is brought, if it takes no more than <see cref="Most"/> pieces.</summary>
    public const double Near = 1.5;

    private const int Most = 64, Fewest = 48, SamplesOfPiece = 4;

    // Of a gradient that stays the same object, by the colours its stops come to: while one is dragged others come.
    private static readonly ConditionalWeakTable<Gradient, ConcurrentDictionary<string, PlainStops>> Known = [];

    private const int MostKept = 64;

    /// <summary>The fewest plain stops that come near enough.</summary>
    /// <param name="colors">What the colours of its stops come to.</param>
    public static PlainStops Of(Gradient gradient, IReadOnlyList<Color> colors)
    {
        var known = Known.GetOrCreateValue(gradient);
        if (known.Count > MostKept) known.Clear();
        return known.GetOrAdd(string.Join(' ', colors.Select(ColorText.Css)), _ => Found(gradient, colors));
    }

    /// <summary>What the colours of its stops come to where a scheme is carried.</summary>
    public static IReadOnlyList<Color> Colors(Site site, Gradient gradient, Scheme scheme) => [.. gradient.Stops.Select(s => SchemeColors.Of(site, scheme, s.Color) ?? Color.Black)];

    private static PlainStops Found(Gradient gradient, IReadOnlyList<Color> colors)
    {
        var ramp = Ramp(gradient, colors);
        var places = GradientKind.Places(gradient);
        var stops = ImmutableArray.CreateBuilder<(Color, decimal)>();
        var furthest = 0d;
        stops.Add((At(places[0], atEnd: true), places[0]));
        for (var i = 0; i + 1 < places.Count; i++)
        {
            var (from, to) = (places[i], places[i + 1]);
            if (to <= from)
            {
                stops.Add((At(to, atEnd: false), to));
                continue;
            }
            for (var pieces = 1; ; pieces *= 2)
            {
                var cut = Enumerable.Range(0, pieces + 1).Select(n => from + (to - from) * n / pieces).Select(place => (Color: At(place, atEnd: place == to), Place: place)).ToList();
                var off = Off(ramp, cut);
                if (off > Near && pieces < Most) continue;
                furthest = Math.Max(furthest, off);
                // Where it begins has been said, by the stretch before or as the other side of a hard edge, unless what a grey takes from its neighbours differs.
                stops.AddRange(cut[0].Color == stops[^1].Item1 ? cut.Skip(1) : cut);
                break;
            }
        }
        return new(stops.ToImmutable(), furthest);

        Color At(decimal place, bool atEnd) => Premultiplied.Color(ramp.At((double)place / 100 - (atEnd ? 1e-9 : 0)));
    }

    /// <summary>Its colours along its line, as browsers mix them.</summary>
    public static ColorRamp Ramp(Gradient gradient, IReadOnlyList<Color> colors)
    {
        var stops = new List<RampStop>();
        var places = GradientKind.Places(gradient);
        for (var i = 0; i < places.Count; i++)
        {
            stops.Add(new(Faded(gradient.Stops[i], colors[i]), (double)places[i] / 100));
            if (GradientKind.Hint(gradient, places, i) is { } hint) stops.Add(new(null, (double)hint / 100));
        }
        var isSaid = ColorSpaceNames.TryParse(gradient.Space.Code(), out var space);
        var way = Enum.TryParse<HueWay>(gradient.Hue.Code(), ignoreCase: true, out var given) ? given : HueWay.Shorter;
        return new(stops, isSaid ? space : ColorSpace.Srgb, isLegacy: true, way, repeats: false);
    }

    /// <summary>Of a colour of which nothing is seen nothing is left to mix, as <c>color-mix()</c> has it.</summary>
    private static Color Faded(GradientStop stop, Color color) => stop.Alpha.Amount() == 0 ? new(ColorSpace.Srgb, 0, 0, 0, 0) : color.WithAlpha(color.Alpha * (double)stop.Alpha.Amount() / 100);

    /// <summary>How far plain stops at even distances are from what they stand for.</summary>
    private static double Off(ColorRamp ramp, List<(Color Color, decimal Place)> plain)
    {
        double from = (double)plain[0].Place / 100, to = (double)plain[^1].Place / 100;
        var painted = plain.ConvertAll(s => Premultiplied.Of(s.Color));
        var furthest = 0d;
        var samples = Math.Max(Fewest, SamplesOfPiece * (plain.Count - 1));
        for (var n = 0; n < samples; n++)
        {
            var share = (n + 0.5) / samples;
            var exact = share * (plain.Count - 1);
            var piece = Math.Min((int)exact, plain.Count - 2);
            var instead = Vector4.Lerp(painted[piece], painted[piece + 1], (float)(exact - piece));
            var meant = ramp.At(from + (to - from) * share);
            foreach (var ground in Grounds) furthest = Math.Max(furthest, Css.Colors.Difference.Ciede2000(Seen(meant, ground), Seen(instead, ground)));
        }
        return furthest;
    }

    private static Color Seen(Vector4 painted, Vector4 ground) => Premultiplied.Opaque(Premultiplied.Over(painted, ground));

    private static readonly Vector4[] Grounds = [Vector4.One, new(0, 0, 0, 1)];
}
