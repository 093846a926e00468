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
    private static readonly Dictionary<ReferenceKind, ConditionalWeakTable<object, WrittenRules>> KeptOf = Kinds.All.ToDictionary(k => k, _ => new ConditionalWeakTable<object, WrittenRules>());

    public static IEnumerable<Rule> Of(Site site, RoleSteps roleSteps)
    {
        foreach (var kind in Kinds.All.Where(k => !k.FollowsScheme))
        {
            foreach (var rule in OfKind(site, kind).Rules) yield return rule;
        }
        // Which steps of roles are worth their bytes is known when all that follows schemes has been written.
        var carried = Kinds.All.Where(k => k.FollowsScheme).SelectMany(k => roleSteps.Noting(OfKind(site, k))).ToList();
        var paper = roleSteps.Noting(PaperRules.Of(site));
        foreach (var rule in SchemeRules.Of(site, roleSteps)) yield return rule;
        foreach (var rule in GradientFallbacks.Of(site)) yield return rule;
        foreach (var rule in carried) yield return rule;
        foreach (var rule in PrintedMeshes.Of(site)) yield return rule;
        yield return Ground("carriers", "[data-scheme]", ("color", Role(site, RoleKind.Text)));
        yield return Ground("box", "*, ::before, ::after", ("box-sizing", "border-box"));
        yield return Ground("html", "html", ("text-size-adjust", "100%"), ("-webkit-text-size-adjust", "100%"));
        yield return Ground("body", "body",
        [
            ("margin", "0"), ("min-block-size", "100svh"), ("background-color", Role(site, RoleKind.Ground)), ("color", Role(site, RoleKind.Text)),
            .. TextStyleKind.Description.PageDeclarations(new(site), site.Type.Styles[0]),
        ]);
        yield return Ground("margins", ":where(h1, h2, h3, h4, h5, h6, p, ul, ol, figure, blockquote)", ("margin", "0"));
        foreach (var rule in paper) yield return rule;
        yield return Ground("selection", "::selection", ("background-color", Role(site, RoleKind.Selection)));
        yield return Ground("img", "img", ("max-inline-size", "100%"), ("block-size", "auto"));
    }

    private static WrittenRules OfKind(Site site, ReferenceKind kind)
    {
        var (source, known) = (kind.Source(site), KeptOf[kind]);
        if (known.TryGetValue(source, out var kept) && kept.AreFor(site)) return kept;
        var reads = new SiteReads(site);
        var selector = kind.FollowsScheme ? "[data-scheme]" : ":root";
        var written = new WrittenRules(reads, [.. kind.Tokens(reads).GroupBy(t => (t.Needs, t.Widths)).OrderBy(g => g.Key.Needs).ThenBy(g => g.Key.Widths.From ?? 0).Select(g => Rule(g.Key.Needs, g.Key.Widths, g))]);
        known.AddOrUpdate(source, written);
        return written;

        Rule Rule(Needs needs, Interval widths, IEnumerable<Token> tokens) =>
            new((needs == Needs.Nothing ? kind.Code : $"{kind.Code} {needs}") + (widths == Interval.All ? "" : $" {widths.From}-{widths.Below}"), Layer.Foundations, selector, false, widths, [.. tokens.Select(t => new Declaration(t.Name, t.Css, new(OriginKind.Foundation, t.Id, t.Detail, kind.DecidedBy)))]) { Needs = needs };
    }

    private static string Role(Site site, string id) => $"var({RoleKind.Description.Token(site.Palette.Roles.Get(id))})";

    private static Rule Ground(string key, string selector, params (string Name, string Value)[] declarations) =>
        new(key, Layer.Foundations, selector, false, Interval.All, [.. declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Base, "")))]);
}
