using System.Numerics;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>Finds where a start is hardest: the scenario in which the drive point runs behind the largest impedance.</summary>
internal static class StartPlaces
{
    // Steps in which voltage and impedance are taken, so that small edits elsewhere leave a simulated start as it was.
    private const double VoltageStep = 0.002;
    private const double OhmStep = 0.01;

    /// <summary>The place of a drive point; behind a rotary or static converter as its motor sees it: the loop of two conductors, and the
    /// reactance of the converter.</summary>
    public static StartPlace? Of(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios, DrivePointModel model, Bus bus)
    {
        var place = Of(plant, scenarios, model.Id, bus);
        if (place is null || model.Input.OnePhase is not { MakesThreePhases: true } feed)
        {
            return place;
        }

        var voltageV = model.Input.BusVoltageV;
        if (feed.RotaryOhm(voltageV) is not { } rotary)
        {
            return null;
        }

        var ohm = (2 * place.Ohm) + rotary;
        return place with
        {
            VoltageV = place.VoltageV * voltageV / bus.NominalVoltageV,
            Ohm = ohm,
            PccSharePu = ohm == Complex.Zero ? place.PccSharePu : place.PccSharePu * (2 * place.Ohm / ohm).Magnitude,
        };
    }

    /// <summary>The place; null while the supply is not known or the drive point runs nowhere.</summary>
    private static StartPlace? Of(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios, string drivePointId, Bus bus)
    {
        StartPlace? worst = null;
        foreach (var result in scenarios)
        {
            var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
            if (!scenario.StateOf(drivePointId).Running || !result.Network.IsLive(bus.Id)
                || result.ForDips.Behind(bus.Id, StandingLoads.Beside(plant, result, drivePointId)) is not var (voltage, ohm))
            {
                continue;
            }

            if (worst is null || ohm.Magnitude > worst.Ohm.Magnitude)
            {
                var share = result.ForDips.IsLive(plant.Pcc.BusId) && ohm != Complex.Zero
                    ? result.ForDips.TransferPu(plant.Pcc.BusId, bus.Id).Magnitude / Math.Max(1e-12,
                        result.ForDips.TransferPu(bus.Id, bus.Id).Magnitude)
                    : 0;
                worst = new StartPlace(result.ScenarioName, InSteps(voltage, VoltageStep), InSteps(ohm), Math.Min(1, share));
            }
        }

        return worst;
    }

    private static Complex InSteps(Complex value) =>
        value == Complex.Zero ? value : new Complex(InSteps(value.Real, OhmStep), InSteps(value.Imaginary, OhmStep));

    private static double InSteps(double value, double step) => value <= 0 ? value : Math.Exp(step * Math.Round(Math.Log(value) / step));
}
