using System.Globalization;
using System.Text;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Tracing;

namespace Sandbar.Browser.Tests;

/// <summary>What is said of a pixel beside the property itself, held to what Chromium paints.</summary>
public sealed class NoEffectTests(Sandbar.Tests.Browser browser) : IClassFixture<Sandbar.Tests.Browser>
{
    private const int TileWidth = 150, TileHeight = 90, InARow = 8;

    /// <summary>Kinds of boxes; <c>T</c> is the element asked about.</summary>
    private static readonly (string Kind, string Html)[] Boxes =
    [
        ("inline", "ab <span T>cd ef</span> gh"),
        ("block", "<div T>ab cd ef gh ij kl mn op</div>"),
        ("inline-block", "ab <span T style='display:inline-block;S'>cd ef</span> gh"),
        ("flex item", "<div style='display:flex;height:60px;width:130px;flex-wrap:wrap'><div T>ab</div><div>cd</div></div>"),
        ("grid item", "<div style='display:grid;height:60px;width:130px;grid-template-columns:50px 50px'><div T>ab</div><div>cd</div></div>"),
        ("flex container", "<div T style='display:flex;height:60px;width:120px;S'><b>ab</b><b>cd</b><b>efghij klm</b></div>"),
        ("grid container", "<div T style='display:grid;height:60px;width:120px;S'><b>ab</b><b>cd</b></div>"),
        ("table", "<table T><tr><td>a<td>b</table>"),
        ("cell", "<table><tr><td T>a<td style='height:50px'>b</table>"),
        ("list item", "<ul style='margin:0'><li T>ab cd<li>ef</ul>"),
        ("picture", "ab <img T src=\"data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg' width='30' height='20'><rect width='30' height='20' fill='teal'/></svg>\"> cd"),
        ("out of the flow", "<div style='position:relative;height:60px'>ab<div T style='position:absolute;left:20px;S'>cd</div></div>"),
        ("flow-root", "<div T style='display:flow-root;S'>ab <i>cd</i></div>"),
    ];

    private static readonly string[] Declarations =
    [
        "width:37px", "height:50px", "min-width:90px", "max-width:20px", "min-height:55px", "max-height:8px", "margin-top:9px", "margin-bottom:9px", "transform:translateX(9px)", "rotate:20deg", "text-align:right", "text-indent:9px", "column-gap:13px",
        "row-gap:13px", "flex-direction:column", "flex-wrap:wrap", "align-items:flex-end", "align-content:flex-end", "justify-content:flex-end", "justify-items:end", "grid-template-columns:30px 30px", "grid-auto-flow:column", "flex-grow:1", "flex-shrink:0",
        "flex-basis:70px", "order:1", "align-self:flex-end", "justify-self:end", "grid-column-start:2", "float:right", "vertical-align:super", "top:7px", "left:7px", "z-index:-1", "list-style-type:square", "list-style-position:inside", "object-fit:contain",
        "border-collapse:collapse", "border-top-width:5px", "border-left-color:red", "outline-width:5px", "outline-offset:4px", "background-size:5px 5px", "background-position-x:4px", "text-overflow:ellipsis", "resize:both", "content:'x'", "column-count:2", "aspect-ratio:1", "caption-side:bottom",
    ];

