using Sandbar.Core.Design;
using Sandbar.Core.Pictures;
using Sandbar.Css;

namespace Sandbar.Core.Samples;

/// <summary>The pictures of the samples, kept in the program.</summary>
internal static class SampleFiles
{
    /// <summary>A picture as a shelf item, with its bytes.</summary>
    /// <param name="file">Of a drawing its name alone.</param>
    public static (ShelfItem Item, Asset Asset) Picture(string folder, string file)
    {
        var name = Path.GetFileNameWithoutExtension(file);
        var path = $"pictures/{(file == name ? $"{name}.svg" : file)}";
        var bytes = EmbeddedFile.Read(typeof(SampleFiles).Assembly, $"Samples/{folder}/{path}");
        var (mediaType, width, height) = PictureFile.Measure(bytes);
        var asset = Asset.Of(mediaType, bytes);
        return (new(name, name.Replace('-', ' '), path, asset.MediaType, asset.Hash, width, height), asset);
    }
}
