using System.Collections.Immutable;
using Sandbar.Css.Grammar;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>The rules of a sheet in their order, each with all it stands in. Sources: CSS Cascade 5 and 6, CSS Conditional Rules 3 to 5, CSS Nesting 1.</summary>
internal sealed class RuleReader
{
    /// <summary>Layers in each other in one name: more than anybody writes.</summary>
    private const int MostParts = 100;

    private readonly StyleSheet sheet;
    private readonly ImmutableArray<SheetItem>.Builder items = ImmutableArray.CreateBuilder<SheetItem>();

    private RuleReader(StyleSheet sheet) => this.sheet = sheet;

    public static ImmutableArray<SheetItem> Read(StyleSheet sheet)
    {
        var reader = new RuleReader(sheet);
        var around = new Around([], null, null, null, null, []);
        if (!sheet.Media.IsEmpty) around = around with { Conditions = [new(ConditionKind.Media, sheet.Media)] };
        // Imports stand before all other rules but names of layers (CSS Cascade 5, §4).
        var mayImport = true;
        foreach (var rule in sheet.Node.Rules)
        {
            if (rule is AtRuleNode at && Is(at, "import"))
            {
                if (mayImport) reader.Import(at, around);
                continue;
            }
            if (!(rule is AtRuleNode { BlockStart: < 0 } statement && (Is(statement, "layer") || Is(statement, "charset")))) mayImport = false;
            reader.Rule(rule, around);
        }
        return reader.items.ToImmutable();
    }

    private static bool Is(AtRuleNode rule, string name) => rule.Name.Equals(name, StringComparison.OrdinalIgnoreCase);

    /// <summary>What a rule stands in.</summary>
    /// <param name="Style">The style rule around; null where there is none.</param>
    /// <param name="Weights">What the selectors of that weigh.</param>
    /// <param name="Asks">The selectors and scopes it stands in, as written.</param>
    private sealed record Around(ImmutableArray<RuleCondition> Conditions, LayerName? Layer, RuleScope? Scope, NestingParent? Style, (string Text, NestingParent? Parent, ImmutableArray<ComplexSelector> Own)? Selector, ImmutableArray<Specificity> Weights, string Asks = "")
    {
        public Specificity Heaviest => Weights.IsEmpty ? default : Weights.Max();
    }

    private void Rule(RuleNode rule, Around around)
    {
        if (rule is StyleRuleNode style)
        {
            Style(style, around);
            return;
        }
        var at = (AtRuleNode)rule;
        switch (at.Name.ToLowerInvariant())
        {
            case "media":
                Inner(at, around with { Conditions = around.Conditions.Add(new(ConditionKind.Media, at.Prelude)) });
                break;
            case "supports":
                Inner(at, around with { Conditions = around.Conditions.Add(new(ConditionKind.Supports, at.Prelude)) });
                break;
            case "container":
                Inner(at, around with { Conditions = around.Conditions.Add(new(ConditionKind.Container, at.Prelude)) });
                break;
            case "starting-style":
                Inner(at, around with { Conditions = around.Conditions.Add(new(ConditionKind.Start, [])) });
                break;
            case "layer":
                Layer(at, around);
                break;
            case "scope":
                Scope(at, around);
                break;
            case "keyframes" or "-webkit-keyframes" when at.BlockStart >= 0 && at.Prelude is [Token { Kind: TokenKind.Ident or TokenKind.String } name]:
                items.Add(new KeyframesItem(around.Conditions, around.Layer, name.Text, [.. at.Items.OfType<StyleRuleNode>().SelectMany(Frames)]));
                break;
            case "property" when around.Style is null:
                if (Property(at) is { } property) items.Add(new PropertyItem(around.Conditions, around.Layer, property));
                break;
        }
    }

    private void Style(StyleRuleNode rule, Around around)
    {
        var isNested = around.Style is not null || around.Scope is not null;
        if (!SelectorParser.TryParse(rule.Prelude, isNested, out var selectors, out _)) return;
        if (around.Style is not null) selectors = [.. selectors.Select(NestedSelectors.Complete)];
        // In a scope a selector that begins with a combinator begins at its root, which weighs nothing there.
        var weights = selectors.Select(s => Specificity.Of(s, around.Heaviest) + (around.Style is not null && s.Leading is not null ? around.Heaviest : default)).ToImmutableArray();
        // At the top, "&" is the scope's root, or the page's (CSS Nesting 1, §3).
        var text = sheet.Node.Source[rule.Start..rule.BlockStart].TrimEnd();
        var inner = around with
        {
            Style = new NestingParent(selectors, around.Style),
            Selector = (text, around.Style, selectors),
            Weights = weights,
            Asks = $"{around.Asks}{text}\n",
        };
        Items(rule.Items, inner);
    }

