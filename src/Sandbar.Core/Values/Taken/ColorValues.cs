using Sandbar.Core.Design;
using Sandbar.Css;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>A role or a colour of the palette with its step, or any CSS colour.</summary>
/// <param name="images">Whether named gradients are taken, too.</param>
/// <param name="fills">Whether all fills are: gradients and backgrounds.</param>
public sealed class ColorValues(bool fills = false, bool images = false) : ValueKind
{
    public override string Code => fills ? "fill" : images ? "image" : "color";

    public override IReadOnlyList<CssType> Types { get; } = fills ? [CssType.Color, CssType.Image, CssType.Background] : images ? [CssType.Color, CssType.Image] : [CssType.Color];

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

    /// <summary>A fill runs over the whole box, edges included: what is translucent there lies over it as it goes on. It may be several images, so that they are said apart.</summary>
    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        var css = setting.Css(reads, value, rest);
        var type = ValueForms.TypeOf(reads.Site, meant);
        if (!fills || property != "background" || (type != CssType.Image && type != CssType.Background)) return [new(property, css)];
        Declared[] image = [new(property, "border-box"), new("background-image", css)];
        return type == CssType.Background ? [.. image, new("background-blend-mode", $"var({reads.Token((ReferenceValue)meant)}-blend)")] : image;
    }

    /// <summary>Roles first: what refers to them follows the scheme.</summary>
    public override IEnumerable<ReferenceKind> Offered => References.OrderBy(kind => kind.Code == "role" ? 0 : 1);
}
