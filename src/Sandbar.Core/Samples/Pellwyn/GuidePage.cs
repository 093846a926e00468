using Sandbar.Core.Design;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>The long article.</summary>
internal static class GuidePage
{
    public static readonly Page Page = new(
        "guide", "Growing guide", "growing-guide", "Growing guide · Pellwyn Seed Library", "How to grow a plant for its seed, from the first sowing to the dry packet.", "day",
        [
            Section("guide-head", "Head", "Banner", null,
                Stack("guide-head-text",
                    Paragraph("guide-eyebrow", "Eyebrow", "Growing guide"),
                    Heading("guide-title", 1, "Grow one for the pot and two for the drawer"),
                    Paragraph("guide-lead", "Lead", "Eating a plant and keeping its seed ask for different things. Here is the second, in the order of the year."))),
            Section("guide-sowing", "Sowing", "Raised", null,
                Columns("guide-sowing-columns", "Halves",
                    Stack("guide-sowing-text",
                        Heading("guide-sowing-title", 2, "Sowing"),
                        Paragraph("guide-sowing-1", "Standard", "Sow more than you mean to keep. The strongest third will be the parents of next year's packet; the rest goes to the kitchen or to a neighbour."),
                        List("guide-sowing-list", "What to have ready", """
                            - Compost that has been indoors for a day
                            - Labels, and a pencil rather than a pen
                              - the kind, as it is written on the packet
                              - the date
                              - the drawer it came from
                            - A tray for every kind that crosses
                              - beans and peas can share
                              - squashes never can
                            """)),
                    Figure("guide-depths", "depths", "Four seeds lying at different depths in the soil", "Twice as deep as the seed is thick: lettuce, beet, pea, bean."))),
            Section("guide-year", "The year", "Standard", null,
                Stack("guide-year-text",
                    Heading("guide-year-title", 2, "What the year brings"),
                    Paragraph("guide-year-1", "Standard", "Dates are for the valley floor. On the hill, wait a week longer in spring and be a week earlier in autumn."),
                    Table("guide-year-table", "Sowing, flowering and seed for six kinds we lend", """
                        Kind | Sow | Flowers | Seed is ready
                        Climbing bean | May | July | October
                        Beet | April | The second summer | August
                        Pea | March | May | July
                        Tomato | March, under glass | June | September
                        Winter squash | May | July | November
                        Lettuce | February | July | August
                        """))),
            Section("guide-keeping", "Keeping seed", "Raised", null,
                Stack("guide-keeping-text",
                    Heading("guide-keeping-title", 2, "Keeping seed"),
                    Heading("guide-dry-title", 3, "Dry crops"),
                    Paragraph("guide-dry-1", "Standard", "Beans, peas and lettuce ripen on the plant. Leave them until they rattle, then bring them in before rain does."),
                    Heading("guide-wet-title", 3, "Wet crops"),
                    Paragraph("guide-wet-1", "Standard", "Tomato seed wants to ferment for two days in its own juice. It will smell. That is the *sign that it works*, not that it failed."),
                    List("guide-wet-list", "Wet crops, step by step", """
                        1. Scoop the seed and its jelly into a glass
                        2. Cover it with a cloth
                           1. stir once a day
                           2. stop when it foams
                        3. Rinse, and dry on a plate, never on paper
                        """),
                    Heading("guide-note-title", 4, "One thing more"),
                    Paragraph("guide-note-1", "Quiet", "Never dry seed on a radiator. What is above thirty degrees for an afternoon will not come up."))),
            Section("guide-voice", "A voice", "Standard", "dusk",
                Quote("guide-quote", "My aunt kept this bean in a matchbox through two moves and a flood. It still tastes of her yard.", "Returned with a packet of Widow Tamsin, drawer 41")),
        ]);
}
