using System.Diagnostics;
using Sandbar.Css.Colors;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>Colour against culori, in one run on as many colours: parse and convert, for the way back map into sRGB and write hex, and CIEDE2000 of neighbours in Lab.</summary>
internal static class ColorBench
{
    private const int Count = 400_000, Rounds = 5;

    public static async Task RunAsync()
    {
        var random = new Random(1);
        var hexes = Enumerable.Range(0, Count).Select(_ => $"#{random.Next(1 << 24):x6}").ToArray();
        var oklch = hexes.Select(h => ColorText.Parse(h).To(ColorSpace.Oklch)).ToArray();

        var toOklch = Best(() => hexes.Sum(hex => ColorText.Parse(hex).To(ColorSpace.Oklch).C1));
        var toHex = Best(() => oklch.Sum(c => ColorText.Hex(c).Length));
        var labs = hexes.Select(h => ColorText.Parse(h).To(ColorSpace.Lab)).ToArray();
        var apart = Best(() => Enumerable.Range(1, Count - 1).Sum(i => Difference.Ciede2000(labs[i - 1], labs[i])));
        var theirs = (await CuloriAsync()).Split(' ').Select(double.Parse).ToArray();

        Console.WriteLine($"{"",-16}{"Sandbar",14}{"culori",14}{"ratio",9}");
        Console.WriteLine($"{"hex to OKLCH",-16}{toOklch,11:0.00} M/s{theirs[0],11:0.00} M/s{toOklch / theirs[0],8:0.0}×");
        Console.WriteLine($"{"OKLCH to hex",-16}{toHex,11:0.00} M/s{theirs[1],11:0.00} M/s{toHex / theirs[1],8:0.0}×");
        Console.WriteLine($"{"CIEDE2000",-16}{apart,11:0.00} M/s{theirs[2],11:0.00} M/s{apart / theirs[2],8:0.0}×");
    }

    /// <summary>The best rate of several rounds, million a second.</summary>
    private static double Best(Func<double> work)
    {
        var best = 0d;
        for (var round = 0; round < Rounds; round++)
        {
            var started = Stopwatch.GetTimestamp();
            GC.KeepAlive(work());
            best = Math.Max(best, Count / Stopwatch.GetElapsedTime(started).TotalSeconds / 1e6);
        }
        return best;
    }

    private static async Task<string> CuloriAsync()
    {
        var info = new ProcessStartInfo("node", [Path.Combine(LocalServer.Root, "bench", "culori.mjs"), $"{Count}", $"{Rounds}"]) { RedirectStandardOutput = true };
        using var process = Process.Start(info)!;
        var output = await process.StandardOutput.ReadToEndAsync();
        await process.WaitForExitAsync();
        return output.Trim();
    }
}
