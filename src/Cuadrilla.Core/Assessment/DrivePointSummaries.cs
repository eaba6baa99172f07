using System.Runtime.CompilerServices;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>Main figures of drive points: their own, which stay as long as their study, and those of their lines.</summary>
internal static class DrivePointSummaries
{
    private static readonly ConditionalWeakTable<DrivePointStudy, DrivePointSummary> Own = [];

    /// <summary>Of one drive point; only what is assumed in it where it has a fault.</summary>
    /// <param name="study">Its study.</param>
    /// <param name="firsts">Line currents of all.</param>
    public static DrivePointSummary Of(DrivePointStudy study, FirstCurrents firsts)
    {
        try
        {
            var front = firsts.Drives.GetValueOrDefault(FrontOf(study.Model))?.Front as RectifierResult.LineDraw;
            return Own.GetValue(study, OwnOf) with
            {
                LineRmsA = front?.LoadedPhase.RmsA ?? firsts.OnLine.GetValueOrDefault(study.Model.Id)?.Point.Motor.CurrentA,
                ThdiPct = front?.LoadedPhase.ThdiPct,
                LinePhase = front?.LoadedPhaseName ?? string.Empty,
            };
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return new DrivePointSummary(study.Model.Id, null, null, null, null, null, null, null, null)
            {
                AssumedEntries = UsualEntries.CountAssumed(study.Model.Input.DrivePoint),
            };
        }
    }

    // The converter of a group stands at its first member.
    private static string FrontOf(DrivePointModel model) => model.Input.Group is { IsHead: true } group ? group.GroupId : model.Id;

    private static DrivePointSummary OwnOf(DrivePointStudy study)
    {
        var chosen = study.Alternatives.FirstOrDefault(a => a.IsChosen);
        var present = study.Alternatives.FirstOrDefault(a => a.Id == "present");
        var shaft = study.Model.Load?.At(1);
        var point = study.Model.Input.DrivePoint;
        return new DrivePointSummary(
            study.Model.Id,
            study.Complete?.At(1),
            shaft?.PowerW,
            shaft?.SpeedRpm,
            study.Model.Input.Group is { IsHead: true, PartPu: > 0 } group
                ? study.Model.Converter?.SiteCurrentA / group.PartPu
                : study.Model.Converter?.SiteCurrentA * (study.Model.StepUp?.CurrentPu ?? 1),
            null,
            null,
            chosen?.Year.EnergyKwh,
            chosen is null || present is null ? null : present.Year.CostPerYear - chosen.Year.CostPerYear)
        {
            CableM = point.Cable.LengthM.IsKnown ? point.Cable.LengthM.Value : null,
            FeederM = point.Feeder is Feeder.ByCable { LengthM: { IsKnown: true, Value: var feederM } } ? feederM : null,
            AssumedEntries = UsualEntries.CountAssumed(point),
        };
    }
}
