using System.Globalization;
using Dapper;
using DbUp;
using DbUp.Engine;
using Microsoft.Data.Sqlite;

namespace Cuadrilla.Data;

/// <summary>The SQLite file: opening it, and bringing it to the layout of this program.</summary>
public sealed class Database
{
    private readonly string connectionString;
    private readonly int? largestMB;

    static Database() => DefaultTypeMap.MatchNamesWithUnderscores = true;

    /// <summary>Names a database file; its folder is created when absent.</summary>
    /// <param name="path">The file.</param>
    /// <param name="largestMB">What the file may take of the disk, MB; null: all there is.</param>
    public Database(string path, int? largestMB = null)
    {
        ArgumentException.ThrowIfNullOrWhiteSpace(path);
        Path = System.IO.Path.GetFullPath(path);
        Directory.CreateDirectory(System.IO.Path.GetDirectoryName(Path)!);
        this.largestMB = largestMB;
        connectionString = new SqliteConnectionStringBuilder { DataSource = Path, ForeignKeys = true, DefaultTimeout = 10 }.ToString();
    }

    /// <summary>Full path of the file.</summary>
    public string Path { get; }

    /// <summary>
    /// Runs the migrations that are missing, each in a transaction; an existing file is copied beside itself first.
    /// </summary>
    /// <exception cref="DatabaseLayoutException">A migration failed, or the file is newer than this program; it is as it was.</exception>
    public void Migrate()
    {
        var exists = File.Exists(Path) && new FileInfo(Path).Length > 0;
        if (!File.Exists(Path))
        {
            // Made with its mode before anything is in it: its companions take it over.
            File.Create(Path).Dispose();
        }

        DatabaseBackup.OwnersOnly(Path);
        using (var connection = Open())
        {
            // WAL lets readers go on while one writes; it is a property of the file and stays.
            connection.Execute("PRAGMA journal_mode = WAL");
        }

        UpgradeEngine upgrader = DeployChanges.To
            .SqliteDatabase(connectionString)
            .WithScriptsEmbeddedInAssembly(typeof(Database).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build();
        RequireKnown(upgrader.GetExecutedScripts().Except(upgrader.GetDiscoveredScripts().Select(s => s.Name), StringComparer.Ordinal)
            .FirstOrDefault());
        if (!upgrader.IsUpgradeRequired())
        {
            return;
        }

        if (exists)
        {
            Backup();
        }

        var result = upgrader.PerformUpgrade();
        if (!result.Successful)
        {
            throw new DatabaseLayoutException($"The database could not be brought up to date: {result.Error.Message}", result.Error);
        }

        using var migrated = Open();
        if (StoredEdits.PackAll(migrated) > 0)
        {
            migrated.Execute("VACUUM");
        }
    }

    private void RequireKnown(string? strange)
    {
        if (strange is not null)
        {
            throw new DatabaseLayoutException($"The database {Path} was written by a newer program ({strange}); it was left as it is. Use "
                + "that program, or a backup from before.");
        }
    }

    /// <summary>Why nothing could be read or saved now; null where both can be.</summary>
    public string? Trouble()
    {
        try
        {
            using var connection = Open();
            using var transaction = connection.BeginTransaction(deferred: false);
            connection.ExecuteScalar<long>("SELECT count(*) FROM project p JOIN edit e ON e.project_id = p.id AND e.sequence = p.head",
                transaction: transaction);
            transaction.Rollback();
            return null;
        }
        catch (SqliteException problem)
        {
            return problem.Message;
        }
    }

    /// <summary>An open connection with the settings every use needs.</summary>
    internal SqliteConnection Open()
    {
        var connection = new SqliteConnection(connectionString);
        connection.Open();

        // FULL: an acknowledged edit is on disk, not only in the operating system's cache.
        connection.Execute("PRAGMA busy_timeout = 10000; PRAGMA synchronous = FULL");
        if (largestMB is { } most)
        {
            connection.Execute($"PRAGMA max_page_count = {most * 1024L * 1024 / connection.ExecuteScalar<long>("PRAGMA page_size")}");
        }

        return connection;
    }

    private void Backup()
    {
        var stamp = DateTime.UtcNow.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture);
        using var source = Open();
        using var target = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = $"{Path}.{stamp}.backup", Pooling = false }
            .ToString());
        target.Open();
        source.BackupDatabase(target);
        DatabaseBackup.OwnersOnly($"{Path}.{stamp}.backup");
    }

    /// <summary>Brings what the write-ahead log holds into the file, so that a copy of it alone is whole; for the end of the
    /// program.</summary>
    public void Settle()
    {
        SqliteConnection.ClearAllPools();
        using var connection = Open();
        connection.Execute("PRAGMA wal_checkpoint(TRUNCATE)");
    }
}
