using Sandbar.Core.Writing;
using System.Collections.Immutable;
using CsCheck;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Tests;

/// <summary>Edits of every kind, by chance: some that can be made, some that cannot.</summary>
internal static class RandomEdits
{
    /// <summary>What can be read in some cells and in others cannot: relative to Rest, reckoned, and as nobody should type it.</summary>
    private static readonly string[] Typed =
    [
        "rest", "rest shade 1", "rest + 2px", "rest * 2", "12px + 2", "2 * 3", "space 2 + 4", "4px - 20px", "size 1 / 2", "0", "1.5", "rgb(255 0 0", "red/*", "hsl(40 200% 50%)", "oklch(0.7 0.3 150)",
        "lab(50 1e300 0)", "action shade 99999999999", "1px 2px", "(((1px)))", "text", "Body", "#abc8", "none", "inner", "gutter", "1px 2px 3px by 4px", "hairline, none", "1px solid line", "0 2px 8px text 20%", "quick, gentle", "200ms", "2px dashed no",
    ];

    /// <summary>What a font file might be.</summary>
    private static readonly FontMeasures Letters = new("Own", 1000, 900, -200, 0, 700, 500, [new(400, 85)], [], [], [], "Ours", true);

    public static readonly Gen<Edit> Any = Gen.OneOf(
        Gen.Select(Among([.. Demo.Site.Palette.Colors.Select(c => c.Id)]), Gen.Int[0, 0xFFFFFF], (id, rgb) => Do.Color(id, $"#{rgb:x6}")),
        Gen.Select(Among("Moss", "leaf", "Old husk", ""), Gen.Int[0, 3], (name, n) => n == 0 ? Do.NewColor($"c-{name}", name, "olive") : Do.RenameColor("husk", name)),
        Gen.Select(Among("Moss", "leaf", "tint 1", ""), Among("olive", "#12345678", "no"), Gen.Int[0, 3], (name, color, n) =>
            (Edit)new AddColors([.. Enumerable.Range(0, n).Select(i => new NewColor($"some-{i}", i == 0 ? name : $"{name} {i}", color))])),
        Gen.Select(Among("beet", "husk", "some-0"), Among("mix leaf, husk 30%", "mix beet shade 2, #fff 40.5% in oklch", "mix husk, beet 120%", "move leaf, lightness +10, hue −20", "move beet", "move no, hue 2"), (id, text) => Do.Color(id, text)),
        Gen.Select(Among("beet", "husk", "gone"), Gen.Int[-6, 7], Among<string?>("#123", "oklch(0.7 0.3 150)", "leaf", null), (id, step, text) => (Edit)new SetColorStep(id, step, text)),
        Gen.Select(Among("beet", "husk", "gone"), Gen.Enum<ColorFigure>(), Among("20", "1 + 2", "-4", "900", "1e9", "rest", "50%", "20°"), (id, figure, text) => (Edit)new SetColorFigure(id, figure, text)),
        Gen.Select(Among("beet", "husk", "gone"), Among<string?>("leaf", "beet", "gone", null), Among<string?>("Garden", "no group", "", null), (id, before, group) => (Edit)new PlaceColor(id, before, group)),
        Gen.Select(Among("beet", "no"), Among("leaf", "Old husk"), (color, name) => (Edit)new Together("Several", [Do.Color("leaf", $"move {color}, hue +10"), Do.RenameColor("husk", name)])),
        Gen.Select(Among("night", "day"), Among("Night", "Day", ""), Among("day", "dusk", "night", "gone"), (id, name, of) => (Edit)new TurnScheme(id, name, of)),
        Gen.Select(Among("day", "dusk"), Among([.. Demo.Site.Palette.Roles.Select(r => r.Id)]), Among("beet", "leaf", "husk"), Gen.Int[-6, 7], (scheme, role, color, step) => Do.Role(scheme, role, StepText.With(color, step))),
        Gen.Select(Among("day", "dusk"), Among("text", "action"), Among("ground", "text", "action text"), (scheme, role, on) => Do.Role(scheme, role, $"readable on {on}")),
        Gen.Select(Cells(), Gen.Int[0, 5], (cell, n) => n == 0 ? (Edit)(cell with { Text = null }) : cell),
        Gen.Select(Among(ScaleEndKind.Narrow, ScaleEndKind.Wide), Among("width", "base", "ratio"), Gen.Double[-1, 1500], (end, field, number) => Do.Scale(end, field, $"{number:0.##}")),
        Gen.Select(Among("own", "fraunces", "gone"), Among<string?>("Own", "fraunces", "", null), Gen.Int[0, 2], Gen.Int[0, 1200], Gen.Bool, Among<string?>(null, "own-0", "fraunces-latin-wght-normal"), (family, name, item, weight, italic, replaces) =>
            (Edit)new AddFontFile(family, name, $"own-{item}", new string('a', 64), weight, weight, italic, Letters, replaces)),
        Gen.Select(Among("own", "fraunces", "figtree"), Gen.Int[0, 2], (family, item) => (Edit)new RemoveFontFile(family, $"own-{item}")),
        Gen.Select(Among("layer-1", "layer-2", "gone"), Among("fill", "opacity", "blend", "shown", "centre"), Among("dawn", "lamp", "allotment", "action", "30%", "screen", "off", "#123456", "on its text"), (id, field, text) => (Edit)new SetThing("background", id, field, text, "bed-at-dusk")),
        Gen.Select(Among("dawn", "lamp"), Among("kind", "space", "toward", "repeats", "extent"), Among("mesh", "radial", "OKLCH", "top left", "over and over", "own reach"), (id, field, text) => (Edit)new SetThing("gradient", id, field, text)),
        Among("dawn", "gone").Select(id => (Edit)new ReverseGradient(id)), Gen.Select(Among("dawn", "gone"), Among("45", "-90deg", "1e9", "x"), (id, degrees) => (Edit)new TurnGradient(id, degrees)),
        Gen.Select(Among("dawn", "gone"), Among("raised", "gone"), Among("action", "#123456", "nothing"), (id, from, to) => (Edit)new RecolorGradient(id, from, to)),
        Gen.Select(Among("lift", "gone"), Among("12", "40px", "-3", "1e9", "lift"), (id, height) => (Edit)new RaiseShadow(id, height)),
        Arranged(), Paged(), OwnValues(), Written(), Pictured(), Posted(),
        Things(), AddedThings(), MovedThings(), RemovedThings(),
        Gen.Select(Among([.. Blocks.All(Demo.Site)]), Gen.Int[0, 5], Among("", "home", "Words *of* a [kind](home)", "no", "- a\n  - b", "beet"), (block, slot, text) =>
            (Edit)new SetContent(block.Id, PartCatalogue.Get(block.Part).Slots.Select(s => s.Id).ElementAtOrDefault(slot) ?? "none", text)),
        Gen.Select(Among([.. Blocks.All(Demo.Site)]), Among([.. Demo.Site.Looks]), (block, look) => (Edit)new SetBlockLook(block.Id, look.Id)),
        Gen.Select(Among([.. Blocks.All(Demo.Site)]), Among<string?>(null, "day", "dusk"), (block, scheme) => (Edit)new SetBlockScheme(block.Id, scheme)),
        Gen.Select(Among([.. Demo.Site.Menus[0].Items]), Gen.Int[0, 6], (item, to) => to == 6 ? (Edit)new RemoveMenuItem("main", item.Id) : new MoveMenuItem("main", item.Id, to)),
        Gen.Select(Among([.. Demo.Site.Menus[0].Items]), Among<string?>(null, "", "Find us", "*Find* us", new string('x', 300)), Among<string?>(null, "home", "guide", "gone"), (item, label, page) => (Edit)new SetMenuItem("main", item.Id, label, page)),
        Gen.Select(Gen.Int[0, 3], Among("", "Find us", "a\nb"), Among("home", "contact", "gone", "guide#sowing", "https://seeds.example", "javascript:x"), Among<string?>([null, .. Demo.Site.Menus[0].Items.Select(i => i.Id)]), (item, label, page, parent) => (Edit)new AddMenuItem("main", $"item-{item}", label, page) { Parent = parent }),
        Gen.Select(Among([.. Demo.Site.Menus[0].Items.Select(i => i.Id), "item-0", "item-1"]), Gen.Int[0, 2], Among([.. Demo.Site.Menus[0].Items.Select(i => i.Id), "item-0"]), (item, to, parent) => (Edit)new MoveMenuItem("main", item, to) { Parent = parent }),
        Among("", "Pellwyn", "Pellwyn Seed Library", new string('x', 61)).Select(name => (Edit)new RenameSite(name)),
        Among("", "a { color: var(--color-husk) }", ".x:hover { top: 0", "@media print { a { color: red } }").Select(css => (Edit)new SetOverrides(css)));

