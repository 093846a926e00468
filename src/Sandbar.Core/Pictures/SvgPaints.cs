using System.Collections.Immutable;
using System.Runtime.InteropServices;
using System.Xml.Linq;
using Sandbar.Css.Colors;
using Svg;

namespace Sandbar.Core.Pictures;

/// <summary>
/// The paints an SVG names and how much of it each covers: fills and strokes by the pixels that are seen of them, stops by the pixels of their gradient that are nearest to them.
/// Found by drawing it once more with a colour of its own for every paint.
/// </summary>
internal static class SvgPaints
{
    /// <summary>Keys lie far apart, so that a pixel smoothed between two is none of them.</summary>
    private const int Spread = 0x9E3779;

    /// <summary>By the area they cover, the largest first; those of which nothing is seen are left out.</summary>
    /// <exception cref="FormatException">It cannot be read or draws nothing; the message says why.</exception>
    public static ImmutableArray<PictureColor> Of(byte[] bytes)
    {
        var root = SvgPicture.Safe(bytes);
        WithoutUse(root);
        var document = SvgPicture.Open(root);
        var shown = SvgPicture.Draw(document);
        var paints = Keyed(document);
        var areas = new Dictionary<(Color Color, PaintKind Kind), long>();
        var keyed = MemoryMarshal.Cast<byte, uint>(SvgPicture.Draw(document).Rgba);
        var seen = MemoryMarshal.Cast<byte, uint>(shown.Rgba);
        var nearest = new Dictionary<(uint Key, uint Seen), (Color, PaintKind)>();
        var total = 0L;
        for (var i = 0; i < keyed.Length; i++)
        {
            if (keyed[i] >> 24 != 255 || !paints.TryGetValue(keyed[i] & 0xFFFFFF, out var paint)) continue;
            // Only in a gradient does it matter what is seen there.
            var at = (keyed[i], paint.Colors.Count > 1 ? seen[i] : 0);
            if (!nearest.TryGetValue(at, out var color)) nearest[at] = color = (Nearest(paint.Colors, seen[i]), paint.Kind);
            areas[color] = areas.GetValueOrDefault(color) + 1;
            total++;
        }
        return
        [
            .. areas.GroupBy(a => a.Key.Color)
                .Select(g => new PictureColor(g.Key, (double)g.Sum(a => a.Value) / total, [.. g.Select(a => a.Key.Kind).Order()]))
                .OrderByDescending(c => c.Share),
        ];
    }

    /// <summary>Gives every paint a colour of its own, and tells which is which.</summary>
    private static Dictionary<uint, Paint> Keyed(SvgDocument document)
    {
        var elements = document.Descendants().OfType<SvgVisualElement>().Where(e => !e.Parents.Any(p => p is SvgMask or SvgClipPath)).ToList();
        // What is inherited is read before any of it is replaced.
        var named = elements.Select(e => (Element: e, Fill: Named(e, e.Fill, e.FillOpacity, PaintKind.Fill), Stroke: Named(e, e.Stroke, e.StrokeOpacity, PaintKind.Stroke))).ToList();
        var paints = new Dictionary<uint, Paint>();
        var keys = new Dictionary<string, uint>(StringComparer.Ordinal);
        foreach (var (element, fill, stroke) in named)
        {
            element.Fill = Server(fill, element.Fill);
            element.Stroke = Server(stroke, element.Stroke);
            element.Opacity = element.FillOpacity = element.StrokeOpacity = 1;
        }
        return paints;

        SvgPaintServer? Server(Paint? paint, SvgPaintServer? own)
        {
            if (paint is null) return own is null ? null : SvgPaintServer.None;
            // A pattern is drawn by what it is made of.
            if (paint.Colors.Count == 0) return own;
            var same = $"{paint.Kind} {string.Join(' ', paint.Colors)}";
            if (!keys.TryGetValue(same, out var key))
            {
                keys[same] = key = (uint)((keys.Count + 1) * (long)Spread) & 0xFFFFFF;
                paints[key] = paint;
            }
            return new SvgColourServer(System.Drawing.Color.FromArgb(255, (int)(key & 255), (int)((key >> 8) & 255), (int)(key >> 16)));
        }
    }

