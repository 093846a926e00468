using System.Collections.Immutable;
using System.Globalization;
using System.Net;
using System.Text;
using System.Text.RegularExpressions;
using AngleSharp.Css.Parser;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Interchange;

/// <summary>A block taken away: its HTML, just the CSS it needs, and the files both ask for. On an empty page it shows as on its own.</summary>
/// <param name="Html">The block within what it stood in, which gives it its type and colours and no box of its own.</param>
/// <param name="Needs">Its pictures and fonts.</param>
/// <param name="IsResolved">Whether tokens are written as what they come to.</param>
/// <param name="Css">Rules that reach the snippet and nothing around it: an <c>@scope</c> (CSS Cascading 6).</param>
public sealed partial record Snippet(string Html, string Css, ImmutableArray<ShelfItem> Needs, bool IsResolved)
{
    /// <summary>The class of the element that is the snippet.</summary>
    public const string Class = "snippet";

    private const string Around = "snippet-around";

    /// <summary>What belongs to a page and not to a piece of one.</summary>
    private static readonly HashSet<string> OfPages = new(["margin", "min-block-size"], StringComparer.Ordinal);

    /// <param name="resolved">Whether tokens are to be written as what they come to in the block's scheme; else they are kept, and come along. In a block that holds several schemes they are kept, since they come to something else in each.</param>
    public static Snippet Of(Site site, Block block, bool resolved)
    {
        var page = BlockTree.PlaceOf(site, block.Id)?.Page is { } id ? site.Pages.Get(id) : site.Pages[0];
        var surroundings = new Surroundings(SiteRelease.PathOf, i => i.File, "", MarkBlocks: true);
        // What it stands in, with nothing else in it.
        var (chain, scheme) = (block, block.Scheme);
        foreach (var outer in BlockTree.Around(site, block.Id))
        {
            chain = outer with { Blocks = [chain] };
            scheme ??= outer.Scheme;
        }
        var carried = site.Palette.Schemes.Get(scheme ?? page.Scheme);
        var html = $"<div class=\"{Class}\" data-scheme=\"{carried.CssName}\">\n{PageWriter.Write(site, page, chain, surroundings)}</div>\n";
        using var tree = new HtmlParser().ParseDocument("<body>" + html);
        var root = tree.QuerySelector($".{Class}")!;
        var own = root.QuerySelector($"[data-block='{block.Id}']");
        for (var at = own?.ParentElement; at is not null && at != root; at = at.ParentElement)
        {
            // What else such a part writes, such as the name in a header, is not the block's.
            foreach (var beside in at.Children.Where(c => !c.Contains(own!)).ToList()) beside.Remove();
            at.ClassList.Add(Around);
        }
        foreach (var marked in root.QuerySelectorAll("[data-block], [data-slot], [data-to]"))
        {
            foreach (var mark in (string[])["data-block", "data-slot", "data-to"]) marked.RemoveAttribute(mark);
        }
        var isResolved = resolved && root.QuerySelectorAll("[data-scheme]").All(e => e.GetAttribute("data-scheme") == carried.CssName);
        var sheet = StyleSheetRenderer.Render(site);
        var elements = new Elements(root);
        var needed = Needed(sheet, elements);
        var (apart, overrides) = Overrides(sheet.Overrides, elements);
        if (isResolved)
        {
            var known = Known(needed, carried.CssName);
            needed = [.. needed.Where(r => !r.Dark || r.Layer != Layer.Foundations).Select(rule => rule with { Declarations = [.. rule.Declarations.Select(d => d with { Value = WrittenOut(d.Value, known) })] })];
            (apart, overrides) = (WrittenOut(apart, known), WrittenOut(overrides, known));
        }
        var rules = Used(needed, apart + overrides);
        var families = rules.SelectMany(r => r.Declarations).Select(d => d.Value).Append(overrides).ToList();
        var fonts = sheet.Fonts.Where(f => families.Any(v => v.Contains(f.Family, StringComparison.Ordinal))).ToImmutableArray();
        var fallbacks = sheet.Fallbacks.Where(f => families.Any(v => v.Contains(f.Family, StringComparison.Ordinal))).ToImmutableArray();
        var css = Written(sheet with { Rules = rules, Fonts = fonts, Fallbacks = fallbacks }, apart, overrides);
        var files = root.QuerySelectorAll("[src], [poster]").SelectMany(e => new[] { e.GetAttribute("src"), e.GetAttribute("poster") }).ToHashSet();
        return new(root.OuterHtml + "\n", css, [.. site.Shelf.Where(i => files.Contains(i.File) || css.Contains($"url(\"{i.File}\")", StringComparison.Ordinal)).Except(fonts.Select(f => f.Item)), .. fonts.Select(f => f.Item).Distinct()], isResolved);
    }

