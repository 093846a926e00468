using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Edges;

/// <summary>Named shadows of one or several layers, as the box shadows of CSS Backgrounds and Borders 3.</summary>
public sealed class ShadowKind : NamedKind<Shadow>
{
    public const string Kind = "shadow";

    public override string Code => Kind;

    public override string Name => "shadow";

    public override CssType Type => CssType.Shadow;

    public override FoundationStep Step => FoundationStep.Edges;

    public override string Path => "/edges/shadows";

    public override bool FollowsScheme => true;

    public override Items Items { get; } = new Items<Shadow, ShadowLayer>("layer", (1, ShadowForm.Most), s => s.Layers, (s, layers) => s with { Layers = layers }, (layer, id) => layer with { Id = id },
    [
        new Field<ShadowLayer>(new() { Id = "side", Name = "Side", Kind = new WordValues(), Words = [new("outer", ""), new("inner", "")] }, l => l.Side, (l, value) => l with { Side = value }),
        Length("x", "Across", l => l.X, (l, value) => l with { X = value }),
        Length("y", "Down", l => l.Y, (l, value) => l with { Y = value }),
        Length("blur", "Blur", l => l.Blur, (l, value) => l with { Blur = value }, min: 0),
        Length("spread", "Spread", l => l.Spread, (l, value) => l with { Spread = value }),
        new Field<ShadowLayer>(new() { Id = "color", Name = "Colour", Kind = new ColorValues() }, l => l.Color, (l, value) => l with { Color = value }),
        new Field<ShadowLayer>(new() { Id = "opacity", Name = "Opacity", Kind = new NumberValues("%"), Min = 0, Max = 100 }, l => l.Opacity, (l, value) => l with { Opacity = value }),
    ]);

    public override ImmutableArray<Shadow> List(Site site) => site.Edges.Shadows;

    protected override Site With(Site site, ImmutableArray<Shadow> things) => site with { Edges = site.Edges with { Shadows = things } };

    protected override ImmutableArray<Field> Described() => [];

    protected override Shadow Create(Site site, string id) => new(id, "", "",
    [
        new("layer-1", new NumberValue(0, "px"), new NumberValue(2, "px"), new NumberValue(8, "px"), new NumberValue(0, "px"), new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Text), new NumberValue(20, "%")),
    ]);

    protected override IEnumerable<Token> Tokens(SiteReads reads, Shadow thing) => [new(Token(thing), string.Join(", ", thing.Layers.Select(layer => Css(reads, layer))), thing.Id)];

    /// <summary>A colour with only so much of it.</summary>
    /// <param name="opacity">%.</param>
    public static string Faded(SiteReads reads, Value color, Value opacity) => ShadowLayerForm.Faded(ValueForms.Css(reads, color), ValueForms.Css(reads, opacity));

    private static string Css(SiteReads reads, ShadowLayer layer) => ShadowLayerForm.Css(
        layer.Side.Code() == "inner", new[] { layer.X, layer.Y, layer.Blur, layer.Spread }.Select(length => ValueForms.Css(reads, length)), ValueForms.Css(reads, layer.Color), ValueForms.Css(reads, layer.Opacity));

    private static Field<ShadowLayer> Length(string id, string name, Func<ShadowLayer, Value> read, Func<ShadowLayer, Value, ShadowLayer> written, decimal min = -ShadowLayerForm.Furthest) =>
        new(new() { Id = id, Name = name, Kind = LengthValues.Lengths, Min = min, Max = ShadowLayerForm.Furthest }, read, written);
}
