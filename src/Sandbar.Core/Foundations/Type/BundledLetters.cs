using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css;

namespace Sandbar.Core.Foundations.Type;

/// <summary>The families of the program's shelf, by their names.</summary>
public sealed class BundledLetters : ValueKind
{
    public override string Code => "bundled-family";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Keyword];

    public override Value Read(Typed typed) => new WordValue(BundledFamilies.ByName(typed.Text)?.Name ?? throw new FormatException($"There is no family {Quoted.Text(typed.Text)} on the shelf."));

    /// <summary>A family may have come from another program's shelf.</summary>
    public override bool TakesWord(Setting setting, string code) => true;

    public override IEnumerable<string> Suggested => BundledFamilies.All.Select(f => f.Name);
}
