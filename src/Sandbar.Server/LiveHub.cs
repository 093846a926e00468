using Microsoft.AspNetCore.SignalR;

namespace Sandbar.Server;

/// <summary>What the windows of a site are told when it has changed.</summary>
/// <param name="Window">The window the change was made in.</param>
public sealed record SiteChanged(long Version, string Window);

/// <summary>One socket for each window: it follows its site, and tries edits without the cost of a request each.</summary>
public sealed class LiveHub(OpenSites sites) : Hub
{
    /// <summary>Address of the hub, and the name of what it tells.</summary>
    public const string Address = "/api/live", Changed = "changed";

    /// <summary>Tells this window of every change to the site from now on.</summary>
    /// <returns>The version the site has now; null where there is no such site.</returns>
    public async Task<long?> Follow(string slug)
    {
        if (await sites.FindAsync(slug, Context.ConnectionAborted) is null) return null;
        await Groups.AddToGroupAsync(Context.ConnectionId, slug, Context.ConnectionAborted);
        // Read again: what was stored between finding and following would not be told.
        return (await sites.FindAsync(slug, Context.ConnectionAborted))?.Stored.Version;
    }

    /// <summary>Tries an edit, as <c>POST /api/sites/{slug}/trials</c> does.</summary>
    public async Task<TrialResult> Try(string slug, TrialRequest request) =>
        await sites.FindAsync(slug, Context.ConnectionAborted) is { } head ? Trial.Of(head, request) : new(null, [], IsOutdated: true, 0);
}
