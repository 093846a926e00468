namespace Sandbar.Core.Checking;

/// <summary>Addresses of files that are elsewhere: named in a release, and never asked for by this program.</summary>
public static class OutsideAddress
{
    private const int Longest = 2000;

    /// <summary>Whether it is one that a page may name: whole, and of a kind that runs nothing.</summary>
    public static bool Is(string text) => text.Length <= Longest && Uri.TryCreate(text, UriKind.Absolute, out var address) && address.Scheme == Uri.UriSchemeHttps && address.UserInfo.Length == 0
        && !text.Any(c => char.IsWhiteSpace(c) || char.IsControl(c) || c is '"' or '<' or '>' or '\\');
}
