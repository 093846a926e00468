using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Edges;

/// <summary>
/// Named borders: a line, and a second one inside it where there is one. At no distance the two are one line of two tones; where their tones come from the
/// ground, black and white are laid over it, as much of them as the strength says, so that one is darker and one lighter than any ground, gradients included.
/// </summary>
public sealed class BorderKind : NamedKind<Border>
{
    public const string Kind = "border";

    private const string Line = "Line", SecondLine = "Second line";

    private static readonly ImmutableArray<Word> Styles = [.. LineForm.Styles.Select(style => new Word(style, style))];

    public override string Code => Kind;

    public override string Name => "border";

    public override CssType Type => CssType.Line;

    public override FoundationStep Step => FoundationStep.Edges;

    public override string Path => "/edges/borders";

    public override bool FollowsScheme => true;

    public override ImmutableArray<Border> List(Site site) => site.Edges.Borders;

    public override string Note(Site site, ReferenceValue reference) => ValueForms.Write(site, Get(site, reference.Id).Width);

    public override string Note(Site site, IListed thing, Field field)
    {
        var border = (Border)thing;
        var (second, fromGround) = (border.Second.Code() != Border.NoSecond, IsFromGround(border));
        return field.Id switch
        {
            "color" or "opacity" when fromGround => "both tones come from the ground",
            "along" when border.Along is ReferenceValue along && GradientKind.IsMesh(site.Fills.Gradients.Get(along.Id)) => "a mesh cannot run along a line",
            "along" when border.Along is ReferenceValue => "corners are square along a gradient",
            "second" when second => "pictures and fields of forms show the first line alone",
            "distance" or "second-width" or "second-style" when !second => "shows once there is a second line",
            "second-color" when !second => "shows once there is a second line",
            "second-color" when fromGround => "both tones come from the ground",
            "strength" when !fromGround => "shows once the tones come from the ground",
            _ => "",
        };
    }

    protected override Site With(Site site, ImmutableArray<Border> things) => site with { Edges = site.Edges with { Borders = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "width", Name = "Width", Group = Line, Kind = LengthValues.Lengths, Min = 0, Max = 200 }, b => b.Width, (b, value) => b with { Width = value }),
        Of(new() { Id = "style", Name = "Style", Group = Line, Kind = new WordValues(), Words = Styles }, b => b.Style, (b, value) => b with { Style = value }),
        Of(new() { Id = "color", Name = "Colour", Group = Line, Kind = new ColorValues() }, b => b.Color, (b, value) => b with { Color = value }),
        Of(Percent("opacity", "Opacity", Line), b => b.Opacity, (b, value) => b with { Opacity = value }),
        Of(new() { Id = "along", Name = "Along a gradient", Group = Line, Kind = new ReferenceValues(CssType.Image), Words = [new("none", "none")] }, b => b.Along, (b, value) => b with { Along = value }),
        Of(new()
        {
            Id = "second", Name = "Second line", Group = SecondLine, Kind = new WordValues(),
            Words = [new(Border.NoSecond, ""), new(Border.OwnColor, "of its own colour", ""), new(Border.PressedIn, "pressed into the ground", ""), new(Border.Raised, "raised from the ground", "")],
        }, b => b.Second, (b, value) => b with { Second = value }),
        Of(new() { Id = "distance", Name = "Distance", Group = SecondLine, Kind = LengthValues.Lengths, Min = 0, Max = 200 }, b => b.Distance, (b, value) => b with { Distance = value }),
        Of(new() { Id = "second-width", Name = "Its width", Group = SecondLine, Kind = LengthValues.Lengths, Min = 0, Max = 200 }, b => b.SecondWidth, (b, value) => b with { SecondWidth = value }),
        Of(new() { Id = "second-style", Name = "Its style", Group = SecondLine, Kind = new WordValues(), Words = Styles }, b => b.SecondStyle, (b, value) => b with { SecondStyle = value }),
        Of(new() { Id = "second-color", Name = "Its colour", Group = SecondLine, Kind = new ColorValues() }, b => b.SecondColor, (b, value) => b with { SecondColor = value }),
        Of(Percent("strength", "Tone strength", SecondLine), b => b.Strength, (b, value) => b with { Strength = value }),
    ];

    protected override Border Create(Site site, string id) => new(id, "", "", new NumberValue(1, "px"), new WordValue("solid"), new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Text));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Border thing)
    {
        var first = IsFromGround(thing) ? Tone(thing, darker: thing.Second.Code() == Border.PressedIn) : ShadowKind.Faded(reads, thing.Color, thing.Opacity);
        yield return new(Token(thing), $"{ValueForms.Css(reads, thing.Width)} {thing.Style.Code()} {first}", thing.Id);
        if (thing.Second.Code() == Border.NoSecond) yield break;
        var second = IsFromGround(thing) ? Tone(thing, darker: thing.Second.Code() == Border.Raised) : ValueForms.Css(reads, thing.SecondColor);
        yield return new(LineValues.SecondLine(reads, new(Kind, thing.Id)), $"{ValueForms.Css(reads, thing.SecondWidth)} {thing.SecondStyle.Code()} {second}", thing.Id, "second");
    }

    private static bool IsFromGround(Border border) => border.Second.Code() is Border.PressedIn or Border.Raised;

    /// <summary>What makes any ground darker or lighter: black or white, as much of it as the strength says.</summary>
    private static string Tone(Border border, bool darker) =>
        $"rgb({(darker ? "0 0 0" : "255 255 255")} / {(border.Strength.Amount() / 100).ToString("0.####", CultureInfo.InvariantCulture)})";

    private static Setting Percent(string id, string name, string group) => new() { Id = id, Name = name, Group = group, Kind = new NumberValues("%"), Min = 0, Max = 100 };
}
