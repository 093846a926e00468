using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>
/// How places are styled in a window. After a change of rules what they cannot reach stays: a place keeps what is declared for it as long as none of its rules came or
/// went, and its style as long as those around keep theirs. For one thread at a time.
/// </summary>
public sealed class PlaceStyles
{
    private readonly long mostSteps;
    private readonly KnownStyles known;
    private readonly List<ElementCascade?> cascades = [];
    private readonly List<ElementStyle?> styles = [];
    private readonly Dictionary<(Place Place, string Piece), (ElementCascade Cascade, ElementStyle Style)> pieces = [];

    private PlaceStyles(RuleSet rules, long mostSteps, KnownStyles known) => (Rules, this.mostSteps, this.known) = (rules, mostSteps, known);

    /// <param name="mostSteps">Parts of selectors held against one element before a <see cref="CostlySelectorException"/>.</param>
    public PlaceStyles(RuleSet rules, long mostSteps)
        : this(rules, mostSteps, new())
    {
    }

    public RuleSet Rules { get; }

    public ElementStyle Of(Place place)
    {
        if (place.Index < styles.Count && styles[place.Index] is { } found) return found;
        while (styles.Count <= place.Index)
        {
            styles.Add(null);
            cascades.Add(null);
        }
        var parent = place.Parent is null ? null : Of(place.Parent);
        var cascade = cascades[place.Index] ??= Matched(place, "", parent);
        return styles[place.Index] = known.Style(Rules.Basis, place.Element, parent, cascade, "", isWords: false);
    }

    /// <summary>The style of a piece of the elements there, such as <c>before</c>.</summary>
    public ElementStyle Of(Place place, string piece)
    {
        if (pieces.TryGetValue((place, piece), out var found)) return found.Style;
        var parent = Of(place);
        var cascade = Matched(place, piece, parent);
        var style = known.Style(Rules.Basis, place.Element, parent, cascade, piece, isWords: false);
        pieces[(place, piece)] = (cascade, style);
        return style;
    }

    /// <summary>How the same places are styled by other rules of the same window.</summary>
    /// <param name="places">All places there are.</param>
    public PlaceStyles After(RuleSet next, Places places)
    {
        var after = new PlaceStyles(next, mostSteps, new(known));
        // Whether what is around decides over a rule may change with any of them.
        if (next.HasContainers || Rules.HasContainers) return after;
        var gone = Rules.Without(next).ToHashSet<ActiveRule>(ReferenceEqualityComparer.Instance);
        var added = RuleSet.Of(next.Without(Rules), next.Media);
        for (var i = 0; i < cascades.Count; i++)
        {
            var place = places.All[i];
            var cascade = cascades[i] is { } before ? after.Changed(before, gone, added, place, "") : null;
            var isSame = cascade is not null && cascade == cascades[i] && styles[i] is not null && (place.Parent is null ? Rules.Basis == next.Basis : after.Keeps(this, place.Parent));
            after.cascades.Add(cascade);
            after.styles.Add(isSame ? after.known.Keep(styles[i]!) : null);
        }
        foreach (var ((place, piece), (cascade, style)) in pieces)
        {
            if (after.Keeps(this, place) && after.Changed(cascade, gone, added, place, piece) == cascade) after.pieces[(place, piece)] = (cascade, style);
        }
        return after;
    }

    /// <summary>Whether a place is styled as it was.</summary>
    public bool Keeps(PlaceStyles before, Place place) => place.Index < styles.Count && place.Index < before.styles.Count && styles[place.Index] is { } style && style == before.styles[place.Index];

    private ElementCascade Changed(ElementCascade before, HashSet<ActiveRule> gone, RuleSet added, Place place, string piece)
    {
        var isReached = added.MayReach(place.Element, piece);
        if (!isReached && gone.Count > 0)
        {
            foreach (var rule in before.Rules) isReached |= gone.Contains(rule.Active);
        }
        return known.Keep(isReached ? MatchingOf(place).After(before, gone.Contains, added, place.Element, piece) : before);
    }

    private ElementCascade Matched(Place place, string piece, ElementStyle? parent) =>
        MatchingOf(place).Of(place.Element, piece, condition => ContainerQueries.Ask(condition.Values, place.Element, parent));

    private ElementMatching MatchingOf(Place place) => new(new Matching(place.Page, place.Forced()) { MostSteps = mostSteps }, Rules, known);
}