    /// <summary>Whether some of it is played, by the script of a release.</summary>
    public bool HasClips => Html.Contains("<video", StringComparison.Ordinal);

    /// <summary>The snippet as files: a page that shows it, its stylesheet, and what both ask for, with the licences of its fonts.</summary>
    public IEnumerable<ReleaseFile> Files(Site site, string name)
    {
        if (HasClips) yield return new(ReleaseScript.Path, ReleaseScript.Text, null);
        var script = HasClips ? $"    <script src=\"{ReleaseScript.Path}\"></script>\n" : "";
        yield return new($"{name}.html", $"<!doctype html>\n<html lang=\"en\">\n  <head>\n    <meta charset=\"utf-8\">\n    <meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n    <title>{WebUtility.HtmlEncode(name)}</title>\n    <link rel=\"stylesheet\" href=\"{name}.css\">\n  </head>\n  <body>\n{Html}{script}  </body>\n</html>\n", null);
        yield return new($"{name}.css", Css, null);
        foreach (var item in Needs) yield return new(item.File, null, item.Hash);
        foreach (var (licence, text) in FontLicences.Of(site, [.. Needs.Where(i => i.MediaType == FamilyKind.FontType)])) yield return new($"fonts/licences/{licence}.txt", text, null);
    }

    /// <summary>The rules that reach an element of the snippet, in whatever state, each with the selector it has there.</summary>
    private static ImmutableArray<Rule> Needed(StyleSheet sheet, Elements elements)
    {
        var rules = ImmutableArray.CreateBuilder<Rule>();
        foreach (var rule in sheet.Rules)
        {
            if (rule.Selector is ":root" or "html" or "body") rules.Add(rule with { Selector = ":scope", Declarations = [.. rule.Declarations.Where(d => !OfPages.Contains(d.Name))] });
            // What is scoped is within: what is of the snippet itself says so.
            else if (rule.Selector.StartsWith("[data-scheme", StringComparison.Ordinal) && elements.AreFound(rule.Selector) == true) rules.Add(rule with { Selector = $":scope{rule.Selector}, {rule.Selector}" });
            else if (Everywhere().IsMatch(rule.Elements) || elements.AreFound(rule.Elements) == true) rules.Add(rule);
        }
        return rules.ToImmutable();
    }

    /// <summary>The overrides that reach an element of the snippet: those that stand apart from any element, such as key frames, and the others.</summary>
    private static (string Apart, string Reaching) Overrides(string source, Elements elements)
    {
        var (apart, reaching) = (new OverrideWriter(source, [], SheetUse.Release), new OverrideWriter(source, [], SheetUse.Release));
        foreach (var rule in Parser.Of(source).Rules())
        {
            if (rule is AtRuleNode at && (!AtRuleNode.HoldsRules(at.Name) || at.Name.EndsWith("keyframes", StringComparison.OrdinalIgnoreCase))) apart.Add(rule);
            else if (Reaches(rule)) reaching.Add(rule);
        }
        return (apart.Finish(), PageRoot().Replace(reaching.Finish(), ":scope"));

        bool Reaches(RuleNode rule)
        {
            if (rule is not StyleRuleNode style) return rule.Items.OfType<RuleNode>().Any(Reaches);
            var selector = source[style.Start..style.BlockStart];
            if (PageRoot().IsMatch(selector)) return true;
            // What cannot be looked up may reach it.
            return elements.AreFound(States().Replace(selector, "")) != false;
        }
    }

    /// <summary>What tokens come to in a scheme. Those that are something else for some visitors, such as for those who want less motion, are none of them.</summary>
    private static Dictionary<string, string> Known(ImmutableArray<Rule> rules, string scheme)
    {
        var known = new Dictionary<string, string>(StringComparer.Ordinal);
        var foundations = rules.Where(r => r.Layer == Layer.Foundations).ToList();
        foreach (var rule in foundations.Where(r => r is { Dark: false } && (r.Selector == ":scope" || r.Selector.StartsWith(":scope[data-scheme]", StringComparison.Ordinal) || r.Selector.StartsWith($":scope[data-scheme=\"{scheme}\"]", StringComparison.Ordinal))))
        {
            foreach (var d in rule.Declarations.Where(d => d.Name.StartsWith("--", StringComparison.Ordinal))) known[d.Name] = d.Value;
        }
        foreach (var d in foundations.Where(r => r.Needs != default || r.Widths != Interval.All).SelectMany(r => r.Declarations)) known.Remove(d.Name);
        return known;
    }

