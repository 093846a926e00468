using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>
/// What a colour of the palette is: any CSS colour, a mix (<c>mix leaf, husk 30% in oklab</c>), or another one moved (<c>move leaf, lightness +10, hue −20</c>).
/// </summary>
public sealed partial class PaletteColors : ValueKind
{
    public override string Code => "palette-color";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Color];

    public override Value Read(Typed typed)
    {
        if (typed.Text.StartsWith(MixForm.Begin, StringComparison.OrdinalIgnoreCase)) return Mix(typed.Site, typed.Text[MixForm.Begin.Length..]);
        if (typed.Text.StartsWith(MovedColorForm.Begin, StringComparison.OrdinalIgnoreCase)) return Moved(typed.Site, typed.Text[MovedColorForm.Begin.Length..]);
        return ColorText.TryParse(typed.Text, out _) ? new FixedColorValue(typed.Text) : throw new FormatException(ColorText.Unreadable(typed.Text));
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => value switch
    {
        FixedColorValue => null,
        MixValue or MovedColorValue when value.Inner.All(v => v is FixedColorValue or ReferenceValue { To: "color" }) => null,
        _ => $"{setting.Name} is a CSS colour, a mix of two, or another one moved.",
    };

    /// <summary>Nothing is offered: only within a mix or a move a colour is named.</summary>
    public override IEnumerable<ReferenceKind> Offered => [];

    protected override bool Refers(ReferenceKind kind) => kind.Code == "color";

    private MixValue Mix(Site site, string text)
    {
        var match = MixEnd().Match(text);
        if (!match.Success) throw new FormatException("A mix is two colours and a share: “mix leaf, husk 30%”.");
        var space = match.Groups["space"] is { Success: true } named ? named.Value.ToLowerInvariant() : MixForm.UsualSpace;
        var colors = text[..match.Index];
        // Names may hold commas: the first place between two colours that are there.
        var commas = Enumerable.Range(0, colors.Length).Where(i => colors[i] == ',').ToList();
        foreach (var comma in commas)
        {
            if (Colour(site, colors[..comma]) is { } one && Colour(site, colors[(comma + 1)..]) is { } other) return new(one, other, Number(match.Groups["share"].Value), space);
        }
        throw commas.Count == 0 ? new FormatException("A mix is two colours and a share: “mix leaf, husk 30%”.") : Unknown(site, colors.Split(',').First(c => Colour(site, c) is null));
    }

    private MovedColorValue Moved(Site site, string text)
    {
        var match = Moves().Match(text);
        var of = text[..match.Index];
        decimal By(string what) => match.Groups["what"].Captures.Zip(match.Groups["by"].Captures).LastOrDefault(m => m.First.Value.Equals(what, StringComparison.OrdinalIgnoreCase)) is { Second: { } by } ? Number(by.Value) : 0;
        return new(Colour(site, of) ?? throw Unknown(site, of), By("lightness"), By("chroma"), By("hue"));
    }

    private Value? Colour(Site site, string text) => Named(site, text.Trim()) ?? (ColorText.TryParse(text.Trim(), out _) ? (Value)new FixedColorValue(text.Trim()) : null);

    private static FormatException Unknown(Site site, string text) =>
        new($"No colour is called {Quoted.Text(text.Trim())}, and it is not a CSS colour. There are {Sentence.OneOf(Kinds.Find("color")!.Names(site))}.");

    private static decimal Number(string text) =>
        decimal.TryParse(text.Replace('−', '-'), NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number) ? number : throw new FormatException($"{text} is too large.");

    [GeneratedRegex(@"\s(?<share>[-−+]?(?:\d+\.?\d*|\.\d+))\s*%(?:\s+in\s+(?<space>[a-z0-9-]+))?\s*\z", RegexOptions.IgnoreCase)]
    private static partial Regex MixEnd();

    [GeneratedRegex(@"(?:\s*,\s*(?<what>lightness|chroma|hue)\s+(?<by>[-−+]?(?:\d+\.?\d*|\.\d+)))*\s*\z", RegexOptions.IgnoreCase)]
    private static partial Regex Moves();
}
