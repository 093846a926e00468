using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Tests;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>Edges as Chromium paints them, pixel by pixel.</summary>
public sealed class EdgePixelTests(Sandbar.Tests.Browser browser) : IClassFixture<Sandbar.Tests.Browser>
{
    /// <summary>Radii that overlap are painted as those they are fitted to (CSS Backgrounds and Borders 3, §4.5); and others are not painted so.</summary>
    [Fact]
    public void Corners_that_overlap_are_painted_as_they_are_fitted()
    {
        var random = new Random(7);
        for (var i = 0; i < 40; i++)
        {
            var (width, height) = (random.Next(40, 300), random.Next(40, 300));
            var radii = Enumerable.Range(0, 4).Select(_ => new Corner(random.Next(0, 260), random.Next(0, 260))).ToArray();
            var (fitted, factor) = Corners.Fit(width, height, radii);
            Assert.True(Differing(Painted(width, height, radii), Painted(width, height, fitted)) <= 2, $"{width} × {height}: {string.Join(' ', radii)}");
            if (factor < 0.9) Assert.True(Differing(Painted(width, height, radii), Painted(width, height, [.. fitted.Select(c => new Corner(c.Across * 0.9, c.Down * 0.9))])) > 2);
        }
    }

    /// <summary>A box inside another keeps the same distance from it all along its corner: its radius is the outer one less border and padding.</summary>
    [Theory]
    [InlineData("40px", "16px", "none")]
    [InlineData("40px", "16px", "4px solid text")]
    [InlineData("40px", "10px 24px", "none")]
    [InlineData("12px", "20px", "none")]
    public void Inner_corners_follow_outer_ones(string radius, string padding, string border)
    {
        var site = Demo.Site.After(Cell("group-stack", "background", "#000000")).After(Cell("group-stack", "radius", radius)).After(Cell("group-stack", "padding", padding)).After(Cell("group-stack", "border", border))
            .After(Cell("card-standard", "background", "#ffffff")).After(Cell("card-standard", "border", "none")).After(Cell("card-standard", "radius", "inner")).After(Cell("card-standard", "shadow", "none"))
            .WithSections(Shown.Block("s", "section", "section-standard", [], Shown.Block("outer", "group", "group-stack", [], Shown.Block("inner", "card", "card-standard", [("title", "A card"), ("text", "Some words that make it tall enough to have corners.")]))));
        browser.Show(site);
        var inner = browser.Run<string>("const s = getComputedStyle(document.querySelector('[data-block=inner]')); return [s.borderTopLeftRadius, s.borderBottomRightRadius].join()");
        double R() => double.Parse(radius[..^2]);
        var (block, inline) = padding.Split(' ') is [var b, var a] ? (double.Parse(b[..^2]), double.Parse(a[..^2])) : (double.Parse(padding[..^2]), double.Parse(padding[..^2]));
        var line = border == "none" ? 0 : 4;
        var (across, down) = (Math.Max(0, R() - line - inline), Math.Max(0, R() - line - block));
        var expected = across == down ? $"{across}px" : $"{across}px {down}px";
        Assert.Equal($"{expected},{expected}", inner);
        if (across != down || across == 0) return;

        // Along rays from the curves' common centre the black between the two edges is as wide as padding and border.
        var box = browser.Json("const r = document.querySelector('[data-block=outer]').getBoundingClientRect(); return [r.left, r.top]").EnumerateArray().Select(n => n.GetDouble()).ToArray();
        using var pixels = browser.Pixels(box[0], box[1], 80, 80);
        foreach (var degrees in new[] { 20, 45, 70 })
        {
            var (x, y) = (Math.Cos(degrees * Math.PI / 180), Math.Sin(degrees * Math.PI / 180));
            var dark = 0.0;
            for (var d = 0.0; d < R() + 2; d += 0.25)
            {
                if (pixels.Lightness(Math.Max(0, (int)(R() - d * x)), Math.Max(0, (int)(R() - d * y))) < 100) dark += 0.25;
            }
            Assert.InRange(dark, inline + line - 1.5, inline + line + 1.5);
        }
    }