    /// <summary>Blocks added, moved, wrapped, set aside: where they may stand and where not.</summary>
    private static Gen<Edit> Arranged()
    {
        var blocks = Among([.. Blocks.All(Demo.Site).Select(b => b.Id), "new-1", "new-2", "gone"]);
        var parents = Among<string?>([null, null, .. Blocks.All(Demo.Site).Where(b => !b.Blocks.IsEmpty).Select(b => b.Id), "new-1"]);
        var pages = Among("home", "guide", "contact", "page-1", "gone");
        var parts = Among([.. PartCatalogue.All.Select(p => p.Id), "none"]);
        return Gen.OneOf(
            Gen.Select(Gen.Int[1, 3], parts, pages, parents, Gen.Int[-1, 9], (n, part, page, parent, at) => (Edit)new AddBlock($"new-{n}", part, page, parent, at)),
            Gen.Select(Gen.Int[1, 3], Among([.. Arrangements.All.Select(a => a.Id), "none"]), pages, Gen.Int[0, 9], (n, arrangement, page, at) => (Edit)new AddArrangement($"new-{n}", arrangement, page, at)),
            Gen.Select(blocks, Gen.Int[1, 3], (block, n) => (Edit)new DuplicateBlock(block, $"new-{n}")),
            Gen.Select(blocks, blocks, pages, parents, Gen.Int[0, 9], (block, other, page, parent, at) => (Edit)new MoveBlocks(at % 3 == 0 ? [block, other] : [block], page, parent, at)),
            Gen.Select(blocks, blocks, parts, Gen.Int[1, 3], (one, other, part, n) => (Edit)new WrapBlocks(n == 1 ? [one, other] : [one], part, null, $"new-{n}")),
            Gen.Select(blocks, Gen.Int[0, 4], (block, n) => n switch { 0 => (Edit)new RemoveBlock(block), 1 => new UnwrapBlock(block), 2 => new DropAside(block), 3 => new PutBlockBack(block, null), _ => new SetBlockAside(block) }),
            Gen.Select(blocks, pages, (block, page) => (Edit)new PutBlockBack(block, page)),
            Gen.Select(blocks, Gen.Int[1, 3], pages, parents, Gen.Int[0, 9], (block, n, page, parent, at) => (Edit)new ShareBlock(block, $"new-{n}", page, parent, at)),
            blocks.Select(block => (Edit)new CutLoose(block)),
            Gen.Select(blocks, parts, Gen.Int[1, 3], (block, part, n) => (Edit)new ChangePart(block, part, $"kept-{n}")),
            Gen.Select(blocks, Gen.Enum<BlockField>(), Among("", "narrow", "wide narrow", "one two", "Sowing", "sowing", "button", "field-1", "a\nb"), (block, field, text) => (Edit)new SetBlock(block, field, text)));
    }

