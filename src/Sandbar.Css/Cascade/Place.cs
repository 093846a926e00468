using System.Runtime.CompilerServices;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>States of elements inside another one, for selectors that look into it. Told apart from others by what it is, not by what it holds.</summary>
public sealed class InnerStates
{
    private readonly IReadOnlyDictionary<Element, ElementStates>? some;
    private readonly ElementStates all;
    private readonly ConditionalWeakTable<Document, IReadOnlyDictionary<Element, ElementStates>> pages = [];

    public InnerStates(IReadOnlyDictionary<Element, ElementStates> of) => some = of;

    private InnerStates(ElementStates states) => all = states;

    /// <summary>All elements of a page in the same states.</summary>
    public static InnerStates Everywhere(ElementStates states) => new(states);

    internal bool IsEverywhere => some is null;

    internal IReadOnlyDictionary<Element, ElementStates> On(Document page) => some ?? pages.GetValue(page, p => p.All.ToDictionary(e => e, _ => all));
}

/// <summary>
/// Where an element stands, as rules see it. Elements of any page that no rule can tell apart stand in one place, so what is found out of one holds for all.
/// </summary>
public sealed class Place
{
    internal Place(Place? parent, Document page, Element element, ElementStates states, InnerStates? inside, int index) => (Parent, Page, Element, States, Inside, Index) = (parent, page, element, states, inside, index);

    /// <summary>The place of what stands around; null of a root.</summary>
    public Place? Parent { get; }

    /// <summary>One of the elements that stand here.</summary>
    public Element Element { get; }

    /// <summary>The page of that element.</summary>
    public Document Page { get; }

    /// <summary>The states that elements are in here because of a visitor.</summary>
    public ElementStates States { get; }

    /// <summary>What is in states inside; null where nothing is.</summary>
    public InnerStates? Inside { get; }

    /// <summary>Its place among all places: after those around it.</summary>
    internal int Index { get; }

    /// <summary>The states of the element, of those around and of those inside.</summary>
    internal IReadOnlyDictionary<Element, ElementStates>? Forced()
    {
        if (Inside is { IsEverywhere: true }) return Inside.On(Page);
        var forced = new Dictionary<Element, ElementStates>();
        // The place around may have been found with an element of another page: those around are the element's own.
        for (var (place, element) = (this, Element); place is not null && element is not null; (place, element) = (place.Parent, element.Parent))
        {
            if (place.States != ElementStates.None) forced[element] = place.States;
            if (place.Inside is null) continue;
            foreach (var (inside, states) in place.Inside.On(Page)) forced[inside] = states;
        }
        return forced.Count == 0 ? null : forced;
    }
}
