using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Places on axes of a variable font, with commas between them: <c>opsz 72, SOFT 50</c>.</summary>
public sealed partial class AxisValues : ValueKind
{
    /// <summary>The axis that has a setting of its own.</summary>
    private const string Weight = "wght";

    private const int Most = 16;

    public override string Code => "axes";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.List];

    public override IEnumerable<string> Examples => ["an axis and where on it, such as opsz 72"];

    public override Value Read(Typed typed)
    {
        var axes = ImmutableArray.CreateBuilder<Value>();
        foreach (var piece in typed.Text.Split(','))
        {
            var match = Piece().Match(piece);
            if (!match.Success || !decimal.TryParse(match.Groups["number"].ValueSpan.ToString().Replace('−', '-'), NumberStyles.Number, CultureInfo.InvariantCulture, out var number)) throw typed.Unreadable(piece);
            axes.Add(new AxisValue(match.Groups["tag"].Value, number));
        }
        return new ListValue(axes.ToImmutable());
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        if (value is not ListValue { Values: { Length: > 0 and <= Most } values } || values.Any(v => v is not AxisValue)) return $"{setting.Name} takes up to {Most} axes, each with a number.";
        var axes = values.Cast<AxisValue>().ToList();
        if (axes.Exists(a => a.Tag == Weight)) return "Weight has a setting of its own.";
        return axes.GroupBy(a => a.Tag, StringComparer.Ordinal).FirstOrDefault(g => g.Count() > 1) is { } twice ? $"{twice.Key} is set twice." : null;
    }

    [GeneratedRegex(@"^\s*[""']?(?<tag>[A-Za-z][A-Za-z0-9]{3})[""']?\s+(?<number>[-−+]?(?:\d+\.?\d*|\.\d+))\s*\z")]
    private static partial Regex Piece();
}
