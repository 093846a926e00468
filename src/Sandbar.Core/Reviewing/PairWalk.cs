using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Styling;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Reviewing;

/// <summary>What a block finds around it, in one state of that.</summary>
/// <param name="Place">Where the element around stands; null for the page.</param>
/// <param name="Within">The element around that is in a state, where that shows.</param>
/// <param name="IsPointedAt">Whether the pointer may be within: not where an element around shows another look under it, and this is the one without.</param>
internal sealed record Around(Place? Place, Surrounding? Within, bool IsPointedAt);

/// <summary>What a block finds around it, in every state of that; at Rest first.</summary>
internal sealed class Arounds(ImmutableArray<Around> all)
{
    public ImmutableArray<Around> All => all;
}

/// <summary>What a block comes to.</summary>
/// <param name="Met">The pairs, with what to look at for what decides the two colours.</param>
/// <param name="Inside">What the blocks inside find around them.</param>
/// <param name="Ground">Its own ground where that differs from what lies behind it, with the scheme.</param>
/// <param name="Uneven">Its texts whose ground differs from place to place.</param>
/// <param name="Asked">The styles it was read off: while they are the same, so is it.</param>
internal sealed record BlockPairs(ImmutableArray<(Met Met, Tone Foreground, Tone Ground)> Met, Arounds Inside, (Color Color, string Scheme)? Ground, ImmutableArray<UnevenText> Uneven, ImmutableArray<(Place Place, string Piece, object Style)> Asked);

/// <summary>Goes through pages in one window. What blocks of one shape come to in one surrounding is found once.</summary>
/// <param name="before">What was found before a change, in the same window.</param>
internal sealed class PairWalk(Site site, SeenColors seen, Places places, Meetings meetings, IReadOnlyDictionary<(Arounds, PairShape), BlockPairs> before)
{
    private const double TextTarget = Contrast.Text, LargeTarget = 3, LineTarget = 3, LargeSize = 24, LargeBoldSize = 18.66;
    private const int Bold = 700;

    private static readonly string[] Sides = ["top", "right", "bottom", "left"];

    private static readonly Property Color = CssProperties.Of("color"), FontSize = CssProperties.Of("font-size"), FontWeight = CssProperties.Of("font-weight"), Visibility = CssProperties.Of("visibility"),
        OutlineColor = CssProperties.Of("outline-color"), OutlineStyle = CssProperties.Of("outline-style"), OutlineWidth = CssProperties.Of("outline-width");

    private static readonly ImmutableArray<(Property Color, Property Style, Property Width)> Borders =
        [.. Sides.Select(side => (CssProperties.Of($"border-{side}-color"), CssProperties.Of($"border-{side}-style"), CssProperties.Of($"border-{side}-width")))];

    /// <summary>What shows that an element is in a state.</summary>
    private static readonly ImmutableArray<Property> Showing =
    [
        Color, FontSize, FontWeight, Visibility, CssProperties.Of("background-color"), CssProperties.Of("background-image"), CssProperties.Of("opacity"), CssProperties.Of("display"),
        OutlineColor, OutlineStyle, OutlineWidth, .. Borders.SelectMany(b => new[] { b.Color, b.Style, b.Width }),
    ];

    private readonly Dictionary<(Arounds, PairShape), BlockPairs> known = [];
    private readonly Dictionary<BlockPairs, List<Meeting>> met = new(ReferenceEqualityComparer.Instance);
    private readonly List<(Place, string, object)> asked = [];
    private readonly List<UnevenText> uneven = [];
    private readonly Look? link = PairShapes.LinkOf(site) is { } id ? site.Looks.Get(id) : null;

    /// <summary>What a page finds around it: nothing.</summary>
    public static Arounds Start { get; } = new([new(null, null, true)]);

    /// <summary>All that was found.</summary>
    public IReadOnlyDictionary<(Arounds, PairShape), BlockPairs> Known => known;

