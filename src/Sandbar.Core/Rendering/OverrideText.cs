using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Css.Linting;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>One of the sheet's own rules.</summary>
public readonly record struct WrittenRule(int Start, int End);

/// <summary>What the designer wrote: as it is understood, as it reaches the pages, and what is to be said of it. Each is worked out once for as long as the text is the same.</summary>
public sealed class OverrideText
{
    /// <summary>How many problems are said: more than anybody reads at once.</summary>
    private const int MostProblems = 200;

    private static readonly ConditionalWeakTable<string, OverrideText> Known = [];

    private readonly Lazy<Reading> staged;
    private readonly Lazy<string> released;

    private OverrideText(string source)
    {
        Source = source;
        staged = new(() => Staged(source));
        released = new(() => staged.Value.HasStates ? Released(source) : staged.Value.Text);
    }

    public string Source { get; }

    /// <summary>The sheet's own rules that could be read, in its order.</summary>
    public ImmutableArray<WrittenRule> Rules => staged.Value.Rules;

    /// <summary>What the designer is told of it, in the order of the text: what does not parse, and what is left out.</summary>
    public ImmutableArray<SyntaxError> Problems => staged.Value.Problems;

    public static OverrideText Of(string source) => Known.GetValue(source, s => new(s));

    /// <summary>The rules that can be read, and the comments between them, written anew: what does not parse is left out, as browsers do.</summary>
    public string Readable(SheetUse use) => use == SheetUse.Stage ? staged.Value.Text : released.Value;

    public ReadOnlySpan<char> Text(WrittenRule rule) => Source.AsSpan(rule.Start, rule.End - rule.Start);

    // No more than this is kept of a sheet: the whole tree of a long one costs more than reading it again.
    private static Reading Staged(string source)
    {
        var parser = Parser.Of(source);
        var writer = new OverrideWriter(source, parser.Comments, SheetUse.Stage);
        var rules = ImmutableArray.CreateBuilder<WrittenRule>();
        var problems = new List<SyntaxError>();
        foreach (var rule in parser.Rules())
        {
            writer.Add(rule);
            rules.Add(new(rule.Start, rule.End));
            problems.AddRange(ProblemsIn(rule).Take(MostProblems + 1 - problems.Count));
        }
        return new(writer.Finish(), writer.HasStates, rules.ToImmutable(), Told(Merged(parser.Errors, problems)));
    }

    private static string Released(string source)
    {
        var parser = Parser.Of(source);
        var writer = new OverrideWriter(source, parser.Comments, SheetUse.Release);
        foreach (var rule in parser.Rules()) writer.Add(rule);
        return writer.Finish();
    }

    internal static bool IsRefused(RuleNode rule) =>
        rule is AtRuleNode at && (at.Name.Equals("import", StringComparison.OrdinalIgnoreCase) || at.Name.Equals("charset", StringComparison.OrdinalIgnoreCase)
            || at.Name.Equals("namespace", StringComparison.OrdinalIgnoreCase));

    private static string Refusal(RuleNode rule) => ((AtRuleNode)rule).Name.Equals("import", StringComparison.OrdinalIgnoreCase)
        ? "@import is left out: nothing is fetched from elsewhere. Paste the sheet's rules here instead."
        : $"@{((AtRuleNode)rule).Name} is left out: it only counts at the very top of a file.";

    private static ImmutableArray<SyntaxError> Told(IEnumerable<SyntaxError> problems)
    {
        var found = problems.Take(MostProblems + 1).ToImmutableArray();
        if (found.Length <= MostProblems) return found;
        var next = found[MostProblems];
        return found.SetItem(MostProblems, next with { Message = string.Create(CultureInfo.InvariantCulture, $"There is more from here on. The first {MostProblems} problems are shown.") });
    }

    /// <summary>Two lists that are in the order of the text, as one.</summary>
    private static IEnumerable<SyntaxError> Merged(IEnumerable<SyntaxError> a, IEnumerable<SyntaxError> b)
    {
        using var second = b.GetEnumerator();
        var hasSecond = second.MoveNext();
        foreach (var first in a)
        {
            for (; hasSecond && second.Current.Start < first.Start; hasSecond = second.MoveNext()) yield return second.Current;
            yield return first;
        }
        for (; hasSecond; hasSecond = second.MoveNext()) yield return second.Current;
    }

    /// <summary>What browsers leave out though it parses, and addresses that lead away from the site; in the order of the text.</summary>
    private static IEnumerable<SyntaxError> ProblemsIn(RuleNode rule) => Merged(IsRefused(rule) ? [] : SheetLint.Of(rule).Select(d => new SyntaxError(d.Start, d.End, d.Message)), OfSites(rule));

    /// <summary>What is left out, or leads away, since it stands in a site's sheet.</summary>
    private static IEnumerable<SyntaxError> OfSites(RuleNode rule) => IsRefused(rule) ? [new(rule.Start, rule.End, Refusal(rule))]
        : rule.Items.SelectMany(item => item is DeclarationNode declaration ? Outside(declaration.Value) : OfSites((RuleNode)item));

    /// <summary>Addresses that lead away from the site, where they stand.</summary>
    private static IEnumerable<SyntaxError> Outside(ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            var (address, inner) = value switch
            {
                Token { Kind: TokenKind.Url } url => (url.Text, default),
                FunctionValue function when function.Name.Equals("url", StringComparison.OrdinalIgnoreCase) || function.Name.EndsWith("image-set", StringComparison.OrdinalIgnoreCase) =>
                    (function.Values.OfType<Token>().FirstOrDefault(t => t.Kind == TokenKind.String)?.Text ?? "", function.Values),
                FunctionValue function => ("", function.Values),
                BlockValue block => ("", block.Values),
                _ => ("", ImmutableArray<ComponentValue>.Empty),
            };
            // What is written out in the address itself is asked of nobody, whatever it names.
            if (address.StartsWith("//", StringComparison.Ordinal) || (address.Contains("://", StringComparison.Ordinal) && !address.StartsWith("data:", StringComparison.OrdinalIgnoreCase)))
                yield return new(value.Start, value.End, "This leads away from the site: the stage fetches nothing from elsewhere, and every visitor of the released pages would ask that address. Put the file on the shelf instead.");
            foreach (var problem in inner.IsDefaultOrEmpty ? [] : Outside(inner)) yield return problem;
        }
    }

    /// <param name="HasStates">Whether the stage's form differs from the released one.</param>
    private sealed record Reading(string Text, bool HasStates, ImmutableArray<WrittenRule> Rules, ImmutableArray<SyntaxError> Problems);
}
