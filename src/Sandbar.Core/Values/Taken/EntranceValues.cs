using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>How a block comes in: one of the setting's words. How long it takes and at what pace is said unless something else is.</summary>
public sealed class EntranceValues : ValueKind
{
    private readonly WordValues words = new();

    public override string Code => words.Code;

    public override IReadOnlyList<CssType> Types => words.Types;

    public override Value Read(Typed typed) => words.Read(typed);

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest) => words.Refusal(site, setting, value, rest);

    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        yield return new(property, setting.Css(reads, value, rest));
        if (value.Code() == "none") yield break;
        yield return new("animation-duration", "400ms");
        yield return new("animation-timing-function", "ease-out");
        // What waits for its turn is not there yet.
        yield return new("animation-fill-mode", "backwards");
    }
}