    /// <param name="outer">Id of the block it stands in.</param>
    /// <param name="faces">Takes down what blocks look like; null where that is not asked.</param>
    public void Visit(ShapedBlock block, string outer, Arounds arounds, Visit at, List<Face>? faces)
    {
        if (!known.TryGetValue((arounds, block.Shape), out var result))
        {
            if (!before.TryGetValue((arounds, block.Shape), out result) || result.Asked.Any(a => (a.Piece.Length == 0 ? seen.Window.Of(a.Place) : seen.Window.Of(a.Place, a.Piece)).Identity != a.Style)) result = Look(block.Shape, arounds);
            known[(arounds, block.Shape)] = result;
            met[result] = Meetings(result);
        }
        foreach (var meeting in met[result]) meeting.Add(block, at);
        if (!result.Uneven.IsEmpty) meetings.Uneven.Add(new(block.Id, at, result.Uneven));
        if (faces is not null && result.Ground is { } ground) faces.Add(new(outer, block.Shape.Part.Id, block.Shape.Look, ground.Scheme, ground.Color, new(at.Page, block.Id, at.Width, at.Dark)));
        foreach (var inner in block.Inner) Visit(inner, block.Id, result.Inside, at, faces);
    }

    private List<Meeting> Meetings(BlockPairs result)
    {
        var all = new List<Meeting>(result.Met.Length);
        foreach (var (met, foreground, ground) in result.Met)
        {
            var meeting = meetings.Of(met, seen, foreground, ground);
            if (!all.Contains(meeting)) all.Add(meeting);
        }
        return all;
    }

    private BlockPairs Look(PairShape shape, Arounds arounds)
    {
        asked.Clear();
        uneven.Clear();
        var met = new List<(Met, Tone, Tone)>();
        var inside = ImmutableArray.CreateBuilder<Around>();
        (Color, string)? ground = null;
        foreach (var around in arounds.All)
        {
            var rest = PlacesIn(shape, around, State.Rest);
            var first = inside.Count;
            var shown = new List<Seen>();
            foreach (var state in shape.Part.States)
            {
                // The pointer is over an element where it is over what stands in it.
                if (state == State.Hover && !around.IsPointedAt) continue;
                var at = state == State.Rest ? rest : PlacesIn(shape, around, state);
                if (!Shows(rest, at) && state != State.Rest) continue;
                TakeDown(new(shape, at, state, around, around.Within), met);
                var own = seen.Of(at[shape.Own]);
                if (state == State.Rest && arounds.All[0] == around && !own.Ground.IsEmpty && (own.Behind.IsEmpty || own.Ground[0].Color != own.Behind[0].Color)) ground = (own.Ground[0].Color, own.Scheme.Id);
                if (shown.Exists(s => LookAlike(s, own))) continue;
                if (state == State.Hover) inside[first] = inside[first] with { IsPointedAt = false };
                shown.Add(own);
                inside.Add(new(at[shape.Own], state == State.Rest ? around.Within : new(shape.Look, state), around.IsPointedAt));
            }
        }
        return new([.. met], new(inside.ToImmutable()), ground, [.. uneven], [.. asked.Distinct()]);
    }

    /// <summary>A block in one of its states.</summary>
    private sealed record Scene(PairShape Shape, Place[] Places, State State, Around Around, Surrounding? Within);

    private Place[] PlacesIn(PairShape shape, Around around, State state)
    {
        var found = new Place[shape.Elements.Length];
        var (states, inside) = shape.In(state);
        for (var i = 0; i < found.Length; i++)
        {
            var (element, kind, at) = shape.Elements[i];
            found[i] = places.Of(shape.Page, element, kind, at < 0 ? around.Place : found[at], states[i], i == shape.Own ? inside : null);
        }
        return found;
    }

    private ElementStyle Asked(Place place, string piece = "")
    {
        var style = piece.Length == 0 ? seen.Window.Of(place) : seen.Window.Of(place, piece);
        asked.Add((place, piece, style.Identity));
        return style;
    }

