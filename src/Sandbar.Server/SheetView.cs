using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;

namespace Sandbar.Server;

/// <summary>A rule of the sheet as the stage has it.</summary>
/// <param name="Layer">Name of its layer.</param>
/// <param name="Css">Its text; a rule in a condition brings the condition along.</param>
public sealed record RuleView(string Key, string Layer, string Css);

/// <summary>The sheet as the stage uses it: the head, then the rules, layer by layer in the order of <paramref name="Layers"/>.</summary>
/// <param name="Head">What stands before the layers.</param>
/// <param name="Overrides">The overrides' readable rules, a sheet of their own.</param>
/// <param name="Pages">What tells the HTML of each page from what it was, by the page's id.</param>
public sealed record SheetView(
    long Version, string Head, IReadOnlyList<string> Layers, IReadOnlyList<RuleView> Rules, string Overrides, IReadOnlyDictionary<string, string> Pages)
{
    private static readonly IReadOnlyList<string> LayerNames = [.. Enum.GetValues<Layer>().Select(StyleSheetText.Name)];

    public static SheetView Of(Head head) => Of(head.Stored.Version, head.Stored.Site, head.Sheet);

    public static SheetView Of(long version, Site site, StyleSheet sheet) => new(
        version, HeadOf(sheet), LayerNames, [.. sheet.Rules.OrderBy(r => r.Layer).Select(RuleOf)], OverrideText.Of(sheet.Overrides).Readable(SheetUse.Stage), Marks(site));

    internal static string HeadOf(StyleSheet sheet) => StyleSheetText.Head(sheet, StageEndpoints.AssetAddress);

    internal static RuleView RuleOf(Rule rule) => new(rule.Key, StyleSheetText.Name(rule.Layer), StyleSheetText.Rule(rule, SheetUse.Stage));

    internal static Dictionary<string, string> Marks(Site site) =>
        site.Pages.Select(p => (p.Id, Mark: PageChanges.Mark(site, p))).Append((Specimen.PageId, PageChanges.SpecimenMark(site))).ToDictionary(p => p.Item1, p => p.Item2, StringComparer.Ordinal);
}

/// <summary>How a sheet differs from the one before it. What is null or absent has stayed as it was.</summary>
/// <param name="Rules">Rules that are new or have another text.</param>
/// <param name="Order">The keys of all rules in order, where rules came, went or moved.</param>
/// <param name="Pages">Marks of the pages whose HTML changed.</param>
/// <param name="Gone">Ids of pages that are gone.</param>
public sealed record SheetChange(
    string? Head, IReadOnlyList<RuleView> Rules, IReadOnlyList<string>? Order, string? Overrides, IReadOnlyDictionary<string, string> Pages, IReadOnlyList<string> Gone)
{
    /// <summary>How the rules differ; of pages nothing is said.</summary>
    public static SheetChange Between(StyleSheet before, StyleSheet after)
    {
        var known = before.Rules.ToDictionary(r => r.Key, StringComparer.Ordinal);
        var changed = after.Rules.Where(r => !known.TryGetValue(r.Key, out var was) || !ReferenceEquals(was, r)).Select(SheetView.RuleOf)
            .Where(r => !known.TryGetValue(r.Key, out var was) || SheetView.RuleOf(was) != r).ToList();
        var isSameOrder = before.Rules.Select(r => r.Key).SequenceEqual(after.Rules.Select(r => r.Key), StringComparer.Ordinal);
        var head = SheetView.HeadOf(after);
        return new(
            head == SheetView.HeadOf(before) ? null : head,
            changed,
            isSameOrder ? null : [.. after.Rules.OrderBy(r => r.Layer).Select(r => r.Key)],
            before.Overrides == after.Overrides ? null : OverrideText.Of(after.Overrides).Readable(SheetUse.Stage),
            new Dictionary<string, string>(),
            []);
    }

    /// <summary>How the rules and the pages' HTML differ.</summary>
    public static SheetChange Between(Head before, Head after)
    {
        var (earlier, later) = (SheetView.Marks(before.Stored.Site), SheetView.Marks(after.Stored.Site));
        return Between(before.Sheet, after.Sheet) with
        {
            Pages = later.Where(m => earlier.GetValueOrDefault(m.Key) != m.Value).ToDictionary(StringComparer.Ordinal),
            Gone = [.. earlier.Keys.Except(later.Keys, StringComparer.Ordinal)],
        };
    }
}
