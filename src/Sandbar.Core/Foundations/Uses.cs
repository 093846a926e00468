using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations;

/// <summary>A use of a thing.</summary>
/// <param name="Words">Where, in a designer's words.</param>
/// <param name="Step">Of a colour or a role, the step that is used: 1… tints, −1… shades.</param>
public sealed record Use(string Words, UsePlace Place, int Step = 0);

/// <summary>Where something is used.</summary>
public abstract record UsePlace;

/// <summary>A thing of the foundations.</summary>
/// <param name="Of">Code of its kind.</param>
public sealed record InThing(string Of, string Id) : UsePlace;

/// <summary>A cell of a look.</summary>
public sealed record InCell(string Part, string Look, string Property, State State) : UsePlace;

/// <summary>A block, by its own values or as a carrier of a scheme.</summary>
/// <param name="Page">Id of a page it stands on.</param>
public sealed record InBlock(string Page, string Block) : UsePlace;

/// <summary>A page as a carrier of a scheme.</summary>
public sealed record InPage(string Page) : UsePlace;

/// <summary>A post, by its picture.</summary>
public sealed record InPost(string Post) : UsePlace;

/// <summary>The override sheet.</summary>
public sealed record InOverrides : UsePlace;

/// <summary>Where things of the foundations are used; found for a whole site at once.</summary>
public sealed class Uses
{
    private static readonly ConditionalWeakTable<Site, Uses> Known = [];

    private readonly Dictionary<(string Kind, string Id), List<Use>> places = [];

    private Uses(Site site)
    {
        foreach (var kind in Kinds.AllListed)
        {
            foreach (var thing in kind.Things(site))
            {
                foreach (var (_, field, value) in kind.Values(site, thing)) Add(value, new(kind.UseName(site, thing, field), new InThing(kind.Code, thing.Id)));
            }
        }
        foreach (var look in site.Looks)
        {
            foreach (var (cell, value) in look.Cells)
            {
                var key = CellKey.Parse(cell);
                Add(Meant(value, look.Cells, look.Cells, key), new(PartCatalogue.CellName(look, key), new InCell(look.Part, look.Id, key.Property, key.State)));
            }
        }
        foreach (var (page, block) in Outermost(site).SelectMany(o => Blocks.WithOwnValues(o.Block).Select(b => (o.Page, b))))
        {
            foreach (var (cell, value) in block.Own) Add(Meant(value, block.Own, site.Looks.Find(block.Look)?.Cells ?? block.Own, CellKey.Parse(cell)), new(block.Name, new InBlock(page, block.Id)));
        }
        foreach (var (page, block) in Outermost(site).SelectMany(o => PictureSlots.Within(o.Block).Select(b => (o.Page, b))))
        {
            foreach (var picture in PictureSlots.Of(block)) Add(PictureKind.Kind, block.Content[picture.Id], new(block.Name, new InBlock(page, block.Id)));
        }
        foreach (var post in site.Posts.Where(p => p.Picture is not null)) Add(PictureKind.Kind, post.Picture!, new($"post {post.Title}", new InPost(post.Id)));
        // What is set aside comes back as it was: it uses what it names.
        foreach (var block in Blocks.SetAside(site))
        {
            foreach (var picture in PictureSlots.Of(block)) Add(PictureKind.Kind, block.Content[picture.Id], new($"{block.Name} (set aside)", new InBlock("", block.Id)));
            foreach (var value in block.Own.Values) Add(value, new($"{block.Name} (set aside)", new InBlock("", block.Id)));
            if (block.Scheme is { } scheme) Add(SchemeKind.Kind, scheme, new($"{block.Name} (set aside)", new InBlock("", block.Id)));
        }
        foreach (var page in site.Aside.Pages) Add(SchemeKind.Kind, page.Scheme, new($"page {page.Name} (set aside)", new InPage(page.Id)));
        foreach (var page in site.Pages) Add(SchemeKind.Kind, page.Scheme, new($"page {page.Name}", new InPage(page.Id)));
        foreach (var (page, block) in Outermost(site).SelectMany(o => Blocks.WithScheme(o.Block).Select(b => (o.Page, b)))) Add(SchemeKind.Kind, block.Scheme!, new(block.Name, new InBlock(page, block.Id)));
        foreach (var reference in OverrideTokens.References(site)) Add(reference.To, reference.Id, new("Overrides", new InOverrides(), reference.Step));
    }

