using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>stop</c>.</summary>
internal static class StopCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("inertiaKgM2", input.InertiaKgM2, 0, 1e7, minExcluded: true)
            .Number("speedRpm", input.SpeedRpm, 0, 60_000, minExcluded: true)
            .Number("loadTorqueNm", input.LoadTorqueNm, 0, 1e7)
            .Number("brakingTorqueNm", input.BrakingTorqueNm, 0, 1e7)
            .Number("efficiencyPu", input.EfficiencyPu, 0, 1)
            .Number("fixedLossW", input.FixedLossW, 0, 1e7)
            .Number("wantedS", input.WantedS ?? 1, 0, 1e5, minExcluded: true);
        if (input.Link is { } link)
        {
            ranges
                .Number("link/capacitanceUf", link.CapacitanceUf, 0, 1e8, minExcluded: true)
                .Number("link/restV", link.RestV, 1, 5000)
                .Number("link/holdV", link.HoldV, link.RestV, 5000)
                .Number("link/tripV", link.TripV, link.RestV, 5000)
                .Number("link/chopperV", link.ChopperV, link.RestV, 5000)
                .Number("link/resistorOhm", link.ResistorOhm ?? 1, 0, 1e5, minExcluded: true);
        }

        ranges.Done();
        var run = StopSimulation.Run(new StopInput(
            input.InertiaKgM2,
            input.SpeedRpm * 2 * Math.PI / 60,
            _ => input.LoadTorqueNm,
            _ => input.BrakingTorqueNm,
            (omega, torque) => (input.EfficiencyPu * omega * torque) - input.FixedLossW,
            input.WantedS,
            input.Link is { } l ? new LinkCircuit(l.CapacitanceUf * 1e-6, l.RestV, l.HoldV, l.TripV, l.ChopperV, l.ResistorOhm, l.ReturnsToLine) : null,
            input.HoldsLink));
        return new Output(
            run.End, double.IsInfinity(run.TimeS) ? null : run.TimeS, run.HighestLinkV, run.PeakReturnedW, run.ReturnedJ, run.BurntJ, run.ToLineJ, run.MotorJ, run.LoadJ);
    }

    internal sealed record Input(
        double InertiaKgM2,
        double SpeedRpm,
        double LoadTorqueNm,
        double BrakingTorqueNm,
        double EfficiencyPu = 1,
        double FixedLossW = 0,
        double? WantedS = null,
        LinkInput? Link = null,
        bool HoldsLink = false);

    internal sealed record LinkInput(
        double CapacitanceUf, double RestV, double HoldV, double TripV, double ChopperV, double? ResistorOhm = null, bool ReturnsToLine = false);

    internal sealed record Output(
        StopEnd End,
        double? TimeS,
        double HighestLinkV,
        double PeakReturnedW,
        double ReturnedJ,
        double BurntJ,
        double ToLineJ,
        double MotorJ,
        double LoadJ);
}
