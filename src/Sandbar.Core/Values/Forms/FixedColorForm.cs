using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>Colours named directly.</summary>
public sealed class FixedColorForm : ValueForm<FixedColorValue>
{
    protected override string Write(Site site, FixedColorValue value) => value.Css;

    protected override string Css(SiteReads reads, FixedColorValue value, Value? rest) => ReleasedColor.Css(value.Css);

    protected override CssType? TypeOf(Site site, FixedColorValue value, Value? rest) => CssType.Color;

    protected override string? Refusal(Site site, FixedColorValue value, Value? rest) => ColorText.TryParse(value.Css, out _) ? null : ColorText.Unreadable(value.Css);

    protected override Value Moved(FixedColorValue value, int step) =>
        new FixedColorValue(ColorText.Hex(Steps.Of(ReleasedColor.Of(value.Css)).At(StepText.Clamp(step))));
}
