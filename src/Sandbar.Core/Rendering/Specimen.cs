using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Type;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Rendering;

/// <summary>A look of a part in a state, as the specimen page shows it.</summary>
public sealed record SpecimenBlock(Part Part, Look Look, State State, Block Block);

/// <summary>Something that can be added to a page, as it would look.</summary>
/// <param name="Part">Id of the part; null for an arrangement.</param>
/// <param name="Arrangement">Id of the arrangement; null for a part.</param>
public sealed record SpecimenOffer(string? Part, string? Arrangement, string Html);

/// <summary>The specimen page: every part, look, state and text style of a site, made from the catalogue. It is never released.</summary>
public static class Specimen
{
    /// <summary>Its id among the pages of the stage.</summary>
    public const string PageId = PageIds.Specimen;

    /// <summary>Words of the specimen page alone, in the site's own letters and colours.</summary>
    private const string Layout = """
            <style>
              .specimen { padding: 2rem clamp(1rem, 4vw, 3rem) 4rem; }
              .specimen-part { padding-block: 1.5rem; border-top: 1px solid var(--role-line); }
              .specimen-states { display: flex; flex-wrap: wrap; align-items: flex-start; gap: 1rem 2rem; margin-block-start: 0.75rem; }
              .specimen-state { flex: 0 1 auto; min-width: 0; max-width: min(100%, 28rem); }
              .specimen-state.wide { flex: 1 0 100%; max-width: none; }
              .specimen-caption { margin: 0 0 0.4rem; color: var(--role-quiet-text); font: 500 12px/1.4 system-ui, sans-serif; }
              .specimen-name { color: inherit; font-weight: 700; }
              .specimen-text { margin: 0.4rem 0; }
            </style>

        """;

    private static readonly ShelfItem SamplePicture = new("specimen-picture", "Sample", "pictures/specimen.svg", "image/svg+xml", "", 600, 400);

    private static readonly Category SampleCategory = new("specimen-category", "Category");

    private static readonly string[] SampleDays = ["2026-03-21", "2026-02-14", "2026-01-07"];

    /// <summary>A block for every look and state there is. Ids tell which.</summary>
    public static IEnumerable<SpecimenBlock> Blocks(Site site) =>
        from part in PartCatalogue.All
        from look in site.Looks
        where look.Part == part.Id
        from state in part.States
        select new SpecimenBlock(part, look, state, Sample(site, part, look, $"specimen-{look.Id}-{state.ToString().ToLowerInvariant()}"));

    /// <summary>The page as a complete document. States stand in <c>data-state</c> around the block, for the stage to force.</summary>
    public static string Write(Site site, Surroundings surroundings)
    {
        site = WithSamples(site);
        return PageWriter.Write(site, PageOf(site), WithPicture(site, surroundings) with { Head = surroundings.Head + Layout }, writer => Main(writer, site));
    }

    /// <summary>What can be added to a page, filled with samples: each starting arrangement, and each part in its first look.</summary>
    public static IEnumerable<SpecimenOffer> Offers(Site site, Surroundings surroundings)
    {
        site = WithSamples(site);
        var page = PageOf(site);
        var around = WithPicture(site, surroundings) with { MarkBlocks = false, ShowEmpty = false };
        foreach (var arrangement in Arrangements.All) yield return new(null, arrangement.Id, PageWriter.Write(site, page, Filled(site, arrangement.Make(site, "offer")), around));
        foreach (var part in PartCatalogue.All)
        {
            if (site.Looks.FirstOrDefault(l => l.Part == part.Id) is { } look) yield return new(part.Id, null, PageWriter.Write(site, page, Sample(site, part, look, "offer"), around));
        }
    }

    /// <summary>A block and those in it with a sample in every place that holds nothing.</summary>
    private static Block Filled(Site site, Block block) => PartCatalogue.Find(block.Part) is not { } part ? block : block with
    {
        Content = part.Slots.Where(s => !block.Content.ContainsKey(s.Id)).Select(s => (s.Id, Held: Held(site, s))).Where(s => s.Held.Length > 0).Aggregate(block.Content, (content, s) => content.SetItem(s.Id, s.Held)),
        Blocks = block.Blocks.Each(b => Filled(site, b)),
    };

    private static Surroundings WithPicture(Site site, Surroundings surroundings) =>
        surroundings with { Asset = item => item == SamplePicture ? PictureAddress(site) : surroundings.Asset(item) };

    /// <summary>The site with the specimen as its only page, for checks that walk over pages.</summary>
    public static Site AsOnlyPage(Site site)
    {
        var sampled = WithSamples(site);
        return sampled with { Pages = [PageOf(sampled) with { Sections = [.. Blocks(sampled).Where(b => b.State == State.Rest).Select(b => b.Block)] }] };
    }

    private static Page PageOf(Site site) => new(PageId, "Specimen", PageId, $"Specimen · {site.Name}", "", site.Palette.Schemes[0].Id, []);

