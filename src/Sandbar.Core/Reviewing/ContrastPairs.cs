using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

using Sandbar.Css.Colors;

namespace Sandbar.Core.Reviewing;

/// <summary>
/// Every pair of colours that roles, looks and grounds bring together on the site's pages: text, lines and focus rings, in every state of an element and of what is
/// around it, at every width, in every scheme and for visitors who prefer dark. Read off document and catalogue; overrides are not counted.
/// </summary>
public static class ContrastPairs
{
    private const double TextTarget = Contrast.Text, LargeTarget = 3, LineTarget = 3, LargeSize = 24, LargeBoldSize = 18.66;
    private const int Bold = 700;

    /// <summary>Places along each stretch of a gradient at which it is looked at.</summary>
    private const int GradientSamples = 8;

    /// <summary>The pairs, those that fail first, then by how near they come to what they must reach.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each page.</exception>
    public static ImmutableArray<ContrastPair> Of(Site site, CancellationToken cancel)
    {
        var found = Look(site, cancel).Met;
        return
        [
            .. from met in found
               group met by (met.Kind, met.Look, met.Property, met.State, met.Within, met.Scheme, met.Foreground, met.Ground, met.Target) into same
               let k = same.Key
               let pair = new ContrastPair(
                   k.Kind, k.Look, k.Property, k.State, k.Within, k.Scheme, k.Foreground, k.Ground, Contrast.Ratio(k.Foreground, k.Ground), k.Target,
                   same.First().ForegroundFrom, same.First().GroundFrom, [.. same.Select(m => m.Place).DistinctBy(p => (p.Page, p.Block))])
               orderby pair.Passes, pair.Target == 0, pair.Ratio / Math.Max(pair.Target, 1)
               select pair,
        ];
    }

    /// <summary>What each block with a ground of its own looks like at Rest at the narrowest width, outer before inner, for visitors who prefer light and for those who prefer dark.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more; asked before each page.</exception>
    internal static IEnumerable<Face> Faces(Site site, CancellationToken cancel) => Look(site, cancel).Faces.Where(f => f.Place.Width == 0);

    /// <summary>Goes through every page, at every width, for every visitor.</summary>
    private static (List<Met> Met, List<Face> Faces) Look(Site site, CancellationToken cancel)
    {
        var (found, faces) = (new List<Met>(), new List<Face>());
        var cells = new Dictionary<int, CellsAtWidth>();
        var roles = new Dictionary<(string Scheme, string Role, int Step), Tone>();
        bool[] preferences = site.Palette.Schemes.Any(s => s.TurnsInto is ReferenceValue) ? [false, true] : [false];
        foreach (var dark in preferences)
        {
            foreach (var page in site.Pages)
            {
                cancel.ThrowIfCancellationRequested();
                foreach (var width in Widths(site, page))
                {
                    if (!cells.TryGetValue(width, out var atWidth)) cells[width] = atWidth = new(width);
                    var walk = new Walk(site, page, width, dark, atWidth, roles, found, faces);
                    foreach (var block in Blocks.OnPage(site, page)) walk.Visit(block, "", [walk.Start()]);
                }
            }
        }
        return (found, faces);
    }

    /// <summary>Widths that stand for all, px: between two of them no value that matters here changes.</summary>
    private static IEnumerable<int> Widths(Site site, Page page)
    {
        var cells = new HashSet<(string Part, string Cell)>();
        foreach (var block in Blocks.OnPage(site, page)) Note(block);
        foreach (var link in site.Looks.Where(l => l.Part == "link")) cells.UnionWith(link.Cells.Keys.Select(k => ("link", k)));
        return cells.Select(c => (c.Part, Key: CellKey.Parse(c.Cell))).Where(c => c.Key.Widths != Interval.All && Matters(c.Part, c.Key))
            .SelectMany(c => new[] { c.Key.Widths.From ?? 0, c.Key.Widths.Below ?? 0 }).Append(0).Distinct();

        void Note(Block block)
        {
            cells.UnionWith((site.Looks.Find(block.Look)?.Cells.Keys ?? []).Concat(block.Own.Keys).Select(k => (block.Part, k)));
            foreach (var inner in block.Blocks) Note(inner);
        }
    }

    /// <summary>Whether a cell has a say in what meets what.</summary>
    private static bool Matters(string part, CellKey key) => PartCatalogue.Find(part)?.Property(key.Property) is { } property
        && (property.CssName is "color" or "background" or "opacity" || property.Kind.Types.Contains(CssType.Line) || property.Id.EndsWith("text-style", StringComparison.Ordinal));

