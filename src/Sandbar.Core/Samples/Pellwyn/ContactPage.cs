using Sandbar.Core.Design;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>Where and when.</summary>
internal static class ContactPage
{
    public static readonly Page Page = new(
        "contact", "Contact", "contact", "Contact · Pellwyn Seed Library", "Where the pump house stands, when it is open, and who answers.", "day",
        [
            Section("contact-head", "Head", "Banner", null,
                Columns("contact-head-columns", "Halves",
                    Stack("contact-head-text",
                        Paragraph("contact-eyebrow", "Eyebrow", "Contact"),
                        Heading("contact-title", 1, "The old pump house"),
                        Paragraph("contact-lead", "Lead", "Weir Lane, where the footpath crosses the mill stream. There is a bell; it is loud."),
                        InLine("contact-actions", Button("contact-join", "Filled", "Become a member", "membership"), Button("contact-evenings", "Plain", "See the evenings", "workshops"))),
                    Figure("contact-map", "map", "A drawn map: a lane, a stream, a bridge and the pump house beside it", "Four minutes on foot from the bus stop at the bridge."))),
            Section("contact-hours", "Hours", "Raised", null,
                Stack("contact-hours-text",
                    Heading("contact-hours-title", 2, "When the drawers are open"),
                    Table("contact-hours-table", "Opening hours by season", """
                        Season | Thursday | Saturday
                        Spring | Four till eight | Ten till one
                        Summer | Five till nine | Ten till one
                        Autumn | Four till eight | Ten till four, for returns
                        Winter | By the bell | Ten till one
                        """))),
            Section("contact-people", "People", "Standard", null,
                Columns("contact-people-columns", "Thirds",
                    Stack("contact-desk", Heading("contact-desk-title", 3, "The desk"), Paragraph("contact-desk-text", "Standard", "Packets, returns and lost cards. Ask for whoever has soil on their hands.")),
                    Stack("contact-loft", Heading("contact-loft-title", 3, "The drying loft"), Paragraph("contact-loft-text", "Standard", "Bring seed in its pods, in paper, with a label. Never in plastic.")),
                    Stack("contact-post", Heading("contact-post-title", 3, "By post"), Paragraph("contact-post-text", "Standard", "The Old Pump House, Weir Lane, Pellwyn. Letters are answered on Saturdays.")))),
        ]);
}