    /// <summary>Text written on the stage, in blocks that run on and in those that do not.</summary>
    private static Gen<Edit> Written()
    {
        var blocks = Among([.. Blocks.All(Demo.Site).Where(b => PartCatalogue.Get(b.Part).Slots.Any(s => s.Kind is SlotKind.Text or SlotKind.List or SlotKind.Table)), .. Blocks.All(Demo.Site).Where(b => PartCatalogue.Get(b.Part).Running is not null)]);
        var html = Among("", "Words", " some <b>strong</b> and <i>quiet</i> words ", "<ul><li>one<ol><li>two</li></ol></li><li></li></ul>", "a<br>b", "<a href=\"x\" data-to=\"guide\">there</a>", "<table><tr><td>a|b</td><td></td></tr></table>", "**", "1. x");
        Piece[] pieces = [.. ReadText.Of(TextForm.Markdown, "one\n\n# two\n\n- three\n\n> four\n\na | b\n-|-\nc | d\n\nfive").Pieces, new("section", ImmutableSortedDictionary<string, string>.Empty)];
        return Gen.OneOf(
            Gen.Select(blocks, Gen.Int[0, 5], html, (block, slot, text) => (Edit)new WriteContent(block.Id, SlotOf(block, slot), text)),
            Gen.Select(blocks, Gen.Int[0, 2], html, html, Gen.Int[1, 3], (block, slot, before, after, n) => (Edit)new SplitContent(block.Id, SlotOf(block, slot), before, after, $"split-{n}")),
            Gen.Select(blocks, Gen.Int[0, 2], html, (block, slot, text) => (Edit)new JoinContent(block.Id, SlotOf(block, slot), text)),
            Gen.Select(blocks, html, html, Among(pieces).Array[0, 4], Gen.Int[1, 3], (block, before, after, some, n) => (Edit)new PasteContent(block.Id, SlotOf(block, 0), before, after, [.. some], $"paste-{n}")),
            Gen.Select(blocks, blocks, Gen.Bool, (one, other, both) => (Edit)new LinesToList(both ? [one.Id, other.Id] : [one.Id])),
            Gen.Select(blocks, Gen.Int[1, 3], (block, n) => (Edit)new ListToLines(block.Id, $"line-{n}")));

        static string SlotOf(Block block, int at) => at == 0 && PartCatalogue.Get(block.Part).Running is { } running ? running : PartCatalogue.Get(block.Part).Slots.Select(s => s.Id).ElementAtOrDefault(at) ?? "none";
    }

