using System.Collections.Immutable;

namespace Sandbar.Css.Syntax;

/// <summary>Tokens to rules and declarations, with recovery from errors. Source: CSS Syntax Module Level 3, §5.</summary>
public sealed class Parser
{
    // Deeper nesting than anyone writes is cut off, so that a hostile sheet cannot exhaust the stack.
    private const int MaxDepth = 200;

    private static readonly HashSet<string> HoldsRules =
        new(["media", "supports", "layer", "container", "scope", "starting-style", "keyframes", "-webkit-keyframes"], StringComparer.OrdinalIgnoreCase);

    private const string NeitherNor = "Neither a declaration (name: value;) nor a rule (selector { … }).";

    private readonly string source;
    private readonly List<SyntaxError> errors = [];
    private readonly List<Token> tokens;
    private readonly ImmutableArray<SyntaxNode> comments;
    private int at;
    private int depth;

    private Parser(string source)
    {
        this.source = source;
        tokens = Tokenizer.Read(source, errors);
        comments = [.. tokens.Where(t => t.Kind == TokenKind.Comment).Select(t => new SyntaxNode(t.Start, t.End))];
        if (comments.Length > 0) tokens.RemoveAll(t => t.Kind == TokenKind.Comment);
    }

    /// <summary>Parses a whole sheet. Never throws: errors are part of the answer.</summary>
    public static StyleSheetNode ParseStyleSheet(string source)
    {
        var parser = new Parser(source);
        var rules = parser.SheetContents();
        return new(source, rules, parser.comments, [.. parser.errors.OrderBy(e => e.Start)]);
    }

    /// <summary>Parses a list of component values, such as the value of a property.</summary>
    public static ImmutableArray<ComponentValue> ParseValues(string source)
    {
        var parser = new Parser(source);
        return Trim(parser.Values());
    }

    private Token Current => tokens[at];

    private Token Take() => Current.Kind == TokenKind.End ? Current : tokens[at++];

    private void SkipWhitespace()
    {
        while (Current.Kind == TokenKind.Whitespace) at++;
    }

    private void Error(int start, int end, string message) => errors.Add(new(start, end, message));

    // §5.5.1
    private ImmutableArray<RuleNode> SheetContents()
    {
        var rules = ImmutableArray.CreateBuilder<RuleNode>();
        while (true)
        {
            switch (Current.Kind)
            {
                case TokenKind.End:
                    return rules.ToImmutable();
                case TokenKind.Whitespace or TokenKind.Cdo or TokenKind.Cdc:
                    at++;
                    break;
                case TokenKind.AtKeyword:
                    if (AtRule(nested: false, inStyle: false) is { } atRule) rules.Add(atRule);
                    break;
                default:
                    if (QualifiedRule(nested: false, inStyle: false) is { } rule) rules.Add(rule);
                    break;
            }
        }
    }

    // §5.5.2. Nested: a closing brace ends it. In a style rule: declarations may stand beside it.
    private AtRuleNode? AtRule(bool nested, bool inStyle)
    {
        var keyword = Take();
        var prelude = ImmutableArray.CreateBuilder<ComponentValue>();
        while (true)
        {
            var token = Current;
            switch (token.Kind)
            {
                case TokenKind.Semicolon:
                    at++;
                    return new(keyword.Text, Trim(prelude), [], -1, keyword.Start, token.End);
                case TokenKind.End:
                    Error(keyword.Start, keyword.End, $"@{keyword.Text} is not finished: it needs a ; or a block in braces.");
                    return new(keyword.Text, Trim(prelude), [], -1, keyword.Start, token.Start);
                case TokenKind.CloseCurly when nested:
                    return new(keyword.Text, Trim(prelude), [], -1, keyword.Start, token.Start);
                case TokenKind.OpenCurly:
                    var (items, end) = Block(rulesOnly: !inStyle && HoldsRules.Contains(keyword.Text), inStyle);
                    return new(keyword.Text, Trim(prelude), items, token.Start, keyword.Start, end);
                default:
                    if (token.Kind == TokenKind.CloseCurly) Error(token.Start, token.End, "A closing brace } without an opening one.");
                    prelude.Add(Component());
                    break;
            }
        }
    }

    // §5.5.3
    private StyleRuleNode? QualifiedRule(bool nested, bool inStyle)
    {
        var start = Current.Start;
        var prelude = ImmutableArray.CreateBuilder<ComponentValue>();
        while (true)
        {
            var token = Current;
            if (token.Kind == TokenKind.End || (inStyle && token.Kind == TokenKind.Semicolon))
            {
                Error(start, token.Start, NotARule(prelude, nested));
                return null;
            }
            if (token.Kind == TokenKind.CloseCurly)
            {
                if (nested)
                {
                    Error(start, token.Start, NotARule(prelude, nested));
                    return null;
                }
                Error(token.Start, token.End, "A closing brace } without an opening one.");
                prelude.Add(new TokenValue(Take()));
                continue;
            }
            if (token.Kind != TokenKind.OpenCurly)
            {
                prelude.Add(Component());
                continue;
            }
            var selector = Trim(prelude);
            if (LooksLikeCustomProperty(selector))
            {
                Error(start, token.Start, "A custom property needs a rule around it, and braces in its value need a closing one.");
                if (inStyle) SkipBadDeclaration();
                else Block(rulesOnly: false, inStyle: true);
                return null;
            }
            if (selector.IsEmpty) Error(token.Start, token.End, "This rule has no selector before its brace.");
            var (items, end) = Block(rulesOnly: false, inStyle: true);
            return new(selector, items, token.Start, start, end);
        }
    }

