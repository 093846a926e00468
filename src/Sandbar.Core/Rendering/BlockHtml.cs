using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>Writes a block of a page: its element, its text, what it leads to and its pictures. Menus, lists, tables and fields stand in files of their own.</summary>
internal sealed class BlockHtml(PageWriter page, Block block, Part part) : BlockWriter
{
    public PageWriter Page => page;

    public Block Block => block;

    /// <summary>What it needs and does not hold yet: the stage shows what belongs there.</summary>
    public ImmutableArray<Slot> Empty { get; init; } = [];

    public override bool Has(string slot) => !string.IsNullOrWhiteSpace(Plain(slot));

    public override string Plain(string slot) => Missing(slot) is { } missing ? missing.Sample.Length > 0 ? missing.Sample : missing.Name : block.Content.GetValueOrDefault(slot, "");

    public override bool Is(string slot, string word) => Chosen(slot) == word;

    public override void Element(string tag, IEnumerable<(string Name, string Value)> attributes, Action inner)
    {
        var own = new List<(string, string)>();
        if (block.Address.Length > 0) own.Add(("id", block.Address));
        var classes = Classes();
        if (classes.Length > 0) own.Add(("class", classes));
        if (block.Scheme is { } scheme) own.Add(("data-scheme", page.Site.Palette.Schemes.Get(scheme).CssName));
        own.AddRange(page.Marks(block));
        if (!Empty.IsEmpty) own.Add(("data-empty", string.Join(' ', Empty.Select(s => s.Id))));
        page.Html.Element(tag, own.Concat(attributes), () =>
        {
            inner();
            Fills("");
        }, IsPhrase(tag));
    }

    public override void Fills(string piece)
    {
        if (!part.HoldsFill) return;
        var look = page.Site.Looks.Find(block.Look)?.Cells ?? block.Own;
        var (ofLook, own) = (Grounds(look), Grounds(block.Own));
        // Its own value at Rest is stronger than all that its look says of Rest.
        if (own.Any(c => c.Key is { State: State.Rest } && c.Key.Widths == Interval.All)) ofLook = ofLook.Where(c => c.Key.State != State.Rest);
        foreach (var fill in FillLayers.Among(page.Site, ofLook.Concat(own).Select(c => c.Value))) page.Fill(fill, block);

        IEnumerable<(CellKey Key, Value Value)> Grounds(ImmutableSortedDictionary<string, Value> cells) =>
            cells.Select(c => (Key: CellKey.Parse(c.Key), c.Value)).Where(c => part.Property(c.Key.Property) is { IsGround: true } ground && ground.Piece == piece);
    }

    public override void Piece(string tag, string? cssClass, IEnumerable<(string Name, string Value)> attributes, Action inner) =>
        page.Html.Element(tag, (cssClass is null ? [] : new[] { ("class", cssClass) }).Concat(attributes), inner, IsPhrase(tag));

    public override void Text(string slot)
    {
        page.MarkSlot(slot);
        Inline(Plain(slot));
    }

    /// <summary>A text with its inline marks.</summary>
    public void Inline(string text) => InlineText.Write(page.Html, text, page.InlineLink);

    public override IEnumerable<(string Name, string Value)> Link(string slot)
    {
        if (!Has(slot) || Missing(slot) is not null) yield break;
        var to = block.Content[slot];
        // What leads nowhere is no link: a page that is gone, or set aside.
        if (page.Leads(to) is not { } address) yield break;
        yield return ("href", address);
        if (to == page.Page.Id && part.States.Contains(State.Current)) yield return ("aria-current", "page");
    }

    public override void Picture(string slot, string altSlot, string? cssClass)
    {
        if (Missing(slot) is { } missing)
        {
            page.Html.Element("span", [("class", "picture-missing"), .. page.SlotMark(slot)], () => page.Html.Text(missing.Name), isPhrase: true);
            return;
        }
        if (Has(slot)) Picture(block.Content[slot], Plain(altSlot), cssClass, page.SlotMark(slot));
    }

    public override void CoveringPicture(string slot, string altSlot)
    {
        if (!Has(slot) || Missing(slot) is not null || page.Site.Shelf.Find(block.Content[slot]) is not { } item) return;
        Piece("div", "covering", [], () => Picture(item.Id, Plain(altSlot), FocalPoints.ClassOf(item), page.SlotMark(slot)));
    }

    /// <summary>A picture of the shelf; nothing where it is not there.</summary>
    public void Picture(string id, string inWords, string? cssClass, IEnumerable<(string Name, string Value)> marks)
    {
        if (page.Site.Shelf.Find(id) is not { } item) return;
        var attributes = page.Image(item, inWords.Length > 0 ? inWords : item.Alt.Code(), "100vw").ToList();
        if (cssClass is not null) attributes.Insert(0, ("class", cssClass));
        attributes.AddRange(marks);
        page.Html.Void("img", attributes);
    }

    public override void MenuList(string slot, string labelSlot) => MenuHtml.Write(this, slot, labelSlot);

    public override void List(string slot) => ListHtml.Write(this, slot);

    public override void Table(string slot, string captionSlot) => TableHtml.Write(this, slot, captionSlot);

    public override void Field(string label, string kind, string hint, string choices, string off) => FieldHtml.Write(this, label, kind, hint, choices, off);

    public override void Posts(string heading) => PostsHtml.Write(this, heading);

    public override void Categories(string labelSlot, string countSlot) => CategoriesHtml.Write(this, labelSlot, countSlot);

    public override void Paging(string newerSlot, string olderSlot, string labelSlot) => PagingHtml.Write(this, newerSlot, olderSlot, labelSlot);

    public override void Blocks()
    {
        foreach (var inner in block.Blocks) page.Write(inner);
        // What only holds others would be nothing to see.
        if (block.Blocks.IsEmpty && part.Slots.IsEmpty) NothingYet("nothing in it yet");
    }

    /// <summary>On stage, what is said in place of what would be nothing to see.</summary>
    public void NothingYet(string says)
    {
        if (page.ShowsEmpty) page.Html.Element("p", [("class", "nothing-yet")], () => page.Html.Text($"{part.Name}: {says}"), isPhrase: true);
    }

    private Slot? Missing(string slot) => Empty.FirstOrDefault(s => s.Id == slot);

    /// <summary>The word a choice stands on.</summary>
    public string Chosen(string slot) => Has(slot) ? Plain(slot) : part.Slots.First(s => s.Id == slot).Words[0].Code;

    private string Classes()
    {
        var classes = new List<string>();
        // An element that is reached without a class keeps none.
        if (part.Hook.StartsWith('.')) classes.Add(part.Hook[1..]);
        if (part.Hook.StartsWith('.') && LookSelectors.ClassOf(page.Site, part, block.Look) is { } look) classes.Add(look);
        if (block.Own.Count > 0) classes.Add($"own-{block.Id}");
        if (block.HiddenAt.Length > 0) classes.AddRange(block.HiddenAt.Split(' ').Select(HiddenRules.ClassOf));
        if (block.Classes.Length > 0) classes.Add(block.Classes);
        return string.Join(' ', classes);
    }

    private static bool IsPhrase(string tag) => tag is "a" or "button" or "p" or "h1" or "h2" or "h3" or "h4" or "h5" or "h6" or "figcaption" or "span" or "time";
}