    /// <summary>The uses of a thing, in the order of the site.</summary>
    public static IReadOnlyList<Use> Of(Site site, string kind, string id) =>
        Known.GetValue(site, s => new(s)).places.TryGetValue((kind, id), out var uses) ? uses : [];

    /// <summary>The site with every reference to a thing leading to another of its kind, in overrides too.</summary>
    public static Site Replaced(Site site, ListedKind kind, string id, string by)
    {
        Value Turn(Value value) => value is ReferenceValue reference && reference.To == kind.Code && reference.Id == id ? reference with { Id = by } : value;
        foreach (var other in Kinds.AllListed)
        {
            foreach (var thing in other.Things(site).Where(t => other != kind || t.Id != id))
            {
                var changed = other.Map(site, thing, Turn);
                if (!ReferenceEquals(changed, thing)) site = other.Put(site, changed);
            }
        }
        site = site with { Looks = site.Looks.Each(look => Turned(look.Cells, Turn) is { } cells ? look with { Cells = cells } : look) };
        var (isScheme, isPicture) = (kind.Code == SchemeKind.Kind, kind.Code == PictureKind.Kind);
        site = Blocks.Map(site, In);
        if (isScheme)
        {
            Page Carrying(Page page) => page.Scheme == id ? page with { Scheme = by } : page;
            site = site with { Pages = site.Pages.Each(Carrying), Aside = site.Aside with { Pages = site.Aside.Pages.Each(Carrying) } };
        }
        if (isPicture) site = site with { Posts = site.Posts.Each(post => post.Picture == id ? post with { Picture = by } : post) };
        return OverrideTokens.Renamed(site, kind, id, by);

        Block In(Block block)
        {
            if (Turned(block.Own, Turn) is { } own) block = block with { Own = own };
            if (isScheme && block.Scheme == id) block = block with { Scheme = by };
            if (isPicture && PictureSlots.Of(block).Where(s => block.Content[s.Id] == id).ToList() is { Count: > 0 } slots) block = block with { Content = block.Content.SetItems(slots.Select(s => KeyValuePair.Create(s.Id, by))) };
            var inner = block.Blocks.Each(In);
            return inner == block.Blocks ? block : block with { Blocks = inner };
        }
    }

    /// <summary>A value with the step of a colour that Rest leads to in the place of a step from Rest.</summary>
    private static Value Meant(Value value, ImmutableSortedDictionary<string, Value> own, ImmutableSortedDictionary<string, Value> look, CellKey key) =>
        value.DependsOnRest() && key.RestIn(own, look) is ReferenceValue rest ? value.Map(v => v is RestValue { Step: var step } ? ValueForms.Moved(rest, step) : v) : value;

    private static ImmutableSortedDictionary<string, Value>? Turned(ImmutableSortedDictionary<string, Value> values, Func<Value, Value> turn)
    {
        var changed = values.Select(v => KeyValuePair.Create(v.Key, v.Value.Map(turn))).Where(v => !ReferenceEquals(v.Value, values[v.Key])).ToList();
        return changed.Count == 0 ? null : values.SetItems(changed);
    }

    /// <summary>The outermost blocks with the page each is on. What stands in the frame is on every page: the first will do.</summary>
    private static IEnumerable<(string Page, Block Block)> Outermost(Site site)
    {
        var first = site.Pages.IsEmpty ? "" : site.Pages[0].Id;
        return site.Pages.SelectMany(p => p.Sections.Select(s => (p.Id, s))).Prepend((first, site.Frame.Footer)).Prepend((first, site.Frame.Header));
    }

    private void Add(Value value, Use use)
    {
        foreach (var reference in value.References()) Add(reference.To, reference.Id, use with { Step = reference.Step });
    }

    private void Add(string kind, string id, Use use)
    {
        if (!places.TryGetValue((kind, id), out var uses)) places[(kind, id)] = uses = [];
        if (uses.Count == 0 || (uses[^1].Words, uses[^1].Step) != (use.Words, use.Step)) uses.Add(use);
    }
}
