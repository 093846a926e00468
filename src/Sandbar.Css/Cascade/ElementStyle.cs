using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Sandbar.Css.Computing;
using Sandbar.Css.Documents;
using Sandbar.Css.Grammar;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Cascading = Sandbar.Css.Cascade.Declared;
using Values = System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue>;

namespace Sandbar.Css.Cascade;

/// <summary>What a property of an element comes to.</summary>
/// <param name="Text">As Chromium writes it; with <c>currentcolor</c> where that stands for itself until it is used.</param>
/// <param name="NeedsLayout">Whether it takes the measures of a font, or a layout, to know more.</param>
public sealed record ComputedValue(string Text, bool KeepsCurrentColor = false, bool NeedsLayout = false);

/// <summary>The style of an element, or of a piece of one: its properties are reckoned when they are asked for.</summary>
public sealed class ElementStyle
{
    private static readonly Property Color = CssProperties.Of("color"), FontSizeProperty = CssProperties.Of("font-size"), LineHeight = CssProperties.Of("line-height"), FontFamily = CssProperties.Of("font-family"),
        AnimationName = CssProperties.Of("animation-name"), ZoomProperty = CssProperties.Of("zoom"), Display = CssProperties.Of("display"), Position = CssProperties.Of("position"), Float = CssProperties.Of("float"), OverflowX = CssProperties.Of("overflow-x"), OverflowY = CssProperties.Of("overflow-y"),
        WritingMode = CssProperties.Of("writing-mode"), Direction = CssProperties.Of("direction"), ColorScheme = CssProperties.Of("color-scheme");

    private readonly Findings findings;
    private readonly bool isWords;
    private CustomProperties? customs;

    /// <param name="isWords">Whether it is a picture that is not there, so that its words stand in its place.</param>
    internal ElementStyle(StyleBasis basis, Element element, ElementStyle? parent, ElementCascade cascade, string piece, bool isWords)
        : this(basis, element, parent, cascade, piece, isWords, new())
    {
    }

    private ElementStyle(StyleBasis basis, Element element, ElementStyle? parent, ElementCascade cascade, string piece, bool isWords, Findings findings) =>
        (Basis, Element, Parent, Cascade, Piece, this.isWords, this.findings) = (basis, element, parent, cascade, piece, isWords, findings);

    /// <summary>The style after a change of rules that leaves all but some of its properties.</summary>
    /// <param name="touched">Those it may not leave, custom ones aside, all of which no other is reckoned from; null where it comes to the same, custom properties that nobody reads aside.</param>
    internal ElementStyle After(ElementStyle? parent, ElementCascade cascade, PropertySet? touched) =>
        new(Basis, Element, parent, cascade, Piece, isWords, touched is null ? findings : findings.Without(touched));

    /// <summary>What has been found: shared with styles that come to the same.</summary>
    private sealed class Findings
    {
        // What was found before a change, and which of it no longer counts. Only of one change: what had been found before an earlier one and was not asked for since is forgotten.
        private Findings? before;
        private PropertySet touched = PropertySet.Empty;

        public Findings Without(PropertySet touched)
        {
            before = null;
            return new() { before = this, touched = touched, Flow = Flow, IsDark = IsDark, Zoom = Zoom, FontSize = FontSize, Lengths = Lengths, CurrentColor = touched.Contains(Color) ? null : CurrentColor };
        }

        /// <summary>What a property came to before the change; null where that does not count, or is not known.</summary>
        public ComputedValue? Kept(Property property) => before is null || touched.Contains(property) ? null : before.Values.GetValueOrDefault(property.Id);

        /// <summary>The same with <c>currentcolor</c> put in.</summary>
        public string? KeptWithCurrentColor(Property property) => before is null || touched.Contains(property) || touched.Contains(Color) ? null : before.WithCurrentColor.GetValueOrDefault(property.Id);

        public Dictionary<int, ComputedValue> Values { get; } = [];

        public Dictionary<int, string> WithCurrentColor => withCurrentColor ??= [];

