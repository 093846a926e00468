namespace Sandbar.Server;

/// <summary>What the server is started with.</summary>
/// <param name="Store">Folder of the store.</param>
/// <param name="Client">Folder of the built client.</param>
/// <param name="Port">Port on the loopback address; 0 for any that is free.</param>
public sealed record ServerOptions(string Store, string Client, int Port)
{
    /// <summary>The port unless another is asked for.</summary>
    public const int DefaultPort = 5178;

    /// <summary>Options from the environment: <c>SANDBAR_DATA</c>, <c>SANDBAR_CLIENT</c>, <c>SANDBAR_PORT</c>.</summary>
    public static ServerOptions FromEnvironment() => new(
        Environment.GetEnvironmentVariable("SANDBAR_DATA") ?? "data",
        Environment.GetEnvironmentVariable("SANDBAR_CLIENT") ?? Path.Combine("client", "dist"),
        int.TryParse(Environment.GetEnvironmentVariable("SANDBAR_PORT"), out var port) ? port : DefaultPort);
}
