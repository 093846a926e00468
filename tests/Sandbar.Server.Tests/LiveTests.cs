using System.Net;
using System.Net.WebSockets;
using System.Threading.Channels;
using Microsoft.AspNetCore.Http.Connections;
using Microsoft.AspNetCore.SignalR.Client;
using Microsoft.Extensions.DependencyInjection;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>The socket of a window, as its client uses it.</summary>
public sealed class LiveTests : IAsyncLifetime
{
    private readonly Channel<SiteChanged> told = Channel.CreateUnbounded<SiteChanged>();
    private LocalServer server = null!;
    private HubConnection window = null!;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private Uri Address => new(server.Client.BaseAddress!, LiveHub.Address);

    public async ValueTask InitializeAsync()
    {
        server = await LocalServer.StartAsync();
        window = new HubConnectionBuilder()
            .WithUrl(Address, HttpTransportType.WebSockets, options => options.SkipNegotiation = true)
            .AddJsonProtocol(json => SiteJson.Configure(json.PayloadSerializerOptions))
            .Build();
        window.On<SiteChanged>(LiveHub.Changed, change => told.Writer.TryWrite(change));
        await window.StartAsync(Cancel);
    }

    public async ValueTask DisposeAsync()
    {
        await window.DisposeAsync();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_window_is_told_of_every_change_in_order()
    {
        Assert.Equal(0, await window.InvokeAsync<long?>("Follow", "pellwyn", Cancel));
        await server.EditAsync(0, LocalServer.SetColor("#111111"), window: "a").OkAsync();
        await server.EditAsync(1, LocalServer.SetColor("#222222"), window: "b").OkAsync();
        await server.ReverseAsync("undo", 2, window: "b").OkAsync();
        Assert.Equal([new(1, "a"), new(2, "b"), new(3, "b")], await ToldAsync(3));
        Assert.Equal(3, await window.InvokeAsync<long?>("Follow", "pellwyn", Cancel));
    }

    [Fact]
    public async Task Refused_edits_edits_that_change_nothing_and_other_sites_are_not_told()
    {
        await window.InvokeAsync<long?>("Follow", "pellwyn", Cancel);
        await server.Client.PostAsync("/api/sites/pellwyn/copies", System.Net.Http.Json.JsonContent.Create(new { name = "Another" }), Cancel).OkAsync();
        using (var refused = await server.EditAsync(0, LocalServer.SetColor("#12"))) Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        await server.EditAsync(0, LocalServer.SetColor("#8a2846")).OkAsync();
        await server.Client.PostAsync("/api/sites/another/edits", System.Net.Http.Json.JsonContent.Create(new { version = 0, window = "a", openedAt = 0, gesture = "g", edit = LocalServer.SetColor("#333333") }), Cancel).OkAsync();
        await server.EditAsync(0, LocalServer.SetColor("#444444"), window: "a").OkAsync();
        Assert.Equal([new(1, "a")], await ToldAsync(1));
    }

    [Fact]
    public async Task A_trial_over_the_socket_is_what_a_trial_by_request_is()
    {
        var edit = new SetContent("footer", "credit", "Nothing is sold.");
        var overSocket = await TryAsync(0, edit, "home", "guide");
        var byRequest = (await server.TryAsync(0, new { kind = "setContent", block = "footer", slot = "credit", text = "Nothing is sold." }, "home", "guide").OkAsync())["answer"]!;
        Assert.Equal(byRequest["blocks"]!.AsArray().Select(b => b!["html"]!.GetValue<string>()), overSocket.Answer!.Blocks.Select(b => b.Html));
        Assert.Equal(["home", "guide"], overSocket.Answer.Blocks.Select(b => b.Page));
        Assert.Empty(overSocket.Answer.Rules);
        Assert.True(overSocket.CoreTime > 0);
        Assert.Equal(0, (await server.SiteAsync()).Version());
    }

    [Fact]
    public async Task Trials_that_cannot_be_are_answered_and_the_window_stays()
    {
        Assert.Contains("cannot be left empty", Assert.Single((await TryAsync(0, new SetContent("header", "name", ""))).Problems).Message, StringComparison.Ordinal);
        Assert.True((await TryAsync(7, Do.Color("beet", "red"))).IsOutdated);
        Assert.True((await window.InvokeAsync<TrialResult>("Try", "nowhere", new TrialRequest(0, Do.Color("beet", "red"), []), Cancel)).IsOutdated);
        Assert.Null(await window.InvokeAsync<long?>("Follow", "nowhere", Cancel));
        await Assert.ThrowsAnyAsync<Exception>(() => window.InvokeAsync<TrialResult>("Try", "pellwyn", new { version = 0, edit = new { kind = "unheard-of" }, pages = Array.Empty<string>() }, Cancel));
        Assert.NotNull((await TryAsync(0, Do.Color("beet", "red"))).Answer);
    }

    [Theory]
    [InlineData("https://elsewhere.example", false)]
    [InlineData("null", false)]
    [InlineData(null, true)]
    public async Task Pages_of_other_sites_cannot_open_a_socket(string? origin, bool isLetIn)
    {
        using var socket = new ClientWebSocket();
        socket.Options.SetRequestHeader("Origin", origin ?? server.Client.BaseAddress!.GetLeftPart(UriPartial.Authority));
        var connecting = socket.ConnectAsync(new UriBuilder(Address) { Scheme = "ws" }.Uri, Cancel);
        if (isLetIn) await connecting;
        else await Assert.ThrowsAsync<WebSocketException>(() => connecting);
    }

    private Task<TrialResult> TryAsync(long version, Edit edit, params string[] pages) => window.InvokeAsync<TrialResult>("Try", "pellwyn", new TrialRequest(version, edit, pages), Cancel);

    private async Task<List<SiteChanged>> ToldAsync(int count)
    {
        var changes = new List<SiteChanged>();
        while (changes.Count < count) changes.Add(await told.Reader.ReadAsync(Cancel));
        return changes;
    }
}
