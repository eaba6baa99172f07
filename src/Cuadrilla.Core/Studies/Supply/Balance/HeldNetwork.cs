using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// What the circuit of a front end holds of the network, per unit: an impedance from its EMF to a capacitor bank, the bank, an impedance
/// from there to its terminals. It is free, since the EMF takes back what the network is not: E = (1 + Z_1·Y)·(V + Z_2·I) + Z_1·I at
/// every order. Taken is what the network is at orders beyond those solved, so that nothing is lost where they are cut off.
/// </summary>
/// <param name="AheadPu">Z_1, from the EMF to the bank; 0 without bank.</param>
/// <param name="BankPu">Susceptance of the bank at the fundamental; 0: none.</param>
/// <param name="BehindPu">Z_2, from there to the terminals.</param>
internal readonly record struct HeldNetwork(Complex AheadPu, double BankPu, Complex BehindPu)
{
    /// <summary>EMF that its own current asks for, for each unit of it.</summary>
    public Complex SeenAt(int order) => At(AheadPu, order) + (GainAt(order) * At(BehindPu, order));

    /// <summary>EMF that a voltage at the terminals asks for, for each unit of it.</summary>
    public Complex GainAt(int order) => BankPu == 0 ? Complex.One : 1 + (At(AheadPu, order) * new Complex(0, order * BankPu));

    private static Complex At(Complex impedance, int order) => new(impedance.Real, order * impedance.Imaginary);
}

/// <summary>Shares the network out among the circuits of a scenario's front ends.</summary>
internal sealed class HeldNetworks
{
    private const int BeyondOrder = 400;

    // A bank nearer than this part of a bus's impedance is seen as if it stood ahead of it.
    private const double NearPu = 0.3;

    // A circuit without any inductance is none; so little behind a bank changes nothing that the orders solved can tell.
    private const double LeastBehindBankPu = 0.0003;
    private const double LeastPu = 0.03;

    // Steps of the logarithm in which reactances count as alike: a sixth apart.
    private const double AlikeSteps = 6;

    private readonly SupplyNetwork network;
    private readonly IReadOnlyList<RunningDrive> running;
    private readonly List<(string BusId, double Pu)> banks;
    private readonly DenseLu<Complex> beyond;
    private readonly Dictionary<int, Complex[]> columns = [];

    /// <param name="loaded">The network with what hangs on it.</param>
    /// <param name="running">Front ends.</param>
    public HeldNetworks(LoadedNetwork loaded, IReadOnlyList<RunningDrive> running)
    {
        (network, this.running) = (loaded.Network, running);
        var scenario = loaded.Scenario;
        banks =
        [
            .. loaded.Distribution.CapacitorBanks
                .Where(b => b.DetuningPu == 0 && scenario.StepsOnOf(b) > 0 && network.IsLive(b.BusId)
                    && network.NodeOf(b.BusId) != SupplyNetwork.Reference)
                .GroupBy(b => network.NodeOf(b.BusId))
                .Select(g => (g.First().BusId, g.Sum(b =>
                    network.BaseOhm(b.BusId) / b.CapacitorOhm(scenario.StepsOnOf(b), network.VoltageV(b.BusId))))),
        ];
        beyond = loaded.At(BeyondOrder).Factors;
    }

    /// <summary>
    /// What each holds. Six-pulse bridges that conduct alike hold the impedance of all of them, in parts of their loads, and a bank
    /// likewise.
    /// </summary>
    public HeldNetwork[] Of()
    {
        var held = new HeldNetwork[running.Count];
        foreach (var group in Enumerable.Range(0, running.Count).GroupBy(ConductsLike))
        {
            var members = group.ToList();
            var loads = members.GroupBy(i => running[i].BusId)
                .Select(g => (BusId: g.Key, LoadW: g.Sum(i => running[i].Point.DcLoadW), Bank: BankNear(g.Key))).ToList();
            foreach (var (busId, _, bank) in loads)
            {
                var whole = loads.Aggregate(Complex.Zero, (s, k) => s + (network.TransferPu(busId, k.BusId) * k.LoadW));
                var left = loads.Sum(k => Beyond(busId, k.BusId) * k.LoadW);
                var together = loads.Where(k => k.Bank.BusId == bank.BusId).Sum(k => k.LoadW);
                foreach (var i in members.Where(i => running[i].BusId == busId))
                {
                    held[i] = Of(running[i], busId, bank.Pu, whole, left, together);
                }
            }
        }

        return held;
    }

