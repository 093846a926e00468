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

public sealed record AttributeSelector(string Name, int Start, int End) : SimpleSelector(Start, End);

/// <param name="Name">Lower case.</param>
/// <param name="Arguments">The selectors between its brackets; empty where there are none.</param>
public sealed record PseudoClassSelector(string Name, ImmutableArray<ComplexSelector> Arguments, int Start, int End) : SimpleSelector(Start, End);

/// <param name="Name">Lower case, without colons.</param>
/// <param name="Arguments">The selectors between its brackets; empty where there are none.</param>
public sealed record PseudoElementSelector(string Name, ImmutableArray<ComplexSelector> Arguments, int Start, int End) : SimpleSelector(Start, End);

/// <summary><c>&amp;</c>: what the rule around it selects (CSS Nesting 1).</summary>
public sealed record NestingSelector(int Start, int End) : SimpleSelector(Start, End);

/// <summary>Conditions on one element.</summary>
public sealed record CompoundSelector(ImmutableArray<SimpleSelector> Parts, int Start, int End) : SyntaxNode(Start, End);

/// <summary>Compound selectors with what stands between them, from left to right.</summary>
/// <param name="Leading">What a relative selector begins with; null for others.</param>
/// <param name="Combinators">One less than <paramref name="Compounds"/>.</param>
public sealed record ComplexSelector(Combinator? Leading, ImmutableArray<CompoundSelector> Compounds, ImmutableArray<Combinator> Combinators, int Start, int End)
    : SyntaxNode(Start, End)
{
    /// <summary>The conditions on the element that is selected.</summary>
    public CompoundSelector Subject => Compounds[^1];
}
