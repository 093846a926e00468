using System.CommandLine;
using System.Security.Cryptography;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;
using Sandbar.Css;
using Sandbar.Server;
using Sandbar.Store;

namespace Sandbar.Cli.Verbs;

/// <summary><c>build</c>: the stylesheet and static pages of a site, in a folder.</summary>
internal static class BuildVerb
{
    public static Command Command
    {
        get
        {
            var site = new Argument<string>("site") { Description = $"A {SiteFile.Extension} file, or the name of a site in the store" };
            var output = new Option<string>("--out") { Description = "Folder to write into; made when it is not there", Required = true };
            var store = new Option<string>("--store") { Description = "Folder of the store", DefaultValueFactory = _ => ServerOptions.FromEnvironment().Store };
            var command = new Command("build", "Writes the stylesheet and static pages of a site, with their fonts and pictures.") { site, output, store };
            command.SetAction(async (result, cancel) =>
            {
                try
                {
                    var (read, asset) = await OpenAsync(result.GetValue(site)!, result.GetValue(store)!, cancel);
                    var count = await WriteAsync(read, asset, result.GetValue(output)!, cancel);
                    Console.WriteLine($"{read.Name}: {count} files in {Path.GetFullPath(result.GetValue(output)!)}");
                    return 0;
                }
                catch (Exception problem) when (problem is FormatException or IOException or UnauthorizedAccessException)
                {
                    await Console.Error.WriteLineAsync(problem.Message);
                    return 1;
                }
            });
            return command;
        }
    }

    private static async Task<(Site Site, Func<ShelfItem, Task<byte[]?>> Asset)> OpenAsync(string name, string folder, CancellationToken cancel)
    {
        if (name.EndsWith(SiteFile.Extension, StringComparison.OrdinalIgnoreCase))
        {
            if (!File.Exists(name)) throw new FormatException($"There is no file {name}.");
            var site = SiteFile.Read(await File.ReadAllTextAsync(name, cancel));
            var beside = name[..^SiteFile.Extension.Length];
            // What a file says of its own fonts is not trusted: they are measured anew, as when it is opened.
            var fonts = new List<Asset>();
            foreach (var item in site.Shelf.Where(i => i.MediaType == FamilyKind.FontType))
            {
                if (await BesideAsync(item) is { } bytes && Asset.Of(item.MediaType, bytes) is var font && font.Hash == item.Hash) fonts.Add(font);
            }
            var (measured, kept) = OwnFont.Checked(site, fonts);
            var byHash = kept.ToDictionary(a => a.Hash, a => a.Bytes, StringComparer.Ordinal);
            return (measured, async item => byHash.GetValueOrDefault(item.Hash) ?? await BesideAsync(item));

            async Task<byte[]?> BesideAsync(ShelfItem item) => File.Exists(SiteFile.AssetPath(beside, item)) ? await File.ReadAllBytesAsync(SiteFile.AssetPath(beside, item), cancel) : null;
        }
        if (!Directory.Exists(folder)) throw new FormatException($"There is no store at {folder}.");
        var store = new SiteStore(folder);
        await store.MigrateAsync(cancel);
        var stored = await store.OpenAsync(name, cancel)
            ?? throw new FormatException($"The store has no site {Quoted.Text(name)}. It has: {string.Join(", ", (await store.ListAsync(cancel)).Select(s => s.Slug))}.");
        return (stored.Site, async item => (await store.AssetAsync(item.Hash, cancel))?.Bytes);
    }

    /// <summary>Reads everything before it writes anything, so that a broken site leaves no half of itself.</summary>
    private static async Task<int> WriteAsync(Site site, Func<ShelfItem, Task<byte[]?>> asset, string folder, CancellationToken cancel)
    {
        var files = new List<(string Path, byte[] Bytes)>();
        var shelf = site.Shelf.DistinctBy(i => i.Hash).ToDictionary(i => i.Hash, StringComparer.Ordinal);
        foreach (var file in SiteRelease.Files(site))
        {
            var bytes = file.Text is { } text ? System.Text.Encoding.UTF8.GetBytes(text) : await asset(shelf[file.Hash!]);
            if (bytes is null) throw new FormatException($"{file.Path} is missing: its bytes are not beside the site file.");
            if (file.Hash is { } hash && Convert.ToHexStringLower(SHA256.HashData(bytes)) != hash) throw new FormatException($"{file.Path} is not the file the site was saved with: its bytes have changed.");
            files.Add((Path.Combine(folder, file.Path), file.Hash is null ? bytes : file.Bytes(bytes)));
        }
        foreach (var (path, bytes) in files)
        {
            Directory.CreateDirectory(Path.GetDirectoryName(path)!);
            await File.WriteAllBytesAsync(path, bytes, cancel);
        }
        return files.Count;
    }
}
