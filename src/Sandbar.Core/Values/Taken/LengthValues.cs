using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A length: a number with a unit, a space or size or named radius, or arithmetic over them.</summary>
/// <param name="named">Codes of the kinds that are offered; all that are lengths can be typed in arithmetic.</param>
/// <param name="plain">Range of plain numbers that are taken as times something; null where a plain number means px.</param>
public sealed class LengthValues(IReadOnlyList<string> named, (decimal Min, decimal Max)? plain = null) : ValueKind
{
    /// <summary>What most lengths are chosen from.</summary>
    public static readonly LengthValues Spaces = new(["space"]);

    public override string Code => "length";

    public override IReadOnlyList<CssType> Types { get; } = plain is null ? [CssType.Length] : [CssType.Length, CssType.Number];

    public override IEnumerable<string> Examples => ["a length such as 12px"];

    public override Value Read(Typed typed)
    {
        var value = new ValueReader(typed).Whole();
        return plain is null && value is NumberValue { Unit: "", Number: not 0 } number ? number with { Unit = "px" } : value;
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        if (value is NumberValue { Unit: "" } times && plain is { } range)
            return times.Number >= range.Min && times.Number <= range.Max ? null : $"{setting.Name} without a unit lies between {range.Min} and {range.Max} times the size.";
        if (plain is null && value is NumberValue { Unit: "", Number: 0 }) return setting.Min <= 0 ? null : Ranges.Refusal(setting, 0);
        return value is NumberValue number && CssType.OfUnit(number.Unit) == CssType.Length ? Ranges.Refusal(setting, number.Number)
            : base.Refusal(site, setting, value, rest) ?? Ranges.Folded(setting, value);
    }

    public override IEnumerable<ReferenceKind> Offered => named.Select(code => Kinds.Find(code)!);
}
