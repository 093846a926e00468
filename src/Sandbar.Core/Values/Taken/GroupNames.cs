using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Names of groups: whatever is typed, in a line.</summary>
public sealed class GroupNames : ValueKind
{
    public override string Code => "group-name";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Keyword];

    public override Value Read(Typed typed) => Design.Names.Check(typed.Text, []) is { } bad ? throw new FormatException(bad.Message) : new WordValue(typed.Text);

    public override bool TakesWord(Setting setting, string code) => Design.Names.Check(code, []) is null;

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => $"{setting.Name} is a name.";

    protected override bool Refers(ReferenceKind kind) => false;
}
