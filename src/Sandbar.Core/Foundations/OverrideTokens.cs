using System.Runtime.CompilerServices;
using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;
using Sandbar.Css.Syntax;
using SyntaxToken = Sandbar.Css.Syntax.Token;

namespace Sandbar.Core.Foundations;

/// <summary>The custom properties of the foundations in what the designer wrote.</summary>
public static class OverrideTokens
{
    // Of a sheet that does not change its names are read once.
    private static readonly ConditionalWeakTable<string, IReadOnlyList<SyntaxToken>> Known = [];

    /// <summary>What the overrides refer to, each thing once, and each of its steps.</summary>
    public static IEnumerable<ReferenceValue> References(Site site)
    {
        var written = Written(site.Overrides.Site);
        if (written.Count == 0) return [];
        var names = written.Select(t => t.Text).ToHashSet(StringComparer.Ordinal);
        return from kind in Kinds.AllListed
               from thing in kind.Things(site)
               let tokens = TokensOf(site, kind, thing.Id)
               from step in tokens.Where(names.Contains).Select(token => ColorSteps.All.FirstOrDefault(s => token == tokens[0] + StepText.Suffix(s))).Distinct()
               select new ReferenceValue(kind.Code, thing.Id, step);
    }

    /// <summary>Every custom property the overrides name, or set.</summary>
    public static IEnumerable<string> Names(Site site) => Written(site.Overrides.Site).Select(t => t.Text);

    /// <summary>The overrides with the custom properties of one thing leading to those of another.</summary>
    public static Site Renamed(Site site, ListedKind kind, string id, string by) => Renamed(site, TokensOf(site, kind, id), TokensOf(site, kind, by));

    /// <summary>The overrides with custom properties under other names.</summary>
    public static Site Renamed(Site site, IReadOnlyList<string> before, IReadOnlyList<string> after)
    {
        var names = before.Zip(after).Where(n => n.First != n.Second).ToDictionary(n => n.First, n => n.Second, StringComparer.Ordinal);
        var found = names.Count == 0 ? [] : Written(site.Overrides.Site).Where(t => names.ContainsKey(t.Text)).ToList();
        if (found.Count == 0) return site;
        var css = site.Overrides.Site;
        var text = new StringBuilder(css.Length);
        var at = 0;
        foreach (var token in found)
        {
            text.Append(css, at, token.Start - at).Append(names[token.Text]);
            at = token.End;
        }
        return site with { Overrides = new(text.Append(css, at, css.Length - at).ToString()) };
    }

    /// <summary>The custom property of a thing without its steps; null where its kind has none.</summary>
    public static string? Plain(Site site, ListedKind kind, string id) => kind.HasToken(kind.Get(site, id)) ? kind.Token(site, new(kind.Code, id)) : null;

    /// <summary>Every custom property of a thing, always in the same order; none where its kind has none.</summary>
    public static IReadOnlyList<string> TokensOf(Site site, ListedKind kind, string id)
    {
        if (!kind.HasTokens) return [];
        var steps = kind.HasSteps ? Enumerable.Range(-Steps.ShadeCount, Steps.ShadeCount + Steps.TintCount + 1) : [0];
        return [.. steps.Select(step => kind.Token(site, new(kind.Code, id, step)))];
    }

    private static IReadOnlyList<SyntaxToken> Written(string css) =>
        !css.Contains("--", StringComparison.Ordinal) ? [] : Known.GetValue(css, c => [.. Tokenizer.Read(c).Where(t => t.Kind == TokenKind.Ident && t.Text.StartsWith("--", StringComparison.Ordinal))]);
}