    private static string NotARule(ImmutableArray<ComponentValue>.Builder prelude, bool nested)
    {
        if (!nested) return "This rule has no braces: expected selector { name: value; }.";
        var isWord = prelude.FirstOrDefault(v => v is not TokenValue { Token.Kind: TokenKind.Whitespace }) is TokenValue { Token.Kind: TokenKind.Ident };
        return isWord && !prelude.Any(v => v is TokenValue { Token.Kind: TokenKind.Colon })
            ? "A colon is missing between name and value: expected name: value;"
            : NeitherNor;
    }

    private static bool LooksLikeCustomProperty(ImmutableArray<ComponentValue> prelude)
    {
        var values = prelude.Where(v => v is not TokenValue { Token.Kind: TokenKind.Whitespace }).Take(2).ToList();
        return values is [TokenValue { Token: { Kind: TokenKind.Ident } name }, TokenValue { Token.Kind: TokenKind.Colon }]
            && IsCustom(name);
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
        var items = ImmutableArray.CreateBuilder<BlockItem>();
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
                    return (items.ToImmutable(), Current.Start);
                case TokenKind.CloseCurly:
                    depth--;
                    return (items.ToImmutable(), Take().End);
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

    // §5.5.6; null where it is none, wherever the reading stopped
    private DeclarationNode? Declaration()
    {
        if (Current.Kind != TokenKind.Ident) return null;
        var name = Take();
        SkipWhitespace();
        if (Current.Kind != TokenKind.Colon) return null;
        at++;
        SkipWhitespace();
        var isCustom = IsCustom(name);
        if (DeclarationValues(isCustom) is not { } values) return null;
        var end = Current.Start;
        var important = TakeImportant(values);
        var value = Trim(values);
        if (value.IsEmpty && !isCustom) Error(name.Start, end, $"{name.Text} has no value.");
        return new(name.Text, value, important, name.Start, TrimmedEnd(name.Start, end));
    }

    /// <summary>
    /// The values up to the semicolon; null at a brace: "selector:hover { … }" starts like a declaration, and no property but custom ones takes braces. Nothing
    /// within them is read here, so that deep nesting is not read over and over.
    /// </summary>
    private ImmutableArray<ComponentValue>.Builder? DeclarationValues(bool isCustom)
    {
        var values = ImmutableArray.CreateBuilder<ComponentValue>();
        while (Current.Kind is not (TokenKind.End or TokenKind.Semicolon or TokenKind.CloseCurly))
        {
            if (Current.Kind == TokenKind.OpenCurly && !isCustom) return null;
            values.Add(Component());
        }
        return values;
    }

    private int TrimmedEnd(int start, int end)
    {
        while (end > start && char.IsWhiteSpace(source[end - 1])) end--;
        return end;
    }

    private static bool TakeImportant(ImmutableArray<ComponentValue>.Builder values)
    {
        var last = values.Count - 1;
        while (last >= 0 && IsWhitespace(values[last])) last--;
        if (last < 1 || values[last] is not TokenValue { Token: var word } || !word.IsIdent("important")) return false;
        var bang = last - 1;
        while (bang >= 0 && IsWhitespace(values[bang])) bang--;
        if (bang < 0 || values[bang] is not TokenValue { Token: var mark } || !mark.IsDelim('!')) return false;
        while (values.Count > bang) values.RemoveAt(values.Count - 1);
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
    private ImmutableArray<ComponentValue>.Builder Values()
    {
        var values = ImmutableArray.CreateBuilder<ComponentValue>();
        while (Current.Kind != TokenKind.End)
        {
            if (Current.Kind == TokenKind.CloseCurly) Error(Current.Start, Current.End, "A closing brace } without an opening one.");
            values.Add(Component());
        }
        return values;
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
        if (close == TokenKind.End) return new TokenValue(open);
        var values = ImmutableArray.CreateBuilder<ComponentValue>();
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
        return open.Kind == TokenKind.Function
            ? new FunctionValue(open.Text, values.ToImmutable(), open.Start, end)
            : new BlockValue(open.Kind, values.ToImmutable(), open.Start, end);
    }

    private void SkipTo(TokenKind close)
    {
        Error(Current.Start, Current.End, $"Brackets are nested more than {MaxDepth} deep.");
        while (Current.Kind != close && Current.Kind != TokenKind.End) at++;
    }

    private static bool IsWhitespace(ComponentValue value) => value is TokenValue { Token.Kind: TokenKind.Whitespace };

    private static ImmutableArray<ComponentValue> Trim(ImmutableArray<ComponentValue>.Builder values)
    {
        int start = 0, end = values.Count;
        while (start < end && IsWhitespace(values[start])) start++;
        while (end > start && IsWhitespace(values[end - 1])) end--;
        return [.. values.Skip(start).Take(end - start)];
    }
}
