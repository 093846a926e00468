using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Selectors;

/// <summary>Component values to selectors. Source: Selectors Level 4, §18.1, and CSS Nesting 1 for <c>&amp;</c>.</summary>
public static class SelectorParser
{
    /// <summary>Pseudo-elements that may be written with one colon, as in CSS 2.</summary>
    private static readonly HashSet<string> OldPseudoElements = new(["before", "after", "first-line", "first-letter"], StringComparer.Ordinal);

    private static readonly HashSet<string> Forgiving = new(["is", "where"], StringComparer.Ordinal);

    private static readonly HashSet<string> TakingSelectors = new(["is", "where", "not", "has", "matches", "-webkit-any", "host", "host-context"], StringComparer.Ordinal);

    private static readonly HashSet<string> Nth = new(["nth-child", "nth-last-child", "nth-of-type", "nth-last-of-type"], StringComparer.Ordinal);

    /// <summary>Selectors Level 4, HTML and CSS View Transitions, as Chromium has them.</summary>
    private static readonly HashSet<string> PseudoClasses = new(
        (":active :active-view-transition :any-link :autofill :checked :default :defined :disabled :empty :enabled :first-child :first-of-type :focus :focus-visible :focus-within :fullscreen "
            + ":future :host :hover :in-range :indeterminate :interest-source :interest-target :invalid :last-child :last-of-type :link :modal :only-child :only-of-type :open :optional :out-of-range :past "
            + ":paused :picture-in-picture :placeholder-shown :popover-open :read-only :read-write :required :root :scope :target :target-current :target-after :target-before :user-invalid "
            + ":user-valid :valid :visited :xr-overlay :current")
            .Split(' ').Select(name => name[1..]), StringComparer.Ordinal);

    private static readonly HashSet<string> PseudoElements = new(
        ("after backdrop before checkmark column cue details-content file-selector-button first-letter first-line grammar-error highlight marker part picker picker-icon placeholder scroll-button scroll-marker "
            + "scroll-marker-group search-text selection slotted spelling-error target-text view-transition view-transition-group view-transition-image-pair view-transition-new view-transition-old").Split(' '), StringComparer.Ordinal);

    /// <summary>Pieces of an element that have states of their own, and those that have pieces of their own, as Chromium has them.</summary>
    private static readonly HashSet<string> WithStates = new(["file-selector-button", "part", "details-content", "cue", "scroll-marker", "scroll-button", "picker"], StringComparer.Ordinal);

    private static readonly HashSet<string> WithPieces = new(["before", "after", "part", "slotted", "details-content", "picker"], StringComparer.Ordinal);

    private static readonly HashSet<string> States = new(["hover", "focus", "focus-visible", "focus-within", "active", "disabled", "enabled", "checked"], StringComparer.Ordinal);

    /// <summary>Reads the list of selectors of a rule.</summary>
    /// <param name="isNested">Whether the rule stands in another, so that selectors may begin with a combinator.</param>
    /// <param name="error">What is wrong, and where; null where the list can be read.</param>
    public static bool TryParse(ImmutableArray<ComponentValue> prelude, bool isNested, out ImmutableArray<ComplexSelector> selectors, [NotNullWhen(false)] out SyntaxError? error)
    {
        try
        {
            selectors = List(prelude, isRelative: isNested);
            error = null;
            return true;
        }
        catch (SelectorException unreadable)
        {
            selectors = [];
            error = unreadable.Error;
            return false;
        }
    }

    private static ImmutableArray<ComplexSelector> List(ImmutableArray<ComponentValue> values, bool isRelative)
    {
        var list = ImmutableArray.CreateBuilder<ComplexSelector>();
        foreach (var (from, to, at) in Split(values)) list.Add(new Reader(values, from, to, at).Complex(isRelative));
        return list.ToImmutable();
    }

    /// <summary>A list in which what cannot be read is passed over (Selectors Level 4, §4.1).</summary>
    private static ImmutableArray<ComplexSelector> ForgivingList(ImmutableArray<ComponentValue> values)
    {
        var list = ImmutableArray.CreateBuilder<ComplexSelector>();
        foreach (var (from, to, at) in Split(values))
        {
            try
            {
                list.Add(new Reader(values, from, to, at).Complex(isRelative: false));
            }
            catch (SelectorException)
            {
                // Browsers keep the rule and let this one select nothing.
            }
        }
        return list.ToImmutable();
    }

