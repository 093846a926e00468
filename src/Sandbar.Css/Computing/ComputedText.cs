using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text;
using Sandbar.Css.Grammar;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Values = System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue>;

namespace Sandbar.Css.Computing;

/// <summary>What the values of a declaration are read in.</summary>
/// <param name="Current">What <c>currentcolor</c> is; null to leave it as it stands, so that what is inherited takes up the colour of where it comes to.</param>
/// <param name="IsDark">Whether the element is on a dark ground by its <c>color-scheme</c>.</param>
internal sealed record Surroundings(Lengths Lengths, ComputedColor? Current, bool IsDark);

/// <summary>Values as they are computed, written as Chromium writes them. One is for one value.</summary>
internal sealed class ComputedText(Surroundings around)
{
    private delegate string? Format(ComputedText text, Values values);

    /// <summary>Properties in which words are names that someone gave: their letters stay as they are.</summary>
    private static readonly FrozenSet<string> Names = FrozenSet.Create(
        "animation-name", "transition-property", "will-change", "grid-template-areas", "grid-template-columns", "grid-template-rows", "grid-auto-columns", "grid-auto-rows", "grid-row-start", "grid-row-end", "grid-column-start",
        "grid-column-end", "container-name", "counter-reset", "counter-increment", "counter-set", "view-transition-name", "view-transition-class", "list-style-type", "anchor-name", "anchor-scope", "position-anchor",
        "scroll-timeline-name", "view-timeline-name", "timeline-scope", "animation-timeline", "page", "font-palette", "view-transition-group", "-webkit-locale", "font-language-override", "content");

    /// <summary>Properties whose numbers are never below 0: what is reckoned to less counts as 0 (CSS Values 4, §10.12).</summary>
    private static readonly FrozenSet<string> NeverNegative = FrozenSet.Create(
        "width", "height", "min-width", "min-height", "max-width", "max-height", "padding-top", "padding-right", "padding-bottom", "padding-left", "border-top-left-radius", "border-top-right-radius", "border-bottom-left-radius",
        "border-bottom-right-radius", "row-gap", "column-gap", "flex-basis", "flex-grow", "flex-shrink", "column-width", "background-size", "mask-size", "tab-size", "font-size", "line-height", "transition-duration", "perspective",
        "scroll-padding-top", "scroll-padding-right", "scroll-padding-bottom", "scroll-padding-left", "stroke-width", "-webkit-border-horizontal-spacing", "-webkit-border-vertical-spacing", "grid-template-columns",
        "grid-template-rows", "grid-auto-columns", "grid-auto-rows", "border-image-width", "border-image-outset", "border-image-slice", "shape-margin", "animation-duration", "animation-iteration-count", "r", "rx", "ry");