        public Dictionary<Declared, ImmutableArray<Assignment>?> Substituted => substituted ??= [];

        private Dictionary<int, string>? withCurrentColor;
        private Dictionary<Declared, ImmutableArray<Assignment>?>? substituted;

        public Flow? Flow { get; set; }

        public bool? IsDark { get; set; }

        public double? Zoom { get; set; }

        public ComputedColor? CurrentColor { get; set; }

        public FontSize? FontSize { get; set; }

        public Lengths? Lengths { get; set; }
    }

    /// <summary>One object for all styles that are known to come to the same, whatever property is asked for; custom properties that no declaration of theirs reads aside.</summary>
    public object Identity => findings;

    /// <summary>What it has in common with all others of its window.</summary>
    internal StyleBasis Basis { get; }

    /// <summary>The element it was made for; others that are styled alike may share it.</summary>
    public Element Element { get; }

    /// <summary>What it inherits from; null of the root.</summary>
    public ElementStyle? Parent { get; }

    public ElementCascade Cascade { get; }

    /// <summary>The pseudo-element it is of, without colons; empty for an element.</summary>
    public string Piece { get; }

    /// <summary>How text runs in it.</summary>
    public Flow Flow => findings.Flow ??= Flow.Of(Raw(WritingMode), Raw(Direction));

    /// <summary>Whether system colours and <c>light-dark()</c> are dark here (CSS Color Adjustment 1, §2).</summary>
    public bool IsDark => findings.IsDark ??= Computed(ColorScheme).Text.Split(' ') is var schemes && schemes.Contains("dark") && (Basis.Media.IsDark || !schemes.Contains("light"));

    /// <summary>Its font size in px; NaN where it takes the measures of a font to know.</summary>
    public double FontSizePx => Size.Px;

    /// <summary>What a property comes to.</summary>
    public ComputedValue Computed(Property property)
    {
        var physical = property.IsLogical ? LogicalSides.Physical(property, Flow) : property;
        if (findings.Values.TryGetValue(physical.Id, out var known)) return known;
        return findings.Values[physical.Id] = findings.Kept(physical) ?? Compute(physical);
    }

    /// <summary>The same with <c>currentcolor</c> put in, as Chromium's <c>computedStyleMap</c> gives it.</summary>
    public string Text(Property property)
    {
        var computed = Computed(property);
        if (!computed.KeepsCurrentColor) return computed.Text;
        if (findings.WithCurrentColor.TryGetValue(property.Id, out var text)) return text;
        return findings.WithCurrentColor[property.Id] = findings.KeptWithCurrentColor(property) ?? new ComputedText(Surroundings(Lengths, CurrentColor)).Of(property, Parser.ParseValues(computed.Text));
    }

    internal string Text(string property) => Text(CssProperties.Of(property));

    /// <summary>What <c>currentcolor</c> is.</summary>
    public ComputedColor CurrentColor => findings.CurrentColor ??= Parser.ParseValues(Computed(Color).Text) is [var value] && ColorComputation.Of(value, ComputedColor.Black, false, Lengths.Initial) is { } color
        ? color : ComputedColor.Black;

    /// <summary>The declaration of a property that counts; null where nothing is declared.</summary>
    public Candidate? Winner(Property property) => Cascade.Winner(property, Flow);

    /// <summary>All valid declarations of a property, the strongest first.</summary>
    public IReadOnlyList<Candidate> Candidates(Property property) => Cascade.Of(property, Flow);

    /// <summary>The declaration that decides a property, and the style it is of: this one, or that of an element around from which it is inherited; null where none is declared.</summary>
    public (Candidate By, ElementStyle At)? Deciding(Property property)
    {
        for (var at = this; at is not null; at = at.Parent)
        {
            if (at.Cascade.Winner(property, at.Flow) is not { } winner)
            {
                if (!property.IsInherited) return null;
            }
            else if (winner.Declared.Keyword is not (WideKeyword.Inherit or WideKeyword.Unset) || (winner.Declared.Keyword == WideKeyword.Unset && !property.IsInherited))
            {
                return (winner, at);
            }
        }
        return null;
    }

