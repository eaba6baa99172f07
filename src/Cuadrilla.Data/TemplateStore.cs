using System.Globalization;
using Dapper;

namespace Cuadrilla.Data;

/// <summary>A template of drive points as it is stored.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">Name, unlike any other's.</param>
/// <param name="AtUtc">When it was kept, ISO 8601.</param>
/// <param name="Who">Who kept it.</param>
/// <param name="Document">A project document with one drive point.</param>
/// <param name="FormatVersion">The version that it was written in.</param>
public sealed record StoredTemplate(string Id, string Name, string AtUtc, string Who, string Document, long FormatVersion);

/// <summary>Templates of drive points, kept for every project of this installation.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time.</param>
/// <param name="formatVersion">Version of the documents that are saved.</param>
public sealed class TemplateStore(Database database, TimeProvider clock, int formatVersion)
{
    private const string Columns = "id, name, at_utc, who, document, format_version";

    /// <summary>All, by name.</summary>
    public IReadOnlyList<StoredTemplate> List()
    {
        using var connection = database.Open();
        return connection.Query<StoredTemplate>($"SELECT {Columns} FROM drive_point_template ORDER BY name COLLATE NOCASE").AsList();
    }

    /// <summary>One of them; null when there is none.</summary>
    public StoredTemplate? Find(string id)
    {
        using var connection = database.Open();
        return connection.QuerySingleOrDefault<StoredTemplate>($"SELECT {Columns} FROM drive_point_template WHERE id = @id", new { id });
    }

    /// <summary>Keeps one; a template of the same name is replaced and keeps its key.</summary>
    public StoredTemplate Keep(string name, string who, string document)
    {
        using var connection = database.Open();
        return connection.QuerySingle<StoredTemplate>(
            $"""
            INSERT INTO drive_point_template ({Columns}) VALUES (@id, @name, @at, @who, @document, @formatVersion)
            ON CONFLICT (name) DO UPDATE SET at_utc = excluded.at_utc, who = excluded.who, document = excluded.document,
                                             format_version = excluded.format_version
            RETURNING {Columns}
            """,
            new
            {
                id = Guid.CreateVersion7().ToString("N"),
                name,
                at = clock.GetUtcNow().ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture),
                who,
                document,
                formatVersion,
            });
    }

    /// <summary>Removes one; false when there is none.</summary>
    public bool Remove(string id)
    {
        using var connection = database.Open();
        return connection.Execute("DELETE FROM drive_point_template WHERE id = @id", new { id }) > 0;
    }
}
