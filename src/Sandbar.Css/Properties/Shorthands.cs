using System.Collections.Frozen;
using System.Collections.Immutable;
using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;
using Given = System.Collections.Generic.List<(string Name, System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue> Values)>;
using Values = System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue>;

namespace Sandbar.Css.Properties;

/// <summary>What one of the properties that a declaration stands for is set to.</summary>
/// <param name="Values">Without white space between them, except where it counts.</param>
public readonly record struct Assignment(Property Property, Values Values);

/// <summary>
/// Values of shorthands, given to the properties they stand for; those that are not named are set to what is initial. Sources: the modules of each shorthand,
/// named there "shorthand"; where they leave something open, what Chromium does.
/// </summary>
public static class Shorthands
{
    private delegate Given? Split(Row row);

    /// <summary>Values without the white space between them.</summary>
    private readonly record struct Row(Values Values)
    {
        public int Length => Values.Length;

        public ComponentValue this[int at] => Values[at];

        public Row Slice(int from, int length) => new(Values.Slice(from, length));

        public bool Is(int at, string word) => at < Length && Values[at] is Token token && token.IsIdent(word);

        /// <summary>The rows between signs of a kind.</summary>
        public List<Row> Parted(Func<ComponentValue, bool> isSign)
        {
            var rows = new List<Row>();
            var from = 0;
            for (var i = 0; i <= Length; i++)
            {
                if (i < Length && !isSign(Values[i])) continue;
                rows.Add(Slice(from, i - from));
                from = i + 1;
            }
            return rows;
        }
    }

    /// <summary>Older names for breaks, in which <c>always</c> is of pages or of columns (CSS Fragmentation 3, §3.4).</summary>
    private static readonly FrozenSet<string> OldBreaks =
        FrozenSet.Create("page-break-after", "page-break-before", "page-break-inside", "-webkit-column-break-after", "-webkit-column-break-before", "-webkit-column-break-inside");

    private static readonly FrozenDictionary<string, Split> Splits = All().ToFrozenDictionary(StringComparer.Ordinal);

    /// <summary>What a valid declaration sets, in the order of the shorthand; null where its values are none it takes.</summary>
    /// <param name="name">Any name that <see cref="CssProperties"/> knows.</param>
    /// <param name="values">Without variables, and no word for a whole value such as <c>inherit</c>.</param>
    public static ImmutableArray<Assignment>? Expand(string name, Values values)
    {
        var row = new Row(values.WithoutSpace());
        if (CssProperties.Find(name) is { } one) return [new(one, row.Values)];
        var set = CssProperties.SetBy(name);
        if (set.IsEmpty || name.Equals("all", StringComparison.OrdinalIgnoreCase)) return null;
        var lower = name.ToLowerInvariant();
        // Written with a browser's mark, or by an older name, it is the same.
        var split = Splits.GetValueOrDefault(lower) ?? Splits.GetValueOrDefault(lower.Replace("-webkit-", "", StringComparison.Ordinal));
        if (split is null)
        {
            if (set.Length > 1) return null;
            var word = OldBreaks.Contains(lower) && row.Is(0, "always") ? Word(lower.StartsWith("page", StringComparison.Ordinal) ? "page" : "column") : row.Values;
            return [new(set[0], word)];
        }
        if (split(row) is not { } given) return null;
        var named = given.ToDictionary(g => g.Name, g => g.Values, StringComparer.Ordinal);
        return [.. set.Select(p => new Assignment(p, named.GetValueOrDefault(p.Name) is { IsDefaultOrEmpty: false } values ? values : Initial(p.Name)))];
    }

    private static Values Initial(string property) => property == "flex-basis" ? Word("auto") : CssProperties.Of(property).InitialValues;

    private static Values Word(string word) => [new Token(TokenKind.Ident, 0, 0, word)];

    private static Values Number(string number, TokenKind kind = TokenKind.Number, string unit = "") => [new Token(kind, 0, 0, number, unit)];

    private static bool IsSlash(ComponentValue value) => value is Token token && token.IsDelim('/');

    private static bool IsComma(ComponentValue value) => value is Token { Kind: TokenKind.Comma };

    private static bool Takes(string property, Row row) =>
        PropertyGrammars.All.OfProperty(property) is { } definition && new ValueMatcher(PropertyGrammars.All).Matches(definition, row.Values);

