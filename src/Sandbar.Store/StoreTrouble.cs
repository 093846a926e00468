using Microsoft.Data.Sqlite;

namespace Sandbar.Store;

/// <summary>What keeps a store from being read or written, in a sentence. Source of the codes: SQLite's result codes.</summary>
public static class StoreTrouble
{
    private const int Busy = 5, Locked = 6, ReadOnly = 8, InputOutput = 10, Corrupt = 11, Full = 13, CannotOpen = 14, NoDatabase = 26;

    /// <summary>The sentence for what went wrong; null where it is nothing about the store.</summary>
    public static string? Of(Exception? exception) => exception switch
    {
        null => null,
        SqliteException sqlite => Of(sqlite.SqliteErrorCode),
        UnauthorizedAccessException => "The folder of the store cannot be written to: give this user the right to, or choose another with --store.",
        IOException { HResult: var code } when (code & 0xFFFF) == 28 => "The disk is full: make room, then try again.",
        _ => Of(exception.InnerException),
    };

    private static string? Of(int code) => code switch
    {
        Busy or Locked => "Another program is writing to the store: try again in a moment.",
        ReadOnly => "The store cannot be written to: it lies on a read-only disk, or its file belongs to somebody else.",
        Full => "The disk is full: make room, then try again.",
        InputOutput => "The disk the store lies on does not answer as it should.",
        Corrupt or NoDatabase => "The file sandbar.db of the store is damaged: put a copy of it in its place, or start over with --fresh, which keeps the damaged one.",
        CannotOpen => "The store cannot be opened: its folder is not there, lies on a read-only disk, or this user may not read and write in it.",
        _ => null,
    };
}
