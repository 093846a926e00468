namespace Sandbar.Core.Checking;

/// <summary>What a file is by its first bytes. Sources: PNG (W3C), §5.2; JFIF 1.02; the WebP container specification; WOFF 2.0, §4.1; RFC 8794, §11.2.1 (EBML); ISO/IEC 14496-12, §4.3.</summary>
public static class FileSignature
{
    /// <summary>Whether bytes are what their media type says.</summary>
    public static bool Fits(string mediaType, ReadOnlySpan<byte> bytes) => mediaType switch
    {
        "image/png" => bytes is [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A, ..],
        "image/jpeg" => bytes is [0xFF, 0xD8, 0xFF, ..],
        "image/webp" => bytes.Length > 12 && bytes.StartsWith("RIFF"u8) && bytes[8..].StartsWith("WEBP"u8),
        "font/woff2" => bytes.StartsWith("wOF2"u8),
        "video/webm" => bytes is [0x1A, 0x45, 0xDF, 0xA3, ..],
        "video/mp4" => bytes.Length > 12 && bytes[4..].StartsWith("ftyp"u8),
        "image/svg+xml" => SvgText.IsSvg(bytes),
        _ => false,
    };
}
