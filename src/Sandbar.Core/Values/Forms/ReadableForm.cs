using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Whatever reads best on a role. Only schemes hold it, and they resolve it.</summary>
public sealed class ReadableForm : ValueForm<ReadableValue>
{
    /// <summary>How it begins when it is typed.</summary>
    public const string Begin = "readable on ";

    protected override string Write(Site site, ReadableValue value) => Begin + ValueForms.Write(site, value.On);

    protected override string Css(SiteReads reads, ReadableValue value, Value? rest) => throw new InvalidOperationException("Only a scheme resolves what reads best.");

    /// <summary>Outside a scheme it is no value of CSS.</summary>
    protected override CssType? TypeOf(Site site, ReadableValue value, Value? rest) => null;
}
