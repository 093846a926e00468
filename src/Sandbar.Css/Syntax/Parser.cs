using System.Collections.Immutable;
using System.Runtime.InteropServices;

namespace Sandbar.Css.Syntax;

/// <summary>Tokens to rules and declarations, with recovery from errors. Source: CSS Syntax Module Level 3, §5.</summary>
public sealed class Parser
{
    // Deeper nesting than anyone writes is cut off, so that a hostile sheet cannot exhaust the stack.
    private const int MaxDepth = 200;

    private const string NeitherNor = "Neither a declaration (name: value;) nor a rule (selector { … }).";

    private readonly string source;
    private readonly List<SyntaxError> errors = [];

    // Values and items of what is not finished yet, innermost last: each takes its own from the end.
    private readonly List<ComponentValue> values = [];
    private readonly List<BlockItem> items = [];
    private readonly List<FoundToken> tokens;
    private readonly TokenReader reader;
    private int at;
    private int depth;

    private Parser(string source)
    {
        this.source = source;
        tokens = Tokenizer.Find(source, errors);
        reader = new(source);
        Comments = [.. tokens.Where(t => t.Kind == TokenKind.Comment).Select(t => new SyntaxNode(t.Start, t.End))];
        if (Comments.Length > 0) tokens.RemoveAll(t => t.Kind == TokenKind.Comment);
    }

    /// <summary>All comments of the text, marks included, in its order.</summary>
    public ImmutableArray<SyntaxNode> Comments { get; }

    /// <summary>What could not be read so far, in the order of the text.</summary>
    public ImmutableArray<SyntaxError> Errors => [.. errors.OrderBy(e => e.Start)];

    /// <summary>Parses a whole sheet. Never throws: errors are part of the answer.</summary>
    public static StyleSheetNode ParseStyleSheet(string source)
    {
        var parser = new Parser(source);
        return new(source, [.. parser.Rules()], parser.Comments, parser.Errors);
    }

    /// <summary>Begins with a sheet, to read it rule by rule: of a long one no more is in memory than the rule in hand.</summary>
    public static Parser Of(string source) => new(source);

    /// <summary>Parses a list of component values, such as the value of a property.</summary>
    public static ImmutableArray<ComponentValue> ParseValues(string source)
    {
        var parser = new Parser(source);
        parser.Values();
        return parser.TakeValues(0);
    }

    /// <summary>Parses what a <c>style</c> attribute says (CSS Style Attributes, §3): declarations, and nothing else counts.</summary>
    public static ImmutableArray<DeclarationNode> ParseDeclarations(string source)
    {
        var parser = new Parser(source);
        var declarations = ImmutableArray.CreateBuilder<DeclarationNode>();
        while (parser.Current.Kind != TokenKind.End)
        {
            if (parser.Current.Kind is TokenKind.Whitespace or TokenKind.Semicolon)
            {
                parser.at++;
            }
            else if (parser.Current.Kind == TokenKind.AtKeyword)
            {
                parser.AtRule(nested: false, inStyle: true);
            }
            else
            {
                var mark = parser.values.Count;
                // No block is around, so a brace that closes one ends nothing and spoils what it stands in.
                if (parser.Declaration() is { } declaration && parser.Current.Kind != TokenKind.CloseCurly) declarations.Add(declaration);
                else parser.SkipToSemicolon();
                parser.values.RemoveRange(mark, parser.values.Count - mark);
            }
        }
        return declarations.ToImmutable();
    }

    private void SkipToSemicolon()
    {
        while (Current.Kind is not (TokenKind.End or TokenKind.Semicolon)) Component();
    }

    private ref readonly FoundToken Current => ref CollectionsMarshal.AsSpan(tokens)[at];

    private FoundToken Take() => Current.Kind == TokenKind.End ? Current : tokens[at++];

    private void SkipWhitespace()
    {
        while (Current.Kind == TokenKind.Whitespace) at++;
    }

    private void Error(int start, int end, string message)
    {
        if (errors.Count < Tokenizer.MostErrors * 2) errors.Add(new(start, end, message));
    }

