using Sandbar.Core.Pictures;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Samples;

/// <summary>What is shown in place of what is not here.</summary>
public static class StandIn
{
    /// <summary>A short silent clip, drawn by the project (scripts/draw-stand-ins.mjs).</summary>
    public static (ClipFile Clip, Asset Asset) Clip { get; } = Read();

    private static (ClipFile, Asset) Read()
    {
        var bytes = EmbeddedFile.Read(typeof(StandIn).Assembly, "Samples/Pellwyn/clips/rain.webm");
        var clip = ClipFile.Read(bytes);
        return (clip, Asset.Of(clip.MediaType, bytes));
    }
}