    /// <summary>Properties that are lists with commas between entries.</summary>
    private static readonly FrozenDictionary<string, Format> Formats = new Dictionary<string, Format>
    {
        ["font-family"] = (t, v) => List(v, Family),
        ["font-stretch"] = (t, v) => Stretch(v) ?? t.Plain(v),
        ["font-weight"] = (t, v) => v is [Token word] ? word.IsIdent("normal") ? "400" : word.IsIdent("bold") ? "700" : t.Number(v[0], 1, 1000) : t.Number(v[0], 1, 1000),
        ["font-feature-settings"] = (t, v) => t.Features(v),
        ["font-variation-settings"] = (t, v) => v is [Token { Kind: TokenKind.Ident }] ? null : string.Join(", ", Entries(v).OrderBy(e => ((Token)e[0]).Text, StringComparer.Ordinal).Select(t.Plain)),
        ["clip"] = (t, v) => v is [FunctionValue rect] ? $"rect({string.Join(", ", rect.Values.WithoutSpace().Where(x => x is not Token { Kind: TokenKind.Comma }).Select(t.LengthOrZero))})" : null,
        ["caret-color"] = (t, v) => v is [Token word] && word.IsIdent("auto") ? t.Color(new Token(TokenKind.Ident, 0, 0, "currentcolor")) : null,
        ["scroll-snap-type"] = (t, v) => v is [var axis, Token { Kind: TokenKind.Ident } strictness] && strictness.IsIdent("proximity") ? t.One(axis) : null,
        ["offset-anchor"] = (t, v) => v is [Token word] && word.IsIdent("auto") ? null : t.Position(v),
        ["offset-position"] = (t, v) => v is [Token word] && (word.IsIdent("auto") || word.IsIdent("normal")) ? null : t.Position(v),
        ["font-variant-east-asian"] = (t, v) => InOrder(v, "jis78", "jis83", "jis90", "jis04", "simplified", "traditional", "full-width", "proportional-width", "ruby"),
        ["opacity"] = (t, v) => t.Number(v[0], 0, 1),
        ["fill-opacity"] = (t, v) => t.Number(v[0], 0, 1),
        ["stroke-opacity"] = (t, v) => t.Number(v[0], 0, 1),
        ["stop-opacity"] = (t, v) => t.Number(v[0], 0, 1),
        ["flood-opacity"] = (t, v) => t.Number(v[0], 0, 1),
        ["shape-image-threshold"] = (t, v) => t.Number(v[0], 0, 1),
        ["z-index"] = (t, v) => t.Integer(v),
        ["order"] = (t, v) => t.Integer(v),
        ["orphans"] = (t, v) => t.Integer(v, 1),
        ["widows"] = (t, v) => t.Integer(v, 1),
        ["column-count"] = (t, v) => t.Integer(v, 1),
        ["zoom"] = (t, v) => v is [Token word] && word.IsIdent("normal") ? "1" : t.Number(v[0], 0, double.MaxValue),
        ["word-spacing"] = (t, v) => v is [Token word] && word.IsIdent("normal") ? "0px" : null,
        ["letter-spacing"] = (t, v) => t.Plain(v) is "0px" ? "normal" : null,
        ["box-shadow"] = (t, v) => List(v, e => t.Shadow(e, 4)),
        ["text-shadow"] = (t, v) => List(v, e => t.Shadow(e, 3)),
        ["transform"] = (t, v) => t.Functions(v, t.Transform),
        ["filter"] = (t, v) => t.Functions(v, t.Filter),
        ["backdrop-filter"] = (t, v) => t.Functions(v, t.Filter),
        ["translate"] = (t, v) => t.Translate(v),
        ["scale"] = (t, v) => t.Scale(v),
        ["rotate"] = (t, v) => t.Rotate(v),
        ["background-position-x"] = (t, v) => List(v, t.Axis),
        ["background-position-y"] = (t, v) => List(v, t.Axis),
        ["-webkit-mask-position-x"] = (t, v) => List(v, t.Axis),
        ["-webkit-mask-position-y"] = (t, v) => List(v, t.Axis),
        ["object-position"] = (t, v) => t.Position(v),
        ["perspective-origin"] = (t, v) => t.Position(v),
        ["transform-origin"] = (t, v) => t.Origin(v),
        ["background-size"] = (t, v) => List(v, t.Size),
        ["mask-size"] = (t, v) => List(v, t.Size),
        ["background-repeat"] = (t, v) => List(v, t.Repeat),
        ["mask-repeat"] = (t, v) => List(v, t.Repeat),
        ["transition-timing-function"] = (t, v) => List(v, t.Easing),
        ["animation-timing-function"] = (t, v) => List(v, t.Easing),
        ["animation-name"] = (t, v) => List(v, e => e is [Token { Kind: TokenKind.String } name] ? Serializer.Identifier(name.Text) : t.Plain(e)),
        ["aspect-ratio"] = (t, v) => t.Ratio(v),
        ["grid-template-areas"] = (t, v) => Areas(v),
        ["grid-auto-flow"] = (t, v) => v is [Token row, Token dense] ? row.IsIdent("row") || dense.IsIdent("row") ? "dense" : "column dense" : null,
        ["grid-row-start"] = (t, v) => t.Line(v),
        ["grid-row-end"] = (t, v) => t.Line(v),
        ["grid-column-start"] = (t, v) => t.Line(v),
        ["grid-column-end"] = (t, v) => t.Line(v),
        ["counter-reset"] = (t, v) => t.Counters(v, 0),
        ["counter-set"] = (t, v) => t.Counters(v, 0),
        ["counter-increment"] = (t, v) => t.Counters(v, 1),
        ["color-scheme"] = (t, v) => v.Length > 1 && v.OfType<Token>().FirstOrDefault(w => w.IsIdent("only")) is { } only ? $"{t.Plain(v.Remove(only))} only" : null,
        ["display"] = (_, v) => Display(v),
        ["overflow-x"] = (_, v) => v is [Token word] && word.IsIdent("overlay") ? "auto" : null,
        ["overflow-y"] = (_, v) => v is [Token word] && word.IsIdent("overlay") ? "auto" : null,
        ["stroke-dasharray"] = (t, v) => string.Join(", ", v.Where(x => x is not Token { Kind: TokenKind.Comma }).Select(x => x is Token word && word.IsIdent("none") ? "none" : t.Length(x))),
        ["stroke-width"] = (t, v) => t.Length(v[0]),
        ["stroke-dashoffset"] = (t, v) => t.Length(v[0]),
        ["text-emphasis-style"] = (t, v) => v.Length == 2 ? t.Plain([.. v.Where(x => x is not Token word || !word.IsIdent("filled"))]) : null,
        ["align-self"] = (t, v) => t.Aligned(v),
        ["align-items"] = (t, v) => t.Aligned(v),
        ["align-content"] = (t, v) => t.Aligned(v),
        ["justify-self"] = (t, v) => t.Aligned(v),
        ["justify-items"] = (t, v) => t.Aligned(v),
        ["font-variant-numeric"] = (t, v) => InOrder(v, "lining-nums", "oldstyle-nums", "proportional-nums", "tabular-nums", "diagonal-fractions", "stacked-fractions", "ordinal", "slashed-zero"),
        ["font-variant-ligatures"] = (t, v) => InOrder(v, "common-ligatures", "no-common-ligatures", "discretionary-ligatures", "no-discretionary-ligatures", "historical-ligatures", "no-historical-ligatures", "contextual", "no-contextual"),
        ["text-decoration-line"] = (t, v) => InOrder(v, "underline", "overline", "line-through", "blink"),
        ["contain"] = (t, v) => InOrder(v, "size", "inline-size", "layout", "style", "paint"),
        ["-webkit-text-size-adjust"] = (t, v) => v is [Token word] && word.IsIdent("none") ? "100%" : null,
        ["text-size-adjust"] = (t, v) => v is [Token word] && word.IsIdent("none") ? "100%" : null,
        ["content"] = (t, v) => t.Content(v),
        ["clip-path"] = (t, v) => t.Functions(v, t.Shape),
        ["shape-outside"] = (t, v) => t.Functions(v, t.Shape),
    }.Concat(new[] { "top", "right", "bottom", "left" }.Select(side => KeyValuePair.Create<string, Format>($"border-{side}-width", (t, v) => t.LineWidth(v))))
        .Concat(new[] { "outline-width", "column-rule-width", "row-rule-width" }.Select(name => KeyValuePair.Create<string, Format>(name, (t, v) => t.LineWidth(v))))
        .Concat(new[] { "top-left", "top-right", "bottom-right", "bottom-left" }.Select(corner => KeyValuePair.Create<string, Format>($"border-{corner}-radius", (t, v) => t.Corner(v))))
        .ToFrozenDictionary();

