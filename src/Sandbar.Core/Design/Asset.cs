using System.Security.Cryptography;

namespace Sandbar.Core.Design;

/// <summary>A site with the bytes of its shelf.</summary>
public sealed record SiteWithAssets(Site Site, IReadOnlyList<Asset> Assets);

/// <summary>The bytes of a shelf item.</summary>
/// <param name="Hash">SHA-256, lower-case hex.</param>
public sealed record Asset(string Hash, string MediaType, byte[] Bytes)
{
    public static Asset Of(string mediaType, byte[] bytes) => new(Convert.ToHexStringLower(SHA256.HashData(bytes)), mediaType, bytes);
}
