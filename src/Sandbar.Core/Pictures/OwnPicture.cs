using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Pictures;

/// <summary>A picture of the designer's own: read whole once, so that what is kept can be shown. SVG is kept without what runs or loads.</summary>
/// <param name="Width">As it is shown, px: a photograph that says it lies on its side is turned.</param>
public sealed record OwnPicture(Asset Asset, int Width, int Height)
{
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static OwnPicture Read(byte[] bytes)
    {
        PictureFile.Read(bytes);
        var (mediaType, width, height) = PictureFile.Measure(bytes);
        return new(Asset.Of(mediaType, mediaType == PictureFile.Svg ? SvgText.Cleaned(bytes) : bytes), width, height);
    }
}
