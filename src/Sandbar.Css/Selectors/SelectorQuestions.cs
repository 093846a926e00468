using System.Collections.Immutable;

namespace Sandbar.Css.Selectors;

/// <summary>What selectors ask of elements.</summary>
internal static class SelectorQuestions
{
    /// <summary>Pseudo-classes that ask of an element no more than its attributes, those of elements around, and what a visitor does.</summary>
    private static readonly HashSet<string> Near = new(["is", "where", "matches", "-webkit-any", "not", "root", "any-link", "link", "visited"], StringComparer.Ordinal);

    /// <summary>States an element goes in and out of, as pseudo-classes and attributes.</summary>
    private static readonly HashSet<string> Passing = new(
        [
            "hover", "focus", "focus-visible", "focus-within", "active", "disabled", "enabled", "checked", "target", "visited", "link", "open", "invalid", "user-invalid",
            "valid", "user-valid", "placeholder-shown", "autofill", "indeterminate", "popover-open", "modal", "fullscreen",
        ],
        StringComparer.Ordinal);

    private static readonly HashSet<string> PassingAttributes = new(["aria-current", "aria-disabled", "aria-expanded", "aria-pressed", "open"], StringComparer.OrdinalIgnoreCase);

    /// <summary>Whether one asks for more than the element and those around it: for brothers, for what is inside, for which one it is.</summary>
    public static bool AskFar(ImmutableArray<ComplexSelector> selectors) => selectors.Any(s => s.Combinators.Any(IsFar) || (s.Leading is { } leading && IsFar(leading)) || Parts(s).Any(AsksFar));

    /// <summary>Names of the attributes they ask for; the <c>id</c> is one.</summary>
    public static IEnumerable<string> Attributes(ImmutableArray<ComplexSelector> selectors) => selectors.SelectMany(Parts).SelectMany(part => part switch
    {
        AttributeSelector attribute => [attribute.Name],
        IdSelector => ["id"],
        PseudoClassSelector pseudo => Attributes(pseudo.Arguments),
        PseudoElementSelector piece => Attributes(piece.Arguments),
        _ => Enumerable.Empty<string>(),
    });

    /// <summary>Whether one names a state that elements go in and out of, or ends in a piece of an element.</summary>
    public static bool NamesState(ComplexSelector selector) => Parts(selector).Any(part => part switch
    {
        PseudoElementSelector => true,
        AttributeSelector attribute => PassingAttributes.Contains(attribute.Name),
        PseudoClassSelector pseudo => Passing.Contains(pseudo.Name) || (pseudo.Name != "not" && pseudo.Arguments.Any(NamesState)),
        _ => false,
    });

    private static IEnumerable<SimpleSelector> Parts(ComplexSelector selector) => selector.Compounds.SelectMany(c => c.Parts);

    private static bool IsFar(Combinator combinator) => combinator is Combinator.NextSibling or Combinator.SubsequentSibling;

    private static bool AsksFar(SimpleSelector part) => part switch
    {
        PseudoClassSelector pseudo => !(Near.Contains(pseudo.Name) || ElementStateNames.IsOne(pseudo)) || AskFar(pseudo.Arguments),
        PseudoElementSelector piece => AskFar(piece.Arguments),
        _ => false,
    };
}
