using System.Collections.Immutable;
using System.Numerics;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Images;
using Sandbar.Css.Properties;

namespace Sandbar.Core.Reviewing;

/// <summary>A text over a fill as it reads on a page that was measured.</summary>
/// <param name="Place">Where; with the worst spot, unless it cannot be told.</param>
/// <param name="Fills">Kind and id of the gradients and backgrounds behind it, as far as they are seen; the innermost first.</param>
/// <param name="Why">Why it cannot be told, as a sentence; empty where it can.</param>
public sealed record TextContrast(
    PairKind Kind, string Look, string Property, State State, Surrounding? Within, string Scheme, double Target, Color Foreground, ColorSource ForegroundFrom, ColorSource GroundFrom, PairPlace Place,
    ImmutableArray<(string Kind, string Id)> Fills, string Why);

/// <summary>Where texts lie on what differs from place to place.</summary>
/// <param name="Blocks">Ids of the blocks.</param>
public sealed record UnevenPage(string Page, ImmutableArray<string> Blocks);

/// <summary>
/// How texts read over gradients, pictures and several layers: pixel by pixel under their own lines, at the worst spot, and where pictures stand still or go slower at the worst of all places the
/// page can be scrolled to. Where the lines lie is measured by the stage; what is behind them is reckoned here.
/// </summary>
public static class TextContrasts
{
    /// <summary>As many places that the page is scrolled to are looked at, from where a line comes into the window to where it has left it; then those between the worst and its neighbours.</summary>
    private const int Scrolls = 40;

    /// <summary>More pixels of one text are not looked at for every place the page is scrolled to: then fewer places are.</summary>
    private const int MostPixels = 6_000_000;

    /// <summary>The pages with texts that have to be measured.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more.</exception>
    public static ImmutableArray<UnevenPage> ToMeasure(Site site, CancellationToken cancel) =>
        [.. ContrastPairs.Uneven(site, cancel).Blocks.GroupBy(b => b.At.Page).Select(p => new UnevenPage(p.Key, [.. p.Select(b => b.Block).Distinct(StringComparer.Ordinal)]))];

    /// <summary>The pictures that the backgrounds on some pages show, and the posters of their clips.</summary>
    /// <param name="pages">Their ids; those that are gone have none.</param>
    public static IEnumerable<ShelfItem> PicturesBehind(Site site, IEnumerable<string> pages)
    {
        var styles = SiteStyles.Of(site);
        var worn = pages.Select(id => site.Pages.Find(id)).OfType<Page>().SelectMany(p => styles[p].Document.All).SelectMany(e => e.Classes).ToHashSet(StringComparer.Ordinal);
        return site.Fills.Backgrounds.Where(b => worn.Contains(FillLayers.ClassOf(b))).SelectMany(BackgroundKind.Painted).Where(BackgroundKind.IsPlaced)
        .Select(l => site.Shelf.Find(((ReferenceValue)l.Fill).Id)).Select(i => i is { IsClip: true, Poster: ReferenceValue poster } ? site.Shelf.Find(poster.Id) : i).OfType<ShelfItem>().Where(i => i.IsPicture).Distinct();
    }

    /// <summary>The texts of a page at the width it was measured at, in every state and for visitors who prefer light and dark.</summary>
    /// <param name="pictures">Pictures of the shelf, decoded; null for one that cannot be.</param>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each text.</exception>
    public static ImmutableArray<TextContrast> Of(Site site, MeasuredTexts measured, Func<ShelfItem, DecodedPicture?> pictures, CancellationToken cancel)
    {
        var texts = Texts(site, measured, pictures, cancel);
        var found = new TextContrast?[texts.Count];
        // Each is painted by itself.
        Parallel.For(0, texts.Count, new ParallelOptions { CancellationToken = cancel }, n =>
        {
            var text = texts[n];
            if (text.Ground is not { } ground) found[n] = text.Told;
            else if (Worst(ground, text.Lines, text.Told.Foreground, measured, cancel) is { } spot) found[n] = text.Told with { Place = text.Told.Place with { Spot = spot } };
        });
        return [.. found.OfType<TextContrast>()];
    }

    /// <summary>What lies behind a text's lines wherever the page is scrolled to, and what it has to reach there; for those that can be told.</summary>
    internal static IEnumerable<(TextContrast Text, TextOnGround Ground)> Grounds(Site site, MeasuredTexts measured, Func<TextContrast, bool> which, Func<ShelfItem, DecodedPicture?> pictures, CancellationToken cancel)
    {
        foreach (var text in Texts(site, measured, pictures, cancel).Where(t => which(t.Told)))
        {
            cancel.ThrowIfCancellationRequested();
            if (text.Ground is not { IsFaded: false } ground) continue;
            var pixels = text.Lines.SelectMany(line => Looks(ground, line, measured, text.Lines.Sum(l => l.Pixels)).SelectMany(look => Bytes(ground.At(look.Piece, look.Scroll)))).ToArray();
            if (pixels.Length > 0) yield return (text.Told, new(pixels, text.Told.Foreground, text.Told.Target));
        }
    }