    private bool Shows(Place[] rest, Place[] at)
    {
        for (var i = 0; i < at.Length; i++)
        {
            var (one, other) = (Asked(rest[i]), Asked(at[i]));
            if (one != other && one.Cascade != other.Cascade && Showing.Any(p => one.Text(p) != other.Text(p))) return true;
        }
        return false;
    }

    private static bool LookAlike(Seen one, Seen other) => one.Ground.Select(g => g.Color).SequenceEqual(other.Ground.Select(g => g.Color)) && one.Opacity == other.Opacity
        && new[] { Color, FontSize, FontWeight }.All(p => one.Style.Text(p) == other.Style.Text(p));

    private void TakeDown(Scene scene, List<(Met, Tone, Tone)> met)
    {
        foreach (var target in scene.Shape.Targets)
        {
            var place = scene.Places[target.At];
            switch (target.Kind)
            {
                case PairKind.Text:
                    if (StateOf(scene, place) is { } state) Text(scene, scene.Shape.Look, target.Property.Id, state, target.At, place, met);
                    break;
                case PairKind.Line when target.Piece.Length > 0:
                    var piece = Asked(place, target.Piece);
                    var on = seen.Of(place);
                    if (seen.Of(piece, Color, on.Scheme) is { } mark) Add(scene, scene.Shape.Look, target.Property.Id, scene.State, PairKind.Line, 0, mark, on, on.Ground, met);
                    break;
                case PairKind.Line:
                    if (StateOf(scene, place) is not { } ofLine) break;
                    var set = CssProperties.SetBy(target.Property.CssName);
                    foreach (var (color, style, width) in Borders.Where(b => set.Any(p => LogicalSides.Physical(p, Asked(place).Flow) == b.Color)))
                        Line(scene with { State = ofLine }, target, place, color, style, width, scene.Shape.Part.NeedsBoundary ? LineTarget : 0, met);
                    break;
                default:
                    if (scene.State == State.Focus && StateOf(scene, place) is not null) Line(scene, target, place, OutlineColor, OutlineStyle, OutlineWidth, LineTarget, met);
                    break;
            }
        }
        if (link is null) return;
        foreach (var at in scene.Shape.Links)
        {
            var rest = scene.Places[at];
            foreach (var state in PartCatalogue.Get(link.Part).States)
            {
                if (state == State.Hover && !scene.Around.IsPointedAt) continue;
                var place = state == State.Rest ? rest : places.Of(scene.Shape.Page, rest.Element, scene.Shape.Elements[at].Kind, rest.Parent, Scenes.Of(state));
                if (state != State.Rest && !Shows([rest], [place])) continue;
                var inLink = scene with { State = state, Within = scene.State == State.Rest ? scene.Within : new(scene.Shape.Look, scene.State) };
                Text(inLink, link.Id, "text-color", state, at, place, met);
                if (state == State.Focus) Line(inLink, new(PairKind.FocusRing, at, "", PartCatalogue.Get(link.Part).Property("outline")!), place, OutlineColor, OutlineStyle, OutlineWidth, LineTarget, met);
            }
        }
    }

    /// <summary>
    /// The state of something in a scene: what stands for where the visitor is, or cannot be used, is always in that state. Null where it is not looked at, since it is in none
    /// of the others.
    /// </summary>
    private static State? StateOf(Scene scene, Place place)
    {
        var states = scene.Shape.Part.States;
        if (states.Contains(State.Off) && (place.Element.Has("disabled") || place.Element["aria-disabled"] == "true")) return scene.State == State.Rest ? State.Off : null;
        return scene.State == State.Rest && states.Contains(State.Current) && place.Element.Has("aria-current") ? State.Current : scene.State;
    }