    private sealed record Met(
        PairKind Kind, string Look, string Property, State State, Surrounding? Within, string Scheme, Color Foreground, Color Ground, double Target, ColorSource ForegroundFrom, ColorSource GroundFrom, PairPlace Place);

    /// <summary>A colour with what decided it.</summary>
    private readonly record struct Tone(Color Color, ColorSource From)
    {
        /// <summary>What is seen where it lies over another: what is clear leaves what lies behind.</summary>
        public Tone Over(Tone behind) => Color.Alpha == 0 ? behind : this with { Color = Compositing.Over(Color, behind.Color) };
    }

    /// <summary>The cells that hold at one width.</summary>
    private sealed class CellsAtWidth(int width)
    {
        private readonly Dictionary<object, Dictionary<(string Property, State State), (Value Value, CellKey Key)>> known = new(ReferenceEqualityComparer.Instance);

        /// <summary>Those among the cells of a look or block: of a property in a state there is one for some widths at most, and it goes before the one for all.</summary>
        public Dictionary<(string Property, State State), (Value Value, CellKey Key)> Of(ImmutableSortedDictionary<string, Value> cells)
        {
            if (known.TryGetValue(cells, out var holding)) return holding;
            holding = [];
            foreach (var (key, value) in cells.Select(c => (Key: CellKey.Parse(c.Key), c.Value)).OrderBy(c => c.Key.Widths != Interval.All))
            {
                if (key.Widths.Holds(width)) holding[(key.Property, key.State)] = (value, key);
            }
            return known[cells] = holding;
        }
    }

    /// <summary>What a block finds around it.</summary>
    /// <param name="Carried">Id of the scheme in force.</param>
    /// <param name="Ground">The colours behind it: one, or those along a gradient.</param>
    /// <param name="Text">The text colour it inherits.</param>
    /// <param name="Style">The text style it inherits.</param>
    /// <param name="IsPointedAt">Whether the pointer may be within: not where an element around shows another look under it, and this is the one without.</param>
    /// <param name="Within">The element around that is in a state, where that shows.</param>
    private sealed record Around(string Carried, ImmutableArray<Tone> Ground, Tone Text, TextStyle Style, bool IsPointedAt = true, Surrounding? Within = null)
    {
        public bool LooksLike(Around other) => Ground.Select(g => g.Color).SequenceEqual(other.Ground.Select(g => g.Color)) && Text.Color == other.Text.Color && Style == other.Style;
    }

    /// <summary>One way through a page, at one width.</summary>
    private sealed class Walk(Site site, Page page, int width, bool dark, CellsAtWidth atWidth, Dictionary<(string Scheme, string Role, int Step), Tone> roles, List<Met> found, List<Face> faces)
    {
        // The block whose elements are looked at.
        private string block = "";

        public Around Start() => new(page.Scheme, PageGround(), Role(page.Scheme, "text"), site.Type.Styles[0]);

        /// <summary>What a page lies on: its own ground, and over that the paper where it has one.</summary>
        private ImmutableArray<Tone> PageGround()
        {
            var paper = site.Space.Paper[0];
            var ground = Laid(page.Scheme, paper.Around, [Role(page.Scheme, "ground")]);
            return PaperKind.IsSheet(paper) ? Laid(page.Scheme, paper.Fill, ground) : ground;
        }

        /// <summary>The colours of a fill over what lies behind it: one, or those along a gradient.</summary>
        private ImmutableArray<Tone> Laid(string scheme, Value fill, ImmutableArray<Tone> behind) => fill switch
        {
            ReferenceValue { To: GradientKind.Kind } gradient => [.. Along(scheme, site.Fills.Gradients.Get(gradient.Id)).Select((c, i) => c.Over(behind[i % behind.Length]))],
            _ when Plain(scheme, fill) is { } color => [.. behind.Select(color.Over)],
            _ => behind,
        };

        /// <summary>A colour that is said without regard to Rest.</summary>
        private Tone? Plain(string scheme, Value value) => value switch
        {
            ReferenceValue { To: RoleKind.Kind } role => Role(scheme, role.Id, role.Step),
            ReferenceValue { To: ColorKind.Kind } color when site.Palette.Colors.Get(color.Id) is var given =>
                new(Gamut.Rounded(site.Palette.Row(given).At(color.Step)), new(StepText.With(given.Name, color.Step), given.Id, null, null)),
            FixedColorValue given => new(Gamut.Rounded(ReleasedColor.Of(given.Css)), new(given.Css, null, null, null)),
            _ => null,
        };