    private sealed record Measured(TextContrast Told, TextGround? Ground, ImmutableArray<Piece> Lines);

    private static List<Measured> Texts(Site site, MeasuredTexts measured, Func<ShelfItem, DecodedPicture?> pictures, CancellationToken cancel)
    {
        if (site.Pages.Find(measured.Page) is not { } page) return [];
        var (styles, blocks) = ContrastPairs.Uneven(site, cancel);
        var uneven = blocks.Where(b => b.At.Page == page.Id).ToList();
        if (uneven.Count == 0) return [];
        // What is found out of styles is one thread's at a time: all of it is put together here, and painted later.
        using var held = SiteStyles.Hold(styles);
        var lines = measured.Elements.Index().Where(e => e.Item.Block.Length > 0).ToLookup(e => (e.Item.Block, e.Item.At));
        var windows = ContrastPairs.WindowsOf(styles);
        var found = new List<Measured>();
        foreach (var isDark in new[] { false, true })
        {
            var window = new MediaEnvironment(measured.Width, measured.Height, isDark);
            if (windows.Like(window) is not { } like || like.IsDark != isDark) continue;
            var builder = new Builder(styles, page, styles.In(window), measured, isDark, pictures);
            foreach (var block in uneven.Where(b => b.At.Width == (int)like.Width && b.At.Dark == isDark))
            {
                foreach (var text in block.Texts)
                {
                    foreach (var (at, element) in lines[(block.Block, text.At)].Take(1))
                    {
                        if (element.Lines.Select(WholePixels).Where(l => l.Pixels > 0).ToImmutableArray() is { IsEmpty: false } on) found.Add(builder.Of(block.Block, text, at, on));
                    }
                }
            }
        }
        return found;
    }

    private sealed class Builder(SiteStyles styles, Page page, PlaceStyles window, MeasuredTexts measured, bool isDark, Func<ShelfItem, DecodedPicture?> pictures)
    {
        private static readonly Property Ground = CssProperties.Of("background-color"), Image = CssProperties.Of("background-image");

        private readonly StyledPage styled = styles[page];
        private readonly ColorSources sources = new(styles);
        private readonly Dictionary<string, Element[]> elements = new(StringComparer.Ordinal);

        public Measured Of(string block, UnevenText text, int at, ImmutableArray<Piece> lines)
        {
            if (!elements.TryGetValue(block, out var all)) elements[block] = all = styled.Blocks[block].FirstOrDefault() is { } own ? [.. BlockElements.Of(styled.Document, own)] : [];
            var (ground, why) = text.At < all.Length ? TextGround.Of(styles, styled, window, text.Place, all[text.At], measured, at, isDark, pictures) : (null, "The page has changed while it was measured.");
            var color = text.Color;
            var place = new PairPlace(page.Id, block, measured.Width, isDark);
            var foreground = color.Style is null ? new ColorSource(ColorText.Hex(color.Color), null, null, null) : sources.Of(color.Style, color.Property, color.Scheme!, color.Color);
            return new(new(text.Kind, text.Look, text.Property, text.State, text.Within, text.Scheme.Id, text.Target, color.Color, foreground, GroundFrom(ground), place, FillsOf(ground), why), ground, lines);
        }

        /// <summary>What lies right behind the text, by name.</summary>
        private ColorSource GroundFrom(TextGround? ground)
        {
            var painted = ground?.Storeys.LastOrDefault(s => s.Layers.Length > 0);
            if (painted is null) return new("what is not reckoned", null, null, null);
            var site = styles.Site;
            return painted.Fill switch
            {
                { } of => new(NameOf(of), null, null, CellOf(painted), Fill: of),
                _ when painted.Layers is [FlatLayer flat] => sources.Of(painted.Style, Ground, site.Palette.Schemes[0], flat.Color) is var own && FillsOf(ground) is [var below, ..] ? own with { Name = $"{own.Name} over {NameOf(below)}" } : own,
                _ => new("a gradient", null, null, null),
            };
        }

        private string NameOf((string Kind, string Id) fill) => fill.Kind == BackgroundKind.Kind ? styles.Site.Fills.Backgrounds.Get(fill.Id).Name : styles.Site.Fills.Gradients.Get(fill.Id).Name;

        private CellPlace? CellOf(Storey storey) => storey.Layers.Any(l => l is GradientLayer) ? sources.Of(storey.Style, Image, styles.Site.Palette.Schemes[0], Color.Black).Cell : null;

        private ImmutableArray<(string, string)> FillsOf(TextGround? ground)
        {
            var fills = new List<(string Kind, string Id)>();
            foreach (var storey in ground?.Storeys.Reverse() ?? [])
            {
                if (storey.Fill is { } fill)
                {
                    fills.Add(fill);
                    if (fill.Kind == BackgroundKind.Kind) fills.AddRange(styles.Site.Fills.Backgrounds.Get(fill.Id).Layers.Select(l => l.Fill).OfType<ReferenceValue>().Where(r => r.To == GradientKind.Kind).Select(r => (r.To, r.Id)));
                }
                if (storey.IsCovering) break;
            }
            return [.. fills.Distinct()];
        }
    }

