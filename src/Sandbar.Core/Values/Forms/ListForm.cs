using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Several values, with commas between them.</summary>
public sealed class ListForm : ValueForm<ListValue>
{
    protected override string Write(Site site, ListValue value) => string.Join(", ", value.Values.Select(v => ValueForms.Write(site, v)));

    protected override string Css(SiteReads reads, ListValue value, Value? rest) => string.Join(", ", value.Values.Select(v => ValueForms.Css(reads, v, rest)));

    protected override CssType? TypeOf(Site site, ListValue value, Value? rest) => CssType.List;
}
