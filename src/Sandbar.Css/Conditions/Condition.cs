using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Conditions;

/// <summary>Whether something holds.</summary>
public enum Answer
{
    No,

    Yes,

    /// <summary>It cannot be told: nobody knows what was asked, or it takes a layout to know.</summary>
    Unknown,
}

/// <summary>Questions with <c>not</c>, <c>and</c>, <c>or</c> between them. Source: Media Queries 4, §3 and §3.2, which other conditions share.</summary>
internal static class Condition
{
    /// <param name="ask">What a single question comes to: brackets, or a function; null where it is none that can be asked.</param>
    /// <returns>Null where it is no condition at all.</returns>
    public static Answer? Evaluate(ImmutableArray<ComponentValue> values, Func<ComponentValue, Answer?> ask)
    {
        var row = values.WithoutSpace();
        if (row.Length == 0) return null;
        if (row[0] is Token not && not.IsIdent("not")) return row.Length == 2 ? Not(One(row[1], ask)) : null;
        var answer = One(row[0], ask);
        string? word = null;
        for (var i = 1; i < row.Length; i += 2)
        {
            if (row[i] is not Token { Kind: TokenKind.Ident } between || i + 1 == row.Length) return null;
            var joined = between.Text.ToLowerInvariant();
            if (joined is not ("and" or "or") || (word is not null && word != joined)) return null;
            word = joined;
            var next = One(row[i + 1], ask);
            answer = joined == "and" ? And(answer, next) : Or(answer, next);
        }
        return answer;
    }

    /// <summary>Where something stands that browsers cannot tell, whatever the page and the window; null where there is nothing of that kind.</summary>
    /// <param name="values">The condition, not empty.</param>
    /// <param name="evaluate">What it comes to, given what single questions come to.</param>
    /// <param name="ask">What a single question comes to.</param>
    public static int? NotUnderstood(ImmutableArray<ComponentValue> values, Func<Func<ComponentValue, Answer?>, Answer?> evaluate, Func<ComponentValue, Answer?> ask)
    {
        int? first = null;
        var answer = evaluate(value =>
        {
            var told = ask(value);
            if (told is null or Answer.Unknown) first ??= value.Start;
            return told;
        });
        return first ?? (answer is null ? values[0].Start : null);
    }

    public static Answer? And(Answer? a, Answer? b) => a is null || b is null ? null : a == Answer.No || b == Answer.No ? Answer.No : a == Answer.Yes && b == Answer.Yes ? Answer.Yes : Answer.Unknown;

    public static Answer? Or(Answer? a, Answer? b) => a is null || b is null ? null : a == Answer.Yes || b == Answer.Yes ? Answer.Yes : a == Answer.No && b == Answer.No ? Answer.No : Answer.Unknown;

    public static Answer? Not(Answer? answer) => answer switch
    {
        Answer.Yes => Answer.No,
        Answer.No => Answer.Yes,
        _ => answer,
    };

    private static Answer? One(ComponentValue value, Func<ComponentValue, Answer?> ask)
    {
        // Brackets may hold a condition of their own.
        if (value is BlockValue { Open: TokenKind.OpenParen } block && block.Values.WithoutSpace() is [var first, ..] row
            && (first is BlockValue { Open: TokenKind.OpenParen } || (first is FunctionValue && (row.Length == 1 || row[1] is Token { Kind: TokenKind.Ident })) || (first is Token not && not.IsIdent("not")))
            && Evaluate(block.Values, ask) is { } inner) return inner;
        return value is BlockValue { Open: TokenKind.OpenParen } or FunctionValue ? ask(value) : null;
    }
}
