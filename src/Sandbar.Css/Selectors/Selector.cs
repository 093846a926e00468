using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Selectors;

/// <summary>How two compound selectors stand to each other.</summary>
public enum Combinator
{
    /// <summary>White space.</summary>
    Descendant,

    /// <summary><c>&gt;</c></summary>
    Child,

    /// <summary><c>+</c></summary>
    NextSibling,

    /// <summary><c>~</c></summary>
    SubsequentSibling,
}

/// <summary>One condition on an element.</summary>
public abstract record SimpleSelector(int Start, int End) : SyntaxNode(Start, End);

/// <param name="Name">Element name; <c>*</c> for any.</param>
public sealed record TypeSelector(string Name, int Start, int End) : SimpleSelector(Start, End);

public sealed record IdSelector(string Name, int Start, int End) : SimpleSelector(Start, End);

public sealed record ClassSelector(string Name, int Start, int End) : SimpleSelector(Start, End);

/// <summary>How an attribute's value must stand to the one named. Source: Selectors Level 4, §6.</summary>
public enum AttributeOperator
{
    /// <summary><c>=</c></summary>
    Equals,

    /// <summary><c>~=</c>: one of its words.</summary>
    Includes,

    /// <summary><c>|=</c>: it, or it and a hyphen before more.</summary>
    DashMatch,

    /// <summary><c>^=</c></summary>
    Prefix,

    /// <summary><c>$=</c></summary>
    Suffix,

    /// <summary><c>*=</c></summary>
    Substring,
}

/// <param name="Operator">Null where the attribute need only be there.</param>
/// <param name="Value">Empty where there is none.</param>
/// <param name="IgnoresCase">Whether it has the flag <c>i</c>: letters of either case are the same. Without it the language decides.</param>
public sealed record AttributeSelector(string Name, AttributeOperator? Operator, string Value, bool IgnoresCase, int Start, int End) : SimpleSelector(Start, End);

/// <param name="Name">Lower case.</param>
/// <param name="Arguments">The selectors between its brackets; empty where there are none.</param>
public sealed record PseudoClassSelector(string Name, ImmutableArray<ComplexSelector> Arguments, int Start, int End) : SimpleSelector(Start, End)
{
    /// <summary>Which of a row, for those that count.</summary>
    public AnPlusB? Nth { get; init; }

    /// <summary>What stands between its brackets that is no selector: languages, a direction, numbers.</summary>
    public ImmutableArray<string> Words { get; init; } = [];
}

/// <param name="Name">Lower case, without colons.</param>
/// <param name="Arguments">The selectors between its brackets; empty where there are none.</param>
public sealed record PseudoElementSelector(string Name, ImmutableArray<ComplexSelector> Arguments, int Start, int End) : SimpleSelector(Start, End)
{
    /// <summary>The names between its brackets: parts, a highlight.</summary>
    public ImmutableArray<string> Words { get; init; } = [];
}

/// <summary><c>&amp;</c>: what the rule around it selects (CSS Nesting 1).</summary>
public sealed record NestingSelector(int Start, int End) : SimpleSelector(Start, End);

/// <summary>Conditions on one element.</summary>
public sealed record CompoundSelector(ImmutableArray<SimpleSelector> Parts, int Start, int End) : SyntaxNode(Start, End);

/// <summary>Compound selectors with what stands between them, from left to right.</summary>
/// <param name="Leading">What a relative selector begins with; null for others.</param>
/// <param name="Combinators">One less than <paramref name="Compounds"/>.</param>
public sealed record ComplexSelector(Combinator? Leading, ImmutableArray<CompoundSelector> Compounds, ImmutableArray<Combinator> Combinators, int Start, int End)
    : SyntaxNode(Start, End);
