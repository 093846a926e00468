using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Pictures;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Styling;
using Sandbar.Css.Colors;
using Sandbar.Css.Documents;
using Sandbar.Css.Images;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>How texts read over fills where a page was measured. That Chromium paints the same grounds is a browser test.</summary>
public class TextContrastsTests
{
    private const string Title = "workshops-title", Head = "workshops-head", Beds = "evening-at-the-beds";

    private static readonly CancellationToken Cancel = TestContext.Current.CancellationToken;

    /// <summary>The head wears a gradient alone: it is the fill and the contrast of the command line, wherever the line lies in the box.</summary>
    [Theory]
    [InlineData(100, 320, 400, 48)]
    [InlineData(0, 300, 1280, 400)]
    [InlineData(733.4, 512.7, 91.5, 20.3)]
    public void Over_a_gradient_alone_it_is_the_contrast_of_the_pixels_under_the_line(double left, double top, double width, double height)
    {
        var site = Demo.Site.After(new SetOwn(Head, "background", State.Rest, null, null, "dawn"));
        var box = new MeasuredBoxOnPage(0, 300, 1280, 400);
        var found = Of(site, 1280, box, new MeasuredBoxOnPage(left, top, width, height)).Where(t => !t.Place.Dark).ToList();
        var text = Assert.Single(found);
        Assert.Equal("", text.Why);
        int x = (int)Math.Ceiling(left), y = (int)Math.Ceiling(top), right = (int)Math.Floor(left + width), bottom = (int)Math.Floor(top + height);
        var css = GradientKind.Css(new(site), site.Fills.Gradients.Get("dawn"), c => ColorText.Hex(SchemeColors.Of(site, site.Palette.Schemes[0], c)!.Value));
        var pixels = FillImage.Parse(css, 1280, 400).Painted(Color.White, (x, y - 300, right - x, bottom - y));
        var expected = GroundContrast.Of(pixels, right - x, text.Foreground);
        Assert.Equal(expected.Worst, text.Place.Spot!.Ratio, 0.05);
        Assert.Equal(expected.Mean, text.Place.Spot.Mean, 0.05);
        Assert.Equal(("dawn", "gradient", "dawn"), (text.GroundFrom.Name, text.Fills[0].Kind, text.Fills[0].Id));
        Assert.Null(text.Place.Spot.Scroll);
    }

    /// <summary>Both of the site's schemes, once by themselves and once as they turn for who prefers dark.</summary>
    [Fact]
    public void A_text_is_looked_at_for_visitors_who_prefer_light_and_dark()
    {
        var found = Of(Demo.Site, 390, new(0, 300, 390, 300), new(20, 340, 300, 60));
        Assert.Equal([false, true], found.Select(t => t.Place.Dark).Order());
        Assert.Equal(2, found.Select(t => t.Scheme).Distinct().Count());
        Assert.All(found, t => Assert.InRange(t.Place.Spot!.Ratio, 1, t.Place.Spot.Mean));
    }

