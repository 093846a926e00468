using System.Collections.Immutable;
using System.Globalization;
using System.Numerics;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Computing;
using Sandbar.Css.Documents;
using Sandbar.Css.Images;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Reviewing;

/// <summary>An element around a text, or that of the text: what it paints, and what it does to what it holds.</summary>
/// <param name="Layers">The lowest first.</param>
/// <param name="Opacity">0 to 1, of it with all it holds (Compositing and Blending 1, §9).</param>
/// <param name="Blur">Standard deviation of the blur of what lies behind it, px (Filter Effects 2, <c>backdrop-filter</c>).</param>
/// <param name="Fill">The gradient or background it wears; null where it wears none.</param>
internal sealed record Storey(ElementStyle Style, MeasuredBoxOnPage Box, ImmutableArray<PaintedLayer> Layers, double Opacity, double Blur, (string Kind, string Id)? Fill)
{
    /// <summary>Whether nothing behind it is seen, whatever else it paints.</summary>
    public bool IsCovering => Layers is [FlatLayer { Color.Alpha: >= 1, Opacity: >= 1 }, ..];
}

/// <summary>All that lies behind a text, from the page up to its own element, composited as a browser does. Source: CSS Backgrounds 3, Compositing and Blending 1.</summary>
internal sealed class TextGround
{
    private static readonly Property Background = CssProperties.Of("background-color"), Image = CssProperties.Of("background-image"), Blend = CssProperties.Of("background-blend-mode"), Opacity = CssProperties.Of("opacity"), Origin = CssProperties.Of("background-origin"),
        Display = CssProperties.Of("display"), Backdrop = CssProperties.Of("backdrop-filter");

    /// <summary>Properties that paint otherwise than is reckoned here, with what browsers begin with.</summary>
    private static readonly ImmutableArray<(Property Property, string Initial)> Strange =
    [
        .. new[] { ("filter", "none"), ("mix-blend-mode", "normal"), ("mask-image", "none") }.Select(p => (CssProperties.Of(p.Item1), p.Item2)),
    ];

    private static readonly ImmutableArray<(Property Property, string Initial)> StrangeImage =
    [
        .. new[] { ("background-size", "auto"), ("background-position", "0% 0%"), ("background-repeat", "repeat"), ("background-attachment", "scroll"), ("background-clip", "border-box") }
            .SelectMany(p => CssProperties.SetBy(p.Item1).Select(longhand => (longhand, Initial(longhand.Name, p.Item2)))),
    ];

    private readonly ImmutableArray<Storey> storeys;

    private TextGround(ImmutableArray<Storey> storeys) => this.storeys = storeys;

    /// <summary>From the page inwards.</summary>
    public ImmutableArray<Storey> Storeys => storeys;

    /// <summary>Whether some of it lies elsewhere once the page is scrolled.</summary>
    public bool IsMoving => storeys.Any(s => s.Layers.Any(l => l.IsMoving));

    /// <summary>Whether it comes to lie with the page for those who ask for less motion.</summary>
    public bool StaysForLessMotion => !storeys.Any(s => s.Layers.Any(l => l is PictureLayer { Goes: Goes.Not }));

    /// <summary>Whether text and ground are seen through each other at some place, so that the text has no one colour.</summary>
    public bool IsFaded => storeys.Any(s => s.Opacity < 1);

