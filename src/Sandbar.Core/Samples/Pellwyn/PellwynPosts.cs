using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Samples.Pellwyn;

/// <summary>What the library has to tell of its year.</summary>
internal static class PellwynPosts
{
    public static readonly ImmutableArray<Category> Categories = [new("season", "Season") { To = "guide" }, new("evenings", "Evenings") { To = "workshops" }, new("seeds", "New seeds") { To = "catalogue" }];

    public static readonly ImmutableArray<Post> Posts =
    [
        new("frost", "The first frost came early", "2026-10-29") { Category = "season", Text = "Two nights *below zero* before the month was out. The squashes are in; the parsnips are all the better for it.", Picture = "squash", PictureInWords = "A ribbed squash on a shelf", To = "guide" },
        new("swap", "Forty people at the autumn swap", "2026-10-10") { Category = "evenings", Text = "Nobody went home with fewer seeds than they brought, and somebody left a wheelbarrow.", To = "workshops" },
        new("crimson", "A crimson-podded pea, back after thirty years", "2026-09-18") { Category = "seeds", Text = "It turned up in a biscuit tin in Lower Weir. Twelve of fifteen came up.", Picture = "pea", PictureInWords = "A pea pod, open, with seven peas", To = "catalogue" },
        new("drawers", "The drawers have been relabelled", "2026-08-02") { Category = "seeds", Text = "By sowing month first, then by kind. Ask if you miss the old order.", Picture = "drawers", PictureInWords = "A wall of small labelled drawers" },
        new("lantern", "Lantern evenings begin again", "2026-07-21") { Category = "evenings", Text = "Thursdays until the light goes." },
    ];
}
