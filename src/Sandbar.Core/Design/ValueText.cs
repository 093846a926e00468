using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Colors;
using Sandbar.Core.Typography;

namespace Sandbar.Core.Design;

/// <summary>Values as a designer types and reads them: <c>action shade 1</c>, <c>space 3 * 2</c>, <c>12px 22px</c>, <c>rest shade 1</c>.</summary>
public static partial class ValueText
{
    private static readonly string[] Units = ["px", "rem", "em", "%", "vw", "vh", "ch"];

    private const int LongestText = 200;

    /// <summary>Reads what was typed into a cell.</summary>
    /// <param name="rest">The value the cell inherits from Rest; null in Rest's own column.</param>
    /// <exception cref="FormatException">It cannot be read or is out of range; the message says why and what would do.</exception>
    public static Value Read(Site site, PartProperty property, string text, Value? rest = null)
    {
        var typed = text.Trim();
        if (typed.Length == 0) throw new FormatException("Nothing was typed. Press Delete to return to the inherited value.");
        if (typed.Length > LongestText) throw new FormatException($"That is longer than {LongestText} characters.");
        if (property.Words.Keys.FirstOrDefault(w => w.Equals(typed, StringComparison.OrdinalIgnoreCase)) is { } word) return new WordValue(word);
        var reader = new Reader(site, property, typed, rest);
        return property.Kind switch
        {
            ValueKind.Word => throw new FormatException($"{property.Name} takes {OneOf(property.Words.Keys)}."),
            ValueKind.Color => reader.Color(),
            ValueKind.Fill => reader.Fill(),
            ValueKind.TextStyle => reader.Named(site.Typography.Styles, ReferenceKind.TextStyle, s => s.Name, "text style"),
            ValueKind.Border => reader.Named(site.Edges.Borders, ReferenceKind.Border, b => b.Name, "border"),
            ValueKind.Shadow => reader.Named(site.Edges.Shadows, ReferenceKind.Shadow, s => s.Name, "shadow"),
            ValueKind.Radius => reader.NamedOrLength(),
            ValueKind.Sides => reader.Sides(),
            _ => reader.Single(),
        };
    }

    /// <summary>A value as the designer reads it.</summary>
    public static string Write(Site site, Value value) => value switch
    {
        NumberValue number => number.Number.ToString("0.####", CultureInfo.InvariantCulture) + number.Unit,
        WordValue word => word.Word,
        FixedColorValue color => color.Css,
        RestValue { Step: 0 } => "rest",
        RestValue rest => $"rest {StepText(rest.Step)}",
        OperationValue operation => $"{Operand(site, operation.Left)} {operation.Operator} {Operand(site, operation.Right)}",
        SidesValue sides => string.Join(" ", Shortest(sides).Select(v => v is OperationValue ? $"({Write(site, v)})" : Write(site, v))),
        ReferenceValue reference => Name(site, reference),
        _ => throw new ArgumentOutOfRangeException(nameof(value)),
    };

    /// <summary>A step in words: <c>tint 2</c>, <c>shade 1</c>; empty for the base.</summary>
    public static string StepText(int step) => step == 0 ? "" : step > 0 ? $"tint {step}" : $"shade {-step}";

    /// <summary>Everything that can be named in a cell of a property, most fitting first.</summary>
    public static IEnumerable<string> Names(Site site, PartProperty property) => property.Words.Keys.Concat(property.Kind switch
    {
        ValueKind.Color => ColorNames(site),
        ValueKind.Fill => ColorNames(site).Concat(site.Fills.Gradients.Select(g => g.Name)),
        ValueKind.TextStyle => site.Typography.Styles.Select(s => s.Name),
        ValueKind.Border => site.Edges.Borders.Select(b => b.Name),
        ValueKind.Shadow => site.Edges.Shadows.Select(s => s.Name),
        ValueKind.Radius => site.Edges.Radii.Select(r => r.Name),
        ValueKind.Length or ValueKind.Sides => Enumerable.Range(1, site.Spacing.Steps.Length).Select(n => $"space {n}"),
        _ => [],
    });

