using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Named sets of type settings. The first is the text of the page itself.</summary>
public sealed class TextStyleKind : NamedKind<TextStyle>
{
    public const string Kind = "textStyle";

    /// <summary>Headings of its settings.</summary>
    private const string Letters = "Letters", Lines = "Lines", Decoration = "Line at the text", Forms = "Forms";

    /// <summary>What a style always says.</summary>
    private static readonly (string Css, string Field)[] Always =
    [
        ("font-family", "family"), ("font-size", "size"), ("font-weight", "weight"), ("font-style", "slant"), ("line-height", "line-height"),
        ("letter-spacing", "letter-spacing"), ("text-transform", "case"),
    ];

    /// <summary>What every style says as soon as one of the site sets it: text within other text would take it over.</summary>
    private static readonly (string Css, string[] Fields)[] Inherited =
    [
        ("word-spacing", ["word-spacing"]), ("font-variant-caps", ["small-caps"]), ("font-variant-numeric", ["numerals", "numeral-widths", "fractions"]),
        ("font-variant-ligatures", ["ligatures"]), ("font-variation-settings", ["axes"]), ("hyphens", ["hyphens"]), ("text-wrap", ["wrapping"]),
    ];

    /// <summary>What a style says where it sets it; in a state or at a width also where it does not, since another style may hold otherwise.</summary>
    private static readonly (string Css, string[] Fields)[] OfElement =
    [
        ("max-inline-size", ["measure"]), ("text-decoration-line", ["line"]), ("text-decoration-style", ["line", "line-style"]),
        ("text-decoration-thickness", ["line", "line-thickness"]), ("text-underline-offset", ["line", "line-offset"]), ("text-decoration-color", ["line", "line-color"]),
    ];

    /// <summary>The OpenType features that words of forms ask for (CSS Fonts 4, §6). What a font lacks a browser leaves, but for small capitals, which it makes.</summary>
    private static readonly Dictionary<string, string> Features = new(StringComparer.Ordinal)
    {
        ["lining-nums"] = "lnum", ["oldstyle-nums"] = "onum", ["proportional-nums"] = "pnum", ["tabular-nums"] = "tnum", ["diagonal-fractions"] = "frac", ["stacked-fractions"] = "afrc",
        ["discretionary-ligatures"] = "dlig", ["historical-ligatures"] = "hlig", ["small-caps"] = "smcp", ["all-small-caps"] = "c2sc",
    };

    private static readonly TextStyle Unset = new("", "", "", new WordValue(""), new WordValue(""), new WordValue(""), new WordValue(""), new WordValue(""), new WordValue(""), new WordValue(""));

    private static readonly ConditionalWeakTable<TypeFoundation, string> KnownSets = [];

    private static readonly Func<Site, string> SetSomewhere = site => KnownSets.GetValue(site.Type, type => Description.PropertiesSet(type));

    private readonly Lazy<Dictionary<string, Field>> fieldsById;

    public TextStyleKind() => fieldsById = new(() => Described().ToDictionary(f => f.Id, StringComparer.Ordinal));

