using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Pictures;

namespace Sandbar.Core.Rendering;

/// <summary>Where a page's links and files are found, which differs between stage and release.</summary>
/// <param name="Page">Address of a page, and of those that its lists of posts go on to, which count on from 1.</param>
/// <param name="Asset">Address of a file of the shelf.</param>
/// <param name="Head">What stands in the head besides title and description, such as the link to the stylesheet.</param>
/// <param name="MarkBlocks">Whether elements carry the id of their block, so that a click leads to it.</param>
public sealed record Surroundings(Func<Page, int, string> Page, Func<ShelfItem, string> Asset, string Head, bool MarkBlocks)
{
    /// <summary>Address of a form of a picture, by its width; null where pictures come as they are.</summary>
    public Func<ShelfItem, int, string>? Scaled { get; init; }

    /// <summary>Address of the script that plays clips (<see cref="ReleaseScript"/>); null where something else does.</summary>
    public string? Script { get; init; }

    /// <summary>Whether what is elsewhere is not asked for, and something stands in for it: on stage.</summary>
    public bool StandsIn { get; init; }

    /// <summary>Whether blocks that hold nothing yet show what belongs there; never in a release.</summary>
    public bool ShowEmpty { get; init; }
}

/// <summary>A page as semantic HTML.</summary>
public sealed class PageWriter
{
    private readonly Surroundings surroundings;

    private PageWriter(Site site, Page page, Surroundings surroundings, int turn = 1) => (Site, Page, this.surroundings, Turn) = (site, page, surroundings, turn);

    internal Site Site { get; }

    internal Page Page { get; }

    /// <summary>Which of the pages that its lists of posts go on to it is, from 1.</summary>
    internal int Turn { get; }

    internal Html Html { get; } = new();

    /// <summary>The page as a complete document.</summary>
    /// <param name="turn">Which of the pages that its lists of posts go on to (<see cref="PostLists.Turns"/>).</param>
    public static string Write(Site site, Page page, Surroundings surroundings, int turn = 1)
    {
        var writer = new PageWriter(site, page, surroundings, turn);
        writer.Document(writer.Body);
        return writer.Html.ToString();
    }

    /// <summary>A page whose body is written by hand.</summary>
    internal static string Write(Site site, Page page, Surroundings surroundings, Action<PageWriter> body)
    {
        var writer = new PageWriter(site, page, surroundings);
        writer.Document(() => body(writer));
        return writer.Html.ToString();
    }

    /// <summary>A block alone, as it stands on a page.</summary>
    public static string Write(Site site, Page page, Block block, Surroundings surroundings)
    {
        var writer = new PageWriter(site, page, surroundings);
        writer.Write(block);
        return writer.Html.ToString();
    }

    internal void Write(Block block)
    {
        // A part that this program does not know shows nothing rather than stopping the page.
        if (PartCatalogue.Find(block.Part) is not { } part) return;
        ImmutableArray<Slot> empty = [.. part.Slots.Where(s => s.Required && string.IsNullOrWhiteSpace(block.Content.GetValueOrDefault(s.Id, "")))];
        if (!empty.IsEmpty && !ShowsEmpty) return;
        part.Write(new BlockHtml(this, block, part) { Empty = empty });
    }

    /// <summary>Whether what holds nothing yet shows what belongs there.</summary>
    internal bool ShowsEmpty => surroundings.ShowEmpty;

    /// <summary>Where a link leads: a page by its id, with or without an address within it; anchors and outside addresses stay as they are. Null for nowhere.</summary>
    internal string? Leads(string to) => Site.Pages.Find(ContentCheck.PageOf(to)) is { } page ? surroundings.Page(page, 1) + to[ContentCheck.PageOf(to).Length..]
        : ContentCheck.IsAddress(to) ? to : null;

    /// <summary>The same for a link that has to lead somewhere.</summary>
    internal string Address(string to) => Leads(to) ?? (ContentCheck.IsSafe(to) && !Names.IsId(ContentCheck.PageOf(to)) ? to : "#");

    /// <summary>Address of one of the pages that this one's lists of posts go on to.</summary>
    internal string AddressOf(int turn) => surroundings.Page(Page, turn);

    /// <summary>The attributes of a link in a text. On stage it says besides where it leads as it is written.</summary>
    internal IEnumerable<(string Name, string Value)> InlineLink(string to) => surroundings.MarkBlocks ? [("href", Address(to)), ("data-to", to)] : [("href", Address(to))];

    /// <summary>Marks the element that was opened just now as what holds a slot, on stage alone.</summary>
    internal void MarkSlot(string slot)
    {
        foreach (var (name, value) in SlotMark(slot)) Html.Mark(name, value);
    }

