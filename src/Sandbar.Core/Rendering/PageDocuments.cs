using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>The site's pages as trees in which selectors can be looked up.</summary>
public static class PageDocuments
{
    private static readonly Surroundings Anywhere = new(page => page.Slug, item => item.File, Head: "", MarkBlocks: true);

    /// <summary>A page as AngleSharp reads it; nothing is run or fetched.</summary>
    public static IDocument Of(Site site, Page page) => new HtmlParser().ParseDocument(PageWriter.Write(site, page, Anywhere));

    /// <summary>The elements a selector finds; none where AngleSharp does not know it.</summary>
    public static IReadOnlyList<IElement> Find(IDocument page, string selector)
    {
        try
        {
            return [.. page.QuerySelectorAll(selector)];
        }
        catch (DomException)
        {
            return [];
        }
    }
}
