using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Ratios of a scale: any number, or the name of a musical interval, which is how they are called in the trade (common practice, no published source).</summary>
public sealed class RatioValues : ValueKind
{
    private static readonly ImmutableArray<(string Name, decimal Ratio)> Intervals =
    [
        ("minor second", 1.067m), ("major second", 1.125m), ("minor third", 1.2m), ("major third", 1.25m), ("perfect fourth", 1.333m), ("augmented fourth", 1.414m), ("perfect fifth", 1.5m),
        ("golden section", 1.618m),
    ];

    private readonly NumberValues numbers = new();

    public override string Code => "ratio";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Number];

    public override Value Read(Typed typed) =>
        Intervals.FirstOrDefault(n => n.Name.Equals(typed.Text, StringComparison.OrdinalIgnoreCase)) is { Name: not null } named ? new NumberValue(named.Ratio, "") : numbers.Read(typed);

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => numbers.Refusal(site, setting, value, rest);

    public override IEnumerable<string> Suggested => Intervals.Select(n => n.Name);

    /// <summary>What a ratio is called; empty where it has no name.</summary>
    public static string NameOf(decimal ratio) => Intervals.FirstOrDefault(n => n.Ratio == ratio).Name ?? "";

    protected override bool Refers(ReferenceKind kind) => false;
}
