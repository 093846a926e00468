using Sandbar.Core.Rendering;
using Sandbar.Css.Syntax;

namespace Sandbar.Server;

public sealed record OverridesView(string Css, IReadOnlyList<CssProblemView> Problems)
{
    public static OverridesView Of(string css) => new(css, CssProblemView.Of(css, OverrideText.Of(css).Problems));
}

/// <param name="Start">UTF-16 offset.</param>
/// <param name="Line">From 1.</param>
public sealed record CssProblemView(int Start, int End, int Line, int Column, string Message)
{
    public static IReadOnlyList<CssProblemView> Of(string css, IReadOnlyCollection<SyntaxError> errors)
    {
        if (errors.Count == 0) return [];
        var lines = new TextLines(css);
        return [.. errors.Select(e => (Error: e, At: lines.At(e.Start))).Select(e => new CssProblemView(e.Error.Start, e.Error.End, e.At.Line, e.At.Column, e.Error.Message))];
    }
}
