using Sandbar.Server;

var app = SandbarServer.Create(ServerOptions.FromEnvironment());
await SandbarServer.RunAsync(app);
