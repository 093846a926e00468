using System.Collections.Immutable;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>What a condition asks about.</summary>
public enum ConditionKind
{
    Media,
    Supports,

    /// <summary>About an element around the one in question.</summary>
    Container,

    /// <summary><c>@starting-style</c>: never where nothing moves.</summary>
    Start,
}

/// <summary>A condition that rules stand in.</summary>
/// <param name="IsBare">Of <c>@import</c>: a declaration may stand without brackets.</param>
public sealed record RuleCondition(ConditionKind Kind, ImmutableArray<ComponentValue> Values, bool IsBare = false);

/// <summary>Which part of a page rules are for (CSS Cascade 6, §2.5).</summary>
/// <param name="Start">What the part begins at; null for the element the sheet stands in.</param>
/// <param name="Limits">Where it ends; empty for never.</param>
public sealed record RuleScope(ImmutableArray<ComplexSelector>? Start, ImmutableArray<ComplexSelector> Limits, RuleScope? Around);

/// <summary>The name of a layer: its parts, an unnamed one as an empty part with a mark of its own.</summary>
/// <param name="Mark">Tells unnamed layers apart.</param>
public sealed record LayerName(LayerName? Around, string Name, object? Mark)
{
    public override string ToString() => Around is null ? Name : $"{Around}.{Name}";

    public bool Equals(LayerName? other) => other is not null && Name == other.Name && ReferenceEquals(Mark, other.Mark) && Equals(Around, other.Around);

    public override int GetHashCode() => HashCode.Combine(Name, Mark, Around);
}

/// <summary>Something of a sheet that the cascade meets.</summary>
/// <param name="Conditions">All that must hold, the outermost first.</param>
/// <param name="Layer">The layer it stands in; null where it is in none.</param>
internal abstract record SheetItem(ImmutableArray<RuleCondition> Conditions, LayerName? Layer);

/// <summary>A layer is named, with rules or without.</summary>
internal sealed record LayerItem(ImmutableArray<RuleCondition> Conditions, LayerName? Layer) : SheetItem(Conditions, Layer);

/// <summary><c>@import</c></summary>
internal sealed record ImportItem(ImmutableArray<RuleCondition> Conditions, LayerName? Layer, string Address) : SheetItem(Conditions, Layer);

/// <summary><c>@property</c></summary>
internal sealed record PropertyItem(ImmutableArray<RuleCondition> Conditions, LayerName? Layer, RegisteredProperty Property) : SheetItem(Conditions, Layer);

/// <summary>A style rule's declarations up to the next rule nested in it.</summary>
internal sealed record RuleItem(ImmutableArray<RuleCondition> Conditions, LayerName? Layer, StyleRule Rule) : SheetItem(Conditions, Layer);

/// <summary><c>@keyframes</c></summary>
internal sealed record KeyframesItem(ImmutableArray<RuleCondition> Conditions, LayerName? Layer, string Name, ImmutableArray<Keyframe> Frames) : SheetItem(Conditions, Layer);

/// <param name="Offset">Per cent of the time that has passed.</param>
internal sealed record Keyframe(double Offset, ImmutableArray<Declared> Declarations);

/// <summary>A custom property with a type (CSS Properties and Values 1).</summary>
/// <param name="Syntax"><c>*</c> for anything.</param>
/// <param name="Initial">Null where it has none.</param>
public sealed record RegisteredProperty(string Name, string Syntax, bool IsInherited, ImmutableArray<ComponentValue>? Initial);

/// <summary>Selectors with what they stand in, and what is declared for what they select.</summary>
public sealed class StyleRule
{
    internal StyleRule(StyleSheet sheet, string selectorText, ImmutableArray<ComplexSelector> selectors, NestingParent? parent, RuleScope? scope, ImmutableArray<Specificity> weights) =>
        (Sheet, SelectorText, Selectors, Parent, Scope, Weights) = (sheet, selectorText, selectors, parent, scope, weights);

    public StyleSheet Sheet { get; }

    /// <summary>As written.</summary>
    public string SelectorText { get; }

    public ImmutableArray<ComplexSelector> Selectors { get; }

    /// <summary>Its selectors as written, after those and the scopes it stands in: rules that ask the same of elements have the same.</summary>
    internal string Asks { get; init; } = "";

    /// <summary>What each selector weighs.</summary>
    public ImmutableArray<Specificity> Weights { get; }

    /// <summary>What <c>&amp;</c> stands for.</summary>
    public NestingParent? Parent { get; }

    public RuleScope? Scope { get; }

    public IReadOnlyList<Declared> Declarations { get; internal set; } = [];

    /// <summary>Whether it stands in a condition on the window or on what is around, or in a scope.</summary>
    public bool IsConditional { get; internal init; }

    /// <summary>Whether it holds only for elements in states they go in and out of.</summary>
    public bool NamesState => Asked.NamesState;

    /// <summary>Whether it asks for more than an element and those around it.</summary>
    public bool IsFar => Asked.IsFar;

    /// <summary>What it asks of elements.</summary>
    internal RuleQuestions Asked => asked ??= RuleQuestions.Of(this);

    private RuleQuestions? asked;

    /// <summary>Where each of its selectors stands in an index.</summary>
    internal ImmutableArray<IndexKey> Keys
    {
        get
        {
            if (keys.IsDefault) keys = [.. Selectors.Select(IndexKey.Of)];
            return keys;
        }
    }

    private ImmutableArray<IndexKey> keys;

    private (int Property, int At)[]? plain;

    /// <summary>Whether anything in it is important.</summary>
    internal bool HasImportant => hasImportant ??= Declarations.Any(d => d.IsImportant);

    private bool? hasImportant;

    /// <summary>What it sets that is valid and not important: each property with its last declaration.</summary>
    internal (int Property, int At)[] Plain(Flow flow)
    {
        if (flow == default) return plain ??= Found(flow);
        return Declarations.Any(d => d.Sets.Any(p => p.IsLogical)) ? Found(flow) : plain ??= Found(flow);
    }

    private (int Property, int At)[] Found(Flow flow)
    {
        var last = new Dictionary<int, int>();
        for (var at = 0; at < Declarations.Count; at++)
        {
            if (Declarations[at].IsImportant || Declarations[at].Sets.IsEmpty || !Declarations[at].IsValid) continue;
            foreach (var property in Declarations[at].Sets) last[LogicalSides.Physical(property, flow).Id] = at;
        }
        return [.. last.Select(l => (l.Key, l.Value))];
    }
}