    private static IEnumerable<KeyValuePair<string, Split>> All()
    {
        string[] sides = ["top", "right", "bottom", "left"];
        foreach (var (name, pattern) in new[] { ("margin", "margin-{0}"), ("padding", "padding-{0}"), ("inset", "{0}"), ("border-width", "border-{0}-width"), ("border-style", "border-{0}-style"), ("border-color", "border-{0}-color"), ("scroll-margin", "scroll-margin-{0}"), ("scroll-padding", "scroll-padding-{0}") })
        {
            string[] names = [.. sides.Select(s => pattern.Replace("{0}", s, StringComparison.Ordinal))];
            yield return new(name, row => Four(row, names));
        }
        string[] corners = ["corner-top-left-shape", "corner-top-right-shape", "corner-bottom-right-shape", "corner-bottom-left-shape"];
        yield return new("corner-shape", row => Four(row, corners));
        yield return new("border-radius", Radius);
        foreach (var name in new[] { "margin", "padding", "inset", "scroll-margin", "scroll-padding" })
        {
            foreach (var axis in new[] { "block", "inline" }) yield return new($"{name}-{axis}", row => Two(row, $"{name}-{axis}-start", $"{name}-{axis}-end"));
        }
        foreach (var axis in new[] { "block", "inline" })
        {
            foreach (var part in new[] { "width", "style", "color" }) yield return new($"border-{axis}-{part}", row => Two(row, $"border-{axis}-start-{part}", $"border-{axis}-end-{part}"));
            yield return new($"border-{axis}", row => Edges(row, [$"border-{axis}-start", $"border-{axis}-end"]));
        }
        foreach (var side in sides.Concat(["block-start", "block-end", "inline-start", "inline-end"])) yield return new($"border-{side}", row => Edges(row, [$"border-{side}"]));
        foreach (var (old, side) in new[] { ("after", "block-end"), ("before", "block-start"), ("end", "inline-end"), ("start", "inline-start") }) yield return new($"-webkit-border-{old}", row => Edges(row, [$"border-{side}"]));
        yield return new("border", row => Edges(row, [.. sides.Select(s => $"border-{s}")]));
        foreach (var (name, first, second) in new[] { ("gap", "row-gap", "column-gap"), ("grid-gap", "row-gap", "column-gap"), ("overflow", "overflow-x", "overflow-y"), ("overscroll-behavior", "overscroll-behavior-x", "overscroll-behavior-y"), ("contain-intrinsic-size", "contain-intrinsic-width", "contain-intrinsic-height"), ("place-content", "align-content", "justify-content"), ("place-items", "align-items", "justify-items"), ("place-self", "align-self", "justify-self") })
        {
            yield return new(name, row => Pair(row, first, second));
        }
        foreach (var (name, longhands) in new[]
        {
            ("outline", "outline-color outline-style outline-width"), ("column-rule", "column-rule-width column-rule-style column-rule-color"), ("row-rule", "row-rule-width row-rule-style row-rule-color"),
            ("columns", "column-width column-count"), ("flex-flow", "flex-direction flex-wrap"), ("text-decoration", "text-decoration-line text-decoration-thickness text-decoration-style text-decoration-color"),
            ("text-emphasis", "text-emphasis-style text-emphasis-color"), ("text-wrap", "text-wrap-mode text-wrap-style"), ("text-stroke", "-webkit-text-stroke-width -webkit-text-stroke-color"),
            ("scroll-timeline", "scroll-timeline-name scroll-timeline-axis"), ("view-timeline", "view-timeline-name view-timeline-axis view-timeline-inset"), ("text-box", "text-box-trim text-box-edge"),
            ("position-try", "position-try-order position-try-fallbacks"),
        })
        {
            var names = longhands.Split(' ');
            yield return new(name, row => AnyOrder(row, names));
        }
        yield return new("border-spacing", row => Two(row, "-webkit-border-horizontal-spacing", "-webkit-border-vertical-spacing"));
        yield return new("list-style", ListStyle);
        yield return new("white-space", WhiteSpace);
        yield return new("font-variant", FontVariant);
        yield return new("font-synthesis", FontSynthesis);
        yield return new("font", Font);
        yield return new("flex", Flex);
        yield return new("transition", row => Lists(row, ["transition-duration", "transition-timing-function", "transition-delay", "transition-behavior", "transition-property"]));
        yield return new("animation", row => Lists(row, ["animation-duration", "animation-timing-function", "animation-delay", "animation-iteration-count", "animation-direction", "animation-fill-mode", "animation-play-state", "animation-name"]));
        yield return new("background", row => Layers(row, "background"));
        yield return new("mask", row => Layers(row, "mask"));
        yield return new("background-position", row => Positions(row, "background-position-x", "background-position-y"));
        yield return new("mask-position", row => Positions(row, "-webkit-mask-position-x", "-webkit-mask-position-y"));
        yield return new("border-image", BorderImage);
        yield return new("container", row => row.Parted(IsSlash) is { Count: <= 2 } parts ? [("container-name", parts[0].Values), ("container-type", parts.Count == 2 ? parts[1].Values : [])] : null);
        yield return new("grid-row", row => Lines(row, "grid-row-start", "grid-row-end"));
        yield return new("grid-column", row => Lines(row, "grid-column-start", "grid-column-end"));
        yield return new("grid-area", Area);
        yield return new("grid-template", GridTemplate);
        yield return new("grid", Grid);
    }

