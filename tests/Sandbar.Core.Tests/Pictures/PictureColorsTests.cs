using System.Text;
using CsCheck;
using Sandbar.Core.Pictures;
using Sandbar.Css.Colors;
using SkiaSharp;

namespace Sandbar.Core.Tests.Pictures;

/// <summary>Pictures whose clusters are known, since they are made here: what is found is held to what they were made of, by ΔEOK (CSS Color 4).</summary>
public class PictureColorsTests
{
    private static readonly (string Hex, double Share)[] Known = [("#8a2846", 0.4), ("#e3b23c", 0.3), ("#2f5d3a", 0.2), ("#fffdf8", 0.1)];

    [Theory]
    [InlineData(SKEncodedImageFormat.Png, 0)]
    [InlineData(SKEncodedImageFormat.Png, 5)]
    [InlineData(SKEncodedImageFormat.Jpeg, 3)]
    [InlineData(SKEncodedImageFormat.Webp, 3)]
    public void Known_clusters_are_found_with_their_shares(SKEncodedImageFormat format, int noise)
    {
        var found = PictureColors.Of(PictureFile.Read(Encoded(format, 400, 300, (x, _) => Known[At(x / 400d)].Hex, noise)), 4);
        Assert.Equal(4, found.Length);
        foreach (var (color, known) in found.Zip(Known))
        {
            Assert.True(Difference.Oklab(color.Color, ColorText.Parse(known.Hex)) < 0.02, $"{color} for {known}");
            Assert.Equal(known.Share, color.Share, 0.02);
        }
    }

    /// <summary>Made by Pillow (make-picture-fixtures.py): inks instead of light, and more than one frame, of which the first counts.</summary>
    [Theory]
    [InlineData("cmyk.jpg")]
    [InlineData("animated.png")]
    [InlineData("animated.webp")]
    public void Rare_forms_of_pictures_are_read(string file)
    {
        var found = PictureColors.Of(PictureFile.Read(Made(file)), 4);
        Assert.Equal([0.7, 0.3], found.Select(c => Math.Round(c.Share, 2)));
        foreach (var (color, hex) in found.Zip(new[] { "#224466", "#8a2846" })) Assert.True(Difference.Oklab(color.Color, ColorText.Parse(hex)) < 0.02, $"{color} for {hex}");
    }

    [Fact]
    public void Other_kinds_of_pictures_are_refused_by_name() =>
        Assert.Contains("Pictures of this kind are not read", Assert.Throws<FormatException>(() => PictureFile.Read(Made("still.gif"))).Message, StringComparison.Ordinal);

