namespace Sandbar.Tests;

/// <summary>How often random tests try. <c>SANDBAR_TIMES=200</c> in the environment makes every one of them two hundred times as long.</summary>
public static class RandomTimes
{
    private static readonly int Factor = int.TryParse(Environment.GetEnvironmentVariable("SANDBAR_TIMES"), out var factor) ? factor : 1;

    public static int Of(int times) => times * Factor;
}
