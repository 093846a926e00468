using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Sandbar.Store;

/// <summary>Settings every connection needs: what was answered survives a killed process, and writers wait for each other.</summary>
internal sealed class ConnectionSettings : DbConnectionInterceptor
{
    private const string Pragmas = "PRAGMA synchronous=FULL; PRAGMA busy_timeout=5000; PRAGMA foreign_keys=ON;";

    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
    {
        using var command = connection.CreateCommand();
        command.CommandText = SettingsOf(connection);
        command.ExecuteNonQuery();
    }

    public override async Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData, CancellationToken cancellationToken = default)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = SettingsOf(connection);
        await command.ExecuteNonQueryAsync(cancellationToken);
    }

    /// <summary>The journal is set but by connections that may write: whether there is a store at all is asked by one that only reads.</summary>
    private static string SettingsOf(DbConnection connection) =>
        new SqliteConnectionStringBuilder(connection.ConnectionString).Mode == SqliteOpenMode.ReadOnly ? Pragmas : "PRAGMA journal_mode=WAL; " + Pragmas;
}
