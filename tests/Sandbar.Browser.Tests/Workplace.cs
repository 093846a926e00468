using Sandbar.Store;
using Sandbar.Tests;

[assembly: AssemblyFixture(typeof(Chromiums))]

namespace Sandbar.Browser.Tests;

/// <summary>A server and a browser for a class of tests.</summary>
public sealed class Workplace : IAsyncLifetime
{
    public LocalServer Server { get; private set; } = null!;

    public Sandbar.Tests.Browser Browser { get; private set; } = null!;

    public async ValueTask InitializeAsync()
    {
        Server = await LocalServer.StartAsync();
        await new SiteStore(Server.Store).AddAsync(LargeSite.Create(), DateTimeOffset.UnixEpoch);
        Browser = new();
    }

    public async ValueTask DisposeAsync()
    {
        Browser.Dispose();
        await Server.DisposeAsync();
    }

    public Uri At(string path) => new(Server.Client.BaseAddress!, path);
}