    /// <summary>The same of a custom property.</summary>
    public (Candidate By, ElementStyle At)? Deciding(string custom)
    {
        for (var at = this; at is not null; at = at.Parent)
        {
            if (at.Cascade.Winner(custom) is { Declared.Keyword: not (WideKeyword.Inherit or WideKeyword.Unset) } winner) return (winner, at);
        }
        return null;
    }

    /// <summary>What custom properties come to. Most styles are never asked for one.</summary>
    private sealed class CustomProperties
    {
        public Dictionary<string, Values?> Known { get; } = new(StringComparer.Ordinal);

        /// <summary>Those that are being looked for.</summary>
        public List<string> Open { get; } = [];

        public HashSet<string> Circular { get; } = new(StringComparer.Ordinal);
    }

    /// <summary>What a custom property comes to; null where it comes to nothing.</summary>
    public Values? Custom(string name)
    {
        customs ??= new();
        if (customs.Known.TryGetValue(name, out var known)) return known;
        if (customs.Open.IndexOf(name) is var at and >= 0)
        {
            // All of a circle come to nothing (CSS Custom Properties 1, §2.3).
            foreach (var one in customs.Open.Skip(at)) customs.Circular.Add(one);
            return null;
        }
        // Variables that lead to each other without end come to nothing.
        if (!RuntimeHelpers.TryEnsureSufficientExecutionStack()) return null;
        customs.Open.Add(name);
        var found = FindCustom(name);
        customs.Open.RemoveAt(customs.Open.Count - 1);
        if (customs.Circular.Remove(name)) found = null;
        return customs.Known[name] = found;
    }

    private Values? FindCustom(string name)
    {
        var registered = Basis.Registered.GetValueOrDefault(name);
        Values? initial = registered?.Initial;
        var unset = registered is { IsInherited: false } ? initial : Inherited();
        var winner = Cascade.Winner(name);
        while (winner?.Declared.Keyword is WideKeyword.Revert or WideKeyword.RevertLayer) winner = Below(Cascade.Of(name), winner, winner.Declared.Keyword);
        if (winner is null) return unset;
        switch (winner.Declared.Keyword)
        {
            case WideKeyword.Initial:
                return initial;
            case WideKeyword.Inherit:
                return Inherited();
            case WideKeyword.Unset:
                return unset;
        }
        if (Substituted(winner.Declared.Node.Value) is not { } found) return registered is null ? null : unset;
        if (found is [Token { Kind: TokenKind.Ident } word] && word.Text.ToLowerInvariant() is "initial" or "inherit" or "unset") return word.IsIdent("initial") ? initial : word.IsIdent("inherit") ? Inherited() : unset;
        if (registered is not { Syntax: not "*" } typed) return found;
        // What is not of its type counts as not there.
        if (!PropertyGrammars.All.IsOf(typed.Syntax, found.Trimmed())) return unset;
        return Parser.ParseValues(new ComputedText(Surroundings(Lengths, CurrentColorUnless(typed.Syntax))).OfUntyped(found.Trimmed()));

        Values? Inherited() => Parent is null ? initial : Parent.Custom(name);
        ComputedColor? CurrentColorUnless(string syntax) => syntax.Contains("color", StringComparison.Ordinal) ? null : ComputedColor.Black;
    }

    private Values? Substituted(Values values) => Variables.AreIn(values) ? new Variables(Custom, name => Element[name], Basis.Media).In(values) : values;

    /// <summary>A declaration's values for a property, variables put in; null where that comes to nothing it takes.</summary>
    private Values? ValuesOf(Declared declared, Property property)
    {
        var logical = declared.Sets.FirstOrDefault(p => p == property || (p.IsLogical && LogicalSides.Physical(p, Flow) == property)) ?? property;
        if (!declared.HoldsVariables) return declared.For(logical);
        if (!findings.Substituted.TryGetValue(declared, out var assignments))
        {
            assignments = Substituted(declared.Node.Value) is { } found && found.Trimmed() is { IsEmpty: false } trimmed ? SubstitutedValues.Of(declared.Name, trimmed) : null;
            findings.Substituted[declared] = assignments;
        }
        return assignments is { } given ? Cascading.Values(given, logical) : null;
    }

