using System.Collections.Immutable;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Selectors;

/// <summary>What <c>&amp;</c> stands for: the selectors of the rule around, and what it stands for in those (CSS Nesting 1, §3).</summary>
public sealed record NestingParent(ImmutableArray<ComplexSelector> Selectors, NestingParent? Around);

/// <summary>A selector asks every element about so many others that no answer is waited for.</summary>
public sealed class CostlySelectorException() : FormatException("This selector asks so much of every element that it is given up. Say more directly which elements are meant.");

/// <summary>
/// Whether selectors hold for elements of a page. Source: Selectors Level 4, and what Chromium answers where it leaves something open. States that nobody has
/// caused are not there, except those that are given.
/// </summary>
/// <param name="document">The page.</param>
/// <param name="forced">The states elements are in, by element.</param>
public sealed class Matching(Document document, IReadOnlyDictionary<Element, ElementStates>? forced = null)
{
    /// <summary>How often a part of a selector was held against an element: what looking up has cost.</summary>
    public long Steps { get; private set; }

    /// <summary>How often that may be, all questions together, before one throws a <see cref="CostlySelectorException"/>.</summary>
    public long MostSteps { get; init; } = long.MaxValue;

    public Document Document => document;

    /// <summary>Whether a complete selector holds for an element itself: one that ends in a pseudo-element holds for none.</summary>
    /// <param name="parent">What <c>&amp;</c> stands for; null where nothing is around: then it is what <c>:scope</c> is.</param>
    /// <param name="scope">What <c>:scope</c> is; null for the root.</param>
    public bool Holds(ComplexSelector selector, Element element, NestingParent? parent = null, Element? scope = null) =>
        PseudoElements.Of(selector) is null && HoldsWithPiece(selector, element, parent, scope);

    /// <summary>The same of the element that a piece, which the selector ends in, belongs to.</summary>
    public bool HoldsWithPiece(ComplexSelector selector, Element element, NestingParent? parent = null, Element? scope = null) =>
        Around(selector, selector.Compounds.Length - 1, element, new(parent, scope ?? document.Root, null));

    private readonly record struct Context(NestingParent? Parent, Element Scope, Element? Anchor);

    /// <summary>Whether the compounds up to one hold, that one for an element (Selectors Level 4, §18.2, right to left).</summary>
    private bool Around(ComplexSelector selector, int at, Element element, Context context)
    {
        if (!Compound(selector.Compounds[at], element, context)) return false;
        if (at == 0) return selector.Leading is not { } leading || Led(leading, element, context);
        switch (selector.Combinators[at - 1])
        {
            case Combinator.Child:
                return element.Parent is { } parent && Around(selector, at - 1, parent, context);
            case Combinator.NextSibling:
                return element.Previous is { } previous && Around(selector, at - 1, previous, context);
            case Combinator.SubsequentSibling:
                for (var before = element.Previous; before is not null; before = before.Previous)
                {
                    if (Around(selector, at - 1, before, context)) return true;
                }
                return false;
            default:
                for (var around = element.Parent; around is not null; around = around.Parent)
                {
                    if (Around(selector, at - 1, around, context)) return true;
                }
                return false;
        }
    }

    /// <summary>Whether an element stands to what a relative selector begins at as it says: to the anchor of <c>:has()</c>, or to what <c>&amp;</c> is.</summary>
    private bool Led(Combinator leading, Element element, Context context)
    {
        switch (leading)
        {
            case Combinator.Child:
                return element.Parent is { } parent && Begins(parent, context);
            case Combinator.NextSibling:
                return element.Previous is { } previous && Begins(previous, context);
            case Combinator.SubsequentSibling:
                for (var before = element.Previous; before is not null; before = before.Previous)
                {
                    if (Begins(before, context)) return true;
                }
                return false;
            default:
                for (var around = element.Parent; around is not null; around = around.Parent)
                {
                    if (Begins(around, context)) return true;
                }
                return false;
        }
    }

    private bool Begins(Element element, Context context) => context.Anchor is { } anchor ? element == anchor : Nesting(element, context);

    /// <summary><c>&amp;</c></summary>
    private bool Nesting(Element element, Context context)
    {
        if (context.Parent is not { } parent) return element == context.Scope;
        foreach (var selector in parent.Selectors)
        {
            if (PseudoElements.Of(selector) is null && Around(selector, selector.Compounds.Length - 1, element, new(parent.Around, context.Scope, null))) return true;
        }
        return false;
    }

    private bool Compound(CompoundSelector compound, Element element, Context context)
    {
        foreach (var part in compound.Parts)
        {
            Step();
            var holds = part switch
            {
                TypeSelector { Name: "*" } or PseudoElementSelector => true,
                TypeSelector type => type.Name.Equals(element.Name, StringComparison.OrdinalIgnoreCase),
                ClassSelector named => HasClass(element, named.Name),
                IdSelector id => element.Id.Length > 0 && Same(id.Name, element.Id, document.IsQuirky),
                AttributeSelector attribute => AttributeMatching.Holds(attribute, element) || IsForced(attribute, element),
                NestingSelector => Nesting(element, context),
                PseudoClassSelector pseudo => State(pseudo, element, context),
                _ => throw new ArgumentOutOfRangeException(nameof(compound)),
            };
            if (!holds) return false;
            // States of a piece are the piece's, not the element's.
            if (part is PseudoElementSelector) return true;
        }
        return true;
    }

    private bool IsForced(ElementStates state, Element element) => forced is not null && forced.TryGetValue(element, out var states) && states.HasFlag(state);

