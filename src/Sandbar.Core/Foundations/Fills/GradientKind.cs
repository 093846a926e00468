using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>Named gradients, after CSS Images 3 and 4; and meshes, which are several of them one over the other.</summary>
public sealed class GradientKind : NamedKind<Gradient>
{
    public const string Kind = "gradient";

    public const string Linear = "linear", Radial = "radial", Conic = "conic", OwnReach = "own", Repeating = "repeating";

    private const string Way = "Course", Mixing = "Mixing";

    private static readonly ImmutableArray<Word> Extents =
    [
        new("farthest-corner", "farthest corner", "farthest-corner"), new("farthest-side", "farthest side", "farthest-side"), new("closest-corner", "closest corner", "closest-corner"), new("closest-side", "closest side", "closest-side"),
        new(OwnReach, "own reach", ""),
    ];

    private static readonly ImmutableArray<Word> Directions =
    [
        new(Gradient.ByAngle, "its angle", ""),
        .. new[] { "top", "top right", "right", "bottom right", "bottom", "bottom left", "left", "top left" }.Select(side => new Word(side.Replace(' ', '-'), side, $"to {side}")),
    ];

    private static readonly ImmutableArray<Word> Spaces =
    [
        new(Gradient.Unsaid, "as browsers do", ""), new("oklab", "OKLab", "oklab"), new("oklch", "OKLCH", "oklch"), new("srgb", "sRGB", "srgb"), new("srgb-linear", "linear sRGB", "srgb-linear"), new("hsl", "HSL", "hsl"), new("hwb", "HWB", "hwb"),
        new("lab", "Lab", "lab"), new("lch", "LCH", "lch"), new("xyz", "XYZ", "xyz"), new("xyz-d50", "XYZ D50", "xyz-d50"), new("display-p3", "Display P3", "display-p3"), new("a98-rgb", "A98 RGB", "a98-rgb"), new("prophoto-rgb", "ProPhoto RGB", "prophoto-rgb"),
        new("rec2020", "Rec. 2020", "rec2020"),
    ];

    private static readonly ImmutableArray<Word> Ways = [new("shorter", "the shorter way", ""), new("longer", "the longer way", " longer hue"), new("increasing", "increasing", " increasing hue"), new("decreasing", "decreasing", " decreasing hue")];

    public static GradientKind Description => (GradientKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "gradient";

    public override CssType Type => CssType.Image;

    public override FoundationStep Step => FoundationStep.Fills;

    public override string Path => "/fills/gradients";

    public override bool FollowsScheme => true;

    public override Items Items { get; } = new Items<Gradient, GradientStop>("stop", (2, 60), g => g.Stops, (g, stops) => g with { Stops = stops }, (stop, id) => stop with { Id = id },
    [
        new Field<GradientStop>(new() { Id = "color", Name = "Colour", Kind = new ColorValues() }, s => s.Color, (s, value) => s with { Color = value }),
        new Field<GradientStop>(Percent("position", "At"), s => s.Position, (s, value) => s with { Position = value }),
        new Field<GradientStop>(Percent("alpha", "Alpha", min: 0, max: 100), s => s.Alpha, (s, value) => s with { Alpha = value }),
        new Field<GradientStop>(Percent("middle", "Middle", min: 0, max: 100), s => s.Middle, (s, value) => s with { Middle = value }),
        new Field<GradientStop>(Percent("x", "Across"), s => s.X, (s, value) => s with { X = value }),
        new Field<GradientStop>(Percent("y", "Down"), s => s.Y, (s, value) => s with { Y = value }),
        new Field<GradientStop>(Percent("reach", "Reach", min: 1, max: 300), s => s.Reach, (s, value) => s with { Reach = value }),
    ]);

    public override ImmutableArray<Gradient> List(Site site) => site.Fills.Gradients;

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field) =>
        field.Id == "group" ? site.Fills.Gradients.Select(g => field.Setting.Write(site, g.Group)).Prepend("no group").Distinct() : null;

