using System.Text.Json;

namespace Sandbar.Tests;

/// <summary>Values made by outside libraries; the scripts that make them stand in tests/references.</summary>
internal static class Fixture
{
    public static JsonElement Read(string name) => JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "fixtures", name))).RootElement;

    public static byte[] Bytes(string name) => File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "fixtures", name));

    public static double?[] Numbers(this JsonElement array) => [.. array.EnumerateArray().Select(n => n.ValueKind == JsonValueKind.Null ? (double?)null : n.GetDouble())];

    public static string String(this JsonElement element, string name) => element.GetProperty(name).GetString()!;
}
