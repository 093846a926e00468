using System.Diagnostics;

namespace Sandbar.Cli.Tests;

/// <summary>The program as it is called.</summary>
internal static class Program
{
    public static async Task<(int Code, string Output, string Error)> RunAsync(string arguments, string input)
    {
        var info = new ProcessStartInfo(Path.Combine(AppContext.BaseDirectory, "sandbar"), arguments) { RedirectStandardInput = true, RedirectStandardOutput = true, RedirectStandardError = true };
        using var process = Process.Start(info)!;
        var output = process.StandardOutput.ReadToEndAsync();
        var error = process.StandardError.ReadToEndAsync();
        await process.StandardInput.WriteAsync(input);
        process.StandardInput.Close();
        await process.WaitForExitAsync();
        return (process.ExitCode, await output, await error);
    }
}
