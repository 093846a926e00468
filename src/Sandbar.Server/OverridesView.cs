using Sandbar.Core.Rendering;
using Sandbar.Css.Syntax;

namespace Sandbar.Server;

public sealed record OverridesView(string Css, IReadOnlyList<CssProblemView> Problems)
{
    public static OverridesView Of(string css) => new(css, [.. OverrideText.Problems(css).Select(e => CssProblemView.Of(css, e))]);
}

/// <param name="Start">UTF-16 offset.</param>
/// <param name="Line">From 1.</param>
public sealed record CssProblemView(int Start, int End, int Line, int Column, string Message)
{
    public static CssProblemView Of(string css, SyntaxError error)
    {
        var position = TextPosition.At(css, error.Start);
        return new(error.Start, error.End, position.Line, position.Column, error.Message);
    }
}
