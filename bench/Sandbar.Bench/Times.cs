using System.Diagnostics;

namespace Sandbar.Bench;

/// <summary>How long something takes.</summary>
internal static class Times
{
    private const int Rounds = 15;

    /// <summary>Prints the first, the median and the longest of several times.</summary>
    /// <param name="work">Gets the number of the round.</param>
    public static void Print(string what, Func<int, int> work)
    {
        var times = new double[Rounds];
        for (var n = 0; n < Rounds; n++)
        {
            var started = Stopwatch.GetTimestamp();
            GC.KeepAlive(work(n));
            times[n] = Stopwatch.GetElapsedTime(started).TotalMilliseconds;
        }
        var first = times[0];
        Array.Sort(times);
        Console.WriteLine($"{what,-60} first {first,7:0.00} ms   median {times[Rounds / 2],7:0.00} ms   most {times[^1],7:0.00} ms");
    }
}
