using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>The colours of the palette, given or computed, with their tints and shades.</summary>
public sealed class ColorKind : NamedKind<BaseColor>
{
    public const string Kind = "color";

    public static ColorKind Description => (ColorKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "colour";

    public override CssType Type => CssType.Color;

    public override FoundationStep Step => FoundationStep.Palette;

    public override string Path => "/palette/colors";

    public override bool HasSteps => true;

    public override ImmutableArray<BaseColor> List(Site site) => site.Palette.Colors;

    protected override Site With(Site site, ImmutableArray<BaseColor> things) => site with { Palette = site.Palette with { Colors = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "color", Name = "Value", Kind = new PaletteColors() }, c => c.Color, (c, value) => c with { Color = value }),
        Of(new() { Id = "group", Name = "Group", Kind = new GroupNames(), Words = [new(BaseColor.NoGroup, "no group", "")] }, c => c.Group, (c, value) => c with { Group = value }),
    ];

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field) =>
        field.Id == "group" ? site.Palette.Colors.Select(c => field.Setting.Write(site, c.Group)).Prepend("no group").Distinct() : null;

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        var color = (BaseColor)thing;
        if (site.Palette.IsInCircle(color)) yield return new("/color", $"{color.Name} would be computed from itself, directly or by way of others. A colour cannot be.");
        foreach (var (step, value) in color.Steps)
        {
            if (!ColorSteps.IsStep(step)) yield return new($"/steps/{step}", StepText.Range);
            else if (value is not FixedColorValue || ValueForms.Refusal(site, value) is not null) yield return new($"/steps/{step}", "A step given by hand is a CSS colour.");
        }
    }

    protected override BaseColor Create(Site site, string id) => new(id, "", "", new FixedColorValue("#808080"));

    protected override IEnumerable<Token> Tokens(SiteReads reads, BaseColor thing)
    {
        var palette = reads.Site.Palette;
        var row = palette.Row(thing);
        foreach (var token in Given(0, thing.Color)) yield return token;
        foreach (var step in ColorSteps.All)
        {
            foreach (var token in Given(step, thing.Steps.GetValueOrDefault(ColorSteps.Key(step)))) yield return token;
        }

        // What screens of sRGB, or older browsers, can show comes first; then what it really is, where that is another.
        IEnumerable<Token> Given(int step, Value? value)
        {
            var token = new Token(Token(thing, step), ColorText.Hex(row.At(step)), thing.Id, step == 0 ? "" : $"{step}");
            switch (value)
            {
                case FixedColorValue { Css: var css }:
                    yield return token with { Css = ReleasedColor.Css(css) };
                    if (ReleasedColor.IsWide(css)) yield return token with { Css = ReleasedColor.AsTyped(css), Needs = Needs.WideGamut };
                    break;
                case null:
                    yield return token;
                    break;
                default:
                    yield return token;
                    yield return token with { Css = palette.Css(reads, value), Needs = Needs.RelativeColors | (ReleasedColor.IsWide(palette.Meant(thing)) ? Needs.WideGamut : Needs.Nothing) };
                    break;
            }
        }
    }
}