    /// <summary>The values from a mark on, without the white space around them.</summary>
    private ImmutableArray<ComponentValue> TakeValues(int mark)
    {
        int start = mark, end = values.Count;
        while (start < end && IsWhitespace(values[start])) start++;
        while (end > start && IsWhitespace(values[end - 1])) end--;
        return Taken(mark, start, end);
    }

    private ImmutableArray<ComponentValue> Taken(int mark, int start, int end)
    {
        ImmutableArray<ComponentValue> taken = end == start ? [] : [.. CollectionsMarshal.AsSpan(values)[start..end]];
        values.RemoveRange(mark, values.Count - mark);
        return taken;
    }

    /// <summary>The rules that are left to read (§5.5.1).</summary>
    public IEnumerable<RuleNode> Rules()
    {
        while (true)
        {
            switch (Current.Kind)
            {
                case TokenKind.End:
                    yield break;
                case TokenKind.Whitespace or TokenKind.Cdo or TokenKind.Cdc:
                    at++;
                    break;
                case TokenKind.AtKeyword:
                    if (AtRule(nested: false, inStyle: false) is { } atRule) yield return atRule;
                    break;
                default:
                    if (QualifiedRule(nested: false, inStyle: false) is { } rule) yield return rule;
                    break;
            }
        }
    }

    // §5.5.2. Nested: a closing brace ends it. In a style rule: declarations may stand beside it.
    private AtRuleNode? AtRule(bool nested, bool inStyle)
    {
        var keyword = reader.Token(Take());
        var mark = values.Count;
        while (true)
        {
            var token = Current;
            switch (token.Kind)
            {
                case TokenKind.Semicolon:
                    at++;
                    return new(keyword.Text, TakeValues(mark), [], -1, keyword.Start, token.End);
                case TokenKind.End:
                    Error(keyword.Start, keyword.End, $"@{keyword.Text} is not finished: it needs a ; or a block in braces.");
                    return new(keyword.Text, TakeValues(mark), [], -1, keyword.Start, token.Start);
                case TokenKind.CloseCurly when nested:
                    return new(keyword.Text, TakeValues(mark), [], -1, keyword.Start, token.Start);
                case TokenKind.OpenCurly:
                    var prelude = TakeValues(mark);
                    // What is declared in a scope is for its root (CSS Cascade 6, §2.5.3).
                    var isStyle = inStyle || keyword.Text.Equals("scope", StringComparison.OrdinalIgnoreCase);
                    var (contents, end) = Block(rulesOnly: !isStyle && AtRuleNode.HoldsRules(keyword.Text), isStyle);
                    return new(keyword.Text, prelude, contents, token.Start, keyword.Start, end);
                default:
                    if (token.Kind == TokenKind.CloseCurly) Error(token.Start, token.End, "A closing brace } without an opening one.");
                    values.Add(Component());
                    break;
            }
        }
    }

    // §5.5.3
    private StyleRuleNode? QualifiedRule(bool nested, bool inStyle)
    {
        var start = Current.Start;
        var mark = values.Count;
        while (true)
        {
            var token = Current;
            if (token.Kind == TokenKind.End || (inStyle && token.Kind == TokenKind.Semicolon))
            {
                Error(start, token.Start, NotARule(TakeValues(mark), nested));
                return null;
            }
            if (token.Kind == TokenKind.CloseCurly)
            {
                if (nested)
                {
                    Error(start, token.Start, NotARule(TakeValues(mark), nested));
                    return null;
                }
                Error(token.Start, token.End, "A closing brace } without an opening one.");
                values.Add(reader.Token(Take()));
                continue;
            }
            if (token.Kind != TokenKind.OpenCurly)
            {
                values.Add(Component());
                continue;
            }
            var selector = TakeValues(mark);
            if (LooksLikeCustomProperty(selector))
            {
                Error(start, token.Start, "A custom property needs a rule around it, and braces in its value need a closing one.");
                if (inStyle) SkipBadDeclaration();
                else Block(rulesOnly: false, inStyle: true);
                return null;
            }
            if (selector.IsEmpty) Error(token.Start, token.End, "This rule has no selector before its brace.");
            var (contents, end) = Block(rulesOnly: false, inStyle: true);
            return new(selector, contents, token.Start, start, end);
        }
    }