    public static TextStyleKind Description => (TextStyleKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "text style";

    public override CssType Type => CssType.TextStyle;

    public override bool HasTokens => false;

    public override FoundationStep Step => FoundationStep.Type;

    public override string Path => "/type/styles";

    public override int Fewest => 1;

    public override ImmutableArray<TextStyle> List(Site site) => site.Type.Styles;

    /// <summary>A style as declarations of CSS.</summary>
    /// <param name="everything">Whether it also says what is as if nothing were set, because another style may hold otherwise.</param>
    public IEnumerable<(string Name, string Css)> Declarations(SiteReads reads, TextStyle style, bool everything = false)
    {
        var somewhere = reads.Fact(SetSomewhere).Split(' ');
        return Always.Select(p => (p.Css, CssOf(p.Css, [p.Field])))
            .Concat(Inherited.Where(p => somewhere.Contains(p.Css)).Select(p => (p.Css, CssOf(p.Css, p.Fields))))
            .Concat(OfElement.Where(p => IsSet(style, p.Fields) || (everything && somewhere.Contains(p.Css))).Select(p => (p.Css, CssOf(p.Css, p.Fields))));

        string CssOf(string property, string[] fields) => property == "max-inline-size" ? MeasureCss(reads, style) : fields[0] == "line" ? Css(reads, style, fields[^1]) : Css(reads, style, fields);
    }

    /// <summary>The property that some fields come to, with several words side by side.</summary>
    public string Css(SiteReads reads, TextStyle style, params string[] fields)
    {
        var words = fields.Select(id => fieldsById.Value[id]).Select(f => f.Setting.Css(reads, f.Get(style))).Where(css => fields.Length == 1 || css != "normal").ToList();
        return words.Count == 0 ? "normal" : string.Join(' ', words);
    }

    /// <summary>What a style says of forms, as <c>font-variant</c> has it.</summary>
    public string VariantCss(SiteReads reads, TextStyle style) => Css(reads, style, "small-caps", "numerals", "numeral-widths", "fractions", "ligatures");

    /// <summary>What the page itself says of its text: what is the element's own, such as its width, is for those that wear the style.</summary>
    public IEnumerable<(string Name, string Css)> PageDeclarations(SiteReads reads, TextStyle style) => Declarations(reads, style).Where(d => !OfElement.Any(p => p.Css == d.Name));

    /// <summary>The properties that some style sets and not every style says.</summary>
    private string PropertiesSet(TypeFoundation type) => string.Join(' ', Inherited.Concat(OfElement).Where(p => type.Styles.Any(s => IsSet(s, p.Fields))).Select(p => p.Css));

    /// <summary>Whether a style sets the first of some fields, or of those of one property any.</summary>
    private bool IsSet(TextStyle style, string[] fields) =>
        (fields[0] == "line" ? fields[..1] : fields).Any(id => fieldsById.Value[id] is var field && field.Get(style) != field.Get(Unset));

    /// <summary>As wide as so many characters of running text in the style's own letters are; of letters that no file is known of so many noughts.</summary>
    private static string MeasureCss(SiteReads reads, TextStyle style)
    {
        if (style.Measure is not NumberValue { Number: var characters }) return "none";
        // The sheet is another one when the family is.
        if (style.Family is ReferenceValue family) reads.Thing<Family>(family);
        if (TextFigures.Advance(reads.Site, style) is not { } advance) return NumberForm.Css(characters, "ch");
        var width = NumberForm.Css(characters * (decimal)advance, "em");
        return style.LetterSpacing.Amount() == 0 ? width : $"calc({width} + {NumberForm.Css(characters, "")} * {ValueForms.Css(reads, style.LetterSpacing)})";
    }

    public override string? Stays(Site site, IListed thing) => site.Type.Styles[0].Id == thing.Id ? $"{((TextStyle)thing).Name} is the text of the page itself and cannot go." : null;

    public override string Note(Site site, ReferenceValue reference) => ValueForms.Write(site, Get(site, reference.Id).Size);

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field)
    {
        var style = (TextStyle)thing;
        return field.Id switch
        {
            "weight" => Enumerable.Range(1, 9).Select(n => n * 100).Where(w => FamilyOf(site, style) is not { } family || FontMatching.HasWeight(family, w, style.Slant.Code() == TextStyle.Italic)).Select(w => w.ToString(CultureInfo.InvariantCulture)),
            // What is in use: common practice, no published source.
            "line-height" => ["1.1", "1.25", "1.4", "1.5", "1.6"],
            "letter-spacing" => ["0", "-0.01em", "0.04em", "0.08em"],
            "word-spacing" => ["0", "0.05em", "0.16em"],
            "measure" => ["none", "45", "60", "66", "75"],
            "line-thickness" => ["usual", "the font’s own", "1px", "2px", "0.1em"],
            "line-offset" => ["usual", "2px", "0.2em"],
            "axes" => ["usual", .. FamilyOf(site, style) is { } family ? Faces.Axes(family, style.Slant.Code() == TextStyle.Italic).Select(a => $"{a.Tag} {Number(a.Usual)}") : []],
            _ => null,
        };
    }

    public override string Note(Site site, IListed thing, Field field)
    {
        var style = (TextStyle)thing;
        var family = FamilyOf(site, style);
        var italic = style.Slant.Code() == TextStyle.Italic;
        return field.Id switch
        {
            "weight" when family is not null && !FontMatching.HasWeight(family, style.Weight.Amount(), italic) => $"{family.Name} has {Range(family.Files)}",
            "slant" when italic && family is not null && FontMatching.IsFakedItalic(family) => "slanted by the browser",
            "size" when style.Size is ReferenceValue size => $"{Kinds.Of(size).Note(site, size)}px",
            "measure" when style.Measure is NumberValue && OwnWidth(site, style) is { } look => $"{look} has a width of its own",
            "line-style" or "line-thickness" or "line-offset" or "line-color" when style.Line.Code() == "none" => "there is no line",
            "axes" when family is not null && style.Axes is ListValue axes && axes.Values.OfType<AxisValue>().FirstOrDefault(a => !Faces.Axes(family, italic).Any(has => has.Tag == a.Tag)) is { } lacking => $"{family.Name} has no {lacking.Tag}",
            _ when Features.TryGetValue(field.Get(style).Code(), out var feature) && family is not null && Faces.Measures(family, style.Weight.Amount(), italic) is { } face && !face.Features.Contains(feature) =>
                field.Id == "small-caps" ? "made by the browser" : $"{family.Name} has none",
            _ => "",
        };
    }