    /// <summary>What a circuit of all that hangs close to a bus holds.</summary>
    public HeldNetwork OfBus(RunningDrive drive)
    {
        var (busId, load) = (drive.BusId, drive.Point.DcLoadW);
        return Of(drive, busId, BankNear(busId).Pu, network.TransferPu(busId, busId) * load, Beyond(busId, busId) * load, load);
    }

    private HeldNetwork Of(RunningDrive drive, string busId, double bankPu, Complex whole, double left, double togetherW)
    {
        var load = drive.Point.DcLoadW;
        var (sum, reactance, share) = drive.ConductsTogether && load > 0
            ? (whole / load, left / load, load / togetherW)
            : (network.TransferPu(busId, busId), Beyond(busId, busId), 1);
        switch (drive.Item.FrontEnd)
        {
            case { CatalogueSpectrum: not null }:
                return default;
            case FrontEnd.Thyristor:
                // Its closed form knows reactance only.
                return new HeldNetwork(Complex.Zero, 0,
                    sum.Imaginary <= 0 ? Complex.Zero : new Complex(0, Math.Clamp(reactance, LeastPu * sum.Imaginary, sum.Imaginary)));
        }

        if (sum.Imaginary <= 0)
        {
            return new HeldNetwork(Complex.Zero, 0, sum);
        }

        var holdsBank = bankPu > 0 && drive.Feed == SupplyFeed.ThreePhase && drive.Item.FrontEnd is FrontEnd.Diode;
        var part = Math.Clamp(reactance / sum.Imaginary, holdsBank ? LeastBehindBankPu : LeastPu, 1);
        return holdsBank && part < 1
            ? new HeldNetwork(sum * (1 - part), bankPu * share, sum * part)
            : new HeldNetwork(Complex.Zero, 0, sum * part);
    }

    // Bridges draw their current at the same instants where their reactances are alike in parts of their loads.
    private string ConductsLike(int i)
    {
        if (running[i] is not { ConductsTogether: true, Item: { FrontEnd: FrontEnd.Diode diode } item } drive)
        {
            return FormattableString.Invariant($"#{i}");
        }

        var key = FormattableString.Invariant($"{network.ClockHour(drive.BusId)} {diode.ChokePct > 0}");
        var ohm = item.RatedVoltageV * item.RatedVoltageV / drive.Point.DcLoadW;
        int Step(double henry) => henry > 0
            ? (int)Math.Round(AlikeSteps * Math.Log(2 * Math.PI * network.FrequencyHz * henry / ohm))
            : int.MinValue;
        return FormattableString.Invariant($"{key} {Step(item.DcChokeH(network.FrequencyHz))} {Step(item.LineSideH(network.FrequencyHz))}");
    }

    private (string BusId, double Pu) BankNear(string busId)
    {
        var own = network.TransferPu(busId, busId).Magnitude;
        var nearest = banks.Select(b => (b.BusId, b.Pu, Near: network.TransferPu(busId, b.BusId).Magnitude)).DefaultIfEmpty()
            .MaxBy(b => b.Near);
        return own > 0 && nearest.Near > NearPu * own ? (nearest.BusId, nearest.Pu) : (string.Empty, 0);
    }

    // Reactance at orders beyond those solved, referred to the fundamental.
    private double Beyond(string busId, string otherBusId)
    {
        var (node, other) = (network.NodeOf(busId), network.NodeOf(otherBusId));
        if (node == SupplyNetwork.Reference || other == SupplyNetwork.Reference)
        {
            return 0;
        }

        if (!columns.TryGetValue(other, out var column))
        {
            var unit = new Complex[network.NodeCount];
            unit[other] = 1;
            columns[other] = column = beyond.Solve(unit);
        }

        return column[node].Imaginary / BeyondOrder;
    }
}
