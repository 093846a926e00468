using System.Collections.Immutable;
using System.IO.Compression;
using System.Text;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;
using Sandbar.Core.Samples.Pellwyn;

namespace Sandbar.Browser.Tests;

/// <summary>
/// Released pages of every part in every place where it may stand, each once with all it can hold and once with what it needs, for checkers that nobody here wrote.
/// </summary>
public sealed class StandingTests : IDisposable
{
    private static readonly SiteWithAssets Sample = PellwynSample.Create();

    /// <summary>Rules of axe-core about what designers decide, and here nobody did.</summary>
    private static readonly string[] OfDesigners = ["heading-order", "landmark-unique", "page-has-heading-one", "color-contrast"];

    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public async Task Wherever_a_part_may_stand_the_released_page_is_sound()
    {
        var pages = Outers().Select((outer, i) => PageOf(outer, i)).ToImmutableArray();
        Assert.True(pages.Length > 5, "Hardly anything holds anything.");
        var site = Sample.Site with { Pages = Sample.Site.Pages.AddRange(pages) };
        await using var released = await Released.UnpackAsync(ReleaseOf(site));
        var files = pages.Select(p => Path.Combine(released.Folder, $"{p.Slug}.html")).ToArray();
        // Structure, nesting, attributes: the Nu HTML checker.
        var wrong = await OutsideCheck.HtmlAsync(files, TestContext.Current.CancellationToken);
        Assert.True(wrong.Length == 0, wrong);
        foreach (var page in pages)
        {
            browser.Driver.Navigate().GoToUrl(new Uri(released.Address, $"{page.Slug}.html"));
            // Which heading follows which, and how often a menu is shown, is the designer's; here it is nobody's.
            var found = string.Join("\n", Styles.Violations(browser).Where(v => !OfDesigners.Contains(v.Split(':')[0])));
            Assert.True(found.Length == 0, $"{page.Name}: {found}");
            // Without the stylesheet it reads in the order of the outline: the words of each block after those of the one before it.
            browser.Run<object?>("for (const l of document.querySelectorAll('link[rel=stylesheet], style')) l.remove()");
            var text = browser.Run<string>("return document.querySelector('main').innerText");
            var at = 0;
            foreach (var words in page.Sections.SelectMany(Blocks.WithInner).SelectMany(Words))
            {
                var place = text.IndexOf(words, at, StringComparison.Ordinal);
                Assert.True(place >= 0, $"{page.Name}: “{words}” does not come after what stands before it.");
                at = place + words.Length;
            }
        }
    }

    /// <summary>What holds blocks: sections, and all that may stand in something.</summary>
    private static IEnumerable<Part> Outers() => PartCatalogue.All.Where(p => p.HoldsBlocks && p.Hook.StartsWith('.') && p.Id is not "header" and not "footer");

    private static Page PageOf(Part outer, int number)
    {
        var n = 0;
        var inner = Standing.In(outer).SelectMany(part => new[] { Of(part, full: true), Of(part, full: false) }).ToImmutableArray();
        var block = Of(outer, full: true) with { Blocks = inner };
        foreach (var around in Chain(outer)) block = Of(around, full: false) with { Blocks = [block] };
        return Sample.Site.Pages[0] with { Id = $"standing-{number}", Name = outer.Name, Slug = $"standing-{outer.Id}", Title = outer.Name, Sections = [block] };

        Block Of(Part part, bool full)
        {
            var id = $"s{number}-{n++}";
            var content = part.Slots.Where(s => full || s.Required).Select(s => (s.Id, Held: Held(s, id))).Where(s => s.Held.Length > 0);
            return new(id, part.Id, NewBlock.LookOf(Sample.Site, part), part.Name, content.ToImmutableSortedDictionary(s => s.Id, s => s.Held, StringComparer.Ordinal), ImmutableSortedDictionary<string, Value>.Empty, [])
            {
                Address = full ? id : "",
            };
        }
    }

    /// <summary>What a part stands in up to the page itself, the innermost first.</summary>
    private static IEnumerable<Part> Chain(Part part)
    {
        while (Standing.Refusal(part, null) is not null)
        {
            part = Outers().First(o => Standing.Refusal(part, o) is null && o.Id != part.Id && (o.IsOutermost || o.HoldsParts.IsEmpty));
            yield return part;
        }
    }

    private static string Held(Slot slot, string id) => slot.Kind switch
    {
        SlotKind.Text => $"{slot.Name} {id} & *more* [of](home) `it`",
        SlotKind.Spoken => $"{slot.Name} {id} \"in\" words",
        SlotKind.Link => "https://seeds.example/swap?a=1&b=2#there",
        SlotKind.Picture => Sample.Site.Shelf.First(i => i.Width > 0).Id,
        SlotKind.Menu => Sample.Site.Menus[0].Id,
        SlotKind.List => $"- First {id}\n  1. Inner {id}\n- Last {id}",
        SlotKind.Table => $"Head {id} | B\nCell {id} | D",
        SlotKind.Category => "",
        // Which level follows which is the designer's; so few posts a page that there are several.
        _ => slot.Id switch { "level" => "", "most" => "2", _ => slot.Words[^1].Code },
    };

    /// <summary>What of a block is read first, word by word as it is seen.</summary>
    private static IEnumerable<string> Words(Block block) =>
        from slot in PartCatalogue.Get(block.Part).Slots.Take(8)
        where slot.Kind is SlotKind.Text or SlotKind.List or SlotKind.Table && block.Content.ContainsKey(slot.Id)
        where slot.Id is "text" or "title" or "list"
        select slot.Kind switch { SlotKind.Text => $"{slot.Name} {block.Id}", SlotKind.List => $"First {block.Id}", _ => $"Head {block.Id}" };

    private static byte[] ReleaseOf(Site site)
    {
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var file in SiteRelease.Files(site))
            {
                using var entry = zip.CreateEntry(file.Path).Open();
                entry.Write(file.Text is { } text ? Encoding.UTF8.GetBytes(text) : Sample.Assets.First(a => a.Hash == file.Hash).Bytes);
            }
        }
        return bytes.ToArray();
    }
}
