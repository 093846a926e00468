using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Shares of a width, as tracks of a grid (CSS Grid Layout 2, §7.2): none grows with what stands in it.</summary>
public sealed class RatioForm : ValueForm<RatioValue>
{
    protected override string Write(Site site, RatioValue value) => string.Join(" : ", value.Shares.Select(v => ValueForms.Write(site, v)));

    protected override string Css(SiteReads reads, RatioValue value, Value? rest) => string.Join(' ', value.Shares.Select(v => $"minmax(0, {ValueForms.Css(reads, v)}fr)"));

    protected override CssType? TypeOf(Site site, RatioValue value, Value? rest) => CssType.Tracks;
}
