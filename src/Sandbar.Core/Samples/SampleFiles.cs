using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Samples;

/// <summary>The pictures of the samples, kept in the program.</summary>
internal static partial class SampleFiles
{
    /// <summary>A picture as a shelf item, with its bytes.</summary>
    public static (ShelfItem Item, Asset Asset) Picture(string folder, string id, string name)
    {
        var bytes = EmbeddedFile.Read(typeof(SampleFiles).Assembly, $"Samples/{folder}/pictures/{id}.svg");
        var size = ViewBox().Match(System.Text.Encoding.UTF8.GetString(bytes));
        var asset = Asset.Of("image/svg+xml", bytes);
        return (new(id, name, $"pictures/{id}.svg", asset.MediaType, asset.Hash, int.Parse(size.Groups[1].Value), int.Parse(size.Groups[2].Value)), asset);
    }

    [GeneratedRegex(@"viewBox=""0 0 (\d+) (\d+)""")]
    private static partial Regex ViewBox();
}
