using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Sets a value in which a block differs from its look, or lets it go back to the look's.</summary>
/// <param name="From">First width it holds at, px; null for no lower end.</param>
/// <param name="Below">First width it no longer holds at.</param>
/// <param name="Text">What was typed; null to drop the value.</param>
public sealed record SetOwn(string Block, string Property, State State, int? From, int? Below, string? Text) : Edit
{
    /// <summary>The one side or corner that is set, from 0: the others stay as they are. Null for all.</summary>
    public int? Side { get; init; }

    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        if (PartCatalogue.Find(block.Part) is not { } part || site.Looks.Find(block.Look) is not { } look) return new Problem("/block", "This program does not know what this block is.");
        if (part.Property(Property) is not { } property) return new Problem("/property", $"A {part.Name.ToLowerInvariant()} has no such setting.");
        var key = Key.ToString();
        if (Text is null) return OwnEdits.Checked(site, block with { Own = block.Own.Remove(key) });
        try
        {
            var rest = Key.RestIn(block.Own, look.Cells);
            var held = block.Own.GetValueOrDefault(key) ?? look.Cells.GetValueOrDefault(key) ?? look.Cells.GetValueOrDefault((Key with { Widths = Interval.All }).ToString()) ?? rest;
            var value = Side is { } side ? property.ReadSide(site, held, side, Text, rest) : property.Read(site, Text, rest);
            return OwnEdits.Checked(site, block with { Own = block.Own.SetItem(key, value) });
        }
        catch (FormatException problem)
        {
            return new Problem("/text", problem.Message);
        }
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} · {OwnEdits.SettingName(site, Block, Property)} {(Text is null ? "as its look" : $"→ {Text.Trim()}")}";

    private CellKey Key => new(Property, State, new(From, Below));
}

/// <summary>Gives the look of a block what the block has of its own: all that wear the look follow. Others keep what they have of their own.</summary>
/// <param name="Property">Id of the one setting; null for all.</param>
public sealed record PromoteOwn(string Block, string? Property) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        if (site.Looks.Find(block.Look) is not { } look) return new Problem("/block", "The look it wears is no longer there.");
        var promoted = OwnEdits.Of(block, Property);
        if (promoted.Count == 0) return OwnEdits.Nothing;
        var after = Blocks.Put(site with { Looks = site.Looks.Put(look with { Cells = look.Cells.SetItems(promoted) }) }, block with { Own = block.Own.RemoveRange(promoted.Keys) });
        var cells = after.Looks.Get(look.Id).Cells;
        var part = PartCatalogue.Get(look.Part);
        if (LookCheck.Cells(after, "/looks", part, cells, cells).FirstOrDefault() is { } problem) return problem with { Path = "/property" };
        // What others have of their own may be relative to what the look had.
        var relying = Blocks.WithOwnValues(after).Concat(Blocks.SetAside(after)).FirstOrDefault(b => b.Look == look.Id && LookCheck.Cells(after, "/own", part, b.Own, cells).Any());
        return relying is null ? after : new Problem("/property", $"A value that {relying.Name} has of its own would not fit any more. Drop that first.");
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} · {OwnEdits.What(site, Block, Property)} given to its look";
}

/// <summary>Makes a look of what a block has of its own, over what its look has, and lets the block wear it.</summary>
/// <param name="Id">The new look's id.</param>
public sealed record OwnToLook(string Block, string Id, string Name) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        if (site.Looks.Find(block.Look) is not { } look) return new Problem("/block", "The look it wears is no longer there.");
        if (block.Own.IsEmpty) return OwnEdits.Nothing;
        if (Names.CheckId(Id, site.Looks.Find(Id) is not null, "/id") is { } badId) return badId;
        var among = site.Looks.Where(l => l.Part == look.Part).ToList();
        if (Names.Check(Name, among.Select(l => l.Name)) is { } badName) return badName;
        var made = look with { Id = Id, Name = Name.Trim(), CssName = Names.FreeSlug(Name.Trim(), among.Select(l => l.CssName)), Cells = look.Cells.SetItems(block.Own) };
        var at = site.Looks.IndexOf(among[^1]) + 1;
        return Blocks.Put(site with { Looks = site.Looks.Insert(at, made) }, block with { Look = Id, Own = block.Own.Clear() });
    }

    public override string Describe(Site site) => $"Look {Name.Trim()} made of {BlockEdits.Name(site, Block)}";
}

