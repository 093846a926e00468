using Sandbar.Core.Design;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>The evenings, by date.</summary>
internal static class WorkshopsPage
{
    public static readonly Page Page = new(
        "workshops", "Workshops", "workshops", "Workshops · Pellwyn Seed Library", "Bench evenings and Saturday workshops at the old pump house.", "day",
        [
            On("evening-at-the-beds", Section("workshops-head", "Head", "Banner", null,
                Stack("workshops-head-text",
                    Paragraph("workshops-eyebrow", "Eyebrow", "At the long table"),
                    Heading("workshops-title", 1, "Workshops"),
                    Paragraph("workshops-lead", "Lead", "Eight places each, with tea. Nobody is too new: half of those who teach here came to ask a question.")))),
            Section("workshops-list", "Spring evenings", "Raised", null,
                Heading("workshops-list-title", 2, "This spring"),
                Cards("workshops-cards",
                    Evening("sowing", "Thursday 5 March, seven o'clock", "Sowing thick and thin", "What to sow by the pinch, what to sow by the piece, and why the packet is always wrong about depth.", "Standard"),
                    Evening("grafting", "Saturday 21 March, ten o'clock", "Two tomatoes on one root", "Grafting at the kitchen table with a razor blade and a steady hand. Bring a plant you can spare.", "Featured"),
                    Evening("isolation", "Thursday 2 April, seven o'clock", "Keeping squashes apart", "Hand pollination before breakfast, with tape, string and a little patience.", "Standard"),
                    Evening("labels", "Saturday 18 April, ten o'clock", "Labels that last", "Pencil, tin, slate and bark: what is still readable after one winter outside.", "Standard"),
                    Evening("soil", "Thursday 7 May, seven o'clock", "A handful of your soil", "Bring a jam jar of it. We shake it, watch it settle, and read what it says.", "Standard"),
                    Evening("swap", "Saturday 23 May, all day", "The big swap", "Plants for plants. Tables outside if it is dry, in the pump house if it is not.", "Standard"))),
            Section("workshops-news", "What happened", "Standard", null,
                Heading("workshops-news-title", 2, "What happened at the pump house"),
                Make("workshops-kinds", "categories", "Tags", "Categories", null, []),
                Make("workshops-posts", "posts", "List", "Newest posts", null, [("most", "3"), ("beyond", "further")]),
                Make("workshops-paging", "paging", "Standard", "Paging list", null, [("newer", "Newer"), ("older", "Older")])),
            On("rain-on-leaves", Section("workshops-place", "A place", "Standard", "dusk",
                Stack("workshops-place-text",
                    Heading("workshops-place-title", 2, "Would you show something?"),
                    Paragraph("workshops-place-lead", "Lead", "If you do a thing in your garden that others ask about, there is an evening in it."),
                    InLine("workshops-place-actions", Button("workshops-place-write", "Filled", "Write to us", "contact"))))),
        ]);

    private static Block Evening(string id, string date, string title, string text, string look) => Card($"workshop-{id}", look, "", "", date, title, text, "");
}