    /// <summary>What stands between the commas: from which value to which, and where it begins in the text.</summary>
    private static IEnumerable<(int From, int To, int At)> Split(ImmutableArray<ComponentValue> values)
    {
        var from = 0;
        var at = values.Length > 0 ? values[0].Start : 0;
        for (var i = 0; i < values.Length; i++)
        {
            if (values[i] is not Token { Kind: TokenKind.Comma } comma) continue;
            yield return (from, i, at);
            (from, at) = (i + 1, comma.End);
        }
        yield return (from, values.Length, at);
    }

    private sealed class SelectorException(SyntaxError error) : Exception(error.Message)
    {
        public SyntaxError Error { get; } = error;
    }

    /// <summary>Reads one of the list.</summary>
    private sealed class Reader
    {
        private readonly ImmutableArray<ComponentValue> values;
        private readonly int to;
        private readonly int start;
        private readonly int end;
        private int at;

        public Reader(ImmutableArray<ComponentValue> values, int from, int to, int start)
        {
            (this.values, this.to, this.start, at) = (values, to, start, from);
            end = to > from ? values[to - 1].End : start;
        }

        private ComponentValue? Current => at < to ? values[at] : null;

        private Token? CurrentToken => Current as Token;

        private int Position => Current?.Start ?? end;

        public ComplexSelector Complex(bool isRelative)
        {
            SkipWhitespace();
            var from = Position;
            Combinator? leading = null;
            if (TakeCombinator() is { } first)
            {
                if (!isRelative) throw Wrong("A selector cannot begin with this sign: it needs an element before it.", from, Position);
                leading = first;
                SkipWhitespace();
            }
            var compounds = ImmutableArray.CreateBuilder<CompoundSelector>();
            var combinators = ImmutableArray.CreateBuilder<Combinator>();
            compounds.Add(Compound());
            while (true)
            {
                var sawSpace = SkipWhitespace();
                if (Current is null) break;
                var signAt = Position;
                var combinator = TakeCombinator();
                if (compounds[^1].Parts[^1] is PseudoElementSelector last) throw Wrong($"::{last.Name} ends a selector: nothing can stand inside or beside it.", signAt, signAt + 1);
                if (combinator is null && !sawSpace) throw Wrong("This does not belong here.", Position, Current.End);
                SkipWhitespace();
                if (Current is null) throw Wrong("A selector cannot end with this sign: it needs an element after it.", signAt, signAt + 1);
                combinators.Add(combinator ?? Combinator.Descendant);
                compounds.Add(Compound());
            }
            return new(leading, compounds.ToImmutable(), combinators.ToImmutable(), from, compounds[^1].End);
        }

        private CompoundSelector Compound()
        {
            var from = Position;
            var parts = ImmutableArray.CreateBuilder<SimpleSelector>();
            if (TypeOrUniversal() is { } type) parts.Add(type);
            PseudoElementSelector? piece = null;
            while (Simple() is { } simple)
            {
                if (piece is not null && !MayFollow(piece, simple))
                    throw Wrong($"After ::{piece.Name} {(Stateful(piece) ? "only states may follow" : "nothing may follow")}.", simple.Start, simple.End);
                parts.Add(simple);
                piece = simple as PseudoElementSelector ?? piece;
            }
            if (parts.Count == 0)
            {
                throw Current is null
                    ? Wrong("A selector is missing here.", from, Math.Max(from, start))
                    : Wrong("This is no selector: an element, a .class, an #id, an [attribute] or a :state is needed.", from, Current.End);
            }
            return new(parts.ToImmutable(), from, parts[^1].End);
        }

        private static bool MayFollow(PseudoElementSelector piece, SimpleSelector simple) => simple switch
        {
            PseudoElementSelector => WithPieces.Contains(piece.Name),
            PseudoClassSelector { Name: "is" or "where" } => true,
            PseudoClassSelector pseudo => Stateful(piece) && (States.Contains(pseudo.Name) || pseudo.Name == "not"),
            _ => false,
        };

        private static bool Stateful(PseudoElementSelector piece) => WithStates.Contains(piece.Name) || piece.Name.StartsWith('-');

