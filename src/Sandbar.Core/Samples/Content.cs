using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Samples;

/// <summary>Short ways to write the pages of a sample.</summary>
internal static class Content
{
    public static Block Section(string id, string name, string look, string? scheme, params Block[] blocks) => Make(id, "section", look, name, scheme, [], blocks);

    public static Block Columns(string id, string look, params Block[] blocks) => Make(id, "columns", look, look, null, [], blocks);

    public static Block Stack(string id, params Block[] blocks) => Make(id, "group", "Stack", "Stack", null, [], blocks);

    public static Block InLine(string id, params Block[] blocks) => Make(id, "group", "In line", "In line", null, [], blocks);

    public static Block Heading(string id, int level, string text) => Make(id, $"heading-{level}", "Standard", text, null, [("text", text)]);

    public static Block Paragraph(string id, string look, string text) => Make(id, "paragraph", look, look, null, [("text", text)]);

    public static Block Button(string id, string look, string label, string to) => Make(id, "button", look, label, null, [("label", label), ("to", to)]);

    public static Block Picture(string id, string picture, string alt, string caption = "") =>
        Make(id, "picture", "Standard", alt, null, [("picture", picture), ("alt", alt), ("caption", caption)]);

    public static Block Card(string id, string look, string picture, string alt, string eyebrow, string title, string text, string to) =>
        Make(id, "card", look, title, null, [("picture", picture), ("alt", alt), ("eyebrow", eyebrow), ("title", title), ("text", text), ("to", to)]);

    public static Block Menu(string id, string look, string menu, string label) => Make(id, "menu", look, label, null, [("menu", menu), ("label", label)]);

    public static Block Make(string id, string part, string look, string name, string? scheme, (string Slot, string Content)[] content, params Block[] blocks) => new(
        id, part, Starter.LookId(part, look), name, scheme,
        content.Where(c => c.Content.Length > 0).ToImmutableSortedDictionary(c => c.Slot, c => c.Content, StringComparer.Ordinal),
        ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal),
        [.. blocks]);
}