    private bool keepsCase;

    private bool neverNegative;

    private bool takesNoNumber;

    private static readonly bool?[] OfLengths = new bool?[CssProperties.All.Length];

    private static readonly Values Number1 = Parser.ParseValues("1"), Length1 = Parser.ParseValues("1px");

    /// <summary>Whether a plain zero is a length of this property.</summary>
    private static bool IsOfLengths(Property property) => OfLengths[property.Id] ??= property.Name.EndsWith("-spacing", StringComparison.Ordinal)
        || (PropertyGrammars.All.Check(property.Name, Length1) is Verdict.Valid && PropertyGrammars.All.Check(property.Name, Number1) is Verdict.Invalid);

    /// <summary>Whether it takes the measures of a font, or a layout, to know more.</summary>
    public bool NeedsLayout { get; private set; }

    /// <summary>Whether <c>currentcolor</c> was left in it.</summary>
    public bool KeepsCurrentColor { get; private set; }

    /// <summary>The values of a property, computed.</summary>
    public string Of(Property property, Values values)
    {
        keepsCase = Names.Contains(property.Name);
        neverNegative = NeverNegative.Contains(property.Name);
        takesNoNumber = IsOfLengths(property);
        var row = values.WithoutSpace();
        return row.IsEmpty ? "" : (Formats.TryGetValue(property.Name, out var format) ? format(this, row) : null) ?? Plain(row);
    }

    /// <summary>Values of no property in particular: names in them stay as they are.</summary>
    public string OfUntyped(Values values)
    {
        keepsCase = true;
        return Plain(values.WithoutSpace());
    }

    /// <summary>Values one after the other, each computed by itself.</summary>
    private string Plain(Values values)
    {
        if (values is [var single]) return One(single);
        var text = new StringBuilder();
        foreach (var value in values.WithoutSpace())
        {
            if (value is Token { Kind: TokenKind.Comma })
            {
                text.Append(',');
                continue;
            }
            if (text.Length > 0) text.Append(' ');
            text.Append(One(value));
        }
        return text.ToString();
    }

    private string One(ComponentValue value)
    {
        switch (value)
        {
            case Token { Kind: TokenKind.Number or TokenKind.Percentage or TokenKind.Dimension }:
                return Amount(value);
            case Token { Kind: TokenKind.Ident } word:
                return Word(word);
            case Token { Kind: TokenKind.Hash }:
                return Color(value) ?? "";
            case Token { Kind: TokenKind.String } text:
                return Quoted(text.Text);
            case Token { Kind: TokenKind.Url } url:
                return Url(url.Text);
            case Token token:
                return token.Text;
            case BlockValue { Open: TokenKind.OpenSquare } names:
                return $"[{string.Join(' ', names.Values.WithoutSpace().OfType<Token>().Select(n => Serializer.Identifier(n.Text)))}]";
            case FunctionValue function:
                return Function(function);
            default:
                return Serializer.Values([value]);
        }
    }

