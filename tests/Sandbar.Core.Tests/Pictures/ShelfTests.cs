using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Interchange;
using Sandbar.Core.Pictures;
using SkiaSharp;

namespace Sandbar.Core.Tests.Pictures;

/// <summary>The pictures of the shelf: their uses, another file or another picture in their place, and their smaller forms.</summary>
public class ShelfTests
{
    private const string Kind = PictureKind.Kind;

    private static readonly string Hash = new('e', 64);

    [Fact]
    public void Uses_are_in_blocks_posts_and_backgrounds()
    {
        var site = Demo.Site.After(new SetPost(Demo.Site.Posts[0].Id, PostField.Picture, "weave"));
        Assert.Equal(["evening at the beds", "The drying loft"], Uses.Of(site, Kind, "evening-beds").Select(u => u.Words));
        Assert.Contains(Uses.Of(site, Kind, "weave"), u => u.Place is InPost);
        Assert.Contains(Uses.Of(site, Kind, "weave"), u => u.Place is InThing { Of: "background", Id: "linen" });
    }

    [Fact]
    public void One_takes_the_place_of_another_everywhere()
    {
        var before = Demo.Site.After(new SetPost(Demo.Site.Posts[0].Id, PostField.Picture, "evening-beds"));
        Assert.Contains("in use", before.Refused(new RemoveThing(Kind, "evening-beds")).Message, StringComparison.Ordinal);
        var site = before.After(new RemoveThing(Kind, "evening-beds", By: "drawers"));
        Assert.Null(site.Shelf.Find("evening-beds"));
        Assert.Equal("drawers", Blocks.Find(site, "membership-loft")!.Content["picture"]);
        Assert.Equal("drawers", site.Posts[0].Picture);
        Assert.Equal(new ReferenceValue(Kind, "drawers"), site.Fills.Backgrounds.Get("evening-at-the-beds").Layers[1].Fill);
        Assert.Empty(SiteCheck.Problems(site));
        // Fonts lie on the shelf as well, and stay.
        Assert.Equal(before.Shelf.Count(i => !i.IsPicture), site.Shelf.Count(i => !i.IsPicture));
    }

    [Fact]
    public void Another_file_under_a_name_of_its_own_shows_wherever_the_first_did()
    {
        var site = Demo.Site.After(new ReplacePicture("evening-beds", "evening-beds.jpg", "image/jpeg", Hash, 1000, 800));
        var item = site.Shelf.Get("evening-beds");
        Assert.Equal(("pictures/evening-beds-2.jpg", Hash, 1000, "evening beds"), (item.File, item.Hash, item.Width, item.Name));
        Assert.Equal(Demo.Site.Shelf.Get("evening-beds").FocusX, item.FocusX);
        var files = SiteRelease.Files(site).ToList();
        Assert.Contains("pictures/evening-beds-2.jpg", files.Single(f => f.Path == "workshops.html").Text!, StringComparison.Ordinal);
        Assert.Equal([640], files.Where(f => f.Hash == Hash && f.Width is not null).Select(f => f.Width!.Value));
        Assert.Contains("no longer on the shelf", site.Refused(new ReplacePicture("gone", "a.png", "image/png", Hash, 3, 2)).Message, StringComparison.Ordinal);
        Assert.NotEmpty(site.Refused(new ReplacePicture("weave", "a.gif", "image/gif", Hash, 3, 2)).Message);
    }

    [Fact]
    public void None_comes_without_its_file()
    {
        Assert.Contains("comes with its file", Demo.Site.Refused(new AddThing(Kind, "x", "Quince")).Message, StringComparison.Ordinal);
        Assert.Contains("is taken", Demo.Site.Refused(new RenameThing(Kind, "bean", "BEET")).Message, StringComparison.Ordinal);
        // A colour is called so, too: where both can be typed it says that it is a picture.
        Assert.Equal("Leaf", Demo.Site.After(new RenameThing(Kind, "bean", "Leaf")).Shelf.Get("bean").Name);
    }

    /// <summary>What a block says itself goes before what is said on the shelf.</summary>
    [Fact]
    public void Words_of_the_shelf_stand_in_for_those_a_block_does_not_say()
    {
        var site = Demo.Site.After(new SetThing(Kind, "evening-beds", "alt", "Beds in the \"evening\" & a hat"));
        string Page(Site of) => SiteRelease.Files(of).Single(f => f.Path == "membership.html").Text!;
        Assert.Contains("alt=\"Somebody in a straw hat", Page(site), StringComparison.Ordinal);
        Assert.Contains("alt=\"Beds in the &quot;evening&quot; &amp; a hat\"", Page(site.After(new SetContent("membership-loft", "alt", ""))), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Png, "image/png")]
    [InlineData(SKEncodedImageFormat.Jpeg, "image/jpeg")]
    [InlineData(SKEncodedImageFormat.Webp, "image/webp")]
    public void Forms_are_of_the_same_kind_and_as_wide_as_they_say(SKEncodedImageFormat format, string mediaType)
    {
        using var bitmap = new SKBitmap(2000, 1000);
        bitmap.Erase(SKColors.Teal);
        var form = ScaledForms.Of(bitmap.Encode(format, 90).ToArray(), 640);
        Assert.Equal((mediaType, 640, 320), PictureFile.Measure(form));
        using var read = SKBitmap.Decode(form);
        var middle = read.GetPixel(320, 160);
        Assert.InRange(Math.Abs(middle.Red) + Math.Abs(middle.Green - 128) + Math.Abs(middle.Blue - 128), 0, 8);
    }

    [Theory]
    [InlineData("image/png", 2400, 640, 1280, 1920)]
    [InlineData("image/png", 1510, 640, 1280)]
    [InlineData("image/png", 753, 640)]
    [InlineData("image/png", 752)]
    [InlineData("image/png", 1)]
    [InlineData("image/svg+xml", 2400)]
    public void No_form_is_larger_than_the_picture(string mediaType, int width, params int[] forms) =>
        Assert.Equal(forms, ScaledForms.WidthsOf(new("a", "a", "pictures/a.png", mediaType, Hash, width, 100)));
}
