using Sandbar.Css.Properties;
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
        var change = RuleChange.Of(Rules, next);
        var touched = new List<PropertySet?>();
        for (var i = 0; i < cascades.Count; i++)
        {
            var place = places.All[i];
            var around = place.Parent?.Index ?? -1;
            after.cascades.Add(cascades[i] is { } before ? after.Changed(before, change, place, "") : null);
            var now = styles[i] is { } style ? after.After(style, after.cascades[i]!, change, around < 0 ? null : styles[around], around < 0 ? null : after.styles[around], around < 0 ? PropertySet.Empty : touched[around]) : default;
            after.styles.Add(now.Style);
            touched.Add(now.Touched);
        }
        foreach (var ((place, piece), (before, style)) in pieces)
        {
            if (styles[place.Index] is not { } around || after.styles[place.Index] is not { } now) continue;
            var cascade = after.Changed(before, change, place, piece);
            if (after.After(style, cascade, change, around, now, touched[place.Index]).Style is { } same) after.pieces[(place, piece)] = (cascade, same);
        }
        return after;
    }

    /// <summary>
    /// What becomes of a style: itself, or one that comes to the same, where nothing that it is reckoned from changed; or one that takes over what did not; null where that is
    /// nothing. With it the properties that may come to something else.
    /// </summary>
    private (ElementStyle? Style, PropertySet? Touched) After(ElementStyle style, ElementCascade cascade, RuleChange change, ElementStyle? around, ElementStyle? now, PropertySet? touchedAround)
    {
        if (style.Basis != Rules.Basis || around is null != now is null) return default;
        var isAroundSame = around?.Identity == now?.Identity;
        if (isAroundSame && cascade == style.Cascade && around == now) return (style, PropertySet.Empty);
        if (change.Touched(style, cascade, touchedAround) is not { } touched) return default;
        return (known.After(style, now, cascade, isAroundSame && touched.IsEmpty ? null : touched), touched);
    }

    private ElementCascade Changed(ElementCascade before, RuleChange change, Place place, string piece)
    {
        var added = change.Added.MayReach(place.Element, piece) ? MatchingOf(place).Among(change.Added, place.Element, piece) : [];
        if (added.Count == 0 && !change.Reaches(before)) return before;
        return known.Cascade([.. before.Rules.Where(r => !change.IsGone(r.Active)), .. added], before.OfElement);
    }

    private ElementCascade Matched(Place place, string piece, ElementStyle? parent) =>
        MatchingOf(place).Of(place.Element, piece, condition => ContainerQueries.Ask(condition.Values, place.Element, parent));

    private ElementMatching MatchingOf(Place place) => new(new Matching(place.Page, place.Forced()) { MostSteps = mostSteps }, Rules, known);
}