    /// <summary>What a field needs to show.</summary>
    public override string Note(Site site, IListed thing, Field field)
    {
        var gradient = (Gradient)thing;
        var kind = gradient.Kind.Code();
        return field.Id switch
        {
            "toward" when kind != Linear => "shows once it is linear",
            "angle" when kind is not (Linear or Conic) => "shows once it is linear or conic",
            "angle" when kind == Linear && gradient.Toward.Code() != Gradient.ByAngle => "shows once it runs by its angle",
            "repeats" or "space" when kind == Gradient.Mesh => "shows once it is no mesh",
            "extent" when kind != Radial => "shows once it is radial",
            "shape" when kind != Radial || gradient.Extent.Code() == OwnReach => "shows once it is radial and goes up to a side or corner",
            "x" or "y" when kind is not (Radial or Conic) => "shows once it is radial or conic",
            "reach-x" or "reach-y" when kind != Radial || gradient.Extent.Code() != OwnReach => "shows once it is radial and goes as far as its own reach",
            "hue" when kind == Gradient.Mesh || !HasHues(gradient) => "shows once colours are mixed in OKLCH, LCH, HSL or HWB",
            _ => "",
        };
    }

    /// <summary>A gradient of two stops from one side to the other.</summary>
    public static Gradient Between(string id, string name, string cssName, decimal angle, Value from, Value to) => new(
        id, name, cssName, new WordValue(Linear), new NumberValue(angle, "deg"), new WordValue("ellipse"), new WordValue("farthest-corner"), new NumberValue(50, "%"), new NumberValue(50, "%"),
        [new("stop-1", from, new NumberValue(0, "%")), new("stop-2", to, new NumberValue(100, "%"))]);

    /// <summary>The same colours once, from left to right.</summary>
    public static Gradient Straight(Gradient gradient) => gradient with { Kind = new WordValue(Linear), Toward = new WordValue("right"), Repeats = new WordValue("once") };

    /// <summary>Whether it is several images.</summary>
    public static bool IsMesh(Gradient gradient) => gradient.Kind.Code() == Gradient.Mesh;

    /// <summary>Whether its colours are mixed in a space that was named, which older browsers do not know.</summary>
    public static bool IsMixed(Gradient gradient) => !IsMesh(gradient) && Space(gradient).Length > 0;

    /// <summary>A gradient as CSS: one image, of a mesh a list of them.</summary>
    /// <param name="color">What its colours are written as.</param>
    public static string Css(SiteReads reads, Gradient gradient, Func<Value, string> color) =>
        IsMesh(gradient) ? MeshCss(gradient, color) : Css(gradient, Course(reads, gradient), Space(gradient), StopsCss(reads, gradient, color));

    /// <summary>The same geometry with other stops.</summary>
    /// <param name="space">What colours are mixed in, with the way of hues; empty where it is not said.</param>
    internal static string Css(SiteReads reads, Gradient gradient, string space, IEnumerable<string> stops) => Css(gradient, Course(reads, gradient), space, stops);

    /// <summary>A radial one from the middle of what it is painted on, going as far as it goes in the container from its own centre; null of other kinds.</summary>
    internal static string? Centred(SiteReads reads, Gradient gradient, Func<Value, string> color) =>
        gradient.Kind.Code() == Radial ? Css(gradient, $"{Reach(gradient)} at center", Space(gradient), StopsCss(reads, gradient, color)) : null;

    /// <summary>How far a radial one goes, in units of the container it lies in (CSS Images 3, §3.2.1; CSS Conditional 5, §5).</summary>
    private static string Reach(Gradient gradient)
    {
        static decimal Side(Value at, bool isFarthest) => (Math.Abs(at.Amount()), Math.Abs(100 - at.Amount())) is var (before, after) && isFarthest ? Math.Max(before, after) : Math.Min(before, after);
        static string Of(decimal across, decimal down, string between) => $"{NumberForm.Css(decimal.Round(across, 4), "cqw")}{between}{NumberForm.Css(decimal.Round(down, 4), "cqh")}";
        var extent = gradient.Extent.Code();
        if (extent == OwnReach) return Of(gradient.ReachX.Amount(), gradient.ReachY.Amount(), " ");
        var (isFarthest, isCorner) = (extent.StartsWith("farthest", StringComparison.Ordinal), extent.EndsWith("corner", StringComparison.Ordinal));
        var (across, down) = (Side(gradient.X, isFarthest), Side(gradient.Y, isFarthest));
        if (gradient.Shape.Code() == "circle") return $"circle {(isCorner ? "hypot" : isFarthest ? "max" : "min")}({Of(across, down, ", ")})";
        // The corner lies on the ellipse √2 as large as the one through the sides.
        var larger = isCorner ? (decimal)Math.Sqrt(2) : 1;
        return Of(across * larger, down * larger, " ");
    }

