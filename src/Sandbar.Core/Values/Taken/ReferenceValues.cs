using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Named things of one type alone: a text style, a border, a shadow.</summary>
public sealed class ReferenceValues(CssType type) : ValueKind
{
    public override string Code => type.Name;

    public override IReadOnlyList<CssType> Types { get; } = [type];

    public override Value Read(Typed typed)
    {
        if (Named(typed.Site, typed.Text) is { } reference) return reference;
        var called = References.Select(k => k.Name).FirstOrDefault() ?? type.Name;
        throw new FormatException($"No {called} is called {Quoted.Text(typed.Text)}. There are {Sentence.OneOf(typed.Setting.Names(typed.Site))}.");
    }
}
