using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Undo and redo by gesture and window.</summary>
public class HistoryTests
{
    private readonly List<JournalEntry> journal = [];
    private Site site = Demo.Site;

    [Fact]
    public void A_gesture_is_taken_back_at_once_and_made_again()
    {
        Make("a", "g1", "#111111");
        Make("a", "g2", "#222222");
        Make("a", "g2", "#333333");
        Reverse(Undo("a", 0), "u1");
        Assert.Equal("#111111", Beet);
        Reverse(Undo("a", 0), "u2");
        Assert.Equal("#8a2846", Beet);
        Assert.Null(Undo("a", 0));
        Reverse(Redo("a", 0), "r1");
        Assert.Equal("#111111", Beet);
        Reverse(Redo("a", 0), "r2");
        Assert.Equal("#333333", Beet);
        Assert.Null(Redo("a", 0));
        // What was made again can be taken back again.
        Reverse(Undo("a", 0), "u3");
        Assert.Equal("#111111", Beet);
    }

    [Fact]
    public void A_new_edit_ends_redo()
    {
        Make("a", "g1", "#111111");
        Reverse(Undo("a", 0), "u1");
        Make("a", "g2", "#222222");
        Assert.Null(Redo("a", 0));
    }

    [Fact]
    public void A_window_takes_back_its_own_and_what_was_there_before_it()
    {
        Make("a", "g1", "#111111");
        Make("b", "g2", "#222222");
        Assert.Null(Undo("c", 0));
        Assert.Equal("g1", Undo("c", 1)?.Edit.Gesture);
        Assert.Equal("g2", Undo("b", 0)?.Edit.Gesture);
    }

    [Fact]
    public void What_somebody_else_changed_since_is_named()
    {
        Make("a", "g1", "#111111");
        Make("b", "g2", "#222222");
        var undo = Undo("a", 0);
        Assert.Equal(["/palette/colors/beet/color"], undo?.Overwrites);
        Assert.Empty(Undo("b", 0)!.Overwrites);
    }

    [Fact]
    public void A_gesture_of_several_edits_on_one_new_thing_is_taken_back_whole()
    {
        Make("a", "g1", Do.NewColor("moss", "moss", "olive"));
        Make("a", "g1", Do.Color("moss", "green"));
        Make("a", "g1", Do.RenameColor("moss", "fern"));
        var undo = Undo("a", 0);
        Assert.Empty(undo!.Overwrites);
        Reverse(undo, "u1");
        Assert.Null(site.Palette.Colors.Find("moss"));
        Reverse(Redo("a", 0), "r1");
        Assert.Equal(("fern", "green"), (site.Palette.Colors.Get("moss").Name, site.Palette.Colors.Get("moss").Css()));
    }

    [Fact]
    public void Undo_passes_over_what_somebody_removed()
    {
        Make("b", "g0", Do.NewColor("moss", "moss", "olive"));
        Make("a", "g1", Do.Color("moss", "green"));
        Make("b", "g2", Do.RemoveColor("moss"));
        var undo = Undo("a", 0);
        Assert.NotEmpty(undo!.Overwrites);
        Assert.Empty(undo.Patch.Changes);
    }

    /// <summary>In one sheet as in one site: what others wrote in other lines stays, and the same line is asked about.</summary>
    [Fact]
    public void Lines_are_taken_back_among_those_of_others()
    {
        var start = string.Concat(Enumerable.Range(0, 40).Select(n => $".a{n} {{ top: 0 }}\n"));
        Make("b", "g0", new SetOverrides(start));
        Make("a", "g1", new SetOverrides(start.Replace(".a20", ".mine", StringComparison.Ordinal)));
        Make("b", "g2", new SetOverrides(".first {}\n" + site.Overrides.Site));
        Make("a", "g1", new SetOverrides(site.Overrides.Site.Replace(".mine", ".mine-too", StringComparison.Ordinal)));
        Make("b", "g3", new SetOverrides(site.Overrides.Site.Replace(".a30", ".theirs", StringComparison.Ordinal)));
        var undo = Undo("a", 0)!;
        Assert.Empty(undo.Overwrites);
        Reverse(undo, "u1");
        Assert.Equal(".first {}\n" + start.Replace(".a30", ".theirs", StringComparison.Ordinal), site.Overrides.Site);
        Reverse(Redo("a", 0), "r1");
        Make("b", "g4", new SetOverrides(site.Overrides.Site.Replace(".mine-too", ".ours", StringComparison.Ordinal)));
        Assert.Equal(["/overrides/site"], Undo("a", 0)!.Overwrites);
    }

    /// <summary>A gesture that is named again after it was taken back, or after something else, is another: what lies between is not taken back with it.</summary>
    [Fact]
    public void A_gesture_that_is_named_again_is_another()
    {
        string? Next(string window, string named) => History.GestureOf([.. journal.Select(e => e.Line)], window, named);
        Assert.Equal("g1", Next("a", "g1"));
        Make("a", "g1", "#111111");
        Assert.Equal("g1", Next("a", "g1"));
        Assert.Equal("g1@2", Next("b", "g1"));
        Reverse(Undo("a", 0), "u1");
        Assert.Equal("g1@3", Next("a", "g1"));
        Make("a", "g1@3", "#222222");
        Assert.Equal("g1@3", Next("a", "g1"));
        Make("a", "g2", "#333333");
        Assert.Equal("g1@5", Next("a", "g1"));
    }

