using Sandbar.Core.Design;

namespace Sandbar.Core.Tests;

/// <summary>The core depends on nothing of ours, and on nothing that reads files, the network, a database or a clock of its own.</summary>
public class ArchitectureTests
{
    [Fact]
    public void The_core_stands_alone()
    {
        var references = typeof(Site).Assembly.GetReferencedAssemblies().Select(a => a.Name!).ToList();
        Assert.DoesNotContain(references, r => r.StartsWith("Sandbar", StringComparison.Ordinal) || r.StartsWith("Microsoft.", StringComparison.Ordinal));
        Assert.DoesNotContain(references, r => r is "System.Net.Http" or "System.Net.Sockets" or "System.IO.FileSystem" or "System.Diagnostics.Process");
    }
}