    public override string? Refuses(Site site, IListed thing, Field field)
    {
        var style = (TextStyle)thing;
        if (field.Id != "axes" || style.Axes is not ListValue list || FamilyOf(site, style) is not { } family) return null;
        var axes = Faces.Axes(family, style.Slant.Code() == TextStyle.Italic).ToList();
        foreach (var set in list.Values.OfType<AxisValue>())
        {
            if (axes.Find(a => a.Tag == set.Tag) is not { } axis)
                return axes.Count == 0 ? $"{family.Name} has no axis but, at most, weight." : $"{family.Name} has no axis {set.Tag}: it has {Sentence.Some(axes.Select(a => a.Tag), axes.Count)}.";
            if ((double)set.Number < axis.Least || (double)set.Number > axis.Most) return $"{set.Tag} of {family.Name} goes from {Number(axis.Least)} to {Number(axis.Most)}.";
        }
        return null;
    }

    /// <summary>A look that wears a style and says itself how wide it is: that counts there, not the measure.</summary>
    private static string? OwnWidth(Site site, TextStyle style) =>
        (from look in site.Looks
         let part = PartCatalogue.Find(look.Part)
         where part is not null && look.Cells.Values.SelectMany(v => v.References()).Any(r => r.To == Kind && r.Id == style.Id)
         where look.Cells.Keys.Any(key => part.Property(CellKey.Parse(key).Property) is { CssName: "max-inline-size", Piece.Length: 0 })
         select $"{part.Name} · {look.Name}").FirstOrDefault();

    /// <summary>The family a style is set in.</summary>
    public static Family? FamilyOf(Site site, TextStyle style) => style.Family is ReferenceValue family ? site.Type.Families.Find(family.Id) : null;

