using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>One selector of a rule.</summary>
/// <param name="Selector">Which of them.</param>
/// <param name="Around">What must be named by elements around, as marks of <see cref="NameMarks"/>.</param>
internal readonly record struct IndexedSelector(ActiveRule Rule, int Selector, UInt128 Around);

/// <summary>What the last part of a selector names.</summary>
internal enum IndexKind
{
    Anything,

    /// <summary>What stands in nothing else.</summary>
    Root,
    Attribute,
    Name,
    Class,
    Id,
}

/// <summary>Where a selector stands in an index.</summary>
/// <param name="Piece">The pseudo-element it is for; empty for elements themselves.</param>
/// <param name="Around">What must be named by elements around, as marks of <see cref="NameMarks"/>.</param>
internal readonly record struct IndexKey(string Piece, IndexKind Kind, string Name, UInt128 Around)
{
    public static IndexKey Of(ComplexSelector selector)
    {
        // States after a piece are the piece's.
        var own = selector.Compounds[^1].Parts.TakeWhile(p => p is not PseudoElementSelector).ToList();
        var (kind, name) = (own.OfType<IdSelector>().FirstOrDefault(), own.OfType<ClassSelector>().FirstOrDefault(), own.OfType<TypeSelector>().FirstOrDefault(t => t.Name != "*")) switch
        {
            ({ } id, _, _) => (IndexKind.Id, id.Name),
            (_, { } named, _) => (IndexKind.Class, named.Name),
            (_, _, { } type) => (IndexKind.Name, type.Name),
            _ when own.Exists(p => p is PseudoClassSelector { Name: "root" }) => (IndexKind.Root, ""),
            _ when own.OfType<AttributeSelector>().FirstOrDefault(a => !Matching.MayBeForced(a)) is { } attribute => (IndexKind.Attribute, attribute.Name),
            _ => (IndexKind.Anything, ""),
        };
        return new(PseudoElements.Of(selector)?.Name ?? "", kind, name, NameMarks.Around(selector));
    }
}

/// <summary>Selectors by what their last part names, so that an element is held against few of them.</summary>
internal sealed class RuleIndex
{
    private readonly Dictionary<string, List<IndexedSelector>> ids = new(StringComparer.OrdinalIgnoreCase);
    private readonly Dictionary<string, List<IndexedSelector>> classes = new(StringComparer.OrdinalIgnoreCase);
    private readonly Dictionary<string, List<IndexedSelector>> names = new(StringComparer.OrdinalIgnoreCase);
    private readonly Dictionary<string, List<IndexedSelector>> attributes = new(StringComparer.OrdinalIgnoreCase);
    private readonly List<IndexedSelector> roots = [];
    private readonly List<IndexedSelector> others = [];

    public void Add(ActiveRule rule, int at)
    {
        var key = rule.Rule.Keys[at];
        var list = key.Kind switch
        {
            IndexKind.Id => List(ids, key.Name),
            IndexKind.Class => List(classes, key.Name),
            IndexKind.Name => List(names, key.Name),
            IndexKind.Attribute => List(attributes, key.Name),
            IndexKind.Root => roots,
            _ => others,
        };
        list.Add(new(rule, at, key.Around));
    }

    /// <summary>Hands over all that may hold for an element.</summary>
    /// <param name="around">The marks of what stands around it.</param>
    public void Candidates(Element element, UInt128 around, List<IndexedSelector> into)
    {
        Take(others);
        if (element.Parent is null) Take(roots);
        if (names.TryGetValue(element.Name, out var byName)) Take(byName);
        if (element.Id.Length > 0 && ids.TryGetValue(element.Id, out var byId)) Take(byId);
        foreach (var one in element.Classes)
        {
            if (classes.TryGetValue(one, out var byClass)) Take(byClass);
        }
        if (attributes.Count > 0)
        {
            foreach (var (name, _) in element.Attributes)
            {
                if (attributes.TryGetValue(name, out var byAttribute)) Take(byAttribute);
            }
        }

        void Take(List<IndexedSelector> selectors)
        {
            foreach (var selector in selectors)
            {
                if ((selector.Around & ~around) == UInt128.Zero) into.Add(selector);
            }
        }
    }

    /// <summary>Whether any may hold for an element, whatever is around it.</summary>
    public bool MayReach(Element element) => others.Count > 0 || (element.Parent is null && roots.Count > 0) || names.ContainsKey(element.Name) || (element.Id.Length > 0 && ids.ContainsKey(element.Id)) || element.Classes.Any(classes.ContainsKey) || (attributes.Count > 0 && element.Attributes.Any(a => attributes.ContainsKey(a.Key)));

    private static List<IndexedSelector> List(Dictionary<string, List<IndexedSelector>> map, string name) => map.TryGetValue(name, out var list) ? list : map[name] = [];
}

/// <summary>
/// Names as marks in a few bits: what a selector asks of elements around cannot hold where a mark of it is missing. Two names may share a mark, so it says what cannot be, never what is.
/// </summary>
internal static class NameMarks
{
    private const int Bits = 128;

    public static UInt128 Of(Element element)
    {
        var marks = Mark(element.Name);
        if (element.Id.Length > 0) marks |= Mark(element.Id);
        foreach (var one in element.Classes) marks |= Mark(one);
        return marks;
    }

    /// <summary>What a selector asks of those around its last part.</summary>
    public static UInt128 Around(ComplexSelector selector)
    {
        var marks = UInt128.Zero;
        // From right to left as long as it goes outwards; what stands beside is not around.
        for (var i = selector.Compounds.Length - 2; i >= 0 && selector.Combinators[i] is Combinator.Descendant or Combinator.Child; i--)
        {
            foreach (var part in selector.Compounds[i].Parts)
            {
                marks |= part switch
                {
                    TypeSelector { Name: not "*" } type => Mark(type.Name),
                    ClassSelector named => Mark(named.Name),
                    IdSelector id => Mark(id.Name),
                    _ => UInt128.Zero,
                };
            }
        }
        return marks;
    }

    private static UInt128 Mark(string name) => UInt128.One << (int)((uint)name.GetHashCode(StringComparison.OrdinalIgnoreCase) % Bits);
}
