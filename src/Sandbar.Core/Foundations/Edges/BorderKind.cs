using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Edges;

/// <summary>Named borders.</summary>
public sealed class BorderKind : NamedKind<Border>
{
    public const string Kind = "border";

    /// <summary>The styles of CSS Backgrounds and Borders 3 that are lines of one tone.</summary>
    private static readonly ImmutableArray<Word> Styles = [new("none", "none"), new("solid", "solid"), new("dashed", "dashed"), new("dotted", "dotted"), new("double", "double")];

    public override string Code => Kind;

    public override string Name => "border";

    public override CssType Type => CssType.Line;

    public override FoundationStep Step => FoundationStep.Edges;

    public override string Path => "/edges/borders";

    public override bool FollowsScheme => true;

    public override ImmutableArray<Border> List(Site site) => site.Edges.Borders;

    public override string Note(Site site, ReferenceValue reference) => ValueForms.Write(site, Get(site, reference.Id).Width);

    protected override Site With(Site site, ImmutableArray<Border> things) => site with { Edges = site.Edges with { Borders = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "width", Name = "Width", Kind = LengthValues.Lengths, Min = 0, Max = 200 }, b => b.Width, (b, value) => b with { Width = value }),
        Of(new() { Id = "style", Name = "Style", Kind = new WordValues(), Words = Styles }, b => b.Style, (b, value) => b with { Style = value }),
        Of(new() { Id = "color", Name = "Colour", Kind = new ColorValues() }, b => b.Color, (b, value) => b with { Color = value }),
    ];

    protected override Border Create(Site site, string id) => new(id, "", "", new NumberValue(1, "px"), new WordValue("solid"), new ReferenceValue(Palette.RoleKind.Kind, Palette.RoleKind.Text));

    protected override IEnumerable<Token> Tokens(SiteReads reads, Border thing) =>
        [new(Token(thing), string.Join(' ', Fields(reads.Site).Select(f => f.Setting.Css(reads, f.Get(thing)))), thing.Id)];
}
