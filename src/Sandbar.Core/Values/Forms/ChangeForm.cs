using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>What a change takes: duration, pace and delay, as <c>transition</c> has them (CSS Transitions 1, §2).</summary>
public sealed class ChangeForm : ValueForm<ChangeValue>
{
    /// <summary>Longest time there is, ms.</summary>
    public const decimal Longest = 60_000;

    /// <summary>The paces that need no name of their own (CSS Easing Functions 1, §2).</summary>
    public static readonly ImmutableArray<string> Paces = ["ease", "linear", "ease-in", "ease-out", "ease-in-out"];

    /// <summary>How long it takes, at what pace and after how long, as CSS.</summary>
    /// <param name="still">Whether times that are typed are nothing, as for visitors who ask for less motion; named ones know it themselves.</param>
    public static string Css(SiteReads reads, ChangeValue value, bool still = false)
    {
        var parts = new List<string> { Time(value.Duration), Pace(reads, value) };
        if (value.Delay is not NumberValue { Number: 0 }) parts.Add(Time(value.Delay));
        return string.Join(' ', parts);
        string Time(Value time) => still && time is NumberValue ? "0ms" : ValueForms.Css(reads, time);
    }

    /// <summary>At what pace, as CSS.</summary>
    public static string Pace(SiteReads reads, ChangeValue value) => value.Easing is WordValue pace ? pace.Word : ValueForms.Css(reads, value.Easing);

    protected override string Write(Site site, ChangeValue value)
    {
        var parts = new List<string> { ValueForms.Write(site, value.Duration) };
        if (value.Easing.Code() != Paces[0] || value.Delay is not NumberValue { Number: 0 }) parts.Add(ValueForms.Write(site, value.Easing));
        if (value.Delay is not NumberValue { Number: 0 }) parts.Add(ValueForms.Write(site, value.Delay));
        return string.Join(", ", parts);
    }

    protected override string Css(SiteReads reads, ChangeValue value, Value? rest) => Css(reads, value);

    protected override CssType? TypeOf(Site site, ChangeValue value, Value? rest) => CssType.Change;

    protected override string? Refusal(Site site, ChangeValue value, Value? rest) =>
        !IsTime(site, value.Duration) || !IsTime(site, value.Delay) ? "How long a change takes is a named duration or a time such as 200ms."
        : value.Duration is NumberValue { Number: < 0 } ? "A change cannot take less than no time."
        : new[] { value.Duration, value.Delay }.Any(t => t is NumberValue n && Math.Abs(n.Unit == "s" ? n.Number * 1000 : n.Number) > Longest) ? "A change takes at most a minute."
        : value.Easing is WordValue pace ? (Paces.Contains(pace.Word) ? null : $"{Quoted.Text(pace.Word)} is no pace: use {Sentence.OneOf(Paces)}, or a named easing.")
        : value.Easing is not ReferenceValue || ValueForms.TypeOf(site, value.Easing) != CssType.Easing ? "The pace of a change is a named easing."
        : null;

    private static bool IsTime(Site site, Value value) => value is NumberValue or ReferenceValue && (value is NumberValue { Number: 0 } || ValueForms.TypeOf(site, value) == CssType.Time);
}