    private static string NotARule(ImmutableArray<ComponentValue> prelude, bool nested)
    {
        if (!nested) return "This rule has no braces: expected selector { name: value; }.";
        var isWord = prelude.FirstOrDefault(v => v is not Token { Kind: TokenKind.Whitespace }) is Token { Kind: TokenKind.Ident };
        return isWord && !prelude.Any(v => v is Token { Kind: TokenKind.Colon })
            ? "A colon is missing between name and value: expected name: value;"
            : NeitherNor;
    }

    private static bool LooksLikeCustomProperty(ImmutableArray<ComponentValue> prelude)
    {
        if (prelude is not [Token { Kind: TokenKind.Ident } name, ..] || !IsCustom(name)) return false;
        var next = 1;
        // More than one piece of white space where a comment stood between.
        while (next < prelude.Length && IsWhitespace(prelude[next])) next++;
        return next < prelude.Length && prelude[next] is Token { Kind: TokenKind.Colon };
    }

    /// <summary>Whether a name is a custom property's; two dashes alone are kept for later (CSS Custom Properties 1, §2).</summary>
    private static bool IsCustom(Token name) => name.Text.Length > 2 && name.Text.StartsWith("--", StringComparison.Ordinal);

    // §5.5.4 and §5.5.5. A group of rules that stands in no style rule takes no declarations: there, as in browsers, a semicolon ends nothing.
    private (ImmutableArray<BlockItem> Items, int End) Block(bool rulesOnly, bool inStyle)
    {
        var open = Take();
        if (++depth > MaxDepth)
        {
            depth--;
            Error(open.Start, open.End, $"Rules are nested more than {MaxDepth} deep.");
            at--;
            var skipped = Component();
            return ([], skipped.End);
        }
        var first = items.Count;
        while (true)
        {
            switch (Current.Kind)
            {
                case TokenKind.Whitespace:
                    at++;
                    break;
                case TokenKind.Semicolon when !rulesOnly:
                    at++;
                    break;
                case TokenKind.End:
                    Error(open.Start, open.End, "This brace { is never closed: } is missing.");
                    depth--;
                    return (TakeItems(first), Current.Start);
                case TokenKind.CloseCurly:
                    depth--;
                    return (TakeItems(first), Take().End);
                case TokenKind.AtKeyword:
                    if (AtRule(nested: true, inStyle) is { } atRule) items.Add(atRule);
                    break;
                case var _ when rulesOnly:
                    if (QualifiedRule(nested: true, inStyle: false) is { } only) items.Add(only);
                    break;
                // Nothing that may stand here begins with a function: browsers (seen in Chromium) leave out all up to the semicolon.
                case TokenKind.Function:
                    Error(Current.Start, Current.End, NeitherNor);
                    SkipBadDeclaration();
                    break;
                default:
                    var mark = at;
                    var known = errors.Count;
                    if (Declaration() is { } declaration)
                    {
                        items.Add(declaration);
                        break;
                    }
                    // Not a declaration: read it again as a nested rule (§5.5.4), and forget what the first reading complained of.
                    at = mark;
                    errors.RemoveRange(known, errors.Count - known);
                    if (QualifiedRule(nested: true, inStyle: true) is { } rule) items.Add(rule);
                    break;
            }
        }
    }

    private ImmutableArray<BlockItem> TakeItems(int first)
    {
        ImmutableArray<BlockItem> taken = items.Count == first ? [] : [.. CollectionsMarshal.AsSpan(items)[first..]];
        items.RemoveRange(first, items.Count - first);
        return taken;
    }

