using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Rendering;

/// <summary>
/// Backgrounds whose layers are elements: one behind what a box holds, <c>.fill</c>, with an element for each layer, from the lowest to the topmost. What each
/// comes to stands here, its markup and its rules.
/// </summary>
public static class FillLayers
{
    private const string Class = "fill", Following = "fill-follows";

    /// <summary>The name of the text that a light lies behind (CSS Anchor Positioning 1): the first heading of what wears it, or its first paragraph where it has none.</summary>
    private const string Text = "--behind-text";

    /// <summary>The name of the timeline that goes with a box through the window (Scroll-driven Animations 1), and of what is moved along it.</summary>
    public const string Timeline = "--passes", Moves = "move-slower";

    /// <summary>What is declared of an element while it wears a background that is elements.</summary>
    public static readonly (string Property, string Value) Holds = ("isolation", "isolate");

    // Rules that stay the same stay the same objects.
    private static readonly ConditionalWeakTable<Background, WrittenRules> Written = [];

    private static readonly ConditionalWeakTable<Background, Tuple<PaletteFoundation, IReadOnlyList<Rule>>> Toned = [];

    private const string Headings = "h1, h2, h3, h4, h5, h6";

    /// <summary>The class of a background's element.</summary>
    public static string ClassOf(Background background) => $"{Class}-{background.CssName}";

    private static string ClassesOf(Background background) => $"{Class} {ClassOf(background)}{(background.Layers.Any(Follows) ? $" {Following}" : "")}";

    private static bool Follows(BackgroundLayer layer) => BackgroundKind.IsOn(layer) && BackgroundKind.Follows(layer);

    /// <summary>Whether an element has one of them in it, shown or not.</summary>
    public static bool IsIn(Css.Documents.Element element) => element.Children.Any(c => c.Classes.Contains(Class));

    /// <summary>The backgrounds among values that are elements, each once.</summary>
    public static IEnumerable<Background> Among(Site site, IEnumerable<Value> values) => values.OfType<ReferenceValue>()
        .Where(r => r.To == BackgroundKind.Kind).Select(r => r.Id).Distinct(StringComparer.Ordinal).Select(id => site.Fills.Backgrounds.Find(id)).OfType<Background>().Where(BackgroundKind.NeedsElement);

    /// <summary>Its element, last in what wears it: what counts those inside from the front does not see it.</summary>
    /// <param name="isLater">Whether its pictures may wait until they are near.</param>
    internal static void Write(PageWriter page, Background background, bool isLater)
    {
        var html = page.Html;
        html.Element("div", [("class", ClassesOf(background)), ("aria-hidden", "true")], () =>
        {
            foreach (var layer in BackgroundKind.Painted(background).Reverse())
            {
                html.Element("div", [], () =>
                {
                    if (ItemOf(page.Site, layer) is not { } picture || BackgroundKind.IsTiled(layer)) return;
                    if (picture.IsClip)
                    {
                        Clip(page, layer, picture);
                        return;
                    }
                    // What covers a box is as wide as its height asks for: most of a window's is taken to be the most.
                    var image = page.Image(picture, "", $"max(100vw, {Number(70.0 * picture.Width / picture.Height)}vh)");
                    html.Void("img", isLater ? image.Append(("loading", "lazy")) : image);
                }, isPhrase: true);
            }
        }, isPhrase: false);
    }

    /// <summary>A clip waits with its poster: the small script of a release plays it, but for those who ask for less motion.</summary>
    private static void Clip(PageWriter page, BackgroundLayer layer, ShelfItem clip)
    {
        page.HasClips = true;
        var attributes = new List<(string, string)> { ("muted", ""), ("playsinline", ""), ("preload", page.ClipPreload), ("tabindex", "-1"), ("width", Number(clip.Width)), ("height", Number(clip.Height)) };
        if (clip.Poster is ReferenceValue poster && page.Site.Shelf.Find(poster.Id) is { } still) attributes.Add(("poster", page.Asset(still)));
        if (layer.From.Amount() is var from && from > 0) attributes.Add(("data-from", Number((double)from)));
        if (layer.Until is NumberValue until) attributes.Add(("data-until", Number((double)until.Number)));
        if (BackgroundKind.Loops(layer)) attributes.Add(("data-loops", ""));
        if (layer.Sound.Code() == BackgroundKind.OnRequest) attributes.Add(("data-sound", ""));
        page.Html.Element("video", attributes, () => page.Html.Void("source", [("src", page.ClipAddress(clip)), ("type", clip.MediaType)]), isPhrase: true);
    }

