using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>What a part's HTML is written with: the block's content, already escaped and with addresses resolved.</summary>
public sealed class BlockWriter
{
    private readonly PageWriter page;
    private readonly Block block;
    private readonly Part part;

    internal BlockWriter(PageWriter page, Block block, Part part) => (this.page, this.block, this.part) = (page, block, part);

    /// <summary>Whether a slot holds anything.</summary>
    public bool Has(string slot) => block.Content.TryGetValue(slot, out var content) && content.Length > 0;

    /// <summary>The block's own element, with the part's and the look's class.</summary>
    public void Element(string tag, IEnumerable<(string Name, string Value)> attributes, Action inner)
    {
        var own = new List<(string, string)>();
        var classes = Classes();
        if (classes.Length > 0) own.Add(("class", classes));
        if (block.Scheme is { } scheme) own.Add(("data-scheme", page.Site.Palette.Schemes.Get(scheme).CssName));
        own.AddRange(page.Marks(block));
        page.Html.Element(tag, own.Concat(attributes), inner, IsPhrase(tag));
    }

    /// <summary>A piece of the part.</summary>
    public void Piece(string tag, string? cssClass, Action inner) => Piece(tag, cssClass, [], inner);

    public void Piece(string tag, string? cssClass, IEnumerable<(string Name, string Value)> attributes, Action inner) =>
        page.Html.Element(tag, (cssClass is null ? [] : new[] { ("class", cssClass) }).Concat(attributes), inner, IsPhrase(tag));

    /// <summary>The text of a slot with its inline marks.</summary>
    public void Text(string slot) => InlineText.Write(page.Html, block.Content.GetValueOrDefault(slot, ""), page.Address);

    /// <summary>The attributes that make an element lead where the slot says.</summary>
    public IEnumerable<(string Name, string Value)> Link(string slot)
    {
        if (!Has(slot)) yield break;
        var to = block.Content[slot];
        yield return ("href", page.Address(to));
        if (to == page.Page.Id && part.States.Contains(State.Current)) yield return ("aria-current", "page");
    }

    /// <summary>The picture of a slot; nothing where there is none.</summary>
    public void Picture(string slot, string altSlot, string? cssClass)
    {
        if (!Has(slot) || page.Site.Shelf.Find(block.Content[slot]) is not { } item) return;
        var attributes = new List<(string, string)> { ("src", page.Asset(item)), ("alt", block.Content.GetValueOrDefault(altSlot, "")) };
        if (cssClass is not null) attributes.Insert(0, ("class", cssClass));
        if (item.Width > 0)
        {
            attributes.Add(("width", item.Width.ToString(CultureInfo.InvariantCulture)));
            attributes.Add(("height", item.Height.ToString(CultureInfo.InvariantCulture)));
        }
        page.Html.Void("img", attributes);
    }

    /// <summary>The links of a menu, the present page marked.</summary>
    public void MenuList(string slot, string labelSlot)
    {
        if (!Has(slot) || page.Site.Menus.Find(block.Content[slot]) is not { } menu) return;
        var label = block.Content.GetValueOrDefault(labelSlot, menu.Name);
        page.Html.Element("nav", [("aria-label", label)], () => Element("ul", [], () =>
        {
            foreach (var item in menu.Items)
            {
                var attributes = new List<(string, string)> { ("class", "menu-link"), ("href", page.Address(item.Page)) };
                if (item.Page == page.Page.Id) attributes.Add(("aria-current", "page"));
                page.Html.Element("li", [], () => page.Html.Element("a", attributes, () => page.Html.Text(item.Label), isPhrase: true), isPhrase: true);
            }
        }), isPhrase: false);
    }

    /// <summary>The text of a slot without marks, for an attribute.</summary>
    public string Plain(string slot) => block.Content.GetValueOrDefault(slot, "");

    /// <summary>Whether a choice stands on a word; the first of its words counts where nothing was chosen.</summary>
    public bool Is(string slot, string word) => Chosen(slot) == word;