    /// <summary>Puts together what lies behind a text.</summary>
    /// <param name="place">Of the text's element.</param>
    /// <param name="element">The text's element on its page.</param>
    /// <param name="at">Its place among those measured.</param>
    /// <param name="pictures">Pictures of the shelf, decoded; null for one that cannot be.</param>
    /// <returns>What lies behind; or why that cannot be told, as a sentence.</returns>
    public static (TextGround? Ground, string Why) Of(SiteStyles styles, StyledPage page, PlaceStyles window, Place place, Element element, MeasuredTexts measured, int at, bool isDark, Func<ShelfItem, DecodedPicture?> pictures)
    {
        var storeys = ImmutableArray.CreateBuilder<Storey>();
        for (var (on, of, box) = (place, element, at); ; (on, of, box) = (on.Parent!, of.Parent!, measured.Elements[box].Around))
        {
            var (storey, why) = new Builder(styles, page, window, measured, isDark, pictures).Of(on, of, measured.Elements[box]);
            if (storey is null) return (null, why);
            storeys.Insert(0, storey);
            var isLast = measured.Elements[box].Around < 0;
            if (on.Parent is null || of.Parent is null || isLast)
            {
                // What the page shows and what was measured are one tree.
                if (on.Parent is not null || of.Parent is not null || !isLast) return (null, "The page has changed while it was measured.");
                break;
            }
        }
        return (new(storeys.ToImmutable()), "");
    }

    /// <summary>What is seen at a piece of the page behind the text.</summary>
    /// <param name="scroll">How far the page is scrolled, px; NaN where nothing moves.</param>
    public Vector4[] At(Piece piece, double scroll)
    {
        var ground = Behind(storeys.Length, piece, scroll);
        for (var i = storeys.Length - 1; i >= 0; i--) Fade(ground, i, piece, scroll);
        return ground;
    }

    /// <summary>What is seen of a text that covers it.</summary>
    public Vector4[] TextAt(Color color, Piece piece, double scroll)
    {
        var (ink, text) = (Premultiplied.Of(color), Behind(storeys.Length, piece, scroll));
        for (var p = 0; p < text.Length; p++) text[p] = Premultiplied.Over(ink, text[p]);
        for (var i = storeys.Length - 1; i >= 0; i--) Fade(text, i, piece, scroll);
        return text;
    }

    private void Fade(Vector4[] seen, int i, Piece piece, double scroll)
    {
        var opacity = (float)storeys[i].Opacity;
        if (opacity >= 1) return;
        var through = Behind(i, piece, scroll);
        for (var p = 0; p < seen.Length; p++) seen[p] = seen[p] * opacity + through[p] * (1 - opacity);
    }

    /// <summary>What the first of the storeys come to, each as if it were not faded.</summary>
    private Vector4[] Behind(int count, Piece piece, double scroll)
    {
        if (count == 0)
        {
            var canvas = new Vector4[piece.Pixels];
            Array.Fill(canvas, Vector4.One);
            return canvas;
        }
        var storey = storeys[count - 1];
        var own = new Vector4[piece.Pixels];
        foreach (var layer in storey.Layers) layer.Over(own, piece, scroll);
        if (Array.TrueForAll(own, p => p.W >= 1)) return own;
        var below = storey.Blur > 0 ? Blurred(count - 1, storey, piece, scroll) : Behind(count - 1, piece, scroll);
        for (var p = 0; p < own.Length; p++) below[p] = Premultiplied.Over(own[p], below[p]);
        return below;
    }

