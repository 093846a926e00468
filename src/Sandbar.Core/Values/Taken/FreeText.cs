using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Words of the designer's own, in a line.</summary>
public sealed class FreeText : ValueKind
{
    public override string Code => "text";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Keyword];

    public override Value Read(Typed typed) => new WordValue(IsLine(typed.Text) ? typed.Text : throw new FormatException($"{typed.Setting.Name} holds a character that cannot be shown."));

    public override bool TakesWord(Setting setting, string code) => code.Length <= Setting.LongestText && IsLine(code);

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => $"{setting.Name} is a text.";

    protected override bool Refers(ReferenceKind kind) => false;

    private static bool IsLine(string text) => !text.Any(char.IsControl);
}
