using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks the entries of a holding brake.</summary>
internal static class BrakeValidation
{
    public static void Check(HoldingBrake brake, string at, ProblemList p)
    {
        if (brake is not HoldingBrake.SpringApplied b)
        {
            return;
        }

        p.Number(at + "/holdingNm", "Holding torque", b.HoldingNm, 0.01, 1e6, "Nm");
        p.Number(at + "/releaseMs", "Release time", b.ReleaseMs, 1, 5000, "ms");
        p.Number(at + "/closeMs", "Closing time", b.CloseMs, 1, 5000, "ms");
        p.Number(at + "/permittedJ", "Permitted work", b.PermittedJ, 0.1, 1e9, "J");
        p.Number(at + "/permittedClampings", "Permitted clampings", b.PermittedClampings, 1, 1e7, string.Empty);
        p.Number(at + "/coil/voltageV", "Coil voltage", b.Coil.VoltageV, 5, 600, "V");
        p.Number(at + "/coil/powerW", "Coil power", b.Coil.PowerW, 0.5, 5000, "W");
        p.Number(at + "/coil/timeConstantMs", "Time constant of the coil", b.Coil.TimeConstantMs, 0.1, 2000, "ms");
        p.Number(at + "/coil/outputA", "Rating of the output", b.Coil.OutputA, 0.01, 100, "A");
        p.Number(at + "/control/provenPct", "Torque proven before the release", b.Control.ProvenPct, 0, 200, "% of rated");
        p.Number(at + "/control/speedAfterReleaseMs", "From release command to speed reference", b.Control.SpeedAfterReleaseMs, 0, 10_000, "ms");
        p.Number(at + "/control/closeBelowPct", "Closes below", b.Control.CloseBelowPct, 0.05, 50, "% of rated speed");
        p.Number(at + "/control/closeDelayS", "Closes at the latest after", b.Control.CloseDelayS, 0.01, 600, "s");
        p.Number(at + "/control/holdMs", "Torque held after the close command", b.Control.HoldMs, 0, 10_000, "ms");
    }
}
