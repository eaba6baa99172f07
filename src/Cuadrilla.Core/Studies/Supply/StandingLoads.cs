using System.Numerics;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What hangs on the nodes of a scenario beside the drives.</summary>
internal static class StandingLoads
{
    /// <summary>Admittances between node and earth at the fundamental, per unit: loads at nominal voltage, capacitors.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="network">Its network.</param>
    /// <param name="onLine">Drive points on the line.</param>
    /// <param name="reactorLossPu">Resistance of reactors ahead of capacitors, parts of their reactance.</param>
    /// <param name="withoutId">A load or drive point that is left out, for a start of its own; empty for none.</param>
    public static Complex[] Fundamental(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<LineDrive> onLine, double reactorLossPu,
        string withoutId = "")
    {
        var shunts = new Complex[network.NodeCount];
        foreach (var (load, node) in OnNodes(plant.Distribution.Loads, l => l.BusId, network))
        {
            if (load.Id != withoutId)
            {
                shunts[node] += Complex.Conjugate(load.PowerVa()) * scenario.LoadLevelPuOf(load.Id) / SupplyNetwork.BaseVa;
            }
        }

        foreach (var (drive, node) in OnNodes(onLine, d => d.BusId, network))
        {
            if (drive.DrivePointId != withoutId)
            {
                shunts[node] += Complex.Conjugate(drive.PowerVa) / SupplyNetwork.BaseVa;
            }
        }

        foreach (var (lineup, node) in OnNodes(plant.Lineups, l => l.BusId, network).Where(l => l.Item.OnePhase is not null))
        {
            shunts[node] += Complex.Conjugate(Supplies.OnePhaseUsual.IdleVa(lineup.OnePhase!)) / SupplyNetwork.BaseVa;
        }

        AddCapacitors(plant.Distribution, scenario, network, 1, reactorLossPu, shunts);
        return shunts;
    }

    /// <summary>
    /// The same at a higher order: capacitors, line filters of front ends, and running line motors by their locked-rotor impedance. Of
    /// other linear load the part that the project relies on, as a resistance at its bus.
    /// </summary>
    public static Complex[] Harmonic(Distribution distribution, Scenario scenario, SupplyNetwork network, double order, HarmonicLoads loads)
    {
        var shunts = new Complex[network.NodeCount];
        foreach (var (load, node) in OnNodes(distribution.Loads, l => l.BusId, network))
        {
            if (load is BusLoad.Linear && loads.DampingPu > 0)
            {
                shunts[node] += loads.DampingPu * load.PowerVa().Real * scenario.LoadLevelPuOf(load.Id) / SupplyNetwork.BaseVa;
            }

            if (load is BusLoad.LineMotor motor && scenario.LoadLevelPuOf(motor.Id) is > 0 and var level)
            {
                var angle = Math.Acos(motor.LockedRotorPowerFactor.IsKnown
                    ? motor.LockedRotorPowerFactor.Value
                    : loads.LockedRotorPowerFactor);
                shunts[node] += Still(network.Rise, motor.LockedRotorVa() * level, angle, order);
            }
        }

        // Behind a rotary or static converter a motor damps nothing that is relied on.
        foreach (var (drive, node) in OnNodes(loads.OnLine, d => d.BusId, network).Where(d => !d.Item.FromOnePhase))
        {
            shunts[node] += Still(network.Rise, drive.LockedRotorVa, Math.Acos(loads.LockedRotorPowerFactor), order);
        }

        foreach (var (filter, node) in OnNodes(loads.Filters, f => f.BusId, network))
        {
            shunts[node] += filter.AdmittancePu(order, SupplyNetwork.BaseVa);
        }

        AddCapacitors(distribution, scenario, network, order, loads.ReactorLossPu, shunts);
        return shunts;
    }

    private static Complex Still(ResistanceRise rise, double lockedRotorVa, double angle, double order)
    {
        var still = Complex.FromPolarCoordinates(SupplyNetwork.BaseVa / lockedRotorVa, angle);
        return 1 / new Complex(still.Real * rise.OfWinding(order), still.Imaginary * order);
    }

    private static void AddCapacitors(Distribution distribution, Scenario scenario, SupplyNetwork network, double order,
        double reactorLossPu, Complex[] shunts)
    {
        foreach (var (bank, node) in OnNodes(distribution.CapacitorBanks, b => b.BusId, network))
        {
            shunts[node] += bank.AdmittanceS(order, scenario.StepsOnOf(bank), network.VoltageV(bank.BusId),
                reactorLossPu) * network.BaseOhm(bank.BusId);
        }
    }

    // Elements on live nodes that have an impedance behind them; at an infinite source nothing changes the voltage.
    private static IEnumerable<(T Item, int Node)> OnNodes<T>(IReadOnlyList<T> items, Func<T, string> busOf, SupplyNetwork network) => items
        .Where(i => network.IsLive(busOf(i)) && network.NodeOf(busOf(i)) != SupplyNetwork.Reference)
        .Select(i => (i, network.NodeOf(busOf(i))));

    /// <summary>What runs in a scenario, with one load left out.</summary>
    internal static StandingLoad Beside(PlantSpecification plant, ScenarioResult result, string withoutLoadId)
    {
        var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
        var powers = new Complex[result.Network.NodeCount];
        foreach (var drive in result.Drives.Where(d => result.Network.NodeOf(d.BusId) != SupplyNetwork.Reference))
        {
            powers[result.Network.NodeOf(drive.BusId)] += DrivePower(drive, result.Network);
        }

        return new StandingLoad(Fundamental(plant, scenario, result.Network, result.OnLine, result.Loads.ReactorLossPu, withoutLoadId),
            powers);
    }

    private static Complex DrivePower(DriveInScenario drive, SupplyNetwork network)
    {
        if (drive.Front is not RectifierResult.LineDraw { Phases.Count: 3 } steady)
        {
            return drive.Point.LineW / SupplyNetwork.BaseVa;
        }

        // √3·U·I_1 of the mean phase, at the EMF it was solved with.
        var current = steady.Phases.Average(p => p.FundamentalA);
        var angle = -steady.Phases[0].Orders[0].Phase;
        return Complex.FromPolarCoordinates(Math.Sqrt(3) * drive.EmfV * current / SupplyNetwork.BaseVa, angle);
    }
}
