namespace Sandbar.Css.Selectors;

/// <summary>The pieces of elements that selectors end in.</summary>
public static class PseudoElements
{
    /// <summary>The piece a complete selector ends in; null where it is about elements themselves.</summary>
    public static PseudoElementSelector? Of(ComplexSelector selector)
    {
        foreach (var part in selector.Compounds[^1].Parts)
        {
            if (part is PseudoElementSelector piece) return piece;
        }
        return null;
    }
}
