using System.Diagnostics;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>What it costs to find every pair of colours of a site, at first and after an edit of one value, of one line of the overrides and of one block; and how far each of these reaches.</summary>
internal static class PairsBench
{
    private const int Rounds = 60, WarmUp = 120, Pages = 200, BlocksOnPage = 40;

    private const string Sheet = ".card { border-color: #888 }\n.button:hover { color: #fefefe }\n@media (max-width: 640px) { .section { background: #fafafa } }\n";

    public static void Run()
    {
        Of("demo", PellwynSample.Create().Site);
        Of("demo under a sheet of overrides", Made(PellwynSample.Create().Site, new SetOverrides(Sheet)));
        Of($"{Pages} pages under it", Made(LargeSite.ManyPages(Pages, BlocksOnPage).Site, new SetOverrides(Sheet)));
    }

    private static void Of(string name, Site site)
    {
        var before = GC.GetTotalMemory(forceFullCollection: true);
        var from = Stopwatch.GetTimestamp();
        var pairs = ContrastPairs.Of(site, default).Length;
        Console.WriteLine($"{name}: {pairs} pairs at first in {Stopwatch.GetElapsedTime(from).TotalMilliseconds:0} ms, {(GC.GetTotalMemory(forceFullCollection: true) - before) / 1e6:0} MB kept");
        var page = site.Pages[0];
        var paragraph = Blocks.WithInner(page.Sections[0]).Concat(page.Sections.SelectMany(Blocks.WithInner)).First(b => b.Part == "paragraph");
        Print($"{name}: after a colour of the palette", site, n => Do.Color("beet", $"#8a28{n:x2}"));
        Print($"{name}: after a cell of a look", site, n => new SetCell("button-filled", "background", State.Rest, null, null, $"#2a28{n:x2}"));
        Print($"{name}: after a role's choice", site, n => Do.Role("day", "text", n % 2 == 0 ? "beet" : "leaf"));
        Print($"{name}: after a line of the overrides", site, n => new SetOverrides(Sheet.Replace("#888", $"#8888{n:x2}", StringComparison.Ordinal)));
        Print($"{name}: after a text", site, n => new SetContent(paragraph.Id, "text", $"A paragraph {n}"));
    }

    private static Site Made(Site site, Edit edit) => edit.Apply(site).Site ?? throw new InvalidOperationException(edit.ToString());

    private static void Print(string what, Site site, Func<int, Edit> edit)
    {
        var (pairs, reaches) = (new List<double>(), new List<double>());
        var reach = new Reach(0, 0);
        for (var n = 0; n < WarmUp + Rounds; n++)
        {
            var (before, after) = (site, Made(site, edit(n)));
            pairs.Add(Took(() => _ = ContrastPairs.Of(after, default).Length));
            reaches.Add(Took(() => reach = Reach.Of(before, after, default)));
            site = after;
        }
        Console.WriteLine($"{what}: {Said(pairs)}");
        Console.WriteLine($"{what}, how far it reaches ({reach.Pages} pages, {reach.Elements} elements): {Said(reaches)}");
    }

    private static double Took(Action work)
    {
        var from = Stopwatch.GetTimestamp();
        work();
        return Stopwatch.GetElapsedTime(from).TotalMilliseconds;
    }

    /// <summary>The first edits of a program that has just begun are told apart: its code is still being made.</summary>
    private static string Said(List<double> times)
    {
        var first = times[..10].Order().ElementAt(5);
        List<double> rest = [.. times[WarmUp..].Order()];
        return $"{rest[rest.Count / 2]:0.0} ms, p95 {rest[(int)(rest.Count * 0.95)]:0.0} ms; median of the first ten {first:0.0} ms";
    }
}
