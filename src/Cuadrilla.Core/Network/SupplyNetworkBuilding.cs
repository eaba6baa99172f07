using System.Numerics;
using Cuadrilla.Core.Cables;

namespace Cuadrilla.Core.Network;

/// <summary>How a network is made from the specification and a scenario's switches.</summary>
public sealed partial class SupplyNetwork
{
    /// <summary>Builds it.</summary>
    /// <param name="supply">The source, its strength stated.</param>
    /// <param name="distribution">Buses, transformers and links; cables with length and cross-section.</param>
    /// <param name="scenario">The switching state.</param>
    /// <param name="view">Which strength of the source.</param>
    /// <param name="cables">Constants of cables.</param>
    public static SupplyNetwork Of(Source supply, Distribution distribution, Scenario scenario, SourceView view, CableConstants cables)
    {
        ArgumentNullException.ThrowIfNull(supply);
        ArgumentNullException.ThrowIfNull(distribution);
        ArgumentNullException.ThrowIfNull(scenario);
        ArgumentNullException.ThrowIfNull(cables);
        var joints = Joints.Of(distribution, scenario);
        var source = NetworkData.SourceBranch(supply, distribution.Bus(supply.BusId).NominalVoltageV, view);
        var edges = Edges(distribution, scenario, supply.FrequencyHz, cables).ToList();
        var live = Live(joints, joints.RootOf(supply.BusId), edges);

        // Nodes are numbered in the order of the buses; an infinite source makes its bus the reference itself.
        var nodeOfRoot = new Dictionary<string, int>(StringComparer.Ordinal);
        if (source is null)
        {
            nodeOfRoot[joints.RootOf(supply.BusId)] = Reference;
        }

        var next = 0;
        var nodes = new Dictionary<string, int>(StringComparer.Ordinal);
        var hours = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var bus in distribution.Buses)
        {
            var root = joints.RootOf(bus.Id);
            if (live.TryGetValue(root, out var hour))
            {
                if (!nodeOfRoot.TryGetValue(root, out var node))
                {
                    nodeOfRoot[root] = node = next++;
                }

                nodes[bus.Id] = node;
                hours[bus.Id] = hour;
            }
        }

