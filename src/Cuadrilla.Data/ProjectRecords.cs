namespace Cuadrilla.Data;

/// <summary>A project in the list.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">Name of the plant.</param>
/// <param name="LineupCount">Number of lineups.</param>
/// <param name="Edit">Number of the edit in force.</param>
/// <param name="ChangedUtc">When it was made.</param>
/// <param name="Description">What it is, in a sentence; may be empty.</param>
/// <param name="State">open, archived or binned.</param>
/// <param name="StateUtc">Since when; null while it was always open.</param>
/// <param name="StateWho">Who closed, opened or binned it last.</param>
public sealed record ProjectListItem(
    string Id, string Name, long LineupCount, long Edit, string ChangedUtc, string Description, string State, string? StateUtc,
    string? StateWho);

/// <summary>States of a project.</summary>
public static class ProjectStates
{
    /// <summary>It is worked on.</summary>
    public const string Open = "open";

    /// <summary>It is closed against changes.</summary>
    public const string Archived = "archived";

    /// <summary>It is in the bin, from where it comes back or goes for ever.</summary>
    public const string Binned = "binned";
}

/// <summary>
/// A project as it stands. Filled by property, not by constructor: a column that is null in the first row carries no type.
/// </summary>
public sealed record ProjectHead
{
    /// <summary>Key.</summary>
    public string Id { get; init; } = string.Empty;

    /// <summary>Number of the edit in force; writes state it.</summary>
    public long Edit { get; init; }

    /// <summary>Label of that edit.</summary>
    public string Label { get; init; } = string.Empty;

    /// <summary>What undo would take back; null when there is nothing.</summary>
    public string? UndoLabel { get; init; }

    /// <summary>What redo would bring back; null when there is nothing.</summary>
    public string? RedoLabel { get; init; }

    /// <summary>Version its document was written in; null for one stored before versions were.</summary>
    public int? FormatVersion { get; init; }

    /// <summary>open, archived or binned; what is not open is only read.</summary>
    public string State { get; init; } = ProjectStates.Open;

    /// <summary>The edit whose document is in force.</summary>
    internal long DocumentSequence { get; init; }
}

/// <summary>A specification as it was stored. Filled by property, as a project is.</summary>
public sealed record StoredDocument
{
    /// <summary>The specification as JSON.</summary>
    public string Document { get; init; } = string.Empty;

    /// <summary>Version it was written in; null for one stored before versions were.</summary>
    public int? FormatVersion { get; init; }
}

/// <summary>A line of the history.</summary>
/// <param name="Sequence">Number.</param>
/// <param name="AtUtc">When, UTC, ISO 8601.</param>
/// <param name="Who">Who.</param>
/// <param name="Label">What.</param>
/// <param name="Kind">edit, undo or redo.</param>
/// <param name="DocumentSequence">The edit whose document was in force from then on.</param>
public sealed record HistoryEntry(long Sequence, string AtUtc, string Who, string Label, string Kind, long DocumentSequence);

/// <summary>Outcome of a write.</summary>
public abstract record WriteOutcome
{
    private WriteOutcome()
    {
    }

    /// <summary>It is on disk.</summary>
    public sealed record Saved(ProjectHead Head) : WriteOutcome;

    /// <summary>Somebody else was first: nothing was written.</summary>
    /// <param name="Head">What is in force now.</param>
    /// <param name="BaseDocument">The document the refused write was based on.</param>
    public sealed record Stale(ProjectHead Head, StoredDocument BaseDocument) : WriteOutcome;

    /// <summary>The project is archived or in the bin: nothing was written.</summary>
    /// <param name="State">Which.</param>
    public sealed record Closed(string State) : WriteOutcome;

    /// <summary>There is nothing to undo or redo.</summary>
    public sealed record Nothing : WriteOutcome;

    /// <summary>There is no such project, or no such edit to base on.</summary>
    public sealed record Unknown : WriteOutcome;
}
