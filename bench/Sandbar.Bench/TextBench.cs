using System.Diagnostics;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Server;

namespace Sandbar.Bench;

/// <summary>What the longest and worst texts cost as overrides: each answer the server gives about them.</summary>
internal static class TextBench
{
    private const int Longest = 500_000;

    private static readonly (string Name, string Css)[] Sheets =
    [
        ("a,b{ × 40", Repeated("a,b{", 160)),
        ("a,b{ to the end", Repeated("a,b{")),
        ("x{a:b c{}…", "x{" + Repeated("a:b c{}")),
        ("a:b{ nested to the end", Repeated("a:b c{")),
        ("a:{ nested to the end", Repeated("a:{")),
        ("a{b:c}", Repeated("a{b:c}")),
        ("} to the end", Repeated("}")),
        ("x y;", Repeated("x y;")),
        ("unknown properties", "a{" + Repeated("colro:red;") + "}"),
        ("different unknown properties", "a{" + string.Concat(Enumerable.Range(0, 38_000).Select(i => $"p{i}x:red;")) + "}"),
        (".a.a.a…", Repeated(".a") + "{top:0}"),
        (".a .a .a…", Repeated(".a ") + "b{top:0}"),
        ("--role- in a comment", "/*" + Repeated("--role-") + "*/"),
        ("--role-", "a{--x:" + Repeated("--role-ground ") + "}"),
        ("a:hover,…", Repeated("a:hover,") + "b{top:0}"),
        (":not(:not(…", Repeated(":not(") + "a" + "{top:0}"),
        (":is(a,b) × n", Repeated(":is(a,b)") + "{top:0}"),
        ("var() of a colour", "a{" + Repeated("color:var(--color-beet);") + "}"),
        ("rules that use a colour", Repeated("a{color:var(--color-beet)}")),
        ("rules with states", Repeated(".button:hover{color:red}")),
        ("* * * *", Repeated("* * * * * * * *{top:0}")),
        ("letters", Repeated("a")),
        ("backslashes", Repeated("\\")),
        ("quotes", Repeated("'\n")),
        ("( to the end", Repeated("(")),
        ("/*", Repeated("/*")),
        ("url(", Repeated("url(")),
        ("@media", Repeated("@media (width>1px){")),
        ("different classes", string.Concat(Enumerable.Range(0, 26_000).Select(i => $".c{i}{{top:{i}px}}"))),
        ("lines", Repeated("\n")),
        ("numbers", "a{top:" + Repeated("1e300 ") + "}"),
        ("[a=b]", Repeated("[a=b]") + "{top:0}"),
        (":nth-child(2n of .a)", Repeated(":nth-child(2n of .a)") + "{top:0}"),
        (":has(a)", Repeated(":has(a)") + "{top:0}"),
        ("p:has(~ p) …", Repeated("p:has(~ p) p:has(+ *){top:0}")),
    ];

    private static readonly string[] Answers = ["edit", "view", "uses", "reach", "silenced", "pairs", "rename", "release"];

    /// <summary>The median of five readings of each text, and the longest of them for the edit.</summary>
    public static void Run()
    {
        var sample = PellwynSample.Create().Site;
        for (var i = 0; i < 100; i++) Measure(sample, $".c{i}:hover, a > b {{ top: {i}px; & b:has(c) {{ left: calc(1px + {i}px) }} }} @media (width > 3px) {{ a {{ color: rgb(1 2 3) }} }}");
        // A text of its own each time: what is known of a text is kept as long as the text.
        var measured = Enumerable.Range(0, 5).Select(_ => Sheets.Select(s => Measure(sample, new string(s.Css.AsSpan(0, Math.Min(s.Css.Length, Longest))))).ToList()).ToList();
        Console.WriteLine($"{"ms",-32}{string.Concat(Answers.Select(a => $"{a,9}"))}{"longest edit",15}");
        for (var i = 0; i < Sheets.Length; i++)
        {
            var medians = Answers.Select((_, a) => measured.Select(m => m[i][a]).Order().ElementAt(measured.Count / 2));
            Console.WriteLine($"{Sheets[i].Name,-32}{string.Concat(medians.Select(m => $"{m,9:0}"))}{measured.Max(m => m[i][0]),15:0}");
        }
    }

    private static List<double> Measure(Site sample, string css)
    {
        var edit = new SetOverrides(css);
        var figures = new List<double>();
        Head? before = null, after = null;
        before = new(new(sample, 0, []), StyleSheetRenderer.Render(sample));
        _ = before.View;
        Timed(() =>
        {
            var changed = edit.Apply(sample).Site!;
            _ = edit.Describe(sample);
            after = new(new(changed, 1, []), StyleSheetRenderer.Render(changed));
            _ = EditAnswer.Of(before, after, "w", 0);
            _ = Patch.Between(sample, changed);
        });
        Timed(() => _ = after!.View);
        Timed(() => Core.Foundations.Uses.Of(after!.Stored.Site, "color", "beet"));
        Timed(() => Reach.Of(sample, after!.Stored.Site, CancellationToken.None));
        Timed(() => SilencedSettings.Of(after!.Stored.Site, CancellationToken.None));
        Timed(() => ContrastPairs.Of(after!.Stored.Site, CancellationToken.None));
        Timed(() => new RenameThing(ColorKind.Kind, "beet", "Radish").Apply(after!.Stored.Site));
        Timed(() => StyleSheetText.Release(after!.Sheet, i => i.File));
        return figures;

        void Timed(Action work)
        {
            var started = Stopwatch.GetTimestamp();
            Task.Run(work).Wait(TimeSpan.FromSeconds(4));
            figures.Add(Stopwatch.GetElapsedTime(started).TotalMilliseconds);
        }
    }

    private static string Repeated(string piece, int length = Longest) => string.Concat(Enumerable.Repeat(piece, length / piece.Length));
}
