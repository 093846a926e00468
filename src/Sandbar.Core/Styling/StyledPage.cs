using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Styling;

/// <summary>A page of a site as the cascade takes it.</summary>
public sealed class StyledPage
{
    private static readonly Surroundings Anywhere = new((page, _) => page.Slug, item => item.File, Head: "", MarkBlocks: true);

    private readonly Place?[] places;
    private readonly Places all;
    private readonly ImmutableArray<int> kinds;

    internal StyledPage(Site site, Page page, string mark, Places all, long mostSteps)
    {
        (Mark, this.all) = (mark, all);
        Document = Document.Parse(PageWriter.Write(site, page, Anywhere));
        kinds = all.Kinds(Document, mostSteps);
        places = new Place?[Document.All.Count];
        Blocks = Document.All.Where(e => e.Has("data-block")).ToLookup(e => e["data-block"]!, StringComparer.Ordinal);
    }

    /// <summary>Tells its HTML from any other.</summary>
    internal string Mark { get; }

    public Document Document { get; }

    /// <summary>The elements of blocks, by id.</summary>
    public ILookup<string, Element> Blocks { get; }

    /// <summary>Number of what rules can ask of an element itself: the same for those that none can tell apart by it.</summary>
    public int KindOf(Element element) => kinds[element.Index];

    /// <summary>Where an element stands while everything on the page is in some states.</summary>
    public Place PlaceOf(Element element, InnerStates everywhere, ElementStates states) =>
        all.Of(Document, element, kinds[element.Index], element.Parent is null ? null : PlaceOf(element.Parent, everywhere, states), states, everywhere);

    /// <summary>Where an element stands while nobody touches the page.</summary>
    public Place PlaceOf(Element element) => places[element.Index] ??= all.Of(Document, element, kinds[element.Index], element.Parent is null ? null : PlaceOf(element.Parent));
}