        private IEnumerable<Tone> Along(string scheme, Gradient gradient)
        {
            var from = new ColorSource(gradient.Name, null, null, null);
            var stops = gradient.Stops.Select(s => Gamut.ToSrgb(Plain(scheme, s.Color)!.Value.Color)).ToList();
            for (var i = 0; i + 1 < stops.Count; i++)
            {
                for (var n = i == 0 ? 0 : 1; n <= GradientSamples; n++)
                {
                    var t = (double)n / GradientSamples;
                    var (a, b) = (stops[i], stops[i + 1]);
                    yield return new(new(ColorSpace.Srgb, a.C1 + (b.C1 - a.C1) * t, a.C2 + (b.C2 - a.C2) * t, a.C3 + (b.C3 - a.C3) * t, a.Alpha + (b.Alpha - a.Alpha) * t), from);
                }
            }
        }

        /// <param name="outer">Id of the block it stands in.</param>
        /// <param name="arounds">What the block finds around it, in every state of that; at Rest first.</param>
        public void Visit(Block block, string outer, IReadOnlyList<Around> arounds)
        {
            // A carrier of a scheme sets the text colour anew; its ground stays what lies behind it.
            if (block.Scheme is { } scheme) arounds = [.. arounds.Select(a => a with { Carried = scheme, Text = Role(scheme, "text") })];
            if (PartCatalogue.Find(block.Part) is not { } part || site.Looks.Find(block.Look) is not { } look) return;
            this.block = block.Id;
            var inside = arounds.SelectMany(around => Look(part, look, block.Own, block.Content, around)).ToList();
            var (behind, rest) = (arounds[0], inside[0]);
            if (rest.Ground[0].Color != behind.Ground[0].Color) faces.Add(new(outer, block.Part, block.Look, Effective(rest.Carried).Id, rest.Ground[0].Color, Here));
            foreach (var inner in block.Blocks) Visit(inner, block.Id, inside);
        }

        /// <summary>Takes down the pairs of one element and says what it is to those inside, in each of its states that is another to them.</summary>
        private List<Around> Look(Part part, Look look, ImmutableSortedDictionary<string, Value> own, ImmutableSortedDictionary<string, string> content, Around around)
        {
            var states = look.Cells.Keys.Concat(own.Keys).Select(CellKey.Parse).Where(k => Matters(part.Id, k)).Select(k => k.State).Append(State.Rest).ToHashSet();
            var inside = new List<Around>();
            foreach (var state in part.States.Where(states.Contains))
            {
                // The pointer is over an element where it is over what stands in it.
                if (state == State.Hover && !around.IsPointedAt) continue;
                var element = new Element(this, part, look, own, state, around);
                element.TakeDown(content);
                var found = element.Inside;
                if (inside.Exists(found.LooksLike)) continue;
                if (state == State.Hover) inside[0] = inside[0] with { IsPointedAt = false };
                inside.Add(state == State.Rest ? found : found with { Within = new(look.Id, state) });
            }
            return inside;
        }

        private Tone Role(string carried, string role, int step = 0)
        {
            var scheme = Effective(carried);
            if (roles.TryGetValue((scheme.Id, role, step), out var known)) return known;
            var resolved = SchemeColors.Resolve(site.Palette, scheme, role, step);
            var color = Gamut.Rounded(resolved.Color);
            var name = resolved.Source is { } source ? StepText.With(source.Name, resolved.Step) : ColorText.Hex(color);
            return roles[(scheme.Id, role, step)] = new(color, new(name, resolved.Source?.Id, new(scheme.Id, role, step), null));
        }

        private Scheme Effective(string carried)
        {
            var scheme = site.Palette.Schemes.Get(carried);
            return dark ? scheme.Dark(site) ?? scheme : scheme;
        }

