using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>What has to hold on any plant: currents sum to nothing at every node and order, and power is neither made nor lost.</summary>
[Trait("speed", "slow")]
public sealed class RandomNetworkTests
{
    private const int Plants = 150;
    private const int HighestOrder = 49;

    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    // Scenarios whose front ends settled; several plants of the seeds have none.
    private static readonly Lazy<IReadOnlyList<SettledPlant>> Settled = new(() =>
    [
        .. Enumerable.Range(7000, Plants).AsParallel().AsOrdered().SelectMany(seed =>
        {
            var plant = RandomPlant.Of(seed, Data) with { Name = $"network {seed}" };
            return new Assessor(Data).Run(plant).Scenarios
                .Where(s => s.Iteration.IsSettled && s.Faults.Count == 0 && s.Drives.Any(d => d.Front is RectifierResult.LineDraw))
                .Select(s => SettledPlant.Of(seed, plant, s));
        }),
    ]);

    [Fact]
    public void Currents_sum_to_nothing_at_every_node_and_order()
    {
        var compared = 0;
        foreach (var at in Settled.Value.Where(s => s.Result.FilterCurrents.Count == 0))
        {
            var largest = at.LargestFundamentalPu();
            for (var h = 1; h <= HighestOrder; h++)
            {
                var left = at.LeftAt(h);
                for (var node = 0; node < left.Length; node++)
                {
                    compared++;
                    Assert.True(left[node] <= Math.Max(1e-6 * largest[node], 1e-12),
                        $"seed {at.Seed}, {at.Result.ScenarioId}, order {h}, node {node}: {left[node]:g3} of {largest[node]:g3}");
                }
            }
        }

        Assert.InRange(compared, 5000, int.MaxValue);
    }

    [Fact]
    public void Power_at_the_buses_is_what_links_chokes_and_feeders_take()
    {
        var compared = 0;
        foreach (var at in Settled.Value.Where(s => s.Sums.IsBalanced && s.Drives.All(d => d.Front is RectifierResult.SteadyState)))
        {
            compared++;
            var (given, taken) = (at.Drives.Sum(at.PowerW), at.Drives.Sum(SettledPlant.TakenW));
            Assert.True(Math.Abs(given - taken) <= 1e-4 * taken,
                $"seed {at.Seed}, {at.Result.ScenarioId}: {given:g7} W against {taken:g7} W");
        }

        Assert.InRange(compared, 20, int.MaxValue);
    }

    private sealed record SettledPlant(int Seed, PlantSpecification Plant, Scenario Scenario, ScenarioResult Result, HarmonicSums Sums,
        Complex[] FundamentalShunts)
    {
        public IReadOnlyList<DriveInScenario> Drives => Result.Drives;

        private SupplyNetwork Network => Result.Network;

        public static SettledPlant Of(int seed, PlantSpecification plant, ScenarioResult result)
        {
            var scenario = plant.Scenarios.Single(s => s.Id == result.ScenarioId);
            var shunts = StandingLoads.Fundamental(plant, scenario, result.Network, result.OnLine, result.Loads.ReactorLossPu);
            return new SettledPlant(seed, plant, scenario, result,
                new HarmonicSums(plant, result.Loaded, result.Drives), shunts);
        }

        // By node: branches' own impedances, told voltages and the drives' currents, written down anew.
        public double[] LeftAt(int order)
        {
            var shunts = order == 1 ? FundamentalShunts : StandingLoads.Harmonic(Plant.Distribution, Scenario, Network, order,
                Result.Loads);
            var left = Enumerable.Range(0, Network.NodeCount).Select(n => Times(Volts(n, order), shunts[n]) + Drawn(n, order)).ToArray();
            foreach (var branch in Network.Branches)
            {
                var current = Times(Volts(branch.From, order) + (Volts(branch.To, order) * -1), 1 / branch.At(order));
                if (branch.From != SupplyNetwork.Reference)
                {
                    left[branch.From] += current;
                }

                if (branch.To != SupplyNetwork.Reference)
                {
                    left[branch.To] += current * -1;
                }
            }

            // Of the fundamental the positive sequence is told.
            return [.. left.Select(l => Math.Max(l.Positive.Magnitude, order == 1 ? 0 : l.Negative.Magnitude))];
        }

        public double[] LargestFundamentalPu()
        {
            var largest = Enumerable.Range(0, Network.NodeCount).Select(n => Drawn(n, 1).Positive.Magnitude).ToArray();
            foreach (var branch in Network.Branches)
            {
                var through = Times(Volts(branch.From, 1) + (Volts(branch.To, 1) * -1), 1 / branch.At(1)).Positive.Magnitude;
                foreach (var node in new[] { branch.From, branch.To }.Where(n => n != SupplyNetwork.Reference))
                {
                    largest[node] = Math.Max(largest[node], through);
                }
            }

            return largest;
        }

        public double PowerW(DriveInScenario drive)
        {
            var node = Network.NodeOf(drive.BusId);
            return SupplyNetwork.BaseVa * Enumerable.Range(1, HighestOrder).Sum(h =>
            {
                var (volts, current) = (Volts(node, h) + Background(node, h),
                    HarmonicSums.InFrameOfSource(drive, (RectifierResult.LineDraw)drive.Front, h, Network));
                return ((volts.Positive * Complex.Conjugate(current.Positive))
                    + (volts.Negative * Complex.Conjugate(current.Negative))).Real;
            });
        }

        // Constant power in the link (with the loss of a shifting transformer), heat in its choke, heat in the feeder.
        public static double TakenW(DriveInScenario drive)
        {
            var front = (RectifierResult.SteadyState)drive.Front;
            var circuit = drive.Circuit!;
            return circuit.DcLoadW + (circuit.Bridges * circuit.DcChokeResistanceOhm * front.DcCurrentRmsA * front.DcCurrentRmsA)
                + (3 * drive.FeederOhm.Real * front.PhaseA.RmsA * front.PhaseA.RmsA);
        }

        private static Sequences Times(Sequences of, Complex factor) => new(of.Positive * factor, of.Negative * factor);

        private Sequences Volts(int node, int order) => order == 1
            ? new Sequences(node == SupplyNetwork.Reference ? Complex.One : Sums.FundamentalOf(node), Complex.Zero)
            : node == SupplyNetwork.Reference ? default : Sums.VoltageOf(node, order);

        private Sequences Background(int node, int order)
        {
            var pu = order > 1 && Plant.Source.BackgroundOrders().Contains(order) ? Plant.Source.BackgroundPu(order) : Complex.Zero;
            return pu == Complex.Zero ? default : Sequences.OfBalanced(
                pu * (node == SupplyNetwork.Reference
                    ? 1
                    : Result.Loaded.GainOfSource(order)[node]), order);
        }

        private Sequences Drawn(int node, int order) => Drives
            .Where(d => d.Front is RectifierResult.LineDraw && Network.NodeOf(d.BusId) == node)
            .Aggregate(default(Sequences), (sum, d) => sum
                + HarmonicSums.InFrameOfSource(d, (RectifierResult.LineDraw)d.Front, order, Network));
    }
}
