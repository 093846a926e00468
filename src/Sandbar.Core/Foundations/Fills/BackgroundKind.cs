using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>
/// Named backgrounds: layers of colours, gradients, pictures and clips, blended as Compositing and Blending 1 has it. Colours and gradients are images of CSS on the box
/// itself; with a picture or clip among them, or a light that follows a text, the layers are elements behind what the box holds (<see cref="NeedsElement"/>), since no image
/// of CSS is kept in sight by a focal point, toned, faded, or placed by another box.
/// </summary>
public sealed class BackgroundKind : NamedKind<Background>
{
    public const string Kind = "background";

    public const string Cover = "cover", OwnSize = "own", Fixed = "fixed", Slower = "slower", TwoColors = "two", Ends = "end", OnRequest = "request", OnText = "text";

    private const string On = "on", Normal = "normal", Fit = "Picture", Tone = "Toning", Playing = "Clip", Light = "Light";

    private static readonly ImmutableArray<Word> Repeats =
    [
        new("both", "both ways", "repeat"), new("across", "across", "repeat-x"), new("down", "down", "repeat-y"), new("none", "once", "no-repeat"), new("spaced", "spaced", "space"), new("rounded", "rounded", "round"),
    ];

    private static readonly ImmutableArray<Word> Blends =
    [
        .. new[]
        {
            Normal, "multiply", "screen", "overlay", "darken", "lighten", "color-dodge", "color-burn", "hard-light", "soft-light", "difference", "exclusion", "hue", "saturation", "color", "luminosity",
        }.Select(mode => new Word(mode, mode.Replace('-', ' ').Replace("color", "colour", StringComparison.Ordinal), mode)),
    ];

    public static BackgroundKind Description => (BackgroundKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "background";

    public override CssType Type => CssType.Background;

    public override FoundationStep Step => FoundationStep.Fills;

    public override string Path => "/fills/backgrounds";

    public override bool FollowsScheme => true;

    public override Items Items { get; } = new Items<Background, BackgroundLayer>("layer", (1, 20), b => b.Layers, (b, layers) => b with { Layers = layers }, (layer, id) => layer with { Id = id },
    [
        new Field<BackgroundLayer>(new() { Id = "fill", Name = "Fill", Kind = new ColorValues(CssType.Image, CssType.Picture, CssType.Clip) }, l => l.Fill, (l, value) => l with { Fill = value }),
        new Field<BackgroundLayer>(new() { Id = "opacity", Name = "Opacity", Kind = new NumberValues("%"), Min = 0, Max = 100 }, l => l.Opacity, (l, value) => l with { Opacity = value }),
        new Field<BackgroundLayer>(new() { Id = "blend", Name = "Blend", Kind = new WordValues(), Words = Blends }, l => l.Blend, (l, value) => l with { Blend = value }),
        new Field<BackgroundLayer>(new() { Id = "shown", Name = "Shown", Kind = new WordValues(), Words = [new(On, On, ""), new("off", "off", "")] }, l => l.Shown, (l, value) => l with { Shown = value }),
        new Field<BackgroundLayer>(Words("centre", "Centre", Light, new(BackgroundLayer.AsGradient, "as in the gradient", ""), new(OnText, "on its text", "")), l => l.Centre, (l, value) => l with { Centre = value }),
        new Field<BackgroundLayer>(Words("fit", "Fit", Fit, new(Cover, "covers the box", Cover), new("contain", "wholly in the box", "contain"), new(OwnSize, "own size", "auto")), l => l.Fit, (l, value) => l with { Fit = value }),
        new Field<BackgroundLayer>(Words("repeat", "Repeats", Fit, [.. Repeats]), l => l.Repeat, (l, value) => l with { Repeat = value }),
        new Field<BackgroundLayer>(Focus("focus-x", "In sight across"), l => l.FocusX, (l, value) => l with { FocusX = value }),
        new Field<BackgroundLayer>(Focus("focus-y", "In sight down"), l => l.FocusY, (l, value) => l with { FocusY = value }),
        new Field<BackgroundLayer>(Words("attachment", "On scrolling", Fit, new("scrolls", "with the page", ""), new(Fixed, "stands still", ""), new(Slower, "slower than it", "")), l => l.Attachment, (l, value) => l with { Attachment = value }),
        new Field<BackgroundLayer>(new() { Id = "slower", Name = "Slower by", Group = Fit, Kind = new NumberValues("%"), Min = 1, Max = 99 }, l => l.Slower, (l, value) => l with { Slower = value }),
        new Field<BackgroundLayer>(Words("toning", "Toned", Tone, new("none", "as it is", ""), new(TwoColors, "in two colours", "")), l => l.Toning, (l, value) => l with { Toning = value }),
        new Field<BackgroundLayer>(new() { Id = "shadows", Name = "Shadows", Group = Tone, Kind = new ColorValues() }, l => l.Shadows, (l, value) => l with { Shadows = value }),
        new Field<BackgroundLayer>(new() { Id = "highlights", Name = "Highlights", Group = Tone, Kind = new ColorValues() }, l => l.Highlights, (l, value) => l with { Highlights = value }),
        new Field<BackgroundLayer>(Words("loop", "Loop", Playing, new(On, On, ""), new("off", "off", "")), l => l.Loop, (l, value) => l with { Loop = value }),
        new Field<BackgroundLayer>(Seconds("from", "Begins at"), l => l.From, (l, value) => l with { From = value }),
        new Field<BackgroundLayer>(Seconds("until", "Ends at") with { Words = [new(Ends, "its end", "")] }, l => l.Until, (l, value) => l with { Until = value }),
        new Field<BackgroundLayer>(Words("sound", "Sound", Playing, new("none", "none", ""), new(OnRequest, "when asked for", "")), l => l.Sound, (l, value) => l with { Sound = value }),
    ]);

    public override ImmutableArray<Background> List(Site site) => site.Fills.Backgrounds;

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field) =>
        field.Id == "group" ? site.Fills.Backgrounds.Select(b => field.Setting.Write(site, b.Group)).Prepend("no group").Distinct() : null;