    /// <summary>What is declared of a property with all words for whole values followed.</summary>
    /// <returns>Values; or null and whether it is what the parent has, or what is initial.</returns>
    private (Values? Values, bool Inherits) Declaration(Property property, Flow declaredIn)
    {
        var unset = (default(Values?), property.IsInherited);
        var winner = Cascade.Winner(property, declaredIn);
        IReadOnlyList<Candidate>? all = null;
        while (winner is not null)
        {
            var keyword = winner.Declared.Keyword;
            Values? found = null;
            if (keyword == WideKeyword.None)
            {
                found = ValuesOf(winner.Declared, property);
                if (found is not { IsEmpty: false } values) return unset;
                if (!winner.Declared.HoldsVariables || values is not [Token { Kind: TokenKind.Ident } word]) return (values, false);
                keyword = word.Text.ToLowerInvariant() switch { "initial" => WideKeyword.Initial, "inherit" => WideKeyword.Inherit, "unset" => WideKeyword.Unset, "revert" => WideKeyword.Revert, "revert-layer" => WideKeyword.RevertLayer, _ => WideKeyword.None };
                if (keyword == WideKeyword.None) return (values, false);
            }
            switch (keyword)
            {
                case WideKeyword.Initial:
                    return (null, false);
                case WideKeyword.Inherit:
                    return (null, true);
                case WideKeyword.Unset:
                    return unset;
            }
            all ??= Cascade.Of(property, declaredIn);
            winner = Below(all, winner, keyword);
        }
        return unset;
    }

    /// <summary>The strongest declaration in what comes before an origin or a layer (CSS Cascade 5, §7.3.4 and §7.3.5).</summary>
    private static Candidate? Below(IReadOnlyList<Candidate> all, Candidate from, WideKeyword keyword)
    {
        var isLayer = keyword == WideKeyword.RevertLayer;
        return all.FirstOrDefault(c => isLayer ? Layer(c).CompareTo(Layer(from)) < 0 : c.Origin < Origin.Hint && from.Origin > Origin.UserAgent);

        static (Origin, bool, int) Layer(Candidate candidate) => (candidate.Origin, candidate.IsInline, candidate.LayerRank);
    }

    /// <summary>Words of the properties that all others are read by.</summary>
    private string Raw(Property property)
    {
        var (found, inherits) = Declaration(property, default);
        return found is [Token word] ? word.Text.ToLowerInvariant() switch { "lr" or "lr-tb" or "rl" or "rl-tb" => "horizontal-tb", "tb" or "tb-rl" => "vertical-rl", "tb-lr" => "vertical-lr", var other => other }
            : inherits && Parent is not null ? Parent.Raw(property) : property.Initial;
    }

    private Surroundings Surroundings(Lengths of, ComputedColor? current) => new(of, current, IsDark);

    /// <summary>What relative lengths are of in it.</summary>
    public Lengths Lengths
    {
        get
        {
            if (findings.Lengths is { } known) return known;
            var media = Basis.Media;
            var lengths = findings.Lengths = new(FontSizePx, Root.FontSizePx, media.Width, media.Height) { IsVertical = Flow.IsVertical, Container = ContainerSize, Zoom = Zoom };
            return findings.Lengths = lengths with { LineHeight = LineHeightPx, RootLineHeight = Root == this ? LineHeightPx : Root.LineHeightPx };
        }
    }

    private ElementStyle Root => Parent?.Root ?? this;

    /// <summary>The size of the nearest container around (CSS Conditional Rules 5, §6): without one it is the window's.</summary>
    private double? ContainerSize(bool isHeight)
    {
        for (var around = Parent; around is not null; around = around.Parent)
        {
            var type = around.Text("container-type");
            if (type.Contains("size", StringComparison.Ordinal) && !(isHeight && type.Contains("inline-size", StringComparison.Ordinal))) return isHeight ? null : KnownSizes.Width(around);
        }
        return isHeight ? Basis.Media.Height : Basis.Media.Width;
    }

