using System.Collections.Concurrent;
using System.Globalization;

namespace Sandbar.Core.Design;

/// <summary>The states of an element. In a sheet later ones win.</summary>
public enum State
{
    Rest,
    Current,
    Hover,
    Focus,
    Pressed,
    Off,
}

/// <summary>Widths from a break up to another, px: <paramref name="Below"/> is not part of it; null where it is open.</summary>
public readonly record struct Interval(int? From, int? Below)
{
    public static readonly Interval All;

    public bool Overlaps(Interval other) => (From ?? 0) < (other.Below ?? int.MaxValue) && (other.From ?? 0) < (Below ?? int.MaxValue);
}

/// <summary>Where a value of a look stands: property, state and widths. Text form: <c>background</c>, <c>background@hover</c>, <c>columns@rest@600-820</c>.</summary>
public readonly record struct CellKey(string Property, State State, Interval Widths)
{
    private static readonly ConcurrentDictionary<string, CellKey> Known = new(StringComparer.Ordinal);

    /// <exception cref="FormatException">Not the text form of a key.</exception>
    public static CellKey Parse(string text) => Known.GetOrAdd(text, Read);

    public override string ToString()
    {
        if (Widths == Interval.All) return State == State.Rest ? Property : $"{Property}@{StateName}";
        return $"{Property}@{StateName}@{Widths.From}-{Widths.Below}";
    }

    private string StateName => State.ToString().ToLowerInvariant();

    private static CellKey Read(string text)
    {
        var parts = text.Split('@');
        var state = State.Rest;
        if (parts.Length > 3 || (parts.Length > 1 && !Enum.TryParse(parts[1], ignoreCase: true, out state)))
            throw new FormatException($"“{text}” is not the key of a value.");
        if (parts.Length < 3) return new(parts[0], state, Interval.All);
        var ends = parts[2].Split('-');
        if (ends.Length != 2) throw new FormatException($"“{text}” is not the key of a value.");
        return new(parts[0], state, new(Break(ends[0]), Break(ends[1])));
        static int? Break(string end) => end.Length == 0 ? null : int.Parse(end, CultureInfo.InvariantCulture);
    }
}