    /// <summary>What its markup is made from, besides its class: as long as it is the same, so is the markup.</summary>
    public static string Markup(Site site, Background background) =>
        string.Join(' ', BackgroundKind.Painted(background).Select(l => ItemOf(site, l) is not { } item || BackgroundKind.IsTiled(l) ? "-"
            : item.IsPicture ? $"{item.File} {item.Hash} {item.Width} {item.Height}" : $"{item.File} {item.Hash} {item.Width} {item.Height} {item.Address} {item.Poster} {l.Loop} {l.From} {l.Until} {l.Sound}").Prepend(ClassesOf(background)));

    /// <summary>Layers drawn by themselves, in a scheme: elements over each other, to be blended within what holds them. Nothing of it follows the page.</summary>
    /// <param name="layers">The first on top.</param>
    /// <param name="image">A colour or a gradient as it is painted in that scheme.</param>
    public static string Drawn(Site site, Scheme scheme, IEnumerable<BackgroundLayer> layers, Func<ShelfItem, string> address, Func<Value, string> image)
    {
        var (html, reads) = (new Html(), new SiteReads(site));
        foreach (var layer in layers.Where(BackgroundKind.IsOn).Reverse())
        {
            var picture = ItemOf(site, layer);
            var style = new List<string> { $"opacity: {ValueForms.Css(reads, layer.Opacity)}", $"mix-blend-mode: {layer.Blend.Code()}" };
            if (picture is null) style.Add($"background: {image(layer.Fill)}");
            else if (BackgroundKind.IsTiled(layer)) style.Add($"background: {Tiles(reads, layer, address)}");
            if (IsToned(layer)) style.Add($"filter: {Toning.Css(SchemeColors.Of(site, scheme, layer.Shadows) ?? Color.Black, SchemeColors.Of(site, scheme, layer.Highlights) ?? Color.White)}");
            html.Element("span", [("class", "fill-layer"), ("style", string.Join("; ", style))], () =>
            {
                if (picture is null || BackgroundKind.IsTiled(layer)) return;
                var placed = ("style", $"object-fit: {FitOf(layer)}; object-position: {Position(reads, layer)}");
                if (picture.IsPicture) html.Void("img", [("src", address(picture)), ("alt", ""), placed]);
                else html.Element("video", [("src", address(picture)), ("muted", ""), ("preload", "metadata"), ("tabindex", "-1"), placed], () => { }, isPhrase: true);
            }, isPhrase: true);
        }
        return html.ToString();
    }

    /// <summary>The rules of every background that is elements.</summary>
    internal static IEnumerable<Rule> Rules(Site site, RoleSteps roleSteps)
    {
        var backgrounds = site.Fills.Backgrounds.Where(BackgroundKind.NeedsElement).ToList();
        if (backgrounds.Count == 0) yield break;
        yield return Ground("fill", $".{Class}", ("position", "absolute"), ("z-index", "-1"), ("inset", "0"), ("display", "none"), ("margin", "0"), ("overflow", "clip"), ("border-radius", "inherit"), ("pointer-events", "none"));
        yield return Ground("fill layer", $".{Class} > div", ("position", "absolute"), ("inset", "0"), ("container-type", "size"));
        yield return Ground("fill picture", $".{Class} > div > *", ("display", "block"), ("inline-size", "100%"), ("block-size", "100%"), ("max-inline-size", "none"));
        if (backgrounds.Exists(b => BackgroundKind.Painted(b).Any(BackgroundKind.IsClip)))
        {
            yield return Ground("fill controls", $".{ReleaseScript.Controls}", ("position", "absolute"), ("inset-block-end", "12px"), ("inset-inline-end", "12px"), ("display", "flex"), ("gap", "8px"), ("margin", "0"));
            yield return Ground("fill control", $".{ReleaseScript.Controls} > button", ("padding", "6px 12px"), ("border", "1px solid currentcolor"), ("border-radius", "4px"), ("background", Role(site, RoleKind.Ground)), ("color", Role(site, RoleKind.Text)), ("font", "inherit"), ("font-size", "0.8125rem"), ("cursor", "pointer"));
        }
        if (backgrounds.Exists(b => b.Layers.Any(Follows)))
        {
            const string Wearing = $":has(> .{Following})";
            yield return Ground("fill follows", $".{Following}", ("clip-path", "border-box"), ("container-type", "size")) with { Needs = Needs.Anchors };
            yield return Ground("fill follows in", Wearing, ("anchor-scope", Text)) with { Needs = Needs.Anchors };
            // What wears one within what wears one has its own.
            var texts = new[] { "", $"{Wearing} " }.SelectMany(around => new[] { First($"{around}{Wearing}", Headings), First($"{around}{Wearing}:not(:has({Headings}))", "p") });
            yield return Ground("fill follows text", string.Join(", ", texts), ("anchor-name", Text)) with { Needs = Needs.Anchors };
        }
        foreach (var background in backgrounds)
        {
            foreach (var rule in roleSteps.Noting(Of(site, background))) yield return rule;
            foreach (var rule in TonesOf(site, background)) yield return rule;
        }
    }

