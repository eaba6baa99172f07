using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// Largest symmetrical fault current for withstand: I"k = c_max·U/(√3·|Z|) with the source at its strongest and transformers corrected by
/// K_T = 0.95·c_max/(1 + 0.6·x_T), and the locked-rotor currents of motors that run on the line at the same bus (IEC 60909-0).
/// </summary>
internal static class WithstandCurrents
{
    private const double LowVoltageV = 1000;

    /// <summary>Voltage factors of a bus: of low voltage by how high the source may stand.</summary>
    public static FaultCurrent.VoltageFactors Factors(PlantSpecification plant, double nominalV) => nominalV > LowVoltageV
        ? FaultCurrent.VoltageFactors.Medium
        : FaultCurrent.VoltageFactors.Of(plant.Source.HighestPct.IsKnown ? plant.Source.HighestPct.Value - 100 : 0);

    /// <summary>Voltage factor for the largest current.</summary>
    public static double CMax(PlantSpecification plant, double nominalV) => Factors(plant, nominalV).Max;

    /// <summary>The plant with its transformers corrected.</summary>
    public static PlantSpecification Corrected(PlantSpecification plant) => plant with
    {
        Distribution = plant.Distribution with { Transformers = [.. plant.Distribution.Transformers.Select(t => Corrected(t, plant))] },
    };

    /// <summary>Largest fault current of a bus, A, and the part of it that motors give; infinite at an infinite source.</summary>
    public static (double Ampere, double MotorsA) At(PlantSpecification plant, ScenarioResult result, string busId)
    {
        var nominalV = plant.Distribution.Bus(busId).NominalVoltageV;
        var node = result.Network.NodeOf(busId);
        var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
        var motors = plant.Distribution.Loads.OfType<BusLoad.LineMotor>()
            .Where(m => result.Network.IsLive(m.BusId) && result.Network.NodeOf(m.BusId) == node && scenario.LoadLevelPuOf(m.Id) > 0)
            .Sum(m => m.LockedRotorVa() / (Math.Sqrt(3) * nominalV));
        var drives = result.OnLine.Where(d => result.Network.IsLive(d.BusId) && result.Network.NodeOf(d.BusId) == node)
            .Sum(d => d.LockedRotorVa / (Math.Sqrt(3) * nominalV));
        return ((CMax(plant, nominalV) * result.ForWithstand.FaultA(busId)) + motors + drives, motors + drives);
    }

    private static Transformer Corrected(Transformer t, PlantSpecification plant)
    {
        var resistance = t.LoadLossKw / t.RatedKva;
        var reactance = Math.Sqrt(Math.Max(0, (t.UkPct / 100 * (t.UkPct / 100)) - (resistance * resistance)));
        var correction = 0.95 * CMax(plant, plant.Distribution.Bus(t.ToBusId).NominalVoltageV) / (1 + (0.6 * reactance));
        return t with { UkPct = t.UkPct * correction, LoadLossKw = t.LoadLossKw * correction };
    }
}
