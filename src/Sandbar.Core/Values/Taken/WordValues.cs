using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>One of the setting's own words and nothing else.</summary>
/// <param name="besides">A further CSS property that follows from the word, and what it is by the word's code.</param>
public sealed class WordValues((string Property, Func<string, string> By)? besides = null) : ValueKind
{
    public override string Code => "word";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Keyword];

    public override Value Read(Typed typed) => throw new FormatException($"{typed.Setting.Name} takes {Sentence.OneOf(typed.Setting.Words.Select(w => w.Label))}.");

    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest) =>
        base.Declare(reads, setting, property, value, rest).Concat(besides is { } more ? [new(more.Property, more.By((value is WordValue ? value : rest ?? value).Code()))] : []);

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => $"{setting.Name} takes {Sentence.OneOf(setting.Words.Select(w => w.Label))}.";
}
