using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>References to the site's foundations.</summary>
public sealed class ReferenceForm : ValueForm<ReferenceValue>
{
    protected override string Write(Site site, ReferenceValue value) => Kinds.Of(value).NameOf(site, value);

    protected override string Css(SiteReads reads, ReferenceValue value, Value? rest) => $"var({reads.Token(value)})";

    protected override CssType? TypeOf(Site site, ReferenceValue value, Value? rest) => Kinds.Find(value.To)?.TypeOf(site, value);

    protected override string? Refusal(Site site, ReferenceValue value, Value? rest) => Kinds.Leads(site, value) ? null : "This value refers to something that is not there.";

    protected override Value Moved(ReferenceValue value, int step) => Kinds.Of(value).HasSteps ? value with { Step = StepText.Clamp(value.Step + step) } : value;
}