    /// <summary>A list as the block's own element.</summary>
    public void List(string slot)
    {
        foreach (var (isOrdered, items) in BlockText.Lists(Plain(slot))) Element(isOrdered ? "ol" : "ul", [], () => Items(items));
    }

    /// <summary>A table with its head and caption, in a box that scrolls where it is too wide.</summary>
    public void Table(string slot, string captionSlot)
    {
        var rows = BlockText.Rows(Plain(slot));
        Element("div", [("role", "region"), ("aria-label", Plain(captionSlot)), ("tabindex", "0")], () => Piece("table", null, () =>
        {
            page.Html.Element("caption", [], () => Text(captionSlot), isPhrase: true);
            Piece("thead", null, () => Row(rows[0], _ => ("th", [("scope", "col")])));
            Piece("tbody", null, () =>
            {
                foreach (var row in rows.Skip(1)) Row(row, i => i == 0 ? ("th", [("scope", "row")]) : ("td", []));
            });
        }));
    }

    /// <summary>A label, its field and what helps to fill it in.</summary>
    public void Field(string label, string kind, string hint, string choices, string off)
    {
        var id = $"field-{block.Id}";
        var attributes = new List<(string, string)> { ("class", "form-control"), ("id", id), ("name", Lookup.Slug(Plain(label))) };
        if (Has(hint)) attributes.Add(("aria-describedby", id + "-hint"));
        if (Is(off, "yes")) attributes.Add(("disabled", ""));
        page.Html.Element("label", [("for", id)], () => Text(label), isPhrase: true);
        switch (Chosen(kind))
        {
            case "lines":
                page.Html.Element("textarea", attributes.Append(("rows", "4")), () => { }, isPhrase: true);
                break;
            case "choice":
                page.Html.Element("select", attributes, () =>
                {
                    foreach (var item in BlockText.Lists(Plain(choices)).SelectMany(l => l.Items)) page.Html.Element("option", [], () => page.Html.Text(item.Text), isPhrase: true);
                }, isPhrase: false);
                break;
            case var type:
                page.Html.Void("input", attributes.Append(("type", type)));
                break;
        }
        if (Has(hint)) Piece("p", "form-hint", [("id", id + "-hint")], () => Text(hint));
    }

    /// <summary>The blocks inside.</summary>
    public void Blocks()
    {
        foreach (var inner in block.Blocks) page.Write(inner);
    }

    private string Chosen(string slot) => Has(slot) ? block.Content[slot] : part.Slots.First(s => s.Id == slot).Words[0];

    private void Items(IEnumerable<ListItem> items)
    {
        foreach (var item in items)
        {
            page.Html.Element("li", [], () =>
            {
                InlineText.Write(page.Html, item.Text, page.Address);
                foreach (var (isOrdered, inner) in item.Lists) page.Html.Element(isOrdered ? "ol" : "ul", [], () => Items(inner), isPhrase: false);
            }, isPhrase: item.Lists.Count == 0);
        }
    }

    private void Row(IReadOnlyList<string> cells, Func<int, (string Tag, (string, string)[] Attributes)> element) => Piece("tr", null, () =>
    {
        for (var i = 0; i < cells.Count; i++)
        {
            var (tag, attributes) = element(i);
            var cell = cells[i];
            page.Html.Element(tag, attributes, () => InlineText.Write(page.Html, cell, page.Address), isPhrase: true);
        }
    });

    private string Classes()
    {
        // An element that is reached without a class keeps none.
        if (!part.Hook.StartsWith('.')) return block.Own.Count > 0 ? $"own-{block.Id}" : "";
        var classes = part.Hook[1..];
        var look = page.Site.Looks.Get(block.Look);
        if (page.Site.Looks.Count(l => l.Part == part.Id) > 1) classes += " " + StyleSheetRenderer.LookClass(part, look);
        return block.Own.Count > 0 ? $"{classes} own-{block.Id}" : classes;
    }

    private static bool IsPhrase(string tag) => tag is "a" or "button" or "p" or "h1" or "h2" or "h3" or "h4" or "h5" or "h6" or "figcaption";
}
