using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>What a change takes: a duration, a pace, and how long it waits, with commas between them: <c>quick, gentle</c>, <c>200ms</c>.</summary>
/// <param name="of">The longhands it is said by begin with this: <c>animation</c>; empty where it stands in a list with others.</param>
public sealed class ChangeValues(string of = "") : ValueKind
{
    public override string Code => "change";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Change];

    public override IEnumerable<string> Examples => ["a time such as 200ms"];

    public override Value Read(Typed typed)
    {
        var pieces = typed.Text.Split(',', StringSplitOptions.TrimEntries);
        if (pieces.Length > 3 || pieces[0].Length == 0) throw new FormatException($"{typed.Setting.Name} takes how long, at what pace, and after how long, with commas between them: quick, gentle, 50ms.");
        return new ChangeValue(Time(typed, pieces[0]), pieces.Length > 1 ? Pace(typed, pieces[1]) : new WordValue(ChangeForm.Paces[0]), pieces.Length > 2 ? Time(typed, pieces[2]) : new NumberValue(0, "ms"));
    }

    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        if (of.Length == 0 || value is not ChangeValue change) return base.Declare(reads, setting, property, value, rest);
        return
        [
            new($"{of}-duration", ValueForms.Css(reads, change.Duration)), new($"{of}-timing-function", ChangeForm.Pace(reads, change)), new($"{of}-delay", ValueForms.Css(reads, change.Delay)),
        ];
    }

    public override IEnumerable<ReferenceKind> Offered => Kinds.All.Where(kind => kind.Type == CssType.Time);

    private static Value Time(Typed typed, string text)
    {
        if (Kinds.All.Where(kind => kind.Type == CssType.Time).Select(kind => kind.Read(typed.Site, text)).FirstOrDefault(r => r is not null) is { } named) return named;
        try
        {
            return new ValueReader(typed with { Text = text }).Whole() is NumberValue number
                ? number.Unit.Length == 0 ? number with { Unit = "ms" } : number
                : throw new FormatException("");
        }
        catch (FormatException)
        {
            throw new FormatException($"{Quoted.Text(text)} is no duration: name one, or type a time such as 200ms.");
        }
    }

    private static Value Pace(Typed typed, string text)
    {
        if (Kinds.All.Where(kind => kind.Type == CssType.Easing).Select(kind => kind.Read(typed.Site, text)).FirstOrDefault(r => r is not null) is { } named) return named;
        return ChangeForm.Paces.FirstOrDefault(pace => pace.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } pace
            ? new WordValue(pace)
            : throw new FormatException($"{Quoted.Text(text)} is no easing: name one, or use {Sentence.OneOf(ChangeForm.Paces)}.");
    }
}