    /// <summary>A piece of a line that is in sight while the page is scrolled so far.</summary>
    private readonly record struct Look(Piece Piece, double Scroll);

    private static WorstSpot? Worst(TextGround ground, ImmutableArray<Piece> lines, Color text, MeasuredTexts measured, CancellationToken cancel)
    {
        WorstSpot? worst = null;
        double sum = 0;
        var count = 0L;
        var all = lines.Sum(l => l.Pixels);
        foreach (var line in lines)
        {
            var looks = Looks(ground, line, measured, all).ToList();
            for (var i = 0; i < looks.Count; i++)
            {
                cancel.ThrowIfCancellationRequested();
                Take(looks[i], counts: true);
            }
            // Between the worst place and those beside it there may be a worse one.
            if (worst?.Scroll is { } near && looks.Count > 2 && looks.Exists(l => l.Scroll == near))
            {
                var step = looks.Select(l => l.Scroll).Where(s => !double.IsNaN(s)).Order().ToList() is var at && at.Count > 1 ? at[1] - at[0] : 0;
                for (var off = step / 2; off >= 1; off /= 2)
                {
                    foreach (var scroll in new[] { worst.Scroll!.Value - off, worst.Scroll!.Value + off })
                    {
                        if (InSight(line, scroll, measured) is { } look) Take(look, counts: false);
                    }
                }
            }
        }
        return worst is null ? null : worst with { Mean = sum / count };

        void Take(Look look, bool counts)
        {
            var behind = ground.At(look.Piece, look.Scroll);
            var bytes = Bytes(behind);
            var found = ground.IsFaded ? GroundContrast.Between(Bytes(ground.TextAt(text, look.Piece, look.Scroll)), bytes, look.Piece.Width) : GroundContrast.Of(bytes, look.Piece.Width, text);
            if (counts)
            {
                sum += found.Mean * look.Piece.Pixels;
                count += look.Piece.Pixels;
            }
            if (worst is not null && found.Worst >= worst.Ratio) return;
            var at = 4 * (found.Y * look.Piece.Width + found.X);
            worst = new(found.Worst, 0, Color.FromBytes(bytes[at], bytes[at + 1], bytes[at + 2]), look.Piece.Left + found.X + 0.5, look.Piece.Top + found.Y + 0.5, double.IsNaN(look.Scroll) ? null : look.Scroll);
        }
    }

    private static IEnumerable<Look> Looks(TextGround ground, Piece line, MeasuredTexts measured, int pixels)
    {
        // Where nothing moves; and for those who ask for less motion.
        if (ground.StaysForLessMotion) yield return new(line, double.NaN);
        if (!ground.IsMoving) yield break;
        var (from, to) = (Math.Max(0, line.Top - measured.Height + 1), Math.Min(Math.Max(0, measured.Length - measured.Height), line.Bottom - 1));
        if (to < from) yield break;
        var count = Math.Clamp(MostPixels / Math.Max(1, pixels), 2, Scrolls);
        for (var i = 0; i <= count; i++)
        {
            var scroll = Math.Round(from + (to - from) * i / count);
            if (InSight(line, scroll, measured) is { } look) yield return look;
        }
    }

    private static Look? InSight(Piece line, double scroll, MeasuredTexts measured)
    {
        if (scroll < 0 || scroll > Math.Max(0, measured.Length - measured.Height)) return null;
        var (top, bottom) = (Math.Max(line.Top, (int)Math.Ceiling(scroll)), Math.Min(line.Bottom, (int)Math.Floor(scroll + measured.Height)));
        return bottom <= top ? null : new(line with { Top = top, Height = bottom - top }, scroll);
    }

    /// <summary>The whole pixels of a line; where there is none, those it touches.</summary>
    private static Piece WholePixels(MeasuredBoxOnPage line)
    {
        if (line is not { Width: > 0, Height: > 0 }) return default;
        var ((left, right), (top, bottom)) = (Along(line.Left, line.Width), Along(line.Top, line.Height));
        return new(left, top, right - left, bottom - top);

        static (int From, int To) Along(double from, double length) =>
            Math.Floor(from + length) > Math.Ceiling(from) ? ((int)Math.Ceiling(from), (int)Math.Floor(from + length)) : ((int)Math.Floor(from), (int)Math.Ceiling(from + length));
    }

    private static byte[] Bytes(Vector4[] pixels)
    {
        var bytes = new byte[4 * pixels.Length];
        for (var i = 0; i < pixels.Length; i++)
        {
            var channels = Vector4.Clamp(pixels[i], Vector4.Zero, Vector4.One) * byte.MaxValue + new Vector4(0.5f);
            (bytes[4 * i], bytes[4 * i + 1], bytes[4 * i + 2], bytes[4 * i + 3]) = ((byte)channels.X, (byte)channels.Y, (byte)channels.Z, byte.MaxValue);
        }
        return bytes;
    }
}
