using System.Globalization;
using System.Numerics;
using System.Text;
using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;
using Sandbar.Tests;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>Gradients as Chromium paints them, at 25 points each.</summary>
public sealed class FillPixelTests(Sandbar.Tests.Browser browser) : IClassFixture<Sandbar.Tests.Browser>
{
    private const int Width = 120, Height = 80, AcrossPage = 10, Off = 2;

    private static readonly double[] Xs = [3.5, 30.5, 60.5, 91.5, 117.5], Ys = [2.5, 20.5, 41.5, 60.5, 77.5];

    private static readonly string[] Spaces =
        ["", "in srgb", "in srgb-linear", "in hsl", "in hwb", "in lab", "in lch", "in oklab", "in oklch", "in xyz", "in xyz-d50", "in display-p3", "in a98-rgb", "in prophoto-rgb", "in rec2020"];

    private static readonly string[] Ways = [" shorter hue", " longer hue", " increasing hue", " decreasing hue"];

    private static readonly string[] Linear = ["", "to top", "to right", "to bottom left", "to top right", "30deg", "200deg", "0.3turn", "-45deg", "calc(40deg * 2)"];

    private static readonly string[] Radial =
    [
        "", "circle", "closest-side", "farthest-side", "closest-corner", "farthest-corner", "circle closest-side", "circle farthest-side", "circle closest-corner", "circle farthest-corner", "40px", "30px 20px", "50% 30%",
        "circle 2em", "closest-corner circle",
    ];

    private static readonly string[] Places = ["", "at 30% 40%", "at 20px 70px", "at right 10px bottom 20%", "at left", "at 150% -20%", "at center top", "at calc(50% + 7px) 33%"];

    private static readonly string[] Colors =
    [
        "#c0392b", "#2e8b57aa", "rgb(20 60 200 / 0.4)", "teal", "white", "black", "transparent", "hsl(280 60% 45%)", "oklch(0.7 0.12 150)", "oklab(0.5 0.08 -0.06)", "color(display-p3 0.9 0.3 0.2)", "lch(60 40 300 / 0.8)", "color(srgb 0.2 0.7 0.6)", "#e3b23c",
    ];

    /// <summary>Every kind in every space, repeating or not, with hues going every way.</summary>
    [Fact]
    public void Every_kind_in_every_space_is_painted_as_Chromium_paints_it()
    {
        var heads = Spaces.SelectMany(s => s is "in hsl" or "in hwb" or "in lch" or "in oklch" ? Ways.Select(way => s + way).Prepend(s) : [s]);
        Compare([.. from head in heads
                    from kind in new[] { "linear", "radial", "conic" }
                    from repeats in new[] { "", "repeating-" }
                    from stops in new[] { "#c0392b, oklch(0.7 0.12 150) 45%, #e3b23c80 70%", "#2e8b57, rgb(20 60 200 / 0.4) 60%" }
                    select $"{repeats}{kind}-gradient({(head.Length > 0 ? $"{head}, " : "")}{stops})"]);
    }

    /// <summary>On paper a mesh is one drawing, in every scheme: the same points come out as of its layers.</summary>
    [Fact]
    public void Meshes_are_drawn_for_print_as_their_layers_are_painted()
    {
        var site = Demo.Site;
        var sheet = StyleSheetText.Release(StyleSheetRenderer.Render(site), item => item.File);
        var mesh = site.Fills.Gradients.Get("allotment");
        var drawings = Regex.Matches(sheet, @"@media print \{\s*\[data-scheme=""(?<scheme>[^""]+)""\] \{\s*--gradient-allotment: (?<images>[^;]+);");
        Assert.Equal(site.Palette.Schemes.Length, drawings.Count);
        foreach (Match drawing in drawings)
        {
            var scheme = site.Palette.Schemes.Single(s => s.CssName == drawing.Groups["scheme"].Value);
            var layers = GradientKind.Css(new(site), mesh, c => ColorText.Hex(SchemeColors.Of(site, scheme, c)!.Value));
            Assert.Equal(mesh.Stops.Length - 1, Regex.Count(drawing.Groups["images"].Value, "none, "));
            browser.Driver.Navigate().GoToUrl("about:blank");
            browser.Run<object?>("document.body.style.margin = 0; document.body.innerHTML = ''; arguments[0].forEach((image, n) => { const box = document.createElement('div'); box.style.cssText = `position:absolute; top:${n * 100}px; width:120px; height:80px`; box.style.background = image; document.body.append(box); })", new object[] { new[] { layers, drawing.Groups["images"].Value } });
            using var seen = browser.Pixels(0, 0, Width, 200);
            foreach (var (x, y) in from x in Xs from y in Ys select ((int)x, (int)y))
            {
                var (one, other) = (seen.GetPixel(x, y), seen.GetPixel(x, 100 + y));
                Assert.True(Math.Max(Math.Abs(one.Red - other.Red), Math.Max(Math.Abs(one.Green - other.Green), Math.Abs(one.Blue - other.Blue))) <= Off, $"{scheme.Name} at {x},{y}: {one} as layers, {other} as a drawing");
            }
        }
    }