    /// <summary>Whether a state that an element is forced to be in stands in the place of an attribute.</summary>
    internal static bool MayBeForced(AttributeSelector attribute) => attribute.Name.ToLowerInvariant() is "aria-current" or "aria-disabled";

    /// <summary>Whether an attribute says a state that is given.</summary>
    private bool IsForced(AttributeSelector attribute, Element element) => forced is not null && attribute.Name.ToLowerInvariant() switch
    {
        "aria-current" => attribute.Value is "" or "page" or "true" && IsForced(ElementStates.Current, element),
        "aria-disabled" => attribute.Value is "" or "true" && IsForced(ElementStates.Off, element),
        _ => false,
    };

    private void Step()
    {
        if (++Steps > MostSteps) throw new CostlySelectorException();
    }

    private bool HasClass(Element element, string name)
    {
        foreach (var one in element.Classes)
        {
            if (Same(one, name, document.IsQuirky)) return true;
        }
        return false;
    }

    private static bool Same(string a, string b, bool ignoresCase) => ignoresCase ? a.Equals(b, StringComparison.OrdinalIgnoreCase) : a == b;

    private bool State(PseudoClassSelector pseudo, Element element, Context context) => pseudo.Name switch
    {
        "is" or "where" or "matches" or "-webkit-any" => Any(pseudo.Arguments, element, context),
        "not" => !Any(pseudo.Arguments, element, context),
        "has" => Has(pseudo.Arguments, element, context),
        "scope" => element == context.Scope,
        "root" => element.Parent is null,
        "first-child" => element.Previous is null,
        "last-child" => element.Next is null,
        "only-child" => element.Previous is null && element.Next is null,
        "first-of-type" => !Kin(element, before: true).Any(),
        "last-of-type" => !Kin(element, before: false).Any(),
        "only-of-type" => !Kin(element, before: true).Any() && !Kin(element, before: false).Any(),
        "nth-child" => Counts(pseudo, element, before: true, e => pseudo.Arguments.IsEmpty || Any(pseudo.Arguments, e, context)),
        "nth-last-child" => Counts(pseudo, element, before: false, e => pseudo.Arguments.IsEmpty || Any(pseudo.Arguments, e, context)),
        "nth-of-type" => Counts(pseudo, element, before: true, e => IsKin(e, element)),
        "nth-last-of-type" => Counts(pseudo, element, before: false, e => IsKin(e, element)),
        _ when ElementStateNames.Find(pseudo.Name) is { } state => IsForced(state, element),
        "disabled" when IsForced(ElementStates.Off, element) => true,
        "enabled" when IsForced(ElementStates.Off, element) => false,
        "lang" => Languages.Holds(element, pseudo.Words),
        "dir" => Directions.Of(document, element).Equals(pseudo.Words[0], StringComparison.OrdinalIgnoreCase),
        _ => HtmlStates.Holds(pseudo.Name, element, document),
    };

    private bool Any(ImmutableArray<ComplexSelector> selectors, Element element, Context context)
    {
        foreach (var selector in selectors)
        {
            if (PseudoElements.Of(selector) is null && Around(selector, selector.Compounds.Length - 1, element, context)) return true;
        }
        return false;
    }

    /// <summary>Whether something stands to the element as one of relative selectors says (Selectors Level 4, §4.5).</summary>
    private bool Has(ImmutableArray<ComplexSelector> selectors, Element element, Context context)
    {
        foreach (var selector in selectors)
        {
            if (PseudoElements.Of(selector) is not null) continue;
            var led = selector.Leading is null ? selector with { Leading = Combinator.Descendant } : selector;
            var within = context with { Anchor = element };
            if (Candidates(led.Leading!.Value, led, element).Any(candidate => Around(led, led.Compounds.Length - 1, candidate, within))) return true;
        }
        return false;
    }

    /// <summary>What can end a relative selector that begins at an element.</summary>
    private IEnumerable<Element> Candidates(Combinator leading, ComplexSelector selector, Element element)
    {
        if (leading is Combinator.Descendant or Combinator.Child)
            return leading == Combinator.Child && selector.Compounds.Length == 1 ? element.Children : document.Within(element);
        return leading == Combinator.NextSibling && selector.Compounds.Length == 1 ? Following(element).Take(1) : Following(element).SelectMany(e => document.Within(e).Prepend(e));
    }

    private static IEnumerable<Element> Following(Element element)
    {
        for (var next = element.Next; next is not null; next = next.Next) yield return next;
    }

    private static bool IsKin(Element a, Element b) => a.Name == b.Name && a.IsHtml == b.IsHtml;

    /// <summary>Siblings of the same kind on one side.</summary>
    private static IEnumerable<Element> Kin(Element element, bool before)
    {
        for (var other = before ? element.Previous : element.Next; other is not null; other = before ? other.Previous : other.Next)
        {
            if (IsKin(other, element)) yield return other;
        }
    }

    private bool Counts(PseudoClassSelector pseudo, Element element, bool before, Func<Element, bool> counted)
    {
        if (!counted(element)) return false;
        var place = 1;
        if (before && pseudo is { Name: "nth-child", Arguments.IsEmpty: true })
        {
            place = element.Place;
        }
        else
        {
            for (var other = before ? element.Previous : element.Next; other is not null; other = before ? other.Previous : other.Next)
            {
                Step();
                if (counted(other)) place++;
            }
        }
        var (a, b) = (pseudo.Nth!.Value.A, pseudo.Nth.Value.B);
        // In 64 bits, so that the largest numbers do not run over.
        var left = (long)place - b;
        return a == 0 ? left == 0 : left % a == 0 && left / a >= 0;
    }
}
