using System.Diagnostics;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Checkers that nobody here wrote, run on files.</summary>
internal static class OutsideCheck
{
    /// <summary>What the Nu HTML checker finds wrong in pages; empty for nothing.</summary>
    public static async Task<string> HtmlAsync(IEnumerable<string> pages, CancellationToken cancel)
    {
        var (found, trouble) = await RunAsync("java", ["-jar", Path.Combine(LocalServer.Root, "client", "node_modules", "vnu-jar", "build", "dist", "vnu.jar"), "--errors-only", "--format", "gnu", .. pages], cancel);
        return found + trouble;
    }

    public static async Task<(string Output, string Error)> RunAsync(string program, string[] arguments, CancellationToken cancel)
    {
        using var process = Process.Start(new ProcessStartInfo(program, arguments) { RedirectStandardOutput = true, RedirectStandardError = true })!;
        var error = process.StandardError.ReadToEndAsync(cancel);
        var output = await process.StandardOutput.ReadToEndAsync(cancel);
        return (output, await error);
    }
}
