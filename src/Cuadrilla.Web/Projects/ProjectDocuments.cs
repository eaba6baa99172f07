using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Assessments;

namespace Cuadrilla.Web.Projects;

/// <summary>A project with its assessment.</summary>
/// <param name="Id">Key.</param>
/// <param name="Edit">Number of the edit in force; writes state it.</param>
/// <param name="Label">Label of that edit.</param>
/// <param name="UndoLabel">What undo would take back; null when there is nothing.</param>
/// <param name="RedoLabel">What redo would bring back; null when there is nothing.</param>
/// <param name="State">open, archived or binned; what is not open is only read.</param>
/// <param name="Specification">What is specified.</param>
/// <param name="Stamp">Names this assessment; a change that states it is answered with what differs from it.</param>
/// <param name="Assessment">What follows; reasons are asked for one by one.</param>
internal sealed record ProjectDocument(
    string Id, long Edit, string Label, string? UndoLabel, string? RedoLabel, string State, PlantSpecification Specification,
    string Stamp, AssessmentDocument Assessment);

/// <summary>A change to save.</summary>
/// <param name="BasedOn">The edit it was made on.</param>
/// <param name="Label">What was changed, 1 to 120 characters.</param>
/// <param name="Who">Who changed it, 1 to 60 characters.</param>
/// <param name="Specification">The whole specification after the change.</param>
internal sealed record EditRequest(long BasedOn, string Label, string Who, PlantSpecification Specification);

/// <summary>Small changes to save.</summary>
/// <param name="BasedOn">The edit they were made on.</param>
/// <param name="Label">What was changed, 1 to 120 characters.</param>
/// <param name="Who">Who changed it, 1 to 60 characters.</param>
/// <param name="Changes">What differs from that edit.</param>
internal sealed record ChangeRequest(long BasedOn, string Label, string Who, IReadOnlyList<SpecificationChange> Changes)
{
    /// <summary>True to make the changes on the edit in force where nobody has touched the same fields since.</summary>
    public bool Merges { get; init; }

    /// <summary>Stamp of the assessment that the client has of that edit; empty: none. Where the server still has it too, only what
    /// differs is answered.</summary>
    public string Knows { get; init; } = string.Empty;
}

/// <summary>Commands to carry out, all of them or none.</summary>
/// <param name="BasedOn">The edit they were asked on.</param>
/// <param name="Who">Who asked, 1 to 60 characters.</param>
/// <param name="Commands">1 to 200, each on what the one before left.</param>
internal sealed record CommandRequest(long BasedOn, string Who, IReadOnlyList<PlantCommand> Commands)
{
    /// <summary>Stamp of the assessment that the client has of that edit; empty: none. Where the server still has it too, only what
    /// differs is answered.</summary>
    public string Knows { get; init; } = string.Empty;
}

/// <summary>Commands that might be carried out.</summary>
/// <param name="Commands">1 to 200, each asked by itself.</param>
internal sealed record PossibleRequest(IReadOnlyList<PlantCommand> Commands);

/// <summary>Commands that are carried out and saved, and what follows.</summary>
/// <param name="CreatedIds">Keys of what they created.</param>
/// <param name="Notes">What was not done, and why.</param>
/// <param name="Saved">The edit in force now.</param>
internal sealed record CommandDocument(IReadOnlyList<string> CreatedIds, IReadOnlyList<string> Notes, SavedDocument Saved);

/// <summary>Changes that are saved, and what follows.</summary>
/// <param name="Id">Key of the project.</param>
/// <param name="Edit">Number of the edit in force now.</param>
/// <param name="Label">Label of that edit.</param>
/// <param name="UndoLabel">What undo would take back; null when there is nothing.</param>
/// <param name="RedoLabel">What redo would bring back; null when there is nothing.</param>
/// <param name="State">open, archived or binned; what is not open is only read.</param>
/// <param name="Specification">What is stored where fields that the changes left out were filled in; else null: it is what they
/// make.</param>
/// <param name="Stamp">Names the assessment that follows.</param>
/// <param name="Assessment">What follows; null where only what differs is answered.</param>
/// <param name="Changed">What of it differs from the assessment that the client knows; else null.</param>
internal sealed record SavedDocument(
    string Id, long Edit, string Label, string? UndoLabel, string? RedoLabel, string State, PlantSpecification? Specification,
    string Stamp, AssessmentDocument? Assessment, AssessmentChanges? Changed);

/// <summary>An undo or redo.</summary>
/// <param name="BasedOn">The edit it was asked on.</param>
/// <param name="Who">Who asked.</param>
internal sealed record StepRequest(long BasedOn, string Who)
{
    /// <summary>Stamp of the assessment that the client has of that edit; empty: none. Where the server still has it too, only what
    /// differs is answered.</summary>
    public string Knows { get; init; } = string.Empty;
}

/// <summary>A new project.</summary>
/// <param name="Name">Name of the plant.</param>
/// <param name="Who">Who creates it.</param>
internal sealed record CreateRequest(string Name, string Who)
{
    /// <summary>Key of a usual supply of the catalogue; empty: the first.</summary>
    public string Supply { get; init; } = string.Empty;

    /// <summary>What it is a copy of: an example by its key, or a project by its own; empty: of nothing.</summary>
    public string Template { get; init; } = string.Empty;
}

/// <summary>A write that came too late: both versions, so that the app can merge by field.</summary>
/// <param name="Type">Kind of problem.</param>
/// <param name="Title">In short.</param>
/// <param name="Status">409.</param>
/// <param name="Detail">In full.</param>
/// <param name="Base">What the refused write was based on.</param>
/// <param name="Current">What is in force.</param>
internal sealed record StaleDocument(string Type, string Title, int Status, string Detail, PlantSpecification Base,
    ProjectDocument Current);