    /// <summary>Every geometry, with stops out of order, at one place, outside the line, with two places, and hints.</summary>
    [Fact]
    public void Every_geometry_is_painted_as_Chromium_paints_it()
    {
        string[] stops = ["red, blue", "red 20%, lime 20%, blue 80%", "red 70%, lime 30%, blue", "red -30%, blue 130%", "teal 20px 40px, white, 70%, black 90%", "red, 20%, blue", "red, 50%, blue", "red 10%, 10%, blue", "#c0392b, oklch(0.7 0.12 150), 80%, teal"];
        string[] angles = ["red, blue", "red 20%, lime 20%, blue 80%", "red 0.7turn, lime 30deg, blue", "red -30deg, blue 400deg", "teal 40deg 90deg, white, 70%, black 90%", "red, 20%, blue"];
        Compare(
        [
            .. from head in Linear from s in stops from r in new[] { "", "repeating-" } select Of($"{r}linear", head, s),
            .. from head in Radial from place in Places from s in stops[..1] select Of("radial", $"{head} {place}".Trim(), s),
            .. from head in Radial from s in stops from r in new[] { "", "repeating-" } select Of($"{r}radial", $"{head} at 30% 40%".Trim(), s),
            .. from head in new[] { "", "from 45deg", "from -200deg" } from place in Places from s in angles from r in new[] { "", "repeating-" } select Of($"{r}conic", $"{head} {place}".Trim(), s),
        ]);
    }

    /// <summary>Random stops of any colour, several gradients one over the other.</summary>
    [Fact]
    public void Random_gradients_are_painted_as_Chromium_paints_them()
    {
        var random = new Random(15);
        Compare([.. Enumerable.Range(0, RandomTimes.Of(400)).Select(_ => string.Join(", ", Enumerable.Range(0, random.Next(1, 4)).Select(_ => Random(random))))]);
    }

    /// <summary>White, greys and black: Chromium gives them hues of its own in the spaces that have one, which the engine follows.</summary>
    [Fact]
    public void Greys_in_spaces_of_hues_are_painted_as_Chromium_paints_them() =>
        Compare([.. from color in new[] { "hsl(200 50% 50%)", "#a05030", "#30a040", "#8040c0" }
                    from grey in new[] { "white", "black", "#ccc", "#808080", "transparent" }
                    from space in new[] { "oklch", "hsl", "hwb", "oklab" }
                    from order in new[] { $"{color}, {grey}", $"{grey}, {color}" }
                    select $"linear-gradient(90deg in {space}, {order})"], off: 3);

