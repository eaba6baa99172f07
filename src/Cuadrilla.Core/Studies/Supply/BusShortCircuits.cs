using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Finds the fault currents of every bus that is live in some scenario.</summary>
internal static class BusShortCircuits
{
    private const double LowVoltageV = 1000;
    private const double MotorPeak = 1.3;

    public static IReadOnlyDictionary<string, BusShortCircuit> Of(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios,
        DefaultsInForce defaults)
    {
        var found = new Dictionary<string, BusShortCircuit>(StringComparer.Ordinal);
        var earth = scenarios.ToDictionary(s => s.ScenarioId, s => EarthNetwork(plant, s, defaults), StringComparer.Ordinal);
        foreach (var bus in plant.Distribution.Buses)
        {
            var live = scenarios.Where(s => s.Network.IsLive(bus.Id)).ToList();
            if (live.Count > 0)
            {
                found[bus.Id] = Of(plant, bus, live, earth);
            }
        }

        return found;
    }

    private static BusShortCircuit Of(PlantSpecification plant, Bus bus, List<ScenarioResult> live,
        Dictionary<string, Func<string, Complex?>> earth)
    {
        var factors = WithstandCurrents.Factors(plant, bus.NominalVoltageV);
        var (strongest, largest) = live.Select(s => (s, Fault: WithstandCurrents.At(plant, s, bus.Id))).MaxBy(x => x.Fault.Ampere);
        var ohm = strongest.ForWithstand.ImpedanceOhm(bus.Id);
        var kappa = 1.02 + (0.98 * Math.Exp(-3 * ohm.Real / ohm.Imaginary));
        var peak = ohm == Complex.Zero
            ? double.PositiveInfinity
            : Math.Sqrt(2) * ((kappa * (largest.Ampere - largest.MotorsA)) + (MotorPeak * largest.MotorsA));
        var weakest = live.MaxBy(s => s.Network.ImpedanceOhm(bus.Id).Magnitude)!;
        var least = weakest.Network.ImpedanceOhm(bus.Id);

        // The loop is longest where it is longest, whichever scenario that is; unknown in one is unknown.
        var loops = live.Select(s => (2 * s.Network.ImpedanceOhm(bus.Id) + earth[s.ScenarioId](bus.Id)) / 3).ToList();
        return new BusShortCircuit(
            bus.Id, bus.NominalVoltageV, factors, largest.Ampere, largest.MotorsA, peak, strongest.ScenarioName,
            live.Max(s => s.Strongest.FaultA(bus.Id)),
            least == Complex.Zero ? double.PositiveInfinity : factors.Min * bus.NominalVoltageV / Math.Sqrt(3) / least.Magnitude,
            weakest.ScenarioName, least, loops.Any(l => l is null) ? null : loops.MaxBy(l => l!.Value.Magnitude));
    }

    // Zero-sequence impedance behind a bus: it ends in the transformer whose star is earthed, or in the source's own where its loop is
    // stated.
    private static Func<string, Complex?> EarthNetwork(PlantSpecification plant, ScenarioResult result, DefaultsInForce defaults)
    {
        var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
        var sourceBus = plant.Distribution.Bus(plant.Source.BusId);
        var sourceOhm = sourceBus.NominalVoltageV <= LowVoltageV && plant.Source.EarthLoopOhm.IsKnown
            ? Math.Max(0, (3 * plant.Source.EarthLoopOhm.Value) - (2 * result.Network.ImpedanceOhm(sourceBus.Id).Magnitude))
            : (double?)null;
        var distribution = plant.Distribution with
        {
            Transformers =
            [
                .. plant.Distribution.Transformers.Where(t => t.ToBusId != sourceBus.Id && t.ZeroSequence() is not null)
                    .Select(t => t with { FromBusId = sourceBus.Id, UkPct = t.ZeroSequence()!.Value * t.UkPct,
                        LoadLossKw = t.ZeroSequence()!.Value * t.LoadLossKw }),
            ],
            Links = [.. plant.Distribution.Links.Select(ZeroSequence)],
        };
        var fed = Fed(plant, distribution, scenario, sourceOhm is null ? null : sourceBus.Id);
        var source = plant.Source with
        {
            Strength = sourceOhm is > 0 and { } zero
                ? new SourceStrength.FaultLevel(sourceBus.NominalVoltageV * sourceBus.NominalVoltageV / zero / 1e6, Given.Unknown,
                    XrOf(plant.Source.Strength))
                : new SourceStrength.AssumedInfinite(),
        };
        var network = SupplyNetwork.Of(source, distribution, scenario, SourceView.Weakest, defaults.Cables);
        return id => fed.Contains(id) && network.IsLive(id) ? network.ImpedanceOhm(id) : null;
    }

    private static Given XrOf(SourceStrength strength) => strength switch
    {
        SourceStrength.FaultLevel { XrRatio.IsKnown: true } f => f.XrRatio,
        SourceStrength.Generator { XrRatio.IsKnown: true } g => g.XrRatio,
        _ => Given.Of(1),
    };

    // Line and protective conductor in series: Z0 = Z1 + 3·Z_PE, the protective one by the rule of its section.
    private static BusLink ZeroSequence(BusLink link) =>
        link is BusLink.Cable { LengthM.IsKnown: true, CrossSectionMm2.IsKnown: true } cable
        ? cable with { LengthM = cable.LengthM.Value * (1
            + (3 * cable.CrossSectionMm2.Value / ProtectiveConductor.ByTableMm2(cable.CrossSectionMm2.Value))) }
        : link;

    // Buses with a closed path of links to a star that is earthed, or to a source whose loop is known.
    private static HashSet<string> Fed(PlantSpecification plant, Distribution distribution, Scenario scenario, string? sourceBusId)
    {
        var begin = distribution.Transformers.Where(t => scenario.IsClosed(t.Id, true)).Select(t => t.ToBusId);
        return BusIsland.Of(plant.Distribution.Links, sourceBusId is null ? begin : begin.Append(sourceBusId),
            l => scenario.IsClosed(l.Id, l.NormallyClosed));
    }
}
