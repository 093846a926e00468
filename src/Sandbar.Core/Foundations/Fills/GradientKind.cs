using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>Named gradients, after CSS Images 3 and 4.</summary>
public sealed class GradientKind : NamedKind<Gradient>
{
    public const string Kind = "gradient";

    public const string Linear = "linear", Radial = "radial", Conic = "conic";

    private static readonly ImmutableArray<Word> Extents =
        [new("farthest-corner", "farthest corner", "farthest-corner"), new("farthest-side", "farthest side", "farthest-side"), new("closest-corner", "closest corner", "closest-corner"), new("closest-side", "closest side", "closest-side")];

    public override string Code => Kind;

    public override string Name => "gradient";

    public override CssType Type => CssType.Image;

    public override FoundationStep Step => FoundationStep.Fills;

    public override string Path => "/fills/gradients";

    public override bool FollowsScheme => true;

    public override Items Items { get; } = new Items<Gradient, GradientStop>("stop", (2, 60), g => g.Stops, (g, stops) => g with { Stops = stops }, (stop, id) => stop with { Id = id },
    [
        new Field<GradientStop>(new() { Id = "color", Name = "Colour", Kind = new ColorValues() }, s => s.Color, (s, value) => s with { Color = value }),
        new Field<GradientStop>(Percent("position", "Position"), s => s.Position, (s, value) => s with { Position = value }),
    ]);

    public override ImmutableArray<Gradient> List(Site site) => site.Fills.Gradients;

    /// <summary>A gradient of two stops from one side to the other.</summary>
    public static Gradient Between(string id, string name, string cssName, decimal angle, Value from, Value to) => new(
        id, name, cssName, new WordValue(Linear), new NumberValue(angle, "deg"), new WordValue("ellipse"), new WordValue("farthest-corner"), new NumberValue(50, "%"), new NumberValue(50, "%"),
        [new("stop-1", from, new NumberValue(0, "%")), new("stop-2", to, new NumberValue(100, "%"))]);

    /// <summary>A gradient as CSS.</summary>
    /// <param name="color">What its colours are written as.</param>
    public static string Css(SiteReads reads, Gradient gradient, Func<Value, string> color)
    {
        string Number(Value value) => ValueForms.Css(reads, value);
        var centre = $"at {Number(gradient.X)} {Number(gradient.Y)}";
        var line = gradient.Kind.Code() switch
        {
            Radial => $"{gradient.Shape.Code()} {gradient.Extent.Code()} {centre}",
            Conic => $"from {Number(gradient.Angle)} {centre}",
            _ => Number(gradient.Angle),
        };
        return $"{gradient.Kind.Code()}-gradient({line}, {string.Join(", ", gradient.Stops.Select(s => $"{color(s.Color)} {Number(s.Position)}"))})";
    }

    protected override Site With(Site site, ImmutableArray<Gradient> things) => site with { Fills = site.Fills with { Gradients = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "kind", Name = "Kind", Kind = new WordValues(), Words = [new(Linear, Linear), new(Radial, Radial), new(Conic, Conic)] }, g => g.Kind, (g, value) => g with { Kind = value }),
        Of(new() { Id = "angle", Name = "Angle", Kind = new NumberValues("deg"), Min = 0, Max = 360 }, g => g.Angle, (g, value) => g with { Angle = value }),
        Of(new() { Id = "shape", Name = "Shape", Kind = new WordValues(), Words = [new("ellipse", "ellipse"), new("circle", "circle")] }, g => g.Shape, (g, value) => g with { Shape = value }),
        Of(new() { Id = "extent", Name = "Extent", Kind = new WordValues(), Words = Extents }, g => g.Extent, (g, value) => g with { Extent = value }),
        Of(Percent("x", "Centre across"), g => g.X, (g, value) => g with { X = value }),
        Of(Percent("y", "Centre down"), g => g.Y, (g, value) => g with { Y = value }),
    ];

    protected override Gradient Create(Site site, string id) =>
        Between(id, "", "", 180, new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Ground), new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Text));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Gradient thing) => [new(Token(thing), Css(reads, thing, color => ValueForms.Css(reads, color)), thing.Id)];

    private static Setting Percent(string id, string name) => new() { Id = id, Name = name, Kind = new NumberValues("%"), Min = -1000, Max = 1000 };
}
