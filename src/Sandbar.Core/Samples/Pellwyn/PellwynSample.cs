using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Starting;
using Sandbar.Core.Typography;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>Pellwyn Seed Library: a made-up neighbourhood library that lends the seeds of heritage vegetables.</summary>
public static class PellwynSample
{
    private static readonly string[] Pictures = ["hero", "drawers", "bean", "beet", "pea", "tomato", "squash", "lettuce", "depths", "map"];

    public static SiteWithAssets Create()
    {
        BundledFamily[] families = [BundledFamilies.Find("fraunces")!, BundledFamilies.Find("figtree")!];
        (ShelfItem Item, Asset Asset)[] pictures = [.. from picture in Pictures select SampleFiles.Picture("Pellwyn", picture, picture)];
        var site = new Site(
            Site.CurrentFormat,
            "Pellwyn Seed Library",
            "pellwyn",
            Palette(),
            Starter.Type(families[0].AsFamily("fraunces", "heading"), families[1].AsFamily("figtree", "text"), narrowBase: 17, wideBase: 18),
            Starter.Spacing,
            Starter.Edges,
            Starter.Fills,
            [],
            Frame(),
            [PellwynPages.Home, PellwynPages.Catalogue, GuidePage.Page, WorkshopsPage.Page, MembershipPage.Page, ContactPage.Page],
            [new("main", "Main",
            [
                new("main-home", "Home", "home"), new("main-catalogue", "Catalogue", "catalogue"),
                new("main-guide", "Growing guide", "guide"), new("main-workshops", "Workshops", "workshops"),
                new("main-membership", "Membership", "membership"), new("main-contact", "Contact", "contact"),
            ])],
            [.. families.SelectMany(f => f.Files).Select(f => f.Item), .. pictures.Select(p => p.Item)],
            new("""
                /* The year beside the name, for the sixtieth season. */
                .site-name::after {
                  content: " · 1966";
                  color: var(--role-quiet-text);
                  font-weight: 400;
                }
                """));
        return new(Starter.WithLooks(site), [.. families.SelectMany(f => f.Assets), .. pictures.Select(p => p.Asset)]);
    }

    private static Palette Palette() => new(
        [
            new("beet", "beet", "beet", "#8a2846"),
            new("leaf", "leaf", "leaf", "#2f5d3a"),
            new("pollen", "pollen", "pollen", "#e3b23c"),
            new("husk", "husk", "husk", "#f6efe2"),
            new("soil", "soil", "soil", "#2b221b"),
            new("rain", "rain", "rain", "#3d6b86"),
            new("chalk", "chalk", "chalk", "#fffdf8"),
        ],
        Starter.Roles,
        [
            new("day", "Day", "day", new Dictionary<string, RoleColor>
            {
                ["ground"] = new("husk", 0, null),
                ["raised"] = new("chalk", 0, null),
                ["text"] = new("soil", 0, null),
                ["quiet-text"] = new("soil", 1, null),
                ["link"] = new("beet", 0, null),
                ["action"] = new("beet", 0, null),
                ["action-text"] = new(null, 0, "action"),
                ["line"] = new("husk", -1, null),
                ["field-line"] = new("soil", 2, null),
                ["attention"] = new("pollen", 0, null),
                ["attention-text"] = new(null, 0, "attention"),
                ["focus"] = new("rain", 0, null),
                ["selection"] = new("pollen", 3, null),
            }.ToImmutableSortedDictionary(StringComparer.Ordinal), "dusk"),
            new("dusk", "Dusk", "dusk", new Dictionary<string, RoleColor>
            {
                ["ground"] = new("leaf", -1, null),
                ["raised"] = new("leaf", 0, null),
                ["text"] = new("husk", 0, null),
                ["quiet-text"] = new("leaf", 5, null),
                ["link"] = new("pollen", 3, null),
                ["action"] = new("pollen", 0, null),
                ["action-text"] = new(null, 0, "action"),
                ["line"] = new("leaf", 1, null),
                ["field-line"] = new("leaf", 4, null),
                ["attention"] = new("pollen", 0, null),
                ["attention-text"] = new(null, 0, "attention"),
                ["focus"] = new("pollen", 2, null),
                ["selection"] = new("leaf", -2, null),
            }.ToImmutableSortedDictionary(StringComparer.Ordinal), null),
        ]);

    private static Frame Frame() => new(
        Make("header", "header", "Standard", "Header", null, [("name", "Pellwyn Seed Library"), ("to", "home")],
            Menu("header-menu", "Bar", "main", "Main"),
            Button("header-action", "Filled", "Borrow seeds", "catalogue")),
        Make("footer", "footer", "Standard", "Footer", "dusk", [("credit", "Pellwyn Seed Library lends, it never sells. Seeds are kept by the people who grow them.")],
            Columns("footer-columns", "Thirds",
                Stack("footer-place", Heading("footer-place-title", 3, "The Old Pump House"), Paragraph("footer-place-text", "Quiet", "Weir Lane, Pellwyn. Open Thursdays four till eight, Saturdays ten till one.")),
                Stack("footer-reach", Heading("footer-reach-title", 3, "Bring some back"), Paragraph("footer-reach-text", "Quiet", "Dry, labelled, and twice what you borrowed. The returns box stands by the door all autumn.")),
                Stack("footer-pages", Heading("footer-pages-title", 3, "Pages"), Menu("footer-menu", "Column", "main", "Footer")))));
}