    // §5.5.6; null where it is none, wherever the reading stopped
    private DeclarationNode? Declaration()
    {
        if (Current.Kind != TokenKind.Ident) return null;
        var found = Take();
        SkipWhitespace();
        if (Current.Kind != TokenKind.Colon) return null;
        at++;
        SkipWhitespace();
        var name = reader.Token(found);
        var isCustom = IsCustom(name);
        if (!isCustom && IsBraceAhead()) return null;
        var mark = values.Count;
        while (Current.Kind is not (TokenKind.End or TokenKind.Semicolon or TokenKind.CloseCurly))
        {
            // "selector:hover { … }" starts like a declaration, and no property but custom ones takes braces. Nothing within them is read here, so that deep
            // nesting is not read over and over.
            if (Current.Kind == TokenKind.OpenCurly && !isCustom)
            {
                values.RemoveRange(mark, values.Count - mark);
                return null;
            }
            values.Add(Component());
        }
        var end = Current.Start;
        var important = TakeImportant(mark);
        var value = TakeValues(mark);
        if (value.IsEmpty && !isCustom) Error(name.Start, end, $"{name.Text} has no value.");
        return new(name.Text, value, important, name.Start, TrimmedEnd(name.Start, end));
    }

    /// <summary>Whether a brace opens before anything ends the value or brackets nest in it: it is no declaration then, and nothing need be made of it to know.</summary>
    private bool IsBraceAhead()
    {
        foreach (ref readonly var token in CollectionsMarshal.AsSpan(tokens)[at..])
        {
            if (token.Kind == TokenKind.OpenCurly) return true;
            if (token.Kind is TokenKind.End or TokenKind.Semicolon or TokenKind.CloseCurly or TokenKind.Function or TokenKind.OpenParen or TokenKind.OpenSquare) return false;
        }
        return false;
    }

    private int TrimmedEnd(int start, int end)
    {
        while (end > start && char.IsWhiteSpace(source[end - 1])) end--;
        return end;
    }

    private bool TakeImportant(int mark)
    {
        var last = values.Count - 1;
        while (last >= mark && IsWhitespace(values[last])) last--;
        if (last < mark + 1 || values[last] is not Token word || !word.IsIdent("important")) return false;
        var bang = last - 1;
        while (bang >= mark && IsWhitespace(values[bang])) bang--;
        if (bang < mark || values[bang] is not Token sign || !sign.IsDelim('!')) return false;
        values.RemoveRange(bang, values.Count - bang);
        return true;
    }

    // §5.5.9, "remnants of a bad declaration"
    private void SkipBadDeclaration()
    {
        while (Current.Kind != TokenKind.End && Current.Kind != TokenKind.Semicolon)
        {
            if (Current.Kind == TokenKind.CloseCurly) return;
            Component();
        }
        Take();
    }

    // §5.5.7
    private void Values()
    {
        while (Current.Kind != TokenKind.End)
        {
            if (Current.Kind == TokenKind.CloseCurly) Error(Current.Start, Current.End, "A closing brace } without an opening one.");
            values.Add(Component());
        }
    }

    // §5.5.8
    private ComponentValue Component()
    {
        var open = Take();
        var close = open.Kind switch
        {
            TokenKind.OpenCurly => TokenKind.CloseCurly,
            TokenKind.OpenSquare => TokenKind.CloseSquare,
            TokenKind.OpenParen or TokenKind.Function => TokenKind.CloseParen,
            _ => TokenKind.End,
        };
        if (close == TokenKind.End) return reader.Token(open);
        var mark = values.Count;
        if (++depth > MaxDepth)
        {
            SkipTo(close);
        }
        else
        {
            while (Current.Kind != close && Current.Kind != TokenKind.End) values.Add(Component());
        }
        depth--;
        if (Current.Kind == TokenKind.End) Error(open.Start, open.End, $"{source[open.Start..open.End]} is never closed.");
        var end = Take().End;
        var inner = Taken(mark, mark, values.Count);
        return open.Kind == TokenKind.Function ? new FunctionValue(reader.Token(open).Text, inner, open.Start, end) : new BlockValue(open.Kind, inner, open.Start, end);
    }

    private void SkipTo(TokenKind close)
    {
        Error(Current.Start, Current.End, $"Brackets are nested more than {MaxDepth} deep.");
        while (Current.Kind != close && Current.Kind != TokenKind.End) at++;
    }

    private static bool IsWhitespace(ComponentValue value) => value is Token { Kind: TokenKind.Whitespace };
}
