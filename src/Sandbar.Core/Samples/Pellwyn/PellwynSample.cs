using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Starting;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>Pellwyn Seed Library: a made-up neighbourhood library that lends the seeds of heritage vegetables.</summary>
public static class PellwynSample
{
    private static readonly string[] Pictures = ["hero", "drawers", "bean", "beet", "pea", "tomato", "squash", "lettuce", "depths", "map", "evening-beds.jpg", "weave.png", "rain-still.jpg"];

    public static SiteWithAssets Create()
    {
        BundledFamily[] families = [BundledFamilies.Find("fraunces")!, BundledFamilies.Find("figtree")!];
        var (clip, rain) = StandIn.Clip;
        (ShelfItem Item, Asset Asset)[] pictures = [.. from picture in Pictures select SampleFiles.Picture("Pellwyn", picture)];
        var site = new Site(
            Site.CurrentFormat,
            "Pellwyn Seed Library",
            "pellwyn",
            Palette(),
            Starter.Type(families[0].AsFamily("fraunces", "heading"), families[1].AsFamily("figtree", "text"), narrowBase: 17, wideBase: 18),
            Starter.Space,
            Starter.Edges,
            PellwynFills.Fills,
            [],
            [],
            Frame(),
            [PellwynPages.Home, PellwynPages.Catalogue, GuidePage.Page, WorkshopsPage.Page, MembershipPage.Page, ContactPage.Page],
            [new("main", "Main",
            [
                new("main-home", "Home", "home"), new("main-catalogue", "Catalogue", "catalogue"),
                new("main-guide", "Growing guide", "guide"), new("main-workshops", "Workshops", "workshops"),
                new("main-membership", "Membership", "membership"), new("main-contact", "Contact", "contact"),
            ])],
            [.. families.SelectMany(f => f.Files).Select(f => f.Item), .. pictures.Select(p => p.Item with { FocusX = Focus(p.Item).X, FocusY = Focus(p.Item).Y }),
                new ShelfItem("rain", "rain", "clips/rain.webm", clip.MediaType, rain.Hash, clip.Width, clip.Height) { Poster = new ReferenceValue(PictureKind.Kind, "rain-still") }],
            new("""
                /* The year beside the name, for the sixtieth season. */
                .site-name::after {
                  content: " · 1966";
                  color: var(--role-quiet-text);
                  font-weight: 400;
                }
                """))
        {
            Motion = Starter.Motion,
            Posts = PellwynPosts.Posts,
            Categories = PellwynPosts.Categories,
        };
        return new(Starter.WithLooks(site), [.. families.SelectMany(f => f.Assets), .. pictures.Select(p => p.Asset), rain]);
    }

    /// <summary>Where there is a face, it is kept in sight.</summary>
    private static (Value X, Value Y) Focus(ShelfItem picture) => picture.Id == "evening-beds" ? (new NumberValue(70, "%"), new NumberValue(36, "%")) : (picture.FocusX, picture.FocusY);

    private static PaletteFoundation Palette() => new(
        [
            Starter.Color("beet", "#8a2846"),
            Starter.Color("leaf", "#2f5d3a"),
            Starter.Color("pollen", "#e3b23c"),
            Starter.Color("husk", "#f6efe2"),
            Starter.Color("soil", "#2b221b"),
            Starter.Color("rain", "#3d6b86"),
            Starter.Color("chalk", "#fffdf8"),
        ],
        Starter.Roles,
        [
            Starter.Scheme("Day", "dusk",
                ("ground", Starter.ToColor("husk")),
                ("raised", Starter.ToColor("chalk")),
                ("text", Starter.ToColor("soil")),
                ("quiet-text", Starter.ToColor("soil", 1)),
                ("link", Starter.ToColor("beet")),
                ("action", Starter.ToColor("beet")),
                ("action-text", Starter.Readable("action")),
                ("line", Starter.ToColor("husk", -1)),
                ("field-line", Starter.ToColor("soil", 2)),
                ("attention", Starter.ToColor("pollen")),
                ("attention-text", Starter.Readable("attention")),
                ("focus", Starter.ToColor("rain")),
                ("selection", Starter.ToColor("pollen", 3))),
            Starter.Scheme("Dusk", null,
                ("ground", Starter.ToColor("leaf", -1)),
                ("raised", Starter.ToColor("leaf")),
                ("text", Starter.ToColor("husk")),
                ("quiet-text", Starter.ToColor("leaf", 5)),
                ("link", Starter.ToColor("pollen", 3)),
                ("action", Starter.ToColor("pollen")),
                ("action-text", Starter.Readable("action")),
                ("line", Starter.ToColor("leaf", 1)),
                ("field-line", Starter.ToColor("leaf", 4)),
                ("attention", Starter.ToColor("pollen")),
                ("attention-text", Starter.Readable("attention")),
                ("focus", Starter.ToColor("pollen", 2)),
                ("selection", Starter.ToColor("leaf", -2))),
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