    /// <summary>What lies behind a storey, blurred; beyond its edges it is mirrored, as browsers do.</summary>
    private Vector4[] Blurred(int count, Storey storey, Piece piece, double scroll)
    {
        var reach = (int)Math.Ceiling(3 * storey.Blur);
        int left = (int)Math.Floor(storey.Box.Left), top = (int)Math.Floor(storey.Box.Top), right = (int)Math.Ceiling(storey.Box.Left + storey.Box.Width), bottom = (int)Math.Ceiling(storey.Box.Top + storey.Box.Height);
        int fromX = Math.Max(left, piece.Left - reach), fromY = Math.Max(top, piece.Top - reach), toX = Math.Min(right, piece.Right + reach), toY = Math.Min(bottom, piece.Bottom + reach);
        if (toX <= fromX || toY <= fromY) return Behind(count, piece, scroll);
        var wide = new Piece(fromX, fromY, toX - fromX, toY - fromY);
        var below = Behind(count, wide, scroll);
        var weights = Enumerable.Range(-reach, 2 * reach + 1).Select(d => Math.Exp(-d * d / (2.0 * storey.Blur * storey.Blur))).ToArray();
        var sum = weights.Sum();
        var shares = weights.Select(w => (float)(w / sum)).ToArray();
        var across = new Vector4[piece.Width * wide.Height];
        for (var row = 0; row < wide.Height; row++)
        {
            for (var column = 0; column < piece.Width; column++)
            {
                var mixed = Vector4.Zero;
                for (var d = 0; d < shares.Length; d++) mixed += shares[d] * below[row * wide.Width + Mirrored(piece.Left + column + d - reach - wide.Left, wide.Width)];
                across[row * piece.Width + column] = mixed;
            }
        }
        var blurred = new Vector4[piece.Pixels];
        for (var row = 0; row < piece.Height; row++)
        {
            for (var column = 0; column < piece.Width; column++)
            {
                var mixed = Vector4.Zero;
                for (var d = 0; d < shares.Length; d++) mixed += shares[d] * across[Mirrored(piece.Top + row + d - reach - wide.Top, wide.Height) * piece.Width + column];
                blurred[row * piece.Width + column] = mixed;
            }
        }
        return blurred;

        static int Mirrored(int at, int length)
        {
            var period = 2 * length;
            at = (at % period + period) % period;
            return at < length ? at : period - 1 - at;
        }
    }

    private static string Initial(string longhand, string value) => longhand.StartsWith("background-position-", StringComparison.Ordinal) ? "0%" : value;

    /// <summary>Reads what elements paint off their styles and the backgrounds of the site.</summary>
    private sealed class Builder(SiteStyles styles, StyledPage page, PlaceStyles window, MeasuredTexts measured, bool isDark, Func<ShelfItem, DecodedPicture?> pictures)
    {
        private Site Site => styles.Site;

        public (Storey? Storey, string Why) Of(Place place, Element element, MeasuredElement box)
        {
            var style = window.Of(place);
            foreach (var (property, initial) in Strange)
            {
                if (style.Text(property) != initial) return (null, $"What {property.Name} makes of what is around the text is not reckoned.");
            }
            var opacity = double.TryParse(style.Text(Opacity), CultureInfo.InvariantCulture, out var number) ? Math.Clamp(number, 0, 1) : 1;
            var layers = ImmutableArray.CreateBuilder<PaintedLayer>();
            // The page's own ground is painted all over the window, over a box as large as the root's (CSS Backgrounds 3, §2.11.2).
            var over = element.Name == "body" ? measured.Elements[0] : box;
            if (ColorText.TryParse(style.Text(Background), out var color) && color.Alpha > 0) layers.Add(new FlatLayer(over.Box, Gamut.Rounded(color), 1, "normal"));
            if (Images(style, over.Box, over.Box, over.Inner, ImageSurroundings.Alone) is not { } images) return (null, "A picture or gradient is placed by what you wrote, which is not reckoned.");
            layers.AddRange(images);
            (string, string)? fill = images.Count > 0 && ColorSourcesOf(style) is { Fill: { } worn } ? worn : null;
            foreach (var child in element.Children.Where(c => c.Classes.Contains("fill")))
            {
                if (Site.Fills.Backgrounds.FirstOrDefault(b => child.Classes.Contains(FillLayers.ClassOf(b))) is not { } background) continue;
                var on = styles.Places.Of(page.Document, child, page.KindOf(child), place);
                if (window.Of(on).Text(Display) == "none") continue;
                var (painted, why) = Elements(background, on, child, box);
                if (why.Length > 0) return (null, why);
                layers.AddRange(painted);
                fill = (BackgroundKind.Kind, background.Id);
            }
            if (BlurOf(style.Text(Backdrop)) is not { } blur) return (null, "What is behind is filtered by what you wrote, which is not reckoned.");
            return (new(style, box.Box, layers.ToImmutable(), opacity, blur, fill), "");
        }

