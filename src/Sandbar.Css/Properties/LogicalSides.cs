using System.Collections.Frozen;

namespace Sandbar.Css.Properties;

/// <summary>How text runs in an element: what its logical sides are on the page (CSS Writing Modes 4, §6.4).</summary>
/// <param name="IsVertical">Whether lines stand upright.</param>
/// <param name="IsReversed">Of vertical lines: whether the next one is on the left.</param>
/// <param name="IsRightToLeft">Whether text runs against the line's own direction.</param>
public readonly record struct Flow(bool IsVertical, bool IsReversed, bool IsRightToLeft)
{
    /// <summary>What the values of <c>writing-mode</c> and <c>direction</c> say.</summary>
    public static Flow Of(string writingMode, string direction) =>
        new(writingMode is not "horizontal-tb", writingMode is "vertical-rl" or "sideways-rl", direction == "rtl" != (writingMode == "sideways-lr"));

    internal string BlockStart => !IsVertical ? "top" : IsReversed ? "right" : "left";

    internal string InlineStart => IsVertical ? IsRightToLeft ? "bottom" : "top" : IsRightToLeft ? "right" : "left";
}

/// <summary>Properties that name sides by the flow of text. Source: CSS Logical Properties and Values 1.</summary>
public static class LogicalSides
{
    private static readonly FrozenDictionary<string, string> Opposite = new Dictionary<string, string> { ["top"] = "bottom", ["bottom"] = "top", ["left"] = "right", ["right"] = "left" }.ToFrozenDictionary();

    // Later than the properties themselves, which ask whether their names are logical.
    private static readonly Lazy<FrozenDictionary<Flow, Property[]>> Maps = new(() => All().ToFrozenDictionary(flow => flow, flow => CssProperties.All.Select(p => p.IsLogical ? CssProperties.Find(Physical(p.Name, flow)) ?? p : p).ToArray()));

    /// <summary>The property that a logical one comes to where text runs so; any other is itself.</summary>
    public static Property Physical(Property property, Flow flow) => property.IsLogical ? Maps.Value[flow][property.Id] : property;

    internal static bool IsLogical(string name) => Physical(name, default) != name;

    private static IEnumerable<Flow> All()
    {
        foreach (var vertical in new[] { false, true })
        {
            foreach (var reversed in new[] { false, true })
            {
                foreach (var rightToLeft in new[] { false, true }) yield return new(vertical, reversed, rightToLeft);
            }
        }
    }

    private static string Physical(string name, Flow flow)
    {
        string blockStart = flow.BlockStart, inlineStart = flow.InlineStart;
        string blockEnd = Opposite[blockStart], inlineEnd = Opposite[inlineStart];
        foreach (var (corner, block, inline) in new[] { ("start-start", blockStart, inlineStart), ("start-end", blockStart, inlineEnd), ("end-start", blockEnd, inlineStart), ("end-end", blockEnd, inlineEnd) })
        {
            if (name == $"border-{corner}-radius") return $"border-{Corner(block, inline)}-radius";
            if (name == $"corner-{corner}-shape") return $"corner-{Corner(block, inline)}-shape";
        }
        foreach (var (logical, side) in new[] { ("block-start", blockStart), ("block-end", blockEnd), ("inline-start", inlineStart), ("inline-end", inlineEnd) })
        {
            if (name == $"inset-{logical}") return side;
            if (name.StartsWith("margin-", StringComparison.Ordinal) || name.StartsWith("padding-", StringComparison.Ordinal) || name.StartsWith("border-", StringComparison.Ordinal) || name.StartsWith("scroll-", StringComparison.Ordinal))
            {
                var at = name.IndexOf($"-{logical}", StringComparison.Ordinal);
                if (at > 0) return $"{name[..at]}-{side}{name[(at + logical.Length + 1)..]}";
            }
        }
        var (blockSize, inlineSize) = flow.IsVertical ? ("width", "height") : ("height", "width");
        var (blockAxis, inlineAxis) = flow.IsVertical ? ("x", "y") : ("y", "x");
        return name switch
        {
            "block-size" or "min-block-size" or "max-block-size" or "contain-intrinsic-block-size" => name.Replace("block-size", blockSize, StringComparison.Ordinal),
            "inline-size" or "min-inline-size" or "max-inline-size" or "contain-intrinsic-inline-size" => name.Replace("inline-size", inlineSize, StringComparison.Ordinal),
            "overflow-block" or "overscroll-behavior-block" => name.Replace("-block", $"-{blockAxis}", StringComparison.Ordinal),
            "overflow-inline" or "overscroll-behavior-inline" => name.Replace("-inline", $"-{inlineAxis}", StringComparison.Ordinal),
            _ => name,
        };
    }

    private static string Corner(string block, string inline) => block is "top" or "bottom" ? $"{block}-{inline}" : $"{inline}-{block}";
}
