using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>A colour that a role comes to in a scheme.</summary>
/// <param name="Source">The colour of the palette it is a step of; null for plain black or white.</param>
/// <param name="Step">0 the base, 1… tints, −1… shades.</param>
public sealed record ResolvedColor(Color Color, BaseColor? Source, int Step);

/// <summary>What colours and roles come to.</summary>
public static class SchemeColors
{
    /// <summary>Ids of the roles a role must be readable on.</summary>
    public static IEnumerable<string> Grounds(this Role role) => role.On.References().Select(r => r.Id);

    /// <summary>The scheme a scheme turns into when the visitor prefers dark; null where it stays.</summary>
    public static Scheme? Dark(this Scheme scheme, Site site) => scheme.TurnsInto is ReferenceValue into ? site.Palette.Schemes.Find(into.Id) : null;

    /// <summary>The colour of a role, moved by some steps along its colour's row (and no further than the row goes).</summary>
    public static ResolvedColor Resolve(PaletteFoundation palette, Scheme scheme, string role, int step = 0)
    {
        switch (scheme.Colors[role])
        {
            case ReferenceValue given:
                return Along(palette, palette.Colors.Get(given.Id), given.Step + step);
            case ReadableValue { On: ReferenceValue ground }:
                var readable = Readable(palette, Resolve(palette, scheme, ground.Id).Color);
                return readable.Source is { } source ? Along(palette, source, step) : readable with { Color = Along(readable.Color, step) };
            default:
                throw new InvalidOperationException($"{scheme.Name} gives {role} no colour.");
        }
    }

    /// <summary>What a colour of a fill or text comes to where a scheme is carried; null for what is no colour by itself.</summary>
    public static Color? Of(Site site, Scheme scheme, Value value) => value switch
    {
        ReferenceValue { To: RoleKind.Kind } role => Resolve(site.Palette, scheme, role.Id, role.Step).Color,
        ReferenceValue { To: ColorKind.Kind } color => site.Palette.Row(site.Palette.Colors.Get(color.Id)).At(color.Step),
        FixedColorValue given => ReleasedColor.Of(given.Css),
        _ => null,
    };

    /// <summary>A step of any colour, counted along its own row.</summary>
    public static Color Along(Color color, int step) => Steps.Of(color).At(StepText.Clamp(step));

    /// <summary>
    /// The base colour of the palette that reads best on a ground; black or white where none reaches 4.5 (WCAG 2.2, 1.4.3). Judged as painted, in whole bytes: unrounded, one of
    /// 4.50 may be painted at 4.49.
    /// </summary>
    public static ResolvedColor Readable(PaletteFoundation palette, Color ground)
    {
        var painted = Gamut.Rounded(ground);
        var best = palette.Colors
            .Select(c => (Row: palette.Row(c), Color: c))
            .Select(c => (Color: new ResolvedColor(c.Row.Base, c.Color, 0), Ratio: Contrast.Ratio(c.Row.Painted, painted)))
            .OrderByDescending(c => c.Ratio)
            .FirstOrDefault();
        if (best.Ratio >= Contrast.Text) return best.Color;
        var plain = Contrast.Ratio(Color.White, painted) >= Contrast.Ratio(Color.Black, painted) ? Color.White : Color.Black;
        return new(plain, null, 0);
    }

    private static ResolvedColor Along(PaletteFoundation palette, BaseColor color, int step)
    {
        var clamped = StepText.Clamp(step);
        return new(palette.Row(color).At(clamped), color, clamped);
    }
}
