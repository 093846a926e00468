using System.Diagnostics;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Store;

namespace Sandbar.Cli.Tests;

/// <summary><c>build</c>: from a site file and from a store, as other programs call it.</summary>
public sealed class BuildVerbTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("sandbar-build-").FullName;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public void A_site_file_becomes_a_stylesheet_pages_and_files()
    {
        var sample = SaveSite();
        var (code, _, error) = Run("build", Site, "--out", Out);
        Assert.Equal((0, ""), (code, error));
        var expected = SiteRelease.Files(sample.Site).ToList();
        Assert.Equal(expected.Select(f => f.Path).Order(), Directory.GetFiles(Out, "*", SearchOption.AllDirectories).Select(f => Path.GetRelativePath(Out, f)).Order());
        foreach (var file in expected.Where(f => f.Text is not null)) Assert.Equal(file.Text, File.ReadAllText(Path.Combine(Out, file.Path)));
        foreach (var file in expected.Where(f => f.Hash is not null)) Assert.Equal(file.Bytes(sample.Assets.First(a => a.Hash == file.Hash).Bytes), File.ReadAllBytes(Path.Combine(Out, file.Path)));
    }

    /// <summary>What a site file says of its own fonts is not believed: they are measured anew.</summary>
    [Fact]
    public void Own_fonts_are_measured_anew()
    {
        var font = OwnFont.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "fonts", "caveat.ttf")));
        var sample = SaveSite();
        var site = AddFontFile.Of(sample.Site, font, null, null, "own-1").Apply(sample.Site).Site!;
        var item = site.Shelf.Get("own-1");
        File.WriteAllText(Site, SiteFile.Write(site));
        File.WriteAllBytes(Path.Combine(folder, SiteFile.AssetPath("pellwyn", item)), font.Asset.Bytes);
        Assert.Equal((0, ""), Built());
        var honest = File.ReadAllText(Path.Combine(Out, "site.css"));
        var family = site.Type.Families[^1];
        var lying = family with { Files = [family.Files[0] with { Measures = family.Files[0].Measures! with { Ascent = 3 * family.Files[0].Measures!.Ascent } }] };
        File.WriteAllText(Site, SiteFile.Write(site with { Type = site.Type with { Families = site.Type.Families.Put(lying) } }));
        Assert.Equal((0, ""), Built());
        Assert.Equal(honest, File.ReadAllText(Path.Combine(Out, "site.css")));
        (int, string) Built() => Run("build", Site, "--out", Out) is var run ? (run.Code, run.Error) : default;
    }

    [Fact]
    public void What_cannot_be_built_is_said_and_leaves_nothing()
    {
        SaveSite();
        File.WriteAllText(Path.Combine(folder, "new.sandbar.json"), File.ReadAllText(Site).Replace($"\"format\": {Core.Design.Site.CurrentFormat}", "\"format\": 9", StringComparison.Ordinal));
        File.WriteAllText(Path.Combine(folder, "broken.sandbar.json"), "{\n \"format\": 1,");
        foreach (var (site, said) in new[] { ("new.sandbar.json", "of format 9"), ("broken.sandbar.json", "line 2"), ("none.sandbar.json", "no file") })
        {
            var (code, output, error) = Run("build", Path.Combine(folder, site), "--out", Out);
            Assert.Equal((1, ""), (code, output));
            Assert.Contains(said, error, StringComparison.Ordinal);
        }
        var asset = Directory.GetFiles(Path.Combine(folder, "pellwyn.assets"), "*.svg")[0];
        File.AppendAllText(asset, "<!-- changed -->");
        Assert.Contains("its bytes have changed", Run("build", Site, "--out", Out).Error, StringComparison.Ordinal);
        File.Delete(asset);
        Assert.Contains("is missing", Run("build", Site, "--out", Out).Error, StringComparison.Ordinal);
        Assert.False(Directory.Exists(Out));
    }

    [Fact]
    public async Task A_site_of_the_store_is_called_by_its_name()
    {
        var cancel = TestContext.Current.CancellationToken;
        var store = Path.Combine(folder, "store");
        var kept = new SiteStore(store);
        await kept.MigrateAsync(cancel);
        var sample = PellwynSample.Create();
        await kept.AddAsync(sample, DateTimeOffset.UnixEpoch, cancel);
        var edit = Do.Color("beet", "#123456");
        var after = edit.Apply(sample.Site).Site!;
        await kept.AppendAsync(after, edit, new(new(1, DateTimeOffset.UnixEpoch, "", "g", "w"), Patch.Between(sample.Site, after)), cancel: cancel);
        Assert.Equal(0, Run("build", "pellwyn", "--out", Out, "--store", store).Code);
        Assert.Contains("--color-beet: #123456;", await File.ReadAllTextAsync(Path.Combine(Out, "site.css"), cancel), StringComparison.Ordinal);
        Assert.Contains("no site “nowhere”", Run("build", "nowhere", "--out", Out, "--store", store).Error, StringComparison.Ordinal);
    }

    private string Site => Path.Combine(folder, "pellwyn.sandbar.json");

    private string Out => Path.Combine(folder, "out");

    private Core.Design.SiteWithAssets SaveSite()
    {
        var sample = PellwynSample.Create();
        File.WriteAllText(Site, SiteFile.Write(sample.Site));
        Directory.CreateDirectory(Path.Combine(folder, "pellwyn.assets"));
        foreach (var item in sample.Site.Shelf)
            File.WriteAllBytes(Path.Combine(folder, SiteFile.AssetPath("pellwyn", item)), sample.Assets.First(a => a.Hash == item.Hash).Bytes);
        return sample;
    }

    private static (int Code, string Output, string Error) Run(params string[] arguments)
    {
        var program = new ProcessStartInfo(Path.Combine(AppContext.BaseDirectory, "sandbar")) { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var argument in arguments) program.ArgumentList.Add(argument);
        using var process = Process.Start(program)!;
        var error = process.StandardError.ReadToEndAsync();
        var output = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, output, error.Result);
    }
}
