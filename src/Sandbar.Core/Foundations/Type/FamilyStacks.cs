using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Lists of families, as CSS has them.</summary>
public sealed class FamilyStacks : ValueKind
{
    public override string Code => "family-list";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Keyword];

    public override Value Read(Typed typed) => FamilyList.IsReadable(typed.Text) ? new WordValue(typed.Text)
        : throw new FormatException($"{Quoted.Text(typed.Text)} is not a list of families: names with commas between them, those of several words in quotes that are closed, such as \"Gill Sans\", sans-serif.");

    public override bool TakesWord(Setting setting, string code) => FamilyList.IsReadable(code);

    /// <summary>Fonts that devices bring along, by what they run: common practice, no published source.</summary>
    public override IEnumerable<string> Suggested =>
    [
        "system-ui, sans-serif", "Georgia, \"Times New Roman\", serif", "ui-monospace, \"Courier New\", monospace", "\"Iowan Old Style\", Palatino, \"Palatino Linotype\", serif",
        "Optima, Candara, sans-serif", "Rockwell, \"Roboto Slab\", serif",
    ];
}
