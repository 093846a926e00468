using Sandbar.Bench;
using Sandbar.Tests;

// Figures are printed, never asserted: dotnet run -c Release --project bench/Sandbar.Bench -- colors | palette | fills | fonts | loop | pages | texts | css | pairs
// What is measured the first time is measured built as the program is: dotnet publish bench/Sandbar.Bench -c Release, then
// artifacts/publish/Sandbar.Bench/release_linux-x64/Sandbar.Bench cost
switch (args.FirstOrDefault())
{
    case "colors":
        await ColorBench.RunAsync();
        return 0;
    case "pairs":
        PairsBench.Run();
        return 0;
    case "palette":
        PaletteBench.Run();
        return 0;
    case "fills":
        await FillsBench.RunAsync();
        return 0;
    case "fonts":
        FontBench.Run();
        return 0;
    case "cost":
        await CostBench.RunAsync();
        return 0;
    case "loop":
        await LoopBench.RunAsync();
        return 0;
    case "pages":
        await PagesBench.RunAsync();
        return 0;
    case "css":
        await CssBench.RunAsync();
        return 0;
    case "texts":
        TextBench.Run();
        return 0;
    case "large-site" when args.Length == 2:
        await LargeSiteFile.WriteAsync(LargeSite.Create(), args[1]);
        return 0;
    case "many-fills" when args.Length == 2:
        await LargeSiteFile.WriteAsync(FillsBench.ManyFills(), args[1]);
        return 0;
    case "many-pages" when args.Length == 2:
        await LargeSiteFile.WriteAsync(PagesBench.Site, args[1]);
        return 0;
    default:
        Console.Error.WriteLine("Say which: colors, palette, fills, fonts, cost, loop, pages, texts, css, pairs, or large-site FILE, many-fills FILE and many-pages FILE for a zip to open and look at.");
        return 1;
}