    private static string Css(Gradient gradient, string course, string space, IEnumerable<string> stops) =>
        $"{(gradient.Repeats.Code() == Repeating ? "repeating-" : "")}{gradient.Kind.Code()}-gradient({course}{(space.Length > 0 ? $" in {space}" : "")}, {string.Join(", ", stops)})";

    private static string Course(SiteReads reads, Gradient gradient)
    {
        string Number(Value value) => ValueForms.Css(reads, value);
        var centre = $"at {Number(gradient.X)} {Number(gradient.Y)}";
        return gradient.Kind.Code() switch
        {
            Radial => $"{RadialShape(gradient, Number)} {centre}",
            Conic => $"from {Number(gradient.Angle)} {centre}",
            _ => Directions.FirstOrDefault(w => w.Code == gradient.Toward.Code()) is { Css.Length: > 0 } toward ? toward.Css : Number(gradient.Angle),
        };
    }

    private static IEnumerable<string> StopsCss(SiteReads reads, Gradient gradient, Func<Value, string> color)
    {
        var places = Places(gradient);
        foreach (var (i, stop) in gradient.Stops.Index())
        {
            yield return $"{ShadowLayerForm.Faded(color(stop.Color), ValueForms.Css(reads, stop.Alpha))} {NumberForm.Css(places[i], "%")}";
            if (Hint(gradient, places, i) is { } hint) yield return NumberForm.Css(hint, "%");
        }
    }

    /// <summary>Where its stops lie, %: none before one before it.</summary>
    internal static IReadOnlyList<decimal> Places(Gradient gradient)
    {
        var furthest = decimal.MinValue;
        return [.. gradient.Stops.Select(s => furthest = Math.Max(furthest, s.Position.Amount()))];
    }

    /// <summary>What it is mixed in, as CSS says it; colours with alpha are no longer written as of old, so that browsers would mix them otherwise.</summary>
    private static string Space(Gradient gradient)
    {
        var space = gradient.Space.Code();
        if (space == Gradient.Unsaid) return gradient.Stops.Any(s => s.Alpha.Amount() != 100) ? "srgb" : "";
        return HasHues(gradient) ? $"{space}{Ways.FirstOrDefault(w => w.Code == gradient.Hue.Code())?.Css}" : space;
    }

    private static bool HasHues(Gradient gradient) => gradient.Space.Code() is "hsl" or "hwb" or "lch" or "oklch";

    /// <summary>Where the hint after a stop lies, %; null where it would say nothing.</summary>
    internal static decimal? Hint(Gradient gradient, IReadOnlyList<decimal> places, int stop) =>
        stop + 1 < places.Count && gradient.Stops[stop].Middle.Amount() is var middle && middle != 50 && places[stop + 1] > places[stop] ? places[stop] + (places[stop + 1] - places[stop]) * middle / 100 : null;

    /// <summary>A reach of its own is in shares of the box, which only an ellipse can have.</summary>
    private static string RadialShape(Gradient gradient, Func<Value, string> number) =>
        gradient.Extent.Code() == OwnReach ? $"{number(gradient.ReachX)} {number(gradient.ReachY)}" : $"{gradient.Shape.Code()} {gradient.Extent.Code()}";