    /// <summary>What an element is painted with; null where nothing is seen of it.</summary>
    private static Paint? Named(SvgVisualElement element, SvgPaintServer? server, float opacity, PaintKind kind)
    {
        if (server is null || server == SvgPaintServer.None || opacity == 0 || element.ParentsAndSelf.Any(p => p.Opacity == 0)) return null;
        return SvgDeferredPaintServer.TryGet<SvgPaintServer>(server, element) switch
        {
            SvgColourServer color => new(kind, [ColorOf(color)]),
            SvgGradientServer gradient => Stops(gradient, element) is { Count: > 0 } stops ? new(stops.Count > 1 ? PaintKind.Stop : kind, stops) : null,
            SvgPatternServer => new(kind, []),
            _ => null,
        };
    }

    /// <summary>The colours of a gradient's stops, its own or those of one it refers to.</summary>
    private static List<Color> Stops(SvgGradientServer gradient, SvgElement element)
    {
        var passed = new HashSet<SvgGradientServer>();
        for (var at = gradient; at is not null && passed.Add(at); at = SvgDeferredPaintServer.TryGet<SvgGradientServer>(at.InheritGradient, element))
        {
            var colors = at.Stops.Select(s => SvgDeferredPaintServer.TryGet<SvgColourServer>(s.StopColor, s)).OfType<SvgColourServer>().Select(ColorOf).Distinct().ToList();
            if (colors.Count > 0) return colors;
        }
        return [];
    }

    private static Color ColorOf(SvgColourServer server) => Color.FromBytes(server.Colour.R, server.Colour.G, server.Colour.B);

    /// <summary>Gradients go from stop to stop in sRGB (SVG 2, 14.2.1): there the middle lies half-way.</summary>
    private static Color Nearest(IReadOnlyList<Color> colors, uint seen)
    {
        double red = (seen & 255) / 255d, green = ((seen >> 8) & 255) / 255d, blue = ((seen >> 16) & 255) / 255d;
        return colors.MinBy(c => (c.C1 - red) * (c.C1 - red) + (c.C2 - green) * (c.C2 - green) + (c.C3 - blue) * (c.C3 - blue));
    }

    /// <summary>Puts what is used in the place of what uses it, as SVG 2, 5.5 says it is drawn: what is painted there may be inherited from there.</summary>
    private static void WithoutUse(XElement root)
    {
        var byId = root.DescendantsAndSelf().Where(e => e.Attribute("id") is not null).GroupBy(e => e.Attribute("id")!.Value, StringComparer.Ordinal).ToDictionary(g => g.Key, g => new XElement(g.First()), StringComparer.Ordinal);
        Replace(root);

        void Replace(XElement within)
        {
            foreach (var use in within.Elements().ToList())
            {
                if (use.Name.LocalName != "use")
                {
                    Replace(use);
                    continue;
                }
                var href = use.Attributes().FirstOrDefault(a => a.Name.LocalName == "href")?.Value;
                if (href is null || !byId.TryGetValue(href.TrimStart('#'), out var used))
                {
                    use.Remove();
                    continue;
                }
                var group = Drawn(use, used);
                use.ReplaceWith(group);
                Replace(group);
            }
        }

        static XElement Drawn(XElement use, XElement used)
        {
            var space = use.Name.Namespace;
            var copy = new XElement(used);
            foreach (var id in copy.DescendantsAndSelf().Attributes("id").ToList()) id.Remove();
            string[] placed = ["x", "y", "width", "height"];
            var group = new XElement(space + "g", use.Attributes().Where(a => a.Name.LocalName is not ("href" or "id") && !placed.Contains(a.Name.LocalName)));
            group.SetAttributeValue("transform", $"{use.Attribute("transform")?.Value} translate({Of("x")} {Of("y")})");
            if (copy.Name.LocalName == "symbol")
            {
                copy.Name = space + "svg";
                copy.SetAttributeValue("width", use.Attribute("width")?.Value ?? "100%");
                copy.SetAttributeValue("height", use.Attribute("height")?.Value ?? "100%");
            }
            group.Add(copy);
            return group;

            string Of(string name) => use.Attribute(name)?.Value ?? "0";
        }
    }

    /// <param name="Colors">One, or those of the stops; none for a pattern, which is drawn by what it is made of.</param>
    private sealed record Paint(PaintKind Kind, IReadOnlyList<Color> Colors);
}