    private static string WrittenOut(string text, Dictionary<string, string> known, int depth = 0) =>
        depth > 20 ? text : Variable().Replace(text, use => known.TryGetValue(use.Groups["name"].Value, out var value) ? WrittenOut(value, known, depth + 1) : use.Value);

    /// <summary>The rules with the tokens they use, and no others.</summary>
    private static ImmutableArray<Rule> Used(ImmutableArray<Rule> rules, string overrides)
    {
        var used = new HashSet<string>(StringComparer.Ordinal);
        var declarations = rules.SelectMany(r => r.Declarations.Select(d => (Rule: r, Declaration: d))).ToList();
        var open = new Queue<string>(declarations.Where(d => !IsToken(d.Rule, d.Declaration)).SelectMany(d => Names(d.Declaration.Value)).Concat(Names(overrides)));
        var byName = declarations.Where(d => IsToken(d.Rule, d.Declaration)).ToLookup(d => d.Declaration.Name, d => d.Declaration.Value, StringComparer.Ordinal);
        while (open.TryDequeue(out var name))
        {
            if (!used.Add(name)) continue;
            foreach (var further in byName[name].SelectMany(Names)) open.Enqueue(further);
        }
        return [.. rules.Select(r => r with { Declarations = [.. r.Declarations.Where(d => !IsToken(r, d) || used.Contains(d.Name))] }).Where(r => r.Declarations.Length > 0)];

        static bool IsToken(Rule rule, Declaration declaration) => rule.Layer == Layer.Foundations && declaration.Name.StartsWith("--", StringComparison.Ordinal);
        static IEnumerable<string> Names(string value) => Variable().Matches(value).Select(m => m.Groups["name"].Value);
    }

    private static string Written(StyleSheet sheet, string apart, string overrides)
    {
        var text = new StringBuilder(StyleSheetText.Head(sheet, i => i.File));
        if (apart.Length > 0) text.Append('\n').Append(apart);
        text.Append(CultureInfo.InvariantCulture, $"\n@scope (.{Class}) {{");
        foreach (var layer in Enum.GetValues<Layer>())
        {
            var rules = sheet.Rules.Where(r => r.Layer == layer).ToList();
            if (rules.Count == 0) continue;
            text.Append(CultureInfo.InvariantCulture, $"\n@layer {StyleSheetText.Name(layer)} {{");
            foreach (var rule in rules) text.Append(StyleSheetText.Rule(rule, SheetUse.Release));
            text.Append("}\n");
        }
        if (overrides.Length > 0) text.Append('\n').Append(overrides);
        // What it stood in gives it type and colours, and takes no room.
        return text.Append(CultureInfo.InvariantCulture, $"\n.{Around} {{\n  display: contents;\n}}\n}}\n").ToString();
    }

    /// <summary>The elements of a snippet, the one that is it among them.</summary>
    private sealed class Elements(IElement root)
    {
        private readonly ICssSelectorParser parser = root.Owner!.Context.GetService<ICssSelectorParser>()!;
        private readonly IReadOnlyList<IElement> all = [root, .. root.QuerySelectorAll("*")];

        /// <summary>Whether a selector finds one of them, or one that has the piece it is about, such as a marker; null where AngleSharp does not know it.</summary>
        public bool? AreFound(string selector) => parser.ParseSelector(WithoutPieces(selector)) is { } asked ? all.Any(e => asked.Match(e, null)) : null;

        private static string WithoutPieces(string selector) => Piece().Replace(selector, m => m.Index == 0 || " >+~,(".Contains(selector[m.Index - 1]) ? "*" : "");
    }

    [GeneratedRegex(@"^(?:\*|::)")]
    private static partial Regex Everywhere();

    [GeneratedRegex(@"::[a-z-]+")]
    private static partial Regex Piece();

    [GeneratedRegex(@"(?m)(?:^[ \t]*|(?<=,\s*))(?::root|html|body)(?=[\s,{.:\[])")]
    private static partial Regex PageRoot();

    [GeneratedRegex(@":(?:hover|focus-visible|focus-within|focus|active|visited|target)\b")]
    private static partial Regex States();

    [GeneratedRegex(@"var\((?<name>--[A-Za-z0-9_-]+)\)")]
    private static partial Regex Variable();
}
