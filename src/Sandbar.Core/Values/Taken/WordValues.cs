using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>One of the setting's own words and nothing else.</summary>
public sealed class WordValues : ValueKind
{
    public override string Code => "word";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Keyword];

    public override Value Read(Typed typed) => throw new FormatException($"{typed.Setting.Name} takes {Sentence.OneOf(typed.Setting.Words.Select(w => w.Label))}.");

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => $"{setting.Name} takes {Sentence.OneOf(setting.Words.Select(w => w.Label))}.";
}
