using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>A CSS colour as the designer gives it, referring to nothing.</summary>
public sealed class GivenColors : ValueKind
{
    public override string Code => "given-color";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Color];

    public override Value Read(Typed typed) => ColorText.TryParse(typed.Text, out _) ? new FixedColorValue(typed.Text) : throw new FormatException(ColorText.Unreadable(typed.Text));

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => value is FixedColorValue ? null : $"{setting.Name} is a CSS colour.";

    protected override bool Refers(ReferenceKind kind) => false;
}
