using System.Collections.Concurrent;
using System.Numerics;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>Which of the source's strengths a study rests on.</summary>
public enum SourceView
{
    /// <summary>The largest fault level: what switchgear and converters have to stand.</summary>
    Strongest,

    /// <summary>The least one: dips, distortion.</summary>
    Weakest,
}

/// <summary>
/// The plant's network in one switching state: nodes, branches, phase shifts. Everything in per unit of 1 MVA and each bus's
/// nominal voltage, turned back by the vector groups, so that transformers have no ratio and no shift. Radial or meshed.
/// See <c>docs/methods/supply-network.md</c>.
/// </summary>
public sealed partial class SupplyNetwork
{
    /// <summary>Power base, VA.</summary>
    public const double BaseVa = 1e6;

    /// <summary>Node of the ideal voltage behind the source; buses joined to it when the source is infinite.</summary>
    internal const int Reference = -1;

    private readonly Dictionary<string, int> nodes;
    private readonly Dictionary<string, Bus> buses;
    private readonly Dictionary<string, int> clockHours;
    private readonly IReadOnlyList<NetworkBranch> branches;
    private readonly DenseLu<Complex> fundamental;
    private readonly ConcurrentDictionary<int, Complex[]> columns = new();

    private SupplyNetwork(
        Dictionary<string, int> nodes, Dictionary<string, Bus> buses, Dictionary<string, int> clockHours,
        IReadOnlyList<NetworkBranch> branches, double frequencyHz, bool assumedInfinite)
    {
        this.nodes = nodes;
        this.buses = buses;
        this.clockHours = clockHours;
        this.branches = branches;
        FrequencyHz = frequencyHz;
        AssumedInfinite = assumedInfinite;
        NodeCount = nodes.Count == 0 ? 0 : nodes.Values.Max() + 1;
        fundamental = DenseLu.Of(Admittance(1));
    }

    /// <summary>Frequency, Hz.</summary>
    public double FrequencyHz { get; }

    /// <summary>How resistance rises with the order.</summary>
    public ResistanceRise Rise { get; private init; } = ResistanceRise.Usual;

    /// <summary>True when the source was assumed infinite.</summary>
    public bool AssumedInfinite { get; }

    /// <summary>Nodes without the reference; buses joined by a closed coupler share one.</summary>
    public int NodeCount { get; }

    /// <summary>Branches in service.</summary>
    internal IReadOnlyList<NetworkBranch> Branches => branches;

    /// <summary>True when a bus has a closed path to the source.</summary>
    public bool IsLive(string busId) => nodes.ContainsKey(busId);

    /// <summary>Hours of 30° by which a live bus lags the source, 0 to 11.</summary>
    public int ClockHour(string busId) => clockHours[busId];

    /// <summary>Impedance behind a live bus at the fundamental, without loads and capacitors, ohm per phase; zero at an infinite
    /// source.</summary>
    public Complex ImpedanceOhm(string busId) => TransferPu(busId, busId) * BaseOhm(busId);

    /// <summary>Transfer impedance between two live buses at the fundamental, without loads, per unit.</summary>
    public Complex TransferPu(string busId, string otherBusId)
    {
        int node = nodes[busId], other = nodes[otherBusId];
        return node == Reference || other == Reference ? Complex.Zero : columns.GetOrAdd(other, o => fundamental.Solve(Unit(o)))[node];
    }

    /// <summary>Three-phase fault current at a live bus, A; infinite at an infinite source. Running motors add nothing here.</summary>
    public double FaultA(string busId)
    {
        var impedance = ImpedanceOhm(busId).Magnitude;
        return impedance == 0 ? double.PositiveInfinity : buses[busId].NominalVoltageV / Math.Sqrt(3) / impedance;
    }

    /// <summary>
    /// Part of the active current drawn at a bus that flows through a transformer, 0 to 1; 0 when it is out of service.
    /// </summary>
    public double PartThrough(string transformerId, string busId)
    {
        var node = nodes[busId];
        if (node == Reference || branches.FirstOrDefault(b => b.ElementId == transformerId) is not { } branch)
        {
            return 0;
        }

        var voltages = fundamental.Solve(Unit(node));
        Complex At(int n) => n == Reference ? Complex.Zero : voltages[n];
        return Math.Abs(((At(branch.To) - At(branch.From)) / branch.ImpedancePu).Real);
    }

