using System.Diagnostics;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Fonts;

namespace Sandbar.Bench;

/// <summary>What fonts cost: what a file says of itself, the width of a paragraph, a file of the designer's own as it is kept, and the fonts of a sheet.</summary>
internal static class FontBench
{
    private const int Rounds = 15;

    private const string Paragraph =
        "A bean that has been grown on one hillside for forty summers knows that hillside. It flowers after the last frost and not before. Shop packets are bred for everywhere, which is nowhere in particular. "
        + "So we keep what did well here, and lend it out again. Every packet in the catalogue carries the name of whoever grew it last, and the year, and what they said of it over the fence.";

    public static void Run()
    {
        var files = BundledFamilies.All.SelectMany(f => f.Files).Select(f => (f.Item.Id, BundledFamilies.Asset(f.Item.Hash)!.Bytes)).ToList();
        var metrics = files.ConvertAll(f => (f.Id, Times: Measured(() => FontFile.Read(f.Bytes).Facts.Metrics.Ascent)));
        Print($"metrics of a WOFF2 ({files.Count} files)", [.. metrics.Select(m => m.Times.Median)], metrics.MaxBy(m => m.Times.Median).Id);
        var paragraphs = files.ConvertAll(f =>
        {
            using var measure = new TextMeasure(FontFile.Read(f.Bytes));
            return (f.Id, Times: Measured(() => measure.Width(Paragraph, 18, 450)));
        });
        Print($"a paragraph of {Paragraph.Length} characters", [.. paragraphs.Select(p => p.Times.Median)], paragraphs.MaxBy(p => p.Times.Median).Id);
        var own = files.FindAll(f => f.Id.Contains("latin-wght-normal", StringComparison.Ordinal)).ConvertAll(f => (f.Id, Times: Measured(() => OwnFont.Read(f.Bytes).Asset.Bytes.Length, 3)));
        Print("a file of one's own, read and kept", [.. own.Select(o => o.Times.Median)], own.MaxBy(o => o.Times.Median).Id);
        var site = PellwynSample.Create().Site;
        var sheet = Measured(() => StyleSheetRenderer.Render(site with { Name = site.Name + " " }).Fonts.Length);
        Console.WriteLine($"{"the sheet of Pellwyn, its fonts looked up",-44} first {sheet.First,7:0.00} ms   median {sheet.Median,7:0.00} ms");
    }

    private static (double First, double Median) Measured<T>(Func<T> work, int rounds = Rounds)
    {
        var times = new double[rounds];
        for (var n = 0; n < rounds; n++)
        {
            var started = Stopwatch.GetTimestamp();
            GC.KeepAlive(work());
            times[n] = Stopwatch.GetElapsedTime(started).TotalMilliseconds;
        }
        var first = times[0];
        Array.Sort(times);
        return (first, times[rounds / 2]);
    }

    private static void Print(string what, List<double> medians, string slowest)
    {
        medians.Sort();
        Console.WriteLine($"{what,-44} median {medians[medians.Count / 2],7:0.00} ms   slowest {medians[^1],7:0.00} ms ({slowest})");
    }
}