        private ColorSource ColorSourcesOf(ElementStyle style) => new ColorSources(styles).Of(style, Image, Site.Palette.Schemes[0], Color.Black);

        /// <summary>The gradients of an element, the lowest first; null where they lie otherwise than all over its box, or where it takes a layout to know how.</summary>
        private static List<PaintedLayer>? Images(ElementStyle style, MeasuredBoxOnPage clip, MeasuredBoxOnPage box, MeasuredBoxOnPage inner, ImageSurroundings around)
        {
            try
            {
                return Gradients(style, clip, box, inner, around);
            }
            catch (FormatException)
            {
                return null;
            }
        }

        private static List<PaintedLayer>? Gradients(ElementStyle style, MeasuredBoxOnPage clip, MeasuredBoxOnPage box, MeasuredBoxOnPage inner, ImageSurroundings around)
        {
            var text = style.Text(Image);
            if (text == "none") return [];
            if (inner is not { Width: > 0, Height: > 0 }) return [];
            if (StrangeImage.Any(p => style.Text(p.Property).Split(", ").Any(v => v != p.Initial))) return null;
            var modes = style.Text(Blend).Split(", ");
            var origins = style.Text(Origin).Split(", ");
            var layers = new List<PaintedLayer>();
            foreach (var (n, layer) in Parser.ParseValues(text).WithoutSpace().BetweenCommas().Index().Reverse())
            {
                if (layer is [Token none] && none.IsIdent("none")) continue;
                if (layer is not [FunctionValue function] || !GradientImage.IsGradient(function)) return null;
                var origin = origins[n % origins.Length] switch { "border-box" => box, "padding-box" => inner, _ => null };
                if (origin is null) return null;
                layers.Add(new GradientLayer(clip, origin, GradientImage.Of(function, origin.Width, origin.Height, around), 1, modes[n % modes.Length]));
            }
            return layers;
        }

        private (IReadOnlyList<PaintedLayer> Layers, string Why) Elements(Background background, Place fill, Element element, MeasuredElement wearing)
        {
            var box = wearing.Inner;
            if (box is not { Width: > 0, Height: > 0 }) return ([], "");
            var around = ImageSurroundings.Alone with { Lengths = Lengths.Initial with { Container = isHeight => isHeight ? box.Height : box.Width } };
            var painted = new List<PaintedLayer>();
            foreach (var (n, (layer, child)) in BackgroundKind.Painted(background).Reverse().Zip(element.Children).Index())
            {
                var opacity = (double)layer.Opacity.Amount() / 100;
                var blend = layer.Blend.Code();
                if (!BackgroundKind.IsPlaced(layer))
                {
                    var style = window.Of(styles.Places.Of(page.Document, child, page.KindOf(child), fill));
                    var own = new List<PaintedLayer>();
                    if (ColorText.TryParse(style.Text(Background), out var color) && color.Alpha > 0) own.Add(new FlatLayer(box, Gamut.Rounded(color), opacity, blend));
                    // One that follows a text is where the stage found it.
                    var on = BackgroundKind.Follows(layer) ? wearing.Lights.FirstOrDefault(l => l.Fill == FillLayers.ClassOf(background) && l.At == n)?.Box ?? box : box;
                    if (Images(style, box, on, on, around) is not { } images) return ([], "A layer is placed by what you wrote, which is not reckoned.");
                    // A mesh is several images of one element: they are faded and mixed as one.
                    own.AddRange(images);
                    painted.AddRange(own.Count == 1 ? own.Select(l => l with { Opacity = opacity, Blend = blend }) : own.Count == 0 ? [] : [new GroupLayer(box, [.. own.Select(l => l with { Opacity = 1, Blend = "normal" })], opacity, blend)]);
                    continue;
                }
                if (Site.Shelf.Find(((ReferenceValue)layer.Fill).Id) is not { } item) continue;
                var shown = item.IsPicture ? item : item.Poster is ReferenceValue poster ? Site.Shelf.Find(poster.Id) : null;
                if (shown is null) return ([], $"{item.Name} has no poster: what a clip shows while it plays is not measured.");
                if (pictures(shown) is not { } picture) return ([], $"{shown.Name} cannot be read.");
                var slower = (double)layer.Slower.Amount() / 100;
                var goes = layer.Attachment.Code() switch { BackgroundKind.Fixed => Goes.Not, BackgroundKind.Slower => Goes.Slower, _ => Goes.With };
                painted.Add(new PictureLayer(box, picture, Placed(layer, picture), BackgroundKind.IsTiled(layer), goes, slower, (measured.Width, measured.Height), TonesOf(layer, fill), opacity, blend));
            }
            return (painted, "");
        }