    protected override Site With(Site site, ImmutableArray<TextStyle> things) => site with { Type = site.Type with { Styles = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "family", Name = "Family", Group = Letters, Kind = new ReferenceValues(CssType.Family) }, s => s.Family, (s, value) => s with { Family = value }),
        Of(new() { Id = "size", Name = "Size", Group = Letters, Kind = new LengthValues([SizeKind.Kind]), Min = 1, Max = 400 }, s => s.Size, (s, value) => s with { Size = value }),
        Of(new() { Id = "weight", Name = "Weight", Group = Letters, Kind = new NumberValues(), Min = 1, Max = 1000, IsWhole = true }, s => s.Weight, (s, value) => s with { Weight = value }),
        Of(new() { Id = "slant", Name = "Slant", Group = Letters, Kind = new WordValues(), Words = [new("upright", "normal"), new(TextStyle.Italic, "italic")] }, s => s.Slant, (s, value) => s with { Slant = value }),
        Of(new()
        {
            Id = "case", Name = "Case", Group = Letters, Kind = new WordValues(),
            Words = [new("none", "as typed", "none"), new("uppercase", "capitals", "uppercase"), new("lowercase", "small letters", "lowercase"), new("capitalize", "first letters capital", "capitalize")],
        }, s => s.Case, (s, value) => s with { Case = value }),
        Of(new()
        {
            Id = "small-caps", Name = "Small capitals", Group = Letters, Kind = new WordValues(),
            Words = [new("none", "none", "normal"), new("small-caps", "for small letters", "small-caps"), new("all-small-caps", "for all letters", "all-small-caps")],
        }, s => s.SmallCaps, (s, value) => s with { SmallCaps = value }),
        Of(new() { Id = "line-height", Name = "Line height", Group = Lines, Kind = new LengthValues([], plain: (0.5m, 5)), Min = 0.5m, Max = 400 }, s => s.LineHeight, (s, value) => s with { LineHeight = value }),
        Of(new() { Id = "letter-spacing", Name = "Letter spacing", Group = Lines, Kind = new LengthValues([]), Min = -20, Max = 100 }, s => s.LetterSpacing, (s, value) => s with { LetterSpacing = value }),
        Of(new() { Id = "word-spacing", Name = "Word spacing", Group = Lines, Kind = new LengthValues([]), Min = -20, Max = 100 }, s => s.WordSpacing, (s, value) => s with { WordSpacing = value }),
        Of(new() { Id = "measure", Name = "Measure", Group = Lines, Kind = new NumberValues(), Min = 10, Max = 200, Words = [new("none", "none")] }, s => s.Measure, (s, value) => s with { Measure = value }),
        Of(new() { Id = "hyphens", Name = "Hyphens", Group = Lines, Kind = new WordValues(), Words = [new("none", "as typed", "manual"), new("auto", "where words break", "auto")] }, s => s.Hyphens, (s, value) => s with { Hyphens = value }),
        Of(new()
        {
            Id = "wrapping", Name = "Wrapping", Group = Lines, Kind = new WordValues(),
            Words = [new("normal", "line by line", "wrap"), new("balance", "lines of one length", "balance"), new("pretty", "no short last line", "pretty")],
        }, s => s.Wrapping, (s, value) => s with { Wrapping = value }),
        Of(new()
        {
            Id = "line", Name = "Line", Group = Decoration, Kind = new WordValues(),
            Words = [new("none", "none"), new("under", "underline"), new("over", "overline"), new("through", "line-through"), new("both", "under and over", "underline overline")],
        }, s => s.Line, (s, value) => s with { Line = value }),
        Of(new()
        {
            Id = "line-style", Name = "Line style", Group = Decoration, Kind = new WordValues(),
            Words = [new("solid", "solid"), new("double", "double"), new("dotted", "dotted"), new("dashed", "dashed"), new("wavy", "wavy")],
        }, s => s.LineStyle, (s, value) => s with { LineStyle = value }),
        Of(new()
        {
            Id = "line-thickness", Name = "Line thickness", Group = Decoration, Kind = new LengthValues([]), Min = 0, Max = 40,
            Words = [new("as-browser", "usual", "auto"), new("as-font", "the font’s own", "from-font")],
        }, s => s.LineThickness, (s, value) => s with { LineThickness = value }),
        Of(new()
        {
            Id = "line-offset", Name = "Line offset", Group = Decoration, Kind = new LengthValues([]), Min = -40, Max = 80, Words = [new("as-browser", "usual", "auto")],
        }, s => s.LineOffset, (s, value) => s with { LineOffset = value }),
        Of(new() { Id = "line-color", Name = "Line colour", Group = Decoration, Kind = new ColorValues(), Words = [new("as-text", "as the text", "currentcolor")] }, s => s.LineColor, (s, value) => s with { LineColor = value }),
        Of(new()
        {
            Id = "numerals", Name = "Numerals", Group = Forms, Kind = new WordValues(),
            Words = [new("normal", "usual", "normal"), new("lining-nums", "lining", "lining-nums"), new("oldstyle-nums", "old-style", "oldstyle-nums")],
        }, s => s.Numerals, (s, value) => s with { Numerals = value }),
        Of(new()
        {
            Id = "numeral-widths", Name = "Numeral widths", Group = Forms, Kind = new WordValues(),
            Words = [new("normal", "usual", "normal"), new("proportional-nums", "proportional", "proportional-nums"), new("tabular-nums", "tabular", "tabular-nums")],
        }, s => s.NumeralWidths, (s, value) => s with { NumeralWidths = value }),
        Of(new()
        {
            Id = "fractions", Name = "Fractions", Group = Forms, Kind = new WordValues(),
            Words = [new("none", "as typed", "normal"), new("diagonal-fractions", "diagonal", "diagonal-fractions"), new("stacked-fractions", "stacked", "stacked-fractions")],
        }, s => s.Fractions, (s, value) => s with { Fractions = value }),
        Of(new()
        {
            Id = "ligatures", Name = "Ligatures", Group = Forms, Kind = new WordValues(),
            Words = [new("normal", "usual", "normal"), new("none", "none"), new("discretionary-ligatures", "decorative too", "discretionary-ligatures"), new("historical-ligatures", "historical too", "historical-ligatures")],
        }, s => s.Ligatures, (s, value) => s with { Ligatures = value }),
        Of(new() { Id = "axes", Name = "Axes", Group = Forms, Kind = new AxisValues(), Words = [new("normal", "usual", "normal")] }, s => s.Axes, (s, value) => s with { Axes = value }),
    ];

    protected override TextStyle Create(Site site, string id) => site.Type.Styles[0] with { Id = id };

    private static string Number(double number) => number.ToString("0.####", CultureInfo.InvariantCulture);

    private static string Range(ImmutableArray<FontFile> files) => string.Join(", ", files.Select(f => f.WeightFrom == f.WeightTo ? $"{f.WeightFrom}" : $"{f.WeightFrom}–{f.WeightTo}").Distinct());
}
