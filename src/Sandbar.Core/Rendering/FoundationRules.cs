using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>The custom properties of the foundations, kind by kind, and the ground rules of the sheet.</summary>
internal static class FoundationRules
{
    // What a kind comes to is kept for as long as its list is the same object.
    private static readonly ConditionalWeakTable<object, WrittenRules> Kept = [];

    public static IEnumerable<Rule> Of(Site site, RoleSteps roleSteps)
    {
        foreach (var kind in Kinds.All.Where(k => !k.FollowsScheme))
        {
            foreach (var rule in OfKind(site, kind).Rules) yield return rule;
        }
        // Which steps of roles are worth their bytes is known when all that follows schemes has been written.
        var carried = Kinds.All.Where(k => k.FollowsScheme).SelectMany(k => roleSteps.Noting(OfKind(site, k))).ToList();
        foreach (var rule in SchemeRules.Of(site, roleSteps)) yield return rule;
        foreach (var rule in carried) yield return rule;
        yield return Ground("carriers", "[data-scheme]", ("color", Role(site, RoleKind.Text)));
        yield return Ground("box", "*, ::before, ::after", ("box-sizing", "border-box"));
        yield return Ground("html", "html", ("text-size-adjust", "100%"), ("-webkit-text-size-adjust", "100%"));
        yield return Ground("body", "body",
        [
            ("margin", "0"), ("min-block-size", "100svh"), ("background-color", Role(site, RoleKind.Ground)), ("color", Role(site, RoleKind.Text)),
            .. TextStyleKind.Description.PageDeclarations(new(site), site.Type.Styles[0]),
        ]);
        yield return Ground("selection", "::selection", ("background-color", Role(site, RoleKind.Selection)));
        yield return Ground("img", "img", ("max-inline-size", "100%"), ("block-size", "auto"));
    }

    private static WrittenRules OfKind(Site site, ReferenceKind kind)
    {
        var source = kind.Source(site);
        if (Kept.TryGetValue(source, out var kept) && kept.AreFor(site)) return kept;
        var reads = new SiteReads(site);
        var selector = kind.FollowsScheme ? "[data-scheme]" : ":root";
        var written = new WrittenRules(reads, [.. kind.Tokens(reads).GroupBy(t => t.Needs).OrderBy(g => g.Key).Select(g => Rule(g.Key, g))]);
        Kept.AddOrUpdate(source, written);
        return written;

        Rule Rule(Needs needs, IEnumerable<Token> tokens) =>
            new(needs == Needs.Nothing ? kind.Code : $"{kind.Code} {needs}", Layer.Foundations, selector, false, Interval.All, [.. tokens.Select(t => new Declaration(t.Name, t.Css, new(OriginKind.Foundation, t.Id, t.Detail, kind.Code)))]) { Needs = needs };
    }

    private static string Role(Site site, string id) => $"var({RoleKind.Description.Token(site.Palette.Roles.Get(id))})";

    private static Rule Ground(string key, string selector, params (string Name, string Value)[] declarations) =>
        new(key, Layer.Foundations, selector, false, Interval.All, [.. declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Base, "")))]);
}
