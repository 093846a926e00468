using Sandbar.Core.Design;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>What it costs, and how to join.</summary>
internal static class MembershipPage
{
    public static readonly Page Page = new(
        "membership", "Membership", "membership", "Membership · Pellwyn Seed Library", "Who can borrow, what it costs, and the form to join.", "day",
        [
            On("lamp-on-the-words", Section("membership-head", "Head", "Banner", null,
                Stack("membership-head-text",
                    Paragraph("membership-eyebrow", "Eyebrow", "Membership"),
                    Heading("membership-title", 1, "Six packets a season, for as long as you bring some back"),
                    Paragraph("membership-lead", "Lead", "Lending is free. Membership pays for the drawers, the heating and the tea.")))),
            On("linen", Section("membership-prices", "Prices", "Raised", null,
                Heading("membership-prices-title", 2, "Three ways to belong"),
                Cards("membership-cards",
                    Card("price-window", "Standard", "", "", "Free", "Window sill", "For a flat and a few pots.", "",
                        List("price-window-list", "What it holds", "- Three packets a season\n- All bench evenings"),
                        Button("price-window-join", "Outlined", "Join at the window", "#join")),
                    Card("price-plot", "Featured", "", "", "Twelve a year", "Plot", "For a garden or an allotment. What most of us have.", "",
                        List("price-plot-list", "What it holds", "- Six packets a season\n- All bench evenings\n- A key to the drying loft"),
                        Button("price-plot-join", "Filled", "Join with a plot", "#join")),
                    Card("price-field", "Standard", "", "", "Forty a year", "Field", "For schools, kitchens and people with a tractor.", "",
                        List("price-field-list", "What it holds", "- Packets by the hundred\n- A Saturday with your group\n- A key to the drying loft"),
                        Button("price-field-join", "Outlined", "Join with a field", "#join"))))),
            Make("membership-loft", "split", "Standard", "The drying loft", null, [("picture", "evening-beds"), ("alt", "Somebody in a straw hat among rows of young plants in the evening")],
                Heading("membership-loft-title", 2, "The loft is yours, too"),
                Paragraph("membership-loft-text", "Standard", "What you grow for seed dries above the pump, where it is warm and nothing nibbles. Members carry a key from August to the first frost."),
                Button("membership-loft-more", "Plain", "How seed is dried", "guide")),
            Section("membership-join", "Join", "Standard", null,
                Columns("membership-join-columns", "Halves",
                    Stack("membership-join-text",
                        Heading("membership-join-title", 2, "Join"),
                        Paragraph("membership-join-1", "Standard", "We write back by post, with a card that opens the drawers. Until then, the [growing guide](guide) is open to everybody."),
                        Paragraph("membership-join-2", "Quiet", "What you tell us stays in a paper file in the pump house.")),
                    Form("membership-form", "Join the library",
                        Field("join-name", "Your name", "text", "As it should stand on the card"),
                        Field("join-address", "Where the card should go", "lines"),
                        Field("join-kind", "How you would like to belong", "choice", choices: "- Window sill\n- Plot\n- Field"),
                        Field("join-soil", "What your soil is like", "text", "Heavy, sandy, or a word of your own"),
                        Button("join-send", "Filled", "Ask to join", "")))) with { Address = "join" },
        ]);
}
