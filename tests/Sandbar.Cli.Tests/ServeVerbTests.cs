using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace Sandbar.Cli.Tests;

/// <summary>Starting the application where something stands in its way: it says what in a sentence, and touches nothing.</summary>
public sealed class ServeVerbTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("sandbar-serve-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public void A_store_stays_where_it_is_while_the_port_is_taken()
    {
        using var other = new TcpListener(IPAddress.Loopback, 0);
        other.Start();
        File.WriteAllText(Path.Combine(folder, "sandbar.db"), "somebody's work");
        var (code, error) = Serve("--fresh", "--port", ((IPEndPoint)other.LocalEndpoint).Port.ToString(CultureInfo.InvariantCulture));
        Assert.Equal(1, code);
        Assert.Contains("is taken: stop what uses it", error, StringComparison.Ordinal);
        Assert.Equal("somebody's work", File.ReadAllText(Path.Combine(folder, "sandbar.db")));
    }

    [Theory]
    [InlineData("This is no database, and long enough to be looked at as one: it has a hundred bytes and more, which are those of a header.", "is damaged")]
    [InlineData("SQLite format 3\0", "is damaged")]
    public void A_store_that_cannot_be_read_says_so(string content, string said)
    {
        File.WriteAllText(Path.Combine(folder, "sandbar.db"), content.PadRight(4096, 'x'));
        var (code, error) = Serve("--port", "0");
        Assert.Equal(1, code);
        Assert.Contains(said, error, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", error, StringComparison.Ordinal);
    }

    [Fact]
    public void A_store_that_is_a_file_says_so()
    {
        var file = Path.Combine(folder, "file");
        File.WriteAllText(file, "");
        var (code, error) = Serve("--port", "0", "--store", file);
        Assert.Equal(1, code);
        Assert.DoesNotContain("   at ", error, StringComparison.Ordinal);
        Assert.Contains(file, error, StringComparison.Ordinal);
    }

    private (int Code, string Error) Serve(params string[] arguments)
    {
        string[] all = ["serve", "--store", folder, .. arguments];
        var program = new ProcessStartInfo(Path.Combine(AppContext.BaseDirectory, "sandbar"), arguments.Contains("--store") ? ["serve", .. arguments] : all) { RedirectStandardOutput = true, RedirectStandardError = true };
        using var process = Process.Start(program)!;
        var output = process.StandardOutput.ReadToEndAsync();
        var error = process.StandardError.ReadToEndAsync();
        if (!process.WaitForExit(TimeSpan.FromSeconds(30)))
        {
            process.Kill(entireProcessTree: true);
            Assert.Fail($"It runs, and should not: {output.Result}");
        }
        return (process.ExitCode, error.Result);
    }
}
