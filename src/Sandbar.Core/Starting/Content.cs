using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Starting;

/// <summary>Short ways to write the pages of a sample.</summary>
internal static class Content
{
    public static Block Section(string id, string name, string look, string? scheme, params Block[] blocks) => Make(id, "section", look, name, scheme, [], blocks);

    /// <summary>A block with a background of its own.</summary>
    public static Block On(string background, Block block) => block with { Own = block.Own.SetItem("background", new ReferenceValue("background", background)) };

    public static Block Columns(string id, string look, params Block[] blocks) => Make(id, "columns", look, look, null, [], blocks);

    public static Block Stack(string id, params Block[] blocks) => Make(id, "group", "stack", "One below another", null, [], blocks);

    public static Block InLine(string id, params Block[] blocks) => Make(id, "group", "in-line", "Side by side", null, [], blocks);

    public static Block Heading(string id, int level, string text) => Make(id, $"heading-{level}", "Standard", text, null, [("text", text)]);

    public static Block Paragraph(string id, string look, string text) => Make(id, "paragraph", look, look, null, [("text", text)]);

    public static Block Button(string id, string look, string label, string to) => Make(id, "button", look, label, null, [("label", label), ("to", to)]);

    public static Block Picture(string id, string picture, string alt) => Make(id, "picture", "Standard", alt, null, [("picture", picture), ("alt", alt)]);

    public static Block Figure(string id, string picture, string alt, string caption) =>
        Make(id, "figure", "Standard", caption, null, [("picture", picture), ("alt", alt), ("caption", caption)]);

    public static Block List(string id, string name, string items) => Make(id, "list", "Standard", name, null, [("items", items)]);

    public static Block Table(string id, string caption, string rows) => Make(id, "table", "Standard", caption, null, [("caption", caption), ("rows", rows)]);

    public static Block Quote(string id, string text, string source) => Make(id, "quote", "Standard", source, null, [("text", text), ("source", source)]);

    public static Block Form(string id, string label, params Block[] blocks) => Make(id, "form", "Standard", label, null, [("label", label)], blocks);

    public static Block Field(string id, string label, string kind, string hint = "", string choices = "") =>
        Make(id, "form-field", "Standard", label, null, [("label", label), ("kind", kind), ("hint", hint), ("choices", choices)]);

    public static Block Cards(string id, params Block[] blocks) => Make(id, "card-row", "Standard", "Card row", null, [], blocks);

    public static Block Card(string id, string look, string picture, string alt, string eyebrow, string title, string text, string to, params Block[] blocks) =>
        Make(id, "card", look, title, null, [("picture", picture), ("alt", alt), ("eyebrow", eyebrow), ("title", title), ("text", text), ("to", to)], blocks);

    public static Block Menu(string id, string look, string menu, string label) => Make(id, "menu", look, label, null, [("menu", menu), ("label", label)]);

    public static Block Make(string id, string part, string look, string name, string? scheme, (string Slot, string Content)[] content, params Block[] blocks) => new(
        id, part, $"{part}-{Names.Slug(look)}", name,
        content.Where(c => c.Content.Length > 0).ToImmutableSortedDictionary(c => c.Slot, c => c.Content, StringComparer.Ordinal),
        ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal),
        [.. blocks],
        scheme);
}
