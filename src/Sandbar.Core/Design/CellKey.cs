using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Css;

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

    public bool Holds(int width) => (From ?? 0) <= width && width < (Below ?? int.MaxValue);

    public bool Overlaps(Interval other) => (From ?? 0) < (other.Below ?? int.MaxValue) && (other.From ?? 0) < (Below ?? int.MaxValue);
}

/// <summary>Where a value of a look stands: property, state and widths. Text form: <c>background</c>, <c>background@hover</c>, <c>columns@rest@600-820</c>.</summary>
public readonly record struct CellKey(string Property, State State, Interval Widths)
{
    private const int MostKnown = 20_000;

    private static readonly ConcurrentDictionary<string, CellKey> Known = new(StringComparer.Ordinal);

    private static readonly Dictionary<string, State> States = Enum.GetValues<State>().ToDictionary(s => s.ToString().ToLowerInvariant(), StringComparer.Ordinal);

    /// <exception cref="FormatException">Not the text form of a key.</exception>
    public static CellKey Parse(string text) => TryParse(text, out var key) ? key : throw new FormatException($"{Quoted.Text(text)} is not the key of a value.");

    /// <summary>Reads the text form of a key.</summary>
    public static bool TryParse(string text, out CellKey key)
    {
        if (Known.TryGetValue(text, out key)) return true;
        if (Read(text) is not { } read) return false;
        // Only what is read again and again is kept: hostile keys are not.
        if (Known.Count < MostKnown) Known[text] = read;
        key = read;
        return true;
    }

    /// <summary>The value at Rest that a cell of another state refers to; null at Rest itself, and where nothing is set there.</summary>
    /// <param name="cells">Among which it stands.</param>
    /// <param name="rests">Those of the look where <paramref name="cells"/> are a block's own.</param>
    public Value? RestIn(ImmutableSortedDictionary<string, Value> cells, ImmutableSortedDictionary<string, Value> rests) =>
        State == State.Rest ? null : cells.GetValueOrDefault(Property) ?? rests.GetValueOrDefault(Property);

    public override string ToString()
    {
        if (Widths == Interval.All) return State == State.Rest ? Property : $"{Property}@{StateName}";
        return $"{Property}@{StateName}@{Widths.From}-{Widths.Below}";
    }

    private string StateName => State.ToString().ToLowerInvariant();

    private static CellKey? Read(string text)
    {
        var parts = text.Split('@');
        if (parts.Length > 3) return null;
        var state = State.Rest;
        if (parts.Length > 1 && !States.TryGetValue(parts[1], out state)) return null;
        if (parts.Length < 3) return new(parts[0], state, Interval.All);
        var ends = parts[2].Split('-');
        if (ends.Length != 2 || !TryBreak(ends[0], out var from) || !TryBreak(ends[1], out var below) || (from is null && below is null)) return null;
        return new(parts[0], state, new(from, below));
    }

    private static bool TryBreak(string end, out int? at)
    {
        at = int.TryParse(end, NumberStyles.None, CultureInfo.InvariantCulture, out var px) ? px : null;
        return end.Length == 0 || at is not null;
    }
}