        /// <summary>An element in one state at some widths.</summary>
        private sealed class Element(
            Walk walk, Part part, Look look, ImmutableSortedDictionary<string, Value> own, State state, Around around)
        {
            public Around Inside => new(
                around.Carried,
                GroundOf("background"),
                Color("text-color") ?? around.Text,
                Style("text-style") ?? around.Style,
                around.IsPointedAt,
                around.Within);

            public void TakeDown(ImmutableSortedDictionary<string, string> content)
            {
                foreach (var property in part.Properties)
                {
                    if (property.Piece.Length > 0 && part.Slots.FirstOrDefault(s => s.Id == property.Piece) is { } slot && !Shows(content, slot)) continue;
                    if (property.CssName == "color") Text(property, content);
                    else if (property.CssName == "outline" && state == State.Focus) Line(property, PairKind.FocusRing, LineTarget);
                    else if (property.Kind.Types.Contains(CssType.Line) && property.CssName != "outline") Line(property, PairKind.Line, part.NeedsBoundary ? LineTarget : 0);
                }
            }

            private void Text(PartProperty property, ImmutableSortedDictionary<string, string> content)
            {
                if (property.Piece.Length == 0 && !part.HasOwnText && !part.Slots.Any(s => s.Kind is SlotKind.Text or SlotKind.List or SlotKind.Table or SlotKind.Menu && Holds(content, s.Id))) return;
                var ground = GroundOf(Sibling(property, "background"));
                var color = Color(property.Id) ?? Color("text-color") ?? around.Text;
                if (property.Target.Contains("::marker", StringComparison.Ordinal))
                {
                    Add(PairKind.Line, property, color, ground, 0);
                    return;
                }
                var style = Style(Sibling(property, "text-style")) ?? Style("text-style") ?? around.Style;
                var kind = IsLarge(style) ? PairKind.LargeText : PairKind.Text;
                // What cannot be used need not be read (WCAG 2.2, 1.4.3: inactive components).
                var target = state == State.Off ? 0 : kind == PairKind.LargeText ? LargeTarget : TextTarget;
                Add(kind, property, color, ground, target);
                if (HasLink(property, content) && walk.Site.Looks.FirstOrDefault(l => l.Part == "link") is { } link)
                {
                    var inText = new Around(around.Carried, ground, color, style, around.IsPointedAt, around.Within);
                    walk.Look(PartCatalogue.Get(link.Part), link, ImmutableSortedDictionary<string, Value>.Empty, content.SetItem("text", "link"), inText);
                }
            }

            private void Line(PartProperty property, PairKind kind, double target)
            {
                var lines = Value(property.Id) is SidesValue sides ? sides.Inner.Distinct() : new[] { Value(property.Id) }.OfType<Value>();
                foreach (var line in lines)
                {
                    (Value? color, double opacity) = line switch
                    {
                        // Tones that come from the ground are told by it, whatever it is.
                        ReferenceValue { To: BorderKind.Kind } named when walk.Site.Edges.Borders.Get(named.Id) is var border =>
                            border.Second.Code() is Border.PressedIn or Border.Raised ? (null, 1) : (border.Color, (double)border.Opacity.Amount() / 100),
                        LineValue typed => (typed.Color, 1),
                        _ => (null, 1),
                    };
                    if (color is not null && Resolve(color, null) is { } tone)
                        Add(kind, property, opacity < 1 ? tone with { Color = Gamut.ToSrgb(tone.Color) with { Alpha = tone.Color.Alpha * opacity } } : tone, around.Ground, state == State.Off ? 0 : target);
                }
            }

            private void Add(PairKind kind, PartProperty property, Tone color, ImmutableArray<Tone> ground, double target)
            {
                // Opacity lets what lies behind the element through both.
                var opacity = Value("opacity") is NumberValue { Number: < 1 } faded ? (double)faded.Number : 1;
                var worst = Enumerable.Range(0, Math.Max(ground.Length, around.Ground.Length))
                    .Select(i => (Behind: around.Ground[i % around.Ground.Length], On: ground[i % ground.Length]))
                    .Select(g => (Ground: Faded(g.On.Color, g.Behind.Color, opacity), Color: Faded(Compositing.Over(color.Color, g.On.Color), g.Behind.Color, opacity), From: g.On.From))
                    .MinBy(p => Contrast.Ratio(p.Color, p.Ground));
                walk.Add(new(kind, look.Id, property.Id, state, around.Within, walk.Effective(around.Carried).Id, worst.Color, worst.Ground, target, color.From, worst.From, walk.Here));
            }

            private static Color Faded(Color color, Color behind, double opacity) =>
                opacity < 1 ? Compositing.Over(Gamut.ToSrgb(color) with { Alpha = color.Alpha * opacity }, behind) : color;

            /// <summary>The colours behind what stands on a fill of the element, or on the element itself where that fill is none.</summary>
            private ImmutableArray<Tone> GroundOf(string property)
            {
                var behind = property == "background" ? around.Ground : GroundOf("background");
                return Value(property) switch
                {
                    ReferenceValue { To: GradientKind.Kind } gradient => walk.Laid(around.Carried, gradient, behind),
                    { } value when Resolve(value, property) is { } color => [.. behind.Select(color.Over)],
                    _ => behind,
                };
            }

            private Tone? Color(string property) => Value(property) is { } value ? Resolve(value, property) : null;

            private TextStyle? Style(string property) => Value(property) is ReferenceValue { To: TextStyleKind.Kind } style ? walk.Site.Type.Styles.Get(style.Id) : null;

            /// <summary>The value in force: own before the look's, the state's before Rest's, some widths' before all.</summary>
            private Value? Value(string property) => InForce(property, state)?.Value;

            private (Value Value, CellKey Key, bool IsOwn)? InForce(string property, State at)
            {
                foreach (var cells in new[] { own, look.Cells })
                {
                    foreach (var from in at == State.Rest ? [State.Rest] : new[] { at, State.Rest })
                    {
                        if (walk.AtWidth.Of(cells).TryGetValue((property, from), out var found)) return (found.Value, found.Key, ReferenceEquals(cells, own));
                    }
                }
                return null;
            }

            /// <summary>The value at Rest that one relative to it means: at its own widths where there is one, else at all; of one for all widths that of this width.</summary>
            private Value? AtRest(CellKey key)
            {
                if (key.Widths == Interval.All) return InForce(key.Property, State.Rest)?.Value;
                var (narrow, wide) = ((key with { State = State.Rest }).ToString(), new CellKey(key.Property, State.Rest, Interval.All).ToString());
                return own.GetValueOrDefault(narrow) ?? look.Cells.GetValueOrDefault(narrow) ?? own.GetValueOrDefault(wide) ?? look.Cells.GetValueOrDefault(wide);
            }

            /// <param name="property">The setting whose cell it stands in; null where it is a thing of the foundations that names the colour.</param>
            private Tone? Resolve(Value value, string? property) => value switch
            {
                _ when walk.Plain(around.Carried, value) is { } tone => tone with { From = tone.From with { Cell = CellOf(property) } },
                RestValue rest when property is not null && InForce(property, state) is { } cell && AtRest(cell.Key) is { } atRest and not RestValue => Resolve(ValueForms.Moved(atRest, rest.Step), property),
                _ => null,
            };

            /// <summary>The cell that decides a setting in this state.</summary>
            private CellPlace? CellOf(string? property) =>
                property is not null && InForce(property, state) is { } cell ? new(look.Id, cell.IsOwn ? walk.Here.Block : null, cell.Key.ToString()) : null;

            private bool IsLarge(TextStyle style)
            {
                var smallest = walk.Site.Type.Scale.Ends.Min(end => TextFigures.Size(walk.Site, style, (double)end.Width.Amount())) ?? 0;
                return smallest >= LargeSize || (smallest >= LargeBoldSize && (int)style.Weight.Amount() >= Bold);
            }

            /// <summary>The property of the same piece, or of the part where the piece has none.</summary>
            private string Sibling(PartProperty property, string id)
            {
                var same = property.Piece.Length == 0 ? id : $"{property.Piece}-{id}";
                return part.Property(same) is null ? id : same;
            }

            private bool HasLink(PartProperty property, ImmutableSortedDictionary<string, string> content) => part.Slots.Any(s =>
                s.Kind is SlotKind.Text or SlotKind.List or SlotKind.Table && (property.Piece.Length == 0 ? part.Property($"{s.Id}-text-color") is null : s.Id == property.Piece)
                && content.GetValueOrDefault(s.Id, "").Contains("](", StringComparison.Ordinal));

            private static bool Shows(ImmutableSortedDictionary<string, string> content, Slot slot) =>
                slot.Kind == SlotKind.Choice ? content.GetValueOrDefault(slot.Id, "") != Slot.Hidden : Holds(content, slot.Id);

            private static bool Holds(ImmutableSortedDictionary<string, string> content, string slot) => content.GetValueOrDefault(slot, "").Length > 0;
        }

        private Site Site => site;

        private CellsAtWidth AtWidth => atWidth;

        private PairPlace Here => new(page.Id, block, width, dark);

        private void Add(Met met) => found.Add(met);
    }
}
