using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>Whether values are as a definition says. All ways to read them are followed side by side, none of them twice.</summary>
/// <param name="grammars">Where the definitions of types and properties stand.</param>
internal sealed class ValueMatcher(PropertyGrammars grammars)
{
    /// <summary>Questions before a value is taken for granted: no one writes such a value by hand.</summary>
    private const int MostSteps = 400_000;

    /// <summary>Definitions in each other; some hold themselves.</summary>
    private const int MostDepth = 120;

    private int steps;
    private int depth;

    /// <summary>How far the values could be read at all, as an offset in the text.</summary>
    public int Furthest { get; private set; } = -1;

    /// <summary>What could have stood there.</summary>
    public HashSet<ValueDefinition> Expected { get; } = [];

    /// <summary>Whether it was given up: then the answer is that they match.</summary>
    public bool IsGivenUp => steps > MostSteps;

    public bool Matches(ValueDefinition definition, ImmutableArray<ComponentValue> values)
    {
        var row = new Row(values);
        var ends = Ends(definition, row, 0);
        foreach (var end in ends)
        {
            if (end < row.Length) Missed(row, end, null);
        }
        return ends.Contains(row.Length) || IsGivenUp;
    }

    /// <summary>Values without the white space between them, and what is known of them.</summary>
    private sealed class Row(ImmutableArray<ComponentValue> values)
    {
        private readonly ComponentValue[] values = [.. values.WithoutSpace()];

        public int Length => values.Length;

        public ComponentValue this[int at] => values[at];

        public int EndOffset => values.Length == 0 ? 0 : values[^1].End;

        public Dictionary<(ValueDefinition, int), ImmutableSortedSet<int>> Known { get; } = new(new ByReference());
    }

    private sealed class ByReference : IEqualityComparer<(ValueDefinition Definition, int At)>
    {
        public bool Equals((ValueDefinition Definition, int At) x, (ValueDefinition Definition, int At) y) => ReferenceEquals(x.Definition, y.Definition) && x.At == y.At;

        public int GetHashCode((ValueDefinition Definition, int At) pair) => System.Runtime.CompilerServices.RuntimeHelpers.GetHashCode(pair.Definition) * 31 + pair.At;
    }

    private void Missed(Row row, int at, ValueDefinition? expected)
    {
        var offset = at < row.Length ? row[at].Start : row.EndOffset;
        if (offset < Furthest) return;
        if (offset > Furthest) Expected.Clear();
        Furthest = offset;
        if (expected is not null) Expected.Add(expected);
    }

    /// <summary>Where the values a definition takes can end, that begin at a place.</summary>
    private ImmutableSortedSet<int> Ends(ValueDefinition definition, Row row, int at)
    {
        if (row.Known.TryGetValue((definition, at), out var known)) return known;
        if (++steps > MostSteps || depth > MostDepth) return [];
        // What holds itself without having read anything in between comes to nothing.
        row.Known[(definition, at)] = [];
        depth++;
        var ends = Found(definition, row, at);
        depth--;
        row.Known[(definition, at)] = ends;
        return ends;
    }

    private ImmutableSortedSet<int> Found(ValueDefinition definition, Row row, int at)
    {
        switch (definition)
        {
            case SignDefinition { Sign: ',' }:
                return Comma(row, at);
            case GroupDefinition group:
                var ends = Group(group, row, at);
                return group.IsRequired ? ends.Remove(at) : ends;
            case RepeatedDefinition repeated:
                return Repeated(repeated, row, at);
            case PropertyDefinition property:
                return grammars.OfProperty(property.Name) is { } other ? Ends(other, row, at) : [];
            case TypeDefinition { Name: "declaration-value" or "any-value" }:
                return at < row.Length ? [.. Enumerable.Range(at + 1, row.Length - at)] : [];
            case TypeDefinition type when at < row.Length && BasicTypes.Takes(type, row[at]) is { } takes:
                if (takes) return [at + 1];
                Missed(row, at, definition);
                return [];
            case TypeDefinition type:
                if (grammars.OfType(type) is { } defined) return Ends(defined, row, at);
                Missed(row, at, definition);
                return [];
            default:
                if (at < row.Length && Takes(definition, row[at])) return [at + 1];
                Missed(row, at, definition);
                return [];
        }
    }