    /// <summary>The attribute of an element that holds a slot.</summary>
    internal IEnumerable<(string Name, string Value)> SlotMark(string slot) => surroundings.MarkBlocks ? [("data-slot", slot)] : [];

    /// <summary>Whether a clip was written.</summary>
    internal bool HasClips { get; set; }

    internal string Asset(ShelfItem item) => surroundings.Asset(item);

    /// <summary>What of a clip comes with the page: on stage its first picture.</summary>
    internal string ClipPreload => surroundings.StandsIn ? "metadata" : "none";

    /// <summary>Where a clip is played from: of one that is elsewhere, on stage what stands in for it.</summary>
    internal string ClipAddress(ShelfItem clip) => clip.Address.Length > 0 && !surroundings.StandsIn ? clip.Address : surroundings.Asset(clip);

    /// <summary>A picture as the attributes of its element, with its smaller forms where there are any.</summary>
    /// <param name="sizes">How wide it is shown, as HTML has it.</param>
    internal IEnumerable<(string Name, string Value)> Image(ShelfItem item, string alt, string sizes)
    {
        yield return ("src", surroundings.Asset(item));
        if (surroundings.Scaled is { } scaled && ScaledForms.WidthsOf(item) is { IsEmpty: false } widths)
        {
            yield return ("srcset", string.Join(", ", widths.Select(w => $"{scaled(item, w)} {w}w").Append($"{surroundings.Asset(item)} {item.Width}w")));
            yield return ("sizes", sizes);
        }
        yield return ("alt", alt);
        if (!item.IsPicture) yield break;
        yield return ("width", item.Width.ToString(CultureInfo.InvariantCulture));
        yield return ("height", item.Height.ToString(CultureInfo.InvariantCulture));
    }

    internal IEnumerable<(string Name, string Value)> Marks(Block block) => surroundings.MarkBlocks ? [("data-block", block.Id)] : [];

    /// <summary>What lies on the page's own surface.</summary>
    internal void OnPaper(Action inner)
    {
        var paper = Site.Space.Paper[0];
        Html.Element("div", [("class", PaperRules.Paper)], () =>
        {
            inner();
            if (PaperKind.IsSheet(paper)) Fills(paper.Fill);
        }, isPhrase: false);
        Fills(paper.Around);
    }

    /// <summary>The element of a background that needs one.</summary>
    /// <param name="block">What wears it: its pictures wait in a release until they are near, but for those at the top of the page.</param>
    internal void Fill(Background background, Block? block = null) => FillLayers.Write(this, background, block is not null && !surroundings.MarkBlocks && !IsAtTop(block));

    private void Fills(Value value)
    {
        foreach (var background in FillLayers.Among(Site, [value])) Fill(background);
    }

    private bool IsAtTop(Block block) => Blocks.WithInner(Site.Frame.Header).Contains(block) || (!Page.Sections.IsEmpty && Blocks.WithInner(Page.Sections[0]).Contains(block));

    private void Document(Action body)
    {
        Html.Raw("<!doctype html>\n");
        Html.Element("html", [("lang", "en"), ("data-scheme", Site.Palette.Schemes.Get(Page.Scheme).CssName)], () =>
        {
            Html.Element("head", [], () =>
            {
                Html.Void("meta", [("charset", "utf-8")]);
                Html.Void("meta", [("name", "viewport"), ("content", "width=device-width, initial-scale=1")]);
                Html.Element("title", [], () => Html.Text(Turn == 1 ? Page.Title : $"{Page.Title} · page {Turn}"), isPhrase: true);
                if (Page.Description.Length > 0) Html.Void("meta", [("name", "description"), ("content", Page.Description)]);
                // What others show who share the page (Open Graph protocol, ogp.me).
                if (Page.Title.Length > 0) Html.Void("meta", [("property", "og:title"), ("content", Page.Title)]);
                if (Page.Description.Length > 0) Html.Void("meta", [("property", "og:description"), ("content", Page.Description)]);
                Html.Raw(surroundings.Head);
            }, isPhrase: false);
            Html.Element("body", [], () =>
            {
                body();
                if (HasClips && surroundings.Script is { } script) Html.Element("script", [("src", script)], () => { }, isPhrase: true);
            }, isPhrase: false);
        }, isPhrase: false);
    }

    private void Body()
    {
        OnPaper(() =>
        {
            Write(Site.Frame.Header);
            Html.Element("main", [], () =>
            {
                foreach (var section in Page.Sections) Write(section);
            }, isPhrase: false);
            if (PaperKind.HasSidebar(Site.Space.Paper[0])) Html.Element("div", [("class", PaperRules.Sidebar)], () => { }, isPhrase: false);
            Write(Site.Frame.Footer);
        });
    }
}