    private static WrittenRules Of(Site site, Background background)
    {
        if (Written.TryGetValue(background, out var kept) && kept.AreFor(site)) return kept;
        var reads = new SiteReads(site);
        var written = new WrittenRules(reads, [.. Of(reads, background)]);
        Written.AddOrUpdate(background, written);
        return written;
    }

    private static IEnumerable<Rule> Of(SiteReads reads, Background background)
    {
        var layers = BackgroundKind.Painted(background).Reverse().ToList();
        var element = $".{ClassOf(background)}";
        var around = new List<(string, string)>();
        // What stands still in the window is cut off by this alone.
        if (layers.Exists(l => IsAttached(l, BackgroundKind.Fixed))) around.Add(("clip-path", "border-box"));
        if (layers.Exists(l => IsAttached(l, BackgroundKind.Slower))) around.Add(("view-timeline", $"{Timeline} block"));
        if (around.Count > 0) yield return Rule(background, "", element, "", Needs.Nothing, around);
        foreach (var (n, layer) in layers.Index())
        {
            var selector = $"{element} > :nth-child({n + 1})";
            var isPicture = BackgroundKind.IsPlaced(layer);
            var own = new List<(string, string)>();
            if (!isPicture) own.AddRange(Painted(reads, layer));
            else if (BackgroundKind.IsTiled(layer)) own.Add(("background", Tiles(reads, layer, item => item.File)));
            if (isPicture && layer.Opacity.Amount() != 100) own.Add(("opacity", ValueForms.Css(reads, layer.Opacity)));
            if (layer.Blend.Code() is var blend && blend != "normal") own.Add(("mix-blend-mode", blend));
            if (IsToned(layer)) own.Add(("filter", $"var({ToneOf(background, layer)})"));
            if (IsAttached(layer, BackgroundKind.Fixed)) own.Add(("position", "fixed"));
            if (own.Count > 0) yield return Rule(background, layer.Id, selector, "", Needs.Nothing, own);
            if (Light(reads, layer) is { } light)
            {
                // Twice as large as the box, it covers that from wherever in it the text lies.
                yield return Rule(background, layer.Id, $":has({Headings}, p) > {selector}", "on its text", Needs.Anchors,
                [
                    ("position", "fixed"), ("position-anchor", Text), ("inset", "auto"), ("inline-size", "200cqw"), ("block-size", "200cqh"),
                    ("left", "anchor(center)"), ("top", "anchor(center)"), ("translate", "-50% -50%"), ("background", light),
                ]);
            }
            if (isPicture && !BackgroundKind.IsTiled(layer))
                yield return Rule(background, layer.Id, $"{selector} > *", "picture", Needs.Nothing, [("object-fit", FitOf(layer)), ("object-position", Position(reads, layer))]);
            if (IsAttached(layer, BackgroundKind.Slower))
            {
                var share = Number((double)layer.Slower.Amount() / 100);
                yield return Rule(background, layer.Id, selector, "slower", Needs.Scrolling,
                [
                    ("--slower", share), ("inset-block", $"calc({Number(-(double)layer.Slower.Amount() / 200)} * (100vh + 100%))"),
                    ("animation", $"{Moves} linear both"), ("animation-timeline", Timeline),
                ]);
            }
        }
    }

    /// <summary>The colours that pictures are toned in, for each scheme: no custom property can stand within an address.</summary>
    private static IReadOnlyList<Rule> TonesOf(Site site, Background background)
    {
        if (Toned.TryGetValue(background, out var kept) && ReferenceEquals(kept.Item1, site.Palette)) return kept.Item2;
        var toned = BackgroundKind.Painted(background).Where(IsToned).ToList();
        IReadOnlyList<Rule> rules = toned.Count == 0 ? [] :
        [
            .. SchemeByScheme.Rules(site, $"fill {background.Id} tones", scheme => toned.Select(l => new Declaration(
                ToneOf(background, l), Toning.Css(SchemeColors.Of(site, scheme, l.Shadows) ?? Color.Black, SchemeColors.Of(site, scheme, l.Highlights) ?? Color.White), new(OriginKind.Foundation, background.Id, l.Id, BackgroundKind.Kind)))),
        ];
        Toned.AddOrUpdate(background, new(site.Palette, rules));
        return rules;
    }

    private static string ToneOf(Background background, BackgroundLayer layer) => $"--tone-{background.CssName}-{background.Layers.IndexOf(layer) + 1}";

