using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Named sets of type settings. The first is the text of the page itself.</summary>
public sealed class TextStyleKind : NamedKind<TextStyle>
{
    public const string Kind = "textStyle";

    /// <summary>The property each field becomes.</summary>
    private static readonly Dictionary<string, string> CssNames = new(StringComparer.Ordinal)
    {
        ["family"] = "font-family", ["size"] = "font-size", ["weight"] = "font-weight", ["slant"] = "font-style", ["line-height"] = "line-height",
        ["letter-spacing"] = "letter-spacing", ["case"] = "text-transform",
    };

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
    public IEnumerable<(string Name, string Css)> Declarations(SiteReads reads, TextStyle style) =>
        Fields(reads.Site).Select(field => (CssNames[field.Id], field.Setting.Css(reads, field.Get(style))));

    public override string? Stays(Site site, IListed thing) => site.Type.Styles[0].Id == thing.Id ? $"{((TextStyle)thing).Name} is the text of the page itself and cannot go." : null;

    public override string Note(Site site, ReferenceValue reference) => ValueForms.Write(site, Get(site, reference.Id).Size);

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field)
    {
        var style = (TextStyle)thing;
        return field.Id switch
        {
            "weight" => Enumerable.Range(1, 9).Select(n => n * 100).Where(w => Has(Letters(site, style), w)).Select(w => w.ToString(CultureInfo.InvariantCulture)),
            // What is in use: common practice, no published source.
            "line-height" => ["1.1", "1.25", "1.4", "1.5", "1.6"],
            "letter-spacing" => ["0", "-0.01em", "0.04em", "0.08em"],
            _ => null,
        };
    }

    public override string Note(Site site, IListed thing, Field field)
    {
        var style = (TextStyle)thing;
        var family = Letters(site, style);
        return field.Id switch
        {
            "weight" when !Has(family, (int)style.Weight.Amount()) => $"{family!.Name} has {Range(family.Files)}",
            "slant" when style.Slant.Code() == "italic" && family is { Files.Length: > 0 } && !family.Files.Any(f => f.Italic) => "slanted by the browser",
            "size" when style.Size is ReferenceValue size => $"{Kinds.Of(size).Note(site, size)}px",
            _ => "",
        };
    }

    /// <summary>The family a style is set in.</summary>
    public static Family? Letters(Site site, TextStyle style) => style.Family is ReferenceValue family ? site.Type.Families.Find(family.Id) : null;

    protected override Site With(Site site, ImmutableArray<TextStyle> things) => site with { Type = site.Type with { Styles = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "family", Name = "Family", Kind = new ReferenceValues(CssType.Family) }, s => s.Family, (s, value) => s with { Family = value }),
        Of(new() { Id = "size", Name = "Size", Kind = new LengthValues([SizeKind.Kind]), Min = 1, Max = 400 }, s => s.Size, (s, value) => s with { Size = value }),
        Of(new() { Id = "weight", Name = "Weight", Kind = new NumberValues(), Min = 1, Max = 1000, IsWhole = true }, s => s.Weight, (s, value) => s with { Weight = value }),
        Of(new() { Id = "line-height", Name = "Line height", Kind = new LengthValues([], plain: (0.5m, 5)), Min = 0.5m, Max = 400 }, s => s.LineHeight, (s, value) => s with { LineHeight = value }),
        Of(new() { Id = "letter-spacing", Name = "Letter spacing", Kind = new LengthValues([]), Min = -20, Max = 100 }, s => s.LetterSpacing, (s, value) => s with { LetterSpacing = value }),
        Of(new()
        {
            Id = "case", Name = "Case", Kind = new WordValues(),
            Words = [new("none", "as typed", "none"), new("uppercase", "capitals", "uppercase"), new("lowercase", "small letters", "lowercase"), new("capitalize", "first letters capital", "capitalize")],
        }, s => s.Case, (s, value) => s with { Case = value }),
        Of(new() { Id = "slant", Name = "Slant", Kind = new WordValues(), Words = [new("upright", "normal"), new("italic", "italic")] }, s => s.Slant, (s, value) => s with { Slant = value }),
    ];

    protected override TextStyle Create(Site site, string id) => site.Type.Styles[0] with { Id = id };

    private static bool Has(Family? family, int weight) => family is not { Files.Length: > 0 } || family.Files.Any(f => f.WeightFrom <= weight && weight <= f.WeightTo);

    private static string Range(ImmutableArray<FontFile> files) => string.Join(", ", files.Select(f => f.WeightFrom == f.WeightTo ? $"{f.WeightFrom}" : $"{f.WeightFrom}–{f.WeightTo}"));
}
