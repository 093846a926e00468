using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Values relative to Rest.</summary>
public sealed class RestForm : ValueForm<RestValue>
{
    public const string NoRest = "“rest” can be used in the other states: this is Rest itself, or nothing is set there.";

    protected override string Write(Site site, RestValue value) => value.Step == 0 ? "rest" : $"rest {StepText.Of(value.Step)}";

    protected override string Css(SiteReads reads, RestValue value, Value? rest) =>
        ValueForms.Css(reads, ValueForms.Moved(rest ?? throw new InvalidOperationException("There is no value at Rest."), value.Step));

    protected override CssType? TypeOf(Site site, RestValue value, Value? rest) => rest is null ? null : ValueForms.TypeOf(site, rest);

    protected override string? Refusal(Site site, RestValue value, Value? rest)
    {
        if (rest is null || rest.DependsOnRest()) return NoRest;
        // What has no tints and shades stays as it is: Rest may have become a gradient since.
        return StepText.IsStep(value.Step) ? null : StepText.Range;
    }
}