    private string Word(Token word)
    {
        if (word.IsIdent("currentcolor") || NamedColor(word)) return Color(word)!;
        if (keepsCase) return Serializer.Identifier(word.Text);
        var name = word.Text.ToLowerInvariant();
        return name == "-webkit-fill-available" ? "stretch" : name;
    }

    private bool NamedColor(Token word) => !keepsCase && (Colors.ColorText.TryRead(word, out _) || ColorComputation.IsSystem(word.Text));

    private string Amount(ComponentValue value)
    {
        if (takesNoNumber && value is Token { Kind: TokenKind.Number } zero && zero.Number == 0) return "0px";
        if (Calculation.Of(value, around.Lengths) is { } calculation)
            return (neverNegative && calculation is Calculation.Amount { Value: < 0 } less ? less with { Value = 0 } : calculation).ToString();
        NeedsLayout = true;
        return Serializer.Values([value]);
    }

    private string Function(FunctionValue function)
    {
        var name = function.Name.ToLowerInvariant();
        if (MathType.IsMath(name)) return Amount(function);
        if (ColorComputation.IsColorFunction(name)) return Color(function) ?? Serializer.Values([function]);
        switch (name)
        {
            case "url":
                return function.Values.WithoutSpace() is [Token { Kind: TokenKind.String } address] ? Url(address.Text) : Serializer.Values([function]);
            case "image-set" or "-webkit-image-set":
                return $"image-set({List(function.Values, e => $"{(e[0] is Token { Kind: TokenKind.String } picture ? Url(picture.Text) : One(e[0]))}{(e.Length > 1 ? $" {Plain(e[1..])}" : " 1dppx")}")})";
            case "steps" or "cubic-bezier" or "linear":
                return Easing([function]);
            case "counter" or "counters" or "var" or "env" or "attr" or "repeat" or "minmax" or "fit-content":
                return $"{name}({Plain(function.Values)})";
        }
        if (name.EndsWith("gradient", StringComparison.Ordinal)) return Gradients.Of(function, Plain, Position);
        if (name is "circle" or "ellipse" or "inset" or "polygon" or "path") return Shape(function);
        return $"{name}({Plain(function.Values)})";
    }

    /// <summary>A string as CSSOM, §2.1, has it.</summary>
    private static string Quoted(string content)
    {
        var text = new StringBuilder("\"", content.Length + 2);
        foreach (var c in content)
        {
            if (c == '\0') text.Append('\uFFFD');
            else if (c is < ' ' or '\x7f') text.Append(System.Globalization.CultureInfo.InvariantCulture, $"\\{(int)c:x} ");
            else if (c is '"' or '\\') text.Append('\\').Append(c);
            else text.Append(c);
        }
        return text.Append('"').ToString();
    }

    private static string Url(string address) => $"url({Quoted(address.StartsWith("data:", StringComparison.OrdinalIgnoreCase) ? DataAddress(address) : address)})";

    /// <summary>An address that holds its own data, as browsers keep it (URL standard, "query percent-encode set"): only what stands behind a question mark changes.</summary>
    private static string DataAddress(string address)
    {
        var query = address.IndexOf('?', StringComparison.Ordinal);
        if (query < 0) return address;
        var text = new StringBuilder(address, 0, query + 1, address.Length * 2);
        var isQuery = true;
        foreach (var c in address.AsSpan(query + 1))
        {
            isQuery &= c != '#';
            if (isQuery && c is ' ' or '"' or '<' or '>' or '\'') text.Append(System.Globalization.CultureInfo.InvariantCulture, $"%{(int)c:X2}");
            else text.Append(c);
        }
        return text.ToString();
    }

    private string? Color(ComponentValue value)
    {
        if (around.Current is { } current) return ColorComputation.Of(value, current, around.IsDark, around.Lengths)?.ToString();
        if (!UsesCurrent(value)) return ColorComputation.Of(value, ComputedColor.Black, around.IsDark, around.Lengths)?.ToString();
        KeepsCurrentColor = true;
        return value is Token ? "currentcolor" : Serializer.Values([value]);
    }

    private static bool UsesCurrent(ComponentValue value) => value switch
    {
        Token word => word.IsIdent("currentcolor"),
        FunctionValue function => function.Values.Any(UsesCurrent),
        _ => false,
    };

    internal static string List(Values values, Func<Values, string> entry) => string.Join(", ", Entries(values).Select(entry));

    internal static List<Values> Entries(Values values) => values.WithoutSpace().BetweenCommas();

