using System.Collections.Frozen;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Core.Values;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Properties;
using Declared = Sandbar.Css.Cascade.Declared;

namespace Sandbar.Core.Reviewing;

/// <summary>Tells from the declaration that won what decides a colour.</summary>
internal sealed class ColorSources
{
    /// <summary>Custom properties that lead to each other in a circle end somewhere.</summary>
    private const int MostFollowed = 16;

    private readonly SiteStyles styles;
    private readonly Site site;
    private readonly FrozenDictionary<string, (string Kind, string Id, int Step)> tokens;

    public ColorSources(SiteStyles styles)
    {
        (this.styles, site) = (styles, styles.Site);
        var all = new Dictionary<string, (string, string, int)>(StringComparer.Ordinal);
        foreach (var step in Enumerable.Range(-Steps.ShadeCount, Steps.ShadeCount + Steps.TintCount + 1))
        {
            foreach (var role in site.Palette.Roles) all[RoleKind.Description.Token(role, step)] = (RoleKind.Kind, role.Id, step);
            foreach (var color in site.Palette.Colors) all[ColorKind.Description.Token(color, step)] = (ColorKind.Kind, color.Id, step);
        }
        var backgrounds = BackgroundKind.Description;
        foreach (var background in site.Fills.Backgrounds) all[backgrounds.Token(background)] = (BackgroundKind.Kind, background.Id, 0);
        var (gradients, borders) = ((GradientKind)Kinds.Listed(GradientKind.Kind), (BorderKind)Kinds.Listed(BorderKind.Kind));
        foreach (var gradient in site.Fills.Gradients) all[gradients.Token(gradient)] = (GradientKind.Kind, gradient.Id, 0);
        foreach (var border in site.Edges.Borders) all[borders.Token(border)] = (BorderKind.Kind, border.Id, 0);
        tokens = all.ToFrozenDictionary(StringComparer.Ordinal);
    }

    /// <summary>What decides a colour of an element.</summary>
    /// <param name="property">The property that paints it.</param>
    /// <param name="scheme">The scheme whose colours count there.</param>
    /// <param name="color">What it comes to.</param>
    public ColorSource Of(ElementStyle style, Property property, Scheme scheme, Color color)
    {
        if (style.Deciding(property) is not { } deciding || styles.DecidedBy(deciding.By) is not { } by) return Plain(color);
        var source = Read(deciding.By.Declared, deciding.At, scheme, color);
        return source with { Cell = source.Cell is null && property.Name is "color" or "background-color" or "background-image" ? CellOf(by) : null, Line = source.Line > 0 ? source.Line : by.Line };
    }

    /// <summary>Whether a line has tones that come from the ground, so that it is told from whatever that is.</summary>
    public bool IsFromGround(ElementStyle style, Property property) => style.Deciding(property) is { } deciding && deciding.By.Declared.Reads is [var name, ..] && tokens.TryGetValue(name, out var token)
        && token.Kind == BorderKind.Kind && site.Edges.Borders.Get(token.Id).Second.Code() is Border.PressedIn or Border.Raised;

    private static ColorSource Plain(Color color) => new(ColorText.Hex(color), null, null, null);

    private ColorSource Read(Declared declared, ElementStyle at, Scheme scheme, Color color, int depth = 0) => declared.Reads is [var name, ..] ? Named(name, at, scheme, color, depth) : Plain(color);

    /// <param name="depth">How many custom properties it has been followed through.</param>
    private ColorSource Named(string name, ElementStyle at, Scheme scheme, Color color, int depth)
    {
        if (depth > MostFollowed) return Plain(color);
        var said = at.Deciding(name);
        // What the designer wrote over a custom property decides.
        if (said is { } over && styles.DecidedBy(over.By) is { Generated: null } written)
        {
            var source = Read(over.By.Declared, over.At, scheme, color, depth + 1);
            return source.Line > 0 ? source : source with { Line = written.Line };
        }
        if (!tokens.TryGetValue(name, out var token)) return said is { } other ? Read(other.By.Declared, other.At, scheme, color, depth + 1) : Plain(color);
        switch (token.Kind)
        {
            case RoleKind.Kind:
                var resolved = SchemeColors.Resolve(site.Palette, scheme, token.Id, token.Step);
                return new(resolved.Source is { } named ? StepText.With(named.Name, resolved.Step) : ColorText.Hex(color), resolved.Source?.Id, new(scheme.Id, token.Id, token.Step), null);
            case ColorKind.Kind:
                return new(StepText.With(site.Palette.Colors.Get(token.Id).Name, token.Step), token.Id, null, null);
            case GradientKind.Kind:
                return new(site.Fills.Gradients.Get(token.Id).Name, null, null, null, Fill: (GradientKind.Kind, token.Id));
            case BackgroundKind.Kind:
                return new(site.Fills.Backgrounds.Get(token.Id).Name, null, null, null, Fill: (BackgroundKind.Kind, token.Id));
            default:
                return site.Edges.Borders.Get(token.Id).Color is ReferenceValue line ? Named(Kinds.Of(line).Token(site, line), at, scheme, color, depth + 1) : Plain(color);
        }
    }

    private CellPlace? CellOf(Decided by) => by.Generated switch
    {
        { Kind: OriginKind.Look } look => new(look.Id, null, look.Detail),
        { Kind: OriginKind.Block } block => Blocks.Find(site, block.Id) is { } found ? new(found.Look, block.Id, block.Detail) : null,
        _ => null,
    };
}
