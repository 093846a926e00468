namespace Sandbar.Server;

/// <summary>Files from elsewhere: read one at a time, so that what they take of memory and time is bounded.</summary>
internal static class GivenFiles
{
    private static readonly SemaphoreSlim Reading = new(1, 1);

    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static async Task<T> ReadAsync<T>(HttpRequest request, Func<byte[], T> read, CancellationToken cancel)
    {
        await Reading.WaitAsync(cancel);
        try
        {
            using var bytes = new MemoryStream();
            await request.Body.CopyToAsync(bytes, cancel);
            return await Task.Run(() => read(bytes.ToArray()), cancel);
        }
        finally
        {
            Reading.Release();
        }
    }
}
