using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>Colours the designer gave, with their tints and shades.</summary>
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
        [Of(new() { Id = "color", Name = "Value", Kind = new GivenColors() }, c => c.Color, (c, value) => c with { Color = value })];

    protected override BaseColor Create(Site site, string id) => new(id, "", "", new FixedColorValue("#808080"));

    protected override IEnumerable<Token> Tokens(SiteReads reads, BaseColor thing)
    {
        yield return new(Token(thing), ReleasedColor.Css(thing.Css()), thing.Id);
        var row = SchemeColors.Row(thing);
        for (var step = 1; step <= row.Tints.Length; step++) yield return new(Token(thing, step), ColorText.Hex(row.At(step)), thing.Id, $"{step}");
        for (var step = 1; step <= row.Shades.Length; step++) yield return new(Token(thing, -step), ColorText.Hex(row.At(-step)), thing.Id, $"{-step}");
    }

    protected override IEnumerable<Token> WideTokens(SiteReads reads, BaseColor thing) =>
        ReleasedColor.IsWide(thing.Css()) ? [new(Token(thing), ReleasedColor.AsTyped(thing.Css()), thing.Id)] : [];
}