    /// <summary>What a name comes to, as a hint beside it; empty where the name says it all.</summary>
    public static string Note(Site site, Value value) => value switch
    {
        ReferenceValue { To: ReferenceKind.Space } space => $"{site.Spacing.Steps[space.Step - 1]:0.####} px",
        ReferenceValue { To: ReferenceKind.Radius } radius => Write(site, site.Edges.Radii.Get(radius.Id).Size),
        ReferenceValue { To: ReferenceKind.Border } border => Write(site, site.Edges.Borders.Get(border.Id).Width),
        ReferenceValue { To: ReferenceKind.TextStyle } style => Write(site, site.Typography.Styles.Get(style.Id).Size),
        SidesValue sides when Shortest(sides).All(v => v is ReferenceValue { To: ReferenceKind.Space } or NumberValue) =>
            string.Join(" · ", Shortest(sides).Select(v => v is ReferenceValue space ? $"{site.Spacing.Steps[space.Step - 1]:0.####}" : Write(site, v).Replace("px", "", StringComparison.Ordinal))) + " px",
        _ => "",
    };

    private static IEnumerable<string> ColorNames(Site site) => site.Palette.Roles.Select(r => r.Name).Concat(site.Palette.Colors.Select(c => c.Name));

    private static string Name(Site site, ReferenceValue reference)
    {
        var name = reference.To switch
        {
            ReferenceKind.Color => site.Palette.Colors.Get(reference.Id).Name,
            ReferenceKind.Role => site.Palette.Roles.Get(reference.Id).Name,
            ReferenceKind.Size => $"size {Scale.Label(reference.Step)}",
            ReferenceKind.Space => $"space {reference.Step}",
            ReferenceKind.TextStyle => site.Typography.Styles.Get(reference.Id).Name,
            ReferenceKind.Border => site.Edges.Borders.Get(reference.Id).Name,
            ReferenceKind.Radius => site.Edges.Radii.Get(reference.Id).Name,
            ReferenceKind.Shadow => site.Edges.Shadows.Get(reference.Id).Name,
            ReferenceKind.Gradient => site.Fills.Gradients.Get(reference.Id).Name,
            _ => throw new ArgumentOutOfRangeException(nameof(reference)),
        };
        return reference.To is ReferenceKind.Color or ReferenceKind.Role && reference.Step != 0 ? $"{name} {StepText(reference.Step)}" : name;
    }

    private static string Operand(Site site, Value value) => value is OperationValue ? $"({Write(site, value)})" : Write(site, value);

    private static IEnumerable<Value> Shortest(SidesValue s)
    {
        if (s.Left != s.Right) return [s.Top, s.Right, s.Bottom, s.Left];
        if (s.Bottom != s.Top) return [s.Top, s.Right, s.Bottom];
        return s.Right != s.Top ? [s.Top, s.Right] : [s.Top];
    }

    private static string OneOf(IEnumerable<string> words)
    {
        var all = words.ToList();
        return all.Count < 2 ? string.Concat(all) : $"{string.Join(", ", all.SkipLast(1))} or {all[^1]}";
    }

    [GeneratedRegex(@"\G\s*(?:(?<number>[-−+]?(?:\d+\.?\d*|\.\d+))(?<unit>%|[a-z]+)?|(?<word>[\p{L}_][\p{L}\p{Nd}_'’\-]*)|(?<mark>[-−+*×/()·,]))", RegexOptions.IgnoreCase)]
    private static partial Regex Piece();

    [GeneratedRegex(@"^(?<name>.*?)(?:\s+(?<way>tint|shade)\s*(?<step>\d+))?$", RegexOptions.IgnoreCase)]
    private static partial Regex ColorWithStep();

    /// <summary>Reads one cell.</summary>
    private sealed class Reader(Site site, PartProperty property, string text, Value? rest)
    {
        private int at;

