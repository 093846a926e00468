using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Columns: how many of one width, or the shares of each, such as <c>2 : 1</c>.</summary>
public sealed class ColumnsValues : ValueKind
{
    private const int Most = 6, Largest = 24;

    public override string Code => "columns";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Tracks];

    public override IEnumerable<string> Examples => ["3", "2 : 1"];

    public override Value Read(Typed typed)
    {
        var shares = typed.Text.Split([':', ' ', ',', '/'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Select(t => new ValueReader(typed with { Text = t }).Whole()).ToArray();
        return shares switch { [] => throw typed.Unreadable(typed.Text), [var count] => count, _ => new RatioValue([.. shares]) };
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => value switch
    {
        NumberValue { Unit: "" } count when count.Number != Math.Truncate(count.Number) => $"{setting.Name} is a whole number, or shares such as 2 : 1.",
        NumberValue { Unit: "" } count => count.Number is >= 1 and <= Most ? null : $"There are one to {Most} columns.",
        RatioValue { Shares.Length: > Most } => $"There are at most {Most} columns.",
        RatioValue { Shares.Length: > 1 } ratio when ratio.Shares.All(s => s is NumberValue { Unit: "", Number: > 0 and <= Largest }) => null,
        RatioValue => $"Each column takes a share above 0, up to {Largest}.",
        _ => $"{setting.Name} takes how many there are, such as 3, or the share of each, such as 2 : 1.",
    };

    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue && rest is not null ? rest : value;
        return [new(property, meant is RatioValue ? ValueForms.Css(reads, meant) : $"repeat({ValueForms.Css(reads, meant)}, minmax(0, 1fr))")];
    }

    protected override bool Refers(ReferenceKind kind) => false;
}
