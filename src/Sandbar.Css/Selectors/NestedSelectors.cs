namespace Sandbar.Css.Selectors;

/// <summary>Selectors of rules that stand in other rules. Source: CSS Nesting 1, §3.</summary>
public static class NestedSelectors
{
    /// <summary>A nested selector with the <c>&amp;</c> that may be left out.</summary>
    public static ComplexSelector Complete(ComplexSelector selector) =>
        selector.Leading is null && !NamesNesting(selector) ? selector with { Leading = Combinator.Descendant } : selector;

    private static bool NamesNesting(ComplexSelector selector) => selector.Compounds.SelectMany(c => c.Parts).Any(part => part switch
    {
        NestingSelector => true,
        PseudoClassSelector pseudo => pseudo.Arguments.Any(NamesNesting),
        PseudoElementSelector pseudo => pseudo.Arguments.Any(NamesNesting),
        _ => false,
    });
}
