namespace Sandbar.Core.Pictures;

/// <summary>What a picture shows, in sRGB.</summary>
/// <param name="Rgba">Row by row from the top left, four bytes a pixel: red, green, blue, alpha, not multiplied by it.</param>
public sealed record Pixels(int Width, int Height, byte[] Rgba);
