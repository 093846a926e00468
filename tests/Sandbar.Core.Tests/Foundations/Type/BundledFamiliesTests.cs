using System.Security.Cryptography;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Tests.Foundations.Type;

/// <summary>The shelf: what stands in its list is what its files are, and their metrics are those others read (fixtures/capsize.json).</summary>
public class BundledFamiliesTests
{
    public static TheoryData<string> Ids => [.. BundledFamilies.All.Select(f => f.Id)];

    [Fact]
    public void There_are_two_dozen_in_every_class_with_italics_and_axes_among_them()
    {
        Assert.True(BundledFamilies.All.Length >= 24);
        Assert.All(Enum.GetValues<FamilyClass>(), kind => Assert.True(BundledFamilies.All.Count(f => f.Class == kind) >= 3, kind.ToString()));
        Assert.True(BundledFamilies.All.Count(f => f.Files.Any(file => file.File.Italic)) >= 12);
        Assert.True(BundledFamilies.All.Count(f => BundledFamilies.Measures(f.Files[0].Item.Id)!.Axes.Length > 0) >= 4, "families with axes besides weight");
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void What_is_listed_is_what_the_files_hold(string id)
    {
        var family = BundledFamilies.Find(id)!;
        foreach (var (item, file) in family.Files)
        {
            var bytes = BundledFamilies.Asset(item.Hash)!.Bytes;
            Assert.Equal(item.Hash, Convert.ToHexStringLower(SHA256.HashData(bytes)));
            var font = Sandbar.Fonts.FontFile.Read(bytes);
            // A single weight may be called by another number in its own file; what varies says its range itself.
            if (file.WeightFrom < file.WeightTo) Assert.Equal((file.WeightFrom, file.WeightTo), font.Facts.Weights);
            Assert.Equal(file.Italic, font.Facts.IsItalic);
            Assert.True(font.Facts.MayEmbed);
            Assert.Null(file.Measures);
            Assert.True(FontMeasuring.HoldTogether(BundledFamilies.Measures(item.Id)!));
            Assert.NotEmpty(Faces.Characters(file, font).Ranges);
        }
        Assert.Contains("English", BundledFamilies.LanguagesOf(family).Select(l => l.Name));
        Assert.Contains("Polish", BundledFamilies.LanguagesOf(family).Select(l => l.Name));
        Assert.True(BundledFamilies.Licence(family).Length > 1000);
    }

    public static TheoryData<string> Known => [.. Fixture.Read("capsize.json").GetProperty("known").EnumerateArray().Select(f => f.String("id"))];

    [Theory]
    [MemberData(nameof(Known))]
    public void Metrics_are_those_of_capsize(string id)
    {
        var expected = Fixture.Read("capsize.json").GetProperty("known").EnumerateArray().First(f => f.String("id") == id);
        var family = BundledFamilies.Find(id)!;
        var usual = FontMatching.Files(family.AsFamily("a", "a"), 400, false)[0];
        var ours = BundledFamilies.Measures(usual.Item)!;
        double Share(string what) => (double)expected.GetProperty(what).GetInt32() / expected.GetProperty("unitsPerEm").GetInt32();
        double Ours(int units) => (double)units / ours.UnitsPerEm;
        Assert.Equal(Share("ascent"), Ours(ours.Ascent), 0.0015);
        Assert.Equal(Share("descent"), Ours(ours.Descent), 0.0015);
        Assert.Equal(Share("lineGap"), Ours(ours.LineGap), 0.0015);
        // Theirs are of the regular weight; OS/2 of a variable font speaks of its lightest, where letters are a little lower.
        Assert.Equal(Share("capHeight"), Ours(ours.CapHeight), 0.012);
        Assert.Equal(Share("xHeight"), Ours(ours.XHeight), 0.012);
    }
}