    /// <summary>Over a gradient that runs from dark to light the outer line is darker than what is beside it and the inner one lighter, on every side and all along.</summary>
    [Theory]
    [InlineData("pressed into the ground", -1)]
    [InlineData("raised from the ground", 1)]
    public void Two_tones_from_the_ground_are_told_from_it_everywhere(string second, int outer)
    {
        var site = WithGradientCard(second, distance: "0", width: "3px");
        var plain = WithGradientCard("none", distance: "0", width: "0");
        using var lined = Card(site);
        using var ground = Card(plain);
        var (w, h) = (lined.Width, lined.Height);
        foreach (var at in new[] { 0.1, 0.3, 0.5, 0.7, 0.9 })
        {
            foreach (var (line, depth) in new[] { (outer, 1), (-outer, 4) })
            {
                (int X, int Y)[] places = [((int)(w * at), depth), ((int)(w * at), h - 1 - depth), (depth, (int)(h * at)), (w - 1 - depth, (int)(h * at))];
                foreach (var (x, y) in places)
                {
                    var difference = lined.Lightness(x, y) - ground.Lightness(x, y);
                    Assert.True(Math.Sign(difference) == line && Math.Abs(difference) > 4, $"{x}, {y} of {w} × {h}: {difference}");
                }
            }
            // Inside of both lines it is the ground again.
            Assert.Equal(ground.Lightness((int)(w * at), 10), lined.Lightness((int)(w * at), 10), 1.0);
        }
    }

    [Fact]
    public void A_line_inside_the_edge_stands_at_its_distance_and_follows_the_corner()
    {
        var site = Demo.Site.After(new SetThing("border", "hairline", "color", "#0000ff")).After(new SetThing("border", "hairline", "width", "2px")).After(new SetThing("border", "hairline", "second", "of its own colour"))
            .After(new SetThing("border", "hairline", "distance", "6px")).After(new SetThing("border", "hairline", "second-width", "3px")).After(new SetThing("border", "hairline", "second-color", "#ff0000"))
            .After(Cell("card-standard", "radius", "30px")).After(Cell("card-standard", "background", "#ffffff")).WithSections(Section());
        using var pixels = Card(site);
        var middle = pixels.Width / 2;
        var column = Enumerable.Range(0, 14).Select(y => pixels.GetPixel(middle, y)).ToList();
        var (blue, white, red) = (new SKColor(0, 0, 255), new SKColor(255, 255, 255), new SKColor(255, 0, 0));
        Assert.Equal([blue, blue, white, white, white, white, white, white, red, red, red, white, white, white], column);
        Assert.Equal(column, Enumerable.Range(0, 14).Select(i => pixels.GetPixel(middle, pixels.Height - 1 - i)));
        // Around the corner the two curves have one centre: 30 px in, the inner line begins 8 px within the outer edge.
        var along = Enumerable.Range(0, 120).Select(i => i / 4.0).Select(d => (d, Color: pixels.GetPixel((int)(30 - d * Math.Sqrt(0.5)), (int)(30 - d * Math.Sqrt(0.5))))).ToList();
        var reds = along.Where(a => a.Color.Red > 200 && a.Color.Blue < 80).Select(a => a.d).ToList();
        Assert.InRange(reds.Max(), 20.5, 22.5);
        Assert.InRange(reds.Min(), 18, 20.5);
    }

    /// <summary>Where a state has another border, the line inside goes with the one it belongs to.</summary>
    [Fact]
    public void A_state_without_a_second_line_takes_it_away()
    {
        var site = Demo.Site.After(new SetThing("border", "hairline", "second", "of its own colour")).After(new SetCell("card-standard", "border", State.Hover, null, null, "bright")).WithSections(Section());
        browser.Show(site);
        const string content = "return getComputedStyle(document.querySelector('[data-block=card]'), '::before').content";
        Assert.Equal("\"\"", browser.Run<string>(content));
        Assert.Equal("none", browser.Run<string>($"document.querySelector('[data-block=card]').dataset.force = 'hover'; {content}"));
    }

