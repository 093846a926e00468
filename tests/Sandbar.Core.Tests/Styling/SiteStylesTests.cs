using Sandbar.Core.Design;
using Sandbar.Core.Interchange;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Core.Styling;

namespace Sandbar.Core.Tests.Styling;

/// <summary>Other tests would put their sites in place of those kept here.</summary>
[CollectionDefinition(nameof(WhatIsKept), DisableParallelization = true)]
public sealed class WhatIsKept;

/// <summary>What is read of a site is read once, however many ask.</summary>
[Collection(nameof(WhatIsKept))]
public class SiteStylesTests
{
    private static readonly string File = SiteFile.Write(PellwynSample.Create().Site);

    [Fact]
    public void Who_asks_at_once_gets_the_same()
    {
        var site = SiteFile.Read(File);
        foreach (var version in new[] { site, Renamed(site) })
        {
            var got = new SiteStyles[4];
            var asking = Enumerable.Range(0, got.Length).Select(i => new Thread(() => got[i] = SiteStyles.Of(version))).ToList();
            asking.ForEach(a => a.Start());
            asking.ForEach(a => a.Join());
            Assert.All(got, g => Assert.Same(got[0], g));
        }
    }

    [Fact]
    public void Three_sites_are_kept_beside_each_other_with_three_versions_each()
    {
        var versions = Enumerable.Range(0, 3).Select(_ => SiteFile.Read(File)).SelectMany(site => new[] { site, Renamed(site), Renamed(site) }).ToList();
        var got = versions.ConvertAll(SiteStyles.Of);
        Assert.All(versions.Zip(got), one => Assert.Same(one.Second, SiteStyles.Of(one.First)));
    }

    private static Site Renamed(Site site) => site with { Name = $"{site.Name}, once more" };
}
