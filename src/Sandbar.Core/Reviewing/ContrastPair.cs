using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Reviewing;

/// <summary>What has to be told from its ground.</summary>
public enum PairKind
{
    /// <summary>Text: 4.5 (WCAG 2.2, 1.4.3).</summary>
    Text,

    /// <summary>Text of 24 px, or of 18.66 px and bold: 3 (WCAG 2.2, 1.4.3).</summary>
    LargeText,

    /// <summary>A line or mark: 3 where something is only known by it (WCAG 2.2, 1.4.11), else nothing.</summary>
    Line,

    /// <summary>The ring around what has the focus: 3 (WCAG 2.2, 1.4.11).</summary>
    FocusRing,
}

/// <summary>What is around an element, where it is not at Rest.</summary>
public sealed record Surrounding(string Look, State State);

/// <summary>A colour and the ground it lies on, as they meet on the site's pages.</summary>
/// <param name="Look">Id of the look that brings them together.</param>
/// <param name="Property">Id of the property that sets the colour.</param>
/// <param name="Within">What is around and shows another ground or text in a state; null where everything around is at Rest.</param>
/// <param name="Scheme">Id of the scheme whose colours count.</param>
/// <param name="Ground">The ground; of a gradient the place where it reads worst.</param>
/// <param name="Ratio">WCAG 2.2, from 1 to 21.</param>
/// <param name="Target">What it must reach; 0 where nothing is asked.</param>
/// <param name="Pages">Ids of the pages it is met on.</param>
/// <param name="Places">How often it is met.</param>
public sealed record ContrastPair(
    PairKind Kind, string Look, string Property, State State, Surrounding? Within, string Scheme, Color Foreground, Color Ground, double Ratio, double Target, ImmutableArray<string> Pages, int Places)
{
    public bool Passes => Ratio >= Target;
}
