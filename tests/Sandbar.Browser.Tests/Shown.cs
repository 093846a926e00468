using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>Pages in Chromium as they are written, with the sheet as it is written.</summary>
internal static class Shown
{
    /// <summary>Shows a page of a site in the window.</summary>
    public static void Show(this Sandbar.Tests.Browser browser, Site site, Page? page = null, SheetUse use = SheetUse.Stage)
    {
        var css = StyleSheetText.Generated(StyleSheetRenderer.Render(site), use, i => i.File);
        var html = PageWriter.Write(site, page ?? site.Pages[0], new((_, _) => "#", i => "data:,", "", MarkBlocks: true));
        browser.Driver.ExecuteScript(
            "for (const a of [...document.documentElement.attributes]) document.documentElement.removeAttribute(a.name); document.documentElement.innerHTML = arguments[0]; document.documentElement.dataset.scheme = 'day'; const s = document.createElement('style'); s.textContent = arguments[1]; document.head.append(s)",
            html,
            css);
    }

    /// <summary>The site with other sections on its first page, and nothing around them.</summary>
    public static Site WithSections(this Site site, params Block[] sections)
    {
        static Block Empty(Block block) => block with { Blocks = [], Content = block.Content.Clear() };
        return site with { Frame = new(Empty(site.Frame.Header), Empty(site.Frame.Footer)), Pages = [site.Pages[0] with { Sections = [.. sections] }] };
    }

    /// <summary>A block for a test.</summary>
    public static Block Block(string id, string part, string look, (string Slot, string Content)[] content, params Block[] blocks) => new(
        id, part, look, id, content.ToImmutableSortedDictionary(c => c.Slot, c => c.Content, StringComparer.Ordinal), ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal), [.. blocks]);

    /// <summary>The pixels of a part of the window.</summary>
    public static SKBitmap Pixels(this Sandbar.Tests.Browser browser, double x, double y, int width, int height) => SKBitmap.Decode(Convert.FromBase64String(browser.Picture(x, y, width, height)));

    /// <summary>How light a pixel is: the mean of its channels, 0 to 255.</summary>
    public static double Lightness(this SKBitmap pixels, int x, int y) => pixels.GetPixel(x, y) is var c ? (c.Red + c.Green + c.Blue) / 3.0 : 0;

    /// <summary>Media features of the visitor, such as prefers-reduced-motion; and what the page is shown on.</summary>
    public static void Emulate(this Sandbar.Tests.Browser browser, string media, params (string Name, string Value)[] features) => browser.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?>
    {
        ["media"] = media,
        ["features"] = features.Select(f => new Dictionary<string, object> { ["name"] = f.Name, ["value"] = f.Value }).ToArray(),
    });
}
