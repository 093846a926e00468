using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;

namespace Sandbar.Core.Editing;

/// <summary>Sets a cell of a look to what was typed, or lets it go back to what it inherits.</summary>
/// <param name="From">First width it holds at, px; null for no lower end.</param>
/// <param name="Below">First width it no longer holds at.</param>
/// <param name="Text">What was typed; null to clear the cell.</param>
public sealed record SetCell(string Look, string Property, State State, int? From, int? Below, string? Text) : Edit
{
    /// <summary>The one side or corner that is set, from 0: the others stay as they are. Null for all.</summary>
    public int? Side { get; init; }

    protected override Outcome Change(Site site)
    {
        if (site.Looks.Find(Look) is not { } look) return new Problem("/look", "This look is no longer there.");
        if (PartCatalogue.Find(look.Part) is not { } part) return new Problem("/look", "This program does not know the part this look is for.");
        if (part.Property(Property) is not { } property) return new Problem("/property", $"A {part.Name.ToLowerInvariant()} has no such setting.");
        if (!part.States.Contains(State)) return new Problem("/state", $"A {part.Name.ToLowerInvariant()} has no state {State}.");
        if (property.SameInAllStates && State != State.Rest) return new Problem("/state", $"{property.Name} is the same in all states: set it at Rest.");
        if (Widths(look) is { } widths) return widths;
        var key = Key.ToString();
        try
        {
            var changed = look with
            {
                Cells = Text is null
                    ? look.Cells.Remove(key)
                    : look.Cells.SetItem(key, Read(site, look, property)),
            };
            var after = site with { Looks = site.Looks.Put(changed) };
            return Relying(after, part, property, changed) is { } relying ? relying : after;
        }
        catch (FormatException problem)
        {
            return new Problem("/text", problem.Message);
        }
    }

    public override string Describe(Site site)
    {
        var cell = site.Looks.Find(Look) is { } look ? PartCatalogue.CellName(look, Key) : "Look";
        if (Side is { } side && site.Looks.Find(Look) is { } of && PartCatalogue.Find(of.Part)?.Property(Property) is { } property && property.Kind.Sides is { } sides && side >= 0 && side < sides.Count) cell += $", {sides[side]}";
        return Text is null ? $"{cell} cleared" : $"{cell} → {Text.Trim()}";
    }

    private CellKey Key => new(Property, State, new(From, Below));

    /// <exception cref="FormatException">It is not taken; the message says why.</exception>
    private Value Read(Site site, Look look, PartProperty property)
    {
        var rest = Key.RestIn(look.Cells, look.Cells);
        if (Side is not { } side) return property.Read(site, Text!, rest);
        var held = look.Cells.GetValueOrDefault(Key.ToString()) ?? look.Cells.GetValueOrDefault((Key with { Widths = Interval.All }).ToString()) ?? rest;
        return property.ReadSide(site, held, side, Text!, rest);
    }

    /// <summary>What refers to this Rest, in the look or in blocks that wear it, must still be able to.</summary>
    private Problem? Relying(Site after, Part part, PartProperty property, Look look)
    {
        if (State != State.Rest) return null;
        bool IsBroken(ImmutableSortedDictionary<string, Value> cells) => cells.Any(c =>
            c.Value.DependsOnRest() && CellKey.Parse(c.Key) is var k && k.Property == Property && property.Refusal(after, c.Value, k.RestIn(cells, look.Cells)) is not null);
        if (IsBroken(look.Cells)) return new("/text", $"{property.Name} in another state is relative to Rest. Clear that first.");
        var block = Blocks.WithOwnValues(after).FirstOrDefault(b => b.Look == look.Id && IsBroken(b.Own));
        return block is null ? null : new("/text", $"{property.Name} of {block.Name} is relative to Rest in another state. Clear that first.");
    }

    private Problem? Widths(Look look)
    {
        if (From is < 0 || Below is <= 0 || (From ?? 0) >= (Below ?? int.MaxValue)) return new("/from", "These widths hold nothing between them.");
        if (Key.Widths == Interval.All) return null;
        var other = look.Cells.Keys.Select(CellKey.Parse).FirstOrDefault(k =>
            k.Property == Property && k.State == State && k.Widths != Interval.All && k.Widths != Key.Widths && k.Widths.Overlaps(Key.Widths));
        return other == default ? null : new("/from", $"There is a value from {other.Widths.From ?? 0}px{(other.Widths.Below is { } b ? $" up to {b}px" : "")} already: the two would overlap.");
    }
}

/// <summary>Takes looks of the catalogue into the site that have come with a newer program.</summary>
/// <param name="Looks">Ids of the looks, as the catalogue makes them.</param>
public sealed record TakeLooks(IReadOnlyList<string> Looks) : Edit
{
    protected override Outcome Change(Site site)
    {
        var missing = Missing(site).Where(m => Looks.Contains(m.Part.LookId(m.Seed))).ToList();
        return missing.Count == 0 ? new Problem("/looks", "These looks are part of the site already.") : site with
        {
            Looks = site.Looks.AddRange(missing.Select(m => CatalogueLooks.FromSeed(site, m.Part, m.Seed))),
            TakenLooks = site.TakenLooks.Union(missing.Select(m => m.Part.LookId(m.Seed))),
        };
    }

    public override string Describe(Site site)
    {
        var names = Missing(site).Where(m => Looks.Contains(m.Part.LookId(m.Seed))).Select(m => m.Part.Looks.Length > 1 ? $"{m.Part.Name} · {m.Seed.Name}" : m.Part.Name);
        return $"New with this Sandbar: {string.Join(", ", names)}";
    }

    /// <summary>The edit that brings a site all that the catalogue has and it never had; null where that is nothing.</summary>
    public static TakeLooks? For(Site site) => Missing(site).Select(m => m.Part.LookId(m.Seed)).ToList() is { Count: > 0 } looks ? new(looks) : null;

    private static IEnumerable<(Part Part, LookSeed Seed)> Missing(Site site) =>
        from part in PartCatalogue.All
        from seed in part.Looks
        where !site.TakenLooks.Contains(part.LookId(seed))
        select (part, seed);
}
