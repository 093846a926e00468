using System.Collections.Immutable;

namespace Sandbar.Css.Selectors;

/// <summary>What a selector weighs: ids, then classes, attributes and pseudo-classes, then elements and pseudo-elements. Source: Selectors Level 4, §17.</summary>
public readonly record struct Specificity(int Ids, int Classes, int Elements) : IComparable<Specificity>
{
    /// <summary>What a complex selector weighs.</summary>
    /// <param name="nesting">What <c>&amp;</c> stands for: the heaviest selector of the rule around (CSS Nesting 1, §3.2).</param>
    public static Specificity Of(ComplexSelector selector, Specificity nesting = default) =>
        selector.Compounds.SelectMany(c => c.Parts).Aggregate(default(Specificity), (sum, part) => sum + Of(part, nesting));

    /// <summary>The heaviest of a list; nothing where it is empty.</summary>
    public static Specificity Heaviest(ImmutableArray<ComplexSelector> list, Specificity nesting = default) =>
        list.Select(s => Of(s, nesting)).DefaultIfEmpty().Max();

    public static Specificity operator +(Specificity a, Specificity b) => new(a.Ids + b.Ids, a.Classes + b.Classes, a.Elements + b.Elements);

    public static bool operator <(Specificity a, Specificity b) => a.CompareTo(b) < 0;

    public static bool operator >(Specificity a, Specificity b) => a.CompareTo(b) > 0;

    public static bool operator <=(Specificity a, Specificity b) => a.CompareTo(b) <= 0;

    public static bool operator >=(Specificity a, Specificity b) => a.CompareTo(b) >= 0;

    public int CompareTo(Specificity other) => (Ids, Classes, Elements).CompareTo((other.Ids, other.Classes, other.Elements));

    public override string ToString() => $"{Ids}-{Classes}-{Elements}";

    private static Specificity Of(SimpleSelector part, Specificity nesting) => part switch
    {
        IdSelector => new(1, 0, 0),
        ClassSelector or AttributeSelector => new(0, 1, 0),
        TypeSelector { Name: "*" } => default,
        TypeSelector => new(0, 0, 1),
        NestingSelector => nesting,
        PseudoClassSelector { Name: "where" } => default,
        PseudoClassSelector { Name: "is" or "not" or "has" or "matches" or "-webkit-any" } list => Heaviest(list.Arguments, nesting),
        PseudoClassSelector pseudo => new Specificity(0, 1, 0) + Heaviest(pseudo.Arguments, nesting),
        PseudoElementSelector pseudo => new Specificity(0, 0, 1) + Heaviest(pseudo.Arguments, nesting),
        _ => throw new ArgumentOutOfRangeException(nameof(part)),
    };
}
