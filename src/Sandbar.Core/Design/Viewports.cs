using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>The windows that pages are checked in: a common phone, tablet and laptop, px.</summary>
public static class Viewports
{
    public static readonly ImmutableArray<(int Width, int Height)> All = [(390, 844), (820, 1180), (1280, 800)];
}
