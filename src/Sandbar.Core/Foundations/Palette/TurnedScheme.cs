using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>
/// A scheme turned from light to dark, or from dark to light: every role keeps its hue, in its own colour or one like it, and takes the step that stands out from its ground about as much as
/// before, in the same order, and reaches what it must (common practice, no source; the targets are WCAG 2.2's).
/// </summary>
public static class TurnedScheme
{
    /// <summary>OKLCH lightness between a light ground and a dark one.</summary>
    private const double Middle = 0.6;

    /// <summary>A dark ground lies between these, a light one as far from white as a dark one's colour asks for.</summary>
    private const double Darkest = 0.16, Lightest = 0.98;

    /// <summary>So near in OKLab, lightness apart, two colours are of one tone, whatever their hues.</summary>
    private const double SameTone = 0.025;

    /// <summary>How far apart hues may be and still be one, degrees; and how much better another colour's step must fit than the colour's own.</summary>
    private const double SameHue = 15, OwnColor = 0.08;

    /// <summary>Whether it is a light one, which turns dark.</summary>
    public static bool IsLight(PaletteFoundation palette, Scheme scheme) => Lightness(SchemeColors.Resolve(palette, scheme, RoleKind.Ground).Color) > Middle;

    /// <summary>The colours of the roles, by role id. What is readable on a role stays so.</summary>
    public static ImmutableSortedDictionary<string, Value> Of(PaletteFoundation palette, Scheme scheme)
    {
        var turned = scheme.Colors;
        var found = new Dictionary<string, Color>(StringComparer.Ordinal);
        foreach (var role in InOrder(palette, scheme))
        {
            if (scheme.Colors[role.Id] is ReferenceValue given)
            {
                turned = turned.SetItem(role.Id, Chosen(palette, scheme, role, given, found));
            }
            found[role.Id] = Painted(palette, scheme with { Colors = turned }, role.Id);
        }
        return turned;
    }

    /// <summary>The ground, then what others lie on before what lies on it; among equals what stands out most.</summary>
    private static List<Role> InOrder(PaletteFoundation palette, Scheme scheme)
    {
        var open = palette.Roles.OrderByDescending(r => r.Id == RoleKind.Ground).ThenByDescending(r => Emphasis(palette, scheme, r)).ToList();
        var ordered = new List<Role>();
        while (open.Count > 0)
        {
            // Two that are readable on each other: either may come first.
            var next = open.Find(r => Below(r).All(id => id == r.Id || ordered.Exists(o => o.Id == id) || palette.Roles.Find(id) is null)) ?? open[0];
            open.Remove(next);
            ordered.Add(next);
        }
        return ordered;

        IEnumerable<string> Below(Role role) => role.Id == RoleKind.Ground ? [] : role.Grounds().Concat(scheme.Colors[role.Id].References().Where(r => r.To == RoleKind.Kind).Select(r => r.Id)).Append(RoleKind.Ground);
    }

    private static ReferenceValue Chosen(PaletteFoundation palette, Scheme scheme, Role role, ReferenceValue given, Dictionary<string, Color> found)
    {
        var own = Painted(palette, scheme, role.Id);
        var steps = (from color in palette.Colors
                     let row = palette.Row(color)
                     from step in ColorSteps.All.Append(0)
                     let at = Gamut.Rounded(row.At(step))
                     where color.Id == given.Id || IsOfHue(at, own)
                     select (Choice: given with { Id = color.Id, Step = step }, Color: at, Other: color.Id == given.Id ? 0 : OwnColor)).ToList();
        if (role.Id == RoleKind.Ground)
        {
            var lightness = Lightness(Painted(palette, scheme, role.Id));
            var wanted = lightness > Middle ? Math.Max(Darkest, 1 - lightness) : Math.Min(Lightest, 1.12 - lightness);
            return steps.MinBy(s => Math.Abs(Lightness(s.Color) - wanted) + s.Other / 4).Choice;
        }
        var ground = found[RoleKind.Ground];
        var target = (double)role.Target.Amount();
        var grounds = role.Grounds().Where(found.ContainsKey).Select(id => found[id]).ToList();
        var emphasis = Emphasis(palette, scheme, role);
        // Nothing that stood out less may stand out more now.
        var most = palette.Roles.Where(r => found.ContainsKey(r.Id) && r.Id != RoleKind.Ground && Emphasis(palette, scheme, r) >= emphasis).Select(r => Contrast.Ratio(found[r.Id], ground)).DefaultIfEmpty(21).Min();
        return steps
            .OrderByDescending(s => Math.Min(1, grounds.Select(g => Contrast.Ratio(s.Color, g) / Math.Max(target, 1)).DefaultIfEmpty(1).Min()))
            .ThenBy(s => Contrast.Ratio(s.Color, ground) > most * 1.001)
            .ThenBy(s => Math.Abs(Math.Log(Contrast.Ratio(s.Color, ground) / emphasis)) + s.Other)
            .ThenByDescending(s => Lightness(s.Color))
            .First().Choice;
    }

    private static bool IsOfHue(Color color, Color own)
    {
        Color a = color.To(ColorSpace.Oklch), b = own.To(ColorSpace.Oklch);
        Color c = a.To(ColorSpace.Oklab), d = b.To(ColorSpace.Oklab);
        if (Math.Sqrt((c.C2 - d.C2) * (c.C2 - d.C2) + (c.C3 - d.C3) * (c.C3 - d.C3)) <= SameTone) return true;
        return Math.Min(a.C2, b.C2) > SameTone && Math.Abs(Math.IEEERemainder(a.C3 - b.C3, 360)) <= SameHue;
    }

    /// <summary>How much a role stands out from the ground.</summary>
    private static double Emphasis(PaletteFoundation palette, Scheme scheme, Role role) =>
        Contrast.Ratio(Painted(palette, scheme, role.Id), Painted(palette, scheme, RoleKind.Ground));

    private static Color Painted(PaletteFoundation palette, Scheme scheme, string role) => Gamut.Rounded(SchemeColors.Resolve(palette, scheme, role).Color);

    private static double Lightness(Color color) => color.To(ColorSpace.Oklch).C1;
}