    private static Given? Four(Row row, string[] names) => row.Length is >= 1 and <= 4
        ? [.. names.Select((n, i) => (n, row.Slice(i < row.Length ? i : i == 3 && row.Length > 1 ? 1 : 0, 1).Values))]
        : null;

    private static Given? Two(Row row, string first, string second) => row.Length is 1 or 2 ? [(first, row.Slice(0, 1).Values), (second, row.Slice(row.Length - 1, 1).Values)] : null;

    /// <summary>One value for both, or one for each; each may be of several words.</summary>
    private static Given? Pair(Row row, string first, string second)
    {
        for (var length = row.Length; length >= 1; length--)
        {
            var (one, rest) = (row.Slice(0, length), row.Slice(length, row.Length - length));
            if (!Takes(first, one)) continue;
            if (rest.Length > 0) return Takes(second, rest) ? [(first, one.Values), (second, rest.Values)] : null;
            // Of "baseline" the second is at the start (CSS Box Alignment 3, §5.4).
            return [(first, one.Values), (second, Takes(second, one) ? one.Values : Word("start"))];
        }
        return null;
    }

    private static Given? Edges(Row row, string[] edges)
    {
        if (AnyOrder(row, ["border-top-width", "border-top-style", "border-top-color"]) is not { } given) return null;
        return [.. edges.SelectMany(edge => given.Select(g => (g.Name.Replace("border-top", edge, StringComparison.Ordinal), g.Values)))];
    }

    /// <summary>Each value to the first property that takes it and has none yet; other ways are tried where this one leads nowhere.</summary>
    private static Given? AnyOrder(Row row, string[] names)
    {
        if (row.Length == 0) return null;
        var given = new Given();
        return Assign(0) ? given : null;

        bool Assign(int at)
        {
            if (at == row.Length) return true;
            foreach (var name in names)
            {
                if (given.Exists(g => g.Name == name)) continue;
                for (var length = Math.Min(row.Length - at, 5); length >= 1; length--)
                {
                    var slice = row.Slice(at, length);
                    if (!Takes(name, slice)) continue;
                    given.Add((name, slice.Values));
                    if (Assign(at + length)) return true;
                    given.RemoveAt(given.Count - 1);
                }
            }
            return false;
        }
    }

    /// <summary>Entries with commas between them: each property becomes a list of as many.</summary>
    private static Given? Lists(Row row, string[] names)
    {
        var entries = new List<List<(string Name, Values Values)>>();
        foreach (var entry in row.Parted(IsComma))
        {
            if (AnyOrder(entry, names) is not { } given) return null;
            entries.Add(given);
        }
        return [.. names.Select(name => (name, Joined(entries.Select(e => e.Find(g => g.Name == name).Values is { IsDefaultOrEmpty: false } values ? values : Initial(name)))))];
    }

    private static Values Joined(IEnumerable<Values> entries)
    {
        var all = ImmutableArray.CreateBuilder<ComponentValue>();
        foreach (var entry in entries)
        {
            if (all.Count > 0) all.Add(new Token(TokenKind.Comma, 0, 0));
            all.AddRange(entry);
        }
        return all.ToImmutable();
    }

    private static Given? ListStyle(Row row)
    {
        if (AnyOrder(row, ["list-style-position", "list-style-image", "list-style-type"]) is not { } given) return null;
        // One "none" is for whatever is not named (CSS Lists 3, §3.5).
        if (given.Exists(g => g.Name == "list-style-image" && new Row(g.Values).Is(0, "none")) && !given.Exists(g => g.Name == "list-style-type")) given.Add(("list-style-type", Word("none")));
        return given;
    }