    private static void Main(PageWriter writer, Site site)
    {
        var html = writer.Html;
        html.Element("main", [("class", "specimen")], () =>
        {
            html.Element("section", [("class", "specimen-styles")], () =>
            {
                foreach (var style in site.Type.Styles)
                {
                    var css = string.Join("; ", TextStyleKind.Description.Declarations(new(site), style).Select(d => $"{d.Name}: {d.Css}"));
                    Caption(html, style.Name);
                    html.Element("p", [("class", "specimen-text"), ("style", css)], () => html.Text(SampleWords.Of(site)), isPhrase: true);
                }
            }, isPhrase: false);
            foreach (var look in Blocks(site).GroupBy(b => b.Look))
            {
                var part = look.First().Part;
                html.Element("section", [("class", "specimen-part")], () =>
                {
                    Caption(html, part.Looks.Length > 1 ? $"{part.Name} · {look.Key.Name}" : part.Name, "specimen-caption specimen-name");
                    html.Element("div", [("class", "specimen-states")], () =>
                    {
                        foreach (var block in look) InState(writer, block);
                    }, isPhrase: false);
                }, isPhrase: false);
            }
        }, isPhrase: false);
    }

    private static void InState(PageWriter writer, SpecimenBlock block)
    {
        var html = writer.Html;
        html.Element("div", [("class", block.Part.Inside.Length > 0 || block.Part.Group == PartGroup.Posts ? "specimen-state wide" : "specimen-state"), ("data-part", block.Part.Id), ("data-state", block.State.ToString().ToLowerInvariant())], () =>
        {
            if (block.Part.States.Length > 1) Caption(html, block.State.ToString());
            writer.Write(block.Block);
        }, isPhrase: false);
    }

    private static void Caption(Html html, string text, string classes = "specimen-caption") => html.Element("p", [("class", classes)], () => html.Text(text), isPhrase: true);

    private static Block Sample(Site site, Part part, Look look, string id) => new(
        id, part.Id, look.Id, look.Name,
        part.Slots.Select(s => (s.Id, Held: Held(site, s))).Where(s => s.Held.Length > 0).ToImmutableSortedDictionary(s => s.Id, s => s.Held, StringComparer.Ordinal),
        ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal),
        [
            .. part.Inside.Select((inner, i) => PartCatalogue.Find(inner) is { } found && site.Looks.FirstOrDefault(l => l.Part == inner) is { } wears ? Sample(site, found, wears, $"{id}-{i}") : null)
                .OfType<Block>(),
        ]);

    private static string Held(Site site, Slot slot) => slot.Kind switch
    {
        SlotKind.Menu => site.Menus.FirstOrDefault()?.Id ?? "",
        SlotKind.Picture => site.Shelf.FirstOrDefault(i => i.IsPicture)?.Id ?? "",
        _ => slot.Sample,
    };

    /// <summary>The site with a menu whose items have items under them, a picture, posts and a category, to show where it has none of its own.</summary>
    private static Site WithSamples(Site site) => site with
    {
        Menus = [Nested(site, site.Menus.IsEmpty ? new("specimen-menu", "Pages", [.. site.Pages.Select(p => new MenuItem($"specimen-{p.Id}", p.Name, p.Id))]) : site.Menus[0]), .. site.Menus.Skip(1)],
        Shelf = site.Shelf.Any(i => i.IsPicture) ? site.Shelf : site.Shelf.Add(SamplePicture),
        Categories = site.Categories.IsEmpty ? [SampleCategory] : site.Categories,
        Posts = site.Posts.IsEmpty
            ? [.. SampleDays.Select((day, i) => new Post($"specimen-post-{i}", "Title of a post", day) { Text = "The first lines of a post say what it is about.", Category = site.Categories.FirstOrDefault()?.Id ?? SampleCategory.Id, Picture = site.Shelf.FirstOrDefault(s => s.IsPicture)?.Id ?? SamplePicture.Id, To = "#" })]
            : site.Posts,
    };

    private static Menu Nested(Site site, Menu menu) => menu.Items.IsEmpty || menu.Items.Any(i => !i.Items.IsEmpty) ? menu
        : menu with { Items = menu.Items.SetItem(menu.Items.Length - 1, menu.Items[^1] with { Items = [.. site.Pages.Take(2).Select((p, i) => new MenuItem($"specimen-inner-{i}", p.Name, p.Id))] }) };

    private static string PictureAddress(Site site)
    {
        var scheme = site.Palette.Schemes[0];
        // A site may have no such role.
        string Of(string role) => scheme.Colors.ContainsKey(role) ? ColorText.Hex(SchemeColors.Resolve(site.Palette, scheme, role).Color) : "#808080";
        var svg = $"<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 600 400'><rect width='600' height='400' fill='{Of("selection")}'/><circle cx='430' cy='140' r='70' fill='{Of("attention")}'/><path d='M0 400 170 190 300 320 400 250 600 400z' fill='{Of("text")}'/></svg>";
        return "data:image/svg+xml," + Uri.EscapeDataString(svg);
    }
}
