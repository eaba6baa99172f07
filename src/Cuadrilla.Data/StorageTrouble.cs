using Microsoft.Data.Sqlite;

namespace Cuadrilla.Data;

/// <summary>What the disk or the file stands against, in a sentence for who has to mend it.</summary>
/// <param name="Kind">Which kind.</param>
/// <param name="Says">The sentence.</param>
public sealed record StorageTrouble(StorageTroubleKind Kind, string Says)
{
    // Result codes of SQLite (sqlite.org/rescode.html).
    private const int ReadOnly = 8;
    private const int InputOutput = 10;
    private const int Corrupt = 11;
    private const int Full = 13;
    private const int CantOpen = 14;
    private const int NotADatabase = 26;

    /// <summary>What a failure of the database means; null where it is a fault of the program.</summary>
    public static StorageTrouble? Of(SqliteException problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        return problem.SqliteErrorCode switch
        {
            Full => new(StorageTroubleKind.Full,
                "The disk, or what the database may take of it, is full. Nothing was saved; what was saved before is there. Make room and "
                    + "save again."),
            ReadOnly => new(StorageTroubleKind.Unusable,
                "The database or its folder can't be written. Nothing was saved; let its owner write there."),
            CantOpen => new(StorageTroubleKind.Unusable,
                "The database can't be opened: its folder is not there, or may not be read and written."),
            InputOutput => new(StorageTroubleKind.Unusable,
                "The disk does not read or write. Nothing was saved; look at the disk, then start again."),
            Corrupt or NotADatabase => new(StorageTroubleKind.Unusable,
                "The database file is damaged, or is none. It was left as it is: './cuadrilla check' says more, './cuadrilla restore' "
                    + "puts a backup in its place."),
            _ => null,
        };
    }
}

/// <summary>Kinds of trouble with storage.</summary>
public enum StorageTroubleKind
{
    /// <summary>There is no room.</summary>
    Full,

    /// <summary>It can't be read or written.</summary>
    Unusable,
}
