using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>A contrast that must be reached: a number, or what it is asked for (WCAG 2.2, 1.4.3, 1.4.6 and 1.4.11).</summary>
public sealed class ContrastTargets : ValueKind
{
    private static readonly IReadOnlyList<(string Name, decimal Ratio)> Usual = [("text AA", (decimal)Contrast.Text), ("text AAA", 7), ("lines and marks", 3), ("none", 0)];

    public override string Code => "contrast";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Number];

    public override IEnumerable<string> Suggested => Usual.Select(u => u.Name);

    /// <summary>What a ratio is asked for; empty where it is no usual one.</summary>
    public static string NameOf(decimal ratio) => Usual.FirstOrDefault(u => u.Ratio == ratio).Name ?? "";

    public override Value Read(Typed typed)
    {
        if (Usual.FirstOrDefault(u => u.Name.Equals(typed.Text, StringComparison.OrdinalIgnoreCase)) is { Name: not null } usual) return new NumberValue(usual.Ratio, "");
        return decimal.TryParse(typed.Text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var ratio) ? new NumberValue(ratio, "") : throw typed.Unreadable(typed.Text);
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) =>
        value is NumberValue { Unit: "" } number ? Ranges.Refusal(setting, number.Number) : $"{setting.Name} is a number from {setting.Min} to {setting.Max}.";

    protected override bool Refers(ReferenceKind kind) => false;
}