    /// <summary>A mesh: each point fades out as far as it reaches, on the colour of the last.</summary>
    internal static string MeshCss(Gradient gradient, Func<Value, string> color)
    {
        static string Share(Value value) => NumberForm.Css(value.Amount(), "%");
        string Seen(GradientStop stop) => ShadowLayerForm.Faded(color(stop.Color), Share(stop.Alpha));
        var points = gradient.Stops[..^1].Select(s =>
        {
            var (reach, seen) = (Share(s.Reach), Seen(s));
            // Half of it at half the way is a peak: less of it there makes it a hill.
            return $"radial-gradient({reach} {reach} at {Share(s.X)} {Share(s.Y)} in srgb, {seen}, {ShadowLayerForm.Faded(seen, "40%")} 50%, {ShadowLayerForm.Faded(seen, "10%")} 80%, {ShadowLayerForm.Faded(seen, "0%")})";
        });
        var ground = Seen(gradient.Stops[^1]);
        return string.Join(", ", points.Append($"linear-gradient({ground}, {ground})"));
    }

    protected override Site With(Site site, ImmutableArray<Gradient> things) => site with { Fills = site.Fills with { Gradients = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "kind", Name = "Kind", Group = Way, Kind = new WordValues(), Words = [new(Linear, Linear), new(Radial, Radial), new(Conic, Conic), new(Gradient.Mesh, Gradient.Mesh)] }, g => g.Kind, (g, value) => g with { Kind = value }),
        Of(new() { Id = "toward", Name = "Runs to", Group = Way, Kind = new WordValues(), Words = Directions }, g => g.Toward, (g, value) => g with { Toward = value }),
        Of(new() { Id = "angle", Name = "Angle", Group = Way, Kind = new NumberValues("deg"), Min = 0, Max = 360 }, g => g.Angle, (g, value) => g with { Angle = value }),
        Of(new() { Id = "shape", Name = "Shape", Group = Way, Kind = new WordValues(), Words = [new("ellipse", "ellipse"), new("circle", "circle")] }, g => g.Shape, (g, value) => g with { Shape = value }),
        Of(new() { Id = "extent", Name = "Extent", Group = Way, Kind = new WordValues(), Words = Extents }, g => g.Extent, (g, value) => g with { Extent = value }),
        Of(Percent("reach-x", "Reach across", Way, 1, 500), g => g.ReachX, (g, value) => g with { ReachX = value }),
        Of(Percent("reach-y", "Reach down", Way, 1, 500), g => g.ReachY, (g, value) => g with { ReachY = value }),
        Of(Percent("x", "Centre across", Way), g => g.X, (g, value) => g with { X = value }),
        Of(Percent("y", "Centre down", Way), g => g.Y, (g, value) => g with { Y = value }),
        Of(new() { Id = "repeats", Name = "Painted", Group = Mixing, Kind = new WordValues(), Words = [new("once", "once", ""), new(Repeating, "over and over", "")] }, g => g.Repeats, (g, value) => g with { Repeats = value }),
        Of(new() { Id = "space", Name = "Mixed in", Group = Mixing, Kind = new WordValues(), Words = Spaces }, g => g.Space, (g, value) => g with { Space = value }),
        Of(new() { Id = "hue", Name = "Hues go", Group = Mixing, Kind = new WordValues(), Words = Ways }, g => g.Hue, (g, value) => g with { Hue = value }),
        Of(new() { Id = "group", Name = "Group", Group = Mixing, Kind = new GroupNames(), Words = [new(BaseColor.NoGroup, "no group", "")] }, g => g.Group, (g, value) => g with { Group = value }),
    ];

    protected override Gradient Create(Site site, string id) =>
        Between(id, "", "", 180, new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Ground), new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Text)) with { Space = new WordValue(ColorSpace.Oklab.CssName()) };

    protected override IEnumerable<Token> Tokens(SiteReads reads, Gradient thing) =>
        [new(Token(thing), Css(reads, thing, color => ValueForms.Css(reads, color)), thing.Id, Needs: IsMixed(thing) ? Needs.MixedGradients : Needs.Nothing)];

    private static Setting Percent(string id, string name, string group = "", decimal min = -1000, decimal max = 1000) => new() { Id = id, Name = name, Group = group, Kind = new NumberValues("%"), Min = min, Max = max };
}