    private double Zoom => findings.Zoom ??= (double.TryParse(Computed(ZoomProperty).Text, System.Globalization.CultureInfo.InvariantCulture, out var own) && own > 0 ? own : 1) * (Parent?.Zoom ?? 1);

    private double? LineHeightPx => Parser.ParseValues(Computed(LineHeight).Text) switch
    {
        [Token { Kind: TokenKind.Number } number] when !double.IsNaN(FontSizePx) => number.Number * FontSizePx,
        [Token { Kind: TokenKind.Dimension } length] => length.Number,
        _ => null,
    };

    /// <summary>A font size: where it comes from decides whether a change to letters of one width changes it.</summary>
    /// <param name="Px">NaN where it takes the measures of a font to know.</param>
    /// <param name="Keyword">The place among the words from <c>xx-small</c>; null where it is none.</param>
    /// <param name="IsAbsolute">Whether a length stands behind it.</param>
    private sealed record FontSize(double Px, int? Keyword, bool IsAbsolute)
    {
        // Browsers keep sizes in 24 binary digits.
        public double Px { get; init; } = (float)Px;
    }

    private FontSize Size => findings.FontSize ??= FindFontSize();

    private static readonly string[] SizeWords = ["xx-small", "x-small", "small", "medium", "large", "x-large", "xx-large", "xxx-large"];

    // CSS Fonts 4, §2.5: of 16 px, and of the 13 px that letters of one width begin with (HTML, and what Chromium answers).
    private static readonly double[] SizeSteps = [9, 10, 13, 16, 18, 24, 32, 48], FixedSizeSteps = [9, 10, 12, 13, 16, 20, 26, 39];

    private FontSize FindFontSize()
    {
        var inherited = Parent?.Size ?? new(16, 3, false);
        var isFixed = IsFixed;
        var wasFixed = Parent?.IsFixed ?? false;
        var (found, inherits) = Declaration(FontSizeProperty, Flow);
        FontSize own;
        if (found is not [var value]) own = inherits ? inherited : new(16, 3, false);
        else if (value is Token { Kind: TokenKind.Ident } word)
        {
            var at = Array.IndexOf(SizeWords, word.Text.ToLowerInvariant());
            if (at >= 0) return new((isFixed ? FixedSizeSteps : SizeSteps)[at], at, false);
            if (word.IsIdent("larger")) own = new(inherited.Px * 1.2, null, inherited.IsAbsolute);
            else if (word.IsIdent("smaller")) own = new(inherited.Px / 1.2, null, inherited.IsAbsolute);
            else own = inherited;
        }
        else
        {
            var media = Basis.Media;
            var around = new Lengths(inherited.Px, Parent is null ? 16 : Root.FontSizePx, media.Width, media.Height)
            {
                Whole = inherited.Px,
                LineHeight = Parent?.LineHeightPx,
                RootLineHeight = Parent is null ? null : Root.LineHeightPx,
                IsVertical = Flow.IsVertical,
                Container = ContainerSize,
            };
            var isRelative = IsFontRelative(value);
            own = Calculation.Of(value, around) is Calculation.Amount { Unit: "px" or "" } amount ? new(Math.Max(0, amount.Value), null, inherited.IsAbsolute || !isRelative) : new(double.NaN, null, inherited.IsAbsolute);
        }
        if (own.IsAbsolute || isFixed == wasFixed) return own;
        if (own.Keyword is { } keyword) return own with { Px = (isFixed ? FixedSizeSteps : SizeSteps)[keyword] };
        return own with { Px = isFixed ? own.Px * 13 / 16 : own.Px * 16 / 13 };
    }

    private static bool IsFontRelative(ComponentValue value) => value switch
    {
        Token { Kind: TokenKind.Percentage } => true,
        Token { Kind: TokenKind.Dimension } dimension => dimension.Unit.ToLowerInvariant() is "em" or "ex" or "ch" or "cap" or "ic" or "lh",
        _ => false,
    };