        private TypeSelector? TypeOrUniversal()
        {
            var from = Position;
            // Of namespaces there are only any (*|name) and none (|name): a page's own CSS declares no others.
            if (CurrentToken is { } bar && bar.IsDelim('|') && NextIsName(at + 1)) at++;
            if (CurrentToken is not { } token || !(token.Kind == TokenKind.Ident || token.IsDelim('*'))) return null;
            at++;
            if (CurrentToken is { } next && next.IsDelim('|') && NextIsName(at + 1))
            {
                if (token.Kind == TokenKind.Ident) throw Wrong($"There is no namespace {Quoted.Text(token.Text)}: browsers leave the whole rule out.", from, next.End);
                at++;
                token = CurrentToken;
                at++;
            }
            return new(token.Kind == TokenKind.Ident ? token.Text : "*", from, token.End);
        }

        private bool NextIsName(int index) => index < to && values[index] is Token token && (token.Kind == TokenKind.Ident || token.IsDelim('*'));

        private SimpleSelector? Simple()
        {
            switch (Current)
            {
                case Token { Kind: TokenKind.Hash } hash:
                    if (!hash.IsId) throw Wrong($"An id cannot begin with a digit: write #\\3{hash.Text[0]} and a space before the rest.", hash.Start, hash.End);
                    at++;
                    return new IdSelector(hash.Text, hash.Start, hash.End);
                case Token dot when dot.IsDelim('.'):
                    at++;
                    if (CurrentToken is not { Kind: TokenKind.Ident } name || name.Start != dot.End) throw Wrong("After the dot a class name must follow.", dot.Start, dot.End);
                    at++;
                    return new ClassSelector(name.Text, dot.Start, name.End);
                case Token ampersand when ampersand.IsDelim('&'):
                    at++;
                    return new NestingSelector(ampersand.Start, ampersand.End);
                case BlockValue { Open: TokenKind.OpenSquare } block:
                    at++;
                    return Attribute(block);
                case Token { Kind: TokenKind.Colon } colon:
                    at++;
                    return Pseudo(colon);
                default:
                    return null;
            }
        }

        private SimpleSelector Pseudo(Token colon)
        {
            var isElement = CurrentToken is { Kind: TokenKind.Colon };
            if (isElement) at++;
            switch (Current)
            {
                case Token { Kind: TokenKind.Ident } ident when ident.Start == colon.End + (isElement ? 1 : 0):
                    at++;
                    var name = ident.Text.ToLowerInvariant();
                    if (isElement || OldPseudoElements.Contains(name)) return PseudoElement(name, [], colon.Start, ident.End);
                    if (!PseudoClasses.Contains(name) && !name.StartsWith('-')) throw Wrong($"{Quoted.Text(":" + ident.Text)} is no state that browsers know: they leave the whole rule out.", colon.Start, ident.End);
                    return new PseudoClassSelector(name, [], colon.Start, ident.End);
                case FunctionValue function when function.Start == colon.End + (isElement ? 1 : 0):
                    at++;
                    return isElement ? Piece(function, colon.Start) : State(function, colon.Start);
                default:
                    throw Wrong("After the colon a state such as hover must follow.", colon.Start, colon.End);
            }
        }

        private static PseudoClassSelector State(FunctionValue function, int from)
        {
            var name = function.Name.ToLowerInvariant();
            if (TakingSelectors.Contains(name))
                return new(name, Forgiving.Contains(name) ? ForgivingList(function.Values) : List(function.Values, isRelative: name == "has"), from, function.End);
            if (Nth.Contains(name)) return Counting(name, function, from);
            return SelectorWords.OfState(name, function) is { } words ? new(name, [], from, function.End) { Words = words } : throw Unknown(function, "state", from);
        }

        private static PseudoElementSelector Piece(FunctionValue function, int from)
        {
            var name = function.Name.ToLowerInvariant();
            var piece = PseudoElement(name, name is "slotted" or "cue" ? List(function.Values, isRelative: false) : [], from, function.End);
            return SelectorWords.OfPiece(name, function) is { } words ? piece with { Words = words } : throw Unknown(function, "piece of an element", from);
        }

        private static SelectorException Unknown(FunctionValue function, string what, int from) =>
            Wrong($"{Quoted.Text(function.Name + "()")} is no {what} that browsers know with what stands between its brackets: they leave the whole rule out.", from, function.End);

