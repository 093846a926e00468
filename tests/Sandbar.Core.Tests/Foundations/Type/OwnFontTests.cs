using System.IO.Compression;
using CsCheck;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;

namespace Sandbar.Core.Tests.Foundations.Type;

/// <summary>Font files of the designer's own: kept as we write them, added, replaced and removed by edits, released with what they say of their licence.</summary>
public class OwnFontTests
{
    private static readonly OwnFont Square = OwnFont.Read(Fixture.Bytes("fonts/square.otf")), Caveat = OwnFont.Read(Fixture.Bytes("fonts/caveat.ttf"));

    private static Site With(OwnFont font, string item = "own-1", Site? site = null, string? family = null, string? replaces = null) =>
        (site ?? Demo.Site).After(AddFontFile.Of(site ?? Demo.Site, font, family, replaces, item));

    [Theory]
    [InlineData("fonts/square.otf")]
    [InlineData("fonts/caveat.ttf")]
    [InlineData("fonts/caveat.woff")]
    public void What_is_kept_is_the_same_font_and_stays_so_when_it_is_read_again(string file)
    {
        var given = Sandbar.Fonts.FontFile.Read(Fixture.Bytes(file));
        var own = OwnFont.Read(Fixture.Bytes(file));
        Assert.Equal("font/woff2", own.Asset.MediaType);
        Assert.True(FileSignature.Fits("font/woff2", own.Asset.Bytes));
        var kept = Sandbar.Fonts.FontFile.Read(own.Asset.Bytes);
        Assert.Equal(given.Facts.Metrics, kept.Facts.Metrics);
        Assert.Equal(given.Facts.Family, kept.Facts.Family);
        Assert.Equal(given.Facts.Characters.Ranges, kept.Facts.Characters.Ranges);
        Assert.Equal(given.Facts.Features, kept.Facts.Features);
        using Sandbar.Fonts.TextMeasure before = new(given), after = new(kept);
        Assert.Equal(before.Width(FallbackFace.Sample, 20, 500), after.Width(FallbackFace.Sample, 20, 500), 1e-9);
        Assert.Equal(own.Asset.Hash, OwnFont.Read(own.Asset.Bytes).Asset.Hash);
        Assert.True(FontMeasuring.HoldTogether(own.Measures));
    }

    [Fact]
    public void A_file_begins_a_family_of_its_name_and_others_of_that_name_join_it()
    {
        var site = With(Caveat);
        var family = site.Type.Families[^1];
        Assert.Equal(Caveat.Measures.Name, family.Name);
        Assert.Equal("own-1", Assert.Single(family.Files).Item);
        Assert.Empty(SiteCheck.Problems(site));
        Assert.Null(AddFontFile.Of(site, Caveat, null, null, "own-2").Name);
        // Of the same weights and slant there is one.
        var again = With(Caveat, "own-2", site);
        Assert.Equal("own-2", Assert.Single(again.Type.Families[^1].Files).Item);
        Assert.Null(again.Shelf.Find("own-1"));
        Assert.Equal(site.Type.Families.Length, again.Type.Families.Length);
    }

    [Fact]
    public void A_family_of_the_shelf_keeps_files_of_ones_own_when_it_takes_all_of_its_own()
    {
        var site = With(Caveat, family: "fraunces").After(Do.Letters("fraunces", "Fraunces"));
        Assert.Contains(site.Type.Families.Get("fraunces").Files, f => f.Item == "own-1");
        Assert.NotNull(site.Shelf.Find("own-1"));
        Assert.Empty(SiteCheck.Problems(site));
        // With other letters they go.
        Assert.DoesNotContain(site.After(Do.Letters("fraunces", "Literata")).Type.Families.Get("fraunces").Files, f => f.Item == "own-1");
    }

    [Fact]
    public void A_long_name_is_cut_between_characters()
    {
        var named = Caveat with { Measures = Caveat.Measures with { Name = new string('x', 49) + "😀😀" } };
        Assert.Equal(new string('x', 49), With(named).Type.Families[^1].Name);
    }