    /// <summary>Whether its font is <c>monospace</c> and nothing else, which has a size of its own.</summary>
    private bool IsFixed => Computed(FontFamily).Text == "monospace";

    private ComputedValue Inherit(Property property) => Parent is null ? Initial(property) : !property.IsInherited && IsSlotted ? Initial(property) : Parent.Computed(property);

    /// <summary>Whether something of the browser's own stands between it and its parent, that is styled by nobody (HTML, "details" and "select").</summary>
    internal bool IsSlotted => Piece.Length == 0 && Element is { IsHtml: true, Parent: { IsHtml: true, Name: "details" or "select" } };

    private ComputedValue Initial(Property property) => property.Initial == "currentcolor" ? new("currentcolor", true)
        // On a dark ground pages begin with light text (CSS Color 4, §7).
        : property == Color && IsDark ? new("rgb(255, 255, 255)") : new(property.Initial);

    private ComputedValue Compute(Property property)
    {
        switch (property.Name)
        {
            case "font-size":
                return new(NumberText.Of(Size.Px, "px"), NeedsLayout: double.IsNaN(Size.Px));
            case "writing-mode" or "direction":
                return new(Raw(property));
            case "-webkit-writing-mode":
                return Computed(WritingMode);
        }
        var (found, inherits) = Ended(property) ?? Declaration(property, Flow);
        var computed = found is { } values ? Of(property, values) : inherits ? Inherit(property) : Initial(property);
        return Adjusted(property, computed);
    }

    private ComputedValue Of(Property property, Values values)
    {
        switch (property.Name)
        {
            case "color":
                var current = Parent?.CurrentColor ?? ComputedColor.Black;
                return ColorComputation.Of(values[0], current, IsDark, Lengths) is { } color ? new(color.ToString()) : Inherit(property);
            case "color-scheme" or "zoom":
                return new(new ComputedText(new(Lengths.Initial, ComputedColor.Black, false)).Of(property, values));
            case "font-weight" when values is [Token word] && (word.IsIdent("bolder") || word.IsIdent("lighter")):
                return new(Weight(double.TryParse((Parent?.Computed(property) ?? Initial(property)).Text, System.Globalization.CultureInfo.InvariantCulture, out var weight) ? weight : 400, word.IsIdent("bolder")));
            case "font-family":
                return new(new ComputedText(new(Lengths.Initial, ComputedColor.Black, false)).Of(property, values));
            case "line-height":
                return Computed(property, values, LineLengths());
            case "text-align" when values is [Token word]:
                return Aligned(property, word.Text.ToLowerInvariant());
            default:
                return Computed(property, values, Lengths);
        }
    }

    private Lengths LineLengths()
    {
        var media = Basis.Media;
        return new(FontSizePx, Root.FontSizePx, media.Width, media.Height) { Whole = FontSizePx, LineHeight = Parent?.LineHeightPx, RootLineHeight = Parent is null ? null : Root.LineHeightPx, IsVertical = Flow.IsVertical };
    }

    private ComputedValue Computed(Property property, Values values, Lengths of)
    {
        var text = new ComputedText(Surroundings(of, null));
        var written = text.Of(property, values);
        return new(written, text.KeepsCurrentColor, text.NeedsLayout);
    }

    // CSS Fonts 4, §2.2.1
    private static string Weight(double inherited, bool isBolder) => isBolder
        ? inherited < 350 ? "400" : inherited < 550 ? "700" : inherited < 900 ? "900" : NumberText.Of(inherited)
        : inherited < 100 ? NumberText.Of(inherited) : inherited < 550 ? "100" : inherited < 750 ? "400" : "700";

    private ComputedValue Aligned(Property property, string word)
    {
        var inherited = Inherit(property);
        switch (word)
        {
            // Heads of tables are centred where nobody says otherwise (HTML, "Tables").
            case "-internal-center":
                return inherited.Text is "start" ? new("center") : inherited;
            case "match-parent" or "-webkit-match-parent":
                return Parent is null ? new("start") : inherited.Text is "start" or "end" && Parent.Flow.IsRightToLeft != Flow.IsRightToLeft ? new((inherited.Text == "start") != Parent.Flow.IsRightToLeft ? "left" : "right") : inherited;
            default:
                return new(word);
        }
    }

