using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A length: a number with a unit, a space or size or named radius, or arithmetic over them.</summary>
/// <param name="named">Codes of the kinds that are offered; all that are lengths can be typed in arithmetic.</param>
/// <param name="plain">Range of plain numbers that are taken as times something; null where a plain number means px.</param>
/// <param name="percent">Whether it may be a percentage, which is of something only where the property says of what.</param>
public sealed class LengthValues(IReadOnlyList<string> named, (decimal Min, decimal Max)? plain = null, bool percent = true) : ValueKind
{
    /// <summary>What most lengths are chosen from.</summary>
    public static readonly LengthValues Spaces = new(["space"]);

    /// <summary>What lengths of pages are chosen from: the page's own measures too.</summary>
    public static readonly LengthValues OfPages = new(["space", "pageMeasure"]);

    /// <summary>The same where there is nothing that a percentage could be of.</summary>
    public static readonly LengthValues Lengths = new(["space"], percent: false);

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
        if (!percent && value.WithInner().Any(v => v is NumberValue { Unit: "%" })) return $"{setting.Name} cannot be a percentage.";
        if (value is NumberValue { Unit: "" } times && plain is { } range)
            return times.Number >= range.Min && times.Number <= range.Max ? null : $"{setting.Name} without a unit lies between {range.Min} and {range.Max} times the size.";
        if (plain is null && value is NumberValue { Unit: "", Number: 0 }) return setting.Min <= 0 ? null : Ranges.Refusal(setting, 0);
        return value is NumberValue number && CssType.OfUnit(number.Unit) == CssType.Length ? Ranges.Refusal(setting, number.Number)
            : base.Refusal(site, setting, value, rest) ?? Ranges.Folded(setting, value);
    }

    public override IEnumerable<ReferenceKind> Offered => named.Select(code => Kinds.Find(code)!);
}
