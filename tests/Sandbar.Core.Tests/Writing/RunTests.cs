using System.Text;
using CsCheck;
using Sandbar.Core.Rendering;
using Sandbar.Core.Writing;

namespace Sandbar.Core.Tests.Writing;

/// <summary>Text with marks, there and back.</summary>
public class RunTests
{
    private static readonly Gen<Run> AnyRun = Gen.Select(
        Among(["a", " ", "word", "*", "_", "**", "`", "``", "\\", "[", "](", ")", "!", "<", "&amp;", "&", "\n", "1. ", "- ", "#", "two words", " b", "c ", "“", "|", "é", "https://a.example", "a@b.example", "\u00a0", "_x_", "<b>"]).List[1, 4],
        Gen.Int[0, 7], Among<string?>([null, null, null, "home", "#here", "https://sandbar.example/a_(b)?c=*d*", "mailto:a@b.example"]),
        (text, marks, link) => new Run(string.Concat(text), (marks & 1) > 0, (marks & 2) > 0, marks == 7, link));

    /// <summary>Whatever is written on the stage is read again as it was: letters, code and links always, emphasis wherever CommonMark can write it.</summary>
    [Fact]
    public void What_is_written_is_read_again() => AnyRun.List[0, 6].Sample(runs =>
    {
        var normal = Runs.Normal(runs);
        var text = Runs.Marked(runs);
        var read = Runs.Of(text);
        Assert.Equal(Runs.Plain(normal), Runs.Plain(read));
        Assert.True(Letters(normal) == Letters(read), text + "\n" + Letters(normal) + "\n" + Letters(read));
        // What was read is written as it stands: nothing creeps.
        Assert.Equal(Letters(read), Letters(Runs.Of(Runs.Marked(read))));
    }, iter: RandomTimes.Of(2000));

    [Fact]
    public void Emphasis_at_words_is_written_by_its_marks()
    {
        Assert.Equal("Seeds *keep* for **five years**.", Runs.Marked([new("Seeds "), new("keep", IsEmphasis: true), new(" for "), new("five years", IsStrong: true), new(".")]));
        Assert.Equal("[Growing *guide*](guide)", Runs.Marked([new("Growing ", Link: "guide"), new("guide", IsEmphasis: true, Link: "guide")]));
        Assert.Equal("5 * 3 and a_b", Runs.Marked([new("5 * 3 and a_b")]));
        Assert.Equal(@"a \*b\*", Runs.Marked([new("a *b*")]));
        Assert.Equal("one\\\ntwo", Runs.Marked([new("one\ntwo\n")]));
        // A space belongs to no mark.
        Assert.Equal("**a** b", Runs.Marked([new("a ", IsStrong: true), new("b")]));
    }

    [Fact]
    public void Lists_are_written_and_read_again() => AnyList(3).Sample(list =>
    {
        var text = ListText.Of([list]);
        Assert.Equal(Shape(list), string.Concat(BlockText.Lists(text).Select(Shape)));
    }, iter: RandomTimes.Of(2000));

    [Fact]
    public void Rows_are_written_and_read_again() => Line(1).Array[2].Array[1, 3].Sample(rows =>
    {
        var read = BlockText.Rows(ListText.Rows(rows));
        Assert.Equal(rows.Select(r => r.Select(Said)), read.Select(r => r.Select(Said)));
    }, iter: RandomTimes.Of(2000));

    private static Gen<T> Among<T>(T[] choices) => Gen.Int[0, choices.Length - 1].Select(i => choices[i]);

    private static Gen<string> Line(int most) => AnyRun.Select(r => r with { Text = r.Text.Replace('\n', ' ') }).List[1, most].Select(Runs.Marked);

    private static Gen<TextList> AnyList(int depth)
    {
        var text = Line(2).Where(t => t.Length > 0);
        var inner = depth == 0 ? Gen.Const<IReadOnlyList<TextList>>([]) : AnyList(depth - 1).List[0, 1].Select(l => (IReadOnlyList<TextList>)l);
        return Gen.Select(Gen.Bool, Gen.Select(text, inner, (t, l) => new ListItem(t, l)).List[1, 3], (isOrdered, items) => new TextList(isOrdered, items));
    }

    private static string Shape(TextList list) => $"{(list.IsOrdered ? "ol" : "ul")}({string.Join(';', list.Items.Select(i => Said(i.Text) + string.Concat(i.Lists.Select(Shape))))})";

    /// <summary>At the ends of an item and a cell no space is kept, and none that does not break.</summary>
    private static string Said(string text) => Runs.Plain(Runs.Of(text)).Trim();

    private static string Letters(IReadOnlyList<Run> runs)
    {
        var text = new StringBuilder();
        foreach (var run in runs)
        {
            foreach (var c in run.Text) text.Append(c).Append(run.IsCode && c != '\n' ? "c" : "").Append(run.Link).Append(' ');
        }
        return text.ToString();
    }
}