    /// <summary>Declarations up to a rule among them are one rule, those after it another (CSS Nesting 1, §4.1).</summary>
    private void Items(ImmutableArray<BlockItem> block, Around around)
    {
        var run = new List<DeclarationNode>();
        foreach (var item in block)
        {
            if (item is DeclarationNode declaration)
            {
                run.Add(declaration);
                continue;
            }
            Take();
            Rule((RuleNode)item, around);
        }
        Take();

        void Take()
        {
            if (run.Count == 0) return;
            // Directly in a scope, what is declared is for its root, without weight (CSS Cascade 6, §2.5.3).
            var (text, parent, own) = around.Selector ?? (":where(:scope)", null, ScopeRoot);
            var rule = new StyleRule(sheet, text, own, parent, around.Scope, around.Weights.IsEmpty ? [default] : around.Weights) { Asks = around.Asks, IsConditional = around.Scope is not null || around.Conditions.Any(c => c.Kind != ConditionKind.Supports) };
            rule.Declarations = [.. run.Select(d => new Declared(d, rule, sheet.Origin != Origin.Author))];
            items.Add(new RuleItem(around.Conditions, around.Layer, rule));
            run.Clear();
        }
    }

    private static ImmutableArray<ComplexSelector> ScopeRoot { get; } = SelectorParser.TryParse(Parser.ParseValues(":scope"), isNested: false, out var root, out _) ? root : [];

    private void Inner(AtRuleNode rule, Around around)
    {
        if (rule.BlockStart < 0) return;
        if (around.Style is not null || around.Scope is not null)
        {
            Items(rule.Items, around);
            return;
        }
        foreach (var item in rule.Items.OfType<RuleNode>()) Rule(item, around);
    }

    private void Layer(AtRuleNode rule, Around around)
    {
        if (rule.BlockStart < 0)
        {
            foreach (var name in LayerNames(rule.Prelude, around.Layer) ?? []) items.Add(new LayerItem(around.Conditions, name));
            return;
        }
        LayerName? layer;
        if (rule.Prelude.IsEmpty) layer = new(around.Layer, "", new());
        else if (LayerNames(rule.Prelude, around.Layer) is [var one]) layer = one;
        else return;
        items.Add(new LayerItem(around.Conditions, layer));
        Inner(rule, around with { Layer = layer });
    }

    /// <summary>Names with dots between their parts and commas between them; null where they are none.</summary>
    private static List<LayerName>? LayerNames(ImmutableArray<ComponentValue> values, LayerName? around)
    {
        var names = new List<LayerName>();
        var parts = 0;
        LayerName? name = null;
        var wantsPart = true;
        foreach (var value in values)
        {
            switch (value)
            {
                case Token { Kind: TokenKind.Whitespace }:
                    continue;
                case Token { Kind: TokenKind.Comma } when !wantsPart:
                    names.Add(name!);
                    (name, wantsPart, parts) = (null, true, 0);
                    continue;
                case Token dot when dot.IsDelim('.') && !wantsPart:
                    wantsPart = true;
                    continue;
                case Token { Kind: TokenKind.Ident } part when wantsPart && part.Text.ToLowerInvariant() is not ("initial" or "inherit" or "unset" or "revert" or "revert-layer"):
                    if (++parts > MostParts) return null;
                    name = new(name ?? around, part.Text, null);
                    wantsPart = false;
                    continue;
                default:
                    return null;
            }
        }
        if (wantsPart) return null;
        names.Add(name!);
        return names;
    }

