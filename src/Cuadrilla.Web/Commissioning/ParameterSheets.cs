using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Data;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Commissioning;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Commissioning;

/// <summary>Parameter sheets with own numbers, values as left, and what changed since they were issued.</summary>
internal sealed class ParameterSheets(ProjectStore projects, ParameterStore store, SiteLogStore log, Assessor assessor)
{
    /// <summary>Key of a step under which a value as left is logged.</summary>
    public const string LeftPrefix = "parameter/";

    public ParameterSheetDocument Of(ProjectHead head, PlantSpecification plant, DrivePoint point)
    {
        var (sheet, own, left, issue, changes) = Found(head, plant, point);
        var was = changes.ToDictionary(c => c.Id, StringComparer.Ordinal);
        var rows = sheet.Rows.Select(r => new ParameterRowDocument(r.Id, r.Group, r.Name, r.Text,
            r.Number.IsKnown ? r.Number.Value : null, r.Unit, r.Scaling, r.Basis, r.Row, r.Reason,
            own.GetValueOrDefault(r.Id)?.Number ?? string.Empty, ParameterTable.OwnValue(r, own.GetValueOrDefault(r.Id)),
            own.GetValueOrDefault(r.Id)?.Unit ?? string.Empty, own.GetValueOrDefault(r.Id)?.Factor ?? 1,
            left.GetValueOrDefault(r.Id)?.Value ?? string.Empty, left.GetValueOrDefault(r.Id)?.Date ?? string.Empty,
            was.GetValueOrDefault(r.Id)?.Was)).ToList();
        var now = sheet.Rows.Select(r => r.Id).ToHashSet(StringComparer.Ordinal);
        return new(point.Id, sheet.Product, head.Edit, issue, rows, [.. changes.Where(c => !now.Contains(c.Id))]);
    }

    /// <summary>Rows for a table.</summary>
    public IReadOnlyList<IReadOnlyDictionary<string, object?>> Table(ProjectHead head, PlantSpecification plant, DrivePoint point)
    {
        var (sheet, own, left, _, changes) = Found(head, plant, point);
        return ParameterTable.Rows(sheet, point.Tag, head.Edit, own, left, changes.Select(c => c.Id).ToHashSet(StringComparer.Ordinal));
    }

    /// <summary>Each parameter over all drive points.</summary>
    public IReadOnlyList<ParameterOverview> Overview(PlantSpecification plant)
    {
        var rows = plant.AllDrivePoints().SelectMany(p => assessor.Parameters(plant, p).Rows.Select(r => (Point: p.Id, Row: r))).ToList();
        return
        [
            .. rows.GroupBy(r => r.Row.Id, StringComparer.Ordinal).Select(g => new ParameterOverview(g.Key, g.First().Row.Name,
                g.ToDictionary(r => r.Point, r => $"{r.Row.Text} {r.Row.Unit}".Trim(), StringComparer.Ordinal))),
        ];
    }

    private (ParameterSheet Sheet, IReadOnlyDictionary<string, OwnNumber> Own, IReadOnlyDictionary<string, LeftValue> Left,
        ParameterIssue? Issue,
        IReadOnlyList<ParameterChange> Changes) Found(ProjectHead head, PlantSpecification plant, DrivePoint point)
    {
        var sheet = assessor.Parameters(plant, point);
        var own = store.Of(sheet.Product).ToDictionary(o => o.Parameter, o => new OwnNumber(o.OwnNumber, o.OwnUnit, o.Factor),
            StringComparer.Ordinal);
        var left = log.OfPoint(head.Id, point.Id).Where(e => e.StepId.StartsWith(LeftPrefix, StringComparison.Ordinal))
            .GroupBy(e => e.StepId[LeftPrefix.Length..], StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => new LeftValue(g.Last().Note, g.Last().AtUtc[..10]), StringComparer.Ordinal);
        var issue = store.Last(head.Id, point.Id);
        return (sheet, own, left, issue, Since(head.Id, point.Id, issue, sheet));
    }

    // The sheet as it was is written again from the specification of its edit.
    private IReadOnlyList<ParameterChange> Since(string projectId, string pointId, ParameterIssue? issue, ParameterSheet sheet)
    {
        if (issue is null || projects.DocumentAt(projectId, issue.Edit) is not { } stored)
        {
            return [];
        }

        var then = ProjectReader.Read(stored);
        return then.AllDrivePoints().FirstOrDefault(p => p.Id == pointId) is { } point ? sheet.Since(assessor.Parameters(then, point)) : [];
    }
}
