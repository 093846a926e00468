using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>A word a setting takes beside or instead of values.</summary>
/// <param name="Code">What is stored.</param>
/// <param name="Label">What a designer reads and types.</param>
/// <param name="Css">What it becomes.</param>
public sealed record Word(string Code, string Label, string Css)
{
    /// <summary>A word that is called as it is stored.</summary>
    public Word(string code, string css)
        : this(code, code, css)
    {
    }
}

/// <summary>Something that takes a value: a row of the ledger, a setting of a named thing.</summary>
public record Setting
{
    /// <summary>The most that is read of one value, in characters.</summary>
    public const int LongestText = 200;

    public required string Id { get; init; }

    /// <summary>What the designer reads.</summary>
    public required string Name { get; init; }

    /// <summary>The heading it stands under; empty where there is none.</summary>
    public string Group { get; init; } = "";

    /// <summary>What kind of values it takes.</summary>
    public required ValueKind Kind { get; init; }

    public ImmutableArray<Word> Words { get; init; } = [];

    /// <summary>Smallest number allowed.</summary>
    public decimal Min { get; init; } = -10_000;

    /// <summary>Largest number allowed.</summary>
    public decimal Max { get; init; } = 10_000;

    /// <summary>Whether plain numbers must be whole.</summary>
    public bool IsWhole { get; init; }

    /// <summary>Reads what was typed.</summary>
    /// <param name="rest">The value it inherits from Rest; null in Rest's own column.</param>
    /// <exception cref="FormatException">It cannot be read or is not taken; the message says why and what would do.</exception>
    public Value Read(Site site, string text, Value? rest = null)
    {
        var typed = text.Trim();
        if (typed.Length == 0) throw new FormatException($"{Name} is never empty: type what it is to be.");
        if (typed.Length > LongestText) throw new FormatException($"That is longer than {LongestText} characters.");
        if (Words.FirstOrDefault(w => Same(w.Label, typed) || Same(w.Code, typed)) is { } word) return new WordValue(word.Code);
        var value = typed.Equals("rest", StringComparison.OrdinalIgnoreCase) ? new RestValue(0) : Kind.Read(new(site, this, typed, rest));
        return Refusal(site, value, rest) is { } refusal ? throw new FormatException(refusal) : value;
    }

    /// <summary>Reads what was typed for one side or corner; the others stay as they are.</summary>
    /// <param name="held">What stands here now; null for nothing.</param>
    /// <exception cref="FormatException">It cannot be read or is not taken; the message says why and what would do.</exception>
    public Value ReadSide(Site site, Value? held, int side, string text, Value? rest)
    {
        if (Kind.Sides is not { } sides || side < 0 || side >= sides.Count) throw new FormatException($"{Name} has no such side.");
        var typed = Read(site, text, rest is null ? null : Kind.SideOf(rest, side));
        if (typed is SidesValue or CornersValue && !Enumerable.Range(0, sides.Count).All(i => Kind.SideOf(typed, i) == Kind.SideOf(typed, 0))) throw new FormatException("One side takes one value.");
        var value = Kind.WithSide(held, side, Kind.SideOf(typed, 0));
        return Refusal(site, value, rest) is { } refusal ? throw new FormatException(refusal) : value;
    }

    /// <summary>One side or corner as the designer reads it.</summary>
    public string WriteSide(Site site, Value value, int side) => Write(site, Kind.SideOf(value, side));

    /// <summary>A value as the designer reads it.</summary>
    public string Write(Site site, Value value) =>
        value is WordValue word ? Words.FirstOrDefault(w => w.Code == word.Word)?.Label ?? word.Word : ValueForms.Write(site, value);

    /// <summary>A value as CSS.</summary>
    /// <param name="rest">The value of Rest that values relative to it refer to; null where there is none.</param>
    public string Css(SiteReads reads, Value value, Value? rest = null) => value switch
    {
        WordValue word => Words.FirstOrDefault(w => w.Code == word.Word)?.Css ?? "",
        // Rest may be a word of this setting.
        RestValue relative when rest is WordValue || (relative.Step == 0 && rest is not null) => Css(reads, rest),
        _ => ValueForms.Css(reads, value, rest),
    };

    /// <summary>Why a value is not taken, in a sentence; null where it is.</summary>
    public string? Refusal(Site site, Value value, Value? rest = null)
    {
        if (value is WordValue word) return Kind.TakesWord(this, word.Word) ? null : $"{Name} does not take {Quoted.Text(word.Word)}.";
        if (value is RestValue && (rest is WordValue || value is RestValue { Step: 0 })) return rest is null ? RestForm.NoRest : ValueForms.Refusal(site, value, rest);
        return ValueForms.Refusal(site, value, rest) ?? Kind.Refusal(site, this, value, rest);
    }

    /// <summary>Everything that can be named here, most fitting first.</summary>
    public IEnumerable<string> Names(Site site) => Words.Select(w => w.Label).Concat(Kind.Names(site));

    private static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);
}