    [Fact]
    public void A_line_fades_along_a_gradient()
    {
        var site = Demo.Site.After(new SetThing("gradient", "dawn", "angle", "90")).After(new SetThing("border", "hairline", "along", "dawn"))
            .After(new SetThing("border", "hairline", "width", "4px"));
        foreach (var (stop, color) in site.Fills.Gradients.Get("dawn").Stops.Zip(new[] { "#000000", "#ffffff" })) site = site.After(new SetThing("gradient", stop.Id, "color", color, "dawn"));
        using var pixels = Card(site.WithSections(Section()));
        var row = Enumerable.Range(1, 9).Select(i => pixels.Lightness(pixels.Width * i / 10, 1)).ToList();
        Assert.True(row.Zip(row.Skip(1)).All(p => p.Second > p.First + 5), string.Join(' ', row));
    }

    private static SetCell Cell(string look, string property, string text) => new(look, property, State.Rest, null, null, text);

    private static Block Section() => Shown.Block("s", "section", "section-standard", [], Shown.Block("card", "card", "card-standard", [("title", "A card"), ("text", "Some words that make it tall enough to have corners, and some more.")]));

    private static Site WithGradientCard(string second, string distance, string width)
    {
        var site = Demo.Site.After(new SetThing("gradient", "dawn", "angle", "135")).After(new SetThing("border", "hairline", "width", width)).After(new SetThing("border", "hairline", "second", second))
            .After(new SetThing("border", "hairline", "second-width", width)).After(new SetThing("border", "hairline", "distance", distance)).After(new SetThing("border", "hairline", "strength", "35"))
            .After(Cell("card-standard", "background", "dawn")).After(Cell("card-standard", "radius", "none"));
        foreach (var (stop, color) in site.Fills.Gradients.Get("dawn").Stops.Zip(new[] { "#303030", "#d0d0d0" })) site = site.After(new SetThing("gradient", stop.Id, "color", color, "dawn"));
        return site.WithSections(Section());
    }

    /// <summary>The card's pixels, without its words.</summary>
    private SKBitmap Card(Site site)
    {
        browser.Show(site);
        // Boxes of one size, whatever their lines take.
        var box = browser.Json("for (const e of document.querySelectorAll('header, footer')) e.remove(); const c = document.querySelector('[data-block=card]'); c.style.cssText = 'width: 400px; height: 240px; position: absolute; left: 40px; top: 40px; color: transparent'; for (const e of c.querySelectorAll('*')) e.style.color = 'transparent'; const r = c.getBoundingClientRect(); return [r.left, r.top, r.width, r.height]")
            .EnumerateArray().Select(n => n.GetDouble()).ToArray();
        return browser.Pixels(box[0], box[1], (int)box[2], (int)box[3]);
    }

    private SKBitmap Painted(int width, int height, IReadOnlyList<Corner> radii)
    {
        string Px(IEnumerable<double> lengths) => string.Join(' ', lengths.Select(l => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{l:0.######}px")));
        browser.Driver.ExecuteScript("document.documentElement.innerHTML = '<body style=\"margin:0;background:#fff\"><div></div>'; document.querySelector('div').style.cssText = arguments[0]",
            $"width:{width}px;height:{height}px;background:#000;border-radius:{Px(radii.Select(r => r.Across))} / {Px(radii.Select(r => r.Down))}");
        return browser.Pixels(0, 0, width, height);
    }

    /// <summary>How many pixels are clearly of another lightness.</summary>
    private static int Differing(SKBitmap a, SKBitmap b)
    {
        var count = 0;
        for (var y = 0; y < a.Height; y++)
        {
            for (var x = 0; x < a.Width; x++)
            {
                if (Math.Abs(a.Lightness(x, y) - b.Lightness(x, y)) > 24) count++;
            }
        }
        return count;
    }
}