    /// <summary>Pictures put on the shelf, into blocks that have a place for one, into those that have none, and beside others.</summary>
    private static Gen<Edit> Pictured() => Gen.Select(
        Among("shot-1", "shot-2", "gone me"), Among("reeds.png", "", "a\nb.svg", "Pump house.jpg"), Among("image/png", "image/svg+xml", "image/gif"), Gen.Int[0, 4000],
        Gen.Select(Among([.. Blocks.All(Demo.Site).Select(b => b.Id), "new-1"]), Among<string?>("home", "gone", null), Among<string?>([null, .. Blocks.All(Demo.Site).Select(b => b.Id)]), Gen.Int[0, 9], Gen.Int[0, 3]),
        (item, name, mediaType, size, spot) => size % 11 == 0 ? new AddClip(item, name, size % 2 == 0 ? "video/webm" : mediaType, new string('e', 64), size, 300, size % 3 == 0 ? "https://clips.example/a.webm" : name) : size % 5 == 0 ? new ReplacePicture(size % 2 == 0 ? "beet" : item, name, mediaType, new string('d', 64), size, 300) : (Edit)new AddPicture(item, name, mediaType, new string(size % 2 == 0 ? 'b' : 'c', 64), size, 300, spot.Item5 == 0 ? null : new(spot.Item1, spot.Item2, spot.Item3, spot.Item4)) { Post = size % 7 == 0 ? "frost" : null });

