using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Motion;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Core.Values;

namespace Sandbar.Tests;

/// <summary>The demo site, and an example value for every kind of property.</summary>
internal static class Demo
{
    public static readonly SiteWithAssets Sample = PellwynSample.Create();

    /// <summary>The site, with one of every kind.</summary>
    public static Site Site { get; } = Sample.Site.After(new AddThing(EasingKind.Kind, "soft", "soft"));

    /// <summary>The site with no block that wears a background of its own.</summary>
    public static Site WithoutOwnFills { get; } = Site.After(new DropOwn("workshops-head", "background")).After(new DropOwn("membership-prices", "background")).After(new DropOwn("workshops-place", "background")).After(new DropOwn("membership-head", "background"));

    /// <summary>The site after an edit that must succeed.</summary>
    public static Site After(this Site site, Edit edit)
    {
        var outcome = edit.Apply(site);
        Assert.True(outcome.Site is not null, string.Join("; ", outcome.Problems.Select(p => p.Message)));
        return outcome.Site;
    }

    /// <summary>The only problem of an edit that must fail.</summary>
    public static Problem Refused(this Site site, Edit edit) => Assert.Single(edit.Apply(site).Problems);

    /// <summary>A colour that was given, as typed.</summary>
    public static string Css(this BaseColor color) => ((FixedColorValue)color.Color).Css;

    public static Look Look(this Site site, string id) => site.Looks.Get(id);

    /// <summary>Values a property can be typed as, so many that two differ from whatever is set.</summary>
    public static string[] Values(Setting setting) => setting.Kind.Code switch
    {
        "color" => ["attention", "#123456"],
        "fill" => ["dawn", "attention"],
        "text-style" => ["Lead", "Caption"],
        "line" => ["bright", "2px dashed attention"],
        "lines" => ["bright", "2px dashed attention", "hairline, none, 3px double text"],
        "shadow" => ["lift", "none", "inner 0 2px 8px text 20%, 0 1px 2px #000"],
        "corners" => ["round", "3px", "inner", "4px 20px by 10px 0 soft"],
        "change" => ["quick, soft", "250ms, ease-in, 50ms"],
        "length" => ["space 7 * 2", "13px"],
        "sides" => ["1px 2px 3px 4px", "space 1 + 3px"],
        "columns" => ["4", "2 : 1", "1 : 1.5 : 2"],
        "number" => setting.Max == 1 ? ["0.5", "0.25"] : setting.Max == 2000 ? ["80ms", "120ms"] : ["4", "5"],
        "word" => [.. setting.Words.Select(w => w.Label)],
        _ => throw new ArgumentOutOfRangeException(nameof(setting), setting.Kind.Code),
    };
}
