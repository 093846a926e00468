using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Pictures;
using SkiaSharp;

namespace Sandbar.Core.Tests.Pictures;

/// <summary>Pictures of the designer's own: what is kept of them, and where they come.</summary>
public class OwnPictureTests
{
    private const string Hash = "aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa";

    private static readonly AddPicture Added = new("own", "Reeds at dawn.png", "image/png", Hash, 600, 400, null);

    /// <summary>Sizes as CSS Images 3, §5.3 has them for what has no size, and SVG 2, §8.2 for a view box alone.</summary>
    [Theory]
    [InlineData("""width="40" height="30px" viewBox="0 0 4 3" """, 40, 30)]
    [InlineData("""viewBox="0 0 640 480" """, 640, 480)]
    [InlineData("""width="320" viewBox="0, 0, 640, 480" """, 320, 240)]
    [InlineData("""height="120" viewBox="0 0 640 480" """, 160, 120)]
    [InlineData("""width="100%" height="2em" """, 300, 150)]
    [InlineData("""width="1e9" height="-4" viewBox="0 0 1" """, 100_000, 150)]
    public void A_drawing_is_as_large_as_it_says(string says, int width, int height)
    {
        var picture = OwnPicture.Read(Encoding.UTF8.GetBytes($"<svg xmlns=\"http://www.w3.org/2000/svg\" {says}><rect width=\"10\" height=\"10\" fill=\"#8a2846\"/></svg>"));
        Assert.Equal((PictureFile.Svg, width, height), (picture.Asset.MediaType, picture.Width, picture.Height));
    }

    [Fact]
    public void A_drawing_is_kept_without_what_runs_or_loads()
    {
        var picture = OwnPicture.Read("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 9\" onload=\"x()\"><script>x()</script><rect width=\"9\" height=\"9\"/></svg>"u8.ToArray());
        var kept = Encoding.UTF8.GetString(picture.Asset.Bytes);
        Assert.DoesNotContain("x()", kept, StringComparison.Ordinal);
        Assert.Contains("<rect", kept, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Png, "image/png")]
    [InlineData(SKEncodedImageFormat.Jpeg, "image/jpeg")]
    [InlineData(SKEncodedImageFormat.Webp, "image/webp")]
    public void A_picture_of_pixels_is_kept_as_it_is_and_cut_off_it_is_refused(SKEncodedImageFormat format, string mediaType)
    {
        using var bitmap = new SKBitmap(60, 40);
        bitmap.Erase(SKColors.Olive);
        var bytes = bitmap.Encode(format, 90).ToArray();
        var picture = OwnPicture.Read(bytes);
        Assert.Equal((mediaType, 60, 40), (picture.Asset.MediaType, picture.Width, picture.Height));
        Assert.Equal(bytes, picture.Asset.Bytes);
        Assert.Throws<FormatException>(() => OwnPicture.Read(bytes[..(bytes.Length / 3)]));
    }

    /// <summary>EXIF 2.3: orientation 6, the camera held upright, in the smallest segment that says so.</summary>
    [Fact]
    public void A_photograph_taken_upright_stands_upright()
    {
        using var bitmap = new SKBitmap(60, 40);
        byte[] exif = [0xFF, 0xE1, 0, 34, .. "Exif\0\0MM\0*\0\0\0\b"u8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0, 0];
        var bytes = bitmap.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
        var picture = OwnPicture.Read([.. bytes[..2], .. exif, .. bytes[2..]]);
        Assert.Equal((40, 60), (picture.Width, picture.Height));
    }

    [Fact]
    public void On_the_shelf_it_bears_the_name_of_its_file_and_lies_there_once()
    {
        var site = Demo.Site.After(Added);
        Assert.Equal(new ShelfItem("own", "Reeds at dawn", "pictures/reeds-at-dawn.png", "image/png", Hash, 600, 400), site.Shelf[^1]);
        // The same bytes under another name: nothing comes.
        Assert.Equal(site.Shelf, site.After(Added with { Item = "other", Name = "else.png" }).Shelf);
        var second = site.After(Added with { Item = "second", Hash = new string('b', 64) }).Shelf[^1];
        Assert.Equal(("Reeds at dawn 2", "pictures/reeds-at-dawn-2.png"), (second.Name, second.File));
        Assert.Equal("Picture", Demo.Site.After(Added with { Name = "\u0007.png" }).Shelf[^1].Name);
        Assert.Contains("not a font or picture", Demo.Site.Refused(Added with { MediaType = "image/gif" }).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void It_is_shown_in_a_block_that_has_a_place_for_it_or_in_one_of_its_own()
    {
        var card = Blocks.All(Demo.Site).First(b => b.Part == "card");
        Assert.Equal("own", Blocks.Find(Demo.Site.After(Added with { Spot = new(card.Id, null, null, 0) }), card.Id)!.Content["picture"]);

        var section = Demo.Site.Pages[0].Sections[0];
        var site = Demo.Site.After(Added with { Spot = new("new", Demo.Site.Pages[0].Id, section.Id, 0) });
        Assert.Equal(("picture", "own"), (Blocks.Find(site, section.Id)!.Blocks[0].Part, Blocks.Find(site, "new")!.Content["picture"]));

        var paragraph = Blocks.All(Demo.Site).First(b => b.Part == "paragraph");
        Assert.Contains("no place for a picture", Demo.Site.Refused(Added with { Spot = new(paragraph.Id, null, null, 0) }).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", Demo.Site.Refused(Added with { Spot = new("gone", null, null, 0) }).Message, StringComparison.Ordinal);
        Assert.Contains("no longer there", Demo.Site.Refused(Added with { Spot = new("new", "gone", section.Id, 0) }).Message, StringComparison.Ordinal);
    }
}