    /// <summary>The light that follows a text, as it is painted in the middle of its element; null of what follows none.</summary>
    private static string? Light(SiteReads reads, BackgroundLayer layer) =>
        BackgroundKind.Follows(layer) && reads.Thing<Gradient>((ReferenceValue)layer.Fill) is var gradient ? GradientKind.Centred(reads, gradient, color => ValueForms.Css(reads, color)) : null;

    /// <summary>A selector for the first element within another that some selectors match.</summary>
    private static string First(string within, string selectors)
    {
        var before = $"{within} :is({selectors}, :has({selectors}))";
        return $"{within} :is({selectors}):not({before} ~ *, {before} ~ * *)";
    }

    private static IEnumerable<(string, string)> Painted(SiteReads reads, BackgroundLayer layer)
    {
        var share = layer.Opacity.Amount();
        return share == 100 ? [("background", ValueForms.Css(reads, layer.Fill))] : [("background", ValueForms.Css(reads, layer.Fill)), ("opacity", NumberForm.Css(share, "%"))];
    }

    private static string Tiles(SiteReads reads, BackgroundLayer layer, Func<ShelfItem, string> address)
    {
        var picture = Item(reads, layer);
        return $"url(\"{address(picture)}\") {Share(Focus(layer.FocusX, picture.FocusX))} {Share(Focus(layer.FocusY, picture.FocusY))} {BackgroundKind.RepeatCss(layer)}";
    }

    private static string Position(SiteReads reads, BackgroundLayer layer)
    {
        var (x, y) = FocusOf(reads.Site, layer);
        return FocalPoints.Position(Item(reads, layer), layer.Fit.Code() == BackgroundKind.Cover, x, y);
    }

    /// <summary>The key frames of what moves slower than the page, where a sheet has any: half of its own room each way, since it lies in the middle halfway through.</summary>
    public static string Keyframes(IEnumerable<Rule> rules)
    {
        const string Half = "(50% + 50vh) * var(--slower) / (1 + var(--slower))";
        return rules.Any(r => r.Needs.HasFlag(Needs.Scrolling)) ? $"\n@keyframes {Moves} {{\n  from {{ translate: 0 calc(-1 * {Half}); }}\n  to {{ translate: 0 calc({Half}); }}\n}}\n" : "";
    }

    /// <summary>Where the focal point of a layer lies, % of its picture across and down; in the middle where it is none.</summary>
    public static (decimal X, decimal Y) FocusOf(Site site, BackgroundLayer layer) =>
        ItemOf(site, layer) is { } picture ? (Focus(layer.FocusX, picture.FocusX), Focus(layer.FocusY, picture.FocusY)) : (50, 50);

    private static ShelfItem? ItemOf(Site site, BackgroundLayer layer) => BackgroundKind.IsPlaced(layer) ? site.Shelf.Find(((ReferenceValue)layer.Fill).Id) : null;

    private static ShelfItem Item(SiteReads reads, BackgroundLayer layer) => reads.Thing<ShelfItem>((ReferenceValue)layer.Fill);

    /// <summary>A clip does not go on beside itself: at its own size it is wholly in the box.</summary>
    private static string FitOf(BackgroundLayer layer) => layer.Fit.Code() == BackgroundKind.Cover ? BackgroundKind.Cover : "contain";

    private static bool IsToned(BackgroundLayer layer) => BackgroundKind.IsPlaced(layer) && layer.Toning.Code() == BackgroundKind.TwoColors;

    private static bool IsAttached(BackgroundLayer layer, string how) => BackgroundKind.IsPlaced(layer) && layer.Attachment.Code() == how;

    private static decimal Focus(Value own, Value picture) => (own is WordValue ? picture : own).Amount();

    private static string Share(decimal share) => NumberForm.Css(share, "%");

    private static string Number(double number) => number.ToString("0.####", CultureInfo.InvariantCulture);

    private static Rule Rule(Background background, string layer, string selector, string about, Needs needs, IEnumerable<(string Name, string Value)> declarations) =>
        new($"fill {background.Id}{(layer.Length > 0 ? $" {layer}" : "")}{(about.Length > 0 ? $" {about}" : "")}", Layer.Parts, selector, false, Interval.All,
            [.. declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Foundation, background.Id, layer, BackgroundKind.Kind)))])
        {
            Needs = needs,
        };

    private static string Role(Site site, string id) => $"var({RoleKind.Description.Token(site.Palette.Roles.Get(id))})";

    private static Rule Ground(string key, string selector, params (string Name, string Value)[] declarations) =>
        new(key, Layer.Parts, selector, false, Interval.All, [.. declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Base, "")))]);
}