        private Func<(double Width, double Height), MeasuredBoxOnPage, IEnumerable<Placement>> Placed(BackgroundLayer layer, DecodedPicture picture)
        {
            var (x, y) = FillLayers.FocusOf(Site, layer);
            if (BackgroundKind.IsTiled(layer))
            {
                var repeat = BackgroundKind.RepeatCss(layer);
                var (across, down) = repeat switch { "repeat-x" => ("repeat", "no-repeat"), "repeat-y" => ("no-repeat", "repeat"), _ => (repeat, repeat) };
                return (box, part) =>
                {
                    var (columns, rows) = (Tiling.Along(picture.Width, box.Width, (double)x, across), Tiling.Along(picture.Height, box.Height, (double)y, down));
                    return from top in rows.Within(part.Top, part.Top + part.Height)
                           from left in columns.Within(part.Left, part.Left + part.Width)
                           select new Placement(columns.Size, rows.Size, left, top, 0, 0);
                };
            }
            var fit = layer.Fit.Code() == BackgroundKind.Cover ? Fit.Cover : Fit.Contain;
            // A poster lies where its clip would.
            return (box, _) => [Placement.Of((picture.Width, picture.Height), box, fit, ((double)x, (double)y))];
        }

        private (Color, Color)? TonesOf(BackgroundLayer layer, Place place)
        {
            if (layer.Toning.Code() != BackgroundKind.TwoColors) return null;
            var scheme = SchemeOf(place);
            return (SchemeColors.Of(Site, scheme, layer.Shadows) ?? Color.Black, SchemeColors.Of(Site, scheme, layer.Highlights) ?? Color.White) is var (shadows, highlights) ? (Gamut.Rounded(shadows), Gamut.Rounded(highlights)) : null;
        }

        private Scheme SchemeOf(Place place)
        {
            var carried = "";
            for (var on = place; on is not null && carried.Length == 0; on = on.Parent) carried = on.Element["data-scheme"] ?? "";
            var scheme = Site.Palette.Schemes.FirstOrDefault(s => s.CssName == carried) ?? Site.Palette.Schemes[0];
            return isDark ? scheme.Dark(Site) ?? scheme : scheme;
        }

        private static double? BlurOf(string text)
        {
            if (text == "none") return 0;
            return text.StartsWith("blur(", StringComparison.Ordinal) && text.EndsWith("px)", StringComparison.Ordinal) && double.TryParse(text[5..^3], CultureInfo.InvariantCulture, out var px) ? px : null;
        }
    }
}

/// <summary>Layers that are faded and mixed as one.</summary>
internal sealed record GroupLayer(MeasuredBoxOnPage Clip, ImmutableArray<PaintedLayer> Layers, double Opacity, string Blend) : PaintedLayer(Clip, Opacity, Blend)
{
    protected override Vector4[] Paint(Piece piece, double scroll)
    {
        var all = new Vector4[piece.Pixels];
        foreach (var layer in Layers) layer.Over(all, piece, scroll);
        return all;
    }
}
