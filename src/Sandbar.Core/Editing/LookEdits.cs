using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Sets a cell of a look to what was typed, or lets it go back to what it inherits.</summary>
/// <param name="From">First width it holds at, px; null for no lower end.</param>
/// <param name="Below">First width it no longer holds at.</param>
/// <param name="Text">What was typed; null to clear the cell.</param>
public sealed record SetCell(string Look, string Property, State State, int? From, int? Below, string? Text) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Looks.Find(Look) is not { } look) return new Problem("/look", "This look is no longer there.");
        var part = PartCatalogue.Get(look.Part);
        if (part.Property(Property) is not { } property) return new Problem("/property", $"A {part.Name.ToLowerInvariant()} has no such setting.");
        if (!part.States.Contains(State)) return new Problem("/state", $"A {part.Name.ToLowerInvariant()} has no state {State}.");
        if (property.SameInAllStates && State != State.Rest) return new Problem("/state", $"{property.Name} is the same in all states: set it at Rest.");
        if (Widths(look) is { } widths) return widths;
        var key = Key.ToString();
        if (Text is null)
        {
            var relying = look.Cells.Keys.Select(CellKey.Parse).Where(k => State == State.Rest && k.Property == Property && k.State != State.Rest).ToList();
            var cleared = look.Cells.Remove(key);
            if (Key.Widths == Interval.All && relying.Any(k => ReliesOnRest(look.Cells[k.ToString()])))
                return new Problem("/text", $"{property.Name} in another state is relative to Rest. Clear that first.");
            return site with { Looks = site.Looks.Put(look with { Cells = cleared }) };
        }
        try
        {
            var value = ValueText.Read(site, property, Text, State == State.Rest ? null : look.Cells.GetValueOrDefault(Property));
            return site with { Looks = site.Looks.Put(look with { Cells = look.Cells.SetItem(key, value) }) };
        }
        catch (FormatException problem)
        {
            return new Problem("/text", problem.Message);
        }
    }

    public override string Describe(Site site)
    {
        var cell = site.Looks.Find(Look) is { } look ? Usage.CellName(look, Key) : "Look";
        return Text is null ? $"{cell} cleared" : $"{cell} → {Text.Trim()}";
    }

    private CellKey Key => new(Property, State, new(From, Below));

    private static bool ReliesOnRest(Value value) => value switch
    {
        RestValue => true,
        OperationValue operation => ReliesOnRest(operation.Left) || ReliesOnRest(operation.Right),
        SidesValue sides => new[] { sides.Top, sides.Right, sides.Bottom, sides.Left }.Any(ReliesOnRest),
        _ => false,
    };

    private Problem? Widths(Look look)
    {
        if (From is < 0 || Below is <= 0 || (From ?? 0) >= (Below ?? int.MaxValue)) return new("/from", "These widths hold nothing between them.");
        if (Key.Widths == Interval.All) return null;
        var other = look.Cells.Keys.Select(CellKey.Parse).FirstOrDefault(k =>
            k.Property == Property && k.State == State && k.Widths != Interval.All && k.Widths != Key.Widths && k.Widths.Overlaps(Key.Widths));
        return other == default ? null : new("/from", $"There is a value from {other.Widths.From ?? 0} px{(other.Widths.Below is { } b ? $" up to {b} px" : "")} already: the two would overlap.");
    }
}