    /// <summary>Posts and categories, with blocks that list them.</summary>
    private static Gen<Edit> Posted()
    {
        var posts = Among("frost", "lantern", "post-1", "post-2", "gone");
        var categories = Among("season", "seeds", "kind-1", "gone");
        var texts = Among("", "Words *of* a [kind](guide)", "season", "kind-1", "squash", "26 November 2026", "1.2.2027", "guide#sowing", "https://seeds.example", "javascript:x", "a\nb", "none");
        return Gen.OneOf(
            Gen.Select(Gen.Int[1, 2], Among("News", "", new string('x', 2000)), Among("2026-11-26", "2 Nov 2026", "yesterday"), (n, title, date) => (Edit)new AddPost($"post-{n}", title, date)),
            Gen.Select(posts, Gen.Enum<PostField>(), texts, (post, field, text) => (Edit)new SetPost(post, field, text)),
            posts.Select(post => (Edit)new RemovePost(post)),
            Gen.Select(Among("kind-1", "season"), Among("Kinds", "Season", ""), (id, name) => (Edit)new AddCategory(id, name)),
            Gen.Select(categories, Among<string?>(null, "Kinds", "season", ""), Among<string?>(null, "", "home", "gone", "javascript:x"), (id, name, to) => (Edit)new SetCategory(id, name, to)),
            Gen.Select(categories, Gen.Int[-1, 4], (id, to) => (Edit)new MoveCategory(id, to)),
            categories.Select(id => (Edit)new RemoveCategory(id)),
            Gen.Select(Gen.Int[1, 3], Among("posts", "categories", "paging"), (n, part) => (Edit)new AddBlock($"new-{n}", part, "home", "home-opening", 0)),
            Gen.Select(Gen.Int[1, 3], Among(("category", "season"), ("category", "kind-1"), ("most", "1"), ("most", "2"), ("beyond", "further"), ("beyond", ""), ("text", "hidden"), ("older", "Older")), (n, held) => (Edit)new SetContent($"new-{n}", held.Item1, held.Item2)));
    }

    private static Gen<Edit> Paged()
    {
        var pages = Among("home", "guide", "contact", "page-1", "gone");
        return Gen.OneOf(
            Gen.Select(Among("page-1", "guide"), Among("Rota", "Home", ""), Among<string?>(null, null, "guide", "gone"), Among<string?>(null, "opening", "none"), (id, name, like, arrangement) => (Edit)new AddPage(id, name, like, arrangement)),
            Gen.Select(pages, Gen.Enum<PageField>(), Among("", "Rota", "rota", "guide", "dusk", "A line"), (page, field, text) => (Edit)new SetPage(page, field, text)),
            Gen.Select(pages, Gen.Int[-1, 7], (page, to) => to switch { -1 => (Edit)new RemovePage(page), 7 => new SetPageAside(page), 6 => new PutPageBack(page), _ => new MovePage(page, to) }));
    }

    private static Gen<Edit> OwnValues()
    {
        var blocks = Blocks.All(Demo.Site).ToArray();
        return Gen.OneOf(
            Gen.Select(Among(blocks), Gen.Int[0, 99], Gen.Enum<State>(), Among([.. Typed, "beet", "space 3", "12px", "hairline"]), Gen.Int[0, 5], (block, at, state, text, n) =>
                PartCatalogue.Get(block.Part).Properties is var all ? (Edit)new SetOwn(block.Id, all[at % all.Length].Id, state, null, null, n == 0 ? null : text) { Side = n == 1 ? 2 : null } : null!),
            Gen.Select(Among(blocks), Among(blocks), Gen.Int[0, 4], (block, other, n) => n switch
            {
                0 => (Edit)new PromoteOwn(block.Id, null),
                1 => new DropOwn(block.Id, null),
                2 => new CopyOwn(block.Id, []),
                3 => new CopyOwn(block.Id, [other.Id]),
                _ => new OwnToLook(block.Id, "made-look", "Made"),
            }),
            Gen.Select(Among(blocks), Among("background", "padding", "radius", "text-color"), (block, property) => (Edit)new DropOwnEverywhere(block.Part, property)));
    }

