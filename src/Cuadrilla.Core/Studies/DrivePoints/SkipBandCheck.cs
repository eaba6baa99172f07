using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>motor.skip-band</c>: no point of the duty lies where the machine resonates.</summary>
internal static class SkipBandCheck
{
    private const string Id = "motor.skip-band";
    private const string Title = "Motor, skipped speeds";

    public static Check Of(DrivePointModel model)
    {
        var bands = model.Input.DrivePoint.SkipBands;
        if (bands.Count == 0)
        {
            return Check.NotConcerned(Id, model.Id, BoardRow.Motor, Title, "no skip band has been stated");
        }

        if (model.Load is null)
        {
            return Check.Lacking(Id, model.Id, BoardRow.Motor, Title, model.LoadMissing);
        }

        var held = model.SteadyPoints()
            .Where(p => bands.Any(b => b.Holds(p.SpeedRpm)))
            .Select(p => $"{Text.N(p.SpeedRpm)} rpm at {Text.N(100 * p.LevelPu, 3)} % {model.Load.LevelName}")
            .Distinct()
            .ToList();
        var named = string.Join(", ", bands.Select(b => $"{Text.N(b.FromRpm)} to {Text.N(b.ToRpm)} rpm"));
        return new Check(
            Id, model.Id, BoardRow.Motor, Title, held.Count > 0 ? Verdict.Fails : Verdict.Holds, Given.Unknown, Given.Unknown, string.Empty,
            LimitSense.AtMost,
            Given.Unknown, string.Empty,
            held.Count > 0 ? "Relief: another gear ratio or belt, a stiffer base, another point of the duty; the converter would hold the "
                + "edge of the band instead." : string.Empty,
            new Reason(
                "no steady speed of the duty inside a skip band",
                held.Count > 0 ? $"inside {named}: {string.Join(", ", held)}" : $"none inside {named}",
                "Machine maker's statement; noise that vanishes when coasting down is electrical, noise that stays is mechanical",
                []))
        { IsRule = true };
    }
}
