using CsCheck;
using Sandbar.Css.Colors;

namespace Sandbar.Css.Tests.Colors;

/// <summary>Groups of colours that are nearly the same, against every pair by CIEDE2000 (tested by itself against Sharma's table).</summary>
public class AlikeTests
{
    // Few colours near each other: chains come about.
    private static readonly Gen<Color[]> Near = Gen.Int[0, 5].Array[3].Select(c => Color.FromBytes((byte)(120 + c[0] * 4), (byte)(60 + c[1] * 4), (byte)(200 + c[2] * 4))).Array[2, 30];

    [Fact]
    public void Two_colours_share_a_group_where_a_chain_of_pairs_leads_from_one_to_the_other() => Gen.Select(Near, Gen.Double[0.1, 6]).Sample((colors, within) =>
    {
        var expected = Enumerable.Range(0, colors.Length).ToArray();
        for (var round = 0; round < colors.Length; round++)
        {
            for (var i = 0; i < colors.Length; i++)
            {
                for (var j = 0; j < colors.Length; j++)
                {
                    if (Difference.Ciede2000(colors[i], colors[j]) <= within) expected[i] = expected[j] = Math.Min(expected[i], expected[j]);
                }
            }
        }
        var groups = expected.Select((root, i) => (Root: root, Index: i)).GroupBy(g => g.Root, g => g.Index).Where(g => g.Count() > 1).Select(g => g.ToArray());
        Assert.Equal(groups, Alike.Groups(colors, within).Select(g => g.ToArray()));
    });

    [Fact]
    public void Alpha_tells_colours_apart()
    {
        var red = ColorText.Parse("red");
        Assert.Empty(Alike.Groups([red, red.WithAlpha(0.5)]));
        Assert.Equal([[0, 2]], Alike.Groups([red, red.WithAlpha(0.5), red]).Select(g => g.ToArray()));
        Assert.Empty(Alike.Groups([]));
    }

    [Fact]
    public void Ten_thousand_colours_end()
    {
        var colors = Enumerable.Range(0, 10_000).Select(i => Color.FromBytes((byte)(i * 37), (byte)(i * 101), (byte)(i / 40))).ToList();
        Assert.NotEmpty(Alike.Groups(colors));
    }
}
