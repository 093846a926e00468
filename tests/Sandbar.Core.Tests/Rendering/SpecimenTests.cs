using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Rendering;

/// <summary>The specimen page, read with AngleSharp.</summary>
public class SpecimenTests
{
    private static readonly Surroundings Anywhere = new((p, _) => p.Slug, i => i.Hash, "", MarkBlocks: true);

    [Fact]
    public void Shows_every_look_in_every_state_and_every_text_style()
    {
        var page = Parse(Demo.Site);
        foreach (var part in PartCatalogue.All)
        {
            foreach (var look in Demo.Site.Looks.Where(l => l.Part == part.Id))
            {
                foreach (var state in part.States)
                {
                    var id = $"specimen-{look.Id}-{state.ToString().ToLowerInvariant()}";
                    var shown = page.QuerySelector($"[data-part='{part.Id}'][data-state='{state.ToString().ToLowerInvariant()}'] {LookSelectors.Of(Demo.Site, part, look)}");
                    Assert.True(shown is not null, $"{id} is not shown.");
                }
            }
        }
        Assert.Equal(Demo.Site.Type.Styles.Length, page.QuerySelectorAll(".specimen-text").Length);
        Assert.Contains("font-family: var(--family-heading)", page.QuerySelectorAll(".specimen-text")[6].GetAttribute("style"), StringComparison.Ordinal);
    }

    [Fact]
    public void What_can_be_added_is_shown_filled_and_goes_by_no_id()
    {
        var offers = Specimen.Offers(Demo.Site, Anywhere).ToList();
        Assert.Equal(Arrangements.All.Select(a => a.Id), offers.Select(o => o.Arrangement).OfType<string>());
        Assert.Equal(PartCatalogue.All.Select(p => p.Id), offers.Select(o => o.Part).OfType<string>());
        Assert.All(offers, o =>
        {
            Assert.Contains('<', o.Html);
            Assert.DoesNotContain("data-", o.Html, StringComparison.Ordinal);
            Assert.DoesNotContain("missing", o.Html, StringComparison.Ordinal);
        });
        // Every block of an arrangement shows something: as many as it has.
        foreach (var arrangement in Arrangements.All)
        {
            var html = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(offers.Single(o => o.Arrangement == arrangement.Id).Html);
            foreach (var planned in Inner(arrangement.Section)) Assert.NotEmpty(html.QuerySelectorAll(PartCatalogue.Get(planned.Part).Hook));
        }

        static IEnumerable<Planned> Inner(Planned planned) => planned.Blocks.SelectMany(Inner).Prepend(planned);
    }

    [Fact]
    public void A_site_without_menus_and_pictures_is_shown_with_samples()
    {
        var page = Parse(Demo.Site with { Menus = [], Shelf = [.. Demo.Site.Shelf.Where(i => i.Width == 0)] });
        Assert.NotEmpty(page.QuerySelectorAll("[data-part='menu'] .menu-link"));
        Assert.All(page.QuerySelectorAll("[data-part='picture'] img"), i => Assert.StartsWith("data:image/svg+xml,", i.GetAttribute("src"), StringComparison.Ordinal));
    }

    [Fact]
    public void Ids_are_there_once()
    {
        var ids = Parse(Demo.Site).QuerySelectorAll("[data-block]").Select(e => e.GetAttribute("data-block")).ToList();
        Assert.Equal(ids.Distinct().Count(), ids.Count);
    }

    [Fact]
    public void Its_mark_changes_with_what_it_shows_and_not_with_a_colour()
    {
        var mark = PageChanges.SpecimenMark(Demo.Site);
        Assert.Equal(mark, PageChanges.SpecimenMark(Demo.Site.After(Do.Color("beet", "red"))));
        Assert.NotEqual(mark, PageChanges.SpecimenMark(Demo.Site.After(Do.Style("lead", "weight", "500"))));
        Assert.Equal(mark, PageChanges.SpecimenMark(Demo.Site));
    }

    private static IDocument Parse(Site site) => new HtmlParser().ParseDocument(Specimen.Write(site, Anywhere));
}
