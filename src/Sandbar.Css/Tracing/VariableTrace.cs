using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tracing;

/// <summary>A custom property that a value is made of.</summary>
/// <param name="Value">What it comes to; null for nothing.</param>
/// <param name="Winner">The declaration that counts; null where there is none.</param>
/// <param name="InheritedFrom">The ancestor it stands for; null where that is the element itself.</param>
public sealed record VariableTrace(string Name, string? Value, Candidate? Winner, Element? InheritedFrom)
{
    /// <summary>All that a declaration of an element reads, and what these read in turn, each once; what is read before what it reads.</summary>
    /// <param name="style">The style of the element.</param>
    public static IReadOnlyList<VariableTrace> Of(ElementStyle style, Element element, Declared declared)
    {
        var found = new List<VariableTrace>();
        var seen = new HashSet<string>(StringComparer.Ordinal);
        var open = new Queue<(ElementStyle Style, Element Element, Declared Declared)>([(style, element, declared)]);
        while (open.TryDequeue(out var next))
        {
            foreach (var name in next.Declared.Reads.Where(seen.Add))
            {
                var (at, of) = (next.Style, next.Element);
                Candidate? winner;
                while ((winner = at.Cascade.Of(name) is [var first, ..] ? first : null) is null && at.Parent is not null) (at, of) = (at.Parent, at.Piece.Length > 0 ? of : of.Parent!);
                found.Add(new(name, next.Style.Custom(name) is { } values ? Serializer.Values(values) : null, winner, winner is null || of == element ? null : of));
                if (winner is not null) open.Enqueue((at, of, winner.Declared));
            }
        }
        return found;
    }
}
