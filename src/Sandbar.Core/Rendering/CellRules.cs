using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>The selectors of the elements that cells are for.</summary>
/// <param name="Elements">Those that most properties reach: the part's own, or the pieces inside.</param>
/// <param name="OnPart">The part's own.</param>
internal readonly record struct CellSelectors(string Elements, string OnPart);

/// <summary>
/// Cells to rules: state by state in the order of <see cref="State"/>, within a state the value for all widths before those for some.
/// All have the same specificity but for the state's own, so that a state's value beats Rest's value at a break.
/// </summary>
/// <param name="key">What the keys of the rules begin with.</param>
/// <param name="origin">Where the declarations of a cell come from; of a list that several make, it is the first of them.</param>
internal sealed class CellRules(
    SiteReads reads, Part part, ImmutableSortedDictionary<string, Value> cells, string key, Layer layer, CellSelectors selectors, Func<string, Origin> origin)
{
    /// <summary>As many blocks of a row come in one after another; those after them come with the last.</summary>
    private const int MostStaggered = 12;

    private readonly List<Cell> set = [.. from cell in cells
                                          let at = CellKey.Parse(cell.Key)
                                          where part.States.Contains(at.State)
                                          let property = part.Property(at.Property)
                                          where property is not null
                                          select new Cell(at, property, cell.Value, cell.Key)];

    /// <summary>Which cells are written; all of them unless something else is said.</summary>
    public Func<string, bool> Wanted { get; init; } = _ => true;

    public ImmutableArray<Rule> Write()
    {
        var wanted = set.Concat(Echoes()).Where(cell => Wanted(cell.Text)).ToList();
        var declared = Plain(wanted).Concat(Changes(wanted)).Concat(InnerRadii(wanted)).Concat(Staggered(wanted)).Concat(Fills(wanted)).Concat(BlurBehind(wanted));
        var rules =
            from d in WithInsides([.. declared])
            group d by d.Place into rule
            orderby rule.Key.State, rule.Key.Widths == Interval.All ? 0 : 1, rule.Key.Widths.From ?? 0, rule.Min(d => d.Order)
            let elements = rule.Key.OnPart ? selectors.OnPart : selectors.Elements
            select new Rule(
                KeyOf(rule.Key),
                layer,
                elements + LookSelectors.State(part, rule.Key.State) + rule.Key.Target + rule.Key.Piece,
                rule.Key.State == State.Hover,
                rule.Key.Widths,
                LastOfEach(rule.OrderBy(d => d.Order)))
            {
                State = rule.Key.State,
                Elements = elements + rule.Key.Target,
                Needs = rule.Key.Needs,
            };
        return [.. rules.Where(r => r.Declarations.Length > 0)];
    }

    /// <summary>A value relative to Rest has to be said again wherever Rest has a value of its own.</summary>
    private IEnumerable<Cell> Echoes() =>
        from cell in set
        where cell.Key is { State: not State.Rest } && cell.Key.Widths == Interval.All && cell.Value.DependsOnRest()
        from at in set
        where at.Key.Property == cell.Key.Property && at.Key.State == State.Rest && at.Key.Widths != Interval.All
        where !cells.ContainsKey((cell.Key with { Widths = at.Key.Widths }).ToString())
        select cell with { Key = cell.Key with { Widths = at.Key.Widths } };

    private IEnumerable<Declaring> Plain(IEnumerable<Cell> wanted) =>
        from cell in wanted
        where cell.Property.ChangeOf is null && cell.Property.Id != Properties.Stagger.Id
        from declaration in Declarations(cell)
        where declaration.Piece.Length == 0 || !cell.Property.IsReplaced
        from said in cell.Property.Again is { } again && declaration.Property.StartsWith("--", StringComparison.Ordinal)
            ? [(PlaceOf(cell), declaration.Property), (PlaceOf(cell) with { Target = cell.Property.Target + again.Target }, again.CssName)]
            : new[] { (PlaceOf(cell) with { Piece = declaration.Piece }, declaration.Property) }
        select new Declaring(said.Item1, OrderOf(cell), new(said.Item2, declaration.Css, origin(cell.Text)), cell);

    private IEnumerable<Declared> Declarations(Cell cell)
    {
        var (property, value, rest) = (cell.Property, cell.Value, RestOf(cell.Key));
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        if (meant is ReferenceValue { To: TextStyleKind.Kind } style)
        {
            var isOnlyOne = cell.Key.State == State.Rest && cell.Key.Widths == Interval.All;
            return TextStyleKind.Description.Declarations(reads, reads.Thing<TextStyle>(style), everything: !isOnlyOne).Select(d => new Declared(d.Name, d.Css));
        }
        var declared = property.Kind.Declare(reads, property, property.CssName, value, rest);
        // A custom property of nothing keeps its unit: it stands in sums.
        return declared.Select(d => d.Css == "0" && d.Property == property.CssName && d.Property.StartsWith("--", StringComparison.Ordinal) ? d with { Css = "0px" } : d);
    }

    /// <summary>What changes take, each list said whole wherever one of it is set.</summary>
    private IEnumerable<Declaring> Changes(IReadOnlyList<Cell> wanted)
    {
        foreach (var place in wanted.Where(c => c.Property.ChangeOf is not null).GroupBy(PlaceOf))
        {
            var first = place.First();
            var changes = part.Properties.Where(p => p.ChangeOf is not null && p.Target == first.Property.Target && p.OnPart == first.Property.OnPart)
                .Select(p => (p.ChangeOf!.CssName, Value: Effective(p.Id, first.Key) as ChangeValue)).Where(c => c.Value is not null).ToList();
            yield return new(place.Key with { IsChange = true }, OrderOf(first), new("transition", List(still: false), origin(first.Text)), first);
            // A time that is typed is none for those who ask for less motion; what has a name knows it itself.
            if (changes.Any(c => c.Value!.Duration is NumberValue || c.Value.Delay is NumberValue { Number: not 0 }))
                yield return new(place.Key with { IsChange = true, Needs = Needs.LessMotion }, OrderOf(first), new("transition", List(still: true), origin(first.Text)), first);

            string List(bool still) => string.Join(", ", changes.Select(c => $"{c.CssName} {ChangeForm.Css(reads, c.Value!, still)}"));
        }
    }

    /// <summary>What boxes inside follow with their corners: the radius of this one, less its border and its padding. It is said of what is inside, since this one may follow another.</summary>
    private IEnumerable<Declaring> InnerRadii(IReadOnlyList<Cell> wanted)
    {
        if (part.Properties.FirstOrDefault(p => p.CssName == "border-radius" && p.Piece.Length == 0) is not { } radius || !InnerCorners.AreFollowed(reads)) yield break;
        var padding = part.Properties.FirstOrDefault(p => p.CssName == "padding");
        var border = part.Properties.FirstOrDefault(p => p.CssName == "border" && p.Piece.Length == 0);
        var relevant = new[] { radius, padding, border }.OfType<PartProperty>().ToList();
        foreach (var at in wanted.Where(c => relevant.Contains(c.Property)).GroupBy(c => (c.Key.State, c.Key.Widths)))
        {
            var cell = at.First();
            var css = Effective(radius.Id, cell.Key) is { } outer and not WordValue
                ? InnerCorners.Css(reads, outer, padding is null ? null : Effective(padding.Id, cell.Key), border is null ? null : Effective(border.Id, cell.Key))
                : "0px";
            yield return new(new(cell.Key.State, cell.Key.Widths, " > *", "", false, Needs.Nothing), part.Properties.Length, new(RadiusValues.InnerToken, css, origin(cell.Text)), cell);
        }
    }

    /// <summary>Of the backgrounds that are elements (<see cref="FillLayers"/>), the one that is worn is shown, and no other.</summary>
    private IEnumerable<Declaring> Fills(IReadOnlyList<Cell> wanted)
    {
        foreach (var ground in set.Select(c => c.Property).Where(p => p.IsGround).Distinct())
        {
            var fills = set.Where(c => c.Property == ground).Select(c => Worn(c.Value)).OfType<Background>().Where(BackgroundKind.NeedsElement).Distinct().ToList();
            if (fills.Count == 0) continue;
            foreach (var cell in wanted.Where(c => c.Property == ground))
            {
                var worn = WornBy(cell);
                var isFilled = worn is not null && fills.Contains(worn);
                if (isFilled) yield return new(PlaceOf(cell), OrderOf(cell), new("position", "relative", origin(cell.Text)), cell);
                // What lies behind it stays within it; by this it is told from what wears none, too.
                yield return new(PlaceOf(cell), OrderOf(cell), new(FillLayers.Holds.Property, isFilled ? FillLayers.Holds.Value : "auto", origin(cell.Text)), cell);
                foreach (var fill in fills) yield return new(PlaceOf(cell) with { Target = $"{ground.Target} > .{FillLayers.ClassOf(fill)}" }, OrderOf(cell), new("display", fill == worn ? "block" : "none", origin(cell.Text)), cell);
            }
        }
    }

    /// <summary>What lies behind a box that lets it through, where one of its backgrounds blurs that.</summary>
    private IEnumerable<Declaring> BlurBehind(IReadOnlyList<Cell> wanted) =>
        from property in set.Where(c => Worn(c.Value) is { } background && background.Blur.Amount() > 0).Select(c => c.Property).Distinct()
        from cell in wanted
        where cell.Property == property
        let blur = WornBy(cell)?.Blur
        select new Declaring(PlaceOf(cell), OrderOf(cell), new("backdrop-filter", blur?.Amount() > 0 ? $"blur({ValueForms.Css(reads, blur)})" : "none", origin(cell.Text)), cell);

    private Background? WornBy(Cell cell) => Worn(cell.Value is RestValue { Step: 0 } && RestOf(cell.Key) is { } rest ? rest : cell.Value);

    private Background? Worn(Value value) => value is ReferenceValue { To: BackgroundKind.Kind } reference ? reads.Thing<Background>(reference) : null;

    /// <summary>The blocks of a row, each a little after the one before it.</summary>
    private IEnumerable<Declaring> Staggered(IReadOnlyList<Cell> wanted) =>
        from cell in wanted
        where cell.Property.Id == Properties.Stagger.Id && cell.Value is NumberValue { Number: > 0 }
        from place in Enumerable.Range(1, MostStaggered - 1)
        let delay = (Effective(Properties.EntranceTakes.Id, cell.Key) as ChangeValue)?.Delay
        let wait = delay is null or NumberValue { Number: 0 } ? "" : $"{ValueForms.Css(reads, delay)} + "
        let nth = place == MostStaggered - 1 ? $":nth-child(n + {place + 1})" : $":nth-child({place + 1})"
        let times = string.Create(CultureInfo.InvariantCulture, $"calc({wait}{place} * {ValueForms.Css(reads, cell.Value)})")
        select new Declaring(PlaceOf(cell) with { Target = $" > {nth}" }, OrderOf(cell) + place, new("animation-delay", times, origin(cell.Text)), cell);

    /// <summary>
    /// Where some value of a border draws a line inside the edge, those that draw none take it away, and radii say the corners of that line.
    /// </summary>
    private IEnumerable<Declaring> WithInsides(IReadOnlyList<Declaring> declared)
    {
        var drawn = declared.Where(d => d.Place.Piece.Length > 0).Select(d => d.Cell.Property.Target).ToHashSet(StringComparer.Ordinal);
        if (drawn.Count == 0) return declared;
        var without = from d in declared
                      where d.Place.Piece.Length == 0 && drawn.Contains(d.Place.Target) && d.Cell.Property.Kind is LineValues && d.Declaration.Name != "outline"
                      where !declared.Any(o => o.Place.Piece.Length > 0 && o.Place.State == d.Place.State && o.Place.Widths == d.Place.Widths && o.Place.Target == d.Place.Target)
                      select d with { Place = d.Place with { Piece = LineValues.Inside }, Declaration = d.Declaration with { Name = "content", Value = "none" } };
        var corners = from cell in set
                      where Wanted(cell.Text) && cell.Property.CssName == "border-radius" && drawn.Contains(cell.Property.Target) && !cell.Property.IsReplaced
                      let rest = RestOf(cell.Key)
                      let value = cell.Value is RestValue && rest is not null ? rest : cell.Value
                      let inset = $"var({LineValues.InsetToken}, 0px)"
                      let css = value is WordValue ? "0px" : RadiusValues.Within(reads, value, rest, [inset, inset, inset, inset])
                      select new Declaring(PlaceOf(cell) with { Piece = LineValues.Inside }, OrderOf(cell), new("border-radius", css, origin(cell.Text)), cell);
        return declared.Concat(without).Concat(corners);
    }

    /// <summary>What holds of a property where a cell stands: the value nearest to it.</summary>
    private Value? Effective(string property, CellKey at)
    {
        var value = cells.GetValueOrDefault((at with { Property = property }).ToString()) ?? cells.GetValueOrDefault(new CellKey(property, at.State, Interval.All).ToString());
        var rest = cells.GetValueOrDefault(new CellKey(property, State.Rest, at.Widths).ToString()) ?? cells.GetValueOrDefault(property);
        return value is null or RestValue ? rest : value;
    }

    private static Place PlaceOf(Cell cell) => new(cell.Key.State, cell.Key.Widths, cell.Property.Target, "", cell.Property.OnPart, cell.Property.Needs);

    private int OrderOf(Cell cell) => part.Properties.IndexOf(cell.Property);

    private string KeyOf(Place place)
    {
        var piece = (place.OnPart ? " part" : "") + place.Target + place.Piece + (place.IsChange ? " change" : "") + (place.Needs == Needs.Nothing ? "" : $" {place.Needs}");
        var text = $"{key} {place.State.ToString().ToLowerInvariant()}{piece}";
        return place.Widths == Interval.All ? text : $"{text} {place.Widths.From}-{place.Widths.Below}";
    }

    /// <summary>The value at Rest that a cell refers to: at its own widths if there is one, else at all.</summary>
    private Value? RestOf(CellKey cell) => cell.State == State.Rest ? null
        : cells.GetValueOrDefault((cell with { State = State.Rest }).ToString()) ?? cells.GetValueOrDefault(new CellKey(cell.Property, State.Rest, Interval.All).ToString());

    /// <summary>Of what is declared twice in one rule, the last.</summary>
    private static ImmutableArray<Declaration> LastOfEach(IEnumerable<Declaring> declared)
    {
        var last = new List<Declaration>();
        foreach (var d in declared)
        {
            last.RemoveAll(l => l.Name == d.Declaration.Name);
            last.Add(d.Declaration);
        }
        return [.. last];
    }

    private sealed record Cell(CellKey Key, PartProperty Property, Value Value, string Text);

    /// <summary>Which rule a declaration stands in.</summary>
    private sealed record Place(State State, Interval Widths, string Target, string Piece, bool OnPart, Needs Needs)
    {
        /// <summary>Whether it says what changes take: that stands apart, since the stage plays it on request alone.</summary>
        public bool IsChange { get; init; }
    }

    private sealed record Declaring(Place Place, int Order, Declaration Declaration, Cell Cell);
}