    [Fact]
    public void What_is_said_to_have_no_effect_changes_no_pixel()
    {
        var said = 0;
        var wrong = new List<string>();
        foreach (var (kind, box) in Boxes)
        {
            var html = new StringBuilder("<!doctype html><html><head><title>t</title><style>body{margin:0;font:14px/1.2 sans-serif}.tile{position:absolute;overflow:hidden;contain:strict;width:150px;height:90px}</style></head><body>");
            for (var i = 0; i <= Declarations.Length; i++)
            {
                var declaration = i == 0 ? "" : Declarations[i - 1];
                var filled = box.Contains("S'", StringComparison.Ordinal) ? box.Replace(" T ", $" id=t{i} ", StringComparison.Ordinal).Replace("S'", $"{declaration}'", StringComparison.Ordinal) : box.Replace(" T", $" id=t{i} style=\"{declaration}\"", StringComparison.Ordinal);
                html.Append(CultureInfo.InvariantCulture, $"<div class=tile style='left:{i % InARow * TileWidth}px;top:{i / InARow * TileHeight}px'>{filled.Replace("content:'x'", "content:&quot;x&quot;", StringComparison.Ordinal)}</div>");
            }
            var page = html.Append("</body></html>").ToString();
            browser.Driver.Navigate().GoToUrl("data:text/html;base64," + Convert.ToBase64String(Encoding.UTF8.GetBytes(page)));
            using var pixels = browser.Pixels(0, 0, InARow * TileWidth, (Declarations.Length / InARow + 1) * TileHeight);
            var document = Document.Parse(page);
            var styles = new PageStyles(document, RuleSet.Of(PageSheets.Of(document, "", [], _ => null), new MediaEnvironment(1280, 800)));
            for (var i = 1; i <= Declarations.Length; i++)
            {
                var property = Declarations[i - 1][..Declarations[i - 1].IndexOf(':', StringComparison.Ordinal)];
                if (NoEffects.Of(styles.Of(document.All.First(e => e.Id == $"t{i}")), property) is not { } why) continue;
                said++;
                Assert.EndsWith(".", why, StringComparison.Ordinal);
                var changed = Enumerable.Range(0, TileWidth * TileHeight).Count(p => pixels.GetPixel(p % TileWidth, p / TileWidth) != pixels.GetPixel(i % InARow * TileWidth + p % TileWidth, i / InARow * TileHeight + p / TileWidth));
                if (changed > 0) wrong.Add($"{kind} · {Declarations[i - 1]}: {changed} pixels, said: {why}");
            }
        }
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
        Assert.True(said > 200, $"{said} said");
    }

    /// <summary>Colours over each other, opacity of elements around, and what lies over an element.</summary>
    [Theory]
    [InlineData("<div style='background:#246'><p style='color:rgb(255 255 255 / .5);background:rgb(255 0 0 / .2)'>", "", "Opacity:0")]
    [InlineData("<div style='background:#246;opacity:.5'><p style='color:white;background:black;opacity:.8'>", "", "Opacity:2")]
    [InlineData("<div style='background:#246;opacity:.5'><div style='background:#fc0;opacity:.3'><p style='color:white'>", "", "Opacity:2")]
    [InlineData("<div style='background:white;filter:invert(1)'><p style='color:blue'>", "", "Filter:1")]
    [InlineData("<div style='position:relative'><p>", "</p><i style='position:absolute;inset:0;background:red'></i>", "Covered:1")]
    [InlineData("<style>p{position:relative}p::after{content:'';position:absolute;inset:0;background:rgb(0 0 0 / .5)}</style><p>", "", "Covered:1")]
    [InlineData("<div style='visibility:hidden'><p>", "", "Hidden:1")]
    [InlineData("<div style='display:none'><p>", "", "Hidden:1")]
    [InlineData("<div style='transform:scale(2)'><p style='clip-path:circle(50%);mix-blend-mode:multiply'>", "", "Transform:1 Clip:1 Blend:1")]
    public void What_else_changes_a_pixel_is_told(string before, string after, string told)
    {
        // A line of the text's colour lies over the ground as letters do, whatever fonts there are.
        var page = $"<!doctype html><html><head><title>t</title><style>body{{margin:0;background:white}}p{{margin:0;box-sizing:border-box;width:120px;height:60px;border-left:40px solid}}</style></head><body>{before}{after}</body></html>";
        var document = Document.Parse(page);
        var styles = new PageStyles(document, RuleSet.Of(PageSheets.Of(document, "", [], _ => null), new MediaEnvironment(1280, 800)));
        var element = document.All.First(e => e.Name == "p");
        var effects = OtherEffects.Of(styles, element);
        foreach (var one in told.Split(' ').Select(t => t.Split(':'))) Assert.Equal(int.Parse(one[1], CultureInfo.InvariantCulture), effects.Count(e => e.Kind.ToString() == one[0]));
        if (!told.StartsWith("Opacity", StringComparison.Ordinal)) return;
        var seen = OtherEffects.Seen(styles, element)!.Value;
        browser.Driver.Navigate().GoToUrl("data:text/html;base64," + Convert.ToBase64String(Encoding.UTF8.GetBytes(page)));
        using var pixels = browser.Pixels(0, 0, 200, 60);
        Near(seen.Text, pixels.GetPixel(10, 30));
        Near(seen.Ground, pixels.GetPixel(110, 30));

        // Each layer is kept in 256 steps, and so is its opacity.
        static void Near(Color expected, SkiaSharp.SKColor actual)
        {
            foreach (var (a, b) in new[] { (expected.C1, actual.Red), (expected.C2, actual.Green), (expected.C3, actual.Blue) }) Assert.InRange(Math.Abs(a * 255 - b), 0, 2.6);
        }
    }
}