    private static string Family(Values family)
    {
        // A name that needs no quotes has none; one that is a word of CSS keeps them.
        if (family is [Token { Kind: TokenKind.String } named]) return !IsGeneric(named.Text.ToLowerInvariant()) && Serializer.Identifier(named.Text) == named.Text ? named.Text : Quoted(named.Text);
        var words = family.OfType<Token>().Select(t => t.Text).ToList();
        var generic = words.Count == 1 ? words[0].ToLowerInvariant() : "";
        if (IsGeneric(generic)) return generic;
        return words.Count == 1 ? Serializer.Identifier(words[0]) : Quoted(string.Join(' ', words));
    }

    private static bool IsGeneric(string name) => name is "serif" or "sans-serif" or "monospace" or "cursive" or "fantasy" or "system-ui" or "math" or "ui-serif" or "ui-sans-serif" or "ui-monospace" or "ui-rounded" or "emoji" or "fangsong";

    private static string? Stretch(Values values) => values is [Token { Kind: TokenKind.Ident } word] ? word.Text.ToLowerInvariant() switch
    {
        "ultra-condensed" => "50%",
        "extra-condensed" => "62.5%",
        "condensed" => "75%",
        "semi-condensed" => "87.5%",
        "normal" => "100%",
        "semi-expanded" => "112.5%",
        "expanded" => "125%",
        "extra-expanded" => "150%",
        "ultra-expanded" => "200%",
        _ => null,
    } : null;

    private string Features(Values values)
    {
        if (values is [Token { Kind: TokenKind.Ident } word]) return word.Text.ToLowerInvariant();
        var features = Entries(values).Select(e => (Tag: ((Token)e[0]).Text, On: e.Length < 2 || e[1] is Token on && on.IsIdent("on") ? "1" : e[1] is Token off && off.IsIdent("off") ? "0" : Plain(e[1..])))
            .GroupBy(f => f.Tag, StringComparer.Ordinal).Select(g => g.Last()).OrderBy(f => f.Tag, StringComparer.Ordinal);
        return string.Join(", ", features.Select(f => f.On == "1" ? Quoted(f.Tag) : $"{Quoted(f.Tag)} {f.On}"));
    }

    private string Number(ComponentValue value, double least, double most)
    {
        if (Calculation.Of(value, around.Lengths) is not Calculation.Amount amount) return Plain([value]);
        return NumberText.Of(Math.Clamp(amount.Unit == "%" ? amount.Value / 100 : amount.Value, least, most));
    }

    private string? Integer(Values values, double least = double.MinValue) => values is [var value] && value is not Token { Kind: TokenKind.Ident } && Calculation.Of(value, around.Lengths) is Calculation.Amount amount
        ? NumberText.Of(Math.Max(least, Math.Floor(amount.Value + 0.5))) : null;

    /// <summary>A length where a plain number is one too (SVG 2, §8.9).</summary>
    private string Length(ComponentValue value) => value is Token { Kind: TokenKind.Number } number ? NumberText.Of(number.Number, "px") : Plain([value]);

    /// <summary>Widths of lines: whole pixels of the screen, and never none where there is one (CSS Values 4, §6.2 "snap as a border width").</summary>
    private string LineWidth(Values values)
    {
        if (values is [Token { Kind: TokenKind.Ident } word] && word.Text.ToLowerInvariant() is "thin" or "medium" or "thick") return Snapped(word.IsIdent("thin") ? 1 : word.IsIdent("medium") ? 3 : 5);
        return Calculation.Of(values[0], around.Lengths) is Calculation.Amount { Unit: "px" or "" } width ? Snapped(width.Value) : Plain(values);

        string Snapped(double px)
        {
            var shown = px * around.Lengths.Zoom;
            return NumberText.Of(shown <= 0 ? 0 : Math.Max(1, Math.Floor(shown)) / around.Lengths.Zoom, "px");
        }
    }

    private string Corner(Values values)
    {
        var (across, down) = (LengthOrZero(values[0]), LengthOrZero(values[^1]));
        return across == down ? across : $"{across} {down}";
    }

    /// <summary>A length or percentage: zero without a unit is a length.</summary>
    private string LengthOrZero(ComponentValue value) => value is Token { Kind: TokenKind.Number } zero && zero.Number == 0 ? "0px" : One(value);

    private string Lengthy(Values values) => string.Join(' ', values.Select(LengthOrZero));

    private string Shadow(Values values, int numbers)
    {
        if (values is [Token { Kind: TokenKind.Ident } none] && none.IsIdent("none")) return "none";
        var lengths = new List<string>();
        string? color = null;
        var isInset = false;
        foreach (var value in values)
        {
            if (value is Token word && word.IsIdent("inset")) isInset = true;
            else if (value is Token { Kind: TokenKind.Number or TokenKind.Dimension } || (value is FunctionValue function && MathType.IsMath(function.Name))) lengths.Add(LengthOrZero(value));
            else color = Color(value);
        }
        if (color is null)
        {
            color = around.Current?.ToString() ?? "currentcolor";
            KeepsCurrentColor |= around.Current is null;
        }
        while (lengths.Count < numbers) lengths.Add("0px");
        return $"{color} {string.Join(' ', lengths)}{(isInset ? " inset" : "")}";
    }