    /// <summary>Lines that nobody gave a width, where pixels of the screen are smaller or larger.</summary>
    private ComputedValue Drawn(Property property, ComputedValue computed) => Zoom == 1 || Cascade.Winner(property, Flow) is not null ? computed : Computed(property, property.InitialValues, Lengths);

    /// <summary>What other properties make of a value (CSS Display 3, §2.7; CSS 2.2, §9.7; CSS Overflow 3, §3.1).</summary>
    private ComputedValue Adjusted(Property property, ComputedValue computed)
    {
        switch (property.Name)
        {
            case "display" when NativeControls.Of(this) is not NativeControl.None && computed.Text is "inline" or "list-item":
                computed = new("inline-block");
                goto case "display";
            case "display":
                return IsBlockified(computed.Text) ? new(Blockified(computed.Text)) : computed;
            case "float":
                return Computed(Position).Text is "absolute" or "fixed" ? new("none") : computed;
            case "overflow-x" or "overflow-y":
                var other = Declared(property == OverflowX ? OverflowY : OverflowX);
                return computed.Text == "visible" && NativeControls.Adjusted(property.Name, this) is { } shown ? new(shown) : other is "visible" or "clip" ? computed : computed.Text == "visible" ? new("auto") : computed.Text == "clip" ? new("hidden") : computed;
            case "width" or "height" or "aspect-ratio":
                return computed.Text != "auto" && isWords && Computed(Display).Text == "inline" ? new("auto") : computed;
            case "border-top-width" or "border-right-width" or "border-bottom-width" or "border-left-width" or "outline-width" or "column-rule-width" or "row-rule-width":
                return NativeControls.Adjusted(property.Name, this) is not null ? new(NumberText.Of(3 / Zoom, "px")) : Drawn(property, computed);
            case "content" when Piece.Length == 0 && computed.Text == "none":
                return new("normal");
            case "text-underline-offset" when !Element.IsHtml:
                return new("auto");
            case "-webkit-text-decorations-in-effect":
                return new(Lines());
            case "background-position-x" or "background-position-y" or "background-size" or "background-repeat" or "background-attachment" or "background-origin" or "background-clip" or "background-blend-mode":
                return Layered(property, computed, "background-image");
            case "-webkit-mask-position-x" or "-webkit-mask-position-y" or "mask-size" or "mask-repeat" or "mask-origin" or "mask-clip" or "mask-mode" or "mask-composite":
                return Layered(property, computed, "mask-image");
            default:
                return NativeControls.Adjusted(property.Name, this) is { } native ? new(native, native == "currentcolor") : computed;
        }
    }

    /// <summary>Whether anything of it can be seen at all.</summary>
    internal bool HasBox => Computed(Display).Text is not ("none" or "contents") && (Parent is null || Parent.HasBoxes);

    private bool HasBoxes => Computed(Display).Text != "none" && (Parent is null || Parent.HasBoxes);

    private static readonly string[] LineNames = ["underline", "overline", "line-through"];

    /// <summary>Lines through and along text: those of what is around go on in what flows with it (CSS Text Decoration 3, §2.1).</summary>
    private string Lines()
    {
        var display = Computed(Display).Text;
        var isApart = display.StartsWith("inline-", StringComparison.Ordinal) || Computed(Float).Text != "none" || Computed(Position).Text is "absolute" or "fixed";
        var lines = $"{(isApart || Parent is null ? "" : Parent.Text("-webkit-text-decorations-in-effect"))} {Text("text-decoration-line")}".Split(' ');
        var all = string.Join(' ', LineNames.Where(lines.Contains));
        return all.Length == 0 ? "none" : all;
    }

