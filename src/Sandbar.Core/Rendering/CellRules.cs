using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
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
/// <param name="origin">Where the declarations of a cell come from.</param>
internal sealed class CellRules(
    SiteReads reads, Part part, ImmutableSortedDictionary<string, Value> cells, string key, Layer layer, CellSelectors selectors, Func<string, Origin> origin)
{
    private readonly List<(CellKey Key, Value Value, string Text)> set = [.. cells.Select(c => (CellKey.Parse(c.Key), c.Value, c.Key))];

    /// <summary>Which cells are written; all of them unless something else is said.</summary>
    public Func<string, bool> Wanted { get; init; } = _ => true;

    public ImmutableArray<Rule> Write()
    {
        var rules =
            from cell in set.Concat(Echoes())
            where Wanted(cell.Text)
            let property = part.Property(cell.Key.Property)
            where property is not null && part.States.Contains(cell.Key.State)
            group (cell, property) by (cell.Key.State, cell.Key.Widths, property.Target, property.OnPart) into rule
            orderby rule.Key.State, rule.Key.Widths == Interval.All ? 0 : 1, rule.Key.Widths.From ?? 0, rule.Min(r => part.Properties.IndexOf(r.property))
            let elements = rule.Key.OnPart ? selectors.OnPart : selectors.Elements
            select new Rule(
                KeyOf(rule.Key.State, rule.Key.Widths, rule.Key.OnPart ? " part" : rule.Key.Target),
                layer,
                elements + LookSelectors.State(part, rule.Key.State) + rule.Key.Target,
                rule.Key.State == State.Hover,
                rule.Key.Widths,
                [
                    .. rule.OrderBy(r => part.Properties.IndexOf(r.property)).SelectMany(r =>
                        Declarations(r.property, r.cell, RestOf(r.cell.Key), origin(r.cell.Text))),
                ])
            {
                State = rule.Key.State,
                Elements = elements + rule.Key.Target,
            };
        return [.. rules.Where(r => r.Declarations.Length > 0)];
    }

    /// <summary>A value relative to Rest has to be said again wherever Rest has a value of its own.</summary>
    private IEnumerable<(CellKey Key, Value Value, string Text)> Echoes() =>
        from cell in set
        where cell.Key is { State: not State.Rest } && cell.Key.Widths == Interval.All && cell.Value.DependsOnRest()
        from at in set
        where at.Key.Property == cell.Key.Property && at.Key.State == State.Rest && at.Key.Widths != Interval.All
        where !cells.ContainsKey((cell.Key with { Widths = at.Key.Widths }).ToString())
        select (cell.Key with { Widths = at.Key.Widths }, cell.Value, cell.Text);

    private string KeyOf(State state, Interval widths, string piece)
    {
        var text = $"{key} {state.ToString().ToLowerInvariant()}{piece}";
        return widths == Interval.All ? text : $"{text} {widths.From}-{widths.Below}";
    }

    /// <summary>The value at Rest that a cell refers to: at its own widths if there is one, else at all.</summary>
    private Value? RestOf(CellKey cell) => cell.State == State.Rest ? null
        : cells.GetValueOrDefault((cell with { State = State.Rest }).ToString()) ?? cells.GetValueOrDefault(new CellKey(cell.Property, State.Rest, Interval.All).ToString());

    private IEnumerable<Declaration> Declarations(PartProperty property, (CellKey Key, Value Value, string Text) cell, Value? rest, Origin from)
    {
        var (key, value, _) = cell;
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        if (meant is ReferenceValue { To: TextStyleKind.Kind } style)
        {
            var isOnlyOne = key.State == State.Rest && key.Widths == Interval.All;
            return TextStyleKind.Description.Declarations(reads, reads.Thing<TextStyle>(style), everything: !isOnlyOne).Select(d => new Declaration(d.Name, d.Css, from));
        }
        var css = property.Css(reads, value, rest);
        return [new(property.CssName, property.Form.Length == 0 ? css : property.Form.Replace("$", css, StringComparison.Ordinal), from)];
    }
}