    private string Functions(Values values, Func<FunctionValue, string> format) =>
        string.Join(' ', values.Select(v => v is FunctionValue function && !function.Name.Equals("url", StringComparison.OrdinalIgnoreCase) ? format(function) : One(v)));

    private string Transform(FunctionValue function)
    {
        var arguments = Entries(function.Values);
        string Length(int at) => at < arguments.Count && arguments[at].Length > 0 ? LengthOrZero(arguments[at][0]) : "0px";
        string Angle(int at) => at < arguments.Count && arguments[at].Length > 0 ? arguments[at][0] is Token { Kind: TokenKind.Number } zero && zero.Number == 0 ? "0deg" : One(arguments[at][0]) : "0deg";
        string Factor(int at) => at < arguments.Count && arguments[at].Length > 0 ? Number(arguments[at][0], double.MinValue, double.MaxValue) : Factor(0);
        return function.Name.ToLowerInvariant() switch
        {
            "translate" => $"translate({Length(0)}, {Length(1)})",
            "translatex" => $"translate({Length(0)}, 0px)",
            "translatey" => $"translate(0px, {Length(0)})",
            "translatez" => $"translate3d(0px, 0px, {Length(0)})",
            "translate3d" => $"translate3d({Length(0)}, {Length(1)}, {Length(2)})",
            "scale" => $"scale({Factor(0)}, {Factor(1)})",
            "scalex" => $"scale({Factor(0)}, 1)",
            "scaley" => $"scale(1, {Factor(0)})",
            "scalez" => $"scale3d(1, 1, {Factor(0)})",
            "scale3d" => $"scale3d({Factor(0)}, {Factor(1)}, {Factor(2)})",
            "rotate" => $"rotate({Angle(0)})",
            "rotatex" => $"rotate3d(1, 0, 0, {Angle(0)})",
            "rotatey" => $"rotate3d(0, 1, 0, {Angle(0)})",
            "rotatez" => $"rotate3d(0, 0, 1, {Angle(0)})",
            "rotate3d" => $"rotate3d({Factor(0)}, {Factor(1)}, {Factor(2)}, {Angle(3)})",
            "skew" => arguments.Count > 1 ? $"skew({Angle(0)}, {Angle(1)})" : $"skew({Angle(0)})",
            "skewx" => $"skewX({Angle(0)})",
            "skewy" => $"skewY({Angle(0)})",
            var name => $"{name}({Plain(function.Values)})",
        };
    }

    private string Filter(FunctionValue function)
    {
        var name = function.Name.ToLowerInvariant();
        var values = function.Values.WithoutSpace();
        return name switch
        {
            "blur" => $"blur({(values.IsEmpty ? "0px" : LengthOrZero(values[0]))})",
            "hue-rotate" => $"hue-rotate({(values.IsEmpty || values[0] is Token { Kind: TokenKind.Number } ? "0deg" : One(values[0]))})",
            "drop-shadow" => $"drop-shadow({Shadow(values, 3)})",
            "grayscale" or "sepia" or "invert" or "opacity" => $"{name}({(values.IsEmpty ? "1" : Number(values[0], 0, 1))})",
            "brightness" or "contrast" or "saturate" => $"{name}({(values.IsEmpty ? "1" : Number(values[0], 0, double.MaxValue))})",
            _ => $"{name}({Plain(values)})",
        };
    }

    private string Shape(FunctionValue function)
    {
        var name = function.Name.ToLowerInvariant();
        var values = function.Values.WithoutSpace();
        var at = values.ToList().FindIndex(v => v is Token word && word.IsIdent("at"));
        var size = at < 0 ? values : values[..at];
        var place = at < 0 ? "" : $" at {Position(values[(at + 1)..])}";
        switch (name)
        {
            case "circle" or "ellipse":
                return $"{name}({$"{Lengthy(size)}{place}".Trim()})";
            case "inset":
                var round = values.ToList().FindIndex(v => v is Token word && word.IsIdent("round"));
                var sides = Four((round < 0 ? values : values[..round]).Select(LengthOrZero).ToList());
                return round < 0 ? $"inset({sides})" : $"inset({sides} round {Plain(values[(round + 1)..])})";
            case "polygon":
                return $"polygon({List(values, Lengthy)})";
            default:
                return $"{name}({Plain(values)})";
        }
    }