        public Value Color()
        {
            var match = ColorWithStep().Match(text);
            var name = match.Groups["name"].Value.Trim();
            var step = match.Groups["step"].Success ? int.Parse(match.Groups["step"].Value, CultureInfo.InvariantCulture) : 0;
            if (match.Groups["way"].Value.Equals("shade", StringComparison.OrdinalIgnoreCase)) step = -step;
            if (step is > Steps.TintCount or < -Steps.ShadeCount) throw new FormatException($"There are {Steps.TintCount} tints and {Steps.ShadeCount} shades.");
            if (name.Equals("rest", StringComparison.OrdinalIgnoreCase)) return Rest(step);
            if (site.Palette.Roles.FirstOrDefault(r => Same(r.Name, name)) is { } role) return new ReferenceValue(ReferenceKind.Role, role.Id, step);
            if (site.Palette.Colors.FirstOrDefault(c => Same(c.Name, name)) is { } color) return new ReferenceValue(ReferenceKind.Color, color.Id, step);
            if (step == 0 && ColorText.TryParse(text, out _)) return new FixedColorValue(text);
            throw new FormatException($"No role or colour is called “{name}”, and it is not a CSS colour. Roles here: {OneOf(site.Palette.Roles.Select(r => r.Name))}.");
        }

        public Value Fill() => site.Fills.Gradients.FirstOrDefault(g => Same(g.Name, text)) is { } gradient
            ? new ReferenceValue(ReferenceKind.Gradient, gradient.Id, 0)
            : Color();

        public Value Named<T>(IEnumerable<T> list, ReferenceKind kind, Func<T, string> name, string called)
            where T : IListed
        {
            if (Same(text, "rest")) return Rest(0);
            var items = list.ToList();
            var found = items.FirstOrDefault(i => Same(name(i), text));
            return found is not null ? new ReferenceValue(kind, found.Id, 0)
                : throw new FormatException($"No {called} is called “{text}”. There are {OneOf(property.Words.Keys.Concat(items.Select(name)))}.");
        }

        public Value NamedOrLength() => site.Edges.Radii.FirstOrDefault(r => Same(r.Name, text)) is { } radius
            ? new ReferenceValue(ReferenceKind.Radius, radius.Id, 0)
            : Single();

        public Value Single()
        {
            var value = Sum();
            if (!IsAtEnd()) throw new FormatException($"“{text[at..].Trim()}” was not expected here.");
            return Checked(value);
        }

        public Value Sides()
        {
            var sides = new List<Value>();
            while (!IsAtEnd())
            {
                if (Mark() is '·' or ',') Take();
                sides.Add(Checked(Sum()));
            }
            return sides switch
            {
                [var all] => all is RestValue ? all : new SidesValue(all, all, all, all),
                [var block, var inline] => new SidesValue(block, inline, block, inline),
                [var top, var inline, var bottom] => new SidesValue(top, inline, bottom, inline),
                [var top, var right, var bottom, var left] => new SidesValue(top, right, bottom, left),
                _ => throw new FormatException($"{property.Name} takes one to four values, for top, right, bottom and left."),
            };
        }

        private RestValue Rest(int step)
        {
            if (rest is null) throw new FormatException("“rest” can be used in the other states: this is Rest itself, or nothing is set there.");
            if (step != 0 && rest is WordValue or ReferenceValue { To: ReferenceKind.Gradient }) throw new FormatException($"At Rest this is {Write(site, rest)}: it has no tints and shades.");
            return new(step);
        }

        private Value Sum()
        {
            var left = Product();
            while (Mark() is '+' or '-' or '−' && SpacedMark())
            {
                var op = Take() is "+" ? "+" : "-";
                left = new OperationValue(op, left, Product());
            }
            return left;
        }