    private static Given? WhiteSpace(Row row) => row.Length == 1 && row[0] is Token { Kind: TokenKind.Ident } word && WhiteSpaceOf(word.Text.ToLowerInvariant()) is var (collapse, wrap)
        ? [("white-space-collapse", Word(collapse)), ("text-wrap-mode", Word(wrap))]
        : AnyOrder(row, ["white-space-collapse", "text-wrap-mode"]);

    private static (string Collapse, string Wrap)? WhiteSpaceOf(string word) => word switch
    {
        "normal" => ("collapse", "wrap"),
        "nowrap" => ("collapse", "nowrap"),
        "pre" => ("preserve", "nowrap"),
        "pre-wrap" or "-webkit-pre-wrap" => ("preserve", "wrap"),
        "pre-line" => ("preserve-breaks", "wrap"),
        "break-spaces" => ("break-spaces", "wrap"),
        _ => null,
    };

    private static Given? FontVariant(Row row)
    {
        if (row.Length == 1 && row.Is(0, "normal")) return [];
        if (row.Length == 1 && row.Is(0, "none")) return [("font-variant-ligatures", Word("none"))];
        return AnyOrder(row, ["font-variant-ligatures", "font-variant-caps", "font-variant-alternates", "font-variant-numeric", "font-variant-east-asian", "font-variant-position", "font-variant-emoji"]);
    }

    private static Given FontSynthesis(Row row)
    {
        return [Of("weight"), Of("style"), Of("small-caps")];

        (string, Values) Of(string part) => ($"font-synthesis-{part}", Word(row.Values.Any(v => v is Token token && token.IsIdent(part)) ? "auto" : "none"));
    }

    private static Given? Font(Row row)
    {
        if (row.Length == 1 && row[0] is Token { Kind: TokenKind.Ident } system && system.Text.ToLowerInvariant() is "caption" or "icon" or "menu" or "message-box" or "small-caption" or "status-bar")
            return [];
        for (var size = 0; size < Math.Min(row.Length - 1, 5); size++)
        {
            if (!Takes("font-size", row.Slice(size, 1))) continue;
            var before = new Row([.. row.Slice(0, size).Values.Where(v => v is not Token token || !token.IsIdent("normal"))]);
            Given? given = before.Length == 0 ? [] : AnyOrder(before, ["font-style", "font-variant-caps", "font-weight", "font-stretch"]);
            if (given is null) return null;
            given.Add(("font-size", row.Slice(size, 1).Values));
            var family = size + 1;
            if (IsSlash(row[family]) && family + 2 < row.Length)
            {
                given.Add(("line-height", row.Slice(family + 1, 1).Values));
                family += 2;
            }
            given.Add(("font-family", row.Slice(family, row.Length - family).Values));
            return given;
        }
        return null;
    }

    private static Given? Flex(Row row)
    {
        if (row.Length == 1 && row.Is(0, "none")) return [("flex-grow", Number("0")), ("flex-shrink", Number("0")), ("flex-basis", Word("auto"))];
        Values grow = [], shrink = [], basis = [];
        for (var i = 0; i < row.Length; i++)
        {
            var one = row.Slice(i, 1);
            if (grow.IsEmpty && Takes("flex-grow", one))
            {
                grow = one.Values;
                if (i + 1 < row.Length && Takes("flex-shrink", row.Slice(i + 1, 1))) shrink = row.Slice(++i, 1).Values;
            }
            else if (basis.IsEmpty && Takes("flex-basis", one))
            {
                basis = one.Values;
            }
            else
            {
                return null;
            }
        }
        // Named at all, the rest is 1 1 0 and not what is initial (CSS Flexbox 1, §7.1.1).
        return [("flex-grow", grow.IsEmpty ? Number("1") : grow), ("flex-shrink", shrink.IsEmpty ? Number("1") : shrink), ("flex-basis", basis.IsEmpty ? Number("0", TokenKind.Percentage) : basis)];
    }

    private static Given? Radius(Row row)
    {
        var parts = row.Parted(IsSlash);
        string[] names = ["border-top-left-radius", "border-top-right-radius", "border-bottom-right-radius", "border-bottom-left-radius"];
        if (parts.Count > 2 || Four(parts[0], names) is not { } across || Four(parts[^1], names) is not { } down) return null;
        return [.. across.Zip(down, (a, d) => (a.Name, parts.Count == 1 ? a.Values : a.Values.AddRange(d.Values)))];
    }