    /// <summary>Patches of another format lead through other documents: undo ends there, and history does not.</summary>
    [Fact]
    public void Undo_ends_where_another_format_begins()
    {
        Make("a", "g1", "#111111");
        Make("a", "g2", "#222222");
        Reverse(Undo("a", 0), "u1");
        var lines = journal.Select(e => e.Line with { Format = e.Line.Version == 1 ? Site.CurrentFormat - 1 : e.Line.Format }).ToList();
        var (undo, redo) = History.Reversible(lines, "a", 0);
        Assert.Null(undo);
        Assert.Equal("beet → #222222", redo?.Label);
        Assert.Equal((null, null), History.Reversible([.. lines.Select(l => l with { Format = Site.CurrentFormat - 1 })], "a", 0));
        Assert.Equal(2, History.Read(lines).Count());
    }

    [Fact]
    public void History_is_read_by_gesture_latest_first()
    {
        Make("a", "g1", "#111111");
        Make("a", "g2", "#222222");
        Make("a", "g2", "#333333");
        Reverse(Undo("a", 0), "u1");
        Assert.Equal([(3L, "beet → #333333", true), (1L, "beet → #111111", false)], History.Read(journal.Select(e => e.Line)).Select(i => (i.Version, i.Label, i.IsUndone)));
        Assert.Equal("beet → #333333", History.Reversible([.. journal.Select(e => e.Line)], "a", 0).Redo?.Label);
    }

    /// <summary>Read from its end, the journal says what it says as a whole: by any windows, with gestures of several edits, undone and made again.</summary>
    [Fact]
    public void What_can_be_taken_back_does_not_depend_on_how_far_the_journal_is_read() => Gen.Select(Gen.Int[0, 2], Gen.Int[0, 4], Gen.Int[0, 3], (window, gesture, what) => (window, gesture, what)).Array[0, 25].Sample(
        steps =>
        {
            var lines = new List<JournalLine>();
            foreach (var (window, gesture, what) in steps)
            {
                var target = what == 0 || lines.Count == 0 ? null : lines[gesture * 7 % lines.Count];
                // A gesture is a run of edits of one window.
                var run = gesture == 0 && lines is [.., { Undoes: null } before] && before.Window == $"w{window}" ? before.Gesture : $"g{lines.Count}";
                lines.Add(target is null
                    ? new(lines.Count + 1, default, $"edit {lines.Count}", run, $"w{window}")
                    : new(lines.Count + 1, default, $"undo {lines.Count}", $"u{lines.Count}", $"w{window}", target.Gesture, target.Undoes is not null));
            }
            foreach (var openedAt in new long[] { 0, 3, 100 }) Assert.Equal(Whole(lines, "w0", openedAt), History.Reversible(lines, "w0", openedAt));
        },
        iter: RandomTimes.Of(5000));

    /// <summary>The same in as many words: what holds, looked at all at once.</summary>
    private static (ReversibleGesture? Undo, ReversibleGesture? Redo) Whole(List<JournalLine> lines, string window, long openedAt)
    {
        var own = lines.Where(l => l.Window == window || l.Version <= openedAt).ToList();
        var undo = own.LastOrDefault(l => l.Undoes is null && Holds(l.Gesture));
        var latest = own.AsEnumerable().Reverse().TakeWhile(l => l.Undoes is not null).FirstOrDefault(l => !l.Again && Holds(l.Gesture));
        return (
            undo is null ? null : new(undo.Gesture, undo.Label, false),
            latest is null ? null : new(latest.Gesture, lines.LastOrDefault(l => l.Gesture == latest.Undoes)?.Label ?? latest.Label, true));

        // A gesture holds unless a later line that holds takes it back.
        bool Holds(string gesture) => !lines.Exists(l => l.Undoes == gesture && l.Version > lines.Last(g => g.Gesture == gesture).Version && Holds(l.Gesture));
    }

    private string Beet => site.Palette.Colors.Get("beet").Css();

    private void Make(string window, string gesture, string css) => Make(window, gesture, Do.Color("beet", css));

    private void Make(string window, string gesture, Edit edit)
    {
        var after = site.After(edit);
        journal.Add(new(new(journal.Count + 1, default, edit.Describe(site), gesture, window), Patch.Between(site, after)));
        site = after;
    }

    private void Reverse(Reversal? reversal, string gesture)
    {
        Assert.NotNull(reversal);
        site = reversal.Patch.Apply(site);
        journal.Add(new(new(journal.Count + 1, default, reversal.Edit.Describe(site), gesture, "a", reversal.Edit.Gesture, reversal.Edit.Again), reversal.Patch));
    }

    private Reversal? Undo(string window, long openedAt) => Reversed(History.Reversible([.. journal.Select(e => e.Line)], window, openedAt).Undo);

    private Reversal? Redo(string window, long openedAt) => Reversed(History.Reversible([.. journal.Select(e => e.Line)], window, openedAt).Redo);

    private Reversal? Reversed(ReversibleGesture? gesture) => gesture is null ? null : History.Reverse(gesture, journal.SkipWhile(e => e.Line.Gesture != gesture.Gesture), site);
}
