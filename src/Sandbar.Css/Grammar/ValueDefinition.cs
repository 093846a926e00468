using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>What a value may be. Source: CSS Values and Units Level 4, §2, "Value Definition Syntax".</summary>
public abstract record ValueDefinition;

/// <summary>A word, as it is written.</summary>
public sealed record KeywordDefinition(string Name) : ValueDefinition;

/// <summary>A sign, such as a comma or a slash.</summary>
public sealed record SignDefinition(char Sign) : ValueDefinition;

/// <summary>A type of value, such as <c>&lt;length [0,∞]&gt;</c>.</summary>
/// <param name="Name">Without its angle brackets; of a function with its round ones.</param>
/// <param name="Min">The least number it takes; null for any.</param>
/// <param name="Max">The greatest number it takes; null for any.</param>
public sealed record TypeDefinition(string Name, double? Min = null, double? Max = null) : ValueDefinition;

/// <summary>What another property takes, such as <c>&lt;'color'&gt;</c>.</summary>
public sealed record PropertyDefinition(string Name) : ValueDefinition;

/// <summary>A function with what stands between its brackets.</summary>
public sealed record FunctionDefinition(string Name, ValueDefinition Inner) : ValueDefinition;

/// <summary>What stands between brackets that no function begins.</summary>
public sealed record BlockDefinition(TokenKind Open, ValueDefinition Inner) : ValueDefinition;

/// <summary>How definitions stand together.</summary>
public enum Together
{
    /// <summary>One after the other, in this order.</summary>
    Sequence,

    /// <summary><c>&amp;&amp;</c>: all, in any order.</summary>
    All,

    /// <summary><c>||</c>: one or more, in any order.</summary>
    Some,

    /// <summary><c>|</c>: exactly one.</summary>
    One,
}

/// <param name="IsRequired"><c>!</c>: at least one of its members must be there.</param>
public sealed record GroupDefinition(Together Together, ImmutableArray<ValueDefinition> Members, bool IsRequired = false) : ValueDefinition;

/// <summary>The same several times.</summary>
/// <param name="Most">Null for any number.</param>
/// <param name="WithCommas">Whether commas stand between them.</param>
public sealed record RepeatedDefinition(ValueDefinition Of, int Least, int? Most, bool WithCommas) : ValueDefinition;
