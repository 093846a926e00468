using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>A named line, or one that is typed: <c>1px solid line</c>. Where sides may differ, one for each with commas between them.</summary>
/// <param name="sides">Whether sides may differ.</param>
public sealed partial class LineValues(bool sides = false) : ValueKind
{
    private static readonly ColorValues Colors = new();

    public override string Code => sides ? "lines" : "line";

    public override IReadOnlyList<CssType> Types { get; } = sides ? [CssType.Line, CssType.Lines] : [CssType.Line];

    public override IEnumerable<string> Examples => ["a line such as 1px solid line"];

    public override IReadOnlyList<string>? Sides => sides ? ["top", "right", "bottom", "left"] : null;

    public override Value WithSide(Value? value, int side, Value by)
    {
        Value[] all = [.. Enumerable.Range(0, 4).Select(i => i == side ? by : value is null ? new WordValue("none") : SideOf(value, i))];
        return all.Distinct().Count() == 1 ? by : new SidesValue(all[0], all[1], all[2], all[3]);
    }

    public override Value SideOf(Value value, int side) => value is SidesValue all ? all.Inner[side] : value;

    public override Value Read(Typed typed)
    {
        var pieces = Pieces.Of(typed.Text);
        if ((pieces.Count == 1 ? Single(typed, typed.Text) : Named(typed.Site, typed.Text)) is { } single) return single;
        if (!sides || pieces.Count is < 2 or > 4) throw Unreadable(typed, typed.Text);
        var lines = pieces.Select(piece => Single(typed, piece) ?? (Word(typed.Setting, piece) is { } word ? word : throw Unreadable(typed, piece))).ToList();
        return lines switch
        {
            [var block, var inline] => new SidesValue(block, inline, block, inline),
            [var top, var inline, var bottom] => new SidesValue(top, inline, bottom, inline),
            _ => new SidesValue(lines[0], lines[1], lines[2], lines[3]),
        };
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        if (value is not SidesValue each) return base.Refusal(site, setting, value, rest);
        return !sides ? $"{setting.Name} is one line."
            : each.Inner.Any(side => side is WordValue word ? !TakesWord(setting, word.Word) : side is not (ReferenceValue or LineValue) || ValueForms.TypeOf(site, side) != CssType.Line) ? $"Each side of {setting.Name.ToLowerInvariant()} takes a line."
            : null;
    }

    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        if (meant is not SidesValue each)
        {
            yield return new(property, setting.Css(reads, meant));
            foreach (var more in Besides(reads, property, "", meant)) yield return more;
            yield break;
        }
        foreach (var (side, line) in SideNames.Sides(SideNames.AreByWriting(reads)).Zip(each.Inner))
        {
            yield return new($"{property}-{side}", setting.Css(reads, line));
            foreach (var more in Besides(reads, property, side, line)) yield return more;
        }
    }

    /// <summary>A gradient a line runs along, and the line inside it, which is drawn in a layer of its own: so it lies over any ground and takes no room.</summary>
    /// <param name="side">As it is called in CSS; empty where the property says it or all are meant.</param>
    private static IEnumerable<Declared> Besides(SiteReads reads, string property, string side, Value line)
    {
        if (property == "outline" || line is not ReferenceValue reference || reads.Thing<Border>(reference) is not { } border) yield break;
        // Only one image can run along a line.
        if (border.Along is ReferenceValue gradient && reads.Thing<Gradient>(gradient).Kind.Code() != Gradient.Mesh) yield return new("border-image", $"var({reads.Token(gradient)}) 1");
        if (border.Second.Code() == Border.NoSecond) yield break;
        var at = side.Length > 0 ? side : property.StartsWith("border-", StringComparison.Ordinal) ? property["border-".Length..] : "";
        var distance = ValueForms.Css(reads, border.Distance);
        yield return new("position", "relative");
        yield return new("content", "\"\"", Inside);
        yield return new("position", "absolute", Inside);
        yield return new("inset", at.Length == 0 ? distance : "0", Inside);
        if (at.Length > 0 && distance != "0") yield return new(at is "top" or "right" or "bottom" or "left" ? at : $"inset-{at}", distance, Inside);
        yield return new(at.Length == 0 ? "border" : $"border-{at}", $"var({SecondLine(reads, reference)})", Inside);
        yield return new("pointer-events", "none", Inside);
        if (at.Length == 0) yield return new(InsetToken, $"calc({OrPx(ValueForms.Css(reads, border.Width))} + {OrPx(distance)})", Inside);
    }

    /// <summary>The layer a second line is drawn in.</summary>
    public const string Inside = "::before";

    /// <summary>How far that layer lies inside the edge, for the corners of its line.</summary>
    public const string InsetToken = "--second-inset";

    /// <summary>The custom property of the second line of a named border.</summary>
    public static string SecondLine(SiteReads reads, ReferenceValue border) => reads.Token(border).Replace("--border-", "--second-line-", StringComparison.Ordinal);

    private static string OrPx(string css) => css == "0" ? "0px" : css;

    private Value? Single(Typed typed, string text)
    {
        if (Named(typed.Site, text) is { } named) return named;
        var match = Line().Match(text);
        if (!match.Success) return null;
        var width = LengthValues.Lengths.Read(typed with { Text = match.Groups["width"].Value });
        return new LineValue(width, match.Groups["style"].Value.ToLowerInvariant(), Colors.Read(typed with { Text = match.Groups["color"].Value, Rest = null }));
    }

    private static WordValue? Word(Setting setting, string text) =>
        setting.Words.FirstOrDefault(w => w.Label.Equals(text, StringComparison.OrdinalIgnoreCase) || w.Code.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } word ? new(word.Code) : null;

    private static FormatException Unreadable(Typed typed, string text) =>
        new($"No border is called {Quoted.Text(text)}. There are {Sentence.OneOf(typed.Setting.Names(typed.Site))}; or type a line such as 1px solid line.");

    [GeneratedRegex(@"^\s*(?<width>\S+(?:\s*[-+*/]\s*\S+)*?)\s+(?<style>none|hidden|solid|dashed|dotted|double|groove|ridge|inset|outset)\s+(?<color>.+?)\s*\z", RegexOptions.IgnoreCase)]
    private static partial Regex Line();
}
