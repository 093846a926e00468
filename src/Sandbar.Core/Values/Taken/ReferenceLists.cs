using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Any number of things of one kind, with commas between them.</summary>
/// <param name="kind">Code of the kind.</param>
public sealed class ReferenceLists(string kind) : ValueKind
{
    public override string Code => $"{kind}-list";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.List];

    public override Value Read(Typed typed) => new ListValue(
        [.. typed.Text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(name => (Value)(Kind.Read(typed.Site, name) ?? throw new FormatException($"No {Kind.Name} is called {Quoted.Text(name)}.")))]);

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) =>
        value is ListValue list && list.Values.All(v => v is ReferenceValue { Step: 0 } r && r.To == kind) ? null : $"{setting.Name} takes names of {Kind.Plural}, with commas between them.";

    public override IEnumerable<ReferenceKind> Offered => [Kind];

    private ReferenceKind Kind => Kinds.Find(kind)!;
}
