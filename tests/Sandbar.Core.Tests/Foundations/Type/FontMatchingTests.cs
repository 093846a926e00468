using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Tests.Foundations.Type;

/// <summary>Which file is taken for a weight: the order of CSS Fonts 4, §5.2. That Chromium takes the same is held in the browser (<c>FontMatchingTests</c> there).</summary>
public class FontMatchingTests
{
    private static Family Of(params (int From, int To, bool Italic)[] files) =>
        new("a", "A", "a", "\"A\", serif", [.. files.Select((f, i) => new FontFile($"{i}", f.From, f.To, f.Italic))]);

    [Theory]
    [InlineData(400, 400)]
    [InlineData(450, 500)] // within 400 and 500 the heavier up to 500 come first
    [InlineData(500, 500)]
    [InlineData(350, 300)] // below 400 the lighter come first
    [InlineData(200, 300)]
    [InlineData(550, 700)] // above 500 the heavier come first
    [InlineData(900, 700)]
    public void The_nearest_on_the_side_the_standard_looks_at_first_is_taken(int asked, int taken) =>
        Assert.Equal(taken, FontMatching.Files(Of((300, 300, false), (400, 400, false), (500, 500, false), (700, 700, false)), asked, false)[0].WeightFrom);

    [Fact]
    public void Between_400_and_500_lighter_come_before_heavier_ones() =>
        Assert.Equal(300, FontMatching.Files(Of((300, 300, false), (600, 600, false)), 450, false)[0].WeightFrom);

    [Fact]
    public void Slant_counts_before_weight_and_what_is_missing_is_faked()
    {
        var family = Of((400, 700, false), (300, 300, true));
        Assert.True(FontMatching.Files(family, 700, true)[0].Italic);
        Assert.False(FontMatching.HasWeight(family, 700, true));
        Assert.True(FontMatching.IsFakedBold(family, 700, true));
        Assert.False(FontMatching.IsFakedBold(family, 700, false));
        Assert.False(FontMatching.IsFakedItalic(family));
        Assert.True(FontMatching.IsFakedItalic(Of((400, 700, false))));
        // Lighter letters are never made: they are only thickened.
        Assert.False(FontMatching.IsFakedBold(Of((400, 400, false)), 300, false));
    }

    [Fact]
    public void Files_of_one_face_belong_together()
    {
        var family = BundledFamilies.Find("zilla-slab")!.AsFamily("a", "a");
        Assert.Equal(["zilla-slab-latin-600-italic", "zilla-slab-latin-ext-600-italic"], FontMatching.Files(family, 600, true).Select(f => f.Item));
        Assert.Empty(FontMatching.Files(family with { Files = [] }, 400, false));
        Assert.True(FontMatching.HasWeight(family with { Files = [] }, 950, false));
    }
}