    private void Text(Scene scene, string look, string property, State state, int at, Place place, List<(Met, Tone, Tone)> met)
    {
        var on = seen.Of(place);
        if (!on.IsShown || (on.Style.Text(Visibility) != "visible" && !ComesToBeSeen(scene, place))) return;
        if (seen.Of(on.Style, Color, on.Scheme) is not { } color) return;
        var isLarge = IsLarge(on.Style);
        var kind = isLarge ? PairKind.LargeText : PairKind.Text;
        // What cannot be used need not be read (WCAG 2.2, 1.4.3: inactive components).
        var target = state == State.Off ? 0 : isLarge ? LargeTarget : TextTarget;
        if (on.IsUneven) uneven.Add(new(kind, look, property, state, scene.Within, target, at - scene.Shape.Own, place, color, on.Scheme));
        Add(scene, look, property, state, kind, target, color, on, on.Ground, met);
    }

    /// <summary>Whether what is hidden is seen once the visitor is at what is around it.</summary>
    private bool ComesToBeSeen(Scene scene, Place place)
    {
        return Asked(Stirred(place)).Text(Visibility) == "visible";

        Place Stirred(Place at) => at == scene.Around.Place || at.Parent is null ? at : places.Of(at.Page, at.Element, KindOf(at), Stirred(at.Parent), ElementStates.All);
        int KindOf(Place at) => scene.Shape.Elements[Array.FindIndex(scene.Places, p => p == at || p.Element == at.Element)].Kind;
    }

    private static bool IsLarge(ElementStyle style) =>
        style.FontSizePx >= LargeSize || (style.FontSizePx >= LargeBoldSize && double.TryParse(style.Text(FontWeight), CultureInfo.InvariantCulture, out var weight) && weight >= Bold);

    private void Line(Scene scene, ShapeTarget target, Place place, Property color, Property style, Property width, double asked, List<(Met, Tone, Tone)> met)
    {
        var on = seen.Of(place);
        if (!on.IsShown || on.Style.Text(style) is "none" or "hidden" or "auto" || on.Style.Text(width) == "0px" || seen.IsFromGround(on.Style, color)) return;
        if (seen.Of(on.Style, color, on.Scheme) is { } tone) Add(scene, scene.Shape.Links.Contains(target.At) ? link!.Id : scene.Shape.Look, target.Property.Id, scene.State, target.Kind, scene.State == State.Off ? 0 : asked, tone, on, on.Behind, met);
    }

    private static void Add(Scene scene, string look, string property, State state, PairKind kind, double target, Tone color, Seen on, ImmutableArray<Tone> ground, List<(Met, Tone, Tone)> met)
    {
        (Color Color, Color Ground, Tone From)? worst = null;
        var most = 1;
        for (var around = on; around is not null; around = around.Around) most = Math.Max(most, around.Ground.Length);
        if (ground.IsEmpty || on.IsThroughPicture) return;
        for (var i = 0; i < most; i++)
        {
            var lies = ground[i % ground.Length];
            var (text, behind) = (Compositing.Over(color.Color, lies.Color), lies.Color);
            // Opacity lets what lies behind through both, from the inside outwards (Compositing and Blending Level 1, §9).
            for (var around = on; around is not null; around = around.Around)
            {
                if (around.Opacity >= 1) continue;
                var through = around.Behind[i % around.Behind.Length].Color;
                (text, behind) = (Faded(text, through, around.Opacity), Faded(behind, through, around.Opacity));
            }
            if (worst is null || Contrast.Ratio(text, behind) < Contrast.Ratio(worst.Value.Color, worst.Value.Ground)) worst = (text, behind, lies);
        }
        // As a screen paints them.
        var found = (Color: Gamut.Rounded(worst!.Value.Color), Ground: Gamut.Rounded(worst.Value.Ground), worst.Value.From);
        met.Add((new(kind, look, property, state, scene.Within, on.Scheme.Id, found.Color, found.Ground, target, on.IsUneven && kind is PairKind.Text or PairKind.LargeText), color, found.From));
    }

    private static Color Faded(Color color, Color behind, double opacity) => Compositing.Over(Gamut.ToSrgb(color) with { Alpha = color.Alpha * opacity }, behind);
}
