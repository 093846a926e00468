using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>
/// A scheme turned from light to dark, or from dark to light: every role keeps its hue, in its own colour or one like it, and takes the step that stands out from its ground about as much as
/// before, in the same order, and reaches what it must (common practice, no source; the targets are WCAG 2.2's). So do the steps of it that looks use, a button's under the pointer for one,
/// where they do now.
/// </summary>
public sealed class TurnedScheme
{
    /// <summary>OKLCH lightness between a light ground and a dark one.</summary>
    private const double Middle = 0.6;

    /// <summary>A dark ground lies between these, a light one as far from white as a dark one's colour asks for.</summary>
    private const double Darkest = 0.16, Lightest = 0.98;

    /// <summary>So near in OKLab, lightness apart, two colours are of one tone, whatever their hues.</summary>
    private const double SameTone = 0.025;

    /// <summary>How far apart hues may be and still be one, degrees; and how much better another colour's step must fit than the colour's own.</summary>
    private const double SameHue = 15, OwnColor = 0.08;

    private readonly PaletteFoundation palette;
    private readonly Scheme before;
    private readonly Dictionary<string, IReadOnlyList<int>> steps;

    // As far as it is turned, and the roles that are.
    private readonly HashSet<string> done = new(StringComparer.Ordinal);
    private Scheme turned;

    private TurnedScheme(Site site, Scheme scheme)
    {
        palette = site.Palette;
        before = turned = scheme;
        steps = palette.Roles.ToDictionary(r => r.Id, r => (IReadOnlyList<int>)[.. Uses.Of(site, RoleKind.Kind, r.Id).Select(u => u.Step).Append(0).Distinct()], StringComparer.Ordinal);
    }

    /// <summary>Whether it is a light one, which turns dark.</summary>
    public static bool IsLight(PaletteFoundation palette, Scheme scheme) => Lightness(SchemeColors.Resolve(palette, scheme, RoleKind.Ground).Color) > Middle;

    /// <summary>The colours of the roles, by role id. What is readable on a role stays so.</summary>
    public static ImmutableSortedDictionary<string, Value> Of(Site site, Scheme scheme)
    {
        var turning = new TurnedScheme(site, scheme);
        foreach (var role in turning.InOrder())
        {
            if (scheme.Colors[role.Id] is ReferenceValue given) turning.turned = turning.turned with { Colors = turning.turned.Colors.SetItem(role.Id, turning.Chosen(role, given)) };
            turning.done.Add(role.Id);
        }
        return turning.turned.Colors;
    }

    /// <summary>The ground, then what others lie on before what lies on it; among equals what stands out most.</summary>
    private List<Role> InOrder()
    {
        var open = palette.Roles.OrderByDescending(r => r.Id == RoleKind.Ground).ThenByDescending(r => Emphasis(before, r)).ToList();
        var ordered = new List<Role>();
        while (open.Count > 0)
        {
            // Two that are readable on each other: either may come first.
            var next = open.Find(r => Below(r).All(id => id == r.Id || ordered.Exists(o => o.Id == id) || palette.Roles.Find(id) is null)) ?? open[0];
            open.Remove(next);
            ordered.Add(next);
        }
        return ordered;

        IEnumerable<string> Below(Role role) => role.Id == RoleKind.Ground ? [] : role.Grounds().Concat(before.Colors[role.Id].References().Where(r => r.To == RoleKind.Kind).Select(r => r.Id)).Append(RoleKind.Ground);
    }

    private ReferenceValue Chosen(Role role, ReferenceValue given)
    {
        var own = Painted(before, role.Id);
        var choices = (from color in palette.Colors
                       let row = palette.Row(color)
                       from step in ColorSteps.All.Append(0)
                       let at = Gamut.Rounded(row.At(step))
                       where color.Id == given.Id || IsOfHue(at, own)
                       select (Choice: given with { Id = color.Id, Step = step }, Color: at, Other: color.Id == given.Id ? 0 : OwnColor)).ToList();
        if (role.Id == RoleKind.Ground)
        {
            var lightness = Lightness(own);
            var wanted = lightness > Middle ? Math.Max(Darkest, 1 - lightness) : Math.Min(Lightest, 1.12 - lightness);
            return choices.MinBy(s => Math.Abs(Lightness(s.Color) - wanted) + s.Other / 4).Choice;
        }
        var ground = Painted(turned, RoleKind.Ground);
        var emphasis = Emphasis(before, role);
        // Nothing that stood out less may stand out more now.
        var most = palette.Roles.Where(r => done.Contains(r.Id) && r.Id != RoleKind.Ground && Emphasis(before, r) >= emphasis).Select(r => Contrast.Ratio(Painted(turned, r.Id), ground)).DefaultIfEmpty(21).Min();
        return choices
            .OrderByDescending(s => Reached(role, s.Choice))
            .ThenBy(s => Contrast.Ratio(s.Color, ground) > most * 1.001)
            .ThenBy(s => Math.Abs(Math.Log(Contrast.Ratio(s.Color, ground) / emphasis)) + s.Other)
            .ThenByDescending(s => Lightness(s.Color))
            .First().Choice;
    }

    /// <summary>How much of what it must reach a choice reaches, at worst; 1 is all.</summary>
    private double Reached(Role role, ReferenceValue choice)
    {
        var with = turned with { Colors = turned.Colors.SetItem(role.Id, choice) };
        var onGrounds = from lower in role.Grounds()
                        where done.Contains(lower)
                        from below in steps[lower]
                        from step in steps[role.Id]
                        select Share(role, step, lower, below);
        var underText = from text in palette.Roles
                        where before.Colors[text.Id] is ReadableValue { On: ReferenceValue under } && under.Id == role.Id
                        from step in steps[role.Id]
                        select Share(text, 0, role.Id, step);
        return onGrounds.Concat(underText).DefaultIfEmpty(1).Min();

        // What a step does not reach now it need not reach then: it is there for something else.
        double Share(Role upper, int step, string lower, int below)
        {
            var target = (double)upper.Target.Amount();
            if ((step, below) != (0, 0) && Contrast.Ratio(Painted(before, upper.Id, step), Painted(before, lower, below)) < target) return 1;
            return Math.Min(1, Contrast.Ratio(Painted(with, upper.Id, step), Painted(with, lower, below)) / Math.Max(target, 1));
        }
    }

    private static bool IsOfHue(Color color, Color own)
    {
        Color a = color.To(ColorSpace.Oklch), b = own.To(ColorSpace.Oklch);
        Color c = a.To(ColorSpace.Oklab), d = b.To(ColorSpace.Oklab);
        if (Math.Sqrt((c.C2 - d.C2) * (c.C2 - d.C2) + (c.C3 - d.C3) * (c.C3 - d.C3)) <= SameTone) return true;
        return Math.Min(a.C2, b.C2) > SameTone && Math.Abs(Math.IEEERemainder(a.C3 - b.C3, 360)) <= SameHue;
    }

    /// <summary>How much a role stands out from the ground.</summary>
    private double Emphasis(Scheme scheme, Role role) => Contrast.Ratio(Painted(scheme, role.Id), Painted(scheme, RoleKind.Ground));

    private Color Painted(Scheme scheme, string role, int step = 0) => Gamut.Rounded(SchemeColors.Resolve(palette, scheme, role, step).Color);

    private static double Lightness(Color color) => color.To(ColorSpace.Oklch).C1;
}
