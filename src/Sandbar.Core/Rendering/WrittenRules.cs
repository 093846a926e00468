using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>Rules with what of the site they were written from: they stay right for as long as the same reads give the same.</summary>
internal sealed record WrittenRules(SiteReads Reads, ImmutableArray<Rule> Rules)
{
    public bool AreFor(Site site) => Reads.HoldFor(site);
}