    private static byte[] Made(string file) => File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "fixtures", "pictures", file));

    [Fact]
    public void Flat_colours_are_found_to_the_last_bit_and_no_more_than_there_are()
    {
        var found = PictureColors.Of(PictureFile.Read(Encoded(SKEncodedImageFormat.Png, 100, 10, (x, _) => Known[At(x / 100d)].Hex, 0)), 8);
        Assert.Equal(Known.Select(k => (k.Hex, k.Share)), found.Select(c => (ColorText.Hex(c.Color), Math.Round(c.Share, 6))));
    }

    [Fact]
    public void Whatever_the_picture_shares_fall_and_add_up() => Gen.Select(Gen.Int[0, 255].Array[3].Array[1, 40], Gen.Int[1, 12]).Sample((colors, count) =>
    {
        var pixels = new Pixels(colors.Length, 1, [.. colors.SelectMany(c => c.Select(v => (byte)v).Append((byte)255))]);
        var found = PictureColors.Of(pixels, count);
        Assert.InRange(found.Length, 1, count);
        Assert.Equal(1, found.Sum(c => c.Share), 1e-9);
        Assert.Equal(found.Select(c => c.Share).OrderDescending(), found.Select(c => c.Share));
        Assert.All(found, c => Assert.Equal(c.Color, Gamut.Rounded(c.Color)));
    });

    [Fact]
    public void What_is_transparent_does_not_count()
    {
        var pixels = new Pixels(4, 1, [138, 40, 70, 255, 0, 0, 0, 0, 0, 0, 0, 0, 138, 40, 70, 10]);
        Assert.Equal([("#8a2846", 1d)], PictureColors.Of(pixels, 3).Select(c => (ColorText.Hex(c.Color), c.Share)));
        Assert.Throws<FormatException>(() => PictureColors.Of(new(1, 1, [9, 9, 9, 0]), 3));
    }

    [Fact]
    public void Svg_is_drawn_with_its_styles_and_nothing_from_outside()
    {
        const string svg = """
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" onload="alert(1)">
              <style>@import url(http://127.0.0.1:1/x.css); .a { fill: #8a2846 } .b { fill: url(http://127.0.0.1:1/#g) }</style>
              <script>document.documentElement.innerHTML = ''</script>
              <rect class="a" width="100" height="60"/><rect y="60" width="100" height="40" style="fill:#e3b23c"/>
              <image href="file:///etc/hostname" width="100" height="100"/>
            </svg>
            """;
        Assert.Equal([("#8a2846", 0.6), ("#e3b23c", 0.4)], PictureColors.Of(PictureFile.Read(Encoding.UTF8.GetBytes(svg)), 5).Select(c => (ColorText.Hex(c.Color), Math.Round(c.Share, 3))));
    }

    /// <summary>The areas follow from the numbers in it: 10,000 in all, of which what lies on top is seen.</summary>
    [Fact]
    public void An_svg_tells_its_fills_strokes_and_stops_by_the_area_they_cover()
    {
        const string svg = """
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" color="#336699">
              <style>.sign { fill: #8a2846 }</style>
              <defs>
                <linearGradient id="colors"><stop stop-color="#ffffff"/><stop offset="1" stop-color="#000000"/></linearGradient>
                <linearGradient id="across" href="#colors"/>
                <symbol id="square" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol>
                <clipPath id="half"><rect width="100" height="10" fill="lime"/></clipPath>
              </defs>
              <rect class="sign" width="100" height="40"/>
              <rect y="40" width="100" height="20" fill="url(#across)"/>
              <g opacity="0.5"><rect x="5" y="65" width="20" height="20" fill="none" stroke="currentColor" stroke-width="10"/></g>
              <use href="#square" x="60" y="60" width="20" height="20" fill="#E3B23C"/>
              <rect width="100" height="20" fill="#2f5d3a" clip-path="url(#half)"/>
              <rect y="80" x="60" width="20" height="20" fill="red" opacity="0"/>
              <circle cx="90" cy="-90" r="5" fill="#8a2846"/>
            </svg>
            """;
        // Half of the picture's 10,000 and more is painted: 3,000 + 1,000 of the rectangles, 2,000 of the gradient, 800 of the frame, 400 of the square.
        Assert.Equal(
            [("#8a2846", 3000, "Fill"), ("#000000", 1000, "Stop"), ("#ffffff", 1000, "Stop"), ("#2f5d3a", 1000, "Fill"), ("#336699", 800, "Stroke"), ("#e3b23c", 400, "Fill")],
            PictureColors.InFile(Encoding.UTF8.GetBytes(svg), 2).Select(c => (ColorText.Hex(c.Color), (int)(Math.Round(c.Share * 7200 / 50) * 50), string.Join(' ', c.Paints)))
                .OrderByDescending(c => c.Item2).ThenBy(c => Array.IndexOf(["#000000", "#ffffff", "#2f5d3a"], c.Item1)));
    }

    [Fact]
    public void A_colour_that_fills_and_strokes_is_told_once() =>
        Assert.Equal([PaintKind.Fill, PaintKind.Stroke], Assert.Single(PictureColors.InFile(
            "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><rect x='2' y='2' width='5' height='5' fill='teal' stroke='teal'/></svg>"u8.ToArray(), 8)).Paints);

    [Theory]
    [InlineData("hello", "no picture")]
    [InlineData("<svg", "cannot be read from line 1")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg'/>", "Nothing can be seen")]
    [InlineData("<!DOCTYPE svg [<!ENTITY a 'aaaa'><!ENTITY b '&a;&a;'>]><svg xmlns='http://www.w3.org/2000/svg'><text>&b;</text></svg>", "cannot be read")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg'><g id='a'><use href='#a'/></g></svg>", "refers to itself")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg'><pattern id='a'><rect fill='url(#a)' width='9' height='9'/></pattern><rect fill='url(#a)' width='9' height='9'/></svg>", "refers to itself")]
    public void What_is_no_picture_is_refused_with_the_reason(string text, string reason) =>
        Assert.Contains(reason, Assert.Throws<FormatException>(() => PictureColors.InFile(Encoding.UTF8.GetBytes(text), 3)).Message, StringComparison.Ordinal);

    [Fact]
    public void What_grows_beyond_all_bounds_is_refused_before_it_is_drawn()
    {
        var nested = string.Concat(Enumerable.Range(1, 12).Select(i => $"<g id='x{i}'>{string.Concat(Enumerable.Repeat($"<use href='#x{i - 1}'/>", 10))}</g>"));
        Refused($"<defs><rect id='x0' width='9' height='9'/>{nested}</defs><use href='#x12'/>", "too large");
        Refused(string.Concat(Enumerable.Repeat("<g>", 100_000)) + string.Concat(Enumerable.Repeat("</g>", 100_000)), "nested more than");

        static void Refused(string content, string reason) =>
            Assert.Contains(reason, Assert.Throws<FormatException>(() => PictureFile.Read(Encoding.UTF8.GetBytes($"<svg xmlns='http://www.w3.org/2000/svg'>{content}</svg>"))).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_picture_cut_off_or_too_large_is_refused()
    {
        var whole = Encoded(SKEncodedImageFormat.Png, 50, 50, (x, y) => x < y ? "#8a2846" : "#e3b23c", 6);
        Assert.Contains("damaged", Assert.Throws<FormatException>(() => PictureFile.Read(whole[..(whole.Length / 2)])).Message, StringComparison.Ordinal);
        // The size a JPEG says it has (ITU-T T.81, B.2.2): 10,000 by 10,000.
        var huge = Encoded(SKEncodedImageFormat.Jpeg, 50, 50, (_, _) => "#8a2846", 0);
        var frame = huge.AsSpan().IndexOf(stackalloc byte[] { 0xFF, 0xC0 });
        new byte[] { 0x27, 0x10, 0x27, 0x10 }.CopyTo(huge, frame + 5);
        Assert.Contains("100 million pixels", Assert.Throws<FormatException>(() => PictureFile.Read(huge)).Message, StringComparison.Ordinal);
    }

    private static int At(double way)
    {
        var k = 0;
        for (var sum = Known[0].Share; way >= sum - 1e-9 && k < Known.Length - 1; sum += Known[k].Share) k++;
        return k;
    }

    private static byte[] Encoded(SKEncodedImageFormat format, int width, int height, Func<int, int, string> hex, int noise)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Rgba8888, SKAlphaType.Opaque));
        for (var y = 0; y < height; y++)
        {
            for (var x = 0; x < width; x++)
            {
                var color = SKColor.Parse(hex(x, y));
                // The same unrest each time.
                byte Moved(byte channel, int salt) => (byte)Math.Clamp(channel + (noise == 0 ? 0 : (x * 73 + y * 151 + salt * 211) % (2 * noise + 1) - noise), 0, 255);
                bitmap.SetPixel(x, y, new(Moved(color.Red, 1), Moved(color.Green, 2), Moved(color.Blue, 3)));
            }
        }
        using var data = bitmap.Encode(format, 92);
        return data.ToArray();
    }
}
