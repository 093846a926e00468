using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>What a scheme gives a role: a colour of the palette at a step, or whatever reads best on another role.</summary>
public sealed class RoleColors : ValueKind
{
    public override string Code => "role-color";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Color];

    public override Value Read(Typed typed)
    {
        if (typed.Text.StartsWith(ReadableForm.Begin, StringComparison.OrdinalIgnoreCase))
        {
            var on = typed.Text[ReadableForm.Begin.Length..].Trim();
            return new ReadableValue(Kinds.Find("role")!.Read(typed.Site, on) ?? throw new FormatException($"No role is called {Quoted.Text(on)}."));
        }
        return Named(typed.Site, typed.Text) ?? throw new FormatException($"No colour is called {Quoted.Text(typed.Text)}. There are {Sentence.OneOf(Names(typed.Site))}.");
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => value switch
    {
        ReadableValue { On: ReferenceValue { To: "role", Step: 0 } } => null,
        ReferenceValue { To: "color" } => null,
        _ => $"{setting.Name} takes a colour of the palette, or what is readable on a role.",
    };

    protected override bool Refers(ReferenceKind kind) => kind.Code == "color";
}