    /// <summary>What was looked at before has no say: a block that wore a gradient and wears a picture now is one over a picture, whichever of the two was seen first.</summary>
    [Fact]
    public void A_picture_that_takes_the_place_of_a_gradient_is_one()
    {
        var plain = Demo.Site.After(new SetOwn(Head, "background", State.Rest, null, null, "dawn"));
        Assert.All(Of(plain, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60)), t => Assert.Equal("dawn", t.GroundFrom.Name));
        var filled = plain.After(new SetOwn(Head, "background", State.Rest, null, null, "evening at the beds"));
        Assert.All(Of(filled, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60)), t => Assert.Equal("evening at the beds", t.GroundFrom.Name));
        var again = filled.After(new SetOwn(Head, "background", State.Rest, null, null, "dawn"));
        Assert.All(Of(again, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60)), t => Assert.Equal("dawn", t.GroundFrom.Name));
    }

    /// <summary>What goes slower than the page shows the line other parts of the picture: the worst of all is no better than where it lies with the page.</summary>
    [Fact]
    public void What_moves_is_looked_at_wherever_the_page_is_scrolled_to()
    {
        double Worst(string attachment) => Of(Demo.Site.After(new SetThing(BackgroundKind.Kind, "layer-2", "attachment", attachment, Beds)), 1280, new(0, 900, 1280, 300), new(900, 960, 300, 60)).Where(t => !t.Place.Dark).Min(t => t.Place.Spot!.Ratio);
        Assert.True(Worst("slower than it") <= Worst("with the page") + 1e-9);
        Assert.NotEqual(Worst("stands still"), Worst("with the page"));
    }

    [Fact]
    public void What_cannot_be_told_says_why()
    {
        string Why(Site site) => Of(site, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60)).Select(t => t.Why).Distinct().Single();
        Assert.Equal("", Why(Demo.Site));
        Assert.Contains("filter", Why(Demo.Site.After(new SetOverrides("[data-block=workshops-head] { filter: sepia(1); }"))), StringComparison.Ordinal);
        Assert.Contains("mix-blend-mode", Why(Demo.Site.After(new SetOverrides("[data-block=workshops-title] { mix-blend-mode: difference; }"))), StringComparison.Ordinal);
        Assert.Contains("you wrote", Why(Demo.Site.After(new SetOverrides("[data-block=workshops-title] { background: linear-gradient(red, blue) 10px 0 / 20px 20px; }"))), StringComparison.Ordinal);
        Assert.Contains("you wrote", Why(Demo.Site.After(new SetOverrides("[data-block=workshops-title] { background: radial-gradient(circle at 3cqw 2ch, red, blue); }"))), StringComparison.Ordinal);
        Assert.Contains("cannot be read", TextContrasts.Of(Demo.Site, Measured(Demo.Site, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60)), _ => null, Cancel).Select(t => t.Why).First(), StringComparison.Ordinal);
        var elsewhere = Measured(Demo.Site, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60));
        elsewhere = elsewhere with { Elements = [.. elsewhere.Elements.Select((e, i) => i == elsewhere.Elements.Length - 1 ? e with { Around = 0 } : e)] };
        Assert.Contains("has changed", TextContrasts.Of(Demo.Site, elsewhere, Pictures, Cancel).Select(t => t.Why).First(), StringComparison.Ordinal);
    }

    /// <summary>Measured where the text lies, it takes the place of the worst of the whole gradient; on pages that were not, that stays.</summary>
    [Fact]
    public void What_was_measured_takes_the_place_of_what_was_feared()
    {
        var site = Demo.Site.After(new SetOwn(Head, "background", State.Rest, null, null, "dawn"));
        var pairs = ContrastPairs.Of(site, Cancel);
        Assert.Contains(pairs, p => p.IsAlong && p.Places.Any(at => at.Block == Title));
        var found = Of(site, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60));
        Assert.Contains(MeasuredPairs.Of(pairs, found, (_, _) => false), p => p.IsAlong && p.Places.Any(at => at.Block == Title));
        var known = MeasuredPairs.Of(pairs, found, (page, _) => page == "workshops");
        Assert.DoesNotContain(known, p => p.IsAlong && p.Places.Any(at => at.Block == Title));
        Assert.Contains(known, p => p.IsMeasured && p.Places[0].Block == Title && p.Ratio == p.Places[0].Spot!.Ratio);
        Assert.True(known.Select(p => p.Passes).SequenceEqual(known.Select(p => p.Passes).Order()));
    }

    /// <summary>The veil lets all texts over the fill be read, in every scheme; with a step less of it one could not be.</summary>
    [Fact]
    public void The_faintest_veil_lets_every_text_be_read()
    {
        var box = new MeasuredBoxOnPage(0, 300, 390, 300);
        var line = new MeasuredBoxOnPage(20, 340, 360, 220);
        var pair = MeasuredPairs.Of([], Of(Demo.Site, 390, box, line, "workshops-lead"), (_, _) => true)[0];
        Assert.False(pair.Passes);
        var (mend, why) = VeilMend.Of(Demo.Site, pair, [Measured(Demo.Site, 390, box, line, "workshops-lead")], Pictures, () => "veil", Cancel);
        Assert.Equal("", why);
        Assert.Equal(0, mend!.Broken);
        var veiled = Demo.Site.After(mend.Edit);
        Assert.Equal("veil", veiled.Fills.Backgrounds.Get(Beds).Layers[0].Id);
        var after = Of(veiled, 390, box, line, "workshops-lead");
        Assert.All(after, t => Assert.True(t.Place.Spot!.Ratio >= t.Target - 0.02, $"{t.Scheme}: {t.Place.Spot.Ratio}"));
        Assert.Equal(mend.Ratio, after.Min(t => t.Place.Spot!.Ratio), 0.05);
        var fainter = veiled.After(new SetThing(BackgroundKind.Kind, "veil", "opacity", $"{(veiled.Fills.Backgrounds.Get(Beds).Layers[0].Opacity is NumberValue share ? share.Number : 0) - 1}%", Beds));
        Assert.Contains(Of(fainter, 390, box, line, "workshops-lead"), t => t.Place.Spot!.Ratio < t.Target);
    }

    /// <summary>A gradient alone takes no layer: a background of both is worn in its place.</summary>
    [Fact]
    public void A_veil_over_a_gradient_makes_a_background_of_both()
    {
        var site = Demo.Site.After(new SetOwn(Head, "background", State.Rest, null, null, "furrow")).After(new SetOwn("workshops-lead", "text-color", State.Rest, null, null, "#6f7f6f"));
        var (box, line) = (new MeasuredBoxOnPage(0, 300, 1280, 300), new MeasuredBoxOnPage(20, 340, 600, 200));
        var pair = MeasuredPairs.Of([], Of(site, 1280, box, line, "workshops-lead"), (_, _) => true)[0];
        Assert.False(pair.Passes);
        var mend = VeilMend.Of(site, pair, [Measured(site, 1280, box, line, "workshops-lead")], Pictures, () => "veiled", Cancel).Mend!;
        var veiled = site.After(mend.Edit);
        Assert.Equal(["furrow veiled"], veiled.Fills.Backgrounds.Except(site.Fills.Backgrounds).Select(b => b.Name));
        Assert.All(Of(veiled, 1280, box, line, "workshops-lead"), t => Assert.True(t.Place.Spot!.Ratio >= t.Target - 0.02));
    }

    [Fact]
    public void Under_a_panel_a_veil_is_of_no_use()
    {
        var site = Demo.Site.After(new SetOverrides("[data-block=workshops-lead] { background: rgb(255 255 255 / 0.3); }"));
        var (box, line) = (new MeasuredBoxOnPage(0, 300, 390, 300), new MeasuredBoxOnPage(20, 340, 360, 220));
        var pair = MeasuredPairs.Of([], Of(site, 390, box, line, "workshops-lead"), (_, _) => true)[0];
        var (mend, why) = VeilMend.Of(site, pair, [Measured(site, 390, box, line, "workshops-lead")], Pictures, () => "veil", Cancel);
        Assert.Null(mend);
        Assert.Contains("over evening at the beds", why, StringComparison.Ordinal);
    }

    [Fact]
    public void Measures_that_cannot_be_are_refused()
    {
        var good = Measured(Demo.Site, 1280, new(0, 300, 1280, 300), new(20, 340, 300, 60));
        Assert.Null(good.Check());
        foreach (var bad in new[]
        {
            good with { Width = 0 }, good with { Height = 100_000 }, good with { Length = double.NaN }, good with { Elements = [.. Enumerable.Repeat(good.Elements[0], MeasuredTexts.MostElements + 1)] },
            WithLast(e => e with { Around = good.Elements.Length }), WithLast(e => e with { Around = -2 }), WithLast(e => e with { Box = new(0, 0, double.NaN, 1) }), WithLast(e => e with { Box = new(0, 0, -1, 1) }),
            WithLast(e => e with { Lines = [new(double.PositiveInfinity, 0, 1, 1)] }), WithLast(e => e with { Lines = [.. Enumerable.Repeat(e.Box, MeasuredTexts.MostLines + 1)] }),
        }) Assert.EndsWith(".", bad.Check()!.Replace("again", "again.", StringComparison.Ordinal), StringComparison.Ordinal);

        MeasuredTexts WithLast(Func<MeasuredElement, MeasuredElement> change) => good with { Elements = [.. good.Elements[..^1], change(good.Elements[^1])] };
    }

    private static ImmutableArray<TextContrast> Of(Site site, int width, MeasuredBoxOnPage head, MeasuredBoxOnPage line, string block = Title) => TextContrasts.Of(site, Measured(site, width, head, line, block), Pictures, Cancel);

    private static DecodedPicture? Pictures(ShelfItem item) => DecodedPicture.Of(Demo.Sample.Assets.First(a => a.Hash == item.Hash).Bytes);

    /// <summary>The workshops as if they were measured: the head in a box, one text of it in a line, all around as wide as the window.</summary>
    private static MeasuredTexts Measured(Site site, int width, MeasuredBoxOnPage head, MeasuredBoxOnPage line, string block = Title)
    {
        var page = SiteStyles.Of(site)[site.Pages.Get("workshops")];
        var own = page.Blocks[block].First();
        Element[] chain = [.. own.Ancestors().Reverse(), own];
        var height = Viewports.All.First(v => v.Width == width).Height;
        var around = new MeasuredBoxOnPage(0, 0, width, 3000);
        MeasuredBoxOnPage BoxOf(int i) => Array.FindIndex(chain, c => c["data-block"] == Head) <= i ? head : around;
        return new("workshops", width, height, 3000,
            [.. chain.Select((e, i) => new MeasuredElement(i - 1, e["data-block"] ?? "", 0, BoxOf(i), BoxOf(i), e == own ? [line] : []))]);
    }
}
