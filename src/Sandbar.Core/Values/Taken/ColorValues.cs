using Sandbar.Core.Design;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>A role or a colour of the palette with its step, or any CSS colour; of fills also named gradients.</summary>
public sealed class ColorValues(bool fills = false) : ValueKind
{
    public override string Code => fills ? "fill" : "color";

    public override IReadOnlyList<CssType> Types { get; } = fills ? [CssType.Color, CssType.Image] : [CssType.Color];

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

    /// <summary>A gradient runs over the whole box, edges included: what is translucent there lies over it as it goes on. It may be several images, so that they are said apart.</summary>
    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        var css = setting.Css(reads, value, rest);
        return fills && property == "background" && ValueForms.TypeOf(reads.Site, meant) == CssType.Image ? [new(property, "border-box"), new("background-image", css)] : [new(property, css)];
    }

    /// <summary>Roles first: what refers to them follows the scheme.</summary>
    public override IEnumerable<ReferenceKind> Offered => References.OrderBy(kind => kind.Code == "role" ? 0 : 1);
}