    /// <summary>
    /// Voltage at a live bus and impedance behind it with what else runs: loads as admittances, constant powers as the admittance
    /// that draws them at the voltage found. Null when no voltage settles.
    /// </summary>
    /// <param name="busId">The bus.</param>
    /// <param name="standing">What runs.</param>
    public (double VoltageV, Complex Ohm)? Behind(string busId, StandingLoad standing)
    {
        ArgumentNullException.ThrowIfNull(standing);
        var node = nodes[busId];
        if (node == Reference)
        {
            return (buses[busId].NominalVoltageV, Complex.Zero);
        }

        if (LoadFlow.Run(this, standing.ShuntsPu, standing.PowersPu) is not { } voltages)
        {
            return null;
        }

        var matrix = Admittance(1);
        for (var i = 0; i < NodeCount; i++)
        {
            matrix[i, i] += standing.ShuntsPu[i]
                + (Complex.Conjugate(standing.PowersPu[i]) / (voltages[i].Magnitude * voltages[i].Magnitude));
        }

        return (voltages[node].Magnitude * buses[busId].NominalVoltageV, DenseLu.Of(matrix).Solve(Unit(node))[node] * BaseOhm(busId));
    }

    /// <summary>Base current of a bus, A.</summary>
    public double BaseA(string busId) => BaseVa / (Math.Sqrt(3) * buses[busId].NominalVoltageV);

    /// <summary>Base impedance of a bus, ohm.</summary>
    public double BaseOhm(string busId) => buses[busId].NominalVoltageV * buses[busId].NominalVoltageV / BaseVa;

    /// <summary>Nominal line-to-line voltage of a bus, V.</summary>
    public double VoltageV(string busId) => buses[busId].NominalVoltageV;

    /// <summary>Node of a live bus.</summary>
    public int NodeOf(string busId) => nodes[busId];

    /// <summary>Admittance matrix of source and branches at an order, without anything between bus and earth.</summary>
    internal Complex[,] Admittance(double order)
    {
        var matrix = new Complex[NodeCount, NodeCount];
        foreach (var branch in branches)
        {
            var admittance = 1 / branch.At(order);
            if (branch.From != Reference)
            {
                matrix[branch.From, branch.From] += admittance;
            }

            if (branch.To != Reference)
            {
                matrix[branch.To, branch.To] += admittance;
            }

            if (branch.From != Reference && branch.To != Reference)
            {
                matrix[branch.From, branch.To] -= admittance;
                matrix[branch.To, branch.From] -= admittance;
            }
        }

        return matrix;
    }

    /// <summary>Currents that an EMF of 1 of the source drives into each node at an order, the nodes held at earth.</summary>
    internal Complex[] SourceCurrentsPu(double order = 1)
    {
        var currents = new Complex[NodeCount];
        foreach (var branch in branches)
        {
            if (branch.From == Reference && branch.To != Reference)
            {
                currents[branch.To] += 1 / branch.At(order);
            }
            else if (branch.To == Reference && branch.From != Reference)
            {
                currents[branch.From] += 1 / branch.At(order);
            }
        }

        return currents;
    }

    /// <summary>
    /// Branches that leave a node away from the source, with +1 where they are written from that node and −1 otherwise.
    /// </summary>
    internal IEnumerable<(NetworkBranch Branch, int Sign)> Downstream(int node)
    {
        var upstream = Reachable(node);
        foreach (var branch in branches)
        {
            if (branch.From == node && branch.To != Reference && !upstream.Contains(branch.To))
            {
                yield return (branch, 1);
            }
            else if (branch.To == node && branch.From != Reference && !upstream.Contains(branch.From))
            {
                yield return (branch, -1);
            }
        }
    }

    /// <summary>A node and all that is fed through it alone.</summary>
    internal IReadOnlyList<int> NodesBehind(int node)
    {
        var upstream = Reachable(node);
        return [.. Enumerable.Range(0, NodeCount).Where(n => n == node || !upstream.Contains(n))];
    }

    // Nodes that stay connected with the source when this one is taken out.
    private HashSet<int> Reachable(int without)
    {
        var found = new HashSet<int>();
        if (without == Reference)
        {
            return found;
        }

        var waiting = new Stack<int>([Reference]);
        while (waiting.TryPop(out var at))
        {
            foreach (var branch in branches)
            {
                var next = branch.From == at ? branch.To : branch.To == at ? branch.From : at;
                if (next != at && next != without && next != Reference && found.Add(next))
                {
                    waiting.Push(next);
                }
            }
        }

        return found;
    }

    private Complex[] Unit(int node)
    {
        var unit = new Complex[NodeCount];
        unit[node] = 1;
        return unit;
    }
}