        private static PseudoElementSelector PseudoElement(string name, ImmutableArray<ComplexSelector> arguments, int from, int end) =>
            PseudoElements.Contains(name) || name.StartsWith('-')
                ? new(name, arguments, from, end)
                : throw Wrong($"{Quoted.Text("::" + name)} is no piece of an element that browsers know: they leave the whole rule out.", from, end);

        /// <summary>A place in a row, and of children the selectors after <c>of</c>: <c>:nth-child(2n of .a)</c>.</summary>
        private static PseudoClassSelector Counting(string name, FunctionValue function, int from)
        {
            var of = name is "nth-child" or "nth-last-child" ? function.Values.ToList().FindIndex(v => v is Token token && token.IsIdent("of")) : -1;
            var count = of < 0 ? function.Values.AsSpan() : function.Values.AsSpan()[..of];
            if (!AnPlusB.TryParse(count, out var nth)) throw Wrong($"{Quoted.Text($":{function.Name}()")} takes which of a row it is: 3, odd, even, or a pattern such as 2n+1.", from, function.End);
            return new(name, of < 0 ? [] : List(function.Values[(of + 1)..], isRelative: false), from, function.End) { Nth = nth };
        }

        private static AttributeSelector Attribute(BlockValue block)
        {
            var inner = block.Values.Where(v => v is not Token { Kind: TokenKind.Whitespace }).ToList();
            var tokens = inner.OfType<Token>().ToArray();
            // Of namespaces there are only any (*|name) and none (|name): a page's own CSS declares no others.
            var bar = Array.FindIndex(tokens, t => t.IsDelim('|'));
            var isPrefixed = tokens.Length > bar + 1 && (bar == 0 || (bar == 1 && tokens[0].IsDelim('*'))) && tokens[bar + 1].Kind == TokenKind.Ident;
            if (isPrefixed) tokens = tokens[(bar + 1)..];
            if (inner.Count == 0 || inner.Exists(v => v is not Token) || tokens[0].Kind != TokenKind.Ident) throw Broken();
            if (tokens.Length == 1) return new(tokens[0].Text, null, "", IgnoresCase: false, block.Start, block.End);
            AttributeOperator? by = tokens[1] is not { Kind: TokenKind.Delim, Text: var sign } ? null : sign switch
            {
                "=" => AttributeOperator.Equals,
                "~" => AttributeOperator.Includes,
                "|" => AttributeOperator.DashMatch,
                "^" => AttributeOperator.Prefix,
                "$" => AttributeOperator.Suffix,
                "*" => AttributeOperator.Substring,
                _ => null,
            };
            if (by is null) throw Broken();
            var at = 2;
            if (by != AttributeOperator.Equals)
            {
                if (tokens.Length < 3 || !tokens[2].IsDelim('=') || tokens[2].Start != tokens[1].End) throw Broken();
                at = 3;
            }
            if (tokens.Length <= at || tokens[at].Kind is not (TokenKind.Ident or TokenKind.String)) throw Broken();
            if (tokens.Length > at + 1 && tokens[at + 1].IsIdent("s")) throw Wrong("Not every browser knows the flag s: those that do not leave the whole rule out.", block.Start, block.End);
            var ignoresCase = tokens.Length > at + 1;
            if (tokens.Length > at + 2 || (ignoresCase && !tokens[at + 1].IsIdent("i"))) throw Broken();
            return new(tokens[0].Text, by, tokens[at].Text, ignoresCase, block.Start, block.End);

            SelectorException Broken() => Wrong("An attribute is written [name] or [name=\"value\"].", block.Start, block.End);
        }

        private Combinator? TakeCombinator()
        {
            Combinator? combinator = CurrentToken is not { } token ? null
                : token.IsDelim('>') ? Combinator.Child
                : token.IsDelim('+') ? Combinator.NextSibling
                : token.IsDelim('~') ? Combinator.SubsequentSibling
                : null;
            if (combinator is not null) at++;
            return combinator;
        }

        private bool SkipWhitespace()
        {
            var from = at;
            while (CurrentToken is { Kind: TokenKind.Whitespace }) at++;
            return at > from;
        }

        private static SelectorException Wrong(string message, int from, int end) => new(new(from, Math.Max(end, from + 1), message));
    }
}
