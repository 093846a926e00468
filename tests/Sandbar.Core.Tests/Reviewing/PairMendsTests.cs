using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Mending pairs. That nothing is left to axe-core on the mended pages is held in the browser's <c>PaletteTests</c>; that the nearest colour is the nearest, in <c>MendTests</c>.</summary>
public class PairMendsTests
{
    private static readonly CancellationToken Cancel = TestContext.Current.CancellationToken;

    private int ids;

    [Fact]
    public void Every_way_that_is_offered_mends_the_pair_and_says_what_else_it_does()
    {
        var pair = ContrastPairs.Of(Demo.Site, Cancel).First(p => !p.Passes);
        var mends = PairMends.Of(Demo.Site, pair, NewId, Cancel);
        Assert.Contains(mends, m => m.Side == MendedSide.Text && !m.IsNew);
        Assert.Contains(mends, m => m.Side == MendedSide.Ground);
        Assert.Contains(mends, m => m.IsNew);
        foreach (var mend in mends)
        {
            var after = Demo.Site.After(mend.Edit);
            var (failed, fails) = (Failing(Demo.Site).ToHashSet(), Failing(after).ToHashSet());
            Assert.True(mend.Ratio >= pair.Target, mend.Words);
            Assert.Equal(mend.IsNew ? 1 : 0, after.Palette.Colors.Length - Demo.Site.Palette.Colors.Length);
            Assert.InRange(mend.Mended, 1, failed.Except(fails).Count());
            Assert.Equal(mend.Broken == 0, fails.IsSubsetOf(failed));
        }
        // A raised ground that sinks into the ground would mend by making something else disappear.
        Assert.DoesNotContain(mends, m => m.Words.StartsWith("raised in Dusk becomes leaf shade 1", StringComparison.Ordinal));
    }

    [Fact]
    public void All_are_mended_by_one_edit_and_only_what_had_to_move_has_moved()
    {
        // The text of day is turned too pale, and a look names a colour by itself.
        var broken = Demo.Site.After(Do.Role("day", "text", "soil tint 4")).After(new SetCell("button-outlined", "text-color", State.Rest, null, null, "pollen"));
        Assert.True(Failing(broken).Count() > Failing(Demo.Site).Count());
        var mended = PairMends.All(broken, (_, _) => false, NewId, Cancel);
        Assert.Empty(mended.Left);
        Assert.Equal(ContrastPairs.Of(broken, Cancel).Where(p => !p.Passes).Select(p => p.Name).Distinct().Count(), mended.Mended);
        var after = broken.After(mended.Edit!);
        Assert.Empty(Failing(after));
        Assert.Equal(broken.Pages, after.Pages);
        foreach (var scheme in broken.Palette.Schemes)
        {
            var moved = broken.Palette.Roles.Where(r => !scheme.Colors[r.Id].Equals(after.Palette.Schemes.Get(scheme.Id).Colors[r.Id])).Select(r => r.Id).ToList();
            Assert.All(moved, r => Assert.Contains(r, new[] { "text", "quiet-text", "action", "raised", "ground" }));
        }
        // Taken back at once.
        Assert.StartsWith(mended.Mended.ToString(CultureInfo.InvariantCulture), mended.Edit!.Describe(broken), StringComparison.Ordinal);
    }

    /// <summary>A button that darkens under the pointer, in a dark scheme: neither black nor white text reads on both, until the choice or the cell gives way.</summary>
    [Fact]
    public void Where_a_cell_takes_a_step_of_a_role_the_choice_is_mended_or_the_cell()
    {
        var broken = Demo.Site.After(Do.Role("dusk", "action", "rain tint 1"));
        var hover = ContrastPairs.Of(broken, Cancel).First(p => p is { Look: "button-filled", State: State.Hover, Scheme: "dusk", Passes: false });
        var mends = PairMends.Of(broken, hover, NewId, Cancel);
        Assert.Contains(mends, m => m.Words.StartsWith("action in Dusk becomes ", StringComparison.Ordinal) && m.Broken == 0);
        Assert.Contains(mends, m => m.Words.StartsWith("Button · Filled · background in Hover becomes ", StringComparison.Ordinal) && m.Broken == 0);
        Assert.Empty(PairMends.All(broken, (_, _) => false, NewId, Cancel).Left);
    }

    [Fact]
    public void What_cannot_be_mended_is_told()
    {
        // Every ground of one page is mid-grey in a look of its own, and so is every text: no step reaches 4.5 on itself.
        var grey = Demo.Site.After(new SetCell("heading-2-standard", "text-color", State.Rest, null, null, "#777")).After(new SetCell("heading-2-standard", "background", State.Rest, null, null, "#777"));
        var mended = PairMends.All(grey, (_, _) => false, NewId, Cancel);
        Assert.NotNull(mended.Edit);
        Assert.All(mended.Left, p => Assert.False(p.Passes));
        Assert.Null(PairMends.All(grey.After(mended.Edit!), (_, _) => false, NewId, Cancel).Edit);
    }

    [Fact]
    public void Nobody_waits_and_nothing_is_looked_for() =>
        Assert.Throws<OperationCanceledException>(() => PairMends.All(Demo.Site, (_, _) => false, NewId, new CancellationToken(true)));

    private string NewId() => $"new-{ids++}";

    private static IEnumerable<object> Failing(Site site) => ContrastPairs.Of(site, Cancel).Where(p => !p.Passes).Select(p => (object)(p.Kind, p.Look, p.Property, p.State, p.Within, p.Scheme, p.Target)).Distinct();
}
