using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using SkiaSharp;
using Svg;
using Svg.Model.Services;
using Svg.Skia;

namespace Sandbar.Core.Pictures;

/// <summary>
/// SVG drawn to pixels. Scripts do not run, nothing outside is asked for, entities are not followed, and what would grow beyond all bounds by referring to itself or to much
/// that refers to more is refused before it is drawn.
/// </summary>
internal static partial class SvgPicture
{
    private const int MostBytes = 5_000_000, MostElements = 50_000, Deepest = 64;

    private const double UsualWidth = 300, UsualHeight = 150, MostSide = 100_000;

    // Longest side it is drawn at, px: a hundred thousand pixels tell the shares of areas.
    private const int Side = 400;

    /// <summary>What does not draw, or draws what is not the picture's own.</summary>
    private static readonly HashSet<string> LeftOut = new(["script", "foreignObject", "image", "filter", "animate", "animateTransform", "animateMotion", "set"], StringComparer.OrdinalIgnoreCase);

    static SvgPicture()
    {
        SvgDocument.DisableDtdProcessing = true;
        SvgDocument.ResolveExternalXmlEntites = ExternalType.None;
        SvgDocument.ResolveExternalImages = ExternalType.None;
        SvgDocument.ResolveExternalElements = ExternalType.None;
    }

    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static Pixels Read(byte[] bytes) => Draw(Open(Safe(bytes)));

