using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>A role or a colour of the palette with its step, or any CSS colour.</summary>
/// <param name="fills">What is taken beside colours: named gradients, backgrounds, pictures.</param>
public sealed class ColorValues(params CssType[] fills) : ValueKind
{
    /// <summary>Every fill, where there is room for layers behind what a box holds.</summary>
    public static ValueKind Grounds { get; } = new ColorValues(CssType.Image, CssType.Background, CssType.Layers);

    public override string Code => fills.Contains(CssType.Background) ? "fill" : fills.Length > 0 ? "image" : "color";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Color, .. fills];

    public override Value Read(Typed typed)
    {
        if (Named(typed.Site, typed.Text) is { } reference) return reference;
        var (name, step) = StepText.Read(typed.Text);
        if (name.Equals("rest", StringComparison.OrdinalIgnoreCase))
        {
            if (typed.Rest is { } rest && ValueForms.TypeOf(typed.Site, rest) != CssType.Color) throw new FormatException($"At Rest this is {typed.Setting.Write(typed.Site, rest)}: it has no tints and shades.");
            return new RestValue(step);
        }
        if (step == 0 && ColorText.TryParse(typed.Text, out _)) return new FixedColorValue(typed.Text);
        var roles = Kinds.Find("role")!.Names(typed.Site);
        throw new FormatException($"No role or colour is called {Quoted.Text(name)}, and it is not a CSS colour. Roles here: {Sentence.OneOf(roles)}.");
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) =>
        ValueForms.TypeOf(site, value, rest) == CssType.Layers && !Types.Contains(CssType.Layers) && Types.Contains(CssType.Background)
            ? $"{ValueForms.Write(site, value)} holds a picture or clip, which takes room behind what a section, a group, a card, the header or the footer holds: there is none here."
            : base.Refusal(site, setting, value, rest);

    /// <summary>A fill runs over the whole box, edges included: what is translucent there lies over it as it goes on. It may be several images, so that they are said apart.</summary>
    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        var type = ValueForms.TypeOf(reads.Site, meant);
        if (property != "background" || type is null || !fills.Contains(type)) return [new(property, setting.Css(reads, value, rest))];
        // It is another way of painting once it holds no picture: what is written is read from it whole.
        if (meant is ReferenceValue { To: BackgroundKind.Kind } worn && reads.Thing<Background>(worn) is var background && type == CssType.Layers) return [new(property, "none")];
        var css = setting.Css(reads, value, rest);
        Declared[] image = [new(property, "border-box"), new("background-image", css)];
        return type == CssType.Background ? [.. image, new("background-blend-mode", $"var({reads.Token((ReferenceValue)meant)}-blend)")] : image;
    }

    /// <summary>Roles first: what refers to them follows the scheme.</summary>
    public override IEnumerable<ReferenceKind> Offered => References.OrderBy(kind => kind.Code == "role" ? 0 : 1);
}