    /// <summary>Backgrounds and masks: layers with commas between them (CSS Backgrounds 3, §2.10; CSS Masking 1, §6.8).</summary>
    private static Given? Layers(Row row, string of)
    {
        var isMask = of == "mask";
        string[] positions = isMask ? ["-webkit-mask-position-x", "-webkit-mask-position-y"] : ["background-position-x", "background-position-y"];
        string[] names = isMask ? ["mask-image", "mask-size", "mask-repeat", "mask-origin", "mask-clip", "mask-composite", "mask-mode"] : ["background-image", "background-size", "background-repeat", "background-attachment", "background-origin", "background-clip"];
        var lists = names.Concat(positions).ToDictionary(n => n, _ => new List<Values>());
        Values color = [];
        var layers = row.Parted(IsComma);
        for (var i = 0; i < layers.Count; i++)
        {
            var layer = layers[i];
            Values size = [];
            if (layer.Values.ToList().FindIndex(IsSlash) is var slash && slash > 0)
            {
                var length = Enumerable.Range(1, 2).Reverse().FirstOrDefault(n => slash + n < layer.Length && Takes($"{of}-size", layer.Slice(slash + 1, n)));
                if (length == 0) return null;
                size = layer.Slice(slash + 1, length).Values;
                layer = new([.. layer.Slice(0, slash).Values, .. layer.Slice(slash + 1 + length, layer.Length - slash - 1 - length).Values]);
            }
            string[] slots = isMask ? ["mask-image", "mask-position", "mask-repeat", "mask-origin", "mask-clip", "mask-composite", "mask-mode"]
                : ["background-image", "background-position", "background-repeat", "background-attachment", "background-origin", "background-clip", .. i == layers.Count - 1 ? ["background-color"] : Array.Empty<string>()];
            if (AnyOrder(layer, slots) is not { } given) return null;
            foreach (var (name, values) in given)
            {
                if (name == "background-color") color = values;
                else if (name == $"{of}-position") Both(values);
                else lists[name].Add(values);
            }
            if (!size.IsEmpty) lists[$"{of}-size"].Add(size);
            // One box is for both.
            if (given.Find(g => g.Name == $"{of}-origin").Values is { IsDefaultOrEmpty: false } box && !given.Exists(g => g.Name == $"{of}-clip")) lists[$"{of}-clip"].Add(box);
            foreach (var name in lists.Keys.Where(n => lists[n].Count == i)) lists[name].Add(Initial(name));
        }
        Given all = [.. lists.Select(l => (l.Key, Joined(l.Value)))];
        if (!isMask) all.Add(("background-color", color));
        return all;

        void Both(Values values)
        {
            var (x, y) = Position(values);
            lists[positions[0]].Add(x);
            lists[positions[1]].Add(y);
        }
    }

    private static Given? Positions(Row row, string across, string down)
    {
        var positions = row.Parted(IsComma).ConvertAll(part => Position(part.Values));
        return positions.Exists(p => p.X.IsEmpty || p.Y.IsEmpty) ? null : [(across, Joined(positions.Select(p => p.X))), (down, Joined(positions.Select(p => p.Y)))];
    }

    /// <summary>A position's two parts (CSS Backgrounds 3, §2.6).</summary>
    internal static (Values X, Values Y) Position(Values values)
    {
        Values center = Word("center");
        var row = new Row(values.WithoutSpace());
        switch (row.Length)
        {
            case 1:
                return IsDown(row[0]) ? (center, row.Values) : (row.Values, center);
            case 2:
                return IsDown(row[0]) || IsAcross(row[1]) ? (row.Slice(1, 1).Values, row.Slice(0, 1).Values) : (row.Slice(0, 1).Values, row.Slice(1, 1).Values);
            case 3 or 4:
                // A side, with how far from it; of three one is a side alone.
                var first = row.Length == 4 || row[1] is not Token { Kind: TokenKind.Ident } ? 2 : 1;
                var (one, other) = (row.Slice(0, first), row.Slice(first, row.Length - first));
                return IsDown(one[0]) || IsAcross(other[0]) ? (other.Values, one.Values) : (one.Values, other.Values);
            default:
                return ([], []);
        }

        static bool IsDown(ComponentValue value) => value is Token token && (token.IsIdent("top") || token.IsIdent("bottom"));
        static bool IsAcross(ComponentValue value) => value is Token token && (token.IsIdent("left") || token.IsIdent("right"));
    }

