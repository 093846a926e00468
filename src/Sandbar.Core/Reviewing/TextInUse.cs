using System.Buffers;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;

namespace Sandbar.Core.Reviewing;

/// <summary>What is written on the pages, by the text style it is set in.</summary>
public static partial class TextInUse
{
    private static readonly ConditionalWeakTable<Site, IReadOnlyDictionary<string, ImmutableArray<string>>> Known = [];

    /// <summary>The texts a style is worn by, in the order of the site; none where nothing wears it.</summary>
    public static ImmutableArray<string> Of(Site site, TextStyle style) => All(site).GetValueOrDefault(style.Id, []);

    /// <summary>The selectors of the elements that wear a style at Rest, with the id of the style, in the order of the sheet: of two for one element the later counts.</summary>
    public static IEnumerable<(string Selector, string Style)> Wearers(Site site, StyleSheet sheet) =>
        from rule in sheet.Rules
        where rule.State == State.Rest && rule.Widths == Interval.All
        let declaration = rule.Declarations.FirstOrDefault(d => d.Name == "font-family")
        where declaration is not null
        let value = declaration.Origin.Kind switch
        {
            OriginKind.Look => site.Looks.Find(declaration.Origin.Id)?.Cells.GetValueOrDefault(declaration.Origin.Detail),
            OriginKind.Block => Blocks.Find(site, declaration.Origin.Id)?.Own.GetValueOrDefault(declaration.Origin.Detail),
            _ => null,
        }
        where value is ReferenceValue { To: TextStyleKind.Kind }
        select (rule.Elements, ((ReferenceValue)value).Id);

    private static IReadOnlyDictionary<string, ImmutableArray<string>> All(Site site) => Known.GetValue(site, s => Blocks.All(s).SelectMany(block => Worn(s, block))
        .Where(w => w.Text.Length > 0).GroupBy(w => w.Style, w => w.Text, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.ToImmutableArray(), StringComparer.Ordinal));

    private static IEnumerable<(string Style, string Text)> Worn(Site site, Block block)
    {
        if (PartCatalogue.Find(block.Part) is not { } part) yield break;
        var cells = site.Looks.Find(block.Look)?.Cells ?? ImmutableSortedDictionary<string, Value>.Empty;
        var pieces = part.Properties.Where(p => p.Kind.Types.Contains(CssType.TextStyle)).ToList();
        var left = part.Slots.ToDictionary(s => s.Id, s => Text(site, block, s), StringComparer.Ordinal);
        if (part.HasOwnText) left[""] = Besides(site, part, block, "");
        foreach (var property in pieces.OrderByDescending(p => p.Piece.Length))
        {
            var styles = block.Own.Concat(cells).Where(c => CellKey.Parse(c.Key).Property == property.Id).SelectMany(c => c.Value.References()).Select(r => r.Id).Distinct().ToList();
            var texts = property.Piece.Length > 0 ? [left.Remove(property.Piece, out var own) && own.Length > 0 ? own : Besides(site, part, block, property.Piece)] : left.Values.ToList();
            foreach (var style in styles)
            {
                foreach (var text in texts) yield return (style, text);
            }
            if (property.Piece.Length == 0) left.Clear();
        }
        // What no style is said for is text of the page itself.
        foreach (var text in left.Values) yield return (site.Type.Styles[0].Id, text);
    }

    /// <summary>The text of a piece that no slot of the block holds.</summary>
    private static string Besides(Site site, Part part, Block block, string piece) => (part.Id, piece) switch
    {
        _ when block.Content.GetValueOrDefault(piece, "") == Slot.Hidden => "",
        ("posts", "title") => Posts(site, p => p.Title),
        ("posts", "text") => Posts(site, p => Plain(p.Text)),
        ("posts", "date") => Posts(site, p => PostDate.Said(p.Date)),
        ("posts", "label") => string.Join(' ', site.Categories.Select(c => c.Name)),
        ("categories", "") => string.Join(' ', site.Categories.Select(c => c.Name)),
        ("table", "head") => Plain(block.Content.GetValueOrDefault("rows", "").Split('\n')[0]),
        _ => "",
    };

    private static string Posts(Site site, Func<Post, string> said) => string.Join(' ', site.Posts.Select(said));

    private static string Text(Site site, Block block, Slot slot) => (slot.Kind, block.Content.GetValueOrDefault(slot.Id, "")) switch
    {
        (SlotKind.Text or SlotKind.List or SlotKind.Table, var text) => Plain(text),
        (SlotKind.Menu, var id) => string.Join(' ', site.Menus.Find(id)?.All().Select(i => i.Label) ?? []),
        _ => "",
    };

    private static readonly SearchValues<char> MarkCharacters = SearchValues.Create("*_`[]|\\\n");

    /// <summary>A text without its marks.</summary>
    private static string Plain(string text) => text.AsSpan().ContainsAny(MarkCharacters) ? Marks().Replace(text, "").Replace('\n', ' ').Trim() : text;

    [GeneratedRegex(@"\]\([^)]*\)|[*_`\[\]|\\]|^\s*(-|\d+\.)\s+", RegexOptions.Multiline)]
    private static partial Regex Marks();
}