    private void Import(AtRuleNode rule, Around around)
    {
        if (rule.BlockStart >= 0) return;
        var row = rule.Prelude;
        if (row.IsEmpty) return;
        var address = row[0] switch
        {
            Token { Kind: TokenKind.String or TokenKind.Url } text => text.Text,
            FunctionValue { Values: [Token { Kind: TokenKind.String } text] } function when function.Name.Equals("url", StringComparison.OrdinalIgnoreCase) => text.Text,
            _ => null,
        };
        if (address is null) return;
        var at = 1;
        var layer = around.Layer;
        Skip();
        if (at < row.Length && row[at] is Token word && word.IsIdent("layer"))
        {
            layer = new(around.Layer, "", new());
            at++;
        }
        else if (at < row.Length && row[at] is FunctionValue named && named.Name.Equals("layer", StringComparison.OrdinalIgnoreCase) && LayerNames(named.Values, around.Layer) is [var one])
        {
            layer = one;
            at++;
        }
        Skip();
        var conditions = around.Conditions;
        if (at < row.Length && row[at] is FunctionValue supports && supports.Name.Equals("supports", StringComparison.OrdinalIgnoreCase))
        {
            conditions = conditions.Add(new(ConditionKind.Supports, supports.Values, IsBare: true));
            at++;
        }
        Skip();
        if (at < row.Length) conditions = conditions.Add(new(ConditionKind.Media, row[at..]));
        if (layer != around.Layer) items.Add(new LayerItem(conditions, layer));
        items.Add(new ImportItem(conditions, layer, address));

        void Skip()
        {
            while (at < row.Length && row[at] is Token { Kind: TokenKind.Whitespace }) at++;
        }
    }

    private void Scope(AtRuleNode rule, Around around)
    {
        if (rule.BlockStart < 0) return;
        ImmutableArray<ComplexSelector>? start = null;
        ImmutableArray<ComplexSelector> limits = [];
        var row = rule.Prelude.WithoutSpace();
        var at = 0;
        if (at < row.Length && row[at] is BlockValue { Open: TokenKind.OpenParen } from)
        {
            if (!SelectorParser.TryParse(from.Values, isNested: around.Style is not null || around.Scope is not null, out var begin, out _)) return;
            start = around.Style is null ? begin : [.. begin.Select(NestedSelectors.Complete)];
            at++;
        }
        if (at < row.Length)
        {
            if (row.Length != at + 2 || row[at] is not Token to || !to.IsIdent("to") || row[at + 1] is not BlockValue { Open: TokenKind.OpenParen } until) return;
            if (!SelectorParser.TryParse(until.Values, isNested: true, out limits, out _)) return;
        }
        Items(rule.Items, around with { Scope = new(start, limits, around.Scope), Style = null, Selector = null, Weights = [], Asks = $"{around.Asks}@scope {Serializer.Values(rule.Prelude)}\n" });
    }

    private static IEnumerable<Keyframe> Frames(StyleRuleNode rule)
    {
        ImmutableArray<Declared> declarations = [.. rule.Items.OfType<DeclarationNode>().Select(d => new Declared(d, null))];
        foreach (var value in rule.Prelude)
        {
            if (value is Token { Kind: TokenKind.Percentage } percentage) yield return new(percentage.Number, declarations);
            else if (value is Token word && (word.IsIdent("from") || word.IsIdent("to"))) yield return new(word.IsIdent("to") ? 100 : 0, declarations);
        }
    }

    private static RegisteredProperty? Property(AtRuleNode rule)
    {
        if (rule.Prelude is not [Token { Kind: TokenKind.Ident, Text: ['-', '-', _, ..] } name]) return null;
        var descriptors = rule.Items.OfType<DeclarationNode>().GroupBy(d => d.Name, StringComparer.OrdinalIgnoreCase).ToDictionary(g => g.Key, g => g.Last().Value, StringComparer.OrdinalIgnoreCase);
        if (descriptors.GetValueOrDefault("syntax", []) is not [Token { Kind: TokenKind.String } syntax]) return null;
        if (descriptors.GetValueOrDefault("inherits", []) is not [Token { Kind: TokenKind.Ident } inherits] || !(inherits.IsIdent("true") || inherits.IsIdent("false"))) return null;
        ImmutableArray<ComponentValue>? initial = descriptors.TryGetValue("initial-value", out var given) ? given : null;
        var of = syntax.Text.Trim();
        // What takes anything needs none to begin with; all else does (CSS Properties and Values 1, §2.4).
        if (of != "*" && (initial is not { } needed || !PropertyGrammars.All.IsOf(of, needed))) return null;
        return new(name.Text, of, inherits.IsIdent("true"), initial);
    }
}