    [Fact]
    public void A_file_is_replaced_and_removed_and_a_removed_family_takes_its_files_along()
    {
        var site = With(Square, "own-2", With(Caveat), "own-1", "own-1");
        Assert.Equal("own-2", Assert.Single(site.Type.Families[^1].Files).Item);
        Assert.Null(site.Shelf.Find("own-1"));
        var without = site.After(new RemoveFontFile("own-1", "own-2"));
        Assert.Empty(without.Type.Families[^1].Files);
        Assert.Equal(Demo.Site.Shelf, without.Shelf);
        Assert.Empty(SiteCheck.Problems(without));
        Assert.Equal(Demo.Site.Shelf, site.After(new RemoveThing("family", "own-1")).Shelf);
        Assert.Contains("no longer there", site.Refused(new RemoveFontFile("own-1", "own-1")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_in_use_is_released_with_its_face_its_stand_in_and_its_licence()
    {
        var site = With(Square with { Measures = Square.Measures with { Licence = "Ours alone." } });
        // Nothing wears it: nobody needs to fetch it.
        Assert.DoesNotContain(SiteRelease.Files(site), f => f.Hash == Square.Asset.Hash);
        site = site.After(new SetThing("textStyle", "lead", "family", site.Type.Families[^1].Name));
        var files = SiteRelease.Files(site).ToList();
        var css = files[0].Text!;
        Assert.Contains($"font-family: \"{site.Type.Families[^1].Name}\";", css, StringComparison.Ordinal);
        Assert.Contains($"\"{site.Type.Families[^1].Name} Fallback\"", css, StringComparison.Ordinal);
        var file = Assert.Single(files, f => f.Hash == Square.Asset.Hash);
        Assert.Equal("Ours alone.", Assert.Single(files, f => f.Path == $"fonts/licences/{Path.GetFileNameWithoutExtension(file.Path)}.txt").Text);
    }

    /// <summary>A family of the program under the name of a designer's own: their letters are not mixed up.</summary>
    [Fact]
    public void Letters_go_by_a_name_of_their_own()
    {
        var site = Demo.Site.After(new AddFontFile("own", "Second", "own-1", Caveat.Asset.Hash, 400, 700, false, Caveat.Measures)).After(new RenameThing("family", "own", "Fraunces letters"));
        Assert.Equal("Second", FamilyList.First(site.Type.Families[^1].Stack));
        Assert.Contains("is taken", Demo.Site.Refused(new AddFontFile("own", "fraunces", "own-1", Caveat.Asset.Hash, 400, 700, false, Caveat.Measures)).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("<b>bold</b> & \"quoted\"", "<b>bold</b> & \"quoted\"")]
    [InlineData("", "Own font")]
    [InlineData("fraunces", "fraunces 2")]
    public void Whatever_a_file_is_called_the_family_has_a_name(string said, string called)
    {
        var site = With(Caveat with { Measures = Caveat.Measures with { Name = said } });
        Assert.Equal(called, site.Type.Families[^1].Name);
        Assert.Empty(SiteCheck.Problems(site));
        Assert.All(SiteRelease.Files(site.After(new SetThing("textStyle", "lead", "family", called))).Where(f => f.Text is not null), f => Assert.DoesNotContain("<b>", f.Text, StringComparison.Ordinal));
    }

    [Fact]
    public void What_a_site_file_says_of_its_fonts_is_read_from_them()
    {
        var lied = With(Caveat with { Measures = Caveat.Measures with { Ascent = 1, Widths = [new(400, 1)] } });
        var (site, assets) = OwnFont.Checked(lied, [.. Demo.Sample.Assets, Caveat.Asset]);
        Assert.Equal(Caveat.Measures.Ascent, site.Type.Families[^1].Files[0].Measures!.Ascent);
        Assert.Equal(Caveat.Measures.Widths, site.Type.Families[^1].Files[0].Measures!.Widths);
        Assert.Contains(assets, a => a.Hash == Caveat.Asset.Hash);
        // A file of the program under the name of another is known by its bytes.
        var swapped = Demo.Site with { Shelf = [.. Demo.Site.Shelf.Select(i => i.Id == "figtree-latin-wght-normal" ? i with { Hash = BundledFamilies.Find("lora")!.Files[0].Item.Hash } : i)] };
        var measured = OwnFont.Checked(swapped, Demo.Sample.Assets).Site.Type.Families.SelectMany(f => f.Files).First(f => f.Item == "figtree-latin-wght-normal").Measures;
        Assert.Equal("Lora", measured!.Name);
        var broken = new Asset(Caveat.Asset.Hash, "font/woff2", [.. Caveat.Asset.Bytes[..200]]);
        Assert.Contains("damaged", Assert.Throws<FormatException>(() => OwnFont.Checked(lied, [broken])).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("text", "no font")]
    [InlineData("empty", "no font")]
    [InlineData("cut off", "damaged")]
    [InlineData("collection", "collection")]
    [InlineData("40 MB", "larger than 20 MB")]
    [InlineData("zip", "no font")]
    public void What_is_no_font_is_said_to_be_none(string what, string said)
    {
        byte[] bytes = what switch
        {
            "text" => [.. "This is a letter, not letters."u8],
            "cut off" => Caveat.Asset.Bytes[..(Caveat.Asset.Bytes.Length / 2)],
            "collection" => [.. "ttcf"u8, .. new byte[200]],
            "40 MB" => new byte[40_000_000],
            "zip" => Zipped(),
            _ => [],
        };
        Assert.Contains(said, Assert.Throws<FormatException>(() => OwnFont.Read(bytes)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_font_with_flipped_bits_is_refused_or_kept_whole() => Gen.Select(Gen.Int[0, 1_000_000], Gen.Byte, (at, value) => (at, value)).Array[1, 6].Sample(
        flips =>
        {
            var bytes = Fixture.Bytes("fonts/square.otf");
            foreach (var (at, value) in flips) bytes[at % bytes.Length] = value;
            try
            {
                var own = OwnFont.Read(bytes);
                Assert.True(FontMeasuring.HoldTogether(own.Measures));
                Assert.Equal(own.Asset.Hash, OwnFont.Read(own.Asset.Bytes).Asset.Hash);
            }
            catch (FormatException)
            {
                // Said to be damaged.
            }
        },
        iter: RandomTimes.Of(200));

    private static byte[] Zipped()
    {
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true)) zip.CreateEntry("font.ttf");
        return bytes.ToArray();
    }
}
