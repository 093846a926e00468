using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>The rules by which blocks are not shown at some widths; only those that some block needs.</summary>
internal static class HiddenRules
{
    /// <summary>The class of what is hidden between two breaks.</summary>
    public static string ClassOf(string widths) => $"hidden-{widths}";

    public static IEnumerable<Rule> Of(Site site) =>
        from widths in Breaks.Names.Zip(Breaks.Between)
        where Blocks.HiddenAt(site).Contains(widths.First)
        let name = ClassOf(widths.First)
        select new Rule(name, Layer.Blocks, $".{name}", false, widths.Second, [new("display", "none", new(OriginKind.Base, ""))]);
}