    /// <summary>What a field of a layer needs to show.</summary>
    public override string ItemNote(Site site, IListed item, Field field)
    {
        var layer = (BackgroundLayer)item;
        return field.Id switch
        {
            "fit" or "repeat" or "focus-x" or "focus-y" or "attachment" or "slower" or "toning" or "shadows" or "highlights" when !IsPlaced(layer) => "shows once it is a picture or a clip",
            "loop" or "from" or "until" or "sound" when !IsClip(layer) => "shows once it is a clip",
            "centre" when !IsRadial(site, layer) => "shows once it is a radial gradient",
            "repeat" when IsClip(layer) || layer.Fit.Code() != OwnSize => "shows once it has its own size",
            "slower" when layer.Attachment.Code() != Slower => "shows once it moves slower",
            "shadows" or "highlights" when layer.Toning.Code() != TwoColors => "shows once it is toned",
            _ => "",
        };
    }

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Background, CssType.Layers];

    public override IEnumerable<string> Names(Site site, CssType type) => List(site).Where(b => NeedsElement(b) == (type == CssType.Layers)).Select(b => NameOf(site, b));

    public override CssType TypeOf(Site site, ReferenceValue reference) => Find(site, reference.Id) is Background background && NeedsElement(background) ? CssType.Layers : Type;

    public override bool HasToken(IListed thing) => !NeedsElement((Background)thing);

    /// <summary>What wears it has room for what it is.</summary>
    public override IEnumerable<Problem> Problems(Site site, IListed thing) =>
        (from layer in ((Background)thing).Layers
         where layer.Until is NumberValue until && until.Number <= layer.From.Amount()
         select new Problem($"/{Items.Name}s/{layer.Id}/until", "A clip ends after it begins.")).Concat(Roomless(site, thing));

    private static IEnumerable<Problem> Roomless(Site site, IListed thing) => NeedsElement((Background)thing)
        ? from use in Uses.Of(site, Kind, thing.Id)
          where !HasRoom(site, use.Place, thing.Id)
          select new Problem("", $"{((Background)thing).Name} would hold a picture, a clip or a light that follows a text, and {use.Words} has no room for one behind what it holds.")
        : [];

    private static bool HasRoom(Site site, UsePlace place, string id) => place switch
    {
        InCell cell => Takes(cell.Part, cell.Property),
        InBlock { Page.Length: > 0 } own => Blocks.Find(site, own.Block) is not { } block
            || block.Own.Where(c => c.Value.References().Any(r => r.To == Kind && r.Id == id)).All(c => Takes(block.Part, CellKey.Parse(c.Key).Property)),
        _ => true,
    };

    private static bool Takes(string part, string property) => PartCatalogue.Find(part)?.Property(property)?.Kind.Types.Contains(CssType.Layers) ?? true;

    /// <summary>Whether its layers are elements of the page: then only what has room for them can wear it.</summary>
    public static bool NeedsElement(Background background) => background.Layers.Any(l => IsOn(l) && (IsPlaced(l) || Follows(l)));

    /// <summary>Those of its layers that are painted, the first on top.</summary>
    public static IEnumerable<BackgroundLayer> Painted(Background background) => background.Layers.Where(IsOn);

    public static bool IsClip(BackgroundLayer layer) => layer.Fill is ReferenceValue { To: ClipKind.Kind };

    /// <summary>Whether it is a picture or a clip, which has a place in its box.</summary>
    public static bool IsPlaced(BackgroundLayer layer) => IsClip(layer) || layer.Fill is ReferenceValue { To: PictureKind.Kind };

    /// <summary>Whether it is a gradient that is to lie behind a text, wherever that is.</summary>
    public static bool Follows(BackgroundLayer layer) => layer.Centre.Code() == OnText && layer.Fill is ReferenceValue { To: GradientKind.Kind };

    private static bool IsRadial(Site site, BackgroundLayer layer) =>
        layer.Fill is ReferenceValue { To: GradientKind.Kind } reference && site.Fills.Gradients.Find(reference.Id) is { } gradient && gradient.Kind.Code() == GradientKind.Radial;

    /// <summary>Whether a picture has its own size, and goes on beside itself.</summary>
    public static bool IsTiled(BackgroundLayer layer) => !IsClip(layer) && layer.Fit.Code() == OwnSize;

    public static bool Loops(BackgroundLayer layer) => layer.Loop.Code() == On;

    /// <summary>How a picture of its own size goes on beside itself, as CSS says it.</summary>
    public static string RepeatCss(BackgroundLayer layer) => Repeats.First(w => w.Code == layer.Repeat.Code()).Css;

    /// <summary>Its images as CSS, topmost first.</summary>
    /// <param name="fill">What a fill is written as: one image, of a mesh a list; with how much of it is seen.</param>
    public static string Css(Background background, Func<Value, decimal, string> fill) =>
        background.Layers.Where(IsOn).Select(l => fill(l.Fill, l.Opacity.Amount())).ToList() is { Count: > 0 } images ? string.Join(", ", images) : "none";

    /// <summary>How they are blended, in the same order.</summary>
    public static string BlendCss(Site site, Background background) => BlendCss(new SiteReads(site), background);

    private static string BlendCss(SiteReads reads, Background background) =>
        background.Layers.Where(IsOn).SelectMany(l => Enumerable.Repeat(l.Blend.Code(), Images(reads, l))).ToList() is { Count: > 0 } modes ? string.Join(", ", modes) : Normal;

    /// <summary>How many images a layer is: of a mesh one for each of its points.</summary>
    private static int Images(SiteReads reads, BackgroundLayer layer) =>
        layer.Fill is ReferenceValue { To: GradientKind.Kind } gradient && reads.Thing<Gradient>(gradient) is var mesh && GradientKind.IsMesh(mesh) ? mesh.Stops.Length : 1;

    /// <summary>A colour as an image.</summary>
    public static string Flat(string color) => $"linear-gradient({color}, {color})";

    protected override Site With(Site site, ImmutableArray<Background> things) => site with { Fills = site.Fills with { Backgrounds = things } };

    protected override ImmutableArray<Field> Described() =>
        [Of(new() { Id = "blur", Name = "Blur behind", Kind = new NumberValues("px"), Min = 0, Max = 100 }, b => b.Blur, (b, value) => b with { Blur = value }), Of(new() { Id = "group", Name = "Group", Kind = new GroupNames(), Words = [new(BaseColor.NoGroup, "no group", "")] }, b => b.Group, (b, value) => b with { Group = value })];

    protected override Background Create(Site site, string id) => new(id, "", "", [new("layer-1", new ReferenceValue(RoleKind.Kind, RoleKind.Ground))]);

    protected override IEnumerable<Token> Tokens(SiteReads reads, Background thing)
    {
        if (NeedsElement(thing)) yield break;
        var token = Token(thing);
        var plain = Css(thing, (fill, opacity) => Image(reads, fill, opacity, isMixed: false));
        var mixed = Css(thing, (fill, opacity) => Image(reads, fill, opacity, isMixed: true));
        yield return new(token, plain, thing.Id);
        yield return new($"{token}-blend", BlendCss(reads, thing), thing.Id, "blend");
        if (mixed != plain) yield return new(token, mixed, thing.Id, Needs: Needs.MixedGradients);
    }

    /// <summary>Whether it is painted.</summary>
    public static bool IsOn(BackgroundLayer layer) => layer.Shown.Code() == On;

    /// <summary>A gradient of which all is seen is named; of which less is seen, it is written out, every colour fainter, which comes to the same.</summary>
    private static string Image(SiteReads reads, Value fill, decimal opacity, bool isMixed)
    {
        var share = NumberForm.Css(opacity, "%");
        if (fill is not ReferenceValue { To: GradientKind.Kind } reference) return Flat(ShadowLayerForm.Faded(ValueForms.Css(reads, fill), share));
        if (opacity == 100) return ValueForms.Css(reads, fill);
        var gradient = reads.Thing<Gradient>(reference);
        return GradientKind.Css(reads, isMixed ? gradient : gradient with { Space = new WordValue("srgb") }, color => ShadowLayerForm.Faded(ValueForms.Css(reads, color), share));
    }

    private static Setting Words(string id, string name, string group, params ImmutableArray<Word> words) => new() { Id = id, Name = name, Group = group, Kind = new WordValues(), Words = words };

    private static Setting Seconds(string id, string name) => new() { Id = id, Name = name, Group = Playing, Kind = new NumberValues("s"), Min = 0, Max = 3600 };

    private static Setting Focus(string id, string name) => new() { Id = id, Name = name, Group = Fit, Kind = new NumberValues("%"), Min = 0, Max = 100, Words = [new(BackgroundLayer.AsPicture, "as on the shelf", "")] };
}