/// <summary>Gives other blocks of the same part what a block has of its own.</summary>
/// <param name="To">Ids of the blocks; empty for all that wear the look.</param>
public sealed record CopyOwn(string Block, IReadOnlyList<string> To) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        if (block.Own.IsEmpty) return OwnEdits.Nothing;
        var others = Blocks.All(site).Where(b => b.Id != Block && b.Part == block.Part && (To.Count == 0 ? b.Look == block.Look : To.Contains(b.Id))).ToList();
        if (others.Count == 0) return new Problem("/to", "There is no other block to copy them to.");
        foreach (var other in others)
        {
            var outcome = OwnEdits.Checked(site, other with { Own = other.Own.SetItems(block.Own) });
            if (outcome.Site is null) return outcome;
            site = outcome.Site;
        }
        return site;
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} · own values copied to {(To.Count == 0 ? "all of its look" : To.Count == 1 ? BlockEdits.Name(site, To[0]) : $"{To.Count} blocks")}";
}

/// <summary>Lets a block be as its look again.</summary>
/// <param name="Property">Id of the one setting; null for all.</param>
public sealed record DropOwn(string Block, string? Property) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        var dropped = OwnEdits.Of(block, Property);
        return dropped.Count == 0 ? OwnEdits.Nothing : OwnEdits.Checked(site, block with { Own = block.Own.RemoveRange(dropped.Keys) });
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} · {OwnEdits.What(site, Block, Property)} as its look";
}

/// <summary>Lets every block of a part be as its look in one setting.</summary>
public sealed record DropOwnEverywhere(string Part, string Property) : Edit
{
    protected override Outcome Change(Site site)
    {
        var differing = Blocks.All(site).Concat(Blocks.SetAside(site)).Where(b => b.Part == Part && OwnEdits.Of(b, Property).Count > 0).ToHashSet();
        if (differing.Count == 0) return OwnEdits.Nothing;
        return Blocks.Map(site, Dropped);

        Block Dropped(Block block)
        {
            if (differing.Contains(block)) block = block with { Own = block.Own.RemoveRange(OwnEdits.Of(block, Property).Keys) };
            var inner = block.Blocks.Each(Dropped);
            return inner == block.Blocks ? block : block with { Blocks = inner };
        }
    }

    public override string Describe(Site site) => $"{PartCatalogue.Find(Part)?.Name ?? "Part"} · every own {PartCatalogue.Find(Part)?.Property(Property)?.Name.ToLowerInvariant() ?? "value"} dropped";
}

internal static class OwnEdits
{
    public static readonly Problem Nothing = new("/block", "It has nothing of its own here: it is as its look.");

    /// <summary>The site with a block whose own values changed; or why they cannot stand.</summary>
    public static Outcome Checked(Site site, Block block)
    {
        var after = Blocks.Put(site, block);
        return LookCheck.Cells(after, "/own", PartCatalogue.Get(block.Part), block.Own, after.Looks.Get(block.Look).Cells).FirstOrDefault() is { } problem ? new Problem("/text", problem.Message) : after;
    }

    /// <summary>The own values of a block in one setting, with all states and widths; all of them where none is named.</summary>
    public static IReadOnlyDictionary<string, Value> Of(Block block, string? property) =>
        property is null ? block.Own : block.Own.Where(v => CellKey.Parse(v.Key).Property == property).ToImmutableSortedDictionary(StringComparer.Ordinal);

    public static string SettingName(Site site, string block, string property) =>
        (Blocks.Find(site, block) is { } found ? PartCatalogue.Find(found.Part)?.Property(property)?.Name.ToLowerInvariant() : null) ?? property;

    public static string What(Site site, string block, string? property) => property is null ? "all own values" : SettingName(site, block, property);
}
