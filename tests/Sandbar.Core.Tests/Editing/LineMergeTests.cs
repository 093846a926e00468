using CsCheck;
using Sandbar.Core.Editing;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Two texts made from one, in one again.</summary>
public class LineMergeTests
{
    [Theory]
    [InlineData("a\nb\nc", "A\nb\nc", "a\nb\nC", "A\nb\nC")]
    [InlineData("a\nb\nc", "a\nb\nc\nd", "z\na\nb\nc", "z\na\nb\nc\nd")]
    [InlineData("a\nb\nc", "a\nc", "a\nb\nc\nd", "a\nc\nd")]
    [InlineData("a\nb\nc", "a\nB\nc", "a\nB\nc", "a\nB\nc")]
    [InlineData("a\nb\nc", "a\nB\nc", "a\nX\nc", null)]
    [InlineData("a\nb\nc", "a\nc", "a\nX\nc", null)]
    [InlineData("a", "a\nmine", "a\ntheirs", null)]
    [InlineData("a\nb\nc\nd", "A\nb\nc\nd", "a\nB\nc\nd", "A\nB\nc\nd")]
    [InlineData("", "mine", "", "mine")]
    [InlineData("", "", "theirs", "theirs")]
    public void Changes_of_different_lines_are_both_made(string before, string mine, string theirs, string? merged)
    {
        Assert.Equal(merged, LineMerge.Merge(before, mine, theirs));
        Assert.Equal(merged, LineMerge.Merge(before, theirs, mine));
    }

    /// <summary>Whatever both did to lines of their own half, both is in what comes of it.</summary>
    [Fact]
    public void Halves_that_are_changed_apart_are_put_together()
    {
        var half = Gen.String[Gen.Char["ab\n"], 0, 12];
        Gen.Select(half, half, half, half).Sample(
            (a, b, c, d) =>
            {
                const string between = "\n-- a line that both leave --\n";
                Assert.Equal(c + between + d, LineMerge.Merge(a + between + b, c + between + b, a + between + d));
            },
            iter: RandomTimes.Of(3000));
    }

    [Fact]
    public void Long_texts_take_no_time()
    {
        var before = string.Join('\n', Enumerable.Range(0, 40_000));
        Assert.Equal("x\n" + before + "\ny", LineMerge.Merge(before, "x\n" + before, before + "\ny"));
        Assert.Null(LineMerge.Merge(before, string.Concat(before.Select(c => c == '1' ? '2' : c)), string.Concat(before.Select(c => c == '1' ? '3' : c))));
    }
}