    /// <summary>Four sides in as few words as say them.</summary>
    private static string Four(List<string> sides)
    {
        while (sides.Count < 4) sides.Add(sides.Count == 3 ? sides[1] : sides[0]);
        var count = sides[3] != sides[1] ? 4 : sides[2] != sides[0] ? 3 : sides[1] != sides[0] ? 2 : 1;
        return string.Join(' ', sides.Take(count));
    }

    private string? Translate(Values values)
    {
        if (values[0] is Token { Kind: TokenKind.Ident }) return null;
        var parts = values.Select(LengthOrZero).ToList();
        while (parts.Count > 1 && parts[^1] == "0px") parts.RemoveAt(parts.Count - 1);
        return string.Join(' ', parts);
    }

    private string? Scale(Values values)
    {
        if (values[0] is Token { Kind: TokenKind.Ident }) return null;
        var parts = values.Select(v => Number(v, double.MinValue, double.MaxValue)).ToList();
        if (parts.Count == 1) return parts[0];
        if (parts.Count == 3 && parts[2] == "1") parts.RemoveAt(2);
        return parts.Count == 2 && parts[0] == parts[1] ? parts[0] : string.Join(' ', parts);
    }

    private string? Rotate(Values values)
    {
        if (values is [Token { Kind: TokenKind.Ident }]) return null;
        var angle = values.First(v => v is Token { Kind: TokenKind.Dimension } or FunctionValue);
        var axis = values.Remove(angle).WithoutSpace();
        var turn = One(angle);
        var name = axis switch
        {
            [] => "z",
            [Token { Kind: TokenKind.Ident } named] => named.Text.ToLowerInvariant(),
            _ => string.Join(' ', axis.Select(a => Number(a, double.MinValue, double.MaxValue))) switch { "1 0 0" => "x", "0 1 0" => "y", "0 0 1" => "z", var other => other },
        };
        return name == "z" ? turn : $"{name} {turn}";
    }

    /// <summary>A position on one axis: words are percentages, and from the far side is what is left.</summary>
    private string Axis(Values values)
    {
        if (values is [Token { Kind: TokenKind.Ident } word]) return word.Text.ToLowerInvariant() switch { "center" => "50%", "right" or "bottom" or "x-end" or "y-end" => "100%", _ => "0%" };
        if (values.Length == 1) return LengthOrZero(values[0]);
        var isFar = values[0] is Token side && (side.IsIdent("right") || side.IsIdent("bottom"));
        if (!isFar) return LengthOrZero(values[1]);
        var minus = new FunctionValue("calc", [new Token(TokenKind.Percentage, 0, 0, "100"), Space, new Token(TokenKind.Delim, 0, 0, "-"), Space, values[1] is Token { Kind: TokenKind.Number } ? new Token(TokenKind.Dimension, 0, 0, "0", "px") : values[1]], 0, 0);
        return Amount(minus);
    }

    private static Token Space { get; } = new(TokenKind.Whitespace, 0, 0);

    internal string Position(Values values)
    {
        var (x, y) = Shorthands.Position(values);
        return $"{Axis(x)} {Axis(y)}";
    }

    private string Origin(Values values)
    {
        var depth = values.Length == 3 ? LengthOrZero(values[2]) : "0px";
        var place = Position(values.Length == 3 ? values[..2] : values);
        return depth == "0px" ? place : $"{place} {depth}";
    }

    private string Size(Values values)
    {
        var (across, down) = (LengthOrZero(values[0]), values.Length > 1 ? LengthOrZero(values[1]) : "auto");
        return down == "auto" || values.Length == 1 ? across : $"{across} {down}";
    }

    private string Repeat(Values values)
    {
        if (values.Length == 1) return Plain(values);
        var (across, down) = (One(values[0]), One(values[1]));
        return across == down ? across : (across, down) is ("repeat", "no-repeat") ? "repeat-x" : (across, down) is ("no-repeat", "repeat") ? "repeat-y" : $"{across} {down}";
    }

    private string Easing(Values values)
    {
        if (values is [Token { Kind: TokenKind.Ident } word]) return word.Text.ToLowerInvariant() switch { "step-start" => "steps(1, start)", "step-end" => "steps(1)", var name => name };
        if (values is not [FunctionValue function]) return Plain(values);
        var entries = Entries(function.Values);
        switch (function.Name.ToLowerInvariant())
        {
            case "steps":
                var place = entries.Count > 1 ? Plain(entries[1]) : "end";
                return place is "end" or "jump-end" ? $"steps({Plain(entries[0])})" : $"steps({Plain(entries[0])}, {(place == "jump-start" ? "start" : place)})";
            case "linear":
                return Linear(entries);
            default:
                return $"{function.Name.ToLowerInvariant()}({string.Join(", ", entries.Select(Plain))})";
        }
    }

