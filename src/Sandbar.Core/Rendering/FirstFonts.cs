using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Rendering;

/// <summary>The fonts that the first screen of a page needs: those of running text, of the header and of the first section.</summary>
internal static class FirstFonts
{
    private const decimal Usual = 400;

    /// <summary>Each file once, those of running text first.</summary>
    public static IEnumerable<ShelfItem> Of(Site site, Page page)
    {
        var worn = from block in Blocks.WithInner(site.Frame.Header).Concat(page.Sections.Take(1).SelectMany(Blocks.WithInner))
                   from value in (site.Looks.Find(block.Look)?.Cells.Values ?? []).Concat(block.Own.Values)
                   from reference in value.References()
                   where reference.To == TextStyleKind.Kind
                   select site.Type.Styles.Find(reference.Id);
        return site.Type.Styles.Take(1).Concat(worn.OfType<TextStyle>()).Distinct().Select(style => File(site, style)).OfType<ShelfItem>().Distinct();
    }

    private static ShelfItem? File(Site site, TextStyle style)
    {
        if (style.Family is not ReferenceValue reference || site.Type.Families.Find(reference.Id) is not { } family) return null;
        var weight = style.Weight is NumberValue number ? number.Number : Usual;
        var italic = style.Slant.Code() == TextStyle.Italic;
        return FontMatching.Files(family, weight, italic) is [var file, ..] ? site.Shelf.Find(file.Item) : null;
    }
}
