using System.Globalization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Numbers of one unit, which need not be typed.</summary>
/// <param name="unit">The unit; empty for plain numbers.</param>
public sealed class NumberValues(string unit = "") : ValueKind
{
    public override string Code => "number";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.OfUnit(unit) ?? CssType.Number];

    public override IEnumerable<string> Examples => [$"a number such as {(unit.Length == 0 ? "2" : $"20{unit}")}"];

    public override Value Read(Typed typed)
    {
        var text = unit.Length > 0 && typed.Text.EndsWith(unit, StringComparison.OrdinalIgnoreCase) ? typed.Text[..^unit.Length].TrimEnd() : typed.Text;
        var value = new ValueReader(typed with { Text = text }).Whole();
        return value is NumberValue { Unit: "" } number ? number with { Unit = unit } : value;
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        if (value is not NumberValue number || number.Unit != unit)
        {
            var isReckoned = value is OperationValue or RestValue && unit.Length == 0 && ValueForms.TypeOf(site, value, rest) == CssType.Number && !setting.IsWhole;
            return isReckoned ? Ranges.Folded(setting, value) : unit.Length == 0 ? $"{setting.Name} is a plain number, without a unit." : $"{setting.Name} is a number of {unit}.";
        }
        if (setting.IsWhole && number.Number != Math.Truncate(number.Number)) return $"{setting.Name} is a whole number.";
        return Ranges.Refusal(setting, number.Number, unit);
    }

    protected override bool Refers(ReferenceKind kind) => false;
}

/// <summary>Ranges of numbers.</summary>
internal static class Ranges
{
    /// <summary>Why a number is out of a setting's range; null where it is not.</summary>
    public static string? Refusal(Setting setting, decimal number, string unit = "")
    {
        if (number < setting.Min) return setting.Min == 0 ? $"{setting.Name} cannot be negative." : $"{setting.Name} is at least {Number(setting.Min)}{unit}.";
        return number > setting.Max ? $"{setting.Name} is at most {Number(setting.Max)}{unit}." : null;
    }

    /// <summary>The same for arithmetic over numbers of one unit alone, which comes to a number here already.</summary>
    public static string? Folded(Setting setting, Value value) => Fold(value) is { } number ? Refusal(setting, number.Number, number.Unit) : null;

    /// <summary>What arithmetic over plain numbers and one unit comes to; null where that is only known in the browser.</summary>
    public static NumberValue? Fold(Value value)
    {
        if (value is NumberValue number) return number;
        if (value is not OperationValue operation || Fold(operation.Left) is not { } left || Fold(operation.Right) is not { } right) return null;
        var unit = left.Unit.Length > 0 ? left.Unit : right.Unit;
        if (left.Unit != right.Unit && left.Unit.Length > 0 && right.Unit.Length > 0) return null;
        return operation.Operator switch
        {
            "+" => new(left.Number + right.Number, unit),
            "-" => new(left.Number - right.Number, unit),
            "*" => Product(left.Number, right.Number, unit),
            "/" when right.Number != 0 => new(left.Number / right.Number, unit),
            _ => null,
        };
    }

    private static NumberValue? Product(decimal a, decimal b, string unit) => Math.Abs((double)a * (double)b) < 1e20 ? new(a * b, unit) : null;

    private static string Number(decimal number) => number.ToString("0.####", CultureInfo.InvariantCulture);
}