    /// <summary>Fields of things of every kind, set to what can be named there and to what cannot.</summary>
    private static Gen<Edit> Things()
    {
        var fields = from kind in Kinds.AllListed
                     from thing in kind.Things(Demo.Site)
                     from field in kind.Fields(Demo.Site)
                     from text in (kind.Suggested(Demo.Site, thing, field) ?? field.Setting.Names(Demo.Site)).Take(12).Concat(["13px", "2", "-4", "#aabbcc", "none of these"])
                     select (Edit)new SetThing(kind.Code, thing.Id, field.Id, text);
        var items = from kind in Kinds.AllListed
                    let inner = kind.Items
                    where inner is not null
                    from thing in kind.Things(Demo.Site)
                    from item in inner.Of(thing)
                    from field in inner.Fields
                    from text in field.Setting.Names(Demo.Site).Take(6).Concat(["13px", "40", "nothing"])
                    select (Edit)new SetThing(kind.Code, item.Id, field.Id, text, thing.Id);
        return Gen.OneOf(Among([.. fields]), Among([.. items]));
    }

    private static Gen<Edit> AddedThings() => Gen.Select(Among([.. Kinds.AllListed]), Among("Quince", "leaf tint 2", "Old husk", "action", ""), Gen.Bool, Gen.Bool, (kind, name, like, inside) =>
    {
        var things = kind.Things(Demo.Site);
        if (inside && kind.Items is { } items) return (Edit)new AddThing(kind.Code, $"new-{kind.Code}", In: things[0].Id, Like: like ? items.Of(things[0])[0].Id : null);
        return (Edit)new AddThing(kind.Code, $"new-{kind.Code}-{name.Length}", name, like ? things[0].Id : null);
    });

    private static Gen<Edit> MovedThings() => Gen.Select(Among([.. Kinds.AllListed]), Gen.Int[0, 30], Gen.Int[-1, 8], (kind, at, to) => kind.Things(Demo.Site) is var things && at % 2 == 0
        ? (Edit)new MoveThing(kind.Code, things[at % things.Length].Id, to)
        : new RenameThing(kind.Code, things[at % things.Length].Id, $"Name {at}"));

    private static Gen<Edit> RemovedThings() => Gen.Select(Among([.. Kinds.AllListed]), Gen.Int[0, 30], Gen.Int[0, 30], (kind, at, by) => kind.Things(Demo.Site) is var things && by % 2 == 0
        ? (Edit)new RemoveThing(kind.Code, things[at % things.Length].Id)
        : new RemoveThing(kind.Code, things[at % things.Length].Id, things[by % things.Length].Id));

    private static Gen<SetCell> Cells()
    {
        var cells = from look in Demo.Site.Looks
                    let part = PartCatalogue.Get(look.Part)
                    from property in part.Properties
                    from state in part.States
                    from value in Demo.Values(property).Concat(Typed).Concat(property.Names(Demo.Site).Take(3))
                    select new SetCell(look.Id, property.Id, state, null, null, value);
        // Now and then one side or corner alone.
        var sides = new int?[] { null, null, null, null, 0, 3, 7 };
        var widths = new (int?, int?)[] { (null, null), (null, null), (null, 600), (600, 820), (820, null), (0, 700) };
        return Gen.Select(Among([.. cells]), Among(widths), Among(sides), (cell, at, side) => cell with { From = at.Item1, Below = at.Item2, Side = side });
    }

    public static Gen<T> Among<T>(params T[] all) => Gen.Int[0, all.Length - 1].Select(i => all[i]);
}
