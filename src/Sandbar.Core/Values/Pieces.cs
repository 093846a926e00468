namespace Sandbar.Core.Values;

/// <summary>Texts that are several values.</summary>
internal static class Pieces
{
    /// <summary>The pieces between commas; those within brackets divide nothing.</summary>
    public static IReadOnlyList<string> Of(string text)
    {
        var pieces = new List<string>();
        var (depth, from) = (0, 0);
        for (var i = 0; i < text.Length; i++)
        {
            if (text[i] == '(') depth++;
            else if (text[i] == ')') depth--;
            else if (text[i] == ',' && depth == 0)
            {
                pieces.Add(text[from..i].Trim());
                from = i + 1;
            }
        }
        pieces.Add(text[from..].Trim());
        return pieces;
    }
}
