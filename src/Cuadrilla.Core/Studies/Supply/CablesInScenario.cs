using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>A plant cable in a scenario.</summary>
/// <param name="CableId">Which one.</param>
/// <param name="RmsA">Rms current of the most loaded phase, all parallel cables, A.</param>
/// <param name="FundamentalA">Its fundamental, A.</param>
/// <param name="ThirdPct">Third order in the phases from loads between line and neutral behind it, % of the fundamental, all of them in
/// phase.</param>
public sealed record CableInScenario(string CableId, double RmsA, double FundamentalA, double ThirdPct);

/// <summary>Currents of plant cables in a scenario.</summary>
internal static class CablesInScenario
{
    // Order 1 stands first.
    private const int Third = 2;

    /// <summary>Of one cable; null when it is open or dead.</summary>
    public static CableInScenario? Of(BusLink.Cable cable, PlantSpecification plant, Scenario scenario, SupplyNetwork network,
        HarmonicSums sums, IReadOnlyList<DriveInScenario> drives)
    {
        if (!network.IsLive(cable.FromBusId) || sums.Through(cable.Id, cable.ToBusId) is not { Length: > 0 } phases)
        {
            return null;
        }

        // What is fed through either end alone: from the source only one of them is.
        var behind = new[] { cable.FromBusId, cable.ToBusId }.Select(network.NodeOf).Where(n => n != SupplyNetwork.Reference)
            .Select(network.NodesBehind).MinBy(n => n.Count) ?? [];
        bool IsBehind(string busId) => network.IsLive(busId) && behind.Contains(network.NodeOf(busId));
        var stated = plant.Distribution.Loads.OfType<BusLoad.SinglePhaseGroup>().Where(g => g.ThirdHarmonicPct.IsKnown && IsBehind(g.BusId))
            .Sum(g => scenario.LoadLevelPuOf(g.Id) * g.PowerVa().Magnitude / (Math.Sqrt(3) * network.VoltageV(g.BusId))
            * g.ThirdHarmonicPct.Value / 100);

        // Converters between phase and neutral, by their solved waveforms: whatever phases they are on, in the neutral their triplens add.
        var solved = drives.Where(d => d.IsToNeutral && IsBehind(d.BusId)).Select(d => d.Front).OfType<RectifierResult.LineDraw>()
            .Sum(f => f.LoadedPhase.Orders[Third].Magnitude) / 3;
        var third = stated + solved;
        var loaded = phases.MaxBy(p => p.RmsA)!;
        var fundamental = Felt(loaded.FundamentalA);
        return new CableInScenario(
            cable.Id, Felt(Math.Sqrt((loaded.RmsA * loaded.RmsA) + (third * third))), fundamental, fundamental > 0
                ? Math.Min(100, 100 * third / fundamental)
                : 0);
    }

    // What the solver leaves over where nothing is drawn is nothing.
    private static double Felt(double currentA) => currentA < 1e-6 ? 0 : currentA;
}
