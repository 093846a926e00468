using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>Named backgrounds: layers of colours and gradients, blended as Compositing and Blending 1 has it.</summary>
public sealed class BackgroundKind : NamedKind<Background>
{
    public const string Kind = "background";

    private const string On = "on", Normal = "normal";

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
        new Field<BackgroundLayer>(new() { Id = "fill", Name = "Fill", Kind = new ColorValues(images: true) }, l => l.Fill, (l, value) => l with { Fill = value }),
        new Field<BackgroundLayer>(new() { Id = "opacity", Name = "Opacity", Kind = new NumberValues("%"), Min = 0, Max = 100 }, l => l.Opacity, (l, value) => l with { Opacity = value }),
        new Field<BackgroundLayer>(new() { Id = "blend", Name = "Blend", Kind = new WordValues(), Words = Blends }, l => l.Blend, (l, value) => l with { Blend = value }),
        new Field<BackgroundLayer>(new() { Id = "shown", Name = "Shown", Kind = new WordValues(), Words = [new(On, On, ""), new("off", "off", "")] }, l => l.Shown, (l, value) => l with { Shown = value }),
    ]);

    public override ImmutableArray<Background> List(Site site) => site.Fills.Backgrounds;

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field) =>
        field.Id == "group" ? site.Fills.Backgrounds.Select(b => field.Setting.Write(site, b.Group)).Prepend("no group").Distinct() : null;

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
        [Of(new() { Id = "group", Name = "Group", Kind = new GroupNames(), Words = [new(BaseColor.NoGroup, "no group", "")] }, b => b.Group, (b, value) => b with { Group = value })];

    protected override Background Create(Site site, string id) => new(id, "", "", [new("layer-1", new ReferenceValue(RoleKind.Kind, RoleKind.Ground))]);

    protected override IEnumerable<Token> Tokens(SiteReads reads, Background thing)
    {
        var token = Token(thing);
        var plain = Css(thing, (fill, opacity) => Image(reads, fill, opacity, isMixed: false));
        var mixed = Css(thing, (fill, opacity) => Image(reads, fill, opacity, isMixed: true));
        yield return new(token, plain, thing.Id);
        yield return new($"{token}-blend", BlendCss(reads, thing), thing.Id, "blend");
        if (mixed != plain) yield return new(token, mixed, thing.Id, Needs: Needs.MixedGradients);
    }

    private static bool IsOn(BackgroundLayer layer) => layer.Shown.Code() == On;

    /// <summary>A gradient of which all is seen is named; of which less is seen, it is written out, every colour fainter, which comes to the same.</summary>
    private static string Image(SiteReads reads, Value fill, decimal opacity, bool isMixed)
    {
        var share = NumberForm.Css(opacity, "%");
        if (fill is not ReferenceValue { To: GradientKind.Kind } reference) return Flat(ShadowLayerForm.Faded(ValueForms.Css(reads, fill), share));
        if (opacity == 100) return ValueForms.Css(reads, fill);
        var gradient = reads.Thing<Gradient>(reference);
        return GradientKind.Css(reads, isMixed ? gradient : gradient with { Space = new WordValue("srgb") }, color => ShadowLayerForm.Faded(ValueForms.Css(reads, color), share));
    }
}
