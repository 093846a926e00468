using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;

namespace Sandbar.Core.Rendering;

/// <summary>What has to be written out for each scheme, since no custom property can be mixed or stand within an address there.</summary>
internal static class SchemeByScheme
{
    /// <summary>A rule for each scheme that is carried; then, for visitors who prefer dark, one for each that turns into another.</summary>
    /// <param name="key">Its key, for a scheme.</param>
    /// <param name="declarations">What it says where the colours of a scheme count.</param>
    public static IEnumerable<Rule> Rules(Site site, string key, Func<Scheme, IEnumerable<Declaration>> declarations)
    {
        foreach (var scheme in site.Palette.Schemes) yield return Of(scheme, scheme);
        foreach (var scheme in site.Palette.Schemes)
        {
            if (scheme.Dark(site) is { } dark) yield return Of(scheme, dark);
        }

        Rule Of(Scheme carried, Scheme scheme)
        {
            var turned = carried.Id != scheme.Id;
            return new($"{key} {carried.Id}{(turned ? " dark" : "")}", Layer.Foundations, $"[data-scheme=\"{carried.CssName}\"]", false, Interval.All, [.. declarations(scheme)], turned);
        }
    }
}