    private bool Takes(ValueDefinition definition, ComponentValue value) => (definition, value) switch
    {
        (KeywordDefinition keyword, Token { Kind: TokenKind.Ident } word) => word.IsIdent(keyword.Name),
        (KeywordDefinition { Name: ['@', .. var name] }, Token { Kind: TokenKind.AtKeyword } word) => word.Text.Equals(name, StringComparison.OrdinalIgnoreCase),
        (SignDefinition { Sign: ':' }, Token { Kind: TokenKind.Colon }) or (SignDefinition { Sign: ';' }, Token { Kind: TokenKind.Semicolon }) => true,
        (SignDefinition sign, Token token) => token.IsDelim(sign.Sign),
        (FunctionDefinition wanted, FunctionValue function) => function.Name.Equals(wanted.Name, StringComparison.OrdinalIgnoreCase) && Matches(wanted.Inner, function.Values),
        (BlockDefinition wanted, BlockValue block) => block.Open == wanted.Open && Matches(wanted.Inner, block.Values),
        _ => false,
    };

    /// <summary>A comma, which is left out together with what it stands beside (CSS Values 4, §2.1).</summary>
    private ImmutableSortedSet<int> Comma(Row row, int at)
    {
        var isFirst = at == 0 || row[at - 1] is Token { Kind: TokenKind.Comma or TokenKind.Delim };
        if (at < row.Length && row[at] is Token { Kind: TokenKind.Comma })
        {
            if (!isFirst) return [at + 1];
            Missed(row, at, null);
            return [];
        }
        if (isFirst || at == row.Length) return [at];
        Missed(row, at, new SignDefinition(','));
        return [];
    }

    private ImmutableSortedSet<int> Group(GroupDefinition group, Row row, int at)
    {
        switch (group.Together)
        {
            case Together.One:
                var one = ImmutableSortedSet.CreateBuilder<int>();
                foreach (var member in group.Members) one.UnionWith(Ends(member, row, at));
                return one.ToImmutable();
            case Together.Sequence:
                ImmutableSortedSet<int> ends = [at];
                foreach (var member in group.Members)
                {
                    var next = ImmutableSortedSet.CreateBuilder<int>();
                    foreach (var end in ends) next.UnionWith(Ends(member, row, end));
                    ends = next.ToImmutable();
                    if (ends.IsEmpty) break;
                }
                return ends;
            default:
                return AnyOrder(group, row, at);
        }
    }

    /// <summary>Members in any order: each place is looked at once with each choice of members that led there.</summary>
    private ImmutableSortedSet<int> AnyOrder(GroupDefinition group, Row row, int at)
    {
        var all = (1 << group.Members.Length) - 1;
        var seen = new HashSet<(int Used, int At)> { (0, at) };
        var open = new Queue<(int Used, int At)>(seen);
        var ends = ImmutableSortedSet.CreateBuilder<int>();
        while (open.TryDequeue(out var place) && !IsGivenUp)
        {
            steps++;
            if (group.Together == Together.All ? place.Used == all : place.Used != 0) ends.Add(place.At);
            for (var i = 0; i < group.Members.Length; i++)
            {
                if ((place.Used & (1 << i)) != 0) continue;
                foreach (var end in Ends(group.Members[i], row, place.At))
                {
                    var next = (place.Used | (1 << i), end);
                    if (seen.Add(next)) open.Enqueue(next);
                }
            }
        }
        return ends.ToImmutable();
    }

    private ImmutableSortedSet<int> Repeated(RepeatedDefinition repeated, Row row, int at)
    {
        var ends = ImmutableSortedSet.CreateBuilder<int>();
        ImmutableSortedSet<int> now = [at];
        if (repeated.Least == 0) ends.Add(at);
        for (var count = 1; (repeated.Most is not { } most || count <= most) && !now.IsEmpty && count <= row.Length + repeated.Least + 1 && !IsGivenUp; count++)
        {
            var next = ImmutableSortedSet.CreateBuilder<int>();
            foreach (var place in now)
            {
                foreach (var from in count > 1 && repeated.WithCommas ? AfterComma(row, place) : [place]) next.UnionWith(Ends(repeated.Of, row, from));
            }
            now = next.ToImmutable();
            if (count >= repeated.Least)
            {
                if (ends.Count > 0 && now.IsSubsetOf(ends)) break;
                ends.UnionWith(now);
            }
        }
        return ends.ToImmutable();
    }

    private ImmutableSortedSet<int> AfterComma(Row row, int at)
    {
        if (at < row.Length && row[at] is Token { Kind: TokenKind.Comma }) return [at + 1];
        Missed(row, at, new SignDefinition(','));
        return [];
    }
}
