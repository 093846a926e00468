using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Words. What they are called and what they become is known by the setting that takes them.</summary>
public sealed class WordForm : ValueForm<WordValue>
{
    protected override string Write(Site site, WordValue value) => value.Word;

    protected override string Css(SiteReads reads, WordValue value, Value? rest) => throw new InvalidOperationException($"Only a setting knows what {Quoted.Text(value.Word)} is.");

    protected override CssType? TypeOf(Site site, WordValue value, Value? rest) => CssType.Keyword;
}