    private static Given? BorderImage(Row row)
    {
        Values width = [], outset = [];
        if (row.Values.ToList().FindIndex(IsSlash) is var slash && slash > 0)
        {
            var end = slash + 1;
            while (end < row.Length && (IsSlash(row[end]) || Takes("border-image-width", row.Slice(end, 1)) || Takes("border-image-outset", row.Slice(end, 1)))) end++;
            var parts = row.Slice(slash + 1, end - slash - 1).Parted(IsSlash);
            if (parts.Count > 2) return null;
            width = parts[0].Values;
            if (parts.Count == 2) outset = parts[1].Values;
            row = new([.. row.Slice(0, slash).Values, .. row.Slice(end, row.Length - end).Values]);
        }
        if (AnyOrder(row, ["border-image-source", "border-image-slice", "border-image-repeat"]) is not { } given) return null;
        return [.. given, ("border-image-width", width), ("border-image-outset", outset)];
    }

    private static Given? Lines(Row row, string start, string end)
    {
        var parts = row.Parted(IsSlash);
        return parts.Count > 2 ? null : [(start, parts[0].Values), (end, parts.Count == 2 ? parts[1].Values : Repeated(parts[0]))];
    }

    /// <summary>A name alone is for the other line too (CSS Grid 2, §8.4).</summary>
    private static Values Repeated(Row row) => row.Length == 1 && row[0] is Token { Kind: TokenKind.Ident } name && !name.IsIdent("auto") ? row.Values : [];

    private static Given? Area(Row row)
    {
        var parts = row.Parted(IsSlash);
        if (parts.Count > 4) return null;
        var rowStart = parts[0];
        var columnStart = parts.Count > 1 ? parts[1].Values : Repeated(rowStart);
        return
        [
            ("grid-row-start", rowStart.Values), ("grid-column-start", columnStart),
            ("grid-row-end", parts.Count > 2 ? parts[2].Values : Repeated(rowStart)), ("grid-column-end", parts.Count > 3 ? parts[3].Values : Repeated(new(columnStart))),
        ];
    }

    private static Given? GridTemplate(Row row)
    {
        if (row.Length == 1 && row.Is(0, "none")) return [];
        var parts = row.Parted(IsSlash);
        if (parts.Count > 2) return null;
        if (!parts[0].Values.Any(v => v is Token { Kind: TokenKind.String }))
            return parts.Count == 2 && Takes("grid-template-rows", parts[0]) && Takes("grid-template-columns", parts[1]) ? [("grid-template-rows", parts[0].Values), ("grid-template-columns", parts[1].Values)] : null;
        var (areas, rows) = (ImmutableArray.CreateBuilder<ComponentValue>(), ImmutableArray.CreateBuilder<ComponentValue>());
        var wantsTrack = false;
        foreach (var value in parts[0].Values)
        {
            if (value is Token { Kind: TokenKind.String })
            {
                if (wantsTrack) rows.AddRange(Word("auto"));
                areas.Add(value);
                wantsTrack = true;
                continue;
            }
            // Names after a row that has no size stand after its "auto".
            var isName = value is BlockValue { Open: TokenKind.OpenSquare };
            if (isName && wantsTrack) rows.AddRange(Word("auto"));
            rows.Add(value);
            wantsTrack = false;
        }
        if (wantsTrack) rows.AddRange(Word("auto"));
        return [("grid-template-areas", areas.ToImmutable()), ("grid-template-rows", rows.ToImmutable()), ("grid-template-columns", parts.Count == 2 ? parts[1].Values : [])];
    }

    private static Given? Grid(Row row)
    {
        var parts = row.Parted(IsSlash);
        if (parts.Count != 2) return GridTemplate(row);
        for (var i = 0; i < 2; i++)
        {
            if (!parts[i].Values.Any(v => v is Token token && token.IsIdent("auto-flow"))) continue;
            var (isDense, tracks) = (parts[i].Values.Any(v => v is Token token && token.IsIdent("dense")), new Row([.. parts[i].Values.Where(v => v is not Token token || !(token.IsIdent("auto-flow") || token.IsIdent("dense")))]));
            var (auto, fixedTracks) = i == 0 ? ("grid-auto-rows", "grid-template-columns") : ("grid-auto-columns", "grid-template-rows");
            Values flow = [.. Word(i == 0 ? "row" : "column"), .. isDense ? Word("dense") : []];
            return [("grid-auto-flow", flow), (auto, tracks.Values), (fixedTracks, parts[1 - i].Values)];
        }
        return GridTemplate(row);
    }
}
