using System.Net;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Interchange;

/// <summary>A file of a release.</summary>
/// <param name="Path">Relative, with forward slashes.</param>
/// <param name="Hash">The shelf's bytes it holds; null where <paramref name="Text"/> is set.</param>
public sealed record ReleaseFile(string Path, string? Text, string? Hash)
{
    /// <summary>How wide the picture is made that these bytes are, px; null where it comes as it is.</summary>
    public int? Width { get; init; }

    /// <summary>What is written, from the bytes of the shelf.</summary>
    /// <exception cref="FormatException">They are no picture any more.</exception>
    public byte[] Bytes(byte[] shelf) => Width is { } width ? ScaledForms.Of(shelf, width) : shelf;
}

/// <summary>What a site is published as: a stylesheet, static pages, and the files of its shelf.</summary>
public static class SiteRelease
{
    public const string StyleSheetPath = "site.css";

    private static readonly Surroundings Static = new(
        PathOf,
        item => item.File,
        $"    <link rel=\"stylesheet\" href=\"{StyleSheetPath}\">\n",
        MarkBlocks: false)
    {
        Scaled = ScaledForms.FileOf,
        Script = ReleaseScript.Path,
    };

    /// <summary>The file of a page. Those that its lists of posts go on to are told by what no address of a page holds.</summary>
    /// <param name="turn">Which of these, from 1.</param>
    public static string PathOf(Page page, int turn) => turn == 1 ? $"{page.Slug}.html" : $"{page.Slug}_{turn}.html";

    /// <summary>The stylesheet as it is published.</summary>
    public static string StyleSheet(Site site) => StyleSheet(StyleSheetRenderer.Render(site));

    /// <summary>The stylesheet as it is published, from rules already made.</summary>
    public static string StyleSheet(StyleSheet sheet) => StyleSheetText.Release(sheet, item => item.File);

    /// <summary>Every file, the stylesheet first.</summary>
    public static IEnumerable<ReleaseFile> Files(Site site)
    {
        var sheet = StyleSheetRenderer.Render(site);
        yield return new(StyleSheetPath, StyleSheet(sheet), null);
        if (site.Fills.Backgrounds.Any(b => BackgroundKind.Painted(b).Any(BackgroundKind.IsClip))) yield return new(ReleaseScript.Path, ReleaseScript.Text, null);
        foreach (var page in site.Pages)
        {
            var around = Static with { Head = Preloads(site, page) + Static.Head };
            for (var turn = 1; turn <= PostLists.Turns(site, page); turn++) yield return new(PathOf(page, turn), PageWriter.Write(site, page, around, turn), null);
        }
        // Of fonts only what pages can need.
        foreach (var item in site.Shelf.Where(i => i.MediaType != FamilyKind.FontType && i.Address.Length == 0).Concat(sheet.Fonts.Select(f => f.Item)).Distinct())
        {
            yield return new(item.File, null, item.Hash);
            // What no page shows needs no smaller form.
            if (!item.IsPicture || Uses.Of(site, PictureKind.Kind, item.Id).Count == 0) continue;
            foreach (var width in ScaledForms.WidthsOf(item)) yield return new(ScaledForms.FileOf(item, width), null, item.Hash) { Width = width };
        }
        foreach (var (name, text) in FontLicences.Of(site, [.. sheet.Fonts.Select(f => f.Item)])) yield return new($"fonts/licences/{name}.txt", text, null);
    }

    /// <summary>Fonts of the first screen are asked for with the page, not only once the stylesheet has been read (HTML, link type preload).</summary>
    private static string Preloads(Site site, Page page) =>
        string.Concat(FirstFonts.Of(site, page).Select(item => $"    <link rel=\"preload\" href=\"{WebUtility.HtmlEncode(item.File)}\" as=\"font\" type=\"{item.MediaType}\" crossorigin>\n"));
}
