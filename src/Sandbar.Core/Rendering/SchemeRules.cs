using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Rendering;

/// <summary>The steps of roles that anything reads; the others are not worth their bytes.</summary>
internal sealed class RoleSteps(Site site)
{
    private readonly HashSet<(string Role, int Step)> read = [];

    private readonly HashSet<string> named = OverrideTokens.Names(site).ToHashSet(StringComparer.Ordinal);

    /// <summary>Takes down what some rules read, and passes them on.</summary>
    public ImmutableArray<Rule> Noting(WrittenRules written)
    {
        foreach (var token in written.Reads.Tokens)
        {
            if (token.To == RoleKind.Kind && token.Step != 0) read.Add((token.Id, token.Step));
        }
        return written.Rules;
    }

    /// <summary>The steps of a role, darkest first; the role itself is always there.</summary>
    public IEnumerable<int> Of(Role role) => Enumerable.Range(-Steps.ShadeCount, Steps.ShadeCount + Steps.TintCount + 1)
        .Where(step => step != 0 && (read.Contains((role.Id, step)) || (named.Count > 0 && named.Contains(RoleKind.Description.Token(role, step)))));
}

/// <summary>What schemes give their carriers.</summary>
internal static class SchemeRules
{
    public static IEnumerable<Rule> Of(Site site, RoleSteps steps)
    {
        foreach (var scheme in site.Palette.Schemes) yield return Of(site, scheme, scheme, steps);
        foreach (var scheme in site.Palette.Schemes)
        {
            if (scheme.Dark(site) is { } dark) yield return Of(site, scheme, dark, steps);
        }
    }

    /// <param name="carried">The scheme that is carried.</param>
    /// <param name="scheme">The one whose colours count: itself, or the one it turns into when the visitor prefers dark.</param>
    private static Rule Of(Site site, Scheme carried, Scheme scheme, RoleSteps steps)
    {
        var declarations = ImmutableArray.CreateBuilder<Declaration>();
        var ground = SchemeColors.Resolve(site.Palette, scheme, RoleKind.Ground).Color;
        declarations.Add(new("color-scheme", Contrast.Luminance(ground) < 0.18 ? "dark" : "light", new(OriginKind.Scheme, scheme.Id, RoleKind.Ground)));
        foreach (var role in site.Palette.Roles)
        {
            foreach (var step in steps.Of(role).Prepend(0))
            {
                var color = SchemeColors.Resolve(site.Palette, scheme, role.Id, step);
                var value = color.Source is { } source ? $"var({ColorKind.Description.Token(source, color.Step)})" : ColorText.Hex(color.Color);
                declarations.Add(new(RoleKind.Description.Token(role, step), value, new(OriginKind.Scheme, scheme.Id, role.Id)));
            }
        }
        var turned = carried.Id != scheme.Id;
        return new(turned ? $"scheme {carried.Id} dark" : $"scheme {carried.Id}", Layer.Foundations, $"[data-scheme=\"{carried.CssName}\"]", false, Interval.All, declarations.ToImmutable(), turned);
    }
}