    /// <summary>Points without a place lie evenly between those that have one (CSS Easing 2, §2.2).</summary>
    private string Linear(List<Values> entries)
    {
        var points = new List<(string Output, double? Input)>();
        foreach (var entry in entries)
        {
            var output = entry.First(v => v is Token { Kind: TokenKind.Number } || (v is FunctionValue));
            var places = entry.Where(v => v is Token { Kind: TokenKind.Percentage }).Cast<Token>().ToList();
            if (places.Count == 0) points.Add((One(output), null));
            foreach (var place in places) points.Add((One(output), place.Number));
        }
        if (points.Count == 0) return "linear()";
        points[0] = (points[0].Output, points[0].Input ?? 0);
        points[^1] = (points[^1].Output, points[^1].Input ?? Math.Max(100, points.Max(p => p.Input) ?? 100));
        for (var i = 1; i < points.Count; i++)
        {
            if (points[i].Input is { } given)
            {
                points[i] = (points[i].Output, Math.Max(given, points[i - 1].Input!.Value));
                continue;
            }
            var next = points.FindIndex(i, p => p.Input is not null);
            var from = points[i - 1].Input!.Value;
            points[i] = (points[i].Output, from + (points[next].Input!.Value - from) / (next - i + 1));
        }
        return $"linear({string.Join(", ", points.Select(p => $"{p.Output} {NumberText.Of(p.Input!.Value, "%")}"))})";
    }

    private string? Ratio(Values values)
    {
        if (values is [Token { Kind: TokenKind.Ident }]) return null;
        var isAuto = values.Any(v => v is Token word && word.IsIdent("auto"));
        var numbers = values.Where(v => v is not Token { Kind: TokenKind.Ident or TokenKind.Delim }).Select(v => Number(v, 0, double.MaxValue)).ToList();
        return $"{(isAuto ? "auto " : "")}{numbers[0]} / {(numbers.Count > 1 ? numbers[1] : "1")}";
    }

    private static string? Areas(Values values) => values[0] is Token { Kind: TokenKind.String }
        ? string.Join(' ', values.OfType<Token>().Select(row => Quoted(string.Join(' ', row.Text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries))))) : null;

    private string? Line(Values values)
    {
        if (values.Length < 2) return null;
        var isSpan = values.Any(v => v is Token word && word.IsIdent("span"));
        var number = values.FirstOrDefault(v => v is not Token { Kind: TokenKind.Ident });
        var name = values.OfType<Token>().FirstOrDefault(v => v.Kind == TokenKind.Ident && !v.IsIdent("span"));
        return string.Join(' ', new[] { isSpan ? "span" : null, number is null ? null : isSpan && name is not null && One(number) == "1" ? null : One(number), name is null ? null : Serializer.Identifier(name.Text) }.OfType<string>());
    }

    private string? Counters(Values values, int plain)
    {
        if (values is [Token none] && none.IsIdent("none")) return "none";
        var text = new List<string>();
        for (var i = 0; i < values.Length; i++)
        {
            text.Add(One(values[i]));
            if (i + 1 < values.Length && values[i + 1] is not Token { Kind: TokenKind.Ident }) text.Add(One(values[++i]));
            else text.Add(plain == 0 ? "0" : "1");
        }
        return string.Join(' ', text);
    }

    private static string? Display(Values values)
    {
        if (values.Length < 2) return null;
        var words = values.OfType<Token>().Select(w => w.Text.ToLowerInvariant()).ToHashSet();
        var isInline = words.Contains("inline");
        if (words.Contains("list-item")) return isInline ? "inline list-item" : words.Contains("flow-root") ? "flow-root list-item" : "list-item";
        foreach (var inner in new[] { "flex", "grid", "table" })
        {
            if (words.Contains(inner)) return isInline ? $"inline-{inner}" : inner;
        }
        if (words.Contains("flow-root")) return isInline ? "inline-block" : "flow-root";
        if (words.Contains("ruby")) return isInline ? "ruby" : "block ruby";
        return isInline ? "inline" : "block";
    }

    private string Aligned(Values values) => Plain([.. values.Where(v => v is not Token word || !word.IsIdent("first"))]);

    private static string? InOrder(Values values, params string[] order)
    {
        if (values.Length < 2) return null;
        var words = values.OfType<Token>().Select(w => w.Text.ToLowerInvariant()).ToList();
        return string.Join(' ', order.Where(words.Contains).Concat(words.Where(w => !order.Contains(w))));
    }

    private string Content(Values values)
    {
        // Pieces that are empty are not there.
        var parts = values.Length > 1 ? values.Where(v => v is not Token { Kind: TokenKind.String, Text: "" }).ToImmutableArray() : values;
        return Plain(parts.IsEmpty ? values[..1] : parts);
    }
}
