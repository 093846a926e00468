using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Reviewing;

/// <summary>A setting of a look that leaves too little room between text and the edge of its box.</summary>
/// <param name="Cell">Key of the cell that decides it, or that is not set and would.</param>
/// <param name="Says">What is wrong, in a sentence.</param>
/// <param name="Source">What it rests on.</param>
/// <param name="Mend">What to type in the cell.</param>
public sealed record Squashed(string Look, CellKey Cell, string Says, string Source, string Mend);

/// <summary>
/// Boxes whose text stands nearer to the edge than the site wants, at any width: to a border, or to the edge of their own filled ground. Room at the sides is
/// looked for in full; above and below half of it will do, since lines bring their own.
/// </summary>
public static class RoomInBoxes
{
    private const string Source = "8 px looks squashed, 20 px and more reads well (common practice, no published source)";

    /// <summary>Of the windows that are looked at, px: a common phone, tablet and laptop.</summary>
    private static readonly ImmutableArray<int> Widths = [.. Viewports.All.Select(v => v.Width)];

    // Kept for as long as the look and all that lengths are made of stay the same.
    private static readonly ConditionalWeakTable<Look, Kept> Known = [];

    /// <summary>What is wrong in a look, once for each cell.</summary>
    public static ImmutableArray<Squashed> Of(Site site, Look look)
    {
        if (Known.TryGetValue(look, out var kept) && ReferenceEquals(kept.Space, site.Space) && ReferenceEquals(kept.Type, site.Type) && ReferenceEquals(kept.Edges, site.Edges)) return kept.Found;
        ImmutableArray<Squashed> found = [.. Found(site, look)];
        Known.AddOrUpdate(look, new(site.Space, site.Type, site.Edges, found));
        return found;
    }

    private static IEnumerable<Squashed> Found(Site site, Look look)
    {
        if (PartCatalogue.Find(look.Part) is not { } part) return [];
        var found = from property in part.Properties
                    where property.CssName == "padding"
                    from state in part.States
                    from width in Widths
                    let squashed = At(site, part, look, property, new(state, width))
                    where squashed is not null
                    select squashed;
        return found.DistinctBy(s => s.Cell);
    }

    private static Squashed? At(Site site, Part part, Look look, PartProperty padding, Seen seen)
    {
        if (Edge(part, look, padding, seen) is not { } edge) return null;
        var width = seen.Width;
        var least = (double)site.Space.Rules[0].Least.Amount();
        var (key, value) = InForce(look, padding.Id, seen) ?? (new CellKey(padding.Id, State.Rest, Interval.All), new NumberValue(0, "px"));
        var letters = Letters(site, part, look, padding, seen);
        var sides = value is SidesValue all ? all.Inner : [value, value, value, value];
        var room = sides.Select(side => AtMost(site, side, width, letters)).ToArray();
        // Sides from the top clockwise: those across need all of it.
        var wanted = new[] { least / 2, least, least / 2, least };
        var worst = Enumerable.Range(0, 4).Where(i => room[i] < wanted[i] - 0.005 && HasEdge(edge.Line, i)).OrderBy(i => room[i] - wanted[i]).ToList();
        if (worst.Count == 0) return null;
        var mended = sides.Select((side, i) => room[i] < wanted[i] ? Enough(site, wanted[i], width) : ValueForms.Write(site, side) is var text && side is OperationValue ? $"({text})" : ValueForms.Write(site, side)).ToArray();
        var (from, where) = (Px(room[worst[0]]!.Value), edge.Line is null ? "the edge of its ground" : "its border");
        return new(look.Id, key, $"Text stands {from} from {where} at {width}: {Px(wanted[worst[0]])} is the least.", Source, string.Join(' ', SidesForm.Shortest(mended[0], mended[1], mended[2], mended[3])));
    }

    /// <summary>What makes a box of it: a line around the same piece or the part, or a ground of its own.</summary>
    private static (Value? Line, bool IsFilled)? Edge(Part part, Look look, PartProperty padding, Seen seen)
    {
        PartProperty? Of(string css) => part.Properties.FirstOrDefault(p => p.CssName == css && p.Piece == padding.Piece) ?? part.Properties.FirstOrDefault(p => p.CssName == css && p.Piece.Length == 0);
        var line = Of("border") is { } border ? InForce(look, border.Id, seen)?.Value : null;
        if (line is not (null or WordValue)) return (line, false);
        return Of("background") is { } background && InForce(look, background.Id, seen)?.Value is { } fill and not WordValue ? (null, fill is not null) : null;
    }

    private static bool HasEdge(Value? line, int side) => line is not SidesValue sides || sides.Inner[side] is not WordValue;

    /// <summary>The value that holds as it is seen: its state's before that at Rest, one for some widths before the one for all.</summary>
    private static (CellKey Key, Value Value)? InForce(Look look, string property, Seen seen) =>
        look.Cells.Select(c => (Key: CellKey.Parse(c.Key), c.Value))
            .Where(c => c.Key.Property == property && (c.Key.State == State.Rest || (c.Key.State == seen.State && c.Value is not RestValue)) && c.Key.Widths.Holds(seen.Width))
            .OrderBy(c => c.Key.State == State.Rest).ThenBy(c => c.Key.Widths == Interval.All).Select(c => ((CellKey, Value)?)c).FirstOrDefault();

    /// <summary>What a length is at most, px: a share is of a box that is no wider than the window.</summary>
    private static double? AtMost(Site site, Value length, int width, double? letters) =>
        length is NumberValue { Unit: "%" } share ? (double)share.Number / 100 * width : Lengths.At(site, length, width, letters);

    /// <summary>The size of the letters in the box, px; null where that depends on what is around.</summary>
    private static double? Letters(Site site, Part part, Look look, PartProperty padding, Seen seen)
    {
        var property = part.Properties.FirstOrDefault(p => p.Id.EndsWith("text-style", StringComparison.Ordinal) && p.Piece == padding.Piece) ?? part.Property("text-style");
        return property is not null && InForce(look, property.Id, seen)?.Value is ReferenceValue { To: TextStyleKind.Kind } style && site.Type.Styles.Find(style.Id) is { } found
            ? TextFigures.Size(site, found, seen.Width) : null;
    }

    /// <summary>The smallest space that gives the room at every width; a length where none does.</summary>
    private static string Enough(Site site, double wanted, int width)
    {
        var spaces = (SpaceKind)Kinds.Listed(SpaceKind.Kind);
        var enough = site.Space.Steps.Where(s => Widths.Add(width).All(w => SpaceScales.At(site, s, w) >= wanted)).MinBy(s => SpaceScales.At(site, s, width));
        return enough is null ? Px(wanted).Replace(" ", "", StringComparison.Ordinal) : spaces.NameOf(site, (IListed)enough);
    }

    /// <param name="Width">Of the window, px.</param>
    private readonly record struct Seen(State State, int Width);

    private sealed record Kept(SpaceFoundation Space, TypeFoundation Type, EdgeFoundation Edges, ImmutableArray<Squashed> Found);

    private static string Px(double px) => string.Create(CultureInfo.InvariantCulture, $"{Math.Round(px, 1):0.#} px");
}
