using Sandbar.Core.Design;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>The pages of Pellwyn Seed Library.</summary>
internal static class PellwynPages
{
    public static readonly Page Home = new(
        "home", "Home", "index", "Pellwyn Seed Library", "A neighbourhood library that lends the seeds of heritage vegetables.", "day",
        [
            Section("home-banner", "Banner", "Banner", null,
                Columns("home-banner-columns", "Halves",
                    Stack("home-banner-text",
                        Paragraph("home-eyebrow", "Eyebrow", "Spring lending is open"),
                        Heading("home-title", 1, "Borrow a packet. Grow it. Bring some back."),
                        Paragraph("home-lead", "Lead", "Two hundred heritage vegetables, kept alive by neighbours who save a handful each autumn."),
                        InLine("home-actions", Button("home-browse", "Filled", "Browse the catalogue", "catalogue"), Button("home-how", "Outlined", "How lending works", "membership"))),
                    Picture("home-picture", "hero", "Three seeds, large as eggs, lying on dark soil"))),
            Section("home-lending", "How lending works", "Raised", null,
                Heading("home-lending-title", 2, "Three steps, one growing season"),
                Cards("home-steps",
                    Card("home-step-1", "Standard", "", "", "First", "Choose", "Six packets a season, picked with you for your soil, your light and your patience.", ""),
                    Card("home-step-2", "Featured", "", "", "Then", "Grow", "A short guide goes with every packet, and there is a bench evening each month.", ""),
                    Card("home-step-3", "Standard", "", "", "Last", "Return", "Let two plants run to seed. Dry it, label it, bring back twice what you borrowed.", ""))),
            Section("home-story", "Why we lend", "Standard", null,
                Columns("home-story-columns", "Halves",
                    Figure("home-story-picture", "drawers", "A cabinet of small wooden drawers, some of them open", "The cabinet holds 214 kinds. It came from a closed haberdashery."),
                    Stack("home-story-text",
                        Heading("home-story-title", 2, "Seeds that stay home get used to it"),
                        Paragraph("home-story-1", "Standard", "A bean that has been grown on one hillside for forty summers knows that hillside. It flowers after the last frost and not before. Shop packets are bred for *everywhere*, which is nowhere in particular."),
                        Paragraph("home-story-2", "Standard", "So we keep what did well here, and lend it out again. Every packet in the [catalogue](catalogue) carries the name of whoever grew it last."),
                        Button("home-story-more", "Plain", "See what is in the drawers", "catalogue")))),
            Section("home-call", "Bench evening", "Standard", "dusk",
                Stack("home-call-text",
                    Heading("home-call-title", 2, "The bench evening is on the first Thursday"),
                    Paragraph("home-call-lead", "Lead", "Bring what is worrying you in a pot. Somebody will have had it too."),
                    InLine("home-call-actions", Button("home-call-borrow", "Filled", "See all evenings", "workshops"), Button("home-call-how", "Plain", "Find the pump house", "contact")))),
        ]);

    public static readonly Page Catalogue = new(
        "catalogue", "Catalogue", "catalogue", "Catalogue · Pellwyn Seed Library", "What is in the drawers this spring: beans, roots, greens and fruit.", "day",
        [
            Section("catalogue-head", "Head", "Banner", null,
                Stack("catalogue-head-text",
                    Paragraph("catalogue-eyebrow", "Eyebrow", "In the drawers this spring"),
                    Heading("catalogue-title", 1, "Catalogue"),
                    Paragraph("catalogue-lead", "Lead", "Six packets a season for every household. Ask at the desk, or choose here and collect on Thursday."))),
            Section("catalogue-list", "Packets", "Raised", null,
                Heading("catalogue-list-title", 2, "Ready to lend"),
                Cards("catalogue-cards",
                    Packet("bean", "A mottled bean seed", "Climbing bean", "Widow Tamsin", "Purple pods that turn green in the pan. Late, generous, needs a tall pole.", "Standard"),
                    Packet("beet", "A round beetroot cut in half", "Root", "Ferrol Blood", "Small and very dark. Sweet raw, sweeter roasted. Stores until March.", "Standard"),
                    Packet("tomato", "A ribbed tomato", "Fruit", "Quarry Lantern", "Our most borrowed packet. Orange, ribbed, ripens outdoors in all but the wettest years.", "Featured"),
                    Packet("pea", "An open pea pod", "Pea", "Eleven Elms", "Eats like sweets from the pod. Sow in March, again in June.", "Standard"),
                    Packet("squash", "A squat winter squash", "Squash", "Old Sexton", "Grey skin, gold inside. One plant is enough for a street.", "Standard"),
                    Packet("lettuce", "A loose head of lettuce", "Greens", "Rookwood Bronze", "Stands through November under a cloche. Bolts late, tastes of something.", "Standard"))),
            Section("catalogue-note", "Note", "Standard", null,
                Stack("catalogue-note-text",
                    Heading("catalogue-note-title", 2, "Not here? It may be growing"),
                    Paragraph("catalogue-note-1", "Standard", "About a third of the library is in the ground at any time. If a kind is out, we write your name on its drawer and send a card when it is [back in the drawers](home)."),
                    Paragraph("catalogue-note-2", "Quiet", "Packets hold enough for a three-metre row. Nothing here is treated, patented or crossed on purpose."))),
        ]);

    private static Block Packet(string picture, string alt, string kind, string name, string text, string look) =>
        Card($"packet-{picture}", look, picture, alt, kind, name, text, "");
}
