using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>stop</c>.</summary>
internal static class StopCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        if (input.Link is { } link)
        {
            ranges
                .Number("link/holdV", link.HoldV, link.RestV, 5000)
                .Number("link/tripV", link.TripV, link.RestV, 5000)
                .Number("link/chopperV", link.ChopperV, link.RestV, 5000);
        }

        ranges.Done();
        var run = StopSimulation.Run(new StopInput(
            input.InertiaKgM2,
            input.SpeedRpm * 2 * Math.PI / 60,
            _ => input.LoadTorqueNm,
            _ => input.BrakingTorqueNm,
            (omega, torque) => (input.EfficiencyPu * omega * torque) - input.FixedLossW,
            input.WantedS,
            input.Link is { } l ? new LinkCircuit(l.CapacitanceUf * 1e-6, l.RestV, l.HoldV, l.TripV, l.ChopperV, l.ResistorOhm,
                l.ReturnsToLine) : null,
            input.HoldsLink));
        return new Output(
            run.End, double.IsInfinity(run.TimeS) ? null : run.TimeS, run.HighestLinkV, run.PeakReturnedW, run.ReturnedJ, run.BurntJ,
            run.ToLineJ, run.MotorJ, run.LoadJ);
    }

    internal sealed record Input(
        [Above(0, 1e7)] double InertiaKgM2,
        [Above(0, 60_000)] double SpeedRpm,
        [Range(0, 1e7)] double LoadTorqueNm,
        [Range(0, 1e7)] double BrakingTorqueNm,
        [Range(0, 1)] double EfficiencyPu = 1,
        [Range(0, 1e7)] double FixedLossW = 0,
        [Above(0, 1e5)] double? WantedS = null,
        LinkInput? Link = null,
        bool HoldsLink = false);

    internal sealed record LinkInput(
        [Above(0, 1e8)] double CapacitanceUf, [Range(1, 5000)] double RestV, double HoldV, double TripV, double ChopperV,
        [Above(0, 1e5)] double? ResistorOhm = null, bool ReturnsToLine = false);

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