        var branches = edges
            .Where(e => nodes.ContainsKey(e.From) && nodes.ContainsKey(e.To) && nodes[e.From] != nodes[e.To])
            .Select(e => new NetworkBranch(e.ElementId, nodes[e.From], nodes[e.To], e.ImpedancePu, e.ResistanceRise));
        return new SupplyNetwork(
            nodes,
            distribution.Buses.ToDictionary(b => b.Id, StringComparer.Ordinal),
            hours,
            source is { } s ? [new NetworkBranch(string.Empty, Reference, nodes[supply.BusId], s.ImpedancePu, cables.Rise.OfWinding,
                s.HarmonicReactanceRise), .. branches] : [.. branches],
            supply.FrequencyHz,
            source is null)
        { Rise = cables.Rise };
    }

    /// <summary>
    /// Elements that would join voltages of different phase in a scenario: a short circuit. Empty when there are none.
    /// </summary>
    public static IEnumerable<string> PhaseConflicts(Distribution distribution, Scenario scenario, string sourceBusId)
    {
        ArgumentNullException.ThrowIfNull(distribution);
        ArgumentNullException.ThrowIfNull(scenario);
        var hours = new Dictionary<string, int>(StringComparer.Ordinal) { [sourceBusId] = 0 };
        var waiting = new Queue<string>([sourceBusId]);
        var conflicts = new List<string>();
        while (waiting.TryDequeue(out var at))
        {
            foreach (var (id, other, turn) in Neighbours(distribution, scenario, at))
            {
                var hour = (hours[at] + turn + 12) % 12;
                if (!hours.TryGetValue(other, out var known))
                {
                    hours[other] = hour;
                    waiting.Enqueue(other);
                }
                else if (known != hour && !conflicts.Contains(id))
                {
                    conflicts.Add(id);
                }
            }
        }

        return conflicts;
    }

    private static IEnumerable<(string Id, string Other, int Turn)> Neighbours(Distribution distribution, Scenario scenario, string busId)
    {
        foreach (var t in distribution.Transformers.Where(t => scenario.IsClosed(t.Id, true)))
        {
            if (t.FromBusId == busId)
            {
                yield return (t.Id, t.ToBusId, t.ClockHour());
            }
            else if (t.ToBusId == busId)
            {
                yield return (t.Id, t.FromBusId, -t.ClockHour());
            }
        }

        foreach (var link in distribution.Links.Where(l => scenario.IsClosed(l.Id, l.NormallyClosed)))
        {
            if (link.FromBusId == busId)
            {
                yield return (link.Id, link.ToBusId, 0);
            }
            else if (link.ToBusId == busId)
            {
                yield return (link.Id, link.FromBusId, 0);
            }
        }
    }

    private static IEnumerable<Edge> Edges(Distribution distribution, Scenario scenario, double frequencyHz, CableConstants cables)
    {
        foreach (var t in distribution.Transformers.Where(t => scenario.IsClosed(t.Id, true)))
        {
            // At a base voltage of √BaseVa an ohm is a per unit.
            var impedance = FaultLevel.TransformerImpedance(Math.Sqrt(BaseVa),
                new FaultLevel.TransformerInput(t.RatedKva, t.UkPct, t.LoadLossKw));
            yield return new Edge(t.Id, t.FromBusId, t.ToBusId, impedance, cables.Rise.OfWinding, t.ClockHour());
        }

        foreach (var cable in distribution.Links.OfType<BusLink.Cable>().Where(c => scenario.IsClosed(c.Id, c.NormallyClosed)))
        {
            var voltage = distribution.Bus(cable.FromBusId).NominalVoltageV;
            var resistivity = cables.ResistivityOf(cable.Material);
            var ohm = CableImpedance.Of(cable.LengthM.Value, cable.CrossSectionMm2.Value, cable.ParallelRuns, resistivity,
                cables.ReactanceOf(cable.Laying, frequencyHz));
            var perMetre = resistivity / cable.CrossSectionMm2.Value;
            yield return new Edge(
                cable.Id, cable.FromBusId, cable.ToBusId, ohm * BaseVa / (voltage * voltage), h =>
                    cables.Rise.OfConductor(perMetre, frequencyHz, h), 0);
        }
    }

    // Roots with a path to the source, and by how many hours they lag it.
    private static Dictionary<string, int> Live(Joints joints, string sourceRoot, List<Edge> edges)
    {
        var hours = new Dictionary<string, int>(StringComparer.Ordinal) { [sourceRoot] = 0 };
        var waiting = new Queue<string>([sourceRoot]);
        while (waiting.TryDequeue(out var at))
        {
            foreach (var edge in edges)
            {
                string from = joints.RootOf(edge.From), to = joints.RootOf(edge.To);
                var (other, turn) = from == at ? (to, edge.ClockHour) : to == at ? (from, -edge.ClockHour) : (at, 0);
                if (hours.TryAdd(other, (hours[at] + turn + 12) % 12))
                {
                    waiting.Enqueue(other);
                }
            }
        }

        return hours;
    }

    private readonly record struct Edge(string ElementId, string From, string To, Complex ImpedancePu, Func<double, double> ResistanceRise,
        int ClockHour);

    /// <summary>Buses joined by closed couplers stand for one (union-find).</summary>
    private sealed class Joints
    {
        private readonly Dictionary<string, string> parents = new(StringComparer.Ordinal);

        public static Joints Of(Distribution distribution, Scenario scenario)
        {
            var joints = new Joints();
            foreach (var coupler in distribution.Links.OfType<BusLink.Coupler>().Where(c => scenario.IsClosed(c.Id, c.NormallyClosed)))
            {
                string a = joints.RootOf(coupler.FromBusId), b = joints.RootOf(coupler.ToBusId);
                if (a != b)
                {
                    joints.parents[b] = a;
                }
            }

            return joints;
        }

        public string RootOf(string busId)
        {
            var at = busId;
            while (parents.TryGetValue(at, out var parent))
            {
                at = parent;
            }

            return at;
        }
    }
}
