using System.Collections.Immutable;

namespace Sandbar.Css.Syntax;

/// <summary>Tokens to rules and declarations, with recovery from errors. Source: CSS Syntax Module Level 3, §5.</summary>
public sealed class Parser
{
    // Deeper nesting than anyone writes is cut off, so that a hostile sheet cannot exhaust the stack.
    private const int MaxDepth = 200;

    private readonly string source;
    private readonly List<SyntaxError> errors = [];
    private readonly List<Token> tokens;
    private int at;
    private int depth;

    private Parser(string source)
    {
        this.source = source;
        tokens = Tokenizer.Read(source, errors);
        tokens.RemoveAll(t => t.Kind == TokenKind.Comment);
    }

    /// <summary>Parses a whole sheet. Never throws: errors are part of the answer.</summary>
    public static StyleSheetNode ParseStyleSheet(string source)
    {
        var parser = new Parser(source);
        var rules = parser.SheetContents();
        return new(source, rules, [.. parser.errors.OrderBy(e => e.Start)]);
    }

    /// <summary>Parses a list of component values, such as the value of a property.</summary>
    public static ImmutableArray<ComponentValue> ParseValues(string source)
    {
        var parser = new Parser(source);
        return Trim(parser.Values(stop: TokenKind.End, nested: false));
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
                    if (AtRule(nested: false) is { } atRule) rules.Add(atRule);
                    break;
                default:
                    if (QualifiedRule(stop: null, nested: false) is { } rule) rules.Add(rule);
                    break;
            }
        }
    }

    // §5.5.2
    private AtRuleNode? AtRule(bool nested)
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
                    var (items, end) = Block();
                    return new(keyword.Text, Trim(prelude), items, token.Start, keyword.Start, end);
                default:
                    if (token.Kind == TokenKind.CloseCurly) Error(token.Start, token.End, "A closing brace } without an opening one.");
                    prelude.Add(Component());
                    break;
            }
        }
    }

    // §5.5.3
    private StyleRuleNode? QualifiedRule(TokenKind? stop, bool nested)
    {
        var start = Current.Start;
        var prelude = ImmutableArray.CreateBuilder<ComponentValue>();
        while (true)
        {
            var token = Current;
            if (token.Kind == TokenKind.End || token.Kind == stop)
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
                if (nested) SkipBadDeclaration(nested);
                else Block();
                return null;
            }
            if (selector.IsEmpty) Error(token.Start, token.End, "This rule has no selector before its brace.");
            var (items, end) = Block();
            return new(selector, items, token.Start, start, end);
        }
    }

    private static string NotARule(ImmutableArray<ComponentValue>.Builder prelude, bool nested)
    {
        if (!nested) return "This rule has no braces: expected selector { name: value; }.";
        var isWord = prelude.FirstOrDefault(v => v is not TokenValue { Token.Kind: TokenKind.Whitespace }) is TokenValue { Token.Kind: TokenKind.Ident };
        return isWord && !prelude.Any(v => v is TokenValue { Token.Kind: TokenKind.Colon })
            ? "A colon is missing between name and value: expected name: value;"
            : "Neither a declaration (name: value;) nor a rule (selector { … }).";
    }

    private static bool LooksLikeCustomProperty(ImmutableArray<ComponentValue> prelude)
    {
        var values = prelude.Where(v => v is not TokenValue { Token.Kind: TokenKind.Whitespace }).Take(2).ToList();
        return values is [TokenValue { Token: { Kind: TokenKind.Ident } name }, TokenValue { Token.Kind: TokenKind.Colon }]
            && name.Text.StartsWith("--", StringComparison.Ordinal);
    }

    // §5.5.4 and §5.5.5
    private (ImmutableArray<BlockItem> Items, int End) Block()
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
                case TokenKind.Whitespace or TokenKind.Semicolon:
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
                    if (AtRule(nested: true) is { } atRule) items.Add(atRule);
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
                    if (QualifiedRule(TokenKind.Semicolon, nested: true) is { } rule) items.Add(rule);
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
        var values = Values(TokenKind.Semicolon, nested: true);
        var end = Current.Start;
        var important = TakeImportant(values);
        var value = Trim(values);
        var isCustom = name.Text.StartsWith("--", StringComparison.Ordinal);
        // "selector:hover { … }" starts like a declaration; a block beside other values gives it away.
        if (!isCustom && value.Length > 1 && value.Any(v => v is BlockValue { Open: TokenKind.OpenCurly })) return null;
        if (value.IsEmpty && !isCustom) Error(name.Start, end, $"{name.Text} has no value.");
        return new(name.Text, value, important, name.Start, TrimmedEnd(name.Start, end));
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
    private void SkipBadDeclaration(bool nested)
    {
        while (Current.Kind != TokenKind.End && Current.Kind != TokenKind.Semicolon)
        {
            if (Current.Kind == TokenKind.CloseCurly && nested) return;
            Component();
        }
        Take();
    }

    // §5.5.7
    private ImmutableArray<ComponentValue>.Builder Values(TokenKind stop, bool nested)
    {
        var values = ImmutableArray.CreateBuilder<ComponentValue>();
        while (Current.Kind != TokenKind.End && Current.Kind != stop)
        {
            if (Current.Kind == TokenKind.CloseCurly)
            {
                if (nested) break;
                Error(Current.Start, Current.End, "A closing brace } without an opening one.");
            }
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
