using System.Globalization;

namespace Sandbar.Core.Design;

/// <summary>The day of a post: stored as ISO 8601 and HTML's <c>time</c> have it, said in words.</summary>
public static class PostDate
{
    private const string Stored = "yyyy-MM-dd";

    /// <summary>As days are typed: with the year first, or with the day first and dots or the month in words between.</summary>
    private static readonly string[] Typed = [Stored, "yyyy-M-d", "d MMMM yyyy", "d MMM yyyy", "d.M.yyyy"];

    /// <summary>A day as it is stored; null where the text is none.</summary>
    public static string? Read(string typed) =>
        DateOnly.TryParseExact(typed.Trim(), Typed, CultureInfo.InvariantCulture, DateTimeStyles.AllowInnerWhite, out var day) ? day.ToString(Stored, CultureInfo.InvariantCulture) : null;

    public static bool IsStored(string text) => DateOnly.TryParseExact(text, Stored, CultureInfo.InvariantCulture, DateTimeStyles.None, out _);

    /// <summary>A stored day in words: 26 November 2026.</summary>
    public static string Said(string stored) => DateOnly.ParseExact(stored, Stored, CultureInfo.InvariantCulture).ToString("d MMMM yyyy", CultureInfo.InvariantCulture);
}