        private Value Product()
        {
            var left = Primary();
            while (Mark() is '*' or '×' or '/')
            {
                var op = Take() is "/" ? "/" : "*";
                var right = Primary();
                if (op == "/" && right is NumberValue { Number: 0 }) throw new FormatException("Nothing can be divided by 0.");
                if (op == "/" && right is not NumberValue { Unit: "" }) throw new FormatException("Divide by a plain number.");
                if (op == "*" && left is not NumberValue { Unit: "" } && right is not NumberValue { Unit: "" }) throw new FormatException("Multiply by a plain number.");
                left = new OperationValue(op, left, right);
            }
            return left;
        }

        private Value Primary()
        {
            var match = Piece().Match(text, at);
            if (!match.Success) throw Unreadable();
            var start = at;
            at = match.Index + match.Length;
            if (match.Groups["number"].Success) return Number(match);
            if (match.Groups["mark"].Value == "(")
            {
                var inner = Sum();
                if (Mark() != ')') throw new FormatException("A closing ) is missing.");
                Take();
                return inner;
            }
            var word = match.Groups["word"].Value;
            if (Same(word, "rest")) return Rest(0);
            if (Same(word, "space")) return Position(ReferenceKind.Space, 1, site.Spacing.Steps.Length, "space");
            if (Same(word, "size")) return Position(ReferenceKind.Size, site.Typography.Scale.Lowest, site.Typography.Scale.Highest, "size");
            at = start;
            throw Unreadable();
        }

        private NumberValue Number(Match match)
        {
            var unit = match.Groups["unit"].Value.ToLowerInvariant();
            if (!decimal.TryParse(match.Groups["number"].Value.Replace('−', '-'), NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
                throw new FormatException($"{match.Groups["number"].Value} is too large.");
            if (property.Kind == ValueKind.Number && unit.Length > 0) throw new FormatException($"{property.Name} is a plain number, without a unit.");
            if (unit.Length > 0 && !Units.Contains(unit)) throw new FormatException($"“{unit}” is not a unit here: use {OneOf(Units)}.");
            return new(number, unit);
        }

        private ReferenceValue Position(ReferenceKind kind, int lowest, int highest, string called)
        {
            var match = Piece().Match(text, at);
            if (!match.Groups["number"].Success || match.Groups["unit"].Length > 0
                || !int.TryParse(match.Groups["number"].Value.Replace('−', '-').TrimStart('+'), CultureInfo.InvariantCulture, out var step) || step < lowest || step > highest)
                throw new FormatException($"There is {called} {lowest} to {called} {highest}.");
            at = match.Index + match.Length;
            return new(kind, "", step);
        }

        /// <summary>A length needs a unit unless it is 0; and it must lie within the property's range.</summary>
        private Value Checked(Value value)
        {
            if (value is not NumberValue number) return value;
            if (property.Kind != ValueKind.Number && number is { Unit: "", Number: not 0 }) value = number = number with { Unit = "px" };
            if (number.Number < property.Min) throw new FormatException(property.Min == 0 ? $"{property.Name} cannot be negative." : $"{property.Name} is at least {property.Min}.");
            if (number.Number > property.Max) throw new FormatException($"{property.Name} is at most {property.Max}.");
            return value;
        }

        private bool IsAtEnd() => string.IsNullOrWhiteSpace(text[at..]);

        private char? Mark()
        {
            var rest = text.AsSpan(at).TrimStart();
            return rest.Length > 0 ? rest[0] : null;
        }

        /// <summary>Whether a sign stands apart, as in CSS: "4px -2px" are two values, "4px - 2px" is one.</summary>
        private bool SpacedMark()
        {
            var rest = text.AsSpan(at).TrimStart();
            return rest.Length == 1 || char.IsWhiteSpace(rest[1]);
        }

        private string Take()
        {
            while (char.IsWhiteSpace(text[at])) at++;
            return text[at++].ToString();
        }

        private FormatException Unreadable()
        {
            var piece = text[at..].Trim();
            var said = piece.Length == 0 ? $"“{text}” is not finished" : $"“{text}” cannot be read";
            var names = Names(site, property).Take(8).ToList();
            return new($"{said} as {property.Name.ToLowerInvariant()}: try {OneOf(names.Append("a length such as 12px"))}.");
        }

        private static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);
    }
}
