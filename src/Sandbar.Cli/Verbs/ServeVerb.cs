using System.CommandLine;
using System.Net;
using System.Net.Sockets;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Hosting;
using Sandbar.Server;
using Sandbar.Store;

namespace Sandbar.Cli.Verbs;

/// <summary><c>serve</c>: the application in the browser.</summary>
internal static class ServeVerb
{
    public static Command Command
    {
        get
        {
            var defaults = ServerOptions.FromEnvironment();
            var store = new Option<string>("--store") { Description = "Folder of the store", DefaultValueFactory = _ => defaults.Store };
            var port = new Option<int>("--port") { Description = "Port on 127.0.0.1; 0 for any", DefaultValueFactory = _ => defaults.Port };
            var fresh = new Option<bool>("--fresh") { Description = "Start over with new demo data; the old store is kept beside it" };
            var command = new Command("serve", "Starts Sandbar and prints its address.") { store, port, fresh };
            command.SetAction(async (result, cancel) =>
            {
                var options = defaults with { Store = result.GetValue(store)!, Port = result.GetValue(port) };
                // Before anything is touched: where another Sandbar runs, its store stays where it is.
                if (!IsFree(options.Port)) return await FailAsync($"Port {options.Port} is taken: stop what uses it, or choose another with --port.");
                if (result.GetValue(fresh)) SetAside(options.Store);
                await using var app = SandbarServer.Create(options);
                try
                {
                    await SandbarServer.PrepareAsync(app);
                }
                catch (Exception failed) when ((StoreTrouble.Of(failed) ?? (failed is IOException ? "The folder of the store cannot be made: something else is in its place." : null)) is { } trouble)
                {
                    return await FailAsync($"{trouble} The store is {Path.GetFullPath(options.Store)}.");
                }
                SandbarServer.ReadAhead(app);
                try
                {
                    await app.StartAsync(cancel);
                }
                catch (IOException)
                {
                    return await FailAsync($"Port {options.Port} is taken: stop what uses it, or choose another with --port.");
                }
                var address = app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses.First();
                Console.WriteLine($"Sandbar is at {address}  (Ctrl+C stops it; your work is kept in {Path.GetFullPath(options.Store)})");
                await app.WaitForShutdownAsync(cancel);
                return 0;
            });
            return command;
        }
    }

    private static async Task<int> FailAsync(string message)
    {
        await Console.Error.WriteLineAsync(message);
        return 1;
    }

    private static bool IsFree(int port)
    {
        if (port == 0) return true;
        try
        {
            using var listener = new TcpListener(IPAddress.Loopback, port);
            listener.Start();
            return true;
        }
        catch (SocketException)
        {
            return false;
        }
    }

    /// <summary>Moves a store aside rather than deleting a designer's work.</summary>
    private static void SetAside(string store)
    {
        if (!Directory.Exists(store)) return;
        var aside = $"{store.TrimEnd('/')}.before-{DateTime.Now:yyyyMMdd-HHmmss}";
        Directory.Move(store, aside);
        Console.WriteLine($"The store was set aside in {aside}.");
    }
}
