using Microsoft.Data.Sqlite;

namespace Cuadrilla.Data;

/// <summary>Copies of a database that are whole, also while it is written to.</summary>
public static class DatabaseBackup
{
    /// <summary>
    /// Copies a database to a file that is there only when the copy was checked. The server may go on: what was acknowledged before the
    /// call is in the copy, and no edit is in it by halves.
    /// </summary>
    /// <param name="from">The database.</param>
    /// <param name="to">The file to make.</param>
    /// <param name="open">Opens a document of a version; throws where it can't be read.</param>
    /// <returns>What is wrong with the copy; empty where it is whole and stands under its name.</returns>
    /// <exception cref="IOException">There is no such database, or the file is there already.</exception>
    public static IReadOnlyList<string> Copy(string from, string to, Action<string, int?> open)
    {
        if (!File.Exists(from))
        {
            throw new FileNotFoundException($"There is no database at {from}.");
        }

        if (File.Exists(to))
        {
            throw new IOException($"{to} is there already; name another file.");
        }

        var beside = to + ".new";
        File.Delete(beside);
        using (var source = Open(from, SqliteOpenMode.ReadWrite))
        using (var target = Open(beside, SqliteOpenMode.ReadWriteCreate))
        {
            source.BackupDatabase(target);

            // One file without companions, whatever the original is.
            using var command = target.CreateCommand();
            command.CommandText = "PRAGMA journal_mode = DELETE";
            command.ExecuteScalar();
        }

        OwnersOnly(beside);
        var problems = DatabaseCheck.Problems(beside, open);
        if (problems.Count > 0)
        {
            File.Delete(beside);
            return problems;
        }

        File.Move(beside, to);
        return [];
    }

    /// <summary>Puts a backup in the place of a database; what stood there is kept beside it.</summary>
    /// <param name="backup">The backup.</param>
    /// <param name="database">The database; no server may have it open.</param>
    /// <param name="stamp">Part of the name under which the former one is kept.</param>
    /// <param name="open">Opens a document of a version; throws where it can't be read.</param>
    /// <returns>What is wrong with the backup; empty where it is in force now.</returns>
    /// <exception cref="IOException">There is no such backup, or the database is in use.</exception>
    public static IReadOnlyList<string> Restore(string backup, string database, string stamp, Action<string, int?> open)
    {
        if (!File.Exists(backup))
        {
            throw new FileNotFoundException($"There is no backup at {backup}.");
        }

        if (File.Exists(database))
        {
            RequireUnused(database);
        }

        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(database))!);
        var beside = $"{database}.{stamp}.restored";
        var problems = Copy(backup, beside, open);
        if (problems.Count > 0)
        {
            return problems;
        }

        foreach (var companion in new[] { string.Empty, "-wal", "-shm" }.Where(c => File.Exists(database + c)))
        {
            File.Move(database + companion, $"{database}.{stamp}.before{companion}");
        }

        File.Move(beside, database);
        return [];
    }

    /// <summary>Lets the owner alone read and write a file, where files have modes.</summary>
    public static void OwnersOnly(string path)
    {
        if (!OperatingSystem.IsWindows())
        {
            File.SetUnixFileMode(path, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        }
    }

    // A server keeps a lock on the companion of a write-ahead log: only who is alone can leave that mode.
    private static void RequireUnused(string database)
    {
        using var connection = Open(database, SqliteOpenMode.ReadWrite);
        using var command = connection.CreateCommand();
        command.CommandTimeout = 1;
        command.CommandText = "PRAGMA busy_timeout = 200; PRAGMA wal_checkpoint(TRUNCATE); PRAGMA journal_mode = DELETE";
        try
        {
            command.ExecuteNonQuery();
            command.CommandText = "PRAGMA journal_mode";
            if (!string.Equals((string?)command.ExecuteScalar(), "delete", StringComparison.OrdinalIgnoreCase))
            {
                throw new IOException($"{database} is in use: stop the server first.");
            }
        }
        catch (SqliteException problem) when (problem.SqliteErrorCode is 5 or 6)
        {
            throw new IOException($"{database} is in use: stop the server first.", problem);
        }
    }

    private static SqliteConnection Open(string path, SqliteOpenMode mode)
    {
        var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path, Mode = mode, Pooling = false,
            DefaultTimeout = 10 }.ToString());
        connection.Open();
        return connection;
    }
}
