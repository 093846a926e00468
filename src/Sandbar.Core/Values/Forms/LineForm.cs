using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Lines that have no name: width, style and colour, as in CSS.</summary>
public sealed class LineForm : ValueForm<LineValue>
{
    /// <summary>The styles of lines (CSS Backgrounds and Borders 3, §3.2), as they are called there.</summary>
    public static readonly ImmutableArray<string> Styles = ["none", "hidden", "solid", "dashed", "dotted", "double", "groove", "ridge", "inset", "outset"];

    protected override string Write(Site site, LineValue value) => $"{ValueForms.Write(site, value.Width)} {value.Style} {ValueForms.Write(site, value.Color)}";

    protected override string Css(SiteReads reads, LineValue value, Value? rest) => $"{ValueForms.Css(reads, value.Width)} {value.Style} {ValueForms.Css(reads, value.Color)}";

    protected override CssType? TypeOf(Site site, LineValue value, Value? rest) => CssType.Line;

    protected override string? Refusal(Site site, LineValue value, Value? rest) =>
        !Styles.Contains(value.Style) ? $"{Quoted.Text(value.Style)} is no style of a line: use {Sentence.OneOf(Styles)}."
        : value.DependsOnRest() ? "A line that is typed does not refer to Rest."
        : value.Width is not NumberValue { Number: 0 } && ValueForms.TypeOf(site, value.Width) != CssType.Length ? "The width of a line is a length."
        : ValueForms.TypeOf(site, value.Color) != CssType.Color ? "The colour of a line is a role or a colour."
        : value.Width.WithInner().Any(v => v is NumberValue { Unit: "%" }) ? "The width of a line cannot be a percentage."
        : Ranges.Fold(value.Width) is { Number: < 0 or > 1000 } ? "The width of a line lies between 0 and 1000."
        : null;
}
