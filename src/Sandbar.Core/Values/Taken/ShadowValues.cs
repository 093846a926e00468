using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>A named shadow, or one that is typed: <c>0 2px 8px text 20%</c>, layers with commas between them.</summary>
public sealed partial class ShadowValues : ValueKind
{
    private static readonly ColorValues Colors = new();

    public override string Code => "shadow";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Shadow];

    public override IEnumerable<string> Examples => ["a shadow such as 0 2px 8px text 20%"];

    public override Value Read(Typed typed) => Named(typed.Site, typed.Text) is { } named ? named : new ShadowValue([.. Pieces.Of(typed.Text).Select(layer => (Value)Layer(typed, layer))]);

    private static ShadowLayerValue Layer(Typed typed, string text)
    {
        var match = Form().Match(text);
        if (!match.Success)
            throw new FormatException($"No shadow is called {Quoted.Text(typed.Text)}. There are {Sentence.OneOf(typed.Setting.Names(typed.Site))}; or type one such as 0 2px 8px text 20%.");
        var lengths = match.Groups["length"].Captures.Select(c => Length(typed, c.Value)).ToList();
        while (lengths.Count < 4) lengths.Add(new NumberValue(0, "px"));
        var opacity = match.Groups["opacity"] is { Success: true } share && decimal.TryParse(share.Value, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var percent) ? percent : 100;
        return new ShadowLayerValue(match.Groups["inner"].Success, lengths[0], lengths[1], lengths[2], lengths[3], Colors.Read(typed with { Text = match.Groups["color"].Value, Rest = null }), opacity);
    }

    private static Value Length(Typed typed, string text) =>
        LengthValues.Lengths.Read(typed with { Text = text }) is var length && length is NumberValue { Unit: "", Number: 0 } ? new NumberValue(0, "px") : length;

    [GeneratedRegex(@"^\s*(?<inner>inner\s+)?(?:(?<length>[-−+]?(?:\d+\.?\d*|\.\d+)(?:[a-z]+)?)\s+){2,4}(?<color>\S.*?)(?:\s+(?<opacity>\d+\.?\d*)\s*%)?\s*\z", RegexOptions.IgnoreCase)]
    private static partial Regex Form();
}