    /// <summary>How large browsers show it by itself, px: by its width and height, else by its view box, else as CSS Images 3, §5.3 has what has no size.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static (int Width, int Height) Size(byte[] bytes)
    {
        var root = Parsed(bytes);
        var box = (root.Attribute("viewBox")?.Value ?? "").Split([' ', ','], StringSplitOptions.RemoveEmptyEntries);
        var (boxWidth, boxHeight) = box.Length == 4 ? (Number(box[2]), Number(box[3])) : (null, null);
        var (width, height) = (Number(root.Attribute("width")?.Value), Number(root.Attribute("height")?.Value));
        var ratio = boxWidth / boxHeight;
        var shownWidth = width ?? height * ratio ?? boxWidth ?? UsualWidth;
        var shownHeight = height ?? width / ratio ?? boxHeight ?? UsualHeight;
        return ((int)Math.Clamp(Math.Round(shownWidth), 1, MostSide), (int)Math.Clamp(Math.Round(shownHeight), 1, MostSide));

        static double? Number(string? text)
        {
            var given = text?.Trim() ?? "";
            if (given.EndsWith("px", StringComparison.OrdinalIgnoreCase)) given = given[..^2];
            return double.TryParse(given, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && number > 0 && double.IsFinite(number) ? number : null;
        }
    }

    /// <summary>What may be drawn of it.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static XElement Safe(byte[] bytes)
    {
        if (bytes.Length > MostBytes) throw new FormatException($"This SVG is larger than {MostBytes / 1_000_000} MB.");
        var root = Parsed(bytes);
        Cut(root);
        if (Elements(root) > MostElements) throw new FormatException($"This SVG draws more than {MostElements} things: it is too large, or refers to itself.");
        // Without smoothing, every pixel has a colour that the picture names.
        root.SetAttributeValue("shape-rendering", "crispEdges");
        return root;
    }

    /// <exception cref="FormatException">It is no drawing; the message says so.</exception>
    public static SvgDocument Open(XElement root) => Try(() =>
    {
        using var reader = root.CreateReader();
        return SvgService.Open(reader) ?? throw new FormatException();
    });

    /// <summary>The drawing, smooth, to be painted at any size.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static SKSvg Drawing(byte[] bytes)
    {
        var root = Safe(bytes);
        root.SetAttributeValue("shape-rendering", null);
        var document = Open(root);
        var svg = new SKSvg();
        if (Try(() => svg.FromSvgDocument(document)) is not null) return svg;
        svg.Dispose();
        throw new FormatException("This SVG draws nothing.");
    }

    /// <exception cref="FormatException">Nothing is drawn, or it cannot be.</exception>
    public static Pixels Draw(SvgDocument document)
    {
        using var svg = new SKSvg();
        using var picture = Try(() => svg.FromSvgDocument(document));
        var bounds = picture?.CullRect ?? SKRect.Empty;
        if (picture is null || bounds.Width <= 0 || bounds.Height <= 0 || !float.IsFinite(bounds.Width) || !float.IsFinite(bounds.Height)) throw new FormatException("This SVG draws nothing.");
        var scale = Side / Math.Max(bounds.Width, bounds.Height);
        var info = new SKImageInfo(Math.Max(1, (int)(bounds.Width * scale)), Math.Max(1, (int)(bounds.Height * scale)), SKColorType.Rgba8888, SKAlphaType.Premul, SKColorSpace.CreateSrgb());
        using var surface = SKSurface.Create(info);
        surface.Canvas.Scale(scale);
        surface.Canvas.Translate(-bounds.Left, -bounds.Top);
        surface.Canvas.DrawPicture(picture);
        var pixels = new byte[info.BytesSize];
        unsafe
        {
            fixed (byte* start = pixels) surface.ReadPixels(info.WithAlphaType(SKAlphaType.Unpremul), (nint)start, info.RowBytes, 0, 0);
        }
        return new(info.Width, info.Height, pixels);
    }

    private static T Try<T>(Func<T> work)
    {
        try
        {
            return work();
        }
        // What the library makes of what it does not expect.
        catch (Exception failed) when (failed is SvgException or XmlException or FormatException or ArgumentException or InvalidOperationException or NullReferenceException or OverflowException or IndexOutOfRangeException)
        {
            throw new FormatException("This SVG cannot be drawn: it holds what no SVG does.");
        }
    }

    private static XElement Parsed(byte[] bytes)
    {
        try
        {
            using var stream = new MemoryStream(bytes);
            // Entities of a document type are left unread, and with them whatever refers to one.
            using var reader = XmlReader.Create(stream, new() { DtdProcessing = DtdProcessing.Ignore, XmlResolver = null });
            while (reader.Read())
            {
                if (reader.Depth > Deepest) throw new FormatException($"This SVG is nested more than {Deepest} deep.");
            }
            stream.Position = 0;
            using var again = XmlReader.Create(stream, new() { DtdProcessing = DtdProcessing.Ignore, XmlResolver = null });
            return XDocument.Load(again).Root is { Name.LocalName: "svg" } root ? root : throw new FormatException("This file is no SVG.");
        }
        catch (XmlException broken)
        {
            throw new FormatException(string.Create(CultureInfo.InvariantCulture, $"This SVG cannot be read from line {broken.LineNumber} on."));
        }
    }

    private static void Cut(XElement root)
    {
        foreach (var element in root.Descendants().Where(e => LeftOut.Contains(e.Name.LocalName)).ToList()) element.Remove();
        foreach (var attribute in root.DescendantsAndSelf().Attributes().ToList())
        {
            var name = attribute.Name.LocalName;
            if (name.StartsWith("on", StringComparison.OrdinalIgnoreCase) || name == "filter" || (name == "href" && !attribute.Value.StartsWith('#')) || Outside().IsMatch(attribute.Value)) attribute.Remove();
        }
        foreach (var style in root.Descendants().Where(e => e.Name.LocalName == "style"))
            style.Value = Outside().Replace(Import().Replace(style.Value, ""), "none");
    }

    /// <summary>How many elements are drawn, each as often as something refers to it; more than are taken where it never ends.</summary>
    private static long Elements(XElement root)
    {
        var byId = root.DescendantsAndSelf().Where(e => e.Attribute("id") is not null).GroupBy(e => e.Attribute("id")!.Value, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        var counts = new Dictionary<XElement, long>();
        var within = new HashSet<XElement>();
        var tooMany = MostElements + 1L;
        return Count(root);

        long Count(XElement element)
        {
            if (counts.TryGetValue(element, out var known)) return known;
            if (!within.Add(element) || within.Count > Deepest * Deepest) return tooMany;
            var sum = 1L;
            foreach (var inner in element.Elements()) sum = Math.Min(tooMany, sum + Count(inner));
            foreach (var id in element.Attributes().SelectMany(a => Referred().Matches(a.Value)).Select(m => m.Groups["id"].Value))
                if (byId.TryGetValue(id, out var other)) sum = Math.Min(tooMany, sum + Count(other));
            within.Remove(element);
            return counts[element] = sum;
        }
    }

    [GeneratedRegex("@import[^;{}]*;?", RegexOptions.IgnoreCase)]
    private static partial Regex Import();

    [GeneratedRegex("""url\(\s*["']?(?!["'#])[^)]*\)?""", RegexOptions.IgnoreCase)]
    private static partial Regex Outside();

    [GeneratedRegex("""^#(?<id>[^\s]+)$|url\(\s*["']?#(?<id>[^)"'\s]+)""", RegexOptions.IgnoreCase)]
    private static partial Regex Referred();
}