    /// <summary>Every blend mode, of opaque and translucent colours over each other.</summary>
    [Fact]
    public void Every_blend_mode_is_painted_as_Chromium_paints_it()
    {
        string[] modes = ["normal", "multiply", "screen", "overlay", "darken", "lighten", "color-dodge", "color-burn", "hard-light", "soft-light", "difference", "exclusion", "hue", "saturation", "color", "luminosity"];
        string[] tops = ["#c0392b", "#2e8b5799", "#e3b23c", "white", "black", "#1440c84d"], grounds = ["#f6efe2", "#2f5d3a", "#8a2846", "#3d6b8680", "black"];
        const int Side = 20;
        browser.Resize(Side * grounds.Length * tops.Length, Side * modes.Length);
        var boxes = from m in Enumerable.Range(0, modes.Length)
                    from t in Enumerable.Range(0, tops.Length)
                    from g in Enumerable.Range(0, grounds.Length)
                    select (Mode: modes[m], Top: tops[t], Ground: grounds[g], X: (t * grounds.Length + g) * Side, Y: m * Side);
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Run<object?>("document.documentElement.innerHTML = arguments[0]", "<body style=\"margin:0;background:#fff\">" + string.Concat(boxes.Select(b =>
            $"<div style=\"position:absolute;left:{b.X}px;top:{b.Y}px;width:{Side}px;height:{Side}px;background:linear-gradient({b.Top},{b.Top}) {b.Ground};background-blend-mode:{b.Mode}\"></div>")));
        using var pixels = browser.Pixels(0, 0, Side * grounds.Length * tops.Length, Side * modes.Length);
        foreach (var box in boxes)
        {
            var mine = Css.Colors.Compositing.Over(Css.Colors.Blending.Over(Css.Colors.ColorText.Parse(box.Top), Css.Colors.ColorText.Parse(box.Ground), box.Mode), Css.Colors.Color.White);
            var seen = pixels.GetPixel(box.X + Side / 2, box.Y + Side / 2);
            Assert.True(Difference(Premultiplied.Of(mine), seen) <= Off + 0.5, $"{box.Top} {box.Mode} {box.Ground}: {seen} in Chromium, {mine} here");
        }
    }

    private static string Of(string kind, string head, string stops) => $"{kind}-gradient({(head.Length > 0 ? $"{head}, " : "")}{stops})";

    private static string Random(Random random)
    {
        string One(string[] of) => of[random.Next(of.Length)];
        var kind = random.Next(3);
        var head = kind == 0 ? One(Linear) : kind == 1 ? $"{One(Radial)} {One(Places)}" : $"{One(["", "from 45deg"])} {One(Places)}";
        // A radius of nothing is one colour: which, of a repeating one, is Chromium's own affair.
        var repeats = kind != 1 && random.Next(3) == 0 ? "repeating-" : "";
        var stops = new StringBuilder(One(Colors));
        for (var n = random.Next(1, 5); n > 0; n--)
        {
            if (random.Next(6) == 0) stops.Append(CultureInfo.InvariantCulture, $", {random.Next(0, 101)}%");
            stops.Append(CultureInfo.InvariantCulture, $", {One(Colors)}{(random.Next(2) == 0 ? $" {random.Next(-20, 121)}%" : "")}");
        }
        return Of(repeats + new[] { "linear", "radial", "conic" }[kind], $"{head} {(random.Next(2) == 0 ? One([.. Spaces.Where(s => s is not ("in lch" or "in oklch"))]) : "")}".Trim(), stops.ToString());
    }

    private void Compare(IReadOnlyList<string> fills, int off = Off)
    {
        foreach (var page in fills.Chunk(AcrossPage * 40))
        {
            var rows = (page.Length + AcrossPage - 1) / AcrossPage;
            browser.Resize(Width * AcrossPage, rows * Height);
            var boxes = page.Select((fill, i) => $"<div style=\"position:absolute;left:{i % AcrossPage * Width}px;top:{i / AcrossPage * Height}px;width:{Width}px;height:{Height}px;background-image:{fill}\"></div>");
            browser.Driver.Navigate().GoToUrl("about:blank");
            browser.Run<object?>("document.documentElement.innerHTML = arguments[0]", $"<body style=\"margin:0;background:#fff\">{string.Concat(boxes)}");
            using var pixels = browser.Pixels(0, 0, Width * AcrossPage, rows * Height);
            var wrong = page.SelectMany((fill, i) => Wrong(fill, pixels, i % AcrossPage * Width, i / AcrossPage * Height, off)).ToList();
            Assert.True(wrong.Count == 0, $"{wrong.Count} of {page.Length} gradients:\n{string.Join('\n', wrong.Take(20))}");
        }
    }

    /// <summary>The point that differs most, where one does.</summary>
    private static IEnumerable<string> Wrong(string fill, SKBitmap pixels, int left, int top, int off)
    {
        var image = FillImage.Parse(fill, Width, Height);
        var points = from x in Xs
                     from y in Ys
                     let seen = pixels.GetPixel(left + (int)x, top + (int)y)
                     let mine = Seen(x, y)
                     // An edge that runs through the middle of a pixel may fall to either side.
                     let difference = Shifts.Min(shift => Difference(Seen(x + shift.X, y + shift.Y), seen))
                     orderby difference descending
                     select (x, y, mine, seen, difference);
        var most = points.First();
        return most.difference <= off + 0.5 ? [] : [$"{most.difference:0} at {most.x}, {most.y}: {most.seen} in Chromium, {Premultiplied.Color(most.mine)} here: {fill}"];

        Vector4 Seen(double x, double y) => Premultiplied.Over(image.At(x, y), Vector4.One);
    }