    /// <summary>Layers are as many as pictures (CSS Backgrounds 3, §2.1).</summary>
    private ComputedValue Layered(Property property, ComputedValue computed, string images)
    {
        var pictures = Computed(CssProperties.Of(images)).Text;
        if (!computed.Text.Contains(',', StringComparison.Ordinal) && !pictures.Contains(',', StringComparison.Ordinal)) return computed;
        var entries = ComputedText.Entries(Parser.ParseValues(computed.Text));
        var count = ComputedText.Entries(Parser.ParseValues(pictures)).Count;
        if (entries.Count == count) return computed;
        var texts = entries.ConvertAll(e => Serializer.Values([.. e.SelectMany((v, i) => i > 0 ? [new Token(TokenKind.Whitespace, 0, 0), v] : new[] { v })]));
        return computed with { Text = string.Join(", ", Enumerable.Range(0, count).Select(i => texts[i % texts.Count])) };
    }

    /// <summary>What an animation that has come to its end leaves behind (CSS Animations 1, §4.7); null where none does, or where something important is declared.</summary>
    private (Values? Values, bool Inherits)? Ended(Property property)
    {
        if (Basis.Keyframes.Count == 0 || property.Name.StartsWith("animation-", StringComparison.Ordinal) || property.Name is "display" or "position" or "float" or "font-family" or "font-size" or "line-height" or "color-scheme" or "appearance" or "zoom" || Cascade.Winner(AnimationName, Flow) is null) return null;
        if (!HasBox || Cascade.Winner(property, Flow) is { Declared.IsImportant: true }) return null;
        var (names, fills, directions, counts) = (Entries("animation-name"), Entries("animation-fill-mode"), Entries("animation-direction"), Entries("animation-iteration-count"));
        for (var i = names.Length - 1; i >= 0; i--)
        {
            if (fills[i % fills.Length] is not ("forwards" or "both") || !Basis.Keyframes.TryGetValue(names[i], out var frames)) continue;
            if (!double.TryParse(counts[i % counts.Length], System.Globalization.CultureInfo.InvariantCulture, out var count) || count != Math.Floor(count) || count == 0) continue;
            var isBackwards = directions[i % directions.Length] switch { "reverse" => true, "alternate" => count % 2 == 0, "alternate-reverse" => count % 2 == 1, _ => false };
            foreach (var declared in frames.Where(f => f.Offset == (isBackwards ? 0 : 100)).SelectMany(f => f.Declarations).Reverse())
            {
                if (!declared.Sets.Any(p => p == property || LogicalSides.Physical(p, Flow) == property) || !declared.IsValid || declared.IsImportant || declared.Keyword != WideKeyword.None) continue;
                if (ValuesOf(declared, property) is { IsEmpty: false } values) return (values, false);
            }
        }
        return null;

        string[] Entries(string name) => Computed(CssProperties.Of(name)).Text.Split(", ");
    }

    /// <summary>What is declared of an overflow, before its twin changes it.</summary>
    private string Declared(Property property)
    {
        var (found, inherits) = Declaration(property, Flow);
        return found is { } values ? Of(property, values).Text : inherits ? Inherit(property).Text : property.Initial;
    }

    private bool IsBlockified(string display)
    {
        if (display is "none" or "contents" or "block") return false;
        if (Parent is null) return true;
        if (Computed(Position).Text is "absolute" or "fixed" || Computed(Float).Text != "none") return true;
        var around = Parent;
        while (around.Parent is not null && around.Computed(Display).Text == "contents") around = around.Parent;
        return around.Computed(Display).Text is "flex" or "inline-flex" or "grid" or "inline-grid" && Piece is "" or "before" or "after";
    }

    private static string Blockified(string display) => display switch
    {
        "inline" or "inline-block" or "table-cell" or "table-row" or "table-row-group" or "table-header-group" or "table-footer-group" or "table-column" or "table-column-group" or "table-caption" or "ruby-text" => "block",
        "inline-flex" => "flex",
        "inline-grid" => "grid",
        "inline-table" => "table",
        "-webkit-inline-box" => "-webkit-box",
        "inline list-item" => "list-item",
        "ruby" => "block ruby",
        "math" => "block math",
        _ => display,
    };
}