    private static readonly (double X, double Y)[] Shifts = [(0, 0), (0.01, 0), (-0.01, 0), (0, 0.01), (0, -0.01)];

    private static float Difference(Vector4 mine, SKColor seen) => new[] { mine.X * 255 - seen.Red, mine.Y * 255 - seen.Green, mine.Z * 255 - seen.Blue }.Max(Math.Abs);

    /// <summary>Pictures in boxes, cut or whole, around their focal points: the same pixels at 25 points as Chromium paints with the size and the position that come out.</summary>
    [Fact]
    public void Pictures_are_placed_and_scaled_as_Chromium_does()
    {
        var random = new Random(4);
        foreach (var (pictureWidth, pictureHeight) in new[] { (400, 300), (300, 900), (1600, 500), (40, 30), (1, 1) })
        {
            var png = Picture(pictureWidth, pictureHeight);
            using var picture = DecodedPicture.Of(png);
            var address = $"data:image/png;base64,{Convert.ToBase64String(png)}";
            foreach (var fit in new[] { Fit.Cover, Fit.Contain })
            {
                for (var i = 0; i < 4; i++)
                {
                    var (width, height) = (random.Next(60, 500), random.Next(60, 400));
                    var focus = (X: (double)random.Next(0, 101), Y: (double)random.Next(0, 101));
                    var placed = Placement.Of((pictureWidth, pictureHeight), (width, height), fit, focus);
                    browser.Driver.Navigate().GoToUrl("about:blank");
                    var style = string.Create(CultureInfo.InvariantCulture, $"width:{width}px;height:{height}px;background:#fff url({address}) {placed.X}% {placed.Y}% / {fit.ToString().ToLowerInvariant()} no-repeat");
                    browser.Run<object?>("document.documentElement.innerHTML = arguments[0]; return document.fonts.ready.then(() => null)", $"<body style=\"margin:0\"><div style=\"{style}\"></div>");
                    using var seen = browser.Pixels(0, 0, width, height);
                    var mine = picture.Painted(placed, Css.Colors.Color.White, (0, 0, width, height));
                    foreach (var x in new[] { 0.03, 0.27, 0.5, 0.71, 0.96 })
                    {
                        foreach (var y in new[] { 0.04, 0.31, 0.5, 0.77, 0.97 })
                        {
                            var (px, py) = ((int)(x * width), (int)(y * height));
                            var at = (py * width + px) * 4;
                            var color = seen.GetPixel(px, py);
                            // What is cut off half way through a pixel may be painted or not.
                            if (fit == Fit.Contain && (Math.Abs(px + 0.5 - placed.Left) < 1.5 || Math.Abs(px + 0.5 - placed.Left - placed.Width) < 1.5 || Math.Abs(py + 0.5 - placed.Top) < 1.5 || Math.Abs(py + 0.5 - placed.Top - placed.Height) < 1.5)) continue;
                            var most = Math.Max(Math.Abs(mine[at] - color.Red), Math.Max(Math.Abs(mine[at + 1] - color.Green), Math.Abs(mine[at + 2] - color.Blue)));
                            Assert.True(most <= Off, $"{pictureWidth} × {pictureHeight} {fit} in {width} × {height} around {focus}: {color} in Chromium at {px}, {py}, {mine[at]} {mine[at + 1]} {mine[at + 2]} here");
                        }
                    }
                }
            }
        }
    }

    /// <summary>A picture that tells where each of its points is.</summary>
    private static byte[] Picture(int width, int height)
    {
        using var bitmap = new SKBitmap(width, height);
        for (var y = 0; y < height; y++)
        {
            for (var x = 0; x < width; x++) bitmap.SetPixel(x, y, new((byte)(255 * x / Math.Max(1, width - 1)), (byte)(255 * y / Math.Max(1, height - 1)), 90));
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
